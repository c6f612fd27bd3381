package app.korvel.core.talk;

import app.korvel.core.measure.Threshold;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Whether a talk rate is known well enough to be offered: every condition that does not hold is
 * told.
 *
 * @param nearChecks used checks near it
 * @param nearDays on so many days
 * @param newest the day of the newest of them
 * @param whyNot what does not hold; nothing where it is open
 */
public record Gate(int nearChecks, int nearDays, Optional<LocalDate> newest, List<WhyNot> whyNot) {

  /** What a talk rate still lacks. */
  public enum WhyNot {
    CHECKS,
    DAYS,
    ONE_SIDED,
    UNSURE,
    OLD,
    OUT_OF_RANGE,
    AT_THE_EDGE,
    CONTRADICTED,
    /** Over the equation's edge sentences are said, and feel like phrases. */
    FELT_HARDER,
    /** The upper one is offered only where the lower one is offered or in use. */
    LOWER_FIRST
  }

  public Gate {
    whyNot = List.copyOf(whyNot);
  }

  /** Whether it may be offered. */
  public boolean open() {
    return whyNot.isEmpty();
  }

  static Gate of(Which which, TalkSeries series) {
    Spread spread = which.of(series.belief());
    int shown = spread.shownBpm();
    List<TalkSeries.Used> near =
        series.used().stream().filter(used -> TalkSeries.near(used, shown)).toList();
    int days =
        (int)
            series.days().stream()
                .filter(day -> day.checks().stream().anyMatch(used -> TalkSeries.near(used, shown)))
                .count();
    long oneSide =
        near.stream().filter(used -> used.check().said().speech() == which.oneSide()).count();
    Optional<LocalDate> newest = series.newestNear(shown);
    List<WhyNot> whyNot = new ArrayList<>();
    add(whyNot, WhyNot.CHECKS, near.size() < Threshold.LEARNED_CHECKS.whole());
    add(whyNot, WhyNot.DAYS, days < Threshold.LEARNED_DAYS.whole());
    int each = Threshold.LEARNED_EACH_SIDE.whole();
    add(whyNot, WhyNot.ONE_SIDED, oneSide < each || near.size() - oneSide < each);
    add(whyNot, WhyNot.UNSURE, spread.errorBpm() > which.mostErrorBpm());
    add(
        whyNot,
        WhyNot.OLD,
        newest
            .filter(
                on ->
                    ChronoUnit.DAYS.between(on, series.today()) <= Threshold.LEARNED_FRESH.whole())
            .isEmpty());
    add(whyNot, WhyNot.OUT_OF_RANGE, !which.inRange(spread.meanBpm(), series.span()));
    add(
        whyNot,
        WhyNot.AT_THE_EDGE,
        which.outermost(series.belief()) > Threshold.LEARNED_OUTERMOST.value().doubleValue() / 100);
    return new Gate(near.size(), days, newest, whyNot);
  }

  Gate and(WhyNot why, boolean holds) {
    List<WhyNot> all = new ArrayList<>(whyNot);
    add(all, why, holds);
    return new Gate(nearChecks, nearDays, newest, all);
  }

  private static void add(List<WhyNot> whyNot, WhyNot why, boolean holds) {
    if (holds) {
      whyNot.add(why);
    }
  }
}
