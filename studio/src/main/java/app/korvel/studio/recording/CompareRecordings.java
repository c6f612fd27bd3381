package app.korvel.studio.recording;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.trace.Agreement;
import app.korvel.core.trace.Samples;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Level;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.live.LiveSessions.LiveNow;
import app.korvel.studio.recording.StrongerRecording.Candidate;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Lays two recordings of one session over each other. */
public record CompareRecordings(Studio studio) {
  /**
   * One of the two.
   *
   * @param name of its file; empty for what was recorded here
   * @param device its id; empty for what was recorded here
   */
  public record Side(String name, Optional<UUID> device, RateSource source, Trace trace) {}

  /**
   * Both.
   *
   * @param reference the stronger one, which the session is judged by
   * @param agreement empty where they cannot be compared, since one has too few points
   */
  public record Compared(
      UUID session,
      UUID client,
      Instant begunAt,
      Side reference,
      Side second,
      Optional<Agreement> agreement) {}

  /** Whether a session has more than one. */
  public boolean several(Opened opened) {
    return new StrongerRecording(studio).of(opened).size() > 1;
  }

  /** Those of a session; empty where it has only one. */
  public Optional<Compared> of(UUID session) {
    LiveNow stands = new LiveSessions(studio).get(session);
    Opened opened = stands.opened();
    List<Candidate> all = new StrongerRecording(studio).of(opened);
    if (all.size() < 2 || stands.session().begunAt().isEmpty()) {
      return Optional.empty();
    }
    Instant begun = stands.session().begunAt().get();
    Instant until = stands.session().over().map(each -> each.at()).orElse(stands.now());
    Side reference = side(opened, all.get(0), begun, until);
    Side second = side(opened, all.get(1), begun, until);
    boolean comparable = !all.get(0).sparse() && !all.get(1).sparse();
    int talkEnds =
        opened.plan().mover().reserve().map(span -> Ladder.of(span).from(Level.PHRASES)).orElse(0);
    return Optional.of(
        new Compared(
            session,
            opened.clientId(),
            begun,
            reference,
            second,
            comparable
                ? Optional.of(
                    Agreement.of(
                        reference.trace,
                        second.trace,
                        steps(all.get(1), begun, second.trace.seconds()),
                        talkEnds))
                : Optional.empty()));
  }

  private Side side(Opened opened, Candidate candidate, Instant begun, Instant until) {
    Samples samples =
        candidate
            .device()
            .map(each -> each.recording().samples())
            .orElseGet(() -> studio.store().live().samples(opened.id(), opened.openedAt()));
    return new Side(
        candidate.device().map(Brought::fileName).orElse(""),
        candidate.device().map(Brought::id),
        candidate.source(),
        samples.trace(begun, until));
  }

  /** The step rates of the second one, by the second of the session less one. */
  private static int[] steps(Candidate second, Instant begun, int seconds) {
    int[] own = second.device().map(each -> each.recording().stepsBySecond()).orElse(new int[0]);
    if (own.length == 0) {
      return own;
    }
    long late = Duration.between(begun, second.device().get().recording().startedAt()).toSeconds();
    int[] steps = new int[seconds];
    for (int n = 0; n < seconds; n++) {
      long at = n - late;
      steps[n] = at >= 0 && at < own.length ? own[(int) at] : 0;
    }
    return steps;
  }
}
