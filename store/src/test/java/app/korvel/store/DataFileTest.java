package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import app.korvel.store.StoreException.Reason;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A file that cannot be used is refused in one line, and left as it is. */
class DataFileTest {
  private static final Instant NOW = Instant.parse("2026-05-20T08:00:00Z");

  @TempDir Path folder;
  private Path file;

  @BeforeEach
  void name() {
    file = folder.resolve("korvel.db");
  }

  private void make() {
    try (Database database = Database.open(file)) {
      new StudioRepository(database).ensure("Studio", ZoneOffset.UTC, NOW);
    }
  }

  private void sql(String... statements) throws SQLException {
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement()) {
      for (String each : statements) {
        statement.execute(each);
      }
    }
  }

  private void refused(String... words) throws IOException {
    byte[] before = Files.isDirectory(file) ? new byte[0] : Files.readAllBytes(file);
    assertThatThrownBy(() -> Database.open(file))
        .isInstanceOfSatisfying(
            UnusableFileException.class,
            refused ->
                assertThat(refused.getMessage())
                    .doesNotContain("\n")
                    .contains(file.toString())
                    .contains(words));
    if (!Files.isDirectory(file)) {
      assertThat(Files.readAllBytes(file)).isEqualTo(before);
    }
  }

  @Test
  void aNewFileAnEmptyOneAndItsOwnAreOpened() throws IOException {
    assertThat(Database.isOlder(file)).isFalse();
    assertThatCode(this::make).doesNotThrowAnyException();
    assertThatCode(this::make).doesNotThrowAnyException();
    Files.delete(file);
    Files.createFile(file);
    assertThatCode(this::make).doesNotThrowAnyException();
  }

  @Test
  void oneOfANewerVersionIsNeverWritten() throws Exception {
    make();
    sql(
        "insert into flyway_schema_history (installed_rank, version, description, type, script,"
            + " checksum, installed_by, execution_time, success) values (99, '99', 'later', 'SQL',"
            + " 'V99__later.sql', 1, '', 1, 1)");
    refused("from a newer version of Korvel", "99", "Nothing was changed");
  }

  @Test
  void aForeignOneIsRefused() throws Exception {
    sql("create table recipe (name text)");
    refused("file of another program");
  }

  @Test
  void whatIsNoDatabaseIsRefused() throws Exception {
    Files.writeString(file, "Dear diary, today we rowed to the island and back.");
    refused("not a data file of Korvel, or it is damaged");
  }

  @Test
  void aDamagedOneIsRefused() throws Exception {
    make();
    byte[] bytes = Files.readAllBytes(file);
    for (int at = 4096; at < 12_288; at++) {
      bytes[at] = (byte) 0x5A;
    }
    Files.write(file, bytes);
    refused("is damaged");
  }

  @Test
  void oneThatWasCutOffIsRefused() throws Exception {
    make();
    byte[] bytes = Files.readAllBytes(file);
    Files.write(
        file,
        java.util.Arrays.copyOf(bytes, bytes.length / 2),
        StandardOpenOption.TRUNCATE_EXISTING);
    refused("is damaged");
  }

  @Test
  void aMissingTableIsNamed() throws Exception {
    make();
    sql("drop table effort");
    refused("the table effort is missing");
  }

  @Test
  void aFolderInItsPlaceIsRefused() throws Exception {
    Files.createDirectory(file);
    refused("is a folder");
  }

  /** Nothing is half written when the disk is full, and it is said by its name. */
  @Test
  void aFullDiskIsNamedAsThat() {
    make();
    int pages = (int) (file.toFile().length() / 4096);
    try (Database database = Database.open(file, OptionalInt.of(pages + 3))) {
      ClientRepository clients = new ClientRepository(database);
      Client.Details someone =
          new Client.Details("x".repeat(80), "y".repeat(120), LocalDate.of(1980, 1, 1), Sex.MALE);
      int[] kept = {0};
      assertThatThrownBy(
              () -> {
                while (kept[0] < 1_000) {
                  clients.add(new UUID(1, kept[0]), someone, NOW);
                  kept[0]++;
                }
              })
          .isInstanceOfSatisfying(
              StoreException.class,
              full -> assertThat(full.reason()).as(full.toString()).isEqualTo(Reason.DISK_FULL));
      assertThat(clients.count(false)).isEqualTo(kept[0]);
    }
  }
}
