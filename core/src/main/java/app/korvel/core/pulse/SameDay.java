package app.korvel.core.pulse;

import app.korvel.core.measure.Threshold;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;

/**
 * Which resting readings count, where several were taken on one day: one that departs far from
 * those before it, as 86 does after 68, is not taken for usual unless somebody said that it is.
 */
final class SameDay {
  private static final int FAR = Threshold.RESTING_DEPARTS.whole();

  private SameDay() {}

  /** Those that count, in the order in which they were taken. */
  static List<RestingReading> counting(List<RestingReading> readings, ZoneId zone) {
    List<RestingReading> counting = new ArrayList<>();
    readings.stream()
        .sorted(
            Comparator.comparing(RestingReading::takenAt)
                .thenComparing(reading -> reading.id().toString()))
        .filter(reading -> departure(reading, counting, zone).isEmpty())
        .forEach(counting::add);
    return counting;
  }

  /**
   * The rate that a reading departs far from: the middle one of those counted earlier that day in
   * the same posture, and graded no worse.
   *
   * @param counting readings that count, in any order
   * @return nothing where it does not, or was said to be usual
   */
  static OptionalInt departure(RestingReading reading, List<RestingReading> counting, ZoneId zone) {
    if (reading.asUsual() || reading.source() == PulseSource.OVERNIGHT) {
      return OptionalInt.empty();
    }
    LocalDate day = LocalDate.ofInstant(reading.takenAt(), zone);
    List<Integer> before =
        counting.stream()
            .filter(each -> each.takenAt().isBefore(reading.takenAt()))
            .filter(each -> LocalDate.ofInstant(each.takenAt(), zone).equals(day))
            .filter(each -> each.posture() == reading.posture())
            .filter(each -> each.source() != PulseSource.OVERNIGHT)
            .filter(each -> each.grade().compareTo(reading.grade()) <= 0)
            .map(RestingReading::bpm)
            .sorted()
            .toList();
    if (before.isEmpty()) {
      return OptionalInt.empty();
    }
    int middle = before.get((before.size() - 1) / 2);
    return Math.abs(reading.bpm() - middle) >= FAR ? OptionalInt.of(middle) : OptionalInt.empty();
  }
}
