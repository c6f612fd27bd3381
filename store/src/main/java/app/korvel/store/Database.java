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
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConfig.JournalMode;
import org.sqlite.SQLiteConfig.Pragma;
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
  private static final int READERS = 6;

  /** Of the file, read as memory: without it a third of the time goes into copying pages. */
  private static final String MAPPED_BYTES = String.valueOf(512L << 20);

  private static final int BUSY_TIMEOUT_MS = 5_000;

  /** All of one length: a point sorts before a Z. */
  private static final DateTimeFormatter MOMENT =
      new DateTimeFormatterBuilder().appendInstant(9).toFormatter();

  private final SQLiteDataSource file;
  private final HikariDataSource readers;

  /** One connection of its own: whoever writes waits for other writers, and for no reader. */
  private final HikariDataSource writer;

  private final ReentrantLock writing = new ReentrantLock(true);

  /** The transaction that this thread is in, if it is in one. */
  private final ThreadLocal<Transaction> current = new ThreadLocal<>();

  /**
   * @param by who acts, if anybody does
   */
  private record Transaction(Connection connection, boolean writes, Optional<String> by) {}

  private Database(SQLiteDataSource file, HikariDataSource readers, HikariDataSource writer) {
    this.file = file;
    this.readers = readers;
    this.writer = writer;
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
   * Whether the file is of an earlier version: opening it brings its tables up to date first, which
   * takes minutes where there are years of records.
   *
   * @throws UnusableFileException as {@link #check}
   */
  public static boolean isOlder(Path file) {
    return DataFile.isOlder(file);
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
    settings.setPragma(Pragma.MMAP_SIZE, MAPPED_BYTES);
    SQLiteDataSource sqlite = KeepingConnection.to(file, settings);
    DataFile.migrations(sqlite).migrate();
    mostPages.ifPresent(settings::setMaxPageCount);
    return new Database(sqlite, pool(sqlite, "reading", READERS), pool(sqlite, "writing", 1));
  }

  private static HikariDataSource pool(SQLiteDataSource sqlite, String name, int most) {
    HikariConfig pool = new HikariConfig();
    pool.setDataSource(sqlite);
    pool.setPoolName(name);
    pool.setMaximumPoolSize(most);
    pool.setMinimumIdle(1);
    return new HikariDataSource(pool);
  }

  @Override
  public void close() {
    readers.close();
    writer.close();
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
   *
   * @param by who acts: every record that is written says so
   */
  public <T, E extends Exception> T inOneWrite(String by, Task<T, E> task) throws E {
    return writing(Optional.of(by), task);
  }

  private <T, E extends Exception> T writing(Optional<String> by, Task<T, E> task) throws E {
    Transaction joined = current.get();
    if (joined != null) {
      if (!joined.writes) {
        throw new IllegalStateException("What is read as one is not written in.");
      }
      return task.run();
    }
    writing.lock();
    try (Connection connection = writer.getConnection()) {
      connection.setAutoCommit(false);
      current.set(new Transaction(connection, true, by));
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
      writer.evictConnection(connection);
    }
  }

  /**
   * Does a task that only reads, as all of it stands at one moment, whatever is written meanwhile.
   * Within another task it joins that one.
   */
  public <T> T inOneRead(Supplier<T> task) {
    if (current.get() != null) {
      return task.get();
    }
    try (Connection connection = readers.getConnection()) {
      change(connection, "begin");
      current.set(new Transaction(connection, false, Optional.empty()));
      try {
        return task.get();
      } finally {
        current.remove();
        change(connection, "commit");
      }
    } catch (SQLException e) {
      throw new StoreException("Reading the records failed", e);
    }
  }

  /** Whether this thread is in a task whose writing may still be withdrawn. */
  public boolean inWrite() {
    Transaction joined = current.get();
    return joined != null && joined.writes;
  }

  /** Reads; within a task, as it stands in its transaction. */
  <T> T read(Work<T> work) {
    Transaction joined = current.get();
    try {
      if (joined != null) {
        return work.with(joined.connection);
      }
      try (Connection connection = readers.getConnection()) {
        return work.with(connection);
      }
    } catch (SQLException e) {
      throw new StoreException("Reading the records failed", e);
    }
  }

  /** Reads and writes in one transaction: all of it, or nothing. */
  <T> T write(Work<T> work) {
    try {
      return writing(Optional.empty(), () -> work.with(current.get().connection));
    } catch (SQLException e) {
      throw new StoreException("Writing the record failed", e);
    }
  }

  /**
   * Writes the file anew, so that what was deleted is nowhere left: neither in the free places of
   * its pages nor in the log. It takes as long as copying the file. Where somebody reads at this
   * moment, the log is emptied with one of the next writes.
   */
  public void rewrite() {
    writing.lock();
    // On a connection of its own: one that keeps its statements is never without any in progress.
    try (Connection connection = file.getConnection()) {
      change(connection, "vacuum");
      list(connection, row -> row.getInt(1), "pragma wal_checkpoint(truncate)");
    } catch (SQLException e) {
      throw new StoreException("Writing the file anew failed", e);
    } finally {
      writing.unlock();
    }
  }

  /** Every row of a query. */
  static <T> List<T> list(Connection connection, Row<T> row, String sql, Object... values)
      throws SQLException {
    return prepared(
        connection,
        sql,
        values,
        statement -> {
          try (ResultSet result = statement.executeQuery()) {
            List<T> rows = new ArrayList<>();
            while (result.next()) {
              rows.add(row.from(result));
            }
            return rows;
          }
        });
  }

  /** The first row of a query, if there is one. */
  static <T> Optional<T> first(Connection connection, Row<T> row, String sql, Object... values)
      throws SQLException {
    return list(connection, row, sql, values).stream().findFirst();
  }

  /**
   * A value for each of those clients that a query has a row of; of several the last one.
   *
   * @param sql joins {@link #WANTED}, whose column {@code client} is a client's id
   * @param values of the query after the clients
   */
  <T> Map<UUID, T> byClient(Row<T> row, String sql, Collection<UUID> clients, Object... values) {
    Map<UUID, T> byClient = new HashMap<>();
    eachOf(row, byClient::put, sql, clients, values);
    return byClient;
  }

  /** All rows of each of those clients, in the order of the query; see {@link #byClient}. */
  <T> Map<UUID, List<T>> listsByClient(
      Row<T> row, String sql, Collection<UUID> clients, Object... values) {
    Map<UUID, List<T>> byClient = new HashMap<>();
    eachOf(
        row,
        (client, value) -> byClient.computeIfAbsent(client, id -> new ArrayList<>()).add(value),
        sql,
        clients,
        values);
    return byClient;
  }

  /** The clients that are asked about, in the first place of a query. */
  static final String WANTED = " from (select value as client from json_each(?)) as wanted ";

  private <T> void eachOf(
      Row<T> row,
      BiConsumer<UUID, T> take,
      String sql,
      Collection<UUID> clients,
      Object... values) {
    List<Object> all = new ArrayList<>();
    all.add(
        clients.stream()
            .map(id -> '"' + id.toString() + '"')
            .collect(Collectors.joining(",", "[", "]")));
    all.addAll(Arrays.asList(values));
    read(
        connection ->
            list(
                connection,
                found -> {
                  take.accept(UUID.fromString(found.getString("client_id")), row.from(found));
                  return null;
                },
                sql,
                all.toArray()));
  }

  /** Runs a statement that changes rows; says how many. */
  static int change(Connection connection, String sql, Object... values) throws SQLException {
    return prepared(connection, sql, values, PreparedStatement::executeUpdate);
  }

  /** Adds a record, its values by column, and who wrote it. */
  int insert(String table, Map<String, Object> columns) {
    return write(
        connection -> {
          Map<String, Object> row = signed(columns);
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
        });
  }

  /**
   * Changes columns of the record of that id, and who wrote it last.
   *
   * @return whether there is such a record
   */
  boolean update(String table, String id, Map<String, Object> columns) {
    return write(
        connection -> {
          Map<String, Object> row = signed(columns);
          List<Object> values = new ArrayList<>(row.values());
          values.add(id);
          return change(
                  connection,
                  "update "
                      + table
                      + " set "
                      + String.join(" = ?, ", row.keySet())
                      + " = ? where id = ?",
                  values.toArray())
              == 1;
        });
  }

  private Map<String, Object> signed(Map<String, Object> columns) {
    Map<String, Object> row = new LinkedHashMap<>(columns);
    row.put("recorded_by", current.get().by);
    return row;
  }

  /** Every row of a query, read on its own or in the task this thread is in. */
  <T> List<T> list(Row<T> row, String sql, Object... values) {
    return read(connection -> list(connection, row, sql, values));
  }

  /** The first row of a query, if there is one. */
  <T> Optional<T> first(Row<T> row, String sql, Object... values) {
    return list(row, sql, values).stream().findFirst();
  }

  /**
   * A moment after all that a client has on record in a table: {@code now}, unless the clock has
   * been put back since.
   */
  Instant after(String table, UUID clientId, Instant now) {
    return first(
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

  private static volatile Consumer<String> trace = sql -> {};

  /** Tells of every statement from now on: for tests and measurements. */
  public static void trace(Consumer<String> each) {
    trace = each;
  }

  /** What is done with a statement. */
  @FunctionalInterface
  private interface Execution<T> {
    T of(PreparedStatement statement) throws SQLException;
  }

  private static <T> T prepared(
      Connection connection, String sql, Object[] values, Execution<T> execution)
      throws SQLException {
    trace.accept(sql);
    KeepingConnection keeping = connection.unwrap(KeepingConnection.class);
    PreparedStatement statement = keeping.take(sql);
    try {
      for (int i = 0; i < values.length; i++) {
        statement.setObject(i + 1, column(values[i]));
      }
      T result = execution.of(statement);
      keeping.giveBack(sql, statement);
      return result;
    } catch (SQLException | RuntimeException failed) {
      statement.close();
      throw failed;
    }
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
