package app.korvel.core.measure;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Days as they are written in findings. */
public final class Days {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

  private Days() {}

  /** For example {@code 20 May 2026}. */
  public static String of(LocalDate day) {
    return DAY.format(day);
  }
}
