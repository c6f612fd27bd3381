package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.forecast.ForecastRecord;
import app.korvel.core.forecast.ForeseenSession;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.RecordedSession;
import app.korvel.core.maximum.Mode;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import app.korvel.core.trace.DeviceRecording;
import app.korvel.core.trace.Samples;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.store.DeviceRecordingRepository.Csv;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.SessionSummaryRepository.Summed;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Recordings of clients' own devices, and what sessions came to. */
class DeviceRecordingStoreTest {
  private static final Instant NOW = Instant.parse("2026-05-20T09:00:00Z");
  private static final Instant BEGUN = Instant.parse("2026-05-19T17:00:00.400Z");
  private static final LocalDate DAY = LocalDate.of(2026, 5, 19);
  private static final UUID CLIENT = new UUID(1, 1);
  private static final UUID OTHER = new UUID(1, 2);
  private static final UUID SESSION = new UUID(2, 1);

  @TempDir private Path folder;
  private Database database;
  private ClientRepository clients;
  private LiveRepository live;
  private DeviceRecordingRepository recordings;
  private SessionSummaryRepository summaries;

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    clients = new ClientRepository(database);
    live = new LiveRepository(database);
    recordings = new DeviceRecordingRepository(database);
    summaries = new SessionSummaryRepository(database);
    client(CLIENT, "Ada Nilsen");
    client(OTHER, "Bo Ekdal");
    session(SESSION, CLIENT, false);
  }

  @AfterEach
  void close() {
    database.close();
  }

  private void client(UUID id, String name) {
    clients.add(id, new Client.Details(name, "", LocalDate.parse("1990-02-03"), Sex.FEMALE), NOW);
  }

  private void session(UUID id, UUID client, boolean open) {
    live.open(
        new Opened(
            id,
            client,
            Optional.empty(),
            RateSource.WRIST,
            1,
            Optional.empty(),
            BEGUN,
            LiveStoreTest.plan(),
            open,
            Optional.empty(),
            true));
  }

  private static DeviceRecording recording(int... steps) {
    return new DeviceRecording(
        BEGUN,
        IntStream.rangeClosed(1, 90).map(n -> n < 50 ? n : n + 7).toArray(),
        IntStream.rangeClosed(1, 90).map(n -> n == 12 ? 0 : 100 + n % 30).toArray(),
        steps,
        steps.length > 0);
  }

  private static Brought brought(UUID id, UUID client, String digest, Optional<Csv> csv) {
    return new Brought(
        id,
        client,
        Optional.empty(),
        false,
        "evening.csv",
        "CSV",
        digest,
        Optional.of(Mode.RUN),
        Optional.empty(),
        recording(),
        csv,
        NOW,
        Optional.empty(),
        Optional.empty());
  }

  private UUID added(int n, UUID client) {
    UUID id = new UUID(5, n);
    recordings.add(brought(id, client, "digest " + n, Optional.empty()));
    return id;
  }

  private void keep(UUID id, UUID session, Instant at) {
    recordings.keep(id, session, false, Mode.ROW, Optional.of(RateSource.STRAP), at);
  }

  @Test
  void whatIsLookedAtComesBackAsItWasRead() {
    Brought plain = brought(new UUID(5, 1), CLIENT, "abc", Optional.empty());
    recordings.add(plain);
    assertThat(recordings.get(plain.id())).contains(plain);
    assertThat(plain.readBy()).as("nobody said").isEqualTo(RateSource.WRIST);
    assertThat(plain.stands()).isFalse();

    Brought stepped =
        new Brought(
            new UUID(5, 2),
            CLIENT,
            Optional.empty(),
            false,
            "evening.gpx",
            "GPX",
            "def",
            Optional.empty(),
            Optional.of(RateSource.STRAP),
            recording(IntStream.rangeClosed(1, 90).map(n -> 2 * (80 + n % 9)).toArray()),
            Optional.of(new Csv("time\nhr", "{\"rate\":1}")),
            NOW,
            Optional.empty(),
            Optional.empty());
    recordings.add(stepped);
    assertThat(recordings.get(stepped.id())).contains(stepped);
    assertThat(recordings.get(new UUID(5, 3))).isEmpty();
  }

  @Test
  void onlyWhatIsKeptIsAClients() {
    UUID id = added(1, CLIENT);
    assertThat(recordings.of(CLIENT)).isEmpty();
    keep(id, SESSION, NOW.plusSeconds(60));
    assertThat(recordings.of(OTHER)).isEmpty();
    Brought kept = recordings.of(CLIENT).get(0);
    assertThat(kept.session()).contains(SESSION);
    assertThat(kept.mode()).contains(Mode.ROW);
    assertThat(kept.readBy()).isEqualTo(RateSource.STRAP);
    assertThat(kept.keptAt()).contains(NOW.plusSeconds(60));
    assertThat(kept.stands()).isTrue();
  }

  @Test
  void aWithdrawnOneStaysOnRecordAndStandsForNothing() {
    UUID id = added(1, CLIENT);
    keep(id, SESSION, NOW);
    assertThat(recordings.ofSession(SESSION)).extracting(Brought::id).containsExactly(id);
    assertThat(recordings.sameFile(CLIENT, "digest 1")).isPresent();

    recordings.withdraw(id, Optional.of(NOW.plusSeconds(5)));
    assertThat(recordings.of(CLIENT)).hasSize(1);
    assertThat(recordings.get(id).orElseThrow().stands()).isFalse();
    assertThat(recordings.ofSession(SESSION)).isEmpty();
    assertThat(recordings.sameFile(CLIENT, "digest 1")).isEmpty();

    recordings.withdraw(id, Optional.empty());
    assertThat(recordings.ofSession(SESSION)).hasSize(1);
    assertThat(recordings.get(id).orElseThrow().stands()).isTrue();
  }

  @Test
  void theSameFileIsOneOfTheSameClientThatWasKept() {
    UUID id = added(1, CLIENT);
    assertThat(recordings.sameFile(CLIENT, "digest 1")).as("looked at only").isEmpty();
    keep(id, SESSION, NOW);
    assertThat(recordings.sameFile(CLIENT, "digest 1")).map(Brought::id).contains(id);
    assertThat(recordings.sameFile(CLIENT, "digest 2")).isEmpty();
    assertThat(recordings.sameFile(OTHER, "digest 1")).isEmpty();
  }

  @Test
  void howAFileWithTheSameHeadingsWasReadLastIsRemembered() {
    for (int n = 1; n <= 3; n++) {
      Csv csv = new Csv("time\nhr", "{\"rate\":%d}".formatted(n));
      recordings.add(brought(new UUID(5, n), CLIENT, "digest " + n, Optional.of(csv)));
    }
    assertThat(recordings.columns("time\nhr")).as("nothing was kept").isEmpty();
    keep(new UUID(5, 2), SESSION, NOW.plusSeconds(20));
    keep(new UUID(5, 1), SESSION, NOW.plusSeconds(10));
    assertThat(recordings.columns("time\nhr")).contains("{\"rate\":2}");
    assertThat(recordings.columns("hr\ntime")).isEmpty();
  }

  @Test
  void whatIsLookedAtIsForgottenAndWhatIsKeptIsNot() {
    UUID looked = added(1, CLIENT);
    UUID kept = added(2, CLIENT);
    keep(kept, SESSION, NOW);
    assertThat(recordings.discard(kept)).isFalse();
    assertThat(recordings.discard(looked)).isTrue();
    assertThat(recordings.discard(looked)).as("twice").isFalse();

    UUID old = added(3, CLIENT);
    recordings.discardBefore(NOW);
    assertThat(recordings.get(old)).as("not older than that").isPresent();
    recordings.discardBefore(NOW.plusMillis(1));
    assertThat(recordings.get(old)).isEmpty();
    assertThat(recordings.get(kept)).isPresent();
  }

  @Test
  void aRecordingIsOfSomebodyAndOfASessionThatAreThere() {
    assertThatThrownBy(() -> added(1, new UUID(1, 9))).isInstanceOf(StoreException.class);
    UUID id = added(2, CLIENT);
    assertThatThrownBy(() -> keep(id, new UUID(2, 9), NOW)).isInstanceOf(StoreException.class);
    assertThat(recordings.get(id).orElseThrow().keptAt()).isEmpty();
  }

  private static Summed summed(UUID session, LocalDate on, boolean falls) {
    return new Summed(
        session,
        on,
        new RecordedSession(
            Mode.RUN,
            RateSource.STRAP,
            600,
            12,
            List.of(0, 300, 288),
            OptionalInt.of(64),
            OptionalInt.of(176),
            OptionalInt.empty(),
            0,
            falls
                ? List.of(
                    new RecordedSession.Fall60(RecoveryPosture.SEATED, RateSource.STRAP, 540, 31))
                : List.of()),
        falls
            ? Optional.of(
                new ForeseenSession(
                    List.of(41), List.of(), 50, 75, OptionalInt.of(4), OptionalInt.empty(), 80))
            : Optional.empty());
  }

  @Test
  void theLatestThatTellSomethingOfTheHeartComeEarliestFirst() {
    for (int n = 2; n <= 6; n++) {
      session(new UUID(2, n), CLIENT, false);
      summaries.keep(CLIENT, summed(new UUID(2, n), DAY.plusDays(n), n != 4));
    }
    assertThat(summaries.foreseen(CLIENT, DAY.plusDays(6), 2))
        .extracting(ForecastRecord.Foreseen::on)
        .containsExactly(DAY.plusDays(3), DAY.plusDays(5));
    assertThat(summaries.foreseen(CLIENT, DAY.plusDays(2), 10)).isEmpty();
    assertThat(summaries.foreseen(CLIENT, DAY.plusDays(9), 10))
        .hasSize(4)
        .first()
        .satisfies(each -> assertThat(each.told().rises()).containsExactly(41));
  }

  @Test
  void whatASessionCameToIsFoundByItsDay() {
    UUID later = new UUID(2, 2);
    session(later, CLIENT, false);
    session(new UUID(2, 3), OTHER, false);
    Summed first = summed(SESSION, DAY, false);
    Summed second = summed(later, DAY.plusDays(1), true);
    summaries.keep(CLIENT, second);
    summaries.keep(CLIENT, first);
    summaries.keep(OTHER, summed(new UUID(2, 3), DAY, true));
    assertThat(summaries.since(CLIENT, DAY)).containsExactly(first, second);
    assertThat(summaries.since(CLIENT, DAY.plusDays(1))).containsExactly(second);
    assertThat(summaries.withFalls(CLIENT, DAY)).containsExactly(second);
    // Worked out again it takes the place of what was there.
    summaries.keep(CLIENT, summed(SESSION, DAY, true));
    assertThat(summaries.withFalls(CLIENT, DAY)).hasSize(2);
  }

  @Test
  void thoseThatAreOverAndStandAreWorkedOut() {
    session(new UUID(2, 2), CLIENT, true);
    session(new UUID(2, 3), OTHER, false);
    session(new UUID(2, 4), CLIENT, false);
    live.withdraw(new UUID(2, 4), Optional.of(NOW));
    assertThat(summaries.missing(CLIENT)).containsExactly(SESSION);
    summaries.keep(CLIENT, summed(SESSION, DAY, false));
    assertThat(summaries.missing(CLIENT)).isEmpty();
  }

  @Test
  void whateverIsAddedToASessionMakesItBeWorkedOutAnew() {
    List<Runnable> changes =
        List.of(
            () -> live.add(SESSION, new LiveEvent.Begun(new UUID(3, 1), BEGUN), NOW),
            () -> live.add(SESSION, 1, new Samples(BEGUN, new int[] {500}, new int[] {120})),
            () -> live.judgeBy(SESSION, Optional.of(added(1, CLIENT))),
            () -> live.withdraw(SESSION, Optional.of(NOW)),
            () -> live.withdraw(SESSION, Optional.empty()));
    for (Runnable change : changes) {
      summaries.keep(CLIENT, summed(SESSION, DAY, false));
      change.run();
      assertThat(summaries.since(CLIENT, DAY)).as("change %d", changes.indexOf(change)).isEmpty();
    }
    assertThat(summaries.missing(CLIENT)).containsExactly(SESSION);
  }

  @Test
  void whatHappensInAnotherSessionLeavesItAlone() {
    session(new UUID(2, 2), CLIENT, false);
    summaries.keep(CLIENT, summed(SESSION, DAY, false));
    live.add(new UUID(2, 2), new LiveEvent.Begun(new UUID(3, 1), BEGUN), NOW);
    assertThat(summaries.since(CLIENT, DAY)).hasSize(1);
  }

  @Test
  void aSessionThatIsWithdrawnIsOutOfEveryList() {
    assertThat(live.of(CLIENT, 5)).hasSize(1);
    assertThat(live.about(CLIENT, BEGUN.minusSeconds(60), BEGUN)).hasSize(1);
    assertThat(live.about(CLIENT, BEGUN.plusSeconds(1), NOW)).isEmpty();
    live.withdraw(SESSION, Optional.of(NOW));
    assertThat(live.of(CLIENT, 5)).isEmpty();
    assertThat(live.about(CLIENT, BEGUN.minusSeconds(60), BEGUN)).isEmpty();
    assertThat(live.get(SESSION)).as("and on record").isPresent();
  }

  @Test
  void whoIsErasedTakesRecordingsAndWhatTheyCameToAlong() {
    UUID id = added(1, CLIENT);
    keep(id, SESSION, NOW);
    live.judgeBy(SESSION, Optional.of(id));
    summaries.keep(CLIENT, summed(SESSION, DAY, false));
    UUID others = added(2, OTHER);
    clients.erase(CLIENT, 1);
    assertThat(recordings.get(id)).isEmpty();
    assertThat(summaries.since(CLIENT, DAY)).isEmpty();
    assertThat(recordings.get(others)).isPresent();
  }
}
