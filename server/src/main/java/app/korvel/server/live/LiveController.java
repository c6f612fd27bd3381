package app.korvel.server.live;

import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.run.Run;
import app.korvel.core.screening.StopSign;
import app.korvel.server.live.LiveSummaryViews.LiveSummaryView;
import app.korvel.server.live.LiveViews.LiveEventRequest;
import app.korvel.server.live.LiveViews.LiveLogRequest;
import app.korvel.server.live.LiveViews.LiveRequest;
import app.korvel.server.live.LiveViews.LiveRow;
import app.korvel.server.live.LiveViews.LiveStart;
import app.korvel.server.live.LiveViews.LiveState;
import app.korvel.server.live.LiveViews.LiveView;
import app.korvel.server.live.RecoveryViews.ClientRecoveries;
import app.korvel.server.live.RecoveryViews.RecoverySheet;
import app.korvel.server.live.SampleViews.SamplesRequest;
import app.korvel.server.live.SampleViews.SamplesTaken;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.live.LogLiveSession;
import app.korvel.studio.live.OpenLiveSession;
import app.korvel.studio.live.RecordLiveEvent;
import app.korvel.studio.live.TakeSamples;
import app.korvel.studio.live.TakeSamples.Decoded;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Sessions on the clock: opened, run event by event and sample by sample, and logged. */
@RestController
class LiveController {
  private final Studio studio;
  private final LivePages pages;
  private final LiveHub hub;

  LiveController(Studio studio, LiveHub hub) {
    this.studio = studio;
    this.pages = new LivePages(studio);
    this.hub = hub;
  }

  @GetMapping("/api/clients/{id}/live")
  LiveStart start(@PathVariable UUID id) {
    return pages.start(id);
  }

  @GetMapping("/api/live")
  List<LiveRow> openNow() {
    return pages.openNow();
  }

  @PostMapping("/api/live")
  @ResponseStatus(HttpStatus.CREATED)
  LiveView open(Actor who, @RequestBody LiveRequest request) {
    UUID id = new OpenLiveSession(studio).by(who, request.clientId(), request.wanted()).id();
    hub.changed(id);
    return pages.view(id);
  }

  @GetMapping("/api/live/{id}")
  LiveView get(@PathVariable UUID id) {
    return pages.view(id);
  }

  /** Adds what happened; sent twice, it is entered once. */
  @PutMapping("/api/live/{id}/events/{event}")
  LiveState add(
      Actor who,
      @PathVariable UUID id,
      @PathVariable UUID event,
      @RequestBody LiveEventRequest request) {
    LiveState state =
        LiveState.of(
            new RecordLiveEvent(studio).by(who, id, request.event(event, () -> legOn(id))));
    hub.changed(id);
    return state;
  }

  private int legOn(UUID id) {
    return new LiveSessions(studio).get(id).session().run().map(Run::leg).orElse(0);
  }

  /** Takes samples; answered when they are on disk. */
  @PutMapping("/api/live/{id}/samples/{sequence}")
  SamplesTaken take(
      Actor who,
      @PathVariable UUID id,
      @PathVariable long sequence,
      @RequestBody SamplesRequest request) {
    Decoded decoded = request.decoded();
    TakeSamples.Taken taken = new TakeSamples(studio).by(who, id, sequence, decoded.handed());
    hub.changed(id);
    return SamplesTaken.of(sequence, taken, decoded);
  }

  /** What it came to; in another zone system, with the span of its own day. */
  @GetMapping("/api/live/{id}/summary")
  LiveSummaryView summary(
      @PathVariable UUID id, @RequestParam(required = false) @Nullable String scheme) {
    return pages.summary(id, Optional.ofNullable(scheme));
  }

  /** Its recoveries; with two ways, those beside each other. */
  @GetMapping("/api/live/{id}/recovery")
  RecoverySheet recovery(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable RecoveryPosture first,
      @RequestParam(required = false) @Nullable RecoveryPosture second) {
    return new RecoveryPages(studio).ofSession(id, RecoveryPages.ways(first, second));
  }

  /** A client's recoveries, with their trend by posture. */
  @GetMapping("/api/clients/{id}/recoveries")
  ClientRecoveries recoveries(@PathVariable UUID id) {
    return new RecoveryPages(studio).ofClient(id);
  }

  @PostMapping("/api/live/{id}/log")
  LiveView log(Actor who, @PathVariable UUID id, @RequestBody LiveLogRequest request) {
    List<StopSign> warnings = request.warnings() == null ? List.of() : request.warnings();
    new LogLiveSession(studio)
        .by(
            who,
            id,
            new LogLiveSession.Entered(
                request.rpe() == null ? OptionalInt.empty() : OptionalInt.of(request.rpe()),
                warnings,
                request.note() == null ? "" : request.note()));
    hub.changed(id);
    return pages.view(id);
  }
}
