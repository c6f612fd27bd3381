package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.zone.MeasuredThresholds;
import app.korvel.core.zone.WorkingThresholds;
import app.korvel.server.zone.ThresholdViews.ThresholdList;
import app.korvel.server.zone.ThresholdViews.ThresholdsRequest;
import app.korvel.server.zone.ThresholdViews.ThresholdsView;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.ClientAnchors;
import app.korvel.studio.zone.RecordThresholds;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A client's measured thresholds. */
@RestController
@RequestMapping("/api/clients/{id}/thresholds")
class ThresholdController {
  private final Studio studio;

  ThresholdController(Studio studio) {
    this.studio = studio;
  }

  @GetMapping
  ThresholdList list(@PathVariable UUID id, @RequestParam(defaultValue = "run") Mode mode) {
    ClientBaseline baseline = studio.head(id).baseline(mode);
    Optional<WorkingThresholds> working =
        baseline.reserve().map(span -> new ClientAnchors(studio).thresholds(id, baseline, span));
    return new ThresholdList(
        studio.store().thresholds().of(id).stream().map(ThresholdsView::of).toList(),
        working
            .filter(each -> each.rates().isPresent() && !each.learned())
            .flatMap(WorkingThresholds::measured)
            .map(MeasuredThresholds::id)
            .orElse(null),
        working.filter(WorkingThresholds::learned).isPresent(),
        working.flatMap(WorkingThresholds::finding).orElse(null));
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  ThresholdsView add(Actor who, @PathVariable UUID id, @RequestBody ThresholdsRequest request) {
    return ThresholdsView.of(
        new RecordThresholds(studio).by(who, id, request.mode(), request::measured));
  }
}
