package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.pulse.Confounder;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.Palpation;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Consent;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.Medicine;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Topic;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What an earlier version left is read whole, and nothing of it is lost. */
class MigrationTest {
  @TempDir Path folder;

  private static String client(int number, String activity, String ticks) {
    return """
        insert into client (id, version, name, search_name, note, birth_date, sex, activity,
          heart_condition, heart_failure, beta_blocker, guardian_consent, created_at, updated_at)
        values ('00000000-0000-7000-8000-00000000000%d', 2, 'Nº %d', 'no %d', 'note', '1980-02-29',
          'FEMALE', '%s', %s, '2026-01-01T00:00:00Z', '2026-03-01T10:00:00Z')
        """
        .formatted(number, number, number, activity, ticks);
  }

  private Path migrated(String version) {
    Path old = folder.resolve("old.db");
    Flyway.configure()
        .dataSource("jdbc:sqlite:" + old, null, null)
        .locations("classpath:app/korvel/store/migration")
        .target(version)
        .load()
        .migrate();
    return old;
  }

  private Path asLeftBy(String version) throws SQLException {
    Path old = migrated(version);
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + old);
        Statement statement = connection.createStatement()) {
      statement.executeUpdate(client(1, "SOME", "0, 0, 0, 0"));
      statement.executeUpdate(client(2, "NONE", "1, 0, 0, 0"));
      statement.executeUpdate(client(3, "LITTLE", "0, 1, 0, 0"));
      statement.executeUpdate(client(4, "HIGH", "1, 1, 1, 1"));
      statement.executeUpdate(client(5, "REGULAR", "0, 0, 1, 1"));
    }
    return old;
  }

  /** A rate tapped before lengths were kept still reads, as the full minute it was held to be. */
  @Test
  void readingsFromBeforeTheBenchAreReadWhole() throws SQLException {
    Path old = asLeftBy("2");
    String client = "00000000-0000-7000-8000-000000000001";
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + old);
        Statement statement = connection.createStatement()) {
      for (String row :
          new String[] {
            "'00000000-0000-7000-8000-0000000000a1', '%s', '2026-05-01T08:00:00Z', 61, null, null,"
                + " 'SEATED', 'TAP', 5",
            "'00000000-0000-7000-8000-0000000000a2', '%s', '2026-05-02T08:00:00Z', 64, 32, 30,"
                + " 'SEATED', 'COUNT', 5",
          }) {
        statement.executeUpdate(
            """
            insert into resting_reading (id, client_id, taken_at, bpm, beats, window_seconds,
              posture, source, minutes_rested, recorded_at)
            values (%s, '2026-05-02T08:00:00Z')
            """
                .formatted(row.formatted(client)));
      }
    }
    try (Database upgraded = Database.open(old)) {
      List<RestingReading> readings = new ReadingRepository(upgraded).of(UUID.fromString(client));
      assertThat(readings)
          .extracting(RestingReading::tappedSeconds)
          .containsExactly(Optional.empty(), Optional.of(60));
      assertThat(readings).extracting(RestingReading::bpm).containsExactly(64, 61);
      assertThat(readings).extracting(RestingReading::felt).containsOnly(Palpation.NOTHING);
      assertThat(readings).extracting(RestingReading::grade).containsOnly(Grade.GOOD);
    }
  }

  /** What disturbed a reading, and which scheme was chosen last, are there in one ledger. */
  @Test
  void disturbancesAndChoicesFromBeforeTheOneLedgerAreKept() throws SQLException {
    asLeftBy("2");
    Path old = migrated("10");
    UUID client = UUID.fromString("00000000-0000-7000-8000-000000000001");
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + old);
        Statement statement = connection.createStatement()) {
      statement.executeUpdate(
          """
          insert into resting_reading (id, client_id, taken_at, bpm, posture, source,
            minutes_rested, as_usual, recorded_at)
          values ('00000000-0000-7000-8000-0000000000a1', '%s', '2026-05-01T08:00:00Z', 61,
            'SEATED', 'STRAP', 5, 0, '2026-05-02T08:00:00Z')
          """
              .formatted(client));
      for (String word : new String[] {"HEAT", "CAFFEINE"}) {
        statement.executeUpdate(
            "insert into resting_reading_disturbance values"
                + " ('00000000-0000-7000-8000-0000000000a1', '"
                + word
                + "')");
      }
      for (String choice :
          new String[] {"b1', '%s', 'max-fifths'", "b2', '%s', null", "b3', '%s', 'sixths'"}) {
        statement.executeUpdate(
            "insert into scheme_choice (id, client_id, scheme, chosen_on, recorded_at) values"
                + " ('00000000-0000-7000-8000-0000000000"
                + choice.formatted(client)
                + ", '2026-05-01', '2026-05-01T08:00:00Z')");
      }
    }
    assertThat(Database.isOlder(old)).isTrue();
    try (Database upgraded = Database.open(old)) {
      assertThat(Database.isOlder(old)).isFalse();
      assertThat(new ReadingRepository(upgraded).of(client))
          .singleElement()
          .extracting(RestingReading::disturbances)
          .isEqualTo(Set.of(Confounder.HEAT, Confounder.CAFFEINE));
      SchemeRepository schemes = new SchemeRepository(upgraded);
      assertThat(schemes.chosen(client)).contains("sixths");
      Ledger ledger = new Ledger(upgraded, RecordKind.SCHEME_CHOICES);
      Instant now = Instant.parse("2026-05-02T08:00:00Z");
      ledger.undo(client, schemes.latestChoice(client).orElseThrow().id(), new UUID(0, 1), now);
      assertThat(schemes.latestChoice(client).orElseThrow().scheme()).isEmpty();
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"1", "2"})
  void everyTickBoxIsThereAfterwards(String version) throws SQLException {
    try (Database upgraded = Database.open(asLeftBy(version))) {
      List<Client> clients = new ClientRepository(upgraded).find("", false);
      Map<UUID, Intake> intakes = new IntakeRepository(upgraded).current(ids(clients));
      assertThat(clients).hasSize(5).allMatch(client -> client.version() == 2);
      assertThat(clients).extracting(client -> client.details().note()).containsOnly("note");
      List<Answers> answers =
          clients.stream().map(client -> intakes.get(client.id()).answers()).toList();
      assertThat(answers)
          .extracting(Answers::activity)
          .containsExactly(
              Activity.SOME, Activity.NONE, Activity.LITTLE, Activity.HIGH, Activity.REGULAR);
      assertThat(answers)
          .extracting(Answers::conditions)
          .containsExactly(
              Set.of(),
              Set.of(Condition.HEART_CONDITION),
              Set.of(Condition.HEART_FAILURE),
              Set.of(Condition.HEART_CONDITION, Condition.HEART_FAILURE),
              Set.of());
      List<Medicine> betaBlocker = List.of(Medicine.unnamed(MedicineClass.BETA_BLOCKER));
      assertThat(answers)
          .extracting(Answers::medicines)
          .containsExactly(List.of(), List.of(), List.of(), betaBlocker, betaBlocker);
      ConsentRepository consents = new ConsentRepository(upgraded);
      assertThat(clients)
          .extracting(client -> consents.of(client.id()).size())
          .containsExactly(0, 0, 0, 1, 1);
      assertThat(consents.of(clients.get(3).id()).get(0))
          .extracting(Consent::givenBy, Consent::givenOn)
          .containsExactly("A parent or guardian", LocalDate.of(2026, 3, 1));
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"1", "2"})
  void theFirstVersionIsDatedAndSaysWhatWasAsked(String version) throws SQLException {
    try (Database upgraded = Database.open(asLeftBy(version))) {
      List<Client> clients = new ClientRepository(upgraded).find("", false);
      assertThat(new IntakeRepository(upgraded).current(ids(clients)).values())
          .hasSize(clients.size())
          .allSatisfy(
              intake -> {
                assertThat(intake.version()).isEqualTo(1);
                assertThat(intake.recordedAt()).isEqualTo(Instant.parse("2026-03-01T10:00:00Z"));
                assertThat(intake.answers().asked()).containsExactly(Topic.ACTIVITY);
                assertThat(intake.medicinesChangedAt()).isEmpty();
                assertThat(intake.symptomsReportedAt()).isEmpty();
              });
    }
  }

  private static List<UUID> ids(List<Client> clients) {
    return clients.stream().map(Client::id).toList();
  }
}
