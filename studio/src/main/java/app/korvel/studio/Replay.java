package app.korvel.studio;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.PriorityQueue;

/**
 * A clock that moves from one thing to the next, each done when its time has come. What is done may
 * ask for more to be done later.
 */
public final class Replay extends Clock {
  private record Step(Instant at, int order, Runnable task) {}

  private final ZoneId zone;
  private final PriorityQueue<Step> steps =
      new PriorityQueue<>(Comparator.comparing(Step::at).thenComparing(Step::order));
  private int asked;
  private Instant now = Instant.EPOCH;

  /** A clock of that zone, before everything. */
  public Replay(ZoneId zone) {
    this.zone = zone;
  }

  /** Asks for something to be done at that time, after all that was asked for before. */
  public void at(Instant time, Runnable task) {
    steps.add(new Step(time, asked++, task));
  }

  /** Does everything in the order of time, up to and with that moment; what is later is left. */
  public void runUntil(Instant end) {
    while (!steps.isEmpty() && !steps.peek().at.isAfter(end)) {
      Step next = steps.remove();
      now = next.at;
      next.task.run();
    }
    now = end;
  }

  @Override
  public Instant instant() {
    return now;
  }

  @Override
  public ZoneId getZone() {
    return zone;
  }

  @Override
  public Clock withZone(ZoneId other) {
    throw new UnsupportedOperationException("A replay is in one zone.");
  }
}
