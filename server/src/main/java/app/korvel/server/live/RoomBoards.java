package app.korvel.server.live;

import app.korvel.core.live.LiveSession.Phase;
import app.korvel.server.live.RoomViews.RoomPush;
import app.korvel.store.RoomRepository.Member;
import app.korvel.store.RoomRepository.Room;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.live.Rooms;
import app.korvel.studio.live.Rooms.Present;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import tools.jackson.databind.json.JsonMapper;

/**
 * The boards that somebody looks at. Who changed is worked out anew at once, everybody else once a
 * second and a few at a time, so that no board waits for another person's turn. All of it is done
 * by one thread, but for {@link #changed}.
 */
final class RoomBoards {
  /** A lane is worked out anew after so many milliseconds, since time passes. */
  private static final long STALE_MS = 1_000;

  /** So many of those at one tick. */
  private static final int AT_A_TICK = 8;

  private final Studio studio;
  private final JsonMapper json;
  private final Map<UUID, Board> boards = new HashMap<>();
  private final Set<UUID> changed = ConcurrentHashMap.newKeySet();
  private final Set<UUID> changedRooms = ConcurrentHashMap.newKeySet();

  /** A lane as it was worked out last. */
  private record Known(Present present, long atMillis) {}

  /** A board: who is on it, in the order of their places. */
  private static final class Board {
    private final Room room;
    private final Map<UUID, Known> lanes = new LinkedHashMap<>();

    Board(Room room) {
      this.room = room;
    }
  }

  RoomBoards(Studio studio, JsonMapper json) {
    this.studio = studio;
    this.json = json;
  }

  /** Something of a session has changed. */
  void changed(UUID session) {
    changed.add(session);
  }

  /** Something of a room has changed: who is in it, or its clock. */
  void roomChanged(UUID room) {
    changedRooms.add(room);
  }

  /**
   * Tells what has changed.
   *
   * @param looking who looks at which room
   * @param nowMillis by a clock that only goes forward
   */
  void tick(Map<UUID, List<LiveViewer>> looking, long nowMillis) {
    boards.keySet().retainAll(looking.keySet());
    Set<UUID> sessions = drained(changed);
    Set<UUID> rooms = drained(changedRooms);
    looking.forEach(
        (room, viewers) -> {
          boolean whole = rooms.contains(room) || !boards.containsKey(room);
          try {
            tick(room, viewers, whole, sessions, nowMillis);
          } catch (NotFoundException gone) {
            boards.remove(room);
          }
        });
  }

  private static Set<UUID> drained(Set<UUID> from) {
    Set<UUID> taken = new HashSet<>(from);
    from.removeAll(taken);
    return taken;
  }

  private void tick(
      UUID id, List<LiveViewer> viewers, boolean whole, Set<UUID> sessions, long nowMillis) {
    if (whole) {
      boards.put(id, loaded(id, nowMillis));
    }
    Board board = boards.get(id);
    Set<UUID> again = new HashSet<>(board.lanes.keySet());
    if (!whole) {
      again.retainAll(sessions);
      again.addAll(stale(board, nowMillis));
      for (UUID session : again) {
        Known known = board.lanes.get(session);
        board.lanes.put(session, again(known.present, nowMillis));
      }
    }
    if (again.isEmpty()) {
      return;
    }
    List<Present> people = board.lanes.values().stream().map(Known::present).toList();
    String message =
        studio.read(
            () ->
                json.writeValueAsString(
                    new RoomPush(
                        new RoomPages(studio)
                            .state(new Rooms(studio).of(board.room, people), Optional.of(again)))));
    viewers.forEach(viewer -> viewer.tell(message));
  }

  private Board loaded(UUID id, long nowMillis) {
    Board board = new Board(new Rooms(studio).room(id));
    LiveSessions sessions = new LiveSessions(studio);
    for (Member member : studio.store().rooms().members(id)) {
      board.lanes.put(
          member.session(),
          new Known(new Present(member, sessions.get(member.session())), nowMillis));
    }
    return board;
  }

  private Known again(Present present, long nowMillis) {
    return new Known(
        new Present(present.member(), new LiveSessions(studio).again(present.stands().opened())),
        nowMillis);
  }

  /** Those that were worked out longest ago, a few at a time. */
  private static List<UUID> stale(Board board, long nowMillis) {
    List<UUID> stale = new ArrayList<>();
    for (Map.Entry<UUID, Known> lane : board.lanes.entrySet()) {
      boolean over = lane.getValue().present.stands().session().phase() == Phase.ENDED;
      if (!over && nowMillis - lane.getValue().atMillis >= STALE_MS && stale.size() < AT_A_TICK) {
        stale.add(lane.getKey());
      }
    }
    return stale;
  }
}
