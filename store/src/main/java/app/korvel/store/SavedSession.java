package app.korvel.store;

import app.korvel.core.maximum.Mode;
import app.korvel.core.zone.Reserve.Percents;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import java.util.UUID;

/**
 * A planned session as a calendar reads it.
 *
 * @param clientId whose it is
 * @param number the client's for good
 * @param on its day
 * @param at when it begins, where that is fixed
 * @param mode what the body does
 * @param minutes of work
 * @param wholeMinutes from the first step to the last
 * @param range of its work, percent of reserve
 * @param state whether it is still to be done
 * @param sequence goes up whenever something of it changes
 * @param changedAt when something last did
 */
public record SavedSession(
    UUID clientId,
    int number,
    LocalDate on,
    Optional<LocalTime> at,
    Mode mode,
    int minutes,
    int wholeMinutes,
    Percents range,
    State state,
    int sequence,
    Instant changedAt) {

  /** Whether a session is still to be done. */
  public enum State {
    PLANNED,
    /** Left out by the instructor. */
    SKIPPED,
    /** Not laid out any more. */
    GONE
  }

  boolean sameAs(SavedSession other) {
    return equals(
        new SavedSession(
            other.clientId,
            other.number,
            other.on,
            other.at,
            other.mode,
            other.minutes,
            other.wholeMinutes,
            other.range,
            other.state,
            sequence,
            changedAt));
  }
}
