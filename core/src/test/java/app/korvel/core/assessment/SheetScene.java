package app.korvel.core.assessment;

import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.screening.StopSign;
import app.korvel.core.support.Recorded;
import app.korvel.core.trace.Samples;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.IntUnaryOperator;

/**
 * A graded test for the tests: the sheet is opened, read lying at 3:00 and standing at 4:00, and
 * the work begins at 5:00. Seconds count from then on.
 */
final class SheetScene {
  static final Instant OPENED = Instant.parse("2030-03-04T09:00:00Z");
  private static final int WORK_AT = 300;

  private final TestPlan plan;
  private final List<TestEvent> events = new ArrayList<>();
  private IntUnaryOperator bpm = second -> 0;

  private SheetScene(TestPlan plan) {
    this.plan = plan;
  }

  static TestPlan.Graded setup(TestPerson person, boolean exhaustion) {
    return new TestPlan.Graded(
        GradedProtocols.of("bruce").orElseThrow(),
        exhaustion || person.reserve().isEmpty()
            ? Optional.empty()
            : Optional.of(
                TestTarget.of(
                    TestTarget.Kind.RESERVE, 85, person.reserve().get(), person.capBpm())),
        exhaustion,
        "Dr Halloran Vey",
        TestPosture.LYING,
        Optional.empty());
  }

  static SheetScene of(TestPerson person, RateSource source) {
    return new SheetScene(new TestPlan(person, source, setup(person, false)));
  }

  static SheetScene toExhaustion(TestPerson person) {
    return new SheetScene(new TestPlan(person, RateSource.COUNT, setup(person, true)));
  }

  /** With a baseline of 70 and 120 over 80 lying, 76 and 124 over 82 standing, and begun. */
  SheetScene begun() {
    return posture(-290, TestPosture.LYING)
        .rate(-110, 70)
        .pressure(-110, 120, 80)
        .posture(-60, TestPosture.STANDING)
        .rate(-10, 76)
        .pressure(-10, 124, 82)
        .add(0, id -> new TestEvent.Begun(id, at(0)));
  }

  static Instant at(int second) {
    return OPENED.plusSeconds(WORK_AT + (long) second);
  }

  SheetScene add(int second, Function<UUID, TestEvent> event) {
    events.add(event.apply(new UUID(0, events.size() + 1)));
    return this;
  }

  SheetScene posture(int second, TestPosture posture) {
    return add(second, id -> new TestEvent.Posture(id, at(second), posture));
  }

  SheetScene rate(int second, int rate) {
    return add(second, id -> new TestEvent.ReadOff(id, at(second), rate));
  }

  SheetScene count15(int second, int beats) {
    return add(second, id -> new TestEvent.Counted(id, at(second), beats, CountWindow.S15));
  }

  SheetScene pressure(int second, int systolic, int diastolic) {
    return pressure(second, systolic, diastolic, second - 20);
  }

  SheetScene pressure(int second, int systolic, int diastolic, int cuff) {
    return add(
        second,
        id ->
            new TestEvent.Pressure(
                id, at(second), new BloodPressure(systolic, diastolic), at(cuff)));
  }

  SheetScene rpe(int second, int rpe) {
    return add(second, id -> new TestEvent.Rated(id, at(second), rpe));
  }

  SheetScene symptoms(int second, boolean any) {
    return add(second, id -> new TestEvent.Symptoms(id, at(second), any, ""));
  }

  SheetScene ended(int second, TestEvent.Reason reason) {
    return add(
        second,
        id ->
            new TestEvent.Ended(
                id,
                at(second),
                reason,
                reason == TestEvent.Reason.SIGN
                    ? Optional.of(StopSign.CHEST_PAIN)
                    : Optional.empty(),
                ""));
  }

  SheetScene undone() {
    UUID last = events.get(events.size() - 1).id();
    Instant when = events.get(events.size() - 1).at();
    return add(0, id -> new TestEvent.Withdrawn(id, when, last));
  }

  /** A strap, by the second of the work. */
  SheetScene strap(IntUnaryOperator rate) {
    bpm = rate;
    return this;
  }

  GradedSheet now(int second) {
    Samples samples =
        Recorded.samples(OPENED, WORK_AT + second, each -> bpm.applyAsInt(each - WORK_AT));
    return GradedSheet.of(plan, OPENED, events, samples.trace(OPENED, at(second)), at(second));
  }

  List<String> ends(int second) {
    return WorkedFiguresTest.codes(now(second).ends());
  }

  List<String> waits(int second) {
    return WorkedFiguresTest.codes(now(second).waits());
  }

  static OptionalInt some(int value) {
    return OptionalInt.of(value);
  }
}
