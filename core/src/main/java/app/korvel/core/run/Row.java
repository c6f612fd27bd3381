package app.korvel.core.run;

import java.time.Duration;
import java.util.Objects;

/**
 * A row of a protocol: one stretch of it.
 *
 * @param begins when its clock begins
 * @param length how long it lasts by its clock
 * @param earliest after the row before, where it begins on a word
 * @param latest after the row before: a row that waits begins then by itself, one that begins on a
 *     word should have begun
 * @param warm whether it is done warmed up: after a long pause a warm-up comes first
 */
public record Row(
    Begins begins, Duration length, Duration earliest, Duration latest, boolean warm) {

  /** When the clock of a row begins. */
  public enum Begins {
    /** As soon as the row before is over. */
    AT_ONCE,
    /** When the body has reached what the row asks for. */
    ON_REACHING,
    /** When whoever leads says so. */
    ON_WORD
  }

  public Row {
    Objects.requireNonNull(begins);
    if (length.isNegative() || earliest.isNegative() || latest.isNegative()) {
      throw new IllegalArgumentException("A row has no negative time.");
    }
  }

  /** A row that begins as soon as the one before is over. */
  public static Row of(Duration length, boolean warm) {
    return new Row(Begins.AT_ONCE, length, Duration.ZERO, Duration.ZERO, warm);
  }

  /** A row whose clock begins when the body is there, or by itself after {@code latest}. */
  public static Row waiting(Duration length, Duration latest) {
    return new Row(Begins.ON_REACHING, length, Duration.ZERO, latest, true);
  }

  /** A row that begins on a word, not before {@code earliest} and advisedly by {@code latest}. */
  public static Row onWord(Duration length, Duration earliest, Duration latest) {
    return new Row(Begins.ON_WORD, length, earliest, latest, true);
  }

  Row lasting(Duration other) {
    return new Row(begins, other, earliest, latest, warm);
  }
}
