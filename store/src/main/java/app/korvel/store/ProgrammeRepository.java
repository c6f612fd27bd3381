package app.korvel.store;

import app.korvel.core.programme.Programme;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/** Programmes: every change is a version of its own, kept whole; the latest one holds. */
public final class ProgrammeRepository {
  private final Database database;
  private final Versions<SavedProgramme> versions;

  public ProgrammeRepository(Database database) {
    this.database = database;
    versions =
        new Versions<>(database, "programme", ProgrammeRepository::saved, SavedProgramme::version);
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
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("prescription_id", prescriptionId.toString());
    row.put("starts_on", programme.plan().startsOn().toString());
    row.put("ends_on", programme.plan().endsOn().toString());
    row.put("document", StoredForms.PROGRAMME.write(programme));
    row.put("recorded_at", now);
    return database.write(
        connection -> {
          int next = versions.next(clientId, OptionalInt.of(version));
          versions.add(id, clientId, next, row);
          PlannedSessionRepository.write(connection, clientId, next, programme, now, today);
          return new SavedProgramme(next, prescriptionId, now, programme);
        });
  }

  /** A client's programme as it is now, if there is one. */
  public Optional<SavedProgramme> current(UUID clientId) {
    return versions.current(clientId);
  }

  /** The version that holds, by client. */
  public Map<UUID, SavedProgramme> current(Collection<UUID> clients) {
    return versions.current(clients);
  }

  /** A client's programme as it was at that version, if there was one. */
  public Optional<SavedProgramme> get(UUID clientId, int version) {
    return versions.get(clientId, version);
  }

  private static SavedProgramme saved(ResultSet row) throws SQLException {
    return new SavedProgramme(
        row.getInt("version"),
        UUID.fromString(row.getString("prescription_id")),
        Instant.parse(row.getString("recorded_at")),
        StoredForms.PROGRAMME.read(row.getString("document")));
  }
}
