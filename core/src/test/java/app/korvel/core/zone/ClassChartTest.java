package app.korvel.core.zone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.InstanceOfAssertFactories.type;

import app.korvel.core.maximum.Equation;
import app.korvel.core.maximum.Equations;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.zone.ClassChart.Ages;
import app.korvel.core.zone.ClassChart.Cell;
import app.korvel.core.zone.ClassChart.Row;
import java.math.BigDecimal;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The table for a hall: every figure can be checked with a pencil. */
class ClassChartTest {
  private static ClassChart chart(Ages ages, String scheme, String... bands) {
    return ClassChart.of(
        ages, "tanaka-208", Mode.RUN, Scheme.of(scheme), List.of(bands), CountWindow.S10);
  }

  private static OwnScheme.Row range(String name, String low, String high) {
    return new OwnScheme.Row(name, new BigDecimal(low), new BigDecimal(high));
  }

  private static List<String> fields(Throwable thrown) {
    return ((InvalidValueException) thrown).faults().stream().map(Fault::field).toList();
  }

  @ParameterizedTest
  @CsvSource({
    // 208 − 31.5 = 176.5: 177; 123.9 and 150.45; × 10 ÷ 60: 20.67 and 25
    "45, 177, 124, 150, 21, 25",
    // 208 − 14 = 194; 135.8 and 164.9; 22.67 and 27.5
    "20, 194, 136, 165, 23, 28",
    // 208 − 0.7 × 74 = 156.2; 109.2 and 132.6; 18.17 and 22.17
    "74, 156, 109, 133, 18, 22"
  })
  void theSchoolRangeByAge(int age, int maximum, int low, int high, int fewest, int most) {
    Row row = chart(new Ages(age, age, 5), "school-range").rows().get(0);
    assertThat(row)
        .isEqualTo(
            new Row(
                age,
                maximum,
                List.of(new Cell(OptionalInt.of(low), high, new CountCard.Beats(fewest, most)))));
  }

  @Test
  void aFifteenSecondCountAndTheCycle() {
    ClassChart chart =
        ClassChart.of(
            new Ages(45, 45, 1),
            "fox-220",
            Mode.CYCLE,
            Scheme.of("school-range"),
            List.of(),
            CountWindow.S15);
    // 220 − 45 − 10 = 165; 115.5 and 140.25; ÷ 4: 29 and 35
    assertThat(chart.rows().get(0).maximumBpm()).isEqualTo(165);
    assertThat(chart.rows().get(0).cells())
        .containsExactly(new Cell(OptionalInt.of(116), 140, new CountCard.Beats(29, 35)));
  }

  @Test
  void aLadderKeepsItsEdgesWhenOnlyOneBandIsShown() {
    Row all = chart(new Ages(40, 40, 1), "max-fifths").rows().get(0);
    // 208 − 28 = 180: 50 % 90, 60 % 108, 70 % 126
    assertThat(all.cells().get(1).lowBpm()).hasValue(108);
    assertThat(all.cells().get(1).highBpm()).isEqualTo(125);
    String second = Scheme.of("max-fifths").bands().get(1).id();
    ClassChart one = chart(new Ages(40, 40, 1), "max-fifths", second);
    assertThat(one.ranges()).extracting(Scheme.Band::id).containsExactly(second);
    assertThat(one.rows().get(0).cells()).containsExactly(all.cells().get(1));
  }

  @Test
  void aSingleRangeGoesByTheNameOfItsSchool() {
    ClassChart school = chart(new Ages(40, 40, 1), "school-range");
    assertThat(school.nameOf(school.ranges().get(0))).isEqualTo("Classroom range");
    Scheme warm = ClassChart.ranges(List.of(range("Warm", "55", "65")));
    assertThat(
            ClassChart.of(
                    new Ages(40, 40, 1), "tanaka-208", Mode.RUN, warm, List.of(), CountWindow.S10)
                .nameOf(warm.bands().get(0)))
        .isEqualTo("Warm");
    ClassChart fifths = chart(new Ages(40, 40, 1), "max-fifths");
    assertThat(fifths.nameOf(fifths.ranges().get(0))).isEqualTo("First fifth");
  }

