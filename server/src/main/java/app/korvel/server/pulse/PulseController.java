package app.korvel.server.pulse;

import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSite;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Taps;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.measure.WorkingViews.WorkingView;
import app.korvel.server.pulse.PulseViews.Judge;
import app.korvel.server.pulse.PulseViews.PulseAnswer;
import app.korvel.server.pulse.PulseViews.PulseRequest;
import app.korvel.server.pulse.PulseViews.PulseWorkingRequest;
import app.korvel.server.pulse.PulseViews.ReadingRequest;
import app.korvel.server.pulse.PulseViews.ReadingView;
import app.korvel.server.pulse.PulseViews.RestingRecord;
import app.korvel.server.pulse.PulseViews.SiteOption;
import app.korvel.server.pulse.PulseViews.SpanAtRest;
import app.korvel.server.pulse.PulseViews.TapsAnswer;
import app.korvel.server.pulse.PulseViews.TapsRequest;
import app.korvel.server.pulse.PulseViews.WorkingRestingView;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.server.web.TakenBack;
import app.korvel.store.Ids;
import app.korvel.store.ReadingRepository;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
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
    List<RestingReading> found = readings.of(id);
    Judge judge = new Judge(screening.person(), found, clock.zone());
    Map<UUID, List<Integer>> before = readings.ratesBefore(id);
    UsualResting usual = UsualResting.at(screening.person().age());
    return new RestingRecord(
        found.stream()
            .map(
                reading ->
                    ReadingView.of(reading, judge, before.getOrDefault(reading.id(), List.of())))
            .toList(),
        records.head(id).ground().resting().map(WorkingRestingView::of).orElse(null),
        usual.lowest(),
        usual.highest(),
        usual.spans().stream().map(SpanAtRest::of).toList(),
        PulseSite.openTo(screening.person()).stream().map(SiteOption::of).toList(),
        RestingReading.QUIET_TIMES,
        Limit.MINUTES_RESTED.highest(),
        Threshold.TAPS_FEWEST.whole(),
        Threshold.TAPS_MOST.whole());
  }

  /**
   * Judges a reading without keeping it.
   *
   * @param instead the one it would stand in the place of
   */
  @PostMapping("/api/clients/{id}/readings/judge")
  ReadingView judge(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable UUID instead,
      @RequestBody ReadingRequest request) {
    Client client = records.client(id);
    Person person = records.screening(client).person();
    RestingReading reading = request.reading(ids.next(), clock.now(), person);
    List<RestingReading> taken = readings.of(id);
    Instant takenAt =
        taken.stream()
            .filter(each -> each.id().equals(instead))
            .findFirst()
            .map(RestingReading::takenAt)
            .orElse(reading.takenAt());
    return ReadingView.of(
        reading.withTakenAt(takenAt),
        new Judge(
            person,
            taken.stream().filter(each -> !each.id().equals(instead)).toList(),
            clock.zone()));
  }

  private Judge judge(Client client) {
    return new Judge(records.screening(client).person(), readings.of(client.id()), clock.zone());
  }

  @OneWrite
  @PostMapping("/api/clients/{id}/readings")
  @ResponseStatus(HttpStatus.CREATED)
  ReadingView keep(@PathVariable UUID id, @RequestBody ReadingRequest request) {
    Judge judge = judge(records.open(id));
    RestingReading reading = request.reading(ids.next(), clock.now(), judge.person());
    readings.add(id, reading, clock.now());
    return ReadingView.of(reading, judge);
  }

  /** Another reading stands in the place of this one, as taken at the same moment. */
  @OneWrite
  @PutMapping("/api/clients/{id}/readings/{reading}")
  ReadingView correct(
      @PathVariable UUID id, @PathVariable UUID reading, @RequestBody ReadingRequest request) {
    Client client = records.open(id);
    Person person = records.screening(client).person();
    return readings
        .correct(id, reading, request.reading(ids.next(), clock.now(), person), clock.now())
        .map(standing -> ReadingView.of(standing, judge(client)))
        .orElseThrow(() -> unknown(reading));
  }

  /** Takes a reading back; what is answered can be undone. */
  @OneWrite
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
  @OneWrite
  @PostMapping("/api/clients/{id}/readings/{reading}/undo")
  ReadingView undo(@PathVariable UUID id, @PathVariable UUID reading) {
    Client client = records.open(id);
    return readings
        .undo(id, reading, ids.next(), clock.now())
        .map(standing -> ReadingView.of(standing, judge(client)))
        .orElseThrow(() -> unknown(reading));
  }

  private static NotFoundException unknown(UUID reading) {
    return new NotFoundException("This client has no reading " + reading + ".");
  }
}
