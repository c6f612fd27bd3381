package app.korvel.server.pulse;

import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSite;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Taps;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.measure.WorkingViews.WorkingView;
import app.korvel.server.pulse.PulseViews.PulseAnswer;
import app.korvel.server.pulse.PulseViews.PulseRequest;
import app.korvel.server.pulse.PulseViews.PulseWorkingRequest;
import app.korvel.server.pulse.PulseViews.ReadingRequest;
import app.korvel.server.pulse.PulseViews.ReadingView;
import app.korvel.server.pulse.PulseViews.RestingRecord;
import app.korvel.server.pulse.PulseViews.SiteOption;
import app.korvel.server.pulse.PulseViews.SpanAtRest;
import app.korvel.server.pulse.PulseViews.TakenBack;
import app.korvel.server.pulse.PulseViews.TapsAnswer;
import app.korvel.server.pulse.PulseViews.TapsRequest;
import app.korvel.server.pulse.PulseViews.WorkingRestingView;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.store.Ids;
import app.korvel.store.ReadingRepository;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The pulse calculator, and a client's resting record. */
@RestController
class PulseController {
  private final ReadingRepository readings;
  private final ClientRecords records;
  private final StudioClock clock;
  private final Ids ids;

  PulseController(ReadingRepository readings, ClientRecords records, StudioClock clock, Ids ids) {
    this.readings = readings;
    this.records = records;
    this.clock = clock;
    this.ids = ids;
  }

  @PostMapping("/api/calculator/pulse")
  PulseAnswer pulse(@RequestBody PulseRequest request) {
    PulseCount count = request.count();
    return new PulseAnswer(count.bpm(), count.uncertaintyBpm());
  }

  @PostMapping("/api/calculator/pulse/working")
  WorkingView working(@RequestBody PulseWorkingRequest request) {
    return WorkingView.of(request.of().count().longHand(), request.figures());
  }

  /** Judges a pulse tapped along; nothing is kept. */
  @PostMapping("/api/calculator/taps")
  TapsAnswer taps(@RequestBody TapsRequest request) {
    return TapsAnswer.of(Taps.of(request.tapMillis()));
  }

  @GetMapping("/api/clients/{id}/readings")
  RestingRecord record(@PathVariable UUID id) {
    Screening screening = records.screening(records.client(id));
    Person person = screening.person();
    List<RestingReading> found = readings.of(id);
    Map<UUID, List<Integer>> before = readings.ratesBefore(id);
    UsualResting usual = UsualResting.at(person.age());
    return new RestingRecord(
        found.stream()
            .map(
                reading ->
                    ReadingView.of(reading, person, before.getOrDefault(reading.id(), List.of())))
            .toList(),
        records.resting(found, screening).map(WorkingRestingView::of).orElse(null),
        usual.lowest(),
        usual.highest(),
        usual.spans().stream().map(SpanAtRest::of).toList(),
        PulseSite.openTo(person).stream().map(SiteOption::of).toList(),
        RestingReading.QUIET_TIMES,
        Limit.MINUTES_RESTED.highest(),
        Threshold.TAPS_FEWEST.whole(),
        Threshold.TAPS_MOST.whole());
  }

  /** Judges a reading without keeping it. */
  @PostMapping("/api/clients/{id}/readings/judge")
  ReadingView judge(@PathVariable UUID id, @RequestBody ReadingRequest request) {
    Person person = records.screening(records.client(id)).person();
    return ReadingView.of(request.reading(ids.next(), clock.now(), person), person);
  }

  @PostMapping("/api/clients/{id}/readings")
  @ResponseStatus(HttpStatus.CREATED)
  ReadingView keep(@PathVariable UUID id, @RequestBody ReadingRequest request) {
    Person person = records.screening(records.open(id)).person();
    RestingReading reading = request.reading(ids.next(), clock.now(), person);
    readings.add(id, reading, clock.now());
    return ReadingView.of(reading, person);
  }

  /** Another reading stands in the place of this one, as taken at the same moment. */
  @PutMapping("/api/clients/{id}/readings/{reading}")
  ReadingView correct(
      @PathVariable UUID id, @PathVariable UUID reading, @RequestBody ReadingRequest request) {
    Person person = records.screening(records.open(id)).person();
    return readings
        .correct(id, reading, request.reading(ids.next(), clock.now(), person), clock.now())
        .map(standing -> ReadingView.of(standing, person))
        .orElseThrow(() -> unknown(reading));
  }

  /** Takes a reading back; what is answered can be undone. */
  @DeleteMapping("/api/clients/{id}/readings/{reading}")
  TakenBack takeBack(@PathVariable UUID id, @PathVariable UUID reading) {
    records.open(id);
    UUID withdrawal = ids.next();
    if (!readings.withdraw(id, reading, withdrawal, clock.now())) {
      throw unknown(reading);
    }
    return new TakenBack(withdrawal);
  }

  /** Undoes a correction or a taking back. */
  @PostMapping("/api/clients/{id}/readings/{reading}/undo")
  ReadingView undo(@PathVariable UUID id, @PathVariable UUID reading) {
    Person person = records.screening(records.open(id)).person();
    return readings
        .undo(id, reading, ids.next(), clock.now())
        .map(standing -> ReadingView.of(standing, person))
        .orElseThrow(() -> unknown(reading));
  }

  private static NotFoundException unknown(UUID reading) {
    return new NotFoundException("This client has no reading " + reading + ".");
  }
}
