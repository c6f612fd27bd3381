package app.korvel.core.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.programme.Availability;
import app.korvel.core.programme.Dose;
import app.korvel.core.programme.LayOff;
import app.korvel.core.programme.MinutesDone;
import app.korvel.core.programme.Pace;
import app.korvel.core.programme.Plan;
import app.korvel.core.programme.PlannedSession;
import app.korvel.core.programme.Programme;
import app.korvel.core.programme.ProgrammeGoal;
import app.korvel.core.programme.Progression.Kind;
import app.korvel.core.programme.Progression.ProgressionVote;
import app.korvel.core.programme.WeekDecision;
import app.korvel.core.programme.WeekDecision.Taken;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Scope;
import app.korvel.core.screening.StopSign;
import app.korvel.core.support.Logs;
import app.korvel.core.support.People;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve.Percents;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Weeks as they were done, and what they ask of the next one, worked out by hand. */
class WeekReviewTest {
  /** A Monday. */
  private static final LocalDate START = LocalDate.of(2026, 6, 1);

  /** 40 to 50 %, 20 min on 5 days, to 60 % and 40 min; a tenth a week. */
  private static Programme programme(boolean lighterWeeks) {
    return programme(5, new ProgrammeGoal(60, 40, 6), lighterWeeks);
  }

  private static Programme programme(int days, ProgrammeGoal aims, boolean lighterWeeks) {
    return programme(days, aims, lighterWeeks, 0);
  }

  private static Programme programme(
      int days, ProgrammeGoal aims, boolean lighterWeeks, int weeksBefore) {
    return Programme.of(
        new Plan(
            new Fitt(
                Goal.GENERAL_FITNESS,
                Approach.GUIDELINE,
                40,
                50,
                20,
                days,
                WorkType.STEADY,
                Mode.RUN),
            aims,
            new Pace(false, weeksBefore, lighterWeeks, 0),
            Bounds.FOR_ANYONE,
            START,
            START.plusWeeks(8).minusDays(1),
            EnumSet.allOf(DayOfWeek.class)));
  }

  private static final Programme PROGRAMME = programme(false);

  private static final Scope SCOPE = Scope.unscreened(People.adult(40, Activity.SOME));

  /** So many of a week's sessions done as planned, at that effort; the others missed. */
  private static List<SessionLog> week(Programme programme, int week, int done, Integer rpe) {
    List<SessionLog> logs = new ArrayList<>();
    for (PlannedSession session : programme.ofWeek(week)) {
      int minutes = programme.outline(session).workSeconds() / 60;
      logs.add(
          logs.size() < done
              ? Logs.planned(session.number(), session.date(), minutes, rpe)
              : Logs.missed(session.number(), session.date()));
    }
    return logs;
  }

  private static List<String> codes(WeekReview review) {
    return review.because().stream().map(Finding::code).toList();
  }

  /** Of five sessions: four are 80 %, three 60 %, two 40 %. Target 12 to 13, middle 12.5. */
  @ParameterizedTest
  @CsvSource({
    "5, 12, STEP",
    "4, 12, STEP",
    "3, 12, HOLD",
    "2, 12, BACK",
    "0, , BACK",
    "5, 13, HOLD",
    "5, 14, HOLD",
    "5, 15, BACK",
    "5, 20, BACK",
    "5, 6, STEP",
    "3, 15, BACK",
    "5, , HOLD",
  })
  void fourOfFiveAtTheEffortThatWasAskedForEarnAStep(
      int done, Integer rpe, ProgressionVote earned) {
    assertThat(WeekReview.of(PROGRAMME, 1, week(PROGRAMME, 1, done, rpe), SCOPE).earned())
        .isEqualTo(earned);
  }

  /** Half of four is not under half. */
  @Test
  void exactlyHalfHoldsTheWeek() {
    Programme four = programme(4, new ProgrammeGoal(60, 20, 4), false);
    assertThat(WeekReview.of(four, 1, week(four, 1, 2, 12), SCOPE).earned())
        .isEqualTo(ProgressionVote.HOLD);
    assertThat(WeekReview.of(four, 1, week(four, 1, 1, 12), SCOPE).earned())
        .isEqualTo(ProgressionVote.BACK);
  }

