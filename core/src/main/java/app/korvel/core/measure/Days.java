package app.korvel.core.measure;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Days as they are written in findings. */
public final class Days {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

  private static final DateTimeFormatter OF_THE_YEAR =
      DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

  private Days() {}

  /** For example {@code 20 May 2026}. */
  public static String of(LocalDate day) {
    return DAY.format(day);
  }

  /** Where the year is plain, for example {@code 20 May}. */
  public static String ofTheYear(LocalDate day) {
    return OF_THE_YEAR.format(day);
  }
}
