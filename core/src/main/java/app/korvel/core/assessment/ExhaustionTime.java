package app.korvel.core.assessment;

import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.Sex;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Duration;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Predicted VO₂max from how long the standard treadmill stages were held to exhaustion. */
public enum ExhaustionTime {
  /** 14.8 − 1.379T + 0.451T² − 0.012T³; Foster et al. 1984. */
  MEN(
      minutes ->
          new BigDecimal("14.8")
              .subtract(new BigDecimal("1.379").multiply(minutes))
              .add(new BigDecimal("0.451").multiply(minutes.pow(2)))
              .subtract(new BigDecimal("0.012").multiply(minutes.pow(3)))),
  /** 4.38T − 3.9; Pollock et al. 1982. */
  WOMEN(minutes -> new BigDecimal("4.38").multiply(minutes).subtract(new BigDecimal("3.9")));

  private final UnaryOperator<BigDecimal> equation;

  ExhaustionTime(UnaryOperator<BigDecimal> equation) {
    this.equation = equation;
  }

  /**
   * The figure, ml·kg⁻¹·min⁻¹ to one decimal.
   *
   * @param time from the start of the standard first stage
   * @return empty outside of 3 to 21 min, where the lines were not made
   */
  public Optional<BigDecimal> vo2max(Duration time) {
    if (time.compareTo(Duration.ofMinutes(Threshold.EXHAUSTION_SHORTEST.whole())) < 0
        || time.compareTo(Duration.ofMinutes(Threshold.EXHAUSTION_LONGEST.whole())) > 0) {
      return Optional.empty();
    }
    BigDecimal minutes =
        BigDecimal.valueOf(time.toSeconds()).divide(BigDecimal.valueOf(60), MathContext.DECIMAL64);
    return Optional.of(Rounding.tenths(equation.apply(minutes)));
  }

  /** That of a sex; where it is not given, both. */
  public static UptakeBySex of(Duration time, Sex sex) {
    Map<ExhaustionTime, BigDecimal> figures = new EnumMap<>(ExhaustionTime.class);
    for (ExhaustionTime line : values()) {
      line.vo2max(time).ifPresent(figure -> figures.put(line, figure));
    }
    return UptakeBySex.of(
        Optional.ofNullable(figures.get(MEN)), Optional.ofNullable(figures.get(WOMEN)), sex);
  }
}
