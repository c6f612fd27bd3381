package app.korvel.server.programme;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.programme.Availability;
import app.korvel.core.programme.Dose;
import app.korvel.core.programme.MinutesDone;
import app.korvel.core.programme.Pace;
import app.korvel.core.programme.Plan;
import app.korvel.core.programme.PlannedSession;
import app.korvel.core.programme.Programme;
import app.korvel.core.programme.Programme.WeekNow;
import app.korvel.core.programme.Progression;
import app.korvel.core.programme.Progression.WeekPlan;
import app.korvel.core.programme.WeekDecision;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Person;
import app.korvel.core.session.WeekReview;
import app.korvel.core.zone.Level;
import app.korvel.server.outline.OutlineViews.OutlineView;
import app.korvel.server.web.Within;
import app.korvel.studio.programme.ChangeProgramme;
import app.korvel.studio.programme.DecideWeek;
import app.korvel.studio.programme.Programmes;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Programmes as they are received and sent. */
final class ProgrammeViews {
  private ProgrammeViews() {}

  /** What the instructor decides of a programme; the prescription says the rest. */
  record PlanRequest(
      LocalDate startsOn,
      LocalDate endsOn,
      List<DayOfWeek> weekdays,
      Integer goalMinutes,
      Integer goalDays,
      @Nullable @Within(Limit.LIGHT_WEEKS) Integer lightWeeks,
      @Nullable LocalTime time) {
    Programmes.Wanted wanted() {
      return new Programmes.Wanted(
          startsOn,
          endsOn,
          Set.copyOf(weekdays),
          goalMinutes,
          goalDays,
          Optional.ofNullable(lightWeeks),
          Optional.ofNullable(time));
    }
  }

  /**
   * What is decided of a week. Without a decision of the instructor's own, only {@code taken} and
   * the reason count.
   */
  record WeekDecisionRequest(
      Integer version,
      WeekDecision.Taken taken,
      @Nullable String reason,
      @Nullable Integer lowPercent,
      @Nullable Integer highPercent,
      @Nullable Integer minutes,
      @Nullable Integer days) {
    DecideWeek.Decided decided() {
      return new DecideWeek.Decided(
          taken,
          reason == null ? "" : reason,
          Optional.ofNullable(lowPercent),
          Optional.ofNullable(highPercent),
          Optional.ofNullable(minutes),
          Optional.ofNullable(days));
    }
  }

  record ProgrammeRequest(Integer version, PlanRequest plan) {}

  /** Without a time it keeps the one it has, unless it is said to have none. */
  record SessionDateRequest(
      Integer version, LocalDate date, @Nullable LocalTime time, @Nullable Boolean untimed) {
    ChangeProgramme.Change change(int number) {
      boolean keepsTime = time == null && !Boolean.TRUE.equals(untimed);
      return (head, programme) ->
          keepsTime
              ? programme.move(number, date)
              : programme.move(number, date, Optional.ofNullable(time));
    }
  }

  record SessionSkipRequest(Integer version, Boolean skipped) {}

  record SessionModeRequest(Integer version, Mode mode) {}

  /** {@code outline} is an id of the library; null for the usual one of the week. */
  record SessionOutlineRequest(Integer version, @Nullable String outline) {}

  /** {@code to} is the version as which it is to stand again. */
  record TakeBackRequest(Integer version, Integer to) {}

  /**
   * What a programme is laid out from.
   *
   * @param highPercent the upper edge its intensity grows to, percent of reserve
   * @param staysLight whether it is a cautious start, that stays light for weeks
   * @param careful whether weeks grow by a tenth at most all along
   */
  record PlanView(
      LocalDate startsOn,
      LocalDate endsOn,
      int weeks,
      List<DayOfWeek> weekdays,
      int lowPercent,
      int highPercentFirst,
      int minutesFirst,
      int daysFirst,
      int highPercent,
      int goalMinutes,
      int goalDays,
      int lightWeeks,
      boolean staysLight,
      boolean careful,
      WorkType type,
      Mode mode,
      @Nullable LocalTime time) {

    static PlanView of(Plan plan, Person person) {
      return new PlanView(
          plan.startsOn(),
          plan.endsOn(),
          plan.weeks(),
          List.copyOf(plan.weekdays()),
          plan.first().lowPercent(),
          plan.first().highPercent(),
          plan.first().minutes(),
          plan.first().days(),
          plan.aims().highPercent(),
          plan.aims().minutes(),
          plan.aims().days(),
          plan.pace().lightWeeks(),
          Pace.staysLight(person, plan.first()),
          plan.pace().careful(),
          plan.first().type(),
          plan.first().mode(),
          plan.time().orElse(null));
    }
  }

