package app.korvel.core.zone;

import app.korvel.core.measure.Threshold;
import java.util.Optional;

/**
 * The rates at which a client's talk changes, as learned from talk checks and accepted by the
 * instructor, in so far as they move an edge: talk rates, never ventilatory or lactate thresholds.
 *
 * @param lower where whole sentences end; empty where none is in use
 * @param upper where no more than a word or two comes; empty where none is in use
 */
public record LearnedRates(Optional<Rate> lower, Optional<Rate> upper) {

  /** None in use. */
  public static final LearnedRates NONE = new LearnedRates(Optional.empty(), Optional.empty());

  /**
   * One of them.
   *
   * @param bpm the rate
   * @param plusMinusBpm how sure it is; {@link Threshold#LEARNED_SUREST} at least
   */
  public record Rate(int bpm, int plusMinusBpm) {}

  /**
   * Where a target at Talk level ends, if whole sentences end within it.
   *
   * @param lowBpm its lower edge
   * @param highBpm its upper edge
   */
  public Optional<Rate> easing(int lowBpm, int highBpm) {
    return lower.filter(rate -> rate.bpm() > lowBpm && rate.bpm() < highBpm);
  }

  /** Whether neither is in use. */
  public boolean none() {
    return lower.isEmpty() && upper.isEmpty();
  }
}
