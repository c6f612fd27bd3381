package app.korvel.server.outline;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Source;
import app.korvel.core.outline.Aim;
import app.korvel.core.outline.Block;
import app.korvel.core.outline.Exercise;
import app.korvel.core.outline.ExerciseType;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Outline.BandGoal;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.core.outline.Step;
import app.korvel.core.outline.StepKind;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Contraindication;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Scope;
import app.korvel.core.zone.GuidelineClass;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.server.web.Within;
import app.korvel.server.web.Words;
import app.korvel.server.zone.ZoneViews;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Session outlines as they are received and sent, and the exercises there are. */
public final class OutlineViews {
  private OutlineViews() {}

  /**
   * A step in every language.
   *
   * @param lowBpm null where no rate may be used, or a cap lies below it
   * @param counts by window in seconds; empty without rates
   * @param level the hardest it touches, 1 to 5
   * @param name of its levels
   */
  public record StepAim(
      @Nullable Integer lowBpm,
      @Nullable Integer highBpm,
      boolean capped,
      Map<String, List<Integer>> counts,
      int level,
      String name,
      String voice,
      List<Integer> rpe20,
      List<Integer> rpe10) {

    public static StepAim of(Aim aim) {
      List<Level> levels = aim.levels();
      Level easiest = levels.get(0);
      Level hardest = levels.get(levels.size() - 1);
      return new StepAim(
          aim.target().map(target -> target.lowBpm()).orElse(null),
          aim.target().map(target -> target.highBpm()).orElse(null),
          aim.target().map(target -> target.capped()).orElse(false),
          aim.target().map(target -> ZoneViews.counts(target.counts())).orElse(Map.of()),
          hardest.number(),
          easiest == hardest
              ? hardest.displayName()
              : easiest.displayName() + " to " + hardest.displayName(),
          hardest.voice(),
          ZoneViews.span(aim.rpe20()),
          ZoneViews.span(aim.rpe10()));
    }
  }

  /**
   * One step.
   *
   * @param aim null where the kind has no intensity
   */
  public record OutlineStepView(
      StepKind kind,
      String name,
      int seconds,
      @Nullable Integer lowPercent,
      @Nullable Integer highPercent,
      boolean waits,
      @Nullable StepAim aim) {

    static OutlineStepView of(Step step, ExertionLimits runner) {
      return new OutlineStepView(
          step.kind(),
          step.kind().displayName(),
          step.seconds(),
          step.range().map(Percents::low).orElse(null),
          step.range().map(Percents::high).orElse(null),
          step.waits(),
          step.range().map(range -> StepAim.of(runner.aim(range))).orElse(null));
    }
  }

  public record BlockView(int times, boolean apart, List<OutlineStepView> steps) {
    static BlockView of(Block block, ExertionLimits runner) {
      return new BlockView(
          block.times(),
          block.apart(),
          block.steps().stream().map(step -> OutlineStepView.of(step, runner)).toList());
    }
  }

  public record BandGoalView(Level level, String name, int minutes) {
    static BandGoalView of(BandGoal goal) {
      return new BandGoalView(goal.level(), goal.level().displayName(), goal.minutes());
    }
  }

  /**
   * A rule that is broken.
   *
   * @param block null where it is the whole
   * @param step null where it is the whole
   */
  public record BrokenView(@Nullable Integer block, @Nullable Integer step, Finding finding) {
    static BrokenView of(Outline.Violation broken) {
      return new BrokenView(
          broken.place().map(Outline.Place::block).orElse(null),
          broken.place().map(Outline.Place::step).orElse(null),
          broken.finding());
    }
  }

  /**
   * A session from warm-up to stretching, worked out for someone.
   *
   * @param seconds in all, without the hours between bouts
   * @param level the hardest that its work touches, 1 to 5
   * @param moderateSeconds of the work, by the middle of each step
   * @param broken the rules it breaks
   */
  public record OutlineView(
      List<BlockView> blocks,
      @Nullable BandGoalView bandGoal,
      int level,
      int seconds,
      int workSeconds,
      int lightSeconds,
      int moderateSeconds,
      int vigorousSeconds,
      int easyPercent,
      List<BrokenView> broken) {

    public static OutlineView of(Outline outline, ExertionLimits runner) {
      int light = Rounding.halfUp(outline.workSeconds(GuidelineClass.LIGHT));
      int moderate =
          Rounding.halfUp(
                  outline
                      .workSeconds(GuidelineClass.LIGHT)
                      .add(outline.workSeconds(GuidelineClass.MODERATE)))
              - light;
      List<BlockView> blocks =
          outline.blocks().stream().map(block -> BlockView.of(block, runner)).toList();
      return new OutlineView(
          blocks,
          outline.bandGoal().map(BandGoalView::of).orElse(null),
          blocks.stream()
              .flatMap(block -> block.steps().stream())
              .filter(step -> step.kind() == StepKind.WORK && step.aim() != null)
              .mapToInt(step -> step.aim().level())
              .max()
              .orElse(1),
          outline.seconds(),
          outline.workSeconds(),
          light,
          moderate,
          outline.workSeconds() - light - moderate,
          outline.easyPercent(),
          outline.broken(runner.bounds()).stream().map(BrokenView::of).toList());
    }
  }

