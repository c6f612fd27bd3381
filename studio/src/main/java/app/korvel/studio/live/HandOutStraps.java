package app.korvel.studio.live;

import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LiveEvent.StrapGiven;
import app.korvel.core.live.LiveEvent.StrapsSwapped;
import app.korvel.core.live.LiveFinding;
import app.korvel.core.live.LiveSession;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Threshold;
import app.korvel.store.LiveRepository.KnownStrap;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.RoomRepository.Member;
import app.korvel.studio.Studio;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** What follows when straps change hands: one for each, in doubt where it may be another's. */
public record HandOutStraps(Studio studio) {
  /** So many straps are remembered. */
  private static final int MOST = 200;

  /** Straps that were ever worn, the latest first. */
  public List<KnownStrap> known() {
    return studio.store().live().straps(MOST);
  }

  /** The strap that somebody in a session wears now, if one was given. */
  public Optional<String> wornIn(UUID session) {
    return new Recordings(studio).strap(session);
  }

  /**
   * The same of a session whose events are at hand: only where straps were swapped is more read.
   */
  public Optional<String> wornIn(LiveSessions.LiveNow stands) {
    if (stands.session().swapped()) {
      return wornIn(stands.opened().id());
    }
    return stands.session().events().stream()
        .filter(StrapGiven.class::isInstance)
        .map(event -> ((StrapGiven) event).strap())
        .reduce((before, after) -> after);
  }

  /** The id of what follows in another session from an event of this one. */
  static UUID following(UUID event, UUID session) {
    return UUID.nameUUIDFromBytes((event + "/" + session).getBytes(StandardCharsets.UTF_8));
  }

  /**
   * An event as it is entered: a strap that is put on is in doubt where somebody else wore it last,
   * or another was put on shortly before.
   *
   * @throws RefusedException when somebody else wears it
   * @throws InvalidValueException when straps cannot have been swapped so
   */
  LiveEvent judged(Opened opened, LiveEvent event) {
    if (event instanceof StrapGiven given) {
      return judged(opened, given);
    }
    if (event instanceof StrapsSwapped swap) {
      Opened other =
          studio
              .store()
              .live()
              .get(swap.with())
              .filter(each -> !each.id().equals(opened.id()))
              .filter(Opened::open)
              .orElseThrow(
                  () ->
                      InvalidValueException.of(
                          "with", "is no other session that is on", "the id of one"));
      if (swap.from().isBefore(opened.openedAt()) || swap.from().isBefore(other.openedAt())) {
        throw InvalidValueException.of(
            "from", "lies before one of the sessions", "a moment in both of them");
      }
    }
    return event;
  }

  private StrapGiven judged(Opened opened, StrapGiven given) {
    for (Opened other : studio.store().live().openNow()) {
      boolean mine = other.id().equals(opened.id());
      if (!mine && wornIn(other.id()).filter(given.strap()::equals).isPresent()) {
        throw RefusedException.because(
            LiveFinding.STRAP_WORN.of(
                given.strap(), studio.client(other.clientId()).details().name()));
      }
    }
    boolean anotherWoreIt =
        known().stream()
            .filter(each -> each.strap().equals(given.strap()))
            .anyMatch(each -> !each.lastClient().equals(opened.clientId()));
    boolean atOnce = !putOnAbout(opened, given.at()).isEmpty();
    return new StrapGiven(given.id(), given.at(), given.strap(), anotherWoreIt || atOnce);
  }

  /** Other sessions of the same room in which a strap was put on about then. */
  private List<Opened> putOnAbout(Opened opened, Instant at) {
    Duration close = Duration.ofMinutes(Threshold.STRAPS_AT_ONCE.whole());
    Optional<UUID> room = roomOf(opened);
    return studio.store().live().openNow().stream()
        .filter(other -> !other.id().equals(opened.id()) && roomOf(other).equals(room))
        .filter(
            other ->
                LiveSession.standing(studio.store().live().events(other.id()), Instant.MAX).stream()
                    .filter(StrapGiven.class::isInstance)
                    .anyMatch(event -> Duration.between(event.at(), at).abs().compareTo(close) < 0))
        .toList();
  }

  /** The room that a session is in; those for one person are together in none. */
  private Optional<UUID> roomOf(Opened opened) {
    return studio.store().rooms().ofSession(opened.id()).map(Member::room);
  }

  /** What follows in other sessions. */
  void follow(Opened opened, LiveEvent event) {
    if (event instanceof StrapGiven given) {
      for (Opened other : putOnAbout(opened, given.at())) {
        add(other.id(), new LiveEvent.StrapDoubted(following(given.id(), other.id()), given.at()));
      }
    } else if (event instanceof StrapsSwapped swap) {
      add(
          swap.with(),
          new StrapsSwapped(
              following(swap.id(), swap.with()), swap.at(), opened.id(), swap.from()));
    } else if (event instanceof LiveEvent.Withdrawn undone) {
      undo(opened, undone);
    }
  }

  /** A swap that is undone in one session is undone in the other; likewise a strap's doubts. */
  private void undo(Opened opened, LiveEvent.Withdrawn undone) {
    List<LiveEvent> events = studio.store().live().events(opened.id());
    for (LiveEvent event : events) {
      if (!event.id().equals(undone.of())) {
        continue;
      }
      if (event instanceof StrapsSwapped swap) {
        studio.store().live().events(swap.with()).stream()
            .filter(StrapsSwapped.class::isInstance)
            .map(StrapsSwapped.class::cast)
            .filter(each -> each.with().equals(opened.id()) && each.at().equals(swap.at()))
            .forEach(each -> withdraw(swap.with(), each.id(), undone));
      } else if (event instanceof StrapGiven given) {
        for (Opened other : putOnAbout(opened, given.at())) {
          withdraw(other.id(), following(given.id(), other.id()), undone);
        }
      }
    }
  }

  private void withdraw(UUID session, UUID of, LiveEvent.Withdrawn undone) {
    add(session, new LiveEvent.Withdrawn(following(undone.id(), session), undone.at(), of));
  }

  private void add(UUID session, LiveEvent event) {
    studio.store().live().add(session, event, studio.now());
  }
}
