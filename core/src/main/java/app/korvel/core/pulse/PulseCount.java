package app.korvel.core.pulse;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;

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

  /** One beat either way, in bpm. */
  public int uncertaintyBpm() {
    return window.multiplier();
  }
}
