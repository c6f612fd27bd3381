package app.korvel.server.practice;

import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.PracticeProgress;
import app.korvel.core.pulse.PracticeTry;
import app.korvel.core.pulse.PulseCount;
import app.korvel.sensor.PracticePulse;
import app.korvel.server.practice.PracticeViews.GivenPulse;
import app.korvel.server.practice.PracticeViews.GivenPulseRequest;
import app.korvel.server.practice.PracticeViews.PracticeView;
import app.korvel.server.practice.PracticeViews.TryRequest;
import app.korvel.server.practice.PracticeViews.TryView;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.OneWrite;
import app.korvel.store.Ids;
import app.korvel.store.PracticeRepository;
import app.korvel.store.PracticeRepository.SavedTry;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Counting practised on pulses that are nobody's. */
@RestController
class PracticeController {
  private final PracticeRepository tries;
  private final Seeds seeds;
  private final StudioClock clock;
  private final Ids ids;

  PracticeController(PracticeRepository tries, Seeds seeds, StudioClock clock, Ids ids) {
    this.tries = tries;
    this.seeds = seeds;
    this.clock = clock;
    this.ids = ids;
  }

  /** The levels, and how the counting comes along. */
  @GetMapping("/api/practice")
  PracticeView practice() {
    List<SavedTry> all = tries.all();
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

  /** What was counted: judged against the pulse, which is made anew from its seed, and kept. */
  @OneWrite
  @PostMapping("/api/practice/tries")
  @ResponseStatus(HttpStatus.CREATED)
  TryView count(@RequestBody TryRequest request) {
    PracticeLevel level = request.level();
    CountWindow window = CountWindow.of(request.windowSeconds());
    PulseCount count = PulseCount.of(request.beats(), window);
    PracticeTry tried =
        PracticePulse.of(level, window, request.seed())
            .judge(
                count,
                Optional.of(request).filter(asked -> level.asksRhythm()).map(TryRequest::heard));
    SavedTry saved = new SavedTry(ids.next(), clock.now(), level, request.seed(), tried);
    tries.add(saved);
    return TryView.of(saved);
  }
}
