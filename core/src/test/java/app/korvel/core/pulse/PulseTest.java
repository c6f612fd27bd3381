package app.korvel.core.pulse;

import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.having;
import static app.korvel.core.support.People.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Person;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PulseTest {
  private static final Instant NOW = Instant.parse("2026-05-20T08:00:00Z");

  @ParameterizedTest
  @CsvSource({"17,15,68,4", "11,10,66,6", "7,6,70,10", "34,30,68,2", "68,60,68,1", "4,10,24,6"})
  void beatsTimesSixtyOverTheWindow(int beats, int seconds, int bpm, int uncertainty) {
    PulseCount count = PulseCount.of(beats, CountWindow.of(seconds));
    assertThat(count.bpm()).isEqualTo(bpm);
    assertThat(count.uncertaintyBpm()).isEqualTo(uncertainty);
  }

  @ParameterizedTest
  @CsvSource({"-1,15", "0,15", "4,15", "61,15", "3,10", "41,10", "19,60", "241,60", "1,6", "25,6"})
  void countsThatAreNoPulseAreRefusedWithTheRangeThatIs(int beats, int seconds) {
    assertThatThrownBy(() -> PulseCount.of(beats, CountWindow.of(seconds)))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            invalid -> {
              assertThat(invalid.faults().get(0).field()).isEqualTo("beats");
              assertThat(invalid.faults().get(0).accepted()).contains("whole beats in " + seconds);
            });
  }

  @ParameterizedTest
  @CsvSource({"5,15", "60,15", "4,10", "40,10", "20,60", "240,60", "2,6", "24,6"})
  void theEdgesAreAccepted(int beats, int seconds) {
    assertThat(PulseCount.of(beats, CountWindow.of(seconds)).bpm()).isBetween(20, 240);
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 5, 7, 20, 61})
  void otherWindowsAreRefused(int seconds) {
    assertThatThrownBy(() -> CountWindow.of(seconds)).hasMessageContaining("windowSeconds");
  }

  private static RestingReading reading(
      int beats, int seconds, Posture posture, int rested, Confounder... disturbances) {
    return RestingReading.counted(
        new UUID(0, 1),
        NOW,
        PulseCount.of(beats, CountWindow.of(seconds)),
        posture,
        rested,
        Set.of(disturbances));
  }

  @Test
  void gradesFollowTheOneTable() {
    assertThat(reading(64, 60, Posture.SEATED, 5).grade()).isEqualTo(Grade.GOOD);
    assertThat(reading(32, 30, Posture.LYING, 10).grade()).isEqualTo(Grade.GOOD);
    assertThat(reading(16, 15, Posture.SEATED, 5).grade()).isEqualTo(Grade.FAIR);
    assertThat(reading(64, 60, Posture.SEATED, 4).grade()).isEqualTo(Grade.FAIR);
    assertThat(reading(64, 60, Posture.STANDING, 5).grade()).isEqualTo(Grade.FAIR);
    assertThat(reading(64, 60, Posture.SEATED, 5, Confounder.CAFFEINE).grade())
        .isEqualTo(Grade.FAIR);
    assertThat(reading(16, 15, Posture.SEATED, 0).grade()).isEqualTo(Grade.POOR);
    assertThat(reading(11, 10, Posture.SEATED, 5).grade()).isEqualTo(Grade.POOR);
    assertThat(reading(7, 6, Posture.SEATED, 5).grade()).isEqualTo(Grade.POOR);
    assertThat(
            RestingReading.sampled(
                    new UUID(0, 1), NOW, 61, Posture.SEATED, PulseSource.STRAP, 5, Set.of())
                .grade())
        .isEqualTo(Grade.GOOD);
  }

  private static RestingReading tapped(int seconds, int rested) {
    return RestingReading.tapped(
        new UUID(0, 1), NOW, 64, seconds, Posture.SEATED, rested, Set.of());
  }

  private static RestingReading uneven(RestingReading reading) {
    return reading.withFelt(
        new Palpation(Optional.empty(), Optional.of(Rhythm.UNEVEN), Optional.empty()));
  }

  @Test
  void tappingIsWorthAsMuchAsACountOfThatLength() {
    assertThat(tapped(30, 5).grade()).isEqualTo(Grade.GOOD);
    assertThat(tapped(29, 5).grade()).isEqualTo(Grade.FAIR);
    assertThat(tapped(29, 5).departures()).containsExactly("tapped for 29 s, under 30");
    assertThat(tapped(11, 5).grade()).isEqualTo(Grade.FAIR);
    assertThat(tapped(10, 5).grade()).isEqualTo(Grade.POOR);
    assertThat(tapped(40, 0).grade()).isEqualTo(Grade.FAIR);
    assertThatThrownBy(() -> tapped(5_001, 5)).isInstanceOf(InvalidValueException.class);
  }

  @Test
  void anUnevenPulseAsksForAFullMinute() {
    assertThat(uneven(reading(64, 60, Posture.SEATED, 5)).grade()).isEqualTo(Grade.GOOD);
    RestingReading half = uneven(reading(32, 30, Posture.SEATED, 5));
    assertThat(half.grade()).isEqualTo(Grade.FAIR);
    assertThat(half.departures()).containsExactly("uneven, and not counted for a full minute");
    assertThat(uneven(tapped(59, 5)).grade()).isEqualTo(Grade.FAIR);
    assertThat(uneven(tapped(60, 5)).grade()).isEqualTo(Grade.GOOD);
  }

  @Test
  void whatTheHandNoticedStaysThroughACorrectionOfMoment() {
    RestingReading reading =
        tapped(42, 5)
            .withFelt(
                new Palpation(
                    Optional.of(PulseSite.CHEST),
                    Optional.of(Rhythm.STEADY),
                    Optional.of(Strength.BOUNDING)));
    RestingReading moved = reading.withTakenAt(NOW.minusSeconds(60)).withId(new UUID(0, 2));
    assertThat(moved.felt()).isEqualTo(reading.felt());
    assertThat(moved.tappedSeconds()).contains(42);
    assertThat(moved.grade()).isEqualTo(Grade.GOOD);
  }

  @Test
  void aLengthBelongsToTapsAndACountToCounting() {
    assertThatThrownBy(
            () ->
                RestingReading.sampled(
                    new UUID(0, 1), NOW, 61, Posture.SEATED, PulseSource.TAP, 5, Set.of()))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(
            () ->
                RestingReading.sampled(
                    new UUID(0, 1), NOW, 61, Posture.SEATED, PulseSource.COUNT, 5, Set.of()))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void quietTimesBeginWithTheStandardOne() {
    assertThat(RestingReading.QUIET_TIMES).containsExactly(5, 10, 15);
  }

  @Test
  void anUnevenRhythmIsJudgedBesideTheRateUnlessItIsKnown() {
    RestingReading uneven = uneven(reading(64, 60, Posture.SEATED, 5));
    assertThat(UsualResting.judge(uneven, adult(45, Activity.SOME)))
        .extracting(Finding::code)
        .containsExactly("reading-uneven", "resting-usual");
    assertThat(UsualResting.judge(uneven, having(45, Activity.SOME, Condition.IRREGULAR_RHYTHM)))
        .extracting(Finding::code)
        .containsExactly("resting-usual");
  }

  @Test
  void theNeckIsNotFeltWhereItMustNotBe() {
    for (Condition neck : new Condition[] {Condition.CAROTID_DISEASE, Condition.NECK_FAINTING}) {
      Person person = having(45, Activity.SOME, neck);
      assertThat(PulseSite.openTo(person)).containsExactly(PulseSite.RADIAL, PulseSite.CHEST);
      assertThatThrownBy(() -> PulseSite.CAROTID.check(person))
          .isInstanceOfSatisfying(
              InvalidValueException.class,
              invalid -> {
                assertThat(invalid.faults().get(0).field()).isEqualTo("site");
                assertThat(invalid.faults().get(0).accepted()).isEqualTo("Wrist; Stethoscope");
              });
      PulseSite.RADIAL.check(person);
    }
    assertThat(PulseSite.openTo(adult(45, Activity.SOME))).hasSize(3);
  }

  @Test
  void everyRateAtRestHasItsAdvice() {
    assertThat(UsualResting.at(45).spans())
        .extracting(UsualResting.Span::rates)
        .containsExactly("over 100", "60 to 100", "40 to 59", "under 40");
    assertThat(UsualResting.at(11).spans())
        .extracting(UsualResting.Span::rates)
        .containsExactly("over 120", "70 to 120", "50 to 69", "under 50");
  }

  @Test
  void aRateThatIsNoRestingPulseIsRefusedAtTheBeats() {
    assertThatThrownBy(() -> reading(40, 15, Posture.SEATED, 5))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            invalid -> {
              assertThat(invalid.faults().get(0).field()).isEqualTo("beats");
              assertThat(invalid.faults().get(0).accepted()).contains("25 to 150 bpm");
            });
  }

  @ParameterizedTest
  @CsvSource({
    // bpm, age, activity, beta-blocker, settled -> code
    "60, 45, SOME, false, true, resting-usual",
    "100, 45, SOME, false, true, resting-usual",
    "101, 45, SOME, false, true, resting-high",
    "101, 45, SOME, false, false, resting-high-recount",
    "59, 45, SOME, false, true, resting-low-ask",
    "59, 45, REGULAR, false, true, resting-low-trained",
    "52, 45, NONE, true, true, resting-low-medicine",
    "40, 45, HIGH, false, true, resting-low-trained",
    "39, 45, HIGH, false, true, resting-under-40",
    "70, 11, SOME, false, true, resting-usual",
    "120, 11, SOME, false, true, resting-usual",
    "121, 11, SOME, false, true, resting-high",
    "69, 11, SOME, false, true, resting-low-ask",
    "69, 12, SOME, false, true, resting-usual",
  })
  void whatIsUsualDependsOnAgeActivityAndMedicine(
      int bpm, int age, Activity activity, boolean beta, boolean settled, String code) {
    assertThat(
            UsualResting.judge(
                    bpm,
                    beta ? with(age, activity, false, false, true) : adult(age, activity),
                    settled)
                .code())
        .isEqualTo(code);
  }
}
