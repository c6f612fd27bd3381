package app.korvel.server.practice;

import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.PracticeProgress;
import app.korvel.core.pulse.PulseCount;
import app.korvel.sensor.PracticePulse;
import app.korvel.server.practice.PracticeViews.GivenPulse;
import app.korvel.server.practice.PracticeViews.GivenPulseRequest;
import app.korvel.server.practice.PracticeViews.PracticeView;
import app.korvel.server.practice.PracticeViews.TryRequest;
import app.korvel.server.practice.PracticeViews.TryView;
import app.korvel.store.PracticeRepository.SavedTry;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.practice.RecordTry;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Counting practised on pulses that are nobody's. */
@RestController
class PracticeController {
  private final Studio studio;
  private final Seeds seeds;

  PracticeController(Studio studio, Seeds seeds) {
    this.studio = studio;
    this.seeds = seeds;
  }

  /** The levels, and how the counting comes along. */
  @GetMapping("/api/practice")
  PracticeView practice() {
    List<SavedTry> all = studio.store().practice().all();
    PracticeProgress progress =
        PracticeProgress.of(
            all.stream()
                .map(saved -> new PracticeProgress.Tried(saved.level(), saved.tried()))
                .toList());
    return PracticeView.of(all, progress);
  }

  /** A pulse to count, at a rate that is told only after. */
  @PostMapping("/api/practice/pulses")
  GivenPulse pulse(@RequestBody GivenPulseRequest request) {
    long seed = seeds.next();
    CountWindow window = CountWindow.of(request.windowSeconds());
    return GivenPulse.of(seed, request.level(), PracticePulse.of(request.level(), window, seed));
  }

  @PostMapping("/api/practice/tries")
  @ResponseStatus(HttpStatus.CREATED)
  TryView count(Actor who, @RequestBody TryRequest request) {
    PulseCount count = PulseCount.of(request.beats(), CountWindow.of(request.windowSeconds()));
    return TryView.of(
        new RecordTry(studio)
            .by(who, request.level(), request.seed(), count, request.heardIfAsked()));
  }
}
