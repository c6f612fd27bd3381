package app.korvel.core.programme;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Texts;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Outlines;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.OtherDays;
import app.korvel.core.prescription.PrescriptionFinding;
import app.korvel.core.prescription.Start;
import app.korvel.core.prescription.Week;
import app.korvel.core.programme.Progression.Kind;
import app.korvel.core.programme.Progression.ProgressionVote;
import app.korvel.core.programme.Progression.Proposed;
import app.korvel.core.programme.Progression.WeekPlan;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Scope;
import app.korvel.core.zone.Reserve.Percents;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * Weeks of training laid out by the rules of progression, changed by hand, and decided week by week
 * from what was done.
 *
 * @param plan what it was laid out from
 * @param weeks what each week asks for, and why
 * @param sessions in the order in which they were laid out
 * @param decisions what was decided of weeks, in the order of deciding
 */
public record Programme(
    Plan plan, List<WeekPlan> weeks, List<PlannedSession> sessions, List<WeekDecision> decisions) {

  private static final int TO_STEP = Threshold.SESSIONS_TO_STEP.whole();
  private static final int LIGHTER_TO = Threshold.LIGHTER_TO.whole();
  private static final int EASY_MARK = Threshold.EASY_MARK.whole();
  private static final int EASY_MARK_FROM = Threshold.EASY_MARK_FROM.whole();

  /**
   * A week as it stands after changes.
   *
   * @param number from 1
   * @param startsOn its first day
   * @param minutes of work that are left in it
   * @param limitMinutes the most it may have; empty where nothing was done before it
   * @param easyPercent the share of its work where whole sentences are spoken
   * @param against its minutes against the guideline
   * @param findings which rules it breaks
   */
  public record WeekNow(
      int number,
      LocalDate startsOn,
      int minutes,
      Optional<Integer> limitMinutes,
      int easyPercent,
      Week against,
      List<Finding> findings) {
    public WeekNow {
      findings = findings.stream().distinct().toList();
    }
  }

  public Programme {
    weeks = List.copyOf(weeks);
    sessions = List.copyOf(sessions);
    decisions = List.copyOf(decisions);
  }

  /**
   * Lays a programme out, its sessions numbered from 1.
   *
   * @throws InvalidValueException as {@link Plan#checked}
   */
  public static Programme of(Plan plan) {
    return of(plan, Availability.FREE, 1, MinutesDone.NONE);
  }

  /**
   * Lays a programme out.
   *
   * @param agenda when they are free; a day that is taken is laid on only where there is no other
   * @param firstNumber of its sessions
   * @param done in the weeks before it
   * @throws InvalidValueException as {@link Plan#checked}
   */
  public static Programme of(Plan plan, Availability agenda, int firstNumber, MinutesDone done) {
    plan.checked();
    List<WeekPlan> weeks =
        Progression.of(
            Dose.of(plan.first()), plan.aims(), plan.pace(), plan.weeks(), done.before());
    Layout layout = new Layout(plan, weeks, agenda, firstNumber);
    for (int week = 1; week <= weeks.size(); week++) {
      layout.layOut(week, List.of());
    }
    return new Programme(plan, weeks, layout.sessions(), List.of());
  }

  /**
   * What the week after one is to be, from what was done.
   *
   * @param week that was looked at, from 1 to the one before the last
   * @param earned what it earned
   * @param done the minutes done in every week up to it
   */
  public Proposed proposed(int week, ProgressionVote earned, MinutesDone done) {
    return Progression.propose(
        earned, usualDoses(week), plan.aims(), plan.pace(), week + 1, done.upTo(week));
  }

  /**
   * What the week after one is to be, after weeks without a session.
   *
   * @param week that was looked at, without a session
   * @param layOff how long it has been
   * @param scope what may be asked of them today, and how active they are
   * @param done the minutes done in every week up to it
   */
  public Proposed resumed(int week, LayOff layOff, Scope scope, MinutesDone done) {
    return Progression.resumed(layOff, newStart(scope), plan.pace(), week + 1, done.upTo(week));
  }

  /** A start by present activity; never more than the programme began with. */
  private Dose newStart(Scope scope) {
    Fitt first = plan.first();
    Fitt start =
        Start.of(
                scope,
                plan.weekdays().size(),
                first.goal(),
                Optional.of(first.approach()),
                first.mode())
            .parts();
    Percents range = start.highPercent() < first.highPercent() ? start.range() : first.range();
    return new Dose(
        range,
        Math.max(Math.min(start.minutes(), first.minutes()), first.type().fewestMinutes()),
        Math.min(start.days(), first.days()),
        first.type());
  }

  /** The week after one as the instructor refuses to change it: the same again. */
  public Proposed unchanged(int week, String reason) {
    List<Dose> usual = usualDoses(week);
    Dose last = usual.get(usual.size() - 1);
    return new Proposed(
        new WeekPlan(last, Kind.HELD, ProgrammeFinding.WEEK_REFUSED.of(Texts.sentence(reason))),
        last);
  }

  /**
   * The week after one as the instructor has it instead.
   *
   * @param ceiling how hard they may be asked to work today
   * @throws InvalidValueException when it cannot be asked of them, or there are not so many days
   */
  public Proposed own(Dose dose, Ceiling ceiling, String reason) {
    List<Fault> faults = new ArrayList<>();
    Limit.INTENSITY.check(faults, "lowPercent", dose.range().low());
    Limit.INTENSITY.check(faults, "highPercent", dose.range().high());
    Limit.SESSION_MINUTES.check(faults, "minutes", dose.minutes());
    Limit.DAYS_A_WEEK.check(faults, "days", dose.days());
    if (faults.isEmpty()) {
      Fitt.checkTogether(faults, dose.range(), dose.minutes(), dose.type(), ceiling);
      if (dose.days() > plan.weekdays().size()) {
        faults.add(
            new Fault(
                "days",
                dose.days() + " days of " + plan.weekdays().size() + " they have",
                "1 to " + plan.weekdays().size() + " days a week"));
      }
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return new Proposed(
        new WeekPlan(
            dose,
            Kind.OWN,
            ProgrammeFinding.WEEK_OWN.of(
                dose.range().low() + "–" + dose.range().high(),
                dose.minutes(),
                dose.days(),
                Texts.sentence(reason))),
        dose);
  }

  /** The doses of every week up to that one that was no lighter one. */
  private List<Dose> usualDoses(int week) {
    return weeks.subList(0, week).stream()
        .filter(stepped -> stepped.kind() != Kind.LIGHTER)
        .map(WeekPlan::dose)
        .toList();
  }

  /**
   * Lays the weeks from a decided one on out anew. What was changed by hand stays where the number
   * of days does.
   *
   * @param decision what was decided
   * @param decided what that week is to be
   * @param done the minutes done in every week up to the one before it
   * @param open whether a session may still be moved: it is neither past nor logged
   * @param from nothing is added before that day
   * @param agenda when they are free
   * @param firstNumber of the sessions that are added
   */
  public Programme replanFrom(
      WeekDecision decision,
      Proposed decided,
      MinutesDone done,
      Predicate<PlannedSession> open,
      LocalDate from,
      Availability agenda,
      int firstNumber) {
    int week = decision.week();
    List<WeekPlan> laid = new ArrayList<>(weeks.subList(0, week - 1));
    laid.addAll(
        Progression.replanFrom(
            decided, plan.aims(), plan.pace(), week, weeks.size(), done.upTo(week - 1)));
    Layout layout = new Layout(plan, laid, agenda, firstNumber);
    sessions.stream().filter(session -> session.week() < week).forEach(layout::keep);
    for (int next = week; next <= laid.size(); next++) {
      layout.layOutAnew(next, ofWeek(next), open, from);
    }
    List<WeekDecision> all = new ArrayList<>(decisions);
    all.add(decision);
    return new Programme(plan, laid, layout.sessions(), all);
  }

  /** The sessions that have the dose of a week, wherever they have been moved. */
  public List<PlannedSession> ofWeek(int week) {
    return sessions.stream().filter(session -> session.week() == week).toList();
  }

  /** Whether what a week is to be has been decided from what was done before it. */
  public boolean decided(int week) {
    return decisions.stream().anyMatch(decision -> decision.week() == week);
  }

  /**
   * The session of that number.
   *
   * @throws InvalidValueException when there is none
   */
  public PlannedSession session(int number) {
    return sessions.stream()
        .filter(session -> session.number() == number)
        .findFirst()
        .orElseThrow(
            () ->
                InvalidValueException.of(
                    "session",
                    number + " is not a session of it",
                    sessions.get(0).number()
                        + " to "
                        + sessions.get(sessions.size() - 1).number()));
  }

  private Programme change(int number, UnaryOperator<PlannedSession> how) {
    PlannedSession old = session(number);
    return new Programme(
        plan,
        weeks,
        sessions.stream().map(each -> each.equals(old) ? how.apply(old) : each).toList(),
        decisions);
  }

  /**
   * Puts a session on another day.
   *
   * @throws InvalidValueException when the day lies outside the programme, or there is no such
   *     session
   */
  public Programme move(int number, LocalDate to) {
    return move(number, to, session(number).time());
  }

  /**
   * Puts a session on another day, or at another time.
   *
   * @param time when it begins; empty where that is not fixed
   * @throws InvalidValueException as {@link #move(int, LocalDate)}
   */
  public Programme move(int number, LocalDate to, Optional<LocalTime> time) {
    if (to.isBefore(plan.startsOn()) || to.isAfter(plan.endsOn())) {
      throw InvalidValueException.of(
          "to",
          Days.of(to) + " lies outside the programme",
          Days.of(plan.startsOn()) + " to " + Days.of(plan.endsOn()));
    }
    return change(number, session -> session.on(to, time));
  }

  /**
   * Leaves a session out, or takes it in again.
   *
   * @throws InvalidValueException when there is no such session
   */
  public Programme skip(int number, boolean skipped) {
    return change(number, session -> session.skipping(skipped));
  }

  /**
   * Does a session in another mode.
   *
   * @throws InvalidValueException when that mode is left out for the client, or there is no such
   *     session
   */
  public Programme swap(int number, Mode mode, Person person) {
    Fitt.checkMode(mode, person);
    return change(number, session -> session.by(mode));
  }

  /**
   * Gives a session an outline of its own, made to fit; or the usual one of its week again.
   *
   * @throws InvalidValueException when there is no such session
   * @throws RefusedException when the outline breaks a rule that fitting does not mend
   */
  public Programme use(int number, Optional<Named> outline) {
    Optional<Named> fitted =
        outline.map(
            named ->
                new Named(
                    named.id(), named.name(), named.note(), named.outline().fitted(plan.bounds())));
    fitted.ifPresent(named -> Outlines.refuse(named.outline().broken(plan.bounds())));
    return change(number, session -> session.with(fitted));
  }

  /** What is done in a session. */
  public Outline outline(PlannedSession session) {
    return plan.outline(session, weeks.get(session.week() - 1).dose());
  }

  /** The intensity of a session's work, from its easiest step to its hardest, % of reserve. */
  public Percents range(PlannedSession session) {
    if (session.own().isEmpty()) {
      return session.easier() ? OtherDays.RANGE : weeks.get(session.week() - 1).dose().range();
    }
    List<Percents> worked =
        outline(session)
            .steps()
            .filter(step -> step.kind().exercise())
            .flatMap(step -> step.range().stream())
            .toList();
    return new Percents(
        worked.stream().mapToInt(Percents::low).min().orElseThrow(),
        worked.stream().mapToInt(Percents::high).max().orElseThrow());
  }

  /**
   * Why it may not be gone on with as it is: what may be asked of someone can have become less
   * since it was laid out.
   *
   * @param bounds what their sessions keep to today
   * @param today from this day on
   * @return nothing where every session that is left keeps to them
   */
  public Optional<Finding> outOfBounds(Bounds bounds, LocalDate today) {
    return sessions.stream()
        .filter(session -> !session.skipped() && !session.date().isBefore(today))
        .sorted(Comparator.comparing(PlannedSession::date))
        .flatMap(
            session ->
                outline(session).broken(bounds).stream()
                    .limit(1)
                    .map(
                        broken ->
                            ProgrammeFinding.PROGRAMME_OUT_OF_BOUNDS.of(
                                Days.of(session.date()), broken.finding().message())))
        .findFirst();
  }

  /** The sessions of a week that are left, by the day they are on. */
  private List<PlannedSession> left(int week) {
    return sessions.stream()
        .filter(session -> !session.skipped() && plan.weekOf(session.date()) == week)
        .toList();
  }

  /** Every week as it stands, as if each were done, with the rules that it breaks. */
  public List<WeekNow> weeksNow(Person person) {
    return weeksNow(person, MinutesDone.NONE, Availability.FREE);
  }

  /**
   * Every week as it stands, with the rules that it breaks.
   *
   * @param done the minutes done before it, and in every week that is over
   * @param agenda when they are free
   */
  public List<WeekNow> weeksNow(Person person, MinutesDone done, Availability agenda) {
    List<WeekNow> now = new ArrayList<>();
    List<Integer> totals = new ArrayList<>(done.before());
    int usual = 0;
    for (int week = 1; week <= weeks.size(); week++) {
      WeekPlan stepped = weeks.get(week - 1);
      List<PlannedSession> left = left(week);
      List<Outline> outlines = left.stream().map(this::outline).toList();
      int seconds = outlines.stream().mapToInt(Outline::workSeconds).sum();
      int minutes = seconds / 60;
      int easy =
          outlines.stream().mapToInt(each -> each.easyPercent() * each.workSeconds()).sum()
              / Math.max(1, seconds);
      List<Finding> findings = new ArrayList<>();
      Optional<Integer> limit =
          Pace.best(totals) == 0 ? Optional.empty() : Optional.of(plan.pace().limit(week, totals));
      if (limit.isPresent() && seconds > 60 * limit.get()) {
        findings.add(
            ProgrammeFinding.WEEK_GROWS_TOO_FAST.of(
                week,
                (seconds + 59) / 60,
                limit.get(),
                Pace.best(totals),
                plan.pace().growthPercent(week)));
      }
      if (stepped.kind() == Kind.LIGHTER && 100 * minutes > LIGHTER_TO * usual) {
        findings.add(ProgrammeFinding.LIGHTER_WEEK_FULL.of(week, minutes, usual));
      }
      addUnearned(findings, week);
      addVigorous(findings, week, left);
      addSessions(findings, left, agenda);
      addFew(findings, week, left.size());
      if (minutes >= EASY_MARK_FROM && easy < EASY_MARK) {
        findings.add(ProgrammeFinding.FEW_EASY_MINUTES.of(easy, week));
      }
      now.add(
          new WeekNow(
              week,
              plan.startsOn().plusWeeks(week - 1L),
              minutes,
              limit,
              easy,
              Week.of(outlines, stepped.dose().range().asks(), person),
              findings));
      totals.add(week <= done.weeks().size() ? done.weeks().get(week - 1) : minutes);
      usual = stepped.kind() == Kind.LIGHTER ? usual : stepped.dose().total();
    }
    return now;
  }

  /** Of four days or more at most three are vigorous, where care is taken never two in a row. */
  private void addVigorous(List<Finding> findings, int week, List<PlannedSession> left) {
    if (left.size() < Threshold.VIGOROUS_DAYS_FROM.whole()) {
      return;
    }
    Set<LocalDate> vigorous = vigorousDays(left);
    if (vigorous.size() > Threshold.VIGOROUS_DAYS.whole()) {
      findings.add(ProgrammeFinding.VIGOROUS_DAYS_MANY.of(week, vigorous.size()));
    }
    if (plan.pace().carefulIn(week)) {
      Set<LocalDate> before = week == 1 ? Set.of() : vigorousDays(left(week - 1));
      vigorous.stream()
          .sorted()
          .filter(day -> vigorous.contains(day.minusDays(1)) || before.contains(day.minusDays(1)))
          .findFirst()
          .ifPresent(day -> findings.add(ProgrammeFinding.VIGOROUS_IN_A_ROW.of(day(day))));
    }
  }

  private Set<LocalDate> vigorousDays(List<PlannedSession> sessions) {
    return sessions.stream()
        .filter(session -> outline(session).asksVigorous())
        .map(PlannedSession::date)
        .collect(Collectors.toSet());
  }

  /** A step up is earned by the week before it, of which four fifths are done. */
  private void addUnearned(List<Finding> findings, int week) {
    if (!weeks.get(week - 1).kind().stepsUp() || decided(week)) {
      return;
    }
    List<PlannedSession> before = ofWeek(week - 1);
    long left = before.stream().filter(session -> !session.skipped()).count();
    if (100 * left < (long) TO_STEP * before.size()) {
      findings.add(ProgrammeFinding.STEP_NOT_EARNED.of(week, left, before.size()));
    }
  }

  private void addSessions(List<Finding> findings, List<PlannedSession> left, Availability agenda) {
    Set<LocalDate> seen = new HashSet<>();
    for (PlannedSession session : left) {
      LocalDate date = session.date();
      if (!plan.weekdays().contains(date.getDayOfWeek())) {
        findings.add(ProgrammeFinding.NOT_THEIR_DAY.of(day(date), dayNames()));
      }
      if (session.mode() != plan.first().mode()) {
        findings.add(
            ProgrammeFinding.MODE_SWAPPED.of(
                session.mode().displayName(), plan.first().mode().displayName()));
      }
      if (!agenda.free(date, session.time(), outline(session).seconds() / 60)) {
        findings.add(ProgrammeFinding.SESSION_BUSY.of(day(date), agenda.words(date)));
      }
      if (!seen.add(date)) {
        findings.add(ProgrammeFinding.TWO_IN_A_DAY.of(day(date)));
      }
    }
  }

  private void addFew(List<Finding> findings, int week, int left) {
    boolean whole = !plan.startsOn().plusWeeks(week).minusDays(1).isAfter(plan.endsOn());
    if (!whole) {
      return;
    }
    if (left == 0) {
      findings.add(ProgrammeFinding.WEEK_EMPTY.of(week));
    } else if (left == 1) {
      findings.add(PrescriptionFinding.ONCE_A_WEEK.of());
    }
  }

  private static String day(LocalDate date) {
    return name(date.getDayOfWeek()) + ", " + Days.of(date);
  }

  private static String name(DayOfWeek day) {
    return day.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
  }

  private String dayNames() {
    return plan.weekdays().stream().map(Programme::name).collect(Collectors.joining(", "));
  }
}
