package app.korvel.core.zone;

import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import java.math.BigDecimal;
import java.math.MathContext;

/** What the figures of a scheme are counted in. */
public enum Basis {
  /** Percent of the span from rest to maximum. */
  RESERVE(Limit.PERCENT) {
    @Override
    BigDecimal exact(BigDecimal figure, Reserve reserve) {
      return BigDecimal.valueOf(reserve.restingBpm())
          .add(fraction(figure).multiply(BigDecimal.valueOf(reserve.bpm())));
    }

    @Override
    public BigDecimal sigma(BigDecimal figure, Uncertainty uncertainty) {
      BigDecimal p = fraction(figure);
      BigDecimal top = p.multiply(uncertainty.maximumBpm());
      BigDecimal bottom = BigDecimal.ONE.subtract(p).multiply(uncertainty.restingBpm());
      return top.multiply(top).add(bottom.multiply(bottom)).sqrt(MathContext.DECIMAL64);
    }
  },
  /** Percent of maximum. */
  MAXIMUM(Limit.PERCENT) {
    @Override
    BigDecimal exact(BigDecimal figure, Reserve reserve) {
      return fraction(figure).multiply(BigDecimal.valueOf(reserve.maximumBpm()));
    }

    @Override
    public BigDecimal sigma(BigDecimal figure, Uncertainty uncertainty) {
      return fraction(figure).multiply(uncertainty.maximumBpm());
    }
  },
  /** Beats per minute above rest. */
  RESTING(Limit.ABOVE_RESTING) {
    @Override
    BigDecimal exact(BigDecimal figure, Reserve reserve) {
      return BigDecimal.valueOf(reserve.restingBpm()).add(figure);
    }

    @Override
    public BigDecimal sigma(BigDecimal figure, Uncertainty uncertainty) {
      return uncertainty.restingBpm();
    }
  };

  private final Limit limit;

  Basis(Limit limit) {
    this.limit = limit;
  }

  /** What is accepted as a figure on this basis. */
  public Limit limit() {
    return limit;
  }

  /** The rate at that figure, rounded half up. */
  public int rateAt(BigDecimal figure, Reserve reserve) {
    return Rounding.halfUp(exact(figure, reserve));
  }

  /** The rate at that figure before rounding. */
  abstract BigDecimal exact(BigDecimal figure, Reserve reserve);

  /** How sure the rate at that figure is, σ in bpm: on reserve √((p·σ_max)² + ((1−p)·σ_rest)²). */
  public abstract BigDecimal sigma(BigDecimal figure, Uncertainty uncertainty);

  private static BigDecimal fraction(BigDecimal percent) {
    return percent.movePointLeft(2);
  }
}
