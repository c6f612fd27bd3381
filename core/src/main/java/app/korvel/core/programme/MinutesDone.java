package app.korvel.core.programme;

import app.korvel.core.measure.Threshold;
import java.util.List;
import java.util.stream.Stream;

/**
 * Minutes of work done, week by week: what the growth of a programme is limited by.
 *
 * @param before of the weeks before its first one, the latest last; as many as are looked back at
 * @param weeks of its own weeks, from the first on
 */
public record MinutesDone(List<Integer> before, List<Integer> weeks) {
  /** How many weeks before the first one count. */
  public static final int WEEKS_BEFORE = Threshold.WEEKS_LOOKED_BACK.whole();

  /** Nothing was done before it. */
  public static final MinutesDone NONE = new MinutesDone(List.of(), List.of());

  public MinutesDone {
    before = List.copyOf(before);
    weeks = List.copyOf(weeks);
  }

  /** Those of its own weeks, with nothing before it. */
  public static MinutesDone of(List<Integer> weeks) {
    return new MinutesDone(List.of(), weeks);
  }

  /** All up to that week of it, in order. */
  List<Integer> upTo(int week) {
    return Stream.concat(before.stream(), weeks.subList(0, week).stream()).toList();
  }
}
