package app.korvel.store;

import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * A table whose records are appended and never changed: one is corrected or withdrawn by a record
 * that supersedes it, and either is undone by one record more. It has the columns {@code id},
 * {@code client_id}, {@code supersedes}, {@code withdrawn}, {@code recorded_at} and {@code
 * recorded_by}.
 */
public final class Ledger {
  private final Database database;
  private final RecordKind kind;
  private final String table;

  Ledger(Database database, RecordKind kind) {
    this.database = database;
    this.kind = kind;
    this.table = kind.table();
  }

  /**
   * A client's records that stand.
   *
   * @param order in SQL
   */
  <T> List<T> of(UUID clientId, Database.Row<T> row, String order) {
    return database.list(
        row,
        "select * from current_" + table + " where client_id = ? order by " + order,
        clientId.toString());
  }

  /** Those of several clients, by client; see {@link #of(UUID, Database.Row, String)}. */
  <T> Map<UUID, List<T>> of(Collection<UUID> clients, Database.Row<T> row, String order) {
    return database.listsByClient(
        row,
        "select mine.*"
            + Database.WANTED
            + "join current_"
            + table
            + " as mine on mine.client_id = wanted.client order by "
            + order,
        clients);
  }

  /**
   * Adds a record; {@code row} holds its own columns. It is on record after all that this client
   * has there, whatever the clock says.
   */
  void add(UUID id, UUID clientId, Map<String, Object> row, Instant now) {
    Map<String, Object> whole = new LinkedHashMap<>(row);
    whole.put("id", id.toString());
    whole.put("client_id", clientId.toString());
    database.write(
        connection -> {
          whole.put("recorded_at", database.after(table, clientId, now));
          return database.insert(table, whole);
        });
  }

  /**
   * Adds a record in the place of the one that this client has there, if they have one: where only
   * the latest holds.
   */
  void replace(UUID id, UUID clientId, Map<String, Object> row, Instant now) {
    Map<String, Object> whole = new LinkedHashMap<>(row);
    database.write(
        connection -> {
          whole.put(
              "supersedes",
              database.first(
                  latest -> latest.getString("id"),
                  "select id from "
                      + table
                      + " as mine where client_id = ? and not exists (select 1 from "
                      + table
                      + " as later where later.supersedes = mine.id)",
                  clientId.toString()));
          add(id, clientId, whole, now);
          return null;
        });
  }

  /**
   * Corrects a record: one with the columns of {@code row}, and its own where that names none,
   * stands in its place, as put on record at the same moment. Whether it is stale depends on that
   * moment; the id says when it was corrected.
   *
   * @param by id of the record that is right
   * @return whether this client has it
   * @throws SupersededException when it is not the last word any more
   */
  boolean correct(UUID clientId, UUID id, UUID by, Map<String, Object> row) {
    return database.write(
        connection -> {
          Optional<Map<String, Object>> head = head(clientId, id);
          head.ifPresent(
              known -> {
                known.putAll(row);
                copy(known, by, id, false);
              });
          return head.isPresent();
        });
  }

  /**
   * Withdraws a record: it stands for nothing from now on.
   *
   * @param by id of the record that says so
   * @return whether this client has it
   * @throws SupersededException when it is not the last word any more
   */
  public boolean withdraw(UUID clientId, UUID id, UUID by, Instant now) {
    return database.write(
        connection -> {
          Optional<Map<String, Object>> head = head(clientId, id);
          head.ifPresent(
              known -> {
                known.put("recorded_at", now);
                copy(known, by, id, true);
              });
          return head.isPresent();
        });
  }

  /**
   * Undoes what a record says: what stood before it stands again, from when it was; where nothing
   * did, nothing stands.
   *
   * @param by id of the record that stands instead
   * @return whether this client has such a record
   * @throws SupersededException when it is not the last word any more, or another record has taken
   *     the place of what stood before
   */
  public boolean undo(UUID clientId, UUID id, UUID by, Instant now) {
    return database.write(
        connection -> {
          Optional<Map<String, Object>> head = head(clientId, id);
          if (head.isEmpty()) {
            return false;
          }
          Object superseded = head.get().get("supersedes");
          if (superseded == null) {
            return withdraw(clientId, id, by, now);
          }
          Map<String, Object> before =
              row(clientId, UUID.fromString((String) superseded)).orElseThrow();
          copy(before, by, id, before.get("withdrawn").equals(1));
          if (kind.once().filter(column -> twice(clientId, column)).isPresent()) {
            throw new SupersededException();
          }
          return true;
        });
  }

  private boolean twice(UUID clientId, String column) {
    return database
        .first(
            row -> row.getString(column),
            ("select %1$s from current_%2$s where client_id = ? and %1$s is not null "
                    + "group by %1$s having count(*) > 1")
                .formatted(column, table),
            clientId.toString())
        .isPresent();
  }

  private void copy(Map<String, Object> row, UUID id, UUID supersedes, boolean withdrawn) {
    Map<String, Object> again = new LinkedHashMap<>(row);
    again.put("id", id.toString());
    again.put("supersedes", supersedes.toString());
    again.put("withdrawn", withdrawn);
    database.insert(table, again);
  }

  private Optional<Map<String, Object>> head(UUID clientId, UUID id) {
    Optional<Map<String, Object>> found = row(clientId, id);
    boolean superseded =
        database
            .first(
                row -> row.getString("id"),
                "select id from " + table + " where supersedes = ?",
                id.toString())
            .isPresent();
    if (found.isPresent() && superseded) {
      throw new SupersededException();
    }
    return found;
  }

  private Optional<Map<String, Object>> row(UUID clientId, UUID id) {
    return database.first(
        Database::columns,
        "select * from " + table + " where client_id = ? and id = ?",
        clientId.toString(),
        id.toString());
  }
}
