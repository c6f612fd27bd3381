package app.korvel.server.calendar;

import app.korvel.core.prescription.Standing;
import app.korvel.core.screening.Client;
import app.korvel.server.client.ClientRecords;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.SavedPrescription;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Whose sessions rest: nothing of their prescription may be used today. */
@Component
class Resting {
  private final PrescriptionRepository prescriptions;
  private final ClientRecords records;

  Resting(PrescriptionRepository prescriptions, ClientRecords records) {
    this.prescriptions = prescriptions;
    this.records = records;
  }

  /** As of now. */
  Known known() {
    return new Known(prescriptions.current(), records.everyone(), new HashMap<>());
  }

  /** What has been looked up once. */
  record Known(
      Map<UUID, SavedPrescription> current,
      ClientRecords.Everyone everyone,
      Map<UUID, Boolean> known) {

    boolean of(Client client) {
      return known.computeIfAbsent(client.id(), id -> workOut(client));
    }

    private boolean workOut(Client client) {
      SavedPrescription saved = current.get(client.id());
      return saved == null
          || !Standing.of(saved.prescription(), saved.recordedAt(), everyone.screening(client))
              .holds();
    }
  }
}
