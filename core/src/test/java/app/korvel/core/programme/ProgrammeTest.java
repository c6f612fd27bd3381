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
import app.korvel.core.prescription.Parts;
import app.korvel.core.prescription.Start;
import app.korvel.core.programme.Progression.Kind;
import app.korvel.core.programme.Progression.Stepped;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Scope;
import app.korvel.core.support.People;
import app.korvel.core.zone.Reserve.Percents;
import java.time.DayOfWeek;
import java.time.LocalDate;
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
    Parts first =
        Start.of(scope, days.size(), Goal.GENERAL_FITNESS, Optional.empty(), Mode.RUN).parts();
    Ceiling ceiling = Ceiling.of(person, scope.permission());
    return new Plan(
        first,
        Aims.usual(first, person, ceiling, days.size()),
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
    List<Stepped> weeks =
        Progression.of(dose(40, 50, 20, 3), new Aims(60, 30, 4), pace(true, 0), 13);

    assertThat(weeks)
        .extracting(week -> week.dose().minutes(), week -> week.dose().days(), Stepped::kind)
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
    assertThat(weeks.get(12).because().because()).contains("as far as the goal");
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
    List<Stepped> weeks =
        Progression.of(dose(50, 60, 30, 5), new Aims(70, 30, 5), pace(false, 20), 6);

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
    List<Stepped> weeks =
        Progression.of(dose(60, 70, 30, 4), new Aims(70, 45, 4), new Pace(false, 20, true, 0), 8);

    assertThat(weeks)
        .extracting(week -> week.dose().minutes(), Stepped::kind)
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
    assertThat(plan.aims()).isEqualTo(new Aims(60, 30, 5));
  }

  @Test
  void aHeldWeekOfACautiousStartSaysUntilWhen() {
    Stepped held =
        Progression.next(
            dose(30, 40, 30, 3),
            new Aims(60, 30, 3),
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
    assertThat(finding.message()).startsWith("From 3 Jun 2026 on");
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
    assertThat(faults(plan, new Aims(60, 0, 5), ALL_DAYS)).containsExactly("goalMinutes");
    assertThat(faults(plan, new Aims(60, 400, 5), ALL_DAYS)).containsExactly("goalMinutes");
    assertThat(faults(plan, new Aims(60, 30, 8), ALL_DAYS)).containsExactly("goalDays");
    assertThat(
            faults(
                plan,
                new Aims(60, 30, 5),
                EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.FRIDAY)))
        .containsExactly("weekdays");
    Programme laid = Programme.of(plan);
    assertThatThrownBy(() -> laid.move(1, START.minusDays(1)))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> laid.session(0)).isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> laid.session(1_000)).isInstanceOf(InvalidValueException.class);
  }

  private static List<String> faults(Plan plan, Aims aims, Set<DayOfWeek> days) {
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
