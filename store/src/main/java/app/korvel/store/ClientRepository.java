package app.korvel.store;

import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.text.Normalizer;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Clients: editable heads with a version. */
public final class ClientRepository {
  private final Database database;
  private final VersionedTable<Client> heads;

  public ClientRepository(Database database) {
    this.database = database;
    heads = new VersionedTable<>(database, "client", ClientRepository::client, Client::version);
  }

  /**
   * Clients in the order of their names.
   *
   * @param typed what was typed: every word of it has to stand somewhere in the name, whatever the
   *     case and the accents; empty finds everyone
   * @param archived whether to look among those archived, or among the others
   */
  public List<Client> find(String typed, boolean archived) {
    String[] words = searchable(typed).strip().split("\\s+");
    String where =
        " where archived_at is "
            + (archived ? "not null" : "null")
            + " and instr(search_name, ?) > 0".repeat(words.length);
    return database.list(
        ClientRepository::client,
        "select * from client" + where + " order by search_name, id",
        (Object[]) words);
  }

  /** The clients of those ids, in no order. */
  public List<Client> of(Collection<UUID> ids) {
    return List.copyOf(
        database
            .byClient(
                ClientRepository::client,
                "select client.*, client.id as client_id"
                    + Database.WANTED
                    + "join client on client.id = wanted.client",
                ids)
            .values());
  }

  /** How often something was said about each of several clients. */
  public Map<UUID, Integer> revisions(Collection<UUID> clients) {
    return database.byClient(
        row -> row.getInt("revision"),
        "select client_id, revision"
            + Database.WANTED
            + "join client_revision on client_id = wanted.client",
        clients);
  }

  /** How many there are, among those archived or among the others. */
  public int count(boolean archived) {
    return database.read(
        connection ->
            Database.first(
                    connection,
                    row -> row.getInt(1),
                    "select count(*) from client where archived_at is "
                        + (archived ? "not null" : "null"))
                .orElseThrow());
  }

  /** The client of that id, if there is one. */
  public Optional<Client> get(UUID id) {
    return heads.get(id.toString());
  }

  /** Adds a client at version 1. */
  public Client add(UUID id, Client.Details details, Instant now) {
    heads.add(id.toString(), columns(details), now);
    return new Client(id, 1, details, false);
  }

  /**
   * Changes a client.
   *
   * @param version the version that was read
   * @return the client at its next version; nothing when there is no such client
   * @throws StaleVersionException when it has been changed since
   */
  public Optional<Client> change(UUID id, int version, Client.Details details, Instant now) {
    return database.write(
        connection -> {
          Map<String, Object> columns = columns(details);
          boolean corrected =
              get(id)
                  .filter(before -> !before.details().birthDate().equals(details.birthDate()))
                  .isPresent();
          if (corrected) {
            columns.put("birth_date_corrected_at", now);
          }
          return heads.change(id.toString(), version, columns, now);
        });
  }

  /**
   * Archives a client, or brings one back.
   *
   * @param version the version that was read
   * @return the client at its next version; nothing when there is no such client
   * @throws StaleVersionException when it has been changed since
   */
  public Optional<Client> archive(UUID id, int version, boolean archived, Instant now) {
    return heads.archive(id.toString(), version, archived, now);
  }

  /**
   * Erases a client for good, with everything that was recorded of them: the tables that name a
   * client, and what belongs to their records. The file keeps traces of it until it is rewritten.
   *
   * @param version the version that was read
   * @throws StaleVersionException when they have been changed since
   */
  public void erase(UUID id, int version) {
    database.write(
        connection -> {
          Client now = get(id).orElseThrow();
          if (now.version() != version) {
            throw new StaleVersionException(now.version(), now);
          }
          Database.change(connection, "pragma defer_foreign_keys = on");
          Database.change(
              connection, "delete from session_summary where client_id = ?", id.toString());
          Database.change(
              connection, "delete from client_revision where client_id = ?", id.toString());
          new WholeTables(database).erase(connection, id);
          return 1;
        });
  }

  /** What an instructor enters, by column: the one place that names them for writing. */
  private static Map<String, Object> columns(Client.Details details) {
    Map<String, Object> columns = new LinkedHashMap<>();
    columns.put("name", details.name());
    columns.put("search_name", searchable(details.name()));
    columns.put("note", details.note());
    columns.put("birth_date", details.birthDate().toString());
    columns.put("sex", details.sex());
    return columns;
  }

  private static Client client(ResultSet row) throws SQLException {
    return new Client(
        UUID.fromString(row.getString("id")),
        row.getInt("version"),
        new Client.Details(
            row.getString("name"),
            row.getString("note"),
            LocalDate.parse(row.getString("birth_date")),
            Sex.valueOf(row.getString("sex"))),
        row.getString("archived_at") != null,
        Optional.ofNullable(row.getString("birth_date_corrected_at")).map(Instant::parse));
  }

  /** Lower case without accents, so that “ngoc” finds “Ngọc”. */
  static String searchable(String text) {
    return Normalizer.normalize(text, Normalizer.Form.NFD)
        .replaceAll("\\p{M}+", "")
        .toLowerCase(Locale.ROOT)
        .replace('đ', 'd')
        .replace('ø', 'o')
        .replace('ł', 'l');
  }
}
