package app.korvel.core.screening;

import static app.korvel.core.screening.Effects.NONE;

import app.korvel.core.measure.Threshold;
import java.util.List;
import java.util.function.Predicate;

/** What each condition, medicine or age changes in the work: a row each, the weightiest first. */
public enum Context {
  HEART_FAILURE(
      person -> person.health().heartFailure(),
      "Heart failure: no rate targets",
      "The numbers come from the cardiac team. Weigh before a session; start supervised.",
      NONE.steerBy(IntensityGuide.EFFORT_AND_TALK_ONLY)
          .effortUpTo(Threshold.HEART_HIGHEST_EFFORT.whole())
          .margins(Threshold.HEART_WARM_UP, Threshold.LONGER_WARM_UP)
          .without(Contraindication.LONG_HOLDS)
          .asking(Measure.WEIGHT)),
  IRREGULAR_RHYTHM(
      person -> person.has(Condition.IRREGULAR_RHYTHM) || person.has(Condition.PACEMAKER),
      "Irregular rhythm or pacemaker: no rate",
      "Pulse counts and zones are unreliable: RPE and talk only; count a full minute if counting"
          + " at all.",
      NONE.steerBy(IntensityGuide.EFFORT_AND_TALK_ONLY)),
  DEFIBRILLATOR(
      person -> person.has(Condition.DEFIBRILLATOR),
      "Defibrillator: stay below its rate",
      "The cap is at least 10 bpm below its detection rate, in writing; without it no rate work.",
      NONE),
  HEART_CONDITION(
      person -> person.health().heartCondition() && !person.health().heartFailure(),
      "Heart condition: RPE 14 at most, supervised",
      "A clinician's limit applies; otherwise 40 to 70 % of reserve once cleared, 60 at the start,"
          + " RPE 11 to 14.",
      NONE.effortUpTo(Threshold.HEART_HIGHEST_EFFORT.whole())
          .margins(Threshold.HEART_WARM_UP, Threshold.LONGER_WARM_UP)
          .without(Contraindication.LONG_HOLDS)
          .saying(ScreeningFinding.START_HEART_CONDITION)),
  RATE_LOWERING(
      person -> person.health().betaBlocker(),
      "Rate-lowering medication: RPE and talk first",
      "It holds both the resting and the maximum rate down. Low glucose may show no racing pulse.",
      NONE.steerBy(IntensityGuide.EFFORT_AND_TALK)
          .margins(Threshold.LONGER_WARM_UP, Threshold.LONGER_WARM_UP)
          .saying(ScreeningFinding.BETA_BLOCKER_STEERING)),
  RATE_RAISING(
      person -> person.takes(MedicineClass.RATE_RAISING),
      "Rate-raising medication: resting reads high",
      "Compare like with like, and use RPE alongside heart rate.",
      NONE.saying(ScreeningFinding.RATE_RAISING_BESIDE)),
  NITRATE(
      person -> person.takes(MedicineClass.NITRATE),
      "Nitrate: carried, and known how to use",
      "With angina: stop, sit, use as prescribed, and call the emergency number if it has not gone"
          + " 5 min after the first dose.",
      NONE.carrying("the nitrate, as prescribed").saying(ScreeningFinding.NITRATE_CARRY)),
  GLUCOSE(
      person -> person.takes(MedicineClass.INSULIN) || person.takes(MedicineClass.SECRETAGOGUE),
      "Insulin or secretagogue: glucose first",
      "Checked before; under 5.6 mmol/L (100 mg/dL) eat first, and measure again.",
      NONE.carrying("sugar").asking(Measure.GLUCOSE).saying(ScreeningFinding.GLUCOSE_CHECK)),
  NEUROPATHY(
      person -> person.has(Condition.AUTONOMIC_NEUROPATHY),
      "Autonomic neuropathy: no rate",
      "The heart rate is unreliable: RPE and talk only.",
      NONE.steerBy(IntensityGuide.EFFORT_AND_TALK_ONLY)),
  RESPIRATORY(
      person -> person.has(Condition.RESPIRATORY),
      "Lungs: breath before the rate",
      "Breathlessness comes before the heart rate target: RPE 12 to 13, breathlessness 3 to"
          + " 4 of 10.",
      NONE.steerBy(IntensityGuide.EFFORT_AND_TALK)
          .effortUpTo(Threshold.BREATH_HIGHEST_EFFORT.whole())
          .carrying("the reliever")
          .saying(ScreeningFinding.BREATH_FIRST)),
  HIGH_PRESSURE(
      person -> person.has(Condition.HIGH_BLOOD_PRESSURE),
      "High blood pressure: no straining",
      "No breath-holding, no long holds; no session above 180 over 110 at rest.",
      NONE.without(Contraindication.BREATH_HOLDING, Contraindication.LONG_HOLDS)
          .asking(Measure.BLOOD_PRESSURE)
          .saying(ScreeningFinding.PRESSURE_NO_STRAIN)),
  PREGNANCY(
      person -> person.has(Condition.PREGNANCY),
      "Pregnant: talk and RPE first",
      "Clearance from the midwife or doctor is asked for; RPE 12 to 14.",
      NONE.steerBy(IntensityGuide.EFFORT_AND_TALK)
          .effortUpTo(Threshold.PREGNANCY_HIGHEST_EFFORT.whole())
          .without(
              Contraindication.MAXIMUM_TEST, Contraindication.HEAT, Contraindication.LYING_FLAT)
          .stoppingFor("bleeding, fluid loss or contractions", "calf pain or swelling")
          .saying(ScreeningFinding.PREGNANCY_TALK)),
  UNDER_18(
      Person::under18,
      "Under 18: no maximum test",
      "A guardian has to agree; 60 minutes a day of mixed activity.",
      NONE.without(Contraindication.MAXIMUM_TEST)),
  OVER_65(
      Person::over65,
      "65 and over: longer warm-up",
      "10 min warm-up and cool-down, RPE alongside every number, balance work.",
      NONE.margins(Threshold.LONGER_WARM_UP, Threshold.LONGER_WARM_UP)
          .saying(ScreeningFinding.OVER_65)),
  NECK(
      person -> person.has(Condition.CAROTID_DISEASE) || person.has(Condition.NECK_FAINTING),
      "Neck: wrist pulse or strap only",
      "Carotid disease, or fainting when the neck is touched.",
      NONE.saying(ScreeningFinding.NECK_NOT_TOUCHED)),
  FALLS(
      person -> person.has(Condition.FALLS),
      "Falls: no steps or stairs",
      "Unsteady, or fallen in the last year.",
      NONE.without(Contraindication.STEPS).saying(ScreeningFinding.FALLS_NO_STEPS)),
  JOINTS(
      person -> person.has(Condition.JOINTS),
      "Joints: care with steps and impact",
      "Ask before steps, stairs or running; ease off when it hurts.",
      NONE.saying(ScreeningFinding.JOINTS_EASE)),
  NEW_TO_EXERCISE(
      person -> person.activity().sedentary(),
      "New to exercise: talk first",
      "A beginner cannot yet place the top of the RPE scale.",
      NONE.steerBy(IntensityGuide.TALK).saying(ScreeningFinding.TALK_BEFORE_EFFORT));

  private final Predicate<Person> concerns;
  private final String words;
  private final String because;
  private final Effects effects;

  Context(Predicate<Person> concerns, String words, String because, Effects effects) {
    this.concerns = concerns;
    this.words = words;
    this.because = because;
    this.effects = effects;
  }

  /** What to watch, in a few words. */
  public String words() {
    return words;
  }

  /** Why, in a sentence. */
  public String because() {
    return because;
  }

  /** What it changes. */
  public Effects effects() {
    return effects;
  }

  /** All that concern this person. */
  public static List<Context> of(Person person) {
    return List.of(values()).stream().filter(context -> context.concerns.test(person)).toList();
  }

  /** What all of them change together. */
  public static Effects effects(List<Context> contexts) {
    return Effects.together(contexts.stream().map(Context::effects).toList());
  }
}
