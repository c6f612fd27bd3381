package app.korvel.core.programme;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * When a session would find someone free. One with a time of day needs that time; one without needs
 * a gap as long as itself, between 6 and 22 o'clock.
 *
 * @param taken what is taken, in any order; may overlap
 */
public record Availability(List<Busy> taken) {
  private static final LocalTime DAY_BEGINS = LocalTime.of(6, 0);
  private static final LocalTime DAY_ENDS = LocalTime.of(22, 0);

  /** Nothing is known to be taken. */
  public static final Availability FREE = new Availability(List.of());

  public Availability {
    taken = taken.stream().sorted(Comparator.comparing(Busy::from)).toList();
  }

  /** Whether a session of so many minutes finds room on that day. */
  public boolean free(LocalDate day, Optional<LocalTime> time, int minutes) {
    if (time.isPresent()) {
      LocalDateTime begin = day.atTime(time.get());
      return taken.stream().noneMatch(busy -> busy.overlaps(begin, begin.plusMinutes(minutes)));
    }
    LocalDateTime free = day.atTime(DAY_BEGINS);
    LocalDateTime end = day.atTime(DAY_ENDS);
    for (Busy busy : taken) {
      if (busy.from().isBefore(end) && busy.to().isAfter(free)) {
        if (Duration.between(free, busy.from()).toMinutes() >= minutes) {
          return true;
        }
        free = busy.to();
      }
    }
    return Duration.between(free, end).toMinutes() >= minutes;
  }

  /** What is taken of a day, in words, for example {@code 08:00–12:30, 14:00–18:00}. */
  public String words(LocalDate day) {
    LocalDateTime begin = day.atStartOfDay();
    LocalDateTime end = begin.plusDays(1);
    return taken.stream()
        .filter(busy -> busy.overlaps(begin, end))
        .map(
            busy ->
                busy.from().isAfter(begin) || busy.to().isBefore(end)
                    ? clock(busy.from(), begin, end) + "–" + clock(busy.to(), begin, end)
                    : "all day")
        .distinct()
        .collect(Collectors.joining(", "));
  }

  private static String clock(LocalDateTime at, LocalDateTime begin, LocalDateTime end) {
    LocalDateTime within = at.isBefore(begin) ? begin : at;
    return within.isBefore(end)
        ? String.format(Locale.ROOT, "%02d:%02d", within.getHour(), within.getMinute())
        : "24:00";
  }

  /**
   * The days of the week that are free more often than taken, over so many weeks.
   *
   * @param of among these
   */
  public Set<DayOfWeek> mostlyFree(
      Set<DayOfWeek> of, LocalDate from, int weeks, Optional<LocalTime> time, int minutes) {
    return of.stream()
        .filter(
            day ->
                2
                        * Stream.iterate(from, date -> date.plusDays(1))
                            .limit(7L * weeks)
                            .filter(date -> date.getDayOfWeek() == day)
                            .filter(date -> free(date, time, minutes))
                            .count()
                    > weeks)
        .collect(Collectors.toCollection(TreeSet::new));
  }
}
