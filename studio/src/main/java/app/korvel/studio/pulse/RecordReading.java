package app.korvel.studio.pulse;

import app.korvel.core.pulse.RestingReading;
import app.korvel.core.screening.Person;
import app.korvel.studio.Actor;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.util.List;
import java.util.UUID;
import java.util.function.BiFunction;

/** Keeps a resting reading that was taken just now. */
public record RecordReading(Studio studio) {
  /**
   * Keeps a reading.
   *
   * @param entered the reading of that person: not every site is for everyone
   */
  public RestingReading by(
      Actor who, UUID client, BiFunction<Stamp, Person, RestingReading> entered) {
    return studio.write(
        who,
        () -> {
          Person person = studio.heads().screening(studio.open(client)).person();
          RestingReading reading = entered.apply(studio.stamp(), person);
          studio.store().readings().addAll(client, List.of(reading), studio.now());
          return reading;
        });
  }
}
