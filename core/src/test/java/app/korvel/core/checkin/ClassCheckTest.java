package app.korvel.core.checkin;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.client;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.checkin.ClassCheck.Call;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.RegionalSettings.Weight;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Measure;
import app.korvel.core.screening.OnRecord;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClassCheckTest {
  private static final Person WELL = adult(45, Activity.SOME);

  private static Call call(int beats, int seconds, boolean again, CheckInContext known) {
    return ClassCheck.of(
            PulseCount.of(beats, CountWindow.of(seconds)),
            Posture.SEATED,
            true,
            again,
            known,
            Optional.empty())
        .call();
  }

  private static Optional<UsualPulse> seated(int bpm) {
    return Optional.of(new UsualPulse(bpm, Posture.SEATED, PulseSource.COUNT));
  }

  private static CheckInContext usual(int bpm) {
    return CheckInContext.of(TODAY, WELL, seated(bpm));
  }

  @ParameterizedTest
  @CsvSource({
    // 17 in 15 s are 68: as usual up to 4 off, an odd first value from 5
    "64, 17, 15, false, AS_USUAL",
    "63, 17, 15, false, COUNT_AGAIN",
    "72, 17, 15, false, AS_USUAL",
    "73, 17, 15, false, COUNT_AGAIN",
    // counted again for a minute, it decides
    "63, 68, 60, true, LIGHT_ONLY",
    "59, 68, 60, true, LIGHT_ONLY",
    "58, 68, 60, true, NOT_TODAY",
    "66, 68, 60, true, AS_USUAL",
    // over 100, settled: first counted again, then not today whatever is usual
    "98, 26, 15, false, COUNT_AGAIN",
    "98, 102, 60, true, NOT_TODAY",
  })
  void aCountIsHeldAgainstTheUsualByTheRulesOfTheCheckIn(
      int usual, int beats, int seconds, boolean again, Call call) {
    assertThat(call(beats, seconds, again, usual(usual))).isEqualTo(call);
  }

  /** Every pulse against a usual one, first and counted again: by the lines of the check-in. */
  @Test
  void everyPulseFindsItsCall() {
    for (int usual : new int[] {44, 64, 97}) {
      for (int bpm = 25; bpm <= 140; bpm++) {
        int off = Math.abs(bpm - usual);
        boolean line = bpm > 100 || bpm < 40;
        Call again =
            line || off >= 10 ? Call.NOT_TODAY : off >= 5 ? Call.LIGHT_ONLY : Call.AS_USUAL;
        assertThat(call(bpm, 60, true, usual(usual)))
            .as(bpm + " for " + usual + ", counted again")
            .isEqualTo(again);
        assertThat(call(bpm, 60, false, usual(usual)))
            .as(bpm + " for " + usual)
            .isEqualTo(again == Call.AS_USUAL ? Call.AS_USUAL : Call.COUNT_AGAIN);
      }
    }
  }

  private static ClassCheck unsettled(int bpm, boolean again, Optional<UsualPulse> usual) {
    return ClassCheck.of(
        PulseCount.of(bpm, CountWindow.S60),
        Posture.SEATED,
        false,
        again,
        CheckInContext.of(TODAY, WELL, usual),
        Optional.empty());
  }

  /** A racing pulse is never as usual, and never “under the line”. */
  @Test
  void overTheLineAndNotYetSettledTheySitAndAreCountedAgain() {
    for (Optional<UsualPulse> usual : List.of(seated(97), Optional.<UsualPulse>empty())) {
      ClassCheck first = unsettled(150, false, usual);
      assertThat(first.call()).isEqualTo(Call.COUNT_AGAIN);
      assertThat(first.findings().get(0).message()).startsWith("Sit for 5 min");
      assertThat(unsettled(150, true, usual).call()).isEqualTo(Call.NOT_TODAY);
      assertThat(unsettled(104, true, usual).call()).isEqualTo(Call.NOT_TODAY);
    }
  }

  @Test
  void anotherPostureThanTheUsualOneIsCountedAgainHowOftenItMayBe() {
    CheckInContext lying =
        CheckInContext.of(
            TODAY, WELL, Optional.of(new UsualPulse(60, Posture.LYING, PulseSource.COUNT)));
    assertThat(call(16, 15, false, lying)).isEqualTo(Call.COUNT_AGAIN);
    assertThat(call(64, 60, true, lying)).isEqualTo(Call.COUNT_AGAIN);
    assertThat(call(104, 60, true, lying)).isEqualTo(Call.NOT_TODAY);
  }

  @Test
  void withoutAUsualValueTheAbsoluteLinesAloneDecide() {
    CheckInContext nothing = CheckInContext.of(TODAY, WELL, Optional.empty());
    assertThat(call(17, 15, false, nothing)).isEqualTo(Call.NO_USUAL_VALUE);
    assertThat(Call.NO_USUAL_VALUE.displayName()).isEqualTo("No usual value yet; below the limit");
    assertThat(call(26, 15, false, nothing)).isEqualTo(Call.COUNT_AGAIN);
    assertThat(call(9, 15, false, nothing)).isEqualTo(Call.COUNT_AGAIN);
    assertThat(call(104, 60, true, nothing)).isEqualTo(Call.NOT_TODAY);
  }

  @Test
  void whomTheScreeningStopsIsNotCountedAgain() {
    CheckInContext stopped =
        new CheckInContext(
            TODAY,
            WELL,
            seated(50),
            OptionalInt.empty(),
            Effects.NONE,
            List.of(),
            Optional.of(CheckInFinding.SCREENING_STOPS.of("A doctor's clearance comes first.")),
            Weight.KG);
    assertThat(call(17, 15, false, stopped)).isEqualTo(Call.NOT_TODAY);
  }

  /** Nobody is a go of whom nothing has been decided. */
  @Test
  void whoHasNotBeenScreenedIsScreenedFirst() {
    CheckInContext open =
        CheckInContext.of(
            TODAY,
            Screening.of(client(WELL), Optional.empty(), OnRecord.NOTHING, TODAY, ZONE),
            seated(68));
    assertThat(call(17, 15, false, open)).isEqualTo(Call.SCREEN_FIRST);
    assertThat(Call.SCREEN_FIRST.talk()).isTrue();
  }

  @Test
  void whatTheContextAsksForIsLeftToTheCheckIn() {
    Effects asking =
        new Effects(
            Effects.NONE.steering(),
            20,
            5,
            5,
            List.of(),
            List.of("sugar"),
            List.of(),
            List.of(Measure.GLUCOSE),
            List.of());
    CheckInContext known =
        new CheckInContext(
            TODAY,
            WELL,
            seated(68),
            OptionalInt.empty(),
            asking,
            List.of(),
            Optional.empty(),
            Weight.KG);
    ClassCheck check =
        ClassCheck.of(
            PulseCount.of(17, CountWindow.S15),
            Posture.SEATED,
            true,
            false,
            known,
            Optional.empty());
    assertThat(check.call()).isEqualTo(Call.AS_USUAL);
    assertThat(check.alsoAsked()).containsExactly("glucose", "has sugar");
    assertThat(check.nothingAgainst()).isFalse();
    assertThat(check.findings())
        .extracting(Finding::code)
        .containsExactly("pulse-as-usual", "nothing-against");
  }

  @ParameterizedTest
  @CsvSource({
    // usual 64: 16 in 15 s are as usual, 19 a first odd value
    "16, GO, AS_USUAL",
    "16, LIGHT_ONLY, LIGHT_ONLY",
    "16, COUNT_AGAIN, AS_USUAL",
    "16, NOT_TODAY, NOT_TODAY",
    "19, LIGHT_ONLY, COUNT_AGAIN",
    "19, NOT_TODAY, NOT_TODAY",
  })
  void aStricterCheckInOfTheDayStands(int beats, Outcome checkedIn, Call call) {
    ClassCheck check =
        ClassCheck.of(
            PulseCount.of(beats, CountWindow.S15),
            Posture.SEATED,
            true,
            false,
            usual(64),
            Optional.of(checkedIn));
    assertThat(check.call()).isEqualTo(call);
    assertThat(check.findings().get(0).code().equals("checked-in-stricter"))
        .isEqualTo(call == Call.LIGHT_ONLY || call == Call.NOT_TODAY);
    assertThat(check.findings().stream().anyMatch(said -> said.code().equals("nothing-against")))
        .isEqualTo(call == Call.AS_USUAL);
  }

  @Test
  void thoseToTalkToComeFirst() {
    assertThat(List.of(Call.values()).stream().filter(Call::talk))
        .containsExactly(Call.NOT_TODAY, Call.SCREEN_FIRST, Call.COUNT_AGAIN, Call.LIGHT_ONLY);
    assertThat(Call.AS_USUAL).isGreaterThan(Call.LIGHT_ONLY);
  }
}