  /**
   * A week as it was laid out, and as it stands.
   *
   * @param minutesASession as laid out
   * @param level the hardest its range touches, 1 to 5
   * @param minutes of work that are left in it
   * @param limitMinutes the most it may have; null for the first
   * @param findings the rules it breaks, and what is to be known
   */
  record ProgrammeWeekView(
      int number,
      LocalDate startsOn,
      int lowPercent,
      int highPercent,
      int minutesASession,
      int days,
      Progression.Kind kind,
      Finding because,
      int level,
      int minutes,
      @Nullable Integer limitMinutes,
      int easyPercent,
      int lightMinutes,
      int moderateMinutes,
      int vigorousMinutes,
      int moderateEquivalentMinutes,
      List<Finding> findings) {

    static ProgrammeWeekView of(WeekPlan stepped, WeekNow now) {
      Dose dose = stepped.dose();
      return new ProgrammeWeekView(
          now.number(),
          now.startsOn(),
          dose.range().low(),
          dose.range().high(),
          dose.minutes(),
          dose.days(),
          stepped.kind(),
          stepped.because(),
          Level.atPercent(BigDecimal.valueOf(Math.max(dose.range().low(), dose.range().high() - 1)))
              .number(),
          now.minutes(),
          now.limitMinutes().orElse(null),
          now.easyPercent(),
          now.against().lightMinutes(),
          now.against().moderateMinutes(),
          now.against().vigorousMinutes(),
          now.against().moderateEquivalentMinutes(),
          now.findings());
    }
  }

  /**
   * A session.
   *
   * @param laidOn the day it was laid out on
   * @param ownOutline name of the outline it was given; null where it has its week's
   * @param easier whether it is one of the easier days of a vigorous week
   * @param outline which of the outlines, from 0
   */
  record PlannedSessionView(
      int number,
      int week,
      LocalDate date,
      LocalDate laidOn,
      @Nullable LocalTime time,
      Mode mode,
      boolean skipped,
      @Nullable String ownOutline,
      boolean easier,
      int outline) {}

  /**
   * What a week asks for.
   *
   * @param minutes of work in a session
   */
  record DoseView(int lowPercent, int highPercent, int minutes, int days) {
    static DoseView of(Dose dose) {
      return new DoseView(dose.range().low(), dose.range().high(), dose.minutes(), dose.days());
    }
  }

  /**
   * What the next week is to be, from what was done.
   *
   * @param week the one that was looked at
   * @param proposed what is proposed for the one after it
   * @param before what the week that was looked at asked for
   */
  record ReviewView(
      int week,
      int planned,
      int done,
      int open,
      Progression.ProgressionVote earned,
      Progression.Kind kind,
      DoseView before,
      DoseView proposed,
      Finding step,
      List<Finding> because) {

    static ReviewView of(WeekReview review, Programme programme) {
      WeekPlan next = review.next().stepped();
      return new ReviewView(
          review.week(),
          review.planned(),
          review.done(),
          review.open(),
          review.earned(),
          next.kind(),
          DoseView.of(programme.weeks().get(review.week() - 1).dose()),
          DoseView.of(next.dose()),
          next.because(),
          review.because());
    }
  }

  /**
   * What was decided of a week, and of what.
   *
   * @param changed that the log it stands on has changed since; null where it has not
   */
  record WeekDecisionView(
      int week,
      WeekDecision.Taken taken,
      DoseView proposed,
      String proposal,
      String reason,
      List<Finding> because,
      Instant decidedAt,
      @Nullable Finding changed) {

    static WeekDecisionView of(WeekDecision decision, Optional<Finding> changed) {
      return new WeekDecisionView(
          decision.week(),
          decision.taken(),
          DoseView.of(decision.proposed().dose()),
          decision.proposed().because().message(),
          decision.reason(),
          decision.because(),
          decision.decidedAt(),
          changed.orElse(null));
    }
  }

