package app.korvel.studio.demo;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.sensor.SimulatedStrap.Fault;
import app.korvel.store.RoomRepository.Room;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.live.OpenRoom;
import app.korvel.studio.live.RecordRoomEvent;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** A room at work in one press: simulated clients of the demo, some with a trouble on request. */
public record SimulateRoom(Studio studio) {
  /**
   * Opens it and starts its clock.
   *
   * @param people 1 to {@link OpenRoom#MOST}
   * @param troubles what goes wrong, one after the other for the first of them
   * @param speed one of {@link OpenRoom#SPEEDS}
   * @throws InvalidValueException when so many cannot be had
   */
  public Room by(Actor who, int people, List<Fault> troubles, Optional<String> outline, int speed) {
    if (people < 1 || people > OpenRoom.MOST) {
      throw InvalidValueException.of(
          "people", people + " make no room", "1 to " + OpenRoom.MOST + " people");
    }
    return studio.write(
        who,
        () -> {
          List<Fault> faults = new ArrayList<>();
          for (Fault trouble : troubles) {
            faults.add(trouble);
            if (trouble == Fault.SWAPPED) {
              faults.add(trouble);
            }
          }
          List<OpenRoom.Person> all = new ArrayList<>();
          for (UUID client : new Trainees(studio).ready(who, people)) {
            Fault fault = all.size() < faults.size() ? faults.get(all.size()) : Fault.NONE;
            all.add(
                new OpenRoom.Person(
                    client, Optional.empty(), RateSource.STRAP, Optional.of(fault)));
          }
          Room room = new OpenRoom(studio).by(who, all, outline, speed);
          new RecordRoomEvent(studio)
              .by(who, room.id(), new LiveEvent.Begun(studio.nextId(), room.openedAt()));
          return room;
        });
  }
}
