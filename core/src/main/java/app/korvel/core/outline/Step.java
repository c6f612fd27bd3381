package app.korvel.core.outline;

import app.korvel.core.measure.Limit;
import app.korvel.core.zone.Reserve.Percents;
import java.util.Optional;

/**
 * One step of a session.
 *
 * @param kind what it is for
 * @param seconds how long, {@link Limit#STEP_SECONDS}
 * @param range how hard, percent of reserve, {@link Limit#INTENSITY}; empty where the kind has no
 *     intensity
 * @param waits whether its clock starts when the target is reached, after 4 min of waiting anyway;
 *     only {@link StepKind#WORK} waits
 */
public record Step(StepKind kind, int seconds, Optional<Percents> range, boolean waits) {

  static Step of(StepKind kind, int seconds, Percents range) {
    return new Step(kind, seconds, Optional.of(range), false);
  }

  static Step of(StepKind kind, int seconds) {
    return new Step(kind, seconds, Optional.empty(), false);
  }

  static Step work(int seconds, Percents range) {
    return of(StepKind.WORK, seconds, range);
  }

  static Step easy(int seconds, Percents range) {
    return of(StepKind.EASY, seconds, range);
  }

  static Step burst(int seconds, Percents range) {
    return of(StepKind.BURST, seconds, range);
  }

  Step waiting() {
    return new Step(kind, seconds, range, true);
  }

  Step lasting(int longer) {
    return new Step(kind, longer, range, waits);
  }

  /** The same, nowhere harder than that. */
  Step atMost(int percent) {
    return new Step(
        kind,
        seconds,
        range.map(
            wanted ->
                wanted.high() <= percent
                    ? wanted
                    : new Percents(
                        Math.max(
                            Limit.INTENSITY.lowest(),
                            Math.min(wanted.low(), percent - (wanted.high() - wanted.low()))),
                        percent)),
        waits);
  }

  /** The upper edge, percent of reserve; 0 without an intensity. */
  int highPercent() {
    return range.map(Percents::high).orElse(0);
  }
}
