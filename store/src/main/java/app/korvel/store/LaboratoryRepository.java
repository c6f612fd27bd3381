package app.korvel.store;

import app.korvel.core.assessment.LaboratoryUptake;
import app.korvel.core.maximum.Mode;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** What laboratories measured: appended; those withdrawn are superseded. */
public final class LaboratoryRepository {
  private final Ledger ledger;

  public LaboratoryRepository(Database database) {
    this.ledger = new Ledger(database, RecordKind.LABORATORY_UPTAKES);
  }

  /** Adds a result. */
  public void add(UUID clientId, LaboratoryUptake result) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("mode", result.mode());
    row.put("vo2max_tenths", result.vo2max().movePointRight(1).intValueExact());
    row.put("measured_on", result.measuredOn().toString());
    row.put("laboratory", result.laboratory());
    row.put("note", result.note());
    ledger.add(result.id(), clientId, row, result.recordedAt());
  }

  /** A client's, latest first. */
  public List<LaboratoryUptake> of(UUID clientId) {
    return ledger.of(
        clientId,
        row ->
            new LaboratoryUptake(
                UUID.fromString(row.getString("id")),
                Mode.valueOf(row.getString("mode")),
                BigDecimal.valueOf(row.getInt("vo2max_tenths"), 1),
                LocalDate.parse(row.getString("measured_on")),
                row.getString("laboratory"),
                row.getString("note"),
                Instant.parse(row.getString("recorded_at"))),
        "measured_on desc, recorded_at desc, id desc");
  }
}
