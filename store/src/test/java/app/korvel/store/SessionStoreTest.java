package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.maximum.Mode;
import app.korvel.core.programme.Busy;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.StopSign;
import app.korvel.core.session.LoggedRate;
import app.korvel.core.session.PlannedLoad;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.store.SessionLogRepository.Logged;
import app.korvel.store.SubscriptionRepository.Subscription;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Logs, busy times and addresses come back as they were kept. */
class SessionStoreTest {
  private static final Instant NOW = Instant.parse("2026-06-30T18:00:00Z");
  private static final LocalDate DAY = LocalDate.of(2026, 6, 30);

  @TempDir Path folder;
  private final Ids ids = Ids.timeOrdered();
  private Database database;
  private SessionLogRepository logs;
  private Client client;

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    logs = new SessionLogRepository(database);
    client =
        new ClientRepository(database)
            .add(
                ids.next(),
                new Client.Details("Someone", "", LocalDate.of(1980, 2, 29), Sex.NOT_GIVEN),
                NOW);
  }

  @AfterEach
  void close() {
    database.close();
  }

  private SessionLog log(Optional<Integer> number, LocalDate on, Set<StopSign> warnings) {
    return new SessionLog(
        ids.next(),
        number,
        on,
        Mode.ROW,
        true,
        25,
        Optional.of(new LoggedRate(131, LoggedRate.Kind.AVERAGE, List.of(300, 1100, 100, 0, 0))),
        Optional.of(13),
        Optional.of(Level.TALK),
        warnings,
        "head wind",
        new PlannedLoad(
            new Percents(40, 50), 30, new RpeSpan(12, 13), Optional.of(Reserve.of(64, 176))),
        NOW);
  }

  private SessionLog plain() {
    return new SessionLog(
        ids.next(),
        Optional.empty(),
        DAY.minusDays(20),
        Mode.RUN,
        false,
        0,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Set.of(),
        "",
        new PlannedLoad(new Percents(30, 40), 15, new RpeSpan(6, 11), Optional.empty()),
        NOW);
  }

  @Test
  void aLogComesBackAsItWasKept() {
    SessionLog full = log(Optional.of(3), DAY, Set.of(StopSign.PALE, StopSign.WISH));
    SessionLog plain = plain();
    assertThat(logs.add(List.of(Logged.of(client.id(), full), Logged.of(client.id(), plain))))
        .isEmpty();
    assertThat(logs.of(client.id())).containsExactly(full, plain);
    assertThat(logs.between(DAY, DAY)).containsExactly(Logged.of(client.id(), full));
    assertThat(logs.since(List.of(client.id()), DAY.minusDays(30)).get(client.id()))
        .containsExactly(plain, full);
    assertThat(logs.lastDays(List.of(client.id()))).containsEntry(client.id(), DAY);
    assertThat(logs.symptoms(List.of(client.id()))).containsEntry(client.id(), NOW);
  }

  @Test
  void aSessionHasOneLogAndAClassIsKeptWholeOrNotAtAll() {
    SessionLog first = log(Optional.of(3), DAY, Set.of());
    logs.add(List.of(Logged.of(client.id(), first)));
    List<Logged> again =
        logs.add(
            List.of(
                Logged.of(client.id(), log(Optional.of(4), DAY, Set.of())),
                Logged.of(client.id(), log(Optional.of(3), DAY, Set.of()))));
    assertThat(again).containsExactly(Logged.of(client.id(), first));
    assertThat(logs.of(client.id())).containsExactly(first);

    UUID gone = ids.next();
    assertThat(ledger(RecordKind.SESSION_LOGS).withdraw(client.id(), first.id(), gone, NOW))
        .isTrue();
    assertThat(logs.of(client.id())).isEmpty();
    assertThat(logs.symptoms(List.of(client.id()))).isEmpty();
    logs.add(List.of(Logged.of(client.id(), log(Optional.of(3), DAY, Set.of()))));
    assertThatThrownBy(
            () -> ledger(RecordKind.SESSION_LOGS).undo(client.id(), gone, ids.next(), NOW))
        .isInstanceOf(SupersededException.class);
    assertThat(logs.of(client.id())).hasSize(1);
  }

  /** A log that is corrected stays where it was, and a stop sign counts from when it was said. */
  @Test
  void aSymptomCountsFromWhenItWasSaidAndALogStaysWhereItWas() {
    SessionLog first = log(Optional.empty(), DAY, Set.of());
    logs.add(List.of(Logged.of(client.id(), first)));
    SessionLog second = log(Optional.empty(), DAY, Set.of(StopSign.WISH));
    SessionLog later =
        new SessionLog(
            second.id(),
            second.number(),
            second.on(),
            second.mode(),
            second.done(),
            second.minutes(),
            second.rate(),
            second.rpe20(),
            second.voice(),
            second.warnings(),
            second.note(),
            second.asked(),
            NOW.plusSeconds(60));
    logs.add(List.of(Logged.of(client.id(), later)));
    SessionLog corrected = log(Optional.empty(), DAY, Set.of(StopSign.CHEST_PAIN));
    Instant said = NOW.plusSeconds(3_600);
    assertThat(logs.correct(client.id(), first.id(), corrected, said)).isTrue();
    assertThat(logs.of(client.id()))
        .extracting(SessionLog::id)
        .containsExactly(later.id(), corrected.id());
    assertThat(logs.of(client.id()).get(1).recordedAt()).isEqualTo(NOW);
    assertThat(logs.symptoms(List.of(client.id()))).containsEntry(client.id(), said);
    // Corrected again without another sign, it was said when it was said.
    SessionLog again = log(Optional.empty(), DAY, Set.of(StopSign.CHEST_PAIN, StopSign.WISH));
    logs.correct(client.id(), corrected.id(), again, said.plusSeconds(60));
    assertThat(logs.symptoms(List.of(client.id()))).containsEntry(client.id(), said);
    SessionLog more = log(Optional.empty(), DAY, Set.of(StopSign.CHEST_PAIN, StopSign.PALE));
    logs.correct(client.id(), again.id(), more, said.plusSeconds(120));
    assertThat(logs.symptoms(List.of(client.id())))
        .containsEntry(client.id(), said.plusSeconds(120));
  }

  @Test
  void busyTimesAreTheClientsAndTheStudios() {
    BusyRepository busy = new BusyRepository(database);
    Busy mine = busy("2026-07-01T08:00", "2026-07-01T12:00");
    Busy everyones = busy("2026-07-02T00:00", "2026-07-03T00:00");
    UUID id = ids.next();
    busy.put(id, Optional.of(client.id()), "a.ics", List.of(mine), NOW);
    busy.put(ids.next(), Optional.empty(), "a.ics", List.of(everyones), NOW);
    assertThat(busy.of(client.id())).containsExactly(mine, everyones);
    assertThat(busy.of(ids.next())).containsExactly(everyones);
    assertThat(busy.between(LocalDate.of(2026, 7, 1), LocalDate.of(2026, 7, 1)))
        .extracting(BusyRepository.BusyOf::busy)
        .containsExactly(mine);
    assertThat(busy.between(LocalDate.of(2026, 7, 3), LocalDate.of(2026, 7, 3))).isEmpty();
    // Under the same name and owner it is replaced.
    busy.put(ids.next(), Optional.of(client.id()), "a.ics", List.of(), NOW);
    assertThat(busy.of(client.id())).containsExactly(everyones);
    assertThat(busy.all()).hasSize(2);
    assertThat(busy.remove(id, false, NOW)).isTrue();
    assertThat(busy.of(client.id())).containsExactly(mine, everyones);
    assertThat(busy.remove(ids.next(), true, NOW)).isFalse();
  }

  private static Busy busy(String from, String to) {
    return new Busy(LocalDateTime.parse(from), LocalDateTime.parse(to));
  }

  @Test
  void anAddressHoldsUntilItIsRevoked() {
    SubscriptionRepository subscriptions = new SubscriptionRepository(database);
    Subscription made =
        new Subscription(ids.next(), Optional.of(client.id()), "phone", NOW, Optional.empty());
    subscriptions.add(made, "digest");
    assertThat(subscriptions.byDigest("digest")).contains(made);
    assertThat(subscriptions.byDigest("other")).isEmpty();
    assertThat(subscriptions.revoke(made.id(), true, NOW)).isTrue();
    assertThat(subscriptions.byDigest("digest")).isEmpty();
    assertThat(subscriptions.open()).isEmpty();
    subscriptions.revoke(made.id(), false, NOW);
    assertThat(subscriptions.open()).containsExactly(made);
    assertThat(subscriptions.revoke(ids.next(), true, NOW)).isFalse();
  }

  private Ledger ledger(RecordKind kind) {
    return new Ledger(database, kind);
  }
}
