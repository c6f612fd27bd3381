package app.korvel.store;

import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Prescription.RateBasis;
import app.korvel.core.zone.Target;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
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

  public PrescriptionRepository(Database database) {
    this.database = database;
  }

  /** Saves the client's next version, whatever the one before it is. */
  public SavedPrescription add(UUID id, UUID clientId, Prescription prescription, Instant now) {
    return add(id, clientId, OptionalInt.empty(), prescription, now);
  }

  /**
   * Saves the client's next version.
   *
   * @param read the version that was read; 0 where there was none
   * @throws StaleVersionException when another one was saved since
   */
  public SavedPrescription add(
      UUID id, UUID clientId, int read, Prescription prescription, Instant now) {
    return add(id, clientId, OptionalInt.of(read), prescription, now);
  }

  private SavedPrescription add(
      UUID id, UUID clientId, OptionalInt read, Prescription prescription, Instant now) {
    String document = StoredForms.PRESCRIPTION.write(prescription);
    return database.write(
        connection -> {
          Optional<SavedPrescription> before =
              Database.first(
                  connection,
                  PrescriptionRepository::saved,
                  "select * from current_prescription where client_id = ?",
                  clientId.toString());
          int present = before.map(SavedPrescription::version).orElse(0);
          if (read.isPresent() && read.getAsInt() != present) {
            throw new StaleVersionException(present, before.orElse(null));
          }
          int version = present + 1;
          Database.change(
              connection,
              """
              insert into prescription (id, client_id, version, supersedes, status, made_on, mode,
                resting_bpm, maximum_bpm, maximum_method, low_bpm, high_bpm, document, recorded_at)
              values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
              """,
              id.toString(),
              clientId.toString(),
              version,
              before.map(saved -> saved.id().toString()),
              prescription.status(),
              prescription.date().toString(),
              prescription.parts().mode(),
              prescription.basis().map(RateBasis::restingBpm),
              prescription.basis().map(RateBasis::maximumBpm),
              prescription.basis().map(RateBasis::maximumMethod),
              prescription.target().map(Target::lowBpm),
              prescription.target().map(Target::highBpm),
              document,
              now);
          return new SavedPrescription(id, version, now, prescription);
        });
  }

  /** A client's versions, latest first. */
  public List<SavedPrescription> of(UUID clientId) {
    return database.read(
        connection ->
            Database.list(
                connection,
                PrescriptionRepository::saved,
                "select * from prescription where client_id = ? order by version desc",
                clientId.toString()));
  }

  /** One version of a client's prescription, if there is one. */
  public Optional<SavedPrescription> get(UUID clientId, int version) {
    return database.read(
        connection ->
            Database.first(
                connection,
                PrescriptionRepository::saved,
                "select * from prescription where client_id = ? and version = ?",
                clientId.toString(),
                version));
  }

  /** The version of that id, if there is one. */
  public Optional<SavedPrescription> get(UUID id) {
    return database.read(
        connection ->
            Database.first(
                connection,
                PrescriptionRepository::saved,
                "select * from prescription where id = ?",
                id.toString()));
  }

  /** The day of the first version of a client that was issued, if one was. */
  public Optional<LocalDate> firstIssued(UUID clientId) {
    return database.read(
        connection ->
            Database.first(
                connection,
                row -> LocalDate.parse(row.getString("made_on")),
                "select made_on from prescription where client_id = ? and status = 'ISSUED'"
                    + " order by made_on limit 1",
                clientId.toString()));
  }

  /** A client's version that holds, if there is one. */
  public Optional<SavedPrescription> current(UUID clientId) {
    return Optional.ofNullable(current(List.of(clientId)).get(clientId));
  }

  /** The version that holds, by client. */
  public Map<UUID, SavedPrescription> current(Collection<UUID> clients) {
    return database.byClient(
        PrescriptionRepository::saved,
        "select mine.*"
            + Database.WANTED
            + "join current_prescription as mine on mine.client_id = wanted.client",
        clients);
  }

  private static SavedPrescription saved(ResultSet row) throws SQLException {
    return new SavedPrescription(
        UUID.fromString(row.getString("id")),
        row.getInt("version"),
        Instant.parse(row.getString("recorded_at")),
        StoredForms.PRESCRIPTION.read(row.getString("document")));
  }
}
