package app.korvel.store;

import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Prescription.RateBasis;
import app.korvel.core.zone.Target;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/**
 * Prescriptions: each version is kept whole, frozen as JSON; a new version supersedes the one
 * before.
 */
public final class PrescriptionRepository {
  private final Database database;
  private final Versions<SavedPrescription> versions;

  public PrescriptionRepository(Database database) {
    this.database = database;
    versions =
        new Versions<>(
            database, "prescription", PrescriptionRepository::saved, SavedPrescription::version);
  }

  /**
   * Saves the client's next version.
   *
   * @param read the version that was read, 0 where there was none; empty to follow whichever there
   *     is
   * @throws StaleVersionException when another one was saved since
   */
  public SavedPrescription add(
      UUID id, UUID clientId, OptionalInt read, Prescription prescription, Instant now) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("status", prescription.status());
    row.put("made_on", prescription.date().toString());
    row.put("mode", prescription.parts().mode());
    row.put("resting_bpm", prescription.basis().map(RateBasis::restingBpm));
    row.put("maximum_bpm", prescription.basis().map(RateBasis::maximumBpm));
    row.put("maximum_method", prescription.basis().map(RateBasis::maximumMethod));
    row.put("low_bpm", prescription.target().map(Target::lowBpm));
    row.put("high_bpm", prescription.target().map(Target::highBpm));
    row.put("document", StoredForms.PRESCRIPTION.write(prescription));
    row.put("recorded_at", now);
    return database.write(
        connection -> {
          int version = versions.next(clientId, read);
          versions.add(id, clientId, version, row);
          return new SavedPrescription(id, version, now, prescription);
        });
  }

  /** A client's versions, latest first. */
  public List<SavedPrescription> of(UUID clientId) {
    return versions.of(clientId);
  }

  /** One version of a client's prescription, if there is one. */
  public Optional<SavedPrescription> get(UUID clientId, int version) {
    return versions.get(clientId, version);
  }

  /** The version of that id, if there is one. */
  public Optional<SavedPrescription> get(UUID id) {
    return database.first(
        PrescriptionRepository::saved, "select * from prescription where id = ?", id.toString());
  }

  /** The day the first one was issued, by client. */
  public Map<UUID, LocalDate> firstIssued(Collection<UUID> clients) {
    return database.byClient(
        row -> LocalDate.parse(row.getString("first")),
        "select client_id, min(made_on) as first"
            + Database.WANTED
            + "join prescription as mine on mine.client_id = wanted.client"
            + " where status = 'ISSUED' group by client_id",
        clients);
  }

  /** A client's version that holds, if there is one. */
  public Optional<SavedPrescription> current(UUID clientId) {
    return versions.current(clientId);
  }

  /** The version that holds, by client. */
  public Map<UUID, SavedPrescription> current(Collection<UUID> clients) {
    return versions.current(clients);
  }

  private static SavedPrescription saved(ResultSet row) throws SQLException {
    return new SavedPrescription(
        UUID.fromString(row.getString("id")),
        row.getInt("version"),
        Instant.parse(row.getString("recorded_at")),
        StoredForms.PRESCRIPTION.read(row.getString("document")));
  }
}
