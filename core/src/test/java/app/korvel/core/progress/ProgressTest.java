package app.korvel.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.measure.RegionalSettings;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.session.SessionLog;
import app.korvel.core.support.Logs;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProgressTest {
  /** A Tuesday; its week begins on 29 June. */
  private static final LocalDate TODAY = Logs.TODAY;

  private static Progress progress(List<TrainedWeek.Due> due, List<SessionLog> logs) {
    return Progress.of(
        due,
        logs,
        List.of(),
        Optional.empty(),
        RegionalSettings.METRIC.weekOf(TODAY),
        TODAY,
        ZoneOffset.UTC);
  }

  @Test
  void minutesStandAtTheirLevelAndInTheirWeek() {
    List<SessionLog> logs =
        List.of(
            // 100 is Sing, 120 Talk, 140 Phrases, of 64 to 176.
            Logs.done(TODAY, 30, 10, 100),
            Logs.done(TODAY.minusDays(1), 20, 12, 120),
            Logs.done(TODAY.minusDays(1), 15, 14, 140),
            Logs.done(TODAY.minusDays(2), 45, 12, 120),
            Logs.missed(TODAY));
    List<TrainedWeek> weeks = progress(List.of(), logs).weeks();
    assertThat(weeks).hasSize(12);
    TrainedWeek now = weeks.get(11);
    assertThat(now.startsOn()).isEqualTo(LocalDate.of(2026, 6, 29));
    assertThat(now.minutes()).containsExactly(30, 20, 15, 0, 0);
    assertThat(now.allMinutes()).isEqualTo(65);
    // Light ones are worth 0, vigorous ones two: 20 + 2 × 15.
    assertThat(now.moderateEquivalentMinutes()).isEqualTo(50);
    assertThat(now.extra()).isEqualTo(3);
    assertThat(weeks.get(10).minutes()).containsExactly(0, 45, 0, 0, 0);
    assertThat(weeks.get(0).startsOn()).isEqualTo(LocalDate.of(2026, 4, 13));
    // 50 and 45 over four weeks: 23.75.
    assertThat(progress(List.of(), logs).lately()).isEqualTo(new Progress.Lately(0, 0, 4, 24));
  }

  @Test
  void recordedSessionsCountByTheSecondSummedOverTheWeek() {
    List<SessionLog> logs =
        List.of(
            Logs.recorded(TODAY, 20, true, 310, 620, 590, 0, 0),
            // Cut short: its minutes count, and it is not among those done.
            Logs.recorded(TODAY.minusDays(1), 14, false, 0, 410, 429, 0, 0),
            Logs.done(TODAY, 10, 12, 120));
    TrainedWeek now = progress(List.of(), logs).weeks().get(11);
    // 310 s; 620 + 410 + 600; 590 + 429: half up.
    assertThat(now.minutes()).containsExactly(5, 27, 17, 0, 0);
    assertThat(now.extra()).isEqualTo(2);
  }

  @Test
  void adherenceCountsWhatWasDue() {
    List<TrainedWeek.Due> due =
        List.of(
            new TrainedWeek.Due(1, TODAY.minusDays(3)),
            new TrainedWeek.Due(2, TODAY.minusDays(2)),
            new TrainedWeek.Due(3, TODAY.minusDays(1)),
            new TrainedWeek.Due(4, TODAY),
            new TrainedWeek.Due(5, TODAY.plusDays(1)));
    List<SessionLog> logs =
        new ArrayList<>(
            List.of(
                Logs.planned(1, TODAY.minusDays(3), 20, 12), Logs.missed(2, TODAY.minusDays(2))));
    Progress progress = progress(due, logs);
    // Today's is not owed before it is logged.
    assertThat(progress.planned()).isEqualTo(3);
    assertThat(progress.done()).isEqualTo(1);
    assertThat(progress.adherencePercent()).contains(33);
    logs.add(Logs.planned(4, TODAY, 20, 12));
    assertThat(progress(due, logs).adherencePercent()).contains(50);
    assertThat(progress(List.of(), logs).adherencePercent()).isEmpty();
  }

  private static List<RestingReading> readings(int... bpm) {
    List<RestingReading> all = new ArrayList<>();
    for (int i = 0; i < bpm.length; i++) {
      all.add(reading(TODAY.minusDays(10L * (bpm.length - i)), bpm[i], Posture.SEATED));
    }
    return all;
  }

  private static RestingReading reading(LocalDate on, int bpm, Posture posture) {
    return RestingReading.counted(
        new UUID(2, on.toEpochDay()),
        on.atTime(7, 0).toInstant(ZoneOffset.UTC),
        PulseCount.of(bpm, CountWindow.S60),
        posture,
        5,
        Set.of());
  }

  /** Medians of three: the middle one of each end. */
  @ParameterizedTest
  @CsvSource({
    "70, 65, true, lower by 5 bpm: from 70 to 65",
    "70, 66, false, 'perhaps lower: 70 then, 66 now. Measure again.'",
    "70, 67, false, perhaps lower",
    "70, 68, false, not changed: 70 then",
    "70, 72, false, 72 now",
    "70, 73, false, perhaps higher",
    "70, 74, false, perhaps higher",
    "70, 75, true, higher by 5 bpm: from 70 to 75",
  })
  void fromFiveBpmOnItIsAChangeAndFromThreePerhaps(
      int then, int now, boolean changed, String said) {
    RestingChange change =
        RestingChange.since(
                readings(then, then - 9, then + 9, 60, now + 9, now, now - 9),
                TODAY.minusYears(1),
                Optional.empty(),
                ZoneOffset.UTC)
            .orElseThrow();
    assertThat(change.thenBpm()).isEqualTo(then);
    assertThat(change.nowBpm()).isEqualTo(now);
    assertThat(change.changed()).isEqualTo(changed);
    assertThat(change.finding().message()).contains(said);
  }

  @Test
  void onlyWhatWasTakenAlikeAndSinceIsCompared() {
    List<RestingReading> six = readings(70, 70, 70, 66, 66, 66);
    assertThat(since(six, TODAY.minusYears(1), Optional.empty())).isPresent();
    assertThat(since(six.subList(1, 6), TODAY.minusYears(1), Optional.empty())).isEmpty();
    assertThat(since(six, TODAY.minusDays(55), Optional.empty())).isEmpty();
    Instant dose = TODAY.minusDays(55).atStartOfDay().toInstant(ZoneOffset.UTC);
    assertThat(since(six, TODAY.minusYears(1), Optional.of(dose))).isEmpty();
    List<RestingReading> mixed = new ArrayList<>(six.subList(0, 5));
    mixed.add(reading(TODAY.minusDays(10), 60, Posture.LYING));
    assertThat(since(mixed, TODAY.minusYears(1), Optional.empty())).isEmpty();
    mixed.addAll(six.subList(5, 6));
    assertThat(since(mixed, TODAY.minusYears(1), Optional.empty()).orElseThrow().posture())
        .isEqualTo(Posture.SEATED);
    assertThat(since(mixed, TODAY.minusYears(1), Optional.empty()).orElseThrow().source())
        .isEqualTo(PulseSource.COUNT);
  }

  private static Optional<RestingChange> since(
      List<RestingReading> readings, LocalDate since, Optional<Instant> from) {
    return RestingChange.since(readings, since, from, ZoneOffset.UTC);
  }

  @Test
  void effortIsHeldTogetherForTheSameTarget() {
    List<SameTarget> targets =
        progress(
                List.of(),
                List.of(
                    Logs.done(TODAY.minusDays(3), 20, 14, 120),
                    Logs.done(TODAY, 20, 12, 120),
                    Logs.done(TODAY.minusDays(5), 20, 13, 120),
                    Logs.missed(TODAY)))
            .targets();
    assertThat(targets)
        .singleElement()
        .satisfies(
            target -> {
              assertThat(target.felt())
                  .extracting(SameTarget.RatedSession::rpe20)
                  .containsExactly(13, 14, 12);
              assertThat(target.mean()).isEqualByComparingTo("13.0");
            });
    assertThat(progress(List.of(), List.of(Logs.done(TODAY, 20, 12, 120))).targets()).isEmpty();
  }
}