  @Test
  void aBandThatBeginsAtRestHasNoLowerEdge() {
    Row row = chart(new Ages(40, 40, 1), "guideline-classes-max").rows().get(0);
    // 57 % of 180 is 102.6: 103; one below is 102, 17 in 10 s
    assertThat(row.cells().get(0))
        .isEqualTo(new Cell(OptionalInt.empty(), 102, new CountCard.Beats(0, 17)));
  }

  @Test
  void theOldestStandsOnItWhereTheStepPassesOverIt() {
    assertThat(chart(new Ages(20, 33, 5), "school-range").rows())
        .extracting(Row::age)
        .containsExactly(20, 25, 30, 33);
    assertThat(chart(new Ages(6, 110, 1), "broad-range").rows()).hasSize(105);
  }

  @Test
  void rangesOfOnesOwnMayOverlapAndAreCheckedTogether() {
    Scheme own =
        ClassChart.ranges(List.of(range("Easy", "50", "65"), range("Brisk", "60", "75.5")));
    ClassChart chart =
        ClassChart.of(new Ages(40, 40, 1), "tanaka-208", Mode.RUN, own, List.of(), CountWindow.S10);
    // of 180: 90 to 117, 108 to 135.9
    assertThat(chart.rows().get(0).cells())
        .extracting(cell -> cell.lowBpm().getAsInt() + "–" + cell.highBpm())
        .containsExactly("90–117", "108–136");
    assertThatThrownBy(
            () ->
                ClassChart.ranges(
                    List.of(
                        range(" ", "50", "65"), range("Up", "80", "70"), range("x", "0", "111"))))
        .satisfies(
            thrown ->
                assertThat(fields(thrown))
                    .containsExactly("ranges[0].name", "ranges[1].high", "ranges[2].high"));
    assertThatThrownBy(() -> ClassChart.ranges(List.of()))
        .satisfies(thrown -> assertThat(fields(thrown)).containsExactly("ranges"));
  }

  @Test
  void agesAreCheckedTogether() {
    assertThatThrownBy(() -> new Ages(5, 111, 0))
        .satisfies(thrown -> assertThat(fields(thrown)).containsExactly("from", "to", "every"));
    assertThatThrownBy(() -> new Ages(40, 39, 5))
        .satisfies(thrown -> assertThat(fields(thrown)).containsExactly("to"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"brawner-164", "keteyian-hf", "beta-minus-30", "none"})
  void equationsForAConditionAreNotForAClass(String method) {
    assertThatThrownBy(
            () ->
                ClassChart.of(
                    new Ages(20, 60, 5),
                    method,
                    Mode.RUN,
                    Scheme.of("school-range"),
                    List.of(),
                    CountWindow.S10))
        .asInstanceOf(type(InvalidValueException.class))
        .satisfies(thrown -> assertThat(fields(thrown)).containsExactly("method"));
    assertThat(Equations.FOR_A_CLASS)
        .extracting(Equation::id)
        .containsExactly(
            "tanaka-208", "fox-220", "gellish-207", "nes-211", "lach-202", "gulati-206");
  }

  @Test
  void otherBasesWindowsAndTooManyRangesAreRefused() {
    assertThatThrownBy(() -> chart(new Ages(20, 60, 5), "voice-ladder"))
        .hasMessageContaining("does not count in percent of maximum");
    assertThatThrownBy(
            () ->
                ClassChart.of(
                    new Ages(20, 60, 5),
                    "tanaka-208",
                    Mode.RUN,
                    Scheme.of("school-range"),
                    List.of(),
                    CountWindow.S30))
        .hasMessageContaining("no window");
    assertThatThrownBy(() -> chart(new Ages(20, 60, 5), "school-range", "nothing"))
        .hasMessageContaining("names one that this zone system does not have");
    Scheme seven =
        new OwnScheme(
                "Seven",
                Scheme.Kind.LADDER,
                Basis.MAXIMUM,
                "",
                IntStream.range(0, 7)
                    .mapToObj(i -> range("B" + i, "" + (i * 10 + 30), "" + (i * 10 + 40)))
                    .toList())
            .checked("seven");
    assertThatThrownBy(
            () ->
                ClassChart.of(
                    new Ages(20, 60, 5), "tanaka-208", Mode.RUN, seven, List.of(), CountWindow.S10))
        .hasMessageContaining("makes 7 ranges");
  }
}
