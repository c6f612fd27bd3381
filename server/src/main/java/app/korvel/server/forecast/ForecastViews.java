package app.korvel.server.forecast;

import app.korvel.core.forecast.Forecast;
import app.korvel.core.forecast.Forecast.Coming;
import app.korvel.core.forecast.ForecastAdvice;
import app.korvel.core.forecast.ForecastRecord;
import app.korvel.core.forecast.ForecastRecord.Foreseen;
import app.korvel.core.forecast.ForecastReview;
import app.korvel.core.forecast.ForecastStep;
import app.korvel.core.forecast.ForecastStep.Wanted;
import app.korvel.core.forecast.Kinetics;
import app.korvel.core.forecast.Kinetics.TimeConstant;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.outline.Outline.Place;
import app.korvel.core.outline.StepKind;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.server.live.LiveSummaryViews;
import app.korvel.server.live.LiveSummaryViews.ZoneSeconds;
import app.korvel.server.outline.OutlineViews.OutlineRequest;
import app.korvel.server.web.Within;
import app.korvel.studio.forecast.ForeseeOutline.ForClient;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Forecasts as they are asked for and sent. */
public final class ForecastViews {
  /** A picture has no more points. */
  private static final int POINTS = 480;

  private ForecastViews() {}

  private static @Nullable Integer number(OptionalInt value) {
    return value.isPresent() ? value.getAsInt() : null;
  }

  private static Uncertainty uncertainty(
      @Nullable BigDecimal maximumBpm, @Nullable BigDecimal restingBpm) {
    return Uncertainty.of(
        maximumBpm == null ? Uncertainty.USUAL.maximumBpm() : maximumBpm,
        restingBpm == null ? Uncertainty.USUAL.restingBpm() : restingBpm);
  }

  /** Work at one share of reserve. */
  record ForecastStepRequest(Integer seconds, BigDecimal reservePercent) {}

  /**
   * Work of somebody.
   *
   * @param trained whether they are regularly active
   * @param fromBpm the rate it begins at; null for the resting rate
   * @param maximumStandardErrorBpm standard error; null for the usual one
   * @param restingStandardErrorBpm standard error; null for the usual one
   */
  record ForecastRequest(
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      Boolean trained,
      List<ForecastStepRequest> steps,
      @Nullable @Within(Limit.PULSE) Integer fromBpm,
      @Nullable BigDecimal maximumStandardErrorBpm,
      @Nullable BigDecimal restingStandardErrorBpm) {

    Forecast forecast() {
      Reserve reserve = Reserve.of(restingBpm, maximumBpm);
      return Forecast.of(
          reserve,
          uncertainty(maximumStandardErrorBpm, restingStandardErrorBpm),
          Kinetics.usual(trained),
          ForecastStep.checked(
              steps.stream().map(ForecastStepRequest::seconds).toList(),
              steps.stream().map(ForecastStepRequest::reservePercent).toList(),
              reserve),
          fromBpm == null ? OptionalDouble.empty() : OptionalDouble.of(fromBpm));
    }
  }

  /**
   * A step of a forecast.
   *
   * @param reachedAfterSeconds null where its target is not reached
   */
  record ReachedStep(
      int fromSecond, int toSecond, @Nullable Integer reachedAfterSeconds, int endBpm) {
    static ReachedStep of(Coming coming, int[] bpm) {
      return new ReachedStep(
          coming.fromSecond(),
          coming.toSecond(),
          number(coming.reachedAfter()),
          bpm[coming.toSecond() - 1]);
    }
  }

  /** A rate and its ribbon each second, the first after one second. */
  record ForecastAnswer(
      List<Integer> bpm, List<Integer> lowBpm, List<Integer> highBpm, List<ReachedStep> steps) {
    static ForecastAnswer of(Forecast forecast) {
      int[] bpm = forecast.bpm();
      return new ForecastAnswer(
          list(bpm),
          list(forecast.lowBpm()),
          list(forecast.highBpm()),
          forecast.steps().stream().map(step -> ReachedStep.of(step, bpm)).toList());
    }
  }

  private static List<Integer> list(int[] values) {
    return Arrays.stream(values).boxed().toList();
  }

  /** An outline for somebody made up; see {@link ForecastRequest}. */
  record OutlineForecastRequest(
      OutlineRequest outline,
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      Boolean trained,
      @Nullable BigDecimal maximumStandardErrorBpm) {
    Reserve reserve() {
      return Reserve.of(restingBpm, maximumBpm);
    }

    Uncertainty uncertainty() {
      return ForecastViews.uncertainty(maximumStandardErrorBpm, null);
    }
  }

