package app.korvel.core.trace;

import app.korvel.core.measure.Rounding;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * How a heart rate falls once the work has stopped, by its samples alone.
 *
 * @param endBpm the middle of the samples of the last 5 s
 * @param drop60 how far it had fallen after 60 s; empty with too few samples about either moment
 * @param drop120 the same after 120 s
 * @param fit the curve through the first 120 s, where one fits
 * @param higherBefore by how much it was higher within the 15 s before the end, where that was so
 *     much that the work may have stopped sooner
 */
public record Fall(
    int endBpm,
    OptionalInt drop60,
    OptionalInt drop120,
    Optional<Fit> fit,
    OptionalInt higherBefore) {

  /**
   * {@code a + b·e^(−t/τ)}, with the smallest sum of squares.
   *
   * @param timeConstantSeconds τ, in whole seconds
   * @param a the rate it falls towards, bpm
   * @param b how far it falls, bpm
   * @param squares the sum of the squares that is left
   * @param explained r², the share of the variation that it explains
   */
  public record Fit(int timeConstantSeconds, double a, double b, double squares, double explained) {
    /** The curve after so many seconds, half up. */
    public int at(int seconds) {
      return Rounding.halfUp(
          BigDecimal.valueOf(a + b * Math.exp(-(double) seconds / timeConstantSeconds)));
    }
  }

  private static final int END = 5;
  private static final int ABOUT = 2;
  private static final int FEWEST = 3;
  private static final int BEFORE = 15;
  private static final int HIGHER = 5;
  private static final int FIRST = 60;
  private static final int SECOND = 120;

  /** So long after the end the drops are known, in seconds. */
  public static final int KNOWN_60 = FIRST + ABOUT;

  public static final int KNOWN_120 = SECOND + ABOUT;
  private static final int SHORTEST_FIT = 90;
  private static final int TAU_LOWEST = 10;
  private static final int TAU_HIGHEST = 300;
  private static final double LEAST_EXPLAINED = 0.95;
  private static final double LEAST_FALL = 15;

  /**
   * The fall after a moment.
   *
   * @param end the last second of the work
   * @return empty where no sample was taken in its last 5 s
   */
  public static Optional<Fall> of(Trace trace, int end) {
    OptionalInt atEnd = trace.median(end - END + 1, end, 1);
    if (atEnd.isEmpty()) {
      return Optional.empty();
    }
    int bpm = atEnd.getAsInt();
    int higher = 0;
    for (int second = end - BEFORE; second < end; second++) {
      higher = Math.max(higher, trace.smoothed(second).orElse(0) - bpm);
    }
    return Optional.of(
        new Fall(
            bpm,
            drop(trace, end, FIRST),
            drop(trace, end, SECOND),
            fit(trace, end),
            higher >= HIGHER ? OptionalInt.of(higher) : OptionalInt.empty()));
  }

  private static OptionalInt drop(Trace trace, int end, int after) {
    OptionalInt from = trace.median(end - END + 1, end, FEWEST);
    OptionalInt to = trace.median(end + after - ABOUT, end + after + ABOUT, FEWEST);
    return from.isPresent() && to.isPresent()
        ? OptionalInt.of(from.getAsInt() - to.getAsInt())
        : OptionalInt.empty();
  }

  /** The seconds from the end on in which a sample was taken, and its rate. */
  private static double[][] samples(Trace trace, int end) {
    double[] at = new double[SECOND + 1];
    double[] bpm = new double[SECOND + 1];
    int count = 0;
    for (int after = 0; after <= SECOND; after++) {
      if (trace.sampledAt(end + after)) {
        at[count] = after;
        bpm[count++] = trace.value(end + after).getAsInt();
      }
    }
    return new double[][] {Arrays.copyOf(at, count), Arrays.copyOf(bpm, count)};
  }

  private static Optional<Fit> fit(Trace trace, int end) {
    double[][] samples = samples(trace, end);
    double[] at = samples[0];
    if (at.length < FEWEST || at[at.length - 1] - at[0] < SHORTEST_FIT) {
      return Optional.empty();
    }
    Fit best = fit(at, samples[1], TAU_LOWEST);
    for (int tau = TAU_LOWEST + 1; tau <= TAU_HIGHEST; tau++) {
      Fit next = fit(at, samples[1], tau);
      best = next.squares < best.squares ? next : best;
    }
    boolean shown =
        best.timeConstantSeconds > TAU_LOWEST
            && best.timeConstantSeconds < TAU_HIGHEST
            && best.explained >= LEAST_EXPLAINED
            && best.b >= LEAST_FALL;
    return shown ? Optional.of(best) : Optional.empty();
  }

  /** The straight line of the rate on e^(−t/τ). */
  private static Fit fit(double[] at, double[] bpm, int tau) {
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
    return new Fit(tau, meanY - b * meanX, b, left, yy == 0 ? 0 : 1 - left / yy);
  }
}
