package app.korvel.core.fieldtest;

import static app.korvel.core.fieldtest.FieldTestProtocol.HARD_HALF_HOUR;
import static app.korvel.core.fieldtest.FieldTestProtocol.HILL_REPEATS;
import static app.korvel.core.fieldtest.FieldTestProtocol.RAMP;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.fieldtest.FieldTestEvent.Kind;
import app.korvel.core.fieldtest.FieldTestRun.Phase;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.PulseSource;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Moments are minutes and seconds since the clock of the test was started. */
class FieldTestRunTest {
  private static final Instant START = Instant.parse("2026-05-20T09:00:00Z");

  /** A test that is being run, checked at every step as the server does. */
  private static final class Script {
    private final FieldTest test;
    private final List<FieldTestEvent> events = new ArrayList<>();
    private long ids;

    Script(FieldTestProtocol protocol) {
      test =
          FieldTest.begin(
              new UUID(1, 1),
              protocol,
              protocol.modes().get(0),
              0,
              EnumSet.allOf(Assurance.class),
              START);
    }

    FieldTestRun run() {
      return FieldTestRun.of(test, events);
    }

    FieldTestRun.RunStatus at(String clock) {
      return run().at(moment(clock));
    }

    Script add(FieldTestEvent event) {
      run().check(event, event.at());
      events.add(event);
      return this;
    }

    UUID id() {
      return new UUID(2, ++ids);
    }

    Script bout(String clock) {
      return add(FieldTestEvent.of(id(), moment(clock), Kind.BOUT_STARTED));
    }

    Script read(String clock, int bpm) {
      return read(clock, bpm, PulseSource.STRAP);
    }

    Script read(String clock, int bpm, PulseSource source) {
      return add(FieldTestEvent.reading(id(), moment(clock), bpm, source));
    }

    Script say(String clock, int bout, boolean yes) {
      return add(FieldTestEvent.answered(id(), moment(clock), bout, yes));
    }

    Script is(String clock, Kind kind) {
      return add(FieldTestEvent.of(id(), moment(clock), kind));
    }

    FieldTestResult result() {
      return FieldTestResult.of(run());
    }
  }

  private static Instant moment(String clock) {
    String[] parts = clock.split(":");
    return START
        .plus(Duration.ofMinutes(Long.parseLong(parts[0])))
        .plusSeconds(Long.parseLong(parts[1]));
  }

  /** Three bouts from minute 15 on, three and a half minutes easy between. */
  private static Script hills() {
    return new Script(HILL_REPEATS)
        .bout("15:00")
        .read("16:58", 181)
        .say("17:30", 1, true)
        .bout("20:30")
        .read("22:25", 186)
        .say("23:00", 2, true)
        .bout("26:00")
        .read("27:40", 187)
        .read("28:10", 188)
        .say("28:20", 3, true);
  }

  @Test
  void theClockGoesFromWarmUpThroughBoutsAndRests() {
    Script script = new Script(HILL_REPEATS);
    assertThat(script.at("0:00").phase()).isEqualTo(Phase.WARM_UP);
    assertThat(script.at("14:59").until()).contains(moment("15:00"));
    assertThat(script.at("14:59").mayStart()).isFalse();
    assertThat(script.at("15:00").phase()).isEqualTo(Phase.READY);
    script.bout("15:10");
    assertThat(script.at("17:09").phase()).isEqualTo(Phase.BOUT);
    assertThat(script.at("17:09").until()).contains(moment("17:10"));
    FieldTestRun.RunStatus rest = script.at("17:10");
    assertThat(rest.phase()).isEqualTo(Phase.REST);
    assertThat(rest.bout()).isEqualTo(1);
    assertThat(rest.until()).contains(moment("20:10"));
    assertThat(rest.latest()).contains(moment("21:10"));
    assertThat(rest.mayStart()).isFalse();
    assertThat(script.at("20:10").mayStart()).isTrue();
    script.bout("20:10").bout("25:10");
    assertThat(script.at("27:10").until()).as("there is no fourth").isEmpty();
    assertThat(script.at("40:00").mayStart()).isFalse();
    script.is("40:00", Kind.FINISHED);
    assertThat(script.at("50:00").phase()).isEqualTo(Phase.DONE);
    assertThat(script.at("50:00").since()).isEqualTo(moment("40:00"));
  }

