package app.korvel.store;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.ToIntFunction;

/**
 * A table in which every version of what a client has is kept whole; the latest one holds. It has
 * the columns {@code id}, {@code client_id}, {@code version} and {@code supersedes}.
 *
 * @param <T> what a row is
 */
final class Versions<T> {
  private final Database database;
  private final String table;
  private final Database.Row<T> row;
  private final ToIntFunction<T> version;

  Versions(Database database, String table, Database.Row<T> row, ToIntFunction<T> version) {
    this.database = database;
    this.table = table;
    this.row = row;
    this.version = version;
  }

  /** A client's versions, latest first. */
  List<T> of(UUID clientId) {
    return database.list(
        row,
        "select * from " + table + " where client_id = ? order by version desc",
        clientId.toString());
  }

  /** One version of a client's, if there is one. */
  Optional<T> get(UUID clientId, int number) {
    return database.first(
        row,
        "select * from " + table + " where client_id = ? and version = ?",
        clientId.toString(),
        number);
  }

  /** The version that holds for a client, if there is one. */
  Optional<T> current(UUID clientId) {
    return database.first(
        row, "select * from current_" + table + " where client_id = ?", clientId.toString());
  }

  /** The version that holds, by client. */
  Map<UUID, T> current(Collection<UUID> clients) {
    return database.byClient(
        row,
        "select mine.*"
            + Database.WANTED
            + "join current_"
            + table
            + " as mine on mine.client_id = wanted.client",
        clients);
  }

  /**
   * The number of a client's next version.
   *
   * @param read the version that was read, 0 where there was none; empty to follow whichever there
   *     is
   * @throws StaleVersionException when another one was added since
   */
  int next(UUID clientId, OptionalInt read) {
    Optional<T> before = current(clientId);
    int present = before.map(version::applyAsInt).orElse(0);
    if (read.isPresent() && read.getAsInt() != present) {
      throw new StaleVersionException(present, before.orElse(null));
    }
    return present + 1;
  }

  /** Adds a version; {@code columns} are its own. */
  void add(UUID id, UUID clientId, int number, Map<String, Object> columns) {
    Map<String, Object> whole = new LinkedHashMap<>(columns);
    whole.put("id", id.toString());
    whole.put("client_id", clientId.toString());
    whole.put("version", number);
    whole.put(
        "supersedes",
        database.first(
            found -> found.getString("id"),
            "select id from " + table + " where client_id = ? and version = ?",
            clientId.toString(),
            number - 1));
    database.insert(table, whole);
  }
}
