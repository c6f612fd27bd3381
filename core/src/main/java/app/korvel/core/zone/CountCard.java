package app.korvel.core.zone;

import app.korvel.core.measure.Formula;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Working;
import app.korvel.core.measure.Working.Finish;
import app.korvel.core.measure.Working.Line;
import app.korvel.core.pulse.CountWindow;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * A range as beats to count, since nobody multiplies while running: beats = bpm × window / 60,
 * rounded half up; under a cap never so many that they would make a rate over it.
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
    return of(lowBpm, highBpm, OptionalInt.empty());
  }

  /**
   * The counts of a range.
   *
   * @param cap a rate that no count may come to exceed, whether it cuts the range or not: with an
   *     upper edge and a cap of 142 the highest is 35 in 15 s, since 36 would allow 144
   * @throws InvalidValueException when the upper edge is under the lower one
   */
  public static CountCard of(int lowBpm, int highBpm, OptionalInt cap) {
    if (highBpm < lowBpm) {
      throw InvalidValueException.of(
          "highBpm",
          highBpm + " is under the lower edge (" + lowBpm + ")",
          lowBpm + " to " + Limit.PULSE.highest() + " " + Limit.PULSE.unit());
    }
    Map<CountWindow, Beats> beats = new EnumMap<>(CountWindow.class);
    for (CountWindow window : WINDOWS) {
      int high = highest(highBpm, cap, window);
      beats.put(window, new Beats(Math.min(halfUp(lowBpm, window), high), high));
    }
    return new CountCard(beats);
  }

  /**
   * The counts of a range worked out step by step, in every window.
   *
   * @throws InvalidValueException as {@link #of(int, int, OptionalInt)}
   */
  public static Working longHand(int lowBpm, int highBpm, OptionalInt cap) {
    of(lowBpm, highBpm, cap);
    return Working.of(lines(lowBpm, highBpm, cap, WINDOWS));
  }

  /** The counts of a range in those windows, as steps of a sum. */
  static List<Line> lines(int lowBpm, int highBpm, OptionalInt cap, List<CountWindow> windows) {
    List<Line> lines = new ArrayList<>();
    for (CountWindow window : windows) {
      boolean single = lowBpm == highBpm;
      if (!single) {
        lines.add(line("Lowest count in ", lowBpm, cap, window));
      }
      lines.add(line(single ? "Count in " : "Highest count in ", highBpm, cap, window));
    }
    return lines;
  }

  /** The highest count that neither the edge nor the cap forbids. */
  private static int highest(int bpm, OptionalInt cap, CountWindow window) {
    int beats = halfUp(bpm, window);
    return cap.isPresent() ? Math.min(beats, cap.getAsInt() * window.seconds() / 60) : beats;
  }

  private static Line line(String label, int edgeBpm, OptionalInt cap, CountWindow window) {
    int bpm = cap.isPresent() ? Math.min(edgeBpm, cap.getAsInt()) : edgeBpm;
    Finish finish = highest(bpm, cap, window) < halfUp(bpm, window) ? Finish.DOWN : Finish.WHOLE;
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