  /**
   * Weeks, sessions and their steps.
   *
   * @param version null where it is not saved
   * @param prescriptionVersion what it was laid out from; null without a client
   * @param outlines each once; a session says which is its own
   * @param findings what holds for all of it
   */
  record ProgrammeView(
      @Nullable Integer version,
      @Nullable Integer prescriptionVersion,
      PlanView plan,
      List<ProgrammeWeekView> weeks,
      List<PlannedSessionView> sessions,
      List<OutlineView> outlines,
      int markMinutes,
      @Nullable Integer upperMinutes,
      List<WeekDecisionView> decisions,
      List<Finding> findings) {

    static ProgrammeView of(
        Programme programme,
        @Nullable Integer version,
        @Nullable Integer prescriptionVersion,
        Person person,
        Function<Mode, ExertionLimits> runners,
        Function<WeekDecision, Optional<Finding>> changed,
        MinutesDone done,
        Availability agenda,
        List<Finding> findings) {
      Map<OutlineInMode, Integer> places = new HashMap<>();
      List<OutlineView> outlines = new ArrayList<>();
      Map<Mode, ExertionLimits> known = new HashMap<>();
      List<PlannedSessionView> sessions = new ArrayList<>();
      for (PlannedSession session : programme.sessions()) {
        OutlineInMode what = new OutlineInMode(programme.outline(session), session.mode());
        int place =
            places.computeIfAbsent(
                what,
                key -> {
                  ExertionLimits runner = known.computeIfAbsent(key.mode, runners);
                  // What may not be asked of them is given no rate.
                  boolean keeps = key.outline.broken(runner.bounds()).isEmpty();
                  outlines.add(OutlineView.of(key.outline, keeps ? runner : runner.withoutRates()));
                  return outlines.size() - 1;
                });
        sessions.add(
            new PlannedSessionView(
                session.number(),
                session.week(),
                session.date(),
                session.laidOn(),
                session.time().orElse(null),
                session.mode(),
                session.skipped(),
                session.own().map(Named::name).orElse(null),
                session.easier(),
                place));
      }
      List<WeekNow> now = programme.weeksNow(person, done, agenda);
      List<ProgrammeWeekView> weeks = new ArrayList<>();
      for (int i = 0; i < now.size(); i++) {
        weeks.add(ProgrammeWeekView.of(programme.weeks().get(i), now.get(i)));
      }
      return new ProgrammeView(
          version,
          prescriptionVersion,
          PlanView.of(programme.plan(), person),
          weeks,
          sessions,
          outlines,
          now.get(0).against().markMinutes(),
          now.get(0).against().upperMinutes().isPresent()
              ? now.get(0).against().upperMinutes().getAsInt()
              : null,
          programme.decisions().stream()
              .map(decision -> WeekDecisionView.of(decision, changed.apply(decision)))
              .toList(),
          findings);
    }

    private record OutlineInMode(Outline outline, Mode mode) {}
  }

  /**
   * A client's programme, and what another could be laid out from.
   *
   * @param why why nothing can be laid out; empty where it can
   * @param proposal null where nothing can be
   * @param busyDays days of theirs that are left out of the proposal: they are mostly taken
   * @param review what the next week is to be, where that is to be decided
   */
  record ProgrammeSheet(
      List<Finding> why,
      @Nullable PlanView proposal,
      List<DayOfWeek> busyDays,
      @Nullable ProgrammeView programme,
      @Nullable ReviewView review) {}

  /** A programme with no client: the same facts, as far as they are needed. */
  record ProgrammeTrialRequest(
      @Within(Limit.AGE) Integer age,
      Activity activity,
      Goal goal,
      @Nullable Approach approach,
      @Nullable Boolean heartCondition,
      @Nullable Boolean heartFailure,
      @Nullable Boolean betaBlocker,
      @Nullable @Within(Limit.RESTING) Integer restingBpm,
      @Nullable @Within(Limit.MAXIMUM) Integer maximumBpm,
      @Nullable @Within(Limit.CAP) Integer capBpm,
      @Nullable Mode mode,
      @Nullable WorkType type,
      @Nullable Integer lowPercent,
      @Nullable Integer highPercent,
      @Nullable Integer minutes,
      @Nullable Integer daysAWeek,
      LocalDate startsOn,
      LocalDate endsOn,
      List<DayOfWeek> weekdays,
      @Nullable Integer goalMinutes,
      @Nullable Integer goalDays,
      @Nullable @Within(Limit.LIGHT_WEEKS) Integer lightWeeks,
      @Nullable @Within(Limit.WEEKS_BEFORE) Integer weeksBefore) {}
}
