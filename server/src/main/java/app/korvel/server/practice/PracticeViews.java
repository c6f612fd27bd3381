package app.korvel.server.practice;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.PracticeProgress;
import app.korvel.core.pulse.PracticeTry;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.Strength;
import app.korvel.sensor.PracticePulse;
import app.korvel.store.PracticeRepository.SavedTry;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Practice as it is received and sent. */
final class PracticeViews {
  /** How many tries the trend shows. */
  private static final int SHOWN = 40;

  private PracticeViews() {}

  record PracticeLevelView(
      PracticeLevel id,
      int number,
      String name,
      int lowestBpm,
      int highestBpm,
      boolean asksRhythm,
      Strength strength,
      int windowSeconds,
      boolean passed) {
    static PracticeLevelView of(PracticeLevel level, PracticeProgress progress) {
      return new PracticeLevelView(
          level,
          level.number(),
          level.displayName(),
          level.lowestBpm(),
          level.highestBpm(),
          level.asksRhythm(),
          level.strength(),
          level.window().seconds(),
          progress.passed().contains(level));
    }
  }

  /**
   * Where the learner stands.
   *
   * @param next the level to go on with; null when all are passed
   * @param runToPass so many right tries in a row pass a level
   * @param tries the latest ones, oldest first
   * @param lately mean size of the latest errors, bpm; null before there are enough
   * @param before the same of as many before those
   */
  record PracticeView(
      List<PracticeLevelView> levels,
      @Nullable PracticeLevel next,
      int runToPass,
      int trendOf,
      List<TryView> tries,
      @Nullable BigDecimal lately,
      @Nullable BigDecimal before) {
    static PracticeView of(List<SavedTry> all, PracticeProgress progress) {
      return new PracticeView(
          Arrays.stream(PracticeLevel.values())
              .map(level -> PracticeLevelView.of(level, progress))
              .toList(),
          progress.next().orElse(null),
          Threshold.PRACTICE_RUN.whole(),
          Threshold.PRACTICE_TREND.whole(),
          all.subList(Math.max(0, all.size() - SHOWN), all.size()).stream()
              .map(TryView::of)
              .toList(),
          progress.lately().orElse(null),
          progress.before().orElse(null));
    }
  }

  record GivenPulseRequest(PracticeLevel level, Integer windowSeconds) {}

  /**
   * A pulse to play.
   *
   * @param beatMillis when each beat comes; the counting starts at 0
   * @param loudness how strong each is, in percent
   */
  record GivenPulse(
      long seed,
      PracticeLevel level,
      int windowSeconds,
      int leadMillis,
      List<Integer> beatMillis,
      List<Integer> loudness) {
    static GivenPulse of(long seed, PracticeLevel level, PracticePulse given) {
      return new GivenPulse(
          seed,
          level,
          given.window().seconds(),
          PracticePulse.LEAD_MILLIS,
          Arrays.stream(given.pulse().millis()).boxed().toList(),
          Arrays.stream(given.pulse().loudness()).boxed().toList());
    }
  }

  record TryRequest(
      PracticeLevel level,
      Long seed,
      Integer windowSeconds,
      Integer beats,
      @Nullable Rhythm rhythm) {

    /**
     * The rhythm that was heard, where the level asks for it.
     *
     * @throws InvalidValueException when it was asked for and not said
     */
    Optional<Rhythm> heardIfAsked() {
      if (!level.asksRhythm()) {
        return Optional.empty();
      }
      if (rhythm == null || rhythm == Rhythm.TOO_SHORT) {
        throw InvalidValueException.of("rhythm", "is asked at this level", "steady or uneven");
      }
      return Optional.of(rhythm);
    }
  }

  record TryView(
      UUID id,
      Instant at,
      PracticeLevel level,
      int windowSeconds,
      int beats,
      int beatsPlayed,
      int bpm,
      int pulseBpm,
      int errorBpm,
      int windowErrorBpm,
      int ownErrorBpm,
      int uncertaintyBpm,
      Rhythm played,
      @Nullable Rhythm said,
      boolean right,
      List<Finding> findings) {
    static TryView of(SavedTry saved) {
      PracticeTry tried = saved.tried();
      return new TryView(
          saved.id(),
          saved.at(),
          saved.level(),
          tried.count().window().seconds(),
          tried.count().beats(),
          tried.beatsPlayed(),
          tried.count().bpm(),
          tried.pulseBpm(),
          tried.errorBpm(),
          tried.windowErrorBpm(),
          tried.ownErrorBpm(),
          tried.count().uncertaintyBpm(),
          tried.played(),
          tried.said().orElse(null),
          tried.right(),
          tried.findings());
    }
  }
}
