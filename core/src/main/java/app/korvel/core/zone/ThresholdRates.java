package app.korvel.core.zone;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;

/**
 * Two measured rates at which effort changes its kind, from a talk-step test or a laboratory.
 *
 * @param lowerBpm the last rate of comfortable talk, {@link Limit#MAXIMUM}
 * @param upperBpm the first rate without talk, {@link Limit#MAXIMUM}, over {@code lowerBpm}
 */
public record ThresholdRates(int lowerBpm, int upperBpm) {

  /** How far such a rate strays from day to day, σ in bpm. */
  static final BigDecimal SIGMA = Threshold.DAY_TO_DAY.value();

  /**
   * Both rates.
   *
   * @throws InvalidValueException when one is out of range, or they are in the wrong order
   */
  public ThresholdRates {
    List<Fault> faults = new ArrayList<>();
    check(faults, "lowerThresholdBpm", lowerBpm);
    check(faults, "upperThresholdBpm", upperBpm);
    if (faults.isEmpty() && upperBpm <= lowerBpm) {
      faults.add(
          new Fault(
              "upperThresholdBpm",
              upperBpm + " is not above the lower one of " + lowerBpm,
              (lowerBpm + 1) + " to " + Limit.PULSE.highest() + " bpm"));
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
  }

  /** See {@link ThresholdRates#ThresholdRates}. */
  public static ThresholdRates of(int lowerBpm, int upperBpm) {
    return new ThresholdRates(lowerBpm, upperBpm);
  }

  private static void check(List<Fault> faults, String field, int bpm) {
    if (!Limit.PULSE.accepts(bpm)) {
      faults.add(new Fault(field, bpm + " is outside the accepted range", Limit.PULSE.accepted()));
    }
  }
}
