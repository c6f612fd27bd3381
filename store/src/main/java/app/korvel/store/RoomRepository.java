package app.korvel.store;

import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.store.StoredForms.RoomPlan;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Rooms: several sessions on the clock that go by one. */
public final class RoomRepository {
  private final Database database;
  private final EventSeries events;

  public RoomRepository(Database database) {
    this.database = database;
    this.events = new EventSeries(database, "room_event", "room_id", "room");
  }

  /**
   * A room that was opened.
   *
   * @param steps what all do; none where each does their own session
   * @param speed how much faster its clock goes than the studio's
   * @param open whether it is still to be ended
   */
  public record Room(UUID id, List<PlanStep> steps, int speed, Instant openedAt, boolean open) {
    public Room {
      steps = List.copyOf(steps);
    }
  }

  /**
   * Somebody in a room.
   *
   * @param place of their lane, from 0
   * @param nickname what the wall shows; empty for the name
   * @param wallRate whether the wall shows the rate
   */
  public record Member(
      UUID session, UUID room, int place, Optional<String> nickname, boolean wallRate) {}

  /** Keeps a room that is opened. */
  public void open(Room room) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", room.id.toString());
    row.put("plan", StoredForms.ROOM_PLAN.write(new RoomPlan(room.steps)));
    row.put("speed", room.speed);
    row.put("opened_at", room.openedAt);
    row.put("is_open", room.open);
    database.insert("room", row);
  }

  /** The room of that id. */
  public Optional<Room> get(UUID id) {
    return database.first(RoomRepository::room, "select * from room where id = ?", id.toString());
  }

  /** Those that are still to be ended, the first opened first. */
  public List<Room> openNow() {
    return database.list(
        RoomRepository::room, "select * from room where is_open = 1 order by opened_at, id");
  }

  /** The last ones, so many at most, latest first. */
  public List<Room> latest(int most) {
    return database.list(
        RoomRepository::room, "select * from room order by opened_at desc, id desc limit ?", most);
  }

  private static Room room(ResultSet row) throws SQLException {
    return new Room(
        UUID.fromString(row.getString("id")),
        StoredForms.ROOM_PLAN.read(row.getString("plan")).steps(),
        row.getInt("speed"),
        Instant.parse(row.getString("opened_at")),
        row.getBoolean("is_open"));
  }

  /** Says whether a room is still to be ended. */
  public void setOpen(UUID id, boolean open) {
    database.write(
        connection ->
            Database.change(
                connection, "update room set is_open = ? where id = ?", open, id.toString()));
  }

  /** Adds somebody, in the next lane. */
  public void add(UUID room, UUID session, Optional<String> nickname, boolean wallRate) {
    database.write(
        connection -> {
          int place =
              Database.first(
                      connection,
                      row -> row.getInt(1),
                      "select coalesce(max(place), -1) + 1 from room_member where room_id = ?",
                      room.toString())
                  .orElse(0);
          Map<String, Object> row = new LinkedHashMap<>();
          row.put("live_session_id", session.toString());
          row.put("room_id", room.toString());
          row.put("place", place);
          row.put("nickname", nickname);
          row.put("wall_rate", wallRate);
          database.insert("room_member", row);
          return place;
        });
  }

  /** Who is in a room, by their places. */
  public List<Member> members(UUID room) {
    return database.list(
        RoomRepository::member,
        "select * from room_member where room_id = ? order by place",
        room.toString());
  }

  /** The member whose session that is, if it is one of a room. */
  public Optional<Member> ofSession(UUID session) {
    return database.first(
        RoomRepository::member,
        "select * from room_member where live_session_id = ?",
        session.toString());
  }

  /** How a client was shown on the wall last. */
  public Optional<Member> lastOf(UUID client) {
    return database.first(
        RoomRepository::member,
        """
        select m.* from live_session s join room_member m on m.live_session_id = s.id
        where s.client_id = ? order by s.opened_at desc limit 1
        """,
        client.toString());
  }

  private static Member member(ResultSet row) throws SQLException {
    return new Member(
        UUID.fromString(row.getString("live_session_id")),
        UUID.fromString(row.getString("room_id")),
        row.getInt("place"),
        Optional.ofNullable(row.getString("nickname")),
        row.getBoolean("wall_rate"));
  }

  /** Changes how somebody is shown on the wall. */
  public void show(UUID session, Optional<String> nickname, boolean wallRate) {
    database.write(
        connection ->
            Database.change(
                connection,
                "update room_member set nickname = ?, wall_rate = ? where live_session_id = ?",
                nickname,
                wallRate,
                session.toString()));
  }

  /**
   * Adds an event.
   *
   * @return whether it was new; one that is there already is not added again
   * @throws InvalidValueException when another room has an event of that id
   */
  public boolean add(UUID room, LiveEvent event, Instant now) {
    return events.add(room, LiveEventRow.of(event), now);
  }

  /** Everything that happened in a room, in the order in which it was handed in. */
  public List<LiveEvent> events(UUID room) {
    return events.of(room, LiveEventRow::read);
  }
}
