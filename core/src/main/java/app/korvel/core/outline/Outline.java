package app.korvel.core.outline;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.zone.GuidelineClass;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve.Percents;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A session in percent of reserve: warm-up, mobility, work, cool-down, stretching. It becomes rates
 * for whoever does it.
 *
 * @param blocks in order, {@link Limit#OUTLINE_BLOCKS}
 * @param bandGoal minutes to be spent at one level, if that is the aim
 */
public record Outline(List<Block> blocks, Optional<BandGoal> bandGoal) {

  /**
   * Minutes at one level, for example 12 min at Words.
   *
   * @param level which
   * @param minutes how many, not more than the work holds of it
   */
  public record BandGoal(Level level, int minutes) {}

  /**
   * Where a step stands.
   *
   * @param block from 0
   * @param step within its block, from 0
   */
  public record Place(int block, int step) {}

  /** A step and where it stands. */
  public record Placed(Place place, Step step) {}

  /**
   * A rule that is broken.
   *
   * @param place at which step; empty where it is the whole
   * @param finding which rule, and why
   */
  public record Violation(Optional<Place> place, Finding finding) {}

  private static final int MARGIN_FROM = Threshold.WARM_UP_FROM.whole();
  private static final int MARGIN_TO = Threshold.WARM_UP_TO.whole();
  private static final int HARD = Threshold.HARD_WORK.whole();
  private static final int EASY = Level.PHRASES.fromPercent();
  private static final int EASY_PART = Threshold.HARD_EASY_PART.whole();
  private static final int EASY_SHORTEST = Threshold.HARD_EASY_SHORTEST.whole();
  private static final int HARD_SECONDS = Threshold.HARD_AT_A_TIME.whole();
  private static final int BURST_SHORTEST = Threshold.BURST_SHORTEST.whole();
  private static final int BURST_LONGEST = Threshold.BURST_LONGEST.whole();
  private static final int BURST_EVERY = Threshold.BURST_EVERY.whole();
  private static final int MOBILITY_SECONDS = 60 * Threshold.MOBILITY.whole();
  private static final int STRETCH_SECONDS = 60 * Threshold.STRETCHING.whole();
  private static final int STEPS_IN_A_BLOCK = 6;

  public Outline {
    blocks = List.copyOf(blocks);
  }

  /**
   * The usual session of a type.
   *
   * @param target percent of reserve
   * @param minutes of work
   * @param bounds how long it is warmed up and cooled down for
   */
  public static Outline of(WorkType type, Percents target, int minutes, Bounds bounds) {
    Percents easy = new Percents(MARGIN_FROM, MARGIN_TO);
    List<Block> blocks = new ArrayList<>();
    blocks.add(Block.once(Step.of(StepKind.WARM_UP, 60 * bounds.warmUpMinutes(), easy)));
    blocks.add(Block.once(Step.of(StepKind.MOBILITY, MOBILITY_SECONDS)));
    blocks.addAll(type.work(target, minutes));
    blocks.add(Block.once(Step.of(StepKind.COOL_DOWN, 60 * bounds.coolDownMinutes(), easy)));
    blocks.add(Block.once(Step.of(StepKind.STRETCH, STRETCH_SECONDS)));
    return new Outline(blocks, Optional.empty());
  }

  /**
   * A step as it comes in turn.
   *
   * @param apart whether hours lie before it
   * @param again whether it is of another bout of the day
   */
  private record Turn(Place place, Step step, boolean apart, boolean again) {}

  private List<Turn> turns() {
    List<Turn> turns = new ArrayList<>();
    for (int at = 0; at < blocks.size(); at++) {
      Block block = blocks.get(at);
      for (int round = 0; round < block.times(); round++) {
        for (int step = 0; step < block.steps().size(); step++) {
          boolean again = block.apart() && round > 0;
          turns.add(
              new Turn(new Place(at, step), block.steps().get(step), again && step == 0, again));
        }
      }
    }
    return turns;
  }

  /** The steps as they come in turn; of bouts that are spread through the day one is done. */
  public List<Placed> inTurn() {
    return turns().stream()
        .filter(turn -> !turn.again)
        .map(turn -> new Placed(turn.place, turn.step))
        .toList();
  }

  private int seconds(Predicate<Step> which) {
    return blocks.stream()
        .mapToInt(
            block ->
                block.times() * block.steps().stream().filter(which).mapToInt(Step::seconds).sum())
        .sum();
  }

  /** From the first step to the last, without the hours between bouts. */
  public int seconds() {
    return seconds(step -> true);
  }

  /** The work: without warm-up, mobility, cool-down and stretching. */
  public int workSeconds() {
    return seconds(step -> step.kind().exercise());
  }

  /** Seconds of work that lie in a class, shared by how much of each step's range lies in it. */
  public BigDecimal workSeconds(GuidelineClass of) {
    return blocks.stream()
        .flatMap(block -> block.steps().stream().map(step -> inClass(step, of, block.times())))
        .reduce(BigDecimal.ZERO, BigDecimal::add);
  }

  private static BigDecimal inClass(Step step, GuidelineClass of, int times) {
    if (!step.kind().exercise()) {
      return BigDecimal.ZERO;
    }
    Percents range = step.range().orElseThrow();
    return of.shareOf((long) times * step.seconds(), range.low(), range.high());
  }

  /** Whether any of its work, bursts aside, asks for vigorous effort or more. */
  public boolean asksVigorous() {
    return steps()
        .filter(step -> step.kind() == StepKind.WORK)
        .flatMap(step -> step.range().stream())
        .anyMatch(Percents::asksVigorous);
  }

  /** The share of the work that lies where whole sentences are spoken, in whole percent. */
  public int easyPercent() {
    int easy = seconds(step -> step.kind().exercise() && step.highPercent() <= EASY);
    return 100 * easy / Math.max(1, workSeconds());
  }

  /** The highest upper edge of any step, percent of reserve. */
  public int highestPercent() {
    return blocks.stream()
        .flatMap(block -> block.steps().stream())
        .mapToInt(Step::highPercent)
        .max()
        .orElse(0);
  }

  /**
   * This outline, once its figures are known to be such as can be worked with.
   *
   * @throws InvalidValueException with every fault at once, each with its place
   */
  public Outline checked() {
    List<Fault> faults = new ArrayList<>();
    Limit.OUTLINE_BLOCKS.check(faults, "blocks", blocks.size());
    for (int at = 0; at < blocks.size(); at++) {
      Block block = blocks.get(at);
      String place = "blocks[" + at + "].";
      Limit.BLOCK_TIMES.check(faults, place + "times", block.times());
      if (block.steps().isEmpty() || block.steps().size() > STEPS_IN_A_BLOCK) {
        faults.add(
            new Fault(
                place + "steps",
                "has " + block.steps().size() + " steps",
                "1 to " + STEPS_IN_A_BLOCK + " steps"));
      }
      for (int step = 0; step < block.steps().size(); step++) {
        check(faults, place + "steps[" + step + "].", block.steps().get(step));
      }
    }
    bandGoal.ifPresent(
        goal -> Limit.SESSION_MINUTES.check(faults, "bandGoal.minutes", goal.minutes()));
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return this;
  }

  private static void check(List<Fault> faults, String place, Step step) {
    Limit.STEP_SECONDS.check(faults, place + "seconds", step.seconds());
    if (step.kind().ranged() != step.range().isPresent()) {
      String name = step.kind().displayName().toLowerCase(Locale.ROOT);
      faults.add(
          step.kind().ranged()
              ? new Fault(
                  place + "lowPercent",
                  "is missing: " + name + " has an intensity",
                  Limit.INTENSITY.accepted())
              : new Fault(place + "lowPercent", name + " has no intensity", "none"));
    }
    step.range()
        .ifPresent(
            range -> {
              Limit.INTENSITY.check(faults, place + "lowPercent", range.low());
              Limit.INTENSITY.check(faults, place + "highPercent", range.high());
              if (range.low() > range.high()) {
                faults.add(
                    new Fault(
                        place + "highPercent",
                        range.high() + " % is under the lower edge",
                        range.low() + " to " + Limit.INTENSITY.highest() + " % of reserve"));
              }
            });
    if (step.waits() && step.kind() != StepKind.WORK) {
      faults.add(
          new Fault(place + "waits", "only work waits for its target", "work, or no waiting"));
    }
  }

  /** Every rule it breaks for someone of those bounds, in the order of its steps. */
  public List<Violation> broken(Bounds bounds) {
    List<Violation> broken = new ArrayList<>();
    List<Turn> turns = turns();
    Optional<Turn> first = turns.stream().filter(Outline::exercise).findFirst();
    if (first.isEmpty()) {
      broken.add(whole(OutlineFinding.OUTLINE_EMPTY.of()));
      return broken;
    }
    checkMinutes(broken);
    checkWarmUp(broken, turns, bounds);
    checkSteps(broken, bounds);
    checkHardRuns(broken, turns);
    checkBursts(broken, turns);
    checkCoolDown(broken, turns, bounds);
    bandGoal.ifPresent(goal -> checkGoal(broken, goal));
    return broken;
  }

  private static boolean exercise(Turn turn) {
    return turn.step.kind().exercise();
  }

  private static Violation whole(Finding finding) {
    return new Violation(Optional.empty(), finding);
  }

  private static Violation at(Place place, Finding finding) {
    return new Violation(Optional.of(place), finding);
  }

  private void checkMinutes(List<Violation> broken) {
    int seconds = workSeconds();
    if (seconds < 60 * Limit.SESSION_MINUTES.lowest()
        || seconds > 60 * Limit.SESSION_MINUTES.highest()) {
      broken.add(
          whole(
              OutlineFinding.OUTLINE_MINUTES.of(
                  minutes(seconds), Limit.SESSION_MINUTES.accepted())));
    }
  }

  private static void checkWarmUp(List<Violation> broken, List<Turn> turns, Bounds bounds) {
    int seconds =
        turns.stream()
            .takeWhile(turn -> !exercise(turn))
            .filter(turn -> turn.step.kind() == StepKind.WARM_UP)
            .mapToInt(turn -> turn.step.seconds())
            .sum();
    if (seconds < 60 * bounds.warmUpMinutes()) {
      broken.add(
          at(
              turns.get(0).place,
              OutlineFinding.WARM_UP_SHORT.of(minutes(seconds), bounds.warmUpMinutes())));
    }
  }

  private static void checkCoolDown(List<Violation> broken, List<Turn> turns, Bounds bounds) {
    int last = 0;
    for (int i = 0; i < turns.size(); i++) {
      last = exercise(turns.get(i)) ? i : last;
    }
    int seconds =
        turns.subList(last, turns.size()).stream()
            .filter(turn -> turn.step.kind() == StepKind.COOL_DOWN)
            .mapToInt(turn -> turn.step.seconds())
            .sum();
    if (seconds < 60 * bounds.coolDownMinutes()) {
      broken.add(
          at(
              turns.get(turns.size() - 1).place,
              OutlineFinding.COOL_DOWN_SHORT.of(minutes(seconds), bounds.coolDownMinutes())));
    }
  }

  /** What one step may not be, whatever stands around it. */
  private void checkSteps(List<Violation> broken, Bounds bounds) {
    Ceiling ceiling = bounds.ceiling();
    for (int at = 0; at < blocks.size(); at++) {
      List<Step> steps = blocks.get(at).steps();
      for (int i = 0; i < steps.size(); i++) {
        Step step = steps.get(i);
        Place place = new Place(at, i);
        if (step.highPercent() > ceiling.percent()) {
          broken.add(
              at(
                  place,
                  OutlineFinding.STEP_OVER_CEILING.of(
                      step.highPercent(), ceiling.percent(), ceiling.words())));
        }
        boolean margin = step.kind() == StepKind.WARM_UP || step.kind() == StepKind.COOL_DOWN;
        if (margin && step.highPercent() > MARGIN_TO) {
          broken.add(
              at(place, OutlineFinding.MARGIN_HARD.of(step.kind().displayName(), MARGIN_TO)));
        }
        if (step.kind() == StepKind.BURST
            && (step.seconds() < BURST_SHORTEST || step.seconds() > BURST_LONGEST)) {
          broken.add(
              at(
                  place,
                  OutlineFinding.BURST_LENGTH.of(step.seconds(), BURST_SHORTEST, BURST_LONGEST)));
        }
      }
    }
  }

  /**
   * Steps over 80 % that follow each other are one stretch of hard work. None is too long, and
   * before the next one comes easy time: half as long as the stretch, at least 10 s. Bursts keep a
   * distance of their own. Each place is told once.
   */
  private static void checkHardRuns(List<Violation> broken, List<Turn> turns) {
    int run = 0;
    int easy = 0;
    boolean resting = true;
    boolean burst = false;
    List<Place> told = new ArrayList<>();
    for (Turn turn : turns) {
      Step step = turn.step;
      if (turn.apart) {
        run = 0;
      }
      if (step.highPercent() <= HARD) {
        resting = true;
        easy += step.highPercent() <= EASY ? step.seconds() : 0;
        continue;
      }
      if (resting) {
        int least = Math.max(EASY_SHORTEST, (run + EASY_PART - 1) / EASY_PART);
        boolean both = burst && step.kind() == StepKind.BURST;
        if (run > 0 && easy < least && !both && !told.contains(turn.place)) {
          told.add(turn.place);
          broken.add(at(turn.place, OutlineFinding.HARD_TOO_SOON.of(easy, run, HARD, least)));
        }
        run = 0;
        resting = false;
        burst = true;
      }
      run += step.seconds();
      easy = 0;
      burst &= step.kind() == StepKind.BURST;
      if (run > HARD_SECONDS && !told.contains(turn.place)) {
        told.add(turn.place);
        broken.add(at(turn.place, OutlineFinding.HARD_TOO_LONG.of(HARD, minutes(run))));
      }
    }
  }

  private static void checkBursts(List<Violation> broken, List<Turn> turns) {
    int now = 0;
    int before = -BURST_EVERY;
    List<Place> told = new ArrayList<>();
    for (Turn turn : turns) {
      if (turn.step.kind() == StepKind.BURST) {
        if (now - before < BURST_EVERY && !told.contains(turn.place)) {
          told.add(turn.place);
          broken.add(at(turn.place, OutlineFinding.BURST_TOO_SOON.of(minutes(now - before))));
        }
        before = now;
      }
      now += turn.step.seconds();
    }
  }

  private void checkGoal(List<Violation> broken, BandGoal goal) {
    int seconds =
        seconds(
            step -> step.kind().exercise() && touches(step.range().orElseThrow(), goal.level()));
    if (60 * goal.minutes() > seconds) {
      broken.add(
          whole(
              OutlineFinding.BAND_GOAL_TOO_LONG.of(
                  goal.minutes(), goal.level().displayName(), minutes(seconds))));
    }
  }

  private static boolean touches(Percents range, Level level) {
    int below = level == Level.SILENT ? 101 : Level.values()[level.ordinal() + 1].fromPercent();
    return range.low() < below && Math.max(range.low() + 1, range.high()) > level.fromPercent();
  }

  /** Minutes as they are said: whole, or with the seconds that are left over. */
  private static String minutes(int seconds) {
    return seconds % 60 == 0
        ? "" + seconds / 60
        : seconds / 60 + ":" + String.format(Locale.ROOT, "%02d", seconds % 60);
  }

  /**
   * The same made to keep someone's bounds: no step over their ceiling, warm-up and cool-down as
   * long as theirs. Rules of timing are left as they are.
   */
  public Outline fitted(Bounds bounds) {
    List<Block> kept = new ArrayList<>();
    for (Block block : blocks) {
      kept.add(
          block.with(
              block.steps().stream()
                  .map(step -> step.atMost(bounds.ceiling().percent()))
                  .toList()));
    }
    Outline cut = new Outline(kept, bandGoal);
    List<Turn> turns = cut.turns();
    Percents easy = new Percents(MARGIN_FROM, MARGIN_TO);
    List<Violation> early = new ArrayList<>();
    checkWarmUp(early, turns, bounds);
    List<Violation> late = new ArrayList<>();
    if (turns.stream().anyMatch(Outline::exercise)) {
      checkCoolDown(late, turns, bounds);
    }
    if (!early.isEmpty()) {
      kept.removeIf(block -> only(block, StepKind.WARM_UP));
      kept.add(0, Block.once(Step.of(StepKind.WARM_UP, 60 * bounds.warmUpMinutes(), easy)));
    }
    if (!late.isEmpty()) {
      kept.removeIf(block -> only(block, StepKind.COOL_DOWN));
      boolean stretches = only(kept.get(kept.size() - 1), StepKind.STRETCH);
      kept.add(
          stretches ? kept.size() - 1 : kept.size(),
          Block.once(Step.of(StepKind.COOL_DOWN, 60 * bounds.coolDownMinutes(), easy)));
    }
    return new Outline(kept, bandGoal);
  }

  private static boolean only(Block block, StepKind kind) {
    return block.steps().stream().allMatch(step -> step.kind() == kind);
  }

  /** Every step, in the order of the blocks, each once. */
  public Stream<Step> steps() {
    return blocks.stream().flatMap(block -> block.steps().stream());
  }
}
