package app.korvel.store;

import app.korvel.core.maximum.Choice;
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
  private final Ledger ledger;

  public MaximumChoiceRepository(Database database) {
    this.database = database;
    this.ledger = new Ledger(database, RecordKind.MAXIMUM_CHOICES);
  }

  /**
   * Keeps a choice, or the way back to the default.
   *
   * @param choice empty to go back to the default
   * @param today the studio's day
   */
  public void add(UUID id, UUID clientId, Optional<Choice> choice, LocalDate today, Instant now) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("method", choice.map(Choice::method));
    row.put("reason", choice.map(Choice::reason));
    row.put("chosen_on", choice.map(Choice::chosenOn).orElse(today).toString());
    ledger.replace(id, clientId, row, now);
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
    return database.list(
        MaximumChoiceRepository::kept,
        "select * from maximum_choice where client_id = ? order by rowid desc",
        clientId.toString());
  }

  private static Kept kept(ResultSet row) throws SQLException {
    return new Kept(
        UUID.fromString(row.getString("id")),
        row.getString("method") == null || row.getBoolean("withdrawn")
            ? Optional.empty()
            : Optional.of(choice(row)),
        LocalDate.parse(row.getString("chosen_on")));
  }

  private static Choice choice(ResultSet row) throws SQLException {
    return new Choice(
        row.getString("method"),
        row.getString("reason"),
        LocalDate.parse(row.getString("chosen_on")));
  }
}
