package app.korvel.core.assessment;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.assessment.TestPrompt.What;
import app.korvel.core.assessment.TimedTest.Phase;
import app.korvel.core.assessment.TimedTest.TimedResult;
import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.maximum.Mode;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.support.Recorded;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two minutes, benches, the mile and talk-steps; the work begins a minute after it was opened. */
class TimedTestTest {
  private static final Instant OPENED = Instant.parse("2030-03-04T09:00:00Z");
  private static final int BEGUN = 60;

  private static final TestPlan.Setup TWO_MINUTES =
      new TestPlan.TwoMinute(
          TestPlan.Activity.SIT_TO_STAND, OptionalInt.empty(), TestPosture.SEATED);

  private static final class Scene {
    private final TestPlan plan;
    private final List<TestEvent> events = new ArrayList<>();
    private IntUnaryOperator bpm = second -> 0;

    Scene(TestPerson person, RateSource source, TestPlan.Setup setup) {
      plan = new TestPlan(person, source, setup);
    }

    Scene add(Function<UUID, TestEvent> event) {
      events.add(event.apply(new UUID(0, events.size() + 1)));
      return this;
    }

    static Instant at(int second) {
      return OPENED.plusSeconds((long) BEGUN + second);
    }

    Scene begun() {
      return add(id -> new TestEvent.Begun(id, at(0)));
    }

    Scene count(int second, int beats) {
      return add(id -> new TestEvent.Counted(id, at(second), beats, CountWindow.S15));
    }

    Scene rate(int second, int rate) {
      return add(id -> new TestEvent.ReadOff(id, at(second), rate));
    }

    Scene spoken(int second, int voice) {
      return add(id -> new TestEvent.Spoken(id, at(second), voice));
    }

    Scene repetitions(int count) {
      return add(id -> new TestEvent.Repeated(id, at(200), count));
    }

    Scene rpe(int rpe) {
      return add(id -> new TestEvent.Rated(id, at(122), rpe));
    }

    Scene ended(int second, TestEvent.Reason reason) {
      return add(id -> new TestEvent.Ended(id, at(second), reason, Optional.empty(), ""));
    }

    Scene strap(IntUnaryOperator rate) {
      bpm = rate;
      return this;
    }

    TimedTest now(int second) {
      return TimedTest.of(
          plan,
          OPENED,
          events,
          Recorded.samples(OPENED, BEGUN + second, each -> bpm.applyAsInt(each - BEGUN))
              .trace(OPENED, at(second)),
          at(second));
    }

    TimedResult result(int second) {
      return now(second).result().orElseThrow();
    }
  }

  private static Scene counted(TestPlan.Setup setup) {
    return new Scene(TestPeople.anybody(), RateSource.COUNT, setup);
  }

  private static Scene strap(TestPlan.Setup setup) {
    return new Scene(TestPeople.anybody(), RateSource.STRAP, setup);
  }

  private static List<What> asked(TimedTest test) {
    return test.prompts().stream().map(TestPrompt::what).toList();
  }

  @Test
  void twoMinutesByCounts() {
    Scene scene = counted(TWO_MINUTES);
    assertThat(asked(scene.now(-30))).containsExactly(What.COUNT);
    scene.count(-20, 17);
    assertThat(asked(scene.now(-10))).containsExactly(What.BEGIN);
    scene.begun();
    assertThat(scene.now(119).phase()).isEqualTo(Phase.WORK);
    assertThat(scene.now(120).phase()).isEqualTo(Phase.AFTER);
    assertThat(scene.now(120).prompts().get(0).at()).isEqualTo(Scene.at(120));
    scene.count(136, 26).count(196, 22).count(256, 20).repetitions(31).rpe(12);

    TimedTest test = scene.now(260);
    assertThat(asked(test)).containsExactly(What.CLOSE);
    TimedResult result = test.result().orElseThrow();
    assertThat(result.rise()).hasValue(104 - 68);
    assertThat(result.fall60()).hasValue(104 - 88);
    assertThat(result.fall120()).hasValue(104 - 80);
    assertThat(codes(result)).containsExactly("two-minute-result");
    assertThat(codes(scene.rpe(14).result(260))).contains("two-minute-hard");
  }

  @Test
  void twoMinutesByStrapAreTheMediansAboutTheirMoments() {
    Scene scene =
        strap(TWO_MINUTES)
            .begun()
            .strap(second -> second <= 0 ? 66 : second <= 150 ? 108 : second <= 210 ? 90 : 78);
    TimedResult result = scene.result(250);
    assertThat(result.rise()).hasValue(42);
    assertThat(result.fall60()).hasValue(18);
    assertThat(result.fall120()).hasValue(30);
  }

  @Test
  void stoppedEarlyThereIsNoResultAndTheTimeIsKept() {
    Scene scene = counted(TWO_MINUTES).count(-20, 17).begun().ended(90, TestEvent.Reason.CLIENT);
    assertThat(scene.now(95).work().toSeconds()).isEqualTo(90);
    assertThat(codes(scene.result(95))).containsExactly("two-minute-short");
    assertThat(scene.result(95).rise()).isEmpty();
  }

