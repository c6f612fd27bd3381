package app.korvel.exchange.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.exchange.recording.CsvColumns.DateOrder;
import app.korvel.exchange.recording.Moments.Day;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Times and numbers as files write them; Athens is two hours ahead in March, three in July. */
class MomentsTest {
  private static final ZoneId ZONE = ZoneId.of("Europe/Athens");

  private static Optional<Instant> iso(String written) {
    return Moments.iso(written, ZONE);
  }

  @ParameterizedTest
  @CsvSource({
    "2030-03-18T17:00:00Z, 2030-03-18T17:00:00Z",
    "2030-03-18T17:00:00.25Z, 2030-03-18T17:00:00.250Z",
    "'2030-03-18T17:00:00,5Z', 2030-03-18T17:00:00.500Z",
    "2030-03-18T17:00Z, 2030-03-18T17:00:00Z",
    "2030-03-18 17:00:00, 2030-03-18T15:00:00Z",
    "2030-07-18T17:00:00, 2030-07-18T14:00:00Z",
    "2030-03-18T17:00:00+02:00, 2030-03-18T15:00:00Z",
    "2030-03-18T17:00:00-0530, 2030-03-18T22:30:00Z",
    "2030-03-18 17:00:00 +0000, 2030-03-18T17:00:00Z",
    "2028-02-29T23:59:59Z, 2028-02-29T23:59:59Z",
    "2016-12-31T23:59:59.999999999Z, 2016-12-31T23:59:59.999999999Z"
  })
  void aMomentIsReadWithItsZoneElseInTheStudios(String written, Instant read) {
    assertThat(iso(written)).contains(read);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "yesterday",
        "2030-03-18",
        "17:00:00",
        "2030-02-29T17:00:00Z",
        "2030-13-01T17:00:00Z",
        "2030-03-18T24:00:01Z",
        "2030-03-18T17:60:00Z",
        "2030-03-18T17:00:60Z",
        "2030-03-18T17:00:00z",
        "2030/03/18T17:00:00Z",
        "٢٠٣٠-03-18T17:00:00Z",
        "2030-03-18T17:00:00+25:00"
      })
  void whatIsNoMomentIsNone(String written) {
    assertThat(iso(written)).isEmpty();
    assertThatThrownBy(() -> Moments.of(written, ZONE, () -> "line 12"))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("line 12: “" + written + "” is no time");
  }

  @Test
  void theQuickWayReadsWhatTheSlowOneDoes() {
    Random random = new Random(7);
    for (int n = 0; n < 5_000; n++) {
      Instant at = Instant.ofEpochSecond(random.nextLong(253_402_300_800L));
      String written = LocalDateTime.ofInstant(at, ZoneOffset.UTC).withNano(0) + "Z";
      String whole = written.length() == 17 ? written.replace("Z", ":00Z") : written;
      assertThat(iso(whole)).contains(at);
      assertThat(iso(whole.replace("Z", "+00:00"))).contains(at);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "7:05, 07:05",
    "17:00:09, 17:00:09",
    "17:00:09.5, 17:00:09.500",
    "'17:00:09,25', 17:00:09.250",
    "12:00 AM, 00:00",
    "12:30 pm, 12:30",
    "7:05:01PM, 19:05:01",
    "0:00, 00:00"
  })
  void aClockIsReadInEitherWay(String written, LocalTime read) {
    assertThat(Moments.clock(written)).contains(read);
  }

  @ParameterizedTest
  @ValueSource(strings = {"24:00", "17", "17:61", "17:00:61", "1700", "", "17:00 XM"})
  void whatIsNoTimeOfDayIsNone(String written) {
    assertThat(Moments.clock(written)).isEmpty();
  }

  @Test
  void twoFiguresAreMinutesAndSeconds() {
    assertThat(Moments.minutes("75:30")).contains(Duration.ofSeconds(4530));
    assertThat(Moments.minutes(" 0:59 ")).contains(Duration.ofSeconds(59));
    assertThat(Moments.minutes("75:60")).isEmpty();
    assertThat(Moments.minutes("1:02:03")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "2030-03-04, DAY_FIRST, 2030-03-04",
    "2030/3/4, MONTH_FIRST, 2030-03-04",
    "04.03.2030, DAY_FIRST, 2030-03-04",
    "4/3/2030, DAY_FIRST, 2030-03-04",
    "4/3/2030, MONTH_FIRST, 2030-04-03",
    "4-3-2030, DAY_FIRST, 2030-03-04"
  })
  void aDayIsReadInItsOrder(String written, DateOrder order, LocalDate read) {
    assertThat(Moments.day(written).flatMap(day -> day.in(order))).contains(read);
  }

  @ParameterizedTest
  @CsvSource({
    "4/3/2030,",
    "13/3/2030, DAY_FIRST",
    "3/13/2030, MONTH_FIRST",
    "4.3.2030, DAY_FIRST",
    "2030-03-04, DAY_FIRST"
  })
  void whetherDayOrMonthComesFirstIsKnownOrAsked(String written, DateOrder order) {
    assertThat(Moments.day(written).flatMap(Day::order)).isEqualTo(Optional.ofNullable(order));
  }

  @Test
  void aDayThatIsNotInTheCalendarIsNone() {
    assertThat(Moments.day("30/2/2030").flatMap(day -> day.in(DateOrder.DAY_FIRST))).isEmpty();
    assertThat(Moments.day("3/13/2030").flatMap(day -> day.in(DateOrder.DAY_FIRST))).isEmpty();
    assertThat(Moments.day("18 March 2030")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "120, 120",
    "0, 0",
    "007, 7",
    "' 120 ', 120",
    "120.5, 121",
    "'120,4', 120",
    "+99, 99",
    "-3, -3",
    "1234, 1234"
  })
  void aRateIsAWholeNumberHalfUp(String written, int read) {
    assertThat(Numbers.of(written)).contains(read);
  }

  @Test
  void whatStandsForNoContactIsNought() {
    for (String written : List.of("", " ", "-", "--", "NaN", "null", "N/A", "na")) {
      assertThat(Numbers.of(written)).as(written).contains(0);
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"12O", "bpm", "1.2.3", "0x1F", "1e3", "--1", "٣٤", "12345678901"})
  void whatIsNoNumberIsNone(String written) {
    assertThat(Numbers.of(written)).isEmpty();
  }

  @Test
  void aNumberOfADocumentThatNoRateCanBeIsNone() {
    assertThat(Numbers.whole(120.5)).hasValue(121);
    assertThat(Numbers.whole(-1)).hasValue(-1);
    assertThat(Numbers.whole(32_768)).isEmpty();
    assertThat(Numbers.whole(1e300)).isEmpty();
  }
}
