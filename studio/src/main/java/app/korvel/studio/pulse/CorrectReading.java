package app.korvel.studio.pulse;

import app.korvel.core.pulse.RestingReading;
import app.korvel.core.screening.Person;
import app.korvel.store.ReadingRepository;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.util.UUID;
import java.util.function.BiFunction;

/** Corrects a resting reading that was entered wrong; it stays as taken when it was. */
public record CorrectReading(Studio studio) {
  /**
   * Corrects a reading.
   *
   * @return the one that stands in its place
   * @throws NotFoundException when the client has no such reading
   * @throws app.korvel.store.SupersededException when it was corrected or withdrawn since
   */
  public RestingReading by(
      Actor who, UUID client, UUID reading, BiFunction<Stamp, Person, RestingReading> entered) {
    return studio.write(
        who,
        () -> {
          Person person = studio.heads().screening(studio.open(client)).person();
          ReadingRepository readings = studio.store().readings();
          RestingReading right = entered.apply(studio.stamp(), person);
          if (!readings.correct(client, reading, right)) {
            throw NotFoundException.of("This client has no reading %s.", reading);
          }
          return readings.get(client, right.id()).orElseThrow();
        });
  }
}