  /**
   * Minutes and days have come as far as the goal, so that intensity grew: it is what goes back.
   */
  @Test
  void aStepBackFromMoreIntensityTakesIntensity() {
    Programme four = programme(4, new ProgrammeGoal(60, 20, 4), false);
    assertThat(four.weeks().get(1).dose()).isEqualTo(dose(45, 55, 20, 4));
    List<SessionLog> logs = new ArrayList<>(week(four, 1, 4, 12));
    logs.addAll(week(four, 2, 4, 16));
    assertThat(WeekReview.of(four, 2, logs, SCOPE).next().stepped().dose())
        .isEqualTo(dose(40, 50, 20, 4));
  }

  @Test
  void theMeanDecidesNotOneSession() {
    List<SessionLog> logs = week(PROGRAMME, 1, 5, 12);
    PlannedSession last = PROGRAMME.ofWeek(1).get(4);
    // 12, 12, 12, 12 and 14 are 12.4 on average; with 15 they are 12.6.
    logs.set(4, Logs.planned(last.number(), last.date(), 20, 14));
    assertThat(WeekReview.of(PROGRAMME, 1, logs, SCOPE).earned()).isEqualTo(ProgressionVote.STEP);
    logs.set(4, Logs.planned(last.number(), last.date(), 20, 15));
    WeekReview review = WeekReview.of(PROGRAMME, 1, logs, SCOPE);
    assertThat(review.earned()).isEqualTo(ProgressionVote.HOLD);
    assertThat(review.because().get(1).message())
        .isEqualTo("Average RPE 12.6, target 12–13: the week stays the same.");
    assertThat(review.because().get(1).because()).contains("12.5 or less");
  }

  /** “Up to 11” has no middle of its own. */
  @ParameterizedTest
  @CsvSource({"11, STEP", "12, HOLD", "13, BACK"})
  void aTargetThatBeginsWithTheScaleIsMetUpToItsEnd(int rpe, ProgressionVote earned) {
    List<SessionLog> logs =
        PROGRAMME.ofWeek(1).stream()
            .map(
                session ->
                    Logs.planned(session.number(), session.date(), 20, rpe, new RpeSpan(6, 11)))
            .toList();
    WeekReview review = WeekReview.of(PROGRAMME, 1, logs, SCOPE);
    assertThat(review.earned()).isEqualTo(earned);
    assertThat(review.because().get(1).message()).contains("target up to 11");
  }

  @Test
  void anyWarningGoesAStepBack() {
    List<SessionLog> logs = week(PROGRAMME, 1, 5, 12);
    logs.add(Logs.warned(START.plusDays(2), StopSign.WISH));
    WeekReview review = WeekReview.of(PROGRAMME, 1, logs, SCOPE);
    assertThat(review.earned()).isEqualTo(ProgressionVote.BACK);
    assertThat(review.because().get(0).message())
        .isEqualTo("Warning sign on 3 Jun 2026: a wish to stop.");
    // One of another week does not count.
    logs.set(5, Logs.warned(START.plusWeeks(1), StopSign.WISH));
    assertThat(WeekReview.of(PROGRAMME, 1, logs, SCOPE).earned()).isEqualTo(ProgressionVote.STEP);
  }

  @Test
  void whatIsNotLoggedCountsAsNotDoneAndIsSaid() {
    WeekReview review = WeekReview.of(PROGRAMME, 1, week(PROGRAMME, 1, 5, 12).subList(0, 3), SCOPE);
    assertThat(review.open()).isEqualTo(2);
    assertThat(review.done()).isEqualTo(3);
    assertThat(codes(review)).containsExactly("sessions-some", "effort-as-asked", "sessions-open");
    assertThat(review.earned()).isEqualTo(ProgressionVote.HOLD);
  }

