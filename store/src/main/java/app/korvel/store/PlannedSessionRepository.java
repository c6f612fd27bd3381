package app.korvel.store;

import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.Outline;
import app.korvel.core.programme.PlannedSession;
import app.korvel.core.programme.Programme;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.store.SavedSession.State;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Planned sessions by day, as the programmes say; written whenever a programme is saved. */
public final class PlannedSessionRepository {
  private final Database database;

  public PlannedSessionRepository(Database database) {
    this.database = database;
  }

  /**
   * Everyone's from a day to another, both included, by day and time; what is gone is not there.
   */
  public List<SavedSession> between(LocalDate from, LocalDate to) {
    return list(
        "select * from planned_session where on_day between ? and ? and state <> 'GONE'"
            + " order by on_day, at_time, client_id, number",
        from.toString(),
        to.toString());
  }

  /**
   * Where a session stands, and nothing else of it.
   *
   * @param at its time of day, if it has one
   */
  public record Place(UUID clientId, int number, LocalDate on, Optional<LocalTime> at) {}

  /** The places of everyone's from a day to another, both included, in no order. */
  public List<Place> placesBetween(LocalDate from, LocalDate to) {
    return database.list(
        row ->
            new Place(
                UUID.fromString(row.getString(1)),
                row.getInt(2),
                LocalDate.parse(row.getString(3)),
                Optional.ofNullable(row.getString(4)).map(LocalTime::parse)),
        "select client_id, number, on_day, at_time from planned_session"
            + " where on_day between ? and ? and state <> 'GONE'",
        from.toString(),
        to.toString());
  }

  /** A client's, whatever their state, by day and time. */
  public List<SavedSession> of(UUID clientId) {
    return list(
        "select * from planned_session where client_id = ? order by on_day, at_time, number",
        clientId.toString());
  }

  /** Everyone's since a day, whatever their state, by day and time: what a calendar keeps. */
  public List<SavedSession> since(LocalDate from) {
    return list(
        "select * from planned_session where on_day >= ? order by on_day, at_time, client_id,"
            + " number",
        from.toString());
  }

  /** One session of a client. */
  public Optional<SavedSession> get(UUID clientId, int number) {
    return list(
            "select * from planned_session where client_id = ? and number = ?",
            clientId.toString(),
            number)
        .stream()
        .findFirst();
  }

  /** Sessions that were to be done since a day, up to another, and that nothing is logged of. */
  public List<SavedSession> toLog(LocalDate from, LocalDate to) {
    return list(
        """
        select * from planned_session p
        where on_day between ? and ? and state = 'PLANNED' and not exists (
          select 1 from current_session_log l
          where l.client_id = p.client_id and l.number = p.number)
        order by on_day desc, at_time, client_id, number
        """,
        from.toString(),
        to.toString());
  }

  /** The first number that no session of a client has had. */
  public int nextNumber(UUID clientId) {
    return database
        .first(
            row -> row.getInt("next"),
            "select coalesce(max(number), 0) + 1 as next from planned_session"
                + " where client_id = ?",
            clientId.toString())
        .orElseThrow();
  }

  private List<SavedSession> list(String sql, Object... values) {
    return database.list(PlannedSessionRepository::saved, sql, values);
  }

  /** Writes what a programme says from its first day on, or from today where that is earlier. */
  static void write(
      Connection connection,
      UUID clientId,
      int version,
      Programme programme,
      Instant now,
      LocalDate today)
      throws SQLException {
    Map<Integer, SavedSession> before = new LinkedHashMap<>();
    Database.list(
        connection,
        row -> before.put(row.getInt("number"), saved(row)),
        "select * from planned_session where client_id = ?",
        clientId.toString());
    for (PlannedSession session : programme.sessions()) {
      Outline outline = programme.outline(session);
      SavedSession after =
          new SavedSession(
              clientId,
              session.number(),
              session.date(),
              session.time(),
              session.mode(),
              outline.workSeconds() / 60,
              outline.seconds() / 60,
              programme.range(session),
              session.skipped() ? State.SKIPPED : State.PLANNED,
              version,
              now);
      SavedSession known = before.remove(session.number());
      if (known == null || !after.sameAs(known)) {
        put(connection, after);
      }
    }
    LocalDate first = programme.plan().startsOn();
    LocalDate from = first.isBefore(today) ? first : today;
    for (SavedSession left : before.values()) {
      if (left.state() != State.GONE && !left.on().isBefore(from) && !logged(connection, left)) {
        Database.change(
            connection,
            "update planned_session set state = 'GONE', sequence = ?, changed_at = ?"
                + " where client_id = ? and number = ?",
            version,
            now,
            clientId.toString(),
            left.number());
      }
    }
  }

  private static boolean logged(Connection connection, SavedSession session) throws SQLException {
    return Database.first(
            connection,
            row -> row.getInt("number"),
            "select number from current_session_log where client_id = ? and number = ?",
            session.clientId().toString(),
            session.number())
        .isPresent();
  }

  private static void put(Connection connection, SavedSession session) throws SQLException {
    Database.change(
        connection,
        """
        insert or replace into planned_session (client_id, number, on_day, at_time, mode, minutes,
          whole_minutes, low_percent, high_percent, state, sequence, changed_at)
        values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
        """,
        session.clientId().toString(),
        session.number(),
        session.on().toString(),
        session.at().map(LocalTime::toString),
        session.mode(),
        session.minutes(),
        session.wholeMinutes(),
        session.range().low(),
        session.range().high(),
        session.state(),
        session.sequence(),
        session.changedAt());
  }

  private static SavedSession saved(ResultSet row) throws SQLException {
    return new SavedSession(
        UUID.fromString(row.getString("client_id")),
        row.getInt("number"),
        LocalDate.parse(row.getString("on_day")),
        Optional.ofNullable(row.getString("at_time")).map(LocalTime::parse),
        Mode.valueOf(row.getString("mode")),
        row.getInt("minutes"),
        row.getInt("whole_minutes"),
        new Percents(row.getInt("low_percent"), row.getInt("high_percent")),
        State.valueOf(row.getString("state")),
        row.getInt("sequence"),
        Instant.parse(row.getString("changed_at")));
  }
}
