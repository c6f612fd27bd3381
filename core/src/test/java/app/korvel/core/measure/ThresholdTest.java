package app.korvel.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The figures at which a rule changes its mind, against the rules as they are written. */
class ThresholdTest {

  @ParameterizedTest
  @CsvSource({
    "SMALLEST_RESERVE, 40, bpm",
    "RESTING_DUE, 56, days",
    "RESTING_MEDIAN, 3, readings",
    "RESTING_QUIET, 5, minutes",
    "RESTING_COUNT, 30, seconds",
    "RESTING_POOR_COUNT, 10, seconds",
    "RESTING_RARE, 40, bpm",
    "DAY_TO_DAY, 3, bpm",
    "DAY_TO_DAY_MEDIAN, 1.7, bpm",
    "FOX_HIGHER_UNDER, 40, years",
    "OTHER_MODE_ERROR, 8, bpm",
    "CEILING, 60, % of reserve",
    "HEART_HIGHEST_GOAL, 70, % of reserve",
    "HEART_HIGHEST_EFFORT, 14, RPE",
    "HARD_WORK, 80, % of reserve",
    "WARM_UP, 5, minutes",
    "LONGER_WARM_UP, 10, minutes",
    "HEART_WARM_UP, 15, minutes",
    "WARM_UP_FROM, 20, % of reserve",
    "WARM_UP_TO, 40, % of reserve",
    "WEEK_MARK, 150, minutes a week",
    "WEEK_UPPER, 300, minutes a week",
    "WEEK_UNDER_18, 420, minutes a week",
    "VIGOROUS_WORTH, 2, minutes",
    "UNDER_18, 18, years",
    "OVER_65, 65, years",
  })
  void theFigureAndItsUnit(Threshold threshold, String value, String unit) {
    assertThat(threshold.value()).isEqualByComparingTo(value);
    assertThat(threshold.unit()).isEqualTo(unit);
  }

  @ParameterizedTest
  @EnumSource(Threshold.class)
  void everyOneSaysWhatItMeansAndWhereItComesFrom(Threshold threshold) {
    assertThat(threshold.meaning()).endsWith(".").hasSizeGreaterThan(15);
    assertThat(threshold.source().citation()).isNotBlank();
    assertThat(threshold.id()).matches("[a-z0-9-]+");
  }

  @Test
  void aFractionIsNoWholeNumber() {
    assertThat(Threshold.DAY_TO_DAY.whole()).isEqualTo(3);
    assertThatThrownBy(Threshold.DAY_TO_DAY_MEDIAN::whole).isInstanceOf(ArithmeticException.class);
  }

  @ParameterizedTest
  @EnumSource(Formula.class)
  void everyFormulaIsWrittenOutWithWhenItServes(Formula formula) {
    assertThat(formula.displayName()).isNotBlank();
    assertThat(formula.formula()).isNotBlank();
    assertThat(formula.serves()).endsWith(".");
    assertThat(formula.source().citation()).isNotBlank();
  }

  @Test
  void idsAreEachOnesOwn() {
    assertThat(Arrays.stream(Threshold.values()).map(Threshold::id).collect(Collectors.toSet()))
        .hasSameSizeAs(Threshold.values());
    assertThat(Arrays.stream(Formula.values()).map(Formula::id).collect(Collectors.toSet()))
        .hasSameSizeAs(Formula.values());
  }
}
