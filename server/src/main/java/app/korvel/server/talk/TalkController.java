package app.korvel.server.talk;

import app.korvel.core.maximum.Mode;
import app.korvel.server.talk.LearnedCalculatorViews.LearnedAnswer;
import app.korvel.server.talk.LearnedCalculatorViews.LearnedRequest;
import app.korvel.server.talk.TalkViews.CheckRequest;
import app.korvel.server.talk.TalkViews.LearningRequest;
import app.korvel.server.talk.TalkViews.LongHandView;
import app.korvel.server.talk.TalkViews.OfferRequest;
import app.korvel.server.talk.TalkViews.OutRequest;
import app.korvel.server.talk.TalkViews.PassagesView;
import app.korvel.server.talk.TalkViews.ResetRequest;
import app.korvel.server.talk.TalkViews.StudioLearning;
import app.korvel.server.talk.TalkViews.StudioLearningRequest;
import app.korvel.server.talk.TalkViews.TalkPage;
import app.korvel.server.web.Problems;
import app.korvel.store.StaleVersionException;
import app.korvel.store.StudioRepository.Settings;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.talk.DecideTalk;
import app.korvel.studio.talk.RecordTalkCheck;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * A client's talk checks, and the rates learned from them. What is written answers with the page as
 * it is then; a decision is undone as every record is, as one of {@code talk-decisions}.
 */
@RestController
class TalkController {
  private final Studio studio;

  TalkController(Studio studio) {
    this.studio = studio;
  }

  @PostMapping("/api/calculator/learned")
  LearnedAnswer learned(@RequestBody LearnedRequest request) {
    return request.answer();
  }

  @GetMapping("/api/talk/passages")
  PassagesView passages() {
    return PassagesView.ALL;
  }

  @GetMapping("/api/clients/{id}/talk")
  TalkPage page(@PathVariable UUID id, @RequestParam(required = false) @Nullable Mode mode) {
    return new TalkPages(studio).of(id, mode);
  }

  @PostMapping("/api/clients/{id}/talk/checks")
  TalkPage add(Actor who, @PathVariable UUID id, @RequestBody CheckRequest request) {
    new RecordTalkCheck(studio).by(who, id, request.entered());
    return new TalkPages(studio).of(id, request.mode());
  }

  @PutMapping("/api/clients/{id}/talk/checks")
  TalkPage correct(Actor who, @PathVariable UUID id, @RequestBody CheckRequest request) {
    new RecordTalkCheck(studio).correct(who, id, request.entered());
    return new TalkPages(studio).of(id, request.mode());
  }

  @GetMapping("/api/clients/{id}/talk/checks/{check}")
  LongHandView longHand(@PathVariable UUID id, @PathVariable UUID check, @RequestParam Mode mode) {
    return new TalkPages(studio).longHand(id, check, mode);
  }

  @PostMapping("/api/clients/{id}/talk/checks/{check}/use")
  TalkPage use(
      Actor who,
      @PathVariable UUID id,
      @PathVariable UUID check,
      @RequestParam Mode mode,
      @RequestBody OutRequest request) {
    new DecideTalk(studio).check(who, id, check, request.out(), request.reason());
    return new TalkPages(studio).of(id, mode);
  }

  @PostMapping("/api/clients/{id}/talk/offer")
  TalkPage decide(Actor who, @PathVariable UUID id, @RequestBody OfferRequest request) {
    new DecideTalk(studio)
        .offer(
            who,
            id,
            request.mode(),
            request.which(),
            request.bpm(),
            request.accept(),
            request.reason() == null ? "" : request.reason());
    return new TalkPages(studio).of(id, request.mode());
  }

  @PostMapping("/api/clients/{id}/talk/reset")
  TalkPage reset(Actor who, @PathVariable UUID id, @RequestBody ResetRequest request) {
    new DecideTalk(studio).reset(who, id, request.mode(), request.from(), request.reason());
    return new TalkPages(studio).of(id, request.mode());
  }

  @PostMapping("/api/clients/{id}/talk/learning")
  TalkPage learning(
      Actor who,
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable Mode mode,
      @RequestBody LearningRequest request) {
    new DecideTalk(studio)
        .learning(who, id, request.on(), request.reason() == null ? "" : request.reason());
    return new TalkPages(studio).of(id, mode);
  }

  /** Whether anything is learned from talk in this studio. */
  @PutMapping("/api/studio/learning")
  StudioLearning learning(Actor who, @RequestBody StudioLearningRequest request) {
    new DecideTalk(studio).learning(who, request.version(), request.on());
    return learning(studio.settings().now());
  }

  @GetMapping("/api/studio/learning")
  StudioLearning learning() {
    return learning(studio.settings().now());
  }

  private static StudioLearning learning(Settings settings) {
    return new StudioLearning(settings.version(), settings.learnsFromTalk());
  }

  /** Nothing is lost: the answer carries the settings as they are now. */
  @ExceptionHandler
  ResponseEntity<Object> stale(StaleVersionException stale) {
    return Problems.stale(stale, learning(stale.current(Settings.class)));
  }
}
