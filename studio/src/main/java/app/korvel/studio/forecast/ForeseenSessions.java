package app.korvel.studio.forecast;

import app.korvel.core.forecast.Forecast;
import app.korvel.core.forecast.ForecastRecord;
import app.korvel.core.forecast.ForecastRecord.Foreseen;
import app.korvel.core.forecast.ForecastReview;
import app.korvel.core.forecast.Kinetics;
import app.korvel.core.forecast.SessionForecast;
import app.korvel.studio.ClientHistory;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.live.LiveSessions.LiveNow;
import app.korvel.studio.recording.RecordedSessions;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/** Sessions on the clock against their forecasts. */
public record ForeseenSessions(Studio studio) {

  /**
   * A session and its forecast.
   *
   * @param forecast of its steps as they came and are to come; empty where there is none
   * @param review against its rate, once it has begun
   */
  public record OfSession(
      LiveNow stands, Optional<Forecast> forecast, Optional<ForecastReview> review) {}

  /** How a client's last sessions were foreseen. */
  public ForecastRecord of(UUID client) {
    LocalDate today = studio.today();
    return ForecastRecord.of(
        studio.head(client).screening().person().activity().regularlyActive(),
        new RecordedSessions(studio).foreseen(client, today.plusDays(1)),
        today);
  }

  /** How fast a client's heart is taken to follow, by the sessions before a day. */
  public Kinetics kinetics(UUID client, boolean regularlyActive, LocalDate before) {
    return Kinetics.of(
        regularlyActive,
        new RecordedSessions(studio)
            .foreseen(client, before).stream().map(Foreseen::told).toList());
  }

  /** A session, foreseen by what was known before its day. */
  public OfSession ofSession(UUID session) {
    LiveNow stands = new LiveSessions(studio).get(session);
    UUID client = stands.opened().clientId();
    LocalDate day = LocalDate.ofInstant(stands.opened().openedAt(), studio.zone());
    Kinetics then = kinetics(client, ClientHistory.of(studio, client).regularlyActive(day), day);
    Optional<ForecastReview> review = ForecastReview.of(stands.session(), then);
    return new OfSession(
        stands,
        review.map(ForecastReview::forecast).or(() -> SessionForecast.of(stands.session(), then)),
        review);
  }
}
