package app.korvel.core.programme;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.programme.Progression.Kind;
import app.korvel.core.programme.Progression.WeekPlan;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Permission;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Scope;
import app.korvel.core.support.People;
import app.korvel.core.zone.Reserve.Percents;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How fast weeks may grow, what they grow towards, and on which days they lie. */
class PaceTest {
  private static Fitt parts(Approach approach, int low, int high, int minutes, int days) {
    return new Fitt(
        Goal.GENERAL_FITNESS, approach, low, high, minutes, days, WorkType.STEADY, Mode.RUN);
  }

  private static Pace of(Person person) {
    return Pace.of(person, parts(Approach.GUIDELINE, 40, 50, 20, 3), 40, 12);
  }

  @Test
  void theOldAndTheHeartAreCarefulForGood() {
    assertThat(of(People.adult(64, Activity.SOME)).growthPercent(1)).isEqualTo(20);
    assertThat(of(People.adult(65, Activity.SOME)).growthPercent(1)).isEqualTo(10);
    for (Condition heart :
        List.of(Condition.HEART_CONDITION, Condition.PACEMAKER, Condition.HEART_FAILURE)) {
      assertThat(of(People.having(40, Activity.SOME, heart)).growthPercent(30)).isEqualTo(10);
    }
    assertThat(of(People.having(40, Activity.SOME, Condition.RESPIRATORY)).growthPercent(1))
        .isEqualTo(20);
  }

  @ParameterizedTest
  @CsvSource({"NONE, false", "LITTLE, false", "SOME, false", "REGULAR, true", "HIGH, true"})
  void lighterWeeksAreForTheRegularAndTheHigh(Activity activity, boolean lighter) {
    Pace pace = of(People.adult(40, activity));
    assertThat(pace.lighterWeeks()).isEqualTo(lighter);
    assertThat(IntStream.rangeClosed(1, 12).filter(pace::lighter).boxed().toList())
        .isEqualTo(lighter ? List.of(4, 8, 12) : List.of());
  }

  @Test
  void onlyACautiousStartOfTheNewStaysLight() {
    Fitt cautious = parts(Approach.CAUTIOUS, 30, 40, 15, 3);
    assertThat(Pace.of(People.adult(40, Activity.NONE), cautious, 0, 8).lightWeeks()).isEqualTo(8);
    assertThat(Pace.of(People.adult(40, Activity.SOME), cautious, 0, 8).lightWeeks()).isZero();
    assertThat(
            Pace.of(People.adult(40, Activity.NONE), parts(Approach.GUIDELINE, 40, 50, 15, 3), 0, 8)
                .lightWeeks())
        .isZero();
    // One that was made harder by hand is no light one.
    assertThat(
            Pace.of(People.adult(40, Activity.NONE), parts(Approach.CAUTIOUS, 35, 45, 15, 3), 0, 8)
                .lightWeeks())
        .isZero();
  }

  @ParameterizedTest
  @CsvSource({
    // activity, age, days they have, minutes and days it grows to
    "SOME, 40, 7, 30, 5",
    "SOME, 40, 3, 50, 3",
    "LITTLE, 40, 4, 40, 4",
    "SOME, 40, 2, 50, 3",
    "SOME, 16, 6, 60, 6",
  })
  void itGrowsToTheGuidelinesBeginningOnTheDaysThereAre(
      Activity activity, int age, int available, int minutes, int days) {
    Person person = People.adult(age, activity);
    Scope scope = Scope.unscreened(person);
    ProgrammeGoal aims =
        ProgrammeGoal.usual(
            parts(Approach.GUIDELINE, 40, 50, 20, 3),
            person,
            Ceiling.of(person, scope.permission()),
            available);
    assertThat(aims.minutes()).isEqualTo(minutes);
    assertThat(aims.days()).isEqualTo(days);
  }