  @Test
  void whatWasWarmedUpBeforeCounts() {
    FieldTest test =
        FieldTest.begin(
            new UUID(1, 1), RAMP, Mode.STAIRS, 12, EnumSet.allOf(Assurance.class), START);
    assertThat(FieldTestRun.of(test, List.of()).at(moment("2:59")).phase())
        .isEqualTo(Phase.WARM_UP);
    assertThat(FieldTestRun.of(test, List.of()).at(moment("3:00")).phase()).isEqualTo(Phase.READY);
  }

  @Test
  void evenRepeatsAreGoodAndTheBestReadingCounts() {
    FieldTestResult result = hills().is("29:00", Kind.FINISHED).result();
    assertThat(result.departures()).isEmpty();
    assertThat(result.grade()).isEqualTo(Grade.GOOD);
    assertThat(result.peak().orElseThrow().bpm()).isEqualTo(188);
    assertThat(result.finding().message()).isEqualTo("A maximum of 188 is proposed.");
  }

  @Test
  void oneDepartureIsFairAndTwoArePoor() {
    Script one = hills().say("28:30", 3, false).is("29:00", Kind.FINISHED);
    assertThat(one.result().departures())
        .containsExactly("not so in bout 3: second half no slower than the first");
    assertThat(one.result().grade()).isEqualTo(Grade.FAIR);
    one.say("30:00", 2, false);
    assertThat(one.result().grade()).isEqualTo(Grade.POOR);
    assertThat(one.result().finding().code()).isEqualTo("field-test-poor");
  }

  @Test
  void everyWayToDepartIsNamed() {
    Script script =
        new Script(HILL_REPEATS)
            .bout("15:00")
            .is("16:30", Kind.BOUT_ENDED)
            .read("16:50", 176, PulseSource.COUNT)
            .say("17:00", 1, true)
            .bout("21:00")
            .is("24:00", Kind.FINISHED);
    assertThat(script.result().departures())
        .containsExactly(
            "cut short in bout 1",
            "no reading that counts in bout 2",
            "not said in bout 2: second half no slower than the first",
            "rested 4 min 30 s before bout 2, over 4 min",
            "bout 3 left out",
            "the peak was counted by hand, while the rate was falling");
  }

  @Test
  void aRestALittleTooLongIsLetPass() {
    Script script = new Script(HILL_REPEATS).bout("15:00").bout("21:15");
    assertThat(script.result().departures()).noneMatch(each -> each.startsWith("rested"));
  }

  @Test
  void aRampEndsAtAPlateauWithinTwo() {
    Script script =
        new Script(RAMP)
            .bout("15:00")
            .read("17:00", 168)
            .bout("18:00")
            .read("20:00", 177)
            .say("20:10", 2, true);
    assertThat(script.at("20:20").plateau()).isFalse();
    assertThat(script.result().grade()).isEqualTo(Grade.POOR);
    script.bout("21:00").read("23:00", 179).say("23:10", 3, true);
    assertThat(script.at("23:20").plateau()).isTrue();
    FieldTestResult result = script.is("23:30", Kind.FINISHED).result();
    assertThat(result.departures()).isEmpty();
    assertThat(result.grade()).isEqualTo(Grade.GOOD);
    assertThat(result.peak().orElseThrow().bpm()).isEqualTo(179);
  }

