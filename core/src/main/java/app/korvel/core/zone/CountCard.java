package app.korvel.core.zone;

import app.korvel.core.measure.Formula;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.LongHand;
import app.korvel.core.measure.LongHand.Finish;
import app.korvel.core.measure.LongHand.Line;
import app.korvel.core.measure.Rounding;
import app.korvel.core.pulse.CountWindow;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

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

  /** Those used in most sessions. */
  static final List<CountWindow> WINDOWS_EVERYDAY = List.of(CountWindow.S10, CountWindow.S15);

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

  /** The counts of each single rate that a heart can have, worked out once. */
  private static final List<CountCard> SINGLE_RATES =
      IntStream.rangeClosed(0, Limit.PULSE.highest()).mapToObj(bpm -> of(bpm, bpm)).toList();

  /**
   * The counts of a single rate.
   *
   * @param bpm up to the highest of {@link Limit#PULSE}
   */
  public static CountCard of(int bpm) {
    return SINGLE_RATES.get(bpm);
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
   * @throws InvalidValueException when the upper edge is under the lower one
   */
  public static CountCard of(int lowBpm, int highBpm, boolean capped) {
    if (highBpm < lowBpm) {
      throw InvalidValueException.of(
          "highBpm",
          highBpm + " is under the lower edge (" + lowBpm + ")",
          lowBpm + " to " + Limit.PULSE.highest() + " " + Limit.PULSE.unit());
    }
    Map<CountWindow, Beats> beats = new EnumMap<>(CountWindow.class);
    for (CountWindow window : WINDOWS) {
      int high = capped ? highBpm * window.seconds() / 60 : halfUp(highBpm, window);
      beats.put(window, new Beats(Math.min(halfUp(lowBpm, window), high), high));
    }
    return new CountCard(beats);
  }

  /**
   * The counts of a range worked out long hand, in every window.
   *
   * @throws InvalidValueException as {@link #of(int, int, boolean)}
   */
  public static LongHand longHand(int lowBpm, int highBpm, boolean capped) {
    of(lowBpm, highBpm, capped);
    return LongHand.of(lines(lowBpm, highBpm, capped, WINDOWS));
  }

  /** The counts of a range in those windows, as steps of a sum. */
  static List<Line> lines(int lowBpm, int highBpm, boolean capped, List<CountWindow> windows) {
    List<Line> lines = new ArrayList<>();
    for (CountWindow window : windows) {
      lines.add(line("Lowest count in ", lowBpm, window, Finish.WHOLE));
      if (lowBpm != highBpm) {
        lines.add(line("Highest count in ", highBpm, window, capped ? Finish.DOWN : Finish.WHOLE));
      }
    }
    return lines;
  }

  private static Line line(String label, int bpm, CountWindow window, Finish finish) {
    return Line.of(
        Formula.COUNT_CARD,
        label + window.seconds() + " s",
        bpm + " × " + window.seconds() + " ÷ 60",
        BigDecimal.valueOf((long) bpm * window.seconds())
            .divide(BigDecimal.valueOf(60), MathContext.DECIMAL64),
        "beats",
        finish);
  }

  private static int halfUp(int bpm, CountWindow window) {
    return Rounding.quotient((long) bpm * window.seconds(), 60);
  }
}
