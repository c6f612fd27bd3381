package app.korvel.core.maximum;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Texts;
import java.time.LocalDate;

/**
 * The instructor's own choice of an equation, instead of the default.
 *
 * @param method id of the equation
 * @param reason why, in the instructor's words, {@value #SHORTEST_REASON} to {@value
 *     #LONGEST_REASON} characters
 * @param chosenOn the day it was made
 */
public record Choice(String method, String reason, LocalDate chosenOn) {
  /** The shortest reason that says anything. */
  public static final int SHORTEST_REASON = 3;

  /** The longest reason that is kept. */
  public static final int LONGEST_REASON = 200;

  /**
   * Checks the reason.
   *
   * @throws InvalidValueException when it is too short, too long, or more than one line of text
   */
  public static Choice of(String method, String reason, LocalDate chosenOn) {
    return new Choice(
        method, Texts.checked("reason", reason, SHORTEST_REASON, LONGEST_REASON), chosenOn);
  }
}
