package app.korvel.core.trace;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;

/**
 * Two recordings of one session, second by second: the difference is the second one less the
 * reference, with limits of agreement (Bland and Altman, Lancet 1986) of this session only, since
 * seconds are no independent readings.
 *
 * @param lagSeconds how much later the second one is; negative where it is early
 * @param commonSeconds seconds in which both have a rate, at that lag
 * @param meanBpm the mean difference, to three decimals
 * @param sdBpm its standard deviation (n − 1), to three decimals
 * @param lowBpm mean − 1.96 standard deviations, to two decimals
 * @param highBpm mean + 1.96 standard deviations, to two decimals
 * @param within5Percent of the common seconds, to one decimal
 * @param onlyReference seconds of no data in the second one only
 * @param onlySecond seconds of no data in the reference only
 * @param stepLockedSeconds in which the second one followed the steps
 * @param verdict what the second one is good for
 * @param findings what is to be known
 */
public record Agreement(
    int lagSeconds,
    int commonSeconds,
    BigDecimal meanBpm,
    BigDecimal sdBpm,
    BigDecimal lowBpm,
    BigDecimal highBpm,
    BigDecimal within5Percent,
    int onlyReference,
    int onlySecond,
    int stepLockedSeconds,
    Verdict verdict,
    List<Finding> findings) {

  /** What a sensor is good for, by this session. */
  public enum Verdict {
    GOOD_FOR_TARGETS("Good for targets: it reads as the reference does."),
    GOOD_UP_TO_TALK(
        "Good up to Talk: in easy work it reads as the reference does, above that it does not."),
    NOT_FOR_STEERING(
        "Not for steering: go by the reference, by counting, or by RPE and talk instead.");

    private final String sentence;

    Verdict(String sentence) {
      this.sentence = sentence;
    }

    /** The stable id: lower case, words joined by hyphens. */
    public String id() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** What it means. */
    public String sentence() {
      return sentence;
    }
  }

  private static final int FURTHEST = Threshold.AGREEMENT_LAG.whole();
  private static final double LIMITS = 1.96;
  private static final int FEWEST = 2;

  public Agreement {
    findings = List.copyOf(findings);
  }

  /**
   * Compares them.
   *
   * @param steps the step rate of the second one by second less one; empty where it is not known
   * @param talkEndsBpm where the level after Talk begins: below it work is easy
   * @throws InvalidValueException when fewer than two seconds are in both
   */
  public static Agreement of(Trace reference, Trace second, int[] steps, int talkEndsBpm) {
    int[] one = values(reference);
    int[] other = values(second);
    Differences atOnce = differences(one, other, 0, Integer.MAX_VALUE);
    int lag = lag(one, other, atOnce);
    Differences all = lag == 0 ? atOnce : differences(one, other, lag, Integer.MAX_VALUE);
    if (all.count < FEWEST) {
      throw InvalidValueException.of(
          "second", "has under 2 seconds in common with the reference", "two recordings at once");
    }
    Differences easy = differences(one, other, lag, talkEndsBpm);
    double mean = all.mean();
    double deviation = all.deviation();
    int locked = locked(one, other, steps, lag);
    int[] alone = alone(one, other, lag);
    return new Agreement(
        lag,
        all.count,
        rounded(mean, 3),
        rounded(deviation, 3),
        rounded(mean - LIMITS * deviation, 2),
        rounded(mean + LIMITS * deviation, 2),
        rounded(100.0 * all.near / all.count, 1),
        alone[0],
        alone[1],
        locked,
        verdict(all, easy),
        findings(atOnce, lag, alone, locked));
  }

  /** The differences over seconds in which both have a rate. */
  private record Differences(int count, long sum, long squares, long absolute, int near) {
    double mean() {
      return (double) sum / count;
    }

    double deviation() {
      double spread = squares - (double) sum * sum / count;
      return Math.sqrt(Math.max(0, spread) / (count - 1));
    }

    double meanAbsolute() {
      return (double) absolute / count;
    }

    boolean good() {
      return count > 0
          && Math.abs(mean()) <= Threshold.AGREEMENT_MEAN.whole()
          && 100L * near >= (long) Threshold.AGREEMENT_SHARE.whole() * count;
    }
  }

  private static int[] values(Trace trace) {
    int[] values = new int[trace.seconds()];
    for (int second = 1; second <= values.length; second++) {
      values[second - 1] = trace.value(second).orElse(0);
    }
    return values;
  }

  /** Those where the reference is below a rate. */
  private static Differences differences(int[] one, int[] other, int lag, int below) {
    int count = 0;
    long sum = 0;
    long squares = 0;
    long absolute = 0;
    int near = 0;
    int last = Math.min(one.length, other.length - lag);
    for (int n = Math.max(0, -lag); n < last; n++) {
      if (one[n] > 0 && one[n] < below && other[n + lag] > 0) {
        int difference = other[n + lag] - one[n];
        count++;
        sum += difference;
        squares += (long) difference * difference;
        absolute += Math.abs(difference);
        near += Math.abs(difference) <= Threshold.AGREEMENT_NEAR.whole() ? 1 : 0;
      }
    }
    return new Differences(count, sum, squares, absolute, near);
  }

  /** The lag at which they differ least, nearest 0 of those alike; 0 where it hardly helps. */
  private static int lag(int[] one, int[] other, Differences atOnce) {
    if (atOnce.count < Threshold.AGREEMENT_SECONDS.whole()) {
      return 0;
    }
    int best = 0;
    double least = atOnce.meanAbsolute();
    for (int away = 1; away <= FURTHEST; away++) {
      for (int lag : new int[] {away, -away}) {
        Differences at = differences(one, other, lag, Integer.MAX_VALUE);
        if (at.count >= Threshold.AGREEMENT_SECONDS.whole() && at.meanAbsolute() < least) {
          best = lag;
          least = at.meanAbsolute();
        }
      }
    }
    double better = Threshold.AGREEMENT_LAG_BETTER.value().doubleValue();
    return atOnce.meanAbsolute() - least >= better ? best : 0;
  }

  /** Seconds in the reference only, and in the second one only. */
  private static int[] alone(int[] one, int[] other, int lag) {
    int reference = 0;
    int second = 0;
    for (int n = Math.min(0, -lag); n < Math.max(one.length, other.length - lag); n++) {
      boolean here = n >= 0 && n < one.length && one[n] > 0;
      boolean there = n + lag >= 0 && n + lag < other.length && other[n + lag] > 0;
      reference += here && !there ? 1 : 0;
      second += there && !here ? 1 : 0;
    }
    return new int[] {reference, second};
  }

  private static int locked(int[] one, int[] other, int[] steps, int lag) {
    int locked = 0;
    int from = 0;
    int length = Math.min(other.length, steps.length);
    for (int n = 0; n <= length; n++) {
      if (n < length && lockedAt(one, other, steps, lag, n)) {
        continue;
      }
      if (n > from && StepLock.longEnough(from, n - 1)) {
        locked += n - from;
      }
      from = n + 1;
    }
    return locked;
  }

  private static boolean lockedAt(int[] one, int[] other, int[] steps, int lag, int n) {
    int there = n - lag;
    return there >= 0
        && there < one.length
        && one[there] > 0
        && StepLock.at(other[n], steps[n])
        && Math.abs(other[n] - one[there]) >= Threshold.AGREEMENT_STEP_LOCK_OFF.whole();
  }

  private static Verdict verdict(Differences all, Differences easy) {
    if (all.good()) {
      return Verdict.GOOD_FOR_TARGETS;
    }
    return easy.count >= Threshold.AGREEMENT_EASY_SECONDS.whole() && easy.good()
        ? Verdict.GOOD_UP_TO_TALK
        : Verdict.NOT_FOR_STEERING;
  }

  private static List<Finding> findings(Differences atOnce, int lag, int[] alone, int locked) {
    List<Finding> findings = new ArrayList<>();
    if (locked > 0) {
      findings.add(TraceFinding.AGREEMENT_STEP_LOCKED.of(locked));
    }
    if (atOnce.count < Threshold.AGREEMENT_SECONDS.whole()) {
      findings.add(TraceFinding.AGREEMENT_SHORT.of(atOnce.count));
    }
    if (lag != 0) {
      findings.add(TraceFinding.AGREEMENT_LAG.of(lag > 0 ? "late" : "early", Math.abs(lag)));
    }
    if (alone[0] + alone[1] > 0) {
      findings.add(TraceFinding.AGREEMENT_DROPPED.of(alone[0], alone[1]));
    }
    return findings;
  }

  private static BigDecimal rounded(double value, int places) {
    return BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP);
  }

  /** The rate of a second of the second recording that belongs to one of the reference. */
  public OptionalInt beside(Trace second, int ofReference) {
    return second.value(ofReference + lagSeconds);
  }
}
