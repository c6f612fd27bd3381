package app.korvel.server.client;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.programme.Programme;
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
import app.korvel.core.session.SessionLog;
import app.korvel.core.session.WeekReview;
import app.korvel.store.FieldTestRepository.LastTest;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SavedProgramme;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * What is on record of several clients at one moment, as far back as the rules look.
 *
 * @param today the studio's day
 * @param zone the studio's time zone
 * @param readings latest first: see {@link Snapshots}
 * @param logs of the last weeks, earliest first
 * @param lastLogged the last day of a session that was logged
 * @param tests the last finished test of each protocol
 * @param talkSteps the day of the last talk-step test
 * @param testing who is in a field test now
 */
record Snapshot(
    LocalDate today,
    ZoneId zone,
    Map<UUID, Intake> intakes,
    Map<UUID, List<Clearance>> clearances,
    Map<UUID, List<Consent>> consents,
    Map<UUID, Reported> reported,
    Map<UUID, Instant> symptoms,
    Map<UUID, List<RestingReading>> readings,
    Map<UUID, Choice> choices,
    Map<UUID, List<MeasuredMaximum>> maxima,
    Map<UUID, SavedPrescription> prescriptions,
    Map<UUID, SavedProgramme> programmes,
    Map<UUID, List<SessionLog>> logs,
    Map<UUID, LocalDate> lastLogged,
    Map<UUID, List<LastTest>> tests,
    Map<UUID, LocalDate> talkSteps,
    Set<UUID> testing) {

  private static final String TALK_STEPS = "Talk-step test";

  /** What the records of one of them come to. */
  ClientHead head(Client client) {
    UUID id = client.id();
    Screening screening =
        Screening.of(
            client,
            Optional.ofNullable(intakes.get(id)),
            new OnRecord(
                clearances.getOrDefault(id, List.of()),
                consents.getOrDefault(id, List.of()),
                reported
                    .getOrDefault(id, Reported.NOTHING)
                    .andSymptoms(Optional.ofNullable(symptoms.get(id)))),
            today,
            zone);
    List<RestingReading> taken = readings.getOrDefault(id, List.of());
    Optional<Choice> choice = Optional.ofNullable(choices.get(id));
    List<MeasuredMaximum> measured = maxima.getOrDefault(id, List.of());
    Optional<Programme> programme =
        Optional.ofNullable(programmes.get(id)).map(SavedProgramme::programme);
    return new ClientHead(
        client,
        Groundwork.of(
            screening,
            WorkingResting.of(taken, screening.medicinesChangedAt(), today, zone),
            Mode.RUN,
            choice,
            measured),
        choice,
        measured,
        UsualPulse.of(taken, screening.medicinesChangedAt(), today, zone),
        Optional.ofNullable(prescriptions.get(id)),
        programme.map(laid -> laid.plan().endsOn()),
        programme.flatMap(laid -> WeekReview.due(laid, logs.getOrDefault(id, List.of()), today)),
        Optional.ofNullable(lastLogged.get(id)),
        tests(id),
        testing.contains(id));
  }

  private Map<String, LocalDate> tests(UUID id) {
    Map<String, LocalDate> last = new HashMap<>();
    for (LastTest test : tests.getOrDefault(id, List.of())) {
      last.put(test.protocol().displayName(), LocalDate.ofInstant(test.startedAt(), zone));
    }
    Optional.ofNullable(talkSteps.get(id)).ifPresent(day -> last.put(TALK_STEPS, day));
    return last;
  }
}
