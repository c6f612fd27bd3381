package app.korvel.core.forecast;

import app.korvel.core.live.LivePlan;
import app.korvel.core.live.LivePlan.Basis;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.live.LiveSession;
import app.korvel.core.outline.StepKind;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Run;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Reserve;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * The forecast of a session on the clock: of its steps as they came, and after them of those that
 * are still to come. In a pause, and while somebody recovers, they stand.
 */
public final class SessionForecast {
  /** A rate so soon after the beginning is where it began, in seconds. */
  private static final int AT_FIRST = 10;

  private SessionForecast() {}

  /**
   * Foresees it.
   *
   * @param kinetics as they were known before it
   * @return empty where no rate is used, where nobody saw when its steps began, or where it lasts
   *     longer than {@link Trace#MOST_SECONDS} s
   */
  public static Optional<Forecast> of(LiveSession session, Kinetics kinetics) {
    LivePlan plan = session.plan();
    Optional<Reserve> reserve = plan.mover().reserve();
    Optional<Basis> basis = plan.basis();
    boolean asked = plan.steps().stream().anyMatch(step -> step.range().isPresent());
    if (reserve.isEmpty() || basis.isEmpty() || !asked || !session.recording().seen()) {
      return Optional.empty();
    }
    List<ForecastStep> steps = steps(session, reserve.get());
    return Forecast.longest(steps) > Trace.MOST_SECONDS
        ? Optional.empty()
        : Optional.of(
            Forecast.of(reserve.get(), basis.get().uncertainty(), kinetics, steps, first(session)));
  }

  private static OptionalDouble first(LiveSession session) {
    for (int second = 1; second <= Math.min(AT_FIRST, session.trace().seconds()); second++) {
      OptionalInt bpm = session.trace().smoothed(second);
      if (bpm.isPresent()) {
        return OptionalDouble.of(bpm.getAsInt());
      }
    }
    return OptionalDouble.empty();
  }

  private static List<ForecastStep> steps(LiveSession session, Reserve reserve) {
    List<PlanStep> planned = session.plan().steps();
    List<ForecastStep> steps = new ArrayList<>();
    int next = 0;
    if (session.run().isPresent()) {
      Run run = session.run().get();
      steps.addAll(came(session, run, reserve));
      next = run.legs().isEmpty() ? 0 : run.legs().get(run.legs().size() - 1).row() + 1;
      run.current()
          .filter(leg -> session.over().isEmpty())
          .ifPresent(leg -> steps.add(left(session, leg, reserve)));
    }
    if (session.over().isEmpty()) {
      for (PlanStep step : planned.subList(next, planned.size())) {
        steps.add(step(step, step.seconds(), step.waits(), reserve));
      }
    }
    return steps.stream().filter(step -> step.seconds() > 0).toList();
  }

  private static ForecastStep step(PlanStep step, int seconds, boolean waits, Reserve reserve) {
    return ForecastStep.of(
        step.kind(),
        seconds,
        step.range(),
        step.aim().flatMap(aim -> aim.rates()).map(rates -> rates.lowBpm()),
        step.aim().flatMap(aim -> aim.rates()).map(rates -> rates.highBpm()),
        waits,
        reserve,
        Optional.empty());
  }

  /** What is left of the step that is on. */
  private static ForecastStep left(LiveSession session, Leg leg, Reserve reserve) {
    PlanStep step = session.plan().steps().get(leg.row());
    int ran = (int) leg.ran(session.at()).toSeconds();
    return step(
        step,
        Math.max(0, (int) leg.length().toSeconds() - ran),
        step.waits() && leg.clockFrom().isEmpty(),
        reserve);
  }

  /** The steps as they came, second by second, with standing where the clock stood. */
  private static List<ForecastStep> came(LiveSession session, Run run, Reserve reserve) {
    Instant begun = run.begunAt();
    int length = session.trace().seconds();
    BitSet standing = standing(session, run, length);
    List<ForecastStep> steps = new ArrayList<>();
    for (int n = 0; n < run.legs().size(); n++) {
      Leg leg = run.legs().get(n);
      PlanStep step = session.plan().steps().get(leg.row());
      int second = second(begun, leg.from());
      int end = Math.min(length, leg.endedAt().map(at -> second(begun, at)).orElse(length));
      while (second < end) {
        boolean stands = standing.get(second + 1);
        int to =
            Math.min(
                end,
                (stands ? standing.nextClearBit(second + 1) : nextSet(standing, second + 1)) - 1);
        steps.add(
            stands
                ? ForecastStep.of(step.kind(), to - second, HeartModel.STANDING)
                : step(step, to - second, false, reserve));
        second = to;
      }
    }
    int after = run.complete() ? length - second(begun, run.sinceLast()) : 0;
    steps.add(ForecastStep.of(StepKind.STRETCH, Math.max(0, after), HeartModel.STANDING));
    return steps;
  }

  private static int nextSet(BitSet bits, int from) {
    int next = bits.nextSetBit(from);
    return next < 0 ? Integer.MAX_VALUE : next;
  }

  /** The seconds in which the clock stood, or somebody recovered. */
  static BitSet standing(LiveSession session, Run run, int length) {
    BitSet standing = session.recovering().get(0, length + 1);
    for (Leg leg : run.legs()) {
      for (Leg.Pause pause : leg.pauses()) {
        int from = second(run.begunAt(), pause.from());
        int to = second(run.begunAt(), pause.to().orElse(session.at()));
        standing.set(from + 1, Math.max(from, to) + 1);
      }
    }
    return standing;
  }

  /** Full seconds since the beginning. */
  static int second(Instant begun, Instant at) {
    return (int) Math.max(0, Duration.between(begun, at).toSeconds());
  }
}
