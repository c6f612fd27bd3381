package app.korvel.studio.demo;

import app.korvel.core.assessment.GradedProtocol;
import app.korvel.core.assessment.GradedProtocol.Stage;
import app.korvel.core.assessment.LaboratoryUptake;
import app.korvel.core.assessment.StageWork;
import app.korvel.core.assessment.TestEvent;
import app.korvel.core.assessment.TestKind;
import app.korvel.core.assessment.TestPlan;
import app.korvel.core.assessment.TestPosture;
import app.korvel.core.assessment.TestTarget;
import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.maximum.Mode;
import app.korvel.core.pulse.CountWindow;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.store.AssessmentRepository.OpenedTest;
import app.korvel.studio.Actor;
import app.korvel.studio.Replay;
import app.korvel.studio.Studio;
import app.korvel.studio.assessment.OpenTest;
import app.korvel.studio.assessment.OwnProtocols;
import app.korvel.studio.assessment.RecordLaboratory;
import app.korvel.studio.assessment.RecordTestEvent;
import app.korvel.studio.assessment.SimulateTest;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.IntStream;

/** Tests of the demo: a graded one with its sheet, two minutes and again after three months. */
record TestsDone(
    Studio studio,
    Replay replay,
    Actor who,
    Function<String, UUID> id,
    TalkChecks.At at,
    CheckIn checkIn) {

  /** Checks somebody in, and finds nothing in the way. */
  interface CheckIn {
    void of(UUID client);
  }

  private static final String GRADED = "Tomasz Wielgor";
  private static final String TWO_MINUTES = "Agnethe Moravik";
  private static final String IN_LABORATORY = "Tindra Vossberg";

  /** Where in a stage the pressure is entered, and the RPE. */
  private static final int PRESSURE_AT = 150;

  private static final int RPE_AT = 175;
  private static final int STAGE = 180;

  /** Asks for all of it to be done in its time. */
  void ask() {
    replay.at(at.of(160, 9, 0), this::protocol);
    replay.at(at.of(140, 9, 0), this::laboratory);
    twoMinutes(at.of(101, 10, 0), 18, 25, 22, 20, 26);
    twoMinutes(at.of(9, 10, 0), 17, 22, 19, 18, 26);
    Instant start = at.of(26, 16, 0);
    replay.at(start, () -> graded(start));
  }

  private void protocol() {
    List<Stage> stages =
        IntStream.rangeClosed(1, 6)
            .mapToObj(n -> new Stage(new StageWork.Cycle(20 * n), Duration.ofMinutes(2)))
            .toList();
    new OwnProtocols(studio)
        .add(
            who,
            own -> GradedProtocol.own(own, "Shed cycle, 20 W every 2 min", Mode.CYCLE, stages, 2));
  }

  private void laboratory() {
    new RecordLaboratory(studio)
        .by(
            who,
            id.apply(IN_LABORATORY),
            stamp ->
                new LaboratoryUptake(
                    stamp.id(),
                    Mode.CYCLE,
                    new BigDecimal("41.8"),
                    studio.today().minusDays(3),
                    "Diabetes clinic, county hospital",
                    "",
                    stamp.at()));
  }

  private void happened(
      OpenedTest test, Instant start, int seconds, BiFunction<UUID, Instant, TestEvent> event) {
    replay.at(
        start.plusSeconds(seconds),
        () ->
            new RecordTestEvent(studio)
                .by(who, test.id(), event.apply(studio.nextId(), studio.now())));
  }

  private void counted(OpenedTest test, Instant start, int seconds, int beats) {
    happened(
        test,
        start,
        seconds,
        (event, moment) -> new TestEvent.Counted(event, moment, beats, CountWindow.S15));
  }

  private void twoMinutes(
      Instant start, int resting, int first, int later, int last, int repetitions) {
    replay.at(
        start,
        () -> {
          UUID client = id.apply(TWO_MINUTES);
          checkIn.of(client);
          OpenedTest test =
              new OpenTest(studio)
                  .by(
                      who,
                      client,
                      new OpenTest.Wanted(
                          TestKind.TWO_MINUTE,
                          RateSource.COUNT,
                          new OpenTest.Timed(
                              Optional.of(TestPlan.Activity.SIT_TO_STAND),
                              OptionalInt.empty(),
                              Optional.of(TestPosture.SEATED),
                              OptionalInt.empty(),
                              Optional.empty(),
                              ""),
                          Optional.empty(),
                          Optional.empty(),
                          1,
                          true));
          counted(test, start, 300, resting);
          happened(test, start, 310, TestEvent.Begun::new);
          counted(test, start, 446, first);
          counted(test, start, 506, later);
          counted(test, start, 566, last);
          happened(
              test,
              start,
              570,
              (event, moment) -> new TestEvent.Repeated(event, moment, repetitions));
          happened(test, start, 575, (event, moment) -> new TestEvent.Rated(event, moment, 11));
          happened(test, start, 600, (event, moment) -> new TestEvent.Closed(event, moment, false));
        });
  }

  /** To 85 % of reserve, in the fourth stage; recovered after eight minutes. */
  private void graded(Instant start) {
    UUID client = id.apply(GRADED);
    checkIn.of(client);
    OpenedTest test =
        new OpenTest(studio)
            .by(
                who,
                client,
                new OpenTest.Wanted(
                    TestKind.GRADED,
                    RateSource.STRAP,
                    OpenTest.Timed.NOTHING,
                    Optional.of(
                        new OpenTest.Graded(
                            "bruce",
                            Optional.of(new OpenTest.Target(TestTarget.Kind.RESERVE, 85)),
                            false,
                            "Ilse Marrowby, exercise physiologist",
                            TestPosture.LYING,
                            Optional.empty(),
                            true)),
                    Optional.of(SimulatedStrap.Fault.NONE),
                    1,
                    true));
    posture(test, start, 10, TestPosture.LYING);
    vitals(test, start, 195, 118, 76, 6);
    posture(test, start, 210, TestPosture.STANDING);
    vitals(test, start, 275, 122, 80, 6);
    int begun = 300;
    simulated(test, start, begun - 1);
    happened(test, start, begun, TestEvent.Begun::new);
    int[][] stages = {{138, 78, 9}, {154, 80, 12}, {170, 80, 14}};
    for (int n = 0; n < stages.length; n++) {
      int[] stage = stages[n];
      int from = begun + n * STAGE;
      pressure(test, start, from + PRESSURE_AT, stage[0], stage[1]);
      happened(
          test,
          start,
          from + RPE_AT,
          (event, moment) -> new TestEvent.Rated(event, moment, stage[2]));
    }
    int end = begun + 3 * STAGE + 70;
    happened(
        test, start, end - 30, (event, moment) -> new TestEvent.Walked(event, moment, 4, false));
    simulated(test, start, end);
    happened(
        test,
        start,
        end,
        (event, moment) ->
            new TestEvent.Ended(event, moment, TestEvent.Reason.TARGET, Optional.empty(), ""));
    posture(test, start, end + 8, TestPosture.LYING);
    int[][] recovery = {
      {60, 164, 78}, {120, 150, 76}, {180, 140, 76}, {300, 128, 76}, {360, 124, 76}, {480, 120, 76}
    };
    for (int[] reading : recovery) {
      vitals(test, start, end + reading[0], reading[1], reading[2], 6);
      happened(
          test,
          start,
          end + reading[0] + 4,
          (event, moment) -> new TestEvent.Symptoms(event, moment, false, ""));
    }
    simulated(test, start, end + 500);
    happened(test, start, end + 510, (event, moment) -> new TestEvent.Closed(event, moment, false));
  }

  private void simulated(OpenedTest test, Instant start, int seconds) {
    Instant until = start.plusSeconds(seconds);
    replay.at(until, () -> new SimulateTest(studio).by(who, test.id(), until));
  }

  private void posture(OpenedTest test, Instant start, int seconds, TestPosture posture) {
    happened(
        test, start, seconds, (event, moment) -> new TestEvent.Posture(event, moment, posture));
  }

  private void vitals(
      OpenedTest test, Instant start, int seconds, int systolic, int diastolic, int rpe) {
    pressure(test, start, seconds, systolic, diastolic);
    happened(test, start, seconds + 2, (event, moment) -> new TestEvent.Rated(event, moment, rpe));
  }

  private void pressure(OpenedTest test, Instant start, int seconds, int systolic, int diastolic) {
    happened(
        test,
        start,
        seconds,
        (event, moment) ->
            new TestEvent.Pressure(
                event, moment, new BloodPressure(systolic, diastolic), moment.minusSeconds(25)));
  }
}
