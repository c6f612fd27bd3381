package app.korvel.core.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.outline.Outline.BandGoal;
import app.korvel.core.outline.Outline.Place;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Scope;
import app.korvel.core.support.People;
import app.korvel.core.zone.GuidelineClass;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve.Percents;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class OutlineTest {
  private static final Percents TALK = new Percents(40, 50);

  private static Outline of(Block... work) {
    List<Block> blocks = new ArrayList<>();
    blocks.add(Block.once(Step.of(StepKind.WARM_UP, 300, new Percents(20, 40))));
    blocks.addAll(List.of(work));
    blocks.add(Block.once(Step.of(StepKind.COOL_DOWN, 300, new Percents(20, 40))));
    return new Outline(blocks, Optional.empty());
  }

  private static Step work(int seconds, int low, int high) {
    return Step.work(seconds, new Percents(low, high));
  }

  private static List<String> codes(Outline outline, Bounds bounds) {
    return outline.broken(bounds).stream().map(each -> each.finding().code()).toList();
  }

  private static List<String> codes(Outline outline) {
    return codes(outline, Bounds.FOR_ANYONE);
  }

  @Test
  void aSteadySessionIsWarmUpMobilityWorkCoolDownAndStretching() {
    Outline outline = Outline.of(WorkType.STEADY, TALK, 20, Bounds.FOR_ANYONE);

    assertThat(outline.steps())
        .extracting(Step::kind, Step::seconds)
        .containsExactly(
            tuple(StepKind.WARM_UP, 300),
            tuple(StepKind.MOBILITY, 120),
            tuple(StepKind.WORK, 1_200),
            tuple(StepKind.COOL_DOWN, 300),
            tuple(StepKind.STRETCH, 300));
    assertThat(outline.seconds()).isEqualTo(2_220);
    assertThat(outline.workSeconds()).isEqualTo(1_200);
    assertThat(outline.workSeconds(GuidelineClass.MODERATE)).isEqualByComparingTo("1200");
  }

  @Test
  void aLadderRisesARangeAStepAndEndsAtTheTarget() {
    Outline outline = Outline.of(WorkType.LADDER, new Percents(60, 75), 31, Bounds.FOR_ANYONE);

    List<Step> work = outline.steps().filter(step -> step.kind() == StepKind.WORK).toList();
    assertThat(work)
        .extracting(step -> step.range().orElseThrow())
        .containsExactly(new Percents(30, 45), new Percents(45, 60), new Percents(60, 75));
    assertThat(work).extracting(Step::seconds).containsExactly(660, 600, 600);
    // Of 30–45 % two thirds are light; 45–60 % is moderate and 60–75 % vigorous.
    assertThat(outline.workSeconds(GuidelineClass.LIGHT)).isEqualByComparingTo("440");
    assertThat(outline.workSeconds(GuidelineClass.MODERATE)).isEqualByComparingTo("820");
    assertThat(outline.workSeconds(GuidelineClass.VIGOROUS)).isEqualByComparingTo("600");
    assertThat(outline.easyPercent()).isEqualTo(67);
  }

  @ParameterizedTest
  @ValueSource(ints = {15, 16, 20, 31, 32})
  void noTypeLosesAMinute(int minutes) {
    for (WorkType type : WorkType.values()) {
      assertThat(Outline.of(type, TALK, minutes, Bounds.FOR_ANYONE).workSeconds())
          .as(type + " of " + minutes)
          .isEqualTo(60 * minutes);
    }
  }

  @Test
  void intervalsAreAMinuteOfWorkAndTwoEasy() {
    Outline outline = Outline.of(WorkType.INTERVALS, new Percents(80, 90), 20, Bounds.FOR_ANYONE);

    Block rounds = outline.blocks().get(2);
    assertThat(rounds.times()).isEqualTo(6);
    assertThat(rounds.steps()).extracting(Step::seconds).containsExactly(60, 120);
    assertThat(outline.workSeconds(GuidelineClass.VIGOROUS)).isEqualByComparingTo("360");
    assertThat(codes(outline)).isEmpty();
  }

  @Test
  void shortBoutsLastTenMinutesAtMostAndLieApart() {
    Outline outline = Outline.of(WorkType.SHORT_BOUTS, TALK, 30, Bounds.FOR_ANYONE);

    Block bouts = outline.blocks().get(2);
    assertThat(bouts.times()).isEqualTo(3);
    assertThat(bouts.apart()).isTrue();
    assertThat(bouts.steps().get(0).seconds()).isEqualTo(600);
    assertThat(
            Outline.of(WorkType.SHORT_BOUTS, TALK, 10, Bounds.FOR_ANYONE).blocks().get(2).times())
        .isEqualTo(2);
  }

  @ParameterizedTest
  @EnumSource(WorkType.class)
  void whatATypeLaysOutKeepsEveryRule(WorkType type) {
    int high = type.highestPercent();
    for (int minutes = type.fewestMinutes(); minutes <= 180; minutes += 7) {
      for (int low = 20; low < high; low += 5) {
        Outline outline =
            Outline.of(type, new Percents(low, high), minutes, Bounds.FOR_ANYONE).checked();
        assertThat(codes(outline)).as(type + " " + low + "–" + high + ", " + minutes).isEmpty();
      }
    }
  }

  @Test
  void whatShipsKeepsEveryRuleAndHasItsOwnName() {
    assertThat(Outlines.SHIPPED).extracting(Named::id).doesNotHaveDuplicates();
    assertThat(Outlines.SHIPPED).extracting(Named::name).doesNotHaveDuplicates();
    for (Named named : Outlines.SHIPPED) {
      assertThat(codes(named.outline().checked())).as(named.id()).isEmpty();
    }
  }

  @Test
  void theWarmUpIsAsLongAsTheirContextAsks() {
    Outline outline = Outline.of(WorkType.STEADY, TALK, 20, Bounds.FOR_ANYONE);
    Bounds heart =
        Bounds.of(Scope.unscreened(People.having(50, Activity.SOME, Condition.HEART_CONDITION)));

    assertThat(heart.warmUpMinutes()).isEqualTo(15);
    assertThat(codes(outline, heart)).containsExactly("warm-up-short", "cool-down-short");
    assertThat(codes(outline.fitted(heart), heart)).isEmpty();
    assertThat(outline.fitted(heart).blocks().get(0).steps().get(0).seconds()).isEqualTo(900);
    assertThat(outline.fitted(heart).workSeconds()).isEqualTo(outline.workSeconds());
  }

  @Test
  void warmUpAndCoolDownStayEasy() {
    Outline outline =
        new Outline(
            List.of(
                Block.once(Step.of(StepKind.WARM_UP, 300, new Percents(20, 45))),
                Block.once(work(600, 40, 50)),
                Block.once(Step.of(StepKind.COOL_DOWN, 300, new Percents(30, 50)))),
            Optional.empty());

    assertThat(outline.broken(Bounds.FOR_ANYONE))
        .extracting(each -> each.place().orElseThrow(), each -> each.finding().code())
        .containsExactly(
            tuple(new Place(0, 0), "margin-hard"), tuple(new Place(2, 0), "margin-hard"));
  }

  @Test
  void nothingLiesAboveTheirCeilingAndTheReasonStandsWithIt() {
    Outline hard = of(Block.once(work(600, 65, 75)));
    Bounds bounds = Bounds.of(Scope.unscreened(People.adult(40, Activity.LITTLE)));

    Finding finding = hard.broken(bounds).get(0).finding();
    assertThat(finding.code()).isEqualTo("step-over-ceiling");
    assertThat(finding.message()).contains("75 %").contains("60");
    assertThat(finding.because()).contains("vigorous work is not allowed");
    // As wide as it was, under the ceiling.
    assertThat(hard.fitted(bounds).blocks().get(1).steps().get(0).range().orElseThrow())
        .isEqualTo(new Percents(50, 60));
  }

  @ParameterizedTest
  @CsvSource({"120, 80, 90, true", "121, 80, 90, false", "600, 70, 80, true", "600, 71, 81, false"})
  void workAboveEightyLastsTwoMinutesAtMost(int seconds, int low, int high, boolean keeps) {
    Outline outline = of(Block.once(work(seconds, low, high)), Block.once(work(300, 40, 50)));
    assertThat(codes(outline)).isEqualTo(keeps ? List.of() : List.of("hard-too-long"));
  }

  @Test
  void hardStepsThatFollowEachOtherAreOneStretch() {
    assertThat(codes(of(Block.times(3, work(60, 80, 90)), Block.once(work(300, 40, 50)))))
        .containsExactly("hard-too-long");
    assertThat(codes(of(Block.times(3, work(60, 80, 90), Step.easy(60, new Percents(30, 40))))))
        .isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    // hard seconds, easy seconds, easy up to -> keeps the rule
    "120, 60, 40, true",
    "120, 59, 40, false",
    "60, 30, 40, true",
    "60, 29, 40, false",
    "60, 30, 60, true",
    // 61 % is not easy
    "60, 90, 61, false",
    // never under 10 s, however short the work is
    "20, 10, 40, true",
    "20, 9, 40, false",
    "15, 8, 40, false",
    "21, 10, 40, false",
  })
  void betweenTwoHardStretchesLiesHalfAsMuchEasyTime(int hard, int easy, int upTo, boolean keeps) {
    Outline outline =
        of(Block.times(20, work(hard, 80, 90), Step.easy(easy, new Percents(upTo - 10, upTo))));
    assertThat(codes(outline)).isEqualTo(keeps ? List.of() : List.of("hard-too-soon"));
  }

  @Test
  void howMuchEasyTimeIsMissingIsSaid() {
    Outline outline = of(Block.times(4, work(120, 80, 90), Step.easy(20, new Percents(30, 40))));
    assertThat(outline.broken(Bounds.FOR_ANYONE).get(0).finding().message())
        .isEqualTo("20 s of easy time after 120 s above 80 %; at least 60 s.");
    // Hours lie between bouts through the day.
    assertThat(
            codes(
                of(
                    Block.times(3, work(110, 80, 90), Step.easy(5, new Percents(30, 40)))
                        .throughTheDay())))
        .isEmpty();
  }

  @Test
  void burstsAreShortAndThreeMinutesApart() {
    Step burst = Step.burst(20, new Percents(75, 90));
    assertThat(codes(of(Block.times(3, work(160, 60, 75), burst)))).isEmpty();
    assertThat(codes(of(Block.times(3, work(159, 60, 75), burst))))
        .containsExactly("burst-too-soon");
    assertThat(codes(of(Block.once(work(300, 60, 75)), Block.once(burst.lasting(19)))))
        .containsExactly("burst-length");
    assertThat(codes(of(Block.once(work(300, 60, 75)), Block.once(burst.lasting(31)))))
        .containsExactly("burst-length");
  }

  @Test
  void aBandGoalFitsIntoTheWork() {
    Outline words = of(Block.times(6, work(120, 75, 80), Step.easy(120, new Percents(30, 40))));
    assertThat(codes(new Outline(words.blocks(), Optional.of(new BandGoal(Level.WORDS, 12)))))
        .isEmpty();
    assertThat(codes(new Outline(words.blocks(), Optional.of(new BandGoal(Level.WORDS, 13)))))
        .containsExactly("band-goal-too-long");
    assertThat(codes(new Outline(words.blocks(), Optional.of(new BandGoal(Level.PHRASES, 1)))))
        .containsExactly("band-goal-too-long");
  }

  @Test
  void withoutWorkThereIsNoSession() {
    assertThat(codes(of())).containsExactly("outline-empty");
    assertThat(codes(of(Block.once(work(299, 40, 50))))).containsExactly("outline-minutes");
    assertThat(codes(of(Block.times(2, work(5_401, 40, 50))))).containsExactly("outline-minutes");
  }

  @Test
  void figuresThatCannotBeWorkedWithAreToldWithTheirPlace() {
    Outline outline =
        new Outline(
            List.of(
                new Block(61, false, List.of(work(4, 19, 95))),
                new Block(1, false, List.of()),
                Block.once(new Step(StepKind.MOBILITY, 60, Optional.of(TALK), false)),
                Block.once(new Step(StepKind.WORK, 60, Optional.empty(), false)),
                Block.once(work(60, 60, 50)),
                Block.once(Step.burst(20, TALK).waiting())),
            Optional.empty());

    assertThatThrownBy(outline::checked)
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            thrown ->
                assertThat(thrown.faults())
                    .extracting(Fault::field)
                    .containsExactly(
                        "blocks[0].times",
                        "blocks[0].steps[0].seconds",
                        "blocks[0].steps[0].lowPercent",
                        "blocks[0].steps[0].highPercent",
                        "blocks[1].steps",
                        "blocks[2].steps[0].lowPercent",
                        "blocks[3].steps[0].lowPercent",
                        "blocks[4].steps[0].highPercent",
                        "blocks[5].steps[0].waits"));
  }

  @Test
  void aLibraryTakesOnlyWhatKeepsTheRulesOfEveryone() {
    Outline good = of(Block.once(work(600, 40, 50)));
    assertThat(Named.checked("x", " Quay walk ", "", good).name()).isEqualTo("Quay walk");
    assertThatThrownBy(() -> Named.checked("x", " ", "", good))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> Named.checked("x", "Hard", "", of(Block.once(work(600, 80, 90)))))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("1 to 2 min");
  }

  @Test
  void anExerciseIsNotForThoseWhoseContextLeavesItOut() {
    assertThat(
            notFor(Exercise.HOLDS, People.having(50, Activity.SOME, Condition.HIGH_BLOOD_PRESSURE)))
        .hasValueSatisfying(why -> assertThat(why).contains("long isometric holds"));
    assertThat(notFor(Exercise.HOLDS, People.having(50, Activity.SOME, Condition.PACEMAKER)))
        .isPresent();
    assertThat(notFor(Exercise.HOLDS, People.adult(50, Activity.SOME))).isEmpty();
    assertThat(notFor(Exercise.STAIRS, People.having(70, Activity.SOME, Condition.FALLS)))
        .isPresent();
    assertThat(notFor(Exercise.RUN_SPRINTS, People.adult(30, Activity.SOME)))
        .hasValueSatisfying(why -> assertThat(why).contains("vigorous"));
    assertThat(notFor(Exercise.RUN_SPRINTS, People.adult(30, Activity.REGULAR))).isEmpty();
    assertThat(notFor(Exercise.WALK, People.taking(50, Activity.NONE, MedicineClass.BETA_BLOCKER)))
        .isEmpty();
  }

  private static Optional<String> notFor(Exercise exercise, Person person) {
    return exercise.notFor(Scope.unscreened(person));
  }

  @Test
  void everyExerciseHasItsPlace() {
    for (Exercise exercise : Exercise.values()) {
      exercise
          .cost()
          .ifPresent(cost -> assertThat(cost.low()).isLessThanOrEqualTo(cost.high()).isPositive());
    }
    assertThat(Exercise.values()).extracting(Exercise::type).contains(ExerciseType.values());
  }
}
