package app.korvel.core.pulse;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
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

  private static final BigDecimal MINUTE = BigDecimal.valueOf(60_000);
  private static final BigDecimal SECOND = BigDecimal.valueOf(1_000);
  private static final BigDecimal BOUNCE = Threshold.TAP_BOUNCE.value();
  private static final BigDecimal PAUSE = Threshold.TAP_PAUSE.value();
  private static final int FEWEST = Threshold.TAPS_FEWEST.whole();
  private static final int MOST = Threshold.TAPS_MOST.whole();

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
   * @param millis when each was made, in milliseconds from any beginning; none before the one
   *     before it; 8 to 2,000 of them
   * @throws InvalidValueException when there are too few or too many, they run backwards, or no
   *     pulse comes of them
   */
  public static Taps of(List<BigDecimal> millis) {
    if (millis.size() < FEWEST || millis.size() > MOST) {
      throw InvalidValueException.of(
          "tapMillis", "has " + millis.size() + " taps", FEWEST + " to " + MOST + " taps");
    }
    List<BigDecimal> intervals = new ArrayList<>();
    List<Integer> endedBy = new ArrayList<>();
    List<SetAside> setAside = new ArrayList<>();
    BigDecimal last = millis.get(0);
    for (int i = 1; i < millis.size(); i++) {
      BigDecimal now = millis.get(i);
      if (now.compareTo(millis.get(i - 1)) < 0) {
        throw InvalidValueException.of(
            "tapMillis[" + i + "]", "lies before the tap before it", "times that never run back");
      }
      BigDecimal interval = now.subtract(last);
      if (interval.compareTo(BOUNCE) < 0) {
        setAside.add(new SetAside(i + 1, interval, Kind.BOUNCE));
        continue;
      }
      if (interval.compareTo(PAUSE) > 0) {
        setAside.add(new SetAside(i + 1, interval, Kind.PAUSE));
      } else {
        intervals.add(interval);
        endedBy.add(i + 1);
      }
      last = now;
    }
    if (intervals.isEmpty()) {
      throw InvalidValueException.of(
          "tapMillis",
          "holds no two taps that could be one beat and the next",
          "taps " + BOUNCE + " to " + PAUSE + " ms apart");
    }
    BigDecimal sum = intervals.stream().reduce(BigDecimal.ZERO, BigDecimal::add);
    int bpm = bpm(intervals.size(), sum);
    List<Integer> uneven = uneven(intervals).stream().map(endedBy::get).toList();
    Rhythm rhythm = rhythm(intervals.size(), uneven.size());
    return new Taps(
        bpm,
        intervals.size(),
        sum.divideToIntegralValue(SECOND).intValueExact(),
        setAside,
        uneven,
        rhythm,
        findings(setAside, rhythm));
  }

  private static int bpm(int intervals, BigDecimal sum) {
    int bpm =
        Rounding.halfUp(
            MINUTE.multiply(BigDecimal.valueOf(intervals)).divide(sum, MathContext.DECIMAL64));
    if (!Limit.PULSE.accepts(bpm)) {
      throw InvalidValueException.of(
          "tapMillis", "makes " + bpm + " bpm, which is no pulse", Limit.PULSE.accepted());
    }
    return bpm;
  }

  /** Which intervals are over 20 % off the median. */
  private static List<Integer> uneven(List<BigDecimal> intervals) {
    BigDecimal median = median(intervals);
    BigDecimal off =
        median.multiply(Threshold.TAPS_UNEVEN_BY.value()).divide(BigDecimal.valueOf(100));
    return IntStream.range(0, intervals.size())
        .filter(i -> intervals.get(i).subtract(median).abs().compareTo(off) > 0)
        .boxed()
        .toList();
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

  private static BigDecimal median(List<BigDecimal> intervals) {
    List<BigDecimal> sorted = intervals.stream().sorted().toList();
    int middle = sorted.size() / 2;
    return sorted.size() % 2 == 1
        ? sorted.get(middle)
        : sorted.get(middle - 1).add(sorted.get(middle)).divide(BigDecimal.valueOf(2));
  }

  private static List<Finding> findings(List<SetAside> setAside, Rhythm rhythm) {
    List<Finding> findings = new ArrayList<>();
    if (rhythm == Rhythm.UNEVEN) {
      findings.add(FindingKind.TAPS_UNEVEN.of());
    } else if (rhythm == Rhythm.TOO_SHORT) {
      findings.add(FindingKind.TAPS_TOO_SHORT.of());
    }
    add(findings, setAside, Kind.PAUSE, FindingKind.TAPS_PAUSED);
    add(findings, setAside, Kind.BOUNCE, FindingKind.TAPS_BOUNCED);
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
