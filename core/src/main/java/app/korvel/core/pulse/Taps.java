package app.korvel.core.pulse;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * A pulse tapped along, a tap for every beat: its rate, and a first word on its rhythm.
 *
 * <p>bpm = 60,000 × kept intervals ÷ their sum in ms. Taps carry human jitter, so an uneven rhythm
 * is a prompt to count a full minute, never a finding about the heart.
 *
 * @param bpm the rate
 * @param kept how many intervals it stands on
 * @param seconds how long those lasted together, rounded down
 * @param setAside what was not used, in the order of the taps
 * @param uneven the numbers of the taps whose interval is far off the median, from 1
 * @param rhythm how the beats followed each other
 * @param findings what to do about what was set aside or uneven
 */
public record Taps(
    int bpm,
    int kept,
    int seconds,
    List<SetAside> setAside,
    List<Integer> uneven,
    Rhythm rhythm,
    List<Finding> findings) {

  // Times are read to the microsecond, finer than any hand or browser, so that all the arithmetic
  // is exact in whole numbers.
  private static final int MICROS_SCALE = 3;
  private static final long SECOND = 1_000_000;
  private static final long MINUTE = 60 * SECOND;
  private static final long BOUNCE = micros(Threshold.TAP_BOUNCE.value());
  private static final long PAUSE = micros(Threshold.TAP_PAUSE.value());
  private static final int FEWEST = Threshold.TAPS_FEWEST.whole();
  private static final int MOST = Threshold.TAPS_MOST.whole();
  private static final int MOST_DIGITS = 14;
  private static final int PERCENT = 100;

  /** Why an interval was not used. */
  public enum Kind {
    /** Too soon after the tap before to be a beat: dropped. */
    BOUNCE,
    /** So long that a tap was missed, or the pulse paused. */
    PAUSE
  }

  /**
   * An interval that was not used.
   *
   * @param tap the number of the tap that ended it, from 1
   * @param millis how long after the last tap that counts
   * @param kind why
   */
  public record SetAside(int tap, BigDecimal millis, Kind kind) {}

  public Taps {
    setAside = List.copyOf(setAside);
    uneven = List.copyOf(uneven);
    findings = List.copyOf(findings);
  }

  /**
   * Judges taps.
   *
   * @param millis when each was made, in milliseconds from any beginning, read to the microsecond;
   *     none before the one before it; 8 to 2,000 of them
   * @throws InvalidValueException when there are too few or too many, they run backwards, or no
   *     pulse comes of them
   */
  public static Taps of(List<BigDecimal> millis) {
    if (millis.size() < FEWEST || millis.size() > MOST) {
      throw InvalidValueException.of(
          "tapMillis", "has " + millis.size() + " taps", FEWEST + " to " + MOST + " taps");
    }
    long[] intervals = new long[millis.size()];
    int[] endedBy = new int[millis.size()];
    int kept = 0;
    List<SetAside> setAside = new ArrayList<>();
    long before = micros(millis, 0);
    long last = before;
    for (int i = 1; i < millis.size(); i++) {
      long now = micros(millis, i);
      if (now < before) {
        throw InvalidValueException.of(
            "tapMillis[" + i + "]", "lies before the tap before it", "times that never run back");
      }
      before = now;
      long interval = now - last;
      if (interval < BOUNCE) {
        setAside.add(new SetAside(i + 1, inMillis(interval), Kind.BOUNCE));
        continue;
      }
      if (interval > PAUSE) {
        setAside.add(new SetAside(i + 1, inMillis(interval), Kind.PAUSE));
      } else {
        intervals[kept] = interval;
        endedBy[kept++] = i + 1;
      }
      last = now;
    }
    if (kept == 0) {
      throw InvalidValueException.of(
          "tapMillis",
          "holds no two taps that could be one beat and the next",
          "taps " + inMillis(BOUNCE) + " to " + inMillis(PAUSE) + " ms apart");
    }
    long[] all = Arrays.copyOf(intervals, kept);
    long sum = Arrays.stream(all).sum();
    int bpm = bpm(kept, sum);
    List<Integer> uneven = uneven(all).mapToObj(i -> endedBy[i]).toList();
    Rhythm rhythm = rhythm(kept, uneven.size());
    return new Taps(
        bpm, kept, (int) (sum / SECOND), setAside, uneven, rhythm, findings(setAside, rhythm));
  }

  private static long micros(List<BigDecimal> millis, int at) {
    BigDecimal tap = millis.get(at);
    if (tap.precision() - tap.scale() > MOST_DIGITS || Math.abs(tap.scale()) > 2 * MOST_DIGITS) {
      throw InvalidValueException.of(
          "tapMillis[" + at + "]",
          "is no moment a clock gives",
          "milliseconds of up to " + MOST_DIGITS + " digits");
    }
    return micros(tap);
  }

  private static long micros(BigDecimal millis) {
    return millis.setScale(MICROS_SCALE, RoundingMode.HALF_UP).unscaledValue().longValueExact();
  }

  private static BigDecimal inMillis(long micros) {
    BigDecimal millis = BigDecimal.valueOf(micros, MICROS_SCALE).stripTrailingZeros();
    return millis.scale() < 0 ? millis.setScale(0) : millis;
  }

  private static int bpm(int intervals, long sum) {
    int bpm = Rounding.quotient(MINUTE * intervals, sum);
    if (!Limit.PULSE.accepts(bpm)) {
      throw InvalidValueException.of(
          "tapMillis", "makes " + bpm + " bpm, which is no pulse", Limit.PULSE.accepted());
    }
    return bpm;
  }

  /** Which intervals are over 20 % off the median. */
  private static IntStream uneven(long[] intervals) {
    long twice = twiceMedian(intervals);
    long by = Threshold.TAPS_UNEVEN_BY.whole();
    return IntStream.range(0, intervals.length)
        .filter(i -> Math.abs(2 * intervals[i] - twice) * PERCENT > by * twice);
  }

  /** Uneven with at least 3 uneven intervals, and a fifth of them. */
  private static Rhythm rhythm(int intervals, int uneven) {
    if (intervals < FEWEST - 1) {
      return Rhythm.TOO_SHORT;
    }
    boolean often =
        uneven >= Threshold.TAPS_UNEVEN_COUNT.whole()
            && uneven * Threshold.TAPS_UNEVEN_SHARE.whole() >= intervals;
    return often ? Rhythm.UNEVEN : Rhythm.STEADY;
  }

  private static long twiceMedian(long[] intervals) {
    long[] sorted = intervals.clone();
    Arrays.sort(sorted);
    int middle = sorted.length / 2;
    return sorted.length % 2 == 1 ? 2 * sorted[middle] : sorted[middle - 1] + sorted[middle];
  }

  private static List<Finding> findings(List<SetAside> setAside, Rhythm rhythm) {
    List<Finding> findings = new ArrayList<>();
    if (rhythm == Rhythm.UNEVEN) {
      findings.add(PulseFinding.TAPS_UNEVEN.of());
    } else if (rhythm == Rhythm.TOO_SHORT) {
      findings.add(PulseFinding.TAPS_TOO_SHORT.of());
    }
    add(findings, setAside, Kind.PAUSE, PulseFinding.TAPS_PAUSED);
    add(findings, setAside, Kind.BOUNCE, PulseFinding.TAPS_BOUNCED);
    return findings;
  }

  private static void add(
      List<Finding> findings, List<SetAside> setAside, Kind kind, FindingKind said) {
    long count = setAside.stream().filter(each -> each.kind == kind).count();
    if (count > 0) {
      findings.add(said.of(count == 1 ? "One interval was" : count + " intervals were"));
    }
  }
}
