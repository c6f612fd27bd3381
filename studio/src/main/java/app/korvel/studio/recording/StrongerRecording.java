package app.korvel.studio.recording;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveSummary;
import app.korvel.core.live.Recording;
import app.korvel.core.session.SessionLog;
import app.korvel.core.trace.Samples;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.live.LogLiveSession;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Of several recordings of one session the strongest is used; of two alike the one there first. */
record StrongerRecording(Studio studio) {

  /**
   * A recording of a session.
   *
   * @param device empty for the session's own samples
   */
  record Candidate(Optional<Brought> device, RateSource source, boolean sparse) {
    private Recording.Strength strength() {
      return new Recording.Strength(sparse, source);
    }
  }

  /** The recordings of a session that stand, the strongest first. */
  List<Candidate> of(Opened opened) {
    List<Candidate> all = new ArrayList<>();
    Samples own = studio.store().live().samples(opened.id(), opened.openedAt());
    if (!opened.broughtIn() && own.size() > 0) {
      all.add(new Candidate(Optional.empty(), opened.source(), false));
    }
    studio
        .store()
        .recordings()
        .ofSession(opened.id())
        .forEach(
            each ->
                all.add(
                    new Candidate(Optional.of(each), each.readBy(), each.recording().sparse())));
    all.sort(Comparator.comparing(Candidate::strength));
    return all;
  }

  /** Judges a session by the stronger of its recordings, and its log too. */
  void settle(UUID session) {
    LiveSessions sessions = new LiveSessions(studio);
    Opened opened = sessions.opened(session);
    Optional<UUID> strongest =
        of(opened).stream().findFirst().flatMap(Candidate::device).map(Brought::id);
    if (strongest.equals(opened.device())) {
      return;
    }
    studio.store().live().judgeBy(session, strongest);
    sessions.get(session).log().ifPresent(log -> relog(session, log));
  }

  private void relog(UUID session, SessionLog log) {
    LiveSessions.LiveNow stands = new LiveSessions(studio).get(session);
    SessionLog right =
        log.withId(studio.nextId())
            .withRate(LogLiveSession.rate(stands, LiveSummary.of(stands.session())));
    studio.store().logs().correct(stands.opened().clientId(), log.id(), right, studio.now());
  }
}
