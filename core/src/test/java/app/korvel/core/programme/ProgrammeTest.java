package app.korvel.core.programme;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Outlines;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.Start;
import app.korvel.core.programme.Progression.Kind;
import app.korvel.core.programme.Progression.WeekPlan;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Scope;
import app.korvel.core.support.People;
import app.korvel.core.zone.Reserve.Percents;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against weeks worked out by hand. */
class ProgrammeTest {
  /** A Monday. */
  private static final LocalDate START = LocalDate.of(2026, 6, 1);

  private static final Set<DayOfWeek> ALL_DAYS = EnumSet.allOf(DayOfWeek.class);

  private static Dose dose(int low, int high, int minutes, int days) {
    return new Dose(new Percents(low, high), minutes, days, WorkType.STEADY);
  }

  private static Pace pace(boolean careful, int weeksBefore) {
    return new Pace(careful, weeksBefore, false, 0);
  }

  private static Plan plan(Person person, Set<DayOfWeek> days, int weeks) {
    Scope scope = Scope.unscreened(person);
    Fitt first =
        Start.of(scope, days.size(), Goal.GENERAL_FITNESS, Optional.empty(), Mode.RUN).parts();
    Ceiling ceiling = Ceiling.of(person, scope.permission());
    return new Plan(
        first,
        ProgrammeGoal.usual(first, person, ceiling, days.size()),
        Pace.of(person, first, 0, 12),
        Bounds.of(scope),
        START,
        START.plusWeeks(weeks).minusDays(1),
        days);
  }

  private static final Person LITTLE = People.adult(40, Activity.LITTLE);

  private static List<String> codes(Programme programme, int week) {
    return programme.weeksNow(LITTLE).get(week - 1).findings().stream().map(Finding::code).toList();
  }

  @Test
  void minutesGrowFirstThenADayThenIntensityEachWithinTheWeeksLimit() {
    // 3 × 20 = 60: a tenth is 6, so 66, 22 a session; 66 → 72 (72.6 cut), 24; then 79 → 26; 85 →
    // 28;
    // 92 → 30, the goal. Then a day: 99 over 4 is 24; 105 → 26; 114 → 28; 123 → 30; the goal.
    List<WeekPlan> weeks =
        Progression.of(dose(40, 50, 20, 3), new ProgrammeGoal(60, 30, 4), pace(true, 0), 13);

    assertThat(weeks)
        .extracting(week -> week.dose().minutes(), week -> week.dose().days(), WeekPlan::kind)
        .containsExactly(
            tuple(20, 3, Kind.START),
            tuple(22, 3, Kind.MINUTES),
            tuple(24, 3, Kind.MINUTES),
            tuple(26, 3, Kind.MINUTES),
            tuple(28, 3, Kind.MINUTES),
            tuple(30, 3, Kind.MINUTES),
            tuple(24, 4, Kind.DAY),
            tuple(26, 4, Kind.MINUTES),
            tuple(28, 4, Kind.MINUTES),
            tuple(30, 4, Kind.MINUTES),
            tuple(30, 4, Kind.INTENSITY),
            tuple(30, 4, Kind.INTENSITY),
            tuple(30, 4, Kind.HELD));
    assertThat(weeks.get(10).dose().range()).isEqualTo(new Percents(45, 55));
    assertThat(weeks.get(11).dose().range()).isEqualTo(new Percents(50, 60));
    assertThat(weeks.get(12).because().because()).contains("Intensity has reached the goal");
  }

