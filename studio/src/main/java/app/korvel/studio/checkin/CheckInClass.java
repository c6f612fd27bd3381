package app.korvel.studio.checkin;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.PulseSource;
import app.korvel.store.SavedCheckIn;
import app.korvel.store.SavedClassCount;
import app.korvel.store.SavedClassCount.Moment;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * Checks a class in at once: everyone whose pulse speaks against nothing and whose context asks for
 * nothing more. That they are well was asked of the room.
 */
public record CheckInClass(Studio studio) {
  /** A check-in that was made. */
  public record Made(UUID client, SavedCheckIn checkIn) {}

  /**
   * Checks them in, in one commit.
   *
   * @param leftOut who is left out
   * @throws InvalidValueException when somebody left out is not of the class, or it was counted
   *     after its session
   */
  public List<Made> by(Actor who, UUID classCount, Set<UUID> leftOut) {
    ClassCounts classes = new ClassCounts(studio);
    return studio.write(
        who,
        () -> {
          SavedClassCount saved = classes.get(classCount);
          if (!saved.members().containsAll(leftOut)) {
            throw InvalidValueException.of(
                "leaveOut", "names somebody who is not of this class", "people of this class");
          }
          if (saved.moment() != Moment.BEFORE) {
            throw InvalidValueException.of(
                "id", "is a count after the session", "a count before the session");
          }
          List<Made> made = new ArrayList<>();
          for (Counted counted : classes.room(saved).people()) {
            UUID client = counted.head().client().id();
            if (counted.readyToCheckIn() && !leftOut.contains(client)) {
              made.add(new Made(client, checkIn(who, saved, counted)));
            }
          }
          return made;
        });
  }

  private SavedCheckIn checkIn(Actor who, SavedClassCount saved, Counted counted) {
    CheckIn found =
        CheckIn.pulse(
            counted.again().or(counted::first).orElseThrow().bpm(),
            saved.posture(),
            PulseSource.COUNT,
            saved.settled(),
            counted.again().isPresent());
    return new CheckInClient(studio)
        .by(who, counted.head().client().id(), found, verdict -> Optional.empty());
  }
}
