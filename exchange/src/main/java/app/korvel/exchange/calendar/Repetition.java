package app.korvel.exchange.calendar;

import biweekly.util.ByDay;
import biweekly.util.Frequency;
import biweekly.util.Recurrence;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.time.temporal.WeekFields;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * On which days something happens that repeats daily or less often, by the rules of RFC 5545. Days
 * before the first one that is asked for are passed over without being worked out, unless they have
 * to be counted; the work is counted and ends.
 */
final class Repetition {
  private final Recurrence rule;
  private final LocalDate start;
  private final Work work;

  /** How much may be worked out for one file. */
  static final class Work {
    private static final int MOST = 2_000_000;
    private int left = MOST;

    /** So much was worked out. */
    void did(int steps) {
      left -= steps;
      if (left < 0) {
        throw new TooMuchException();
      }
    }
  }

  /** The file asks for more work than is done for one. */
  static final class TooMuchException extends RuntimeException {
    private static final long serialVersionUID = 1L;
  }

  Repetition(Recurrence rule, LocalDate start, Work work) {
    this.rule = rule;
    this.start = start;
    this.work = work;
  }

  /** Whether it happens more often than once a day. */
  static boolean tooOften(Recurrence rule) {
    Frequency frequency = rule.getFrequency();
    return frequency == null
        || frequency.compareTo(Frequency.DAILY) < 0
        || Stream.of(rule.getByHour(), rule.getByMinute(), rule.getBySecond())
            .anyMatch(times -> times.stream().distinct().count() > 1);
  }

  /** Its days from one to another, both included. */
  List<LocalDate> days(LocalDate from, LocalDate to) {
    LocalDate last =
        Optional.ofNullable(rule.getUntil())
            .map(until -> date(until.getRawComponents()))
            .filter(until -> until.isBefore(to))
            .orElse(to);
    int interval = Math.max(1, rule.getInterval() == null ? 1 : rule.getInterval());
    Integer count = rule.getCount();
    List<LocalDate> days = new ArrayList<>();
    int seen = 1;
    if (!start.isBefore(from) && !start.isAfter(last)) {
      days.add(start);
    }
    for (long period = count == null ? firstPeriod(from, interval) : 0; ; period += interval) {
      LocalDate begins = period(period);
      if (begins.isAfter(last)) {
        return days;
      }
      for (LocalDate day : inPeriod(begins)) {
        if (!day.isAfter(start)) {
          continue;
        }
        if (day.isAfter(last) || (count != null && ++seen > count)) {
          return days;
        }
        if (!day.isBefore(from)) {
          days.add(day);
        }
      }
    }
  }

  static LocalDate date(biweekly.util.DateTimeComponents raw) {
    return LocalDate.of(raw.getYear(), raw.getMonth(), raw.getDate());
  }

  private DayOfWeek weekStarts() {
    return rule.getWorkweekStarts() == null ? DayOfWeek.MONDAY : day(rule.getWorkweekStarts());
  }

  private static DayOfWeek day(biweekly.util.DayOfWeek day) {
    return DayOfWeek.valueOf(day.name());
  }

  /** The first day of a period, counted from that of the start. */
  private LocalDate period(long number) {
    return switch (rule.getFrequency()) {
      case DAILY -> start.plusDays(number);
      case WEEKLY -> start.with(TemporalAdjusters.previousOrSame(weekStarts())).plusWeeks(number);
      case MONTHLY -> start.withDayOfMonth(1).plusMonths(number);
      default -> start.withDayOfYear(1).plusYears(number);
    };
  }

  /** The last period in step that begins on or before a day; 0 where that lies before the start. */
  private long firstPeriod(LocalDate day, int interval) {
    ChronoUnit unit =
        switch (rule.getFrequency()) {
          case DAILY -> ChronoUnit.DAYS;
          case WEEKLY -> ChronoUnit.WEEKS;
          case MONTHLY -> ChronoUnit.MONTHS;
          default -> ChronoUnit.YEARS;
        };
    long passed = unit.between(period(0), day);
    return passed <= 0 ? 0 : passed / interval * interval;
  }

  /** The days of a period that the rule picks, in order. */
  private List<LocalDate> inPeriod(LocalDate begins) {
    List<LocalDate> days =
        switch (rule.getFrequency()) {
          case DAILY -> Stream.of(begins).filter(this::inMonths).filter(this::onDays).toList();
          case WEEKLY -> inWeek(begins);
          case MONTHLY -> inMonths(begins) ? inMonth(YearMonth.from(begins)) : List.of();
          default -> inYear(begins.getYear());
        };
    work.did(1 + days.size());
    List<Integer> places = rule.getBySetPos();
    if (places.isEmpty()) {
      return days;
    }
    return new TreeSet<>(places.stream().filter(place -> Math.abs(place) <= days.size()).toList())
        .stream()
            .filter(place -> place != 0)
            .map(place -> days.get(place > 0 ? place - 1 : days.size() + place))
            .distinct()
            .sorted()
            .toList();
  }

