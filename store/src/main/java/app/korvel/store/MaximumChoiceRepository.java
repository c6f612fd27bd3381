package app.korvel.store;

import app.korvel.core.maximum.Choice;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
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
        connection ->
            Database.change(
                connection,
                """
                insert into maximum_choice (id, client_id, supersedes, method, reason, chosen_on,
                  recorded_at)
                values (?, ?, ?, ?, ?, ?, ?)
                """,
                id.toString(),
                clientId.toString(),
                head(connection, clientId),
                choice.map(Choice::method),
                choice.map(Choice::reason),
                choice.map(Choice::chosenOn).orElse(today).toString(),
                now.toString()));
  }

  /** The choice that holds for a client, if one does. */
  public Optional<Choice> current(UUID clientId) {
    return Optional.ofNullable(current(" and client_id = ?", clientId.toString()).get(clientId));
  }

  /** Everyone's choice that holds, by client. */
  public Map<UUID, Choice> current() {
    return current("");
  }

  private Map<UUID, Choice> current(String where, Object... values) {
    return database.read(
        connection -> {
          Map<UUID, Choice> choices = new HashMap<>();
          Database.list(
              connection,
              row -> choices.put(UUID.fromString(row.getString("client_id")), choice(row)),
              "select * from current_maximum_choice where method is not null" + where,
              values);
          return choices;
        });
  }

  /**
   * What was kept, and when.
   *
   * @param choice empty where it went back to the default
   */
  public record Kept(Optional<Choice> choice, LocalDate on) {}

  /** Every choice a client ever had, latest first. */
  public List<Kept> of(UUID clientId) {
    return database.read(
        connection ->
            Database.list(
                connection,
                row ->
                    new Kept(
                        row.getString("method") == null
                            ? Optional.empty()
                            : Optional.of(choice(row)),
                        LocalDate.parse(row.getString("chosen_on"))),
                "select * from maximum_choice where client_id = ? order by id desc",
                clientId.toString()));
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
