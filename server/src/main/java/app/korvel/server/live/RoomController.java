package app.korvel.server.live;

import app.korvel.core.live.RoomClock;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.run.Run;
import app.korvel.server.DataFolder;
import app.korvel.server.live.LiveViews.LiveEventRequest;
import app.korvel.server.live.RecoveryViews.RecoverySheet;
import app.korvel.server.live.RoomViews.OnWallRequest;
import app.korvel.server.live.RoomViews.RoomLogged;
import app.korvel.server.live.RoomViews.RoomPersonRequest;
import app.korvel.server.live.RoomViews.RoomRequest;
import app.korvel.server.live.RoomViews.RoomRow;
import app.korvel.server.live.RoomViews.RoomStart;
import app.korvel.server.live.RoomViews.RoomView;
import app.korvel.server.live.RoomViews.SimulatedRoomRequest;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.demo.SimulateRoom;
import app.korvel.studio.live.LogRoom;
import app.korvel.studio.live.OpenRoom;
import app.korvel.studio.live.RecordRoomEvent;
import app.korvel.studio.live.Rooms;
import app.korvel.studio.live.ShowOnWall;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Rooms: opened, joined, run by one clock, ended and logged. */
@RestController
@RequestMapping("/api/rooms")
class RoomController {
  private final Studio studio;
  private final RoomPages pages;
  private final LiveHub hub;
  private final DataFolder folder;

  RoomController(Studio studio, LiveHub hub, DataFolder folder) {
    this.studio = studio;
    this.pages = new RoomPages(studio);
    this.hub = hub;
    this.folder = folder;
  }

  @GetMapping("/start")
  RoomStart start() {
    return pages.start();
  }

  @GetMapping
  List<RoomRow> openNow() {
    return pages.openNow();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  RoomView open(Actor who, @RequestBody RoomRequest request) {
    return pages.view(
        new OpenRoom(studio)
            .by(
                who,
                request.people().stream().map(RoomPersonRequest::person).toList(),
                Optional.ofNullable(request.outline()),
                request.speed() == null ? 1 : request.speed())
            .id());
  }

  /** In the demo only: a room of people who are not there. */
  @PostMapping("/simulated")
  @ResponseStatus(HttpStatus.CREATED)
  RoomView simulate(Actor who, @RequestBody SimulatedRoomRequest request) {
    if (!folder.demo()) {
      throw InvalidValueException.of(
          "people", "are not simulated among real clients", "the demo (./korvel demo)");
    }
    return pages.view(
        new SimulateRoom(studio)
            .by(
                who,
                request.people(),
                request.troubles() == null ? List.of() : request.troubles(),
                Optional.ofNullable(request.outline()),
                request.speed() == null ? 1 : request.speed())
            .id());
  }

  @GetMapping("/{id}")
  RoomView get(@PathVariable UUID id) {
    return pages.view(id);
  }

  /** Adds what happened to all of them; sent twice, it is entered once. */
  @PutMapping("/{id}/events/{event}")
  RoomView add(
      Actor who,
      @PathVariable UUID id,
      @PathVariable UUID event,
      @RequestBody LiveEventRequest request) {
    new RecordRoomEvent(studio).by(who, id, request.event(event, () -> legOn(id)));
    hub.roomChanged(id);
    return pages.view(id);
  }

  private int legOn(UUID id) {
    RoomClock clock = new Rooms(studio).get(id).clock();
    return clock.run().map(Run::leg).orElse(0);
  }

  @PostMapping("/{id}/people")
  @ResponseStatus(HttpStatus.CREATED)
  RoomView join(Actor who, @PathVariable UUID id, @RequestBody RoomPersonRequest request) {
    new OpenRoom(studio).join(who, id, request.person());
    hub.roomChanged(id);
    return pages.view(id);
  }

  @PutMapping("/{id}/people/{session}/wall")
  RoomView show(
      Actor who,
      @PathVariable UUID id,
      @PathVariable UUID session,
      @RequestBody OnWallRequest request) {
    new ShowOnWall(studio)
        .by(who, id, session, Optional.ofNullable(request.nickname()), request.rate());
    hub.roomChanged(id);
    return pages.view(id);
  }

  /** Everybody's recoveries; with two ways, those beside each other. */
  @GetMapping("/{id}/recovery")
  RecoverySheet recovery(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable RecoveryPosture first,
      @RequestParam(required = false) @Nullable RecoveryPosture second) {
    return new RecoveryPages(studio).ofRoom(id, RecoveryPages.ways(first, second));
  }

  /** Logs everybody whose session is over, as it was recorded. */
  @PostMapping("/{id}/logs")
  RoomLogged log(Actor who, @PathVariable UUID id) {
    int logged = new LogRoom(studio).by(who, id).size();
    hub.roomChanged(id);
    return new RoomLogged(logged);
  }
}
