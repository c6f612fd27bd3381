package app.korvel.core.assessment;

import app.korvel.core.measure.Rounding;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/**
 * What work costs in oxygen, by the steady-state equations of Glass &amp; Dwyer, metabolic
 * calculations, 2007.
 *
 * @param vo2 ml·kg⁻¹·min⁻¹, to one decimal, half up
 */
public record OxygenCost(BigDecimal vo2) {
  /** One MET, ml·kg⁻¹·min⁻¹. */
  private static final BigDecimal MET = new BigDecimal("3.5");

  private static final BigDecimal METRES_A_MINUTE = BigDecimal.valueOf(1000);

  public OxygenCost {
    vo2 = Rounding.tenths(vo2);
  }

  /** Multiples of rest: {@link #vo2} ÷ 3.5, to one decimal, half up. */
  public BigDecimal met() {
    return vo2.divide(MET, 1, RoundingMode.HALF_UP);
  }

  /**
   * Walking on a treadmill: 0.1·S + 1.8·S·G + 3.5.
   *
   * @param kmh the speed as shown, km/h
   * @param gradePercent the rise, %
   */
  static OxygenCost walking(BigDecimal kmh, BigDecimal gradePercent) {
    return treadmill(kmh, gradePercent, "0.1", "1.8");
  }

  /** Running on a treadmill: 0.2·S + 0.9·S·G + 3.5. */
  static OxygenCost running(BigDecimal kmh, BigDecimal gradePercent) {
    return treadmill(kmh, gradePercent, "0.2", "0.9");
  }

  private static OxygenCost treadmill(
      BigDecimal kmh, BigDecimal gradePercent, String level, String rising) {
    BigDecimal hundredfold =
        new BigDecimal(level)
            .multiply(BigDecimal.valueOf(100))
            .add(new BigDecimal(rising).multiply(gradePercent));
    // Speed in metres a minute has no end in decimals: divide once, at the end.
    return new OxygenCost(
        kmh.multiply(METRES_A_MINUTE)
            .multiply(hundredfold)
            .divide(BigDecimal.valueOf(6000), MathContext.DECIMAL64)
            .add(MET));
  }

  /**
   * On a cycle: 10.8 × W ÷ kg + 7.
   *
   * @param watts the work, W
   * @param weightKg of the body
   */
  static OxygenCost cycling(BigDecimal watts, BigDecimal weightKg) {
    return new OxygenCost(
        new BigDecimal("10.8")
            .multiply(watts)
            .divide(weightKg, MathContext.DECIMAL64)
            .add(BigDecimal.valueOf(7)));
  }

  /**
   * Up and down a step: 0.2·f + 2.394·H·f + 3.5.
   *
   * @param cycles up, up, down, down: so many a minute
   * @param metres height of the step
   */
  static OxygenCost stepping(BigDecimal cycles, BigDecimal metres) {
    return new OxygenCost(
        new BigDecimal("0.2")
            .add(new BigDecimal("2.394").multiply(metres))
            .multiply(cycles)
            .add(MET));
  }
}
