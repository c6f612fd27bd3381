package app.korvel.core.zone;

import app.korvel.core.measure.Formula;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.LongHand;
import app.korvel.core.measure.LongHand.Finish;
import app.korvel.core.measure.LongHand.Line;
import app.korvel.core.measure.Rounding;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;

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
    List<Line> lines(String label, BigDecimal figure, Reserve reserve) {
      BigDecimal share = fraction(figure).multiply(BigDecimal.valueOf(reserve.bpm()));
      return List.of(
          Line.of(
              Formula.RATE_OF_RESERVE,
              LongHand.written(figure) + " % of reserve",
              LongHand.written(fraction(figure)) + " × " + reserve.bpm(),
              share,
              "bpm",
              Finish.EXACT),
          Line.of(
              Formula.RATE_OF_RESERVE,
              label,
              reserve.restingBpm() + " + " + LongHand.written(share),
              exact(figure, reserve),
              "bpm",
              Finish.WHOLE));
    }

    @Override
    Line sigmaLine(String label, BigDecimal figure, Uncertainty uncertainty) {
      BigDecimal p = fraction(figure);
      return errorLine(
          label,
          "√(("
              + LongHand.written(p)
              + " × "
              + LongHand.written(uncertainty.maximumBpm())
              + ")² + ("
              + LongHand.written(BigDecimal.ONE.subtract(p))
              + " × "
              + LongHand.written(uncertainty.restingBpm())
              + ")²)",
          sigma(figure, uncertainty));
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
    List<Line> lines(String label, BigDecimal figure, Reserve reserve) {
      return List.of(
          Line.of(
              Formula.RATE_OF_MAXIMUM,
              label,
              LongHand.written(fraction(figure)) + " × " + reserve.maximumBpm(),
              exact(figure, reserve),
              "bpm",
              Finish.WHOLE));
    }

    @Override
    Line sigmaLine(String label, BigDecimal figure, Uncertainty uncertainty) {
      return errorLine(
          label,
          LongHand.written(fraction(figure)) + " × " + LongHand.written(uncertainty.maximumBpm()),
          sigma(figure, uncertainty));
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
    List<Line> lines(String label, BigDecimal figure, Reserve reserve) {
      return List.of(
          Line.of(
              Formula.RATE_ABOVE_RESTING,
              label,
              reserve.restingBpm() + " + " + LongHand.written(figure),
              exact(figure, reserve),
              "bpm",
              Finish.WHOLE));
    }

    @Override
    Line sigmaLine(String label, BigDecimal figure, Uncertainty uncertainty) {
      return errorLine(
          label, LongHand.written(uncertainty.restingBpm()), sigma(figure, uncertainty));
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

  /**
   * The rate at that figure as the steps of a sum; on reserve they follow {@link Reserve#line}.
   *
   * @param label what the rate is, for example {@code Lower edge}
   */
  abstract List<Line> lines(String label, BigDecimal figure, Reserve reserve);

  /** How sure the rate at that figure is, as a step of a sum. */
  abstract Line sigmaLine(String label, BigDecimal figure, Uncertainty uncertainty);

  /** How sure the rate at that figure is, σ in bpm: on reserve √((p·σ_max)² + ((1−p)·σ_rest)²). */
  public abstract BigDecimal sigma(BigDecimal figure, Uncertainty uncertainty);

  private static Line errorLine(String label, String sum, BigDecimal sigma) {
    return Line.of(Formula.EDGE_ERROR, label, sum, sigma, "bpm", Finish.TENTH);
  }

  private static BigDecimal fraction(BigDecimal percent) {
    return percent.movePointLeft(2);
  }
}
