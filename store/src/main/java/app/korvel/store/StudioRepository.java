package app.korvel.store;

import java.time.Instant;
import java.time.ZoneId;

/** The one row about the studio itself. */
public final class StudioRepository {
  private final Database database;

  public StudioRepository(Database database) {
    this.database = database;
  }

  /** Writes the row if there is none yet; leaves an existing one alone. */
  public void ensure(String name, ZoneId timeZone, Instant now) {
    database.write(
        connection ->
            Database.change(
                connection,
                """
                insert into studio (id, name, time_zone, created_at) values (1, ?, ?, ?)
                on conflict (id) do nothing
                """,
                name,
                timeZone.getId(),
                now.toString()));
  }

  /** The time zone in which the studio's days are counted. */
  public ZoneId timeZone() {
    return database.read(
        connection ->
            Database.first(
                    connection,
                    row -> ZoneId.of(row.getString("time_zone")),
                    "select time_zone from studio")
                .orElseThrow());
  }
}
