package app.korvel.core.forecast;

import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * How well somebody's last sessions were foreseen.
 *
 * @param sessions the latest, {@link Threshold#FORECAST_SESSIONS} at most, the earliest first
 * @param kinetics what they tell of how fast the heart follows
 * @param finding that sessions were harder than they were foreseen, where the rule says so
 */
public record ForecastRecord(
    List<Foreseen> sessions, Kinetics kinetics, Optional<Finding> finding) {

  /** A session of a day. */
  public record Foreseen(UUID session, LocalDate on, ForeseenSession told) {}

  public ForecastRecord {
    sessions = List.copyOf(sessions);
  }

  /**
   * Looks over them.
   *
   * @param trained whether the client is regularly active
   * @param sessions the latest, the earliest first; of more the last ones are taken
   */
  public static ForecastRecord of(boolean trained, List<Foreseen> sessions, LocalDate today) {
    int from = Math.max(0, sessions.size() - Threshold.FORECAST_SESSIONS.whole());
    List<Foreseen> latest = sessions.subList(from, sessions.size());
    LocalDate since = today.minusDays(Threshold.FORECAST_HARDER_WITHIN.whole());
    long harder =
        latest.stream()
            .filter(each -> each.on.isAfter(since))
            .filter(
                each -> each.told.settledOffBpm().orElse(0) > Threshold.FORECAST_HARDER_BY.whole())
            .count();
    return new ForecastRecord(
        latest,
        Kinetics.of(trained, latest.stream().map(Foreseen::told).toList()),
        harder >= Threshold.FORECAST_HARDER_SESSIONS.whole()
            ? Optional.of(
                ForecastFinding.HARDER_THAN_IT_WAS.of(harder, Days.ofTheYear(since.plusDays(1))))
            : Optional.empty());
  }
}
