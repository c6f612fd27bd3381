package app.korvel.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * Half-up rounding of exact decimals: the one arithmetic convention of the product.
 *
 * <p>Every rate a person sees is a whole number rounded half up, and a later step starts from the
 * number the person saw, so that anyone can check the work with a pencil. Values reach this class
 * as exact decimals and never as binary floating point: 208 − 0.7 × 45 = 176.5 must give 177.
 */
public final class Rounding {
  private Rounding() {}

  /** The whole number nearest to {@code exact}; a half goes up. */
  public static int halfUp(BigDecimal exact) {
    return exact.setScale(0, RoundingMode.HALF_UP).intValueExact();
  }

  /** {@code exact} to one decimal; a half goes up. */
  public static BigDecimal tenths(BigDecimal exact) {
    return exact.setScale(1, RoundingMode.HALF_UP);
  }

  /** {@code numerator / denominator} as a whole number; a half goes up. Both must be 0 or more. */
  public static int quotient(long numerator, long denominator) {
    return Math.toIntExact((2 * numerator + denominator) / (2 * denominator));
  }

  /**
   * {@code part} as a percent of {@code whole}, to one decimal.
   *
   * @param whole not 0
   */
  public static BigDecimal percent(int part, int whole) {
    return BigDecimal.valueOf(100L * part)
        .divide(BigDecimal.valueOf(whole), 1, RoundingMode.HALF_UP);
  }
}
