package app.korvel.studio.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LiveSession;
import app.korvel.core.live.Recording;
import app.korvel.core.session.SessionLog;
import app.korvel.core.trace.Samples;
import app.korvel.core.trace.Trace;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/** Sessions on the clock as they stand. */
public record LiveSessions(Studio studio) {

  /**
   * A session as it stands.
   *
   * @param now what time it is by its clock
   * @param lastAt when the last sample was taken or the last thing happened
   * @param recordedUntil when the last sample was taken; when it was opened, before the first
   * @param latestBpm the rate of the last sample, if it still stands
   * @param log its log, if it was logged
   */
  public record LiveNow(
      Opened opened,
      LiveSession session,
      Instant now,
      Instant lastAt,
      Instant recordedUntil,
      OptionalInt latestBpm,
      Optional<SessionLog> log) {}

  /**
   * What time it is by the clock of a session: the studio's, but for a simulated client whose time
   * goes faster. Nothing else knows of that.
   */
  public Instant now(Opened opened) {
    return now(opened.openedAt(), opened.speed());
  }

  /** What time it is by a clock that goes faster from a moment on. */
  Instant now(Instant since, int speed) {
    Instant now = studio.now();
    return speed == 1 ? now : since.plus(Duration.between(since, now).multipliedBy(speed));
  }

  /**
   * The session of that id, to add something to.
   *
   * @throws NotFoundException when there is none
   */
  public Opened opened(UUID id) {
    return studio
        .store()
        .live()
        .get(id)
        .orElseThrow(() -> NotFoundException.of("There is no session %s.", id));
  }

  /**
   * The session of that id, as it stands now.
   *
   * @throws NotFoundException when there is none
   */
  public LiveNow get(UUID id) {
    return studio.read(
        () -> {
          Opened opened = opened(id);
          return now(opened, now(opened));
        });
  }

  /** A session that was read before, as it stands now. */
  public LiveNow again(Opened opened) {
    return studio.read(() -> now(opened, now(opened)));
  }

  /** A session as it stood or stands at a moment. */
  LiveNow now(Opened opened, Instant now) {
    UUID id = opened.id();
    List<LiveEvent> events = studio.store().live().events(id);
    Recording recording = new Recordings(studio).of(opened, events);
    Samples samples = recording.samples();
    LiveSession session =
        LiveSession.of(opened.plan(), source(opened), judgedBy(opened, events), recording, now);
    Instant happened =
        session.events().stream()
            .map(event -> event.at())
            .max(Instant::compareTo)
            .orElse(opened.openedAt());
    Instant lastAt =
        samples.size() > 0 && samples.lastAt().isAfter(happened) ? samples.lastAt() : happened;
    return new LiveNow(
        opened,
        session,
        now,
        lastAt,
        samples.lastAt(),
        latest(samples, now),
        studio.store().logs().ofLive(id));
  }

  /** What reads the rate at first: where a device's own recording is taken, that device. */
  private RateSource source(Opened opened) {
    return opened
        .device()
        .flatMap(studio.store().recordings()::get)
        .map(Brought::readBy)
        .orElse(opened.source());
  }

  /** Another source that was chosen on the floor says nothing about a device's own recording. */
  private static List<LiveEvent> judgedBy(Opened opened, List<LiveEvent> events) {
    return opened.device().isEmpty()
        ? events
        : events.stream().filter(each -> !(each instanceof LiveEvent.SourceChanged)).toList();
  }

  private static OptionalInt latest(Samples samples, Instant now) {
    boolean stands =
        samples.size() > 0
            && !samples.lastAt().plusSeconds(Trace.HELD_SECONDS).isBefore(now)
            && samples.bpm()[samples.size() - 1] > 0;
    return stands ? OptionalInt.of(samples.bpm()[samples.size() - 1]) : OptionalInt.empty();
  }
}
