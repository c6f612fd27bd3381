package app.korvel.store;

import app.korvel.core.zone.OwnScheme;
import app.korvel.core.zone.Scheme;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** The studio's own schemes, editable heads with a version; and which client is shown in which. */
public final class SchemeRepository {
  private final Database database;
  private final VersionedTable<SavedScheme> heads;
  private final Ledger choices;

  public SchemeRepository(Database database) {
    this.database = database;
    choices = new Ledger(database, RecordKind.SCHEME_CHOICES);
    heads = new VersionedTable<>(database, "scheme", SchemeRepository::saved, SavedScheme::version);
  }

  /** Adds a scheme at version 1; its id is the one it carries. */
  public SavedScheme add(Scheme scheme, Instant now) {
    heads.add(scheme.id(), columns(scheme), now);
    return new SavedScheme(1, scheme, false);
  }

  /**
   * Changes a scheme.
   *
   * @param version the version that was read
   * @return the scheme at its next version; nothing when there is no such scheme
   * @throws StaleVersionException when it has been changed since
   */
  public Optional<SavedScheme> change(int version, Scheme scheme, Instant now) {
    return heads.change(scheme.id(), version, columns(scheme), now);
  }

  /**
   * Puts a scheme away, or brings one back.
   *
   * @param version the version that was read
   * @return the scheme at its next version; nothing when there is no such scheme
   * @throws StaleVersionException when it has been changed since
   */
  public Optional<SavedScheme> archive(String id, int version, boolean archived, Instant now) {
    return heads.archive(id, version, archived, now);
  }

  /** Those in hand, in the order in which they were made. */
  public List<SavedScheme> all() {
    return database.list(
        SchemeRepository::saved, "select * from scheme where archived_at is null order by id");
  }

  /** The scheme of that id, archived or not, if there is one. */
  public Optional<SavedScheme> get(String id) {
    return heads.get(id);
  }

  /**
   * Keeps which scheme a client's bands are shown in.
   *
   * @param scheme empty to go back to the studio's
   */
  public void choose(
      UUID id, UUID clientId, Optional<String> scheme, LocalDate today, Instant now) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("scheme", scheme);
    row.put("chosen_on", today.toString());
    choices.replace(id, clientId, row, now);
  }

  /**
   * What was chosen for a client.
   *
   * @param scheme empty where it went back to the studio's
   */
  public record Chosen(UUID id, Optional<String> scheme) {}

  /** The latest choice for a client; empty where none was ever made. */
  public Optional<Chosen> latestChoice(UUID clientId) {
    return database.first(
        row ->
            new Chosen(
                UUID.fromString(row.getString("id")), Optional.ofNullable(row.getString("scheme"))),
        "select * from current_scheme_choice where client_id = ?",
        clientId.toString());
  }

  /** The scheme that was chosen for a client; empty where it is the studio's. */
  public Optional<String> chosen(UUID clientId) {
    return latestChoice(clientId).flatMap(Chosen::scheme);
  }

  /** Names of the clients for whom that scheme was chosen. */
  public List<String> chosenFor(String scheme) {
    return database.list(
        row -> row.getString("name"),
        "select client.name from current_scheme_choice as choice"
            + " join client on client.id = choice.client_id"
            + " where choice.scheme = ? order by client.search_name",
        scheme);
  }

  private static Map<String, Object> columns(Scheme scheme) {
    Map<String, Object> columns = new LinkedHashMap<>();
    columns.put("name", scheme.name());
    columns.put("document", StoredForms.SCHEME.write(OwnScheme.of(scheme)));
    return columns;
  }

  private static SavedScheme saved(ResultSet row) throws SQLException {
    return new SavedScheme(
        row.getInt("version"),
        StoredForms.SCHEME.read(row.getString("document")).checked(row.getString("id")),
        row.getString("archived_at") != null);
  }
}
