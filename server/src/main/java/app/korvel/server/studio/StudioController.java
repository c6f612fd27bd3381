package app.korvel.server.studio;

import app.korvel.core.screening.StopSigns;
import app.korvel.core.zone.RpeFamily;
import app.korvel.server.DataFolder;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What every page needs to know. */
@RestController
class StudioController {
  private final Studio studio;
  private final DataFolder folder;

  StudioController(Studio studio, DataFolder folder) {
    this.studio = studio;
    this.folder = folder;
  }

  @GetMapping("/api/studio")
  StudioView studio() {
    return new StudioView(
        studio.clock().today(),
        studio.clock().untilTomorrow().toMillis(),
        studio.clock().zone().getId(),
        folder.demo(),
        studio.settings().now().version(),
        studio.settings().ways().scheme(),
        studio.settings().ways().family(),
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
