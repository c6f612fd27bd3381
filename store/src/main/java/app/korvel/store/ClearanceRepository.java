package app.korvel.store;

import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Clearance;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Clearances: appended; one kept by mistake is taken back by a row that says so. */
public final class ClearanceRepository {
  private final Database database;

  public ClearanceRepository(Database database) {
    this.database = database;
  }

  /** Puts one on record. */
  public void add(UUID clientId, Clearance clearance) {
    Map<String, Object> row = columns(clientId, clearance);
    database.write(connection -> Database.insert(connection, "clearance", row));
  }

  /**
   * Takes one back.
   *
   * @param id of the row that says so
   * @return whether there was such a clearance of that client, not yet taken back
   */
  public boolean withdraw(UUID id, UUID clientId, UUID clearanceId, Instant now) {
    return database.write(
        connection -> {
          List<Clearance> found =
              Database.list(
                  connection,
                  ClearanceRepository::clearance,
                  "select * from current_clearance where client_id = ? and id = ?",
                  clientId.toString(),
                  clearanceId.toString());
          for (Clearance clearance : found) {
            Map<String, Object> row = columns(clientId, clearance);
            row.put("id", id.toString());
            row.put("supersedes", clearanceId.toString());
            row.put("withdrawn", 1);
            row.put("recorded_at", now.toString());
            Database.insert(connection, "clearance", row);
          }
          return !found.isEmpty();
        });
  }

  /** A client's clearances, latest first. */
  public List<Clearance> of(UUID clientId) {
    return database.read(
        connection ->
            Database.list(
                connection,
                ClearanceRepository::clearance,
                "select * from current_clearance where client_id = ?"
                    + " order by issued_on desc, id desc",
                clientId.toString()));
  }

  /** Everyone's clearances, by client. */
  public Map<UUID, List<Clearance>> byClient() {
    return database.read(
        connection -> {
          Map<UUID, List<Clearance>> byClient = new HashMap<>();
          Database.list(
              connection,
              row ->
                  byClient
                      .computeIfAbsent(
                          UUID.fromString(row.getString("client_id")), id -> new ArrayList<>())
                      .add(clearance(row)),
              "select * from current_clearance");
          return byClient;
        });
  }

  private static Map<String, Object> columns(UUID clientId, Clearance clearance) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", clearance.id().toString());
    row.put("client_id", clientId.toString());
    row.put("issuer", clearance.issuer());
    row.put("issued_on", clearance.issuedOn().toString());
    row.put("allows", clearance.allows());
    row.put("until", clearance.until().toString());
    row.put("note", clearance.note());
    row.put("recorded_at", clearance.recordedAt().toString());
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
