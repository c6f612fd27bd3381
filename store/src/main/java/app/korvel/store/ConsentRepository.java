package app.korvel.store;

import app.korvel.core.screening.Consent;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Guardians' consents: appended; one taken back is superseded. */
public final class ConsentRepository {
  private static final Appended ROWS = new Appended("guardian_consent");

  private final Database database;

  public ConsentRepository(Database database) {
    this.database = database;
  }

  /** Puts one on record. */
  public void add(UUID clientId, Consent consent) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("given_by", consent.givenBy());
    row.put("given_on", consent.givenOn().toString());
    row.put("note", consent.note());
    database.write(
        connection -> {
          ROWS.add(connection, consent.id(), clientId, row, consent.recordedAt());
          return null;
        });
  }

  /**
   * Takes one back; see {@link Appended#withdraw}.
   *
   * @param by id of the record of taking it back
   */
  public boolean withdraw(UUID clientId, UUID id, UUID by, Instant now) {
    return database.write(connection -> ROWS.withdraw(connection, clientId, id, by, now));
  }

  /**
   * Undoes a taking back; see {@link Appended#undo}.
   *
   * @param by id of the one that stands again
   */
  public boolean undo(UUID clientId, UUID id, UUID by) {
    return database.write(connection -> ROWS.undo(connection, clientId, id, by));
  }

  /** A client's, latest first. */
  public List<Consent> of(UUID clientId) {
    return database.read(
        connection ->
            Database.list(
                connection,
                ConsentRepository::consent,
                "select * from current_guardian_consent where client_id = ?"
                    + " order by given_on desc, recorded_at desc, id desc",
                clientId.toString()));
  }

  /** Those of several clients, by client, in no order. */
  public Map<UUID, List<Consent>> of(Collection<UUID> clients) {
    return database.listsByClient(
        ConsentRepository::consent,
        "select mine.*"
            + Database.WANTED
            + "join current_guardian_consent as mine on mine.client_id = wanted.client",
        clients);
  }

  private static Consent consent(ResultSet row) throws SQLException {
    return new Consent(
        UUID.fromString(row.getString("id")),
        row.getString("given_by"),
        LocalDate.parse(row.getString("given_on")),
        row.getString("note"),
        Instant.parse(row.getString("recorded_at")));
  }
}
