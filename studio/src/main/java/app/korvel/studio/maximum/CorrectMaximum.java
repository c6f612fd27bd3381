package app.korvel.studio.maximum;

import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.BiFunction;

/** Corrects a measured maximum that was entered wrong. */
public record CorrectMaximum(Studio studio) {
  /**
   * Another value stands in the place of that one.
   *
   * @throws NotFoundException when the client has no such value
   * @throws app.korvel.store.SupersededException when it was corrected or withdrawn since
   */
  public MeasuredMaximum by(
      Actor who,
      UUID client,
      UUID maximum,
      BiFunction<Stamp, OptionalInt, MeasuredMaximum> entered) {
    return studio.write(
        who,
        () -> {
          MeasuredMaximum value = new RecordMaximum(studio).made(studio.openHead(client), entered);
          if (!studio.store().maxima().correct(client, maximum, value)) {
            throw NotFoundException.of("This client has no measured maximum %s.", maximum);
          }
          return value;
        });
  }
}
