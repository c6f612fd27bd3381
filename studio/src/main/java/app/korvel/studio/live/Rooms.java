package app.korvel.studio.live;

import app.korvel.core.live.Attention;
import app.korvel.core.live.LiveSession;
import app.korvel.core.live.RoomClock;
import app.korvel.core.live.SwapQuestion;
import app.korvel.store.RoomRepository.Member;
import app.korvel.store.RoomRepository.Room;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions.LiveNow;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Rooms as they stand. */
public record Rooms(Studio studio) {
  /** Somebody in a room, and how their session stands. */
  public record Present(Member member, LiveNow stands) {}

  /**
   * A room as it stands.
   *
   * @param queue everybody who is in it now, in the order in which they need somebody
   * @param questions who may wear each other's straps
   */
  public record RoomNow(
      Room room,
      RoomClock clock,
      List<Present> people,
      List<Attention.Queued> queue,
      List<SwapQuestion> questions) {}

  /** What time it is by the clock of a room. */
  public Instant now(Room room) {
    return new LiveSessions(studio).now(room.openedAt(), room.speed());
  }

  /**
   * The room of that id, to add something to.
   *
   * @throws NotFoundException when there is none
   */
  public Room room(UUID id) {
    return studio
        .store()
        .rooms()
        .get(id)
        .orElseThrow(() -> NotFoundException.of("There is no room %s.", id));
  }

  /**
   * The room of that id, as it stands now.
   *
   * @throws NotFoundException when there is none
   */
  public RoomNow get(UUID id) {
    return studio.read(
        () -> {
          Room room = room(id);
          LiveSessions sessions = new LiveSessions(studio);
          List<Present> people = new ArrayList<>();
          for (Member member : studio.store().rooms().members(id)) {
            people.add(new Present(member, sessions.get(member.session())));
          }
          return of(room, people);
        });
  }

  /** A room, of sessions as they stand. */
  public RoomNow of(Room room, List<Present> people) {
    Map<UUID, LiveSession> sessions = new LinkedHashMap<>();
    people.forEach(each -> sessions.put(each.member.session(), each.stands.session()));
    List<SwapQuestion> questions = SwapQuestion.among(sessions);
    List<Attention.Queued> queue = new ArrayList<>();
    sessions.forEach(
        (id, session) ->
            Attention.of(
                    session,
                    questions.stream()
                        .anyMatch(each -> each.one().equals(id) || each.other().equals(id)))
                .ifPresent(attention -> queue.add(new Attention.Queued(id, attention))));
    return new RoomNow(
        room,
        RoomClock.of(room.steps(), studio.store().rooms().events(room.id()), now(room)),
        people,
        Attention.inOrder(queue),
        questions);
  }
}
