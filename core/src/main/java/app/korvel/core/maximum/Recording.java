package app.korvel.core.maximum;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Threshold;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A recorded session as far as its peak is concerned: a rate for each moment, and step rate where
 * it was recorded too.
 *
 * <p>Traces are primitive arrays of one length; they are not changed.
 *
 * @param seconds since the start, rising
 * @param bpm 0 where there was no contact
 * @param steps steps a minute; empty where they were not recorded
 */
record Recording(int[] seconds, int[] bpm, Optional<int[]> steps) {

  static final String ACCEPTED =
      "lines of “seconds,bpm” or “seconds,bpm,steps” under a line that names them, whole numbers,"
          + " seconds rising, up to "
          + Threshold.RECORDING_LONGEST.whole()
          + " lines";

  /**
   * Reads a recording as CSV.
   *
   * @throws InvalidValueException when it is not one; it names the first line that is off
   */
  static Recording parse(String csv) {
    List<String> lines = csv.lines().map(String::strip).filter(line -> !line.isEmpty()).toList();
    if (lines.isEmpty()) {
      throw off("is empty");
    }
    List<String> names = fields(lines.get(0).toLowerCase(Locale.ROOT));
    boolean withSteps = names.equals(List.of("seconds", "bpm", "steps"));
    if (!withSteps && !names.equals(List.of("seconds", "bpm"))) {
      throw off("line 1 does not name the columns");
    }
    int length = lines.size() - 1;
    if (length > Threshold.RECORDING_LONGEST.whole()) {
      throw off("has " + length + " lines");
    }
    int[][] columns = new int[names.size()][length];
    for (int i = 0; i < length; i++) {
      List<String> fields = fields(lines.get(i + 1));
      if (fields.size() != names.size()) {
        throw off("line " + (i + 2) + " has " + fields.size() + " fields");
      }
      for (int column = 0; column < names.size(); column++) {
        columns[column][i] = whole(fields.get(column), i + 2);
      }
      if (i > 0 && columns[0][i] <= columns[0][i - 1]) {
        throw off("line " + (i + 2) + ": the seconds do not rise");
      }
    }
    return new Recording(
        columns[0], columns[1], withSteps ? Optional.of(columns[2]) : Optional.empty());
  }

  private static List<String> fields(String line) {
    List<String> fields = new ArrayList<>();
    Arrays.stream(line.split(",", -1)).map(String::strip).forEach(fields::add);
    return fields;
  }

  private static int whole(String field, int line) {
    // An empty field is a moment without contact.
    if (field.isEmpty()) {
      return 0;
    }
    if (!field.matches("\\d{1,6}")) {
      throw off("line " + line + ": “" + field + "” is not a whole number");
    }
    return Integer.parseInt(field);
  }

  private static InvalidValueException off(String what) {
    return InvalidValueException.of("csv", what, ACCEPTED);
  }

  Recording withoutSteps() {
    return new Recording(seconds, bpm, Optional.empty());
  }

  int length() {
    return seconds.length;
  }
}
