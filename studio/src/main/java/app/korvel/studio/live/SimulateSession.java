package app.korvel.studio.live;

import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions.LiveNow;
import java.time.Instant;
import java.util.UUID;

/** Lets the simulated strap of a session send all that it would have sent by a moment. */
public record SimulateSession(Studio studio) {
  private static final int AT_ONCE_SECONDS = 60;

  /** Hands it in, minute by minute. */
  public void by(Actor who, UUID session, Instant until) {
    LiveSessions sessions = new LiveSessions(studio);
    LiveNow stands = sessions.now(sessions.opened(session), sessions.opened(session).openedAt());
    SimulatedClient client = new SimulatedClient(stands);
    Instant now = stands.now();
    while (now.isBefore(until)) {
      now =
          now.plusSeconds(AT_ONCE_SECONDS).isBefore(until)
              ? now.plusSeconds(AT_ONCE_SECONDS)
              : until;
      client
          .until(sessions.now(stands.opened(), now).session())
          .ifPresent(
              sent -> new TakeSamples(studio).by(who, session, sent.sequence(), sent.handed()));
    }
    studio.store().live().putTogether(session);
  }
}
