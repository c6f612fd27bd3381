package app.korvel.store;

import app.korvel.core.programme.Programme;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Programmes: every change is a version of its own, kept whole; the latest one holds. */
public final class ProgrammeRepository {
  private final Database database;

  public ProgrammeRepository(Database database) {
    this.database = database;
  }

  /**
   * Saves the client's next version, and its sessions by day.
   *
   * @param version the version that was read; 0 where there was none
   * @param today sessions before it, of a programme that is replaced, stay as they were
   * @throws StaleVersionException when it has been changed since
   */
  public SavedProgramme save(
      UUID id,
      UUID clientId,
      int version,
      UUID prescriptionId,
      Programme programme,
      Instant now,
      LocalDate today) {
    return database.write(
        connection -> {
          Optional<SavedProgramme> before = current(connection, clientId);
          int present = before.map(SavedProgramme::version).orElse(0);
          if (present != version) {
            throw new StaleVersionException(present, before.orElse(null));
          }
          Map<String, Object> row = new LinkedHashMap<>();
          row.put("id", id.toString());
          row.put("client_id", clientId.toString());
          row.put("prescription_id", prescriptionId.toString());
          row.put("version", version + 1);
          row.put(
              "supersedes",
              Database.first(
                  connection,
                  found -> found.getString("id"),
                  "select id from current_programme where client_id = ?",
                  clientId.toString()));
          row.put("starts_on", programme.plan().startsOn().toString());
          row.put("ends_on", programme.plan().endsOn().toString());
          row.put("document", StoredForms.PROGRAMME.write(programme));
          row.put("recorded_at", now);
          Database.insert(connection, "programme", row);
          PlannedSessionRepository.write(connection, clientId, version + 1, programme, now, today);
          return new SavedProgramme(version + 1, prescriptionId, now, programme);
        });
  }

  /** A client's programme as it is now, if there is one. */
  public Optional<SavedProgramme> current(UUID clientId) {
    return database.read(connection -> current(connection, clientId));
  }

  private static Optional<SavedProgramme> current(Connection connection, UUID clientId)
      throws SQLException {
    return Database.first(
        connection,
        ProgrammeRepository::saved,
        "select * from current_programme where client_id = ?",
        clientId.toString());
  }

  /** The version that holds, by client. */
  public Map<UUID, SavedProgramme> current(Collection<UUID> clients) {
    return database.byClient(
        ProgrammeRepository::saved,
        "select mine.*"
            + Database.WANTED
            + "join current_programme as mine on mine.client_id = wanted.client",
        clients);
  }

  /** A client's programme as it was at that version, if there was one. */
  public Optional<SavedProgramme> get(UUID clientId, int version) {
    return database.read(
        connection ->
            Database.first(
                connection,
                ProgrammeRepository::saved,
                "select * from programme where client_id = ? and version = ?",
                clientId.toString(),
                version));
  }

  private static SavedProgramme saved(ResultSet row) throws SQLException {
    return new SavedProgramme(
        row.getInt("version"),
        UUID.fromString(row.getString("prescription_id")),
        Instant.parse(row.getString("recorded_at")),
        StoredForms.PROGRAMME.read(row.getString("document")));
  }
}