  private boolean inMonths(LocalDate day) {
    return rule.getByMonth().isEmpty() || rule.getByMonth().contains(day.getMonthValue());
  }

  /** Whether a day is one of the month and of the week that are named, where some are. */
  private boolean onDays(LocalDate day) {
    return (rule.getByMonthDay().isEmpty() || ofMonth(YearMonth.from(day)).contains(day))
        && (rule.getByDay().isEmpty() || weekdays().contains(day.getDayOfWeek()));
  }

  private Set<DayOfWeek> weekdays() {
    Set<DayOfWeek> days = new TreeSet<>();
    rule.getByDay().forEach(each -> days.add(day(each.getDay())));
    return days;
  }

  private List<LocalDate> inWeek(LocalDate begins) {
    Set<DayOfWeek> days = rule.getByDay().isEmpty() ? Set.of(start.getDayOfWeek()) : weekdays();
    return IntStream.range(0, 7)
        .mapToObj(begins::plusDays)
        .filter(day -> days.contains(day.getDayOfWeek()))
        .filter(this::inMonths)
        .toList();
  }

  private List<LocalDate> inMonth(YearMonth month) {
    if (!rule.getByMonthDay().isEmpty()) {
      Set<LocalDate> days = ofMonth(month);
      return rule.getByDay().isEmpty()
          ? List.copyOf(days)
          : days.stream().filter(day -> weekdays().contains(day.getDayOfWeek())).toList();
    }
    if (!rule.getByDay().isEmpty()) {
      return named(month.lengthOfMonth(), month::atDay);
    }
    int day = start.getDayOfMonth();
    return day <= month.lengthOfMonth() ? List.of(month.atDay(day)) : List.of();
  }

  /** The days of the month that are named by number, from its beginning or its end. */
  private Set<LocalDate> ofMonth(YearMonth month) {
    return numbered(rule.getByMonthDay(), month.lengthOfMonth(), month::atDay);
  }

  private static Set<LocalDate> numbered(
      List<Integer> numbers, int length, IntFunction<LocalDate> at) {
    Set<LocalDate> days = new TreeSet<>();
    for (int number : Set.copyOf(numbers)) {
      int day = number < 0 ? length + 1 + number : number;
      if (day >= 1 && day <= length) {
        days.add(at.apply(day));
      }
    }
    return days;
  }

  /** The days of a month or year that are named by weekday: every one, or the so-and-so-manieth. */
  private List<LocalDate> named(int length, IntFunction<LocalDate> at) {
    work.did(length);
    Set<LocalDate> days = new TreeSet<>();
    for (ByDay each : Set.copyOf(rule.getByDay())) {
      List<LocalDate> all =
          IntStream.rangeClosed(1, length)
              .mapToObj(at)
              .filter(day -> day.getDayOfWeek() == day(each.getDay()))
              .toList();
      work.did(length);
      if (each.getNum() == null || each.getNum() == 0) {
        days.addAll(all);
      } else if (Math.abs(each.getNum()) <= all.size()) {
        days.add(all.get(each.getNum() > 0 ? each.getNum() - 1 : all.size() + each.getNum()));
      }
    }
    return List.copyOf(days);
  }

  private List<LocalDate> inYear(int year) {
    LocalDate first = LocalDate.of(year, 1, 1);
    if (!rule.getByYearDay().isEmpty()) {
      return numbered(
              rule.getByYearDay(), first.lengthOfYear(), day -> LocalDate.ofYearDay(year, day))
          .stream()
          .filter(this::inMonths)
          .filter(this::onDays)
          .toList();
    }
    if (!rule.getByWeekNo().isEmpty()) {
      return inWeeks(year);
    }
    if (rule.getByMonth().isEmpty() && rule.getByMonthDay().isEmpty()) {
      if (!rule.getByDay().isEmpty()) {
        return named(first.lengthOfYear(), day -> LocalDate.ofYearDay(year, day));
      }
      YearMonth month = YearMonth.of(year, start.getMonthValue());
      return start.getDayOfMonth() <= month.lengthOfMonth()
          ? List.of(month.atDay(start.getDayOfMonth()))
          : List.of();
    }
    work.did(12);
    return IntStream.rangeClosed(1, 12)
        .mapToObj(month -> YearMonth.of(year, month))
        .filter(month -> inMonths(month.atDay(1)))
        .flatMap(month -> inMonth(month).stream())
        .toList();
  }

  private List<LocalDate> inWeeks(int year) {
    WeekFields weeks = WeekFields.of(weekStarts(), 4);
    LocalDate inFirst = LocalDate.of(year, 1, 4);
    int length = (int) weeks.weekOfWeekBasedYear().rangeRefinedBy(inFirst).getMaximum();
    LocalDate begins = inFirst.with(TemporalAdjusters.previousOrSame(weekStarts()));
    return numbered(rule.getByWeekNo(), length, week -> begins.plusWeeks(week - 1L)).stream()
        .flatMap(week -> inWeek(week).stream())
        .toList();
  }
}
