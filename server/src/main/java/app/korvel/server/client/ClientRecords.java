package app.korvel.server.client;

import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Client;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.store.ClientRepository;
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
  private final StudioClock clock;

  public ClientRecords(ClientRepository clients, ReadingRepository readings, StudioClock clock) {
    this.clients = clients;
    this.readings = readings;
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
    return Groundwork.of(client, resting(client.id()), mode, clock.today());
  }

  static NotFoundException unknown(UUID id) {
    return new NotFoundException("No client has the id " + id + ".");
  }
}