  /**
   * An outline for a client.
   *
   * @param on as of which day; null for today
   */
  record ClientForecastRequest(OutlineRequest outline, @Nullable LocalDate on) {}

  /**
   * A time constant.
   *
   * @param fits of so many of the client's own recordings; 0 for the usual one
   */
  public record TimeConstantView(int seconds, int fits) {
    static TimeConstantView of(TimeConstant of) {
      return new TimeConstantView(of.seconds(), of.fits());
    }
  }

  /** How fast the heart follows. */
  public record KineticsView(TimeConstantView up, TimeConstantView down) {
    static KineticsView of(Kinetics kinetics) {
      return new KineticsView(
          TimeConstantView.of(kinetics.up()), TimeConstantView.of(kinetics.down()));
    }
  }

  /**
   * A step as it will come.
   *
   * @param block where it stands in its outline; null where it is of none
   * @param step within its block
   * @param lowBpm its target; null where it has none
   * @param waitsSeconds until its timer starts; 0 where it does not wait
   * @param reachedAfterSeconds null where its target is not reached
   */
  public record ForecastStepView(
      @Nullable Integer block,
      @Nullable Integer step,
      StepKind kind,
      String name,
      int fromSecond,
      int toSecond,
      @Nullable Integer lowBpm,
      @Nullable Integer highBpm,
      int waitsSeconds,
      boolean byItself,
      @Nullable Integer reachedAfterSeconds,
      int endBpm) {

    static ForecastStepView of(Coming coming, int endBpm) {
      ForecastStep step = coming.step();
      return new ForecastStepView(
          step.place().map(Place::block).orElse(null),
          step.place().map(Place::step).orElse(null),
          step.kind(),
          step.kind().displayName(),
          coming.fromSecond(),
          coming.toSecond(),
          step.wanted().map(Wanted::lowBpm).orElse(null),
          step.wanted().map(Wanted::highBpm).orElse(null),
          coming.waits(),
          coming.byItself(),
          number(coming.reachedAfter()),
          endBpm);
    }
  }

  /** A step as it would be. */
  public record RemedyView(int block, int step, StepKind kind, int seconds) {
    static RemedyView of(ForecastAdvice.Remedy remedy) {
      return new RemedyView(
          remedy.place().block(), remedy.place().step(), remedy.kind(), remedy.seconds());
    }
  }

  /**
   * What may not be meant.
   *
   * @param remedy null where a longer step would not mend it
   */
  public record AdviceView(int block, int step, Finding finding, @Nullable RemedyView remedy) {
    static AdviceView of(ForecastAdvice advice) {
      return new AdviceView(
          advice.place().block(),
          advice.place().step(),
          advice.finding(),
          advice.remedy().map(RemedyView::of).orElse(null));
    }
  }

  /**
   * A forecast to be drawn.
   *
   * @param seconds how long it lasts
   * @param waitsSeconds of it, until its targets are reached
   * @param highestSecond when its highest rate is there first
   * @param everySeconds how far its points are apart; the first is of second 1
   * @param percent of reserve at each point, whole
   * @param marks of a scale in percent of reserve
   * @param cooledAfterSeconds of the last cool-down until it is below the share of reserve that it
   *     is to end under; null where it never is, or there is none
   */
  public record ForecastView(
      int restingBpm,
      int maximumBpm,
      @Nullable Integer capBpm,
      int seconds,
      int waitsSeconds,
      int highestBpm,
      int highestPercent,
      int highestSecond,
      int endBpm,
      int everySeconds,
      List<Integer> bpm,
      List<Integer> lowBpm,
      List<Integer> highBpm,
      List<Integer> percent,
      List<Integer> lowPercent,
      List<Integer> highPercent,
      List<Zones.Mark> marks,
      List<ForecastStepView> steps,
      List<ZoneSeconds> zones,
      KineticsView kinetics,
      @Nullable Integer cooledAfterSeconds,
      List<AdviceView> advice) {

    /**
     * A forecast.
     *
     * @param ladder where this person's levels begin
     */
    public static ForecastView of(
        Forecast forecast, Scheme scheme, Ladder ladder, OptionalInt cap) {
      Zones zones =
          Zones.of(
              scheme, Anchors.of(ladder, Optional.empty()), Uncertainty.USUAL, OptionalInt.empty());
      int[] bpm = forecast.bpm();
      int[] low = forecast.lowBpm();
      int[] high = forecast.highBpm();
      int every = Math.max(1, (bpm.length + POINTS - 1) / POINTS);
      int highest = 0;
      for (int n = 0; n < bpm.length; n++) {
        highest = bpm[n] > bpm[highest] ? n : highest;
      }
      return new ForecastView(
          forecast.reserve().restingBpm(),
          forecast.reserve().maximumBpm(),
          number(cap),
          bpm.length,
          forecast.steps().stream().mapToInt(Coming::waits).sum(),
          bpm[highest],
          forecast.shownPercent(bpm[highest]),
          highest + 1,
          bpm[bpm.length - 1],
          every,
          points(bpm, every),
          points(low, every),
          points(high, every),
          percents(forecast, bpm, every),
          percents(forecast, low, every),
          percents(forecast, high, every),
          zones.marks(),
          forecast.steps().stream()
              .map(coming -> ForecastStepView.of(coming, bpm[coming.toSecond() - 1]))
              .toList(),
          LiveSummaryViews.zoneSeconds(Optional.of(zones), forecast.byBpm()),
          KineticsView.of(forecast.kinetics()),
          number(forecast.cooledAfter()),
          ForecastAdvice.of(forecast).stream().map(AdviceView::of).toList());
    }

    private static List<Integer> percents(Forecast forecast, int[] rates, int every) {
      return points(rates, every).stream().map(forecast::shownPercent).toList();
    }

    private static List<Integer> points(int[] values, int every) {
      List<Integer> points = new ArrayList<>();
      for (int n = 0; n < values.length; n += every) {
        points.add(values[n]);
      }
      return points;
    }
  }

