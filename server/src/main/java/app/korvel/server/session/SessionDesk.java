package app.korvel.server.session;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.outline.Aim;
import app.korvel.core.prescription.Parts;
import app.korvel.core.screening.Client;
import app.korvel.core.session.Asked;
import app.korvel.core.session.LoggedRate;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.outline.OutlineViews.Runner;
import app.korvel.server.outline.OutlineViews.StepAim;
import app.korvel.server.programme.ProgrammeDesk;
import app.korvel.server.programme.ProgrammeDesk.Led;
import app.korvel.server.session.SessionLogViews.SessionLogRequest;
import app.korvel.server.studio.StudioClock;
import app.korvel.store.PlannedSessionRepository;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SavedSession;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Brings what was planned and what was done of a session together. */
@Component
public class SessionDesk {
  private final PlannedSessionRepository planned;
  private final ProgrammeDesk programmes;
  private final ClientRecords records;
  private final StudioClock clock;

  SessionDesk(
      PlannedSessionRepository planned,
      ProgrammeDesk programmes,
      ClientRecords records,
      StudioClock clock) {
    this.planned = planned;
    this.programmes = programmes;
    this.records = records;
    this.clock = clock;
  }

  /** How a range of a client's sessions is to feel and, where it may be, at which rate. */
  public StepAim aim(Led led, Mode mode, Percents range) {
    return StepAim.of(runner(led, mode).aim(range));
  }

  private Runner runner(Led led, Mode mode) {
    Optional<SavedPrescription> current = led.current();
    return current.isPresent() && led.why().isEmpty()
        ? programmes.runner(led, current.get(), mode)
        : programmes.withoutPrescription(led, mode);
  }

  private Asked asked(Led led, Mode mode, Percents range, int minutes) {
    Runner runner = runner(led, mode);
    Aim aim = runner.aim(range);
    return new Asked(range, minutes, aim.rpe20(), runner.reserve());
  }

  /**
   * A log as it was entered.
   *
   * @param id of it
   * @throws InvalidValueException with every fault at once
   * @throws RefusedException when the client is archived, or has no prescription to log against
   */
  SessionLog log(UUID id, SessionLogRequest request) {
    Client client = records.open(request.clientId());
    Led led = programmes.led(client);
    Optional<SavedSession> session =
        Optional.ofNullable(request.number())
            .map(
                number ->
                    planned
                        .get(client.id(), number)
                        .orElseThrow(
                            () ->
                                InvalidValueException.of(
                                    "number",
                                    number + " is no session of this client",
                                    "a session that was laid out, or none")));
    Parts parts =
        led.current()
            .orElseThrow(() -> RefusedException.because(FindingKind.NO_PRESCRIPTION.of()))
            .prescription()
            .parts();
    Mode mode =
        Optional.ofNullable(request.mode())
            .or(() -> session.map(SavedSession::mode))
            .orElse(parts.mode());
    Asked asked =
        asked(
            led,
            mode,
            session.map(SavedSession::range).orElse(parts.range()),
            session.map(SavedSession::minutes).orElse(parts.minutes()));
    int minutes =
        request.minutes() != null ? request.minutes() : request.done() ? asked.minutes() : 0;
    return new SessionLog(
            id,
            Optional.ofNullable(request.number()),
            request.on(),
            mode,
            request.done(),
            minutes,
            Optional.ofNullable(request.bpm())
                .map(
                    bpm ->
                        new LoggedRate(
                            bpm,
                            request.rateKind() == null
                                ? LoggedRate.Kind.COUNTED
                                : request.rateKind())),
            Optional.ofNullable(request.rpe()),
            Optional.ofNullable(request.voice()),
            Set.copyOf(request.warnings() == null ? List.of() : request.warnings()),
            request.note() == null ? "" : request.note().strip(),
            asked,
            clock.now())
        .checked(clock.zone());
  }

  /** The same with the place of each fault in a list. */
  SessionLog log(UUID id, int place, SessionLogRequest request) {
    try {
      return log(id, request);
    } catch (InvalidValueException faulty) {
      List<Fault> placed = new ArrayList<>();
      faulty
          .faults()
          .forEach(
              fault ->
                  placed.add(
                      new Fault(
                          "logs[" + place + "]." + fault.field(),
                          fault.message(),
                          fault.accepted())));
      throw InvalidValueException.of(placed);
    }
  }
}
