package app.korvel.store;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToIntFunction;

/**
 * A table of records that are changed in place: each change adds one to the version, and one made
 * from an older version is refused.
 *
 * @param <T> what a row is
 */
final class VersionedTable<T> {
  private final Database database;
  private final String table;
  private final Database.Row<T> row;
  private final ToIntFunction<T> version;

  VersionedTable(Database database, String table, Database.Row<T> row, ToIntFunction<T> version) {
    this.database = database;
    this.table = table;
    this.row = row;
    this.version = version;
  }

  /** The record of that id, if there is one. */
  Optional<T> get(String id) {
    return database.first(row, "select * from " + table + " where id = ?", id);
  }

  /** Adds a record at version 1. */
  void add(String id, Map<String, Object> columns, Instant now) {
    Map<String, Object> added = new LinkedHashMap<>(columns);
    added.put("id", id);
    added.put("version", 1);
    added.put("created_at", now);
    added.put("updated_at", now);
    database.insert(table, added);
  }

  /**
   * Changes columns of a record.
   *
   * @param read the version that was read
   * @return the record at its next version; nothing when there is no such record
   * @throws StaleVersionException when it has been changed since
   */
  Optional<T> change(String id, int read, Map<String, Object> columns, Instant now) {
    return database.write(
        connection -> {
          Optional<T> found = get(id);
          if (found.isEmpty()) {
            return Optional.empty();
          }
          int present = version.applyAsInt(found.get());
          if (present != read) {
            throw new StaleVersionException(present, found.get());
          }
          Map<String, Object> changed = new LinkedHashMap<>(columns);
          changed.put("version", read + 1);
          changed.put("updated_at", now);
          database.update(table, id, changed);
          return get(id);
        });
  }

  /** Puts a record away, or brings one back; see {@link #change}. */
  Optional<T> archive(String id, int read, boolean archived, Instant now) {
    Map<String, Object> columns = new LinkedHashMap<>();
    columns.put("archived_at", archived ? now : null);
    return change(id, read, columns, now);
  }
}
