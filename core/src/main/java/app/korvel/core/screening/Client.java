package app.korvel.core.screening;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Texts;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A client as kept: an editable head with a version.
 *
 * @param id UUIDv7
 * @param version 1 for a new client, one more with every edit
 * @param details what the instructor entered
 * @param archived kept and readable, out of the list, nothing is added
 * @param birthDateCorrectedAt when the birth date was last corrected, if it ever was: what was made
 *     before that was made for another age
 */
public record Client(
    UUID id,
    int version,
    Details details,
    boolean archived,
    Optional<Instant> birthDateCorrectedAt) {

  /** A client whose birth date is as it was first entered. */
  public Client(UUID id, int version, Details details, boolean archived) {
    this(id, version, details, archived, Optional.empty());
  }

  /** The longest name that is kept. */
  public static final int NAME_LENGTH = 80;

  /** The longest note that is kept. */
  public static final int NOTE_LENGTH = 120;

  /**
   * What the instructor enters.
   *
   * @param name 1 to {@value #NAME_LENGTH} characters
   * @param note up to {@value #NOTE_LENGTH} characters: work, habits, what to remember
   * @param birthDate a local date that makes an age of {@link Limit#AGE}
   * @param sex used only where an equation needs it
   */
  public record Details(String name, String note, LocalDate birthDate, Sex sex) {

    /**
     * Checks what was entered, as of {@code today}.
     *
     * @throws InvalidValueException with every fault at once
     */
    public static Details of(
        String name, String note, LocalDate birthDate, Sex sex, LocalDate today) {
      List<Fault> faults = new ArrayList<>();
      String cleanName = name.strip();
      String cleanNote = note.strip();
      Texts.check(faults, "name", cleanName, 1, NAME_LENGTH);
      Texts.check(faults, "note", cleanNote, 0, NOTE_LENGTH);
      checkBirthDate(faults, birthDate, today);
      if (!faults.isEmpty()) {
        throw InvalidValueException.of(faults);
      }
      return new Details(cleanName, cleanNote, birthDate, sex);
    }

    private static void checkBirthDate(List<Fault> faults, LocalDate birthDate, LocalDate today) {
      if (birthDate.isAfter(today)) {
        faults.add(new Fault("birthDate", "lies in the future", "a date in the past"));
        return;
      }
      long age = ChronoUnit.YEARS.between(birthDate, today);
      if (age < Limit.AGE.lowest() || age > Limit.AGE.highest()) {
        faults.add(
            new Fault("birthDate", "makes an age of " + age, "an age of " + Limit.AGE.accepted()));
      }
    }
  }

  /**
   * The client as the rules see them on {@code date}. Whoever outlives {@link Limit#AGE} keeps its
   * highest age.
   *
   * @param answers what they answered at intake
   */
  public Person on(LocalDate date, Answers answers) {
    return Person.of(ageOn(date), details.sex(), answers.activityClass(), answers.health());
  }

  /** Whole years on {@code date}, at most the highest of {@link Limit#AGE}. */
  public int ageOn(LocalDate date) {
    return (int) Math.min(ChronoUnit.YEARS.between(details.birthDate(), date), Limit.AGE.highest());
  }

  /** The first birthday after {@code date}. One of 29 February is kept on the 28th between. */
  public LocalDate nextBirthday(LocalDate date) {
    long years = ChronoUnit.YEARS.between(details.birthDate(), date) + 1;
    return details.birthDate().plusYears(years);
  }
}
