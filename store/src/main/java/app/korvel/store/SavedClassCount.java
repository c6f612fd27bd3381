package app.korvel.store;

import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A class counted together, as it was kept.
 *
 * @param id UUIDv7
 * @param moment before the session or after it
 * @param window how long the room counts
 * @param posture how the class is placed
 * @param settled whether it had been still for 5 minutes
 * @param startedAt when the class was put together
 * @param stoppedAt when the work ended, for a count after it
 * @param follows the round before, after the same session
 * @param members who is present, in the order in which they are gone round
 */
public record SavedClassCount(
    UUID id,
    Moment moment,
    CountWindow window,
    Posture posture,
    boolean settled,
    Instant startedAt,
    Optional<Instant> stoppedAt,
    Optional<UUID> follows,
    List<UUID> members) {

  /** When a class is counted. */
  public enum Moment {
    BEFORE,
    AFTER
  }

  /**
   * What was entered for a person.
   *
   * @param again whether it is the second count of a first odd value
   * @param at when it was entered
   */
  public record Entry(UUID clientId, boolean again, PulseCount count, Instant at) {}

  public SavedClassCount {
    if (stoppedAt.isPresent() != (moment == Moment.AFTER)) {
      throw new IllegalArgumentException("the end of the work belongs to a count after it");
    }
    members = List.copyOf(members);
  }
}
