package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Threshold;
import app.korvel.core.run.Prompt;
import java.time.Duration;

/** What is asked for in a step of work, and when. */
public enum LivePrompt {
  /** A count by hand, where nothing else reads the rate. */
  COUNT(Threshold.COUNTED_FIRST, Duration.ofSeconds(Threshold.COUNTED_BEFORE_END.whole())),
  RPE(Threshold.RATED_FIRST, Duration.ZERO),
  VOICE(Threshold.RATED_FIRST, Duration.ZERO);

  private final Prompt when;

  LivePrompt(Threshold first, Duration beforeEnd) {
    this.when =
        new Prompt(
            Duration.ofSeconds(first.whole()),
            Duration.ofSeconds(Threshold.RATING_LASTS.whole()),
            beforeEnd);
  }

  Prompt when() {
    return when;
  }

  /** Whether it is of use as the session stands: what is in force is not asked for. */
  boolean wanted(LiveSession session) {
    return switch (this) {
      case COUNT ->
          session.plan().mover().reserve().isPresent()
              && (session.source() == RateSource.COUNT || session.goByHand());
      case RPE -> session.cues().standing().rpe20().isEmpty();
      case VOICE -> session.cues().standing().voice().isEmpty();
    };
  }

  boolean isAnsweredBy(LiveEvent event) {
    return switch (this) {
      case COUNT -> event instanceof LiveEvent.Counted || event instanceof LiveEvent.ReadOff;
      case RPE -> event instanceof LiveEvent.Rated rated && rated.rpe20().isPresent();
      case VOICE -> event instanceof LiveEvent.Rated rated && rated.voice().isPresent();
    };
  }
}
