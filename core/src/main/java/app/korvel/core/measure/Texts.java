package app.korvel.core.measure;

import app.korvel.core.measure.InvalidValueException.Fault;
import java.util.List;

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
    } else if (text.codePoints().anyMatch(Character::isISOControl)) {
      faults.add(new Fault(field, "holds a control character", "plain text on one line"));
    }
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