  @Test
  void aRampThatStillRisesIsPoorHoweverWellItWasRun() {
    FieldTestResult result =
        new Script(RAMP)
            .bout("15:00")
            .read("17:00", 174)
            .bout("17:30")
            .read("19:30", 177)
            .say("19:40", 2, true)
            .is("20:00", Kind.FINISHED)
            .result();
    assertThat(result.grade()).isEqualTo(Grade.POOR);
    assertThat(result.departures()).hasSize(1);
    assertThat(result.departures().get(0)).startsWith("no plateau");
  }

  @Test
  void ofAHardHalfHourOnlyTheLastTenMinutesCount() {
    Script script =
        new Script(HARD_HALF_HOUR)
            .bout("15:00")
            .read("34:59", 190)
            .read("35:00", 183)
            .read("44:40", 185);
    FieldTestResult result = script.say("45:30", 1, true).is("46:00", Kind.FINISHED).result();
    assertThat(result.peak().orElseThrow().bpm()).isEqualTo(185);
    assertThat(result.grade()).isEqualTo(Grade.GOOD);
  }

  @Test
  void aHalfHourThatEndsEarlyHasNoPeak() {
    FieldTestResult result =
        new Script(HARD_HALF_HOUR)
            .bout("15:00")
            .read("30:00", 182)
            .is("33:00", Kind.FINISHED)
            .result();
    assertThat(result.peak()).isEmpty();
    assertThat(result.finding().code()).isEqualTo("field-test-no-peak");
  }

  @Test
  void aReadingThatIsTakenBackIsGone() {
    Script script = new Script(HILL_REPEATS).bout("15:00").read("16:00", 199).read("16:58", 181);
    UUID wrong = script.run().bouts().get(0).readings().get(0).id();
    script.add(FieldTestEvent.takenBack(script.id(), moment("17:05"), wrong));
    assertThat(script.run().peak().orElseThrow().bpm()).isEqualTo(181);
    assertThatThrownBy(
            () -> script.add(FieldTestEvent.takenBack(script.id(), moment("17:06"), wrong)))
        .hasMessageContaining("no such reading");
  }

  @Test
  void stoppedAtASignItProposesNothing() {
    Script script = hills();
    script.add(FieldTestEvent.stopped(script.id(), moment("28:40"), "dizzy"));
    assertThat(script.at("28:41").phase()).isEqualTo(Phase.STOPPED);
    assertThat(script.result().peak()).isEmpty();
    assertThat(script.result().finding().message())
        .isEqualTo("Stopped: dizzy. Nothing is proposed.");
    assertThatThrownBy(() -> script.say("28:50", 3, true)).hasMessageContaining("over");
    assertThatThrownBy(() -> script.is("28:50", Kind.FINISHED)).hasMessageContaining("over");
  }

  @Test
  void aStopOrAFinishPressedByMistakeIsTakenBackAndTheClockHasGoneOn() {
    Script script = new Script(HILL_REPEATS).bout("15:00");
    UUID stop = script.id();
    script.add(FieldTestEvent.stopped(stop, moment("16:00"), "dizzy"));
    assertThat(script.run().overBy()).contains(stop);
    script.add(FieldTestEvent.takenBack(script.id(), moment("16:10"), stop));
    assertThat(script.at("16:10").phase()).isEqualTo(Phase.BOUT);
    assertThat(script.at("17:00").phase()).isEqualTo(Phase.REST);
    assertThat(script.run().bouts().get(0).whole()).isTrue();
    script.is("18:00", Kind.FINISHED);
    UUID finish = script.run().overBy().orElseThrow();
    script.add(FieldTestEvent.takenBack(script.id(), moment("18:05"), finish));
    assertThat(script.at("20:00").mayStart()).isTrue();
  }

  @Test
  void calledOffInTheWarmUpItProposesNothingAndNoSignIsRecorded() {
    Script script = new Script(RAMP).is("4:00", Kind.FINISHED);
    assertThat(script.at("5:00").phase()).isEqualTo(Phase.DONE);
    assertThat(script.result().finding().code()).isEqualTo("field-test-no-peak");
    assertThat(script.run().stoppedAt()).isEmpty();
  }