  /**
   * A forecast for a client.
   *
   * @param forecast null where no rate may be used
   * @param because why there is none; empty where there is one
   */
  record ClientForecast(@Nullable ForecastView forecast, String because) {
    static ClientForecast of(ForClient made, Scheme scheme) {
      return new ClientForecast(
          made.forecast()
              .map(
                  each ->
                      ForecastView.of(
                          each,
                          scheme,
                          made.ladder().orElseThrow(),
                          made.runner()
                              .cap()
                              .map(cap -> OptionalInt.of(cap.bpm()))
                              .orElse(OptionalInt.empty())))
              .orElse(null),
          made.because());
    }
  }

  /**
   * A step against its forecast, by its last half minute.
   *
   * @param wasBpm null without a rate
   * @param offBpm how far it ended above its forecast, negative below
   */
  public record StepReviewView(
      StepKind kind,
      String name,
      int fromSecond,
      int toSecond,
      int foreseenBpm,
      @Nullable Integer wasBpm,
      @Nullable Integer offBpm) {
    static StepReviewView of(ForecastReview.StepReview step) {
      return new StepReviewView(
          step.kind(),
          step.kind().displayName(),
          step.fromSecond(),
          step.toSecond(),
          step.foreseenBpm(),
          number(step.wasBpm()),
          number(step.offBpm()));
    }
  }

  /**
   * A session against its forecast.
   *
   * @param within seconds in the ribbon, in percent of those with a rate
   * @param finding in a sentence; null without a rate
   */
  public record ForecastReviewView(
      List<StepReviewView> steps,
      @Nullable Integer meanOffBpm,
      @Nullable Integer settledOffBpm,
      int within,
      @Nullable Finding finding) {
    public static ForecastReviewView of(ForecastReview review) {
      return new ForecastReviewView(
          review.steps().stream().map(StepReviewView::of).toList(),
          number(review.meanOffBpm()),
          number(review.settledOffBpm()),
          review.within(),
          review.finding().orElse(null));
    }
  }

  /**
   * A session on the clock and its forecast.
   *
   * @param forecast null where no rate is used, or nobody saw when its steps began
   * @param review null where it has not begun
   */
  record SessionForecastView(
      @Nullable ForecastView forecast, @Nullable ForecastReviewView review) {}

  /**
   * A session of a day and how near its forecast came.
   *
   * @param within seconds in the ribbon, in percent
   */
  record ForeseenView(
      UUID session,
      LocalDate on,
      @Nullable Integer meanOffBpm,
      @Nullable Integer settledOffBpm,
      int within,
      int upSeconds,
      int downSeconds) {
    static ForeseenView of(Foreseen each) {
      return new ForeseenView(
          each.session(),
          each.on(),
          number(each.told().meanOffBpm()),
          number(each.told().settledOffBpm()),
          each.told().within(),
          each.told().upSeconds(),
          each.told().downSeconds());
    }
  }

  /**
   * How well a client's last sessions were foreseen.
   *
   * @param sessions the earliest first
   * @param finding null where nothing is to be pointed out
   */
  record ForecastRecordView(
      List<ForeseenView> sessions, KineticsView kinetics, @Nullable Finding finding) {
    static ForecastRecordView of(ForecastRecord record) {
      return new ForecastRecordView(
          record.sessions().stream().map(ForeseenView::of).toList(),
          KineticsView.of(record.kinetics()),
          record.finding().orElse(null));
    }
  }
}
