package app.korvel.exchange.calendar;

import app.korvel.core.measure.InvalidValueException;
import biweekly.component.VEvent;
import biweekly.io.TimezoneInfo;
import biweekly.property.DateStart;
import biweekly.property.ICalProperty;
import biweekly.util.DateTimeComponents;
import biweekly.util.ICalDate;
import biweekly.util.Recurrence;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.GregorianCalendar;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TimeZone;

/**
 * When an event of a calendar happens. Its own times are as they stand in the file; {@link #here}
 * says when that is where the studio is.
 */
final class Times {
  private final VEvent event;
  private final TimezoneInfo zones;
  private final ZoneId studio;

  /** The zone of its own times; empty for whole days and for times of no zone. */
  private final Optional<TimeZone> own;

  Times(VEvent event, TimezoneInfo zones, ZoneId studio) {
    this.event = event;
    this.zones = zones;
    this.studio = studio;
    this.own =
        begins() ? zone(event.getDateStart(), event.getDateStart().getValue()) : Optional.empty();
  }

  VEvent event() {
    return event;
  }

  /** Whether it says when it begins. */
  boolean begins() {
    DateStart start = event.getDateStart();
    return start != null && start.getValue() != null && local(start.getValue()).isPresent();
  }

  private Optional<TimeZone> zone(ICalProperty property, ICalDate value) {
    return zone(property, value, zones);
  }

  private static Optional<TimeZone> zone(
      ICalProperty property, ICalDate value, TimezoneInfo zones) {
    if (!value.hasTime()) {
      return Optional.empty();
    }
    if (value.getRawComponents().isUtc()) {
      return Optional.of(TimeZone.getTimeZone("UTC"));
    }
    return zones.isFloating(property)
        ? Optional.empty()
        : Optional.ofNullable(zones.getTimezone(property)).map(assigned -> assigned.getTimeZone());
  }

  /** As it stands in the file; nothing for a day that there is not. */
  private static Optional<LocalDateTime> local(ICalDate value) {
    DateTimeComponents raw = value.getRawComponents();
    try {
      return raw == null
          ? Optional.empty()
          : Optional.of(
              LocalDateTime.of(
                  raw.getYear(),
                  raw.getMonth(),
                  raw.getDate(),
                  value.hasTime() ? raw.getHour() : 0,
                  value.hasTime() ? raw.getMinute() : 0,
                  value.hasTime() ? Math.min(raw.getSecond(), 59) : 0));
    } catch (DateTimeException noDay) {
      return Optional.empty();
    }
  }

  /** Its own times from one day to another, both included. */
  List<LocalDateTime> between(LocalDate from, LocalDate to, Repetition.Work work) {
    LocalDateTime start = local(event.getDateStart().getValue()).orElseThrow();
    List<LocalDateTime> times = new ArrayList<>();
    if (event.getRecurrenceRule() == null || event.getRecurrenceRule().getValue() == null) {
      times.add(start);
    } else {
      Recurrence rule = event.getRecurrenceRule().getValue();
      if (Repetition.tooOften(rule)) {
        throw InvalidValueException.of(
            "file",
            "has an event that repeats more often than daily",
            "events that repeat daily or less often");
      }
      new Repetition(rule, start.toLocalDate(), work)
          .days(from, to)
          .forEach(day -> times.add(day.atTime(start.toLocalTime())));
    }
    event.getRecurrenceDates().stream()
        .flatMap(dates -> dates.getDates().stream())
        .flatMap(date -> local(date).stream())
        .filter(date -> !times.contains(date))
        .forEach(times::add);
    work.did(times.size());
    return times;
  }

  /** The moment of one of its own times, or that time itself where it has no zone. */
  Object key(LocalDateTime each) {
    return own.<Object>map(zone -> instant(each, zone)).orElse(each);
  }

  static Object key(ICalProperty property, ICalDate value, TimezoneInfo zones) {
    LocalDateTime local = local(value).orElse(LocalDateTime.MIN);
    if (!value.hasTime()) {
      return local.toLocalDate();
    }
    return zone(property, value, zones).<Object>map(zone -> instant(local, zone)).orElse(local);
  }

  /** Times at which it does not happen: moments, times of no zone, or whole days. */
  Set<Object> exceptions() {
    Set<Object> exceptions = new HashSet<>();
    event
        .getExceptionDates()
        .forEach(
            dates -> dates.getValues().forEach(date -> exceptions.add(key(dates, date, zones))));
    return exceptions;
  }

  /** When one of its own times is where the studio is. */
  LocalDateTime here(LocalDateTime each) {
    return own.map(zone -> LocalDateTime.ofInstant(instant(each, zone), studio)).orElse(each);
  }

  /** So many seconds after one of its own times, where the studio is. */
  LocalDateTime after(LocalDateTime each, long seconds) {
    long longest = Math.min(seconds, 100_000_000_000L);
    return own.map(
            zone -> LocalDateTime.ofInstant(instant(each, zone).plusSeconds(longest), studio))
        .orElse(each.plusSeconds(longest));
  }

  private static Instant instant(LocalDateTime each, TimeZone zone) {
    if (zone.getRawOffset() == 0 && !zone.useDaylightTime() && zone.getID().equals("UTC")) {
      return each.toInstant(ZoneOffset.UTC);
    }
    GregorianCalendar calendar = new GregorianCalendar(zone);
    calendar.clear();
    calendar.set(
        each.getYear(),
        each.getMonthValue() - 1,
        each.getDayOfMonth(),
        each.getHour(),
        each.getMinute(),
        each.getSecond());
    return calendar.toInstant();
  }
}
