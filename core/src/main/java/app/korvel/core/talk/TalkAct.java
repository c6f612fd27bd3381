package app.korvel.core.talk;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Texts;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What an instructor decided about learned talk rates; one that is undone is not among them.
 *
 * @param id UUIDv7
 * @param mode which mode it is about; empty where it is about all of them
 * @param kind what was decided
 * @param frozen which rate and its numbers, of an acceptance or a refusal
 * @param check the check that is taken out or put back
 * @param from the day from which learning starts anew
 * @param reason why, up to {@value #REASON_LENGTH} characters
 * @param at when it was put on record
 */
public record TalkAct(
    UUID id,
    Optional<Mode> mode,
    Kind kind,
    Optional<Frozen> frozen,
    Optional<UUID> check,
    Optional<LocalDate> from,
    String reason,
    Instant at) {

  public static final int REASON_LENGTH = 200;

  /** What may be decided. */
  public enum Kind {
    ACCEPTED("Accepted"),
    REFUSED("Refused"),
    TAKEN_OUT("Check taken out"),
    PUT_BACK("Check put back"),
    RESET("Learning restarted"),
    SWITCHED_OFF("Learning switched off"),
    SWITCHED_ON("Learning switched on");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    /** As it is shown. */
    public String words() {
      return words;
    }

    /** Whether a reason has to be given. */
    public boolean needsReason() {
      return this == REFUSED || this == TAKEN_OUT || this == PUT_BACK || this == RESET;
    }
  }

  /**
   * A learned rate as it was when it was decided about.
   *
   * @param bpm the rate that is in use from then on, or was refused
   * @param learnedBpm the mean that was shown
   * @param plusMinusBpm how sure it was
   * @param checks so many near it
   * @param days on so many days
   * @param lastCheck the day of the newest of them
   */
  public record Frozen(
      Which which,
      int bpm,
      int learnedBpm,
      int plusMinusBpm,
      int checks,
      int days,
      LocalDate lastCheck) {}

  /**
   * Checks what was entered.
   *
   * @throws InvalidValueException when a reason is missing or too long
   */
  public TalkAct checked() {
    List<Fault> faults = new ArrayList<>();
    Texts.check(faults, "reason", reason.strip(), kind.needsReason() ? 1 : 0, REASON_LENGTH);
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return this;
  }

  boolean about(Mode other) {
    return mode.isEmpty() || mode.get() == other;
  }

  boolean about(Which which) {
    return frozen.filter(each -> each.which == which).isPresent();
  }
}
