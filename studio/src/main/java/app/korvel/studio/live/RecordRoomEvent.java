package app.korvel.studio.live;

import static app.korvel.studio.live.HandOutStraps.following;

import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.live.LiveSession;
import app.korvel.core.live.LiveSession.Phase;
import app.korvel.core.live.RoomClock;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.StepKind;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Run;
import app.korvel.store.RoomRepository.Room;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions.LiveNow;
import app.korvel.studio.live.Rooms.Present;
import app.korvel.studio.live.Rooms.RoomNow;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Adds what happened to a whole room, and to everybody in it whom it concerns. */
public record RecordRoomEvent(Studio studio) {
  /** What happens to a room. */
  private static final Set<LiveEvent.Kind> KINDS =
      EnumSet.of(
          LiveEvent.Kind.BEGUN,
          LiveEvent.Kind.PAUSED,
          LiveEvent.Kind.RESUMED,
          LiveEvent.Kind.STEP_ENDED,
          LiveEvent.Kind.STEP_BACK,
          LiveEvent.Kind.LENGTHENED,
          LiveEvent.Kind.ENDED,
          LiveEvent.Kind.WITHDRAWN);

  /**
   * Adds an event; sent twice, it is entered once.
   *
   * @throws NotFoundException when there is no such room
   * @throws InvalidValueException when it cannot have happened as the room stands
   */
  public RoomNow by(Actor who, UUID id, LiveEvent event) {
    return studio.write(
        who,
        () -> {
          Rooms rooms = new Rooms(studio);
          Room room = rooms.room(id);
          boolean known =
              studio.store().rooms().events(id).stream()
                  .anyMatch(each -> each.id().equals(event.id()));
          if (!known) {
            RoomNow stands = rooms.get(id);
            check(rooms, stands, event);
            studio.store().rooms().add(id, event, studio.now());
            stands.people().forEach(each -> tell(who, stands.clock(), each, event));
            setOpen(room, event);
          }
          return rooms.get(id);
        });
  }

  /** Ends every room that nobody ended and in which nobody is any more. */
  public void closeLeft(Actor who) {
    Rooms rooms = new Rooms(studio);
    Duration left = Duration.ofMinutes(Threshold.SESSION_LEFT_OPEN.whole());
    for (Room room : studio.store().rooms().openNow()) {
      RoomNow stands = rooms.get(room.id());
      boolean empty = stands.people().stream().noneMatch(each -> each.stands().opened().open());
      if (empty && room.openedAt().plus(left).isBefore(rooms.now(room))) {
        by(
            who,
            room.id(),
            new LiveEvent.Ended(studio.nextId(), rooms.now(room), LiveEvent.Reason.LEFT_OPEN));
      }
    }
  }

  private void check(Rooms rooms, RoomNow stands, LiveEvent event) {
    if (!KINDS.contains(event.kind())) {
      throw InvalidValueException.of(
          "kind", "is of one person, not of a room", "begun, paused, resumed, a step, or ended");
    }
    Run.checkNotAhead(event.at(), rooms.now(stands.room()));
    RoomClock clock = stands.clock();
    if (event instanceof LiveEvent.Withdrawn undone) {
      if (clock.events().stream().noneMatch(each -> each.id().equals(undone.of()))) {
        throw InvalidValueException.of(
            "of", "no such event stands", "an event of this room that was not undone");
      }
      return;
    }
    if (clock.over().isPresent()) {
      throw InvalidValueException.of("kind", "the room is over", "nothing more, or an undo");
    }
    boolean begun = clock.begunAt().isPresent();
    if (event instanceof LiveEvent.Begun && begun) {
      throw InvalidValueException.of("kind", "it has begun already", "once in a room");
    }
    if (!begun && !(event instanceof LiveEvent.Begun || event instanceof LiveEvent.Ended)) {
      throw InvalidValueException.of("kind", "it has not begun", "after it has begun");
    }
    boolean step =
        event instanceof LiveEvent.StepEnded
            || event instanceof LiveEvent.StepBack
            || event instanceof LiveEvent.Lengthened;
    if (step && clock.step().isEmpty()) {
      throw InvalidValueException.of(
          "kind", "no step is on that all do", "in a room with one outline");
    }
  }

