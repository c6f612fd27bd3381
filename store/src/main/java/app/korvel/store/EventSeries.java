package app.korvel.store;

import app.korvel.core.measure.InvalidValueException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * What happens on the clock: of a session, a room or a test. Events are appended in the order in
 * which they are handed in, each once however often it is sent.
 */
final class EventSeries {
  private final Database database;
  private final String table;
  private final String owner;
  private final String named;

  /**
   * @param table of the events
   * @param owner the column of what they belong to
   * @param named what that is called in a sentence
   */
  EventSeries(Database database, String table, String owner, String named) {
    this.database = database;
    this.table = table;
    this.owner = owner;
    this.named = named;
  }

  /**
   * Adds an event after those that are there.
   *
   * @param row its columns, the id among them
   * @return whether it was new; one that is there already is not added again
   * @throws InvalidValueException when it is there, and belongs to another
   */
  boolean add(UUID of, Map<String, Object> row, Instant now) {
    return database.write(
        connection -> {
          Optional<String> known =
              Database.first(
                  connection,
                  each -> each.getString(1),
                  "select " + owner + " from " + table + " where id = ?",
                  row.get("id"));
          if (known.isPresent()) {
            if (known.get().equals(of.toString())) {
              return false;
            }
            throw InvalidValueException.of(
                "id", "is that of an event in another " + named, "an id of its own for each event");
          }
          row.put(owner, of.toString());
          row.put(
              "place",
              Database.first(
                      connection,
                      each -> each.getInt(1),
                      "select coalesce(max(place), 0) + 1 from "
                          + table
                          + " where "
                          + owner
                          + " = ?",
                      of.toString())
                  .orElse(1));
          row.put("recorded_at", now);
          database.insert(table, row);
          return true;
        });
  }

  /** All of one, in the order in which they were handed in. */
  <T> List<T> of(UUID of, Database.Row<T> row) {
    return database.list(
        row, "select * from " + table + " where " + owner + " = ? order by place", of.toString());
  }
}
