package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Palpation;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.PracticeTry;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSite;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.Strength;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import app.korvel.store.PracticeRepository.SavedTry;
import app.korvel.store.SavedClassCount.Entry;
import app.korvel.store.SavedClassCount.Moment;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PulseBenchStoreTest {
  private static final Instant NOW = Instant.parse("2026-05-20T08:00:00Z");

  @TempDir Path folder;
  private Database database;
  private ClassCountRepository classes;
  private final Ids ids = Ids.timeOrdered();

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    classes = new ClassCountRepository(database);
  }

  @AfterEach
  void close() {
    database.close();
  }

  private UUID added(String name) {
    Client.Details details = new Client.Details(name, "", LocalDate.of(1980, 2, 29), Sex.NOT_GIVEN);
    return new ClientRepository(database).add(ids.next(), details, NOW).id();
  }

  private SavedClassCount kept(Instant at, Optional<UUID> follows, UUID... members) {
    SavedClassCount saved =
        new SavedClassCount(
            ids.next(),
            Moment.AFTER,
            CountWindow.S15,
            Posture.STANDING,
            false,
            at,
            Optional.of(at.minusSeconds(90)),
            follows,
            List.of(members));
    classes.add(saved);
    return saved;
  }

  private static Entry entry(UUID client, int beats, Instant at) {
    return new Entry(client, false, PulseCount.of(beats, CountWindow.S15), at);
  }

  @Test
  void whatTheHandNoticedComesBack() {
    ReadingRepository readings = new ReadingRepository(database);
    UUID client = added("Åse Brandt");
    RestingReading tapped =
        RestingReading.tapped(ids.next(), NOW, 63, 42, Posture.SEATED, 5, Set.of())
            .withFelt(
                new Palpation(
                    Optional.of(PulseSite.CAROTID),
                    Optional.of(Rhythm.UNEVEN),
                    Optional.of(Strength.WEAK)));
    readings.add(client, tapped, NOW);
    assertThat(readings.of(client)).containsExactly(tapped);
    UUID withdrawal = ids.next();
    ledger(RecordKind.READINGS).withdraw(client, tapped.id(), withdrawal, NOW);
    assertThat(ledger(RecordKind.READINGS).undo(client, withdrawal, ids.next(), NOW)).isTrue();
    assertThat(readings.of(client).get(0).felt()).isEqualTo(tapped.felt());
  }

  @Test
  void aClassComesBackWithItsPeopleInTheirOrder() {
    UUID one = added("Åse Brandt");
    UUID two = added("Imre Falk");
    assertThat(classes.latest()).isEmpty();
    SavedClassCount first = kept(NOW, Optional.empty(), two, one);
    assertThat(classes.get(first.id())).contains(first);
    assertThat(classes.latest()).contains(first);
    SavedClassCount round = kept(NOW.plusSeconds(300), Optional.of(first.id()), one);
    assertThat(classes.get(round.id())).contains(round);
    assertThat(classes.latest()).as("a later round of some is not the class").contains(first);
    assertThat(classes.get(new UUID(0, 1))).isEmpty();
  }

  @Test
  void nobodyIsTwiceInAClassAndNothingIsHalfKept() {
    UUID one = added("Åse Brandt");
    assertThatThrownBy(() -> kept(NOW, Optional.empty(), one, one))
        .isInstanceOf(StoreException.class);
    assertThat(classes.latest()).isEmpty();
  }

  @Test
  void aMendedNumberTakesThePlaceOfTheOneBefore() {
    UUID one = added("Åse Brandt");
    UUID two = added("Imre Falk");
    UUID id = kept(NOW, Optional.empty(), one, two).id();
    classes.enter(ids.next(), id, entry(one, 17, NOW));
    classes.enter(ids.next(), id, entry(two, 61 - 41, NOW.plusSeconds(1)));
    classes.enter(ids.next(), id, entry(one, 18, NOW.plusSeconds(2)));
    Entry again = new Entry(one, true, PulseCount.of(70, CountWindow.S60), NOW.plusSeconds(60));
    classes.enter(ids.next(), id, again);
    assertThat(classes.entries(id))
        .containsExactly(
            entry(two, 20, NOW.plusSeconds(1)), entry(one, 18, NOW.plusSeconds(2)), again);

    assertThat(classes.withdraw(ids.next(), id, one, false, NOW)).isTrue();
    assertThat(classes.withdraw(ids.next(), id, one, false, NOW)).isFalse();
    assertThat(classes.entries(id)).hasSize(2).contains(again);
    classes.enter(ids.next(), id, entry(one, 19, NOW.plusSeconds(70)));
    assertThat(classes.entries(id)).hasSize(3);
  }

  @Test
  void triesComeBackInTheOrderTheyWereMade() {
    PracticeRepository practice = new PracticeRepository(database);
    SavedTry first = tried(NOW, Optional.of(Rhythm.UNEVEN));
    SavedTry second = tried(NOW.plusSeconds(40), Optional.empty());
    practice.add(second);
    practice.add(first);
    assertThat(practice.all()).containsExactly(first, second);
  }

  private SavedTry tried(Instant at, Optional<Rhythm> said) {
    return new SavedTry(
        ids.next(),
        at,
        PracticeLevel.FAINT,
        4_294_967_295L,
        new PracticeTry(PulseCount.of(31, CountWindow.S30), 32, 64, Rhythm.STEADY, said));
  }

  private Ledger ledger(RecordKind kind) {
    return new Ledger(database, kind);
  }
}
