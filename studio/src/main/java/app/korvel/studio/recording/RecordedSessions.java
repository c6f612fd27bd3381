package app.korvel.studio.recording;

import app.korvel.core.forecast.ForecastRecord.Foreseen;
import app.korvel.core.forecast.ForeseenSession;
import app.korvel.core.forecast.Kinetics;
import app.korvel.core.live.RecordedSession;
import app.korvel.core.measure.Threshold;
import app.korvel.store.SessionSummaryRepository;
import app.korvel.store.SessionSummaryRepository.Summed;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHistory;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/** What a client's sessions on the clock came to, each worked out once. */
public record RecordedSessions(Studio studio) {
  /** So many are worked out in one unit of work, so that nobody waits long to write. */
  private static final int AT_ONCE = 20;

  /** Those since a day, the earliest first. */
  public List<Summed> since(UUID client, LocalDate from) {
    workOut(client);
    return studio.store().summaries().since(client, from);
  }

  /** Those in which the rate fell after an effort, and that was measured. */
  public List<Summed> withFalls(UUID client, LocalDate from) {
    workOut(client);
    return studio.store().summaries().withFalls(client, from);
  }

  /** The latest of those before a day that tell something of the heart, the earliest first. */
  public List<Foreseen> foreseen(UUID client, LocalDate before) {
    workOut(client);
    return latest(client, before);
  }

  private List<Foreseen> latest(UUID client, LocalDate before) {
    return studio.store().summaries().foreseen(client, before, Threshold.FORECAST_SESSIONS.whole());
  }

  private void workOut(UUID client) {
    SessionSummaryRepository summaries = studio.store().summaries();
    List<UUID> missing = summaries.missing(client);
    if (missing.isEmpty()) {
      return;
    }
    ClientHistory history = ClientHistory.of(studio, client);
    for (int from = 0; from < missing.size(); from += AT_ONCE) {
      List<UUID> some = missing.subList(from, Math.min(missing.size(), from + AT_ONCE));
      studio.write(
          Actor.INSTRUCTOR,
          () -> {
            some.forEach(session -> keep(client, session, history));
            return some.size();
          });
    }
  }

  /** Its forecast is one of its own day: by what the sessions before it told. */
  private void keep(UUID client, UUID session, ClientHistory history) {
    LiveSessions.LiveNow stands = new LiveSessions(studio).get(session);
    LocalDate day =
        LocalDate.ofInstant(
            stands.session().begunAt().orElse(stands.opened().openedAt()), studio.zone());
    Kinetics then =
        Kinetics.of(
            history.regularlyActive(day),
            latest(client, day).stream().map(Foreseen::told).toList());
    studio
        .store()
        .summaries()
        .keep(
            client,
            new Summed(
                session,
                day,
                RecordedSession.of(stands.session()),
                ForeseenSession.of(stands.session(), then)));
  }
}
