package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Limit;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Goal;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Uncertainty;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.client.TargetInQuestion;
import app.korvel.server.client.TargetInQuestion.AimView;
import app.korvel.server.studio.StudioSettings;
import app.korvel.server.web.Within;
import app.korvel.server.zone.ClientAnchors.InHand;
import app.korvel.server.zone.SchoolsViews.SchoolsQuestion;
import app.korvel.server.zone.SchoolsViews.SchoolsView;
import app.korvel.server.zone.SchoolsViews.Wanted;
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
  private final ClientRecords records;
  private final ClientAnchors anchors;
  private final TargetInQuestion target;
  private final SchemeShelf shelf;
  private final StudioSettings settings;

  /** About 100 kB each. */
  private final Latest<SchoolsQuestion, SchoolsView> latest = new Latest<>(64);

  SchoolsController(
      ClientRecords records,
      ClientAnchors anchors,
      TargetInQuestion target,
      SchemeShelf shelf,
      StudioSettings settings) {
    this.records = records;
    this.anchors = anchors;
    this.target = target;
    this.shelf = shelf;
    this.settings = settings;
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
        ZoneController.anchors(
            request.restingBpm,
            request.maximumBpm,
            request.lowerThresholdBpm,
            request.upperThresholdBpm);
    Uncertainty uncertainty =
        ZoneController.uncertainty(
            request.maximumStandardErrorBpm, request.restingStandardErrorBpm);
    OptionalInt cap = ZoneController.optional(request.capBpm);
    RpeFamily family = request.rpeFamily == null ? settings.ways().family() : request.rpeFamily;
    return latest.of(
        new SchoolsQuestion(
            shelf.all(),
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
    Client client = records.client(id);
    Groundwork ground = records.groundwork(client, mode);
    InHand hand = anchors.inHand(client, ground, null);
    Uncertainty uncertainty = ground.uncertainty();
    AimView aim = target.of(client, mode);
    Wanted first =
        new Wanted(
            aim.prescribed() ? "What is prescribed" : "Where to start",
            new Percents(aim.lowPercent(), aim.highPercent()));
    Ceiling ceiling = ground.ceiling();
    List<Wanted> wanted = new ArrayList<>(List.of(first));
    goals().map(goal -> goal.under(ceiling)).forEach(wanted::add);
    return latest.of(
        new SchoolsQuestion(
            shelf.all(),
            hand.scheme(),
            hand.anchors(),
            uncertainty,
            ground.capBpm(),
            settings.ways().family(),
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
