package app.korvel.core.talk;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.CountWindow;
import java.util.Arrays;
import java.util.Optional;

/** What read the rate of a talk check, and how far that strays. */
public enum RateBy {
  STRAP("strap", 0.5, 0.5),
  TAP("taps", 1, 1),
  COUNT60("60 s count", 0.5, 0.5),
  COUNT30("30 s count", 1, 1),
  COUNT15("15 s count", 2, 2),
  COUNT10("10 s count", 3, 3),
  /** It reads well while it shows easy work itself. */
  WRIST("wrist", 2, 5);

  private final String words;
  private final double easy;
  private final double hard;

  RateBy(String words, double easy, double hard) {
    this.words = words;
    this.easy = easy;
    this.hard = hard;
  }

  /** The window of a count; empty for what is no count. */
  public Optional<CountWindow> window() {
    return switch (this) {
      case COUNT10 -> Optional.of(CountWindow.S10);
      case COUNT15 -> Optional.of(CountWindow.S15);
      case COUNT30 -> Optional.of(CountWindow.S30);
      case COUNT60 -> Optional.of(CountWindow.S60);
      case STRAP, TAP, WRIST -> Optional.empty();
    };
  }

  /** As it stands in a sentence. */
  public String words() {
    return words;
  }

  /**
   * How far it strays, bpm.
   *
   * @param hard whether the rate is over the second level
   */
  double errorBpm(boolean over) {
    return over ? hard : easy;
  }

  /**
   * A count of that window.
   *
   * @throws app.korvel.core.measure.InvalidValueException for one of 6 s, which is too coarse
   */
  public static RateBy count(CountWindow window) {
    return Arrays.stream(values())
        .filter(by -> by.window().filter(window::equals).isPresent())
        .findFirst()
        .orElseThrow(
            () ->
                InvalidValueException.of(
                    "windowSeconds",
                    window.seconds() + " s is too coarse for a talk check",
                    "10, 15, 30 or 60 seconds"));
  }
}
