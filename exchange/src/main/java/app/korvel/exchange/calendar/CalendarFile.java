package app.korvel.exchange.calendar;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.programme.Busy;
import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.io.TimezoneInfo;
import biweekly.property.DateEnd;
import biweekly.property.DateStart;
import biweekly.property.Method;
import biweekly.property.ProductId;
import biweekly.property.RecurrenceId;
import biweekly.property.Status;
import biweekly.util.DateTimeComponents;
import biweekly.util.Duration;
import biweekly.util.Frequency;
import biweekly.util.ICalDate;
import biweekly.util.com.google.ical.compat.javautil.DateIterator;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Date;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TimeZone;

/** Calendars as RFC 5545 has them: sessions out, busy times in. */
public final class CalendarFile {
  private CalendarFile() {}

  private static final int MOST = Limit.CALENDAR_EVENTS.highest();
  private static final String ACCEPTED =
      "an iCalendar file (.ics) of up to 1 MiB and " + Limit.CALENDAR_EVENTS.accepted();

  /** What repeats more often than daily is no appointment. */
  private static final Set<Frequency> TOO_OFTEN =
      EnumSet.of(Frequency.SECONDLY, Frequency.MINUTELY, Frequency.HOURLY);

  /**
   * Writes one. Moments are written in UTC, so that a session stays at its hour where the studio is
   * over a change of the clocks, whatever zones the reading program knows.
   *
   * @param name of the calendar
   * @param zone in which the times of day are meant
   */
  public static String write(String name, List<CalendarEvent> events, ZoneId zone) {
    ICalendar calendar = new ICalendar();
    calendar.setProductId(new ProductId("-//Korvel//Korvel//EN"));
    calendar.setMethod(Method.publish());
    calendar.setName(name);
    calendar.addExperimentalProperty("X-WR-CALNAME", name.replaceAll("[\\\\;,]", "\\\\$0"));
    calendar.addExperimentalProperty("X-WR-TIMEZONE", zone.getId());
    calendar.setRefreshInterval(Duration.builder().hours(1).build());
    events.forEach(event -> calendar.addEvent(event(event, zone)));
    return Biweekly.write(calendar).version(ICalVersion.V2_0).go();
  }

  private static VEvent event(CalendarEvent from, ZoneId zone) {
    VEvent event = new VEvent();
    event.setUid(from.uid());
    event.setSequence(from.sequence());
    event.setDateTimeStamp(Date.from(from.changedAt()));
    event.setLastModified(Date.from(from.changedAt()));
    event.setSummary(from.summary());
    event.setDescription(from.description());
    event.setStatus(from.cancelled() ? Status.cancelled() : Status.confirmed());
    if (from.at().isPresent()) {
      Instant begin = from.on().atTime(from.at().get()).atZone(zone).toInstant();
      event.setDateStart(Date.from(begin), true);
      event.setDateEnd(Date.from(begin.plusSeconds(60L * from.minutes())), true);
    } else {
      event.setDateStart(new DateStart(day(from.on())));
      event.setDateEnd(new DateEnd(day(from.on().plusDays(1))));
      event.setTransparency(true);
    }
    return event;
  }

  private static ICalDate day(LocalDate day) {
    return new ICalDate(
        new DateTimeComponents(day.getYear(), day.getMonthValue(), day.getDayOfMonth()), false);
  }

  /**
   * Reads when somebody is busy. Nothing else of an event is looked at; one that is cancelled, or
   * said to leave the time free, is left out.
   *
   * @param zone of the studio: for times without one, and for the answer
   * @param from busy times that end before that day are left out
   * @param to so are those that begin after that day
   * @throws InvalidValueException when it is no calendar, or holds too many events
   */
  public static List<Busy> read(String text, ZoneId zone, LocalDate from, LocalDate to) {
    if (!text.stripLeading().regionMatches(true, 0, "BEGIN:VCALENDAR", 0, 15)
        && !text.stripLeading().regionMatches(true, 0, "\uFEFFBEGIN:VCALENDAR", 0, 16)) {
      throw InvalidValueException.of("file", "is not a calendar", ACCEPTED);
    }
    List<ICalendar> calendars = Biweekly.parse(text).all();
    List<Busy> busy = new ArrayList<>();
    int seen = 0;
    for (ICalendar calendar : calendars) {
      seen += calendar.getEvents().size();
      if (seen > MOST) {
        throw tooMany();
      }
      Map<String, Set<Date>> moved = moved(calendar);
      for (VEvent event : calendar.getEvents()) {
        boolean repeats = event.getRecurrenceRule() != null && event.getUid() != null;
        read(
            event,
            calendar.getTimezoneInfo(),
            repeats ? moved.getOrDefault(event.getUid().getValue(), Set.of()) : Set.of(),
            zone,
            from,
            to,
            busy);
      }
    }
    return busy;
  }

