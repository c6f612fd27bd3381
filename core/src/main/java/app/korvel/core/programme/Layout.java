package app.korvel.core.programme;

import app.korvel.core.programme.Progression.WeekPlan;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Puts the sessions of weeks on days: as far apart as there are days, and free ones first. */
final class Layout {
  private final Plan plan;
  private final List<WeekPlan> weeks;
  private final Availability agenda;
  private final Map<Wanted, List<DayOfWeek>> known = new HashMap<>();
  private final List<PlannedSession> sessions = new ArrayList<>();
  private int nextNumber;

  private record Wanted(Set<DayOfWeek> days, int count) {}

  Layout(Plan plan, List<WeekPlan> weeks, Availability agenda, int firstNumber) {
    this.plan = plan;
    this.weeks = weeks;
    this.agenda = agenda;
    this.nextNumber = firstNumber;
  }

  /** In the order in which they were laid out. */
  List<PlannedSession> sessions() {
    return sessions;
  }

  void keep(PlannedSession session) {
    sessions.add(session);
  }

  /**
   * Lays a week out.
   *
   * @param numbers of the sessions that it had, which are used again, so that they move and are not
   *     other ones
   */
  void layOut(int week, List<Integer> numbers) {
    List<LocalDate> dates = days(week);
    List<PlannedSession> laid = new ArrayList<>();
    for (int at = 0; at < dates.size(); at++) {
      int number = at < numbers.size() ? numbers.get(at) : nextNumber++;
      laid.add(PlannedSession.laid(number, week, dates.get(at), plan));
    }
    keep(week, laid, session -> true);
  }

  /**
   * Keeps the sessions of a week; of a vigorous one the open ones are eased where they have to be.
   */
  private void keep(int week, List<PlannedSession> here, Predicate<PlannedSession> open) {
    List<PlannedSession> before =
        sessions.stream().filter(session -> session.week() == week - 1).toList();
    sessions.addAll(
        new VigorousDays(
                dose(week).range(),
                plan.pace().carefulIn(week),
                session -> plan.outline(session, dose(session.week())).asksVigorous())
            .shared(here, open, before));
  }

  /**
   * Lays a week out that has sessions already: kept where their number is right.
   *
   * @param here its sessions
   * @param open whether one may still be moved
   * @param from nothing is added before that day
   */
  void layOutAnew(
      int week, List<PlannedSession> here, Predicate<PlannedSession> open, LocalDate from) {
    int wanted = Math.min(dose(week).days(), days(week).size());
    if (here.size() == wanted) {
      keep(week, here, open);
    } else if (here.stream().allMatch(open.and(session -> session.untouched(plan)))
        && !first(week).isBefore(from)) {
      layOut(week, here.stream().map(PlannedSession::number).toList());
    } else {
      List<PlannedSession> kept = new ArrayList<>(here);
      here.stream()
          .filter(open)
          .sorted(
              Comparator.comparing((PlannedSession session) -> !session.untouched(plan))
                  .thenComparing(Comparator.comparing(PlannedSession::date).reversed()))
          .limit(Math.max(0, here.size() - wanted))
          .forEach(kept::remove);
      Set<Integer> added = add(week, kept, wanted, from);
      keep(week, kept, open.or(session -> added.contains(session.number())));
    }
  }

  /** On days left, each as far as can be from those there are; says which numbers were added. */
  private Set<Integer> add(int week, List<PlannedSession> kept, int wanted, LocalDate from) {
    Set<Integer> added = new TreeSet<>();
    Set<LocalDate> taken =
        kept.stream().map(PlannedSession::date).collect(Collectors.toCollection(TreeSet::new));
    List<LocalDate> left =
        new ArrayList<>(
            dates(week).stream()
                .filter(date -> plan.weekdays().contains(date.getDayOfWeek()))
                .filter(date -> !date.isBefore(from) && !taken.contains(date))
                .toList());
    for (int count = kept.size(); count < wanted && !left.isEmpty(); count++) {
      LocalDate best =
          left.stream()
              .max(
                  Comparator.comparing((LocalDate date) -> free(week, date))
                      .thenComparing(date -> gap(date, taken))
                      .thenComparing(Comparator.reverseOrder()))
              .orElseThrow();
      left.remove(best);
      taken.add(best);
      added.add(nextNumber);
      kept.add(PlannedSession.laid(nextNumber++, week, best, plan));
    }
    return added;
  }

  private static long gap(LocalDate date, Set<LocalDate> taken) {
    return taken.stream()
        .mapToLong(other -> Math.abs(ChronoUnit.DAYS.between(date, other)))
        .min()
        .orElse(7);
  }

  private Dose dose(int week) {
    return weeks.get(week - 1).dose();
  }

  private LocalDate first(int week) {
    return plan.startsOn().plusWeeks(week - 1L);
  }

  private List<LocalDate> dates(int week) {
    return IntStream.range(0, 7)
        .mapToObj(first(week)::plusDays)
        .filter(date -> !date.isAfter(plan.endsOn()))
        .toList();
  }

  private boolean free(int week, LocalDate date) {
    return agenda.free(date, plan.time(), plan.outline(dose(week)).seconds() / 60);
  }

  /** The days of a week that are trained on. */
  private List<LocalDate> days(int week) {
    int count = dose(week).days();
    List<LocalDate> dates = dates(week);
    Set<DayOfWeek> free = new TreeSet<>(plan.weekdays());
    if (!agenda.taken().isEmpty()) {
      // The last week may be cut: its missing days count as free, so that the others stay put.
      dates.stream()
          .filter(date -> !free(week, date))
          .map(LocalDate::getDayOfWeek)
          .forEach(free::remove);
      plan.weekdays().stream()
          .filter(day -> !free.contains(day))
          .limit(Math.max(0, count - free.size()))
          .toList()
          .forEach(free::add);
    }
    List<DayOfWeek> trained =
        known.computeIfAbsent(
            new Wanted(Set.copyOf(free), count),
            wanted -> TrainingDays.spread(wanted.days, wanted.count));
    return dates.stream().filter(date -> trained.contains(date.getDayOfWeek())).toList();
  }
}
