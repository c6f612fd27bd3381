package app.korvel.server.floor;

import app.korvel.server.floor.ClassCountViews.BeatsRequest;
import app.korvel.server.floor.ClassCountViews.CheckTheseRequest;
import app.korvel.server.floor.ClassCountViews.ClassRequest;
import app.korvel.server.floor.ClassCountViews.ClassStart;
import app.korvel.server.floor.ClassCountViews.ClassView;
import app.korvel.server.floor.ClassCountViews.MadeCheckIns;
import app.korvel.server.floor.ClassCountViews.PersonRow;
import app.korvel.store.SavedClassCount;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.checkin.CheckInClass;
import app.korvel.studio.checkin.ClassCounts;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A class counts together: one clock for the room, then each person's number. */
@RestController
@RequestMapping("/api/class-counts")
class ClassCountController {
  private final Studio studio;
  private final ClassCounts classes;

  ClassCountController(Studio studio) {
    this.studio = studio;
    this.classes = new ClassCounts(studio);
  }

  @GetMapping("/start")
  ClassStart start() {
    return ClassStart.of(
        studio.store().clients().find("", false), studio.store().classes().latest());
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  ClassView begin(Actor who, @RequestBody ClassRequest request) {
    return view(classes.begin(who, request.begun()));
  }

  @GetMapping("/{id}")
  ClassView get(@PathVariable UUID id) {
    return view(classes.get(id));
  }

  /** Enters what was counted with the room, or mends it. */
  @PutMapping("/{id}/people/{person}/count")
  PersonRow enter(
      Actor who,
      @PathVariable UUID id,
      @PathVariable UUID person,
      @RequestBody BeatsRequest request) {
    return row(classes.enter(who, id, person, false, request.beats()), person);
  }

  /** Enters the second count of a first odd value. */
  @PutMapping("/{id}/people/{person}/recount")
  PersonRow recount(
      Actor who,
      @PathVariable UUID id,
      @PathVariable UUID person,
      @RequestBody BeatsRequest request) {
    return row(classes.enter(who, id, person, true, request.beats()), person);
  }

  /** Takes back what was counted with the room. */
  @DeleteMapping("/{id}/people/{person}/count")
  PersonRow clear(Actor who, @PathVariable UUID id, @PathVariable UUID person) {
    return row(classes.clear(who, id, person, false), person);
  }

  /** Takes back the second count. */
  @DeleteMapping("/{id}/people/{person}/recount")
  PersonRow clearRecount(Actor who, @PathVariable UUID id, @PathVariable UUID person) {
    return row(classes.clear(who, id, person, true), person);
  }

  /** Checks in everyone with nothing against them, but for those who are left out. */
  @PostMapping("/{id}/checkins")
  @ResponseStatus(HttpStatus.CREATED)
  MadeCheckIns checkIn(
      Actor who,
      @PathVariable UUID id,
      @RequestBody(required = false) @Nullable CheckTheseRequest request) {
    Set<UUID> leftOut =
        request == null || request.leaveOut() == null ? Set.of() : Set.copyOf(request.leaveOut());
    return MadeCheckIns.of(new CheckInClass(studio).by(who, id, leftOut));
  }

  private ClassView view(SavedClassCount saved) {
    return ClassView.of(classes.room(saved));
  }

  private PersonRow row(SavedClassCount saved, UUID person) {
    return PersonRow.of(classes.room(saved, List.of(person)).people().get(0));
  }
}
