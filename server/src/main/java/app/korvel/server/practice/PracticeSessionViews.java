package app.korvel.server.practice;

import app.korvel.core.effort.Witnesses.Rates;
import app.korvel.core.live.Cues;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.live.LiveSession;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.run.Leg;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.server.forecast.ForecastViews.ForecastReviewView;
import app.korvel.server.forecast.ForecastViews.ForecastView;
import app.korvel.server.outline.OutlineViews.OutlineRequest;
import app.korvel.server.web.Within;
import app.korvel.server.zone.ZoneViews.ZonesView;
import app.korvel.studio.practice.PractiseSession.MadeUp;
import app.korvel.studio.practice.PractiseSession.Practised;
import app.korvel.studio.zone.SchemeCatalog;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** A practised session as it is asked for and sent. */
final class PracticeSessionViews {
  private PracticeSessionViews() {}

  /** What may be wrong with a strap. */
  record StrapTrouble(SimulatedStrap.Fault trouble, String name) {}

  /** What can be chosen, besides an outline of the library. */
  record PracticeSessionStart(List<StrapTrouble> troubles) {
    static final PracticeSessionStart NOW =
        new PracticeSessionStart(
            Arrays.stream(SimulatedStrap.Fault.values())
                .filter(SimulatedStrap.Fault::ofStrap)
                .map(fault -> new StrapTrouble(fault, fault.displayName()))
                .toList());
  }

  /**
   * An outline and a client who is made up.
   *
   * @param trained whether they are regularly active
   * @param medicine whether they are on rate-lowering medication
   * @param trouble of the strap; null for none
   * @param seed the same one plays the same session; null for a new one
   */
  record PracticeSessionRequest(
      OutlineRequest outline,
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      Boolean trained,
      Boolean medicine,
      SimulatedStrap.@Nullable Fault trouble,
      @Nullable Long seed) {

    MadeUp madeUp() {
      return new MadeUp(Reserve.of(restingBpm, maximumBpm), trained, medicine);
    }

    SimulatedStrap.Fault fault() {
      return trouble == null ? SimulatedStrap.Fault.NONE : trouble;
    }
  }

  /**
   * A step as it came.
   *
   * @param clockSecond the second after which its timer ran; later than it began where it waited
   */
  record PlayedStep(
      String name,
      int fromSecond,
      int clockSecond,
      int toSecond,
      @Nullable Integer lowBpm,
      @Nullable Integer highBpm) {
    private static PlayedStep of(LiveSession session, Leg leg) {
      PlanStep step = session.plan().steps().get(leg.row());
      Optional<Rates> rates = step.aim().flatMap(aim -> aim.rates());
      int from = secondOf(session, leg.from());
      return new PlayedStep(
          step.kind().displayName(),
          from,
          leg.clockFrom().map(at -> secondOf(session, at)).orElse(from),
          leg.endedAt().map(at -> secondOf(session, at)).orElse(session.trace().seconds()),
          rates.map(Rates::lowBpm).orElse(null),
          rates.map(Rates::highBpm).orElse(null));
    }
  }

  private static int secondOf(LiveSession session, Instant at) {
    return (int) Duration.between(session.begunAt().orElseThrow(), at).toSeconds();
  }

  /** What was said of the effort. */
  record SaidThen(int second, int rpe20, int voice) {
    private static SaidThen of(LiveSession session, LiveEvent.Rated rated) {
      return new SaidThen(
          secondOf(session, rated.at()), rated.rpe20().orElse(0), rated.voice().orElse(0));
    }
  }

  /** A cue that would have been given. */
  record CueThen(int second, Cues.Kind cue, Finding because) {}

  /**
   * A session from its beginning to its end.
   *
   * @param bpm the smoothed rate each second, the first after one second; 0 without a signal
   * @param came its forecast by the steps as they came
   */
  record PracticeSessionView(
      ForecastView forecast,
      ForecastView came,
      ZonesView zones,
      List<PlayedStep> steps,
      List<Integer> bpm,
      List<SaidThen> said,
      List<CueThen> cues,
      ForecastReviewView review) {

    static PracticeSessionView of(Practised practised, RpeFamily family) {
      LiveSession session = practised.session();
      Ladder ladder = Ladder.of(practised.forecast().reserve());
      return new PracticeSessionView(
          ForecastView.of(practised.forecast(), SchemeCatalog.usual(), ladder, OptionalInt.empty()),
          ForecastView.of(
              practised.review().forecast(), SchemeCatalog.usual(), ladder, OptionalInt.empty()),
          ZonesView.of(
              Zones.of(SchemeCatalog.usual(), practised.forecast().reserve(), Uncertainty.USUAL),
              Uncertainty.USUAL,
              family),
          session.run().orElseThrow().legs().stream()
              .map(leg -> PlayedStep.of(session, leg))
              .toList(),
          IntStream.rangeClosed(1, session.trace().seconds())
              .mapToObj(second -> session.trace().smoothed(second).orElse(0))
              .toList(),
          session.events().stream()
              .filter(LiveEvent.Rated.class::isInstance)
              .map(event -> SaidThen.of(session, (LiveEvent.Rated) event))
              .toList(),
          session.cues().given().stream()
              .map(cue -> new CueThen(cue.second(), cue.kind(), cue.because()))
              .toList(),
          ForecastReviewView.of(practised.review()));
    }
  }
}