  @Test
  void aSessionDoneLaterBelongsToItsOwnWeekAndOneBesidesToItsDay() {
    List<SessionLog> logs = new ArrayList<>(week(PROGRAMME, 1, 5, 12).subList(0, 3));
    PlannedSession fourth = PROGRAMME.ofWeek(1).get(3);
    logs.add(Logs.planned(fourth.number(), START.plusDays(8), 20, 12));
    assertThat(WeekReview.of(PROGRAMME, 1, logs, SCOPE).done()).isEqualTo(4);
    logs.add(Logs.done(START.plusDays(6), 45, 12, 120));
    assertThat(WeekReview.of(PROGRAMME, 1, logs, SCOPE).done()).isEqualTo(5);
    assertThat(WeekReview.minutesDone(PROGRAMME, 2, logs).weeks()).containsExactly(4 * 20 + 45, 0);
  }

  /** 100 min were planned: with all of them 110 are the limit, 22 a session. */
  @Test
  void aStepIsTheLargestThatFitsWhatWasDone() {
    assertThat(next(5, 12)).isEqualTo(dose(40, 50, 22, 5));
    // Four sessions are 80 min: 88 at most, 17 a session.
    WeekReview four = WeekReview.of(PROGRAMME, 1, week(PROGRAMME, 1, 4, 12), SCOPE);
    assertThat(four.earned()).isEqualTo(ProgressionVote.STEP);
    assertThat(four.next().stepped().kind()).isEqualTo(Kind.EASED);
    assertThat(four.next().stepped().dose()).isEqualTo(dose(40, 50, 17, 5));
    assertThat(four.next().stepped().because().because()).contains("maximum this week 88 min");
  }

  /** What was done in the weeks before the programme counts among the last four. */
  @Test
  void theWeeksBeforeTheProgrammeCountTowardsTheBestOfFour() {
    Programme programme = programme(5, new ProgrammeGoal(60, 40, 6), false, 6);
    List<SessionLog> logs = new ArrayList<>(week(programme, 1, 4, 12));
    logs.add(Logs.done(START.minusDays(3), 110, 12, 120));
    assertThat(WeekReview.minutesBefore(programme.plan(), logs)).containsExactly(0, 0, 0, 110);
    // 121 at most: 24 a session.
    assertThat(WeekReview.of(programme, 1, logs, SCOPE).next().stepped().dose())
        .isEqualTo(dose(40, 50, 24, 5));
    // The first week has a limit then too, and says so.
    logs.set(logs.size() - 1, Logs.done(START.minusDays(3), 60, 12, 120));
    Programme.WeekNow first =
        programme
            .weeksNow(
                People.adult(40, Activity.SOME),
                WeekReview.minutesDone(programme, 1, logs),
                Availability.FREE)
            .get(0);
    assertThat(first.limitMinutes()).contains(66);
    assertThat(first.findings()).extracting(Finding::code).contains("week-grows-too-fast");
  }

  /**
   * What they did before anything was prescribed is no training that the start has to grow from.
   */
  @Test
  void aWeekBeforeThePrescriptionHoldsNothingBack() {
    List<SessionLog> logs = List.of(Logs.done(START.minusDays(3), 20, 12, 120));
    assertThat(WeekReview.minutesBefore(PROGRAMME.plan(), logs)).isEmpty();
    assertThat(
            WeekReview.minutesBefore(
                programme(5, new ProgrammeGoal(60, 40, 6), false, 2).plan(), logs))
        .containsExactly(0, 20);
  }

