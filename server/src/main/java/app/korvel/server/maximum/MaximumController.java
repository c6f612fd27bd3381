package app.korvel.server.maximum;

import app.korvel.core.maximum.Estimate;
import app.korvel.core.maximum.MaximumEstimates;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Limit;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Sex;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.FindingView;
import app.korvel.server.web.Within;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The maximum by every equation, for a client or for figures given. */
@RestController
class MaximumController {
  private final ClientRecords records;
  private final StudioClock clock;

  MaximumController(ClientRecords records, StudioClock clock) {
    this.records = records;
    this.clock = clock;
  }

  @PostMapping("/api/calculator/maximum")
  MaximumView maximum(@RequestBody MaximumRequest request) {
    return MaximumView.of(
        MaximumEstimates.of(
            request.person(),
            request.restingBpm == null ? OptionalInt.empty() : OptionalInt.of(request.restingBpm),
            request.mode == null ? Mode.RUN : request.mode));
  }

  @GetMapping("/api/clients/{id}/maximum")
  MaximumView maximum(@PathVariable UUID id, @RequestParam(defaultValue = "run") Mode mode) {
    Optional<WorkingResting> resting = records.resting(id);
    return MaximumView.of(
        MaximumEstimates.of(
            records.client(id).on(clock.today()),
            resting.map(value -> OptionalInt.of(value.bpm())).orElse(OptionalInt.empty()),
            mode));
  }

  /** Whom to work the equations out for; what is left out is not known or does not hold. */
  record MaximumRequest(
      @Within(Limit.AGE) Integer age,
      @Nullable Sex sex,
      @Nullable @Within(Limit.RESTING) Integer restingBpm,
      @Nullable Activity activity,
      @Nullable Boolean betaBlocker,
      @Nullable Boolean heartCondition,
      @Nullable Boolean heartFailure,
      @Nullable Mode mode) {

    Person person() {
      return Person.of(
          age,
          sex == null ? Sex.NOT_GIVEN : sex,
          activity == null ? Activity.SOME : activity,
          new Person.Health(
              Boolean.TRUE.equals(heartCondition),
              Boolean.TRUE.equals(heartFailure),
              Boolean.TRUE.equals(betaBlocker)));
    }
  }

  record EstimateView(
      String method,
      String name,
      String formula,
      @Nullable Integer bpm,
      BigDecimal standardErrorBpm,
      String population,
      String errorNote,
      String source,
      boolean applies,
      String reason) {

    static EstimateView of(Estimate estimate) {
      return new EstimateView(
          estimate.equation().id(),
          estimate.equation().name(),
          estimate.equation().formula(),
          estimate.bpm().isPresent() ? estimate.bpm().getAsInt() : null,
          estimate.standardErrorBpm(),
          estimate.equation().population(),
          estimate.equation().errorNote(),
          estimate.equation().source().citation(),
          estimate.applies(),
          estimate.reason());
    }
  }

  record SpreadView(int lowestBpm, int highestBpm) {}

  record MaximumView(
      Mode mode,
      @Nullable String recommended,
      List<EstimateView> estimates,
      @Nullable SpreadView spread,
      List<FindingView> findings) {

    static MaximumView of(MaximumEstimates estimates) {
      return new MaximumView(
          estimates.mode(),
          estimates.recommended().map(estimate -> estimate.equation().id()).orElse(null),
          estimates.estimates().stream().map(EstimateView::of).toList(),
          estimates
              .spread()
              .map(spread -> new SpreadView(spread.lowestBpm(), spread.highestBpm()))
              .orElse(null),
          FindingView.of(estimates.findings()));
    }
  }
}
