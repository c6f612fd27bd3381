package app.korvel.studio.live;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import java.util.Optional;
import java.util.UUID;

/** How somebody in a room is shown on its wall: by a nickname, and with a rate or without. */
public record ShowOnWall(Studio studio) {
  private static final int LONGEST = 24;

  /**
   * Changes it; the next room remembers it.
   *
   * @param nickname 1 to 24 characters; empty for the name
   * @throws NotFoundException when that session is not in that room
   */
  public void by(Actor who, UUID room, UUID session, Optional<String> nickname, boolean rate) {
    Optional<String> shown = nickname.map(String::strip).filter(each -> !each.isEmpty());
    if (shown.filter(each -> each.length() > LONGEST).isPresent()) {
      throw InvalidValueException.of(
          "nickname", "has " + shown.get().length() + " characters", "up to " + LONGEST);
    }
    studio.write(
        who,
        () -> {
          studio
              .store()
              .rooms()
              .ofSession(session)
              .filter(member -> member.room().equals(room))
              .orElseThrow(() -> NotFoundException.of("Nobody in this room has %s.", session));
          studio.store().rooms().show(session, shown, rate);
          return session;
        });
  }
}
