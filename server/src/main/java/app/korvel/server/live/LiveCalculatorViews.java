package app.korvel.server.live;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses;
import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Cue;
import app.korvel.core.effort.Witnesses.Moment;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.effort.Witnesses.Said;
import app.korvel.core.live.Course;
import app.korvel.core.live.Cues;
import app.korvel.core.live.SessionLoad;
import app.korvel.core.live.Tally;
import app.korvel.core.maximum.RecordedPeak;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.StrapSample;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Sex;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.sensor.HeartRatePacket;
import app.korvel.server.web.Within;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** What the calculators of a live session are asked, and what they answer. */
final class LiveCalculatorViews {
  private LiveCalculatorViews() {}

  private static OptionalInt optional(@Nullable Integer value) {
    return value == null ? OptionalInt.empty() : OptionalInt.of(value);
  }

  private static Aim aim(String field, int lowBpm, int highBpm, Reserve reserve) {
    if (lowBpm > highBpm) {
      throw InvalidValueException.of(
          field, lowBpm + " is over the upper end " + highBpm, "a low end up to the high one");
    }
    return Aim.byRate(lowBpm, highBpm, Optional.empty(), Ladder.of(reserve));
  }

  record AimRequest(@Within(Limit.PULSE) Integer lowBpm, @Within(Limit.PULSE) Integer highBpm) {}

  record WitnessesRequest(
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      Boolean maximumEstimated,
      AimRequest target,
      @Nullable @Within(Limit.PULSE) Integer rateBpm,
      RateSource source,
      @Nullable @Within(Limit.EFFORT) Integer rpe20,
      @Nullable @Within(Limit.VOICE) Integer voice,
      @Nullable Set<EffortContext> contexts,
      @Nullable IntensityGuide steeredBy,
      @Nullable @Within(Limit.CAP) Integer capBpm,
      @Nullable Boolean stopSign) {

    Moment moment() {
      return new Moment(
          optional(rateBpm),
          source,
          false,
          optional(rpe20),
          optional(voice),
          Boolean.TRUE.equals(stopSign));
    }

    Aim aim() {
      return LiveCalculatorViews.aim(
          "target.lowBpm", target.lowBpm(), target.highBpm(), Reserve.of(restingBpm, maximumBpm));
    }

    Mover mover() {
      return new Mover(
          Optional.of(Ladder.of(Reserve.of(restingBpm, maximumBpm))),
          maximumEstimated,
          contexts == null ? Set.of() : contexts,
          steeredBy == null ? IntensityGuide.RATE : steeredBy,
          optional(capBpm),
          OptionalInt.empty());
    }
  }

  /**
   * A minute of a strap at rest.
   *
   * @param at when each packet came, milliseconds
   * @param packets as the strap sent them, in hexadecimal figures; broken ones are passed over
   */
  record StrapSampleRequest(List<Long> at, List<String> packets) {
    private static final int MOST = 1000;

    StrapSampleAnswer sample() {
      if (at.size() != packets.size() || at.isEmpty() || at.size() > MOST) {
        throw InvalidValueException.of(
            "packets", "are " + packets.size() + " for " + at.size() + " times", "one for each");
      }
      List<Integer> intervals = new ArrayList<>();
      List<Integer> rates = new ArrayList<>();
      int broken = 0;
      for (String packet : packets) {
        try {
          HeartRatePacket read = HeartRatePacket.parse(packet);
          intervals.addAll(read.beatIntervals());
          if (Limit.PULSE.accepts(read.bpmInContact())) {
            rates.add(read.bpmInContact());
          }
        } catch (InvalidValueException refused) {
          broken++;
        }
      }
      int seconds = (int) ((at.get(at.size() - 1) - at.get(0) + 999) / 1000);
      StrapSample sample = StrapSample.of(seconds, intervals, rates);
      return new StrapSampleAnswer(
          sample.bpm(), sample.beats(), sample.setAsidePercent(), sample.rhythm(), broken);
    }
  }

  /** What it comes to; {@code broken} packets could not be read. */
  record StrapSampleAnswer(int bpm, int beats, int setAsidePercent, Rhythm rhythm, int broken) {}

  /** What each says; null for one that says nothing. */
  record VotesView(@Nullable Said rate, @Nullable Said rpe, @Nullable Said voice) {}

  /**
   * What they say together.
   *
   * @param level null where nothing says one
   * @param targetLevels the lowest and the highest
   */
  record WitnessesAnswer(
      Cue cue,
      @Nullable Integer level,
      List<Integer> targetLevels,
      VotesView votes,
      List<Finding> findings) {
    static WitnessesAnswer of(Witnesses said) {
      List<Level> levels = said.targetLevels();
      return new WitnessesAnswer(
          said.cue(),
          said.level().isPresent() ? said.level().getAsInt() : null,
          List.of(levels.get(0).number(), levels.get(levels.size() - 1).number()),
          new VotesView(
              said.rate().orElse(null), said.rpe().orElse(null), said.voice().orElse(null)),
          said.findings());
    }
  }

