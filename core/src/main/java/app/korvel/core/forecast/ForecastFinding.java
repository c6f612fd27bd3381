package app.korvel.core.forecast;

import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What a forecast says, each finding in this one place. */
public enum ForecastFinding implements FindingKind {
  ENDS_BEFORE_TARGET(
      INFO,
      "%s will not reach %s %% of reserve, %s: %s would.",
      "The heart needs time to follow: it covers nearly two thirds of the way in %5$s s, and the work ends"
          + " before it is there. RPE and talk tell sooner.",
      Source.KORVEL),
  COOL_DOWN_WARM(
      INFO,
      "This cool-down ends at %s %% of reserve; %s more %s {FORECAST_COOLED} %%.",
      "It ends below {FORECAST_COOLED} %% of reserve; the rate falls nearly two thirds of the way in %4$s s.",
      Source.KORVEL),
  COOL_DOWN_STAYS(
      INFO,
      "This cool-down stays at %s %% of reserve: make it easier.",
      "It ends below {FORECAST_COOLED} %% of reserve, and this work settles above it however long"
          + " it is.",
      Source.KORVEL),
  WAITS_IN_VAIN(
      INFO,
      "The target of %s bpm is not reached in {WAITS_FOR_TARGET} min: the timer of this step starts"
          + " by itself.",
      "A step that waits for its target starts after {WAITS_FOR_TARGET} min anyway.",
      Source.KORVEL),
  SETTLED_AS_FORESEEN(
      INFO,
      "The work settled as forecast, within %s bpm; on average rate and forecast were %s"
          + " bpm apart.",
      "Steps of work are compared from {FORECAST_SETTLED} s on, second by second, by the middle"
          + " difference.",
      Source.KORVEL),
  SETTLED_HIGHER(
      INFO,
      "The work settled %s bpm above its forecast; on average rate and forecast were %s bpm apart.",
      "Over {FORECAST_HARDER_BY} bpm, {FORECAST_HARDER_SESSIONS} times in {FORECAST_HARDER_WITHIN}"
          + " days, is worth a question: sleep, heat, illness, or a maximum that is off.",
      Source.KORVEL),
  SETTLED_LOWER(
      INFO,
      "The work settled %s bpm below its forecast; on average rate and forecast were %s bpm apart.",
      "Easier than its target asked for, or a maximum that is taken too high.",
      Source.KORVEL),
  NOTHING_SETTLED(
      INFO,
      "No work lasted long enough to settle; on average rate and forecast were %s bpm apart.",
      "Steps of work are compared from {FORECAST_SETTLED} s on.",
      Source.KORVEL),
  HARDER_THAN_IT_WAS(
      CAUTION,
      "Harder than forecast: %s of the sessions since %s settled over {FORECAST_HARDER_BY} bpm above"
          + " their forecast.",
      "Ask about sleep, heat and illness; or the maximum is off: look at what it rests on.",
      Source.KORVEL);

  private final Wording wording;

  ForecastFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
