package app.korvel.studio;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.UUID;

/**
 * What a new record is given: its id, and when and where it is made.
 *
 * @param at the studio's time
 * @param zone of the studio's days
 */
public record Stamp(UUID id, Instant at, ZoneId zone) {
  /** The studio's day. */
  public LocalDate day() {
    return LocalDate.ofInstant(at, zone);
  }
}
