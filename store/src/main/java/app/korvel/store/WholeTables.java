package app.korvel.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;

/**
 * Tables row by row, as they stand: what goes out whole, and comes in again as it was. Which rows
 * are a client's follows from the foreign keys, so that a table that is added is not forgotten.
 */
public final class WholeTables {
  /** Worked out from others whenever it is asked for. */
  private static final Set<String> WORKED_OUT = Set.of("client_revision", "session_summary");

  /** What a studio made for everyone, which a client's records may name. */
  private static final List<String> SHARED = List.of("graded_protocol", "outline", "scheme");

  private static final String ONE_ROW = "studio";

  /** What several clients are in. */
  private static final Set<String> WITH_OTHERS = Set.of("class_count", "room", "room_event");

  /** Of a client by what names it, where no foreign key does. */
  private static final Map<String, String> BY_NAME =
      Map.of(
          "client",
          "id = ?1",
          "class_count",
          "id in (select class_count_id from class_count_member where client_id = ?1)",
          "room",
          "id in (select room_id from room_member join live_session"
              + " on live_session.id = live_session_id where client_id = ?1)",
          "room_member",
          "live_session_id in (select id from live_session where client_id = ?1)",
          "room_event",
          "room_id in (select room_id from room_member join live_session"
              + " on live_session.id = live_session_id where client_id = ?1)");

  private final Database database;

  public WholeTables(Database database) {
    this.database = database;
  }

  /**
   * A table.
   *
   * @param columns in their order
   * @param types of them: TEXT, INTEGER, REAL or BLOB
   */
  public record Table(String name, List<String> columns, List<String> types) {}

  /** Takes a row; a value that is not there is null, and bytes are in Base64. */
  public interface RowTaker<E extends Exception> {
    /** Takes the values of a row, in the order of the columns. */
    void take(List<String> values) throws E;
  }

  /** The version of the tables. */
  public int version() {
    return database.read(
        connection ->
            Database.first(
                    connection,
                    row -> row.getInt(1),
                    "select max(cast(version as integer)) from flyway_schema_history"
                        + " where success = 1")
                .orElseThrow());
  }

  /** Every table of records, by name. */
  public Map<String, Table> tables() {
    return database.read(
        connection -> {
          Map<String, Table> all = new TreeMap<>();
          List<String> names =
              Database.list(
                  connection,
                  row -> row.getString(1),
                  "select name from sqlite_schema where type = 'table'"
                      + " and name not like 'sqlite%' and name not like 'flyway%'");
          for (String name : names) {
            if (!WORKED_OUT.contains(name)) {
              all.put(name, table(connection, name));
            }
          }
          return all;
        });
  }

  private static Table table(Connection connection, String name) throws SQLException {
    List<String> columns = new ArrayList<>();
    List<String> types = new ArrayList<>();
    Database.list(
        connection,
        row -> columns.add(row.getString("name")) && types.add(row.getString("type")),
        "select name, type from pragma_table_info(?) order by cid",
        name);
    return new Table(name, List.copyOf(columns), List.copyOf(types));
  }

  /** The tables that hold something of a client, or that a client's records may name. */
  public List<Table> ofClient() {
    return tables().values().stream()
        .filter(
            table ->
                SHARED.contains(table.name)
                    || database.read(connection -> mine(connection, table.name)).isPresent())
        .toList();
  }

  /** Whether a table holds what a studio made for everyone. */
  public static boolean shared(String table) {
    return SHARED.contains(table);
  }

  /** Which rows of a table are a client's; empty where none are. */
  private Optional<String> mine(Connection connection, String table) throws SQLException {
    if (BY_NAME.containsKey(table)) {
      return Optional.of(BY_NAME.get(table));
    }
    if (table(connection, table).columns.contains("client_id")) {
      return Optional.of("client_id = ?1");
    }
    List<String[]> keys =
        Database.list(
            connection,
            row -> new String[] {row.getString("table"), row.getString("from")},
            "select \"table\", \"from\" from pragma_foreign_key_list(?)",
            table);
    for (String[] key : keys) {
      Optional<String> parent = key[0].equals(table) ? Optional.empty() : mine(connection, key[0]);
      if (parent.isPresent()) {
        return Optional.of(
            key[1] + " in (select id from " + key[0] + " where " + parent.get() + ")");
      }
    }
    return Optional.empty();
  }

