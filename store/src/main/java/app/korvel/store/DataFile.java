package app.korvel.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;

/** Whether a file is one that this version can work with; it is looked at without being written. */
final class DataFile {
  private static final byte[] BEGINS = "SQLite format 3\0".getBytes(StandardCharsets.ISO_8859_1);

  private static final String HISTORY = "flyway_schema_history";

  /** Looked through as a whole up to this size, so that a start stays fast. */
  private static final long LOOKED_THROUGH = 64L << 20;

  private DataFile() {}

  /** The changes of the tables that this version knows. */
  static Flyway migrations(SQLiteDataSource source) {
    return Flyway.configure()
        .dataSource(source)
        .locations("classpath:app/korvel/store/migration")
        .load();
  }

  /**
   * Whether opening the file changes its tables first, which takes long where there is much in it.
   */
  static boolean isOlder(Path file) {
    return !isNew(file) && migrations(readOnly(file)).info().pending().length > 0;
  }

  private static SQLiteDataSource readOnly(Path file) {
    SQLiteConfig settings = new SQLiteConfig();
    settings.setReadOnly(true);
    return KeepingConnection.to(file, settings);
  }

  /**
   * Checks the file, which need not be there yet.
   *
   * @throws UnusableFileException when it cannot be used, in one line that says what to do
   */
  static void check(Path file) {
    if (Files.isDirectory(file)) {
      throw new UnusableFileException(
          file
              + " is a folder, where the data file should be. Move it away, or give another"
              + " data folder.");
    }
    if (isNew(file)) {
      return;
    }
    SQLiteDataSource source = readOnly(file);
    try (Connection connection = source.getConnection()) {
      check(connection, file);
    } catch (SQLException damaged) {
      throw damaged(file, damaged);
    }
    String newest = newest(source);
    if (!newest.isEmpty()) {
      throw new UnusableFileException(
          file
              + " is from a newer version of Korvel (its tables are at "
              + newest
              + "). Start that version, or give another data folder. Nothing was changed.");
    }
  }

  private static boolean isNew(Path file) {
    try {
      if (!Files.exists(file) || Files.size(file) == 0) {
        return true;
      }
      try (InputStream in = Files.newInputStream(file)) {
        if (!Arrays.equals(in.readNBytes(BEGINS.length), BEGINS)) {
          throw new UnusableFileException(
              file
                  + " is not a data file of Korvel, or it is damaged. Restore a copy, or give"
                  + " another data folder. Nothing was changed.");
        }
      }
      return false;
    } catch (IOException unreadable) {
      throw new UnusableFileException(file + " cannot be read: " + unreadable.getMessage() + ".");
    }
  }

  private static void check(Connection connection, Path file) throws SQLException {
    if (size(file) <= LOOKED_THROUGH) {
      List<String> found =
          Database.list(connection, row -> row.getString(1), "pragma quick_check(1)");
      if (!found.equals(List.of("ok"))) {
        throw damaged(file, new SQLException(found.toString()));
      }
    }
    Set<String> tables =
        new HashSet<>(
            Database.list(
                connection,
                row -> row.getString(1),
                "select name from sqlite_master where type = 'table'"));
    if (tables.isEmpty()) {
      return;
    }
    if (!tables.contains(HISTORY)) {
      throw new UnusableFileException(
          file + " is the file of another program. Give another data folder. Nothing was changed.");
    }
    List<String> done =
        Database.list(
            connection,
            row -> row.getString(1),
            "select script from " + HISTORY + " where success and script is not null");
    Set<String> missing = tablesOf(done);
    missing.removeAll(tables);
    if (!missing.isEmpty()) {
      throw new UnusableFileException(
          file
              + " is damaged: the table "
              + missing.stream().sorted().findFirst().orElseThrow()
              + " is missing. Restore a copy. Nothing was changed.");
    }
  }

  /** The tables that those scripts made and did not drop, as far as this version knows them. */
  private static Set<String> tablesOf(List<String> scripts) {
    Set<String> tables = new HashSet<>();
    for (String script : scripts) {
      try (InputStream in = DataFile.class.getResourceAsStream("migration/" + script)) {
        if (in != null) {
          new String(in.readAllBytes(), StandardCharsets.UTF_8)
              .lines()
              .map(line -> line.split("[ (;]+"))
              .filter(words -> words.length > 2 && words[1].equals("table"))
              .forEach(
                  words -> {
                    if (words[0].equals("create")) {
                      tables.add(words[2]);
                    } else if (words[0].equals("drop")) {
                      tables.remove(words[2]);
                    }
                  });
        }
      } catch (IOException unreadable) {
        throw new IllegalStateException(unreadable);
      }
    }
    return tables;
  }

  /** The version of the newest change that this version does not know; empty where it knows all. */
  private static String newest(SQLiteDataSource source) {
    return Stream.of(migrations(source).info().all())
        .filter(info -> info.getState().name().startsWith("FUTURE"))
        .map(MigrationInfo::getVersion)
        .max(Comparator.naturalOrder())
        .map(Object::toString)
        .orElse("");
  }

  private static long size(Path file) {
    return file.toFile().length();
  }

  private static UnusableFileException damaged(Path file, SQLException cause) {
    return new UnusableFileException(
        file + " is damaged. Restore a copy, or give another data folder. Nothing was changed.",
        cause);
  }
}
