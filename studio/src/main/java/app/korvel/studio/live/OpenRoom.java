package app.korvel.studio.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan;
import app.korvel.core.live.RoomClock;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.outline.Outline;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.RoomRepository.Member;
import app.korvel.store.RoomRepository.Room;
import app.korvel.store.SavedSession;
import app.korvel.studio.Actor;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import app.korvel.studio.live.OpenLiveSession.Wanted;
import app.korvel.studio.outline.OutlineCatalog;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Opens a room: a session for each who is here, by one clock. */
public record OpenRoom(Studio studio) {
  /** So many people at most. */
  public static final int MOST = 60;

  /** How fast the clock of a simulated room may go. */
  public static final Set<Integer> SPEEDS = Set.of(1, 10);

  /**
   * Somebody who is here.
   *
   * @param strap what their strap is known by; empty where they are given none yet
   * @param source what reads their rate
   * @param simulated the fault of a simulated strap; empty where a person wears one
   */
  public record Person(
      UUID client,
      Optional<String> strap,
      RateSource source,
      Optional<SimulatedStrap.Fault> simulated) {}

  /**
   * Opens it; its clock starts later.
   *
   * @param outline id of an outline that all do; empty where each does their own session
   * @param speed 1, or where all are simulated one of {@link #SPEEDS}
   * @throws InvalidValueException when nobody is here, too many are, or somebody is named twice
   * @throws RefusedException when somebody may not train today, or is in a session already; says
   *     who, and opens nothing
   */
  public Room by(Actor who, List<Person> people, Optional<String> outline, int speed) {
    if (people.isEmpty() || people.size() > MOST) {
      throw InvalidValueException.of("people", "are " + people.size(), "1 to " + MOST + " people");
    }
    Set<UUID> seen = new HashSet<>();
    Set<String> straps = new HashSet<>();
    for (int n = 0; n < people.size(); n++) {
      if (!seen.add(people.get(n).client)) {
        throw InvalidValueException.of("people[" + n + "]", "is here twice", "each person once");
      }
      if (people.get(n).strap.filter(strap -> !straps.add(strap.strip())).isPresent()) {
        throw InvalidValueException.of(
            "people[" + n + "].strap", "is given to two people", "a strap for one person");
      }
    }
    boolean simulated = people.stream().allMatch(each -> each.simulated.isPresent());
    if (speed != 1 && !(simulated && SPEEDS.contains(speed))) {
      throw InvalidValueException.of(
          "speed", speed + " is no speed of a room", "1; where all are simulated also 10");
    }
    return studio.write(
        who,
        () -> {
          Stamp stamp = studio.stamp();
          Room room =
              new Room(
                  stamp.id(),
                  outline.map(id -> RoomClock.steps(outlineOf(id))).orElse(List.of()),
                  speed,
                  stamp.at(),
                  true);
          studio.store().rooms().open(room);
          List<Finding> refused = new ArrayList<>();
          for (Person person : people) {
            try {
              add(who, room, person, outline, stamp.at(), Optional.empty());
            } catch (RefusedException faulty) {
              refused.addAll(named(person.client, faulty));
            }
          }
          if (!refused.isEmpty()) {
            throw RefusedException.because(refused);
          }
          return room;
        });
  }

  private Outline outlineOf(String id) {
    return new OutlineCatalog(studio).of(id).outline();
  }

  private List<Finding> named(UUID client, RefusedException refused) {
    String name = studio.client(client).details().name();
    return refused.findings().stream().map(finding -> finding.about(name)).toList();
  }

  /**
   * Lets somebody join who comes late: with their own warm-up in full, then into what the room
   * does.
   *
   * @throws InvalidValueException when the room is over, full, or goes faster than time
   * @throws RefusedException when they may not train today, or are in a session already
   */
  public Opened join(Actor who, UUID id, Person person) {
    return studio.write(
        who,
        () -> {
          Rooms rooms = new Rooms(studio);
          Room room = rooms.room(id);
          if (!room.open()) {
            throw InvalidValueException.of("room", "is over", "one that is on");
          }
          if (room.speed() != 1) {
            throw InvalidValueException.of(
                "room", "is simulated and goes faster than time", "a room that goes as it is");
          }
          List<Member> members = studio.store().rooms().members(id);
          if (members.size() >= MOST) {
            throw InvalidValueException.of("room", "is full", "up to " + MOST + " people");
          }
          RoomClock clock = rooms.of(room, List.of()).clock();
          Opened opened =
              add(who, room, person, Optional.empty(), studio.now(), Optional.of(clock));
          clock
              .begunAt()
              .ifPresent(
                  begun -> {
                    Instant now = new LiveSessions(studio).now(opened);
                    new RecordLiveEvent(studio)
                        .by(who, opened.id(), new LiveEvent.Begun(studio.nextId(), now));
                  });
          return opened;
        });
  }

  private Opened add(
      Actor who,
      Room room,
      Person person,
      Optional<String> outline,
      Instant at,
      Optional<RoomClock> late) {
    OpenLiveSession sessions = new OpenLiveSession(studio);
    Optional<SavedSession> planned = sessions.plannedToday(studio.openHead(person.client));
    Wanted wanted =
        new Wanted(
            planned.map(SavedSession::number),
            outline,
            Optional.empty(),
            person.source,
            person.simulated,
            room.speed());
    Opened opened =
        sessions.open(
            person.client,
            wanted,
            plan -> changed(room, late, plan),
            new Stamp(studio.nextId(), at, studio.zone()));
    Optional<Member> before = studio.store().rooms().lastOf(person.client);
    studio
        .store()
        .rooms()
        .add(
            room.id(),
            opened.id(),
            before.flatMap(Member::nickname),
            before.map(Member::wallRate).orElse(true));
    person.strap.ifPresent(
        strap ->
            new RecordLiveEvent(studio)
                .by(who, opened.id(), new LiveEvent.StrapGiven(studio.nextId(), at, strap, false)));
    return opened;
  }

  private static LivePlan changed(Room room, Optional<RoomClock> late, LivePlan plan) {
    if (room.steps().isEmpty()) {
      return plan;
    }
    LivePlan together = plan.together();
    return late.filter(clock -> clock.begunAt().isPresent())
        .map(clock -> together.joining(clock.secondsLeft()))
        .orElse(together);
  }
}
