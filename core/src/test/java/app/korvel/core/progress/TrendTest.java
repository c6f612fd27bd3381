package app.korvel.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.korvel.core.progress.Trend.Kind;
import app.korvel.core.progress.Trend.Point;
import app.korvel.core.progress.Trend.Value;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TrendTest {
  private static final LocalDate JANUARY = LocalDate.of(2026, 1, 10);
  private static final int NOISE = 6;

  private static LocalDate after(int days) {
    return JANUARY.plusDays(days);
  }

  private static Value value(int days, int bpm) {
    return new Value(after(days), bpm);
  }

  private static Trend trend(List<LocalDate> changes, Value... values) {
    return Trend.of(Kind.RECOVERY, "standing", List.of(values), NOISE, changes);
  }

  private static Trend trend(Value... values) {
    return trend(List.of(), values);
  }

  @Test
  void withNothingOrOneValueNothingIsSaid() {
    assertThat(trend().points()).isEmpty();
    assertThat(trend().finding()).isEmpty();
    assertThat(trend(value(0, 22)).finding()).isEmpty();
    assertThat(trend(value(0, 22)).changed()).isFalse();
  }

  @ParameterizedTest
  @CsvSource({"27, false", "28, true", "29, true", "17, false", "16, true", "22, false"})
  void fromTheNoiseOnADifferenceIsAChange(int last, boolean changed) {
    Trend trend = trend(value(0, 22), value(30, last));
    assertThat(trend.changed()).isEqualTo(changed);
    assertThat(trend.finding().orElseThrow().code())
        .isEqualTo(changed ? "trend-changed" : "trend-unchanged");
  }

  @Test
  void itSaysWhatFromWhichToWhichAndWhichWay() {
    assertThat(trend(value(0, 22), value(60, 31)).finding().orElseThrow().message())
        .contains("Fall in 60 s, standing")
        .contains("22")
        .contains("31")
        .contains("higher")
        .contains("9");
    assertThat(trend(value(0, 31), value(60, 22)).finding().orElseThrow().message())
        .contains("lower");
  }

  @Test
  void theFirstAndTheLastAreComparedInWhateverOrderTheyCome() {
    Trend trend = trend(value(60, 30), value(0, 22), value(30, 41));
    assertThat(trend.points())
        .extracting(Point::on, Point::bpm)
        .containsExactly(tuple(after(0), 22), tuple(after(30), 41), tuple(after(60), 30));
    assertThat(trend.finding().orElseThrow().message()).contains("22").contains("30");
    assertThat(trend.finding().orElseThrow().message()).doesNotContain("41");
  }

  @Test
  void nothingIsComparedAcrossAChangeOfMedicine() {
    Trend trend =
        trend(List.of(after(40)), value(0, 40), value(30, 38), value(50, 20), value(80, 22));
    assertThat(trend.points()).extracting(Point::series).containsExactly(0, 0, 1, 1);
    assertThat(trend.finding().orElseThrow().code()).isEqualTo("trend-unchanged");
    assertThat(trend.finding().orElseThrow().message()).contains("20").contains("22");
  }

  @Test
  void theFirstValueOfANewSeriesIsComparedWithNothing() {
    Trend trend = trend(List.of(after(40)), value(0, 40), value(30, 30), value(50, 20));
    assertThat(trend.finding()).isEmpty();
  }

  @Test
  void aChangeComesBeforeWhatWasTakenOnItsDay() {
    Trend trend = trend(List.of(after(30)), value(0, 40), value(30, 20), value(31, 30));
    assertThat(trend.points()).extracting(Point::series).containsExactly(0, 1, 1);
    assertThat(trend.changed()).isTrue();
  }

  @Test
  void everyChangeBeginsASeries() {
    assertThat(
            trend(List.of(after(20), after(10)), value(0, 1), value(15, 2), value(25, 3)).points())
        .extracting(Point::series)
        .containsExactly(0, 1, 2);
  }
}