  @Test
  void theHighBench() {
    Scene scene =
        counted(new TestPlan.Bench(StepBench.HIGH, 24))
            .begun()
            .count(200, 37)
            .add(id -> new TestEvent.PaceKept(id, Scene.at(201), true));
    assertThat(scene.result(202).bpm()).hasValue(148);
    assertThat(scene.result(202).vo2max().single().orElseThrow()).isEqualByComparingTo("49.2");
    scene.add(id -> new TestEvent.PaceKept(id, Scene.at(203), false));
    assertThat(codes(scene.result(204))).containsExactly("step-test-off-pace");
    assertThat(scene.result(204).bpm()).isEmpty();
  }

  @Test
  void theHighBenchByStrapReadsFromFiveToTwentySeconds() {
    Scene scene =
        strap(new TestPlan.Bench(StepBench.HIGH, 22))
            .begun()
            .strap(second -> second <= 185 ? 160 : second <= 200 ? 144 : 120);
    assertThat(scene.now(199).bpm(0)).isEmpty();
    assertThat(scene.now(200).bpm(0)).hasValue(144);
    assertThat(scene.result(201).vo2max().single().orElseThrow()).isEqualByComparingTo("39.2");
  }

  @Test
  void theLowBenchIsComparedWithOnesOwn() {
    Scene scene =
        counted(new TestPlan.Bench(StepBench.LOW, 24))
            .begun()
            .add(id -> new TestEvent.Counted(id, Scene.at(243), 112, CountWindow.S60));
    assertThat(scene.result(244).bpm()).hasValue(112);
    assertThat(scene.result(244).vo2max().isEmpty()).isTrue();
    assertThat(codes(scene.result(244))).containsExactly("own-comparison");
  }

  @Test
  void theMileByItsLastMinute() {
    Scene scene =
        strap(new TestPlan.Mile(true))
            .begun()
            .strap(second -> second <= 810 ? 120 : 135)
            .ended(870, TestEvent.Reason.DONE);
    TimedResult result = scene.result(875);
    assertThat(result.bpm()).hasValue(135);
    assertThat(result.vo2max().single()).isPresent();
    assertThat(
            codes(
                strap(new TestPlan.Mile(true))
                    .begun()
                    .strap(second -> 120)
                    .ended(300, TestEvent.Reason.DONE)
                    .result(310)))
        .containsExactly("mile-no-result");
  }

  private static TestPlan.Setup ladder(boolean lowerOnly) {
    return new TestPlan.TalkLadder(Mode.RUN, "4 km/h, 1 % steeper each step", lowerOnly);
  }

  @Test
  void talkStepsEndWithTheAnswerThatEndsThem() {
    Scene scene =
        strap(ladder(false))
            .begun()
            .strap(second -> second <= 120 ? 110 : second <= 240 ? 125 : 140);
    assertThat(scene.now(30).prompts().get(0).at()).isEqualTo(Scene.at(90));
    scene.spoken(110, 2).spoken(230, 3);
    assertThat(scene.now(235).steps()).hasSize(2);
    assertThat(scene.now(245).steps()).hasSize(3);
    scene.spoken(350, 4);
    TimedTest test = scene.now(352);
    assertThat(test.phase()).isEqualTo(Phase.AFTER);
    TalkSteps talk = test.result().orElseThrow().talk().orElseThrow();
    assertThat(talk.lowerBpm()).hasValue(110);
    assertThat(talk.upperBpm()).hasValue(140);
    assertThat(talk.grade()).isEqualTo(Grade.GOOD);
  }

  @Test
  void aStepWithoutSignalInItsHalfMinuteIsADeparture() {
    Scene scene =
        strap(ladder(false))
            .begun()
            .strap(second -> second > 70 && second < 84 ? 0 : second <= 120 ? 110 : 130)
            .spoken(110, 2)
            .spoken(230, 4);
    TalkSteps talk = scene.result(232).talk().orElseThrow();
    assertThat(talk.departures()).containsExactly("the signal was lost in a step’s half minute");
    assertThat(talk.lowerBpm()).hasValue(110);
  }

  @ParameterizedTest
  @CsvSource({"131, true", "130, false"})
  void withTheLowerRateOnlyItEndsAt60Percent(int bpm, boolean ends) {
    Scene scene = strap(ladder(true)).begun().strap(second -> bpm);
    assertThat(scene.now(60).ends().isEmpty()).isEqualTo(!ends);
    assertThat(strap(ladder(false)).begun().strap(second -> bpm).now(60).ends()).isEmpty();
    assertThat(strap(ladder(true)).begun().spoken(110, 3).now(112).phase()).isEqualTo(Phase.AFTER);
  }

  @Test
  void theCapEndsAnyTest() {
    Scene scene =
        new Scene(TestPeople.capped(120), RateSource.STRAP, TWO_MINUTES)
            .begun()
            .strap(second -> 121);
    assertThat(scene.now(30).ends()).hasSize(1);
  }

  @Test
  void closedItStaysAsItIs() {
    Scene scene =
        counted(TWO_MINUTES)
            .count(-20, 17)
            .begun()
            .ended(90, TestEvent.Reason.CLIENT)
            .add(id -> new TestEvent.Closed(id, Scene.at(100), false));
    assertThat(scene.now(4000).phase()).isEqualTo(Phase.CLOSED);
    assertThat(scene.now(4000).result()).isPresent();
    assertThat(TestPeople.with(EffortContext.PACEMAKER).byEffort()).isTrue();
  }

  private static List<String> codes(TimedResult result) {
    return WorkedFiguresTest.codes(result.findings());
  }
}
