package app.korvel.server.progress;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.progress.Progress;
import app.korvel.core.progress.SameTarget;
import app.korvel.core.progress.TrainedWeek;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseSource;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What has come of training, as it is sent. */
final class ProgressViews {
  private ProgressViews() {}

  /**
   * A week as it was trained.
   *
   * @param minutes at each level, 1 to 5
   */
  record TrainedWeekView(
      LocalDate startsOn,
      int planned,
      int done,
      int extra,
      List<Integer> minutes,
      int allMinutes,
      int moderateEquivalentMinutes) {
    static TrainedWeekView of(TrainedWeek week) {
      return new TrainedWeekView(
          week.startsOn(),
          week.planned(),
          week.done(),
          week.extra(),
          week.minutes(),
          week.allMinutes(),
          week.moderateEquivalentMinutes());
    }
  }

  record TakenReading(LocalDate on, int bpm) {}

  record RestingChangeView(
      Posture posture,
      PulseSource source,
      List<TakenReading> readings,
      int thenBpm,
      int nowBpm,
      boolean changed,
      Finding finding) {}

  record RatedSessionView(LocalDate on, int rpe) {}

  record SameTargetView(
      Mode mode,
      int lowPercent,
      int highPercent,
      List<Integer> rpe,
      List<RatedSessionView> felt,
      BigDecimal mean) {
    static SameTargetView of(SameTarget target) {
      return new SameTargetView(
          target.mode(),
          target.range().low(),
          target.range().high(),
          List.of(target.rpe20().low(), target.rpe20().high()),
          target.felt().stream()
              .map(felt -> new RatedSessionView(felt.on(), felt.rpe20()))
              .toList(),
          target.mean());
    }
  }

  /**
   * The page.
   *
   * @param goalMinutes the week's minutes as they are prescribed now; null without a prescription
   * @param markMinutes where the guideline begins, moderate-equivalent
   * @param adherencePercent null where no session was due
   */
  record ProgressView(
      List<TrainedWeekView> weeks,
      @Nullable Integer goalMinutes,
      @Nullable Integer markMinutes,
      int planned,
      int done,
      Progress.Lately lately,
      @Nullable Integer adherencePercent,
      @Nullable RestingChangeView resting,
      List<SameTargetView> targets,
      int logs) {}
}
