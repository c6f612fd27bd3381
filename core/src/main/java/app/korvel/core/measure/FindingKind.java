package app.korvel.core.measure;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import java.util.Locale;

/**
 * The catalogue of findings: code, severity, wording and source, each in this one place.
 *
 * <p>Wordings are {@link String#format} templates; message and reason take the same arguments, so a
 * reason may name {@code %2$s} where the message uses {@code %1$s}.
 */
public enum FindingKind {
  // Screening
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
      "The clearance lapsed on %s. Nothing is issued until it is renewed.",
      "%3$s Given by %2$s; a clearance holds until its day and no longer.",
      Source.ACSM_SCREENING),
  CLEARANCE_IN_FORCE(INFO, "Cleared by %s until %s: %s.", "Given on %4$s.", Source.ACSM_SCREENING),
  CLEARANCE_LAPSING(
      CAUTION,
      "The clearance lapses on %s, in %s days. Ask for the next one now.",
      "The day it lapses, what was issued is suspended.",
      Source.KORVEL),
  MODERATE_CONTINUES(
      CAUTION,
      "Moderate work may continue; vigorous needs clearance within the last 12 months.",
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
      "The client is %s. Under 18 a parent or guardian has to agree.",
      Source.PRACTICE),
  DISEASE_TOLD_OTHERWISE(
      CAUTION,
      "Counts as known: %s. Ask which condition it is, and tick it.",
      "Told by %2$s. What is known counts, however it was told; until the condition is named"
          + " everything is decided as if it were.",
      Source.ACSM_SCREENING),
  LIMIT_LAPSED(
      CAUTION,
      "%s lapsed on %s, and still holds.",
      "A written limit holds until it is renewed, or %3$s lifts it. Ask for a new one; take it off"
          + " here only when it has been lifted.",
      Source.PRACTICE),
  LIGHT_TO_MODERATE(
      INFO, "Light to moderate: nothing above 60 %% of reserve.", "%s", Source.ACSM_SCREENING),

  CLIENT_ARCHIVED(
      BLOCK,
      "This client is archived. Bring them back first.",
      "Archived records are kept and can be read; nothing is added to them.",
      Source.KORVEL),

  NO_PRESCRIPTION(
      BLOCK,
      "Nothing is prescribed yet.",
      "A card says what was prescribed; make the prescription first.",
      Source.KORVEL),

  LIGHT_BY_EFFORT(INFO, "Light to moderate, by effort and talk.", "%s", Source.ACSM_SCREENING),

  RATE_RAISING_BESIDE(
      CAUTION,
      "Set effort beside the rate, and compare like with like.",
      "A rate-raising medicine makes the resting pulse read high.",
      Source.PRACTICE),
  NITRATE_CARRY(
      CAUTION,
      "Carry the nitrate. With angina: stop, sit, use it, and no more exercise that day.",
      "Call the emergency number if it has not gone 5 min after the first dose.",
      Source.PRACTICE),
  GLUCOSE_CHECK(
      CAUTION,
      "Check glucose before; carry sugar; check during a long session and after.",
      "Under 5.6 mmol/L (100 mg/dL) eat first and measure again. Lows can come hours later.",
      Source.PRACTICE),
  BREATH_FIRST(
      CAUTION,
      "Steer by breath and effort: 12 to 13 of 20, breathlessness 3 to 4 of 10.",
      "With lung disease breathlessness comes before the heart rate target. Use prescribed oxygen as"
          + " prescribed.",
      Source.PRACTICE),
  PRESSURE_NO_STRAIN(
      CAUTION,
      "No breath-holding, no long holds.",
      "Straining drives a high blood pressure up. No session at rest above 180 over 110.",
      Source.PRACTICE),
  PREGNANCY_TALK(
      CAUTION,
      "Steer by talk and effort, 12 to 14 of 20.",
      "In pregnancy the rate follows its own rules: no maximum test, no heat, no lying flat later"
          + " on.",
      Source.PRACTICE),
  PREGNANCY_WORD(
      CAUTION,
      "Ask for the midwife's or doctor's word, and record it as a clearance.",
      "In pregnancy someone who follows it has a say first.",
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
  SUPERVISED_ONLY(
      CAUTION,
      "Supervised only.",
      "A clinician's written limit, or the start with a heart condition: someone is there.",
      Source.PRACTICE),
  EFFORT_HELD(
      CAUTION,
      "Effort is held at %s of 20: where the rate asks for more, effort leads.",
      "A written limit or a condition holds it there.",
      Source.PRACTICE),

  // Check-in
  PULSE_AS_USUAL(
      INFO,
      "%s is as usual.",
      "Usual at rest is %2$s; up to 4 bpm off is a usual day.",
      Source.PRACTICE),
  PULSE_FIVE_OFF(
      CAUTION,
      "Light only: %s is %s bpm %s the usual %s.",
      "5 to 9 bpm off at rest tells of a hard night, heat, an illness coming or unfinished rest.",
      Source.PRACTICE),
  PULSE_TEN_OFF(
      BLOCK,
      "Not today: %s is %s bpm %s the usual %s.",
      "10 bpm or more off at rest is no day to train. Rest; if it lasts, see a doctor.",
      Source.PRACTICE),
  PULSE_OVER_LINE(
      BLOCK,
      "Not today: %s at rest is over %s.",
      "Still over the top of the usual range when counted again: a doctor's look before training.",
      Source.PRACTICE),
  PULSE_UNDER_LINE(
      BLOCK,
      "Not today: %s is under %s, and not usual for this client.",
      "See a doctor, today if they feel unwell.",
      Source.PRACTICE),
  PULSE_NO_USUAL(
      CAUTION,
      "There is no usual value to compare %s with.",
      "Count a resting pulse in the same posture and by the same source on three days; until then"
          + " the absolute lines alone decide.",
      Source.PRACTICE),
  CHECKED_IN_STRICTER(
      CAUTION,
      "Checked in today: %s.",
      "What a check-in has said of this day stands beside a later count; check in again to change"
          + " it.",
      Source.PRACTICE),
  PULSE_SIT_FIRST(
      BLOCK,
      "Sit for 5 min, then count again for 60 s.",
      "%s is over %s, and they have not settled yet. Over it again, settled or not, is not today.",
      Source.PRACTICE),
  USUAL_POSTURE_FIRST(
      BLOCK,
      "Count again %s: that is how the usual %s was taken.",
      "This one was taken %3$s. Posture alone moves the pulse, so it can be compared with the lines"
          + " only, and a go needs one in the usual posture.",
      Source.PRACTICE),
  USUAL_BY_OTHER_SOURCE(
      CAUTION,
      "The usual %s is by %s, this one by %s.",
      "Sources differ by a few bpm; measure it the usual way where it matters.",
      Source.PRACTICE),
  PULSE_RECOUNT(
      BLOCK,
      "Count again for 60 s before this decides anything.",
      "%s is odd, and a first odd value may be a miscount or someone who has just sat down.",
      Source.PRACTICE),
  SLEEPLESS_AND_RAISED(
      BLOCK,
      "Not today: no sleep, and the pulse is raised.",
      "The body has not rested. Sleep first; light walking does no harm.",
      Source.PRACTICE),
  RHYTHM_NEWLY_UNEVEN(
      BLOCK,
      "Not today: the pulse is uneven, and that is new.",
      "Count a full minute, write it down, and have a doctor look at it before training.",
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
      "Not today: %s is over 180 systolic or 110 diastolic at rest.",
      "Measure again after 5 minutes of rest; if it stays, a doctor today.",
      Source.PRACTICE),
  HEART_FAILURE_GAIN(
      BLOCK,
      "Not today: %s kg more than %s.",
      "In heart failure 2 kg or more in 3 days is water held back: call the cardiac team.",
      Source.PRACTICE),
  HOSPITAL_SINCE(
      BLOCK,
      "Not today: a hospital stay or a defibrillator shock since the last session.",
      "The team who treated it has to say when and how to go on.",
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
      "Another one comes more easily and shows less.",
      Source.PRACTICE),
  MEASURE_FIRST(
      BLOCK,
      "Not yet: measure %s first.",
      "What this client lives with asks for it before every session.",
      Source.PRACTICE),
  MEASURE_MISSING(
      CAUTION,
      "No %s was measured today.",
      "What this client lives with asks for it before a session.",
      Source.PRACTICE),
  CARRY_FIRST(
      BLOCK,
      "Not yet: not without %s.",
      "It is carried in every session, and within reach.",
      Source.PRACTICE),
  ONE_LEVEL_EASIER(
      CAUTION,
      "Indoors, or one level easier: poor air or heat.",
      "Both cost the heart extra at the same work.",
      Source.PRACTICE),
  HEAT_NOT_FOR_THEM(
      BLOCK,
      "Not in this heat: train indoors, where it is cool.",
      "In pregnancy heat is left out.",
      Source.PRACTICE),
  CHANGED_SINCE(
      CAUTION,
      "Go through the screening again: something is new or different.",
      "A new condition, symptom, medicine or dose changes what is allowed.",
      Source.ACSM_SCREENING),
  NOTHING_AGAINST(
      INFO, "Nothing speaks against today's session.", "Every line was kept.", Source.PRACTICE),
  SCREENING_STOPS(
      BLOCK, "Not today: the screening does not allow it.", "%s", Source.ACSM_SCREENING),
  SCREENING_OPEN(
      BLOCK,
      "Not yet: finish the screening first.",
      "Whether they may exercise at all has not been decided, and nothing is assumed from a question"
          + " that was not asked.",
      Source.ACSM_SCREENING),

  // Pulse
  CAME_BACK_TO_REST(
      INFO,
      "%s is back to rest.",
      "Within 10 bpm or 10 %%, the larger, of %2$s at rest: up to %3$s.",
      Source.PRACTICE),
  NOT_BACK_YET(
      CAUTION,
      "%s is not back to rest. Let them sit quietly, and count again in 5 min.",
      "Back is up to %3$s: within 10 bpm or 10 %%, the larger, of %2$s at rest.",
      Source.PRACTICE),
  NOT_BACK_IN_TEN(
      CAUTION,
      "%s is not back to rest after ten minutes: ease the next session.",
      "Back is up to %3$s: within 10 bpm or 10 %%, the larger, of %2$s at rest. Slow to come back"
          + " tells of work that was too hard, heat, or an illness coming; a doctor if it lasts.",
      Source.PRACTICE),
  NO_REST_TO_COME_BACK_TO(
      CAUTION,
      "There is no resting value to compare %s with.",
      "Count a resting pulse before one of the next sessions.",
      Source.PRACTICE),
  READING_UNEVEN(
      CAUTION,
      "Uneven. If that is new for this client, no session and a doctor's look.",
      "Count a full minute and write down how it felt. A hand cannot tell what makes a pulse uneven.",
      Source.PRACTICE),
  COUNTED_RIGHT(
      INFO,
      "Every beat counted: %s in %s s.",
      "So many fell between the start and the end.",
      Source.ARITHMETIC),
  COUNTED_ONE_OFF(
      INFO,
      "One beat %s: as good as a hand gets.",
      "%2$s fell between the start and the end. A beat on either edge can be taken in or left out.",
      Source.ARITHMETIC),
  COUNTED_OFF(
      CAUTION,
      "%s beats too %s.",
      "%3$s fell between the start and the end. Too few: a lighter or firmer touch, and count every"
          + " beat aloud. Too many: the first beat after the start is one, not zero and one.",
      Source.PRACTICE),
  WINDOW_EXPLAINS(
      INFO,
      "The window alone explains %s bpm.",
      "A faultless count of %2$s in %3$s s makes %4$s bpm, and the pulse went at %5$s. A longer"
          + " window is surer.",
      Source.ARITHMETIC),
  RHYTHM_HEARD(INFO, "And the rhythm: %s it was.", "Told apart by feel alone.", Source.PRACTICE),
  RHYTHM_MISSED(
      CAUTION,
      "The rhythm was %s.",
      "Even beats may still swing a little with the breath; uneven ones come as if by chance. Uneven"
          + " in a client: a full minute, and a doctor's look if it is new.",
      Source.PRACTICE),
  TAPS_UNEVEN(
      CAUTION,
      "Uneven: count a full minute. If that is new for this client, no session and a doctor's look.",
      "At least 3 intervals, and a fifth of them, are over 20 %% off the median. Taps carry human"
          + " jitter: this asks for a count and decides nothing.",
      Source.PRACTICE),
  TAPS_TOO_SHORT(
      INFO,
      "Too few beats to tell the rhythm. Tap on, or count a full minute.",
      "Under 7 intervals are left.",
      Source.PRACTICE),
  TAPS_PAUSED(
      CAUTION,
      "%s over 2.5 s: a missed tap, or a pause in the pulse. Count a full minute.",
      "Which of the two it was, taps cannot tell.",
      Source.PRACTICE),
  TAPS_BOUNCED(
      INFO,
      "%s under 200 ms: a bounce of the key, and dropped.",
      "No pulse is that fast.",
      Source.PRACTICE),
  RESTING_USUAL(
      INFO,
      "%s is usual for rest.",
      "At %2$s, %3$s to %4$s bpm is usual at rest.",
      Source.PRACTICE),
  RESTING_LOW_TRAINED(
      INFO,
      "%s is low, and common in someone who trains.",
      "At %2$s, %3$s to %4$s bpm is usual at rest; %5$s to %3$s is common in the well trained.",
      Source.PRACTICE),
  RESTING_LOW_MEDICINE(
      INFO,
      "%s is low, as a beta-blocker makes it.",
      "Medicines that slow the heart lower the resting rate; compare only on the same dose.",
      Source.PRACTICE),
  RESTING_LOW_ASK(
      CAUTION,
      "%s is lower than usual. Ask whether it has always been so.",
      "At %2$s, %3$s to %4$s bpm is usual at rest. Lower is common in the well trained and with"
          + " rate-lowering medicine, and neither is recorded here.",
      Source.PRACTICE),
  RESTING_UNDER_40(
      CAUTION,
      "%s is under %5$s. Unless it is known to be usual for this client: no training, and a doctor's"
          + " look.",
      "At %2$s, under %5$s bpm at rest is rare even in the well trained.",
      Source.PRACTICE),
  RESTING_HIGH(
      CAUTION,
      "%s is over the usual range. Settled and seated, ask a doctor before training.",
      "At %2$s, %3$s to %4$s bpm is usual at rest.",
      Source.PRACTICE),
  RESTING_OVER_STOPS(
      BLOCK,
      "Nothing is issued: %s at rest is over %s.",
      "Over the top of the range at this age a doctor has a look first; record the answer as a"
          + " clearance. Measuring goes on.",
      Source.PRACTICE),
  READING_DEPARTS(
      CAUTION,
      "%s is %s bpm off the %s taken earlier today: not taken as usual.",
      "Two readings of one day that differ so far are a miscount, or somebody who has not settled."
          + " Count again; take it as usual only if you are sure of it.",
      Source.KORVEL),
  RESTING_HIGH_RECOUNT(
      CAUTION,
      "%s is over the usual range. Sit quietly for 5 minutes and count again for 60 s.",
      "At %2$s, %3$s to %4$s bpm is usual at rest, and this reading was not taken settled.",
      Source.PRACTICE),
  WORKING_MEDIAN(
      INFO,
      "%s bpm, the median of the latest three.",
      "The latest three readings graded fair or better within 56 days, all %2$s.",
      Source.KORVEL),
  WORKING_LATEST_GOOD(
      INFO,
      "%s bpm, the latest good reading.",
      "Fewer than three comparable readings graded fair or better within 56 days; the latest good"
          + " one stands (%2$s).",
      Source.KORVEL),
  WORKING_LATEST(
      CAUTION,
      "%s bpm, the latest reading, for want of a good one.",
      "No good reading is on record. Count again: seated, quiet for 5 minutes, 60 s (%2$s).",
      Source.KORVEL),
  RESTING_DUE(
      CAUTION,
      "The resting pulse is due again.",
      "The reading it stands on is %s days old; after 56 days it is measured again.",
      Source.KORVEL),
  RESTING_STALE(
      CAUTION,
      "The resting pulse is stale: medicine changed on %s. Count it again.",
      "Medicines that touch the heart rate change what is usual at rest; an earlier count says"
          + " nothing on the present dose.",
      Source.PRACTICE),
  RESTING_MISSING(
      BLOCK,
      "Count a resting pulse first.",
      "Every rate starts from the resting pulse, and none is on record.",
      Source.KARVONEN),

  // Maximum
  DEFAULT_HEALTHY(
      INFO,
      "208 − 0.7 × age is the default.",
      "Derived from many studies of healthy adults of both sexes; it errs less with age than 220 −"
          + " age.",
      Source.TANAKA),
  DEFAULT_UNDER_18(
      INFO,
      "208 − 0.7 × age stands in for want of a better one.",
      "The equations were made on adults. Under 18 it is a rough guide, and no maximum is tested.",
      Source.TANAKA),
  DEFAULT_LOWER_OF_TWO(
      INFO,
      "%s is the default: the lower of 220 − age and 208 − 0.7 × age.",
      "%2$s, so the lower of the two is taken (equal: 208 − 0.7 × age).",
      Source.PRACTICE),
  DEFAULT_BETA_BLOCKER_HEART(
      INFO,
      "164 − 0.7 × age is the default.",
      "It was made on people with coronary disease who take beta-blockers.",
      Source.BRAWNER),
  DEFAULT_MINUS_30(
      INFO,
      "208 − 0.7 × age − 30 is the default, and a rough one.",
      "A beta-blocker holds the maximum down by an amount that no equation knows; 30 is a rule of"
          + " thumb.",
      Source.PRACTICE),
  NO_DEFAULT_HEART_FAILURE(
      BLOCK,
      "No maximum is proposed with heart failure.",
      "The numbers come from the cardiac team. Until then steer by effort and talk.",
      Source.KETEYIAN),
  FOX_HIGH_UNDER_40(
      INFO,
      "220 − age is the higher rule here, not the careful one.",
      "It is often called careful. It is only so above age 40: below, it gives more than 208 − 0.7"
          + " × age, and this client is %s.",
      Source.FOX),
  MAXIMUM_CHOSEN(
      INFO,
      "%s is in use, your choice of %s.",
      "Your reason: “%3$s”. By rule it would be %4$s.",
      Source.PRACTICE),
  MAXIMUM_CHOICE_SET_ASIDE(
      CAUTION,
      "Your choice of %s is set aside.",
      "%2$s What is used instead: %3$s.",
      Source.PRACTICE),
  MAXIMUM_STALE(
      CAUTION,
      "Earlier maxima are stale: medicine changed on %s.",
      "What stands here is estimated anew for the present medicine. A maximum measured on the present"
          + " dose is best.",
      Source.PRACTICE),
  FOX_LOW_FROM_40(
      INFO,
      "220 − age is the careful rule here; it would not be below 40.",
      "It is often called careful. From 40 on it gives no more than 208 − 0.7 × age; below 40 it is"
          + " the higher of the two. This client is %s.",
      Source.FOX),
  MAXIMUM_MEASURED(
      INFO,
      "%s is measured: the highest that qualifies.",
      "%2$s, on %3$s. ± %4$s on the day, and 1 bpm more for every year since: ± %5$s today. Measured"
          + " beats estimated, and a heart that has reached a rate can reach it.",
      Source.KORVEL),
  MAXIMUM_BORROWED(
      INFO,
      "None measured for this mode: the running value of %s%s.",
      "Measured running on %3$s. What is borrowed is less sure: ± %4$s.",
      Source.PRACTICE),
  MAXIMUM_ON_PRESENT_DOSE(
      INFO,
      "Measured on the present dose: the best there is.",
      "Medicine changed on %s, and this was measured since. After the next change it is stale.",
      Source.PRACTICE),
  MAXIMUM_DUE(
      CAUTION,
      "Measured on %s: due again.",
      "After 24 months a maximum is measured again. It keeps its value, and is now sure to ± %2$s"
          + " only.",
      Source.KORVEL),
  MAXIMUM_CHOICE_WAITS(
      INFO,
      "Your choice of %s waits.",
      "Measured beats estimated: while a measured maximum stands, no equation is in use.",
      Source.PRACTICE),
  MAXIMUM_PROPOSED(
      CAUTION,
      "A peak of %s was seen, %s over the working maximum.",
      "On %3$s. %4$s",
      Source.KORVEL),
  PEAK_SUDDEN_RISE(
      CAUTION,
      "The rate rose by over 15 bpm in 2 s: ask how they felt.",
      "It may be the sensor, or the heart. What follows such a rise is set aside until the rate is"
          + " back; racing, pounding or faintness with it: a doctor's look before the next session.",
      Source.KORVEL),
  PEAK_NONE(
      CAUTION,
      "No peak in this recording.",
      "Nowhere does the rate hold within 3 bpm for 5 seconds, once spikes are set aside.",
      Source.KORVEL),
  MAXIMUM_HIGHER_ELSEWHERE(
      CAUTION,
      "%s was measured in another mode, above what is used here.",
      "%2$s. Running peaks are commonly the highest, so the running maximum is probably at least"
          + " that: measure it.",
      Source.PRACTICE),
  MAXIMUM_NOT_FITNESS(
      INFO,
      "A maximum says nothing about fitness.",
      "It is largely inherited. Being fit is no reason to shift it; measuring it is.",
      Source.FOX),
  MAXIMUM_OTHER_MODE(
      INFO,
      "Estimates for this mode come from running%s, and are less sure.",
      "The equations were made on a treadmill. Other modes peak lower, commonly by 5 to 15 bpm on a"
          + " cycle; the error grows to match.",
      Source.PRACTICE),
  BETA_BLOCKER_STEERING(
      CAUTION,
      "Steer by effort and talk first; the rate comes second.",
      "A beta-blocker holds both the resting and the maximum rate down. After any change of"
          + " medicine or dose, measure again.",
      Source.BRAWNER),

  // Field tests
  FIELD_TEST_OPEN(
      INFO,
      "May be done today.",
      "An adult, cleared for vigorous work, without known heart disease, checked in today and fit to"
          + " go. Never alone, and warmed up for 15 minutes first.",
      Source.PRACTICE),
  FIELD_TEST_HEART(
      BLOCK,
      "Not with known heart disease.",
      "Only a supervised graded test serves, with whoever may do one where you work.",
      Source.PRACTICE),
  FIELD_TEST_ADULTS(
      BLOCK, "Adults only.", "Under 18 no maximum is tested; this client is %s.", Source.PRACTICE),
  FIELD_TEST_PREGNANT(
      BLOCK,
      "Not in pregnancy.",
      "Talk and effort come first, and no maximum is tested.",
      Source.PRACTICE),
  FIELD_TEST_NOT_VIGOROUS(
      BLOCK,
      "Not before vigorous work is cleared.",
      "A test goes to the end of what someone has. %s",
      Source.ACSM_SCREENING),
  FIELD_TEST_CAP(
      BLOCK,
      "Not under a cap: nothing above %s bpm.",
      "A test goes above any cap. Ask whoever gave it.",
      Source.PRACTICE),
  FIELD_TEST_EFFORT(
      BLOCK,
      "Not while effort is held at %s of 20.",
      "A test goes to 20 of 20; for this client effort stays lower.",
      Source.PRACTICE),
  FIELD_TEST_SUPERVISED(
      BLOCK,
      "Not where work is supervised only.",
      "A clinician has written it; a supervised graded test serves.",
      Source.PRACTICE),
  FIELD_TEST_NO_RATE(BLOCK, "No rate may be used, so none is tested.", "%s", Source.PRACTICE),
  FIELD_TEST_FALLS(
      BLOCK,
      "Not %s: falls are on record.",
      "A hard half hour on a cycle or a rower asks less of the feet.",
      Source.PRACTICE),
  FIELD_TEST_CHECK_IN(
      BLOCK,
      "Check in first.",
      "Before each session the pulse at rest, and how they feel, decide whether today is the day.",
      Source.PRACTICE),
  FIELD_TEST_NOT_TODAY(
      BLOCK,
      "Not today: the check-in says %s.",
      "A test asks for all someone has. Another day, after a go.",
      Source.PRACTICE),
  FIELD_TEST_RUNNING(
      BLOCK,
      "A field test is going on.",
      "One at a time: finish it or stop it first.",
      Source.KORVEL),
  FIELD_TEST_JOINTS(
      CAUTION,
      "Falls or joints are on record: ask today, and choose the gentlest on them.",
      "Sore or unsteady: leave steps, rope and downhill out.",
      Source.PRACTICE),
  FIELD_TEST_PROPOSES(
      INFO, "A maximum of %s is proposed.", "%2$s, graded %3$s: %4$s.", Source.PRACTICE),
  FIELD_TEST_POOR(
      CAUTION,
      "A peak of %s, from a test graded %3$s.",
      "%2$s: %4$s. It is kept as a proposal; repeat the test, or let another day confirm it.",
      Source.PRACTICE),
  FIELD_TEST_NO_PEAK(
      CAUTION,
      "No reading counts, so nothing is proposed.",
      "A rate counts when it is read in a bout or at its end; of a hard half hour, in the last ten"
          + " minutes.",
      Source.PRACTICE),
  FIELD_TEST_STOPPED(
      BLOCK,
      "Stopped: %s. Nothing is proposed.",
      "Get help by the local emergency plan, and write down what happened. A symptom belongs into"
          + " the screening: no more exercise until a doctor has had a look.",
      Source.PRACTICE),

  EFFORT_OVER_MAXIMUM(
      CAUTION,
      "An average of %s over a maximum of %s: one of the two is wrong.",
      "Nobody averages more than their maximum. Check the sensor, or note the peak and measure.",
      Source.KORVEL),

  // Zones
  RESERVE_TOO_SMALL(
      BLOCK,
      "A reserve of %s bpm is too small to steer by.",
      "Under 40 bpm the bands are narrower than the error of a count. Measure again, or steer by"
          + " effort and talk.",
      Source.KORVEL),
  CAP_IN_FORCE(
      CAUTION, "Nothing above %s bpm.", "%s. Of several caps the lowest governs.", Source.PRACTICE),
  CAP_CUTS(
      CAUTION,
      "The cap cuts the target at %s bpm.",
      "A cap stands above every target; counts under it are rounded down.",
      Source.PRACTICE),
  CAP_BELOW_TARGET(
      CAUTION,
      "No target by rate: the cap of %s lies below it.",
      "Steer by effort and talk.",
      Source.PRACTICE),

  // Prescription
  SUSPENDED_INTENSITY(
      BLOCK,
      "Suspended: it goes up to %s %% of reserve, and vigorous work is not allowed now.",
      "%2$s Save a new version within 60 %%.",
      Source.ACSM_SCREENING),
  SUSPENDED_EFFORT(
      BLOCK,
      "Suspended: its effort goes up to %s of 20, and %s is the most now.",
      "A condition or a written limit came after it. Save a new version.",
      Source.PRACTICE),
  RATE_SUSPENDED_MEDICINE(
      BLOCK,
      "Its rate targets are suspended: medicine changed on %s. Effort and talk remain.",
      "Resting and maximum rate change with the medicine. Measure again, then save a new version.",
      Source.PRACTICE),
  RATE_SUSPENDED_CAP(
      BLOCK,
      "Its rate targets are suspended: they go up to %s, over the cap of %s. Effort and talk remain.",
      "%3$s Save a new version under the cap.",
      Source.PRACTICE),
  RATE_SUSPENDED_CONTEXT(
      BLOCK, "Its rate targets are suspended. Effort and talk remain.", "%s", Source.PRACTICE),
  DAYS_AVAILABLE(
      INFO,
      "Held at the %s days they have.",
      "At intake they named the days on which they can train; the start would have used more.",
      Source.KORVEL),
  START_BY_ACTIVITY(
      INFO,
      "Start at %s %% of reserve, %s min, %s days a week.",
      "The starting point for someone whose present activity is “%4$s”.",
      Source.GARBER),
  START_CAUTIOUS(
      INFO,
      "The cautious start: 30–40 %% for up to 12 weeks, then moderate.",
      "Light work still trains a newcomer, and fewer give up. The other school starts at 40–50 %%"
          + " at once; the choice is yours.",
      Source.GARBER),
  START_GUIDELINE(
      INFO,
      "The guideline start: 40–50 %% at once.",
      "Moderate work from the first week. The cautious school stays at 30–40 %% for up to 12 weeks;"
          + " the choice is yours.",
      Source.GARBER),
  START_HELD_BY_GOAL(
      INFO,
      "Held at the goal's own %s %%.",
      "The usual start for this client would be harder than the goal asks.",
      Source.KORVEL),
  START_HEART_CONDITION(
      CAUTION,
      "At most 60 %% of reserve at the start, effort 11 to 14 of 20, supervised.",
      "With a heart condition a clinician's limit rules; without one 40 to 70 %% once cleared, 60 at"
          + " the start. Stay 10 bpm below any rate at which symptoms have appeared.",
      Source.PRACTICE),
  TALK_BEFORE_EFFORT(
      CAUTION,
      "Steer by talk first: new to exercise.",
      "A beginner cannot yet place a “20 out of 20”; how they talk is easier to judge.",
      Source.TALK),
  RATE_NOT_USED(CAUTION, "No target by rate: effort and talk only.", "%s", Source.KORVEL),
  LONGER_WARM_UP(
      INFO, "Warm up %s min, cool down %s min.", "Longer for this client: %3$s.", Source.PRACTICE),
  OVER_65(
      CAUTION,
      "65 and over: effort beside every number, and balance work in the week.",
      "Ask about falls and joints before steps or stairs.",
      Source.PRACTICE),
  OTHER_DAYS(
      INFO,
      "%s of the %s days as prescribed, the others at %s %% of reserve.",
      "Of four days a week or more at most three are vigorous: the body gains while it recovers. At 65"
          + " and over, with a heart condition, or in the first 12 weeks, never two in a row.",
      Source.PRACTICE),
  UNDER_18_WEEK(
      INFO,
      "%s of 420 min a week: under 18 the mark is 60 minutes a day of mixed activity.",
      "School and play count too; these sessions are a part of it.",
      Source.WHO),
  WEEK_UNDER(
      INFO,
      "%s of 150 moderate-equivalent minutes a week. A start, to grow from.",
      "Adults: 150 to 300 min moderate a week, or 75 to 150 vigorous; one vigorous minute counts as"
          + " two.",
      Source.WHO),
  WEEK_WITHIN(
      INFO,
      "%s moderate-equivalent minutes a week: within the guideline.",
      "Adults: 150 to 300 min moderate a week, or 75 to 150 vigorous; one vigorous minute counts as"
          + " two.",
      Source.WHO),
  WEEK_OVER(
      CAUTION,
      "%s moderate-equivalent minutes a week: over the guideline's 300.",
      "More is possible for those used to it; watch rest, sleep and the resting pulse.",
      Source.WHO),
  WEEK_LIGHT(
      INFO,
      "%s light minutes a week: they are the goal of the first phase.",
      "Light minutes are counted and shown, and worth 0 towards the guideline of 150 to 300"
          + " moderate ones.",
      Source.WHO),
  ONCE_A_WEEK(
      CAUTION,
      "Once a week is not a plan.",
      "Three days a week build a newcomer and keep a trained client where they are; five improve.",
      Source.PRACTICE),
  TWICE_A_WEEK(
      INFO,
      "Three days a week build better than two.",
      "Three days a week build a newcomer and keep a trained client where they are; five improve.",
      Source.PRACTICE),
  HARD_MINUTES(
      CAUTION,
      "Above 80 %%: 1 to 2 minutes at a time, with easy time between.",
      "Work this hard is not held longer; rest until talk comes back.",
      Source.PRACTICE),
  OUTLINE_EMPTY(
      BLOCK,
      "There is no work in it yet.",
      "A session is warm-up, work, cool-down and stretching; add a step of work.",
      Source.PRACTICE),
  OUTLINE_MINUTES(
      BLOCK,
      "%s min of work; a session has %s of it.",
      "Shorter is no session; longer is not laid out for anyone.",
      Source.KORVEL),
  WARM_UP_SHORT(
      BLOCK,
      "%s min of warm-up; at least %s.",
      "At least 5 min; 10 at 65 and over or on rate-lowering medicine, 15 with a heart condition.",
      Source.PRACTICE),
  COOL_DOWN_SHORT(
      BLOCK,
      "%s min of cool-down; at least %s.",
      "Never under 5 min: stopping at once lets the blood pool. 10 at 65 and over, on rate-lowering"
          + " medicine or with a heart condition.",
      Source.PRACTICE),
  MARGIN_HARD(
      BLOCK,
      "%s goes up to %s %% of reserve at most.",
      "20 to 40 %% of reserve: harder is work already.",
      Source.PRACTICE),
  STEP_OVER_CEILING(
      BLOCK, "%s %% of reserve is too hard here: at most %s.", "%3$s", Source.ACSM_SCREENING),
  HARD_TOO_LONG(
      BLOCK,
      "%2$s min above %1$s %% at a stretch; 1 to 2 min are the most.",
      "Work this hard is not held longer; put easy time between.",
      Source.PRACTICE),
  HARD_TOO_SOON(
      BLOCK,
      "%s s of easy time after %s s above %s %%; at least %s s.",
      "Between two stretches of hard work lies easy time: half as long as the work, and never under"
          + " 10 s. Easy is up to 60 %% of reserve.",
      Source.PRACTICE),
  BURST_LENGTH(
      BLOCK,
      "A burst of %s s; %s to %s s is one.",
      "Shorter is over before it begins; longer is a step of work, and waits for its target.",
      Source.PRACTICE),
  BURST_TOO_SOON(
      BLOCK,
      "%s min from one burst to the next; 3 at least.",
      "Between two bursts talk has to come back.",
      Source.PRACTICE),
  BAND_GOAL_TOO_LONG(
      BLOCK,
      "%s min at %s cannot be reached: the work holds %s min of it.",
      "Only steps whose range reaches that level count.",
      Source.KORVEL),
  EXERCISE_TYPE(
      INFO, "%s: %s.", "The mode and type that are trained are what improves.", Source.PRACTICE),
  EXERCISE_MIND(
      CAUTION, "%s: mind %s.", "Choose another, or an easier form of it.", Source.PRACTICE),
  WEEK_STARTS(
      INFO,
      "The start: %s %% of reserve, %s min on %s days.",
      "What is prescribed. Minutes grow first, then days, then intensity; one of them a week.",
      Source.PRACTICE),
  START_EASED(
      INFO,
      "The start: %s min on %s days, less than is prescribed.",
      "The best of the four weeks before has %3$s min: the first may hold %4$s, and it grows from there.",
      Source.PRACTICE),
  STEP_MINUTES(
      INFO,
      "%s min a session.",
      "Minutes first, up to 5 more a session, towards %2$s. The week may hold %3$s min.",
      Source.PRACTICE),
  STEP_DAY(
      INFO,
      "A day more: %s days of %s min.",
      "%4$s The week's minutes are shared out anew, so that it stays within %3$s min.",
      Source.PRACTICE),
  STEP_INTENSITY(
      INFO, "%s %% of reserve.", "%2$s So 5 %% more on both edges, minutes held.", Source.PRACTICE),
  STEP_PAST_MODERATE(
      INFO,
      "%s %% of reserve, and %s min a session.",
      "The step with which the middle of the range reaches 60 %% takes a third off the minutes that"
          + " week; they grow back.",
      Source.PRACTICE),
  WEEK_LIGHTER(
      INFO,
      "A lighter week: %s min on %s days, %s %% of the usual minutes.",
      "Every fourth week has 60 to 70 %% of the minutes, for those who train regularly.",
      Source.PRACTICE),
  WEEK_LIGHTER_AS_FAR(
      INFO,
      "A lighter week: %s min on %s days, %s %% of the usual minutes.",
      "Every fourth week has 60 to 70 %% of the minutes, for those who train regularly. “%4$s” takes"
          + " %5$s min at least, so this is as near to it as there is.",
      Source.PRACTICE),
  WEEK_NOT_LIGHTER(
      INFO,
      "As the week before: %s min on %s days.",
      "A lighter week was due. “%4$s” takes %5$s min at least, so there is nothing to take off.",
      Source.PRACTICE),
  STEP_TO_MODERATE(
      INFO,
      "%s %% of reserve: the light weeks are over.",
      "A cautious start stays light for %2$s weeks at most, whatever minutes and days have come to by"
          + " then; minutes and days are held.",
      Source.GARBER),
  LAY_OFF_ON(
      INFO,
      "On from the last week done: %2$s %% of reserve, %3$s min on %4$s days.",
      "%s days without a session. Under two weeks it goes on where it was.",
      Source.PRACTICE),
  LAY_OFF_CUT(
      CAUTION,
      "Back after a break: %2$s %% of reserve, %3$s min on %4$s days.",
      "%s days without a session. After two to four weeks, 70 %% of the minutes of the last week done.",
      Source.PRACTICE),
  LAY_OFF_NEW_START(
      CAUTION,
      "A new start: %2$s %% of reserve, %3$s min on %4$s days.",
      "%s days without a session. After more than four weeks it starts anew by present activity: ask"
          + " how active they are now.",
      Source.PRACTICE),
  VIGOROUS_DAYS_MANY(
      CAUTION,
      "Week %s has %s vigorous days; at most 3.",
      "Of four days a week or more at most three are vigorous; the others lie at 40 to 60 %% of"
          + " reserve.",
      Source.PRACTICE),
  VIGOROUS_IN_A_ROW(
      CAUTION,
      "%s is the second vigorous day in a row.",
      "At 65 and over, with a heart condition, or in the first 12 weeks, an easier day lies between two"
          + " vigorous ones.",
      Source.PRACTICE),
  WEEK_EASED(
      INFO,
      "Back to %s min on %s days.",
      "Less was done than was laid out: the week may hold %3$s min.",
      Source.PRACTICE),
  WEEK_HELD(INFO, "As the week before.", "%s", Source.PRACTICE),
  WEEK_BACK(
      INFO,
      "A step back: %s %% of reserve, %s min on %s days.",
      "One step back undoes the last one up, or takes 5 min off each session.",
      Source.PRACTICE),
  WEEK_OWN(
      INFO,
      "Your own step: %s %% of reserve, %s min on %s days.",
      "Decided by the instructor: %4$s",
      Source.STUDIO),
  WEEK_REFUSED(INFO, "As it was laid out.", "The proposed step was refused: %s", Source.STUDIO),
  SESSIONS_ENOUGH(
      INFO, "%s of %s sessions done.", "Four of five earn the next step.", Source.PRACTICE),
  SESSIONS_SOME(
      INFO,
      "%s of %s sessions done: the week is held.",
      "Four of five earn a step; under half goes a step back.",
      Source.PRACTICE),
  SESSIONS_FEW(
      CAUTION,
      "%s of %s sessions done: under half.",
      "Half at least hold the week.",
      Source.PRACTICE),
  SESSIONS_OPEN(
      CAUTION,
      "%s of its sessions not logged yet; counted as not done.",
      "Log them first, and the proposal is made from all of the week.",
      Source.KORVEL),
  EFFORT_AS_ASKED(
      INFO,
      "Mean effort %s of 20, target %s.",
      "At or under %3$s it leaves room for a step.",
      Source.BORG),
  EFFORT_IN_UPPER_HALF(
      INFO,
      "Mean effort %s of 20, target %s: the week is held.",
      "A step needs %3$s or less, the middle of the target.",
      Source.BORG),
  EFFORT_TOO_HIGH(
      CAUTION,
      "Mean effort %s of 20, target %s: too hard.",
      "2 or more over the target's upper end, %3$s, goes a step back.",
      Source.BORG),
  EFFORT_UNKNOWN(
      INFO,
      "No effort was logged: the week is held.",
      "A step is earned by sessions that were felt as asked; ask for the effort next time.",
      Source.PRACTICE),
  WARNING_LOGGED(
      CAUTION,
      "A warning on %s: %s.",
      "Any warning in a week goes a step back; what it was is asked about before the next session.",
      Source.PRACTICE),
  NO_PROGRAMME_LAID_OUT(
      BLOCK,
      "No programme lies ahead. Lay one out first.",
      "The hand-out shows the next four weeks of it.",
      Source.KORVEL),
  NOTHING_TO_DECIDE(
      BLOCK,
      "Nothing is to be decided of week %s now.",
      "A week is decided once the one before it is over or all of it is logged, and once.",
      Source.KORVEL),
  SESSION_LOGGED(
      BLOCK,
      "This session is logged: %s.",
      "What was done stays as it was. Put the log right, or take it back first.",
      Source.KORVEL),
  SESSION_BUSY(
      CAUTION,
      "%s is taken, %s.",
      "An imported calendar has it busy; another day may be free.",
      Source.KORVEL),
  TEST_DUE(
      INFO,
      "Test again: the last one, %s, was on %s.",
      "A test is repeated every 12 weeks, alike, so that two can be compared.",
      Source.KORVEL),
  REVIEW_DUE(
      INFO,
      "Look at the prescription again: version %s is of %s.",
      "Every 4 weeks, whatever has been measured.",
      Source.KORVEL),
  GONE_QUIET(
      CAUTION,
      "Nothing logged for %s days.",
      "After 10 days without a log they are asked how it goes.",
      Source.KORVEL),
  STEP_DUE(
      INFO,
      "Week %s is over: decide the next one.",
      "What was done earns a step, a hold, or goes a step back; you accept, change or refuse it.",
      Source.PRACTICE),
  RESTING_CHANGED(
      INFO,
      "Resting %s by %s bpm: from %s to %s.",
      "3 bpm or more between two medians of three is a change; taken %5$s.",
      Source.KORVEL),
  RESTING_UNCHANGED(
      INFO,
      "Resting not changed: %s then, %s now.",
      "Under 3 bpm between two medians of three is noise; taken %3$s.",
      Source.KORVEL),
  WEEK_GROWS_TOO_FAST(
      CAUTION,
      "Week %s has %s min; at most %s.",
      "The best of the four weeks before it has %4$s min. A week exceeds that by %5$s %% at most,"
          + " though 5 min may always be added.",
      Source.PRACTICE),
  LIGHTER_WEEK_FULL(
      CAUTION,
      "Week %s is a lighter one, and has %s of the usual %s min.",
      "60 to 70 %% of the minutes let the rest be used.",
      Source.PRACTICE),
  STEP_NOT_EARNED(
      CAUTION,
      "Week %s steps up, after a week with %s of %s sessions.",
      "Four sessions of five earn a step; with fewer the week is held, under half it goes a step"
          + " back.",
      Source.PRACTICE),
  NOT_THEIR_DAY(CAUTION, "%s is not a day they have.", "Their days: %2$s.", Source.KORVEL),
  TWO_IN_A_DAY(
      CAUTION, "Two sessions on %s.", "Each is prescribed for a day of its own.", Source.KORVEL),
  WEEK_EMPTY(
      CAUTION,
      "Nothing is left of week %s.",
      "A week without a session earns no step; the next one is held or goes back.",
      Source.PRACTICE),
  FEW_EASY_MINUTES(
      CAUTION,
      "%s %% of week %s is easy; 80 is the mark.",
      "Most endurance time stays at Talk, for those who train 5 or more hours a week.",
      Source.PRACTICE),
  MODE_SWAPPED(
      INFO,
      "%s instead of %s.",
      "The mode trained is the mode improved; each mode has a maximum of its own, so its rates are"
          + " others.",
      Source.PRACTICE),
  NO_PROGRAMME_YET(
      BLOCK,
      "Save a prescription first.",
      "A programme grows from an issued prescription.",
      Source.KORVEL),
  PROGRAMME_NOT_LED(
      BLOCK,
      "Nothing can be planned while the prescription is %s.",
      "A programme holds as long as what it grows from.",
      Source.KORVEL),
  PROGRAMME_OUT_OF_BOUNDS(
      BLOCK,
      "From %s on it asks for what may not be asked now. Lay it out anew.",
      "%2$s Its rates are not shown from there on.",
      Source.KORVEL),
  PROGRAMME_OF_OLDER(
      CAUTION,
      "Laid out from version %s; version %s is in force.",
      "A programme keeps the version it was laid out from. Lay it out again to use the new one.",
      Source.KORVEL),
  BIRTH_DATE_CORRECTED(
      CAUTION,
      "The birth date was corrected on %s, after this was made. Make it anew.",
      "The maximum, the zones and what to watch go by age; what stands here was worked out for"
          + " another one.",
      Source.KORVEL),
  DECISION_LOG_CHANGED(
      CAUTION,
      "The log of week %s has changed since: look at week %s again.",
      "Decided on: %3$s Now it says: %4$s",
      Source.KORVEL),
  PRESCRIPTION_REVIEW(
      CAUTION,
      "New values would move the target from %s to %s. Look at the prescription again.",
      "Made with %3$s at rest and a maximum of %4$s; now %5$s and %6$s. Nothing moves until a new"
          + " version is saved.",
      Source.KORVEL),
  THRESHOLDS_MISSING(
      INFO,
      "No thresholds are on record in this mode.",
      "Bands that count from thresholds need two measured rates: the last one of comfortable talk,"
          + " and the first one without talk.",
      Source.TALK),
  THRESHOLDS_STALE(
      CAUTION,
      "Medicine that touches the heart rate changed since the thresholds were measured.",
      "Measure them again before bands count from them.",
      Source.PRACTICE),
  THRESHOLDS_OUTSIDE(
      CAUTION,
      "The thresholds, %s and %s, do not lie within the span any more.",
      "The span is %3$s to %4$s by now: one of the two was measured wrong, or has changed.",
      Source.KORVEL),
  SCHEME_IN_USE(
      BLOCK,
      "This scheme is in use: %s.",
      "Choose another there first; then it can be put away.",
      Source.KORVEL),
  SOFT_TARGET(
      INFO,
      "The edges are sure to about ± %s bpm.",
      "They stand on a maximum of %2$s (± %3$s) and a resting value of %4$s (± %5$s).",
      Source.KORVEL);

  private final Severity severity;
  private final String message;
  private final String because;
  private final Source source;

  FindingKind(Severity severity, String message, String because, Source source) {
    this.severity = severity;
    this.message = message;
    this.because = because;
    this.source = source;
  }

  /** The stable id: lower case, words joined by hyphens. */
  public String code() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** How much it weighs. */
  public Severity severity() {
    return severity;
  }

  /** Where the rule comes from. */
  public Source source() {
    return source;
  }

  /** The message with its open places shown as {@code …}, for the list of methods. */
  public String messageOutline() {
    return outline(message);
  }

  /** The reason with its open places shown as {@code …}, for the list of methods. */
  public String becauseOutline() {
    return outline(because);
  }

  /** The finding for one case. */
  public Finding of(Object... figures) {
    return new Finding(
        code(),
        severity,
        String.format(Locale.ROOT, message, figures),
        String.format(Locale.ROOT, because, figures),
        source);
  }

  private static String outline(String template) {
    return template.replaceAll("%(\\d\\$)?s", "…").replace("%%", "%");
  }
}
