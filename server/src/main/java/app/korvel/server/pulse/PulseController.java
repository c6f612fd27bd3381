package app.korvel.server.pulse;

import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Taps;
import app.korvel.core.screening.Person;
import app.korvel.server.measure.WorkingViews.WorkingView;
import app.korvel.server.pulse.PulseViews.Judge;
import app.korvel.server.pulse.PulseViews.PulseAnswer;
import app.korvel.server.pulse.PulseViews.PulseRequest;
import app.korvel.server.pulse.PulseViews.PulseWorkingRequest;
import app.korvel.server.pulse.PulseViews.ReadingRequest;
import app.korvel.server.pulse.PulseViews.ReadingView;
import app.korvel.server.pulse.PulseViews.RestingRecord;
import app.korvel.server.pulse.PulseViews.TapsAnswer;
import app.korvel.server.pulse.PulseViews.TapsRequest;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.pulse.CorrectReading;
import app.korvel.studio.pulse.RecordReading;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
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
  private final Studio studio;

  PulseController(Studio studio) {
    this.studio = studio;
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
    return RestingRecord.of(
        studio.head(id),
        studio.store().readings().of(id),
        studio.store().readings().ratesBefore(id));
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
    Person person = studio.heads().screening(studio.client(id)).person();
    List<RestingReading> taken = studio.store().readings().of(id);
    RestingReading reading = request.reading(studio.stamp(), person);
    return ReadingView.of(
        taken.stream()
            .filter(each -> each.id().equals(instead))
            .findFirst()
            .map(each -> reading.withTakenAt(each.takenAt()))
            .orElse(reading),
        new Judge(
            person,
            taken.stream().filter(each -> !each.id().equals(instead)).toList(),
            studio.zone()));
  }

  @PostMapping("/api/clients/{id}/readings")
  @ResponseStatus(HttpStatus.CREATED)
  ReadingView keep(Actor who, @PathVariable UUID id, @RequestBody ReadingRequest request) {
    return view(id, new RecordReading(studio).by(who, id, request::reading));
  }

  @PutMapping("/api/clients/{id}/readings/{reading}")
  ReadingView correct(
      Actor who,
      @PathVariable UUID id,
      @PathVariable UUID reading,
      @RequestBody ReadingRequest request) {
    return view(id, new CorrectReading(studio).by(who, id, reading, request::reading));
  }

  private ReadingView view(UUID id, RestingReading reading) {
    return ReadingView.of(
        reading,
        new Judge(
            studio.heads().screening(studio.client(id)).person(),
            studio.store().readings().of(id),
            studio.zone()));
  }
}
