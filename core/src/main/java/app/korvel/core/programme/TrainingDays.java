package app.korvel.core.programme;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Which of the days someone has are trained on: those that lie furthest apart. */
final class TrainingDays {
  private static final int WEEK = 7;

  private TrainingDays() {}

  /**
   * So many of those days.
   *
   * @param count not more than there are
   * @return in the order of the week
   */
  static List<DayOfWeek> spread(Collection<DayOfWeek> available, int count) {
    List<DayOfWeek> days = available.stream().distinct().sorted().toList();
    return IntStream.range(0, 1 << days.size())
        .filter(mask -> Integer.bitCount(mask) == count)
        .mapToObj(
            mask ->
                IntStream.range(0, days.size())
                    .filter(i -> (mask >> i & 1) == 1)
                    .mapToObj(days::get)
                    .toList())
        .max(Comparator.comparing(TrainingDays::gaps, TrainingDays::compare))
        .orElseThrow();
  }

  /** The gaps from one to the next, round the week, the smallest first. */
  private static List<Integer> gaps(List<DayOfWeek> days) {
    List<Integer> gaps = new ArrayList<>();
    for (int i = 0; i < days.size(); i++) {
      int next = days.get((i + 1) % days.size()).getValue();
      gaps.add(Math.floorMod(next - days.get(i).getValue() - 1, WEEK) + 1);
    }
    return gaps.stream().sorted().toList();
  }

  private static int compare(List<Integer> one, List<Integer> other) {
    for (int i = 0; i < one.size(); i++) {
      if (!one.get(i).equals(other.get(i))) {
        return one.get(i) - other.get(i);
      }
    }
    return 0;
  }
}