  /** 3 × 40 = 120 is prescribed, 90 was done at best: 99 may be, 33 a session; 5 more a session. */
  @Test
  void aStartAfterWeeksOfTrainingGrowsFromWhatWasDone() {
    List<WeekPlan> weeks =
        Progression.of(
            dose(40, 50, 40, 3),
            new ProgrammeGoal(60, 45, 3),
            pace(true, 6),
            3,
            List.of(90, 30, 60, 75));
    assertThat(weeks)
        .extracting(week -> week.dose().minutes(), week -> week.dose().days(), WeekPlan::kind)
        .containsExactly(
            tuple(33, 3, Kind.START), tuple(36, 3, Kind.MINUTES), tuple(39, 3, Kind.MINUTES));
    assertThat(weeks.get(0).because().code()).isEqualTo("start-eased");
    assertThat(weeks.get(0).because().because()).contains("has 90 min", "may hold 99");
    assertThat(
            Progression.of(
                    dose(40, 50, 40, 3),
                    new ProgrammeGoal(60, 45, 3),
                    pace(true, 6),
                    3,
                    List.of(0, 110))
                .get(0)
                .because()
                .code())
        .isEqualTo("week-starts");
  }

  @Test
  void growthIsATenthForTwelveWeeksAndAFifthAfterThem() {
    assertThat(pace(false, 0).limit(12, List.of(100))).isEqualTo(110);
    assertThat(pace(false, 0).limit(13, List.of(100))).isEqualTo(120);
    assertThat(pace(false, 12).limit(2, List.of(100))).isEqualTo(120);
    assertThat(pace(true, 40).limit(20, List.of(100))).isEqualTo(110);
    // Five minutes may always be added; only the best of the last four counts.
    assertThat(pace(false, 0).limit(2, List.of(30))).isEqualTo(35);
    assertThat(pace(false, 0).limit(6, List.of(200, 100, 90, 80, 70))).isEqualTo(110);
  }

  @Test
  void aStepPastSixtyTakesAThirdOffTheMinutesThatWeek() {
    List<WeekPlan> weeks =
        Progression.of(dose(50, 60, 30, 5), new ProgrammeGoal(70, 30, 5), pace(false, 20), 6);

    assertThat(weeks)
        .extracting(week -> week.dose().range().high(), week -> week.dose().minutes())
        .containsExactly(
            tuple(60, 30),
            tuple(65, 20),
            tuple(65, 25),
            tuple(65, 30),
            tuple(70, 30),
            tuple(70, 30));
    assertThat(weeks.get(1).because().code()).isEqualTo("step-past-moderate");
    assertThat(weeks.get(4).because().code()).isEqualTo("step-intensity");
  }

  @Test
  void everyFourthWeekIsLighterForThoseWhoTrainRegularly() {
    List<WeekPlan> weeks =
        Progression.of(
            dose(60, 70, 30, 4), new ProgrammeGoal(70, 45, 4), new Pace(false, 20, true, 0), 8);

    assertThat(weeks)
        .extracting(week -> week.dose().minutes(), WeekPlan::kind)
        .containsExactly(
            tuple(30, Kind.START),
            tuple(35, Kind.MINUTES),
            tuple(40, Kind.MINUTES),
            // 60 to 70 % of 40 is 24 to 28: a whole five between them.
            tuple(25, Kind.LIGHTER),
            tuple(45, Kind.MINUTES),
            tuple(45, Kind.HELD),
            tuple(45, Kind.HELD),
            tuple(30, Kind.LIGHTER));
  }

  @Test
  void theCautiousStartStaysLightForTwelveWeeks() {
    Plan plan = plan(People.adult(40, Activity.NONE), ALL_DAYS, 26);
    Programme programme = Programme.of(plan);

    for (int week = 1; week <= 12; week++) {
      assertThat(programme.weeks().get(week - 1).dose().range())
          .as("week " + week)
          .isEqualTo(new Percents(30, 40));
    }
    assertThat(
            programme.weeks().stream()
                .mapToInt(week -> week.dose().range().high())
                .max()
                .getAsInt())
        .isEqualTo(60);
    assertThat(plan.aims()).isEqualTo(new ProgrammeGoal(60, 30, 5));
  }

