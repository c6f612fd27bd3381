package app.korvel.server.progress;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.progress.Months;
import app.korvel.core.progress.Months.Month;
import app.korvel.core.progress.Months.Span;
import app.korvel.core.progress.Trend;
import app.korvel.server.live.LiveSummaryViews.ZoneSeconds;
import app.korvel.server.progress.ProgressViews.SameTargetView;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Months of a client, as they are sent. */
final class MonthsViews {
  private MonthsViews() {}

  private static @Nullable Integer number(OptionalInt value) {
    return value.isPresent() ? value.getAsInt() : null;
  }

  /**
   * The span as it was on a day.
   *
   * @param lowerBpm where talking in sentences ended; null where it was not known
   * @param upperBpm where talking ended; null where it was not known
   */
  record SpanThen(
      @Nullable Integer restingBpm,
      @Nullable Integer maximumBpm,
      String maximumBy,
      boolean estimated,
      @Nullable Integer lowerBpm,
      @Nullable Integer upperBpm) {
    static SpanThen of(Span span) {
      return new SpanThen(
          number(span.restingBpm()),
          number(span.maximumBpm()),
          span.maximumBy(),
          span.estimated(),
          number(span.lowerBpm()),
          number(span.upperBpm()));
    }
  }

  /**
   * A month.
   *
   * @param minutes at each level, 1 to 5
   * @param easyPercent the share of time below the level of phrases; null without any
   * @param adherencePercent null where no session was due
   * @param meanRpe at the target that was met most often; null without any
   */
  record MonthView(
      YearMonth month,
      int planned,
      int done,
      int extra,
      List<Integer> minutes,
      @Nullable Integer easyPercent,
      @Nullable Integer adherencePercent,
      @Nullable Integer restingBpm,
      @Nullable BigDecimal meanRpe,
      SpanThen span) {
    static MonthView of(Month month) {
      return new MonthView(
          month.month(),
          month.planned(),
          month.done(),
          month.extra(),
          month.minutes(),
          number(month.easyPercent()),
          number(month.adherencePercent()),
          number(month.restingBpm()),
          month.meanRpe().orElse(null),
          SpanThen.of(month.span()));
    }
  }

  /**
   * A value in its series.
   *
   * @param series one more after each change of medication
   */
  record TrendValue(LocalDate on, int bpm, int series) {}

  /**
   * Values taken alike.
   *
   * @param changed whether the last differ from the first by more than chance
   * @param finding null where too few were taken
   */
  record TrendSeries(
      Trend.Kind kind,
      String name,
      String alike,
      List<TrendValue> points,
      boolean changed,
      @Nullable Finding finding) {
    static TrendSeries of(Trend trend) {
      return new TrendSeries(
          trend.kind(),
          trend.kind().displayName(),
          trend.alike(),
          trend.points().stream()
              .map(point -> new TrendValue(point.on(), point.bpm(), point.series()))
              .toList(),
          trend.changed(),
          trend.finding().orElse(null));
    }
  }

  /**
   * The page.
   *
   * @param mode whose maximum and thresholds are shown
   * @param modes that have records
   * @param target the target that was met most often; null without one that was met twice
   * @param most how many months can be looked at
   */
  record MonthsView(
      Mode mode,
      List<Mode> modes,
      List<MonthView> months,
      List<TrendSeries> trends,
      @Nullable SameTargetView target,
      List<LocalDate> medicineChanges,
      List<Finding> findings,
      int most) {
    static MonthsView of(Months months, Mode mode, List<Mode> modes) {
      return new MonthsView(
          mode,
          modes,
          months.months().stream().map(MonthView::of).toList(),
          months.trends().stream().map(TrendSeries::of).toList(),
          months.target().map(SameTargetView::of).orElse(null),
          months.medicineChanges(),
          months.findings(),
          Months.MOST);
    }
  }

  /** Whose span a past session is read with. */
  enum SpanOf {
    /** That of the session's own day. */
    OWN,
    /** Today's, for all of them. */
    TODAY
  }

  /**
   * A past session in a zone system.
   *
   * @param zones empty where no rate led that day
   */
  record SessionZones(
      UUID session,
      LocalDate on,
      Mode mode,
      int seconds,
      int noDataSeconds,
      @Nullable Integer restingBpm,
      @Nullable Integer maximumBpm,
      List<ZoneSeconds> zones) {}

  /**
   * Every recorded session in one zone system.
   *
   * @param words which span they are read with, in a sentence
   * @param all seconds by zone of all of them together
   * @param without sessions that have no span
   */
  record AllSessions(
      String scheme,
      SpanOf span,
      String words,
      List<ZoneSeconds> all,
      int without,
      List<SessionZones> sessions) {}
}
