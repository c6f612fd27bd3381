package app.korvel.core.assessment;

import app.korvel.core.assessment.TestEvents.Rate;
import app.korvel.core.assessment.TestPrompt.What;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.Grade;
import app.korvel.core.trace.Trace;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * A test with a clock and a few counts, as it stands: two minutes, a bench, the mile, or
 * talk-steps. Everything follows from what was entered, the samples and the time.
 *
 * @param plan who, and how
 * @param openedAt when it was opened; the seconds of {@code trace} count from it
 * @param at as of when
 * @param phase what is going on
 * @param begunAt when the work began
 * @param until when the work, or the step that is on, ends by the clock
 * @param workEndedAt when the work ended, by the clock or before
 * @param ended why it was ended, where somebody did
 * @param readings what is read, in order; those to come without a rate
 * @param steps of a talk-step test, those that were begun
 * @param repetitions how often it was done, if that was entered
 * @param rpe20 how hard it felt at the end, if that was asked
 * @param paceKept whether the pace was kept; empty where nobody said
 * @param closedAt when it was closed
 * @param ends what says that the work has to end now
 * @param bpmNow the smoothed rate now
 */
public record TimedTest(
    TestPlan plan,
    Instant openedAt,
    Instant at,
    Phase phase,
    Optional<Instant> begunAt,
    Optional<Instant> until,
    Optional<Instant> workEndedAt,
    Optional<TestEvent.Ended> ended,
    List<Reading> readings,
    List<StepRow> steps,
    OptionalInt repetitions,
    OptionalInt rpe20,
    Optional<Boolean> paceKept,
    Optional<Instant> closedAt,
    List<Finding> ends,
    OptionalInt bpmNow) {

  /** Where a test stands. */
  public enum Phase {
    READY,
    WORK,
    /** The work is over; something is still to be entered. */
    AFTER,
    CLOSED
  }

  /**
   * A rate that is read at its moment.
   *
   * @param name when, for example {@code at once} or {@code after 60 s}
   * @param due from when on; empty before the work has ended
   * @param bpm empty until it is there
   */
  public record Reading(String name, Optional<Instant> due, OptionalInt bpm) {}

  /**
   * A step of a talk-step test.
   *
   * @param number from 1
   * @param passageAt from when on the passage is read
   * @param bpm its rate; empty where there is none yet
   * @param voice what the voice could do; empty until it was said
   * @param signalLost whether samples were missing in the half minute before the passage
   */
  public record StepRow(
      int number,
      Instant from,
      Instant until,
      Instant passageAt,
      OptionalInt bpm,
      OptionalInt voice,
      boolean signalLost) {}

  private static final Duration STEP = Duration.ofMinutes(Threshold.TALK_STEP_MINUTES.whole());
  private static final Duration PASSAGE = Duration.ofSeconds(Threshold.TALK_STEP_PASSAGE.whole());
  private static final Duration HALF_MINUTE = Duration.ofSeconds(30);
  private static final int MINUTE = 60;
  private static final int ABOUT = 2;
  private static final int FEWEST = 3;

  /** The bench of 15 s is counted from here to there after the end, in seconds. */
  private static final int COUNT_FROM = Threshold.STEP_TEST_COUNT_WITHIN.whole();

  private static final int COUNT_TO = 20;

  public TimedTest {
    readings = List.copyOf(readings);
    steps = List.copyOf(steps);
    ends = List.copyOf(ends);
  }

  /**
   * How it stands.
   *
   * @param entered everything, in the order in which it was handed in
   * @param trace by the second from {@code openedAt} on
   */
  public static TimedTest of(
      TestPlan plan, Instant openedAt, List<TestEvent> entered, Trace trace, Instant now) {
    return new Folding(plan, openedAt, TestEvents.standing(entered, now), trace, now).test();
  }

  /** How long the work lasted, or has so far. */
  public Duration work() {
    return begunAt
        .map(from -> Duration.between(from, workEndedAt.orElse(at)))
        .orElse(Duration.ZERO);
  }

  /** Whether the work ran as long as it should. */
  public boolean whole() {
    return plan.kind()
        .work()
        .map(length -> workEndedAt.isPresent() && work().compareTo(length) >= 0)
        .orElse(workEndedAt.isPresent());
  }

  /** The rate read at its place, from 0. */
  public OptionalInt bpm(int place) {
    return place < readings.size() ? readings.get(place).bpm : OptionalInt.empty();
  }

  /** Whether all that is wanted was entered. */
  public boolean complete() {
    return phase == Phase.AFTER
        && (!whole()
            || readings.stream().allMatch(reading -> reading.bpm.isPresent())
                && (plan.kind() != TestKind.TALK_STEPS
                    || steps.stream().allMatch(step -> step.voice.isPresent())));
  }

  /** What it came to; empty while the work goes on, or where a rate is still to come. */
  public Optional<TimedResult> result() {
    return phase == Phase.AFTER && complete() || phase == Phase.CLOSED
        ? Optional.of(TimedResult.of(this))
        : Optional.empty();
  }

  /** What is to be done next, the first one first. */
  public List<TestPrompt> prompts() {
    List<TestPrompt> prompts = new ArrayList<>();
    boolean counted = plan.source() == RateSource.COUNT;
    switch (phase) {
      case READY -> {
        if (plan.kind() == TestKind.TWO_MINUTE && readings.get(0).bpm.isEmpty()) {
          prompts.add(new TestPrompt(What.COUNT, at, "Resting count, seated and quiet for 5 min"));
        } else {
          prompts.add(new TestPrompt(What.BEGIN, at, "Start"));
        }
      }
      case WORK -> {
        for (StepRow step : steps) {
          if (step.voice.isEmpty()) {
            prompts.add(
                new TestPrompt(What.PASSAGE, step.passageAt, "Passage, step " + step.number));
          } else if (step.bpm.isEmpty() && counted) {
            prompts.add(
                new TestPrompt(What.COUNT, step.passageAt, "Count at once, step " + step.number));
          }
        }
        if (plan.kind() == TestKind.MILE) {
          prompts.add(new TestPrompt(What.END, at, "End at the mile"));
        }
      }
      case AFTER -> {
        for (Reading reading : readings) {
          if (reading.bpm.isEmpty() && reading.due.isPresent()) {
            prompts.add(
                new TestPrompt(counted ? What.COUNT : What.RATE, reading.due.get(), reading.name));
          }
        }
        if (plan.kind() == TestKind.TWO_MINUTE && repetitions.isEmpty()) {
          prompts.add(new TestPrompt(What.REPETITIONS, at, "Repetitions in two minutes"));
        }
        if (plan.kind().bench().isPresent() && paceKept.isEmpty()) {
          prompts.add(new TestPrompt(What.PACE, at, "Was the pace kept?"));
        }
        if (rpe20.isEmpty() && plan.kind() != TestKind.TALK_STEPS) {
          prompts.add(new TestPrompt(What.RPE, at, "RPE at the end"));
        }
        if (complete()) {
          prompts.add(new TestPrompt(What.CLOSE, at, "Save the result"));
        }
      }
      case CLOSED -> {}
    }
    return prompts;
  }

  /** One pass over what was entered. */
  private static final class Folding {
    private final TestPlan plan;
    private final Instant openedAt;
    private final TestEvents events;
    private final Trace trace;
    private final Instant now;
    private final Optional<Instant> begunAt;
    private final Optional<TestEvent.Ended> ended;

    Folding(TestPlan plan, Instant openedAt, TestEvents events, Trace trace, Instant now) {
      this.plan = plan;
      this.openedAt = openedAt;
      this.events = events;
      this.trace = trace;
      this.now = now;
      this.begunAt = events.first(TestEvent.Begun.class).map(TestEvent::at);
      this.ended = events.first(TestEvent.Ended.class).filter(each -> begunAt.isPresent());
    }

    TimedTest test() {
      Optional<Instant> closedAt = events.last(TestEvent.Closed.class).map(TestEvent::at);
      List<StepRow> steps = steps();
      Optional<Instant> workEndedAt = workEndedAt(steps);
      Phase phase =
          closedAt.isPresent()
              ? Phase.CLOSED
              : workEndedAt.isPresent()
                  ? Phase.AFTER
                  : begunAt.isPresent() ? Phase.WORK : Phase.READY;
      return new TimedTest(
          plan,
          openedAt,
          now,
          phase,
          begunAt,
          until(steps),
          workEndedAt,
          ended,
          readings(workEndedAt),
          steps,
          events
              .last(TestEvent.Repeated.class)
              .map(each -> OptionalInt.of(each.repetitions()))
              .orElse(OptionalInt.empty()),
          events
              .last(TestEvent.Rated.class)
              .map(each -> OptionalInt.of(each.rpe20()))
              .orElse(OptionalInt.empty()),
          events.last(TestEvent.PaceKept.class).map(TestEvent.PaceKept::kept),
          closedAt,
          phase == Phase.WORK ? ends() : List.of(),
          trace.smoothed(trace.seconds()));
    }

    /** At the cap, and for those who look for the lower talk rate only, at 60 % of reserve. */
    private List<Finding> ends() {
      List<Finding> ends = new ArrayList<>();
      int bpm = trace.smoothed(trace.seconds()).orElse(0);
      plan.person().capBpm().stream()
          .filter(cap -> bpm > cap)
          .forEach(cap -> ends.add(AssessmentFinding.END_CAP.of(cap)));
      if (plan.setup() instanceof TestPlan.TalkLadder ladder && ladder.lowerOnly()) {
        plan.person()
            .reserve()
            .map(reserve -> reserve.rateAt(Threshold.TALK_STEP_HIGHEST.whole()))
            .filter(edge -> bpm >= edge)
            .ifPresent(edge -> ends.add(AssessmentFinding.END_TALK_STEPS.of(edge)));
      }
      return ends;
    }

    private int second(Instant moment) {
      return Math.toIntExact(Duration.between(openedAt, moment).toSeconds());
    }

    private Optional<Instant> until(List<StepRow> steps) {
      return plan.kind() == TestKind.TALK_STEPS
          ? steps.stream().reduce((before, after) -> after).map(StepRow::until)
          : begunAt.flatMap(from -> plan.kind().work().map(from::plus));
    }

    private Optional<Instant> workEndedAt(List<StepRow> steps) {
      Optional<Instant> byHand = ended.map(TestEvent::at);
      Optional<Instant> byClock =
          plan.kind() == TestKind.TALK_STEPS
              ? lastStep(steps)
              : until(steps).filter(end -> !end.isAfter(now));
      return byHand.isPresent() && byClock.isPresent()
          ? Optional.of(byHand.get().isBefore(byClock.get()) ? byHand.get() : byClock.get())
          : byHand.or(() -> byClock);
    }

    /** A talk-step test ends with the answer that ends it. */
    private Optional<Instant> lastStep(List<StepRow> steps) {
      return events
          .of(TestEvent.Spoken.class)
          .filter(spoken -> endsTalk(spoken.voice()))
          .map(TestEvent::at)
          .findFirst()
          .or(
              () ->
                  steps.size() == TalkSteps.MOST
                      ? steps.stream()
                          .reduce((before, after) -> after)
                          .map(StepRow::until)
                          .filter(end -> !end.isAfter(now))
                      : Optional.empty());
    }

    private boolean endsTalk(int voice) {
      return plan.setup() instanceof TestPlan.TalkLadder ladder
          && TalkSteps.ends(voice, ladder.lowerOnly());
    }

    // The counts, each at its moment.

    private List<Reading> readings(Optional<Instant> end) {
      return switch (plan.kind()) {
        case TWO_MINUTE ->
            List.of(
                resting(),
                after(end, "Count at once", 0),
                after(end, "Count after 60 s", MINUTE),
                after(end, "Count after 120 s", 2 * MINUTE));
        case LOW_BENCH -> List.of(bench(end, "Seated: count one minute at once", 0, MINUTE));
        case HIGH_BENCH ->
            List.of(bench(end, "Standing: count from 5 to 20 s", COUNT_FROM, COUNT_TO));
        case MILE -> List.of(lastMinute(end));
        case TALK_STEPS, GRADED -> List.of();
      };
    }

    private Reading resting() {
      Instant until = begunAt.orElse(now.plusMillis(1));
      OptionalInt typed = typed(events.between(openedAt, until));
      int last = second(until.isAfter(now) ? now : until);
      boolean sampled = plan.source() != RateSource.COUNT && begunAt.isPresent();
      return new Reading(
          "Resting",
          Optional.of(openedAt),
          typed.isPresent() || !sampled
              ? typed
              : trace.median(last - MINUTE + 1, last, MINUTE / 2));
    }

    /** A count belongs to the moment it is nearest to; by sensor the median about it. */
    private Reading after(Optional<Instant> end, String name, int seconds) {
      if (end.isEmpty()) {
        return new Reading(name, Optional.empty(), OptionalInt.empty());
      }
      Instant due = end.get().plusSeconds(seconds);
      Instant from = due.minus(seconds == 0 ? Duration.ofSeconds(ABOUT) : HALF_MINUTE);
      OptionalInt typed = typed(events.between(from, due.plus(HALF_MINUTE)));
      int second = second(due);
      return new Reading(
          name,
          Optional.of(due),
          typed.isPresent() ? typed : trace.median(second - ABOUT, second + ABOUT, FEWEST));
    }

    private Reading bench(Optional<Instant> end, String name, int from, int to) {
      if (end.isEmpty()) {
        return new Reading(name, Optional.empty(), OptionalInt.empty());
      }
      int over = second(end.get());
      OptionalInt typed = typed(events.between(end.get(), Instant.MAX));
      return new Reading(
          name,
          Optional.of(end.get().plusSeconds(from)),
          typed.isPresent() || trace.seconds() < over + to
              ? typed
              : trace.median(over + from + 1, over + to, (to - from) / 2));
    }

    private Reading lastMinute(Optional<Instant> end) {
      if (end.isEmpty()) {
        return new Reading("Rate of the last minute", Optional.empty(), OptionalInt.empty());
      }
      OptionalInt typed = typed(events.between(end.get().minusSeconds(MINUTE), Instant.MAX));
      int over = second(end.get());
      return new Reading(
          "Rate of the last minute, or a count at once",
          end,
          typed.isPresent() ? typed : trace.median(over - MINUTE + 1, over, MINUTE / 2));
    }

    private static OptionalInt typed(TestEvents entered) {
      return entered.lastRate().map(rate -> OptionalInt.of(rate.bpm())).orElse(OptionalInt.empty());
    }

    // The steps of talk.

    private List<StepRow> steps() {
      if (plan.kind() != TestKind.TALK_STEPS || begunAt.isEmpty()) {
        return List.of();
      }
      List<StepRow> rows = new ArrayList<>();
      Instant last = ended.map(TestEvent::at).orElse(now);
      Instant from = begunAt.get();
      while (!from.isAfter(last) && rows.size() < TalkSteps.MOST) {
        StepRow row = step(rows.size() + 1, from);
        rows.add(row);
        if (row.voice.isPresent() && endsTalk(row.voice.getAsInt())) {
          break;
        }
        from = row.until;
      }
      return rows;
    }

    private StepRow step(int number, Instant from) {
      Instant passageAt = from.plus(PASSAGE);
      Instant until = from.plus(STEP);
      // An answer and a count may come a little after the step.
      TestEvents mine = events.between(passageAt, until.plus(PASSAGE));
      OptionalInt voice =
          mine.of(TestEvent.Spoken.class)
              .reduce((before, after) -> after)
              .map(each -> OptionalInt.of(each.voice()))
              .orElse(OptionalInt.empty());
      Optional<Rate> typed = mine.lastRate();
      int first = second(from.plusSeconds(MINUTE)) + 1;
      int end = second(passageAt);
      OptionalInt sampled =
          now.isBefore(passageAt)
              ? OptionalInt.empty()
              : trace.median(first, end, Threshold.TALK_STEP_SAMPLES.whole());
      boolean lost =
          plan.source() != RateSource.COUNT
              && !now.isBefore(passageAt)
              && IntStream.rangeClosed(first, end)
                  .anyMatch(second -> trace.value(second).isEmpty());
      return new StepRow(
          number,
          from,
          until,
          passageAt,
          typed.map(rate -> OptionalInt.of(rate.bpm())).orElse(sampled),
          voice,
          lost);
    }
  }

  /**
   * What a timed test came to.
   *
   * @param rise of the two-minute test, first count less resting
   * @param fall60 and how far it fell in one minute
   * @param fall120 and in two
   * @param bpm the rate after a bench, or of the mile’s last minute
   * @param vo2max where one is computed
   * @param talk of a talk-step test
   * @param findings what is to be known of it
   */
  public record TimedResult(
      OptionalInt rise,
      OptionalInt fall60,
      OptionalInt fall120,
      OptionalInt bpm,
      UptakeBySex vo2max,
      Optional<TalkSteps> talk,
      List<Finding> findings) {
    public TimedResult {
      findings = List.copyOf(findings);
    }

    static TimedResult of(TimedTest test) {
      return switch (test.plan.kind()) {
        case TWO_MINUTE -> twoMinutes(test);
        case LOW_BENCH, HIGH_BENCH -> bench(test);
        case MILE -> mile(test);
        case TALK_STEPS -> talk(test);
        case GRADED -> throw new IllegalArgumentException("A graded test has a sheet.");
      };
    }

    private static TimedResult none(List<Finding> findings) {
      return new TimedResult(
          OptionalInt.empty(),
          OptionalInt.empty(),
          OptionalInt.empty(),
          OptionalInt.empty(),
          UptakeBySex.NONE,
          Optional.empty(),
          findings);
    }

    private static TimedResult twoMinutes(TimedTest test) {
      List<Finding> findings = new ArrayList<>();
      if (!test.whole()) {
        findings.add(AssessmentFinding.TWO_MINUTE_SHORT.of(test.work().toSeconds()));
        return none(findings);
      }
      OptionalInt first = test.bpm(1);
      OptionalInt rise = minus(first, test.bpm(0));
      OptionalInt fall60 = minus(first, test.bpm(2));
      OptionalInt fall120 = minus(first, test.bpm(3));
      if (rise.isPresent() && fall60.isPresent() && fall120.isPresent()) {
        findings.add(
            AssessmentFinding.TWO_MINUTE_RESULT.of(
                rise.getAsInt(), fall60.getAsInt(), fall120.getAsInt()));
      }
      test.rpe20.stream()
          .filter(rpe -> rpe > Threshold.TWO_MINUTE_RPE.whole())
          .forEach(rpe -> findings.add(AssessmentFinding.TWO_MINUTE_HARD.of(rpe)));
      return new TimedResult(
          rise, fall60, fall120, first, UptakeBySex.NONE, Optional.empty(), findings);
    }

    private static OptionalInt minus(OptionalInt one, OptionalInt other) {
      return one.isPresent() && other.isPresent()
          ? OptionalInt.of(one.getAsInt() - other.getAsInt())
          : OptionalInt.empty();
    }

    private static TimedResult bench(TimedTest test) {
      if (test.whole() && test.paceKept.filter(kept -> !kept).isPresent()) {
        return none(List.of(AssessmentFinding.STEP_TEST_OFF_PACE.of()));
      }
      if (test.bpm(0).isEmpty() || !test.whole()) {
        return none(List.of(AssessmentFinding.STEP_TEST_SHORT.of(test.work().toSeconds())));
      }
      TestPlan.Bench setup = (TestPlan.Bench) test.plan.setup();
      StepBench.Result result =
          setup
              .bench()
              .result(
                  setup.pace(),
                  test.bpm(0).getAsInt(),
                  test.work(),
                  test.plan.source(),
                  test.plan.person().contexts());
      return rate(
          test.bpm(0), new UptakeBySex(result.vo2max(), Optional.empty()), result.findings());
    }

    private static TimedResult rate(OptionalInt bpm, UptakeBySex vo2max, List<Finding> findings) {
      return new TimedResult(
          OptionalInt.empty(),
          OptionalInt.empty(),
          OptionalInt.empty(),
          bpm,
          vo2max,
          Optional.empty(),
          findings);
    }

    private static TimedResult mile(TimedTest test) {
      TestPerson person = test.plan.person();
      boolean fast = ((TestPlan.Mile) test.plan.setup()).asFastAsPossible();
      boolean done =
          test.ended.filter(end -> end.reason() == TestEvent.Reason.DONE).isPresent()
              && Limit.MILE_SECONDS.accepts(Math.toIntExact(test.work().toSeconds()));
      if (!done || person.weightKg().isEmpty() || test.bpm(0).isEmpty()) {
        return rate(
            test.bpm(0),
            UptakeBySex.NONE,
            List.of(
                AssessmentFinding.MILE_NO_RESULT.of(
                    !done
                        ? "not walked to its end"
                        : test.bpm(0).isEmpty()
                            ? "no rate of the last minute"
                            : "no weight on record")));
      }
      MileWalk.Result result =
          new MileWalk(person.age(), person.weightKg().get(), test.work(), test.bpm(0).getAsInt())
              .result(person.sex(), test.plan.source(), person.contexts(), fast);
      return rate(test.bpm(0), result.vo2max(), result.findings());
    }

    private static TimedResult talk(TimedTest test) {
      TestPlan.TalkLadder setup = (TestPlan.TalkLadder) test.plan.setup();
      List<TalkSteps.Step> steps =
          test.steps.stream()
              .filter(step -> step.bpm.isPresent() && step.voice.isPresent())
              .map(
                  step ->
                      new TalkSteps.Step(
                          step.bpm.getAsInt(), step.voice.getAsInt(), step.signalLost))
              .toList();
      if (steps.isEmpty()) {
        return none(List.of(AssessmentFinding.TALK_STEPS_NO_LOWER.of()));
      }
      TalkSteps talk = TalkSteps.of(steps, test.plan.source(), setup.lowerOnly());
      return new TimedResult(
          OptionalInt.empty(),
          OptionalInt.empty(),
          OptionalInt.empty(),
          OptionalInt.empty(),
          UptakeBySex.NONE,
          Optional.of(talk),
          talk.findings(setup.lowerOnly()));
    }

    /** The grade, for a test that has one. */
    public Optional<Grade> grade() {
      return talk.map(TalkSteps::grade);
    }
  }
}
