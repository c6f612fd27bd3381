package app.korvel.core.run;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.run.Leg.Pause;
import app.korvel.core.run.Row.Begins;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/**
 * A protocol as it runs: everything follows from the events and the time, so that it stands where
 * it stood after a reload or a restart. An event that does not fit is passed over.
 *
 * @param at as of when
 * @param legs those that have come, in order
 * @param paused since when the clock stands; empty while it runs
 * @param over when it was finished or stopped
 * @param complete whether every row is over
 * @param next the row that begins on a word; empty where none waits for one
 */
public record Run(
    Protocol protocol,
    Instant begunAt,
    Instant at,
    List<Leg> legs,
    Optional<Instant> paused,
    Optional<Instant> over,
    boolean complete,
    Optional<Integer> next) {

  /** How far a clock may run ahead of ours. */
  private static final Duration AHEAD = Duration.ofSeconds(5);

  public Run {
    legs = List.copyOf(legs);
  }

  /**
   * Where it stands.
   *
   * @param events in the order in which they happened, without those that were withdrawn
   * @param now as of when
   */
  public static Run of(
      Protocol protocol,
      Instant begunAt,
      List<? extends RunEvent> events,
      Reaching reaching,
      Instant now) {
    Clockwork clock = new Clockwork(protocol, begunAt, reaching);
    for (RunEvent event : events) {
      if (event.at().isAfter(now)) {
        break;
      }
      clock.advance(event.at());
      clock.take(event);
    }
    clock.advance(now);
    return clock.run(now);
  }

  /** The leg that is on; empty before, between and after rows. */
  public Optional<Leg> current() {
    return legs.isEmpty() || legs.get(legs.size() - 1).endedAt().isPresent()
        ? Optional.empty()
        : Optional.of(legs.get(legs.size() - 1));
  }

  /** The number of the leg that is on or was last, from 1; 0 before the first. */
  public int leg() {
    return legs.size();
  }

  /** When the leg before the row that is to come was over. */
  public Instant sinceLast() {
    return legs.isEmpty() ? begunAt : legs.get(legs.size() - 1).endedAt().orElse(at);
  }

  /**
   * Checks when something is said to have happened.
   *
   * @param last when the last thing happened
   * @param now what time it is
   * @throws InvalidValueException when it lies before the one or after the other
   */
  public static void checkTime(Instant at, Instant last, Instant now) {
    checkNotAhead(at, now);
    if (at.isBefore(last)) {
      throw InvalidValueException.of(
          "at", "comes before what was entered last", "a moment from then on");
    }
  }

  /**
   * Checks that something said to have happened is not still to come; clocks differ a little.
   *
   * @throws InvalidValueException when it is
   */
  public static void checkNotAhead(Instant at, Instant now) {
    if (at.isAfter(now.plus(AHEAD))) {
      throw InvalidValueException.of("at", "lies in the future", "a moment up to now");
    }
  }

  /** What is still to come: a row, and how long of it. */
  private record Turn(int row, Duration length) {}

  /** One pass over the events. */
  private static final class Clockwork {
    private final Protocol protocol;
    private final Instant begunAt;
    private final Reaching reaching;
    private final Deque<Turn> turns = new ArrayDeque<>();
    private final List<Leg> legs = new ArrayList<>();
    private Optional<Instant> paused = Optional.empty();
    private Optional<Instant> over = Optional.empty();

    Clockwork(Protocol protocol, Instant begunAt, Reaching reaching) {
      this.protocol = protocol;
      this.begunAt = begunAt;
      this.reaching = reaching;
      for (int row = 0; row < protocol.rows().size(); row++) {
        turns.add(new Turn(row, protocol.rows().get(row).length()));
      }
    }

    Run run(Instant now) {
      boolean open = open().isPresent();
      return new Run(
          protocol,
          begunAt,
          now,
          legs,
          paused,
          over,
          !open && turns.isEmpty(),
          open || turns.isEmpty() ? Optional.empty() : Optional.of(turns.peek().row));
    }

    private Optional<Leg> open() {
      return legs.isEmpty() ? Optional.empty() : Optional.of(last()).filter(Clockwork::isOn);
    }

    private static boolean isOn(Leg leg) {
      return leg.endedAt().isEmpty();
    }

    private Leg last() {
      return legs.get(legs.size() - 1);
    }

    private void replace(Leg leg) {
      legs.set(legs.size() - 1, leg);
    }

    /** Lets the clock run up to a moment. */
    void advance(Instant to) {
      while (over.isEmpty() && paused.isEmpty() && step(to)) {
        // each step closes a leg, begins its clock, or opens the next one
      }
    }

    private boolean step(Instant to) {
      Optional<Leg> open = open();
      if (open.isEmpty()) {
        Turn turn = turns.peek();
        if (turn == null || row(turn.row).begins() == Begins.ON_WORD) {
          return false;
        }
        enter(legs.isEmpty() ? begunAt : last().endedAt().orElseThrow());
        return true;
      }
      Leg leg = open.get();
      if (leg.clockFrom().isEmpty()) {
        Instant latest =
            leg.from().plus(row(leg.row()).latest()).plus(leg.pausedSince(leg.from(), Instant.MAX));
        Instant known = to.isBefore(latest) ? to : latest;
        Optional<Instant> reached = reaching.reached(leg.row(), leg.from(), known);
        if (reached.isEmpty() && to.isBefore(latest)) {
          return false;
        }
        replace(leg.begun(reached.orElse(latest), reached.isEmpty()));
        return true;
      }
      Instant until = leg.until().orElseThrow();
      if (until.isAfter(to)) {
        return false;
      }
      replace(leg.ended(until, true));
      return true;
    }

    private Row row(int number) {
      return protocol.rows().get(number);
    }

    private void enter(Instant at) {
      Turn turn = turns.remove();
      boolean waits = row(turn.row).begins() == Begins.ON_REACHING;
      legs.add(
          new Leg(
              turn.row,
              at,
              waits ? Optional.empty() : Optional.of(at),
              false,
              turn.length,
              List.of(),
              Optional.empty(),
              true));
    }

    void take(RunEvent event) {
      if (over.isPresent()) {
        return;
      }
      Instant at = event.at();
      if (event instanceof RunEvent.Started) {
        start(at);
      } else if (event instanceof RunEvent.Ended ended) {
        open(ended.leg()).ifPresent(leg -> cut(leg, at));
      } else if (event instanceof RunEvent.Back back) {
        open(back.leg()).ifPresent(leg -> back(leg, at));
      } else if (event instanceof RunEvent.Paused) {
        pause(at);
      } else if (event instanceof RunEvent.Resumed) {
        resume(at);
      } else if (event instanceof RunEvent.Lengthened more) {
        open(more.leg()).ifPresent(leg -> lengthen(leg, more.by(), at));
      } else {
        open().ifPresent(leg -> cut(leg, at));
        paused = Optional.empty();
        over = Optional.of(at);
      }
    }

    private Optional<Leg> open(int number) {
      return number == legs.size() ? open() : Optional.empty();
    }

    /** The row that waits begins now; where none is on, the next one. */
    private void start(Instant at) {
      Optional<Leg> open = open();
      if (open.isEmpty()) {
        if (!turns.isEmpty()) {
          enter(at);
          replace(last().begun(at, false));
        }
      } else if (open.get().clockFrom().isEmpty()) {
        replace(open.get().begun(at, false));
      }
    }

    private void cut(Leg leg, Instant at) {
      replace(
          leg.pausing(closed(leg.pauses(), at))
              .ended(at, leg.until().filter(at::equals).isPresent()));
      goOn();
    }

    private static List<Pause> closed(List<Pause> pauses, Instant at) {
      return pauses.stream()
          .map(pause -> pause.to().isPresent() ? pause : new Pause(pause.from(), Optional.of(at)))
          .toList();
    }

    /** A leg that is left takes its pause with it. */
    private void goOn() {
      paused = Optional.empty();
    }

    private void back(Leg leg, Instant at) {
      int before = Math.max(0, leg.row() - 1);
      for (int row = leg.row(); row >= before; row--) {
        turns.push(new Turn(row, row(row).length()));
      }
      cut(leg, at);
    }

    private void pause(Instant at) {
      Optional<Leg> open = open();
      if (paused.isPresent() || open.isEmpty()) {
        return;
      }
      List<Pause> pauses = new ArrayList<>(open.get().pauses());
      pauses.add(new Pause(at, Optional.empty()));
      replace(open.get().pausing(pauses));
      paused = Optional.of(at);
    }

    private void resume(Instant at) {
      if (paused.isEmpty()) {
        return;
      }
      Leg leg = last();
      Duration stood = Duration.between(paused.get(), at);
      paused = Optional.empty();
      replace(leg.pausing(closed(leg.pauses(), at)));
      boolean cold =
          protocol.again() > 0
              && stood.compareTo(protocol.longPause()) >= 0
              && row(leg.row()).warm();
      if (cold) {
        Duration left = leg.length().minus(leg.ran(at));
        replace(last().ended(at, false));
        turns.push(new Turn(leg.row(), left));
        for (int row = protocol.again() - 1; row >= 0; row--) {
          turns.push(new Turn(row, row(row).length()));
        }
      }
    }

    /** Never to less than has run. */
    private void lengthen(Leg leg, Duration by, Instant at) {
      Duration wanted = leg.length().plus(by);
      Duration ran = leg.ran(at);
      replace(leg.lasting(wanted.compareTo(ran) < 0 ? ran : wanted));
    }
  }
}
