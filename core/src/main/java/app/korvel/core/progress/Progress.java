package app.korvel.core.progress;

import app.korvel.core.measure.Rounding;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.session.SessionLog;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * What has come of the training of one client.
 *
 * @param weeks the earliest first, up to this one
 * @param planned sessions that were due in them
 * @param done of those
 * @param resting whether the resting rate has changed; empty with too few readings taken alike
 * @param targets how hard the same target felt
 */
public record Progress(
    List<TrainedWeek> weeks,
    int planned,
    int done,
    Optional<RestingChange> resting,
    List<SameTarget> targets) {

  /** How many weeks are looked at. */
  public static final int WEEKS = 12;

  private static final int LATELY = 4;

  public Progress {
    weeks = List.copyOf(weeks);
    targets = List.copyOf(targets);
  }

  /**
   * Of the last {@value #WEEKS} weeks.
   *
   * @param planned every session that was to be done
   * @param logs every log, in any order
   * @param readings every resting reading, in any order
   * @param thisWeek the first day of the week that today lies in
   * @param medicinesChangedAt readings from before it are not compared with later ones
   */
  public static Progress of(
      Collection<TrainedWeek.Due> planned,
      Collection<SessionLog> logs,
      List<RestingReading> readings,
      Optional<Instant> medicinesChangedAt,
      LocalDate thisWeek,
      LocalDate today,
      ZoneId zone) {
    List<TrainedWeek> weeks = TrainedWeek.of(planned, logs, WEEKS, thisWeek, today);
    LocalDate since = weeks.get(0).startsOn();
    return new Progress(
        weeks,
        weeks.stream().mapToInt(TrainedWeek::planned).sum(),
        weeks.stream().mapToInt(TrainedWeek::done).sum(),
        // A resting trend takes longer than a training block: a year of it is compared.
        RestingChange.since(readings, today.minusYears(1), medicinesChangedAt, zone),
        SameTarget.of(logs.stream().filter(log -> !log.on().isBefore(since)).toList()));
  }

  /** Sessions done of those that were due, whole percent down; empty where none was. */
  public Optional<Integer> adherencePercent() {
    return planned == 0 ? Optional.empty() : Optional.of(100 * done / planned);
  }

  /**
   * The last weeks together.
   *
   * @param planned sessions that were due in them
   * @param done of those
   * @param extra sessions that were done besides
   * @param moderateEquivalentMinutes a week on average, half up
   */
  public record Lately(int planned, int done, int extra, int moderateEquivalentMinutes) {}

  /** The last {@value #LATELY} weeks, this one included. */
  public Lately lately() {
    List<TrainedWeek> last = weeks.subList(weeks.size() - LATELY, weeks.size());
    return new Lately(
        last.stream().mapToInt(TrainedWeek::planned).sum(),
        last.stream().mapToInt(TrainedWeek::done).sum(),
        last.stream().mapToInt(TrainedWeek::extra).sum(),
        Rounding.quotient(
            last.stream().mapToInt(TrainedWeek::moderateEquivalentMinutes).sum(), LATELY));
  }
}
