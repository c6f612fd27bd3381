package app.korvel.studio.maximum;

import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.BiFunction;

/** Puts a measured maximum on record. */
public record RecordMaximum(Studio studio) {
  /**
   * Puts one on record.
   *
   * @param entered the value, as of the stamp and over the resting rate that it is given
   * @throws app.korvel.core.measure.InvalidValueException when something of it cannot be
   * @throws app.korvel.core.measure.RefusedException when the client is archived
   */
  public MeasuredMaximum by(
      Actor who, UUID client, BiFunction<Stamp, OptionalInt, MeasuredMaximum> entered) {
    return studio.write(
        who,
        () -> {
          MeasuredMaximum value = made(studio.openHead(client), entered);
          studio.store().maxima().add(client, value);
          return value;
        });
  }

  /**
   * What was entered as a value of that client; nothing is kept.
   *
   * @param entered the value; it has to lie well over the resting rate that it is given
   */
  public MeasuredMaximum made(
      ClientHead head, BiFunction<Stamp, OptionalInt, MeasuredMaximum> entered) {
    return entered.apply(studio.stamp(), head.baseline().maximumRecord().restingBpm());
  }
}
