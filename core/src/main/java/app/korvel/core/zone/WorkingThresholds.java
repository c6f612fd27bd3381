package app.korvel.core.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The thresholds that a scheme counts from, for one client in one mode: the latest that were
 * measured in it; once those are some weeks old, or where there are none, both talk rates that were
 * learned, where they are in use.
 *
 * @param measured the latest in that mode, whether they are used or not
 * @param rates those in use; empty where there are none, or they say nothing any more
 * @param finding why there are none in use; empty where there are
 * @param learned whether those in use were learned from talk checks
 */
public record WorkingThresholds(
    Optional<MeasuredThresholds> measured,
    Optional<ThresholdRates> rates,
    Optional<Finding> finding,
    boolean learned) {

  /**
   * The thresholds in use.
   *
   * @param all of every mode
   * @param medicinesChangedAt since when older ones are out of date, if medicine that touches the
   *     heart rate changed
   * @param ladder rest and maximum today, and the talk rates in use
   * @param today the day
   */
  public static WorkingThresholds of(
      List<MeasuredThresholds> all,
      Mode mode,
      Optional<Instant> medicinesChangedAt,
      Ladder ladder,
      LocalDate today) {
    WorkingThresholds tested = tested(all, mode, medicinesChangedAt, ladder.reserve());
    boolean testFirst =
        tested
            .measured
            .filter(each -> tested.rates.isPresent())
            .filter(
                each ->
                    today.isBefore(
                        each.measuredOn().plusWeeks(Threshold.LEARNED_TEST_WEEKS.whole())))
            .isPresent();
    return testFirst
        ? tested
        : learned(ladder)
            .map(
                rates ->
                    new WorkingThresholds(
                        tested.measured, Optional.of(rates), Optional.empty(), true))
            .orElse(tested);
  }

  /** Both are needed. */
  private static Optional<ThresholdRates> learned(Ladder ladder) {
    return ladder
        .learned()
        .lower()
        .flatMap(
            lower ->
                ladder
                    .learned()
                    .upper()
                    .filter(upper -> upper.bpm() > lower.bpm())
                    .map(upper -> ThresholdRates.of(lower.bpm(), upper.bpm())));
  }

  private static WorkingThresholds tested(
      List<MeasuredThresholds> all, Mode mode, Optional<Instant> medicinesChangedAt, Reserve span) {
    Optional<MeasuredThresholds> latest =
        all.stream()
            .filter(each -> each.mode() == mode)
            .max(
                Comparator.comparing(MeasuredThresholds::measuredOn)
                    .thenComparing(MeasuredThresholds::id));
    if (latest.isEmpty()) {
      return none(latest, ZoneFinding.THRESHOLDS_MISSING.of());
    }
    if (medicinesChangedAt.filter(latest.get().recordedAt()::isBefore).isPresent()) {
      return none(latest, ZoneFinding.THRESHOLDS_STALE.of());
    }
    ThresholdRates rates = latest.get().rates();
    if (rates.lowerBpm() <= span.restingBpm() || rates.upperBpm() > span.maximumBpm()) {
      return none(
          latest,
          ZoneFinding.THRESHOLDS_OUTSIDE.of(
              rates.lowerBpm(), rates.upperBpm(), span.restingBpm(), span.maximumBpm()));
    }
    return new WorkingThresholds(latest, Optional.of(rates), Optional.empty(), false);
  }

  private static WorkingThresholds none(Optional<MeasuredThresholds> latest, Finding why) {
    return new WorkingThresholds(latest, Optional.empty(), Optional.of(why), false);
  }
}
