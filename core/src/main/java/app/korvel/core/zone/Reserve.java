package app.korvel.core.zone;

import app.korvel.core.measure.Formula;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.measure.Working;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * The span from rest to maximum: reserve = maximum − resting (Karvonen et al. 1957).
 *
 * @param restingBpm {@link Limit#RESTING}
 * @param maximumBpm {@link Limit#MAXIMUM}, at least {@link #SMALLEST} over the resting rate
 */
public record Reserve(int restingBpm, int maximumBpm) {

  /** The smallest reserve that can be steered by, bpm. */
  public static final int SMALLEST = Threshold.SMALLEST_RESERVE.whole();

  /**
   * A reserve.
   *
   * @throws InvalidValueException when a rate is out of range or the maximum not above the resting
   *     rate
   * @throws RefusedException when the reserve is under {@link #SMALLEST}
   */
  public Reserve {
    Limit.RESTING.check("restingBpm", restingBpm);
    Limit.MAXIMUM.check("maximumBpm", maximumBpm);
    if (maximumBpm <= restingBpm) {
      throw InvalidValueException.of(
          "maximumBpm",
          maximumBpm + " is not above the resting rate of " + restingBpm,
          "a maximum at least " + SMALLEST + " bpm above the resting rate");
    }
    if (maximumBpm - restingBpm < SMALLEST) {
      throw RefusedException.because(
          ZoneFinding.RESERVE_TOO_SMALL.of(maximumBpm - restingBpm),
          new InvalidValueException.Fault(
              "maximumBpm",
              "leaves a reserve of " + (maximumBpm - restingBpm) + " bpm",
              "a maximum at least " + SMALLEST + " bpm above the resting rate"));
    }
  }

  /** See {@link Reserve#Reserve}. */
  public static Reserve of(int restingBpm, int maximumBpm) {
    return new Reserve(restingBpm, maximumBpm);
  }

  /** The reserve, bpm. */
  public int bpm() {
    return maximumBpm - restingBpm;
  }

  /** The rate at {@code percent} of reserve, rounded half up. */
  public int rateAt(BigDecimal percent) {
    return Basis.RESERVE.rateAt(percent, Anchors.of(this));
  }

  /** The rate at {@code percent} of reserve, rounded half up. */
  public int rateAt(int percent) {
    return rateAt(BigDecimal.valueOf(percent));
  }

  /**
   * The whole percents of reserve whose rates lie within a range: how it is prescribed.
   *
   * @return lowest and highest; empty where none does
   */
  public Optional<Percents> percentsWithin(int lowBpm, int highBpm) {
    // resting + ⌊(percent × reserve + 50) ÷ 100⌋ solved for the percent, in whole numbers.
    int low = Math.max(0, -Math.floorDiv(50 - 100 * (lowBpm - restingBpm), bpm()));
    int high = Math.min(100, Math.floorDiv(100 * (highBpm - restingBpm) + 49, bpm()));
    return low > high ? Optional.empty() : Optional.of(new Percents(low, high));
  }

  /**
   * A range in whole percents of reserve.
   *
   * @param low lower edge
   * @param high upper edge
   */
  public record Percents(int low, int high) {

    /** The class of its middle, which is what a range asks for; on an edge, the upper one. */
    public GuidelineClass asks() {
      return GuidelineClass.ofReserve(
          BigDecimal.valueOf((long) low + high).divide(BigDecimal.valueOf(2)));
    }

    /** Whether it asks for vigorous effort or more. */
    public boolean asksVigorous() {
      return asks().compareTo(GuidelineClass.VIGOROUS) >= 0;
    }
  }

  /** The reserve as a step of a sum. */
  Working.Line line() {
    return Working.Line.of(
        Formula.RESERVE,
        "Reserve",
        maximumBpm + " − " + restingBpm,
        BigDecimal.valueOf(bpm()),
        "bpm",
        Working.Finish.EXACT);
  }

  /** {@code bpm} as percent of reserve, to one decimal; negative below rest. */
  public BigDecimal percentOfReserve(int bpm) {
    return Rounding.percent(bpm - restingBpm, bpm());
  }

  /** {@code bpm} as percent of maximum, to one decimal. */
  public BigDecimal percentOfMaximum(int bpm) {
    return Rounding.percent(bpm, maximumBpm);
  }
}
