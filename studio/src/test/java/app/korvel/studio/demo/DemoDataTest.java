package app.korvel.studio.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.pulse.RestingReading;
import app.korvel.core.screening.Client;
import app.korvel.store.Database;
import app.korvel.store.StaleVersionException;
import app.korvel.store.Store;
import app.korvel.studio.Actor;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DemoDataTest {
  @TempDir Path folder;

  private Path write(Instant now) {
    Path file = folder.resolve("demo.db");
    try (Database database = Database.open(file)) {
      Store store = Store.of(database);
      store.studio().ensure(DemoData.STUDIO, ZoneOffset.UTC, now);
      new DemoData(store, now).write();
    }
    return file;
  }

  /** Every day of a week, a leap day, and just after midnight: the demo is never stale. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "2026-05-20T09:00:00Z",
        "2026-11-26T09:00:00Z",
        "2026-11-27T09:00:00Z",
        "2026-11-28T09:00:00Z",
        "2026-11-29T09:00:00Z",
        "2026-11-30T09:00:00Z",
        "2028-02-29T23:59:00Z",
        "2027-01-01T00:05:00Z"
      })
  void theCrewHasAYearOfCountsUpToToday(String now) {
    Instant today = Instant.parse(now);
    try (Database database = Database.open(write(today))) {
      Store store = Store.of(database);
      assertThat(store.clients().find("", false)).hasSizeGreaterThanOrEqualTo(8);
      List<UUID> ids = store.clients().find("", false).stream().map(Client::id).toList();
      Map<UUID, List<RestingReading>> byClient = store.readings().since(ids, Instant.EPOCH);
      assertThat(byClient.values())
          .allSatisfy(
              taken -> {
                assertThat(taken.get(0).takenAt()).isBeforeOrEqualTo(today);
                assertThat(taken.get(taken.size() - 1).takenAt())
                    .isAfter(today.minus(366, ChronoUnit.DAYS));
                assertThat(taken).hasSizeGreaterThan(10);
              });
      assertThat(store.prescriptions().current(ids)).hasSizeGreaterThanOrEqualTo(6);
      assertThat(store.planned().since(today.atZone(ZoneOffset.UTC).toLocalDate())).isNotEmpty();
      assertThat(store.logs().of(byName(store, "Jonas Pellworth"))).isNotEmpty();
    }
  }

  private static UUID byName(Store store, String name) {
    return store.clients().find(name, false).get(0).id();
  }

  /** Whatever was recorded of somebody is gone from the file, and of the others nothing is. */
  @Test
  void whoIsErasedLeavesNothingBehind() throws Exception {
    Path file = write(Instant.parse("2026-05-20T09:00:00Z"));
    try (Database database = Database.open(file)) {
      Store store = Store.of(database);
      List<Client> crew = store.clients().find("", false);
      for (Client client : crew) {
        List<String> others = names(store);
        others.remove(client.details().name());
        assertThatThrownBy(() -> store.clients().erase(client.id(), client.version() + 1))
            .isInstanceOf(StaleVersionException.class);
        store.clients().erase(client.id(), client.version());
        database.rewrite();
        assertThat(names(store)).isEqualTo(others);
        assertThat(Files.size(Path.of(file + "-wal"))).isZero();
        assertThat(Files.readString(file, StandardCharsets.ISO_8859_1))
            .doesNotContain(client.id().toString())
            .doesNotContain(
                new String(
                    client.details().name().getBytes(StandardCharsets.UTF_8),
                    StandardCharsets.ISO_8859_1));
      }
    }
  }

  private static List<String> names(Store store) {
    return new ArrayList<>(
        store.clients().find("", false).stream().map(each -> each.details().name()).toList());
  }

  /** Whoever acts is on everything that is written, whatever kind it is. */
  @Test
  void everyRecordSaysWhoMadeIt() throws SQLException {
    Path file = write(Instant.parse("2026-05-20T09:00:00Z"));
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement()) {
      List<String> tables =
          words(
              statement,
              "select m.name from sqlite_master m join pragma_table_info(m.name) p"
                  + " where m.type = 'table' and p.name = 'recorded_by'");
      assertThat(tables).hasSizeGreaterThan(15);
      List<String> empty = new ArrayList<>();
      for (String table : tables) {
        List<String> by = words(statement, "select distinct recorded_by from " + table);
        if (by.isEmpty()) {
          empty.add(table);
        } else {
          assertThat(by).as(table).containsExactly(Actor.INSTRUCTOR.name());
        }
      }
      // An address is made with a secret, which a demo has none of; a room is opened by a press;
      // what sessions came to is worked out when it is first asked for.
      assertThat(empty)
          .containsExactlyInAnyOrder(
              "calendar_subscription", "room", "room_member", "room_event", "session_summary");
    }
  }

  private static List<String> words(Statement statement, String sql) throws SQLException {
    List<String> words = new ArrayList<>();
    try (ResultSet rows = statement.executeQuery(sql)) {
      while (rows.next()) {
        words.add(rows.getString(1));
      }
    }
    return words;
  }
}
