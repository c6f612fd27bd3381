package app.korvel.store;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.concurrent.locks.ReentrantLock;
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

  /** All of one length: a point sorts before a Z. */
  private static final DateTimeFormatter MOMENT =
      new DateTimeFormatterBuilder().appendInstant(9).toFormatter();

  private final HikariDataSource source;
  private final ReentrantLock writing = new ReentrantLock(true);

  /** The transaction that this thread is in, if it is in one. */
  private final ThreadLocal<Connection> current = new ThreadLocal<>();

  private Database(HikariDataSource source) {
    this.source = source;
  }

  /**
   * Whether the file can be opened by this version; it need not be there yet.
   *
   * @throws UnusableFileException when it is no file of this version, or is damaged; it is left as
   *     it is
   */
  public static void check(Path file) {
    DataFile.check(file);
  }

  /**
   * Opens the file, which is made if it is missing, and brings its tables up to date.
   *
   * @throws UnusableFileException as {@link #check}
   */
  public static Database open(Path file) {
    return open(file, OptionalInt.empty());
  }

  /** The same with room for so many pages at most: what a full disk does. */
  static Database open(Path file, OptionalInt mostPages) {
    DataFile.check(file);
    SQLiteConfig settings = new SQLiteConfig();
    settings.enforceForeignKeys(true);
    settings.setJournalMode(JournalMode.WAL);
    settings.setSynchronous(SynchronousMode.FULL);
    settings.setBusyTimeout(BUSY_TIMEOUT_MS);
    settings.setTransactionMode(TransactionMode.IMMEDIATE);
    SQLiteDataSource sqlite = new SQLiteDataSource(settings);
    sqlite.setUrl("jdbc:sqlite:" + file);
    DataFile.migrations(sqlite).migrate();
    mostPages.ifPresent(settings::setMaxPageCount);
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

  /** A piece of work that may fail in a way of its own. */
  @FunctionalInterface
  public interface Task<T, E extends Exception> {
    T run() throws E;
  }

  /**
   * Does a task in one transaction: what it reads stays so until what it writes is written, and all
   * of that is written or, where it throws, nothing. A task within a task joins it.
   */
  public <T, E extends Exception> T inOneWrite(Task<T, E> task) throws E {
    if (current.get() != null) {
      return task.run();
    }
    writing.lock();
    try (Connection connection = source.getConnection()) {
      connection.setAutoCommit(false);
      current.set(connection);
      try {
        T result = task.run();
        connection.commit();
        connection.setAutoCommit(true);
        return result;
      } catch (Throwable failure) {
        rollBack(connection, failure);
        throw failure;
      } finally {
        current.remove();
      }
    } catch (SQLException e) {
      throw new StoreException("Writing the record failed", e);
    } finally {
      writing.unlock();
    }
  }

  /** Some failures, a full disk among them, have ended the transaction already. */
  private void rollBack(Connection connection, Throwable failure) {
    try {
      connection.rollback();
      connection.setAutoCommit(true);
    } catch (SQLException ended) {
      failure.addSuppressed(ended);
      source.evictConnection(connection);
    }
  }

  /** Reads; within a task, as it stands in its transaction. */
  <T> T read(Work<T> work) {
    Connection joined = current.get();
    try {
      if (joined != null) {
        return work.with(joined);
      }
      try (Connection connection = source.getConnection()) {
        return work.with(connection);
      }
    } catch (SQLException e) {
      throw new StoreException("Reading the records failed", e);
    }
  }

  /** Reads and writes in one transaction: all of it, or nothing. */
  <T> T write(Work<T> work) {
    try {
      return inOneWrite(() -> work.with(current.get()));
    } catch (SQLException e) {
      throw new StoreException("Writing the record failed", e);
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

  /**
   * A moment after all that a client has on record in a table: {@code now}, unless the clock has
   * been put back since.
   */
  static Instant after(Connection connection, String table, UUID clientId, Instant now)
      throws SQLException {
    return first(
            connection,
            row -> row.getString(1),
            "select max(recorded_at) from "
                + table
                + " where client_id = ? having max(recorded_at) is not null",
            clientId.toString())
        .map(Instant::parse)
        .filter(last -> last.isAfter(now))
        .map(last -> last.plusNanos(1))
        .orElse(now);
  }

  /** All the columns of a row, by name. */
  static Map<String, Object> columns(ResultSet row) throws SQLException {
    ResultSetMetaData names = row.getMetaData();
    Map<String, Object> columns = new LinkedHashMap<>();
    for (int i = 1; i <= names.getColumnCount(); i++) {
      columns.put(names.getColumnName(i), row.getObject(i));
    }
    return columns;
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
      statement.setObject(i + 1, column(values[i]));
    }
    return statement;
  }

  /** A value as it is written: words by their name, moments so that they sort as text. */
  private static Object column(Object value) {
    if (value instanceof Optional<?> optional) {
      return optional.map(Database::column).orElse(null);
    }
    if (value instanceof Instant moment) {
      return MOMENT.format(moment);
    }
    return value instanceof Enum<?> word ? word.name() : value;
  }
}
