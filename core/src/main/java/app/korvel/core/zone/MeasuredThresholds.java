package app.korvel.core.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Texts;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.Grade;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;

/**
 * Thresholds of one client that were measured, with their circumstances.
 *
 * @param id UUIDv7
 * @param mode what the body did: thresholds of one mode say nothing of another
 * @param kind how they were measured
 * @param rates both of them
 * @param measuredOn the day
 * @param grade what it was worth; what is entered by a report counts as good
 * @param note what else is known, up to {@value #NOTE_LENGTH} characters; may be empty
 * @param test the talk-step test they come from, if it was done here
 * @param recordedAt when they were put on record
 */
public record MeasuredThresholds(
    UUID id,
    Mode mode,
    Kind kind,
    ThresholdRates rates,
    LocalDate measuredOn,
    Grade grade,
    String note,
    Optional<UUID> test,
    Instant recordedAt) {

  public static final int NOTE_LENGTH = 200;

  /** How thresholds are measured. */
  public enum Kind {
    /** Steps of rising work, each spoken in; the source is the talk test. */
    TALK_STEPS("Talk-step test"),
    LABORATORY("Laboratory");

    private final String displayName;

    Kind(String displayName) {
      this.displayName = displayName;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }
  }

  public MeasuredThresholds {
    Objects.requireNonNull(id);
    Objects.requireNonNull(mode);
    Objects.requireNonNull(kind);
    Objects.requireNonNull(rates);
    Objects.requireNonNull(measuredOn);
    Objects.requireNonNull(recordedAt);
  }

  /**
   * Checks what was entered, as of {@code recordedAt}.
   *
   * @param span rest and maximum in that mode: both rates lie within it
   * @throws InvalidValueException with every fault at once
   */
  public static MeasuredThresholds of(
      UUID id,
      Mode mode,
      Kind kind,
      int lowerBpm,
      int upperBpm,
      LocalDate measuredOn,
      String note,
      Reserve span,
      Instant recordedAt,
      ZoneId zone) {
    List<Fault> faults = new ArrayList<>();
    Texts.check(faults, "note", note.strip(), 0, NOTE_LENGTH);
    LocalDate today = LocalDate.ofInstant(recordedAt, zone);
    int years = Threshold.MAXIMUM_OLDEST.whole();
    if (measuredOn.isAfter(today)) {
      faults.add(Texts.future("measuredOn"));
    } else if (measuredOn.isBefore(today.minusYears(years))) {
      faults.add(
          new Fault(
              "measuredOn",
              "lies too far back to say anything today",
              "a day of the last " + years + " years"));
    }
    ThresholdRates rates = null;
    try {
      rates = ThresholdRates.of(lowerBpm, upperBpm);
      Anchors.of(span, Optional.of(rates));
    } catch (InvalidValueException invalid) {
      faults.addAll(invalid.faults());
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return new MeasuredThresholds(
        id, mode, kind, rates, measuredOn, Grade.GOOD, note.strip(), Optional.empty(), recordedAt);
  }
}
