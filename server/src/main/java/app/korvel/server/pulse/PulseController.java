package app.korvel.server.pulse;

import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.screening.Person;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.pulse.PulseViews.PulseAnswer;
import app.korvel.server.pulse.PulseViews.PulseRequest;
import app.korvel.server.pulse.PulseViews.ReadingRequest;
import app.korvel.server.pulse.PulseViews.ReadingView;
import app.korvel.server.pulse.PulseViews.RestingRecord;
import app.korvel.server.pulse.PulseViews.WorkingView;
import app.korvel.server.studio.StudioClock;
import app.korvel.store.Ids;
import app.korvel.store.ReadingRepository;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
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

  @GetMapping("/api/clients/{id}/readings")
  RestingRecord record(@PathVariable UUID id) {
    Person person = records.client(id).on(clock.today());
    List<RestingReading> found = readings.of(id);
    UsualResting usual = UsualResting.at(person.age());
    return new RestingRecord(
        found.stream().map(reading -> ReadingView.of(reading, person)).toList(),
        records.resting(found).map(WorkingView::of).orElse(null),
        usual.lowest(),
        usual.highest());
  }

  /** Judges a reading without keeping it. */
  @PostMapping("/api/clients/{id}/readings/judge")
  ReadingView judge(@PathVariable UUID id, @RequestBody ReadingRequest request) {
    Person person = records.client(id).on(clock.today());
    return ReadingView.of(request.reading(ids.next(), clock.now()), person);
  }

  @PostMapping("/api/clients/{id}/readings")
  @ResponseStatus(HttpStatus.CREATED)
  ReadingView keep(@PathVariable UUID id, @RequestBody ReadingRequest request) {
    Person person = records.client(id).on(clock.today());
    RestingReading reading = request.reading(ids.next(), clock.now());
    readings.add(id, reading, clock.now());
    return ReadingView.of(reading, person);
  }
}
