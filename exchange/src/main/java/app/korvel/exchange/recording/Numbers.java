package app.korvel.exchange.recording;

import app.korvel.core.measure.Rounding;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.regex.Pattern;

/** Rates as files write them. */
final class Numbers {
  private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,9}(?:[.,]\\d{1,12})?");

  /** What stands for “no contact”. */
  private static final Set<String> NOTHING = Set.of("", "-", "--", "nan", "null", "n/a", "na");

  private Numbers() {}

  /** A rate, half up; 0 where it says that there is none; empty where it is no number. */
  static Optional<Integer> of(String written) {
    if (plainly(written)) {
      return Optional.of(Integer.parseInt(written));
    }
    String plain = written.strip();
    if (NOTHING.contains(plain.toLowerCase(Locale.ROOT))) {
      return Optional.of(0);
    }
    return decimal(plain).map(Rounding::halfUp);
  }

  /** Whether it is a rate as nearly all are written: one to three digits. */
  private static boolean plainly(String written) {
    return !written.isEmpty()
        && written.length() <= 3
        && written.chars().allMatch(is -> is >= '0' && is <= '9');
  }

  /** A decimal with a point or a comma; empty where it is none. */
  static Optional<BigDecimal> decimal(String written) {
    return NUMBER.matcher(written).matches()
        ? Optional.of(new BigDecimal(written.replace(',', '.')))
        : Optional.empty();
  }

  /** A number of a document, half up; empty where no whole number can hold it. */
  static OptionalInt whole(double value) {
    return Math.abs(value) > Short.MAX_VALUE
        ? OptionalInt.empty()
        : OptionalInt.of(Rounding.halfUp(BigDecimal.valueOf(value)));
  }
}
