package app.korvel.core.measure;

import static app.korvel.core.measure.RegionalSettings.METRIC;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.RegionalSettings.Clock;
import app.korvel.core.measure.RegionalSettings.Weight;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class RegionalSettingsTest {
  private static RegionalSettings startingOn(DayOfWeek day) {
    return new RegionalSettings(
        METRIC.weight(),
        METRIC.height(),
        METRIC.glucose(),
        METRIC.distance(),
        METRIC.clock(),
        day,
        METRIC.paper());
  }

  @ParameterizedTest
  @CsvSource({"2.30, 2.3 kg, 5.1 lb", "2, 2 kg, 4.4 lb", "81.65, 81.7 kg, 180 lb", "0, 0 kg, 0 lb"})
  void aWeightIsWrittenInItsUnit(BigDecimal kilograms, String metric, String pounds) {
    assertThat(Weight.KG.text(kilograms)).isEqualTo(metric);
    assertThat(Weight.LB.text(kilograms)).isEqualTo(pounds);
  }

  @ParameterizedTest
  @CsvSource({"00:05, 00:05, 12:05 am", "12:00, 12:00, 12:00 pm", "18:30, 18:30, 6:30 pm"})
  void aTimeIsWrittenIn24HoursOr12(LocalTime time, String whole, String half) {
    assertThat(Clock.H24.text(time)).isEqualTo(whole);
    assertThat(Clock.H12.text(time)).isEqualTo(half);
  }

  @Test
  void aWeekBeginsOnItsFirstDay() {
    LocalDate sunday = LocalDate.of(2026, 5, 17);
    assertThat(METRIC.weekOf(sunday)).isEqualTo(LocalDate.of(2026, 5, 11));
    assertThat(startingOn(DayOfWeek.SUNDAY).weekOf(sunday)).isEqualTo(sunday);
    assertThat(startingOn(DayOfWeek.SATURDAY).weekOf(sunday)).isEqualTo(LocalDate.of(2026, 5, 16));
  }

  @ParameterizedTest
  @EnumSource(
      value = DayOfWeek.class,
      names = {"TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY"})
  void noWeekBeginsInItsMiddle(DayOfWeek day) {
    assertThatThrownBy(() -> startingOn(day))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("is no first day of a week");
  }
}
