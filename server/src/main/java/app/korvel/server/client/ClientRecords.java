package app.korvel.server.client;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Card;
import app.korvel.core.prescription.Change;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Clearance;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Consent;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.OnRecord;
import app.korvel.core.screening.Reported;
import app.korvel.core.screening.Screening;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.store.CheckInRepository;
import app.korvel.store.ClearanceRepository;
import app.korvel.store.ClientRepository;
import app.korvel.store.ConsentRepository;
import app.korvel.store.IntakeRepository;
import app.korvel.store.MaximumChoiceRepository;
import app.korvel.store.MeasuredMaximumRepository;
import app.korvel.store.ReadingRepository;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SessionLogRepository;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A client's records brought together as of today, for whichever page asks. */
@Component
public class ClientRecords {
  private final ClientRepository clients;
  private final IntakeRepository intakes;
  private final ClearanceRepository clearances;
  private final ConsentRepository consents;
  private final CheckInRepository checkIns;
  private final ReadingRepository readings;
  private final MaximumChoiceRepository choices;
  private final MeasuredMaximumRepository maxima;
  private final SessionLogRepository logs;
  private final StudioClock clock;

  public ClientRecords(
      ClientRepository clients,
      IntakeRepository intakes,
      ClearanceRepository clearances,
      ConsentRepository consents,
      CheckInRepository checkIns,
      ReadingRepository readings,
      MaximumChoiceRepository choices,
      MeasuredMaximumRepository maxima,
      SessionLogRepository logs,
      StudioClock clock) {
    this.clients = clients;
    this.intakes = intakes;
    this.clearances = clearances;
    this.consents = consents;
    this.checkIns = checkIns;
    this.readings = readings;
    this.choices = choices;
    this.maxima = maxima;
    this.logs = logs;
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

  /** What a client's screening comes to today. */
  public Screening screening(Client client) {
    return screening(
        client,
        intakes.current(client.id()),
        new OnRecord(
            clearances.of(client.id()),
            consents.of(client.id()),
            checkIns.reported(client.id()).andSymptoms(logs.symptoms(client.id()))));
  }

  private Screening screening(Client client, Optional<Intake> intake, OnRecord record) {
    return Screening.of(client, intake, record, clock.today(), clock.zone());
  }

  /** The resting value worked out from readings, for someone of that screening. */
  public Optional<WorkingResting> resting(List<RestingReading> readings, Screening screening) {
    return resting(readings, screening.medicinesChangedAt());
  }

  private Optional<WorkingResting> resting(
      List<RestingReading> readings, Optional<Instant> medicinesChangedAt) {
    return WorkingResting.of(readings, medicinesChangedAt, clock.today(), clock.zone());
  }

  /** What is usual for someone of that screening: the same on every page. */
  public Optional<UsualPulse> usual(List<RestingReading> taken, Screening screening) {
    return UsualPulse.of(taken, screening.medicinesChangedAt(), clock.today(), clock.zone());
  }

  /** The resting value of that client. */
  public Optional<WorkingResting> resting(Client client) {
    return resting(
        readings.of(client.id()), intakes.current(client.id()).flatMap(Intake::medicinesChangedAt));
  }

  /** Everything a prescription stands on, in that mode. */
  public Groundwork groundwork(Client client, Mode mode) {
    return groundwork(client, mode, maxima.of(client.id()));
  }

  /** Everything a prescription would stand on, were those the measured maxima. */
  public Groundwork groundwork(Client client, Mode mode, List<MeasuredMaximum> measured) {
    Screening screening = screening(client);
    return Groundwork.of(
        screening,
        resting(readings.of(client.id()), screening),
        mode,
        choices.current(client.id()),
        measured);
  }

  /**
   * What a client carries of that version.
   *
   * @throws RefusedException when it is suspended, or a draft
   */
  public Card card(Client client, SavedPrescription saved) {
    return card(client, saved, groundwork(client, saved.prescription().parts().mode()));
  }

  private Card card(Client client, SavedPrescription saved, Groundwork ground) {
    return Card.of(
        client.details().name(),
        saved.version(),
        saved.prescription(),
        saved.recordedAt(),
        ground,
        client.nextBirthday(clock.today()));
  }

  /** Why a prescription is to be looked at again, if it is. */
  public Optional<Finding> review(Client client, SavedPrescription saved) {
    return review(client, saved, groundwork(client, saved.prescription().parts().mode()));
  }

  private Optional<Finding> review(Client client, SavedPrescription saved, Groundwork ground) {
    return birthDateCorrected(client, saved)
        .or(() -> Change.since(saved.prescription(), ground).flatMap(Change::review));
  }

  /** Whether it was made for another birth date. */
  private Optional<Finding> birthDateCorrected(Client client, SavedPrescription saved) {
    return client
        .birthDateCorrectedAt()
        .filter(at -> at.isAfter(saved.recordedAt()))
        .map(at -> LocalDate.ofInstant(at, clock.zone()))
        .map(on -> FindingKind.BIRTH_DATE_CORRECTED.of(Days.of(on)));
  }

  /** What has moved since a prescription was made. */
  public Optional<Change> change(Client client, Prescription made) {
    return Change.since(made, groundwork(client, made.parts().mode()));
  }

  /** Everyone's records, read at once: what a list needs. */
  public final class Everyone {
    private final Map<UUID, Intake> intakeOf = intakes.current();
    private final Map<UUID, List<Clearance>> clearancesOf = clearances.byClient();
    private final Map<UUID, List<Consent>> consentsOf = consents.byClient();
    private final Map<UUID, Reported> reportedOf = checkIns.reported();
    private final Map<UUID, Instant> symptomsOf = logs.symptoms();
    private final Map<UUID, List<RestingReading>> readingsOf = readings.byClient();
    private final Map<UUID, Choice> choiceOf = choices.current();
    private final Map<UUID, List<MeasuredMaximum>> maximaOf = maxima.byClient();

    /** What has been worked out: a list asks for the same several times. */
    private final Map<InMode, Groundwork> known = new HashMap<>();

    private record InMode(UUID clientId, Mode mode) {}

    /** What a client's screening comes to today. */
    public Screening screening(Client client) {
      UUID id = client.id();
      return ClientRecords.this.screening(
          client,
          Optional.ofNullable(intakeOf.get(id)),
          new OnRecord(
              clearancesOf.getOrDefault(id, List.of()),
              consentsOf.getOrDefault(id, List.of()),
              reportedOf
                  .getOrDefault(id, Reported.NOTHING)
                  .andSymptoms(Optional.ofNullable(symptomsOf.get(id)))));
    }

    /** What is usual for a client at rest. */
    public Optional<UsualPulse> usual(Client client) {
      return ClientRecords.this.usual(readings(client), screening(client));
    }

    /** A client's readings, latest first. */
    public List<RestingReading> readings(Client client) {
      return readingsOf.getOrDefault(client.id(), List.of());
    }

    /** Everything a prescription stands on, on foot. */
    public Groundwork groundwork(Client client) {
      return groundwork(client, Mode.RUN);
    }

    /** Everything a prescription stands on, in that mode. */
    public Groundwork groundwork(Client client, Mode mode) {
      return known.computeIfAbsent(new InMode(client.id(), mode), key -> workOut(client, mode));
    }

    private Groundwork workOut(Client client, Mode mode) {
      Screening screening = screening(client);
      return Groundwork.of(
          screening,
          resting(readings(client), screening),
          mode,
          Optional.ofNullable(choiceOf.get(client.id())),
          maximaOf.getOrDefault(client.id(), List.of()));
    }

    /**
     * What a client carries of that version.
     *
     * @throws RefusedException when it is suspended, or a draft
     */
    public Card card(Client client, SavedPrescription saved) {
      return ClientRecords.this.card(
          client, saved, groundwork(client, saved.prescription().parts().mode()));
    }

    /** What is said of that kind about a client's maximum, in any mode that was measured. */
    public Optional<Finding> aboutMaximum(Client client, FindingKind kind) {
      return maximaOf.getOrDefault(client.id(), List.of()).stream()
          .map(MeasuredMaximum::mode)
          .distinct()
          .sorted()
          .flatMap(mode -> groundwork(client, mode).maximumRecord().findings().stream())
          .filter(finding -> finding.code().equals(kind.code()))
          .findFirst();
    }

    /** Why a prescription is to be looked at again, if new values move its target. */
    public Optional<Finding> review(Client client, SavedPrescription saved) {
      return ClientRecords.this.review(
          client, saved, groundwork(client, saved.prescription().parts().mode()));
    }
  }

  /** Everyone's records as of now. */
  public Everyone everyone() {
    return new Everyone();
  }

  static NotFoundException unknown(UUID id) {
    return new NotFoundException("No client has the id " + id + ".");
  }
}
