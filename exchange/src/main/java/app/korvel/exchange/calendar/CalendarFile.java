package app.korvel.exchange.calendar;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.programme.Busy;
import app.korvel.exchange.calendar.Repetition.TooMuchException;
import app.korvel.exchange.calendar.Repetition.Work;
import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.DateEnd;
import biweekly.property.DateStart;
import biweekly.property.Method;
import biweekly.property.ProductId;
import biweekly.property.RecurrenceId;
import biweekly.property.Status;
import biweekly.util.DateTimeComponents;
import biweekly.util.Duration;
import biweekly.util.ICalDate;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Date;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Calendars as RFC 5545 has them: sessions out, busy times in. */
public final class CalendarFile {
  private CalendarFile() {}

  /** A busy time that began longer ago is read as one that did not. */
  private static final long LONGEST_DAYS = 3_660;

  private static final int MOST = Limit.CALENDAR_EVENTS.highest();
  private static final String ACCEPTED =
      "an iCalendar file (.ics) of up to 1 MiB and " + Limit.CALENDAR_EVENTS.accepted();

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
   * said to leave the time free, is left out. The work is bounded, whatever the file holds.
   *
   * @param zone of the studio: for times without one, and for the answer
   * @param from busy times that end before that day are left out
   * @param to so are those that begin after that day
   * @throws InvalidValueException when it is no calendar or not a whole one, or asks for too much
   */
  public static List<Busy> read(String text, ZoneId zone, LocalDate from, LocalDate to) {
    String begun = CalendarText.begun(text);
    if (!CalendarText.isCalendar(begun)) {
      throw refused("is not a calendar");
    }
    CalendarText.fault(begun, MOST)
        .ifPresent(
            fault -> {
              throw refused(fault);
            });
    List<Busy> busy = new ArrayList<>();
    Work work = new Work();
    try {
      for (ICalendar calendar : Biweekly.parse(begun).all()) {
        Map<String, Set<Object>> moved = moved(calendar);
        for (VEvent event : calendar.getEvents()) {
          boolean repeats = event.getRecurrenceRule() != null && event.getUid() != null;
          read(
              new Times(event, calendar.getTimezoneInfo(), zone),
              repeats ? moved.getOrDefault(event.getUid().getValue(), Set.of()) : Set.of(),
              new Span(from, to),
              work,
              busy);
        }
      }
    } catch (TooMuchException tooMuch) {
      throw refused("repeats so often, or began so long ago, that it is not worked out");
    }
    return busy;
  }

  /** The days that are asked for, both included. */
  private record Span(LocalDate from, LocalDate to) {}

  private static InvalidValueException refused(String fault) {
    return InvalidValueException.of("file", fault, ACCEPTED);
  }

  private static void read(Times times, Set<Object> moved, Span span, Work work, List<Busy> busy) {
    VEvent event = times.event();
    boolean free =
        event.getTransparency() != null && event.getTransparency().isTransparent()
            || event.getStatus() != null && event.getStatus().isCancelled();
    if (free || !times.begins()) {
      return;
    }
    long seconds = seconds(event);
    if (seconds <= 0) {
      return;
    }
    LocalDateTime earliest = span.from.atStartOfDay();
    LocalDateTime latest = span.to.plusDays(1).atStartOfDay();
    // A day on either side: the event's zone is not the studio's.
    LocalDate first = span.from.minusDays(1 + Math.min(seconds / 86_400 + 1, LONGEST_DAYS));
    Set<Object> left = new HashSet<>(moved);
    left.addAll(times.exceptions());
    for (LocalDateTime each : times.between(first, span.to.plusDays(1), work)) {
      LocalDateTime begin = times.here(each);
      LocalDateTime end = times.after(each, seconds);
      if (begin.isBefore(latest)
          && end.isAfter(earliest)
          && end.isAfter(begin)
          && !left.contains(times.key(each))
          && !left.contains(each.toLocalDate())) {
        busy.add(new Busy(begin, end));
        if (busy.size() > MOST) {
          throw refused("holds more than " + MOST + " events");
        }
      }
    }
  }

  /** By id of a repeating event: its times that have an event of their own. */
  private static Map<String, Set<Object>> moved(ICalendar calendar) {
    Map<String, Set<Object>> moved = new HashMap<>();
    for (VEvent event : calendar.getEvents()) {
      RecurrenceId instead = event.getRecurrenceId();
      if (instead != null && instead.getValue() != null && event.getUid() != null) {
        moved
            .computeIfAbsent(event.getUid().getValue(), uid -> new HashSet<>())
            .add(Times.key(instead, instead.getValue(), calendar.getTimezoneInfo()));
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
