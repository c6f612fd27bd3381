package app.korvel.store;

import app.korvel.core.effort.Effort;
import app.korvel.core.maximum.Mode;
import app.korvel.core.zone.Reserve;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Races and other efforts by their average rate: appended; one withdrawn is superseded. */
public final class EffortRepository {
  private final Ledger ledger;

  public EffortRepository(Database database) {
    this.ledger = new Ledger(database, RecordKind.EFFORTS);
  }

  /** Adds one. */
  public void add(UUID clientId, Effort effort) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("name", effort.name());
    row.put("mode", effort.mode());
    row.put("average_bpm", effort.averageBpm());
    row.put("minutes", effort.minutes());
    row.put("done_on", effort.doneOn().toString());
    row.put("resting_bpm", effort.reserve().restingBpm());
    row.put("maximum_bpm", effort.reserve().maximumBpm());
    row.put("maximum_method", effort.maximumMethod());
    ledger.add(effort.id(), clientId, row, effort.recordedAt());
  }

  /** A client's, latest first. */
  public List<Effort> of(UUID clientId) {
    return ledger.of(clientId, EffortRepository::effort, "done_on desc, recorded_at desc, id desc");
  }

  private static Effort effort(ResultSet row) throws SQLException {
    return new Effort(
        UUID.fromString(row.getString("id")),
        row.getString("name"),
        Mode.valueOf(row.getString("mode")),
        row.getInt("average_bpm"),
        Database.wholeNumber(row, "minutes"),
        LocalDate.parse(row.getString("done_on")),
        Reserve.of(row.getInt("resting_bpm"), row.getInt("maximum_bpm")),
        row.getString("maximum_method"),
        Instant.parse(row.getString("recorded_at")));
  }
}
