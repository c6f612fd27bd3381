package app.korvel.core.talk;

import app.korvel.core.measure.Threshold;
import java.util.Optional;

/**
 * What the maximum may be, whole bpm by whole bpm. Talk never moves it.
 *
 * @param from the lowest rate it may be
 * @param weights of that rate and those above it, together 1
 */
record MaximumBelief(int from, double[] weights) {
  private static final int LOWEST = 80;
  private static final int HIGHEST = 230;
  private static final int ABOVE_REST = 40;
  private static final int SPREADS = 4;

  /**
   * Around the working maximum.
   *
   * @param peak a peak over it that was seen once, if there is one
   */
  static MaximumBelief of(int restingBpm, double bpm, double errorBpm, Optional<PeakOnce> peak) {
    int from =
        Math.max(
            Math.max(LOWEST, restingBpm + ABOVE_REST), (int) Math.ceil(bpm - SPREADS * errorBpm));
    int to = Math.min(HIGHEST, (int) Math.floor(bpm + SPREADS * errorBpm));
    double[] weights = new double[Math.max(1, to - from + 1)];
    double sum = 0;
    for (int n = 0; n < weights.length; n++) {
      double off = errorBpm == 0 ? 0 : (from + n - bpm) / errorBpm;
      double weight = Math.exp(-off * off / 2);
      weights[n] = peak.isEmpty() ? weight : weight * peak.get().weightAt(from + n);
      sum += weights[n];
    }
    for (int n = 0; n < weights.length; n++) {
      weights[n] /= sum;
    }
    return new MaximumBelief(from, weights);
  }

  Spread spread() {
    return Spread.of(from, weights);
  }

  /**
   * A peak that was seen once and is not confirmed: a lower bound that may be wrong.
   *
   * @param bpm over the working maximum
   * @param strap whether a strap read it
   */
  record PeakOnce(int bpm, boolean strap) {
    private double weightAt(int maximum) {
      Threshold percent = strap ? Threshold.TALK_PEAK_DOUBT_STRAP : Threshold.TALK_PEAK_DOUBT_WRIST;
      double doubt = percent.value().doubleValue() / 100;
      double scale = Threshold.TALK_PEAK_SCALE.value().doubleValue();
      return doubt + (1 - doubt) / (1 + Math.exp(-(maximum - bpm) / scale));
    }
  }
}
