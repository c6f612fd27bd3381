package app.korvel.store;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * A table whose rows are appended and never changed: one is put right or taken back by a row that
 * supersedes it, and either is undone by one row more. It has the columns {@code id}, {@code
 * client_id}, {@code supersedes}, {@code withdrawn} and {@code recorded_at}.
 */
final class Appended {
  private final String table;

  Appended(String table) {
    this.table = table;
  }

  /**
   * Adds a row; {@code row} holds its own columns. It is on record after all that this client has
   * there, whatever the clock says.
   */
  void add(Connection connection, UUID id, UUID clientId, Map<String, Object> row, Instant now)
      throws SQLException {
    Instant at = Database.after(connection, table, clientId, now);
    insert(connection, id, clientId, Optional.empty(), row, at);
  }

  private void insert(
      Connection connection,
      UUID id,
      UUID clientId,
      Optional<UUID> supersedes,
      Map<String, Object> row,
      Instant at)
      throws SQLException {
    Map<String, Object> whole = new LinkedHashMap<>();
    whole.put("id", id.toString());
    whole.put("client_id", clientId.toString());
    whole.put("supersedes", supersedes.map(UUID::toString));
    whole.put("withdrawn", false);
    whole.put("recorded_at", at);
    whole.putAll(row);
    Database.insert(connection, table, whole);
  }

  /**
   * Puts a row right: {@code row} stands in its place, as put on record at the same moment. Whether
   * it is stale hangs on that moment; the id says when it was put right.
   *
   * @param by id of the row that is right
   * @return whether this client has it
   * @throws SupersededException when it is not the last word any more
   */
  boolean correct(Connection connection, UUID clientId, UUID id, UUID by, Map<String, Object> row)
      throws SQLException {
    Optional<Map<String, Object>> head = head(connection, clientId, id);
    if (head.isPresent()) {
      Instant recordedAt = Instant.parse((String) head.get().get("recorded_at"));
      insert(connection, by, clientId, Optional.of(id), row, recordedAt);
    }
    return head.isPresent();
  }

  /**
   * Takes a row back.
   *
   * @param by id of the row that says so
   * @return whether this client has it
   * @throws SupersededException when it is not the last word any more
   */
  boolean withdraw(Connection connection, UUID clientId, UUID id, UUID by, Instant now)
      throws SQLException {
    Optional<Map<String, Object>> head = head(connection, clientId, id);
    if (head.isPresent()) {
      head.get().put("recorded_at", now);
      copy(connection, head.get(), by, id, true);
    }
    return head.isPresent();
  }

  /**
   * Undoes a correction or a taking back: what stood before stands again, from when it was.
   *
   * @param by id of the row that stands again
   * @return whether this client has such a row, and it superseded one
   * @throws SupersededException when it is not the last word any more
   */
  boolean undo(Connection connection, UUID clientId, UUID id, UUID by) throws SQLException {
    Optional<UUID> before =
        head(connection, clientId, id)
            .map(row -> (String) row.get("supersedes"))
            .map(UUID::fromString);
    if (before.isPresent()) {
      copy(connection, row(connection, clientId, before.get()).orElseThrow(), by, id, false);
    }
    return before.isPresent();
  }

  private void copy(
      Connection connection, Map<String, Object> row, UUID id, UUID supersedes, boolean withdrawn)
      throws SQLException {
    Map<String, Object> again = new LinkedHashMap<>(row);
    again.put("id", id.toString());
    again.put("supersedes", supersedes.toString());
    again.put("withdrawn", withdrawn);
    Database.insert(connection, table, again);
  }

  private Optional<Map<String, Object>> head(Connection connection, UUID clientId, UUID id)
      throws SQLException {
    Optional<Map<String, Object>> found = row(connection, clientId, id);
    boolean superseded =
        Database.first(
                connection,
                row -> row.getString("id"),
                "select id from " + table + " where supersedes = ?",
                id.toString())
            .isPresent();
    if (found.isPresent() && superseded) {
      throw new SupersededException();
    }
    return found;
  }

  private Optional<Map<String, Object>> row(Connection connection, UUID clientId, UUID id)
      throws SQLException {
    return Database.first(
        connection,
        Database::columns,
        "select * from " + table + " where client_id = ? and id = ?",
        clientId.toString(),
        id.toString());
  }
}
