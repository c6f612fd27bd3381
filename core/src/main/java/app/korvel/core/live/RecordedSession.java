package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.maximum.Mode;
import app.korvel.core.maximum.RecordedPeak;
import app.korvel.core.recovery.Recovery;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Reserve;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What is kept of a recorded session, to be read in any zone system and set beside others without
 * reading it anew.
 *
 * @param source what read it
 * @param seconds with and without a rate, without pauses
 * @param noDataSeconds of them without a rate
 * @param histogram seconds at each smoothed rate, from 20 to {@link Trace#HIGHEST} bpm, without the
 *     zeros at its end
 * @param restingBpm of the day; empty without a span
 * @param maximumBpm of the day; empty without a span
 * @param peakBpm the highest rate that held; empty where there is none, or it is not sure whose
 * @param peakSecond when it began
 * @param falls how far the rate fell in 60 s
 */
public record RecordedSession(
    Mode mode,
    RateSource source,
    int seconds,
    int noDataSeconds,
    List<Integer> histogram,
    OptionalInt restingBpm,
    OptionalInt maximumBpm,
    OptionalInt peakBpm,
    int peakSecond,
    List<Fall60> falls) {

  /**
   * A fall of the rate in the minute after an effort.
   *
   * @param source by what it was read
   * @param endSecond when the effort ended
   */
  public record Fall60(RecoveryPosture posture, RateSource source, int endSecond, int bpm) {}

  private static final int LOWEST = 20;

  public RecordedSession {
    histogram = List.copyOf(histogram);
    falls = List.copyOf(falls);
  }

  /** What a session came to. */
  public static RecordedSession of(LiveSession session) {
    LiveSummary summary = LiveSummary.of(session);
    int[] byBpm = Tally.together(session.tallies());
    int last = byBpm.length;
    while (last > LOWEST && byBpm[last - 1] == 0) {
      last--;
    }
    Optional<Reserve> span = session.plan().mover().reserve();
    Optional<RecordedPeak> peak = LiveSummary.recordedPeak(session);
    List<Fall60> falls = new ArrayList<>();
    for (LiveRecovery each : LiveRecovery.of(session, Optional.empty())) {
      each.recovery()
          .filter(recovery -> recovery.drop60().isPresent())
          .ifPresent(
              (Recovery recovery) ->
                  falls.add(
                      new Fall60(
                          recovery.posture(),
                          recovery.source(),
                          each.endSecond(),
                          recovery.drop60().getAsInt())));
    }
    return new RecordedSession(
        session.plan().mode(),
        session.source(),
        session.tallies().stream().mapToInt(Tally::seconds).sum(),
        session.tallies().stream().mapToInt(Tally::noData).sum(),
        Arrays.stream(byBpm, LOWEST, last).boxed().toList(),
        span.map(each -> OptionalInt.of(each.restingBpm())).orElse(OptionalInt.empty()),
        span.map(each -> OptionalInt.of(each.maximumBpm())).orElse(OptionalInt.empty()),
        peak.map(RecordedPeak::bpm).orElse(OptionalInt.empty()),
        peak.map(RecordedPeak::atSecond).orElse(0),
        falls);
  }

  /** Seconds at each rate, by bpm from 0 to {@link Trace#HIGHEST}. */
  public int[] byBpm() {
    int[] seconds = new int[Trace.HIGHEST + 1];
    for (int n = 0; n < histogram.size(); n++) {
      seconds[LOWEST + n] = histogram.get(n);
    }
    return seconds;
  }

  /** The span of its day; empty where no rate led. */
  public Optional<Reserve> reserve() {
    return restingBpm.isPresent() && maximumBpm.isPresent()
        ? Optional.of(Reserve.of(restingBpm.getAsInt(), maximumBpm.getAsInt()))
        : Optional.empty();
  }
}
