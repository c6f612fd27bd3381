package app.korvel.core.maximum;

import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.Finding;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Person.Health;
import app.korvel.core.screening.Sex;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MaximumEstimatesTest {

  private static MaximumEstimates of(Person person, Mode mode) {
    return MaximumEstimates.of(person, OptionalInt.of(72), mode);
  }

  private static Estimate row(MaximumEstimates estimates, String id) {
    return estimates.estimates().stream()
        .filter(estimate -> estimate.equation().id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private static String recommended(MaximumEstimates estimates) {
    return estimates.recommended().map(estimate -> estimate.equation().id()).orElse("none");
  }

  @ParameterizedTest
  @CsvSource({
    "fox-220,175,12",
    "tanaka-208,177,10",
    "gellish-207,176,10",
    "nes-211,182,11",
    "lach-202,179,10",
    "gulati-206,166,12",
    "brawner-164,133,18",
    "beta-minus-30,147,20",
  })
  void theWorkedNumbersAtFortyFive(String id, int bpm, int error) {
    Estimate estimate = row(of(adult(45, Activity.SOME), Mode.RUN), id);
    assertThat(estimate.bpm()).hasValue(bpm);
    assertThat(estimate.standardErrorBpm()).isEqualByComparingTo(String.valueOf(error));
  }

  @Test
  void heartFailureOnTheTreadmillAndOnTheCycle() {
    Person person = with(66, Activity.NONE, false, true, true);
    assertThat(row(of(person, Mode.RUN), "keteyian-hf").bpm()).hasValue(122);
    Estimate cycle = row(of(person, Mode.CYCLE), "keteyian-hf");
    assertThat(cycle.bpm()).hasValue(117);
    assertThat(cycle.standardErrorBpm()).isEqualByComparingTo("18");
  }

  @ParameterizedTest
  @CsvSource({
    // age, activity, heart condition, heart failure, beta-blocker -> default
    "45, SOME, false, false, false, tanaka-208",
    "16, REGULAR, false, false, false, tanaka-208",
    "45, SOME, true, false, true, brawner-164",
    "45, SOME, false, false, true, beta-minus-30",
    // 220 − 45 = 175 is under 177; 220 − 35 = 185 is over 184; at 40 both are 180
    "45, NONE, false, false, false, fox-220",
    "35, NONE, false, false, false, tanaka-208",
    "40, NONE, false, false, false, tanaka-208",
    "45, REGULAR, true, false, false, fox-220",
    "66, NONE, false, true, true, none",
    "66, NONE, true, true, false, none",
  })
  void theDefaultFollowsTheRule(
      int age, Activity activity, boolean heart, boolean failure, boolean beta, String id) {
    MaximumEstimates estimates = of(with(age, activity, heart, failure, beta), Mode.RUN);
    assertThat(recommended(estimates)).isEqualTo(id);
    assertThat(estimates.findings().get(0).code())
        .startsWith(id.equals("none") ? "no-default-heart-failure" : "default-");
  }

  @Test
  void everyRowIsAlwaysThereAndSaysWhy() {
    for (Activity activity : Activity.values()) {
      MaximumEstimates estimates = of(with(70, activity, true, true, true), Mode.SWIM);
      assertThat(estimates.estimates())
          .hasSize(9)
          .allSatisfy(e -> assertThat(e.reason()).isNotBlank());
    }
  }

  @Test
  void whoAnEquationIsFor() {
    Person woman = Person.of(45, Sex.FEMALE, Activity.REGULAR, Health.NOTHING_KNOWN);
    assertThat(row(of(woman, Mode.RUN), "gulati-206").applies()).isTrue();
    assertThat(row(of(adult(45, Activity.REGULAR), Mode.RUN), "gulati-206").applies()).isFalse();
    assertThat(row(of(adult(45, Activity.LITTLE), Mode.RUN), "lach-202").applies()).isFalse();
    assertThat(row(of(adult(45, Activity.SOME), Mode.RUN), "lach-202").applies()).isTrue();
    assertThat(row(of(adult(16, Activity.REGULAR), Mode.RUN), "nes-211").applies()).isFalse();
    MaximumEstimates beta = of(with(45, Activity.SOME, false, false, true), Mode.RUN);
    assertThat(beta.estimates()).filteredOn(Estimate::applies).hasSize(1);
    assertThat(of(woman, Mode.RUN).spread()).contains(new MaximumEstimates.Spread(166, 182));
  }

  @ParameterizedTest
  @CsvSource({"RUN,177,10", "CYCLE,167,12.8", "SWIM,167,12.8", "ROW,177,12.8", "OTHER,177,12.8"})
  void otherModesBorrowTheRunningValueWithALargerError(Mode mode, int bpm, String error) {
    Estimate estimate = row(of(adult(45, Activity.SOME), mode), "tanaka-208");
    assertThat(estimate.bpm()).hasValue(bpm);
    assertThat(estimate.standardErrorBpm()).isEqualByComparingTo(error);
  }

  @Test
  void belowFortyTheClassroomRuleIsSaidToBeTheHigherOne() {
    assertThat(of(adult(39, Activity.SOME), Mode.RUN).findings())
        .extracting(Finding::code)
        .contains("fox-high-under-40");
    assertThat(of(adult(40, Activity.SOME), Mode.RUN).findings())
        .extracting(Finding::code)
        .doesNotContain("fox-high-under-40");
  }

  @Test
  void withoutARestingPulseOnlyTheEquationThatNeedsItIsEmpty() {
    MaximumEstimates estimates =
        MaximumEstimates.of(adult(45, Activity.SOME), OptionalInt.empty(), Mode.RUN);
    assertThat(estimates.estimates())
        .filteredOn(estimate -> estimate.bpm().isEmpty())
        .extracting(estimate -> estimate.equation().id())
        .containsExactly("keteyian-hf");
  }

  @Test
  void anImpossibleRestingPulseIsRefused() {
    assertThatThrownBy(
            () -> MaximumEstimates.of(adult(45, Activity.SOME), OptionalInt.of(20), Mode.RUN))
        .hasMessageContaining("restingBpm");
  }
}
