package app.korvel.core.forecast;

import app.korvel.core.live.LiveSession;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.StepKind;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Run;
import app.korvel.core.trace.Trace;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A session's rate against its forecast.
 *
 * @param forecast of its steps as they came
 * @param steps each step as it came
 * @param meanOffBpm how far rate and forecast lay apart on average, half up; empty without a rate
 * @param settledOffBpm the middle of how far the work settled above its forecast, negative below;
 *     the lower of two; empty where none settled
 * @param within seconds in the ribbon, in percent of those with a rate, half up
 */
public record ForecastReview(
    Forecast forecast,
    List<StepReview> steps,
    OptionalInt meanOffBpm,
    OptionalInt settledOffBpm,
    int within) {

  /**
   * A step against its forecast, by its last half minute.
   *
   * @param fromSecond its first second
   * @param toSecond its last
   * @param foreseenBpm the middle of the forecast there, half up
   * @param wasBpm the middle of the smoothed rate there, the lower of two; empty without one
   */
  public record StepReview(
      StepKind kind, int fromSecond, int toSecond, int foreseenBpm, OptionalInt wasBpm) {

    /** How far it ended above its forecast, negative below. */
    public OptionalInt offBpm() {
      return wasBpm.isPresent()
          ? OptionalInt.of(wasBpm.getAsInt() - foreseenBpm)
          : OptionalInt.empty();
    }
  }

  private static final int LAST = 30;
  private static final int SETTLED = Threshold.FORECAST_SETTLED.whole();

  private static final int AS_FORESEEN = Threshold.FORECAST_AS_FORESEEN.whole();

  /** Fewer settled seconds tell nothing. */
  private static final int FEWEST = 60;

  public ForecastReview {
    steps = List.copyOf(steps);
  }

  /**
   * Holds a session against its forecast, as far as it has come.
   *
   * @param kinetics as they were known before it
   * @return empty where it has none, or has not begun
   */
  public static Optional<ForecastReview> of(LiveSession session, Kinetics kinetics) {
    return session
        .run()
        .flatMap(run -> SessionForecast.of(session, kinetics).map(made -> of(session, run, made)));
  }

  private static ForecastReview of(LiveSession session, Run run, Forecast forecast) {
    Trace trace = session.trace();
    int length = Math.min(trace.seconds(), forecast.seconds());
    BitSet standing = SessionForecast.standing(session, run, length);
    List<StepReview> steps = new ArrayList<>();
    List<Integer> settled = new ArrayList<>();
    double apart = 0;
    int known = 0;
    int within = 0;
    for (Leg leg : run.legs()) {
      StepKind kind = session.plan().steps().get(leg.row()).kind();
      int from = SessionForecast.second(run.begunAt(), leg.from());
      int to =
          Math.min(
              length,
              leg.endedAt().map(at -> SessionForecast.second(run.begunAt(), at)).orElse(length));
      for (int second = from + 1; second <= to; second++) {
        OptionalInt bpm = trace.smoothed(second);
        if (bpm.isEmpty() || standing.get(second)) {
          continue;
        }
        double off = bpm.getAsInt() - forecast.at(second);
        apart += Math.abs(off);
        known++;
        within += forecast.holds(second, bpm.getAsInt()) ? 1 : 0;
        if (kind == StepKind.WORK && second - from > SETTLED) {
          settled.add(Forecast.shown(off));
        }
      }
      if (to > from) {
        steps.add(step(kind, from, to, trace, forecast));
      }
    }
    return new ForecastReview(
        forecast,
        steps,
        known == 0 ? OptionalInt.empty() : OptionalInt.of(Forecast.shown(apart / known)),
        settled.size() < FEWEST ? OptionalInt.empty() : middle(settled),
        known == 0 ? 0 : Rounding.quotient(100L * within, known));
  }

  /** In a sentence; empty without a rate. */
  public Optional<Finding> finding() {
    if (meanOffBpm.isEmpty()) {
      return Optional.empty();
    }
    int mean = meanOffBpm.getAsInt();
    if (settledOffBpm.isEmpty()) {
      return Optional.of(ForecastFinding.NOTHING_SETTLED.of(mean));
    }
    int off = settledOffBpm.getAsInt();
    if (Math.abs(off) <= AS_FORESEEN) {
      return Optional.of(ForecastFinding.SETTLED_AS_FORESEEN.of(AS_FORESEEN, mean));
    }
    return Optional.of(
        off > 0
            ? ForecastFinding.SETTLED_HIGHER.of(off, mean)
            : ForecastFinding.SETTLED_LOWER.of(-off, mean));
  }

  private static StepReview step(StepKind kind, int from, int to, Trace trace, Forecast forecast) {
    int first = Math.max(from + 1, to - LAST + 1);
    List<Integer> rates = new ArrayList<>();
    double sum = 0;
    for (int second = first; second <= to; second++) {
      sum += forecast.at(second);
      trace.smoothed(second).ifPresent(rates::add);
    }
    return new StepReview(
        kind,
        from + 1,
        to,
        Forecast.shown(sum / (to - first + 1)),
        rates.isEmpty() ? OptionalInt.empty() : middle(rates));
  }

  private static OptionalInt middle(List<Integer> values) {
    return OptionalInt.of(values.stream().sorted().toList().get((values.size() - 1) / 2));
  }
}
