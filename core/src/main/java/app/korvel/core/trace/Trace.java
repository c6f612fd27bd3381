package app.korvel.core.trace;

import app.korvel.core.measure.InvalidValueException;
import java.util.Arrays;
import java.util.OptionalInt;

/**
 * A recording second by second, from second 1 on. The value of a second is the last sample at or
 * before it that is not over {@value #HELD_SECONDS} s old; with none there is no data, which is
 * never zero.
 */
public final class Trace {
  /** The longest recording that is held, in seconds: twelve hours. */
  public static final int MOST_SECONDS = 12 * 60 * 60;

  /** The lowest rate that a sample is taken at, bpm. */
  public static final int LOWEST = 25;

  /** The highest rate that a sample is taken at, bpm. */
  public static final int HIGHEST = 240;

  /** So long a sample stands for the seconds after it. */
  public static final int HELD_SECONDS = 5;

  /** The smoothed rate is the median of so many seconds, the last of them its own. */
  private static final int WINDOW = 5;

  /** Of so many values at least. */
  private static final int FEWEST = 3;

  private static final short NONE = 0;

  /** By second less one; {@link #NONE} where there was no sample. */
  private final short[] sampled;

  private final short[] smoothed;

  private Trace(short[] sampled) {
    this.sampled = sampled;
    this.smoothed = new short[sampled.length];
    short[] window = new short[WINDOW];
    for (int second = 1; second <= sampled.length; second++) {
      smoothed[second - 1] = smooth(second, window);
    }
  }

  /**
   * A recording. Samples outside {@value #LOWEST} to {@value #HIGHEST} bpm are dropped; of several
   * in one second the last one counts.
   *
   * @param at the second of each sample, from 1, not falling
   * @param bpm its rate, or 0 where there was none
   * @throws InvalidValueException when the two are not alike, a second lies before the one before
   *     it, or the recording is longer than {@value #MOST_SECONDS} s
   */
  public static Trace of(int[] at, int[] bpm) {
    if (at.length != bpm.length) {
      throw InvalidValueException.of("samples", "have seconds and rates of two lengths", "pairs");
    }
    int last = 0;
    for (int second : at) {
      if (second < Math.max(1, last)) {
        throw InvalidValueException.of(
            "samples", "second " + second + " comes after " + last, "seconds from 1 on, rising");
      }
      last = second;
    }
    if (last > MOST_SECONDS) {
      throw InvalidValueException.of(
          "samples", "last " + last + " s", "up to " + MOST_SECONDS + " s");
    }
    return of(at, bpm, last);
  }

  /**
   * The same up to a second, with no data after the last sample.
   *
   * @param seconds up to {@value #MOST_SECONDS}; samples after it are left out
   */
  public static Trace of(int[] at, int[] bpm, int seconds) {
    short[] sampled = new short[Math.min(MOST_SECONDS, seconds)];
    for (int n = 0; n < at.length; n++) {
      if (at[n] <= sampled.length && bpm[n] >= LOWEST && bpm[n] <= HIGHEST) {
        sampled[at[n] - 1] = (short) bpm[n];
      }
    }
    return new Trace(sampled);
  }

  /** The same without what comes after a second. */
  public Trace upTo(int second) {
    return second >= sampled.length ? this : new Trace(Arrays.copyOf(sampled, Math.max(0, second)));
  }

  /** How many seconds it has. */
  public int seconds() {
    return sampled.length;
  }

  /** Whether a sample was taken in that second itself. */
  public boolean sampledAt(int second) {
    return within(second) && sampled[second - 1] != NONE;
  }

  /** The value of a second; empty where there is no data. */
  public OptionalInt value(int second) {
    return rate(raw(second));
  }

  /** The smoothed rate: the median of that second and the four before, of three values at least. */
  public OptionalInt smoothed(int second) {
    return rate(within(second) ? smoothed[second - 1] : NONE);
  }

  /** Seconds at each smoothed rate, by bpm from 0 to {@value #HIGHEST}; those before 25 are 0. */
  public int[] histogram() {
    int[] seconds = new int[HIGHEST + 1];
    for (short bpm : smoothed) {
      if (bpm != NONE) {
        seconds[bpm]++;
      }
    }
    return seconds;
  }

  /** Seconds without a smoothed rate. */
  public int secondsWithoutData() {
    int none = 0;
    for (short bpm : smoothed) {
      none += bpm == NONE ? 1 : 0;
    }
    return none;
  }

  /**
   * The middle one of the samples of a stretch, the lower of two; empty with under {@value
   * #FEWEST}.
   *
   * @param from its first second
   * @param to its last
   */
  public OptionalInt median(int from, int to) {
    return median(from, to, FEWEST);
  }

  /** The same of so many samples at least. */
  public OptionalInt median(int from, int to, int fewest) {
    short[] found = new short[Math.max(0, to - from + 1)];
    int count = 0;
    for (int second = from; second <= to; second++) {
      if (sampledAt(second)) {
        found[count++] = sampled[second - 1];
      }
    }
    if (count < fewest) {
      return OptionalInt.empty();
    }
    Arrays.sort(found, 0, count);
    return OptionalInt.of(found[(count - 1) / 2]);
  }

  private boolean within(int second) {
    return second >= 1 && second <= sampled.length;
  }

  private short raw(int second) {
    for (int back = second; back >= Math.max(1, second - HELD_SECONDS); back--) {
      if (sampledAt(back)) {
        return sampled[back - 1];
      }
    }
    return NONE;
  }

  private short smooth(int second, short[] window) {
    int found = 0;
    for (int back = second; back > second - WINDOW && back >= 1; back--) {
      short value = raw(back);
      if (value != NONE) {
        window[found++] = value;
      }
    }
    if (found < FEWEST) {
      return NONE;
    }
    Arrays.sort(window, 0, found);
    // Of an even number the lower middle.
    return window[(found - 1) / 2];
  }

  private static OptionalInt rate(short bpm) {
    return bpm == NONE ? OptionalInt.empty() : OptionalInt.of(bpm);
  }
}
