package app.korvel.studio.live;

import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LiveSession;
import app.korvel.core.live.Recording;
import app.korvel.core.live.Straps;
import app.korvel.core.trace.DeviceRecording;
import app.korvel.core.trace.Samples;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.Studio;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;

/** The samples that are a session's own, wherever straps were swapped. */
record Recordings(Studio studio) {

  /**
   * Those of a session.
   *
   * @param events all of it
   */
  Recording of(Opened opened, List<LiveEvent> events) {
    if (opened.device().isPresent()) {
      Brought brought = studio.store().recordings().get(opened.device().get()).orElseThrow();
      DeviceRecording recording = brought.recording();
      return Recording.of(
          recording.samples().countedFrom(opened.openedAt()),
          new Recording.Device(recording.sparse(), stepsOf(recording, opened), opened.broughtIn()));
    }
    List<LiveEvent> standing = LiveSession.standing(events, Instant.MAX);
    if (swaps(standing).findAny().isEmpty()) {
      return Recording.of(studio.store().live().samples(opened.id(), opened.openedAt()));
    }
    Map<UUID, List<LiveEvent>> all = together(opened.id(), standing);
    Map<UUID, Samples> series = new HashMap<>();
    List<Recording.Before> before =
        swaps(standing)
            .map(LiveEvent.StrapsSwapped::at)
            .map(at -> new Recording.Before(at, own(opened, saidBefore(all, at), series)))
            .toList();
    return new Recording(own(opened, all, series), before);
  }

  /** The steps of a session that was brought in; those of another begin at another second. */
  private static int[] stepsOf(DeviceRecording recording, Opened opened) {
    return opened.broughtIn() ? recording.stepsBySecond() : new int[0];
  }

  private static Stream<LiveEvent.StrapsSwapped> swaps(List<LiveEvent> events) {
    return events.stream()
        .filter(LiveEvent.StrapsSwapped.class::isInstance)
        .map(LiveEvent.StrapsSwapped.class::cast);
  }

  /** What happened in every session whose straps may have come to this one. */
  private Map<UUID, List<LiveEvent>> together(UUID session, List<LiveEvent> standing) {
    Map<UUID, List<LiveEvent>> all = new HashMap<>();
    all.put(session, standing);
    Deque<UUID> open = new ArrayDeque<>(List.of(session));
    while (!open.isEmpty()) {
      for (LiveEvent.StrapsSwapped swap : swaps(all.get(open.remove())).toList()) {
        boolean known = studio.store().live().get(swap.with()).isPresent();
        if (known && !all.containsKey(swap.with())) {
          all.put(
              swap.with(),
              LiveSession.standing(studio.store().live().events(swap.with()), Instant.MAX));
          open.add(swap.with());
        }
      }
    }
    return all;
  }

  private static Map<UUID, List<LiveEvent>> saidBefore(
      Map<UUID, List<LiveEvent>> all, Instant moment) {
    Map<UUID, List<LiveEvent>> before = new HashMap<>();
    all.forEach(
        (session, events) ->
            before.put(
                session, events.stream().filter(event -> event.at().isBefore(moment)).toList()));
    return before;
  }

  private Samples own(Opened opened, Map<UUID, List<LiveEvent>> events, Map<UUID, Samples> series) {
    List<Samples> parts = new ArrayList<>();
    for (Straps.Worn worn : Straps.of(events).worn(opened.id())) {
      Samples all =
          series.computeIfAbsent(
              worn.series(), id -> studio.store().live().samples(id, openedAt(id)));
      parts.add(all.between(worn.from(), worn.to()).countedFrom(opened.openedAt()));
    }
    Samples own = Samples.none(opened.openedAt());
    for (Samples part : parts) {
      own = own.with(part.at(), part.bpm());
    }
    return own;
  }

  private Instant openedAt(UUID session) {
    return studio.store().live().get(session).orElseThrow().openedAt();
  }

  /** The strap that somebody wears now, if one was given. */
  Optional<String> strap(UUID session) {
    List<LiveEvent> standing =
        LiveSession.standing(studio.store().live().events(session), Instant.MAX);
    return Straps.of(together(session, standing)).strap(session);
  }
}
