package app.korvel.core.live;

import app.korvel.core.live.LiveEvent.StrapGiven;
import app.korvel.core.live.LiveEvent.StrapsSwapped;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * Whose strap is whose over time. Each session has a series of its own, which what is connected for
 * it sends; swapped straps exchange the two series, until another strap is given.
 */
public final class Straps {
  /**
   * A series that is a session's for a while.
   *
   * @param series the session for which it is sent
   * @param to empty while it goes on
   */
  public record Worn(UUID series, Instant from, Optional<Instant> to) {}

  /** What changed whose series is whose. */
  private record Change(UUID session, Instant at, LiveEvent event) {}

  private final Map<UUID, UUID> series = new HashMap<>();
  private final Map<UUID, String> straps = new HashMap<>();
  private final Map<UUID, List<Worn>> worn = new HashMap<>();

  private Straps() {}

  /**
   * Follows straps.
   *
   * @param events those that stand, of each session that may have swapped with another
   */
  public static Straps of(Map<UUID, List<LiveEvent>> events) {
    Straps straps = new Straps();
    List<Change> changes = new ArrayList<>();
    events.forEach(
        (session, all) -> {
          straps.series.put(session, session);
          straps.worn.put(session, new ArrayList<>());
          straps.begin(session, session, Instant.MIN);
          for (LiveEvent event : all) {
            if (event instanceof StrapGiven) {
              changes.add(new Change(session, event.at(), event));
            } else if (event instanceof StrapsSwapped swap && isFirst(session, swap, events)) {
              changes.add(new Change(session, swap.from(), event));
            }
          }
        });
    changes.sort(Comparator.comparing(Change::at));
    changes.forEach(straps::apply);
    return straps;
  }

  /** A swap stands in both sessions, and counts once; the other one may have been erased. */
  private static boolean isFirst(
      UUID session, StrapsSwapped swap, Map<UUID, List<LiveEvent>> events) {
    return !events.containsKey(swap.with()) || session.compareTo(swap.with()) < 0;
  }

  private void begin(UUID session, UUID ofSeries, Instant at) {
    end(session, at);
    series.put(session, ofSeries);
    worn.get(session).add(new Worn(ofSeries, at, Optional.empty()));
  }

  private void end(UUID session, Instant at) {
    List<Worn> all = worn.get(session);
    if (!all.isEmpty() && all.get(all.size() - 1).to.isEmpty()) {
      Worn last = all.remove(all.size() - 1);
      all.add(new Worn(last.series, last.from, Optional.of(at)));
    }
    series.remove(session);
  }

  private void apply(Change change) {
    UUID session = change.session;
    if (change.event instanceof StrapGiven given) {
      // What is sent for this session is this strap from now on, whoever had the series before.
      series.entrySet().stream()
          .filter(each -> each.getValue().equals(session) && !each.getKey().equals(session))
          .map(Map.Entry::getKey)
          .findFirst()
          .ifPresent(other -> end(other, change.at));
      straps.put(session, given.strap());
      begin(session, session, change.at);
    } else if (change.event instanceof StrapsSwapped swap) {
      UUID mine = series.get(session);
      UUID theirs = series.get(swap.with());
      take(session, theirs, change.at);
      if (worn.containsKey(swap.with())) {
        take(swap.with(), mine, change.at);
      }
      String strap = straps.remove(session);
      Optional.ofNullable(straps.remove(swap.with())).ifPresent(it -> straps.put(session, it));
      Optional.ofNullable(strap).ifPresent(it -> straps.put(swap.with(), it));
    }
  }

  private void take(UUID session, UUID ofSeries, Instant at) {
    if (ofSeries == null) {
      end(session, at);
    } else {
      begin(session, ofSeries, at);
    }
  }

  /** The series that are a session's, in order; from one to the next its strap may have changed. */
  public List<Worn> worn(UUID session) {
    return List.copyOf(worn.getOrDefault(session, List.of()));
  }

  /** What the strap that somebody wears now is known by, if one was given. */
  public Optional<String> strap(UUID session) {
    return Optional.ofNullable(straps.get(session));
  }
}
