package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A task is one transaction: all of it or nothing, and what it checks stays so until it is done.
 */
class UnitOfWorkTest {
  private static final Instant NOW = Instant.parse("2026-05-20T08:00:00Z");
  private static final Client.Details SOMEONE =
      new Client.Details("Someone", "", LocalDate.of(1980, 1, 1), Sex.MALE);

  @TempDir Path folder;
  private Database database;
  private ClientRepository clients;

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    clients = new ClientRepository(database);
  }

  @AfterEach
  void close() {
    database.close();
  }

  @Test
  void whatATaskWroteIsThereForItselfAndForOthersOnlyOnceItIsDone() throws Exception {
    int seen =
        database.inOneWrite(
            "me",
            () -> {
              clients.add(new UUID(1, 1), SOMEONE, NOW);
              assertThat(otherwise(() -> clients.count(false))).isZero();
              return clients.count(false);
            });
    assertThat(seen).isEqualTo(1);
    assertThat(clients.count(false)).isEqualTo(1);
  }

  private static <T> T otherwise(Callable<T> work) throws Exception {
    ExecutorService other = Executors.newSingleThreadExecutor();
    try {
      return other.submit(work).get();
    } finally {
      other.shutdown();
    }
  }

  @Test
  void whereItThrowsNothingIsWritten() {
    assertThatThrownBy(
            () ->
                database.inOneWrite(
                    "me",
                    () -> {
                      clients.add(new UUID(1, 1), SOMEONE, NOW);
                      database.inOneWrite("me", () -> clients.add(new UUID(1, 2), SOMEONE, NOW));
                      throw new IOException("no");
                    }))
        .isInstanceOf(IOException.class);
    assertThat(clients.count(false)).isZero();
    clients.add(new UUID(1, 3), SOMEONE, NOW);
    assertThat(clients.count(false)).isEqualTo(1);
  }

  /** Whoever acts is on every record: who added a client, and who changed it last. */
  @Test
  void everyRecordSaysWhoWroteIt() {
    database.inOneWrite("the one", () -> clients.add(new UUID(1, 1), SOMEONE, NOW));
    assertThat(recordedBy()).contains("the one");
    database.inOneWrite("the other", () -> clients.archive(new UUID(1, 1), 1, true, NOW));
    assertThat(recordedBy()).contains("the other");
  }

  private Optional<String> recordedBy() {
    return database.first(row -> row.getString("recorded_by"), "select recorded_by from client");
  }

  /** Twenty at once who each add a client if there is none yet: one of them does. */
  @Test
  void whatIsCheckedStaysSoUntilItIsWritten() throws Exception {
    ExecutorService all = Executors.newFixedThreadPool(8);
    try {
      List<Callable<Boolean>> tasks =
          Stream.iterate(1L, n -> n + 1)
              .limit(20)
              .<Callable<Boolean>>map(
                  n ->
                      () ->
                          database.inOneWrite(
                              "me",
                              () -> {
                                boolean first = clients.count(false) == 0;
                                if (first) {
                                  clients.add(new UUID(1, n), SOMEONE, NOW);
                                }
                                return first;
                              }))
              .toList();
      int firsts = 0;
      for (Future<Boolean> each : all.invokeAll(tasks)) {
        firsts += each.get() ? 1 : 0;
      }
      assertThat(firsts).isEqualTo(1);
      assertThat(clients.count(false)).isEqualTo(1);
    } finally {
      all.shutdown();
    }
  }
}
