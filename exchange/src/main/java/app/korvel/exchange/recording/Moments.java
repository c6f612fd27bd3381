package app.korvel.exchange.recording;

import app.korvel.core.measure.InvalidValueException;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Moments as files write them: with their zone, else in the studio's. */
final class Moments {
  private static final Pattern ISO =
      Pattern.compile(
          "(\\d{4}-\\d{2}-\\d{2})[T ](\\d{2}:\\d{2}(?::\\d{2}(?:[.,]\\d{1,9})?)?)"
              + "\\s?(Z|[+-]\\d{2}:?\\d{2})?");

  /** How nearly all are written; a 0 stands for any digit. */
  private static final String USUAL = "0000-00-00T00:00:00Z";

  private static final Pattern CLOCK =
      Pattern.compile("(\\d{1,2}):(\\d{2})(?::(\\d{2})(?:[.,](\\d{1,9}))?)?\\s?([AaPp][Mm])?");
  private static final Pattern MINUTES = Pattern.compile("(\\d{1,3}):([0-5]\\d)");
  private static final Pattern DAY =
      Pattern.compile(
          "(\\d{4})[-/.](\\d{1,2})[-/.](\\d{1,2})|(\\d{1,2})[-/.](\\d{1,2})[-/.](\\d{4})");
  private static final int NOON = 12;
  private static final int NANO_DIGITS = 9;

  private Moments() {}

  /** A moment in ISO 8601; empty where it is none. */
  static Optional<Instant> iso(String written, ZoneId zone) {
    return usual(written) ? digits(written) : other(written, zone);
  }

  private static boolean usual(String written) {
    boolean usual = written.length() == USUAL.length();
    for (int n = 0; usual && n < USUAL.length(); n++) {
      char is = written.charAt(n);
      usual = USUAL.charAt(n) == '0' ? is >= '0' && is <= '9' : USUAL.charAt(n) == is;
    }
    return usual;
  }

  /** Read by its places: every point of a recording has one, and a pattern takes its time. */
  private static Optional<Instant> digits(String written) {
    try {
      return Optional.of(
          LocalDateTime.of(
                  number(written, 0, 4),
                  number(written, 5, 7),
                  number(written, 8, 10),
                  number(written, 11, 13),
                  number(written, 14, 16),
                  number(written, 17, 19))
              .toInstant(ZoneOffset.UTC));
    } catch (DateTimeException impossible) {
      return Optional.empty();
    }
  }

  private static int number(String written, int from, int to) {
    return Integer.parseInt(written, from, to, 10);
  }

  private static Optional<Instant> other(String written, ZoneId zone) {
    Matcher found = ISO.matcher(written);
    if (!found.matches()) {
      return Optional.empty();
    }
    String local = found.group(1) + "T" + found.group(2).replace(',', '.');
    String offset = found.group(3);
    try {
      return Optional.of(
          offset == null
              ? LocalDateTime.parse(local).atZone(zone).toInstant()
              : OffsetDateTime.parse(local + colon(offset)).toInstant());
    } catch (DateTimeException impossible) {
      return Optional.empty();
    }
  }

  private static String colon(String offset) {
    return offset.length() == 5 ? offset.substring(0, 3) + ":" + offset.substring(3) : offset;
  }

  /** The same, refused with its place where it is none. */
  static Instant of(String written, ZoneId zone, Supplier<String> place) {
    return iso(written, zone)
        .orElseThrow(
            () ->
                InvalidValueException.of(
                    "file",
                    place.get() + ": “" + shortened(written) + "” is no time",
                    "times such as 2030-03-18T17:00:00Z"));
  }

  static String shortened(String written) {
    return written.length() <= 40 ? written : written.substring(0, 40) + "…";
  }

  /** A time of day; empty where it is none. */
  static Optional<LocalTime> clock(String written) {
    Matcher found = CLOCK.matcher(written.strip());
    if (!found.matches()) {
      return Optional.empty();
    }
    int hour = Integer.parseInt(found.group(1));
    String half = found.group(5);
    if (half != null) {
      hour = hour % NOON + (half.toLowerCase(Locale.ROOT).equals("pm") ? NOON : 0);
    }
    try {
      return Optional.of(
          LocalTime.of(
              hour,
              Integer.parseInt(found.group(2)),
              found.group(3) == null ? 0 : Integer.parseInt(found.group(3)),
              found.group(4) == null ? 0 : nanos(found.group(4))));
    } catch (DateTimeException impossible) {
      return Optional.empty();
    }
  }

  /** Minutes and seconds since the beginning, such as 75:30; empty where it is none. */
  static Optional<Duration> minutes(String written) {
    Matcher found = MINUTES.matcher(written.strip());
    return found.matches()
        ? Optional.of(
            Duration.ofMinutes(Integer.parseInt(found.group(1)))
                .plusSeconds(Integer.parseInt(found.group(2))))
        : Optional.empty();
  }

  private static int nanos(String digits) {
    return Integer.parseInt((digits + "0".repeat(NANO_DIGITS)).substring(0, NANO_DIGITS));
  }

  /** A day with its year first or last; empty where it is none. */
  static Optional<Day> day(String written) {
    Matcher found = DAY.matcher(written);
    if (!found.matches()) {
      return Optional.empty();
    }
    if (found.group(1) != null) {
      return Optional.of(
          new Day(
              number(found, 1), number(found, 2), number(found, 3), true, written.contains(".")));
    }
    return Optional.of(
        new Day(
            number(found, 6), number(found, 5), number(found, 4), false, written.contains(".")));
  }

  private static int number(Matcher found, int group) {
    return Integer.parseInt(found.group(group));
  }

  /**
   * A day as it is written.
   *
   * @param month or the day, where the month comes first
   * @param day or the month
   * @param sure whether its order is known: with the year first it is
   * @param dotted whether dots stand between: then the day comes first
   */
  record Day(int year, int month, int day, boolean sure, boolean dotted) {
    /** Whether it can only be read day first, only month first, or not told. */
    Optional<CsvColumns.DateOrder> order() {
      if (sure || dotted || day > NOON) {
        return Optional.of(CsvColumns.DateOrder.DAY_FIRST);
      }
      return month > NOON ? Optional.of(CsvColumns.DateOrder.MONTH_FIRST) : Optional.empty();
    }

    /** The day in an order; empty where there is none. */
    Optional<LocalDate> in(CsvColumns.DateOrder order) {
      boolean swap = !sure && order == CsvColumns.DateOrder.MONTH_FIRST;
      try {
        return Optional.of(swap ? LocalDate.of(year, day, month) : LocalDate.of(year, month, day));
      } catch (DateTimeException impossible) {
        return Optional.empty();
      }
    }
  }
}
