package app.korvel.core.fieldtest;

import app.korvel.core.fieldtest.FieldTestEvent.Kind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Texts;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Reaching;
import app.korvel.core.run.Row;
import app.korvel.core.run.Run;
import app.korvel.core.run.RunEvent;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * A field test as it ran: everything follows from the series of events and the time, so that it
 * stands where it stood after a reload or a restart. Its clock is a {@link Run}: the warm-up, then
 * a row for each bout.
 *
 * @param test what was begun
 * @param clock what moved its clock, in order
 * @param bouts those begun so far
 * @param finishedAt when it was finished, if it was
 * @param stoppedAt when it was stopped, if it was
 * @param stoppedBecause at which sign; empty where it was not
 * @param overBy the event that finished or stopped it; it can be withdrawn
 * @param lastAt when the last thing happened
 */
public record FieldTestRun(
    FieldTest test,
    List<RunEvent> clock,
    List<Bout> bouts,
    Optional<Instant> finishedAt,
    Optional<Instant> stoppedAt,
    String stoppedBecause,
    Optional<UUID> overBy,
    Instant lastAt) {

  private static final Duration LATE = Duration.ofSeconds(Threshold.FIELD_TEST_LATE.whole());

  /** The longest reason to stop that is kept. */
  public static final int WORDS_LENGTH = 200;

  /** What a rate may be read from. */
  public static final List<PulseSource> SOURCES =
      List.of(PulseSource.STRAP, PulseSource.WRIST, PulseSource.COUNT);

  /**
   * A rate that was read.
   *
   * @param counts whether it counts: a half hour's only in its last ten minutes
   */
  public record Reading(UUID id, Instant at, int bpm, PulseSource source, boolean counts) {}

  /**
   * A bout.
   *
   * @param number from 1
   * @param endsAt when it ended, or will
   * @param whole whether it went its whole time, as far as is known
   * @param readings in the order in which they were taken
   * @param answer to the question about it, if given
   */
  public record Bout(
      int number,
      Instant startedAt,
      Instant endsAt,
      boolean whole,
      List<Reading> readings,
      Optional<Boolean> answer) {
    public Bout {
      readings = List.copyOf(readings);
    }

    static Bout of(int number, Leg leg) {
      return new Bout(
          number, leg.from(), leg.until().orElseThrow(), leg.whole(), List.of(), Optional.empty());
    }

    /** The highest reading that counts, the earliest of equal ones. */
    public Optional<Reading> peak() {
      return readings.stream()
          .filter(Reading::counts)
          .max(
              Comparator.comparingInt(Reading::bpm)
                  .thenComparing(Comparator.comparing(Reading::at).reversed()));
    }
  }

  /** Where a test can stand. */
  public enum Phase {
    WARM_UP,
    /** Warmed up; the first bout may begin. */
    READY,
    BOUT,
    REST,
    DONE,
    STOPPED
  }

  /**
   * Where it stands at a moment.
   *
   * @param phase what is going on
   * @param bout the bout that is on, or the last one; 0 before the first
   * @param since when the phase began
   * @param until when it ends by itself, or the next bout may begin; empty where it does not
   * @param latest when the next bout should have begun; empty where none is to come
   * @param mayStart whether a bout may begin now
   * @param mayFinish whether it may be finished now
   * @param plateau whether two bouts in a row have met
   */
  public record RunStatus(
      Phase phase,
      int bout,
      Instant since,
      Optional<Instant> until,
      Optional<Instant> latest,
      boolean mayStart,
      boolean mayFinish,
      boolean plateau) {}

  public FieldTestRun {
    clock = List.copyOf(clock);
    bouts = List.copyOf(bouts);
  }

  /** The run that a series of events makes, in the order in which they happened. */
  public static FieldTestRun of(FieldTest test, List<FieldTestEvent> events) {
    Set<UUID> takenBack = new HashSet<>();
    events.forEach(event -> event.of().ifPresent(takenBack::add));
    List<FieldTestEvent> standing =
        events.stream().filter(event -> !takenBack.contains(event.id())).toList();
    List<RunEvent> clock = clock(standing);
    Instant last = events.isEmpty() ? test.startedAt() : events.get(events.size() - 1).at();
    List<Bout> bouts = new ArrayList<>();
    for (Leg leg : run(test, clock, last).legs()) {
      if (leg.row() > 0) {
        bouts.add(Bout.of(bouts.size() + 1, leg));
      }
    }
    Optional<FieldTestEvent> finish = Optional.empty();
    Optional<FieldTestEvent> stop = Optional.empty();
    for (FieldTestEvent event : standing) {
      switch (event.kind()) {
        case READING ->
            begunBefore(bouts, event)
                .ifPresent(on -> replace(bouts, read(on, event, test.protocol())));
        case ANSWERED ->
            bouts.stream()
                .filter(each -> each.number == event.bout().orElseThrow())
                .findFirst()
                .ifPresent(each -> replace(bouts, answered(each, event.yes().orElseThrow())));
        case FINISHED -> finish = Optional.of(event);
        case STOPPED -> stop = Optional.of(event);
        case BOUT_STARTED, BOUT_ENDED, TAKEN_BACK -> {}
      }
    }
    return new FieldTestRun(
        test,
        clock,
        bouts,
        finish.map(FieldTestEvent::at),
        stop.map(FieldTestEvent::at),
        stop.map(FieldTestEvent::words).orElse(""),
        (stop.isPresent() ? stop : finish).map(FieldTestEvent::id),
        last);
  }

  /** What of the series moves the clock. */
  private static List<RunEvent> clock(List<FieldTestEvent> events) {
    List<RunEvent> clock = new ArrayList<>();
    int leg = 1;
    for (FieldTestEvent event : events) {
      switch (event.kind()) {
        case BOUT_STARTED -> {
          leg++;
          clock.add(new RunEvent.Started(event.id(), event.at()));
        }
        case BOUT_ENDED -> clock.add(new RunEvent.Ended(event.id(), event.at(), leg));
        case FINISHED, STOPPED -> clock.add(new RunEvent.Over(event.id(), event.at()));
        case READING, TAKEN_BACK, ANSWERED -> {}
      }
    }
    return clock;
  }

  private static Run run(FieldTest test, List<RunEvent> clock, Instant now) {
    return Run.of(test.clock(), test.startedAt(), clock, Reaching.NEVER, now);
  }

  /** The last bout that had begun by then. */
  private static Optional<Bout> begunBefore(List<Bout> bouts, FieldTestEvent event) {
    return bouts.stream()
        .filter(bout -> !bout.startedAt.isAfter(event.at()))
        .reduce((before, after) -> after);
  }

  private static void replace(List<Bout> bouts, Bout bout) {
    bouts.set(bout.number - 1, bout);
  }

  private static Bout read(Bout bout, FieldTestEvent event, FieldTestProtocol protocol) {
    List<Reading> readings = new ArrayList<>(bout.readings);
    readings.add(
        new Reading(
            event.id(),
            event.at(),
            event.bpm().orElseThrow(),
            event.source().orElseThrow(),
            !event.at().isBefore(bout.startedAt.plus(protocol.countsFrom()))));
    return new Bout(bout.number, bout.startedAt, bout.endsAt, bout.whole, readings, bout.answer);
  }

  private static Bout answered(Bout bout, boolean yes) {
    return new Bout(
        bout.number, bout.startedAt, bout.endsAt, bout.whole, bout.readings, Optional.of(yes));
  }

  /** The bout begun last, if one was. */
  private Optional<Bout> lastBout() {
    return bouts.isEmpty() ? Optional.empty() : Optional.of(bouts.get(bouts.size() - 1));
  }

  /** Where it stands at {@code now}. */
  public RunStatus at(Instant now) {
    Run run = run(test, clock, now);
    int number = Math.max(0, run.leg() - 1);
    if (run.over().isPresent()) {
      Phase phase = stoppedAt.isPresent() ? Phase.STOPPED : Phase.DONE;
      return status(phase, number, run.over().get(), Optional.empty(), Optional.empty(), false);
    }
    if (run.current().isPresent()) {
      Leg leg = run.current().get();
      Phase phase = leg.row() == 0 ? Phase.WARM_UP : Phase.BOUT;
      return status(phase, number, leg.from(), leg.until(), Optional.empty(), false);
    }
    Instant since = run.sinceLast();
    if (number == 0) {
      return status(Phase.READY, 0, since, Optional.empty(), Optional.empty(), true);
    }
    Optional<Row> next = run.next().map(row -> run.protocol().rows().get(row));
    Optional<Instant> earliest = next.map(row -> since.plus(row.earliest()));
    return status(
        Phase.REST,
        number,
        since,
        earliest,
        next.map(row -> since.plus(row.latest())),
        earliest.filter(from -> !now.isBefore(from)).isPresent());
  }

  private RunStatus status(
      Phase phase,
      int bout,
      Instant since,
      Optional<Instant> until,
      Optional<Instant> latest,
      boolean mayStart) {
    boolean over = phase == Phase.DONE || phase == Phase.STOPPED;
    return new RunStatus(
        phase,
        bout,
        since,
        until,
        latest,
        mayStart,
        !over,
        phase != Phase.WARM_UP && phase != Phase.READY && plateau());
  }

  /** Whether the last two bouts gave the same peak within 2 bpm. */
  boolean plateau() {
    if (test.protocol().needs() != FieldTestProtocol.Needs.PLATEAU || bouts.size() < 2) {
      return false;
    }
    Optional<Reading> last = bouts.get(bouts.size() - 1).peak();
    Optional<Reading> before = bouts.get(bouts.size() - 2).peak();
    return last.isPresent()
        && before.isPresent()
        && Math.abs(last.get().bpm() - before.get().bpm()) <= Threshold.RAMP_PLATEAU.whole();
  }

  /** The highest reading that counts, of all bouts. */
  public Optional<Reading> peak() {
    return bouts.stream()
        .flatMap(bout -> bout.peak().stream())
        .max(Comparator.comparingInt(Reading::bpm));
  }

  /**
   * Checks what is to be added.
   *
   * @param now what time it is
   * @throws InvalidValueException when it cannot have happened as the test stands
   */
  public void check(FieldTestEvent event, Instant now) {
    Run.checkTime(event.at(), lastAt, now);
    List<Fault> faults = new ArrayList<>();
    RunStatus stand = at(event.at());
    boolean over = stand.phase == Phase.STOPPED || stand.phase == Phase.DONE;
    boolean afterwards =
        event.kind() == Kind.TAKEN_BACK
            || (stand.phase == Phase.DONE && event.kind() == Kind.ANSWERED);
    if (over && !afterwards) {
      throw InvalidValueException.of("kind", "the test is over", "nothing more");
    }
    switch (event.kind()) {
      case BOUT_STARTED -> checkStart(stand, faults);
      case BOUT_ENDED -> {
        if (stand.phase != Phase.BOUT) {
          faults.add(new Fault("kind", "no bout is on", "while a bout is on"));
        }
      }
      case READING -> checkReading(event, faults);
      case TAKEN_BACK -> {
        boolean known =
            Stream.concat(
                    overBy.stream(),
                    bouts.stream().flatMap(bout -> bout.readings.stream()).map(Reading::id))
                .anyMatch(id -> event.of().filter(id::equals).isPresent());
        if (!known) {
          faults.add(
              new Fault(
                  "of", "no such reading stands", "a reading of this test, or what ended it"));
        }
      }
      case ANSWERED -> {
        int bout = event.bout().orElse(0);
        if (bout < 1 || bout > bouts.size() || !test.protocol().asks(bout)) {
          faults.add(new Fault("bout", "is not asked about", "a bout that was begun"));
        }
        if (event.yes().isEmpty()) {
          faults.add(new Fault("yes", "is missing", "true or false"));
        }
      }
      // A test can be called off at any time, and for no reason; that is no stop sign.
      case FINISHED -> {}
      case STOPPED -> Texts.check(faults, "words", event.words().strip(), 1, WORDS_LENGTH);
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
  }

  private void checkStart(RunStatus stand, List<Fault> faults) {
    if (stand.mayStart) {
      return;
    }
    faults.add(
        switch (stand.phase) {
          case WARM_UP ->
              new Fault(
                  "kind",
                  "the warm-up is not over",
                  "after " + Threshold.FIELD_TEST_WARM_UP.whole() + " minutes of warm-up");
          case BOUT -> new Fault("kind", "a bout is on already", "after it has ended");
          default ->
              stand.until.isPresent()
                  ? new Fault(
                      "kind",
                      "the rest is too short yet",
                      "after "
                          + test.protocol().restAtLeast().toMinutes()
                          + " minutes of easy time")
                  : new Fault("kind", "there are no more bouts in this test", "finish it");
        });
  }

  private void checkReading(FieldTestEvent event, List<Fault> faults) {
    int bpm = event.bpm().orElse(0);
    if (!Limit.TEST_READING.accepts(bpm)) {
      faults.add(
          new Fault(
              "bpm",
              event.bpm().isEmpty() ? "is missing" : bpm + " is outside the accepted range",
              Limit.TEST_READING.accepted()));
    }
    if (event.source().filter(SOURCES::contains).isEmpty()) {
      faults.add(new Fault("source", "is not read in a test", "strap, wrist or count"));
    }
    Optional<Bout> last = lastBout();
    if (last.isEmpty() || event.at().isAfter(last.get().endsAt.plus(LATE))) {
      faults.add(
          new Fault(
              "at",
              last.isEmpty()
                  ? "no bout has begun; in the warm-up nothing is read"
                  : "too late: the rate falls within seconds",
              "in a bout, or within " + LATE.toSeconds() + " seconds of its end"));
    }
  }

  /** The rate a maximum is proposed from; empty where nothing counts. */
  OptionalInt peakBpm() {
    return peak().map(reading -> OptionalInt.of(reading.bpm())).orElse(OptionalInt.empty());
  }
}