  @Test
  void intensityGrowsToTheGoalWithinWhatIsAllowedAndTheTypeHolds() {
    Fitt first = parts(Approach.GUIDELINE, 40, 50, 20, 3);
    Permission held = Scope.unscreened(People.adult(40, Activity.SOME)).permission();
    Permission free = Scope.unscreened(People.adult(40, Activity.REGULAR)).permission();
    assertThat(ProgrammeGoal.highest(first, Ceiling.of(People.adult(40, Activity.SOME), held)))
        .isEqualTo(60);
    assertThat(ProgrammeGoal.highest(first, Ceiling.of(People.adult(40, Activity.REGULAR), free)))
        .isEqualTo(70);
    Fitt competition =
        new Fitt(Goal.COMPETITION, Approach.GUIDELINE, 65, 80, 40, 4, WorkType.STEADY, Mode.RUN);
    assertThat(ProgrammeGoal.highest(competition, Ceiling.FOR_ANYONE)).isEqualTo(80);
    Fitt intervals =
        new Fitt(Goal.COMPETITION, Approach.GUIDELINE, 65, 80, 40, 4, WorkType.INTERVALS, Mode.RUN);
    assertThat(ProgrammeGoal.highest(intervals, Ceiling.FOR_ANYONE)).isEqualTo(90);
    Fitt longEasy =
        new Fitt(Goal.ENDURANCE, Approach.GUIDELINE, 45, 60, 40, 3, WorkType.LONG_EASY, Mode.RUN);
    assertThat(ProgrammeGoal.highest(longEasy, Ceiling.FOR_ANYONE)).isEqualTo(60);
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7})
  void noOtherChoiceOfDaysLiesFurtherApart(int count) {
    for (int mask = 0; mask < 128; mask++) {
      Set<DayOfWeek> available = EnumSet.noneOf(DayOfWeek.class);
      for (DayOfWeek day : DayOfWeek.values()) {
        if ((mask >> day.ordinal() & 1) == 1) {
          available.add(day);
        }
      }
      if (available.size() < count) {
        continue;
      }
      List<DayOfWeek> chosen = TrainingDays.spread(available, count);
      assertThat(chosen).hasSize(count).doesNotHaveDuplicates().isSorted();
      assertThat(available).containsAll(chosen);
      int nearest = nearest(chosen);
      for (List<DayOfWeek> other : choices(new ArrayList<>(available), count)) {
        assertThat(nearest(other))
            .as(available + ": " + chosen + " or " + other)
            .isLessThanOrEqualTo(nearest);
      }
    }
  }

  /** The fewest days between two of them, round the week. */
  private static int nearest(List<DayOfWeek> days) {
    int nearest = 7;
    for (DayOfWeek one : days) {
      for (DayOfWeek other : days) {
        if (one != other) {
          nearest = Math.min(nearest, Math.floorMod(other.getValue() - one.getValue(), 7));
        }
      }
    }
    return nearest;
  }

  private static List<List<DayOfWeek>> choices(List<DayOfWeek> from, int count) {
    if (count == 0) {
      return List.of(List.of());
    }
    List<List<DayOfWeek>> all = new ArrayList<>();
    for (int i = 0; i + count <= from.size(); i++) {
      for (List<DayOfWeek> rest : choices(from.subList(i + 1, from.size()), count - 1)) {
        List<DayOfWeek> one = new ArrayList<>(List.of(from.get(i)));
        one.addAll(rest);
        all.add(one);
      }
    }
    return all;
  }

  @Test
  void aWeekThatWasHardlyDoneIsCutBeforeAnythingGrows() {
    WeekPlan eased =
        Progression.next(
            new Dose(new Percents(40, 50), 30, 4, WorkType.STEADY),
            new ProgrammeGoal(60, 40, 5),
            new Pace(false, 0, false, 0),
            9,
            List.of(40, 30, 20, 40));
    // The best of four is 40: at most 45, 11 min on each of four days.
    assertThat(eased.kind()).isEqualTo(Kind.EASED);
    assertThat(eased.dose()).isEqualTo(new Dose(new Percents(40, 50), 11, 4, WorkType.STEADY));
    WeekPlan few =
        Progression.next(
            new Dose(new Percents(40, 50), 30, 7, WorkType.STEADY),
            new ProgrammeGoal(60, 40, 7),
            new Pace(false, 0, false, 0),
            9,
            List.of(10, 10, 10, 10));
    // At most 15: no session is shorter than 5 min, so there are three.
    assertThat(few.dose()).isEqualTo(new Dose(new Percents(40, 50), 5, 3, WorkType.STEADY));
  }

  @Test
  void aDayMoreDoesNotMakeASessionTooShortForItsType() {
    ProgrammeGoal aims = new ProgrammeGoal(60, 40, 5);
    Dose easy = new Dose(new Percents(45, 55), 40, 3, WorkType.LONG_EASY);
    // 132 over four days is 33 min: no long session any more, so the intensity grows.
    WeekPlan step = Progression.next(easy, aims, new Pace(true, 0, false, 0), 2, List.of(120));
    assertThat(step.kind()).isEqualTo(Kind.INTENSITY);
    Dose steady = new Dose(new Percents(45, 55), 40, 3, WorkType.STEADY);
    assertThat(Progression.next(steady, aims, new Pace(true, 0, false, 0), 2, List.of(120)).kind())
        .isEqualTo(Kind.DAY);
  }

  @Test
  void whereMinutesCannotGrowADayOrTheIntensityDoes() {
    // 7 × 5: one minute on every day would be 42, over 40.
    WeekPlan step =
        Progression.next(
            new Dose(new Percents(30, 40), 5, 7, WorkType.STEADY),
            new ProgrammeGoal(60, 30, 7),
            new Pace(true, 0, false, 0),
            2,
            List.of(35));
    assertThat(step.kind()).isEqualTo(Kind.INTENSITY);
    assertThat(step.dose().range()).isEqualTo(new Percents(35, 45));
  }
}
