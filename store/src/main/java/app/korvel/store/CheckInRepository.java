package app.korvel.store;

import app.korvel.core.checkin.CheckIn.SelfReport;
import app.korvel.core.checkin.CheckInContext.Weighed;
import app.korvel.core.screening.Reported;
import app.korvel.store.StoredForms.JudgedCheckIn;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Check-ins: appended and frozen; one kept by mistake is withdrawn by a row that says so. */
public final class CheckInRepository {
  private final Database database;
  private final Ledger ledger;

  public CheckInRepository(Database database) {
    this.database = database;
    this.ledger = new Ledger(database, RecordKind.CHECKINS);
  }

  /** Keeps a check-in. */
  public void add(UUID clientId, SavedCheckIn saved) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("on_day", saved.on().toString());
    row.put("pulse_bpm", saved.checkIn().pulseBpm());
    row.put("outcome", saved.outcome());
    row.put("symptoms", !saved.checkIn().symptoms().isEmpty());
    row.put("changed", saved.checkIn().told().contains(SelfReport.CHANGED));
    row.put("weight_kg", saved.checkIn().weightKg().map(BigDecimal::toPlainString));
    row.put(
        "document",
        StoredForms.CHECK_IN.write(
            new JudgedCheckIn(
                saved.checkIn(), saved.usualBpm(), saved.verdict(), saved.decided())));
    ledger.add(saved.id(), clientId, row, saved.recordedAt());
  }

  /** A client's latest check-ins, latest first. */
  public List<SavedCheckIn> of(UUID clientId, int most) {
    return database.list(
        CheckInRepository::saved,
        "select * from current_check_in where client_id = ? order by recorded_at desc,"
            + " id desc limit ?",
        clientId.toString(),
        most);
  }

  /** The latest check-in of a day, by client. */
  public Map<UUID, SavedCheckIn> on(LocalDate day) {
    Map<UUID, SavedCheckIn> latest = new HashMap<>();
    database.list(
        row -> latest.put(UUID.fromString(row.getString("client_id")), saved(row)),
        "select * from current_check_in where on_day = ? order by recorded_at, id",
        day.toString());
    return latest;
  }

  /** A client's weights since a day. */
  public List<Weighed> weights(UUID clientId, LocalDate since) {
    return database.list(
        row ->
            new Weighed(
                LocalDate.parse(row.getString("on_day")),
                new BigDecimal(row.getString("weight_kg"))),
        """
                select on_day, weight_kg from current_check_in
                where client_id = ? and on_day >= ? and weight_kg is not null
                """,
        clientId.toString(),
        since.toString());
  }

  /** What check-ins have told the screening, by client. */
  public Map<UUID, Reported> reported(Collection<UUID> clients) {
    return database.byClient(
        CheckInRepository::reported,
        """
        select client_id,
          max(case when symptoms = 1 then recorded_at end) as symptoms_at,
          max(case when changed = 1 then recorded_at end) as changed_at
        from (select value as client from json_each(?)) as wanted
        join current_check_in as mine on mine.client_id = wanted.client
        where symptoms = 1 or changed = 1
        group by client_id
        """,
        clients);
  }

  private static Reported reported(ResultSet row) throws SQLException {
    return new Reported(instant(row, "symptoms_at"), instant(row, "changed_at"));
  }

  private static Optional<Instant> instant(ResultSet row, String column) throws SQLException {
    return Optional.ofNullable(row.getString(column)).map(Instant::parse);
  }

  private static SavedCheckIn saved(ResultSet row) throws SQLException {
    JudgedCheckIn document = StoredForms.CHECK_IN.read(row.getString("document"));
    return new SavedCheckIn(
        UUID.fromString(row.getString("id")),
        LocalDate.parse(row.getString("on_day")),
        Instant.parse(row.getString("recorded_at")),
        document.checkIn(),
        document.usualBpm(),
        document.verdict(),
        document.decided());
  }
}
