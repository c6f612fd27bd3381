package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.CheckIn.SelfReport;
import app.korvel.core.checkin.CheckInContext;
import app.korvel.core.checkin.CheckInContext.Weighed;
import app.korvel.core.checkin.Glucose;
import app.korvel.core.checkin.Ketones;
import app.korvel.core.checkin.Outcome;
import app.korvel.core.checkin.Verdict;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Clearance;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Consent;
import app.korvel.core.screening.Equipment;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.Medicine;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Reported;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.Symptom;
import app.korvel.core.screening.Topic;
import app.korvel.core.screening.WrittenLimit;
import java.math.BigDecimal;
import java.nio.file.Path;
import java.time.DayOfWeek;
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

/** Intakes, clearances and check-ins come back as they were kept. */
class ScreeningStoreTest {
  private static final Instant NOW = Instant.parse("2026-05-20T08:00:00Z");
  private static final LocalDate TODAY = LocalDate.of(2026, 5, 20);

  @TempDir Path folder;
  private final Ids ids = Ids.timeOrdered();
  private Database database;
  private IntakeRepository intakes;
  private ClearanceRepository clearances;
  private CheckInRepository checkIns;
  private Client client;

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    intakes = new IntakeRepository(database);
    clearances = new ClearanceRepository(database);
    checkIns = new CheckInRepository(database);
    client =
        new ClientRepository(database)
            .add(
                ids.next(),
                new Client.Details("Åse Brandt", "", LocalDate.of(1970, 1, 1), Sex.FEMALE),
                NOW);
  }

  @AfterEach
  void close() {
    database.close();
  }

  private static Answers everything() {
    return new Answers(
        Set.of(Topic.values()),
        Activity.REGULAR,
        true,
        Set.of(Symptom.LEG_PAIN, Symptom.CHEST_PAIN),
        Set.of(Condition.values()),
        List.of(
            new Medicine(MedicineClass.BETA_BLOCKER, "bisoprolol", "5 mg", Optional.of(TODAY)),
            Medicine.unnamed(MedicineClass.OTHER)),
        List.of(
            new WrittenLimit(
                WrittenLimit.Kind.CAP,
                OptionalInt.of(120),
                "Dr Test, “harbour”",
                TODAY.minusDays(3),
                Optional.of(TODAY.plusDays(90))),
            new WrittenLimit(
                WrittenLimit.Kind.SUPERVISED_ONLY,
                OptionalInt.empty(),
                "Dr Test",
                TODAY,
                Optional.empty())),
        Optional.of(Goal.ENDURANCE),
        Set.of(DayOfWeek.MONDAY, DayOfWeek.SUNDAY),
        Set.of(Equipment.POOL),
        OptionalInt.of(171),
        Optional.of(new BigDecimal("70.5")),
        OptionalInt.of(58));
  }

  private Intake keep(int version, Answers answers, Instant at) {
    return intakes
        .add(
            ids.next(),
            client.id(),
            version,
            before -> Optional.of(Intake.following(before, answers, at, ZoneOffset.UTC)))
        .orElseThrow();
  }

  @Test
  void anIntakeComesBackWholeAndEveryVersionIsKept() {
    assertThat(intakes.current(client.id())).isEmpty();
    Intake first = keep(0, everything(), NOW);
    assertThat(intakes.current(client.id())).contains(first);
    Intake second = keep(1, Answers.NONE, NOW.plusSeconds(90_000));
    assertThat(second.version()).isEqualTo(2);
    assertThat(second.medicinesChangedAt()).contains(NOW.plusSeconds(90_000));
    assertThat(second.symptomsReportedAt()).contains(NOW);
    assertThat(intakes.of(client.id())).containsExactly(second, first);
    assertThat(intakes.current(List.of(client.id()))).containsEntry(client.id(), second).hasSize(1);
  }

  @Test
  void answersOverAVersionThatIsNoLongerThePresentOneAreRefused() {
    keep(0, everything(), NOW);
    assertThatThrownBy(() -> keep(0, Answers.NONE, NOW)).isInstanceOf(StaleVersionException.class);
    assertThat(intakes.of(client.id())).hasSize(1);
  }

  @Test
  void nothingIsKeptWhereNothingFollows() {
    Intake first = keep(0, everything(), NOW);
    assertThat(intakes.add(ids.next(), client.id(), 1, before -> Optional.empty())).contains(first);
    assertThat(intakes.of(client.id())).hasSize(1);
  }

  private Clearance clearance(int daysAgo) {
    return Clearance.of(
        ids.next(),
        "Dr Test",
        TODAY.minusDays(daysAgo),
        Allows.MODERATE,
        TODAY.plusDays(100),
        "no hills",
        NOW,
        ZoneOffset.UTC);
  }

  @Test
  void clearancesComeBackLatestFirstAndOneTakenBackIsGone() {
    Clearance older = clearance(30);
    Clearance newer = clearance(2);
    clearances.add(client.id(), newer);
    clearances.add(client.id(), older);
    assertThat(clearances.of(client.id())).containsExactly(newer, older);
    UUID by = ids.next();
    Instant later = NOW.plusSeconds(60);
    assertThat(ledger(RecordKind.CLEARANCES).withdraw(client.id(), newer.id(), by, later)).isTrue();
    assertThatThrownBy(
            () ->
                ledger(RecordKind.CLEARANCES).withdraw(client.id(), newer.id(), ids.next(), later))
        .isInstanceOf(SupersededException.class);
    assertThat(
            ledger(RecordKind.CLEARANCES).withdraw(new UUID(0, 1), older.id(), ids.next(), later))
        .isFalse();
    assertThat(clearances.of(client.id())).containsExactly(older);
    assertThat(clearances.of(List.of(client.id()))).containsEntry(client.id(), List.of(older));
    // It stands again as put on record when it was: it answers nothing that was told meanwhile.
    assertThat(ledger(RecordKind.CLEARANCES).undo(client.id(), by, ids.next(), NOW)).isTrue();
    assertThat(clearances.of(client.id())).hasSize(2);
    assertThat(clearances.of(client.id()).get(0))
        .usingRecursiveComparison()
        .ignoringFields("id")
        .isEqualTo(newer);
  }

  @Test
  void consentsComeBackAndAreTakenBackAndUndone() {
    ConsentRepository consents = new ConsentRepository(database);
    Consent consent =
        Consent.of(ids.next(), "Mother", TODAY.minusDays(1), "by letter", NOW, ZoneOffset.UTC);
    consents.add(client.id(), consent);
    assertThat(consents.of(client.id())).containsExactly(consent);
    assertThat(consents.of(List.of(client.id()))).containsEntry(client.id(), List.of(consent));
    UUID by = ids.next();
    assertThat(ledger(RecordKind.CONSENTS).withdraw(client.id(), consent.id(), by, NOW)).isTrue();
    assertThat(consents.of(client.id())).isEmpty();
    assertThat(ledger(RecordKind.CONSENTS).undo(client.id(), by, ids.next(), NOW)).isTrue();
    assertThat(consents.of(client.id())).extracting(Consent::givenBy).containsExactly("Mother");
  }

  /** Kept under another class when that was not checked. */
  @Test
  void aMedicineOfAKnownNameIsReadInItsOwnClass() {
    Answers answers =
        with(new Medicine(MedicineClass.RATE_LOWERING, "amiodarone", "", Optional.empty()));
    keep(0, answers, NOW);
    assertThat(intakes.current(client.id()).orElseThrow().answers().medicines())
        .extracting(Medicine::medicineClass)
        .containsExactly(MedicineClass.HEART_FAILURE_OR_RHYTHM);
  }

  private static Answers with(Medicine medicine) {
    Answers none = Answers.NONE;
    return new Answers(
        Set.of(Topic.values()),
        none.activity(),
        none.slowMile(),
        none.symptoms(),
        none.conditions(),
        List.of(medicine),
        none.limits(),
        none.goal(),
        none.days(),
        none.equipment(),
        none.heightCm(),
        none.weightKg(),
        none.usualRestingBpm());
  }

  private SavedCheckIn checkIn(
      LocalDate on, Instant at, Set<Symptom> symptoms, Set<SelfReport> told, String weight) {
    CheckIn found =
        new CheckIn(
            75,
            Posture.SEATED,
            PulseSource.COUNT,
            true,
            true,
            Optional.of(Rhythm.STEADY),
            Optional.of(new BloodPressure(130, 85)),
            Optional.of(new Glucose(new BigDecimal("6.1"), Glucose.Unit.MMOL_L)),
            Optional.of(Ketones.NONE),
            Optional.ofNullable(weight).map(BigDecimal::new),
            symptoms,
            told);
    Person person = Person.of(50, Sex.NOT_GIVEN, Activity.SOME, Person.Health.NOTHING_KNOWN);
    Verdict verdict =
        Verdict.of(
            found,
            CheckInContext.of(
                on, person, Optional.of(new UsualPulse(64, Posture.SEATED, PulseSource.COUNT))));
    Optional<Verdict.OwnDecision> decided =
        verdict.mayOverride()
            ? Optional.of(verdict.decide(Outcome.LIGHT_ONLY, "climbed the stairs"))
            : Optional.empty();
    return new SavedCheckIn(ids.next(), on, at, found, OptionalInt.of(64), verdict, decided);
  }

  @Test
  void aCheckInComesBackFrozenWithItsDecision() {
    SavedCheckIn saved = checkIn(TODAY, NOW, Set.of(), Set.of(SelfReport.CARRIED), "80.2");
    checkIns.add(client.id(), saved);
    assertThat(checkIns.of(client.id(), 5)).containsExactly(saved);
    assertThat(saved.outcome()).isEqualTo(Outcome.LIGHT_ONLY);
    assertThat(saved.verdict().outcome()).isEqualTo(Outcome.NOT_TODAY);
    assertThat(checkIns.on(TODAY)).containsEntry(client.id(), saved);
    assertThat(checkIns.on(TODAY.plusDays(1))).isEmpty();
    assertThat(checkIns.weights(client.id(), TODAY))
        .containsExactly(new Weighed(TODAY, new BigDecimal("80.2")));
    assertThat(checkIns.weights(client.id(), TODAY.plusDays(1))).isEmpty();
  }

  @Test
  void whatWasToldReachesTheScreeningUntilItIsTakenBack() {
    SavedCheckIn told =
        checkIn(TODAY, NOW, Set.of(Symptom.FAINTING), Set.of(SelfReport.CHANGED), null);
    checkIns.add(client.id(), told);
    Reported reported = new Reported(Optional.of(NOW), Optional.of(NOW));
    assertThat(checkIns.reported(List.of(client.id()))).containsEntry(client.id(), reported);
    assertThat(ledger(RecordKind.CHECKINS).withdraw(client.id(), told.id(), ids.next(), NOW))
        .isTrue();
    assertThat(checkIns.reported(List.of(client.id()))).isEmpty();
    assertThat(checkIns.of(client.id(), 5)).isEmpty();
    assertThatThrownBy(
            () -> ledger(RecordKind.CHECKINS).withdraw(client.id(), told.id(), ids.next(), NOW))
        .isInstanceOf(SupersededException.class);
    assertThat(ledger(RecordKind.CHECKINS).withdraw(client.id(), new UUID(0, 1), ids.next(), NOW))
        .isFalse();
  }

  /** From before ketones were asked for. */
  @Test
  void anOlderCheckInIsReadWhole() {
    SavedCheckIn saved = checkIn(TODAY, NOW, Set.of(), Set.of(SelfReport.CARRIED), "80.2");
    checkIns.add(client.id(), saved);
    database.write(
        connection ->
            Database.change(
                connection,
                "update check_in set document = json_remove(document, '$.checkIn.ketones')"));
    CheckIn read = checkIns.of(client.id(), 1).get(0).checkIn();
    assertThat(read.ketones()).isEmpty();
    assertThat(read.glucose()).isEqualTo(saved.checkIn().glucose());
  }

  private Ledger ledger(RecordKind kind) {
    return new Ledger(database, kind);
  }
}
