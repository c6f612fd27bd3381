package app.korvel.store;

import app.korvel.core.programme.Busy;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Calendars that were read in: when someone is busy. */
public final class BusyRepository {
  private final Database database;

  public BusyRepository(Database database) {
    this.database = database;
  }

  /**
   * A calendar that was read.
   *
   * @param clientId whose; empty for the studio's, which holds for everyone
   * @param name of the file
   * @param times how many times it has busy
   */
  public record BusyCalendar(
      UUID id, Optional<UUID> clientId, String name, Instant readAt, int times) {}

  /** A busy time, and whose. */
  public record BusyOf(Optional<UUID> clientId, Busy busy) {}

  /** Keeps a calendar, in the place of one of the same name and owner. */
  public void put(UUID id, Optional<UUID> clientId, String name, List<Busy> busy, Instant now) {
    database.write(
        connection -> {
          Database.change(
              connection,
              "update busy_calendar set removed_at = ?"
                  + " where name = ? and client_id is ? and removed_at is null",
              now,
              name,
              clientId.map(UUID::toString));
          Map<String, Object> row = new LinkedHashMap<>();
          row.put("id", id.toString());
          row.put("client_id", clientId.map(UUID::toString));
          row.put("name", name);
          row.put("read_at", now);
          database.insert("busy_calendar", row);
          for (Busy each : busy) {
            Database.change(
                connection,
                "insert into busy_time (busy_calendar_id, from_time, to_time) values (?, ?, ?)",
                id.toString(),
                each.from().toString(),
                each.to().toString());
          }
          return null;
        });
  }

  /**
   * Removes one, or brings it back.
   *
   * @return whether there is such a one
   */
  public boolean remove(UUID id, boolean removed, Instant now) {
    return database.update(
        "busy_calendar",
        id.toString(),
        Map.of("removed_at", Optional.of(now).filter(at -> removed)));
  }

  /** All of them, the latest first. */
  public List<BusyCalendar> all() {
    return database.list(
        row ->
            new BusyCalendar(
                UUID.fromString(row.getString("id")),
                client(row),
                row.getString("name"),
                Instant.parse(row.getString("read_at")),
                row.getInt("times")),
        """
                select busy_calendar.*,
                  (select count(*) from busy_time where busy_calendar_id = busy_calendar.id) as times
                from busy_calendar where removed_at is null order by read_at desc, id desc
                """);
  }

  /** When a client is busy: by a calendar of theirs, or by one of the studio's. */
  public List<Busy> of(UUID clientId) {
    return database
        .read(
            connection ->
                times(connection, "(client_id = ? or client_id is null)", clientId.toString()))
        .stream()
        .map(BusyOf::busy)
        .toList();
  }

  /** Everyone's, from a day to another, both included. */
  public List<BusyOf> between(LocalDate from, LocalDate to) {
    return database.read(
        connection ->
            times(
                connection,
                "to_time > ? and from_time < ?",
                from.atStartOfDay().toString(),
                to.plusDays(1).atStartOfDay().toString()));
  }

  private static List<BusyOf> times(Connection connection, String where, Object... values)
      throws SQLException {
    return Database.list(
        connection,
        row ->
            new BusyOf(
                client(row),
                new Busy(
                    LocalDateTime.parse(row.getString("from_time")),
                    LocalDateTime.parse(row.getString("to_time")))),
        // The few calendars come first, whatever the number of their times.
        "select client_id, from_time, to_time from busy_calendar"
            + " cross join busy_time on busy_calendar_id = busy_calendar.id"
            + " where removed_at is null and "
            + where
            + " order by from_time",
        values);
  }

  private static Optional<UUID> client(ResultSet row) throws SQLException {
    return Optional.ofNullable(row.getString("client_id")).map(UUID::fromString);
  }
}
