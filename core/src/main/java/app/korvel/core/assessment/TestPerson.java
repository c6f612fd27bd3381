package app.korvel.core.assessment;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.live.LivePlan;
import app.korvel.core.maximum.WorkingMaximum;
import app.korvel.core.measure.Limit;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Reserve;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Who is tested, as they were on the day.
 *
 * @param age whole years, {@link Limit#AGE}
 * @param sex used only where an equation needs it
 * @param weightKg empty where it is not known
 * @param reserve resting rate and maximum of that mode; empty where no rate is used
 * @param maximumError the standard error of the maximum, bpm
 * @param capBpm a clinician's cap
 * @param highestRpe the hardest effort that is allowed, on 6–20
 * @param contexts what about them decides what a rate is worth
 */
public record TestPerson(
    int age,
    Sex sex,
    Optional<BigDecimal> weightKg,
    Optional<Reserve> reserve,
    BigDecimal maximumError,
    OptionalInt capBpm,
    int highestRpe,
    Set<EffortContext> contexts) {

  private static final Set<EffortContext> BY_EFFORT =
      Set.of(
          EffortContext.RATE_LOWERING_MEDICINE,
          EffortContext.IRREGULAR_RHYTHM,
          EffortContext.PACEMAKER);

  public TestPerson {
    Limit.AGE.check("age", age);
    contexts = Set.copyOf(contexts);
  }

  /**
   * Somebody as they are on a day.
   *
   * @param baseline of the mode that is tested
   * @param weightKg if it is known
   */
  public static TestPerson from(
      ClientBaseline baseline, boolean newToExercise, Optional<BigDecimal> weightKg) {
    return new TestPerson(
        baseline.person().age(),
        baseline.person().sex(),
        weightKg,
        baseline.noRateBecause().isPresent() ? Optional.empty() : baseline.reserve(),
        baseline.maximum().map(WorkingMaximum::standardErrorBpm).orElse(BigDecimal.ZERO),
        baseline.capBpm(),
        baseline.screening().effects().highestEffort(),
        LivePlan.contexts(baseline, newToExercise));
  }

  /** Whether RPE ends a graded test before the rate would. */
  public boolean byEffort() {
    return contexts.stream().anyMatch(BY_EFFORT::contains);
  }

  /** Whether that is known of them. */
  public boolean has(EffortContext context) {
    return contexts.contains(context);
  }
}
