package app.korvel.core.progress;

import app.korvel.core.measure.Finding;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Values that were taken alike, over time. Where medication that touches the heart rate changed
 * they are another series: nothing is compared across it.
 *
 * @param kind what they are
 * @param alike how all of them were taken, in words
 * @param points the earliest first
 * @param finding whether the last of them differ from the first by more than chance; empty where
 *     the last series holds too few
 */
public record Trend(Kind kind, String alike, List<Point> points, Optional<Finding> finding) {

  /** What is followed over time. */
  public enum Kind {
    RESTING("Resting heart rate"),
    RECOVERY("Fall in 60 s"),
    SAME_WORK("Rate at the same work");

    private final String displayName;

    Kind(String displayName) {
      this.displayName = displayName;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }
  }

  /** A value of a day, bpm. */
  public record Value(LocalDate on, int bpm) {}

  /**
   * A value in its series.
   *
   * @param series how many changes of medication lie before it
   */
  public record Point(LocalDate on, int bpm, int series) {}

  public Trend {
    points = List.copyOf(points);
  }

  /**
   * A trend whose first and last value of the last series are compared.
   *
   * @param noise from so many bpm on a difference is a change
   * @param medicineChanges the days on which medication changed; the change comes before what was
   *     taken on its day
   */
  public static Trend of(
      Kind kind,
      String alike,
      Collection<Value> values,
      int noise,
      Collection<LocalDate> medicineChanges) {
    List<Point> points = points(values, medicineChanges);
    return new Trend(kind, alike, points, compared(kind, alike, points, noise));
  }

  /** Values in their series, the earliest first. */
  public static List<Point> points(
      Collection<Value> values, Collection<LocalDate> medicineChanges) {
    List<Point> points = new ArrayList<>();
    values.stream()
        .sorted(Comparator.comparing(Value::on))
        .forEach(
            value ->
                points.add(
                    new Point(
                        value.on,
                        value.bpm,
                        (int)
                            medicineChanges.stream()
                                .filter(change -> !change.isAfter(value.on))
                                .count())));
    return points;
  }

  private static Optional<Finding> compared(
      Kind kind, String alike, List<Point> points, int noise) {
    if (points.isEmpty()) {
      return Optional.empty();
    }
    Point last = points.get(points.size() - 1);
    Point first =
        points.stream().filter(point -> point.series == last.series).findFirst().orElse(last);
    if (first == last) {
      return Optional.empty();
    }
    int change = last.bpm - first.bpm;
    String what = kind.displayName + ", " + alike;
    return Optional.of(
        Math.abs(change) >= noise
            ? ProgressFinding.TREND_CHANGED.of(
                what, change < 0 ? "lower" : "higher", Math.abs(change), first.bpm, last.bpm, noise)
            : ProgressFinding.TREND_UNCHANGED.of(what, first.bpm, last.bpm, noise));
  }

  /** Whether its change is more than chance. */
  public boolean changed() {
    return finding
        .filter(
            said ->
                said.code().equals(ProgressFinding.TREND_CHANGED.code())
                    || said.code().equals(ProgressFinding.RESTING_CHANGED.code()))
        .isPresent();
  }
}
