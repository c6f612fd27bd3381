package app.korvel.core.programme;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Outlines;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.core.prescription.Parts;
import app.korvel.core.prescription.Week;
import app.korvel.core.programme.Progression.Kind;
import app.korvel.core.programme.Progression.Stepped;
import app.korvel.core.screening.Person;
import app.korvel.core.zone.GuidelineClass;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * Weeks of training laid out by the rules of progression, and changed by hand.
 *
 * @param plan what it was laid out from
 * @param weeks what each week asks for, and why
 * @param sessions in the order in which they were laid out
 */
public record Programme(Plan plan, List<Stepped> weeks, List<PlannedSession> sessions) {

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
   * @param limitMinutes the most it may have; empty for the first week
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
  }

  /**
   * Lays a programme out.
   *
   * @throws InvalidValueException as {@link Plan#checked}
   */
  public static Programme of(Plan plan) {
    plan.checked();
    List<Stepped> weeks =
        Progression.of(Dose.of(plan.first()), plan.aims(), plan.pace(), plan.weeks());
    Map<Integer, List<DayOfWeek>> days = new HashMap<>();
    List<PlannedSession> sessions = new ArrayList<>();
    for (int week = 1; week <= weeks.size(); week++) {
      List<DayOfWeek> trained =
          days.computeIfAbsent(
              weeks.get(week - 1).dose().days(),
              count -> TrainingDays.spread(plan.weekdays(), count));
      LocalDate first = plan.startsOn().plusWeeks(week - 1L);
      for (int day = 0; day < 7; day++) {
        LocalDate date = first.plusDays(day);
        if (trained.contains(date.getDayOfWeek()) && !date.isAfter(plan.endsOn())) {
          sessions.add(
              new PlannedSession(
                  sessions.size() + 1,
                  week,
                  date,
                  date,
                  plan.first().mode(),
                  false,
                  Optional.empty()));
        }
      }
    }
    return new Programme(plan, weeks, sessions);
  }

  /**
   * The session of that number.
   *
   * @throws InvalidValueException when there is none
   */
  public PlannedSession session(int number) {
    if (number < 1 || number > sessions.size()) {
      throw InvalidValueException.of(
          "session", number + " is not a session of it", "1 to " + sessions.size());
    }
    return sessions.get(number - 1);
  }

  private Programme change(int number, UnaryOperator<PlannedSession> how) {
    PlannedSession old = session(number);
    List<PlannedSession> changed = new ArrayList<>(sessions);
    changed.set(number - 1, how.apply(old));
    return new Programme(plan, weeks, changed);
  }

  /**
   * Puts a session on another day.
   *
   * @throws InvalidValueException when the day lies outside the programme, or there is no such
   *     session
   */
  public Programme move(int number, LocalDate to) {
    if (to.isBefore(plan.startsOn()) || to.isAfter(plan.endsOn())) {
      throw InvalidValueException.of(
          "to",
          Days.of(to) + " lies outside the programme",
          Days.of(plan.startsOn()) + " to " + Days.of(plan.endsOn()));
    }
    return change(number, session -> session.on(to));
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
    Parts.checkMode(mode, person);
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
    return session
        .own()
        .map(Named::outline)
        .orElseGet(() -> plan.outline(weeks.get(session.week() - 1).dose()));
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
                            FindingKind.PROGRAMME_OUT_OF_BOUNDS.of(
                                Days.of(session.date()), broken.finding().message())))
        .findFirst();
  }

  /** The sessions of a week that are left, by the day they are on. */
  private List<PlannedSession> left(int week) {
    return sessions.stream()
        .filter(session -> !session.skipped() && plan.weekOf(session.date()) == week)
        .toList();
  }

  /** Every week as it stands, with the rules that it breaks. */
  public List<WeekNow> weeksNow(Person person) {
    List<WeekNow> now = new ArrayList<>();
    List<Integer> totals = new ArrayList<>();
    int usual = 0;
    for (int week = 1; week <= weeks.size(); week++) {
      Stepped stepped = weeks.get(week - 1);
      List<PlannedSession> left = left(week);
      List<Outline> outlines = left.stream().map(this::outline).toList();
      int seconds = outlines.stream().mapToInt(Outline::workSeconds).sum();
      int minutes = seconds / 60;
      int easy =
          outlines.stream().mapToInt(each -> each.easyPercent() * each.workSeconds()).sum()
              / Math.max(1, seconds);
      List<Finding> findings = new ArrayList<>();
      Optional<Integer> limit =
          week == 1 ? Optional.empty() : Optional.of(plan.pace().limit(week, totals));
      if (limit.isPresent() && minutes > limit.get()) {
        findings.add(
            FindingKind.WEEK_GROWS_TOO_FAST.of(
                week, minutes, limit.get(), Pace.best(totals), plan.pace().growthPercent(week)));
      }
      if (stepped.kind() == Kind.LIGHTER && 100 * minutes > LIGHTER_TO * usual) {
        findings.add(FindingKind.LIGHTER_WEEK_FULL.of(week, minutes, usual));
      }
      addUnearned(findings, week);
      addSessions(findings, left);
      addFew(findings, week, left.size());
      if (minutes >= EASY_MARK_FROM && easy < EASY_MARK) {
        findings.add(FindingKind.FEW_EASY_MINUTES.of(easy, week));
      }
      now.add(
          new WeekNow(
              week,
              plan.startsOn().plusWeeks(week - 1L),
              minutes,
              limit,
              easy,
              Week.of(outlines, middle(stepped.dose()), person),
              findings));
      totals.add(minutes);
      usual = stepped.kind() == Kind.LIGHTER ? usual : stepped.dose().total();
    }
    return now;
  }

  private static GuidelineClass middle(Dose dose) {
    return GuidelineClass.ofReserve(
        BigDecimal.valueOf(dose.range().low() + dose.range().high()).divide(BigDecimal.valueOf(2)));
  }

  /** A step up is earned by the week before it, of which four fifths are done. */
  private void addUnearned(List<Finding> findings, int week) {
    if (!weeks.get(week - 1).kind().stepsUp()) {
      return;
    }
    List<PlannedSession> before =
        sessions.stream().filter(session -> session.week() == week - 1).toList();
    long left = before.stream().filter(session -> !session.skipped()).count();
    if (100 * left < (long) TO_STEP * before.size()) {
      findings.add(FindingKind.STEP_NOT_EARNED.of(week, left, before.size()));
    }
  }

  private void addSessions(List<Finding> findings, List<PlannedSession> left) {
    Set<LocalDate> seen = new HashSet<>();
    for (PlannedSession session : left) {
      LocalDate date = session.date();
      if (!plan.weekdays().contains(date.getDayOfWeek())) {
        findings.add(FindingKind.NOT_THEIR_DAY.of(day(date), dayNames()));
      }
      if (session.mode() != plan.first().mode()) {
        findings.add(
            FindingKind.MODE_SWAPPED.of(
                session.mode().displayName(), plan.first().mode().displayName()));
      }
      if (!seen.add(date)) {
        findings.add(FindingKind.TWO_IN_A_DAY.of(day(date)));
      }
    }
  }

  private void addFew(List<Finding> findings, int week, int left) {
    boolean whole = !plan.startsOn().plusWeeks(week).minusDays(1).isAfter(plan.endsOn());
    if (!whole) {
      return;
    }
    if (left == 0) {
      findings.add(FindingKind.WEEK_EMPTY.of(week));
    } else if (left == 1) {
      findings.add(FindingKind.ONCE_A_WEEK.of());
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
