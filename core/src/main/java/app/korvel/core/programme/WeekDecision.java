package app.korvel.core.programme;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Texts;
import app.korvel.core.programme.Progression.WeekPlan;
import java.time.Instant;
import java.util.List;

/**
 * What was decided of the next week, when the one before it was looked at.
 *
 * @param week the one that was decided, from 2
 * @param taken what the instructor did with the proposal
 * @param proposed what was proposed
 * @param because what the proposal stood on
 * @param reason why it was changed or refused; may be empty where it was accepted
 * @param decidedAt when
 */
public record WeekDecision(
    int week,
    Taken taken,
    WeekPlan proposed,
    List<Finding> because,
    String reason,
    Instant decidedAt) {

  /** The longest reason, characters. */
  public static final int REASON_LENGTH = 200;

  /** What an instructor does with a proposal. */
  public enum Taken {
    ACCEPTED,
    CHANGED,
    REFUSED
  }

  public WeekDecision {
    because = List.copyOf(because);
  }

  /**
   * Checks the reason.
   *
   * @throws InvalidValueException when one is needed and missing, or it is too long
   */
  public static WeekDecision of(
      int week,
      Taken taken,
      WeekPlan proposed,
      List<Finding> because,
      String reason,
      Instant decidedAt) {
    String clean = Texts.checked("reason", reason, taken == Taken.ACCEPTED ? 0 : 3, REASON_LENGTH);
    return new WeekDecision(week, taken, proposed, because, clean, decidedAt);
  }
}
