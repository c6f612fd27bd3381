package app.korvel.store;

import app.korvel.core.forecast.ForecastRecord.Foreseen;
import app.korvel.core.forecast.ForeseenSession;
import app.korvel.core.live.RecordedSession;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * What sessions on the clock came to: worked out once, and forgotten by triggers as soon as
 * something is added to a session.
 */
public final class SessionSummaryRepository {
  private final Database database;

  public SessionSummaryRepository(Database database) {
    this.database = database;
  }

  /**
   * A session of a day and what it came to.
   *
   * @param foreseen what it tells of the heart, and how near its forecast came; empty where nothing
   */
  public record Summed(
      UUID session, LocalDate on, RecordedSession recorded, Optional<ForeseenSession> foreseen) {}

  /** Keeps what a session came to. */
  public void keep(UUID clientId, Summed summed) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("live_session_id", summed.session.toString());
    row.put("client_id", clientId.toString());
    row.put("on_day", summed.on.toString());
    row.put("falls", !summed.recorded.falls().isEmpty());
    row.put("summary", StoredForms.RECORDED_SESSION.write(summed.recorded));
    row.put("foreseen", summed.foreseen.map(StoredForms.FORESEEN_SESSION::write).orElse(null));
    database.write(
        connection -> {
          Database.change(
              connection,
              "delete from session_summary where live_session_id = ?",
              summed.session.toString());
          return database.insert("session_summary", row);
        });
  }

  /** Those of a client that are worked out, since a day, the earliest first. */
  public List<Summed> since(UUID clientId, LocalDate from) {
    return database.list(
        SessionSummaryRepository::summed,
        "select * from session_summary where client_id = ? and on_day >= ?"
            + " order by on_day, live_session_id",
        clientId.toString(),
        from.toString());
  }

  /** Those of them in which the rate fell after an effort, and that was measured. */
  public List<Summed> withFalls(UUID clientId, LocalDate from) {
    return database.list(
        SessionSummaryRepository::summed,
        "select * from session_summary where client_id = ? and on_day >= ? and falls = 1"
            + " order by on_day, live_session_id",
        clientId.toString(),
        from.toString());
  }

  /**
   * Those of them that tell something of the heart, the earliest first.
   *
   * @param before the first day that is not looked at
   * @param most so many of the latest
   */
  public List<Foreseen> foreseen(UUID clientId, LocalDate before, int most) {
    return database.list(
        row ->
            new Foreseen(
                UUID.fromString(row.getString("live_session_id")),
                LocalDate.parse(row.getString("on_day")),
                StoredForms.FORESEEN_SESSION.read(row.getString("foreseen"))),
        """
        select * from (
          select live_session_id, on_day, foreseen from session_summary
          where client_id = ? and on_day < ? and foreseen is not null
          order by on_day desc, live_session_id desc limit ?)
        order by on_day, live_session_id
        """,
        clientId.toString(),
        before.toString(),
        most);
  }

  /** A client's sessions that are over and stand, and are not worked out. */
  public List<UUID> missing(UUID clientId) {
    return database.list(
        row -> UUID.fromString(row.getString("id")),
        """
        select id from live_session as mine
        where client_id = ? and is_open = 0 and withdrawn_at is null
          and not exists (
            select 1 from session_summary where session_summary.live_session_id = mine.id)
        order by opened_at
        """,
        clientId.toString());
  }

  private static Summed summed(ResultSet row) throws SQLException {
    return new Summed(
        UUID.fromString(row.getString("live_session_id")),
        LocalDate.parse(row.getString("on_day")),
        StoredForms.RECORDED_SESSION.read(row.getString("summary")),
        Optional.ofNullable(row.getString("foreseen")).map(StoredForms.FORESEEN_SESSION::read));
  }
}
