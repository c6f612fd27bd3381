package app.korvel.studio.checkin;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.store.SavedCheckIn;
import app.korvel.store.SavedClassCount;
import app.korvel.store.SavedClassCount.Entry;
import app.korvel.store.SavedClassCount.Moment;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** A class counts together: one clock for the room, then each person's number. */
public record ClassCounts(Studio studio) {
  private static final int LARGEST_CLASS = 200;

  /** How long is counted when someone counts again. */
  public static final CountWindow RECOUNT = CountWindow.S60;

  /**
   * A class that is to be counted.
   *
   * @param minutesAfter since the work ended, of a count after it; empty for just now
   * @param follows the round before, of a later one
   */
  public record Begun(
      Moment moment,
      CountWindow window,
      Posture posture,
      boolean settled,
      List<UUID> people,
      Optional<Integer> minutesAfter,
      Optional<UUID> follows) {}

  /**
   * Begins a count.
   *
   * @throws InvalidValueException when nobody is named, somebody twice or too many, or a count
   *     before a session is told of an end of it
   * @throws app.korvel.core.measure.RefusedException when somebody is archived
   */
  public SavedClassCount begin(Actor who, Begun begun) {
    return studio.write(
        who,
        () -> {
          checkPeople(begun.people);
          Stamp stamp = studio.stamp();
          SavedClassCount saved =
              new SavedClassCount(
                  stamp.id(),
                  begun.moment,
                  begun.window,
                  begun.posture,
                  begun.settled,
                  stamp.at(),
                  stoppedAt(begun, stamp.at()),
                  begun.follows,
                  begun.people);
          studio.store().classes().add(saved);
          return saved;
        });
  }

  private void checkPeople(List<UUID> people) {
    if (people.isEmpty() || people.size() > LARGEST_CLASS) {
      throw InvalidValueException.of(
          "people",
          people.isEmpty() ? "names nobody" : "names " + people.size() + " people",
          "1 to " + LARGEST_CLASS + " people");
    }
    if (new HashSet<>(people).size() < people.size()) {
      throw InvalidValueException.of("people", "names someone twice", "each person once");
    }
    people.forEach(studio::open);
  }

  /** When the work ended: told, or as the round before has it. */
  private Optional<Instant> stoppedAt(Begun begun, Instant now) {
    if (begun.moment == Moment.BEFORE) {
      if (begun.follows.isPresent() || begun.minutesAfter.isPresent()) {
        throw InvalidValueException.of(
            begun.follows.isPresent() ? "follows" : "minutesAfter",
            "belongs to a count after the session",
            "nothing before it");
      }
      return Optional.empty();
    }
    if (begun.follows.isEmpty()) {
      return Optional.of(now.minus(Duration.ofMinutes(begun.minutesAfter.orElse(0))));
    }
    Optional<Instant> before =
        studio.store().classes().get(begun.follows.get()).flatMap(SavedClassCount::stoppedAt);
    if (before.isEmpty()) {
      throw InvalidValueException.of("follows", "is no count after a session", "the round before");
    }
    return before;
  }

  /**
   * Enters what was counted with the room, or mends it.
   *
   * @param again whether it is the second count, of a first odd value
   * @throws NotFoundException when there is no such class, or nobody of that id in it
   */
  public SavedClassCount enter(Actor who, UUID id, UUID person, boolean again, int beats) {
    return studio.write(
        who,
        () -> {
          SavedClassCount saved = member(id, person);
          PulseCount count = PulseCount.of(beats, again ? RECOUNT : saved.window());
          Stamp stamp = studio.stamp();
          studio
              .store()
              .classes()
              .enter(stamp.id(), id, new Entry(person, again, count, stamp.at()));
          return saved;
        });
  }

  /**
   * Takes back what was counted with the room.
   *
   * @param again whether the second count is meant
   * @throws NotFoundException when there is no such class, or nobody of that id in it
   */
  public SavedClassCount clear(Actor who, UUID id, UUID person, boolean again) {
    return studio.write(
        who,
        () -> {
          SavedClassCount saved = member(id, person);
          studio.store().classes().withdraw(studio.nextId(), id, person, again, studio.now());
          return saved;
        });
  }

  /**
   * The class of that id.
   *
   * @throws NotFoundException when there is none
   */
  public SavedClassCount get(UUID id) {
    return studio
        .store()
        .classes()
        .get(id)
        .orElseThrow(() -> NotFoundException.of("No class count has the id %s.", id));
  }

  private SavedClassCount member(UUID id, UUID person) {
    SavedClassCount saved = get(id);
    if (!saved.members().contains(person)) {
      throw NotFoundException.of("This class count has nobody of the id %s.", person);
    }
    studio.open(person);
    return saved;
  }

  /** Everyone of a class as far as they have been counted, in the order of the class. */
  public Room room(SavedClassCount saved) {
    return room(saved, saved.members());
  }

  /** The same of some of them. */
  public Room room(SavedClassCount saved, List<UUID> people) {
    Map<UUID, ClientHead> heads = studio.heads().of(people);
    List<Entry> entries = studio.store().classes().entries(saved.id());
    Map<UUID, SavedCheckIn> checkedIn = studio.store().checkIns().on(studio.today());
    Optional<Instant> countedAt = entries.stream().map(Entry::at).min(Comparator.naturalOrder());
    return new Room(
        saved,
        countedAt,
        people.stream()
            .map(
                id ->
                    Counted.of(
                        saved,
                        heads.get(id),
                        entries,
                        Optional.ofNullable(checkedIn.get(id)),
                        countedAt.orElseGet(studio::now)))
            .toList());
  }

  /**
   * A class, and those of it that are looked at.
   *
   * @param countedAt when the first number was entered
   */
  public record Room(SavedClassCount count, Optional<Instant> countedAt, List<Counted> people) {}
}