  /**
   * The rows of a table, in one order whenever they are read.
   *
   * @param client whose; empty for everyone's
   */
  public <E extends Exception> void rows(Table table, Optional<UUID> client, RowTaker<E> taker)
      throws E {
    String order = String.join(", ", table.columns);
    List<Exception> failed = new ArrayList<>();
    database.read(
        connection -> {
          boolean some = client.isPresent() && !shared(table.name);
          String where = some ? " where " + mine(connection, table.name).orElseThrow() : "";
          try (PreparedStatement statement =
              connection.prepareStatement(
                  "select * from " + table.name + where + " order by " + order)) {
            if (some) {
              statement.setString(1, client.get().toString());
            }
            try (ResultSet row = statement.executeQuery()) {
              while (row.next()) {
                taker.take(values(table, row));
              }
            }
          } catch (SQLException broken) {
            throw broken;
          } catch (RuntimeException broken) {
            throw broken;
          } catch (Exception refused) {
            failed.add(refused);
          }
          return null;
        });
    if (!failed.isEmpty()) {
      @SuppressWarnings("unchecked")
      E refused = (E) failed.get(0);
      throw refused;
    }
  }

  private static List<String> values(Table table, ResultSet row) throws SQLException {
    List<String> values = new ArrayList<>(table.columns.size());
    for (int n = 0; n < table.columns.size(); n++) {
      if (table.types.get(n).equals("BLOB")) {
        byte[] bytes = row.getBytes(n + 1);
        values.add(bytes == null ? null : Base64.getEncoder().encodeToString(bytes));
      } else {
        values.add(row.getString(n + 1));
      }
    }
    return values;
  }

  /**
   * Adds a row as it was; within one unit of work, rows may come before what they name.
   *
   * @param values as they were taken
   * @throws IllegalArgumentException where a value is not of its column
   */
  public void add(Table table, List<String> values) {
    database.write(
        connection -> {
          Object[] typed = new Object[values.size()];
          for (int n = 0; n < typed.length; n++) {
            typed[n] = typed(table.types.get(n), values.get(n));
          }
          return Database.change(
              connection,
              (shared(table.name) ? "insert or ignore" : "insert")
                  + " into "
                  + table.name
                  + " ("
                  + String.join(", ", table.columns)
                  + ") values (?"
                  + ", ?".repeat(typed.length - 1)
                  + ")",
              typed);
        });
  }

  private static Object typed(String type, String value) {
    if (value == null) {
      return Optional.empty();
    }
    return switch (type) {
      case "INTEGER" -> Long.valueOf(value);
      case "REAL" -> Double.valueOf(value);
      case "BLOB" -> Base64.getDecoder().decode(value);
      default -> value;
    };
  }

  /** Lets rows of this unit of work come before what they name. */
  public void inAnyOrder() {
    database.write(connection -> Database.change(connection, "pragma defer_foreign_keys = on"));
  }

  /** Makes room for a whole studio: its one row of settings is taken from what comes in. */
  public void replaceSettings() {
    database.write(connection -> Database.change(connection, "delete from " + ONE_ROW));
  }

  /**
   * Whether every row names something that is there, as far as it has to.
   *
   * @return the tables in which one does not
   */
  public List<String> dangling() {
    return database.list(
        row -> row.getString(1), "select distinct \"table\" from pragma_foreign_key_check");
  }

  /**
   * Deletes what is a client's, in every table; what others are in too stays. What names the client
   * by way of another table goes before that one.
   */
  void erase(Connection connection, UUID client) throws SQLException {
    List<String> own = new ArrayList<>();
    for (Table table : tables().values()) {
      Optional<String> where =
          WITH_OTHERS.contains(table.name) ? Optional.empty() : mine(connection, table.name);
      where.ifPresent(condition -> own.add(table.name + " where " + condition));
    }
    own.sort(Comparator.comparingInt(WholeTables::tablesBetween).reversed());
    for (String rows : own) {
      Database.change(connection, "delete from " + rows, client.toString());
    }
  }

  private static int tablesBetween(String condition) {
    return condition.split(" from ", -1).length;
  }
}
