package app.korvel.exchange.calendar;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;

/**
 * A session as it stands in a calendar.
 *
 * @param uid the same for good, so that a later file changes it and adds no second one
 * @param sequence goes up whenever something of it changes
 * @param changedAt when something last did
 * @param on its day, where the studio is
 * @param at when it begins, on the studio's clock; empty for a whole day
 * @param minutes how long it lasts
 * @param summary its line in the calendar
 * @param description what else is to be known
 * @param cancelled whether it is off
 */
public record CalendarEvent(
    String uid,
    int sequence,
    Instant changedAt,
    LocalDate on,
    Optional<LocalTime> at,
    int minutes,
    String summary,
    String description,
    boolean cancelled) {}
