package app.korvel.server.practice;

import app.korvel.server.practice.PracticeSessionViews.PracticeSessionRequest;
import app.korvel.server.practice.PracticeSessionViews.PracticeSessionStart;
import app.korvel.server.practice.PracticeSessionViews.PracticeSessionView;
import app.korvel.studio.Studio;
import app.korvel.studio.practice.PractiseSession;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** An outline tried on somebody made up; nothing is kept. */
@RestController
class PracticeSessionController {
  private final Studio studio;
  private final Seeds seeds;

  PracticeSessionController(Studio studio, Seeds seeds) {
    this.studio = studio;
    this.seeds = seeds;
  }

  @GetMapping("/api/practice/sessions")
  PracticeSessionStart start() {
    return PracticeSessionStart.NOW;
  }

  /** The whole session at once, to be played at any speed. */
  @PostMapping("/api/practice/sessions")
  PracticeSessionView practise(@RequestBody PracticeSessionRequest request) {
    return PracticeSessionView.of(
        new PractiseSession(studio)
            .of(
                request.outline().written(),
                request.madeUp(),
                request.fault(),
                request.seed() == null ? seeds.next() : request.seed()),
        studio.settings().ways().family());
  }
}
