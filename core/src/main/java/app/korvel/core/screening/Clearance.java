package app.korvel.core.screening;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Texts;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * A clinician's word that someone may exercise: who, when, what it allows, until when. It expires.
 *
 * @param id UUIDv7
 * @param issuer who gave it, 1 to {@value #ISSUER_LENGTH} characters
 * @param issuedOn when; not in the future
 * @param allows what it allows; never {@link Allows#NOTHING}
 * @param until the last day it holds, not before {@code issuedOn}
 * @param note what else it says, up to {@value #NOTE_LENGTH} characters; may be empty
 * @param recordedAt when it was put on record
 */
public record Clearance(
    UUID id,
    String issuer,
    LocalDate issuedOn,
    Allows allows,
    LocalDate until,
    String note,
    Instant recordedAt) {
  public static final int ISSUER_LENGTH = 80;
  public static final int NOTE_LENGTH = 200;

  /** The longest time for which a clearance may be given, in years. */
  private static final int LONGEST_YEARS = 5;

  /**
   * Checks what was entered, as of {@code recordedAt}.
   *
   * @throws InvalidValueException with every fault at once
   */
  public static Clearance of(
      UUID id,
      String issuer,
      LocalDate issuedOn,
      Allows allows,
      LocalDate until,
      String note,
      Instant recordedAt,
      ZoneId zone) {
    List<Fault> faults = new ArrayList<>();
    Texts.check(faults, "issuer", issuer.strip(), 1, ISSUER_LENGTH);
    Texts.check(faults, "note", note.strip(), 0, NOTE_LENGTH);
    if (issuedOn.isAfter(LocalDate.ofInstant(recordedAt, zone))) {
      faults.add(Texts.future("issuedOn"));
    }
    if (until.isBefore(issuedOn) || until.isAfter(issuedOn.plusYears(LONGEST_YEARS))) {
      faults.add(
          new Fault(
              "until",
              until.isBefore(issuedOn) ? "ends before it was given" : "lies too far ahead",
              "from the day it was given to " + LONGEST_YEARS + " years after"));
    }
    if (allows == Allows.NOTHING) {
      faults.add(new Fault("allows", "clears nothing", "light-to-moderate, moderate or vigorous"));
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return new Clearance(id, issuer.strip(), issuedOn, allows, until, note.strip(), recordedAt);
  }

  /** Whether it holds on {@code date}. */
  public boolean inForceOn(LocalDate date) {
    return !issuedOn.isAfter(date) && !until.isBefore(date);
  }

  /** Whether it came after symptoms were reported: it was given, and recorded, since then. */
  boolean answers(Instant symptomsReportedAt, ZoneId zone) {
    return recordedAt.isAfter(symptomsReportedAt)
        && !issuedOn.isBefore(LocalDate.ofInstant(symptomsReportedAt, zone));
  }
}
