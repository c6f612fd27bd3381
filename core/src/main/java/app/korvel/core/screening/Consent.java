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
 * A parent's or guardian's consent that someone under 18 may train: who gave it, and when.
 *
 * @param id UUIDv7
 * @param givenBy who gave it, 1 to {@value #GIVEN_BY_LENGTH} characters
 * @param givenOn when; not in the future
 * @param note how, or what else was said, up to {@value #NOTE_LENGTH} characters; may be empty
 * @param recordedAt when it was put on record
 */
public record Consent(UUID id, String givenBy, LocalDate givenOn, String note, Instant recordedAt) {
  public static final int GIVEN_BY_LENGTH = 80;
  public static final int NOTE_LENGTH = 200;

  /**
   * Checks what was entered, as of {@code recordedAt}.
   *
   * @throws InvalidValueException with every fault at once
   */
  public static Consent of(
      UUID id, String givenBy, LocalDate givenOn, String note, Instant recordedAt, ZoneId zone) {
    List<Fault> faults = new ArrayList<>();
    Texts.check(faults, "givenBy", givenBy.strip(), 1, GIVEN_BY_LENGTH);
    Texts.check(faults, "note", note.strip(), 0, NOTE_LENGTH);
    if (givenOn.isAfter(LocalDate.ofInstant(recordedAt, zone))) {
      faults.add(Texts.future("givenOn"));
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return new Consent(id, givenBy.strip(), givenOn, note.strip(), recordedAt);
  }
}
