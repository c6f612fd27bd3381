package app.korvel.server.zone;

import app.korvel.core.measure.Limit;
import app.korvel.core.prescription.Prescribable;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.CountCard;
import app.korvel.core.zone.GuidelineClass;
import app.korvel.core.zone.LearnedRates;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.ThresholdRates;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.server.web.Within;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Zones as they are sent. */
public final class ZoneViews {
  private ZoneViews() {}

  /** Lowest and highest beats by the seconds of the window. */
  public static Map<String, List<Integer>> counts(CountCard card) {
    Map<String, List<Integer>> counts = new LinkedHashMap<>();
    for (CountWindow window : CountCard.WINDOWS) {
      CountCard.Beats beats = card.beats().get(window);
      counts.put(String.valueOf(window.seconds()), List.of(beats.low(), beats.high()));
    }
    return counts;
  }

  /** A span on a scale, lowest and highest. */
  public static List<Integer> span(Level.RpeSpan span) {
    return List.of(span.low(), span.high());
  }

  public record LevelView(
      int level,
      String name,
      String voice,
      String breathing,
      String like,
      List<Integer> rpe20,
      List<Integer> rpe10) {

    static LevelView of(Level level, RpeFamily family) {
      return new LevelView(
          level.number(),
          level.displayName(),
          level.voice(),
          level.breathing(),
          level.like(),
          span(level.rpe20()),
          span(level.rpe10(family)));
    }
  }

  public record BandView(
      String id,
      String name,
      BigDecimal low,
      BigDecimal high,
      int lowBpm,
      int highBpm,
      BigDecimal lowSigmaBpm,
      BigDecimal highSigmaBpm,
      @Nullable Integer allowedHighBpm,
      Map<String, List<Integer>> counts,
      int level,
      @JsonProperty("class") GuidelineClass guidelineClass,
      List<Integer> rpe20,
      List<Integer> rpe10,
      String voice,
      boolean belowResting,
      Zones.Place place) {

    static BandView of(Zones.BandRates rates, RpeFamily family) {
      return new BandView(
          rates.band().id(),
          rates.band().name(),
          rates.band().low(),
          rates.band().high(),
          rates.lowBpm(),
          rates.highBpm(),
          rates.lowSigmaBpm(),
          rates.highSigmaBpm(),
          rates.allowedHighBpm().isPresent() ? rates.allowedHighBpm().getAsInt() : null,
          ZoneViews.counts(rates.counts()),
          rates.level().number(),
          rates.guidelineClass(),
          span(rates.rpe20()),
          span(rates.rpe10(family)),
          rates.level().voice(),
          rates.belowResting(),
          rates.place());
    }
  }

  /**
   * What of a zone system's band may be prescribed to a client.
   *
   * @param lowPercent of reserve; null where nothing of it may be
   * @param highPercent of reserve; null where nothing of it may be
   * @param because why nothing or not all of it may be; empty where all of it may
   */
  public record PrescribableView(
      @Nullable Integer lowPercent, @Nullable Integer highPercent, String because) {

    static List<PrescribableView> of(List<Prescribable> found) {
      return found.stream().map(PrescribableView::of).toList();
    }

    private static PrescribableView of(Prescribable found) {
      return new PrescribableView(
          found.percents().map(Reserve.Percents::low).orElse(null),
          found.percents().map(Reserve.Percents::high).orElse(null),
          found.because());
    }
  }

  public record RateView(
      int bpm,
      BigDecimal reservePercent,
      BigDecimal maximumPercent,
      @Nullable String band,
      List<String> bands,
      boolean overCap,
      int level,
      Map<String, Integer> counts) {

    private static Map<String, Integer> beats(CountCard counts) {
      Map<String, Integer> beats = new LinkedHashMap<>();
      for (CountWindow window : CountCard.WINDOWS) {
        beats.put(String.valueOf(window.seconds()), counts.beats().get(window).high());
      }
      return beats;
    }

    static RateView of(Zones.Reading reading) {
      return new RateView(
          reading.bpm(),
          reading.reservePercent(),
          reading.maximumPercent(),
          reading.bands().isEmpty() ? null : reading.bands().get(0),
          reading.bands(),
          reading.overCap(),
          reading.level().number(),
          beats(reading.counts()));
    }
  }

  /** A learned talk rate that takes the place of an edge. */
  public record LearnedRateView(
      @Within(Limit.PULSE) Integer bpm, @Within(Limit.STANDARD_ERROR) Integer plusMinusBpm) {
    static @Nullable LearnedRateView of(Optional<LearnedRates.Rate> rate) {
      return rate.map(each -> new LearnedRateView(each.bpm(), each.plusMinusBpm())).orElse(null);
    }

    LearnedRates.Rate rate() {
      return new LearnedRates.Rate(bpm, plusMinusBpm);
    }
  }

  /**
   * Learned talk rates in use.
   *
   * @param lower where whole sentences end
   * @param upper where no more than a word or two comes
   */
  public record LearnedRatesView(@Nullable LearnedRateView lower, @Nullable LearnedRateView upper) {
    static @Nullable LearnedRatesView of(LearnedRates rates) {
      return rates.none()
          ? null
          : new LearnedRatesView(
              LearnedRateView.of(rates.lower()), LearnedRateView.of(rates.upper()));
    }

    LearnedRates rates() {
      return new LearnedRates(
          Optional.ofNullable(lower).map(LearnedRateView::rate),
          Optional.ofNullable(upper).map(LearnedRateView::rate));
    }
  }

  public record ZonesView(
      String scheme,
      String name,
      Scheme.Kind kind,
      Basis basis,
      int restingBpm,
      int maximumBpm,
      int reserveBpm,
      BigDecimal restingSigmaBpm,
      BigDecimal maximumSigmaBpm,
      @Nullable Integer capBpm,
      @Nullable Integer lowerThresholdBpm,
      @Nullable Integer upperThresholdBpm,
      @Nullable LearnedRatesView learned,
      List<BandView> bands,
      List<LevelView> levels,
      List<RateView> readings,
      List<Zones.Mark> marks,
      String serves,
      String source) {

    public static ZonesView of(Zones zones, Uncertainty uncertainty, RpeFamily family) {
      return new ZonesView(
          zones.scheme().id(),
          zones.scheme().name(),
          zones.scheme().kind(),
          zones.scheme().basis(),
          zones.reserve().restingBpm(),
          zones.reserve().maximumBpm(),
          zones.reserve().bpm(),
          uncertainty.restingBpm(),
          uncertainty.maximumBpm(),
          zones.cap().isPresent() ? zones.cap().getAsInt() : null,
          zones.anchors().thresholds().map(ThresholdRates::lowerBpm).orElse(null),
          zones.anchors().thresholds().map(ThresholdRates::upperBpm).orElse(null),
          LearnedRatesView.of(zones.anchors().ladder().learned()),
          zones.bands().stream().map(band -> BandView.of(band, family)).toList(),
          Arrays.stream(Level.values()).map(level -> LevelView.of(level, family)).toList(),
          zones.readings().stream().map(RateView::of).toList(),
          zones.marks(),
          zones.scheme().serves(),
          zones.scheme().source().citation());
    }
  }
}
