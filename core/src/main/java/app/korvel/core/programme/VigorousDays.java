package app.korvel.core.programme;

import app.korvel.core.prescription.OtherDays;
import app.korvel.core.zone.Reserve.Percents;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/**
 * Which days of a vigorous week are vigorous: of four or more at most three, as far apart as there
 * are days, and where care is taken never two in a row. The others are easier.
 *
 * @param range what the week asks for
 * @param careful whether no two may follow each other
 * @param vigorous whether a session is vigorous as it stands
 */
record VigorousDays(Percents range, boolean careful, Predicate<PlannedSession> vigorous) {

  /**
   * The sessions of a week, the open ones eased where they have to be.
   *
   * @param here the sessions of the week
   * @param open whether one may still be changed
   * @param before the sessions of the week before
   */
  List<PlannedSession> shared(
      List<PlannedSession> here,
      Predicate<PlannedSession> open,
      Collection<PlannedSession> before) {
    List<PlannedSession> left = here.stream().filter(session -> !session.skipped()).toList();
    int most = OtherDays.asAsked(range, left.size());
    Predicate<PlannedSession> mayChange =
        open.and(session -> session.own().isEmpty() && !session.skipped());
    if (most == left.size()) {
      return here.stream()
          .map(session -> mayChange.test(session) ? session.easier(false) : session)
          .toList();
    }
    List<LocalDate> fixed =
        new ArrayList<>(
            left.stream()
                .filter(mayChange.negate())
                .filter(vigorous)
                .map(PlannedSession::date)
                .toList());
    int slots = Math.max(0, most - fixed.size());
    // A day before the week counts for the days in a row, and for nothing else.
    before.stream()
        .filter(session -> !session.skipped() && vigorous.test(session))
        .map(PlannedSession::date)
        .max(Comparator.naturalOrder())
        .ifPresent(fixed::add);
    List<LocalDate> chosen =
        chosen(
            left.stream().filter(mayChange).map(PlannedSession::date).sorted().toList(),
            fixed,
            slots);
    return here.stream()
        .map(
            session ->
                mayChange.test(session)
                    ? session.easier(!chosen.contains(session.date()))
                    : session)
        .toList();
  }

  /** As many of those days as there may be, as far apart as can be, the earlier ones of equals. */
  private List<LocalDate> chosen(List<LocalDate> days, List<LocalDate> fixed, int slots) {
    return IntStream.range(0, 1 << days.size())
        .filter(mask -> Integer.bitCount(mask) <= slots)
        .mapToObj(
            mask ->
                IntStream.range(0, days.size())
                    .filter(at -> (mask >> at & 1) == 1)
                    .mapToObj(days::get)
                    .toList())
        .filter(some -> !careful || gap(some, fixed) > 1)
        .max(
            Comparator.comparingInt((List<LocalDate> some) -> some.size())
                .thenComparingLong(some -> gap(some, fixed))
                .thenComparing(some -> some.stream().mapToLong(day -> -day.toEpochDay()).sum()))
        .orElse(List.of());
  }

  /** The fewest days from one of them to another, or to a fixed one. */
  private static long gap(List<LocalDate> some, List<LocalDate> fixed) {
    long least = Long.MAX_VALUE;
    for (int at = 0; at < some.size(); at++) {
      for (LocalDate other : fixed) {
        least = Math.min(least, Math.abs(ChronoUnit.DAYS.between(some.get(at), other)));
      }
      for (LocalDate other : some.subList(0, at)) {
        least = Math.min(least, Math.abs(ChronoUnit.DAYS.between(some.get(at), other)));
      }
    }
    return least;
  }
}
