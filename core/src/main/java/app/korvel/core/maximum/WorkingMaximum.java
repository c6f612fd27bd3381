package app.korvel.core.maximum;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * The maximum that everything else starts from, in one mode, on one day.
 *
 * @param mode what the body does
 * @param bpm the value
 * @param standardErrorBpm how sure it is, to one decimal
 * @param origin where it comes from
 * @param measured the measured value it is or is borrowed from; empty for an estimate
 * @param estimate the equation it is worked out by; empty for a measured one
 */
public record WorkingMaximum(
    Mode mode,
    int bpm,
    BigDecimal standardErrorBpm,
    Origin origin,
    Optional<JudgedMaximum> measured,
    Optional<Estimate> estimate) {

  /** Where a working maximum comes from. */
  public enum Origin {
    MEASURED,
    /** The measured running value, less what the mode takes off. */
    BORROWED,
    ESTIMATED,
    /** By the equation the instructor chose. */
    CHOSEN
  }

  static WorkingMaximum measured(JudgedMaximum value) {
    return new WorkingMaximum(
        value.value().mode(),
        value.value().bpm(),
        value.standardErrorBpm(),
        Origin.MEASURED,
        Optional.of(value),
        Optional.empty());
  }

  static WorkingMaximum borrowed(WorkingMaximum running, Mode mode) {
    return new WorkingMaximum(
        mode,
        running.bpm - mode.lessBpm(),
        mode.borrowedErrorBpm(running.standardErrorBpm),
        Origin.BORROWED,
        running.measured,
        Optional.empty());
  }

  static WorkingMaximum estimated(Estimate estimate, Mode mode, boolean chosen) {
    return new WorkingMaximum(
        mode,
        estimate.bpm().orElseThrow(),
        estimate.standardErrorBpm(),
        chosen ? Origin.CHOSEN : Origin.ESTIMATED,
        Optional.empty(),
        Optional.of(estimate));
  }

  /** The id of its equation, or of the kind it was measured as: its entry among the methods. */
  public String method() {
    return measured
        .map(value -> value.standsAs().id())
        .orElseGet(() -> estimate.orElseThrow().equation().id());
  }

  /** What it is, in a few words. */
  public String words() {
    return measured
        .map(value -> (origin == Origin.BORROWED ? "from running, " : "") + value.words())
        .orElseGet(() -> estimate.orElseThrow().equation().formula());
  }
}
