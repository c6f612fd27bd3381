package app.korvel.studio.ledger;

import app.korvel.store.RecordKind;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import java.util.UUID;

/** Takes back what was put on record by mistake; it stands for nothing from now on. */
public record WithdrawRecord(Studio studio) {
  /**
   * Withdraws a record.
   *
   * @return id of the record that says so: undoing that makes it stand again
   * @throws NotFoundException when the client has no such record
   * @throws app.korvel.store.SupersededException when it is not the last word any more
   */
  public UUID by(Actor who, UUID client, RecordKind kind, UUID record) {
    return studio.write(
        who,
        () -> {
          studio.open(client);
          UUID by = studio.nextId();
          if (!studio.store().ledger(kind).withdraw(client, record, by, studio.now())) {
            throw NotFoundException.of("This client has no " + kind.noun() + " %s.", record);
          }
          return by;
        });
  }
}
