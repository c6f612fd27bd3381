package app.korvel.core.maximum;

import java.math.BigDecimal;
import java.util.OptionalInt;

/**
 * One equation worked out for one person and mode.
 *
 * @param equation the row of the table
 * @param bpm the maximum, rounded half up; empty where the equation needs a resting rate and there
 *     is none
 * @param standardErrorBpm its standard error in this mode, to one decimal
 * @param applies whether it may be used for this person
 * @param reason why, or why not
 */
public record Estimate(
    Equation equation,
    OptionalInt bpm,
    BigDecimal standardErrorBpm,
    boolean applies,
    String reason) {

  /** Whether it is the equation of that id. */
  public boolean is(String method) {
    return equation.id().equals(method);
  }

  /** Whether it may be chosen and prescribed from: it applies, and not for information only. */
  public boolean prescribable() {
    return applies && !equation.forInformationOnly();
  }
}
