package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.effort.Witnesses.Rates;
import app.korvel.core.live.Course.StepFor;
import app.korvel.core.live.Course.Told;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Leg.Pause;
import app.korvel.core.run.Reaching;
import app.korvel.core.run.Run;
import app.korvel.core.run.RunEvent;
import app.korvel.core.screening.StopSign;
import app.korvel.core.trace.Samples;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Ladder;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;

/**
 * A session on the clock as it stands at a moment: everything follows from the plan, what happened
 * and the samples, so that it stands where it stood after a reload, a restart, or on a second
 * device.
 *
 * @param at as of when
 * @param begunAt when its clock was started; empty while it is not
 * @param run its steps as they came; empty while it has not begun
 * @param trace its heart rate, by the second since it began
 * @param cues what was said, and what stands
 * @param tallies what each leg came to, in their order
 * @param source what reads the rate now
 * @param inDoubt whether it is not sure whose rate it is
 * @param events those that stand, in the order of their times
 * @param recording what its heart rate was read from
 */
public record LiveSession(
    LivePlan plan,
    Instant at,
    Optional<Instant> begunAt,
    Optional<Run> run,
    Trace trace,
    Cues cues,
    List<Tally> tallies,
    RateSource source,
    boolean inDoubt,
    List<LiveEvent> events,
    Recording recording) {

  /** Where a session can stand. */
  public enum Phase {
    /** Not begun yet. */
    READY,
    RUNNING,
    PAUSED,
    /** Every step is over; it is still recorded until it is ended. */
    COMPLETE,
    ENDED
  }

  private static final int MS = 1000;

  public LiveSession {
    tallies = List.copyOf(tallies);
    events = List.copyOf(events);
  }

  /**
   * Where it stands.
   *
   * @param source what reads the rate at first
   * @param happened in any order; what was withdrawn is left out
   * @param now as of when
   */
  public static LiveSession of(
      LivePlan plan, RateSource source, List<LiveEvent> happened, Samples samples, Instant now) {
    return of(plan, source, happened, Recording.of(samples), now);
  }

  /** The same with straps that were swapped: what was said before that was known stays said. */
  public static LiveSession of(
      LivePlan plan,
      RateSource source,
      List<LiveEvent> happened,
      Recording recording,
      Instant now) {
    LiveSession session = once(plan, source, happened, recording, now);
    if (session.begunAt.isEmpty() || recording.before().isEmpty()) {
      return session;
    }
    List<Cues.Given> said = new ArrayList<>();
    int from = 0;
    for (Recording.Before before : recording.before()) {
      int until = lastSecond(session.begunAt.get(), before.until());
      int since = from;
      once(plan, source, happened, Recording.of(before.samples()), before.until())
          .cues
          .given()
          .stream()
          .filter(cue -> cue.second() > since && cue.second() <= until)
          .forEach(said::add);
      from = until;
    }
    int since = from;
    session.cues.given().stream().filter(cue -> cue.second() > since).forEach(said::add);
    return session.saying(said);
  }

  private LiveSession saying(List<Cues.Given> said) {
    return new LiveSession(
        plan,
        at,
        begunAt,
        run,
        trace,
        new Cues(said, cues.standing()),
        tallies,
        source,
        inDoubt,
        events,
        recording);
  }

  private static LiveSession once(
      LivePlan plan,
      RateSource source,
      List<LiveEvent> happened,
      Recording recording,
      Instant now) {
    List<LiveEvent> events = standing(happened, now);
    RateSource reads =
        last(events, LiveEvent.SourceChanged.class)
            .map(LiveEvent.SourceChanged::source)
            .orElse(source);
    Optional<Instant> begunAt =
        events.stream().filter(LiveEvent.Begun.class::isInstance).map(LiveEvent::at).findFirst();
    if (begunAt.isEmpty()) {
      Trace nothing = Trace.of(new int[0], new int[0]);
      Cues silent = Cues.of(nothing, Course.of(List.of(), reads), plan.mover());
      return new LiveSession(
          plan,
          now,
          begunAt,
          Optional.empty(),
          nothing,
          silent,
          List.of(),
          reads,
          false,
          events,
          recording);
    }
    Instant begun = begunAt.get();
    Instant until = over(events).map(LiveEvent::at).orElse(now);
    Trace trace = recording.samples().trace(begun, until);
    List<Told> told = told(events, begun);
    List<RunEvent> clock =
        events.stream()
            .filter(event -> !event.at().isBefore(begun))
            .flatMap(event -> event.clock().stream())
            .toList();
    Run run = Run.of(plan.protocol(), begun, clock, reaching(plan, trace, told, begun), now);
    Course course = course(plan, run, told, events, reads, doubted(events, trace, begun));
    return new LiveSession(
        plan,
        now,
        begunAt,
        Optional.of(run),
        trace,
        Cues.of(trace, course, plan.mover()),
        Tally.of(trace, course),
        reads,
        course.doubted().get(Math.max(1, trace.seconds())),
        events,
        recording);
  }

  /** What stands, in the order of the times at which it happened. */
  public static List<LiveEvent> standing(List<LiveEvent> happened, Instant now) {
    Set<UUID> withdrawn = new HashSet<>();
    for (LiveEvent event : happened) {
      if (event instanceof LiveEvent.Withdrawn undone) {
        withdrawn.add(undone.of());
      }
    }
    return happened.stream()
        .filter(event -> !(event instanceof LiveEvent.Withdrawn))
        .filter(event -> !withdrawn.contains(event.id()) && !event.at().isAfter(now))
        .sorted(Comparator.comparing(LiveEvent::at))
        .toList();
  }

  private static <T extends LiveEvent> Optional<T> last(List<LiveEvent> events, Class<T> type) {
    return events.stream()
        .filter(type::isInstance)
        .map(type::cast)
        .reduce((before, after) -> after);
  }

  static Optional<LiveEvent> over(List<LiveEvent> events) {
    return events.stream().filter(LiveEvent::ends).findFirst();
  }

  /** The last full second at a moment, from 1 on: what was said in it is heard at once. */
  private static int lastSecond(Instant begun, Instant at) {
    return (int) Math.max(1, Duration.between(begun, at).toSeconds());
  }

  /** The first full second at or after a moment, from 1 on. */
  private static int second(Instant begun, Instant at) {
    return (int) Math.max(1, (Duration.between(begun, at).toMillis() + MS - 1) / MS);
  }

  private static List<Told> told(List<LiveEvent> events, Instant begun) {
    List<Told> told = new ArrayList<>();
    for (LiveEvent event : events) {
      int second = lastSecond(begun, event.at());
      OptionalInt none = OptionalInt.empty();
      if (event instanceof LiveEvent.Rated rated) {
        told.add(new Told(second, rated.rpe20(), rated.voice(), none, RateSource.COUNT));
      } else if (event instanceof LiveEvent.Counted counted) {
        told.add(new Told(second, none, none, OptionalInt.of(counted.bpm()), RateSource.COUNT));
      } else if (event instanceof LiveEvent.ReadOff read) {
        // What a machine's handles read is known no better than what a wrist reads.
        told.add(new Told(second, none, none, OptionalInt.of(read.bpm()), RateSource.WRIST));
      }
    }
    return told;
  }

  /**
   * A target is reached when the rate has been at its low end or over it for as long as a vote
   * takes, when a count says so, or, where no rate leads, when what was said does.
   */
  private static Reaching reaching(LivePlan plan, Trace trace, List<Told> told, Instant begun) {
    int settled = Threshold.VOTE_SETTLED.whole();
    return (row, from, to) -> {
      Aim aim = plan.steps().get(row).aim().orElseThrow();
      int first = second(begun, from.plusMillis(1));
      int last = (int) Duration.between(begun, to).toSeconds();
      int low = aim.rates().map(Rates::lowBpm).orElse(Integer.MAX_VALUE);
      int there = 0;
      for (int second = first; second <= last; second++) {
        int now = second;
        there = trace.smoothed(second).orElse(0) >= low ? there + 1 : 0;
        boolean said =
            told.stream()
                .filter(each -> each.second() == now)
                .anyMatch(each -> reaches(each, aim, low));
        if (there >= settled || said) {
          return Optional.of(begun.plusSeconds(second));
        }
      }
      return Optional.empty();
    };
  }

  private static boolean reaches(Told told, Aim aim, int low) {
    return aim.rates().isPresent()
        ? told.bpm().orElse(0) >= low
        : aim.isReachedBy(told.rpe20(), told.voice());
  }

  private static Course course(
      LivePlan plan,
      Run run,
      List<Told> told,
      List<LiveEvent> events,
      RateSource source,
      BitSet doubted) {
    Instant begun = run.begunAt();
    List<Course.Step> steps = new ArrayList<>();
    BitSet paused = new BitSet();
    for (Leg leg : run.legs()) {
      PlanStep step = plan.steps().get(leg.row());
      OptionalInt byItself =
          leg.byItself()
              ? OptionalInt.of(second(begun, leg.clockFrom().orElseThrow()))
              : OptionalInt.empty();
      steps.add(
          new Course.Step(
              second(begun, leg.from().plusMillis(1)), step.aim(), step.use(), byItself));
      for (Pause pause : leg.pauses()) {
        paused.set(
            second(begun, pause.from().plusMillis(1)),
            second(begun, pause.to().orElse(run.at()).plusMillis(1)));
      }
    }
    Set<Integer> resumed = new HashSet<>();
    events.stream()
        .filter(LiveEvent.WorkResumed.class::isInstance)
        .forEach(event -> resumed.add(lastSecond(begun, event.at())));
    int last = run.complete() ? second(begun, run.sinceLast()) : Trace.MOST_SECONDS;
    return new Course(
        steps, last, paused, told, resumed, source, doubted, recovering(events, begun));
  }

  /**
   * The seconds in which it is not sure whose strap it is: from when it was put on in doubt until a
   * count agrees with it.
   */
  private static BitSet doubted(List<LiveEvent> events, Trace trace, Instant begun) {
    BitSet doubted = new BitSet();
    for (LiveEvent event : events) {
      int second = event.at().isBefore(begun) ? 1 : lastSecond(begun, event.at());
      if (event instanceof LiveEvent.StrapGiven given) {
        doubted.set(second, Trace.MOST_SECONDS, given.unsure());
      } else if (event instanceof LiveEvent.StrapDoubted) {
        doubted.set(second, Trace.MOST_SECONDS);
      } else if (event instanceof LiveEvent.Counted counted && agrees(counted, trace, second)) {
        doubted.clear(second, Trace.MOST_SECONDS);
      }
    }
    return doubted;
  }

  /** Whether a count of 15 s or more is as high as the strap was meanwhile. */
  private static boolean agrees(LiveEvent.Counted counted, Trace trace, int second) {
    OptionalInt strap = trace.median(second - counted.window().seconds() + 1, second);
    return counted.window().seconds() >= CountWindow.S15.seconds()
        && strap.isPresent()
        && Math.abs(strap.getAsInt() - counted.bpm()) <= Threshold.STRAP_CONFIRMED.whole();
  }

  private static BitSet recovering(List<LiveEvent> events, Instant begun) {
    BitSet recovering = new BitSet();
    for (LiveEvent event : events) {
      if (event instanceof LiveEvent.EffortEnded) {
        recovering.set(lastSecond(begun, event.at()), Trace.MOST_SECONDS);
      } else if (event instanceof LiveEvent.EffortResumed
          || event instanceof LiveEvent.StepEnded
          || event instanceof LiveEvent.StepBack) {
        recovering.clear(lastSecond(begun, event.at()), Trace.MOST_SECONDS);
      }
    }
    return recovering;
  }

  /** The effort that has ended, if the next set has not begun. */
  public Optional<LiveEvent.EffortEnded> recoveringSince() {
    return last(events, LiveEvent.EffortEnded.class)
        .filter(
            ended ->
                events.stream()
                    .filter(LiveEvent.EffortResumed.class::isInstance)
                    .noneMatch(event -> event.at().isAfter(ended.at())));
  }

  /** Whether it was not sure whose rate it was in a second of it. */
  public boolean doubtedAt(int second) {
    return begunAt.filter(begun -> doubted(events, trace, begun).get(second)).isPresent();
  }

  /** The seconds after an effort has ended, until the next one. */
  public BitSet recovering() {
    return begunAt.map(begun -> recovering(events, begun)).orElseGet(BitSet::new);
  }

  /** The second of its trace in which something happened, from 1 on. */
  public int secondOf(Instant moment) {
    return lastSecond(begunAt.orElseThrow(), moment);
  }

  /** Whether straps were swapped in it. */
  public boolean swapped() {
    return last(events, LiveEvent.StrapsSwapped.class).isPresent();
  }

  /** Where it stands. */
  public Phase phase() {
    if (over().isPresent()) {
      return Phase.ENDED;
    }
    if (run.isEmpty()) {
      return Phase.READY;
    }
    return run.get().complete()
        ? Phase.COMPLETE
        : run.get().paused().isPresent() ? Phase.PAUSED : Phase.RUNNING;
  }

  /** What ended it, if it is over. */
  public Optional<LiveEvent> over() {
    return over(events);
  }

  /** The sign at which it was stopped, if it was. */
  public Optional<StopSign> stopSign() {
    return last(events, LiveEvent.Stopped.class).map(LiveEvent.Stopped::sign);
  }

  /** The step that is on, if one is. */
  public Optional<PlanStep> step() {
    return run.flatMap(Run::current).map(leg -> plan.steps().get(leg.row()));
  }

  /** Seconds that are left of the time in a zone; empty where that is not the aim. */
  public OptionalInt goalSecondsLeft() {
    return plan.goal().isEmpty() || plan.mover().reserve().isEmpty()
        ? OptionalInt.empty()
        : OptionalInt.of(Math.max(0, 60 * plan.goal().get().minutes() - secondsAtGoal()));
  }

  /** Seconds in the zone itself; over a cap nothing counts. */
  private int secondsAtGoal() {
    int[] seconds = Tally.together(tallies);
    plan.mover().capBpm().ifPresent(cap -> Arrays.fill(seconds, cap + 1, seconds.length, 0));
    Ladder ladder = plan.mover().ladder().orElseThrow();
    return SessionLoad.secondsByLevel(seconds, ladder)[plan.goal().orElseThrow().level().ordinal()];
  }

  /**
   * What is to be asked or counted now, the most urgent first.
   *
   * @param what what is due
   * @param since for how long, by the clock of the step
   */
  public record PromptDue(LivePrompt what, Duration since) {}

  /** What is due now. */
  public List<PromptDue> prompts() {
    if (phase() != Phase.RUNNING
        || recoveringSince().isPresent()
        || step().filter(on -> on.use() == StepFor.WORK).isEmpty()) {
      return List.of();
    }
    Leg leg = run.flatMap(Run::current).orElseThrow();
    List<PromptDue> due = new ArrayList<>();
    for (LivePrompt prompt : LivePrompt.values()) {
      List<Instant> given =
          events.stream().filter(prompt::isAnsweredBy).map(LiveEvent::at).toList();
      if (prompt.wanted(this)) {
        prompt
            .when()
            .due(leg, given, at)
            .ifPresent(since -> due.add(new PromptDue(prompt, leg.ran(at).minus(since))));
      }
    }
    return due;
  }

  /** What is to be known of how it stands, besides the cue. */
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    if (phase() == Phase.RUNNING && goByHand()) {
      findings.add(LiveFinding.GO_BY_HAND.of());
    }
    if (inDoubt && phase() != Phase.ENDED) {
      findings.add(LiveFinding.STRAP_UNCONFIRMED.of());
    }
    if (swapped()) {
      findings.add(LiveFinding.PEAKS_SET_ASIDE.of());
    }
    if (phase() == Phase.RUNNING && warmsUpAgain()) {
      findings.add(LiveFinding.WARM_UP_AGAIN.of());
    }
    return findings;
  }

  /** The step before was left in a pause, and it was the pause that asked for a warm-up. */
  private boolean warmsUpAgain() {
    List<Leg> legs = run.map(Run::legs).orElse(List.of());
    if (legs.size() < 2 || run.flatMap(Run::current).isEmpty()) {
      return false;
    }
    Leg before = legs.get(legs.size() - 2);
    Leg now = legs.get(legs.size() - 1);
    return now.row() < before.row()
        && before.pauses().stream().anyMatch(pause -> pause.to().equals(before.endedAt()));
  }

  /** Whether nothing has been read for so long that somebody has to count. */
  public boolean goByHand() {
    return source != RateSource.COUNT
        && cues.standing().secondsWithoutSignal() >= Threshold.SIGNAL_LOST.whole();
  }
}
