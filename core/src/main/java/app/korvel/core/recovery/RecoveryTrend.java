package app.korvel.core.recovery;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Threshold;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * How somebody's drop at 60 s has gone over time, in one posture and by one source. Where
 * medication that changes the rate was changed, what came before is another series.
 *
 * @param sets those with a drop, the first one first
 * @param change of the drop, from the first to the last; empty with fewer than two
 * @param changed whether that is more than chance
 */
public record RecoveryTrend(
    RecoveryPosture posture,
    RateSource source,
    List<RecoverySet> sets,
    OptionalInt change,
    boolean changed) {

  public RecoveryTrend {
    sets = List.copyOf(sets);
  }

  /**
   * All trends of a person.
   *
   * @param medicineChangedAt what came before it is left out; empty where nothing changed
   */
  public static List<RecoveryTrend> of(
      List<RecoverySet> sets, Optional<Instant> medicineChangedAt) {
    List<RecoveryTrend> trends = new ArrayList<>();
    for (RecoveryPosture posture : RecoveryPosture.values()) {
      for (RateSource source : List.of(RateSource.STRAP, RateSource.COUNT)) {
        List<RecoverySet> alike =
            RecoverySet.inOrder(sets).stream()
                .filter(
                    set -> set.recovery().posture() == posture && set.recovery().source() == source)
                .filter(set -> set.recovery().drop60().isPresent())
                .filter(set -> medicineChangedAt.filter(set.endedAt()::isBefore).isEmpty())
                .toList();
        if (!alike.isEmpty()) {
          trends.add(trend(posture, source, alike));
        }
      }
    }
    return trends;
  }

  private static RecoveryTrend trend(
      RecoveryPosture posture, RateSource source, List<RecoverySet> sets) {
    OptionalInt change =
        sets.size() < 2
            ? OptionalInt.empty()
            : OptionalInt.of(drop(sets.get(sets.size() - 1)) - drop(sets.get(0)));
    return new RecoveryTrend(
        posture, source, sets, change, Math.abs(change.orElse(0)) >= noise(source));
  }

  private static int drop(RecoverySet set) {
    return set.recovery().drop60().getAsInt();
  }

  private static int noise(RateSource source) {
    return source == RateSource.STRAP
        ? Threshold.RECOVERY_CHANGED_STRAP.whole()
        : Threshold.RECOVERY_CHANGED_COUNT.whole();
  }

  /** From so many bpm on, a difference is a change. */
  public int noise() {
    return noise(source);
  }

  /** What has become of it, in a few words. */
  public String words() {
    if (change.isEmpty()) {
      return "one so far";
    }
    if (!changed) {
      return "within chance: under " + noise() + " bpm apart";
    }
    return change.getAsInt() > 0
        ? "faster than at first: " + change.getAsInt() + " bpm more"
        : "slower than at first: " + -change.getAsInt() + " bpm less";
  }
}
