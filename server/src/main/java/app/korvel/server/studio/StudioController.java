package app.korvel.server.studio;

import app.korvel.core.measure.RegionalSettings;
import app.korvel.core.screening.StopSigns;
import app.korvel.core.zone.RpeFamily;
import app.korvel.server.DataFolder;
import app.korvel.server.web.Problems;
import app.korvel.store.StaleVersionException;
import app.korvel.store.StudioRepository.Settings;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.settings.ChooseRegionalSettings;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
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
        RegionalSettingsView.of(studio.settings().regional()),
        StopSigns.SIGNS,
        StopSigns.ACTION,
        StopSigns.NOTICE);
  }

  /** The units and customs of the studio are changed. */
  @PutMapping("/api/studio/regional")
  RegionalSettingsAnswer choose(Actor who, @RequestBody RegionalSettingsRequest request) {
    Settings chosen =
        new ChooseRegionalSettings(studio)
            .by(who, request.version(), request.regional().settings());
    return RegionalSettingsAnswer.of(chosen);
  }

  /** Nothing is lost: the answer carries the settings as they are now. */
  @ExceptionHandler
  ResponseEntity<Object> stale(StaleVersionException stale) {
    return Problems.stale(stale, RegionalSettingsAnswer.of(stale.current(Settings.class)));
  }

  /** Units and customs; what is stored stays in SI. */
  record RegionalSettingsView(
      RegionalSettings.Weight weight,
      RegionalSettings.Height height,
      RegionalSettings.Glucose glucose,
      RegionalSettings.Distance distance,
      RegionalSettings.Clock clock,
      DayOfWeek weekStart,
      RegionalSettings.Paper paper) {
    static RegionalSettingsView of(RegionalSettings now) {
      return new RegionalSettingsView(
          now.weight(),
          now.height(),
          now.glucose(),
          now.distance(),
          now.clock(),
          now.weekStart(),
          now.paper());
    }

    RegionalSettings settings() {
      return new RegionalSettings(weight, height, glucose, distance, clock, weekStart, paper);
    }
  }

  /** What the studio chooses, with the version that was read. */
  record RegionalSettingsRequest(Integer version, RegionalSettingsView regional) {}

  record RegionalSettingsAnswer(int version, RegionalSettingsView regional) {
    static RegionalSettingsAnswer of(Settings settings) {
      return new RegionalSettingsAnswer(
          settings.version(), RegionalSettingsView.of(settings.regional()));
    }
  }

  /**
   * The studio.
   *
   * @param version of what it has chosen
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
      RegionalSettingsView regional,
      List<String> stopSigns,
      String stopAction,
      String notice) {}
}
