package app.korvel.server.live;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.recovery.Recovery;
import app.korvel.core.recovery.Recovery.Passed;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.trace.ExponentialFit;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.server.web.Within;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What the calculator of a recovery is asked, and what it answers. */
final class RecoveryCalculatorViews {
  private RecoveryCalculatorViews() {}

  /** When the seconds of a recovery begin and end, counted from the end of the work. */
  private static final int FROM = -60;

  private static final int UNTIL = 600;

  /** How far from its moment a count may begin. */
  private static final int COUNTED_WITHIN = 10;

  /**
   * A recovery.
   *
   * @param samples pairs of the second from the end of the work, and the rate
   */
  record RecoveryRequest(
      List<List<Integer>> samples,
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      @Nullable String scheme,
      RecoveryPosture posture,
      RateSource source,
      @Within(Limit.AGE) Integer age,
      @Nullable Set<EffortContext> contexts) {

    RecoveryAnswer answer(Scheme shown) {
      List<List<Integer>> sorted = sorted();
      Recovery.Who who = who();
      if (source == RateSource.COUNT) {
        int end =
            counted(sorted, 0)
                .orElseThrow(
                    () ->
                        InvalidValueException.of(
                            "samples", "have no count at the end", "a count at once, at second 0"));
        return RecoveryAnswer.of(
            Recovery.counted(end, counted(sorted, 60), counted(sorted, 120), who));
      }
      if (source == RateSource.WRIST) {
        throw InvalidValueException.of(
            "source", "a wrist follows a fall too slowly", "strap, or count");
      }
      Zones zones = Zones.of(shown, Reserve.of(restingBpm, maximumBpm), Uncertainty.USUAL);
      return RecoveryAnswer.of(
          Recovery.of(trace(sorted), 1 - FROM, UNTIL + 1 - FROM, who, Optional.of(zones))
              .orElseThrow(
                  () ->
                      InvalidValueException.of(
                          "samples",
                          "have none in the 5 s before the end",
                          "seconds −4 to 0 too")));
    }

    private Recovery.Who who() {
      Set<EffortContext> all = EnumSet.noneOf(EffortContext.class);
      all.addAll(contexts == null ? Set.of() : contexts);
      if (age < Threshold.UNDER_18.whole()) {
        all.add(EffortContext.UNDER_18);
      }
      return new Recovery.Who(posture, OptionalInt.of(maximumBpm), all);
    }

    private List<List<Integer>> sorted() {
      for (int n = 0; n < samples.size(); n++) {
        List<Integer> pair = samples.get(n);
        if (pair.size() != 2
            || pair.get(0) == null
            || pair.get(1) == null
            || pair.get(0) < FROM
            || pair.get(0) > UNTIL
            || pair.get(1) < 0
            || pair.get(1) > Limit.PULSE.highest()) {
          throw InvalidValueException.of(
              "samples[" + n + "]",
              "is no second with a rate",
              "seconds " + FROM + " to " + UNTIL + " from the end, and up to 240 bpm");
        }
      }
      List<List<Integer>> sorted = new ArrayList<>(samples);
      sorted.sort(Comparator.comparing(pair -> pair.get(0)));
      return sorted;
    }

    private static Trace trace(List<List<Integer>> sorted) {
      return Trace.of(
          sorted.stream().mapToInt(pair -> pair.get(0) - FROM + 1).toArray(),
          sorted.stream().mapToInt(pair -> pair.get(1)).toArray());
    }

    /** The count that began nearest to a moment. */
    private static OptionalInt counted(List<List<Integer>> sorted, int at) {
      return sorted.stream()
          .filter(pair -> Math.abs(pair.get(0) - at) <= COUNTED_WITHIN)
          .min(Comparator.comparing(pair -> Math.abs(pair.get(0) - at)))
          .map(pair -> OptionalInt.of(pair.get(1)))
          .orElse(OptionalInt.empty());
    }
  }

  /** An edge that was passed: the zone that the rate left, its lowest rate, and when. */
  record EdgePassed(String id, String name, int bpm, int seconds) {
    static EdgePassed of(Passed passed) {
      return new EdgePassed(passed.band(), passed.name(), passed.bpm(), passed.seconds());
    }
  }

  /**
   * What a recovery comes to.
   *
   * @param drop60 null where it cannot be told, and {@code drop120} likewise
   * @param timeConstantSeconds null where no curve fits
   * @param judged whether there is a published line to hold it against
   */
  record RecoveryAnswer(
      RecoveryPosture posture,
      RateSource source,
      int endBpm,
      @Nullable Integer drop60,
      @Nullable Integer drop120,
      @Nullable Integer timeConstantSeconds,
      boolean judged,
      boolean slow,
      List<EdgePassed> bands,
      List<Finding> findings) {
    static RecoveryAnswer of(Recovery recovery) {
      return new RecoveryAnswer(
          recovery.posture(),
          recovery.source(),
          recovery.endBpm(),
          number(recovery.drop60()),
          number(recovery.drop120()),
          recovery.fit().map(ExponentialFit::timeConstantSeconds).orElse(null),
          recovery.judged(),
          recovery.slow(),
          recovery.passed().stream().map(EdgePassed::of).toList(),
          recovery.findings());
    }

    private static @Nullable Integer number(OptionalInt value) {
      return value.isPresent() ? value.getAsInt() : null;
    }
  }
}
