package app.korvel.server.client;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Client;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.store.ClientRepository;
import app.korvel.store.MaximumChoiceRepository;
import app.korvel.store.ReadingRepository;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A client's records brought together as of today, for whichever page asks. */
@Component
public class ClientRecords {
  private final ClientRepository clients;
  private final ReadingRepository readings;
  private final MaximumChoiceRepository choices;
  private final StudioClock clock;

  public ClientRecords(
      ClientRepository clients,
      ReadingRepository readings,
      MaximumChoiceRepository choices,
      StudioClock clock) {
    this.clients = clients;
    this.readings = readings;
    this.choices = choices;
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

  /** The resting value worked out from a client's readings. */
  public Optional<WorkingResting> resting(List<RestingReading> readings) {
    return WorkingResting.of(readings, clock.today(), clock.zone());
  }

  /** The resting value of that client. */
  public Optional<WorkingResting> resting(UUID id) {
    return resting(readings.of(id));
  }

  /** Everything a prescription stands on, in that mode. */
  public Groundwork groundwork(Client client, Mode mode) {
    return Groundwork.of(
        client, resting(client.id()), mode, choices.current(client.id()), clock.today());
  }

  static NotFoundException unknown(UUID id) {
    return new NotFoundException("No client has the id " + id + ".");
  }
}
