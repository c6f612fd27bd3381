package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.pulse.RestingReading;
import app.korvel.core.screening.Client;
import app.korvel.server.demo.DemoData;
import app.korvel.store.ClientRepository;
import app.korvel.store.Database;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.ReadingRepository;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DemoDataTest {
  @TempDir Path folder;

  /** A leap day, a New Year's morning and just after midnight included: the demo is never stale. */
  @ParameterizedTest
  @ValueSource(strings = {"2026-05-20T09:00:00Z", "2028-02-29T23:59:00Z", "2027-01-01T00:05:00Z"})
  void theCrewHasAYearOfCountsUpToToday(String now) {
    Instant today = Instant.parse(now);
    try (Database database = Database.open(folder.resolve("demo.db"))) {
      ClientRepository clients = new ClientRepository(database);
      ReadingRepository readings = new ReadingRepository(database);
      PrescriptionRepository prescriptions = new PrescriptionRepository(database);
      new DemoData(database, ZoneOffset.UTC, today).write();

      assertThat(clients.find("", false)).hasSizeGreaterThanOrEqualTo(8);
      List<UUID> ids = clients.find("", false).stream().map(Client::id).toList();
      Map<UUID, List<RestingReading>> byClient = readings.since(ids, Instant.EPOCH);
      assertThat(byClient.values())
          .allSatisfy(
              taken -> {
                assertThat(taken.get(0).takenAt()).isBeforeOrEqualTo(today);
                assertThat(taken.get(taken.size() - 1).takenAt())
                    .isAfter(today.minus(366, ChronoUnit.DAYS));
                assertThat(taken).hasSizeGreaterThan(10);
              });
      assertThat(prescriptions.current(ids)).hasSizeGreaterThanOrEqualTo(6);
    }
  }
}
