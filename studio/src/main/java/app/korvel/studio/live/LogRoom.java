package app.korvel.studio.live;

import app.korvel.core.live.LiveSession.Phase;
import app.korvel.store.SessionLogRepository.Logged;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.live.Rooms.Present;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;

/** Logs everybody of a room at once, as they were recorded. */
public record LogRoom(Studio studio) {
  /** Keeps the logs of all whose session is over, has begun and is not logged yet. */
  public List<Logged> by(Actor who, UUID room) {
    return studio.write(
        who,
        () -> {
          List<Logged> logged = new ArrayList<>();
          for (Present person : new Rooms(studio).get(room).people()) {
            boolean over = person.stands().session().phase() == Phase.ENDED;
            boolean begun = person.stands().session().begunAt().isPresent();
            if (over && begun && person.stands().log().isEmpty()) {
              logged.add(
                  new LogLiveSession(studio)
                      .by(
                          who,
                          person.member().session(),
                          new LogLiveSession.Entered(OptionalInt.empty(), Set.of(), "")));
            }
          }
          return logged;
        });
  }
}
