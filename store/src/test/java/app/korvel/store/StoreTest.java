package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Start;
import app.korvel.core.pulse.Confounder;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.OnRecord;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Sex;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class StoreTest {
  private static final Instant NOW = Instant.parse("2026-05-20T08:00:00Z");
  private static final LocalDate TODAY = LocalDate.of(2026, 5, 20);

  @TempDir Path folder;
  private Database database;
  private ClientRepository clients;
  private ReadingRepository readings;
  private PrescriptionRepository prescriptions;

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    clients = new ClientRepository(database);
    readings = new ReadingRepository(database);
    prescriptions = new PrescriptionRepository(database);
  }

  @AfterEach
  void close() {
    database.close();
  }

  private static Client.Details details(String name) {
    return new Client.Details(name, "deckhand", LocalDate.of(1980, 2, 29), Sex.FEMALE);
  }

  private Client added(String name) {
    return clients.add(Ids.timeOrdered().next(), details(name), NOW);
  }

  @Test
  void aClientComesBackAsItWasAdded() {
    Client client = added("Ngọc Ánh Vestergård");
    assertThat(clients.get(client.id())).contains(client);
    assertThat(clients.get(new UUID(0, 1))).isEmpty();
  }

  @Test
  void typingFindsWhateverTheCaseTheAccentsAndTheOrder() {
    added("Ngọc Ánh Vestergård");
    added("Åse Brandt");
    assertThat(clients.find("vester ngoc", false)).hasSize(1);
    assertThat(clients.find("ASE", false)).hasSize(1);
    assertThat(clients.find("ÁNH", false)).hasSize(1);
    assertThat(clients.find("  ", false))
        .extracting(c -> c.details().name())
        .startsWith("Åse Brandt");
    assertThat(clients.find("%", false)).isEmpty();
    assertThat(clients.find("' or 1=1 --", false)).isEmpty();
  }

  @Test
  void aChangeAddsOneToTheVersionAndAStaleOneChangesNothing() {
    Client client = added("Åse Brandt");
    Client changed = clients.change(client.id(), 1, details("Åse Holm"), NOW).orElseThrow();
    assertThat(changed.version()).isEqualTo(2);
    assertThatThrownBy(() -> clients.change(client.id(), 1, details("Other"), NOW))
        .isInstanceOfSatisfying(
            StaleVersionException.class,
            stale -> assertThat(stale.current(Client.class)).isEqualTo(changed));
    assertThat(clients.get(client.id())).contains(changed);
    assertThat(clients.change(new UUID(0, 1), 1, details("Other"), NOW)).isEmpty();
  }

  private static RestingReading reading(Instant takenAt, int bpm, Confounder... disturbances) {
    return RestingReading.counted(
        Ids.timeOrdered().next(),
        takenAt,
        PulseCount.of(bpm, CountWindow.S60),
        Posture.SEATED,
        5,
        Set.of(disturbances));
  }

  @Test
  void readingsComeBackWholeAndLatestFirst() {
    Client client = added("Åse Brandt");
    Client other = added("Imre Falk");
    RestingReading earlier = reading(NOW.minusSeconds(60), 61, Confounder.HEAT, Confounder.STRESS);
    RestingReading later = reading(NOW, 64);
    RestingReading strap =
        RestingReading.sampled(
            Ids.timeOrdered().next(), NOW, 58, Posture.LYING, PulseSource.STRAP, 10, Set.of());
    readings.add(client.id(), later, NOW);
    readings.add(client.id(), earlier, NOW);
    readings.add(other.id(), strap, NOW);
    assertThat(readings.of(client.id())).containsExactly(later, earlier);
    List<UUID> both = List.of(client.id(), other.id());
    assertThat(readings.since(both, Instant.EPOCH))
        .hasSize(2)
        .containsEntry(other.id(), List.of(strap));
    assertThat(readings.since(both, later.takenAt()).get(client.id())).containsExactly(later);
  }

  @Test
  void aReadingOfNobodyIsNotKeptAndNothingIsHalfWritten() {
    Client client = added("Åse Brandt");
    RestingReading twice = reading(NOW, 64);
    assertThatThrownBy(() -> readings.add(new UUID(0, 9), twice, NOW))
        .isInstanceOf(StoreException.class);
    assertThatThrownBy(() -> readings.addAll(client.id(), List.of(twice, twice), NOW))
        .isInstanceOf(StoreException.class);
    assertThat(readings.of(client.id())).isEmpty();
  }

  private static Prescription prescription(Client client, RestingReading reading) {
    Screening screening =
        Screening.of(client, Optional.empty(), OnRecord.NOTHING, TODAY, ZoneOffset.UTC);
    ClientBaseline baseline =
        ClientBaseline.of(
            screening,
            WorkingResting.of(List.of(reading), TODAY, ZoneOffset.UTC),
            Mode.CYCLE,
            Optional.empty());
    return Prescription.of(
        baseline, Start.of(screening, Goal.ENDURANCE, Optional.empty(), Mode.CYCLE).parts());
  }

  @Test
  void prescriptionsAreFrozenWholeAndNumberedByClient() {
    Client client = added("Åse Brandt");
    Prescription made = prescription(client, reading(NOW, 64));
    SavedPrescription first =
        prescriptions.add(Ids.timeOrdered().next(), client.id(), OptionalInt.empty(), made, NOW);
    SavedPrescription second =
        prescriptions.add(Ids.timeOrdered().next(), client.id(), OptionalInt.empty(), made, NOW);
    assertThat(first.version()).isEqualTo(1);
    assertThat(second.version()).isEqualTo(2);
    assertThat(prescriptions.of(client.id())).containsExactly(second, first);
    assertThat(prescriptions.get(client.id(), 1)).contains(first);
    assertThat(prescriptions.get(client.id(), 3)).isEmpty();
    assertThat(prescriptions.current(List.of(client.id())))
        .containsEntry(client.id(), second)
        .hasSize(1);
  }

  /** What was frozen by the first version stays readable, whatever becomes of the code. */
  @Test
  void aPrescriptionFrozenByTheFirstVersionIsStillRead() throws Exception {
    Client client = added("Åse Brandt");
    String document;
    try (var file = StoreTest.class.getResourceAsStream("prescription-v1.json")) {
      document = new String(file.readAllBytes(), StandardCharsets.UTF_8);
    }
    database.write(
        connection ->
            Database.change(
                connection,
                """
                insert into prescription (id, client_id, version, status, made_on, mode, document,
                  recorded_at)
                values (?, ?, 1, 'ISSUED', '2026-05-20', 'CYCLE', ?, ?)
                """,
                new UUID(0, 5).toString(),
                client.id().toString(),
                document,
                NOW.toString()));
    Prescription read = prescriptions.get(client.id(), 1).orElseThrow().prescription();
    assertThat(read.basis().orElseThrow().maximumMethod()).isEqualTo("beta-minus-30");
    assertThat(read.target().orElseThrow().lowBpm()).isEqualTo(90);
    assertThat(read.feel())
        .extracting(Prescription.EffortDescription::name)
        .containsExactly("Talk");
    assertThat(read.findings()).isNotEmpty();
  }

  @Test
  void manyWritersLoseNothing() throws Exception {
    Client client = added("Åse Brandt");
    int writers = 8;
    int each = 25;
    ExecutorService pool = Executors.newFixedThreadPool(writers);
    List<Future<?>> running = new ArrayList<>();
    for (int writer = 0; writer < writers; writer++) {
      running.add(
          pool.submit(
              () -> {
                for (int i = 0; i < each; i++) {
                  readings.add(client.id(), reading(NOW, 60 + i), NOW);
                  readings.of(client.id());
                }
              }));
    }
    for (Future<?> future : running) {
      future.get();
    }
    pool.shutdown();
    assertThat(readings.of(client.id())).hasSize(writers * each);
  }

  @Test
  void aCorrectionTakesThePlaceOfWhatItSupersedes() {
    Client client = added("Åse Brandt");
    RestingReading wrong = reading(NOW, 94);
    RestingReading right = reading(NOW, 64);
    readings.add(client.id(), wrong, NOW);
    RestingReading typedLater = reading(NOW.plusSeconds(600), 64).withId(right.id());
    // A corrected reading keeps the moment at which it was taken.
    assertThat(readings.correct(client.id(), wrong.id(), typedLater)).isTrue();
    assertThat(readings.of(client.id())).containsExactly(right);
    assertThat(readings.ratesBefore(client.id()))
        .containsExactly(Map.entry(right.id(), List.of(94)));
  }

  @Test
  void theSecondToCorrectIsToldAndNothingIsWritten() {
    Client client = added("Åse Brandt");
    RestingReading wrong = reading(NOW, 94);
    RestingReading right = reading(NOW, 64);
    readings.add(client.id(), wrong, NOW);
    readings.correct(client.id(), wrong.id(), right);
    assertThatThrownBy(() -> readings.correct(client.id(), wrong.id(), reading(NOW, 49)))
        .isInstanceOf(SupersededException.class);
    assertThatThrownBy(() -> ledger().withdraw(client.id(), wrong.id(), new UUID(0, 3), NOW))
        .isInstanceOf(SupersededException.class);
    assertThat(readings.of(client.id())).containsExactly(right);
  }

  @Test
  void takingBackAndCorrectingCanBeUndoneAgainAndAgain() {
    Client client = added("Åse Brandt");
    RestingReading kept = reading(NOW, 64, Confounder.HEAT);
    readings.add(client.id(), kept, NOW);
    assertThat(ledger().withdraw(client.id(), kept.id(), new UUID(0, 1), NOW)).isTrue();
    assertThat(readings.of(client.id())).isEmpty();

    assertThat(ledger().undo(client.id(), new UUID(0, 1), new UUID(0, 2), NOW)).isTrue();
    RestingReading again = readings.get(client.id(), new UUID(0, 2)).orElseThrow();
    assertThat(again).isEqualTo(kept.withId(new UUID(0, 2)));
    assertThat(readings.of(client.id())).containsExactly(again);

    RestingReading corrected = reading(NOW, 46);
    readings.correct(client.id(), again.id(), corrected);
    ledger().undo(client.id(), corrected.id(), new UUID(0, 4), NOW);
    RestingReading third = readings.get(client.id(), new UUID(0, 4)).orElseThrow();
    assertThat(readings.of(client.id())).containsExactly(third);
    assertThat(third.bpm()).isEqualTo(64);
    assertThat(third.disturbances()).containsExactly(Confounder.HEAT);
    assertThat(readings.ratesBefore(client.id()).get(third.id())).containsExactly(46, 64, 64);
    assertThatThrownBy(() -> ledger().undo(client.id(), corrected.id(), new UUID(0, 5), NOW))
        .isInstanceOf(SupersededException.class);
  }

  @Test
  void nobodyElsesReadingIsTouched() {
    Client client = added("Åse Brandt");
    Client other = added("Imre Falk");
    RestingReading kept = reading(NOW, 64);
    readings.add(client.id(), kept, NOW);
    assertThat(readings.correct(other.id(), kept.id(), reading(NOW, 70))).isFalse();
    assertThat(ledger().withdraw(other.id(), kept.id(), new UUID(0, 1), NOW)).isFalse();
    assertThat(ledger().undo(other.id(), kept.id(), new UUID(0, 1), NOW)).isFalse();
    assertThat(readings.of(client.id())).containsExactly(kept);
    assertThat(readings.ratesBefore(client.id())).isEmpty();
  }

  @Test
  void anArchivedClientLeavesTheListAndComesBackWhole() {
    Client client = added("Åse Brandt");
    Client away = clients.archive(client.id(), 1, true, NOW).orElseThrow();
    assertThat(away.archived()).isTrue();
    assertThat(away.details()).isEqualTo(client.details());
    assertThat(clients.find("", false)).isEmpty();
    assertThat(clients.find("ase", true)).containsExactly(away);
    assertThatThrownBy(() -> clients.change(client.id(), 1, details("Åse Holm"), NOW))
        .isInstanceOf(StaleVersionException.class);
    Client back = clients.archive(client.id(), 2, false, NOW).orElseThrow();
    assertThat(back).isEqualTo(new Client(client.id(), 3, client.details(), false));
    assertThat(clients.find("", false)).containsExactly(back);
    assertThat(clients.archive(new UUID(0, 1), 1, true, NOW)).isEmpty();
  }

  @Test
  void theLatestChoiceOfAnEquationHoldsAndAllAreKept() {
    MaximumChoiceRepository choices = new MaximumChoiceRepository(database);
    Ledger choicesMade = new Ledger(database, RecordKind.MAXIMUM_CHOICES);
    Client client = added("Åse Brandt");
    Ids ids = Ids.timeOrdered();
    assertThat(choices.current(client.id())).isEmpty();
    Choice first = Choice.of("nes-211", "rowed at 178", TODAY);
    Choice second = Choice.of("fox-220", "asked for it", TODAY.plusDays(1));
    choices.add(ids.next(), client.id(), Optional.of(first), TODAY, NOW);
    choices.add(ids.next(), client.id(), Optional.of(second), TODAY, NOW);
    assertThat(choices.current(client.id())).contains(second);
    assertThat(choices.current(List.of(client.id())))
        .containsExactly(Map.entry(client.id(), second));
    choices.add(ids.next(), client.id(), Optional.empty(), TODAY, NOW);
    assertThat(choices.current(client.id())).isEmpty();
    assertThat(choices.of(client.id()))
        .extracting(MaximumChoiceRepository.Kept::choice, MaximumChoiceRepository.Kept::on)
        .containsExactly(
            tuple(Optional.empty(), TODAY),
            tuple(Optional.of(second), TODAY.plusDays(1)),
            tuple(Optional.of(first), TODAY));
  }

  /** What stands again was chosen when it was, and nobody else's choice is undone. */
  @Test
  void aChoiceIsUndoneAsOfWhenTheOneBeforeWasMade() {
    MaximumChoiceRepository choices = new MaximumChoiceRepository(database);
    Ledger choicesMade = new Ledger(database, RecordKind.MAXIMUM_CHOICES);
    Client client = added("Åse Brandt");
    Ids ids = Ids.timeOrdered();
    Choice first = Choice.of("nes-211", "rowed at 178", TODAY.minusDays(24));
    UUID firstId = ids.next();
    choices.add(firstId, client.id(), Optional.of(first), TODAY, NOW);
    UUID back = ids.next();
    choices.add(back, client.id(), Optional.empty(), TODAY, NOW);
    UUID again = ids.next();
    assertThat(choicesMade.undo(client.id(), back, again, NOW)).isTrue();
    assertThat(choices.current(client.id())).contains(first);
    assertThatThrownBy(() -> choicesMade.undo(client.id(), firstId, ids.next(), NOW))
        .isInstanceOf(SupersededException.class);
    assertThat(choicesMade.undo(client.id(), ids.next(), ids.next(), NOW)).isFalse();

    Client other = added("Bo Brandt");
    UUID only = ids.next();
    choices.add(only, other.id(), Optional.of(first), TODAY, NOW);
    choicesMade.undo(other.id(), only, ids.next(), NOW);
    assertThat(choices.current(other.id())).isEmpty();
  }

  /** However many correct one reading at once, one is kept and the others are told. */
  @Test
  void oneOfManyCorrectionsStands() throws Exception {
    Client client = added("Åse Brandt");
    RestingReading wrong = reading(NOW, 94);
    readings.add(client.id(), wrong, NOW);
    ExecutorService pool = Executors.newFixedThreadPool(4);
    try {
      List<Future<Boolean>> tries = new ArrayList<>();
      for (int i = 0; i < 12; i++) {
        RestingReading mine = reading(NOW, 60 + i);
        tries.add(
            pool.submit(
                () -> {
                  try {
                    return readings.correct(client.id(), wrong.id(), mine);
                  } catch (SupersededException told) {
                    return false;
                  }
                }));
      }
      int kept = 0;
      for (Future<Boolean> each : tries) {
        kept += each.get() ? 1 : 0;
      }
      assertThat(kept).isEqualTo(1);
    } finally {
      pool.shutdown();
    }
    assertThat(readings.of(client.id())).hasSize(1);
    assertThat(readings.ratesBefore(client.id()).values()).containsExactly(List.of(94));
  }

  @Test
  void whatWasTakenBackIsInNoList() {
    Client client = added("Åse Brandt");
    RestingReading kept = reading(NOW, 64);
    RestingReading away = reading(NOW.plusSeconds(60), 90);
    readings.addAll(client.id(), List.of(kept, away), NOW);
    ledger().withdraw(client.id(), away.id(), new UUID(0, 7), NOW);
    assertThat(readings.of(client.id())).containsExactly(kept);
    assertThat(readings.since(List.of(client.id()), Instant.EPOCH).get(client.id()))
        .containsExactly(kept);
    // What is undone twice is told the second time.
    ledger().undo(client.id(), new UUID(0, 7), new UUID(0, 8), NOW);
    assertThatThrownBy(() -> ledger().undo(client.id(), new UUID(0, 7), new UUID(0, 9), NOW))
        .isInstanceOf(SupersededException.class);
    assertThat(readings.of(client.id())).hasSize(2);
  }

  @Test
  void theCountsTellThoseHereFromThosePutAway() {
    Client first = added("Åse Brandt");
    added("Imre Falk");
    assertThat(clients.count(false)).isEqualTo(2);
    clients.archive(first.id(), 1, true, NOW);
    assertThat(clients.count(false)).isEqualTo(1);
    assertThat(clients.count(true)).isEqualTo(1);
    // Archived twice by the same version: the second is told, as with any change.
    assertThatThrownBy(() -> clients.archive(first.id(), 1, true, NOW))
        .isInstanceOf(StaleVersionException.class);
  }

  /** A database as the first migration left it, with a row in each table, is brought up to date. */
  @Test
  void aDatabaseOfTheFirstVersionLosesNothing() throws Exception {
    Path old = folder.resolve("old.db");
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + old);
        Statement statement = connection.createStatement()) {
      Flyway.configure()
          .dataSource("jdbc:sqlite:" + old, null, null)
          .locations("classpath:app/korvel/store/migration")
          .target("1")
          .load()
          .migrate();
      statement.executeUpdate(
          """
          insert into client values ('00000000-0000-7000-8000-000000000001', 4, 'Åse Brandt',
            'ase brandt', '', '1980-02-29', 'FEMALE', 'SOME', 0, 0, 1, 0, '2026-01-01T00:00:00Z',
            '2026-01-01T00:00:00Z', null)
          """);
      statement.executeUpdate(
          """
          insert into resting_reading values ('00000000-0000-7000-8000-000000000002',
            '00000000-0000-7000-8000-000000000001', null, '2026-05-19T06:00:00Z', 64, 32, 30,
            'SEATED', 'COUNT', 5, '2026-05-19T06:00:00Z', null)
          """);
    }
    try (Database upgraded = Database.open(old)) {
      Client client = new ClientRepository(upgraded).find("ase", false).get(0);
      assertThat(client.version()).isEqualTo(4);
      assertThat(client.archived()).isFalse();
      assertThat(new ReadingRepository(upgraded).of(client.id()))
          .extracting(RestingReading::bpm)
          .containsExactly(64);
    }
  }

  @Test
  void theRecordsAreThereAfterReopening() {
    Client client = added("Åse Brandt");
    new StudioRepository(database).ensure("Pier", ZoneId.of("Europe/Oslo"), NOW);
    database.close();
    open();
    new StudioRepository(database).ensure("Other", ZoneId.of("UTC"), NOW);
    assertThat(clients.get(client.id())).contains(client);
    assertThat(new StudioRepository(database).timeZone()).isEqualTo(ZoneId.of("Europe/Oslo"));
  }

  @Test
  void idsSortInTheOrderTheyWereMade() {
    Ids ids = Ids.timeOrdered();
    String before = ids.next().toString();
    for (int i = 0; i < 1000; i++) {
      String next = ids.next().toString();
      assertThat(next).isGreaterThan(before).matches(".{14}7.*");
      before = next;
    }
  }

  private Ledger ledger() {
    return new Ledger(database, RecordKind.READINGS);
  }
}
