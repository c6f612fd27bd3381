package app.korvel.store;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.locks.ReentrantLock;
import org.flywaydb.core.Flyway;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConfig.JournalMode;
import org.sqlite.SQLiteConfig.SynchronousMode;
import org.sqlite.SQLiteConfig.TransactionMode;
import org.sqlite.SQLiteDataSource;

/**
 * The SQLite file: opening, migration, transactions and the mapping of rows.
 *
 * <p>Write-ahead log with {@code synchronous=FULL}: what was acknowledged survives a killed process
 * and a power cut. One writer at a time; readers never wait for it.
 */
public final class Database implements AutoCloseable {
  private static final int CONNECTIONS = 4;
  private static final int BUSY_TIMEOUT_MS = 5_000;

  private final HikariDataSource source;
  private final ReentrantLock writing = new ReentrantLock(true);

  private Database(HikariDataSource source) {
    this.source = source;
  }

  /** Opens the file, which is made if it is missing, and brings its tables up to date. */
  public static Database open(Path file) {
    SQLiteConfig settings = new SQLiteConfig();
    settings.enforceForeignKeys(true);
    settings.setJournalMode(JournalMode.WAL);
    settings.setSynchronous(SynchronousMode.FULL);
    settings.setBusyTimeout(BUSY_TIMEOUT_MS);
    settings.setTransactionMode(TransactionMode.IMMEDIATE);
    SQLiteDataSource sqlite = new SQLiteDataSource(settings);
    sqlite.setUrl("jdbc:sqlite:" + file);
    Flyway.configure()
        .dataSource(sqlite)
        .locations("classpath:app/korvel/store/migration")
        .load()
        .migrate();
    HikariConfig pool = new HikariConfig();
    pool.setDataSource(sqlite);
    pool.setPoolName("korvel");
    pool.setMaximumPoolSize(CONNECTIONS);
    pool.setMinimumIdle(1);
    return new Database(new HikariDataSource(pool));
  }

  @Override
  public void close() {
    source.close();
  }

  /** Work with a connection. */
  @FunctionalInterface
  interface Work<T> {
    T with(Connection connection) throws SQLException;
  }

  /** Maps the row a result stands at. */
  @FunctionalInterface
  interface Row<T> {
    T from(ResultSet row) throws SQLException;
  }

  /** Reads. */
  <T> T read(Work<T> work) {
    try (Connection connection = source.getConnection()) {
      return work.with(connection);
    } catch (SQLException e) {
      throw new StoreException("Reading the records failed: " + e.getMessage(), e);
    }
  }

  /** Reads and writes in one transaction: all of it, or nothing. */
  <T> T write(Work<T> work) {
    writing.lock();
    try (Connection connection = source.getConnection()) {
      connection.setAutoCommit(false);
      try {
        T result = work.with(connection);
        connection.commit();
        return result;
      } catch (SQLException | RuntimeException e) {
        connection.rollback();
        throw e;
      } finally {
        connection.setAutoCommit(true);
      }
    } catch (SQLException e) {
      throw new StoreException("Writing the record failed: " + e.getMessage(), e);
    } finally {
      writing.unlock();
    }
  }

  /** Every row of a query. */
  static <T> List<T> list(Connection connection, Row<T> row, String sql, Object... values)
      throws SQLException {
    try (PreparedStatement statement = prepare(connection, sql, values);
        ResultSet result = statement.executeQuery()) {
      List<T> rows = new ArrayList<>();
      while (result.next()) {
        rows.add(row.from(result));
      }
      return rows;
    }
  }

  /** The first row of a query, if there is one. */
  static <T> Optional<T> first(Connection connection, Row<T> row, String sql, Object... values)
      throws SQLException {
    return list(connection, row, sql, values).stream().findFirst();
  }

  /** A value for each client a query has a row of. */
  static <T> Map<UUID, T> byClient(Connection connection, Row<T> row, String sql, Object... values)
      throws SQLException {
    Map<UUID, T> byClient = new HashMap<>();
    list(
        connection,
        found -> byClient.put(UUID.fromString(found.getString("client_id")), row.from(found)),
        sql,
        values);
    return byClient;
  }

  /** Runs a statement that changes rows; says how many. */
  static int change(Connection connection, String sql, Object... values) throws SQLException {
    try (PreparedStatement statement = prepare(connection, sql, values)) {
      return statement.executeUpdate();
    }
  }

  /** Adds a row, its values by column. */
  static int insert(Connection connection, String table, Map<String, Object> row)
      throws SQLException {
    return change(
        connection,
        "insert into "
            + table
            + " ("
            + String.join(", ", row.keySet())
            + ") values (?"
            + ", ?".repeat(row.size() - 1)
            + ")",
        row.values().toArray());
  }

  /** Changes columns of the row of that id. */
  static int update(Connection connection, String table, String id, Map<String, Object> row)
      throws SQLException {
    List<Object> values = new ArrayList<>(row.values());
    values.add(id);
    return change(
        connection,
        "update " + table + " set " + String.join(" = ?, ", row.keySet()) + " = ? where id = ?",
        values.toArray());
  }

  /** A whole number that may be missing. */
  static Optional<Integer> wholeNumber(ResultSet row, String column) throws SQLException {
    int value = row.getInt(column);
    return row.wasNull() ? Optional.empty() : Optional.of(value);
  }

  /** A word of the core that may be missing. */
  static <E extends Enum<E>> Optional<E> word(ResultSet row, String column, Class<E> type)
      throws SQLException {
    return Optional.ofNullable(row.getString(column)).map(name -> Enum.valueOf(type, name));
  }

  private static PreparedStatement prepare(Connection connection, String sql, Object... values)
      throws SQLException {
    PreparedStatement statement = connection.prepareStatement(sql);
    for (int i = 0; i < values.length; i++) {
      Object value = values[i] instanceof Optional<?> optional ? optional.orElse(null) : values[i];
      statement.setObject(i + 1, value instanceof Enum<?> word ? word.name() : value);
    }
    return statement;
  }
}