  @Test
  void inWeekThirteenACautiousStartBecomesModerateWhateverMinutesAndDaysHaveComeTo() {
    // A goal of minutes that twelve weeks do not reach: still 30–40 % otherwise.
    List<WeekPlan> weeks =
        Progression.of(
            dose(30, 40, 15, 3), new ProgrammeGoal(60, 60, 7), new Pace(true, 0, false, 12), 15);
    assertThat(weeks.subList(0, 12))
        .allMatch(week -> week.dose().range().equals(new Percents(30, 40)));
    WeekPlan thirteenth = weeks.get(12);
    assertThat(thirteenth.dose().range()).isEqualTo(new Percents(40, 50));
    assertThat(thirteenth.dose().total()).isEqualTo(weeks.get(11).dose().total());
    assertThat(thirteenth.because().message())
        .isEqualTo("40–50 % of reserve: the light weeks are over.");
    // And grows on from there.
    assertThat(weeks.get(13).dose().range()).isEqualTo(new Percents(40, 50));
    assertThat(weeks.get(13).dose().total()).isGreaterThan(thirteenth.dose().total());
  }

  @Test
  void aGoalThatIsLightItselfStaysLight() {
    List<WeekPlan> weeks =
        Progression.of(
            dose(30, 40, 15, 3), new ProgrammeGoal(40, 30, 5), new Pace(false, 0, false, 12), 26);
    assertThat(weeks).allMatch(week -> week.dose().range().equals(new Percents(30, 40)));
  }

  @ParameterizedTest
  @CsvSource({"0, 12, 12", "5, 12, 7", "5, 3, 3", "11, 12, 1", "40, 12, 1", "0, 0, 0"})
  void weeksBeforeCountTowardsTheTwelve(int before, int wanted, int light) {
    Fitt cautious =
        new Fitt(Goal.GENERAL_FITNESS, Approach.CAUTIOUS, 30, 40, 15, 3, WorkType.STEADY, Mode.RUN);
    assertThat(Pace.of(People.adult(40, Activity.NONE), cautious, before, wanted).lightWeeks())
        .isEqualTo(light);
  }

  /** 60–75 %, 30 min on 5 days: three of them, and two at 40–60 %. */
  @Test
  void ofFourDaysOrMoreThreeAreVigorousAndTheOthersEasier() {
    Programme laid = Programme.of(plan(People.adult(30, Activity.REGULAR), ALL_DAYS, 16));
    for (int week = 1; week <= 16; week++) {
      List<PlannedSession> sessions = laid.ofWeek(week);
      assertThat(laid.weeks().get(week - 1).dose().range().asksVigorous()).isTrue();
      assertThat(sessions).hasSizeGreaterThanOrEqualTo(4);
      assertThat(sessions).filteredOn(session -> !session.easier()).hasSizeLessThanOrEqualTo(3);
      for (PlannedSession session : sessions) {
        assertThat(laid.range(session))
            .isEqualTo(
                session.easier()
                    ? new Percents(40, 60)
                    : laid.weeks().get(week - 1).dose().range());
        assertThat(laid.outline(session).workSeconds())
            .isEqualTo(60 * laid.weeks().get(week - 1).dose().minutes());
      }
    }
    List<LocalDate> vigorous =
        laid.sessions().stream()
            .filter(session -> !session.easier())
            .map(PlannedSession::date)
            .toList();
    // In the first twelve weeks never two in a row, from one week to the next either.
    for (int at = 1; at < vigorous.size(); at++) {
      if (vigorous.get(at).isBefore(START.plusWeeks(12))) {
        assertThat(vigorous.get(at)).isAfter(vigorous.get(at - 1).plusDays(1));
      }
    }
    assertThat(laid.weeksNow(People.adult(30, Activity.REGULAR)).get(0).findings()).isEmpty();
  }

