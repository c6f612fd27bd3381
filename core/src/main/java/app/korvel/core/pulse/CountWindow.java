package app.korvel.core.pulse;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import java.util.Arrays;
import java.util.stream.Collectors;

/**
 * How long a pulse is counted. One beat either way is the error of a count, so the rate carries 60
 * / window bpm either way.
 */
public enum CountWindow {
  S6(6, "quick look in a class"),
  S10(10, "during effort"),
  S15(15, "class counts, during effort"),
  S30(30, "resting"),
  S60(60, "resting, and whenever the rhythm is uneven");

  private final int seconds;
  private final String use;

  CountWindow(int seconds, String use) {
    this.seconds = seconds;
    this.use = use;
  }

  /**
   * The window of that many seconds.
   *
   * @throws InvalidValueException when there is none
   */
  public static CountWindow of(int seconds) {
    return Arrays.stream(values())
        .filter(window -> window.seconds == seconds)
        .findFirst()
        .orElseThrow(
            () ->
                InvalidValueException.of(
                    "windowSeconds", seconds + " is not a counting window", accepted()));
  }

  /** The windows in words. */
  public static String accepted() {
    return Arrays.stream(values())
            .map(window -> String.valueOf(window.seconds))
            .collect(Collectors.joining(", "))
        + " seconds";
  }

  /** Length in seconds. */
  public int seconds() {
    return seconds;
  }

  /** What beats are multiplied by to give bpm; also the error of the result, ± bpm. */
  public int multiplier() {
    return 60 / seconds;
  }

  /** What it is good for. */
  public String use() {
    return use;
  }

  /** The fewest beats that make an accepted rate ({@link Limit#PULSE}). */
  public int fewestBeats() {
    return (Limit.PULSE.lowest() + multiplier() - 1) / multiplier();
  }

  /** The most beats that make an accepted rate ({@link Limit#PULSE}). */
  public int mostBeats() {
    return Limit.PULSE.highest() / multiplier();
  }
}
