package app.korvel.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.progress.Months.Month;
import app.korvel.core.progress.Months.Span;
import app.korvel.core.progress.Trend.Value;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.session.SessionLog;
import app.korvel.core.support.Logs;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class MonthsTest {
  /** The last of June. */
  private static final LocalDate TODAY = Logs.TODAY;

  private static final Span SPAN =
      new Span(
          OptionalInt.of(64),
          OptionalInt.of(176),
          "tanaka-208",
          true,
          OptionalInt.empty(),
          OptionalInt.empty());

  private static Months months(
      int count,
      List<TrainedWeek.Due> due,
      List<SessionLog> logs,
      List<RestingReading> readings,
      List<LocalDate> changes) {
    Map<YearMonth, Span> spans = new HashMap<>();
    Months.looked(count, TODAY).forEach(month -> spans.put(month, SPAN));
    return Months.of(
        new Months.Facts(
            due,
            logs,
            readings,
            List.of(),
            spans,
            changes,
            changes.stream()
                .max(LocalDate::compareTo)
                .map(day -> day.atStartOfDay().toInstant(ZoneOffset.UTC))),
        count,
        TODAY,
        ZoneOffset.UTC);
  }

  private static RestingReading reading(LocalDate on, int bpm, Posture posture) {
    return RestingReading.counted(
        new UUID(3, on.toEpochDay() * 10 + posture.ordinal()),
        on.atTime(7, 0).toInstant(ZoneOffset.UTC),
        PulseCount.of(bpm, CountWindow.S60),
        posture,
        5,
        Set.of());
  }

  @Test
  void sessionsStandInTheirMonthByTheSecond() {
    Months months =
        months(
            3,
            List.of(
                new TrainedWeek.Due(1, LocalDate.of(2026, 5, 4)),
                new TrainedWeek.Due(2, LocalDate.of(2026, 6, 1)),
                new TrainedWeek.Due(3, LocalDate.of(2026, 6, 3)),
                new TrainedWeek.Due(4, TODAY),
                new TrainedWeek.Due(5, TODAY.plusDays(1))),
            List.of(
                Logs.recorded(LocalDate.of(2026, 5, 10), 20, true, 300, 600, 290, 10, 0),
                Logs.planned(2, LocalDate.of(2026, 6, 1), 20, 13),
                Logs.missed(3, LocalDate.of(2026, 6, 3)),
                Logs.done(LocalDate.of(2026, 3, 31), 45, 12, 120)),
            List.of(),
            List.of());
    assertThat(months.months())
        .extracting(Month::month)
        .containsExactly(YearMonth.of(2026, 4), YearMonth.of(2026, 5), YearMonth.of(2026, 6));
    Month may = months.months().get(1);
    assertThat(may.minutes()).containsExactly(5, 10, 5, 0, 0);
    assertThat(may.easyPercent()).as("900 of 1200 s").hasValue(75);
    assertThat(may.planned()).isOne();
    assertThat(may.done()).isZero();
    assertThat(may.extra()).isOne();
    assertThat(may.adherencePercent()).hasValue(0);
    Month june = months.months().get(2);
    assertThat(june.planned()).as("today's is owed once it was logged").isEqualTo(2);
    assertThat(june.done()).isOne();
    assertThat(june.adherencePercent()).hasValue(50);
    Month april = months.months().get(0);
    assertThat(april.minutes()).containsExactly(0, 0, 0, 0, 0);
    assertThat(april.easyPercent()).isEmpty();
    assertThat(april.adherencePercent()).isEmpty();
  }

  @Test
  void theTargetThatWasMetMostOftenHasItsMeanRpe() {
    Months months =
        months(
            2,
            List.of(),
            List.of(
                Logs.done(LocalDate.of(2026, 5, 2), 20, 12, 120),
                Logs.done(LocalDate.of(2026, 5, 9), 20, 13, 120),
                Logs.done(LocalDate.of(2026, 6, 2), 20, 11, 120)),
            List.of(),
            List.of());
    assertThat(months.target().orElseThrow().felt()).hasSize(3);
    assertThat(months.months().get(0).meanRpe().orElseThrow()).isEqualByComparingTo("12.5");
    assertThat(months.months().get(1).meanRpe().orElseThrow()).isEqualByComparingTo("11");
  }

  @Test
  void restingIsTheMedianOfReadingsTakenAlike() {
    List<RestingReading> readings = new ArrayList<>();
    int[] may = {66, 70, 67, 69};
    for (int n = 0; n < may.length; n++) {
      readings.add(reading(LocalDate.of(2026, 5, 1 + n), may[n], Posture.SEATED));
    }
    readings.add(reading(LocalDate.of(2026, 5, 20), 58, Posture.LYING));
    Months months = months(2, List.of(), List.of(), readings, List.of());
    assertThat(months.months().get(0).restingBpm()).as("66 67 69 70").hasValue(67);
    assertThat(months.months().get(1).restingBpm()).isEmpty();
    assertThat(months.trends().get(0).alike()).isEqualTo("seated, by count");
    assertThat(months.findings()).as("four are too few for two medians of three").isEmpty();
  }

  @Test
  void aChangeOfMedicationBreaksTheLine() {
    List<LocalDate> changes = List.of(LocalDate.of(2026, 6, 10));
    Trend trend =
        Trend.of(
            Trend.Kind.RECOVERY,
            "seated, by strap",
            List.of(
                new Value(LocalDate.of(2026, 5, 1), 30),
                new Value(LocalDate.of(2026, 6, 9), 20),
                new Value(LocalDate.of(2026, 6, 10), 24),
                new Value(LocalDate.of(2026, 6, 28), 31)),
            9,
            changes);
    assertThat(trend.points()).extracting(Trend.Point::series).containsExactly(0, 0, 1, 1);
    assertThat(trend.finding().orElseThrow().message())
        .isEqualTo("Fall in 60 s, seated, by strap: not changed, 24 then, 31 now.");
    assertThat(trend.changed()).isFalse();
    assertThat(months(2, List.of(), List.of(), List.of(), changes).medicineChanges())
        .isEqualTo(changes);
  }
}