  @Test
  void theSeriesCutAnywhereStandsWhereItStood() {
    Script whole = hills().is("29:00", Kind.FINISHED);
    for (int seen = 0; seen <= whole.events.size(); seen++) {
      List<FieldTestEvent> before = whole.events.subList(0, seen);
      FieldTestRun once = FieldTestRun.of(whole.test, before);
      FieldTestRun again = FieldTestRun.of(whole.test, List.copyOf(before));
      assertThat(again).isEqualTo(once);
      assertThat(again.at(moment("60:00"))).isEqualTo(once.at(moment("60:00")));
    }
  }

  private static void refused(Script script, FieldTestEvent event, String why) {
    assertThatThrownBy(() -> script.run().check(event, event.at()))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining(why);
  }

  @Test
  void whatCannotHaveHappenedIsRefused() {
    Script script = new Script(HILL_REPEATS);
    UUID id = new UUID(9, 9);
    refused(script, FieldTestEvent.of(id, moment("14:59"), Kind.BOUT_STARTED), "warm-up");
    refused(script, FieldTestEvent.of(id, moment("1:00"), Kind.BOUT_ENDED), "no bout is on");
    refused(script, FieldTestEvent.reading(id, moment("1:00"), 120, PulseSource.STRAP), "no bout");
    refused(script, FieldTestEvent.answered(id, moment("1:00"), 1, true), "not asked about");
    script.bout("15:00");
    refused(script, FieldTestEvent.of(id, moment("16:00"), Kind.BOUT_STARTED), "on already");
    refused(script, FieldTestEvent.of(id, moment("14:00"), Kind.BOUT_ENDED), "comes before");
    refused(
        script,
        FieldTestEvent.reading(id, moment("16:00"), 231, PulseSource.STRAP),
        "outside the accepted range");
    refused(
        script,
        FieldTestEvent.reading(id, moment("16:00"), 59, PulseSource.STRAP),
        "outside the accepted range");
    refused(
        script, FieldTestEvent.reading(id, moment("16:00"), 180, PulseSource.OVERNIGHT), "source");
    refused(
        script, FieldTestEvent.reading(id, moment("17:46"), 180, PulseSource.STRAP), "too late");
    refused(script, FieldTestEvent.of(id, moment("19:59"), Kind.BOUT_STARTED), "too short");
    refused(script, FieldTestEvent.answered(id, moment("18:00"), 2, true), "not asked about");
    refused(script, FieldTestEvent.stopped(id, moment("18:00"), " "), "words");
    assertThatThrownBy(
            () ->
                script
                    .run()
                    .check(
                        FieldTestEvent.of(id, moment("20:06"), Kind.BOUT_STARTED), moment("20:00")))
        .hasMessageContaining("future");
    script.read("17:45", 180);
    assertThat(script.run().peak().orElseThrow().bpm()).isEqualTo(180);
  }

  @Test
  void noTestBeginsBeforeAllIsMadeSureOf() {
    for (Assurance missing : Assurance.values()) {
      Set<Assurance> rest = EnumSet.complementOf(EnumSet.of(missing));
      assertThatThrownBy(() -> FieldTest.begin(new UUID(1, 1), RAMP, Mode.STAIRS, 0, rest, START))
          .isInstanceOf(InvalidValueException.class)
          .hasMessageContaining(missing.displayName());
    }
    Set<Assurance> all = EnumSet.allOf(Assurance.class);
    assertThatThrownBy(() -> FieldTest.begin(new UUID(1, 1), RAMP, Mode.SWIM, 61, all, START))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused ->
                assertThat(refused.faults())
                    .extracting(InvalidValueException.Fault::accepted)
                    .containsExactly("stairs, other", "0 to 60 minutes"));
  }
}