  /** Friday of week 3 was the last one: 10, 17 and 31 days to the Mondays of weeks 5, 6 and 8. */
  @ParameterizedTest
  @CsvSource({
    "4, lay-off-on, HOLD, 22",
    "5, lay-off-cut, BACK, 15",
    "6, lay-off-cut, BACK, 15",
    "7, lay-off-new-start, BACK, 20",
  })
  void afterALayOffItGoesOnIsCutOrStartsAnew(
      int week, String code, ProgressionVote earned, int minutes) {
    Programme programme = programme(3, new ProgrammeGoal(60, 40, 3), false);
    List<SessionLog> logs = new ArrayList<>();
    for (int done = 1; done <= 3; done++) {
      logs.addAll(week(programme, done, 3, 12));
    }
    assertThat(programme.weeks().get(2).dose()).isEqualTo(dose(40, 50, 24, 3));
    LocalDate last = programme.ofWeek(3).get(2).date();
    assertThat(last).isEqualTo(START.plusDays(18));
    for (int missed = 4; missed <= week; missed++) {
      logs.addAll(week(programme, missed, 0, null));
    }
    WeekReview review = WeekReview.of(programme, week, logs, SCOPE);
    assertThat(review.next().stepped().because().code()).isEqualTo(code);
    assertThat(review.next().stepped().kind()).isEqualTo(Kind.RESUMED);
    assertThat(review.earned()).isEqualTo(earned);
    assertThat(review.next().stepped().dose().days()).isEqualTo(3);
    assertThat(review.next().stepped().dose().minutes())
        .isEqualTo(code.equals("lay-off-on") ? 24 : code.equals("lay-off-cut") ? 16 : minutes);
  }

  @ParameterizedTest
  @CsvSource({"13, SHORT", "14, CUT", "28, CUT", "29, NEW_START"})
  void twoWeeksCutAndMoreThanFourStartAnew(int days, LayOff.Length length) {
    assertThat(new LayOff(days, dose(40, 50, 20, 3)).length()).isEqualTo(length);
  }

  @Test
  void aNewStartIsNoHarderThanTheFirstOneAndGoesByPresentActivity() {
    Programme programme = programme(3, new ProgrammeGoal(60, 40, 3), false);
    List<SessionLog> logs = new ArrayList<>(week(programme, 1, 3, 12));
    for (int missed = 2; missed <= 6; missed++) {
      logs.addAll(week(programme, missed, 0, null));
    }
    assertThat(newStart(programme, logs, Activity.NONE)).isEqualTo(dose(40, 50, 15, 3));
    assertThat(newStart(programme, logs, Activity.HIGH)).isEqualTo(dose(40, 50, 20, 3));
  }

  private static Dose newStart(Programme programme, List<SessionLog> logs, Activity activity) {
    return WeekReview.of(programme, 6, logs, Scope.unscreened(People.adult(40, activity)))
        .next()
        .stepped()
        .dose();
  }

  /** Where nothing was ever done the start is not held to five minutes. */
  @Test
  void aStartThatWasNeverMadeCanStillBeMade() {
    WeekReview review = WeekReview.of(PROGRAMME, 1, week(PROGRAMME, 1, 0, null), SCOPE);
    assertThat(review.earned()).isEqualTo(ProgressionVote.BACK);
    assertThat(review.next().stepped().dose()).isEqualTo(dose(40, 50, 15, 5));
  }

  private static Dose dose(int low, int high, int minutes, int days) {
    return new Dose(new Percents(low, high), minutes, days, WorkType.STEADY);
  }

  private static Dose next(int done, int rpe) {
    return WeekReview.of(PROGRAMME, 1, week(PROGRAMME, 1, done, rpe), SCOPE)
        .next()
        .stepped()
        .dose();
  }

  @Test
  void beforeAnyStepUpAStepBackTakesFiveMinutes() {
    assertThat(next(5, 15)).isEqualTo(dose(40, 50, 15, 5));
    // 60 min were done: 66 at most.
    assertThat(next(3, 12)).isEqualTo(dose(40, 50, 13, 5));
  }

