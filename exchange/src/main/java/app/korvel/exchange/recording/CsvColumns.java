package app.korvel.exchange.recording;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import tools.jackson.databind.json.JsonMapper;

/**
 * How the columns of a CSV are read: guessed from their headings, shown, corrected where the guess
 * was wrong, and remembered for the next file with the same headings.
 *
 * @param names the headings; “Column 1” and so on where there are none
 * @param firstRow the first row, to choose by
 * @param choice what is read from which
 */
public record CsvColumns(List<String> names, List<String> firstRow, Choice choice) {

  /**
   * What is read from which column, counted from 0; −1 is none.
   *
   * @param rate of the heart rate
   * @param time of the time
   * @param date of the day, where it stands apart from the time
   * @param steps of the step rate
   * @param order of day and month, where it matters and is known
   */
  public record Choice(int rate, int time, int date, int steps, Optional<DateOrder> order) {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** As a document. */
    public String document() {
      return JSON.writeValueAsString(this);
    }

    /** The choice of a document. */
    public static Choice of(String document) {
      return JSON.readValue(document, Choice.class);
    }

    private Choice within(int columns) {
      return new Choice(
          within(rate, columns),
          within(time, columns),
          within(date, columns),
          within(steps, columns),
          order);
    }

    private static int within(int column, int columns) {
      return column >= 0 && column < columns ? column : NONE;
    }

    /** The last column that is needed. */
    int last() {
      return Math.max(Math.max(rate, time), Math.max(date, steps));
    }
  }

  /** No column. */
  public static final int NONE = -1;

  /** More columns are no table of a recording. */
  public static final int MOST = 200;

  /** Which comes first in a date like 3/4/2030. */
  public enum DateOrder {
    DAY_FIRST,
    MONTH_FIRST
  }

  /** What a column can hold, with the headings that say so. */
  private enum Meaning {
    RATE("heartrate", "hr", "bpm", "pulse", "heartratebpm", "hrbpm", "pulsebpm", "heartbeatsmin"),
    TIME(
        "time",
        "timestamp",
        "datetime",
        "dateandtime",
        "seconds",
        "second",
        "sec",
        "secs",
        "s",
        "elapsed",
        "elapsedtime",
        "elapsedseconds",
        "times",
        "timesec",
        "duration"),
    DATE("date", "day"),
    STEPS("steps", "steprate", "cadence", "stepsmin", "spm", "cad", "runcadence", "cadencespm");

    private final List<String> headings;

    Meaning(String... headings) {
      this.headings = List.of(headings);
    }

    private int place(String heading) {
      return headings.indexOf(heading.toLowerCase(Locale.ROOT).replaceAll("[^a-z]", ""));
    }

    private boolean is(String heading) {
      return place(heading) >= 0;
    }

    /** The column whose heading says so most plainly; none where no one does. */
    private int in(List<String> names) {
      return IntStream.range(0, names.size())
          .filter(column -> is(names.get(column)))
          .boxed()
          .min(Comparator.comparingInt(column -> place(names.get(column))))
          .orElse(NONE);
    }

    /** The one column that says so; none where several do. */
    private int onlyIn(List<String> names) {
      return names.stream().filter(this::is).count() == 1 ? in(names) : NONE;
    }
  }

  public CsvColumns {
    names = List.copyOf(names);
    firstRow = List.copyOf(firstRow);
  }

  /** Whether a line looks like headings of a recording. */
  static boolean headings(List<String> cells) {
    return cells.size() > 1 && cells.stream().anyMatch(Meaning.RATE::is);
  }

  static CsvColumns guess(List<String> names, List<String> firstRow) {
    return new CsvColumns(
        names,
        firstRow,
        new Choice(
            Meaning.RATE.onlyIn(names),
            Meaning.TIME.in(names),
            Meaning.DATE.in(names),
            Meaning.STEPS.in(names),
            Optional.empty()));
  }

  /** These names, read as somebody said, or as was remembered. */
  CsvColumns readAs(Choice said) {
    return new CsvColumns(names, firstRow, said.within(names.size()));
  }

  /** What a file with the same headings is known by. */
  public String signature() {
    return String.join("\n", names).toLowerCase(Locale.ROOT);
  }
}
