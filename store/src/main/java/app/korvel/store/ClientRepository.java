package app.korvel.store;

import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Sex;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.text.Normalizer;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
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
   */
  public List<Client> find(String typed) {
    String[] words = searchable(typed).strip().split("\\s+");
    StringBuilder where = new StringBuilder();
    for (int i = 0; i < words.length; i++) {
      where.append(i == 0 ? " where " : " and ").append("instr(search_name, ?) > 0");
    }
    return database.read(
        connection ->
            Database.list(
                connection,
                ClientRepository::client,
                "select * from client" + where + " order by search_name, id",
                (Object[]) words));
  }

  /** The client of that id, if there is one. */
  public Optional<Client> get(UUID id) {
    return database.read(connection -> get(connection, id));
  }

  /** Adds a client at version 1. */
  public Client add(UUID id, Client.Details details, Instant now) {
    database.write(
        connection ->
            Database.change(
                connection,
                """
                insert into client (id, version, name, search_name, note, birth_date, sex, activity,
                  heart_condition, heart_failure, beta_blocker, guardian_consent,
                  created_at, updated_at)
                values (?, 1, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                """,
                id.toString(),
                details.name(),
                searchable(details.name()),
                details.note(),
                details.birthDate().toString(),
                details.sex(),
                details.activity(),
                details.health().heartCondition(),
                details.health().heartFailure(),
                details.health().betaBlocker(),
                details.guardianConsent(),
                now.toString(),
                now.toString()));
    return new Client(id, 1, details);
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
          Optional<Client> found = get(connection, id);
          if (found.isEmpty()) {
            return Optional.empty();
          }
          if (found.get().version() != version) {
            throw new StaleVersionException(found.get());
          }
          Database.change(
              connection,
              """
              update client set version = ?, name = ?, search_name = ?, note = ?, birth_date = ?,
                sex = ?, activity = ?, heart_condition = ?, heart_failure = ?, beta_blocker = ?,
                guardian_consent = ?, updated_at = ?
              where id = ?
              """,
              version + 1,
              details.name(),
              searchable(details.name()),
              details.note(),
              details.birthDate().toString(),
              details.sex(),
              details.activity(),
              details.health().heartCondition(),
              details.health().heartFailure(),
              details.health().betaBlocker(),
              details.guardianConsent(),
              now.toString(),
              id.toString());
          return Optional.of(new Client(id, version + 1, details));
        });
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
            Sex.valueOf(row.getString("sex")),
            Activity.valueOf(row.getString("activity")),
            new Person.Health(
                row.getBoolean("heart_condition"),
                row.getBoolean("heart_failure"),
                row.getBoolean("beta_blocker")),
            row.getBoolean("guardian_consent")));
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
