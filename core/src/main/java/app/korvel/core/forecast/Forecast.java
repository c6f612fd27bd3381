package app.korvel.core.forecast;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.StepKind;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Uncertainty;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * A session's heart rate before it is done, by the second from 1 on, with a ribbon of one standard
 * error either way.
 *
 * <p>The ribbon holds what is not known of the rate that a step settles at, which is the error of
 * the span there, and of the time constants, which may be {@link Threshold#FORECAST_TIME_ERROR}
 * off; both in quadrature. That a waiting step may start sooner or later is not in it.
 */
public final class Forecast {
  private static final double SLOWER = 1 + Threshold.FORECAST_TIME_ERROR.whole() / 100.0;
  private static final double FASTER = 1 - Threshold.FORECAST_TIME_ERROR.whole() / 100.0;
  private static final int SETTLED = Threshold.VOTE_SETTLED.whole();
  private static final int WAITS = 60 * Threshold.WAITS_FOR_TARGET.whole();

  /**
   * A step as it will come.
   *
   * @param fromSecond its first second
   * @param clockSecond the first second that its clock counts
   * @param toSecond its last
   * @param reachedAfter seconds from its beginning until the rate is within what it asks for; empty
   *     where that is never, or it asks for none
   * @param byItself whether its clock starts because it has waited as long as it may
   */
  public record Coming(
      ForecastStep step,
      int fromSecond,
      int clockSecond,
      int toSecond,
      OptionalInt reachedAfter,
      boolean byItself) {

    /** How long it waits for its target, in seconds; 0 where it does not wait. */
    public int waits() {
      return clockSecond - fromSecond;
    }
  }

  private final Reserve reserve;
  private final Kinetics kinetics;
  private final double[] bpm;
  private final double[] low;
  private final double[] high;
  private final List<Coming> steps;

  private Forecast(
      Reserve reserve,
      Kinetics kinetics,
      double[] bpm,
      double[] low,
      double[] high,
      List<Coming> steps) {
    this.reserve = reserve;
    this.kinetics = kinetics;
    this.bpm = bpm;
    this.low = low;
    this.high = high;
    this.steps = List.copyOf(steps);
  }

  /**
   * Foresees a session.
   *
   * @param uncertainty of resting and maximum rate
   * @param from the rate at second 0; empty for the resting rate
   * @throws InvalidValueException when it lasts longer than {@link Trace#MOST_SECONDS} s
   */
  public static Forecast of(
      Reserve reserve,
      Uncertainty uncertainty,
      Kinetics kinetics,
      List<ForecastStep> steps,
      OptionalDouble from) {
    long longest = longest(steps);
    if (longest > Trace.MOST_SECONDS) {
      throw InvalidValueException.of(
          "steps",
          "last " + longest + " s with their waiting",
          "up to " + Trace.MOST_SECONDS + " s, twelve hours");
    }
    return new Runner(reserve, uncertainty, kinetics, (int) longest, from).run(steps);
  }

  /** How long steps last at the most, with all the waiting that may be, in seconds. */
  static long longest(List<ForecastStep> steps) {
    return steps.stream().mapToLong(each -> each.seconds() + (each.waits() ? WAITS : 0)).sum();
  }

  /** The rates as they come, second by second. */
  private static final class Runner {
    private final Reserve reserve;
    private final Uncertainty uncertainty;
    private final Kinetics kinetics;
    private final HeartModel usual;
    private final HeartModel slow;
    private final HeartModel fast;
    private final double[] bpm;
    private final double[] low;
    private final double[] high;
    private double now;
    private double slower;
    private double faster;
    private double off;
    private int hard;
    private int second;

    private Runner(
        Reserve reserve,
        Uncertainty uncertainty,
        Kinetics kinetics,
        int longest,
        OptionalDouble from) {
      this.reserve = reserve;
      this.uncertainty = uncertainty;
      this.kinetics = kinetics;
      this.usual = HeartModel.of(reserve, kinetics);
      this.slow = HeartModel.of(reserve, kinetics, SLOWER);
      this.fast = HeartModel.of(reserve, kinetics, FASTER);
      this.bpm = new double[longest];
      this.low = new double[longest];
      this.high = new double[longest];
      this.now = from.orElse(reserve.restingBpm());
      this.slower = now;
      this.faster = now;
      this.off = from.isPresent() ? 0 : uncertainty.restingBpm().doubleValue();
    }

    private Forecast run(List<ForecastStep> steps) {
      List<Coming> all = new ArrayList<>();
      for (ForecastStep step : steps) {
        all.add(run(step));
      }
      return new Forecast(
          reserve,
          kinetics,
          Arrays.copyOf(bpm, second),
          Arrays.copyOf(low, second),
          Arrays.copyOf(high, second),
          all);
    }

    private Coming run(ForecastStep step) {
      double sigma =
          Basis.RESERVE.sigma(BigDecimal.valueOf(100 * step.share()), uncertainty).doubleValue();
      int from = second;
      int reached = -1;
      boolean byItself = false;
      if (step.waits()) {
        int there = 0;
        while (there < SETTLED && second - from < WAITS) {
          work(step.share(), sigma);
          reached = reached(step, reached, from);
          there = shown(now) >= step.wanted().orElseThrow().lowBpm() ? there + 1 : 0;
        }
        byItself = there < SETTLED;
      }
      int clock = second;
      while (second - clock < step.seconds()) {
        work(step.share(), sigma);
        reached = reached(step, reached, from);
      }
      return new Coming(
          step,
          from + 1,
          clock + 1,
          second,
          reached < 0 ? OptionalInt.empty() : OptionalInt.of(reached),
          byItself);
    }

    private int reached(ForecastStep step, int before, int from) {
      boolean here =
          before < 0 && step.wanted().filter(asked -> asked.holds(shown(now))).isPresent();
      return here ? second - from : before;
    }

    private void work(double share, double sigma) {
      hard = HeartModel.hardSeconds(hard, share);
      double settles = usual.settles(share, hard);
      off = sigma + (off - sigma) * usual.kept(now, settles);
      now = usual.after(now, settles);
      slower = slow.after(slower, settles);
      faster = fast.after(faster, settles);
      double over = Math.max(0, Math.max(slower, faster) - now);
      double under = Math.max(0, now - Math.min(slower, faster));
      bpm[second] = now;
      high[second] = now + Math.sqrt(off * off + over * over);
      low[second] = now - Math.sqrt(off * off + under * under);
      second++;
    }
  }

  /** A rate as it is shown: half up. */
  static int shown(double rate) {
    return (int) Math.floor(rate + 0.5);
  }

  private static int[] shown(double[] rates) {
    return Arrays.stream(rates).mapToInt(Forecast::shown).toArray();
  }

  /** How long it lasts, in seconds, with its waiting. */
  public int seconds() {
    return bpm.length;
  }

  /** The rate of a second, unrounded; a second from 1 to {@link #seconds}. */
  public double at(int second) {
    return bpm[second - 1];
  }

  /** Whether a rate lies within the ribbon of a second. */
  public boolean holds(int second, int rate) {
    return shown(low[second - 1]) <= rate && rate <= shown(high[second - 1]);
  }

  /** The rate of each second, half up. */
  public int[] bpm() {
    return shown(bpm);
  }

  /** The lower edge of the ribbon in each second, half up. */
  public int[] lowBpm() {
    return shown(low);
  }

  /** The upper edge of the ribbon in each second, half up. */
  public int[] highBpm() {
    return shown(high);
  }

  /** The steps in their order. */
  public List<Coming> steps() {
    return steps;
  }

  /** Whose it is. */
  public Reserve reserve() {
    return reserve;
  }

  /** How fast their heart is taken to follow. */
  public Kinetics kinetics() {
    return kinetics;
  }

  /** Seconds at each rate, by bpm from 0 to {@link Trace#HIGHEST}. */
  public int[] byBpm() {
    int[] seconds = new int[Trace.HIGHEST + 1];
    for (double rate : bpm) {
      seconds[shown(rate)]++;
    }
    return seconds;
  }

  /**
   * How long the last cool-down is until it is below {@link Threshold#FORECAST_COOLED}, in seconds;
   * 0 where it begins below. Empty where it ends before, or there is none.
   */
  public OptionalInt cooledAfter() {
    for (int n = steps.size() - 1; n >= 0; n--) {
      Coming coming = steps.get(n);
      if (coming.step().kind() == StepKind.COOL_DOWN) {
        return IntStream.rangeClosed(Math.max(1, coming.fromSecond() - 1), coming.toSecond())
            .filter(second -> percent(at(second)) < Threshold.FORECAST_COOLED.whole())
            .map(second -> Math.max(0, second - coming.fromSecond() + 1))
            .findFirst();
      }
    }
    return OptionalInt.empty();
  }

  /** A shown rate in whole percent of reserve, half up; negative below rest. */
  public int shownPercent(int rate) {
    return Math.floorDiv(200 * (rate - reserve.restingBpm()) + reserve.bpm(), 2 * reserve.bpm());
  }

  /** A rate as a share of reserve, in percent, unrounded. */
  double percent(double rate) {
    return 100 * (rate - reserve.restingBpm()) / reserve.bpm();
  }
}
