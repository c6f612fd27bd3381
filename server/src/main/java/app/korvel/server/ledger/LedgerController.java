package app.korvel.server.ledger;

import app.korvel.store.RecordKind;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.ledger.UndoRecord;
import app.korvel.studio.ledger.WithdrawRecord;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Withdrawing what is on record, and undoing what was said last: the same for every kind. */
@RestController
@RequestMapping("/api/clients/{id}/{kind}/{record}")
class LedgerController {
  private final Studio studio;

  LedgerController(Studio studio) {
    this.studio = studio;
  }

  /**
   * The record that was written; undoing it makes what stood before stand again.
   *
   * @param id of it
   */
  record LedgerEntry(UUID id) {}

  /** Withdraws a record that was kept by mistake. */
  @DeleteMapping
  LedgerEntry withdraw(
      Actor who, @PathVariable UUID id, @PathVariable RecordKind kind, @PathVariable UUID record) {
    return new LedgerEntry(new WithdrawRecord(studio).by(who, id, kind, record));
  }

  /** Undoes a correction, a withdrawal or a choice. */
  @PostMapping("/undo")
  LedgerEntry undo(
      Actor who, @PathVariable UUID id, @PathVariable RecordKind kind, @PathVariable UUID record) {
    return new LedgerEntry(new UndoRecord(studio).by(who, id, kind, record));
  }
}
