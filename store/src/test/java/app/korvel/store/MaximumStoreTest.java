package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.effort.Effort;
import app.korvel.core.fieldtest.Assurance;
import app.korvel.core.fieldtest.FieldTest;
import app.korvel.core.fieldtest.FieldTestEvent;
import app.korvel.core.fieldtest.FieldTestEvent.Kind;
import app.korvel.core.fieldtest.FieldTestProtocol;
import app.korvel.core.fieldtest.FieldTestRun.Phase;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Reserve;
import app.korvel.store.FieldTestRepository.SavedFieldTest;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class MaximumStoreTest {
  private static final Instant NOW = Instant.parse("2026-05-20T08:00:00Z");
  private static final LocalDate DAY = LocalDate.of(2026, 5, 20);

  @TempDir Path folder;
  private Database database;
  private MeasuredMaximumRepository maxima;
  private FieldTestRepository tests;
  private UUID client;
  private final Ids ids = Ids.timeOrdered();

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    maxima = new MeasuredMaximumRepository(database);
    tests = new FieldTestRepository(database);
    Client.Details details =
        new Client.Details("Someone", "", LocalDate.of(1980, 2, 29), Sex.NOT_GIVEN);
    client = new ClientRepository(database).add(ids.next(), details, NOW).id();
  }

  @AfterEach
  void close() {
    database.close();
  }

  private MeasuredMaximum measured(int bpm) {
    return new MeasuredMaximum(
        ids.next(),
        Mode.CYCLE,
        MaximumKind.LABORATORY,
        "ramp on a cycle",
        Grade.FAIR,
        bpm,
        DAY,
        "with gas analysis",
        Optional.empty(),
        NOW);
  }

  @Test
  void aMeasuredMaximumComesBackWhole() {
    MeasuredMaximum value = measured(171);
    maxima.add(client, value);
    assertThat(maxima.of(client)).containsExactly(value);
    assertThat(maxima.of(List.of(client))).containsOnlyKeys(client);
  }

  @Test
  void putRightTakenBackAndBothUndone() {
    MeasuredMaximum first = measured(171);
    maxima.add(client, first);
    MeasuredMaximum right = measured(174);
    assertThat(maxima.correct(client, first.id(), right)).isTrue();
    assertThat(maxima.of(client)).containsExactly(right);
    assertThatThrownBy(() -> maxima.correct(client, first.id(), measured(175)))
        .isInstanceOf(SupersededException.class);

    UUID back = ids.next();
    assertThat(ledger(RecordKind.MAXIMA).withdraw(client, right.id(), back, NOW)).isTrue();
    assertThat(maxima.of(client)).isEmpty();
    assertThatThrownBy(
            () -> ledger(RecordKind.MAXIMA).withdraw(client, right.id(), ids.next(), NOW))
        .isInstanceOf(SupersededException.class);

    UUID again = ids.next();
    assertThat(ledger(RecordKind.MAXIMA).undo(client, back, again, NOW)).isTrue();
    assertThat(maxima.of(client)).containsExactly(right.withId(again));
  }

  /** Whether it is stale depends on when it was put on record: mending it makes it no fresher. */
  @Test
  void whatIsPutRightOrStandsAgainKeepsTheMomentItWasPutOnRecord() {
    MeasuredMaximum first = measured(171);
    maxima.add(client, first);
    MeasuredMaximum later =
        new MeasuredMaximum(
            ids.next(),
            first.mode(),
            first.kind(),
            first.protocol(),
            first.grade(),
            174,
            DAY,
            "",
            Optional.empty(),
            NOW.plusSeconds(3600));
    maxima.correct(client, first.id(), later);
    assertThat(maxima.of(client)).extracting(MeasuredMaximum::recordedAt).containsExactly(NOW);
    UUID back = ids.next();
    ledger(RecordKind.MAXIMA).withdraw(client, later.id(), back, NOW.plusSeconds(7200));
    ledger(RecordKind.MAXIMA).undo(client, back, ids.next(), NOW);
    assertThat(maxima.of(client)).extracting(MeasuredMaximum::recordedAt).containsExactly(NOW);
  }

  @Test
  void undoingACorrectionBringsBackWhatItSaidBefore() {
    MeasuredMaximum first = measured(171);
    maxima.add(client, first);
    MeasuredMaximum wrong = measured(117);
    maxima.correct(client, first.id(), wrong);
    UUID again = ids.next();
    assertThat(ledger(RecordKind.MAXIMA).undo(client, wrong.id(), again, NOW)).isTrue();
    assertThat(maxima.of(client)).containsExactly(first.withId(again));
    assertThat(ledger(RecordKind.MAXIMA).undo(client, ids.next(), ids.next(), NOW)).isFalse();
  }

  @Test
  void nobodyElsesIsTouched() {
    MeasuredMaximum value = measured(171);
    maxima.add(client, value);
    UUID other = ids.next();
    assertThat(ledger(RecordKind.MAXIMA).withdraw(other, value.id(), ids.next(), NOW)).isFalse();
    assertThat(maxima.correct(other, value.id(), measured(170))).isFalse();
    assertThat(maxima.of(client)).hasSize(1);
  }

  @Test
  void aRunComesBackEventByEventAfterAReopening() {
    FieldTest test =
        FieldTest.begin(
            ids.next(),
            FieldTestProtocol.HILL_REPEATS,
            Mode.RUN,
            5,
            EnumSet.allOf(Assurance.class),
            NOW);
    tests.begin(client, test);
    UUID reading = ids.next();
    append(test, FieldTestEvent.of(ids.next(), NOW.plusSeconds(600), Kind.BOUT_STARTED));
    append(test, FieldTestEvent.reading(reading, NOW.plusSeconds(700), 199, PulseSource.STRAP));
    append(test, FieldTestEvent.reading(ids.next(), NOW.plusSeconds(715), 181, PulseSource.COUNT));
    append(test, FieldTestEvent.takenBack(ids.next(), NOW.plusSeconds(716), reading));
    append(test, FieldTestEvent.answered(ids.next(), NOW.plusSeconds(740), 1, true));
    SavedFieldTest before = tests.get(test.id()).orElseThrow();

    close();
    reopen();
    SavedFieldTest after = tests.get(test.id()).orElseThrow();
    assertThat(after).isEqualTo(before);
    assertThat(after.clientId()).isEqualTo(client);
    assertThat(after.run().at(NOW.plusSeconds(719)).phase()).isEqualTo(Phase.BOUT);
    assertThat(after.run().bouts().get(0).answer()).contains(true);
    assertThat(after.run().peak().orElseThrow().bpm()).isEqualTo(181);
    assertThat(tests.running(List.of(client))).containsExactly(client);

    UUID mistake = ids.next();
    append(test, FieldTestEvent.stopped(mistake, NOW.plusSeconds(790), "by mistake"));
    assertThat(tests.running(List.of(client))).isEmpty();
    append(test, FieldTestEvent.takenBack(ids.next(), NOW.plusSeconds(795), mistake));
    assertThat(tests.running(List.of(client))).hasSize(1);
    append(test, FieldTestEvent.stopped(ids.next(), NOW.plusSeconds(800), "dizzy"));
    assertThat(tests.running(List.of(client))).isEmpty();
    assertThat(tests.of(client).get(0).run().stoppedBecause()).isEqualTo("dizzy");
  }

  private void reopen() {
    database = Database.open(folder.resolve("korvel.db"));
    tests = new FieldTestRepository(database);
  }

  private Optional<SavedFieldTest> append(FieldTest test, FieldTestEvent event) {
    return tests.append(test.id(), event, run -> run.check(event, event.at()), event.at());
  }

  @Test
  void anEventSentTwiceIsEnteredOnceAndARefusedOneNotAtAll() {
    FieldTest test =
        FieldTest.begin(
            ids.next(),
            FieldTestProtocol.RAMP,
            Mode.STAIRS,
            15,
            EnumSet.allOf(Assurance.class),
            NOW);
    tests.begin(client, test);
    FieldTestEvent bout = FieldTestEvent.of(ids.next(), NOW.plusSeconds(1), Kind.BOUT_STARTED);
    append(test, bout);
    append(test, bout);
    assertThat(tests.get(test.id()).orElseThrow().run().bouts()).hasSize(1);
    FieldTestEvent early = FieldTestEvent.of(ids.next(), NOW.plusSeconds(9), Kind.BOUT_STARTED);
    assertThatThrownBy(() -> append(test, early)).hasMessageContaining("on already");
    assertThat(tests.get(test.id()).orElseThrow().run().bouts()).hasSize(1);
    assertThat(tests.append(ids.next(), bout, run -> {}, NOW)).isEmpty();
  }

  @Test
  void anEffortKeepsTheSpanItWasHeldAgainst() {
    EffortRepository efforts = new EffortRepository(database);
    Effort race =
        new Effort(
            ids.next(),
            "Sea wall 10 km",
            Mode.RUN,
            158,
            Optional.of(52),
            DAY,
            Reserve.of(52, 188),
            "field-test",
            NOW);
    Effort dash =
        new Effort(
            ids.next(),
            "Slipway dash",
            Mode.OTHER,
            171,
            Optional.empty(),
            DAY.minusDays(1),
            Reserve.of(52, 188),
            "field-test",
            NOW);
    efforts.add(client, dash);
    efforts.add(client, race);
    assertThat(efforts.of(client)).containsExactly(race, dash);
    UUID back = ids.next();
    assertThat(ledger(RecordKind.EFFORTS).withdraw(client, race.id(), back, NOW)).isTrue();
    assertThat(efforts.of(client)).isEqualTo(List.of(dash));
    assertThat(ledger(RecordKind.EFFORTS).undo(client, back, ids.next(), NOW)).isTrue();
    assertThat(efforts.of(client)).hasSize(2);
  }

  private Ledger ledger(RecordKind kind) {
    return new Ledger(database, kind);
  }
}
