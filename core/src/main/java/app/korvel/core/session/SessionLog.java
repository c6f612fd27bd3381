package app.korvel.core.session;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Texts;
import app.korvel.core.screening.StopSign;
import app.korvel.core.zone.Level;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A session as it was done, or that it was not.
 *
 * @param id UUIDv7
 * @param number of the planned session; empty for one that was not planned
 * @param on the day
 * @param mode what the body did
 * @param done whether it was done
 * @param minutes of work, {@link Limit#LOGGED_MINUTES}; 0 where nothing of it was done. One that
 *     was cut short has some, and was not done
 * @param rate a heart rate of it, if one was taken
 * @param rpe20 how hard it felt, {@link Limit#EFFORT}, if it was asked
 * @param voice what the voice could do, if it was tried
 * @param warnings stop signs that came
 * @param note up to {@value #NOTE_LENGTH} characters
 * @param asked what it asked for
 * @param recordedAt when it was put on record
 */
public record SessionLog(
    UUID id,
    Optional<Integer> number,
    LocalDate on,
    Mode mode,
    boolean done,
    int minutes,
    Optional<LoggedRate> rate,
    Optional<Integer> rpe20,
    Optional<Level> voice,
    Set<StopSign> warnings,
    String note,
    PlannedLoad asked,
    Instant recordedAt) {

  public static final int NOTE_LENGTH = 280;

  /** How far back a session is logged, years: what lies before is a typing error. */
  public static final int YEARS_BACK = 2;

  public SessionLog {
    Objects.requireNonNull(id);
    warnings = new TreeSet<>(warnings);
  }

  /**
   * Checks what was entered, as of {@code recordedAt}.
   *
   * @throws InvalidValueException with every fault at once
   */
  public SessionLog checked(ZoneId zone) {
    List<Fault> faults = new ArrayList<>();
    LocalDate today = LocalDate.ofInstant(recordedAt, zone);
    if (on.isAfter(today)) {
      faults.add(Texts.future("on"));
    } else if (on.isBefore(today.minusYears(YEARS_BACK))) {
      faults.add(
          new Fault("on", "lies too far back", "a day of the last " + YEARS_BACK + " years"));
    }
    if (done || trained()) {
      Limit.LOGGED_MINUTES.check(faults, "minutes", minutes);
      rate.ifPresent(each -> Limit.SESSION_RATE.check(faults, "bpm", each.bpm()));
      rpe20.ifPresent(each -> Limit.EFFORT.check(faults, "rpe", each));
    } else {
      Stream.of(
              rate.isEmpty() ? "" : "bpm",
              rpe20.isEmpty() ? "" : "rpe",
              voice.isEmpty() ? "" : "voice")
          .filter(field -> !field.isEmpty())
          .forEach(
              field ->
                  faults.add(
                      new Fault(
                          field, "belongs to a session that was done", "nothing, or “done”")));
    }
    Texts.check(faults, "note", note, 0, NOTE_LENGTH);
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return this;
  }

  /** The same under another id: what a correction puts in its place. */
  public SessionLog withId(UUID other) {
    return new SessionLog(
        other,
        number,
        on,
        mode,
        done,
        minutes,
        rate,
        rpe20,
        voice,
        warnings,
        note,
        asked,
        recordedAt);
  }

  /** The same by another rate. */
  public SessionLog withRate(Optional<LoggedRate> other) {
    return new SessionLog(
        id,
        number,
        on,
        mode,
        done,
        minutes,
        other,
        rpe20,
        voice,
        warnings,
        note,
        asked,
        recordedAt);
  }

  /** The same, as of what another log of that session was asked for. */
  public SessionLog asking(PlannedLoad other) {
    return new SessionLog(
        id, number, on, mode, done, minutes, rate, rpe20, voice, warnings, note, other, recordedAt);
  }

  /**
   * The level that its minutes count at: the middle one of what rate, RPE and voice say, the higher
   * of two; where nothing was noted, the one it asked for.
   */
  public Level level() {
    List<Level> said =
        Stream.of(
                rate.flatMap(each -> asked.reserve().map(span -> Level.atRate(each.bpm(), span))),
                rpe20.map(Level::atRpe20),
                voice)
            .flatMap(Optional::stream)
            .sorted()
            .toList();
    return said.isEmpty() ? asked.level() : said.get(said.size() / 2);
  }

  /**
   * Seconds at each level, from Sing to Silent: by its recording where it has one that counts, else
   * all its minutes at its one level.
   */
  public List<Integer> secondsByLevel() {
    List<Integer> recorded = rate.map(LoggedRate::secondsByLevel).orElse(List.of());
    if (!recorded.isEmpty()) {
      return recorded;
    }
    List<Integer> seconds = new ArrayList<>(Collections.nCopies(Level.values().length, 0));
    seconds.set(level().ordinal(), 60 * minutes);
    return seconds;
  }

  /** Whether anything of it was done. */
  public boolean trained() {
    return minutes > 0;
  }

  /** Whether a doctor has to clear something up before the next session. */
  public boolean symptoms() {
    return warnings.stream().anyMatch(StopSign::symptom);
  }

  /** Its warnings, in words. */
  public String warningWords() {
    return warnings.stream().map(StopSign::words).collect(Collectors.joining("; "));
  }

  /** In a few words, for example {@code 25 min, RPE 12, Talk}. */
  public String words() {
    if (!done && !trained()) {
      return "not done" + (warnings.isEmpty() ? "" : ", " + warningWords());
    }
    return Stream.of(
            Optional.of("cut short").filter(words -> !done),
            Optional.of(minutes + " min"),
            rate.map(each -> each.bpm() + " " + each.kind().name().toLowerCase(Locale.ROOT)),
            rpe20.map(each -> "RPE " + each),
            voice.map(Level::displayName),
            Optional.of(warningWords()).filter(words -> !words.isEmpty()))
        .flatMap(Optional::stream)
        .collect(Collectors.joining(", "));
  }
}
