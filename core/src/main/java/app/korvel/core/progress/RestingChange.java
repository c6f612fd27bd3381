package app.korvel.core.progress;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Whether a resting rate has changed: the median of the latest three readings against that of the
 * first three of the same posture and source, all graded fair or better.
 *
 * @param posture of all of them
 * @param source of all of them
 * @param readings what was taken so, the earliest first
 * @param thenBpm the median of the first three
 * @param nowBpm the median of the latest three
 * @param changed whether they differ by more than noise
 * @param finding the same in words
 */
public record RestingChange(
    Posture posture,
    PulseSource source,
    List<RestingReading> readings,
    int thenBpm,
    int nowBpm,
    boolean changed,
    Finding finding) {
  private static final int MEDIAN_OF = Threshold.RESTING_MEDIAN.whole();
  private static final int CHANGE = Threshold.RESTING_CHANGE.whole();

  public RestingChange {
    readings = List.copyOf(readings);
  }

  /**
   * Since a day.
   *
   * @param all in any order
   * @param since earlier readings are left out
   * @param comparableFrom readings from before it are left out too: a medicine that touches the
   *     rate changed then
   * @return empty with fewer than six readings taken alike
   */
  public static Optional<RestingChange> since(
      List<RestingReading> all, LocalDate since, Optional<Instant> comparableFrom, ZoneId zone) {
    List<RestingReading> latestFirst =
        all.stream()
            .filter(reading -> reading.grade() != Grade.POOR)
            .filter(reading -> !LocalDate.ofInstant(reading.takenAt(), zone).isBefore(since))
            .filter(
                reading -> comparableFrom.map(at -> !reading.takenAt().isBefore(at)).orElse(true))
            .sorted(Comparator.comparing(RestingReading::takenAt).reversed())
            .toList();
    return latestFirst.stream()
        .map(
            latest ->
                latestFirst.stream()
                    .filter(other -> other.posture() == latest.posture())
                    .filter(other -> other.source() == latest.source())
                    .sorted(Comparator.comparing(RestingReading::takenAt))
                    .toList())
        .filter(alike -> alike.size() >= 2 * MEDIAN_OF)
        .findFirst()
        .map(RestingChange::of);
  }

  private static RestingChange of(List<RestingReading> alike) {
    RestingReading any = alike.get(0);
    int then = median(alike.subList(0, MEDIAN_OF));
    int now = median(alike.subList(alike.size() - MEDIAN_OF, alike.size()));
    boolean changed = Math.abs(now - then) >= CHANGE;
    return new RestingChange(
        any.posture(),
        any.source(),
        alike,
        then,
        now,
        changed,
        (changed ? ProgressFinding.RESTING_CHANGED : unchanged(then, now))
            .ofFirst(then, now, now < then ? "lower" : "higher", Math.abs(now - then), taken(any)));
  }

  /** How a reading was taken, in words. */
  static String taken(RestingReading reading) {
    return reading.posture().name().toLowerCase(Locale.ROOT)
        + ", by "
        + reading.source().name().toLowerCase(Locale.ROOT);
  }

  private static ProgressFinding unchanged(int then, int now) {
    return Math.abs(now - then) >= Threshold.RESTING_PERHAPS.whole()
        ? ProgressFinding.RESTING_PERHAPS
        : ProgressFinding.RESTING_UNCHANGED;
  }

  private static int median(List<RestingReading> three) {
    return three.stream().map(RestingReading::bpm).sorted().toList().get(1);
  }
}