  private static InvalidValueException tooMany() {
    return InvalidValueException.of("file", "holds more than " + MOST + " events", ACCEPTED);
  }

  private static void read(
      VEvent event,
      TimezoneInfo zones,
      Set<Date> moved,
      ZoneId zone,
      LocalDate from,
      LocalDate to,
      List<Busy> busy) {
    DateStart start = event.getDateStart();
    boolean free =
        event.getTransparency() != null && event.getTransparency().isTransparent()
            || event.getStatus() != null && event.getStatus().isCancelled();
    if (free || start == null || start.getValue() == null) {
      return;
    }
    boolean local = zones.isFloating(start) || !start.getValue().hasTime();
    long seconds = seconds(event);
    if (seconds <= 0) {
      return;
    }
    if (event.getRecurrenceRule() != null
        && TOO_OFTEN.contains(event.getRecurrenceRule().getValue().getFrequency())) {
      throw InvalidValueException.of(
          "file", "has an event that repeats more often than daily", ACCEPTED);
    }
    // A time without a zone was read on this machine's clock, and is read back on it.
    ZoneId clock = local ? ZoneId.systemDefault() : zone;
    TimeZone steps =
        local
            ? TimeZone.getDefault()
            : Optional.ofNullable(zones.getTimezone(start))
                .map(assigned -> assigned.getTimeZone())
                .orElse(TimeZone.getTimeZone("UTC"));
    LocalDateTime earliest = from.atStartOfDay();
    LocalDateTime latest = to.plusDays(1).atStartOfDay();
    DateIterator times = event.getDateIterator(steps);
    times.advanceTo(Date.from(earliest.atZone(zone).toInstant().minusSeconds(seconds + 86_400)));
    while (times.hasNext()) {
      Date each = times.next();
      LocalDateTime begin = LocalDateTime.ofInstant(each.toInstant(), clock);
      if (!begin.isBefore(latest)) {
        break;
      }
      LocalDateTime end =
          local
              ? begin.plusSeconds(seconds)
              : LocalDateTime.ofInstant(each.toInstant().plusSeconds(seconds), zone);
      if (end.isAfter(earliest) && end.isAfter(begin) && !moved.contains(each)) {
        busy.add(new Busy(begin, end));
        if (busy.size() > MOST) {
          throw tooMany();
        }
      }
    }
  }

  /** By id of a repeating event: its times that have an event of their own. */
  private static Map<String, Set<Date>> moved(ICalendar calendar) {
    Map<String, Set<Date>> moved = new HashMap<>();
    for (VEvent event : calendar.getEvents()) {
      RecurrenceId instead = event.getRecurrenceId();
      if (instead != null && instead.getValue() != null && event.getUid() != null) {
        moved
            .computeIfAbsent(event.getUid().getValue(), uid -> new HashSet<>())
            .add(new Date(instead.getValue().getTime()));
      }
    }
    return moved;
  }

  /** How long it lasts; a day without an end is all of it, a moment without one takes no time. */
  private static long seconds(VEvent event) {
    ICalDate start = event.getDateStart().getValue();
    if (event.getDateEnd() != null && event.getDateEnd().getValue() != null) {
      long between = event.getDateEnd().getValue().getTime() - start.getTime();
      // Whole days are whole days, also where one of them is an hour shorter.
      return start.hasTime() ? between / 1000 : Math.round(between / 86_400_000.0) * 86_400;
    }
    if (event.getDuration() != null && event.getDuration().getValue() != null) {
      return event.getDuration().getValue().toMillis() / 1000;
    }
    return start.hasTime() ? 0 : 86_400;
  }
}
