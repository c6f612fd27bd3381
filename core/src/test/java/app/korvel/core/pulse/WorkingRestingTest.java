package app.korvel.core.pulse;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.measure.Finding;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class WorkingRestingTest {
  private static final ZoneId ZONE = ZoneId.of("Pacific/Auckland");
  private static final LocalDate TODAY = LocalDate.of(2026, 5, 20);

  private final List<RestingReading> readings = new ArrayList<>();

  private void counted(int daysAgo, int bpm, Posture posture, int rested) {
    readings.add(
        RestingReading.counted(
            new UUID(0, readings.size()),
            TODAY.minusDays(daysAgo).atTime(7, 0).atZone(ZONE).toInstant(),
            PulseCount.of(bpm, CountWindow.S60),
            posture,
            rested,
            Set.of()));
  }

  private WorkingResting value() {
    return WorkingResting.of(readings, TODAY, ZONE).orElseThrow();
  }

  private List<String> codes() {
    return value().findings().stream().map(Finding::code).toList();
  }

  @Test
  void noReadingNoValue() {
    assertThat(WorkingResting.of(readings, TODAY, ZONE)).isEmpty();
  }

  private RestingReading takenToday(int hour, int bpm, Posture posture, int rested) {
    RestingReading reading =
        RestingReading.counted(
            new UUID(1, readings.size()),
            TODAY.atTime(hour, 0).atZone(ZONE).toInstant(),
            PulseCount.of(bpm, CountWindow.S60),
            posture,
            rested,
            Set.of());
    readings.add(reading);
    return reading;
  }

  private OptionalInt departure(RestingReading reading) {
    return WorkingResting.departure(reading, readings, ZONE);
  }

  /** 86 after 68 is not taken for usual unasked, on that day or later. */
  @Test
  void aReadingFarOffTheOneBeforeItThatDayIsNotTakenForUsual() {
    takenToday(8, 68, Posture.SEATED, 5);
    RestingReading far = takenToday(10, 86, Posture.SEATED, 5);
    assertThat(departure(far)).hasValue(68);
    assertThat(value().bpm()).isEqualTo(68);
    assertThat(UsualResting.departs(86, 68).message())
        .isEqualTo("86 is 18 bpm off the 68 taken earlier today: not taken as usual.");
    LocalDate later = TODAY.plusDays(3);
    assertThat(WorkingResting.of(readings, later, ZONE).orElseThrow().bpm()).isEqualTo(68);
    // Somebody says that it is.
    readings.set(1, far.takenAsUsual(true));
    assertThat(departure(readings.get(1))).isEmpty();
    assertThat(value().bpm()).isEqualTo(86);
  }

  @Test
  void nineBeatsOffAreNotFarAndTenAre() {
    takenToday(8, 68, Posture.SEATED, 5);
    assertThat(departure(takenToday(9, 77, Posture.SEATED, 5))).isEmpty();
    assertThat(value().bpm()).isEqualTo(77);
    readings.remove(1);
    assertThat(departure(takenToday(9, 58, Posture.SEATED, 5))).hasValue(68);
    assertThat(value().bpm()).isEqualTo(68);
  }

  @Test
  void onlyReadingsOfTheSameDayAndPostureAndNoWorseAreComparedWith() {
    counted(1, 60, Posture.SEATED, 5);
    takenToday(8, 86, Posture.SEATED, 0);
    // A better one after a hasty one stands.
    assertThat(departure(takenToday(9, 66, Posture.SEATED, 5))).isEmpty();
    assertThat(departure(takenToday(10, 54, Posture.LYING, 5))).isEmpty();
    assertThat(departure(takenToday(11, 78, Posture.SEATED, 5))).hasValue(66);
    assertThat(departure(takenToday(7, 90, Posture.SEATED, 5))).isEmpty();
  }

  @Test
  void sinceWhenItIsOverTheLine() {
    counted(30, 96, Posture.SEATED, 5);
    counted(20, 104, Posture.SEATED, 5);
    counted(10, 103, Posture.SEATED, 5);
    assertThat(value().overSince(100)).contains(readings.get(1).takenAt());
    assertThat(value().overSince(103)).contains(readings.get(1).takenAt());
    assertThat(value().overSince(104)).isEmpty();
    counted(2, 99, Posture.SEATED, 5);
    assertThat(value().overSince(100)).contains(readings.get(1).takenAt());
  }

  private Optional<UsualPulse> usual() {
    return UsualPulse.of(readings, Optional.empty(), TODAY, ZONE);
  }

  @Test
  void theUsualPulseIsTheWorkingValueWithoutNights() {
    assertThat(usual()).isEmpty();
    counted(3, 62, Posture.SEATED, 5);
    readings.add(
        RestingReading.sampled(
            new UUID(2, 2),
            TODAY.atTime(6, 0).atZone(ZONE).toInstant(),
            52,
            Posture.LYING,
            PulseSource.OVERNIGHT,
            0,
            Set.of()));
    assertThat(value().bpm()).isEqualTo(52);
    assertThat(usual()).contains(new UsualPulse(62, Posture.SEATED, PulseSource.COUNT));
    // From before a change of medicine it is none.
    assertThat(
            UsualPulse.of(
                readings, Optional.of(TODAY.atTime(5, 0).atZone(ZONE).toInstant()), TODAY, ZONE))
        .isEmpty();
  }

  @Test
  void theMedianOfTheLatestThreeAlike() {
    counted(40, 80, Posture.SEATED, 5);
    counted(20, 66, Posture.SEATED, 5);
    counted(10, 62, Posture.SEATED, 5);
    counted(1, 64, Posture.SEATED, 5);
    assertThat(value().bpm()).isEqualTo(64);
    assertThat(value().basis()).extracting(RestingReading::bpm).containsExactly(64, 62, 66);
    assertThat(codes()).containsExactly("working-median");
    // sqrt(1.7² + 0.5²), the error of a 60 s count being half a beat
    assertThat(value().standardErrorBpm().doubleValue()).isBetween(1.771, 1.773);
  }

  @Test
  void itIsDueTheDayAfterTheLatestReadingTurnsFiftySix() {
    counted(50, 66, Posture.SEATED, 5);
    counted(40, 62, Posture.SEATED, 5);
    counted(30, 64, Posture.SEATED, 5);
    assertThat(value().dueOn()).isEqualTo(TODAY.plusDays(27));
    // A poor one is a reading too: it puts the day off, whatever the value stands on.
    counted(2, 90, Posture.STANDING, 0);
    assertThat(value().basis()).hasSize(3);
    assertThat(value().dueOn()).isEqualTo(TODAY.plusDays(55));
  }

  @Test
  void onTheDayNamedItIsDueAndTheDayBeforeItIsNot() {
    counted(30, 64, Posture.SEATED, 5);
    LocalDate dueOn = value().dueOn();
    assertThat(WorkingResting.of(readings, dueOn.minusDays(1), ZONE).orElseThrow().due()).isFalse();
    WorkingResting then = WorkingResting.of(readings, dueOn, ZONE).orElseThrow();
    assertThat(then.due()).isTrue();
    assertThat(then.dueOn()).isEqualTo(dueOn);
  }

  @Test
  void tapsAndCountsAreNotMixedEither() {
    counted(3, 66, Posture.SEATED, 5);
    counted(2, 62, Posture.SEATED, 5);
    readings.add(
        RestingReading.tapped(
            new UUID(0, 9),
            TODAY.atTime(6, 0).atZone(ZONE).toInstant(),
            58,
            40,
            Posture.SEATED,
            5,
            Set.of()));
    assertThat(value().bpm()).isEqualTo(58);
    assertThat(codes()).containsExactly("working-latest-good");
    // √(3² + 1²): one reading strays 3 bpm from day to day, taps 1.
    assertThat(value().standardErrorBpm().doubleValue()).isBetween(3.16, 3.17);
    counted(1, 64, Posture.SEATED, 5);
    assertThat(value().bpm()).isEqualTo(64);
    assertThat(codes()).containsExactly("working-median");
  }

  @Test
  void posturesAreNotMixed() {
    counted(20, 66, Posture.SEATED, 5);
    counted(10, 62, Posture.SEATED, 5);
    counted(1, 55, Posture.LYING, 5);
    assertThat(value().bpm()).isEqualTo(55);
    assertThat(codes()).containsExactly("working-latest-good");
  }

  @Test
  void poorReadingsDoNotCountTowardsTheThree() {
    counted(20, 66, Posture.SEATED, 5);
    counted(10, 62, Posture.SEATED, 5);
    counted(1, 90, Posture.STANDING, 0);
    assertThat(value().bpm()).isEqualTo(62);
    assertThat(codes()).containsExactly("working-latest-good");
  }

  @Test
  void withoutAGoodOneTheLatestStands() {
    counted(9, 70, Posture.SEATED, 2);
    counted(3, 75, Posture.STANDING, 1);
    assertThat(value().bpm()).isEqualTo(75);
    assertThat(codes()).containsExactly("working-latest");
    // sqrt(3² + 0.5²)
    assertThat(value().standardErrorBpm().doubleValue()).isBetween(3.041, 3.042);
  }

  @Test
  void fiftySixDaysStillCountAndFiftySevenAreDue() {
    counted(56, 66, Posture.SEATED, 5);
    counted(56, 62, Posture.SEATED, 5);
    counted(56, 64, Posture.SEATED, 5);
    assertThat(codes()).containsExactly("working-median");
    assertThat(value().due()).isFalse();

    readings.clear();
    counted(57, 66, Posture.SEATED, 5);
    counted(57, 62, Posture.SEATED, 5);
    counted(57, 64, Posture.SEATED, 5);
    assertThat(value().due()).isTrue();
    assertThat(codes()).containsExactly("working-latest-good", "resting-due");
  }

  @Test
  void aFreshPoorReadingStandsBeforeAnOldGoodOne() {
    counted(200, 58, Posture.SEATED, 5);
    counted(2, 70, Posture.STANDING, 0);
    assertThat(value().bpm()).isEqualTo(70);
    assertThat(value().due()).isFalse();
  }

  @Test
  void daysAreThoseOfTheStudio() {
    // 07:00 in Auckland is still the day before in UTC.
    counted(56, 66, Posture.SEATED, 5);
    assertThat(value().due()).isFalse();
  }
}
