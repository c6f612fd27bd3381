package app.korvel.bench;

import java.util.Arrays;
import java.util.Locale;

/**
 * Measured values of one thing, in one unit.
 *
 * @param name what was measured
 * @param unit the unit of the values
 * @param values in the order they were measured, at least one
 */
record Sample(String name, String unit, double[] values) {

  /** The value that so much of the sample does not exceed, by nearest rank; 0.5 is the median. */
  double quantile(double share) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    int rank = (int) Math.ceil(share * sorted.length);
    return sorted[Math.max(0, rank - 1)];
  }

  double median() {
    return quantile(0.5);
  }

  /** One line of a report. */
  String line() {
    return String.format(
        Locale.ROOT,
        "%-44s median %9.3f   p99 %9.3f   max %9.3f %s   (n = %d)",
        name,
        median(),
        quantile(0.99),
        quantile(1),
        unit,
        values.length);
  }
}