  private void setOpen(Room room, LiveEvent event) {
    if (event instanceof LiveEvent.Ended) {
      studio.store().rooms().setOpen(room.id(), false);
    } else if (event instanceof LiveEvent.Withdrawn undone) {
      boolean ended =
          studio.store().rooms().events(room.id()).stream()
              .anyMatch(each -> each.id().equals(undone.of()) && each.ends());
      if (ended) {
        studio.store().rooms().setOpen(room.id(), true);
      }
    }
  }

  /** What it means to one of them; nothing where it does not concern them. */
  private void tell(Actor who, RoomClock clock, Present person, LiveEvent event) {
    LiveNow stands = person.stands();
    LiveSession session = stands.session();
    UUID id = following(event.id(), stands.opened().id());
    told(clock, session, event, id, stands.opened().id())
        .ifPresent(own -> new RecordLiveEvent(studio).by(who, stands.opened().id(), own));
  }

  private Optional<LiveEvent> told(
      RoomClock clock, LiveSession session, LiveEvent event, UUID id, UUID of) {
    Phase phase = session.phase();
    Instant at = event.at();
    int leg = session.run().map(Run::leg).orElse(0);
    boolean sameStep =
        phase != Phase.ENDED && kind(session).equals(clock.step().map(PlanStep::kind));
    Optional<LiveEvent> own =
        switch (event.kind()) {
          case BEGUN -> when(phase == Phase.READY, new LiveEvent.Begun(id, at));
          case PAUSED -> when(phase == Phase.RUNNING, new LiveEvent.Paused(id, at));
          case RESUMED ->
              when(
                  phase == Phase.PAUSED && pausedWith(clock, session),
                  new LiveEvent.Resumed(id, at));
          case STEP_ENDED -> when(sameStep, new LiveEvent.StepEnded(id, at, leg));
          case STEP_BACK -> when(sameStep, new LiveEvent.StepBack(id, at, leg));
          case LENGTHENED ->
              when(
                  sameStep,
                  new LiveEvent.Lengthened(id, at, leg, ((LiveEvent.Lengthened) event).seconds()));
          case ENDED ->
              when(
                  phase != Phase.ENDED,
                  new LiveEvent.Ended(
                      id,
                      at,
                      phase == Phase.READY
                          ? LiveEvent.Reason.OTHER
                          : ((LiveEvent.Ended) event).reason()));
          case WITHDRAWN ->
              Optional.of(
                  new LiveEvent.Withdrawn(
                      id, at, following(((LiveEvent.Withdrawn) event).of(), of)));
          default -> Optional.empty();
        };
    return own.filter(
        each ->
            !(each instanceof LiveEvent.Withdrawn undone)
                || session.events().stream().anyMatch(one -> one.id().equals(undone.of())));
  }

  private static Optional<LiveEvent> when(boolean holds, LiveEvent event) {
    return holds ? Optional.of(event) : Optional.empty();
  }

  private static Optional<StepKind> kind(LiveSession session) {
    return session.step().map(PlanStep::kind);
  }

  /** Whether they stand because the room does; who was paused before stays so. */
  private static boolean pausedWith(RoomClock clock, LiveSession session) {
    Optional<Instant> own =
        session.run().flatMap(Run::current).stream()
            .map(Leg::pauses)
            .filter(pauses -> !pauses.isEmpty())
            .map(pauses -> pauses.get(pauses.size() - 1).from())
            .findFirst();
    return own.isPresent() && clock.paused().filter(room -> !own.get().isBefore(room)).isPresent();
  }
}
