package app.korvel.core.pulse;

import app.korvel.core.measure.Formula;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Working;
import java.math.BigDecimal;
import java.util.List;

/**
 * Beats counted in a window: bpm = beats × 60 / window, ± one beat.
 *
 * @param beats whole beats that make a rate of {@link Limit#PULSE}
 * @param window how long was counted
 */
public record PulseCount(int beats, CountWindow window) {

  /**
   * A count.
   *
   * @throws InvalidValueException when the beats make a rate outside {@link Limit#PULSE}
   */
  public PulseCount {
    if (beats < window.fewestBeats() || beats > window.mostBeats()) {
      throw InvalidValueException.of(
          "beats",
          beats + " beats in " + window.seconds() + " s are no pulse",
          window.fewestBeats()
              + " to "
              + window.mostBeats()
              + " whole beats in "
              + window.seconds()
              + " s ("
              + Limit.PULSE.accepted()
              + ")");
    }
  }

  /** See {@link PulseCount#PulseCount}. */
  public static PulseCount of(int beats, CountWindow window) {
    return new PulseCount(beats, window);
  }

  /** The rate in bpm. */
  public int bpm() {
    return beats * window.multiplier();
  }

  /** The rate worked out step by step. */
  public Working longHand() {
    return Working.of(
        List.of(
            Working.Line.of(
                Formula.COUNT,
                "Counts in a minute",
                "60 ÷ " + window.seconds(),
                BigDecimal.valueOf(window.multiplier()),
                "",
                Working.Finish.EXACT),
            Working.Line.of(
                Formula.COUNT,
                "Beats a minute",
                beats + " × " + window.multiplier(),
                BigDecimal.valueOf(bpm()),
                "bpm",
                Working.Finish.EXACT)));
  }

  /** One beat either way, in bpm. */
  public int uncertaintyBpm() {
    return window.multiplier();
  }
}
