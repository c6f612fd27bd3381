package app.korvel.core.maximum;

import app.korvel.core.measure.Formula;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Texts;
import app.korvel.core.measure.Threshold;
import app.korvel.core.measure.Working;
import app.korvel.core.pulse.Grade;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/**
 * A maximum heart rate that was reached, with its circumstances.
 *
 * @param id UUIDv7
 * @param mode what the body did
 * @param kind how it was measured
 * @param protocol which test, up to {@value #PROTOCOL_LENGTH} characters; may be empty
 * @param grade what the test was worth; good for a peak, which has none
 * @param bpm {@link Limit#MAXIMUM}
 * @param measuredOn the day
 * @param note what else is known, up to {@value #NOTE_LENGTH} characters; may be empty
 * @param test the field test or graded test it comes from, if it was done here
 * @param recordedAt when it was put on record
 */
public record MeasuredMaximum(
    UUID id,
    Mode mode,
    MaximumKind kind,
    String protocol,
    Grade grade,
    int bpm,
    LocalDate measuredOn,
    String note,
    Optional<UUID> test,
    Instant recordedAt) {

  public static final int PROTOCOL_LENGTH = 80;
  public static final int NOTE_LENGTH = 200;

  private static final int MONTHS_A_YEAR = 12;

  public MeasuredMaximum {
    Objects.requireNonNull(id);
    Objects.requireNonNull(mode);
    Objects.requireNonNull(kind);
    Objects.requireNonNull(grade);
    Objects.requireNonNull(measuredOn);
    Objects.requireNonNull(test);
    Objects.requireNonNull(recordedAt);
  }

  /**
   * Checks what was entered, as of {@code recordedAt}.
   *
   * @param grade empty for a peak
   * @param restingBpm the working resting value, if one is known: a maximum lies at least 40 bpm
   *     over it
   * @throws InvalidValueException with every fault at once
   */
  public static MeasuredMaximum of(
      UUID id,
      Mode mode,
      MaximumKind kind,
      String protocol,
      Optional<Grade> grade,
      int bpm,
      LocalDate measuredOn,
      String note,
      Optional<UUID> test,
      OptionalInt restingBpm,
      Instant recordedAt,
      ZoneId zone) {
    List<Fault> faults = new ArrayList<>();
    Texts.check(faults, "protocol", protocol.strip(), 0, PROTOCOL_LENGTH);
    Texts.check(faults, "note", note.strip(), 0, NOTE_LENGTH);
    int least = Math.max(Limit.MAXIMUM.lowest(), leastOver(restingBpm));
    if (!Limit.MAXIMUM.accepts(bpm) || bpm < least) {
      faults.add(
          new Fault(
              "bpm",
              Limit.MAXIMUM.accepts(bpm)
                  ? bpm
                      + " is not "
                      + Threshold.SMALLEST_RESERVE.whole()
                      + " bpm over the resting rate of "
                      + restingBpm.getAsInt()
                  : bpm + " is outside the accepted range",
              least + " to " + Limit.MAXIMUM.highest() + " " + Limit.MAXIMUM.unit()));
    }
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
    if (!MaximumKind.ENTERED.contains(kind)) {
      faults.add(
          new Fault(
              "kind",
              "is not entered: two peaks of two days make it",
              String.join(", ", MaximumKind.ENTERED.stream().map(MaximumKind::id).toList())));
    } else if (kind.test() && grade.isEmpty()) {
      faults.add(new Fault("grade", "is missing", "good, fair or poor"));
    } else if (!kind.test() && grade.isPresent()) {
      faults.add(new Fault("grade", "belongs to a test, not to a peak", "nothing"));
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return new MeasuredMaximum(
        id,
        mode,
        kind,
        protocol.strip(),
        grade.orElse(Grade.GOOD),
        bpm,
        measuredOn,
        note.strip(),
        test,
        recordedAt);
  }

  /** The lowest maximum that leaves a reserve to steer by over that resting rate, bpm. */
  private static int leastOver(OptionalInt restingBpm) {
    return restingBpm.isPresent()
        ? restingBpm.getAsInt() + Threshold.SMALLEST_RESERVE.whole()
        : Limit.MAXIMUM.lowest();
  }

  /** The same under another id: what a correction or its undoing puts in its place. */
  public MeasuredMaximum withId(UUID other) {
    return new MeasuredMaximum(
        other, mode, kind, protocol, grade, bpm, measuredOn, note, test, recordedAt);
  }

  /** A test that was worth something: good or fair. */
  boolean passed() {
    return kind.test() && grade != Grade.POOR;
  }

  /** Whole months from the day it was measured to {@code date}. */
  long monthsOld(LocalDate date) {
    return Math.max(0, ChronoUnit.MONTHS.between(measuredOn, date));
  }

  /**
   * How sure it is on {@code date}, to one decimal, bpm: it grows by 1 bpm a year.
   *
   * @param standsAs the kind it stands as: two peaks that agree are a confirmed one
   */
  BigDecimal standardErrorBpm(MaximumKind standsAs, LocalDate date) {
    BigDecimal grown =
        Threshold.MAXIMUM_ERROR_GROWS
            .value()
            .multiply(BigDecimal.valueOf(monthsOld(date)))
            .divide(BigDecimal.valueOf(MONTHS_A_YEAR), MathContext.DECIMAL64);
    return Rounding.tenths(BigDecimal.valueOf(standsAs.standardErrorBpm(grade)).add(grown));
  }

  /** The error on {@code date} as a sum. */
  Working.Line errorLine(MaximumKind standsAs, LocalDate date) {
    return Working.Line.of(
        Formula.MEASURED_ERROR,
        "Its error, ±",
        standsAs.standardErrorBpm(grade) + " + " + monthsOld(date) + " ÷ " + MONTHS_A_YEAR,
        standardErrorBpm(standsAs, date),
        "bpm",
        Working.Finish.TENTH);
  }

  /** The day from which it is to be measured again. */
  LocalDate dueOn() {
    return measuredOn.plusMonths(Threshold.MAXIMUM_DUE.whole());
  }

  /** What it is called in a sentence, for example {@code Hill repeats, graded good}. */
  String words() {
    String what = protocol.isEmpty() ? kind.displayName() : protocol;
    return kind.test() ? what + ", graded " + grade.name().toLowerCase(Locale.ROOT) : what;
  }
}
