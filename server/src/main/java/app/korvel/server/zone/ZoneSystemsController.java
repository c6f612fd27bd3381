package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Limit;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.screening.Goal;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Uncertainty;
import app.korvel.server.web.Within;
import app.korvel.server.zone.ZoneSystemsViews.Wanted;
import app.korvel.server.zone.ZoneSystemsViews.ZoneSystemsQuestion;
import app.korvel.server.zone.ZoneSystemsViews.ZoneSystemsView;
import app.korvel.studio.ClientHead;
import app.korvel.studio.ClientHead.Aimed;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.ClientAnchors;
import app.korvel.studio.zone.ClientAnchors.InHand;
import app.korvel.studio.zone.SchemeCatalog;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Every zone system side by side on one span: a client's, or one that is given. */
@RestController
class ZoneSystemsController {
  private final Studio studio;

  /** About 100 kB each. */
  private final AnswerCache<ZoneSystemsQuestion, ZoneSystemsView> latest = new AnswerCache<>(64);

  ZoneSystemsController(Studio studio) {
    this.studio = studio;
  }

  /** A span; standard errors, cap, family and thresholds may be left out. */
  record ZoneSystemsRequest(
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      @Nullable @Within(Limit.STANDARD_ERROR) BigDecimal restingStandardErrorBpm,
      @Nullable @Within(Limit.STANDARD_ERROR) BigDecimal maximumStandardErrorBpm,
      @Nullable @Within(Limit.CAP) Integer capBpm,
      @Nullable RpeFamily rpeFamily,
      @Nullable @Within(Limit.PULSE) Integer lowerThresholdBpm,
      @Nullable @Within(Limit.PULSE) Integer upperThresholdBpm) {}

  @PostMapping("/api/calculator/schools")
  ZoneSystemsView schools(@RequestBody ZoneSystemsRequest request) {
    Anchors from =
        ZoneRequests.anchors(
            request.restingBpm,
            request.maximumBpm,
            request.lowerThresholdBpm,
            request.upperThresholdBpm);
    Uncertainty uncertainty =
        ZoneRequests.uncertainty(request.maximumStandardErrorBpm, request.restingStandardErrorBpm);
    OptionalInt cap = ZoneRequests.optional(request.capBpm);
    RpeFamily family =
        request.rpeFamily == null ? studio.settings().ways().family() : request.rpeFamily;
    return latest.of(
        new ZoneSystemsQuestion(
            new SchemeCatalog(studio).all(),
            SchemeCatalog.usual(),
            from,
            uncertainty,
            cap,
            family,
            goals().toList(),
            List.of(),
            Optional.empty(),
            true),
        ZoneSystemsView::of);
  }

  /** Refused, with the reason, for someone who may not be steered by a rate. */
  @GetMapping("/api/clients/{id}/schools")
  ZoneSystemsView schools(@PathVariable UUID id, @RequestParam(defaultValue = "run") Mode mode) {
    ClientHead head = studio.head(id);
    ClientBaseline baseline = head.baseline(mode);
    InHand hand = new ClientAnchors(studio).inHand(id, baseline, Optional.empty());
    Uncertainty uncertainty = baseline.uncertainty();
    Aimed aim = head.aimed(mode);
    Wanted first =
        new Wanted(
            aim.prescribed() ? "What is prescribed" : "Where to start",
            new Percents(aim.lowPercent(), aim.highPercent()));
    Ceiling ceiling = baseline.ceiling();
    List<Wanted> wanted = new ArrayList<>(List.of(first));
    goals().map(goal -> goal.under(ceiling)).forEach(wanted::add);
    return latest.of(
        new ZoneSystemsQuestion(
            new SchemeCatalog(studio).all(),
            hand.scheme(),
            hand.anchors(),
            uncertainty,
            baseline.capBpm(),
            studio.settings().ways().family(),
            wanted,
            baseline.maximumRecord().estimates().estimates(),
            Optional.of(ceiling),
            baseline.permission().vigorous()),
        ZoneSystemsView::of);
  }

  private static Stream<Wanted> goals() {
    return Arrays.stream(Goal.values())
        .map(
            goal ->
                new Wanted(
                    goal.displayName(), new Percents(goal.lowPercent(), goal.highPercent())));
  }
}
