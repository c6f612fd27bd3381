package app.korvel.core.zone;

import app.korvel.core.measure.Limit;
import java.math.BigDecimal;

/**
 * How sure the two ends of the span are.
 *
 * @param maximumBpm standard error of the maximum, {@link Limit#STANDARD_ERROR}
 * @param restingBpm standard error of the resting value, {@link Limit#STANDARD_ERROR}
 */
public record Uncertainty(BigDecimal maximumBpm, BigDecimal restingBpm) {

  /** Taken where nothing is said: an age equation, and a resting value counted with care. */
  public static final Uncertainty USUAL =
      new Uncertainty(BigDecimal.valueOf(10), BigDecimal.valueOf(2));

  /**
   * Both errors.
   *
   * @throws app.korvel.core.measure.InvalidValueException when one is out of range
   */
  public Uncertainty {
    Limit.STANDARD_ERROR.check("maximumStandardErrorBpm", maximumBpm);
    Limit.STANDARD_ERROR.check("restingStandardErrorBpm", restingBpm);
  }

  /** See {@link Uncertainty#Uncertainty}. */
  public static Uncertainty of(BigDecimal maximumBpm, BigDecimal restingBpm) {
    return new Uncertainty(maximumBpm, restingBpm);
  }
}