  @Test
  void onFourDaysInARowOnlyTwoAreVigorousWhileCareIsTaken() {
    Set<DayOfWeek> four = EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.THURSDAY);
    Programme laid = Programme.of(plan(People.adult(30, Activity.REGULAR), four, 16));
    assertThat(vigorousDays(laid, 1)).isEqualTo(2);
    assertThat(vigorousDays(laid, 16)).isEqualTo(3);
  }

  private static long vigorousDays(Programme laid, int week) {
    return laid.ofWeek(week).stream().filter(session -> !session.easier()).count();
  }

  @Test
  void threeDaysMayAllBeVigorous() {
    Set<DayOfWeek> three = EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY);
    Programme laid = Programme.of(plan(People.adult(30, Activity.REGULAR), three, 4));
    assertThat(laid.sessions()).noneMatch(PlannedSession::easier);
  }

  @Test
  void whoeverPutsVigorousDaysTogetherIsTold() {
    Person regular = People.adult(30, Activity.REGULAR);
    Programme laid = Programme.of(plan(regular, ALL_DAYS, 8));
    List<PlannedSession> hard =
        laid.ofWeek(1).stream().filter(session -> !session.easier()).toList();
    PlannedSession easier =
        laid.ofWeek(1).stream().filter(PlannedSession::easier).findFirst().orElseThrow();
    Programme row = laid.move(hard.get(1).number(), hard.get(0).date().plusDays(1));
    assertThat(row.weeksNow(regular).get(0).findings())
        .extracting(Finding::code)
        .contains("vigorous-in-a-row");
    Programme four = laid.use(easier.number(), Optional.of(hourAtPhrases()));
    assertThat(four.weeksNow(regular).get(0).findings())
        .extracting(Finding::message)
        .contains("Week 1 has 4 vigorous days; at most 3.");
  }

  /** What a long easy session is never shorter than holds for every step. */
  @Test
  void longEasySessionsGrowAndLightenWithinTheirOwnLimits() {
    Dose start = new Dose(new Percents(45, 55), 40, 3, WorkType.LONG_EASY);
    List<WeekPlan> weeks =
        Progression.of(start, new ProgrammeGoal(60, 60, 4), new Pace(false, 0, true, 0), 26);
    assertThat(weeks).allMatch(week -> week.dose().minutes() >= 40);
    // 60 to 70 % of 3 × 44 is 80 to 92: two of 40.
    assertThat(weeks.get(2).dose().total()).isEqualTo(144);
    assertThat(weeks.get(3).kind()).isEqualTo(Kind.LIGHTER);
    assertThat(weeks.get(3).dose().days()).isEqualTo(2);
    assertThat(weeks.get(3).dose().total()).isBetween(87, 100);
    assertThat(weeks.get(3).because().message())
        .startsWith("A lighter week: ")
        .contains("min on 2 days");
    // One session of 40 min cannot become lighter, and says why.
    WeekPlan alone =
        Progression.of(
                new Dose(new Percents(45, 55), 40, 1, WorkType.LONG_EASY),
                new ProgrammeGoal(55, 40, 1),
                new Pace(false, 0, true, 0),
                4)
            .get(3);
    assertThat(alone.dose().minutes()).isEqualTo(40);
    assertThat(alone.because().because()).contains("“Long and easy” takes 40 min at least");
    // Nor two: one of them is as near to it as there is.
    WeekPlan two =
        Progression.of(
                new Dose(new Percents(45, 55), 40, 2, WorkType.LONG_EASY),
                new ProgrammeGoal(55, 40, 2),
                new Pace(false, 0, true, 0),
                4)
            .get(3);
    assertThat(two.dose().total()).isEqualTo(40);
    assertThat(two.because().message()).endsWith("50 % of the usual minutes.");
    assertThat(two.because().because()).contains("as near to it as there is");
  }

  @Test
  void aWeekThatMayHoldLessThanALongSessionHoldsASteadyOne() {
    WeekPlan eased =
        Progression.next(
            new Dose(new Percents(45, 55), 40, 3, WorkType.LONG_EASY),
            new ProgrammeGoal(60, 60, 4),
            new Pace(true, 0, false, 0),
            9,
            List.of(20, 20, 20, 20));
    assertThat(eased.kind()).isEqualTo(Kind.EASED);
    assertThat(eased.dose()).isEqualTo(new Dose(new Percents(45, 55), 8, 3, WorkType.STEADY));
  }

  @Test
  void whyAStepIsTheOneItIsIsTrue() {
    // A day more would make sessions of 33 min, which are no long ones.
    WeekPlan step =
        Progression.next(
            new Dose(new Percents(45, 55), 40, 3, WorkType.LONG_EASY),
            new ProgrammeGoal(60, 40, 5),
            new Pace(true, 0, false, 0),
            2,
            List.of(120));
    assertThat(step.kind()).isEqualTo(Kind.INTENSITY);
    assertThat(step.because().because())
        .isEqualTo(
            "The minutes have reached the goal. No further day fits in 132 min, where “Long and"
                + " easy” takes 40 min at least. So 5 % more on both edges, minutes held.");
  }

  /** What is shown as the most a week may have is what the lay-out kept to. */
  @Test
  void theLimitShownIsTheLimitKept() {
    for (Activity activity : Activity.values()) {
      Person person = People.adult(45, activity);
      Programme laid = Programme.of(plan(person, ALL_DAYS, 26));
      List<Integer> totals = new ArrayList<>();
      for (Programme.WeekNow week : laid.weeksNow(person)) {
        if (week.number() > 1) {
          assertThat(week.limitMinutes()).contains(laid.plan().pace().limit(week.number(), totals));
          assertThat(week.minutes()).isLessThanOrEqualTo(week.limitMinutes().orElseThrow());
        }
        totals.add(week.minutes());
      }
    }
  }

  @Test
  void aHeldWeekOfACautiousStartSaysUntilWhen() {
    WeekPlan held =
        Progression.next(
            dose(30, 40, 30, 3),
            new ProgrammeGoal(60, 30, 3),
            new Pace(false, 0, false, 12),
            9,
            List.of(90, 90, 90, 90));
    assertThat(held.kind()).isEqualTo(Kind.HELD);
    assertThat(held.because().because()).contains("until week 12");
  }

  @Test
  void sessionsLieFurthestApartOnTheDaysTheyHave() {
    assertThat(TrainingDays.spread(ALL_DAYS, 3))
        .containsExactly(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY);
    assertThat(
            TrainingDays.spread(
                EnumSet.of(DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY, DayOfWeek.SATURDAY), 2))
        .containsExactly(DayOfWeek.TUESDAY, DayOfWeek.SATURDAY);
    assertThat(TrainingDays.spread(ALL_DAYS, 7)).hasSize(7);
  }

  @Test
  void aSessionCanBeMovedSkippedAndSwappedAndTheRulesAnswer() {
    Programme laid =
        Programme.of(
            plan(LITTLE, EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY), 8));
    for (int week = 1; week <= 8; week++) {
      assertThat(codes(laid, week)).isEmpty();
    }
    // Week 2 is 3 × 22; the third of week 3 on top of it is 66 + 24 = 90, over 66.
    Programme crowded = laid.move(9, laid.session(6).date());
    assertThat(codes(crowded, 2)).containsExactly("week-grows-too-fast", "two-in-a-day");
    assertThat(crowded.weeksNow(LITTLE).get(1).findings().get(0).message())
        .isEqualTo("Week 2 has 90 min; at most 66.");

    assertThat(codes(laid.move(1, START.plusDays(1)), 1)).containsExactly("not-their-day");

    Programme thin = laid.skip(1, true);
    assertThat(codes(thin, 2)).containsExactly("week-grows-too-fast", "step-not-earned");
    assertThat(thin.skip(1, false)).isEqualTo(laid);
    assertThat(codes(thin.skip(2, true), 1)).containsExactly("once-a-week");
    assertThat(codes(thin.skip(2, true).skip(3, true), 1)).containsExactly("week-empty");

    Programme swapped = laid.swap(2, Mode.CYCLE, LITTLE);
    assertThat(swapped.session(2).mode()).isEqualTo(Mode.CYCLE);
    assertThat(codes(swapped, 1)).containsExactly("mode-swapped");
    // Said once, however many sessions it is true of.
    assertThat(codes(swapped.swap(1, Mode.CYCLE, LITTLE), 1)).containsExactly("mode-swapped");
    Person unsteady = People.having(40, Activity.LITTLE, Condition.FALLS);
    assertThatThrownBy(() -> laid.swap(2, Mode.STAIRS, unsteady))
        .isInstanceOf(InvalidValueException.class);
  }

  @Test
  void whatMayNotBeAskedAnyMoreIsSaidFromTheDayItBegins() {
    Programme laid = Programme.of(plan(LITTLE, ALL_DAYS, 8));
    Bounds same = laid.plan().bounds();
    assertThat(laid.outOfBounds(same, START)).isEmpty();
    Bounds longer = new Bounds(same.ceiling(), 15, 10);
    Finding finding = laid.outOfBounds(longer, START.plusDays(1)).orElseThrow();
    assertThat(finding.message()).startsWith("From 3 Jun 2026 the programme");
    assertThat(finding.because()).startsWith("5 min of warm-up; at least 15.");
    assertThat(laid.outOfBounds(longer, START.plusWeeks(9))).isEmpty();
  }

  @Test
  void fourSessionsOfFiveEarnAStepAndThreeDoNot() {
    Programme laid = Programme.of(plan(LITTLE, ALL_DAYS, 26));
    int week = 1;
    while (laid.weeks().get(week - 1).dose().days() != 5
        || !laid.weeks().get(week).kind().stepsUp()) {
      week++;
    }
    int of = week;
    List<Integer> numbers =
        laid.sessions().stream()
            .filter(session -> session.week() == of)
            .map(PlannedSession::number)
            .toList();
    assertThat(numbers).hasSize(5);
    Programme four = laid.skip(numbers.get(0), true);
    assertThat(codes(four, of + 1)).doesNotContain("step-not-earned");
    assertThat(codes(four.skip(numbers.get(1), true), of + 1)).contains("step-not-earned");
  }

  @Test
  void anOutlineOfTheLibraryIsMadeToFitOrRefused() {
    Programme laid = Programme.of(plan(LITTLE, ALL_DAYS, 4));
    Outlines.Named rungs = shipped("three-rungs");

    Programme own = laid.use(1, Optional.of(rungs));
    assertThat(own.outline(own.session(1)).highestPercent()).isEqualTo(60);
    assertThat(own.weeksNow(LITTLE).get(0).minutes()).isEqualTo(70);
    assertThat(own.use(1, Optional.empty())).isEqualTo(laid);
  }

  private static Outlines.Named shipped(String id) {
    return Outlines.SHIPPED.stream().filter(each -> each.id().equals(id)).findFirst().orElseThrow();
  }

  @Test
  void aLighterWeekThatIsFilledUpSaysSo() {
    Person regular = People.adult(30, Activity.REGULAR);
    Programme laid = Programme.of(plan(regular, ALL_DAYS, 8));
    assertThat(laid.weeks().get(3).kind()).isEqualTo(Kind.LIGHTER);
    int lighter =
        laid.sessions().stream()
            .filter(session -> session.week() == 4)
            .findFirst()
            .orElseThrow()
            .number();
    Programme filled = laid.use(lighter, Optional.of(shipped("long-way")));
    assertThat(filled.weeksNow(regular).get(3).findings())
        .extracting(Finding::code)
        .contains("lighter-week-full");
  }

  @Test
  void fiveHoursAWeekAskForAnEasyShare() {
    Person high = People.adult(30, Activity.HIGH);
    Programme laid = Programme.of(plan(high, ALL_DAYS, 26));
    Programme long7 = laid;
    for (PlannedSession session : laid.sessions()) {
      long7 =
          session.week() == 2
              ? long7.use(session.number(), Optional.of(shipped("three-rungs")))
              : long7;
    }
    assertThat(long7.weeksNow(high).get(1).easyPercent()).isEqualTo(66);
    assertThat(long7.weeksNow(high).get(1).findings())
        .extracting(Finding::code)
        .doesNotContain("few-easy-minutes");
    Programme hours = laid;
    for (PlannedSession session : laid.sessions()) {
      hours =
          session.week() == 2 ? hours.use(session.number(), Optional.of(hourAtPhrases())) : hours;
    }
    assertThat(hours.weeksNow(high).get(1).findings())
        .extracting(Finding::code)
        .contains("few-easy-minutes");
  }

  private static Outlines.Named hourAtPhrases() {
    return new Outlines.Named(
        "hour",
        "An hour at Phrases",
        "",
        Outline.of(WorkType.STEADY, new Percents(60, 70), 80, Bounds.FOR_ANYONE));
  }

  @ParameterizedTest
  @CsvSource({"-1, 'lies before the start'", "20, 'makes 3 weeks'", "182, 'makes 27 weeks'"})
  void anEndThatMakesNoProgrammeIsTold(int days, String message) {
    Plan plan = plan(LITTLE, ALL_DAYS, 4);
    Plan wrong =
        new Plan(
            plan.first(),
            plan.aims(),
            plan.pace(),
            plan.bounds(),
            START,
            START.plusDays(days),
            ALL_DAYS);
    assertThatThrownBy(() -> Programme.of(wrong))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            thrown -> {
              Fault fault = thrown.faults().get(0);
              assertThat(fault.field()).isEqualTo("endsOn");
              assertThat(fault.message()).isEqualTo(message);
              assertThat(fault.accepted()).isEqualTo("4 to 26 weeks: 2026-06-28 to 2026-11-29");
            });
  }

  @Test
  void noDaysAndGoalsThatCannotBeReachedAreTold() {
    Plan plan = plan(LITTLE, ALL_DAYS, 4);
    assertThat(faults(plan, plan.aims(), Set.of())).containsExactly("weekdays");
    assertThat(faults(plan, plan.aims(), Set.of(DayOfWeek.MONDAY))).containsExactly("weekdays");
    assertThat(faults(plan, new ProgrammeGoal(60, 0, 5), ALL_DAYS)).containsExactly("goalMinutes");
    assertThat(faults(plan, new ProgrammeGoal(60, 400, 5), ALL_DAYS))
        .containsExactly("goalMinutes");
    assertThat(faults(plan, new ProgrammeGoal(60, 30, 8), ALL_DAYS)).containsExactly("goalDays");
    assertThat(
            faults(
                plan,
                new ProgrammeGoal(60, 30, 5),
                EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.FRIDAY)))
        .containsExactly("weekdays");
    Programme laid = Programme.of(plan);
    assertThatThrownBy(() -> laid.move(1, START.minusDays(1)))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> laid.session(0)).isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> laid.session(1_000)).isInstanceOf(InvalidValueException.class);
  }

  private static List<String> faults(Plan plan, ProgrammeGoal aims, Set<DayOfWeek> days) {
    try {
      new Plan(plan.first(), aims, plan.pace(), plan.bounds(), plan.startsOn(), plan.endsOn(), days)
          .checked();
      return List.of();
    } catch (InvalidValueException thrown) {
      return thrown.faults().stream().map(Fault::field).toList();
    }
  }

  @Test
  void theLastWeekMayEndEarly() {
    Plan plan = plan(LITTLE, ALL_DAYS, 4);
    Programme laid =
        Programme.of(
            new Plan(
                plan.first(),
                plan.aims(),
                plan.pace(),
                plan.bounds(),
                START,
                START.plusDays(29),
                ALL_DAYS));
    assertThat(laid.weeks()).hasSize(5);
    assertThat(laid.sessions().get(laid.sessions().size() - 1).date())
        .isBeforeOrEqualTo(START.plusDays(29));
    assertThat(codes(laid, 5)).isEmpty();
  }
}
