package app.korvel.core.zone;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The rates that the figures of a scheme are counted from.
 *
 * @param reserve rest and maximum
 * @param thresholds where they have been measured; both lie over rest and not over the maximum
 * @param ladder where the five levels begin
 */
public record Anchors(Reserve reserve, Optional<ThresholdRates> thresholds, Ladder ladder) {

  /**
   * All of them.
   *
   * @throws InvalidValueException when a threshold lies outside the span
   */
  public Anchors {
    List<Fault> faults = new ArrayList<>();
    thresholds.ifPresent(
        rates -> {
          checkWithin(faults, reserve, "lowerThresholdBpm", rates.lowerBpm());
          checkWithin(faults, reserve, "upperThresholdBpm", rates.upperBpm());
        });
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
  }

  /** Rest and maximum alone. */
  public static Anchors of(Reserve reserve) {
    return of(reserve, Optional.empty());
  }

  /** Rest, maximum and thresholds; the levels by percent of reserve. */
  public static Anchors of(Reserve reserve, Optional<ThresholdRates> thresholds) {
    return new Anchors(reserve, thresholds, Ladder.of(reserve));
  }

  /** See {@link Anchors#Anchors}. */
  public static Anchors of(Ladder ladder, Optional<ThresholdRates> thresholds) {
    return new Anchors(ladder.reserve(), thresholds, ladder);
  }

  /**
   * The thresholds, for a basis that counts from them.
   *
   * @throws InvalidValueException when none have been measured
   */
  ThresholdRates thresholdsOrRefuse() {
    return thresholds.orElseThrow(
        () ->
            InvalidValueException.of(
                List.of(
                    missing("lowerThresholdBpm", "the last rate of comfortable talk"),
                    missing("upperThresholdBpm", "the first rate without talk"))));
  }

  private Fault missing(String field, String what) {
    return new Fault(
        field,
        "is missing: this counts from measured thresholds",
        what + ", " + accepted(reserve) + ", from a talk-step test or a laboratory");
  }

  private static void checkWithin(List<Fault> faults, Reserve reserve, String field, int bpm) {
    if (bpm <= reserve.restingBpm() || bpm > reserve.maximumBpm()) {
      faults.add(new Fault(field, bpm + " lies outside the span", accepted(reserve)));
    }
  }

  private static String accepted(Reserve reserve) {
    return (reserve.restingBpm() + 1) + " to " + reserve.maximumBpm() + " bpm";
  }
}
