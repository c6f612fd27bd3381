package app.korvel.core.screening;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What the screening of a client says, each finding in this one place. */
public enum ScreeningFinding implements FindingKind {
  SYMPTOMS_STOP(
      BLOCK,
      "Stop training and see a doctor: no exercise until medically cleared.",
      "%s With signs or symptoms a doctor comes first, however active someone is.",
      Source.ACSM_SCREENING),
  SYMPTOMS_FIRST(
      BLOCK,
      "No exercise until medically cleared.",
      "%s With signs or symptoms a doctor comes first, whatever else is known.",
      Source.ACSM_SCREENING),
  CLEARANCE_NOT_NEEDED(
      INFO,
      "No clearance needed: start light to moderate and progress gradually.",
      "No known cardiovascular, metabolic or renal disease, no signs or symptoms, not regularly"
          + " active.%s",
      Source.ACSM_SCREENING),
  CLEARANCE_NOT_NEEDED_ACTIVE(
      INFO,
      "No clearance needed: moderate or vigorous work may continue.",
      "Regularly active, no known cardiovascular, metabolic or renal disease, no signs or"
          + " symptoms.%s",
      Source.ACSM_SCREENING),
  CLEARANCE_FIRST(
      BLOCK,
      "A doctor's clearance comes first; then light to moderate.",
      "%s Not regularly active: exercise is cleared by a clinician before it is prescribed.",
      Source.ACSM_SCREENING),
  CLEARANCE_LAPSED(
      BLOCK,
      "The clearance ended on %s. Nothing can be issued until it is renewed.",
      "%3$s Given by %2$s; a clearance holds until its day and no longer.",
      Source.ACSM_SCREENING),
  CLEARANCE_IN_FORCE(INFO, "Cleared by %s until %s: %s.", "Given on %4$s.", Source.ACSM_SCREENING),
  CLEARANCE_LAPSING(
      CAUTION,
      "The clearance ends on %s, in %s days. Ask for a new one now.",
      "The day it lapses, what was issued is suspended.",
      Source.KORVEL),
  MODERATE_CONTINUES(
      CAUTION,
      "Moderate work may continue; vigorous needs clearance within the last "
          + "{VIGOROUS_CLEARANCE} months.",
      "%s Regularly active, no signs or symptoms.",
      Source.ACSM_SCREENING),
  SCREENING_UNFINISHED(
      BLOCK,
      "Finish the screening first. Not asked yet: %s.",
      "Nothing is assumed from a question that was not asked.",
      Source.ACSM_SCREENING),
  RESCREENING_DUE(CAUTION, "Screening is due again.", "%s", Source.PRACTICE),
  CONSENT_FIRST(
      BLOCK,
      "A guardian's consent comes first.",
      "The client is %s. Under {UNDER_18} a parent or guardian has to agree.",
      Source.PRACTICE),
  DISEASE_TOLD_OTHERWISE(
      CAUTION,
      "Counts as known: %s. Ask which condition it is and select it.",
      "Reported by %2$s. What is known counts, however it was reported; until the "
          + "condition is named, everything is decided as if it were.",
      Source.ACSM_SCREENING),
  LIMIT_LAPSED(
      CAUTION,
      "%s ended on %s and still applies.",
      "A written limit holds until it is renewed, or %3$s lifts it. Ask for a new "
          + "one; delete it here only when it has been lifted.",
      Source.PRACTICE),
  LIGHT_TO_MODERATE(
      INFO,
      "Light to moderate: nothing above {CEILING} %% of reserve.",
      "%s",
      Source.ACSM_SCREENING),
  CLIENT_ARCHIVED(
      BLOCK,
      "This client is archived. Restore them first.",
      "Archived records are kept and can be read; nothing is added to them.",
      Source.KORVEL),
  LIGHT_BY_EFFORT(INFO, "Light to moderate, by RPE and talk.", "%s", Source.ACSM_SCREENING),
  RATE_RAISING_BESIDE(
      CAUTION,
      "Use RPE alongside heart rate, and compare like with like.",
      "A rate-raising medication makes the resting pulse read high.",
      Source.PRACTICE),
  NITRATE_CARRY(
      CAUTION,
      "Carry the nitrate. With angina: stop, sit, use it, and no more exercise that day.",
      "Call the emergency number if it has not gone 5 min after the first dose.",
      Source.PRACTICE),
  GLUCOSE_CHECK(
      CAUTION,
      "Check glucose before; carry sugar; check during a long session and after.",
      "Under {GLUCOSE_LOW_MMOL} mmol/L ({GLUCOSE_LOW_MG} mg/dL) eat first and measure "
          + "again. Lows can come hours later.",
      Source.PRACTICE),
  BREATH_FIRST(
      CAUTION,
      "Use breathlessness and RPE as the guide: RPE 12 to {BREATH_HIGHEST_EFFORT}, "
          + "breathlessness 3 to 4 of 10.",
      "With lung disease breathlessness comes before the heart rate target. Use "
          + "prescribed oxygen as"
          + " prescribed.",
      Source.PRACTICE),
  PRESSURE_NO_STRAIN(
      CAUTION,
      "No breath-holding, no long holds.",
      "Straining drives a high blood pressure up. No session at rest above "
          + "{SYSTOLIC_LINE} over {DIASTOLIC_LINE}.",
      Source.PRACTICE),
  PREGNANCY_TALK(
      CAUTION,
      "Use the talk test and RPE as the guide: RPE 12 to {PREGNANCY_HIGHEST_EFFORT}.",
      "In pregnancy the rate follows its own rules: no maximum test, no heat, no lying flat later"
          + " on.",
      Source.PRACTICE),
  PREGNANCY_WORD(
      CAUTION,
      "Obtain clearance from the midwife or doctor and record it.",
      "In pregnancy the midwife or doctor decides first.",
      Source.PRACTICE),
  NECK_NOT_TOUCHED(
      CAUTION,
      "Count at the wrist or by strap; leave the neck alone.",
      "Pressing the neck can slow the heart or make them faint.",
      Source.PRACTICE),
  FALLS_NO_STEPS(
      CAUTION,
      "No steps or stairs; balance work beside something to hold.",
      "They have fallen in the last year, or are unsteady.",
      Source.PRACTICE),
  JOINTS_EASE(
      CAUTION,
      "Ask about the joints before steps, stairs or running.",
      "Joints that hurt or give way want less impact: ease off when it hurts.",
      Source.PRACTICE),
  BETA_BLOCKER_STEERING(
      CAUTION,
      "Use RPE and talk first; the rate comes second.",
      "A beta-blocker holds both the resting and the maximum rate down. After any change of"
          + " medication or dose, measure again.",
      Source.BRAWNER),
  START_HEART_CONDITION(
      CAUTION,
      "At most {CEILING} %% of reserve at the start, RPE 11 to {HEART_HIGHEST_EFFORT}, supervised.",
      "With a heart condition a clinician's limit applies; without one 40 to "
          + "{HEART_HIGHEST_GOAL} %% once cleared, {CEILING} at"
          + " the start. Stay {BELOW_SYMPTOMS} bpm below any rate at which symptoms have appeared.",
      Source.PRACTICE),
  TALK_BEFORE_EFFORT(
      CAUTION,
      "Use the talk test first: new to exercise.",
      "A beginner cannot yet place the top of the RPE scale; how they talk is easier to judge.",
      Source.TALK),
  OVER_65(
      CAUTION,
      "{OVER_65} and over: RPE alongside every number, and balance work every week.",
      "Ask about falls and joints before steps or stairs.",
      Source.PRACTICE);

  private final Wording wording;

  ScreeningFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