  private static Programme decide(
      Programme programme, int week, List<SessionLog> logs, Taken taken, String reason) {
    WeekReview review = WeekReview.of(programme, week, logs, SCOPE);
    return programme.replanFrom(
        WeekDecision.of(
            week + 1,
            taken,
            review.next().stepped(),
            review.because(),
            reason,
            Instant.parse("2026-06-08T08:00:00Z")),
        taken == Taken.REFUSED ? programme.unchanged(week, reason) : review.next(),
        WeekReview.minutesDone(programme, week, logs),
        session -> session.week() > week,
        START.plusWeeks(week),
        Availability.FREE,
        1 + programme.sessions().stream().mapToInt(PlannedSession::number).max().orElse(0));
  }

  @Test
  void aStepBackUndoesTheLastOneUpAndTheWeeksAfterGrowFromThere() {
    List<SessionLog> logs = week(PROGRAMME, 1, 5, 12);
    Programme second = decide(PROGRAMME, 1, logs, Taken.ACCEPTED, "");
    assertThat(second.weeks().get(1).dose()).isEqualTo(dose(40, 50, 22, 5));
    logs.addAll(week(second, 2, 2, 16));
    Programme third = decide(second, 2, logs, Taken.ACCEPTED, "");
    assertThat(third.weeks().get(2).kind()).isEqualTo(Kind.BACK);
    assertThat(third.weeks().get(2).dose()).isEqualTo(dose(40, 50, 20, 5));
    // The best of four is still the first week's 100.
    assertThat(third.weeks().get(3).dose()).isEqualTo(dose(40, 50, 22, 5));
    assertThat(third.decided(3)).isTrue();
    assertThat(third.decided(4)).isFalse();
    assertThat(third.decisions()).extracting(WeekDecision::week).containsExactly(2, 3);
    assertThat(third.weeks().subList(0, 2)).isEqualTo(second.weeks().subList(0, 2));
  }

  @Test
  void aRefusedStepKeepsTheWeekAndItsReason() {
    Programme kept =
        decide(PROGRAMME, 1, week(PROGRAMME, 1, 5, 12), Taken.REFUSED, "Back from a cold");
    assertThat(kept.weeks().get(1).dose()).isEqualTo(dose(40, 50, 20, 5));
    assertThat(kept.weeks().get(1).because().because()).contains("Back from a cold.");
    assertThat(kept.weeks().get(2).dose()).isEqualTo(dose(40, 50, 22, 5));
    assertThat(kept.decisions().get(0).reason()).isEqualTo("Back from a cold");
    assertThatThrownBy(() -> decide(PROGRAMME, 1, week(PROGRAMME, 1, 5, 12), Taken.REFUSED, "  "))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("reason");
  }

