package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Limit;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.screening.Goal;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Uncertainty;
import app.korvel.server.web.Within;
import app.korvel.server.zone.SchoolsViews.SchoolsQuestion;
import app.korvel.server.zone.SchoolsViews.SchoolsView;
import app.korvel.server.zone.SchoolsViews.Wanted;
import app.korvel.studio.ClientHead;
import app.korvel.studio.ClientHead.Aimed;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.ClientAnchors;
import app.korvel.studio.zone.ClientAnchors.InHand;
import app.korvel.studio.zone.SchemeShelf;
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

/** Every school side by side on one span: a client's, or one that is given. */
@RestController
class SchoolsController {
  private final Studio studio;

  /** About 100 kB each. */
  private final Latest<SchoolsQuestion, SchoolsView> latest = new Latest<>(64);

  SchoolsController(Studio studio) {
    this.studio = studio;
  }

  /** A span; standard errors, cap, family and thresholds may be left out. */
  record SchoolsRequest(
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      @Nullable @Within(Limit.STANDARD_ERROR) BigDecimal restingStandardErrorBpm,
      @Nullable @Within(Limit.STANDARD_ERROR) BigDecimal maximumStandardErrorBpm,
      @Nullable @Within(Limit.CAP) Integer capBpm,
      @Nullable RpeFamily rpeFamily,
      @Nullable @Within(Limit.PULSE) Integer lowerThresholdBpm,
      @Nullable @Within(Limit.PULSE) Integer upperThresholdBpm) {}

  @PostMapping("/api/calculator/schools")
  SchoolsView schools(@RequestBody SchoolsRequest request) {
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
        new SchoolsQuestion(
            new SchemeShelf(studio).all(),
            SchemeShelf.usual(),
            from,
            uncertainty,
            cap,
            family,
            goals().toList(),
            List.of(),
            Optional.empty(),
            true),
        SchoolsView::of);
  }

  /** Refused, with the reason, for someone who may not be steered by a rate. */
  @GetMapping("/api/clients/{id}/schools")
  SchoolsView schools(@PathVariable UUID id, @RequestParam(defaultValue = "run") Mode mode) {
    ClientHead head = studio.head(id);
    Groundwork ground = head.ground(mode);
    InHand hand = new ClientAnchors(studio).inHand(id, ground, Optional.empty());
    Uncertainty uncertainty = ground.uncertainty();
    Aimed aim = head.aimed(mode);
    Wanted first =
        new Wanted(
            aim.prescribed() ? "What is prescribed" : "Where to start",
            new Percents(aim.lowPercent(), aim.highPercent()));
    Ceiling ceiling = ground.ceiling();
    List<Wanted> wanted = new ArrayList<>(List.of(first));
    goals().map(goal -> goal.under(ceiling)).forEach(wanted::add);
    return latest.of(
        new SchoolsQuestion(
            new SchemeShelf(studio).all(),
            hand.scheme(),
            hand.anchors(),
            uncertainty,
            ground.capBpm(),
            studio.settings().ways().family(),
            wanted,
            ground.maximumRecord().estimates().estimates(),
            Optional.of(ceiling),
            ground.permission().vigorous()),
        SchoolsView::of);
  }

  private static Stream<Wanted> goals() {
    return Arrays.stream(Goal.values())
        .map(
            goal ->
                new Wanted(
                    goal.displayName(), new Percents(goal.lowPercent(), goal.highPercent())));
  }
}
