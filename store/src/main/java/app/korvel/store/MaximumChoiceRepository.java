package app.korvel.store;

import app.korvel.core.maximum.Choice;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** The instructor's choices of an equation: appended, the latest one holds. */
public final class MaximumChoiceRepository {
  private final Database database;

  public MaximumChoiceRepository(Database database) {
    this.database = database;
  }

  /**
   * Keeps a choice, or the way back to the default.
   *
   * @param choice empty to go back to the default
   * @param today the studio's day
   */
  public void add(UUID id, UUID clientId, Optional<Choice> choice, LocalDate today, Instant now) {
    database.write(
        connection -> {
          add(
              connection,
              id,
              clientId,
              head(connection, clientId),
              new Kept(id, choice, choice.map(Choice::chosenOn).orElse(today)),
              now);
          return null;
        });
  }

  private static void add(
      Connection connection,
      UUID id,
      UUID clientId,
      Optional<String> supersedes,
      Kept kept,
      Instant now)
      throws SQLException {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", id.toString());
    row.put("client_id", clientId.toString());
    row.put("supersedes", supersedes);
    row.put("method", kept.choice.map(Choice::method));
    row.put("reason", kept.choice.map(Choice::reason));
    row.put("chosen_on", kept.on.toString());
    row.put("recorded_at", now);
    Database.insert(connection, "maximum_choice", row);
  }

  /**
   * Undoes a choice: what was chosen before it is chosen again, and as of when it was.
   *
   * @param id of the choice
   * @param by id of the record that says so
   * @return whether this client has such a choice
   * @throws SupersededException when another one has been made since
   */
  public boolean undo(UUID clientId, UUID id, UUID by, Instant now) {
    return database.write(
        connection -> {
          Optional<Kept> undone = row(connection, clientId, Optional.of(id.toString()));
          if (undone.isEmpty()) {
            return false;
          }
          if (!head(connection, clientId).equals(Optional.of(id.toString()))) {
            throw new SupersededException();
          }
          Optional<String> before =
              Database.first(
                      connection,
                      row -> Optional.ofNullable(row.getString("supersedes")),
                      "select supersedes from maximum_choice where id = ?",
                      id.toString())
                  .flatMap(each -> each);
          Kept again =
              row(connection, clientId, before)
                  .orElse(new Kept(by, Optional.empty(), undone.get().on));
          add(connection, by, clientId, Optional.of(id.toString()), again, now);
          return true;
        });
  }

  private static Optional<Kept> row(Connection connection, UUID clientId, Optional<String> id)
      throws SQLException {
    return Database.first(
        connection,
        MaximumChoiceRepository::kept,
        "select * from maximum_choice where client_id = ? and id = ?",
        clientId.toString(),
        id);
  }

  /** The choice that holds for a client, if one does. */
  public Optional<Choice> current(UUID clientId) {
    return Optional.ofNullable(current(List.of(clientId)).get(clientId));
  }

  /** The choice that holds, by client. */
  public Map<UUID, Choice> current(Collection<UUID> clients) {
    return database.byClient(
        MaximumChoiceRepository::choice,
        "select mine.*"
            + Database.WANTED
            + "join current_maximum_choice as mine on mine.client_id = wanted.client"
            + " where method is not null",
        clients);
  }

  /**
   * What was kept, and when.
   *
   * @param choice empty where it went back to the default
   */
  public record Kept(UUID id, Optional<Choice> choice, LocalDate on) {}

  /** Every choice a client ever had, latest first. */
  public List<Kept> of(UUID clientId) {
    return database.read(
        connection ->
            Database.list(
                connection,
                MaximumChoiceRepository::kept,
                "select * from maximum_choice where client_id = ? order by recorded_at desc, rowid desc",
                clientId.toString()));
  }

  private static Kept kept(ResultSet row) throws SQLException {
    return new Kept(
        UUID.fromString(row.getString("id")),
        row.getString("method") == null ? Optional.empty() : Optional.of(choice(row)),
        LocalDate.parse(row.getString("chosen_on")));
  }

  private static Optional<String> head(Connection connection, UUID clientId) throws SQLException {
    return Database.first(
        connection,
        row -> row.getString("id"),
        "select id from current_maximum_choice where client_id = ?",
        clientId.toString());
  }

  private static Choice choice(ResultSet row) throws SQLException {
    return new Choice(
        row.getString("method"),
        row.getString("reason"),
        LocalDate.parse(row.getString("chosen_on")));
  }
}
