package app.korvel.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.Outcome;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.Topic;
import app.korvel.store.Database;
import app.korvel.store.RecordKind;
import app.korvel.store.SavedClassCount;
import app.korvel.store.SavedClassCount.Moment;
import app.korvel.store.StaleVersionException;
import app.korvel.store.Store;
import app.korvel.store.SupersededException;
import app.korvel.studio.checkin.CheckInClass;
import app.korvel.studio.checkin.CheckInClient;
import app.korvel.studio.checkin.ClassCounts;
import app.korvel.studio.client.AddClient;
import app.korvel.studio.client.ArchiveClient;
import app.korvel.studio.ledger.UndoRecord;
import app.korvel.studio.ledger.WithdrawRecord;
import app.korvel.studio.pulse.RecordReading;
import app.korvel.studio.screening.AnswerIntake;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Tasks as they are done, with nothing above them. */
class TasksTest {
  private static final Instant NOW = Instant.parse("2026-05-20T09:00:00Z");
  private static final Actor WHO = new Actor("the one who acts");

  /** Everything was asked, and nothing is the matter. */
  private static final Answers ALL_WELL =
      new Answers(
          Set.of(Topic.values()),
          Activity.SOME,
          false,
          Set.of(),
          Set.of(),
          List.of(),
          List.of(),
          Optional.empty(),
          Set.of(),
          Set.of(),
          OptionalInt.empty(),
          Optional.empty(),
          OptionalInt.empty());

  @TempDir Path folder;
  private Database database;
  private Studio studio;

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    Store store = Store.of(database);
    store.studio().ensure("Pier", ZoneOffset.UTC, NOW);
    studio = new Studio(store, Clock.fixed(NOW, ZoneOffset.UTC));
  }

  @AfterEach
  void close() {
    database.close();
  }

  private UUID screened(String name) {
    Client.Details details =
        Client.Details.of(name, "", LocalDate.of(1980, 1, 1), Sex.FEMALE, studio.today());
    UUID id = new AddClient(studio).by(WHO, details).id();
    new AnswerIntake(studio).by(WHO, id, 0, ALL_WELL);
    return id;
  }

  private RestingReading counted(UUID client, int bpm) {
    return new RecordReading(studio)
        .by(
            WHO,
            client,
            (stamp, person) ->
                RestingReading.counted(
                    stamp.id(),
                    stamp.at(),
                    PulseCount.of(bpm, CountWindow.S60),
                    Posture.SEATED,
                    6,
                    Set.of()));
  }

  @Test
  void nothingIsAddedToAnArchivedClient() {
    UUID client = screened("Åse Brandt");
    new ArchiveClient(studio).by(WHO, client, 1, true);
    assertThatThrownBy(() -> counted(client, 64))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("archived");
    assertThat(studio.store().readings().of(client)).isEmpty();
  }

  @Test
  void answersMadeOnAnOlderVersionAreRefusedAndTheSameOnesKeepNothing() {
    UUID client = screened("Åse Brandt");
    assertThatThrownBy(() -> new AnswerIntake(studio).by(WHO, client, 0, ALL_WELL))
        .isInstanceOf(StaleVersionException.class);
    new AnswerIntake(studio).by(WHO, client, 1, ALL_WELL);
    assertThat(studio.store().intakes().of(client)).hasSize(1);
  }

  /** Withdrawn and undone, what stands again decides as before. */
  @Test
  void aRecordIsWithdrawnAndThatUndone() {
    UUID client = screened("Åse Brandt");
    UUID reading = counted(client, 64).id();
    UUID gone = new WithdrawRecord(studio).by(WHO, client, RecordKind.READINGS, reading);
    assertThat(studio.head(client).baseline().resting()).isEmpty();
    assertThatThrownBy(
            () -> new WithdrawRecord(studio).by(WHO, client, RecordKind.READINGS, reading))
        .isInstanceOf(SupersededException.class);
    new UndoRecord(studio).by(WHO, client, RecordKind.READINGS, gone);
    assertThat(studio.head(client).baseline().resting().orElseThrow().bpm()).isEqualTo(64);
    assertThatThrownBy(() -> new UndoRecord(studio).by(WHO, client, RecordKind.CLEARANCES, reading))
        .isInstanceOf(NotFoundException.class)
        .hasMessageStartingWith("This client has no clearance");
  }

  /** Everyone ready is checked in at once; who is not, or is left out, is not. */
  @Test
  void aClassIsCheckedInInOneCommit() {
    UUID ready = screened("Åse Brandt");
    UUID off = screened("Bo Falk");
    UUID leftOut = screened("Cai Lund");
    List<UUID> all = List.of(ready, off, leftOut);
    all.forEach(client -> counted(client, 64));
    ClassCounts classes = new ClassCounts(studio);
    SavedClassCount room =
        classes.begin(
            WHO,
            new ClassCounts.Begun(
                Moment.BEFORE,
                CountWindow.S15,
                Posture.SEATED,
                true,
                all,
                Optional.empty(),
                Optional.empty()));
    classes.enter(WHO, room.id(), ready, false, 16);
    classes.enter(WHO, room.id(), off, false, 20);
    classes.enter(WHO, room.id(), leftOut, false, 16);
    List<CheckInClass.Made> made = new CheckInClass(studio).by(WHO, room.id(), Set.of(leftOut));
    assertThat(made).extracting(CheckInClass.Made::client).containsExactly(ready);
    assertThat(studio.store().checkIns().of(off, 1)).isEmpty();
    assertThat(new CheckInClass(studio).by(WHO, room.id(), Set.of(leftOut))).isEmpty();
  }

  @Test
  void aTaskWithinATaskIsOfOneCommit() {
    UUID client = screened("Åse Brandt");
    counted(client, 64);
    assertThatThrownBy(
            () ->
                studio.write(
                    WHO,
                    () -> {
                      CheckIn found =
                          CheckIn.pulse(65, Posture.SEATED, PulseSource.COUNT, true, false);
                      assertThat(
                              new CheckInClient(studio)
                                  .by(WHO, client, found, verdict -> Optional.empty())
                                  .outcome())
                          .isEqualTo(Outcome.GO);
                      throw new IllegalStateException("taken back");
                    }))
        .hasMessage("taken back");
    assertThat(studio.store().checkIns().of(client, 1)).isEmpty();
  }
}
