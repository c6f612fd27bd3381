package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.assessment.GradedProtocol;
import app.korvel.core.assessment.GradedProtocols;
import app.korvel.core.assessment.LaboratoryUptake;
import app.korvel.core.assessment.StepBench;
import app.korvel.core.assessment.TestEvent;
import app.korvel.core.assessment.TestKind;
import app.korvel.core.assessment.TestPerson;
import app.korvel.core.assessment.TestPlan;
import app.korvel.core.assessment.TestPosture;
import app.korvel.core.assessment.TestTarget;
import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.StopSign;
import app.korvel.core.trace.Samples;
import app.korvel.core.zone.Reserve;
import app.korvel.store.AssessmentRepository.OpenedTest;
import java.math.BigDecimal;
import java.nio.file.Path;
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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class AssessmentStoreTest {
  private static final Instant NOW = Instant.parse("2026-05-20T09:00:00Z");
  private static final UUID CLIENT = new UUID(1, 1);
  private static final UUID TEST = new UUID(2, 1);

  @TempDir private Path folder;
  private Database database;
  private AssessmentRepository tests;

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    tests = new AssessmentRepository(database);
    new ClientRepository(database)
        .add(
            CLIENT,
            new Client.Details("Test Person", "", LocalDate.of(1980, 1, 1), Sex.FEMALE),
            NOW);
  }

  @AfterEach
  void close() {
    database.close();
  }

  private static TestPerson person() {
    return new TestPerson(
        45,
        Sex.FEMALE,
        Optional.of(new BigDecimal("70.5")),
        Optional.of(Reserve.of(64, 176)),
        BigDecimal.TEN,
        OptionalInt.of(150),
        14,
        Set.of(EffortContext.HEART_CONDITION));
  }

  static List<TestPlan.Setup> setups() {
    return List.of(
        new TestPlan.TwoMinute(TestPlan.Activity.STEP_UP, OptionalInt.of(96), TestPosture.STANDING),
        new TestPlan.Bench(StepBench.HIGH, 22),
        new TestPlan.Mile(false),
        new TestPlan.TalkLadder(Mode.CYCLE, "25 W more each", true),
        new TestPlan.Graded(
            GradedProtocols.of("stairs").orElseThrow(),
            Optional.of(
                TestTarget.of(
                    TestTarget.Kind.RESERVE, 85, Reserve.of(64, 176), OptionalInt.of(150))),
            false,
            "Ilse Marrowby",
            TestPosture.SEATED,
            Optional.of(
                new TestPlan.Order("Dr Vey", LocalDate.of(2026, 5, 1), OptionalInt.of(16)))),
        new TestPlan.Graded(
            GradedProtocols.of("cycle-3").orElseThrow(),
            Optional.empty(),
            true,
            "Ilse Marrowby",
            TestPosture.LYING,
            Optional.empty()));
  }

  private static OpenedTest test(TestPlan.Setup setup) {
    return new OpenedTest(
        TEST,
        Optional.of(CLIENT),
        1,
        Optional.empty(),
        NOW,
        new TestPlan(person(), RateSource.STRAP, setup),
        true);
  }

  @ParameterizedTest
  @MethodSource("setups")
  void aTestComesBackWhole(TestPlan.Setup setup) {
    tests.open(test(setup));
    assertThat(tests.get(TEST)).contains(test(setup));
    assertThat(tests.openNow()).hasSize(1);
    assertThat(tests.running(List.of(CLIENT))).containsExactly(CLIENT);
    tests.setOpen(TEST, false);
    assertThat(tests.openNow()).isEmpty();
    assertThat(tests.of(CLIENT, 5)).hasSize(1);
  }

  private static List<TestEvent> everything() {
    return List.of(
        new TestEvent.Posture(new UUID(3, 1), NOW, TestPosture.LYING),
        new TestEvent.ReadOff(new UUID(3, 2), NOW, 66),
        new TestEvent.CuffStarted(new UUID(3, 3), NOW),
        new TestEvent.Pressure(
            new UUID(3, 4), NOW.plusSeconds(30), new BloodPressure(122, 80), NOW),
        new TestEvent.Rated(new UUID(3, 5), NOW, 6),
        new TestEvent.LeftOut(new UUID(3, 6), NOW, "a sore foot"),
        new TestEvent.Begun(new UUID(3, 7), NOW),
        new TestEvent.Counted(new UUID(3, 8), NOW, 30, CountWindow.S15),
        new TestEvent.Walked(new UUID(3, 9), NOW, 4, false),
        new TestEvent.RailHeld(new UUID(3, 10), NOW, true),
        new TestEvent.Spoken(new UUID(3, 11), NOW, 3),
        new TestEvent.Repeated(new UUID(3, 12), NOW, 31),
        new TestEvent.PaceKept(new UUID(3, 13), NOW, false),
        new TestEvent.Symptoms(new UUID(3, 14), NOW, true, "a tight chest"),
        new TestEvent.Ended(
            new UUID(3, 15), NOW, TestEvent.Reason.SIGN, Optional.of(StopSign.CHEST_PAIN), "told"),
        new TestEvent.Withdrawn(new UUID(3, 16), NOW, new UUID(3, 15)),
        new TestEvent.Ended(new UUID(3, 17), NOW, TestEvent.Reason.TARGET, Optional.empty(), ""),
        new TestEvent.Closed(new UUID(3, 18), NOW, true));
  }

  @Test
  void everyKindOfEventComesBackOnceInItsOrder() {
    tests.open(test(setups().get(4)));
    everything().forEach(event -> assertThat(tests.add(TEST, event, NOW)).isTrue());
    everything().forEach(event -> assertThat(tests.add(TEST, event, NOW)).isFalse());
    assertThat(tests.events(TEST)).isEqualTo(everything());
    assertThat(everything().stream().map(TestEvent::kind).distinct())
        .hasSize(TestEvent.Kind.values().length);
  }

  @Test
  void anEventOfAnotherTestIsRefused() {
    tests.open(test(setups().get(0)));
    tests.add(TEST, everything().get(0), NOW);
    assertThatThrownBy(() -> tests.add(new UUID(2, 2), everything().get(0), NOW))
        .isInstanceOf(InvalidValueException.class);
  }

  @Test
  void samplesAreTakenOnceAndPutTogether() {
    tests.open(test(setups().get(0)));
    for (int n = 0; n < 70; n++) {
      Samples one = new Samples(NOW, new int[] {1000 * n}, new int[] {100 + n % 3});
      assertThat(tests.add(TEST, n, one)).isTrue();
      assertThat(tests.add(TEST, n, one)).isFalse();
    }
    assertThat(tests.samples(TEST, NOW).size()).isEqualTo(70);
    tests.putTogether(TEST);
    assertThat(tests.samples(TEST, NOW).size()).isEqualTo(70);
  }

  @Test
  void theLastOfEachKindThatWasBegunAndClosed() {
    tests.open(test(setups().get(0)));
    assertThat(tests.lastDone(List.of(CLIENT))).isEmpty();
    tests.add(TEST, everything().get(6), NOW);
    tests.setOpen(TEST, false);
    assertThat(tests.lastDone(List.of(CLIENT)).get(CLIENT))
        .containsExactly(new AssessmentRepository.LastTest(TestKind.TWO_MINUTE, NOW));
  }

  @Test
  void practiceIsOfNoClient() {
    OpenedTest practice =
        new OpenedTest(
            TEST,
            Optional.empty(),
            4,
            Optional.of("EXEMPLARY 7"),
            NOW,
            new TestPlan(person(), RateSource.STRAP, setups().get(5)),
            true);
    tests.open(practice);
    assertThat(tests.practised(5)).containsExactly(practice);
    assertThat(tests.of(CLIENT, 5)).isEmpty();
  }

  @Test
  void erasingAClientTakesTheirTestsAlong() {
    tests.open(test(setups().get(0)));
    tests.add(TEST, everything().get(0), NOW);
    tests.add(TEST, 1, new Samples(NOW, new int[] {1000}, new int[] {100}));
    new LaboratoryRepository(database).add(CLIENT, result());
    new ClientRepository(database).erase(CLIENT, 1);
    assertThat(tests.get(TEST)).isEmpty();
    assertThat(tests.events(TEST)).isEmpty();
  }

  private static LaboratoryUptake result() {
    return new LaboratoryUptake(
            new UUID(5, 1),
            Mode.CYCLE,
            new BigDecimal("41.25"),
            LocalDate.of(2026, 4, 2),
            " Harbour hospital ",
            "",
            NOW)
        .checked(ZoneOffset.UTC);
  }

  @Test
  void aResultOfALaboratory() {
    LaboratoryRepository results = new LaboratoryRepository(database);
    results.add(CLIENT, result());
    assertThat(results.of(CLIENT)).containsExactly(result());
    assertThat(result().vo2max()).isEqualByComparingTo("41.3");
    assertThatThrownBy(
            () ->
                new LaboratoryUptake(
                        new UUID(5, 2),
                        Mode.RUN,
                        BigDecimal.valueOf(101),
                        LocalDate.of(2027, 1, 1),
                        "",
                        "",
                        NOW)
                    .checked(ZoneOffset.UTC))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            invalid ->
                assertThat(invalid.faults())
                    .extracting(InvalidValueException.Fault::field)
                    .containsExactly("vo2max", "laboratory", "measuredOn"));
  }

  @Test
  void aProtocolOfTheStudioIsAHeadWithAVersion() {
    ProtocolRepository protocols = new ProtocolRepository(database);
    GradedProtocol own =
        GradedProtocol.own(
            "own-1",
            "Skiff ladder",
            Mode.ROW,
            GradedProtocols.ALL.get(3).stages().subList(0, 4),
            2);
    assertThat(protocols.add(own, NOW).version()).isEqualTo(1);
    assertThat(protocols.get("own-1").orElseThrow().protocol()).isEqualTo(own);
    assertThat(protocols.change(1, own, NOW).orElseThrow().version()).isEqualTo(2);
    assertThatThrownBy(() -> protocols.change(1, own, NOW))
        .isInstanceOf(StaleVersionException.class);
    protocols.archive("own-1", 2, true, NOW);
    assertThat(protocols.all()).isEmpty();
  }
}
