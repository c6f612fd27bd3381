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

/** Guardians' consents: appended; one withdrawn is superseded. */
public final class ConsentRepository {
  private static final String LATEST_FIRST = "given_on desc, recorded_at desc, id desc";

  private final Ledger ledger;

  public ConsentRepository(Database database) {
    this.ledger = new Ledger(database, RecordKind.CONSENTS);
  }

  /** Puts one on record. */
  public void add(UUID clientId, Consent consent) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("given_by", consent.givenBy());
    row.put("given_on", consent.givenOn().toString());
    row.put("note", consent.note());
    ledger.add(consent.id(), clientId, row, consent.recordedAt());
  }

  /** A client's, latest first. */
  public List<Consent> of(UUID clientId) {
    return ledger.of(clientId, ConsentRepository::consent, LATEST_FIRST);
  }

  /** Those of several clients, latest first, by client. */
  public Map<UUID, List<Consent>> of(Collection<UUID> clients) {
    return ledger.of(clients, ConsentRepository::consent, LATEST_FIRST);
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
