package app.korvel.core.assessment;

import app.korvel.core.assessment.GradedProtocol.Stage;
import app.korvel.core.assessment.TestEvents.Rate;
import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Protocol;
import app.korvel.core.run.Reaching;
import app.korvel.core.run.Row;
import app.korvel.core.run.Run;
import app.korvel.core.run.RunEvent;
import app.korvel.core.trace.Trace;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * The sheet of a graded test as it stands: everything follows from what was entered, the samples
 * and the time, so that it stands where it stood after a reload, and alike on two devices.
 *
 * @param plan who, and how
 * @param openedAt when the sheet was opened; the seconds of {@code trace} count from it
 * @param at as of when
 * @param phase what is going on
 * @param posture the last one that was said
 * @param postureAt since when
 * @param baseline what was read before the work
 * @param run the clock of the stages; empty before the work
 * @param stages those that were begun
 * @param end why the work ended; empty before
 * @param recovery each reading of the recovery, due or taken
 * @param closed when the sheet was closed
 * @param railHeld whether the rail was held at any time
 * @param trace the rate by the second
 * @param ends what says that the work has to end now, the weightiest first
 * @param waits what has to be done before it goes on
 */
public record GradedSheet(
    TestPlan plan,
    Instant openedAt,
    Instant at,
    Phase phase,
    Optional<TestPosture> posture,
    Optional<Instant> postureAt,
    Baseline baseline,
    Optional<Run> run,
    List<StageRow> stages,
    Optional<TestEvent.Ended> end,
    List<RecoveryRow> recovery,
    Optional<TestEvent.Closed> closed,
    boolean railHeld,
    Trace trace,
    List<Finding> ends,
    List<Finding> waits) {

  /** Where a test stands. */
  public enum Phase {
    BASELINE,
    WORK,
    RECOVERY,
    CLOSED
  }

  /**
   * A stage that was begun.
   *
   * @param number from 1
   * @param endedAt empty while it is on
   * @param whole whether it ran its whole time
   * @param reading what was read in it
   */
  public record StageRow(
      int number,
      StageWork work,
      Instant from,
      Optional<Instant> until,
      Optional<Instant> endedAt,
      boolean whole,
      StageReading reading) {}

  /**
   * A reading of the recovery.
   *
   * @param due when, after the end of the work
   * @param vitals what was read
   * @param symptoms empty where nobody asked
   */
  public record RecoveryRow(Duration due, Vitals vitals, Optional<Boolean> symptoms) {}

  /** A stage that waits for a pressure begins by itself after so long. */
  private static final Duration AGAIN = Duration.ofSeconds(Threshold.GRADED_AGAIN_WITHIN.whole());

  private static final int LAST_SECONDS = Threshold.GRADED_RATE_DUE.whole();
  private static final int FEWEST = 3;

  /** The reading before the last one is of a minute earlier. */
  private static final int READING_APART = 60;

  private static final int ABOUT = 2;
  private static final int ABOVE_CAP_SECONDS = 5;

  public GradedSheet {
    stages = List.copyOf(stages);
    recovery = List.copyOf(recovery);
    ends = List.copyOf(ends);
    waits = List.copyOf(waits);
  }

  /**
   * How it stands.
   *
   * @param entered everything, in the order in which it was handed in
   * @param trace by the second from {@code openedAt} on
   */
  public static GradedSheet of(
      TestPlan plan, Instant openedAt, List<TestEvent> entered, Trace trace, Instant now) {
    return new Folding(plan, openedAt, TestEvents.standing(entered, now), trace, now).sheet();
  }

  /** What was chosen. */
  public TestPlan.Graded setup() {
    return (TestPlan.Graded) plan.setup();
  }

  /** Where it ends, and why there: its target, or the RPE where the rate tells little. */
  public static List<Finding> aim(TestPerson person, TestPlan.Graded setup) {
    List<Finding> findings = new ArrayList<>();
    setup.target().map(TestTarget::finding).ifPresent(findings::add);
    boolean ordered = setup.order().filter(order -> order.rpeEnds().isPresent()).isPresent();
    if (person.byEffort() && !ordered) {
      findings.add(
          setup.target().isEmpty() && !setup.exhaustion()
              ? AssessmentFinding.TARGET_NONE.of("No rate is used with this client.")
              : AssessmentFinding.EFFORT_ENDS.of());
    }
    return findings;
  }

  /** The rate now: smoothed, or the last one entered. */
  public OptionalInt bpm() {
    return trace.smoothed(trace.seconds());
  }

  /** How long the work has lasted. */
  public Duration work() {
    return run.map(
            clock -> Duration.between(clock.begunAt(), end.map(TestEvent.Ended::at).orElse(at)))
        .orElse(Duration.ZERO);
  }

  /** What the recovery is held against. */
  public Optional<Vitals> recoveryBaseline() {
    return baseline.of(posture.filter(each -> end.isPresent()).orElse(setup().recovery()));
  }

  /** How the recovery stands; empty before it, or without a baseline. */
  public Optional<GradedRecovery> recovered() {
    if (end.isEmpty()) {
      return Optional.empty();
    }
    Instant until = closed.map(TestEvent.Closed::at).orElse(at);
    Duration after = Duration.between(end.get().at(), until);
    List<GradedRecovery.Reading> readings =
        recovery.stream()
            .filter(row -> row.vitals.bpm().isPresent() || row.vitals.pressure().isPresent())
            .map(row -> new GradedRecovery.Reading(row.due, row.vitals, row.symptoms.orElse(false)))
            .toList();
    return recoveryBaseline()
        .map(base -> GradedRecovery.of(readings, base, systolicAtEnd(), after));
  }

  private Optional<Integer> systolicAtEnd() {
    return stages.stream()
        .flatMap(stage -> stage.reading.pressure().stream())
        .reduce((before, after) -> after)
        .map(BloodPressure::systolic);
  }

  /** Whether the sheet may be closed, and why not. */
  public Optional<String> notClosedBecause(boolean clinicianTold) {
    if (end.isEmpty()) {
      return phase == Phase.WORK ? Optional.of("the work has not ended") : Optional.empty();
    }
    Optional<GradedRecovery> stands = recovered();
    if (stands.isEmpty()) {
      return Optional.empty();
    }
    Duration after = Duration.between(end.get().at(), at);
    boolean watched =
        plan.person().has(EffortContext.HEART_CONDITION)
            && after.compareTo(Duration.ofMinutes(Threshold.NOT_RECOVERED.whole())) < 0;
    return switch (stands.get().state()) {
      case RECOVERED -> watched ? Optional.of("they stay watched for 15 min") : Optional.empty();
      case GOES_ON -> Optional.of("they have not recovered, and 15 min have not passed");
      case NOT_RECOVERED ->
          clinicianTold
              ? Optional.empty()
              : Optional.of("a clinician is told before the client leaves");
    };
  }

  /** What it came to; empty before the work has ended. */
  public Optional<GradedResult> result() {
    return end.map(
        ended ->
            GradedResult.of(
                plan.person(),
                setup(),
                plan.source(),
                baseline.standing(),
                new GradedResult.Done(
                    stages.stream().map(StageRow::reading).toList(),
                    work(),
                    ended.reason(),
                    railHeld)));
  }

  /** What is to be done next, the first one first. */
  public List<TestPrompt> prompts() {
    return switch (phase) {
      case BASELINE -> GradedPrompts.baseline(this);
      case WORK -> GradedPrompts.work(this);
      case RECOVERY -> GradedPrompts.recovery(this);
      case CLOSED -> List.of();
    };
  }

  /** One pass over what was entered. */
  private static final class Folding {
    private final TestPlan plan;
    private final TestPlan.Graded setup;
    private final Instant openedAt;
    private final TestEvents events;
    private final Trace trace;
    private final Instant now;
    private final Optional<Instant> begunAt;
    private final Optional<TestEvent.Ended> end;
    private final List<Finding> ends = new ArrayList<>();
    private final List<Finding> waits = new ArrayList<>();

    Folding(TestPlan plan, Instant openedAt, TestEvents events, Trace trace, Instant now) {
      this.plan = plan;
      this.setup = (TestPlan.Graded) plan.setup();
      this.openedAt = openedAt;
      this.events = events;
      this.trace = trace;
      this.now = now;
      this.begunAt = events.first(TestEvent.Begun.class).map(TestEvent::at);
      this.end = events.first(TestEvent.Ended.class).filter(each -> begunAt.isPresent());
    }

    GradedSheet sheet() {
      Optional<TestEvent.Posture> said = events.last(TestEvent.Posture.class);
      Optional<TestEvent.Closed> closed = events.last(TestEvent.Closed.class);
      Phase phase =
          closed.isPresent()
              ? Phase.CLOSED
              : end.isPresent()
                  ? Phase.RECOVERY
                  : begunAt.isPresent() ? Phase.WORK : Phase.BASELINE;
      Baseline baseline = baseline();
      List<Pending> falls = falls(baseline);
      Optional<Run> run = begunAt.map(from -> run(from, falls));
      List<StageRow> stages = run.map(this::stages).orElse(List.of());
      if (phase == Phase.WORK) {
        judge(stages, falls, run.orElseThrow());
      } else if (phase == Phase.RECOVERY && watched()) {
        waits.add(AssessmentFinding.RECOVERY_WATCHED.of());
      }
      return new GradedSheet(
          plan,
          openedAt,
          now,
          phase,
          said.map(TestEvent.Posture::posture),
          said.map(TestEvent::at),
          baseline,
          run,
          stages,
          end,
          recovery(),
          closed,
          events.of(TestEvent.RailHeld.class).anyMatch(TestEvent.RailHeld::held),
          trace,
          ends,
          waits);
    }

    /** With a heart condition they stay watched, recovered or not. */
    private boolean watched() {
      return plan.person().has(EffortContext.HEART_CONDITION)
          && now.isBefore(
              end.orElseThrow().at().plus(Duration.ofMinutes(Threshold.NOT_RECOVERED.whole())));
    }

    private int second(Instant moment) {
      return Math.toIntExact(Duration.between(openedAt, moment).toSeconds());
    }

    // Before the work: what is entered belongs to the posture that was said last.

    private Baseline baseline() {
      Instant until = begunAt.orElse(now.plusSeconds(1));
      Map<TestPosture, Vitals> readings = new EnumMap<>(TestPosture.class);
      List<TestEvent.Posture> said =
          events.of(TestEvent.Posture.class).filter(each -> each.at().isBefore(until)).toList();
      for (int n = 0; n < said.size(); n++) {
        Instant from = said.get(n).at();
        Instant to = n + 1 < said.size() ? said.get(n + 1).at() : until;
        Vitals vitals = vitals(events.between(from, to), from, to);
        readings.merge(said.get(n).posture(), vitals, Folding::later);
      }
      TestEvents before = events.between(openedAt, until);
      return new Baseline(
          readings,
          before.last(TestEvent.LeftOut.class).map(TestEvent.LeftOut::because),
          before.last(TestEvent.Symptoms.class).filter(TestEvent.Symptoms::any).isPresent());
    }

    private static Vitals later(Vitals before, Vitals after) {
      return new Vitals(
          after.bpm().isPresent() ? after.bpm() : before.bpm(),
          after.pressure().or(before::pressure),
          after.rpe20().isPresent() ? after.rpe20() : before.rpe20());
    }

    /** What was entered in a stretch; where no rate was, the median of its last 10 s of samples. */
    private Vitals vitals(TestEvents entered, Instant from, Instant to) {
      OptionalInt typed = typed(entered);
      Instant last = to.isAfter(now) ? now : to;
      OptionalInt bpm =
          typed.isPresent()
              ? typed
              : trace.median(
                  Math.max(second(from), second(last) - LAST_SECONDS) + 1, second(last), FEWEST);
      return new Vitals(
          bpm,
          entered.last(TestEvent.Pressure.class).map(TestEvent.Pressure::pressure),
          rpe(entered));
    }

    private static OptionalInt typed(TestEvents entered) {
      return entered.lastRate().map(rate -> OptionalInt.of(rate.bpm())).orElse(OptionalInt.empty());
    }

    private static OptionalInt rpe(TestEvents entered) {
      return entered
          .last(TestEvent.Rated.class)
          .map(rated -> OptionalInt.of(rated.rpe20()))
          .orElse(OptionalInt.empty());
    }

    // The work: a pressure that falls is measured again before the next stage.

    /**
     * A pressure that fell.
     *
     * @param after what it was held against
     * @param again the one that was taken after it, if one was
     */
    private record Pending(
        TestEvent.Pressure first,
        String after,
        Optional<TestEvent.Pressure> again,
        boolean confirmed) {
      Instant until() {
        return again.map(TestEvent::at).orElse(first.at().plus(AGAIN));
      }
    }

    private List<Pending> falls(Baseline baseline) {
      if (begunAt.isEmpty()) {
        return List.of();
      }
      Optional<BloodPressure> standing = baseline.standing().flatMap(Vitals::pressure);
      // Stages as they would be if nothing waited are enough to say which pressure is of which.
      List<TestEvent.Pressure> taken =
          events
              .of(TestEvent.Pressure.class)
              .filter(each -> !each.cuffAt().isBefore(begunAt.get()))
              .filter(each -> end.filter(over -> each.cuffAt().isAfter(over.at())).isEmpty())
              .sorted(Comparator.comparing(TestEvent.Pressure::cuffAt))
              .toList();
      List<Pending> falls = new ArrayList<>();
      List<TestEvent.Pressure> held = new ArrayList<>();
      for (TestEvent.Pressure each : taken) {
        Optional<BloodPressure> before =
            held.stream()
                .filter(other -> stageAt(other.cuffAt()) < stageAt(each.cuffAt()))
                .reduce((one, later) -> later)
                .map(TestEvent.Pressure::pressure);
        Optional<String> fall = StageRules.falls(each.pressure(), before, standing);
        int last = falls.size() - 1;
        if (last >= 0 && falls.get(last).again.isEmpty()) {
          Pending open = falls.get(last);
          falls.set(last, new Pending(open.first, open.after, Optional.of(each), fall.isPresent()));
          held.removeIf(other -> other.id().equals(open.first.id()) && fall.isEmpty());
        } else {
          fall.ifPresent(after -> falls.add(new Pending(each, after, Optional.empty(), false)));
        }
        held.add(each);
      }
      return falls;
    }

    /** The stage by the protocol alone, from 0. */
    private int stageAt(Instant moment) {
      return setup.protocol().begunAfter(Duration.between(begunAt.orElseThrow(), moment)) - 1;
    }

    private Run run(Instant from, List<Pending> falls) {
      List<Row> rows = new ArrayList<>();
      for (Stage stage : setup.protocol().stages()) {
        rows.add(
            rows.isEmpty() ? Row.of(stage.length(), true) : Row.waiting(stage.length(), AGAIN));
      }
      Reaching free =
          (row, came, to) -> {
            Instant moment =
                falls.stream()
                    .filter(fall -> !fall.first.at().isAfter(came) && fall.until().isAfter(came))
                    .map(Pending::until)
                    .max(Comparator.naturalOrder())
                    .orElse(came);
            return moment.isAfter(to) ? Optional.empty() : Optional.of(moment);
          };
      List<RunEvent> clock = new ArrayList<>();
      end.ifPresent(over -> clock.add(new RunEvent.Over(over.id(), over.at())));
      return Run.of(Protocol.of(rows), from, clock, free, now);
    }

    private List<StageRow> stages(Run run) {
      List<StageRow> rows = new ArrayList<>();
      for (int n = 0; n < run.legs().size(); n++) {
        Leg leg = run.legs().get(n);
        if (leg.clockFrom().isEmpty()) {
          // Until a stage's clock begins the one before goes on.
          break;
        }
        // What is entered while the next one waits belongs to the one before.
        Instant from = n == 0 ? leg.from() : leg.clockFrom().get();
        Instant to = next(run, n).orElseGet(() -> end.map(TestEvent::at).orElse(Instant.MAX));
        rows.add(row(leg, from, to));
      }
      return rows;
    }

    private static Optional<Instant> next(Run run, int n) {
      return n + 1 < run.legs().size() ? run.legs().get(n + 1).clockFrom() : Optional.empty();
    }

    private StageRow row(Leg leg, Instant from, Instant to) {
      TestEvents mine = events.between(from, to);
      Instant readAt = leg.endedAt().orElse(now);
      boolean over = leg.endedAt().isPresent();
      int last = second(readAt);
      OptionalInt sampled =
          over ? trace.median(last - LAST_SECONDS + 1, last, FEWEST) : OptionalInt.empty();
      OptionalInt earlier =
          trace.median(last - READING_APART - LAST_SECONDS + 1, last - READING_APART, FEWEST);
      List<Rate> typed = mine.rates().toList();
      OptionalInt bpm =
          typed.isEmpty() ? sampled : OptionalInt.of(typed.get(typed.size() - 1).bpm());
      OptionalInt before =
          typed.size() > 1 ? OptionalInt.of(typed.get(typed.size() - 2).bpm()) : earlier;
      Optional<BloodPressure> pressure =
          events
              .of(TestEvent.Pressure.class)
              .filter(each -> !each.cuffAt().isBefore(from) && each.cuffAt().isBefore(to))
              .reduce((one, later) -> later)
              .map(TestEvent.Pressure::pressure);
      int number = leg.row() + 1;
      Optional<Boolean> walked =
          events
              .of(TestEvent.Walked.class)
              .filter(each -> each.stage() == number)
              .reduce((one, later) -> later)
              .map(TestEvent.Walked::walked);
      return new StageRow(
          number,
          setup.protocol().stages().get(leg.row()).work(),
          from,
          leg.until(),
          leg.endedAt(),
          over && leg.whole(),
          new StageReading(
              bpm,
              pressure,
              rpe(mine),
              walked,
              bpm.isPresent()
                  && before.isPresent()
                  && GradedResult.steady(bpm.getAsInt(), before.getAsInt())));
    }

    // What says that it has to end.

    private void judge(List<StageRow> stages, List<Pending> falls, Run run) {
      cap();
      pressures(falls);
      target();
      efforts();
      flat(stages);
      signal(stages);
      if (run.complete()) {
        waits.add(AssessmentFinding.END_PROTOCOL.of());
      }
    }

    private void cap() {
      OptionalInt cap = plan.person().capBpm();
      if (cap.isPresent() && thereFor(cap.getAsInt() + 1, ABOVE_CAP_SECONDS)) {
        ends.add(AssessmentFinding.END_CAP.of(cap.getAsInt()));
      }
    }

    private void target() {
      setup
          .target()
          .filter(
              aim ->
                  thereFor(aim.bpm(), Threshold.GRADED_AT_TARGET.whole())
                      || inWork().rates().anyMatch(rate -> rate.bpm() >= aim.bpm()))
          .ifPresent(
              aim -> ends.add(AssessmentFinding.END_TARGET.of(aim.bpm(), aim.finding().message())));
    }

    private TestEvents inWork() {
      return events.between(begunAt.orElseThrow(), now.plusMillis(1));
    }

    /** Whether the smoothed rate was once there for so many seconds in a row of the work. */
    private boolean thereFor(int bpm, int seconds) {
      int there = 0;
      for (int second = second(begunAt.orElseThrow()) + 1; second <= trace.seconds(); second++) {
        there = trace.smoothed(second).orElse(0) >= bpm ? there + 1 : 0;
        if (there >= seconds) {
          return true;
        }
      }
      return false;
    }

    private void pressures(List<Pending> falls) {
      boolean symptoms = inWork().of(TestEvent.Symptoms.class).anyMatch(TestEvent.Symptoms::any);
      for (Pending fall : falls) {
        int systolic = fall.first.pressure().systolic();
        if (fall.confirmed || symptoms) {
          ends.add(
              AssessmentFinding.END_SYSTOLIC.of(
                  fall.again.map(each -> each.pressure().systolic()).orElse(systolic),
                  fall.confirmed ? "measured twice, after " + fall.after : "with symptoms"));
        } else if (fall.again.isEmpty()) {
          boolean late = !now.isBefore(fall.until());
          (late ? ends : waits)
              .add(
                  (late
                          ? AssessmentFinding.END_SYSTOLIC_UNCONFIRMED
                          : AssessmentFinding.SYSTOLIC_AGAIN)
                      .of(systolic, fall.after));
        }
      }
      inWork()
          .of(TestEvent.Pressure.class)
          .map(TestEvent.Pressure::pressure)
          .flatMap(pressure -> StageRules.tooHigh(pressure).stream())
          .findFirst()
          .ifPresent(ends::add);
    }

    private void efforts() {
      inWork()
          .last(TestEvent.Rated.class)
          .flatMap(rated -> StageRules.tooHard(rated.rpe20(), plan.person(), setup))
          .ifPresent(ends::add);
    }

    private void flat(List<StageRow> stages) {
      for (int n = 1; n < stages.size(); n++) {
        StageRow stage = stages.get(n);
        OptionalInt before = stages.get(n - 1).reading.bpm();
        OptionalInt bpm = stage.reading.bpm();
        if (stage.endedAt.isEmpty() || !StageRules.flat(bpm, before, plan.person().reserve())) {
          continue;
        }
        Optional<Rate> count =
            events
                .rates()
                .filter(Rate::counted)
                .filter(rate -> rate.at().isAfter(stage.endedAt.get()))
                .findFirst();
        if (count.isEmpty()) {
          waits.add(AssessmentFinding.RATE_AGAIN.of(bpm.getAsInt(), before.getAsInt()));
        } else if (count.get().bpm() <= before.getAsInt()) {
          ends.add(AssessmentFinding.END_RATE_FLAT.of(count.get().bpm(), before.getAsInt()));
        }
      }
    }

    private void signal(List<StageRow> stages) {
      if (plan.source() == RateSource.COUNT) {
        boolean none =
            stages.stream()
                .filter(stage -> stage.endedAt.isPresent() && stage.reading.bpm().isEmpty())
                .anyMatch(
                    stage ->
                        !now.isBefore(
                            stage.endedAt.get().plusSeconds(Threshold.GRADED_NO_RATE.whole())));
        if (none) {
          ends.add(AssessmentFinding.END_NO_RATE.of());
        }
      } else if (silentFor() >= Threshold.GRADED_NO_RATE.whole()) {
        ends.add(AssessmentFinding.END_NO_RATE.of());
      }
      int missed = 0;
      for (StageRow stage : stages) {
        if (stage.endedAt.isPresent() && setup.protocol().pressureDue(stage.number - 1)) {
          missed = stage.reading.pressure().isPresent() ? 0 : missed + 1;
          if (missed >= Threshold.GRADED_NO_PRESSURE.whole()) {
            ends.add(AssessmentFinding.END_NO_PRESSURE.of());
            return;
          }
        }
      }
    }

    /** So many seconds without a smoothed rate, or one that was entered. */
    private int silentFor() {
      int from = second(begunAt.orElseThrow());
      int typed = inWork().lastRate().map(rate -> second(rate.at())).orElse(from);
      int second = second(now);
      int silent = 0;
      while (second > Math.max(from, typed) && trace.smoothed(second).isEmpty()) {
        silent++;
        second--;
      }
      return silent;
    }

    // After it.

    private List<RecoveryRow> recovery() {
      if (end.isEmpty()) {
        return List.of();
      }
      Instant over = end.get().at();
      Instant until = events.last(TestEvent.Closed.class).map(TestEvent::at).orElse(now);
      List<Duration> due = GradedRecovery.due(Duration.between(over, until));
      List<RecoveryRow> rows = new ArrayList<>();
      for (int n = 0; n < due.size(); n++) {
        Instant from = n == 0 ? over : over.plus(middle(due.get(n - 1), due.get(n)));
        Instant to =
            n + 1 < due.size()
                ? over.plus(middle(due.get(n), due.get(n + 1)))
                : over.plus(due.get(n)).plusSeconds(60);
        TestEvents mine = events.between(from, to);
        int second = second(over.plus(due.get(n)));
        OptionalInt typed = typed(mine);
        rows.add(
            new RecoveryRow(
                due.get(n),
                new Vitals(
                    typed.isPresent()
                        ? typed
                        : trace.median(second - ABOUT, second + ABOUT, FEWEST),
                    events
                        .of(TestEvent.Pressure.class)
                        .filter(each -> !each.cuffAt().isBefore(from) && each.cuffAt().isBefore(to))
                        .reduce((one, later) -> later)
                        .map(TestEvent.Pressure::pressure),
                    rpe(mine)),
                mine.last(TestEvent.Symptoms.class).map(TestEvent.Symptoms::any)));
      }
      return rows;
    }

    private static Duration middle(Duration one, Duration other) {
      return one.plus(other).dividedBy(2);
    }
  }
}