  @Test
  void aStepOfOnesOwnKeepsToWhatMayBeAsked() {
    Ceiling sixty = new Ceiling(60, "vigorous work is not allowed");
    assertThat(PROGRAMME.own(dose(45, 55, 25, 4), sixty, "Wants shorter weeks").usual())
        .isEqualTo(dose(45, 55, 25, 4));
    assertThatThrownBy(() -> PROGRAMME.own(dose(55, 65, 25, 4), sixty, "x"))
        .hasMessageContaining("highPercent");
    assertThatThrownBy(() -> PROGRAMME.own(dose(40, 50, 4, 8), sixty, "x"))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            faulty ->
                assertThat(faulty.faults())
                    .extracting(InvalidValueException.Fault::field)
                    .containsExactly("minutes", "days"));
  }

  @Test
  void aLighterWeekComesAllTheSameAndTheStepWaits() {
    Programme programme = programme(true);
    List<SessionLog> logs = new ArrayList<>();
    for (int week = 1; week <= 3; week++) {
      logs.addAll(week(programme, week, 5, 12));
    }
    WeekReview review = WeekReview.of(programme, 3, logs, SCOPE);
    assertThat(review.earned()).isEqualTo(ProgressionVote.STEP);
    assertThat(review.next().stepped().kind()).isEqualTo(Kind.LIGHTER);
    assertThat(review.next().usual()).isEqualTo(programme.weeks().get(2).dose());
  }

  @Test
  void theLatestWeekThatIsOverIsToBeDecidedOnce() {
    List<SessionLog> none = List.of();
    assertThat(WeekReview.due(PROGRAMME, none, START.plusDays(6))).isEmpty();
    assertThat(WeekReview.due(PROGRAMME, none, START.plusDays(7))).contains(1);
    assertThat(WeekReview.due(PROGRAMME, none, START.plusDays(20))).contains(2);
    // All of it logged: before it is over.
    List<SessionLog> all = week(PROGRAMME, 1, 5, 12);
    assertThat(WeekReview.due(PROGRAMME, all, START.plusDays(6))).contains(1);
    Programme decided = decide(PROGRAMME, 1, all, Taken.ACCEPTED, "");
    assertThat(WeekReview.due(decided, all, START.plusDays(7))).isEmpty();
    assertThat(WeekReview.due(decided, all, START.plusDays(14))).contains(2);
    // Nothing comes after the last week.
    assertThat(WeekReview.due(PROGRAMME, none, START.plusWeeks(7))).contains(7);
    assertThat(WeekReview.due(PROGRAMME, none, START.plusWeeks(8))).isEmpty();
    assertThat(WeekReview.due(PROGRAMME, none, START.minusDays(1))).isEmpty();
  }

  @Test
  void theWeeksAheadAreLaidOutAnewAndKeepTheirNumbers() {
    Programme moved = PROGRAMME.move(PROGRAMME.ofWeek(4).get(0).number(), START.plusDays(25));
    Programme after = decide(moved, 1, week(moved, 1, 5, 12), Taken.ACCEPTED, "");
    // As many days in every week: nothing moves, only the minutes change.
    assertThat(after.sessions()).isEqualTo(moved.sessions());
    Programme fewer =
        moved.replanFrom(
            WeekDecision.of(
                2,
                Taken.CHANGED,
                moved.weeks().get(1),
                List.of(),
                "Fewer days",
                Instant.parse("2026-06-08T08:00:00Z")),
            moved.own(dose(40, 50, 20, 3), Ceiling.FOR_ANYONE, "Fewer days"),
            MinutesDone.of(List.of(100)),
            session -> session.week() > 1,
            START.plusWeeks(1),
            Availability.FREE,
            100);
    assertThat(fewer.ofWeek(1)).isEqualTo(moved.ofWeek(1));
    assertThat(fewer.ofWeek(2)).extracting(PlannedSession::number).containsExactly(6, 7, 8);
    assertThat(fewer.ofWeek(2)).allMatch(session -> session.date().equals(session.laidOn()));
    // What was moved by hand stays, of a week that has fewer.
    assertThat(fewer.ofWeek(4)).contains(moved.ofWeek(4).get(0)).hasSize(3);
    Set<Integer> numbers =
        Set.copyOf(fewer.sessions().stream().map(PlannedSession::number).toList());
    assertThat(numbers).hasSize(fewer.sessions().size());
  }

  @Test
  void aWeekThatHasBegunGetsNoSessionBeforeToday() {
    LocalDate thursday = START.plusDays(10);
    Programme after =
        PROGRAMME.replanFrom(
            WeekDecision.of(
                2,
                Taken.CHANGED,
                PROGRAMME.weeks().get(1),
                List.of(),
                "More days",
                Instant.parse("2026-06-11T08:00:00Z")),
            PROGRAMME.own(dose(40, 50, 18, 6), Ceiling.FOR_ANYONE, "More days"),
            MinutesDone.of(List.of(100)),
            session -> !session.date().isBefore(thursday),
            thursday,
            Availability.FREE,
            100);
    List<PlannedSession> week = after.ofWeek(2);
    assertThat(week).hasSize(6);
    assertThat(week)
        .filteredOn(session -> session.number() >= 100)
        .singleElement()
        .satisfies(added -> assertThat(added.date()).isAfterOrEqualTo(thursday));
    assertThat(week.stream().map(PlannedSession::date).distinct()).hasSize(6);
    assertThat(Optional.of(after.ofWeek(3).size())).contains(6);
  }
}
