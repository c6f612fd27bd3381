package app.korvel.core.live;

import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.outline.Outline;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Protocol;
import app.korvel.core.run.Row;
import app.korvel.core.run.Run;
import app.korvel.core.trace.Trace;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * The one clock of a room: what is done now, and what comes next.
 *
 * @param steps of the outline that all do; none where each does their own session
 * @param at as of when
 * @param begunAt when it was started; empty while it is not
 * @param run its steps as they came; empty while it has not begun
 * @param events those that stand, in the order of their times
 */
public record RoomClock(
    List<PlanStep> steps,
    Instant at,
    Optional<Instant> begunAt,
    Optional<Run> run,
    List<LiveEvent> events) {

  public RoomClock {
    steps = List.copyOf(steps);
    events = List.copyOf(events);
  }

  /** The steps that a room does by an outline, without anybody's rates. */
  public static List<PlanStep> steps(Outline outline) {
    return outline.inTurn().stream()
        .map(Outline.Placed::step)
        .map(
            step ->
                new PlanStep(step.kind(), step.seconds(), step.range(), Optional.empty(), false))
        .toList();
  }

  /**
   * Where it stands.
   *
   * @param happened in any order; what was withdrawn is left out
   * @param now as of when
   */
  public static RoomClock of(List<PlanStep> steps, List<LiveEvent> happened, Instant now) {
    List<LiveEvent> events = LiveSession.standing(happened, now);
    Optional<Instant> begunAt =
        events.stream().filter(LiveEvent.Begun.class::isInstance).map(LiveEvent::at).findFirst();
    Optional<Run> run =
        begunAt.map(
            begun ->
                Run.of(
                    steps.isEmpty() ? open() : LivePlan.protocol(steps),
                    begun,
                    events.stream()
                        .filter(event -> !event.at().isBefore(begun))
                        .flatMap(event -> event.clock().stream())
                        .toList(),
                    (row, from, to) -> Optional.empty(),
                    now));
    return new RoomClock(steps, now, begunAt, run, events);
  }

  /** Where each does their own session, the room's clock only runs. */
  private static Protocol open() {
    return Protocol.of(List.of(Row.of(Duration.ofSeconds(Trace.MOST_SECONDS), false)));
  }

  /** What ended it, if it is over. */
  public Optional<LiveEvent> over() {
    return LiveSession.over(events);
  }

  /** Since when it has been standing, if it does. */
  public Optional<Instant> paused() {
    return run.flatMap(Run::paused);
  }

  /** The step that is on, if one is. */
  public Optional<PlanStep> step() {
    return steps.isEmpty()
        ? Optional.empty()
        : run.flatMap(Run::current).map(leg -> steps.get(leg.row()));
  }

  /** The step that comes next, if one does. */
  public Optional<PlanStep> next() {
    int row = run.flatMap(Run::current).map(Leg::row).orElse(-1) + 1;
    return run.isEmpty() || row == 0 || row >= steps.size()
        ? Optional.empty()
        : Optional.of(steps.get(row));
  }

  /** How many seconds of its steps are left. */
  public int secondsLeft() {
    if (run.isEmpty()) {
      return steps.stream().mapToInt(PlanStep::seconds).sum();
    }
    Optional<Leg> leg = run.get().current();
    if (leg.isEmpty() || steps.isEmpty()) {
      return 0;
    }
    int later = steps.stream().skip(leg.get().row() + 1L).mapToInt(PlanStep::seconds).sum();
    return later + (int) leg.get().length().minus(leg.get().ran(at)).toSeconds();
  }
}
