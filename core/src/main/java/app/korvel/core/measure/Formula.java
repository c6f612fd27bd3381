package app.korvel.core.measure;

import java.util.Locale;

/** The arithmetic in use, besides the equations for the maximum: one row a formula. */
public enum Formula {
  ROUNDING(
      "Rounding",
      "half up: 176.5 is 177",
      "",
      "Every rate a person sees is whole, and each later step starts from the number that was"
          + " seen, so that anyone can check the work with a pencil.",
      Source.KORVEL),
  COUNT(
      "Rate from a count",
      "bpm = beats × 60 ÷ seconds",
      "one beat either way: ± 60 ÷ seconds",
      "Any counted pulse.",
      Source.ARITHMETIC),
  TAPPED(
      "Rate from taps",
      "bpm = 60,000 × kept intervals ÷ their sum in ms",
      "about 1 bpm; a hand jitters",
      "A pulse tapped along, once a beat. Under 200 ms after the tap before is a bounce, over 2,500"
          + " ms a missed tap or a pause; neither is kept.",
      Source.PRACTICE),
  BACK_TO_REST(
      "Back to rest",
      "up to resting + the larger of 10 bpm and 10 % of resting",
      "",
      "After a session. Not back within ten minutes: the next one is eased.",
      Source.PRACTICE),
  WORKING_RESTING(
      "Working resting value",
      "the median of the latest three readings of one posture and source, graded fair or better,"
          + " within 56 days; with fewer the latest good one, else the latest",
      "",
      "What every rate starts from.",
      Source.KORVEL),
  RESTING_ERROR(
      "How accurate a resting value is",
      "σ = √(d² + c²); d = 3 from day to day, 1.7 for a median of three; c = half the count's ±,"
          + " strap 0.5, taps 1, wrist or overnight 2",
      "",
      "How blurred the lower end of the ruler is.",
      Source.KORVEL),
  MODE_ERROR(
      "How accurate a borrowed maximum is",
      "σ = √(σ_run² + 8²)",
      "",
      "Any mode that borrows the running value for want of its own.",
      Source.PRACTICE),
  WORKING_MAXIMUM(
      "Working maximum",
      "the highest measured value of the mode that is not out of date and graded fair "
          + "or better; else, for"
          + " another mode than running, the measured running value, less 10 for cycle and swim;"
          + " else the equation in use",
      "",
      "What every rate ends at. A peak that is over it counts once another day comes within 3 bpm.",
      Source.KORVEL),
  MEASURED_ERROR(
      "How accurate a measured maximum is",
      "σ = σ of the day + months since ÷ 12",
      "",
      "A measured maximum keeps its value while its error grows by 1 bpm a year.",
      Source.KORVEL),
  RECORDED_PEAK(
      "Peak of a recording",
      "the highest 5-second median that holds within 3 bpm for 5 s",
      "",
      "A spike is no maximum. Set aside are rises of over 15 bpm in 2 s, rates over 230, and"
          + " stretches locked to the step rate.",
      Source.KORVEL),
  RESERVE(
      "Heart rate reserve",
      "reserve = maximum − resting",
      "",
      "The range that can be trained in. Percent of it matches percent of oxygen uptake (Swain &"
          + " Leutholtz 1997), so that two people can be compared at the same effort.",
      Source.KARVONEN),
  RATE_OF_RESERVE(
      "Rate at a share of reserve",
      "bpm = resting + share × reserve",
      "see “How accurate an edge is”",
      "Targets and zones by reserve, the default.",
      Source.KARVONEN),
  RATE_OF_MAXIMUM(
      "Rate at a share of maximum",
      "bpm = share × maximum",
      "share × the maximum's ±",
      "Targets and zones by maximum, where no resting pulse is at hand.",
      Source.PRACTICE),
  RATE_ABOVE_RESTING(
      "Rate above rest",
      "bpm = resting + beats",
      "the resting value's ±",
      "Early, deconditioned or home programmes.",
      Source.PRACTICE),
  RATE_OF_THRESHOLD(
      "Rate by measured thresholds",
      "bpm = share × the upper threshold; or a threshold as it was measured",
      "share × 3, as far as such a rate strays from day to day",
      "Zones by a talk-step test or a laboratory: no equation stands behind them.",
      Source.TALK),
  LEARNED_EDGE(
      "Edge by talk checks",
      "Phrases begins where whole sentences end, Words where no more than a word or two comes",
      "as accepted; ± 3 at best",
      "The client’s own talk takes the place of 60 and 75 % of reserve, once the instructor has"
          + " accepted it. Talk, Words and Silent keep 5 bpm from their neighbours.",
      Source.KORVEL),
  EDGE_ERROR(
      "How accurate an edge is",
      "σ = √((p × σ_max)² + ((1 − p) × σ_rest)²)",
      "",
      "An edge is drawn as blurred as it is uncertain. At 40 % of reserve with ± 10 "
          + "and ± 2: ± 4.2.",
      Source.KORVEL),
  COUNT_CARD(
      "Rate as beats to count",
      "beats = bpm × seconds ÷ 60; under a cap the upper count is rounded down",
      "",
      "Nobody multiplies while running. A count never allows what a cap forbids.",
      Source.ARITHMETIC),
  MODERATE_EQUIVALENT(
      "Moderate-equivalent minutes",
      "moderate + 2 × vigorous; light minutes are shown and worth 0",
      "",
      "A week against the guideline of 150 to 300.",
      Source.WHO);

  private final String displayName;
  private final String formula;
  private final String error;
  private final String serves;
  private final Source source;

  Formula(String displayName, String formula, String error, String serves, Source source) {
    this.displayName = displayName;
    this.formula = formula;
    this.error = error;
    this.serves = serves;
    this.source = source;
  }

  /** The stable id: lower case, words joined by hyphens. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** The formula in words and signs. */
  public String formula() {
    return formula;
  }

  /** What error it carries, or empty. */
  public String error() {
    return error;
  }

  /** When to use it. */
  public String serves() {
    return serves;
  }

  /** Where it comes from. */
  public Source source() {
    return source;
  }
}
