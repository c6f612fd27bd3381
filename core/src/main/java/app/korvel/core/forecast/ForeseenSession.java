package app.korvel.core.forecast;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveRecovery;
import app.korvel.core.live.LiveSession;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.StepKind;
import app.korvel.core.recovery.Recovery;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Run;
import app.korvel.core.trace.ExponentialFit;
import app.korvel.core.trace.Fall;
import app.korvel.core.trace.Trace;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a recorded session tells of somebody's heart, and how near its forecast came. It is kept, so
 * that it is worked out once.
 *
 * @param rises the time constant of each rise of it, in seconds
 * @param falls the time constant of each fall after an effort, in seconds
 * @param upSeconds the time constant that it was foreseen with, and {@code downSeconds} likewise
 * @param meanOffBpm how far rate and forecast lay apart on average; empty without a forecast
 * @param settledOffBpm the middle of how far the work settled above its forecast, negative below;
 *     empty where none settled
 * @param within seconds in the ribbon, in percent of those with a rate; 0 without a forecast
 */
public record ForeseenSession(
    List<Integer> rises,
    List<Integer> falls,
    int upSeconds,
    int downSeconds,
    OptionalInt meanOffBpm,
    OptionalInt settledOffBpm,
    int within) {

  private static final int RISES = Threshold.FORECAST_RISE_WITHIN.whole();

  public ForeseenSession {
    rises = List.copyOf(rises);
    falls = List.copyOf(falls);
  }

  /**
   * Looks at a session that is over.
   *
   * @param kinetics as they were known before it
   * @return empty where it tells nothing: no strap, a strap that was swapped or never confirmed, or
   *     too few samples
   */
  public static Optional<ForeseenSession> of(LiveSession session, Kinetics kinetics) {
    boolean sure =
        session.source() == RateSource.STRAP
            && session.recording().dense()
            && session.recording().seen()
            && !session.swapped()
            && !session.inDoubt()
            && session.run().isPresent();
    if (!sure) {
      return Optional.empty();
    }
    Run run = session.run().orElseThrow();
    Optional<ForecastReview> review = ForecastReview.of(session, kinetics);
    return Optional.of(
        new ForeseenSession(
            rises(session, run),
            falls(session, run),
            kinetics.up().seconds(),
            kinetics.down().seconds(),
            review.map(ForecastReview::meanOffBpm).orElse(OptionalInt.empty()),
            review.map(ForecastReview::settledOffBpm).orElse(OptionalInt.empty()),
            review.map(ForecastReview::within).orElse(0)));
  }

  /** From the beginning of each step, where its clock did not stand meanwhile. */
  private static List<Integer> rises(LiveSession session, Run run) {
    Trace trace = session.trace();
    BitSet standing = SessionForecast.standing(session, run, trace.seconds());
    List<Integer> found = new ArrayList<>();
    for (Leg leg : run.legs()) {
      int from = SessionForecast.second(run.begunAt(), leg.from());
      int to =
          leg.endedAt()
              .map(at -> SessionForecast.second(run.begunAt(), at))
              .orElse(trace.seconds());
      int next = standing.nextSetBit(from + 1);
      int until = Math.min(Math.min(to, from + RISES), next < 0 ? to : next - 1);
      ExponentialFit.rising(trace.upTo(until), from, RISES)
          .ifPresent(fit -> found.add(fit.timeConstantSeconds()));
    }
    return found;
  }

  /** After each effort that was followed, and after the last of the work. */
  private static List<Integer> falls(LiveSession session, Run run) {
    List<Integer> found = new ArrayList<>();
    BitSet ends = new BitSet();
    for (LiveRecovery each : LiveRecovery.of(session, Optional.empty())) {
      ends.set(each.endSecond());
      each.recovery().flatMap(Recovery::fit).ifPresent(fit -> found.add(fit.timeConstantSeconds()));
    }
    List<Leg> legs = run.legs();
    for (int n = 0; n + 1 < legs.size(); n++) {
      int end = SessionForecast.second(run.begunAt(), legs.get(n + 1).from());
      boolean last = exercise(session, legs.get(n)) && !exercise(session, legs.get(n + 1));
      boolean told =
          ends.get(Math.max(0, end - Fall.KNOWN_60), end + Fall.KNOWN_60).cardinality() > 0;
      if (last && !told) {
        Fall.of(session.trace(), end)
            .flatMap(Fall::fit)
            .ifPresent(fit -> found.add(fit.timeConstantSeconds()));
      }
    }
    return found;
  }

  private static boolean exercise(LiveSession session, Leg leg) {
    StepKind kind = session.plan().steps().get(leg.row()).kind();
    return kind.exercise();
  }
}
