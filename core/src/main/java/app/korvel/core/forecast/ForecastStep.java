package app.korvel.core.forecast;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Outline.Place;
import app.korvel.core.outline.Outline.Placed;
import app.korvel.core.outline.Step;
import app.korvel.core.outline.StepKind;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.Target;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A stretch of a session in which the work stays the same.
 *
 * @param kind what it is for
 * @param seconds how long it lasts by its clock
 * @param share of reserve that it asks for
 * @param wanted where the rate is to be; empty where no target is set
 * @param waits whether its clock starts when the rate is there
 * @param place where it stands in its outline; empty where it is of none
 */
public record ForecastStep(
    StepKind kind,
    int seconds,
    double share,
    Optional<Wanted> wanted,
    boolean waits,
    Optional<Place> place) {

  /**
   * A target, both edges included.
   *
   * @param lowPercent of reserve, as it is asked for
   */
  public record Wanted(int lowBpm, int highBpm, BigDecimal lowPercent) {
    boolean holds(int bpm) {
      return lowBpm <= bpm && bpm <= highBpm;
    }
  }

  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  /** A stretch without a target. */
  static ForecastStep of(StepKind kind, int seconds, double share) {
    return new ForecastStep(kind, seconds, share, Optional.empty(), false, Optional.empty());
  }

  /**
   * Work at one share of reserve, which is its target too.
   *
   * @param percent of reserve, {@link Limit#FORECAST_PERCENT}
   */
  public static ForecastStep work(int seconds, BigDecimal percent, Reserve reserve) {
    BigDecimal rate =
        percent
            .multiply(BigDecimal.valueOf(reserve.bpm()))
            .divide(HUNDRED)
            .add(BigDecimal.valueOf(reserve.restingBpm()));
    // Of a half both are the target: from below it is never reached.
    Wanted at =
        new Wanted(
            rate.setScale(0, RoundingMode.HALF_DOWN).intValueExact(),
            rate.setScale(0, RoundingMode.HALF_UP).intValueExact(),
            percent);
    return new ForecastStep(
        StepKind.WORK,
        seconds,
        percent.doubleValue() / 100,
        Optional.of(at),
        false,
        Optional.empty());
  }

  /**
   * Work at such shares, once they are known to be such as can be foreseen.
   *
   * @throws InvalidValueException with every fault at once, each with its place
   */
  public static List<ForecastStep> checked(
      List<Integer> seconds, List<BigDecimal> percents, Reserve reserve) {
    List<Fault> faults = new ArrayList<>();
    Limit.FORECAST_STEPS.check(faults, "steps", seconds.size());
    for (int at = 0; at < Math.min(seconds.size(), Limit.FORECAST_STEPS.highest()); at++) {
      Limit.STEP_SECONDS.check(faults, "steps[" + at + "].seconds", seconds.get(at));
      Limit.FORECAST_PERCENT.check(faults, "steps[" + at + "].reservePercent", percents.get(at));
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    List<ForecastStep> steps = new ArrayList<>();
    for (int at = 0; at < seconds.size(); at++) {
      steps.add(work(seconds.get(at), percents.get(at), reserve));
    }
    return steps;
  }

  /** The steps of an outline for somebody; of bouts that are spread through the day one. */
  public static List<ForecastStep> of(Outline outline, Reserve reserve, ExertionLimits runner) {
    return outline.inTurn().stream().map(placed -> of(placed, reserve, runner)).toList();
  }

  private static ForecastStep of(Placed placed, Reserve reserve, ExertionLimits runner) {
    Step step = placed.step();
    Optional<Target> target = step.range().flatMap(range -> runner.aim(range).target());
    return of(
        step.kind(),
        step.seconds(),
        step.range(),
        target.map(Target::lowBpm),
        target.map(Target::highBpm),
        step.waits(),
        reserve,
        Optional.of(placed.place()));
  }

  /**
   * A step of a range: the middle of it, or of what a cap leaves of it. Without a range, standing.
   *
   * @param lowBpm empty where no rate is asked for
   * @param highBpm empty where no rate is asked for
   */
  static ForecastStep of(
      StepKind kind,
      int seconds,
      Optional<Percents> range,
      Optional<Integer> lowBpm,
      Optional<Integer> highBpm,
      boolean waits,
      Reserve reserve,
      Optional<Place> place) {
    Optional<Wanted> wanted =
        range
            .filter(asked -> lowBpm.isPresent() && highBpm.isPresent())
            .map(asked -> new Wanted(lowBpm.get(), highBpm.get(), BigDecimal.valueOf(asked.low())));
    double share =
        range.map(asked -> (asked.low() + asked.high()) / 200.0).orElse(HeartModel.STANDING);
    if (wanted.isPresent() && wanted.get().highBpm < reserve.rateAt(range.get().high())) {
      double middle = (wanted.get().lowBpm + wanted.get().highBpm) / 2.0;
      share = (middle - reserve.restingBpm()) / reserve.bpm();
    }
    return new ForecastStep(kind, seconds, share, wanted, waits && wanted.isPresent(), place);
  }
}
