package app.korvel.exchange.calendar;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A calendar file before it is parsed: whether it is one, whole, and not more than is read. A
 * parser would work out time zones that repeat every second, and take a file that was cut off for a
 * short one.
 */
final class CalendarText {
  /** Lines of rules and dates that the time zones of one file have at most. */
  private static final int ZONE_RULES = 400;

  /** Programs date zones that have always been so from 1601. */
  private static final int ZONES_SINCE = 1600;

  private static final int DEEPEST = 20;

  /** A long line goes on in the next one, which begins with a space. */
  private static final Pattern FOLDS = Pattern.compile("\\r?\\n[ \\t]");

  private CalendarText() {}

  /** The text without a byte order mark and blank lines before its first line. */
  static String begun(String text) {
    int at = 0;
    while (at < text.length()
        && (text.charAt(at) == '\uFEFF' || Character.isWhitespace(text.charAt(at)))) {
      at++;
    }
    return text.substring(at);
  }

  /** Whether it begins as a calendar does. */
  static boolean isCalendar(String begun) {
    return begun.regionMatches(true, 0, "BEGIN:VCALENDAR", 0, 15);
  }

  /**
   * What is wrong with it.
   *
   * @param mostEvents that are read
   * @return as a clause; empty where it may be parsed
   */
  static Optional<String> fault(String begun, int mostEvents) {
    Deque<String> open = new ArrayDeque<>();
    int events = 0;
    int zoneRules = 0;
    for (String line : (Iterable<String>) FOLDS.matcher(begun).replaceAll("").lines()::iterator) {
      String word = line.strip().toUpperCase(Locale.ROOT);
      if (word.startsWith("BEGIN:")) {
        open.push(word.substring(6));
        events += word.equals("BEGIN:VEVENT") ? 1 : 0;
        if (events > mostEvents) {
          return Optional.of("holds more than " + mostEvents + " events");
        }
        if (open.size() > DEEPEST) {
          return Optional.of("is nested too deep");
        }
      } else if (word.startsWith("END:")) {
        if (open.isEmpty() || !open.pop().equals(word.substring(4))) {
          return Optional.of("is cut off, or ends what it does not begin");
        }
      } else if (open.contains("VTIMEZONE")) {
        boolean rule = word.startsWith("RRULE");
        if (rule && !yearly(word)) {
          return Optional.of("has a time zone that changes more often than once a year");
        }
        if (word.startsWith("DTSTART") && !sinceZones(word)) {
          return Optional.of("has a time zone from before " + ZONES_SINCE);
        }
        zoneRules += rule || word.startsWith("RDATE") ? 1 + count(word, ',') : 0;
        if (zoneRules > ZONE_RULES) {
          return Optional.of("has time zones with more than " + ZONE_RULES + " changes");
        }
      }
    }
    return open.isEmpty()
        ? Optional.empty()
        : Optional.of("is cut off: the end of “" + open.peekLast() + "” is missing");
  }

  /** Once a year, in a month or on a day that is named. */
  private static boolean yearly(String rule) {
    return rule.contains("FREQ=YEARLY")
        && rule.indexOf("FREQ=") == rule.lastIndexOf("FREQ=")
        && (rule.contains("BYMONTH=") || !rule.contains("BY"))
        && Stream.of("BYHOUR", "BYMINUTE", "BYSECOND", "BYWEEKNO", "BYYEARDAY")
            .noneMatch(rule::contains);
  }

  private static boolean sinceZones(String start) {
    String year = start.substring(start.indexOf(':') + 1);
    return year.length() >= 4 && year.substring(0, 4).compareTo("" + ZONES_SINCE) >= 0;
  }

  private static int count(String text, char of) {
    return (int) text.chars().filter(each -> each == of).count();
  }
}
