package app.korvel.core.talk;

import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * What is believed of a rate.
 *
 * @param meanBpm its mean
 * @param errorBpm its standard deviation
 */
public record Spread(double meanBpm, double errorBpm) {
  private static final int SAME_ON_EVERY_MACHINE = 6;

  static Spread of(int from, double[] weights) {
    double mean = 0;
    for (int n = 0; n < weights.length; n++) {
      mean += weights[n] * (from + n);
    }
    double square = 0;
    for (int n = 0; n < weights.length; n++) {
      double off = from + n - mean;
      square += weights[n] * off * off;
    }
    return new Spread(mean, Math.sqrt(square));
  }

  /** The rate as it is shown: half up. */
  public int shownBpm() {
    return whole(meanBpm);
  }

  /** How sure it is, as that is shown: half up, and never surer than a measured one. */
  public int shownPlusMinus() {
    return Math.max(Threshold.LEARNED_SUREST.whole(), whole(errorBpm));
  }

  private static int whole(double value) {
    return BigDecimal.valueOf(value)
        .setScale(SAME_ON_EVERY_MACHINE, RoundingMode.HALF_UP)
        .setScale(0, RoundingMode.HALF_UP)
        .intValue();
  }
}
