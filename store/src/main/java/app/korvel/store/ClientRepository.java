package app.korvel.store;

import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.text.Normalizer;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Clients: editable heads with a version. */
public final class ClientRepository {
  private final Database database;

  public ClientRepository(Database database) {
    this.database = database;
  }

  /**
   * Clients in the order of their names.
   *
   * @param typed what was typed: every word of it has to stand somewhere in the name, whatever the
   *     case and the accents; empty finds everyone
   * @param archived whether to look among those put away, or among the others
   */
  public List<Client> find(String typed, boolean archived) {
    String[] words = searchable(typed).strip().split("\\s+");
    String where =
        " where archived_at is "
            + (archived ? "not null" : "null")
            + " and instr(search_name, ?) > 0".repeat(words.length);
    return database.read(
        connection ->
            Database.list(
                connection,
                ClientRepository::client,
                "select * from client" + where + " order by search_name, id",
                (Object[]) words));
  }

  /** How many there are, among those put away or among the others. */
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
    return database.read(connection -> get(connection, id));
  }

  /** Adds a client at version 1. */
  public Client add(UUID id, Client.Details details, Instant now) {
    Map<String, Object> row = columns(details);
    row.put("id", id.toString());
    row.put("version", 1);
    row.put("created_at", now.toString());
    row.put("updated_at", now.toString());
    database.write(connection -> Database.insert(connection, "client", row));
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
    return update(id, version, columns(details), now);
  }

  /**
   * Puts a client away, or brings one back.
   *
   * @param version the version that was read
   * @return the client at its next version; nothing when there is no such client
   * @throws StaleVersionException when it has been changed since
   */
  public Optional<Client> archive(UUID id, int version, boolean archived, Instant now) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("archived_at", archived ? now.toString() : null);
    return update(id, version, row, now);
  }

  private Optional<Client> update(UUID id, int version, Map<String, Object> changed, Instant now) {
    return database.write(
        connection -> {
          Optional<Client> found = get(connection, id);
          if (found.isEmpty()) {
            return Optional.empty();
          }
          if (found.get().version() != version) {
            throw new StaleVersionException(found.get().version(), found.get());
          }
          Map<String, Object> row = new LinkedHashMap<>(changed);
          row.put("version", version + 1);
          row.put("updated_at", now.toString());
          Database.update(connection, "client", id.toString(), row);
          return get(connection, id);
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

  private static Optional<Client> get(Connection connection, UUID id) throws SQLException {
    return Database.first(
        connection, ClientRepository::client, "select * from client where id = ?", id.toString());
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
        row.getString("archived_at") != null);
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
