package app.korvel.studio.effort;

import app.korvel.core.effort.Effort;
import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/** Puts a race or another effort on record by its average rate. */
public record RecordEffort(Studio studio) {
  /**
   * What was done.
   *
   * @param minutes empty where they are not known
   */
  public record Entered(
      String name, Mode mode, int averageBpm, Optional<Integer> minutes, LocalDate doneOn) {}

  /**
   * Puts one on record.
   *
   * @throws app.korvel.core.measure.InvalidValueException when something of it cannot be
   * @throws app.korvel.core.measure.RefusedException when there is no span to compare with, or the
   *     client is archived
   */
  public Effort by(Actor who, UUID client, Entered entered) {
    return studio.write(
        who,
        () -> {
          Effort effort = made(studio.openHead(client), entered);
          studio.store().efforts().add(client, effort);
          return effort;
        });
  }

  /**
   * What share of the client's span it takes; nothing is kept.
   *
   * @throws app.korvel.core.measure.RefusedException when there is no span to compare with
   */
  public Effort made(ClientHead head, Entered entered) {
    ClientBaseline baseline = head.baseline(entered.mode);
    Stamp stamp = studio.stamp();
    return Effort.of(
        stamp.id(),
        entered.name,
        entered.mode,
        entered.averageBpm,
        entered.minutes,
        entered.doneOn,
        baseline.reserveOrRefuse(),
        baseline.maximum().orElseThrow().method(),
        stamp.at(),
        stamp.zone());
  }
}
