package app.korvel.core.maximum;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.daysAgo;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.pulse.Grade;
import app.korvel.core.support.Maxima;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MeasuredMaximumTest {

  private static MeasuredMaximum of(
      MaximumKind kind, Optional<Grade> grade, int bpm, LocalDate on, String note, int resting) {
    return MeasuredMaximum.of(
        new UUID(1, 1),
        Mode.RUN,
        kind,
        " ramp ",
        grade,
        bpm,
        on,
        note,
        Optional.empty(),
        OptionalInt.of(resting),
        daysAgo(0),
        ZONE);
  }

  @ParameterizedTest
  @CsvSource({
    // kind, grade, months old -> error of the day and 1 bpm a year
    "LABORATORY, GOOD, 0, 3.0",
    "GRADED_TEST, FAIR, 6, 3.5",
    "FIELD_TEST, GOOD, 0, 5.0",
    "FIELD_TEST, GOOD, 14, 6.2", // 5 + 14 ÷ 12 = 6.1666…
    "FIELD_TEST, FAIR, 12, 8.0",
    "FIELD_TEST, POOR, 0, 9.0",
    "CONFIRMED_PEAK, GOOD, 24, 7.0",
    "PEAK, GOOD, 3, 8.3", // 8.25
  })
  void theErrorGrowsByOneBpmAYear(MaximumKind kind, Grade grade, int months, String error) {
    MaximumKind entered = kind == MaximumKind.CONFIRMED_PEAK ? MaximumKind.PEAK : kind;
    MeasuredMaximum value =
        of(
            entered,
            entered.test() ? Optional.of(grade) : Optional.empty(),
            180,
            TODAY.minusMonths(months),
            "",
            60);
    assertThat(value.standardErrorBpm(kind, TODAY)).isEqualByComparingTo(error);
    assertThat(value.errorLine(kind, TODAY).answer()).isEqualByComparingTo(error);
    assertThat(value.errorLine(kind, TODAY).sum()).endsWith(" + " + months + " ÷ 12");
  }

  @Test
  void itIsDueAfterTwentyFourMonths() {
    MeasuredMaximum value =
        Maxima.test(Mode.RUN, MaximumKind.FIELD_TEST, Grade.GOOD, 180, LocalDate.of(2024, 5, 20));
    assertThat(value.dueOn()).isEqualTo(TODAY);
  }

  @ParameterizedTest
  @CsvSource({
    "99, 60, 100 to 230 bpm",
    "103, 64, 104 to 230 bpm",
    "231, 64, 104 to 230 bpm",
    "79, 30, 80 to 230 bpm",
  })
  void aMaximumLiesFortyOverRestAndInItsRange(int bpm, int resting, String accepted) {
    assertThatThrownBy(() -> of(MaximumKind.PEAK, Optional.empty(), bpm, TODAY, "", resting))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused -> {
              assertThat(refused.faults()).extracting(Fault::field).containsExactly("bpm");
              assertThat(refused.faults().get(0).accepted()).isEqualTo(accepted);
            });
  }

  @Test
  void theEdgesAreTaken() {
    assertThat(of(MaximumKind.PEAK, Optional.empty(), 104, TODAY, "", 64).bpm()).isEqualTo(104);
    assertThat(of(MaximumKind.PEAK, Optional.empty(), 230, TODAY, "", 64).bpm()).isEqualTo(230);
    LocalDate oldest = TODAY.minusYears(20);
    assertThat(of(MaximumKind.PEAK, Optional.empty(), 180, oldest, "", 64).measuredOn())
        .isEqualTo(oldest);
    assertThat(of(MaximumKind.PEAK, Optional.empty(), 180, TODAY, " by watch ", 64))
        .satisfies(value -> assertThat(value.note()).isEqualTo("by watch"))
        .satisfies(value -> assertThat(value.protocol()).isEqualTo("ramp"));
  }

  @Test
  void everyFaultIsNamedAtOnce() {
    assertThatThrownBy(
            () ->
                of(
                    MaximumKind.FIELD_TEST,
                    Optional.empty(),
                    240,
                    TODAY.plusDays(1),
                    "x".repeat(201),
                    64))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused ->
                assertThat(refused.faults())
                    .extracting(Fault::field)
                    .containsExactly("note", "bpm", "measuredOn", "grade"));
  }

  @Test
  void whatIsDerivedIsNotEnteredAndAPeakHasNoGrade() {
    assertThatThrownBy(() -> of(MaximumKind.CONFIRMED_PEAK, Optional.empty(), 180, TODAY, "", 64))
        .hasMessageContaining("two peaks of two days");
    assertThatThrownBy(() -> of(MaximumKind.PEAK, Optional.of(Grade.GOOD), 180, TODAY, "", 64))
        .hasMessageContaining("belongs to a test");
    assertThatThrownBy(
            () -> of(MaximumKind.PEAK, Optional.empty(), 180, TODAY.minusYears(21), "", 64))
        .hasMessageContaining("too far back");
  }
}
