package app.korvel.core.forecast;

import app.korvel.core.forecast.Forecast.Coming;
import app.korvel.core.forecast.ForecastStep.Wanted;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Outline.Place;
import app.korvel.core.outline.StepKind;
import app.korvel.core.zone.Level;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What a forecast shows that may not be meant, and what would change it. Nothing changes until the
 * instructor says so.
 *
 * @param place the step it is about
 * @param finding what it is
 * @param remedy what would mend it; empty where a longer step would not
 */
public record ForecastAdvice(Place place, Finding finding, Optional<Remedy> remedy) {

  /**
   * A step as it would be.
   *
   * @param kind work where a burst would be longer than bursts are
   */
  public record Remedy(Place place, StepKind kind, int seconds) {}

  private static final int BURST_LONGEST = Threshold.BURST_LONGEST.whole();
  private static final double COOLED = Threshold.FORECAST_COOLED.whole();
  private static final int MINUTE = 60;
  private static final int FINE = 5;
  private static final int COARSE = 30;

  /** What there is to say of a session, in the order of its steps. */
  public static List<ForecastAdvice> of(Forecast forecast) {
    List<ForecastAdvice> all = new ArrayList<>();
    Map<Place, List<Coming>> byPlace = new LinkedHashMap<>();
    for (Coming coming : forecast.steps()) {
      coming
          .step()
          .place()
          .ifPresent(place -> byPlace.computeIfAbsent(place, at -> new ArrayList<>()).add(coming));
    }
    byPlace.forEach(
        (place, rounds) -> {
          tooShort(forecast, place, rounds).ifPresent(all::add);
          waitsInVain(place, rounds).ifPresent(all::add);
        });
    warm(forecast).ifPresent(all::add);
    return all;
  }

  private static boolean aimsUp(Coming coming) {
    boolean hard = coming.step().kind() == StepKind.WORK || coming.step().kind() == StepKind.BURST;
    return hard && !coming.step().waits() && coming.step().wanted().isPresent();
  }

  /** Work that ends before the rate is up at its target, in any of its rounds. */
  private static Optional<ForecastAdvice> tooShort(
      Forecast forecast, Place place, List<Coming> rounds) {
    List<Coming> missed =
        rounds.stream()
            .filter(ForecastAdvice::aimsUp)
            .filter(
                coming ->
                    Forecast.shown(forecast.at(coming.toSecond()))
                        < coming.step().wanted().orElseThrow().lowBpm())
            .toList();
    if (missed.isEmpty()) {
      return Optional.empty();
    }
    ForecastStep step = missed.get(0).step();
    Wanted wanted = step.wanted().orElseThrow();
    int longest = 0;
    for (Coming each : missed) {
      longest = Math.max(longest, secondsUntil(forecast, each, wanted.lowBpm()));
    }
    if (longest > Limit.STEP_SECONDS.highest()) {
      // A single rate that lies half a beat over what it settles at.
      return Optional.empty();
    }
    int grain = longest < 2 * MINUTE ? FINE : COARSE;
    int seconds = (longest + grain - 1) / grain * grain;
    boolean burst = step.kind() == StepKind.BURST && seconds <= BURST_LONGEST;
    Finding finding =
        ForecastFinding.ENDS_BEFORE_TARGET.of(
            named(step, missed.size(), rounds.size()),
            wanted.lowPercent().stripTrailingZeros().toPlainString(),
            Level.atPercent(wanted.lowPercent()).displayName(),
            length(seconds) + (step.kind() == StepKind.BURST && !burst ? ", as work," : ""),
            forecast.kinetics().up().seconds());
    return Optional.of(
        new ForecastAdvice(
            place,
            finding,
            Optional.of(new Remedy(place, burst ? StepKind.BURST : StepKind.WORK, seconds))));
  }

  /** “The 20 s bursts (2 of 3)”, or “60 s of work”. */
  private static String named(ForecastStep step, int missed, int rounds) {
    String length = length(step.seconds());
    String what =
        step.kind() == StepKind.BURST
            ? "The " + length + (rounds == 1 ? " burst" : " bursts")
            : length + " of work";
    return missed < rounds ? what + " (" + missed + " of " + rounds + ")" : what;
  }

  /** How long a step would have to last for its rate to be up there. */
  private static int secondsUntil(Forecast forecast, Coming coming, int bpm) {
    HeartModel model = HeartModel.of(forecast.reserve(), forecast.kinetics());
    double settles = model.settles(coming.step().share(), 0);
    double now = forecast.at(coming.toSecond());
    int seconds = coming.toSecond() - coming.fromSecond() + 1;
    while (Forecast.shown(now) < bpm && seconds < Limit.STEP_SECONDS.highest() + 1) {
      now = model.after(now, settles);
      seconds++;
    }
    return seconds;
  }

  private static Optional<ForecastAdvice> waitsInVain(Place place, List<Coming> rounds) {
    return rounds.stream()
        .filter(Coming::byItself)
        .findFirst()
        .map(
            coming ->
                new ForecastAdvice(
                    place,
                    ForecastFinding.WAITS_IN_VAIN.of(coming.step().wanted().orElseThrow().lowBpm()),
                    Optional.empty()));
  }

  /** The last cool-down, where it ends too high. */
  private static Optional<ForecastAdvice> warm(Forecast forecast) {
    Optional<Coming> last =
        forecast.steps().stream()
            .filter(coming -> coming.step().kind() == StepKind.COOL_DOWN)
            .filter(coming -> coming.step().place().isPresent())
            .reduce((before, after) -> after);
    if (last.isEmpty() || forecast.percent(forecast.at(last.get().toSecond())) < COOLED) {
      return Optional.empty();
    }
    Coming coming = last.get();
    Place place = coming.step().place().orElseThrow();
    double now = forecast.at(coming.toSecond());
    int ends = Rounding.halfUp(BigDecimal.valueOf(forecast.percent(now)));
    HeartModel model = HeartModel.of(forecast.reserve(), forecast.kinetics());
    double settles = model.settles(coming.step().share(), 0);
    if (forecast.percent(settles) >= COOLED) {
      return Optional.of(
          new ForecastAdvice(place, ForecastFinding.COOL_DOWN_STAYS.of(ends), Optional.empty()));
    }
    int more = 0;
    while (forecast.percent(now) >= COOLED) {
      now = model.after(now, settles);
      more++;
    }
    int minutes = (more + MINUTE - 1) / MINUTE;
    int seconds = coming.step().seconds() + MINUTE * minutes;
    return Optional.of(
        new ForecastAdvice(
            place,
            ForecastFinding.COOL_DOWN_WARM.of(
                ends,
                minutes,
                minutes == 1 ? "minute reaches" : "minutes reach",
                forecast.kinetics().down().seconds()),
            seconds > Limit.STEP_SECONDS.highest()
                ? Optional.empty()
                : Optional.of(new Remedy(place, StepKind.COOL_DOWN, seconds))));
  }

  /** As it is said: 45 s, or 1:55 min. */
  private static String length(int seconds) {
    if (seconds <= MINUTE) {
      return seconds + " s";
    }
    return seconds % MINUTE == 0
        ? seconds / MINUTE + " min"
        : seconds / MINUTE + ":" + String.format(Locale.ROOT, "%02d", seconds % MINUTE) + " min";
  }
}
