package app.korvel.core.pulse;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import java.util.Arrays;
import java.util.List;

/**
 * A resting sample of a minute by strap: the mean of the beats that fit together, and how many did
 * not. Where the strap tells no intervals, the mean of the rates it told.
 *
 * @param bpm the mean rate, half up
 * @param beats how many beats it stands on; of rates, how many readings
 * @param setAsidePercent of all beats those that were not used, half up
 * @param rhythm uneven where at least three, and one in five, are far off the median
 */
public record StrapSample(int bpm, int beats, int setAsidePercent, Rhythm rhythm) {
  /** How long it is taken for, in seconds. */
  public static final int SECONDS = 60;

  /** A sample that lacks more than so many seconds is none. */
  private static final int MISSING = 5;

  private static final int TICKS = 1024;
  private static final int MS = 1000;

  /**
   * What a minute comes to.
   *
   * @param seconds from the first packet to the last
   * @param intervals between beats, in 1/1024 s
   * @param rates those told with skin contact, bpm
   * @throws InvalidValueException when it is too short, or nothing of it can be used
   */
  public static StrapSample of(int seconds, List<Integer> intervals, List<Integer> rates) {
    if (seconds < SECONDS - MISSING) {
      throw InvalidValueException.of(
          "packets", "last " + seconds + " s", "a sample of " + SECONDS + " s");
    }
    return intervals.isEmpty() ? ofRates(rates) : ofIntervals(intervals);
  }

  private static StrapSample ofRates(List<Integer> rates) {
    if (rates.size() < SECONDS / 2) {
      throw InvalidValueException.of(
          "packets", "hold " + rates.size() + " rates", "a rate in every second one, with contact");
    }
    int sum = rates.stream().mapToInt(Integer::intValue).sum();
    return new StrapSample(Rounding.quotient(sum, rates.size()), rates.size(), 0, Rhythm.TOO_SHORT);
  }

  private static StrapSample ofIntervals(List<Integer> intervals) {
    int[] possible =
        intervals.stream().mapToInt(Integer::intValue).filter(StrapSample::beats).toArray();
    if (possible.length < Threshold.TAPS_FEWEST.whole()) {
      throw InvalidValueException.of(
          "packets", "hold " + possible.length + " beats", "the beats of a minute");
    }
    int[] sorted = possible.clone();
    Arrays.sort(sorted);
    int median = sorted[(sorted.length - 1) / 2];
    int[] kept = Arrays.stream(possible).filter(each -> near(each, median)).toArray();
    int uneven = possible.length - kept.length;
    boolean isUneven =
        uneven >= Threshold.TAPS_UNEVEN_COUNT.whole()
            && uneven * Threshold.TAPS_UNEVEN_SHARE.whole() >= possible.length;
    long ticks = Arrays.stream(kept).sum();
    return new StrapSample(
        Rounding.quotient(60L * TICKS * kept.length, ticks),
        kept.length,
        Rounding.quotient(100L * (intervals.size() - kept.length), intervals.size()),
        isUneven ? Rhythm.UNEVEN : Rhythm.STEADY);
  }

  private static boolean beats(int ticks) {
    return ticks * MS >= Threshold.TAP_BOUNCE.whole() * TICKS
        && ticks * MS <= Threshold.TAP_PAUSE.whole() * TICKS;
  }

  private static boolean near(int ticks, int median) {
    return 100 * Math.abs(ticks - median) <= Threshold.TAPS_UNEVEN_BY.whole() * median;
  }
}
