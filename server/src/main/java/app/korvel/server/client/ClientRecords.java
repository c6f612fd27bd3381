package app.korvel.server.client;

import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Card;
import app.korvel.core.prescription.Change;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Screening;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.store.ClientRepository;
import app.korvel.store.SavedPrescription;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A client's records brought together as of today, for whichever page asks. */
@Component
public class ClientRecords {
  private final ClientRepository clients;
  private final ClientHeads heads;
  private final StudioClock clock;

  public ClientRecords(ClientRepository clients, ClientHeads heads, StudioClock clock) {
    this.clients = clients;
    this.heads = heads;
    this.clock = clock;
  }

  /**
   * The client.
   *
   * @throws NotFoundException when there is none of that id
   */
  public Client client(UUID id) {
    return clients.get(id).orElseThrow(() -> unknown(id));
  }

  /**
   * The client, to add something to.
   *
   * @throws NotFoundException when there is none of that id
   * @throws RefusedException when the client is archived
   */
  public Client open(UUID id) {
    Client client = client(id);
    if (client.archived()) {
      throw RefusedException.because(FindingKind.CLIENT_ARCHIVED.of());
    }
    return client;
  }

  /**
   * What a client's records come to today.
   *
   * @throws NotFoundException when there is none of that id
   */
  public ClientHead head(UUID id) {
    return Optional.ofNullable(heads.of(List.of(id)).get(id)).orElseThrow(() -> unknown(id));
  }

  /** What a client's screening comes to today. */
  public Screening screening(Client client) {
    return head(client.id()).screening();
  }

  /** Everything a prescription stands on, in that mode. */
  public Groundwork groundwork(Client client, Mode mode) {
    return head(client.id()).ground(mode);
  }

  /** Everything a prescription would stand on, were those the measured maxima. */
  public Groundwork groundwork(Client client, Mode mode, List<MeasuredMaximum> measured) {
    return head(client.id()).ground(mode, measured);
  }

  /**
   * What a client carries of that version.
   *
   * @throws RefusedException when it is suspended, or a draft
   */
  public Card card(Client client, SavedPrescription saved) {
    return Card.of(
        client.details().name(),
        saved.version(),
        saved.prescription(),
        saved.recordedAt(),
        groundwork(client, saved.prescription().parts().mode()),
        client.nextBirthday(clock.today()));
  }

  /** Why a prescription is to be looked at again, if it is. */
  public Optional<Finding> review(Client client, SavedPrescription saved) {
    return head(client.id()).review(saved);
  }

  /** What has moved since a prescription was made. */
  public Optional<Change> change(Client client, Prescription made) {
    return Change.since(made, groundwork(client, made.parts().mode()));
  }

  static NotFoundException unknown(UUID id) {
    return new NotFoundException("No client has the id " + id + ".");
  }
}
