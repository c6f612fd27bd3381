package app.korvel.core.measure;

import app.korvel.core.measure.InvalidValueException.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Checks of short texts and days that records share. */
public final class Texts {
  private Texts() {}

  /** Adds a fault where {@code text} is not one line of so many characters. */
  public static void check(List<Fault> faults, String field, String text, int least, int most) {
    String accepted =
        least == 0 ? "up to " + most + " characters" : least + " to " + most + " characters";
    int length = text.codePointCount(0, text.length());
    if (length < least) {
      faults.add(new Fault(field, length == 0 ? "is empty" : "is too short", accepted));
    } else if (length > most) {
      faults.add(new Fault(field, "has " + length + " characters", accepted));
    } else if (least > 0 && text.codePoints().allMatch(Texts::invisible)) {
      faults.add(new Fault(field, "holds nothing that can be seen", accepted));
    } else {
      text.codePoints()
          .filter(point -> what(point) != null)
          .findFirst()
          .ifPresent(
              point ->
                  faults.add(
                      new Fault(
                          field,
                          String.format(Locale.ROOT, "holds %s (U+%04X)", what(point), point),
                          "plain text on one line")));
    }
  }

  /**
   * One text on its own, without white space at its ends.
   *
   * @throws InvalidValueException as {@link #check}
   */
  public static String checked(String field, String text, int least, int most) {
    List<Fault> faults = new ArrayList<>();
    check(faults, field, text.strip(), least, most);
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return text.strip();
  }

  /** What a character is that no plain text on one line holds; null for one that it does. */
  private static String what(int point) {
    if (Character.isISOControl(point)) {
      return "a control character";
    }
    if (Character.getType(point) == Character.SURROGATE) {
      return "half a character";
    }
    if (Character.getType(point) == Character.LINE_SEPARATOR
        || Character.getType(point) == Character.PARAGRAPH_SEPARATOR) {
      return "a line break";
    }
    // Embeddings, overrides and isolates: what follows would be read in another order.
    return (point >= 0x202A && point <= 0x202E) || (point >= 0x2066 && point <= 0x2069)
        ? "a direction override"
        : null;
  }

  /** Characters that draw nothing, though they are no white space. */
  private static final Set<Integer> BLANKS = Set.of(0x115F, 0x1160, 0x2800, 0x3164, 0xFFA0);

  private static boolean invisible(int point) {
    return switch (Character.getType(point)) {
      case Character.FORMAT,
          Character.SPACE_SEPARATOR,
          Character.NON_SPACING_MARK,
          Character.ENCLOSING_MARK,
          Character.UNASSIGNED ->
          true;
      default -> BLANKS.contains(point);
    };
  }

  /** A clause that ends as a sentence does. */
  public static String sentence(String clause) {
    return clause.endsWith(".") ? clause : clause + ".";
  }

  /** A day that has not come yet. */
  public static Fault future(String field) {
    return new Fault(field, "lies in the future", "today or a day in the past");
  }
}
