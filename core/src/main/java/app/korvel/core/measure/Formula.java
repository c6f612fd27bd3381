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
      Source.WHO),
  COST_WALKING(
      "Oxygen cost of walking",
      "VO₂ = 0.1·S + 1.8·S·G + 3.5, S = km/h × 1000 ÷ 60, G the grade as a fraction",
      "steady state only",
      "Stages of a graded test on a treadmill; MET is VO₂ ÷ 3.5. Both to one decimal.",
      Source.GLASS),
  COST_RUNNING(
      "Oxygen cost of running",
      "VO₂ = 0.2·S + 0.9·S·G + 3.5",
      "steady state only",
      "The same, run. Over 6 km/h it is asked; until then the lower of the two is used.",
      Source.GLASS),
  COST_CYCLING(
      "Oxygen cost of cycling",
      "VO₂ = 10.8 × W ÷ kg + 7",
      "steady state only",
      "Stages on a cycle.",
      Source.GLASS),
  COST_STEPPING(
      "Oxygen cost of stepping",
      "VO₂ = 0.2·f + 2.394·H·f + 3.5, f cycles a minute, H in m",
      "steady state only",
      "Stages up and down a step.",
      Source.GLASS),
  TREADMILL_STAGES(
      "Stages of the treadmill, 3 min each",
      "2.7 km/h 10 %, 4.0 12, 5.5 14, 6.8 16, 8.0 18, 8.9 20, 9.7 22",
      "",
      "The standard start; the gentle start adds 2.7 km/h at 0 % and at 5 %.",
      Source.BRUCE),
  EXHAUSTION_MEN(
      "VO₂max from the time to exhaustion, men",
      "14.8 − 1.379T + 0.451T² − 0.012T³, T in minutes from the standard start",
      "",
      "Only to exhaustion, 3 to 21 min, without holding the rail; never set beside a woman's.",
      Source.EXHAUSTION),
  EXHAUSTION_WOMEN(
      "VO₂max from the time to exhaustion, women",
      "4.38T − 3.9",
      "",
      "Only to exhaustion, 3 to 21 min, without holding the rail; never set beside a man's.",
      Source.EXHAUSTION),
  UPTAKE_LINE(
      "VO₂max by the line to the maximum",
      "x₀ = (M − a) ÷ b, the least-squares line of rate on VO₂",
      "half = √((1.96·σ)² + t²·s²·(1/n + (x₀ − x̄)² ÷ Sxx)) ÷ b",
      "Whole, steady stages; not shown under r² 0.9, or where the half is over a third of it.",
      Source.KORVEL),
  RATE_PRESSURE(
      "Rate and pressure product",
      "bpm × systolic",
      "",
      "Of the last whole stage of a graded test.",
      Source.PRACTICE),
  BENCH_24(
      "VO₂max from the high bench, 24 a minute",
      "111.33 − 0.42 × bpm",
      "",
      "41.3 cm, three minutes, 15 s counted standing from 5 to 20 s.",
      Source.MCARDLE),
  BENCH_22(
      "VO₂max from the high bench, 22 a minute",
      "65.81 − 0.1847 × bpm",
      "",
      "The same at 22 cycles a minute.",
      Source.MCARDLE),
  MILE(
      "VO₂max from the mile, walked",
      "132.853 − 0.0769·pounds − 0.3877·age + 6.315 (men) − 3.2649·minutes − 0.1565·bpm",
      "± 5 ml·kg⁻¹·min⁻¹",
      "bpm of the last minute; pounds = kg × 2.20462; made from adults of 30 to 69.",
      Source.KLINE),
  TALK_STEP_RATES(
      "Talk rates from a talk-step test",
      "lower: the last step before the first not in whole sentences; upper: the first with no more"
          + " than a word or two",
      "the step width",
      "Steps of 2 min, the passage from 90 s; a step's rate is the median of 60 to 90 s.",
      Source.TALK),
  TWO_MINUTES(
      "Rise and fall of the two-minute test",
      "rise = first count − resting; fall = first − later",
      "9 bpm by strap, 11 by counts before it is a change",
      "The same activity, posture and source, repetitions within 5 %.",
      Source.PRACTICE),
  AGREEMENT(
      "Limits of agreement of two recordings",
      "difference = second − reference; limits = mean ± 1.96 × standard deviation (n − 1)",
      "of one session only: seconds are no independent readings",
      "Two sensors worn at once. A lag of up to 30 s either way is looked for over 300 common seconds"
          + " and kept where it makes them differ by 0.5 bpm less.",
      Source.BLAND),
  SENSOR_VERDICT(
      "What a second sensor is good for",
      "mean within 3 bpm and 90 % of the seconds within 5: for targets; the same below 60 % of"
          + " reserve, with 120 s there: up to Talk; else not for steering",
      "",
      "Said of the weaker of two recordings of one session.",
      Source.KORVEL),
  EASY_SHARE(
      "Share of easy time",
      "time below Phrases ÷ all time trained",
      "",
      "Recorded sessions by the second, others all their minutes at their one level.",
      Source.KORVEL),
  FORECAST(
      "Heart rate forecast",
      "each second bpm ← settles + (bpm − settles) × e^(−1 ÷ τ); settles = resting + share of"
          + " reserve × reserve; τ is 35 s up and 55 s down for the regularly active, 50 s and 75 s"
          + " for others, or the client’s own; over 60 % for more than 10 min the share drifts up"
          + " by 0.25 % of reserve a minute, 5 % at most",
      "√(error of the span there² + what a τ 30 % longer or shorter changes²)",
      "A session before it is done, from the middle of each target. It decides nothing. The figures"
          + " are typical of published kinetics. Simulated clients follow it too.",
      Source.KORVEL),
  TIME_CONSTANT(
      "A client’s own time constant",
      "the median of the fits a + b × e^(−t ÷ τ) over their last 10 recorded sessions, from three"
          + " fits on, held within 15 and 150 s",
      "a fit explains 95 % of a move of 15 bpm or more",
      "Rises over the first 3 min of a step, falls over the first 2 min after an effort, by strap.",
      Source.KORVEL);

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
