package app.korvel.core.recovery;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;

/**
 * One recovery of one person among others.
 *
 * @param session in which it was
 * @param endedAt when the work ended
 */
public record RecoverySet(
    UUID person, String name, UUID session, Instant endedAt, Recovery recovery) {

  /** In the order of their times. */
  public static List<RecoverySet> inOrder(List<RecoverySet> sets) {
    return sets.stream().sorted(Comparator.comparing(RecoverySet::endedAt)).toList();
  }
}