  /** One step as it is written down. */
  public record OutlineStepRequest(
      StepKind kind,
      Integer seconds,
      @Nullable Integer lowPercent,
      @Nullable Integer highPercent,
      Boolean waits) {

    private Step written() {
      // One edge alone is a single intensity.
      Integer low = lowPercent == null ? highPercent : lowPercent;
      Integer high = highPercent == null ? lowPercent : highPercent;
      return new Step(
          kind,
          seconds,
          low == null ? Optional.empty() : Optional.of(new Percents(low, high)),
          waits);
    }
  }

  public record BlockRequest(Integer times, Boolean apart, List<OutlineStepRequest> steps) {
    private Block written() {
      return new Block(times, apart, steps.stream().map(OutlineStepRequest::written).toList());
    }
  }

  public record BandGoalRequest(Level level, Integer minutes) {}

  /** An outline as it is written down. */
  public record OutlineRequest(List<BlockRequest> blocks, @Nullable BandGoalRequest bandGoal) {
    /** Checked as far as its figures go. */
    public Outline written() {
      return new Outline(
              blocks.stream().map(BlockRequest::written).toList(),
              Optional.ofNullable(bandGoal).map(goal -> new BandGoal(goal.level, goal.minutes)))
          .checked();
    }
  }

  /** An outline on a span that is given. */
  record OutlineTrialRequest(
      OutlineRequest outline,
      @Nullable @Within(Limit.RESTING) Integer restingBpm,
      @Nullable @Within(Limit.MAXIMUM) Integer maximumBpm) {}

  /** An outline of the library as it is kept. */
  record NamedOutlineRequest(String name, @Nullable String note, OutlineRequest outline) {
    Named checked(String id) {
      return Named.checked(id, name, note == null ? "" : note, outline.written());
    }
  }

  record NamedOutlineChangeRequest(Integer version, NamedOutlineRequest outline) {}

  record OutlineArchiveRequest(Integer version, Boolean archived) {}

  /**
   * An outline of the library.
   *
   * @param version of the studio's own; null for one that ships
   */
  record NamedOutlineView(
      String id, @Nullable Integer version, String name, String note, OutlineView outline) {
    static NamedOutlineView of(Named named, @Nullable Integer version, ExertionLimits runner) {
      return new NamedOutlineView(
          named.id(), version, named.name(), named.note(), OutlineView.of(named.outline(), runner));
    }
  }

  record OutlineList(List<NamedOutlineView> outlines) {}

  /**
   * An outline for one client.
   *
   * @param fitted the same made to keep their bounds; null where it does already
   */
  record ClientOutlineView(OutlineView outline, @Nullable OutlineView fitted) {
    static ClientOutlineView of(Outline outline, ExertionLimits runner) {
      Outline fitted = outline.fitted(runner.bounds());
      return new ClientOutlineView(
          OutlineView.of(outline, runner),
          fitted.equals(outline) ? null : OutlineView.of(fitted, runner));
    }
  }

  /**
   * What can be done in a session.
   *
   * @param lowMet null where no table says
   * @param notFor why it is not for this client; empty where it is
   * @param mindFor what of their health is to be minded with it; empty where nothing is
   */
  public record ExerciseOption(
      Exercise exercise,
      String name,
      Mode mode,
      ExerciseType type,
      String typeName,
      String typeMeaning,
      @Nullable BigDecimal lowMet,
      @Nullable BigDecimal highMet,
      String source,
      String notFor,
      String mindFor) {

    private static ExerciseOption of(Exercise exercise, Scope scope, Person person) {
      return new ExerciseOption(
          exercise,
          exercise.displayName(),
          exercise.mode(),
          exercise.type(),
          exercise.type().displayName(),
          exercise.type().meaning(),
          exercise.cost().map(Exercise.Cost::low).orElse(null),
          exercise.cost().map(Exercise.Cost::high).orElse(null),
          exercise.cost().isPresent() ? Exercise.Cost.SOURCE.citation() : "",
          exercise.notFor(scope).orElse(""),
          exercise.mindFor(person).orElse(""));
    }

    /** Every exercise, as it is for someone. */
    public static List<ExerciseOption> of(Scope scope) {
      return Arrays.stream(Exercise.values())
          .map(exercise -> of(exercise, scope, scope.person()))
          .toList();
    }
  }

  /** An exercise as the list of methods has it. */
  public record ExerciseRow(
      String id,
      String name,
      Mode mode,
      String type,
      @Nullable BigDecimal lowMet,
      @Nullable BigDecimal highMet,
      List<String> notWith,
      List<String> mind,
      String source) {

    static ExerciseRow of(Exercise exercise) {
      return new ExerciseRow(
          "exercise-" + Words.of(exercise),
          exercise.displayName(),
          exercise.mode(),
          exercise.type().displayName(),
          exercise.cost().map(Exercise.Cost::low).orElse(null),
          exercise.cost().map(Exercise.Cost::high).orElse(null),
          exercise.is().stream().map(Contraindication::displayName).toList(),
          exercise.mind().stream().map(Condition::displayName).toList(),
          exercise.cost().isPresent()
              ? Exercise.Cost.SOURCE.citation()
              : Source.PRACTICE.citation());
    }

    /** Every exercise. */
    public static List<ExerciseRow> all() {
      return Arrays.stream(Exercise.values()).map(ExerciseRow::of).toList();
    }
  }
}
