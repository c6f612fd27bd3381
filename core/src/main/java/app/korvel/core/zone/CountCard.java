package app.korvel.core.zone;

import app.korvel.core.measure.Rounding;
import app.korvel.core.pulse.CountWindow;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * A range as beats to count, since nobody multiplies while running: beats = bpm × window / 60,
 * rounded half up.
 *
 * @param beats lowest and highest count for each window
 */
public record CountCard(Map<CountWindow, Beats> beats) {

  /** The windows a card carries. */
  public static final List<CountWindow> WINDOWS =
      List.of(CountWindow.S6, CountWindow.S10, CountWindow.S15, CountWindow.S30);

  /**
   * Lowest and highest count, both included.
   *
   * @param low lowest count
   * @param high highest count
   */
  public record Beats(int low, int high) {}

  public CountCard {
    beats = Map.copyOf(beats);
  }

  /** The counts of a range, both edges rounded half up. */
  public static CountCard of(int lowBpm, int highBpm) {
    return of(lowBpm, highBpm, false);
  }

  /**
   * The counts of a range.
   *
   * @param capped whether the upper edge is a cap: then its count is rounded down, so that the
   *     count never allows what the cap forbids (cap 142: 35 in 15 s, not 36)
   */
  public static CountCard of(int lowBpm, int highBpm, boolean capped) {
    Map<CountWindow, Beats> beats = new EnumMap<>(CountWindow.class);
    for (CountWindow window : WINDOWS) {
      int high = capped ? highBpm * window.seconds() / 60 : halfUp(highBpm, window);
      beats.put(window, new Beats(Math.min(halfUp(lowBpm, window), high), high));
    }
    return new CountCard(beats);
  }

  private static int halfUp(int bpm, CountWindow window) {
    return Rounding.quotient((long) bpm * window.seconds(), 60);
  }
}
