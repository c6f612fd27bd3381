package app.korvel.core.maximum;

import java.math.BigDecimal;
import java.time.LocalDate;

/**
 * A measured maximum as it stands on one day.
 *
 * @param value what was measured
 * @param standsAs the kind it stands as: a peak that another day confirms is a confirmed one
 * @param standardErrorBpm how sure it is on that day, to one decimal
 * @param dueOn the day from which it is to be measured again
 * @param state what it is good for
 * @param reason why, in a sentence
 */
public record JudgedMaximum(
    MeasuredMaximum value,
    MaximumKind standsAs,
    BigDecimal standardErrorBpm,
    LocalDate dueOn,
    State state,
    String reason) {

  /** What a measured maximum is good for. */
  public enum State {
    /** Everything starts from it. */
    WORKING,
    /** It qualifies, and a higher one stands before it. */
    QUALIFIES,
    /** Over the working maximum, or worth repeating; not used until it qualifies. */
    PROPOSAL,
    /** A peak that does not reach the working maximum: it says only that it was not reached. */
    NOT_REACHED,
    /** A peak of somebody of whom none is ever taken for a maximum. */
    KEPT,
    /** From before a change of medicine. */
    STALE
  }

  JudgedMaximum as(State other, String why) {
    return new JudgedMaximum(value, standsAs, standardErrorBpm, dueOn, other, why);
  }

  /** Whether it may be prescribed from. */
  boolean qualifies() {
    return state == State.QUALIFIES || state == State.WORKING;
  }

  /** What it is called: a confirmed peak is one, whatever it was recorded as. */
  String words() {
    return standsAs == MaximumKind.CONFIRMED_PEAK ? standsAs.displayName() : value.words();
  }
}
