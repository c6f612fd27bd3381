package app.korvel.core.trace;

import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Optional;

/**
 * How a heart rate moves towards another one: {@code a + b·e^(−t/τ)}, with the smallest sum of
 * squares.
 *
 * @param timeConstantSeconds τ, in whole seconds
 * @param a the rate it moves towards, bpm
 * @param b how far above that it begins, bpm; negative where it rises
 * @param squares the sum of the squares that is left
 * @param explained r², the share of the variation that it explains
 */
public record ExponentialFit(
    int timeConstantSeconds, double a, double b, double squares, double explained) {

  private static final int FEWEST = 3;
  private static final int TAU_LOWEST = 10;
  private static final int TAU_HIGHEST = 300;
  private static final double LEAST_EXPLAINED = 0.95;
  private static final int LEAST_MOVE = Threshold.FORECAST_FIT_RISE.whole();

  /** The curve after so many seconds, half up. */
  public int at(int seconds) {
    return Rounding.halfUp(
        BigDecimal.valueOf(a + b * Math.exp(-(double) seconds / timeConstantSeconds)));
  }

  /** The same of a fall; see {@link #rising}. */
  public static Optional<ExponentialFit> falling(Trace trace, int from, int within) {
    return of(trace, from, within).filter(fit -> fit.b >= LEAST_MOVE);
  }

  /**
   * The curve of a rise through the samples of a stretch.
   *
   * @param from the second it begins with
   * @param within so many seconds of it; three quarters of them at least lie between the first
   *     sample and the last
   * @return empty where the rate moved by under {@value #LEAST_MOVE} bpm, where the curve explains
   *     under 95 % of it, or where no time constant between 10 and 300 s fits best
   */
  public static Optional<ExponentialFit> rising(Trace trace, int from, int within) {
    return of(trace, from, within).filter(fit -> fit.b <= -LEAST_MOVE);
  }

  private static Optional<ExponentialFit> of(Trace trace, int from, int within) {
    double[] at = new double[within + 1];
    double[] bpm = new double[within + 1];
    int count = 0;
    for (int after = 0; after <= within; after++) {
      if (trace.sampledAt(from + after)) {
        at[count] = after;
        bpm[count++] = trace.value(from + after).getAsInt();
      }
    }
    if (count < FEWEST || 4 * (at[count - 1] - at[0]) < 3 * within) {
      return Optional.empty();
    }
    double[] times = Arrays.copyOf(at, count);
    ExponentialFit best = of(times, bpm, TAU_LOWEST);
    for (int tau = TAU_LOWEST + 1; tau <= TAU_HIGHEST; tau++) {
      ExponentialFit next = of(times, bpm, tau);
      best = next.squares < best.squares ? next : best;
    }
    boolean shown =
        best.timeConstantSeconds > TAU_LOWEST
            && best.timeConstantSeconds < TAU_HIGHEST
            && best.explained >= LEAST_EXPLAINED;
    return shown ? Optional.of(best) : Optional.empty();
  }

  /** The straight line of the rate on e^(−t/τ). */
  private static ExponentialFit of(double[] at, double[] bpm, int tau) {
    int n = at.length;
    double[] x = new double[n];
    double meanX = 0;
    double meanY = 0;
    for (int i = 0; i < n; i++) {
      x[i] = Math.exp(-at[i] / tau);
      meanX += x[i] / n;
      meanY += bpm[i] / n;
    }
    double xx = 0;
    double xy = 0;
    double yy = 0;
    for (int i = 0; i < n; i++) {
      xx += (x[i] - meanX) * (x[i] - meanX);
      xy += (x[i] - meanX) * (bpm[i] - meanY);
      yy += (bpm[i] - meanY) * (bpm[i] - meanY);
    }
    double b = xy / xx;
    double left = Math.max(0, yy - b * xy);
    return new ExponentialFit(tau, meanY - b * meanX, b, left, yy == 0 ? 0 : 1 - left / yy);
  }
}
