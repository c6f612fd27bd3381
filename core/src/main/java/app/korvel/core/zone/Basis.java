package app.korvel.core.zone;

import app.korvel.core.measure.Formula;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Working;
import app.korvel.core.measure.Working.Finish;
import app.korvel.core.measure.Working.Line;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Locale;

/** What the figures of a scheme are counted in. */
public enum Basis {
  /** Percent of the span from rest to maximum. */
  RESERVE(Limit.PERCENT) {
    @Override
    BigDecimal exact(BigDecimal figure, Anchors anchors) {
      return BigDecimal.valueOf(anchors.reserve().restingBpm())
          .add(fraction(figure).multiply(BigDecimal.valueOf(anchors.reserve().bpm())));
    }

    @Override
    List<Line> lines(String label, BigDecimal figure, Anchors anchors) {
      BigDecimal share = fraction(figure).multiply(BigDecimal.valueOf(anchors.reserve().bpm()));
      return List.of(
          Line.of(
              Formula.RATE_OF_RESERVE,
              Working.written(figure) + " % of reserve",
              Working.written(fraction(figure)) + " × " + anchors.reserve().bpm(),
              share,
              "bpm",
              Finish.EXACT),
          Line.of(
              Formula.RATE_OF_RESERVE,
              label,
              anchors.reserve().restingBpm() + " + " + Working.written(share),
              exact(figure, anchors),
              "bpm",
              Finish.WHOLE));
    }

    @Override
    Line sigmaLine(String label, BigDecimal figure, Uncertainty uncertainty) {
      BigDecimal p = fraction(figure);
      return errorLine(
          label,
          "√(("
              + Working.written(p)
              + " × "
              + Working.written(uncertainty.maximumBpm())
              + ")² + ("
              + Working.written(BigDecimal.ONE.subtract(p))
              + " × "
              + Working.written(uncertainty.restingBpm())
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
    BigDecimal exact(BigDecimal figure, Anchors anchors) {
      return fraction(figure).multiply(BigDecimal.valueOf(anchors.reserve().maximumBpm()));
    }

    @Override
    List<Line> lines(String label, BigDecimal figure, Anchors anchors) {
      return List.of(
          Line.of(
              Formula.RATE_OF_MAXIMUM,
              label,
              Working.written(fraction(figure)) + " × " + anchors.reserve().maximumBpm(),
              exact(figure, anchors),
              "bpm",
              Finish.WHOLE));
    }

    @Override
    Line sigmaLine(String label, BigDecimal figure, Uncertainty uncertainty) {
      return errorLine(
          label,
          Working.written(fraction(figure)) + " × " + Working.written(uncertainty.maximumBpm()),
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
    BigDecimal exact(BigDecimal figure, Anchors anchors) {
      return BigDecimal.valueOf(anchors.reserve().restingBpm()).add(figure);
    }

    @Override
    List<Line> lines(String label, BigDecimal figure, Anchors anchors) {
      return List.of(
          Line.of(
              Formula.RATE_ABOVE_RESTING,
              label,
              anchors.reserve().restingBpm() + " + " + Working.written(figure),
              exact(figure, anchors),
              "bpm",
              Finish.WHOLE));
    }

    @Override
    Line sigmaLine(String label, BigDecimal figure, Uncertainty uncertainty) {
      return errorLine(
          label, Working.written(uncertainty.restingBpm()), sigma(figure, uncertainty));
    }

    @Override
    public BigDecimal sigma(BigDecimal figure, Uncertainty uncertainty) {
      return uncertainty.restingBpm();
    }
  },
  /** Percent of the upper of two measured thresholds. */
  THRESHOLD(Limit.PERCENT) {
    @Override
    BigDecimal exact(BigDecimal figure, Anchors anchors) {
      return fraction(figure).multiply(BigDecimal.valueOf(anchors.thresholdsOrRefuse().upperBpm()));
    }

    @Override
    List<Line> lines(String label, BigDecimal figure, Anchors anchors) {
      return List.of(
          Line.of(
              Formula.RATE_OF_THRESHOLD,
              label,
              Working.written(fraction(figure)) + " × " + anchors.thresholdsOrRefuse().upperBpm(),
              exact(figure, anchors),
              "bpm",
              Finish.WHOLE));
    }

    @Override
    Line sigmaLine(String label, BigDecimal figure, Uncertainty uncertainty) {
      return errorLine(
          label,
          Working.written(fraction(figure)) + " × " + Working.written(ThresholdRates.SIGMA),
          sigma(figure, uncertainty));
    }

    @Override
    public BigDecimal sigma(BigDecimal figure, Uncertainty uncertainty) {
      return fraction(figure).multiply(ThresholdRates.SIGMA);
    }
  },
  /** The measured rates themselves: 0 is rest, 1 and 2 the two thresholds, 3 the maximum. */
  MEASURED(Limit.MEASURED_RATE) {
    @Override
    BigDecimal exact(BigDecimal figure, Anchors anchors) {
      ThresholdRates rates = anchors.thresholdsOrRefuse();
      Reserve reserve = anchors.reserve();
      return BigDecimal.valueOf(
          List.of(reserve.restingBpm(), rates.lowerBpm(), rates.upperBpm(), reserve.maximumBpm())
              .get(figure.intValueExact()));
    }

    @Override
    List<Line> lines(String label, BigDecimal figure, Anchors anchors) {
      BigDecimal bpm = exact(figure, anchors);
      return List.of(
          Line.of(
              Formula.RATE_OF_THRESHOLD, label, Working.written(bpm), bpm, "bpm", Finish.EXACT));
    }

    @Override
    Line sigmaLine(String label, BigDecimal figure, Uncertainty uncertainty) {
      BigDecimal sigma = sigma(figure, uncertainty);
      return errorLine(label, Working.written(sigma), sigma);
    }

    @Override
    public BigDecimal sigma(BigDecimal figure, Uncertainty uncertainty) {
      return List.of(
              uncertainty.restingBpm(),
              ThresholdRates.SIGMA,
              ThresholdRates.SIGMA,
              uncertainty.maximumBpm())
          .get(figure.intValueExact());
    }
  };

  private final Limit limit;

  Basis(Limit limit) {
    this.limit = limit;
  }

  /** The stable word: lower case. */
  String words() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** What is accepted as a figure on this basis. */
  public Limit limit() {
    return limit;
  }

  /** Those that a studio's own scheme may count in. */
  public static final List<Basis> OF_OWN_SCHEMES = List.of(RESERVE, MAXIMUM, RESTING, THRESHOLD);

  /** Whether measured thresholds are needed. */
  public boolean needsThresholds() {
    return this == THRESHOLD || this == MEASURED;
  }

  /**
   * The rate at that figure, rounded half up.
   *
   * @throws app.korvel.core.measure.InvalidValueException when thresholds are needed and missing
   */
  public int rateAt(BigDecimal figure, Anchors anchors) {
    return Rounding.halfUp(exact(figure, anchors));
  }

  /** The rate at that figure before rounding. */
  abstract BigDecimal exact(BigDecimal figure, Anchors anchors);

  /**
   * The rate at that figure as the steps of a sum; on reserve they follow {@link Reserve#line}.
   *
   * @param label what the rate is, for example {@code Lower edge}
   */
  abstract List<Line> lines(String label, BigDecimal figure, Anchors anchors);

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
