package app.korvel.core.assessment;

import app.korvel.core.measure.Threshold;
import app.korvel.core.zone.Reserve;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * Uptake at the maximum heart rate, read off a line through stages of steady rate: least squares of
 * rate on VO₂, and the half of its 95 % interval from the spread of the maximum and of the line.
 *
 * @param vo2max ml·kg⁻¹·min⁻¹
 * @param half half of the interval, ml·kg⁻¹·min⁻¹
 */
public record Extrapolation(double vo2max, double half) {
  private static final double Z = 1.96;

  private static final int FEWEST = 3;

  /** Student's t at 95 %, two-sided, from one degree of freedom on. */
  private static final double[] T = {
    12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.160,
    2.145, 2.131, 2.120, 2.110, 2.101, 2.093, 2.086
  };

  /**
   * A stage.
   *
   * @param vo2 what it cost, ml·kg⁻¹·min⁻¹
   * @param bpm its rate
   */
  public record Point(BigDecimal vo2, int bpm) {}

  /** The lowest rate of a stage on the line. */
  public static int from(Reserve reserve) {
    return Math.max(
        Threshold.EXTRAPOLATE_FROM_BPM.whole(),
        reserve.rateAt(Threshold.EXTRAPOLATE_FROM_PERCENT.whole()));
  }

  /** The highest rate of a stage on the line. */
  public static int to(Reserve reserve) {
    return reserve.rateAt(Threshold.EXTRAPOLATE_TO_PERCENT.whole());
  }

  /**
   * The line.
   *
   * @param points whole stages of steady rate within {@link #from} and {@link #to}
   * @param maximumBpm of that mode
   * @param maximumError its standard error, bpm
   * @return empty with fewer than three points, where the line does not rise or fits badly, or
   *     where the half is over a third of the result
   */
  public static Optional<Extrapolation> of(
      List<Point> points, int maximumBpm, double maximumError) {
    int n = points.size();
    if (n < FEWEST || n - FEWEST >= T.length) {
      return Optional.empty();
    }
    double meanX = points.stream().mapToDouble(each -> each.vo2.doubleValue()).sum() / n;
    double meanY = points.stream().mapToDouble(Point::bpm).sum() / n;
    double sxx = 0;
    double sxy = 0;
    double syy = 0;
    for (Point point : points) {
      double dx = point.vo2.doubleValue() - meanX;
      double dy = point.bpm - meanY;
      sxx += dx * dx;
      sxy += dx * dy;
      syy += dy * dy;
    }
    double slope = sxy / sxx;
    if (sxx == 0 || syy == 0 || slope <= 0) {
      return Optional.empty();
    }
    double explained = sxy * sxy / (sxx * syy);
    double residual = (syy - slope * sxy) / (n - 2);
    double vo2max = (maximumBpm - meanY) / slope + meanX;
    double spread = Z * maximumError;
    double t = T[n - FEWEST];
    double away = vo2max - meanX;
    double half =
        Math.sqrt(spread * spread + t * t * Math.max(0, residual) * (1.0 / n + away * away / sxx))
            / slope;
    boolean fits = explained >= Threshold.EXTRAPOLATE_FIT.value().doubleValue();
    return fits && half <= vo2max / FEWEST
        ? Optional.of(new Extrapolation(vo2max, half))
        : Optional.empty();
  }

  /** The lower end of the interval. */
  public double low() {
    return vo2max - half;
  }

  /** The upper end of the interval. */
  public double high() {
    return vo2max + half;
  }
}
