package app.korvel.server.checkin;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.CheckIn.Told;
import app.korvel.core.checkin.Glucose;
import app.korvel.core.checkin.Known;
import app.korvel.core.checkin.Verdict;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Threshold;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.Symptom;
import app.korvel.server.checkin.CheckInViews.CheckInAnswer;
import app.korvel.server.checkin.CheckInViews.CheckInOfAnyoneRequest;
import app.korvel.server.checkin.CheckInViews.CheckInRequest;
import app.korvel.server.checkin.CheckInViews.CheckInSheet;
import app.korvel.server.checkin.CheckInViews.CheckInView;
import app.korvel.server.checkin.CheckInViews.PastPulse;
import app.korvel.server.checkin.CheckInViews.ToldOption;
import app.korvel.server.checkin.CheckInViews.VerdictView;
import app.korvel.server.checkin.CheckInViews.WorseOption;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.store.CheckInRepository;
import app.korvel.store.Ids;
import app.korvel.store.ReadingRepository;
import app.korvel.store.SavedCheckIn;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The check-in calculator, and a client's check-ins before a session. */
@RestController
class CheckInController {
  private static final int RECENT = 8;
  private static final int PAST = 12;

  private final CheckInDesk desk;
  private final CheckInRepository checkIns;
  private final ReadingRepository readings;
  private final ClientRecords records;
  private final StudioClock clock;
  private final Ids ids;

  CheckInController(
      CheckInDesk desk,
      CheckInRepository checkIns,
      ReadingRepository readings,
      ClientRecords records,
      StudioClock clock,
      Ids ids) {
    this.desk = desk;
    this.checkIns = checkIns;
    this.readings = readings;
    this.records = records;
    this.clock = clock;
    this.ids = ids;
  }

  @PostMapping("/api/calculator/checkin")
  CheckInAnswer judge(@RequestBody CheckInOfAnyoneRequest request) {
    Person person =
        Person.of(request.age(), Sex.NOT_GIVEN, Activity.SOME, Person.Health.NOTHING_KNOWN);
    return CheckInAnswer.of(
        Verdict.of(request.checkIn(), Known.of(clock.today(), person, request.usual())));
  }

  @GetMapping("/api/clients/{id}/checkins")
  CheckInSheet sheet(@PathVariable UUID id) {
    Client client = records.client(id);
    Screening screening = records.screening(client);
    List<RestingReading> taken = readings.of(id);
    Optional<UsualPulse> usual = records.head(id).usual();
    Posture posture = usual.map(UsualPulse::posture).orElse(Posture.SEATED);
    PulseSource source = usual.map(UsualPulse::source).orElse(PulseSource.COUNT);
    List<SavedCheckIn> recent = checkIns.of(id, RECENT);
    return new CheckInSheet(
        recent.stream()
            .filter(saved -> saved.on().equals(clock.today()))
            .findFirst()
            .map(CheckInView::of)
            .orElse(null),
        recent.stream().map(CheckInView::of).toList(),
        usual.map(UsualPulse::bpm).orElse(null),
        posture,
        source,
        Threshold.PULSE_LIGHT_ONLY.whole(),
        Threshold.PULSE_NOT_TODAY.whole(),
        past(taken, posture, source),
        screening.effects().ask(),
        screening.effects().carry(),
        recent.stream()
            .flatMap(saved -> saved.checkIn().glucose().stream())
            .findFirst()
            .map(glucose -> glucose.unit() == Glucose.Unit.MMOL_L)
            .orElse(true),
        Arrays.stream(Told.values()).map(told -> new ToldOption(told, told.displayName())).toList(),
        Arrays.stream(Symptom.values())
            .map(symptom -> new WorseOption(symptom, symptom.displayName()))
            .toList());
  }

  /** Judges what was found without keeping it. */
  @PostMapping("/api/clients/{id}/checkins/preview")
  VerdictView preview(@PathVariable UUID id, @RequestBody CheckInRequest request) {
    Client client = records.client(id);
    CheckIn found = request.checkIn();
    Known known = desk.known(client);
    return VerdictView.of(
        found, Verdict.of(found, known), known.usualBpm(found.posture()), lightBelow(client));
  }

  @OneWrite
  @PostMapping("/api/clients/{id}/checkins")
  @ResponseStatus(HttpStatus.CREATED)
  CheckInView keep(@PathVariable UUID id, @RequestBody CheckInRequest request) {
    return CheckInView.of(
        desk.keep(
            records.open(id),
            request.checkIn(),
            verdict ->
                Optional.ofNullable(request.decided())
                    .map(own -> verdict.decide(own.outcome(), own.reason()))));
  }

  /** Takes back a check-in that was kept by mistake. */
  @OneWrite
  @DeleteMapping("/api/clients/{id}/checkins/{checkIn}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeBack(@PathVariable UUID id, @PathVariable UUID checkIn) {
    records.open(id);
    if (!checkIns.withdraw(id, checkIn, ids.next(), clock.now())) {
      throw new NotFoundException("This client has no check-in " + checkIn + ".");
    }
  }

  private List<PastPulse> past(List<RestingReading> taken, Posture posture, PulseSource source) {
    List<RestingReading> alike =
        taken.stream()
            .filter(reading -> reading.posture() == posture && reading.source() == source)
            .sorted(Comparator.comparing(RestingReading::takenAt))
            .toList();
    return alike.subList(Math.max(0, alike.size() - PAST), alike.size()).stream()
        .map(
            reading ->
                new PastPulse(reading.takenAt().atZone(clock.zone()).toLocalDate(), reading.bpm()))
        .toList();
  }

  /** Where light work ends, for someone who may be steered by a rate. */
  private Optional<Integer> lightBelow(Client client) {
    Groundwork ground = records.groundwork(client, Mode.RUN);
    return ground
        .reserve()
        .filter(span -> ground.noRateBecause().isEmpty())
        .map(
            span ->
                Math.min(
                    span.rateAt(Threshold.WARM_UP_TO.whole()),
                    ground.screening().cap().map(Cap::bpm).orElse(span.maximumBpm())));
  }
}
