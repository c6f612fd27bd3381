package app.korvel.studio.forecast;

import app.korvel.core.forecast.Forecast;
import app.korvel.core.forecast.ForecastStep;
import app.korvel.core.forecast.Kinetics;
import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.Outline;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Uncertainty;
import app.korvel.studio.ClientHead;
import app.korvel.studio.ClientHistory;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/** What an outline would do to somebody's heart rate; nothing is kept. */
public record ForeseeOutline(Studio studio) {

  /**
   * What was asked for a client.
   *
   * @param forecast empty where no rate may be used
   * @param because why there is none; empty where there is one
   * @param runner their limits
   * @param ladder where their levels begin; empty where no rate may be used
   */
  public record ForClient(
      Optional<Forecast> forecast,
      String because,
      ExertionLimits runner,
      Optional<Ladder> ladder) {}

  /**
   * For a client, as of a day: with the span, the limits and the time constants of then.
   *
   * @param day up to today
   */
  public ForClient of(UUID client, Outline outline, Mode mode, LocalDate day) {
    ClientBaseline then;
    boolean active;
    if (day.isBefore(studio.today())) {
      ClientHistory history = ClientHistory.of(studio, client);
      then = history.at(day, mode);
      active = history.regularlyActive(day);
    } else {
      ClientHead head = studio.head(client);
      then = head.baseline(mode);
      active = then.person().activity().regularlyActive();
    }
    ExertionLimits runner = ExertionLimits.of(then, studio.settings().ways().family());
    return runner
        .reserve()
        .map(
            reserve ->
                new ForClient(
                    Optional.of(
                        on(
                            outline,
                            reserve,
                            then.uncertainty(),
                            new ForeseenSessions(studio).kinetics(client, active, day.plusDays(1)),
                            runner)),
                    "",
                    runner,
                    Optional.of(Ladder.of(reserve, then.learned()))))
        .orElseGet(
            () ->
                new ForClient(
                    Optional.empty(),
                    then.noRateBecause()
                        .orElse("Resting and maximum heart rate are not both known."),
                    runner,
                    Optional.empty()));
  }

  /** For somebody made up. */
  public Forecast of(Outline outline, Reserve reserve, Uncertainty uncertainty, boolean trained) {
    return on(
        outline,
        reserve,
        uncertainty,
        Kinetics.usual(trained),
        ExertionLimits.anyone(Optional.of(reserve), studio.settings().ways().family()));
  }

  private static Forecast on(
      Outline outline,
      Reserve reserve,
      Uncertainty uncertainty,
      Kinetics kinetics,
      ExertionLimits runner) {
    return Forecast.of(
        reserve,
        uncertainty,
        kinetics,
        ForecastStep.of(outline, reserve, runner),
        OptionalDouble.empty());
  }
}
