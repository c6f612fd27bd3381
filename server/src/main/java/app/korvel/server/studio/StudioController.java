package app.korvel.server.studio;

import app.korvel.core.screening.StopSigns;
import app.korvel.core.zone.RpeFamily;
import app.korvel.server.DataFolder;
import java.time.LocalDate;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What every page needs to know. */
@RestController
class StudioController {
  private final StudioClock clock;
  private final StudioSettings settings;
  private final DataFolder folder;

  StudioController(StudioClock clock, StudioSettings settings, DataFolder folder) {
    this.clock = clock;
    this.settings = settings;
    this.folder = folder;
  }

  @GetMapping("/api/studio")
  StudioView studio() {
    return new StudioView(
        clock.today(),
        clock.untilTomorrow().toMillis(),
        clock.zone().getId(),
        folder.demo(),
        settings.now().version(),
        settings.ways().scheme(),
        settings.ways().family(),
        StopSigns.SIGNS,
        StopSigns.ACTION,
        StopSigns.NOTICE);
  }

  /**
   * The studio.
   *
   * @param millisToMidnight until its next day begins
   */
  record StudioView(
      LocalDate today,
      long millisToMidnight,
      String timeZone,
      boolean demo,
      int version,
      String scheme,
      RpeFamily rpeFamily,
      List<String> stopSigns,
      String stopAction,
      String notice) {}
}