  /** A step, from a second on. */
  record TraceStepRequest(
      Integer fromSecond,
      @Within(Limit.PULSE) Integer lowBpm,
      @Within(Limit.PULSE) Integer highBpm,
      Course.StepFor kind) {}

  /**
   * A recording and what was asked for.
   *
   * @param samples pairs of second and bpm, null for none
   */
  record TraceRequest(
      List<List<@Nullable Integer>> samples,
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      @Nullable Boolean maximumEstimated,
      String scheme,
      RateSource source,
      @Nullable Set<EffortContext> contexts,
      @Nullable @Within(Limit.CAP) Integer capBpm,
      List<TraceStepRequest> steps) {
    private static final int MOST_STEPS = 500;

    Reserve reserve() {
      return Reserve.of(restingBpm, maximumBpm);
    }

    Mover mover() {
      return new Mover(
          Optional.of(Ladder.of(reserve())),
          Boolean.TRUE.equals(maximumEstimated),
          contexts == null ? Set.of() : contexts,
          IntensityGuide.RATE,
          optional(capBpm),
          OptionalInt.empty());
    }

    Trace trace() {
      int[] at = new int[samples.size()];
      int[] bpm = new int[samples.size()];
      for (int n = 0; n < at.length; n++) {
        List<@Nullable Integer> sample = samples.get(n);
        Integer second = sample.size() == 2 ? sample.get(0) : null;
        if (second == null) {
          throw InvalidValueException.of(
              "samples[" + n + "]", "is no sample", "a second and a rate, or null for none");
        }
        Integer rate = sample.get(1);
        at[n] = second;
        bpm[n] = rate == null ? 0 : rate;
      }
      return Trace.of(at, bpm);
    }

    Course course() {
      if (steps.isEmpty() || steps.size() > MOST_STEPS) {
        throw InvalidValueException.of(
            "steps", "are " + steps.size(), "1 to " + MOST_STEPS + " steps");
      }
      List<Course.Step> all = new ArrayList<>();
      for (int n = 0; n < steps.size(); n++) {
        TraceStepRequest step = steps.get(n);
        int least = n == 0 ? 1 : steps.get(n - 1).fromSecond() + 1;
        if (step.fromSecond() < least || n == 0 && step.fromSecond() != 1) {
          throw InvalidValueException.of(
              "steps[" + n + "].fromSecond",
              step.fromSecond() + " lies out of order",
              n == 0 ? "1 for the first step" : "at least " + least);
        }
        all.add(
            Course.Step.of(
                step.fromSecond(),
                aim("steps[" + n + "].lowBpm", step.lowBpm(), step.highBpm(), reserve()),
                step.kind()));
      }
      return Course.of(all, source);
    }
  }

  record CueView(int second, Cues.Kind cue, boolean overCap) {}

  record BandSeconds(String id, int seconds) {}

  /** The line of a man and of a woman; null where it is not theirs. */
  record ReserveWeightedView(@Nullable BigDecimal men, @Nullable BigDecimal women) {}

  record TracePeakView(int bpm, int atSecond) {}

  /**
   * What a recording comes to.
   *
   * @param histogram seconds by smoothed rate
   * @param averageBpm null without data
   * @param peak null where no rate holds
   */
  record TraceAnswer(
      List<CueView> cues,
      int belowSeconds,
      int inSeconds,
      int aboveSeconds,
      int noDataSeconds,
      Map<Integer, Integer> histogram,
      List<BandSeconds> bands,
      int moderateEquivalentSeconds,
      ReserveWeightedView reserveWeighted,
      @Nullable Integer averageBpm,
      @Nullable TracePeakView peak) {

    static TraceAnswer of(
        Trace trace, Cues cues, List<Tally> tallies, Reserve reserve, Scheme scheme) {
      RecordedPeak peak = RecordedPeak.of(trace);
      int[] seconds = trace.histogram();
      Tally.Against against = Tally.against(tallies);
      Map<Integer, Integer> histogram = new TreeMap<>();
      for (int bpm = 0; bpm < seconds.length; bpm++) {
        if (seconds[bpm] > 0) {
          histogram.put(bpm, seconds[bpm]);
        }
      }
      OptionalInt average = SessionLoad.averageBpm(seconds);
      return new TraceAnswer(
          cues.given().stream()
              .map(each -> new CueView(each.second(), each.kind(), each.overCap()))
              .toList(),
          against.below(),
          against.in(),
          against.above(),
          trace.secondsWithoutData(),
          histogram,
          Zones.of(scheme, reserve, Uncertainty.USUAL).bands().stream()
              .map(band -> new BandSeconds(band.band().id(), band.seconds(seconds)))
              .toList(),
          SessionLoad.moderateEquivalentSeconds(seconds, reserve),
          new ReserveWeightedView(
              SessionLoad.reserveWeightedMinutes(seconds, reserve, Sex.MALE),
              SessionLoad.reserveWeightedMinutes(seconds, reserve, Sex.FEMALE)),
          average.isPresent() ? average.getAsInt() : null,
          peak.bpm().isPresent()
              ? new TracePeakView(peak.bpm().getAsInt(), peak.atSecond())
              : null);
    }
  }
}
