package app.korvel.store;

import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Clearance;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Clearances: appended; one kept by mistake is withdrawn by a row that says so. */
public final class ClearanceRepository {
  private static final String LATEST_FIRST = "issued_on desc, recorded_at desc, id desc";

  private final Ledger ledger;

  public ClearanceRepository(Database database) {
    this.ledger = new Ledger(database, RecordKind.CLEARANCES);
  }

  /** Puts one on record. */
  public void add(UUID clientId, Clearance clearance) {
    ledger.add(clearance.id(), clientId, row(clearance), clearance.recordedAt());
  }

  /** A client's clearances, latest first. */
  public List<Clearance> of(UUID clientId) {
    return ledger.of(clientId, ClearanceRepository::clearance, LATEST_FIRST);
  }

  /** Those of several clients, latest first, by client. */
  public Map<UUID, List<Clearance>> of(Collection<UUID> clients) {
    return ledger.of(clients, ClearanceRepository::clearance, LATEST_FIRST);
  }

  private static Map<String, Object> row(Clearance clearance) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("issuer", clearance.issuer());
    row.put("issued_on", clearance.issuedOn().toString());
    row.put("allows", clearance.allows());
    row.put("until", clearance.until().toString());
    row.put("note", clearance.note());
    return row;
  }

  private static Clearance clearance(ResultSet row) throws SQLException {
    return new Clearance(
        UUID.fromString(row.getString("id")),
        row.getString("issuer"),
        LocalDate.parse(row.getString("issued_on")),
        Allows.valueOf(row.getString("allows")),
        LocalDate.parse(row.getString("until")),
        row.getString("note"),
        Instant.parse(row.getString("recorded_at")));
  }
}
