package app.korvel.core.checkin;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What a check-in says, each finding in this one place. */
public enum CheckInFinding implements FindingKind {
  PULSE_AS_USUAL(
      INFO,
      "%s is as usual.",
      "Usual at rest is %2$s; under {PULSE_LIGHT_ONLY} bpm away is normal variation.",
      Source.PRACTICE),
  PULSE_FIVE_OFF(
      CAUTION,
      "Light only: %s is %s bpm %s the usual %s.",
      "{PULSE_LIGHT_ONLY} bpm or more away at rest may mean poor sleep, heat, "
          + "oncoming illness or incomplete recovery.",
      Source.PRACTICE),
  PULSE_TEN_OFF(
      BLOCK,
      "Not today: %s is %s bpm %s the usual %s.",
      "{PULSE_NOT_TODAY} bpm or more away at rest: do not train today. Rest; if it "
          + "lasts, see a doctor.",
      Source.PRACTICE),
  PULSE_OVER_LINE(
      BLOCK,
      "Not today: %s at rest is over %s.",
      "Still above the usual range when counted again: medical review before training.",
      Source.PRACTICE),
  PULSE_UNDER_LINE(
      BLOCK,
      "Not today: %s is under %s, and not usual for this client.",
      "See a doctor, today if they feel unwell.",
      Source.PRACTICE),
  PULSE_NO_USUAL(
      CAUTION,
      "No baseline to compare %s with.",
      "Count a resting pulse in the same posture and by the same source on three days; until then"
          + " only the fixed limits apply.",
      Source.PRACTICE),
  CHECKED_IN_STRICTER(
      CAUTION,
      "Checked in today: %s.",
      "An earlier check-in today still applies; check in again to replace it.",
      Source.PRACTICE),
  PULSE_SIT_FIRST(
      BLOCK,
      "Sit for {RESTING_QUIET} min, then count again for 60 s.",
      "%s is over %s, and they have not settled yet. If it is over again, settled or "
          + "not, do not train today.",
      Source.PRACTICE),
  USUAL_POSTURE_FIRST(
      BLOCK,
      "Count again %s: that is how the usual %s was taken.",
      "This one was taken %3$s. Posture alone changes the pulse, so only the fixed "
          + "limits apply; count in the usual posture to clear them.",
      Source.PRACTICE),
  USUAL_BY_OTHER_SOURCE(
      CAUTION,
      "The usual %s is by %s, this one by %s.",
      "Sources differ by a few bpm; measure it the usual way where it matters.",
      Source.PRACTICE),
  PULSE_RECOUNT(
      BLOCK,
      "Recount for 60 s before deciding.",
      "%s is unusual, and a first unusual value may be a miscount or someone who has "
          + "just sat down.",
      Source.PRACTICE),
  SLEEPLESS_AND_RAISED(
      BLOCK,
      "Not today: no sleep, and the pulse is raised.",
      "The body has not recovered. Sleep first; light walking does no harm.",
      Source.PRACTICE),
  RHYTHM_NEWLY_UNEVEN(
      BLOCK,
      "Not today: the pulse is irregular, and that is new.",
      "Count a full minute, write it down, and see a doctor before training.",
      Source.PRACTICE),
  ILL_TODAY(
      BLOCK,
      "Not today: fever or illness.",
      "Train again when well for a day; after a fever start one level easier.",
      Source.PRACTICE),
  SYMPTOMS_TODAY(
      BLOCK,
      "Not today: %s.",
      "Signs or symptoms go to a doctor before any training; urgent ones to the emergency number."
          + " What was issued is suspended until a clearance is on record.",
      Source.ACSM_SCREENING),
  LIGHT_HEADED_LOW_PRESSURE(
      BLOCK,
      "Not today: light-headed with a low pressure (%s).",
      "Lie or sit down, legs up, and see a doctor today.",
      Source.PRACTICE),
  PRESSURE_OVER_LINE(
      BLOCK,
      "Not today: %s is over {SYSTOLIC_LINE} systolic or {DIASTOLIC_LINE} diastolic at rest.",
      "Measure again after {RESTING_QUIET} minutes of rest; if it stays, a doctor today.",
      Source.PRACTICE),
  HEART_FAILURE_GAIN(
      BLOCK,
      "Not today: %s more than %s.",
      "In heart failure {WEIGHT_GAIN} kg or more in {WEIGHT_GAIN_DAYS} days is water "
          + "held back: call the cardiac team.",
      Source.PRACTICE),
  HOSPITAL_SINCE(
      BLOCK,
      "Not today: a hospital stay or a defibrillator shock since the last session.",
      "The team who treated it must say when and how to resume.",
      Source.PRACTICE),
  GLUCOSE_LOW(
      BLOCK,
      "Not yet: glucose %s is under %s. Eat, wait, and measure again before starting.",
      "Work lowers it further.",
      Source.PRACTICE),
  GLUCOSE_HIGH_UNWELL(
      BLOCK,
      "Not today: glucose %s is over %s, with ketones or feeling unwell.",
      "Work raises it further then. Follow the sick-day plan, or ask the diabetes team.",
      Source.PRACTICE),
  GLUCOSE_TOO_HIGH(
      BLOCK,
      "Not today: glucose %s is over %s.",
      "Follow the sick-day plan, or ask the diabetes team, with or without ketones.",
      Source.PRACTICE),
  KETONES_FIRST(
      BLOCK,
      "Not yet: glucose %s is over %s. Measure ketones, and ask how they feel.",
      "With ketones, or feeling unwell, work raises it further.",
      Source.PRACTICE),
  KETONES_NOT_MEASURED(
      BLOCK,
      "Not today: glucose %s is over %s, and ketones were not measured.",
      "Without knowing them there is no session; measure them, and check in again.",
      Source.PRACTICE),
  GLUCOSE_LIGHT_ONLY(
      CAUTION,
      "Light only: glucose %s is over %s, without ketones.",
      "Drink, measure again on the way, and stop if it rises or they feel unwell.",
      Source.PRACTICE),
  GLUCOSE_HIGH(
      CAUTION,
      "Glucose %s is over %s, without ketones: start easy, drink, and measure again on the way.",
      "No ketones and feeling well: a session may go on. Ask about ketones again if it stays.",
      Source.PRACTICE),
  GLUCOSE_SEVERE_LOW(
      BLOCK,
      "Not today: a severe low within the last 24 hours.",
      "Another one is more likely and harder to notice.",
      Source.PRACTICE),
  MEASURE_FIRST(
      BLOCK,
      "Not yet: measure %s first.",
      "This client's condition requires it before every session.",
      Source.PRACTICE),
  MEASURE_MISSING(
      CAUTION,
      "No %s was measured today.",
      "This client's condition calls for it before a session.",
      Source.PRACTICE),
  CARRY_FIRST(
      BLOCK,
      "Not yet: the client must carry %s.",
      "It must be carried in every session, within reach.",
      Source.PRACTICE),
  ONE_LEVEL_EASIER(
      CAUTION,
      "Indoors, or one level easier: poor air or heat.",
      "Both make the heart work harder for the same effort.",
      Source.PRACTICE),
  HEAT_NOT_FOR_THEM(
      BLOCK,
      "Not in this heat: train indoors, where it is cool.",
      "Avoid heat in pregnancy.",
      Source.PRACTICE),
  CHANGED_SINCE(
      CAUTION,
      "Go through the screening again: something is new or different.",
      "A new condition, symptom, medication or dose changes what is allowed.",
      Source.ACSM_SCREENING),
  NOTHING_AGAINST(INFO, "All checks passed.", "Nothing spoke against training.", Source.PRACTICE),
  SCREENING_STOPS(
      BLOCK, "Not today: the screening does not allow it.", "%s", Source.ACSM_SCREENING),
  SCREENING_OPEN(
      BLOCK,
      "Not yet: finish the screening first.",
      "Whether they may exercise at all has not been decided, and nothing is assumed "
          + "from a question"
          + " that was not asked.",
      Source.ACSM_SCREENING);

  private final Wording wording;

  CheckInFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
