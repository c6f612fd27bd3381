package app.korvel.core.assessment;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.assessment.GradedRecovery.Reading;
import app.korvel.core.assessment.GradedRecovery.State;
import app.korvel.core.checkin.BloodPressure;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** When somebody has recovered from a graded test: baseline 70 and 120 over 80. */
class GradedRecoveryTest {
  private static Vitals vitals(int bpm, int systolic) {
    return new Vitals(
        OptionalInt.of(bpm), Optional.of(new BloodPressure(systolic, 60)), OptionalInt.empty());
  }

  private static final Vitals BASELINE = vitals(70, 120);

  private static Reading at(int minutes, int bpm, int systolic) {
    return new Reading(Duration.ofMinutes(minutes), vitals(bpm, systolic), false);
  }

  private static GradedRecovery of(int now, Reading... readings) {
    return GradedRecovery.of(
        List.of(readings), BASELINE, Optional.of(180), Duration.ofMinutes(now));
  }

  @Test
  void twoInARowFromSixMinutesOn() {
    assertThat(of(6, at(5, 88, 125), at(6, 88, 125)).state()).isEqualTo(State.GOES_ON);
    assertThat(of(8, at(5, 88, 125), at(6, 88, 125), at(8, 88, 125)).state())
        .isEqualTo(State.RECOVERED);
    assertThat(of(10, at(6, 88, 125), at(8, 91, 125), at(10, 90, 125)).state())
        .isEqualTo(State.GOES_ON);
  }

  @ParameterizedTest
  @CsvSource({
    "90, 130, RECOVERED",
    "91, 130, GOES_ON",
    "90, 131, GOES_ON",
    "90, 100, RECOVERED",
    "90, 99, GOES_ON"
  })
  void eachLineReachedAndMissedByOne(int bpm, int systolic, State state) {
    assertThat(of(8, at(6, bpm, systolic), at(8, bpm, systolic)).state()).isEqualTo(state);
  }

  @ParameterizedTest
  @CsvSource({"85, 99, RECOVERED", "85, 100, GOES_ON", "92, 102, RECOVERED", "92, 103, GOES_ON"})
  void noHigherThanTheLargerOf99AndTenOver(int baseline, int bpm, State state) {
    Vitals base = vitals(baseline, 120);
    List<Reading> readings = List.of(at(6, bpm, 120), at(8, bpm, 120));
    assertThat(GradedRecovery.of(readings, base, Optional.empty(), Duration.ofMinutes(8)).state())
        .isEqualTo(state);
  }

  @Test
  void symptomsAndWhatIsMissingAreNoRecovery() {
    Reading ill = new Reading(Duration.ofMinutes(8), vitals(80, 120), true);
    assertThat(of(8, at(6, 80, 120), ill).state()).isEqualTo(State.GOES_ON);
    Reading half =
        new Reading(
            Duration.ofMinutes(8),
            new Vitals(OptionalInt.of(80), Optional.empty(), OptionalInt.empty()),
            false);
    assertThat(of(8, at(6, 80, 120), half).state()).isEqualTo(State.GOES_ON);
  }

  @Test
  void notRecoveredAfterFifteenMinutes() {
    assertThat(of(14, at(6, 120, 150), at(14, 110, 140)).state()).isEqualTo(State.GOES_ON);
    GradedRecovery not = of(15, at(6, 120, 150), at(14, 110, 140));
    assertThat(not.state()).isEqualTo(State.NOT_RECOVERED);
    assertThat(WorkedFiguresTest.codes(not.findings())).containsExactly("recovery-not-done");
  }

  @Test
  void aSystolicOverThatAtTheEndIsNoted() {
    assertThat(WorkedFiguresTest.codes(of(2, at(1, 150, 181)).findings()))
        .contains("recovery-systolic-high");
    assertThat(WorkedFiguresTest.codes(of(2, at(1, 150, 180)).findings()))
        .doesNotContain("recovery-systolic-high");
    assertThat(WorkedFiguresTest.codes(of(6, at(5, 150, 190)).findings()))
        .doesNotContain("recovery-systolic-high");
  }

  @Test
  void readingsAreDueAtTheirMinutes() {
    assertThat(GradedRecovery.due(Duration.ofMinutes(9)).stream().map(Duration::toSeconds))
        .containsExactly(30L, 60L, 120L, 180L, 300L, 360L, 480L, 600L);
  }
}
