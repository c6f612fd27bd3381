package app.korvel.studio.practice;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.forecast.Forecast;
import app.korvel.core.forecast.Forecast.Coming;
import app.korvel.core.forecast.ForecastReview;
import app.korvel.core.forecast.ForecastStep;
import app.korvel.core.forecast.Kinetics;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan;
import app.korvel.core.live.LiveSession;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.OutlineFinding;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.trace.Samples;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Uncertainty;
import app.korvel.sensor.HeartRatePacket;
import app.korvel.sensor.SimulatedBody;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.studio.Studio;
import app.korvel.studio.forecast.ForeseeOutline;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;

/**
 * A session of an outline with a client who is made up, from its beginning to its end; nothing is
 * kept. Whoever plans it knows a resting and a maximum rate; on rate-lowering medication the heart
 * does not come up to them, and what is said of the effort tells.
 */
public record PractiseSession(Studio studio) {

  /**
   * A client who is made up.
   *
   * @param reserve as the instructor knows it
   * @param trained whether they are regularly active
   * @param medicine whether they are on rate-lowering medication
   */
  public record MadeUp(Reserve reserve, boolean trained, boolean medicine) {
    /** What their heart can do. */
    Reserve heart() {
      return medicine
          ? Reserve.of(
              reserve.restingBpm(), reserve.maximumBpm() - Threshold.PRACTICE_MEDICINE.whole())
          : reserve;
    }
  }

  /**
   * What came of it.
   *
   * @param forecast as it was foreseen from the rates that the instructor knows
   * @param session as it came
   * @param review of both
   */
  public record Practised(Forecast forecast, LiveSession session, ForecastReview review) {}

  private static final Instant BEGUN = Instant.EPOCH;
  private static final int MS = 1000;

  /**
   * Does it.
   *
   * @param fault of the strap
   * @param seed the same one does the same
   * @throws RefusedException when there is no work in it
   * @throws InvalidValueException when the fault is none of the strap itself
   */
  public Practised of(Outline outline, MadeUp client, SimulatedStrap.Fault fault, long seed) {
    if (outline.workSeconds() == 0) {
      throw RefusedException.because(OutlineFinding.OUTLINE_EMPTY.of());
    }
    if (!fault.ofStrap()) {
      throw InvalidValueException.of(
          "trouble", "is none of the strap itself", "a trouble of the strap");
    }
    ExertionLimits runner =
        ExertionLimits.anyone(Optional.of(client.reserve), studio.settings().ways().family());
    Kinetics kinetics = Kinetics.usual(client.trained);
    Forecast truth =
        Forecast.of(
            client.heart(),
            Uncertainty.USUAL,
            kinetics,
            ForecastStep.of(outline, client.reserve, runner),
            OptionalDouble.empty());
    LivePlan plan =
        LivePlan.madeUp(
            outline,
            runner,
            client.medicine ? Set.of(EffortContext.RATE_LOWERING_MEDICINE) : Set.of(),
            client.medicine ? IntensityGuide.EFFORT_AND_TALK : IntensityGuide.RATE);
    List<LiveEvent> events = new ArrayList<>();
    events.add(new LiveEvent.Begun(new UUID(seed, 0), BEGUN));
    Samples samples =
        record(client, kinetics, truth, new SimulatedStrap(seed, fault), events, seed);
    LiveSession session =
        LiveSession.of(plan, RateSource.STRAP, events, samples, BEGUN.plusSeconds(truth.seconds()));
    return new Practised(
        new ForeseeOutline(studio).of(outline, client.reserve, Uncertainty.USUAL, client.trained),
        session,
        ForecastReview.of(session, kinetics).orElseThrow());
  }

  /** Second by second: what the strap reads, and now and then what is said. */
  private static Samples record(
      MadeUp client,
      Kinetics kinetics,
      Forecast truth,
      SimulatedStrap strap,
      List<LiveEvent> events,
      long seed) {
    SimulatedBody body = new SimulatedBody(client.heart(), kinetics, client.reserve.restingBpm());
    int[] at = new int[truth.seconds()];
    int[] bpm = new int[truth.seconds()];
    int read = 0;
    int asked = Threshold.PRACTICE_SAID.whole();
    for (Coming step : truth.steps()) {
      for (int second = step.fromSecond(); second <= step.toSecond(); second++) {
        body.work(step.step().share());
        var packet = strap.next(body).map(HeartRatePacket::bpmInContact);
        if (packet.isPresent()) {
          at[read] = MS * second - MS / 2;
          bpm[read++] = packet.get();
        }
        int into = second - step.fromSecond() + 1;
        if (step.step().kind().exercise() && into % asked == asked / 2) {
          events.add(
              new LiveEvent.Rated(
                  new UUID(seed, second),
                  BEGUN.plusSeconds(second),
                  OptionalInt.of(body.rpe20()),
                  OptionalInt.of(body.voice())));
        }
      }
    }
    return new Samples(BEGUN, Arrays.copyOf(at, read), Arrays.copyOf(bpm, read));
  }
}
