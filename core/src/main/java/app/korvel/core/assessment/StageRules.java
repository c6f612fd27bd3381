package app.korvel.core.assessment;

import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.zone.Reserve;
import java.util.Optional;
import java.util.OptionalInt;

/** The rules of a graded test that look at one reading, or at two. */
final class StageRules {
  private StageRules() {}

  /**
   * Whether a systolic falls with rising work.
   *
   * @param before of the last stage with a pressure, if there is one
   * @param standing of the standing baseline, if there is one
   * @return what it is held against, in words; empty where it does not fall
   */
  static Optional<String> falls(
      BloodPressure now, Optional<BloodPressure> before, Optional<BloodPressure> standing) {
    Optional<String> underLast =
        before
            .filter(
                last -> last.systolic() - now.systolic() >= Threshold.GRADED_SYSTOLIC_FALL.whole())
            .map(last -> last.systolic() + " in the stage before");
    return underLast.or(
        () ->
            standing
                .filter(rest -> now.systolic() < rest.systolic())
                .map(rest -> rest.systolic() + " standing before the work"));
  }

  /** Whether a pressure is too high to go on. */
  static Optional<Finding> tooHigh(BloodPressure pressure) {
    return pressure.systolic() > Threshold.GRADED_SYSTOLIC.whole()
            || pressure.diastolic() > Threshold.GRADED_DIASTOLIC.whole()
        ? Optional.of(AssessmentFinding.END_PRESSURE_HIGH.of(pressure))
        : Optional.empty();
  }

  /** Whether a rate does not rise, and should. */
  static boolean flat(OptionalInt bpm, OptionalInt before, Optional<Reserve> reserve) {
    return bpm.isPresent()
        && before.isPresent()
        && bpm.getAsInt() <= before.getAsInt()
        && reserve
            .filter(span -> bpm.getAsInt() < span.rateAt(Threshold.GRADED_FLAT_UNDER.whole()))
            .isPresent();
  }

  /** Whether it is too hard to go on. */
  static Optional<Finding> tooHard(int rpe20, TestPerson person, TestPlan.Graded setup) {
    Optional<Integer> ordered = setup.order().flatMap(order -> boxed(order.rpeEnds()));
    if (ordered.isPresent()) {
      return rpe20 < ordered.get()
          ? Optional.empty()
          : Optional.of(AssessmentFinding.END_RPE.of(rpe20, "The written order ends it there."));
    }
    if (person.byEffort() && rpe20 >= Threshold.GRADED_RPE_BY_EFFORT.whole()) {
      return Optional.of(
          AssessmentFinding.END_RPE.of(
              rpe20,
              "The rate tells little here: RPE "
                  + Threshold.GRADED_RPE_BY_EFFORT.whole()
                  + " ends the test."));
    }
    if (rpe20 > person.highestRpe()) {
      return Optional.of(
          AssessmentFinding.END_RPE.of(
              rpe20, "For this client RPE " + person.highestRpe() + " is the limit."));
    }
    return !setup.exhaustion() && rpe20 >= Threshold.GRADED_RPE.whole()
        ? Optional.of(AssessmentFinding.END_RPE.of(rpe20, "This is not a test to exhaustion."))
        : Optional.empty();
  }

  private static Optional<Integer> boxed(OptionalInt value) {
    return value.isPresent() ? Optional.of(value.getAsInt()) : Optional.empty();
  }
}
