package app.korvel.store;

import app.korvel.core.maximum.Mode;
import app.korvel.core.pulse.Grade;
import app.korvel.core.zone.MeasuredThresholds;
import app.korvel.core.zone.ThresholdRates;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Measured thresholds: appended; those withdrawn are superseded. */
public final class ThresholdRepository {
  private final Database database;
  private final Ledger ledger;

  public ThresholdRepository(Database database) {
    this.database = database;
    this.ledger = new Ledger(database, RecordKind.THRESHOLDS);
  }

  /** Adds them. */
  public void add(UUID clientId, MeasuredThresholds measured) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("mode", measured.mode());
    row.put("kind", measured.kind());
    row.put("lower_bpm", measured.rates().lowerBpm());
    row.put("upper_bpm", measured.rates().upperBpm());
    row.put("measured_on", measured.measuredOn().toString());
    row.put("grade", measured.grade());
    row.put("note", measured.note());
    row.put("assessment_id", measured.test().map(UUID::toString));
    ledger.add(measured.id(), clientId, row, measured.recordedAt());
  }

  /** A client's, of every mode, latest first. */
  public List<MeasuredThresholds> of(UUID clientId) {
    return ledger.of(
        clientId, ThresholdRepository::measured, "measured_on desc, recorded_at desc, id desc");
  }

  /** Those of several clients, by client; see {@link #of(UUID)}. */
  public Map<UUID, List<MeasuredThresholds>> of(Collection<UUID> clients) {
    return ledger.of(
        clients, ThresholdRepository::measured, "measured_on desc, recorded_at desc, id desc");
  }

  private static MeasuredThresholds measured(ResultSet row) throws SQLException {
    return new MeasuredThresholds(
        UUID.fromString(row.getString("id")),
        Mode.valueOf(row.getString("mode")),
        MeasuredThresholds.Kind.valueOf(row.getString("kind")),
        ThresholdRates.of(row.getInt("lower_bpm"), row.getInt("upper_bpm")),
        LocalDate.parse(row.getString("measured_on")),
        // Before tests were graded, what was entered counted as good.
        Database.word(row, "grade", Grade.class).orElse(Grade.GOOD),
        row.getString("note"),
        Optional.ofNullable(row.getString("assessment_id")).map(UUID::fromString),
        Instant.parse(row.getString("recorded_at")));
  }
}
