package app.korvel.core.live;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.live.Course.StepFor;
import app.korvel.core.maximum.Mode;
import app.korvel.core.maximum.WorkingMaximum.Origin;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Aim;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Outline.BandGoal;
import app.korvel.core.outline.Outline.Placed;
import app.korvel.core.outline.Step;
import app.korvel.core.outline.StepKind;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.run.Protocol;
import app.korvel.core.run.Row;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Person;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.Uncertainty;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * What a session on the clock asks for, with the numbers of its day: nothing of it moves while it
 * runs, whatever is measured meanwhile.
 *
 * @param mode what the body does
 * @param steps in their order, each time that one comes
 * @param mover who moves, and how they are guided
 * @param light whether the check-in allowed light work only
 * @param goal minutes to be spent at one level, if that is the aim
 * @param basis how sure its rates are, and where they come from; empty where no rate is used
 */
public record LivePlan(
    Mode mode,
    List<PlanStep> steps,
    Mover mover,
    boolean light,
    Optional<BandGoal> goal,
    Optional<Basis> basis) {

  /**
   * What the rates of a plan stand on, besides resting and maximum themselves.
   *
   * @param uncertainty of both
   * @param maximumMethod id of the equation, or of the kind it was measured as
   */
  public record Basis(Uncertainty uncertainty, String maximumMethod) {}

  /** The upper end of every target where only light work is allowed. */
  private static final Ceiling LIGHT =
      new Ceiling(Threshold.WARM_UP_TO.whole(), "today's check-in allows light work only");

  /** What a step is for, by its kind. */
  private static StepFor use(StepKind kind) {
    return switch (kind) {
      case WARM_UP, MOBILITY -> StepFor.WARM_UP;
      case WORK -> StepFor.WORK;
      case EASY -> StepFor.EASY;
      case BURST -> StepFor.BURST;
      case COOL_DOWN, STRETCH -> StepFor.COOL_DOWN;
    };
  }

  /**
   * A step.
   *
   * @param range percent of reserve; empty where the kind has no intensity
   * @param aim what it asks for; empty where it has none
   * @param waits whether its clock starts when the target is reached
   */
  public record PlanStep(
      StepKind kind,
      int seconds,
      Optional<Percents> range,
      Optional<Witnesses.Aim> aim,
      boolean waits) {
    /** What it is for. */
    public StepFor use() {
      return LivePlan.use(kind);
    }
  }

  public LivePlan {
    steps = List.copyOf(steps);
  }

  /**
   * The session of an outline for someone. Bouts that are spread through the day are sessions of
   * their own: one of them is done.
   *
   * @param runner their rates, cap and limits
   * @param baseline what they stand on in this mode
   * @param newToExercise whether they are in the first weeks and began at little activity
   * @param light whether only light work is allowed today
   */
  public static LivePlan of(
      Outline outline,
      Mode mode,
      ExertionLimits runner,
      ClientBaseline baseline,
      boolean newToExercise,
      boolean light) {
    Bounds bounds = runner.bounds();
    Outline cut =
        light
            ? outline.fitted(new Bounds(LIGHT, bounds.warmUpMinutes(), bounds.coolDownMinutes()))
            : outline;
    Optional<Ladder> ladder = runner.reserve().map(span -> Ladder.of(span, baseline.learned()));
    return new LivePlan(
        mode,
        cut.inTurn().stream().map(each -> planned(each.step(), runner, ladder)).toList(),
        mover(runner, ladder, baseline, newToExercise),
        light,
        // A goal over what is allowed today is none.
        cut.bandGoal().filter(goal -> !light),
        baseline
            .maximum()
            .filter(known -> ladder.isPresent() && baseline.resting().isPresent())
            .map(known -> new Basis(baseline.uncertainty(), known.method())));
  }

  /**
   * The session of an outline for somebody made up, on foot and without a check-in.
   *
   * @param runner their rates; they have some
   * @param contexts what about them decides what rate, RPE and voice are worth
   * @param guide what leads
   */
  public static LivePlan madeUp(
      Outline outline, ExertionLimits runner, Set<EffortContext> contexts, IntensityGuide guide) {
    Optional<Ladder> ladder = runner.reserve().map(Ladder::of);
    return new LivePlan(
        Mode.RUN,
        outline.inTurn().stream().map(each -> planned(each.step(), runner, ladder)).toList(),
        new Mover(ladder, true, contexts, guide, OptionalInt.empty(), OptionalInt.empty()),
        false,
        outline.bandGoal(),
        Optional.of(new Basis(Uncertainty.USUAL, "")));
  }

  /**
   * What a recording that was made elsewhere is laid on. Nobody saw when its steps began: of a
   * planned session the warm-up is taken first, the cool-down last, and what lies between is the
   * work; of any other all of it is work, and no rate was asked for.
   *
   * @param length of the recording, in seconds
   * @param planned the outline of the session that it is of; empty where none was planned
   * @param runner their rates, cap and limits of that day
   * @param baseline what they stand on in this mode, that day
   */
  public static LivePlan elsewhere(
      Mode mode,
      int length,
      Optional<Outline> planned,
      ExertionLimits runner,
      ClientBaseline baseline,
      boolean newToExercise) {
    Optional<Ladder> ladder = runner.reserve().map(span -> Ladder.of(span, baseline.learned()));
    List<Step> asked =
        planned.map(Outline::inTurn).orElse(List.of()).stream().map(Placed::step).toList();
    int warmUp = seconds(asked, StepFor.WARM_UP);
    int coolDown = seconds(asked, StepFor.COOL_DOWN);
    boolean whole = length > warmUp + coolDown;
    Optional<Percents> range =
        asked.stream()
            .filter(step -> use(step.kind()) == StepFor.WORK)
            .findFirst()
            .flatMap(Step::range);
    int work = asked.stream().mapToInt(Step::seconds).sum() - warmUp - coolDown;
    List<PlanStep> steps = new ArrayList<>();
    if (whole && warmUp > 0) {
      steps.add(laid(StepKind.WARM_UP, warmUp, Optional.empty(), runner, ladder));
    }
    steps.add(laid(StepKind.WORK, work > 0 ? work : length, range, runner, ladder));
    if (whole && coolDown > 0) {
      steps.add(laid(StepKind.COOL_DOWN, coolDown, Optional.empty(), runner, ladder));
    }
    return new LivePlan(
        mode,
        steps,
        mover(runner, ladder, baseline, newToExercise),
        false,
        Optional.empty(),
        baseline
            .maximum()
            .filter(known -> ladder.isPresent() && baseline.resting().isPresent())
            .map(known -> new Basis(baseline.uncertainty(), known.method())));
  }

  private static int seconds(List<Step> steps, StepFor use) {
    return steps.stream().filter(step -> use(step.kind()) == use).mapToInt(Step::seconds).sum();
  }

  private static PlanStep laid(
      StepKind kind,
      int seconds,
      Optional<Percents> range,
      ExertionLimits runner,
      Optional<Ladder> ladder) {
    return new PlanStep(kind, seconds, range, range.map(each -> aim(each, runner, ladder)), false);
  }

  private LivePlan with(List<PlanStep> other) {
    return new LivePlan(mode, other, mover, light, goal, basis);
  }

  /** The same for a room that goes by one clock: no step waits for anybody's target. */
  public LivePlan together() {
    return with(
        steps.stream()
            .map(each -> new PlanStep(each.kind, each.seconds, each.range, each.aim, false))
            .toList());
  }

  /**
   * The same for somebody who joins late: the warm-up in full, then what is left of the work, and
   * the cool-down in full.
   *
   * @param seconds that the room still has
   */
  public LivePlan joining(int seconds) {
    int over = steps.stream().mapToInt(PlanStep::seconds).sum() - seconds;
    List<PlanStep> left = new ArrayList<>();
    for (PlanStep step : steps) {
      boolean fixed = step.use() == StepFor.WARM_UP || step.use() == StepFor.COOL_DOWN;
      int cut = fixed ? 0 : Math.max(0, Math.min(over, step.seconds));
      over -= cut;
      if (cut < step.seconds) {
        left.add(new PlanStep(step.kind, step.seconds - cut, step.range, step.aim, step.waits));
      }
    }
    return with(left);
  }

  private static PlanStep planned(Step step, ExertionLimits runner, Optional<Ladder> ladder) {
    Optional<Witnesses.Aim> aim = step.range().map(range -> aim(range, runner, ladder));
    return new PlanStep(
        step.kind(), step.seconds(), step.range(), aim, step.waits() && aim.isPresent());
  }

  private static Witnesses.Aim aim(Percents range, ExertionLimits runner, Optional<Ladder> ladder) {
    Aim told = runner.aim(range);
    return told.target().isPresent() && ladder.isPresent()
        ? Witnesses.Aim.byRate(
            told.target().get().lowBpm(),
            told.target().get().highBpm(),
            Optional.of(told.rpe20()),
            ladder.get())
        : Witnesses.Aim.byEffort(told.levels(), told.rpe20());
  }

  private static Mover mover(
      ExertionLimits runner,
      Optional<Ladder> ladder,
      ClientBaseline baseline,
      boolean newToExercise) {
    boolean estimated =
        baseline.maximum().filter(each -> each.origin() != Origin.MEASURED).isPresent();
    IntensityGuide guide =
        ladder.isPresent()
            ? baseline.screening().effects().steering()
            : IntensityGuide.EFFORT_AND_TALK_ONLY;
    return new Mover(
        ladder,
        estimated,
        contexts(baseline, newToExercise),
        guide,
        runner.cap().map(Cap::bpm).map(OptionalInt::of).orElse(OptionalInt.empty()),
        runner.highestEffort() < Effects.TOP_EFFORT
            ? OptionalInt.of(runner.highestEffort())
            : OptionalInt.empty());
  }

  /** What about somebody decides what rate, RPE and voice are worth. */
  public static Set<EffortContext> contexts(ClientBaseline baseline, boolean newToExercise) {
    Person person = baseline.person();
    Set<EffortContext> contexts = EnumSet.noneOf(EffortContext.class);
    boolean slowed = person.health().betaBlocker();
    boolean measured =
        baseline.maximum().filter(each -> each.origin() == Origin.MEASURED).isPresent();
    add(contexts, EffortContext.RATE_LOWERING_MEDICINE, slowed);
    // A maximum from before a change of medication is no working maximum: this one is of the dose.
    add(contexts, EffortContext.MAXIMUM_ON_MEDICINE, slowed && measured);
    add(contexts, EffortContext.HEART_CONDITION, person.health().heartCondition());
    add(contexts, EffortContext.HEART_FAILURE, person.health().heartFailure());
    add(contexts, EffortContext.DEFIBRILLATOR, person.has(Condition.DEFIBRILLATOR));
    add(contexts, EffortContext.IRREGULAR_RHYTHM, person.has(Condition.IRREGULAR_RHYTHM));
    add(contexts, EffortContext.PACEMAKER, person.has(Condition.PACEMAKER));
    add(contexts, EffortContext.NEUROPATHY, person.has(Condition.AUTONOMIC_NEUROPATHY));
    add(contexts, EffortContext.RESPIRATORY, person.has(Condition.RESPIRATORY));
    add(contexts, EffortContext.PREGNANCY, person.has(Condition.PREGNANCY));
    add(contexts, EffortContext.UNDER_18, person.under18());
    add(contexts, EffortContext.NEW_TO_EXERCISE, newToExercise);
    return contexts;
  }

  private static void add(Set<EffortContext> contexts, EffortContext context, boolean holds) {
    if (holds) {
      contexts.add(context);
    }
  }

  /** Its rows: a step that waits begins when the target is reached, or after 4 minutes. */
  public Protocol protocol() {
    return protocol(steps);
  }

  static Protocol protocol(List<PlanStep> steps) {
    Duration latest = Duration.ofMinutes(Threshold.WAITS_FOR_TARGET.whole());
    List<Row> rows =
        steps.stream()
            .map(
                step -> {
                  Duration length = Duration.ofSeconds(step.seconds);
                  return step.waits
                      ? Row.waiting(length, latest)
                      : Row.of(length, step.kind.exercise());
                })
            .toList();
    int warmUp = 0;
    while (warmUp < steps.size() && steps.get(warmUp).use() == StepFor.WARM_UP) {
      warmUp++;
    }
    return new Protocol(rows, warmUp, Duration.ofMinutes(Threshold.PAUSE_WARM_UP_AGAIN.whole()));
  }

  /** Seconds of work that it asks for. */
  public int workSeconds() {
    return steps.stream().filter(step -> step.kind.exercise()).mapToInt(PlanStep::seconds).sum();
  }

  /** What is said before it begins. */
  public List<Finding> findings() {
    return light ? List.of(LiveFinding.LIGHT_ONLY.of()) : List.of();
  }
}
