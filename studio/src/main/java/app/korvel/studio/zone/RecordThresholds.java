package app.korvel.studio.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.zone.MeasuredThresholds;
import app.korvel.core.zone.Reserve;
import app.korvel.studio.Actor;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.util.UUID;
import java.util.function.BiFunction;

/** Puts measured thresholds on record. */
public record RecordThresholds(Studio studio) {
  /**
   * Puts them on record.
   *
   * @param mode in which they were measured
   * @param entered the thresholds; they have to lie within the span that they are given
   * @throws app.korvel.core.measure.RefusedException when there is no span
   */
  public MeasuredThresholds by(
      Actor who, UUID client, Mode mode, BiFunction<Stamp, Reserve, MeasuredThresholds> entered) {
    return studio.write(
        who,
        () -> {
          Reserve span = studio.openHead(client).baseline(mode).reserveOrRefuse();
          MeasuredThresholds measured = entered.apply(studio.stamp(), span);
          studio.store().thresholds().add(client, measured);
          return measured;
        });
  }
}
