package app.korvel.core.talk;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Texts;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * What the voice could do at one rate, on one occasion.
 *
 * @param id UUIDv7; that of the rating, where it comes from a session on the clock
 * @param mode what the body did: talk in one mode says nothing of another
 * @param at when the passage was begun
 * @param said rate and voice
 * @param rpe20 how hard it felt, {@link Limit#EFFORT}, if it was asked
 * @param odd what made the day unusual
 * @param doubts why it is not used, as far as that was seen when it was taken
 * @param in the session or test in which it was taken, if it was
 * @param note what else is known, up to {@value #NOTE_LENGTH} characters
 * @param recordedAt when it was put on record
 */
public record TalkCheck(
    UUID id,
    Mode mode,
    Instant at,
    Said said,
    Optional<Integer> rpe20,
    Set<OddDay> odd,
    Set<NotUsed> doubts,
    Optional<TakenIn> in,
    String note,
    Instant recordedAt) {

  public static final int NOTE_LENGTH = 200;

  /** How far back one is told of, days: who remembers a rate and a voice for longer. */
  private static final int DAYS_BACK = 14;

  /**
   * Where a check was taken.
   *
   * @param id of the session or the test
   * @param test whether it is a test: its steps count whole, however many there are
   */
  public record TakenIn(UUID id, boolean test) {}

  /**
   * Rate and voice.
   *
   * @param bpm {@link Limit#SESSION_RATE}; 0 where none was known, which is never used
   * @param by what read the rate
   * @param voice {@link Limit#VOICE}
   * @param hearing how it is known
   */
  public record Said(int bpm, RateBy by, int voice, Hearing hearing) {
    /** What of the voice decides. */
    public Speech speech() {
      return Speech.of(voice);
    }

    /** In a few words, for example {@code sentences at 134}. */
    public String words() {
      return speech().words() + " at " + bpm;
    }
  }

  public TalkCheck {
    Objects.requireNonNull(id);
    Objects.requireNonNull(mode);
    odd = odd.isEmpty() ? EnumSet.noneOf(OddDay.class) : EnumSet.copyOf(odd);
    doubts = doubts.isEmpty() ? EnumSet.noneOf(NotUsed.class) : EnumSet.copyOf(doubts);
  }

  /**
   * Checks what was entered by hand, as of when it was put on record.
   *
   * @throws InvalidValueException with every fault at once
   */
  public TalkCheck checked(ZoneId zone) {
    List<Fault> faults = new ArrayList<>();
    if (at.isAfter(recordedAt)) {
      faults.add(Texts.future("at"));
    } else if (day(zone).isBefore(LocalDate.ofInstant(recordedAt, zone).minusDays(DAYS_BACK))) {
      faults.add(new Fault("at", "lies too far back", "a day of the last " + DAYS_BACK));
    }
    Limit.SESSION_RATE.check(faults, "bpm", said.bpm);
    Limit.VOICE.check(faults, "voice", said.voice);
    rpe20.ifPresent(value -> Limit.EFFORT.check(faults, "rpe20", value));
    Texts.check(faults, "note", note, 0, NOTE_LENGTH);
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return this;
  }

  /** Whether it is a step of a test. */
  public boolean ofTest() {
    return in.filter(TakenIn::test).isPresent();
  }

  /** The day of it, where the studio is. */
  public LocalDate day(ZoneId zone) {
    return LocalDate.ofInstant(at, zone);
  }
}
