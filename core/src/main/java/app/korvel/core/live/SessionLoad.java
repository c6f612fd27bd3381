package app.korvel.core.live;

import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.OptionalInt;
import java.util.function.IntFunction;

/** What a session amounts to, from the seconds at each smoothed rate. */
public final class SessionLoad {
  private static final int SECONDS_A_MINUTE = 60;

  private static final int RPE_LOWEST = 6;

  /** From here on the ratio scale rises by one for each point of 6–20. */
  private static final int RATIO_BY_ONE = 12;

  private static final int RATIO_SHIFT = 9;

  private SessionLoad() {}

  /**
   * Seconds of moderate work once and of vigorous work twice, by the edges of the levels: from 40 %
   * of reserve to under 60 %, and from there on.
   *
   * @param seconds by bpm, as {@link app.korvel.core.trace.Trace#histogram()} gives them
   */
  public static int moderateEquivalentSeconds(int[] seconds, Reserve reserve) {
    int moderate = reserve.rateAt(Level.TALK.fromPercent());
    int vigorous = reserve.rateAt(Level.PHRASES.fromPercent());
    int sum = 0;
    for (int bpm = moderate; bpm < seconds.length; bpm++) {
      sum += (bpm < vigorous ? 1 : 2) * seconds[bpm];
    }
    return sum;
  }

  /**
   * Minutes weighted by the share of reserve, x × 0.64 × e^(1.92 x) for men and x × 0.86 × e^(1.67
   * x) for women, x held within 0 and 1 (Morton, Fitz-Clarke and Banister, J Appl Physiol 1990).
   *
   * @param seconds by bpm
   * @param sex {@link Sex#MALE} or {@link Sex#FEMALE}
   * @return to two decimals
   * @throws IllegalArgumentException when no sex is given
   */
  public static BigDecimal reserveWeightedMinutes(int[] seconds, Reserve reserve, Sex sex) {
    if (sex == Sex.NOT_GIVEN) {
      throw new IllegalArgumentException("The line of a man or of a woman is asked for.");
    }
    double factor = sex == Sex.MALE ? 0.64 : 0.86;
    double exponent = sex == Sex.MALE ? 1.92 : 1.67;
    double sum = 0;
    for (int bpm = 0; bpm < seconds.length; bpm++) {
      double share =
          (double) (bpm - reserve.restingBpm()) / (reserve.maximumBpm() - reserve.restingBpm());
      double held = Math.max(0, Math.min(1, share));
      sum += seconds[bpm] * held * factor * Math.exp(exponent * held) / SECONDS_A_MINUTE;
    }
    return BigDecimal.valueOf(sum).setScale(2, RoundingMode.HALF_UP);
  }

  /** The mean rate, half up; empty without a second of it. */
  public static OptionalInt averageBpm(int[] seconds) {
    long beats = 0;
    long all = 0;
    for (int bpm = 0; bpm < seconds.length; bpm++) {
      beats += (long) bpm * seconds[bpm];
      all += seconds[bpm];
    }
    return all == 0 ? OptionalInt.empty() : OptionalInt.of(Rounding.quotient(beats, all));
  }

  /** Seconds in each level, by its number less one. */
  public static int[] secondsByLevel(int[] seconds, Ladder ladder) {
    int[] byLevel = new int[Level.values().length];
    IntFunction<Level> levels = ladder.levels();
    for (int bpm = 0; bpm < seconds.length; bpm++) {
      if (seconds[bpm] > 0) {
        byLevel[levels.apply(bpm).ordinal()] += seconds[bpm];
      }
    }
    return byLevel;
  }

  /**
   * Session RPE times minutes (Foster et al., J Strength Cond Res 2001): the rating of the whole
   * session, brought to the 0–10 ratio scale, times its minutes with warm-up and cool-down and
   * without pauses.
   *
   * @param rpe20 {@link Limit#EFFORT}
   * @param minutes from 0
   */
  public static int byRating(int rpe20, int minutes) {
    return ratio(rpe20) * minutes;
  }

  /** 6 and 7 are 0, 8 and 9 are 1, 10 and 11 are 2; then one more each, up to 10. */
  static int ratio(int rpe20) {
    Limit.EFFORT.check("rpe", rpe20);
    return rpe20 < RATIO_BY_ONE ? (rpe20 - RPE_LOWEST) / 2 : Math.min(10, rpe20 - RATIO_SHIFT);
  }
}
