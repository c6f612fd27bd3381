package app.korvel.core.measure;

import java.math.BigDecimal;
import java.util.Locale;

/** The figures at which a rule changes its mind: each once, here, with where it comes from. */
public enum Threshold {
  SMALLEST_RESERVE("40", "bpm", "A smaller reserve is not used to set rates.", Source.KORVEL),

  TAP_BOUNCE("200", "ms", "A tap sooner after the one before is a bounce.", Source.PRACTICE),
  TAP_PAUSE(
      "2500", "ms", "A longer interval is a missed tap, or a pause in the pulse.", Source.PRACTICE),
  TAPS_FEWEST("8", "taps", "Fewer make no rate.", Source.PRACTICE),
  TAPS_MOST("2000", "taps", "More are not judged at once.", Source.KORVEL),
  TAPS_UNEVEN_BY("20", "% of the median", "An interval further off is uneven.", Source.PRACTICE),
  TAPS_UNEVEN_COUNT("3", "intervals", "So many uneven ones at least.", Source.PRACTICE),
  TAPS_UNEVEN_SHARE(
      "5", "intervals", "One uneven in so many, at least, is an uneven rhythm.", Source.PRACTICE),

  BACK_TO_REST_BPM("10", "bpm", "So far over rest counts as recovered.", Source.PRACTICE),
  BACK_TO_REST_PERCENT("10", "% of resting", "Or so far, where that is more.", Source.PRACTICE),
  BACK_TO_REST_AGAIN("5", "minutes", "Not back: counted again after so long.", Source.PRACTICE),
  BACK_TO_REST_WITHIN(
      "10", "minutes", "Not back so long after a session: the next one is eased.", Source.PRACTICE),

  PRACTICE_BEAT("1", "beat", "A practice count this close is right.", Source.KORVEL),
  PRACTICE_RUN(
      "3",
      "tries",
      "So many right ones in a row, of the level's own window or a longer one, pass it.",
      Source.KORVEL),
  PRACTICE_TREND("5", "tries", "Compared with as many before them.", Source.KORVEL),

  RESTING_DUE("56", "days", "An older resting value is due again.", Source.KORVEL),
  RESTING_MEDIAN("3", "readings", "Alike and recent, they make a median.", Source.KORVEL),
  RESTING_QUIET("5", "minutes", "Quiet time before a resting count, at least.", Source.PRACTICE),
  RESTING_QUIET_BETTER(
      "10", "minutes", "A better quiet time before a resting count.", Source.PRACTICE),
  RESTING_QUIET_LONG("15", "minutes", "A long quiet time before a resting count.", Source.PRACTICE),
  RESTING_COUNT("30", "seconds", "The shortest count that is graded good.", Source.PRACTICE),
  RESTING_POOR_COUNT(
      "10", "seconds", "A count this short is graded poor for a resting value.", Source.PRACTICE),
  RESTING_RARE(
      "40",
      "bpm",
      "Below it, from 12 years on, even the trained are asked about it.",
      Source.PRACTICE),
  RESTING_RARE_CHILD("50", "bpm", "The same under 12 years.", Source.PRACTICE),
  RESTING_DEPARTS(
      "10",
      "bpm",
      "So far off what was counted earlier the same day, a reading is usual only if you say so.",
      Source.KORVEL),
  DAY_TO_DAY("3", "bpm", "How far one resting reading strays from day to day.", Source.KORVEL),
  DAY_TO_DAY_MEDIAN("1.7", "bpm", "How far a median of three strays.", Source.KORVEL),

  FOX_HIGHER_UNDER(
      "40", "years", "Below this age 220 − age is higher than 208 − 0.7 × age.", Source.FOX),
  OTHER_MODE_ERROR(
      "8", "bpm", "Joins the error of a running value that another mode borrows.", Source.PRACTICE),
  MAXIMUM_ERROR_GROWS(
      "1", "bpm a year", "The error of a measured maximum grows by so much.", Source.KORVEL),
  MAXIMUM_DUE("24", "months", "A measured maximum is due again.", Source.KORVEL),
  MAXIMUM_OLDEST("20", "years", "An older maximum is not taken.", Source.KORVEL),
  PEAK_CONFIRMED(
      "3",
      "bpm",
      "Another day within it confirms a peak; until then it is seen once.",
      Source.KORVEL),
  PEAK_WINDOW("5", "seconds", "The median of so long, and held so long, is a peak.", Source.KORVEL),
  PEAK_RISE("15", "bpm", "A faster rise in a recording is set aside.", Source.KORVEL),
  PEAK_RISE_WITHIN("2", "seconds", "The time within which such a rise is too fast.", Source.KORVEL),
  PEAK_RISE_STAYS(
      "60", "seconds", "A rate that has stayed up so long after a rise is taken.", Source.KORVEL),
  STEP_LOCK_FOR(
      "30",
      "seconds",
      "Longer at the step rate, or at half of it, a sensor counts steps.",
      Source.KORVEL),
  STEP_LOCK_NEAR(
      "3", "bpm", "So near the step rate, a rate may be that of the steps.", Source.KORVEL),
  STEPS_ONE_FOOT(
      "110", "steps a minute", "Where most are lower, a device counts one foot.", Source.KORVEL),
  RECORDING_LONGEST("43200", "lines", "Twelve hours, a line a second.", Source.KORVEL),
  RECORDING_SHORTEST("60", "seconds", "A shorter recording is none.", Source.KORVEL),
  RECORDING_SPARSE(
      "2", "seconds", "Points further apart serve times and load only.", Source.KORVEL),
  RECORDING_HELD("10", "seconds", "So long such a point holds at most.", Source.KORVEL),
  RECORDING_GAP("10", "seconds", "A longer stretch without a rate is a gap.", Source.KORVEL),
  RECORDING_SAME_START(
      "60", "seconds", "Two recordings that start closer may be of one session.", Source.KORVEL),
  RECORDING_SAME_LENGTH("5", "%", "And are as long within it.", Source.KORVEL),
  AGREEMENT_LAG("30", "seconds", "The furthest lag that is looked for, each way.", Source.KORVEL),
  AGREEMENT_SECONDS(
      "300", "seconds", "Common to two recordings, to look for a lag.", Source.KORVEL),
  AGREEMENT_LAG_BETTER(
      "0.5", "bpm", "A lag is kept where they differ by so much less.", Source.KORVEL),
  AGREEMENT_MEAN("3", "bpm", "A sensor for targets differs less on average.", Source.KORVEL),
  AGREEMENT_NEAR("5", "bpm", "And in most seconds differs no more.", Source.KORVEL),
  AGREEMENT_SHARE("90", "%", "So many seconds are most.", Source.KORVEL),
  AGREEMENT_EASY_SECONDS(
      "120", "seconds", "Of easy work, to say that a sensor serves there.", Source.KORVEL),
  AGREEMENT_STEP_LOCK_OFF(
      "10", "bpm", "So far off the reference, a rate at the step rate is a lock.", Source.KORVEL),
  RESTING_CHANGE(
      "5", "bpm", "A move of a resting value, a median of three, that is a change.", Source.KORVEL),
  RESTING_PERHAPS("3", "bpm", "From here on it may be one: measure again.", Source.KORVEL),
  TEST_AGAIN("12", "weeks", "A test is due again.", Source.KORVEL),
  QUIET_AFTER("10", "days", "Nobody goes so long without a log and is not asked.", Source.KORVEL),
  REVIEW_AFTER("4", "weeks", "A prescription is reviewed.", Source.KORVEL),
  REVIEW_MOVE(
      "3",
      "bpm",
      "An edge of a target that a new value would move so far: the prescription is reviewed.",
      Source.KORVEL),

  FIELD_TEST_WARM_UP("15", "minutes", "Warm-up before a field test.", Source.PRACTICE),
  FIELD_TEST_LATE(
      "45",
      "seconds",
      "A reading this long after a bout still counts as its own: taken at once, then typed.",
      Source.KORVEL),
  FIELD_TEST_GRACE("15", "seconds", "A rest so much too long is let pass.", Source.KORVEL),
  RAMP_PLATEAU(
      "2", "bpm", "Two bouts in a row whose peaks lie so close are a plateau.", Source.PRACTICE),
  HALF_HOUR_LAST(
      "10", "minutes", "Of a hard half hour, the peak of the last ones counts.", Source.PRACTICE),

  CEILING(
      "60",
      "% of reserve",
      "No target goes above it where vigorous work is not allowed.",
      Source.ACSM_SCREENING),
  HEART_HIGHEST_GOAL("70", "% of reserve", "The upper end of cleared heart work.", Source.PRACTICE),
  HEART_HIGHEST_EFFORT("14", "RPE", "The hardest effort with a heart condition.", Source.PRACTICE),
  BREATH_HIGHEST_EFFORT("13", "RPE", "The hardest effort with lung disease.", Source.PRACTICE),
  PREGNANCY_HIGHEST_EFFORT("14", "RPE", "The hardest effort in pregnancy.", Source.PRACTICE),
  BELOW_DETECTION(
      "10", "bpm", "How far below a defibrillator's detection rate the cap lies.", Source.PRACTICE),
  BELOW_SYMPTOMS(
      "10", "bpm", "How far below a rate at which symptoms came the cap lies.", Source.PRACTICE),
  RESCREENING("12", "months", "Then the whole intake is asked again.", Source.PRACTICE),
  VIGOROUS_CLEARANCE(
      "12",
      "months",
      "A clearance for vigorous work with known disease is no older.",
      Source.ACSM_SCREENING),
  CLEARANCE_LAPSING("30", "days", "So long before it lapses a clearance is due.", Source.KORVEL),

  PULSE_LIGHT_ONLY("5", "bpm", "So far off the usual at rest: light only.", Source.PRACTICE),
  PULSE_NOT_TODAY("10", "bpm", "So far off the usual at rest: no training today.", Source.PRACTICE),
  SYSTOLIC_LINE("180", "mmHg", "Above it at rest, no session.", Source.PRACTICE),
  DIASTOLIC_LINE("110", "mmHg", "Above it at rest, no session.", Source.PRACTICE),
  SYSTOLIC_LOW("90", "mmHg", "Under it and light-headed, no session.", Source.PRACTICE),
  GLUCOSE_LOW_MMOL("5.6", "mmol/L", "Under it, eat first and measure again.", Source.PRACTICE),
  GLUCOSE_LOW_MG("100", "mg/dL", "Under it, eat first and measure again.", Source.PRACTICE),
  GLUCOSE_HIGH_MMOL(
      "13.9",
      "mmol/L",
      "Above it ketones are asked for: present, not measured, or unwell, no session.",
      Source.PRACTICE),
  GLUCOSE_HIGH_MG(
      "250",
      "mg/dL",
      "Above it ketones are asked for: present, not measured, or unwell, no session.",
      Source.PRACTICE),
  GLUCOSE_LIGHT_MMOL("16.7", "mmol/L", "Above it, without ketones, light only.", Source.PRACTICE),
  GLUCOSE_LIGHT_MG("300", "mg/dL", "Above it, without ketones, light only.", Source.PRACTICE),
  GLUCOSE_STOP_MMOL("20", "mmol/L", "Above it, no session.", Source.PRACTICE),
  GLUCOSE_STOP_MG("360", "mg/dL", "Above it, no session.", Source.PRACTICE),
  WEIGHT_GAIN("2", "kg", "So much more in 3 days with heart failure: no session.", Source.PRACTICE),
  WEIGHT_GAIN_DAYS("3", "days", "The time within which a gain counts.", Source.PRACTICE),

  HARD_WORK(
      "80", "% of reserve", "Above it, 1 to 2 minutes at a time are the most.", Source.PRACTICE),

  HARD_AT_A_TIME(
      "120", "seconds", "Work above 80 % of reserve lasts no longer at a time.", Source.PRACTICE),
  HARD_EASY_PART(
      "2",
      "parts",
      "Between two stretches above 80 %, easy time of one part of so many of the first.",
      Source.PRACTICE),
  HARD_EASY_SHORTEST(
      "10", "seconds", "Easy time between two stretches above 80 %, at least.", Source.PRACTICE),
  BURST_SHORTEST("20", "seconds", "The shortest burst.", Source.PRACTICE),
  BURST_LONGEST("30", "seconds", "The longest burst.", Source.PRACTICE),
  BURST_EVERY("180", "seconds", "From one burst to the next, at least.", Source.PRACTICE),
  WAITS_FOR_TARGET(
      "4",
      "minutes",
      "A step that waits for its target starts after so long anyway.",
      Source.PRACTICE),

  WARM_UP("5", "minutes", "Warm-up and cool-down, at least.", Source.PRACTICE),
  LONGER_WARM_UP(
      "10",
      "minutes",
      "At 65 and over or on rate-lowering medication; also the cool-down with a heart condition.",
      Source.PRACTICE),
  HEART_WARM_UP("15", "minutes", "Warm-up with a heart condition.", Source.PRACTICE),
  WARM_UP_FROM("20", "% of reserve", "Where a warm-up begins.", Source.PRACTICE),
  WARM_UP_TO(
      "40", "% of reserve", "Where a warm-up ends, and a cool-down is done.", Source.PRACTICE),

  MOBILITY("2", "minutes", "Mobility after a warm-up.", Source.KORVEL),
  STRETCHING("5", "minutes", "Stretching after a cool-down.", Source.KORVEL),

  STEP_UP_MINUTES("5", "minutes", "A session grows by so much at most.", Source.PRACTICE),
  STEP_UP_INTENSITY(
      "5", "% of reserve", "Intensity grows by so much, on both edges.", Source.PRACTICE),
  STEP_UP_CUT(
      "3",
      "parts",
      "A step past 60 % takes off one part of so many, of the minutes.",
      Source.PRACTICE),
  WEEK_GROWTH(
      "20", "%", "A week exceeds the best of the four before it by no more.", Source.PRACTICE),
  WEEK_GROWTH_CAREFUL(
      "10",
      "%",
      "The same at 65 and over, with a heart condition, or in the first 12 weeks.",
      Source.PRACTICE),
  WEEK_GROWTH_ALWAYS("5", "minutes", "A week may always grow by so much.", Source.PRACTICE),
  WEEKS_LOOKED_BACK(
      "4", "weeks", "The best of so many is what a week grows from.", Source.PRACTICE),
  FIRST_WEEKS("12", "weeks", "The first weeks, in which growth is careful.", Source.PRACTICE),
  CAUTIOUS_WEEKS(
      "12", "weeks", "The cautious start stays light for so long at most.", Source.GARBER),
  LIGHTER_EVERY(
      "4",
      "weeks",
      "For the regular and the high, every so many weeks is lighter.",
      Source.PRACTICE),
  LIGHTER_FROM("60", "% of the minutes", "A lighter week has at least so many.", Source.PRACTICE),
  LIGHTER_TO("70", "% of the minutes", "A lighter week has at most so many.", Source.PRACTICE),
  SESSIONS_TO_STEP(
      "80", "% of sessions", "So many done earn the next step, at least.", Source.PRACTICE),
  SESSIONS_TO_HOLD(
      "50", "% of sessions", "With fewer done the next week steps down.", Source.PRACTICE),
  EFFORT_OVER_TARGET(
      "2",
      "RPE",
      "An average RPE so far over its target range: the next week steps down.",
      Source.PRACTICE),
  VIGOROUS_DAYS(
      "3", "days", "Of four days a week or more, the most vigorous ones.", Source.PRACTICE),
  VIGOROUS_DAYS_FROM(
      "4", "days a week", "From here on vigorous days are limited.", Source.PRACTICE),
  OTHER_DAYS_FROM(
      "40", "% of reserve", "Where the other days of such a week begin.", Source.PRACTICE),
  OTHER_DAYS_TO("60", "% of reserve", "Where the other days of such a week end.", Source.PRACTICE),
  LAY_OFF_CUTS(
      "14", "days", "After so many without a session the minutes are cut.", Source.PRACTICE),
  LAY_OFF_STARTS_ANEW(
      "28", "days", "After more without a session it is a new start.", Source.PRACTICE),
  LAY_OFF_SHARE(
      "70",
      "% of the minutes",
      "What is left of the last week done after a lay-off.",
      Source.PRACTICE),
  EASY_MARK("80", "% of the work", "The easy share to keep to.", Source.PRACTICE),
  EASY_MARK_FROM(
      "300", "minutes a week", "From here on the easy share is looked at.", Source.PRACTICE),

  WEEK_MARK("150", "minutes a week", "Moderate-equivalent minutes for adults.", Source.WHO),
  WEEK_UPPER("300", "minutes a week", "The upper end of the guideline.", Source.WHO),
  WEEK_UNDER_18("420", "minutes a week", "Under 18: an hour a day of mixed activity.", Source.WHO),
  VIGOROUS_WORTH("2", "minutes", "What one vigorous minute is worth in moderate ones.", Source.WHO),

  RATING_LASTS("300", "seconds", "RPE and talk are asked again after so long.", Source.KORVEL),
  RATING_MOVED(
      "10", "bpm", "A rate that has moved so far since lets RPE and talk lapse.", Source.KORVEL),
  RATING_OVER_STAYS(
      "120",
      "seconds",
      "RPE or talk over the target holds so long at least, whatever the rate does.",
      Source.KORVEL),
  VOTE_SETTLED(
      "10",
      "seconds",
      "So long in a row below, within or above before the rate counts.",
      Source.KORVEL),
  VOTE_AFTER_GAP(
      "30",
      "seconds",
      "So long below before “pick up”, after no signal or a sudden fall.",
      Source.KORVEL),
  SUDDEN_FALL("15", "bpm", "A faster fall is first taken for the sensor’s.", Source.KORVEL),
  SUDDEN_FALL_WITHIN("2", "seconds", "The time within which such a fall is sudden.", Source.KORVEL),
  CUE_STEP_BEGINS(
      "90",
      "seconds",
      "No “pick up” so long after a step began, and no “ease off” into an easier one.",
      Source.KORVEL),
  CUE_BETWEEN("20", "seconds", "Between two cues, at least.", Source.KORVEL),
  CUE_SAME_AGAIN("60", "seconds", "The same cue again, while it lasts.", Source.KORVEL),
  CAP_OVER_FOR("5", "seconds", "So long over the cap: ease off at once.", Source.KORVEL),
  CAP_OVER_TOO_LONG("60", "seconds", "So long over the cap: stop the work.", Source.KORVEL),
  CAP_FAR_OVER("10", "bpm", "So far over the cap for 5 seconds: stop the work.", Source.KORVEL),
  CAP_FAR_DEFIBRILLATOR("5", "bpm", "The same with a defibrillator.", Source.KORVEL),
  MAXIMUM_OVER(
      "3",
      "bpm",
      "So far over the maximum for 10 seconds: ask for symptoms, then question the sensor.",
      Source.KORVEL),
  PAUSE_BEGINS_ANEW(
      "60", "seconds", "After such a pause the waiting times of cues begin anew.", Source.KORVEL),
  PAUSE_WARM_UP_AGAIN(
      "10", "minutes", "After such a pause the warm-up comes first.", Source.PRACTICE),
  SIGNAL_LOST(
      "60", "seconds", "So long without a signal: count by hand, or go by talk.", Source.KORVEL),
  SESSION_LEFT_OPEN(
      "30",
      "minutes",
      "A session nobody ends closes so long after its last sample.",
      Source.KORVEL),
  SESSION_DONE(
      "80", "% of the work", "A session with so much of it counts as done.", Source.PRACTICE),
  RATED_FIRST("120", "seconds", "RPE and talk are first asked so long into a step.", Source.KORVEL),
  COUNTED_FIRST("180", "seconds", "Without a sensor, a count so long into a step.", Source.KORVEL),
  COUNTED_BEFORE_END("60", "seconds", "And a count so long before a step ends.", Source.KORVEL),
  RECORDED_WEIGHT(
      "500",
      "thousandths",
      "And where the heart rate is worth as much, as a witness.",
      Source.KORVEL),
  RECORDED_SHARE(
      "80",
      "% of the work",
      "With data for so much of it, a session is judged by its recording.",
      Source.KORVEL),

  RECOVERY_JUDGED_FROM(
      "85",
      "% of maximum",
      "A recovery is judged after an effort that ended so high.",
      Source.KORVEL),
  SLOW_MOVING_60(
      "12", "bpm", "Upright and moving, a fall of no more in 60 seconds is slow.", Source.COLE),
  SLOW_LYING_60(
      "18", "bpm", "Lying at once, a fall of no more in 60 seconds is slow.", Source.WATANABE),
  SLOW_LYING_120("22", "bpm", "Lying, a smaller fall in 120 seconds is slow.", Source.SHETLER),
  RECOVERY_END_APART(
      "5", "bpm", "Ends that differ by more make a comparison of recoveries weak.", Source.KORVEL),
  RECOVERY_SETS("2", "sets", "Of each way to recover, at least, to compare two.", Source.KORVEL),
  RECOVERY_CHANGED_STRAP(
      "9", "bpm", "A drop at 60 s by strap that differs by so much has changed.", Source.KORVEL),
  RECOVERY_CHANGED_COUNT("12", "bpm", "The same where both were counted by hand.", Source.KORVEL),
  STRAP_CONFIRMED(
      "6", "bpm", "A count this close to a strap says that it is this person’s.", Source.KORVEL),
  STRAPS_AT_ONCE(
      "2", "minutes", "Straps put on so close together may have been swapped.", Source.KORVEL),
  SWAPPED_OFF(
      "15", "bpm", "Two straps each further off than before may have been swapped.", Source.KORVEL),
  SWAPPED_FITS(
      "10", "bpm", "And where changing them brings each as close to its last rate.", Source.KORVEL),
  QUEUE_NO_SIGNAL("10", "seconds", "So long without a signal needs a look.", Source.KORVEL),
  SEEN_FOR("60", "seconds", "Who was marked as seen comes back after so long.", Source.KORVEL),
  SOUNDS_APART("3", "seconds", "Between two sounds of a room, at least.", Source.KORVEL),

  TALK_LOWER_SHARE(
      "60", "% of reserve", "Where whole sentences end, before any talk check.", Source.TALK),
  TALK_LOWER_SPREAD(
      "7",
      "% of reserve",
      "How far people differ in it, σ: of 100, 95 lose sentences between 46 and 74 %.",
      Source.KORVEL),
  TALK_GAP_SHARE(
      "15", "% of reserve", "So far above it words begin, before any talk check.", Source.TALK),
  TALK_GAP_SPREAD("5", "% of reserve", "How far people differ in that, σ.", Source.KORVEL),
  TALK_VOICE_SCALE(
      "2.5",
      "bpm",
      "How gradually talk changes: sentences 88 times of 100 at 5 bpm under the lower talk rate.",
      Source.KORVEL),
  TALK_MISREPORT_HEARD("6", "%", "Answers that are wrong, where it was heard.", Source.KORVEL),
  TALK_MISREPORT_TOLD("12", "%", "Answers that are wrong, where it was told.", Source.KORVEL),
  TALK_DAY_SPREAD("3", "bpm", "A day shifts all talk rates alike, σ.", Source.KORVEL),
  TALK_ODD_DAY_SPREAD("6", "bpm", "An unusual day shifts them so far, σ.", Source.KORVEL),
  TALK_PEAK_DOUBT_STRAP(
      "30", "%", "A peak seen once by strap says nothing so often.", Source.KORVEL),
  TALK_PEAK_DOUBT_WRIST(
      "50",
      "%",
      "A peak seen once by wrist, or unknown how, says nothing so often.",
      Source.KORVEL),
  TALK_PEAK_SCALE("1.5", "bpm", "How sharp a peak is as a lower bound.", Source.KORVEL),
  TALK_SETTLED_SAMPLES(
      "20", "samples", "Of the 30 seconds before the passage, at least.", Source.KORVEL),
  TALK_STEADY_WITHIN(
      "8",
      "bpm",
      "A rate that strayed further in the 2 minutes before was not steady.",
      Source.KORVEL),
  TALK_STEADY_SECONDS("120", "seconds", "So long before a talk check is looked at.", Source.KORVEL),
  TALK_PASSAGE_SECONDS(
      "15",
      "seconds",
      "The passage began so long before the answer, where nobody noted when.",
      Source.KORVEL),
  TALK_AFTER_START("5", "minutes", "A talk check sooner in a session is not used.", Source.KORVEL),
  TALK_AFTER_HARD(
      "5", "minutes", "Nor one so soon after hard work of over 80 % of reserve.", Source.KORVEL),
  TALK_AFTER_SIGNAL("30", "seconds", "Nor one so soon after the signal was lost.", Source.KORVEL),
  TALK_RPE_APART(
      "2", "levels", "An RPE so far from the voice: the check is not used.", Source.KORVEL),
  TALK_SAME_MINUTES(
      "5", "minutes", "Another so soon after, at the same rate, says nothing new.", Source.KORVEL),
  TALK_SAME_BPM("5", "bpm", "The same rate, for that.", Source.KORVEL),
  TALK_A_DAY("4", "checks", "Of one day, the first so many are used.", Source.KORVEL),
  TALK_OLD("182", "days", "Older talk checks are not used.", Source.KORVEL),
  TALK_NEWEST("60", "checks", "Only the newest so many are used.", Source.KORVEL),
  LEARNED_NEAR("15", "bpm", "A check this close to a talk rate speaks of it.", Source.KORVEL),
  LEARNED_CHECKS(
      "6", "checks", "Of those, at least, before a talk rate is offered.", Source.KORVEL),
  LEARNED_DAYS("3", "days", "On so many days, at least.", Source.KORVEL),
  LEARNED_EACH_SIDE("2", "checks", "On each side of it, at least.", Source.KORVEL),
  LEARNED_LOWER_SD("4", "bpm", "The lower talk rate has to be this sure, σ.", Source.KORVEL),
  LEARNED_UPPER_SD("5", "bpm", "The upper talk rate has to be this sure, σ.", Source.KORVEL),
  LEARNED_FRESH("56", "days", "The newest check near it may be so old.", Source.KORVEL),
  LEARNED_LAPSES(
      "84",
      "days",
      "So long after the newest check near it, a learned rate lapses.",
      Source.KORVEL),
  LEARNED_OUTERMOST("1", "%", "So little may be believed of the outermost rates.", Source.KORVEL),
  LEARNED_LOWER_FROM("35", "% of reserve", "The lower talk rate has to be over it.", Source.KORVEL),
  LEARNED_LOWER_TO("85", "% of reserve", "The lower talk rate has to be under it.", Source.KORVEL),
  LEARNED_UPPER_FROM("50", "% of reserve", "The upper talk rate has to be over it.", Source.KORVEL),
  LEARNED_UPPER_TO("95", "% of reserve", "The upper talk rate has to be under it.", Source.KORVEL),
  LEARNED_MOVE(
      "3", "bpm", "So far from the one in use, a learned rate is offered anew.", Source.KORVEL),
  LEARNED_RISE("5", "bpm", "A learned rate rises by so much at a time.", Source.KORVEL),
  LEARNED_RISE_DAYS("14", "days", "And not again before so long.", Source.KORVEL),
  LEARNED_HEARD_ABOVE(
      "2",
      "checks",
      "Sentences that were heard above the equation’s edge before it may rise.",
      Source.KORVEL),
  LEARNED_REFUSED_CHECKS(
      "3", "checks", "New ones near it before a refused rate is offered again.", Source.KORVEL),
  LEARNED_SURPRISE("5", "%", "A check whose chance was under it is a surprise.", Source.KORVEL),
  LEARNED_SURPRISE_DAYS(
      "28", "days", "Two surprises of one kind within it are a contradiction.", Source.KORVEL),
  LEARNED_DISAGREES(
      "9", "bpm", "A talk-step test or a laboratory further off disagrees.", Source.KORVEL),
  LEARNED_TEST_WEEKS(
      "12", "weeks", "So long a talk-step test or a laboratory comes first.", Source.KORVEL),
  LEARNED_FLATTERS_RPE(
      "14",
      "RPE",
      "Sentences that feel so hard, at the median of five, are doubted.",
      Source.KORVEL),
  LEARNED_FLATTERS_OF("5", "checks", "Of so many, the last sentences near it.", Source.KORVEL),
  LEARNED_SUREST("3", "bpm", "A learned rate is never shown as surer.", Source.KORVEL),
  LEARNED_UNDER_MAXIMUM(
      "3", "bpm", "Levels have to begin so far under the maximum.", Source.KORVEL),
  WITNESSES_LOOKED_AT(
      "12", "checks", "So many of the last with rate, RPE and voice are compared.", Source.KORVEL),
  WITNESSES_FEWEST("4", "checks", "Of those, at least.", Source.KORVEL),
  WITNESS_OFF_SHARE("60", "%", "One that differs from both others so often is off.", Source.KORVEL),
  LEVELS_APART("5", "bpm", "Levels whose edges were learned are so far apart.", Source.KORVEL),

  EXTRAPOLATE_FROM_BPM("110", "bpm", "A stage on the line to the maximum has it.", Source.PRACTICE),
  EXTRAPOLATE_FROM_PERCENT(
      "40", "% of reserve", "Or this much, where that is more.", Source.PRACTICE),
  EXTRAPOLATE_TO_PERCENT(
      "85", "% of reserve", "And no more: the line bends above it.", Source.PRACTICE),
  EXTRAPOLATE_FIT("0.9", "r²", "A line that fits worse is not shown.", Source.KORVEL),
  EXTRAPOLATE_STEADY(
      "5", "bpm", "A stage is steady where its last two readings are this close.", Source.PRACTICE),
  EXHAUSTION_SHORTEST(
      "3", "minutes", "No VO₂max from a shorter time on the treadmill.", Source.EXHAUSTION),
  EXHAUSTION_LONGEST("21", "minutes", "Nor from a longer one.", Source.EXHAUSTION),
  STEP_TEST_MINUTES("3", "minutes", "A step test lasts so long.", Source.MCARDLE),
  STEP_TEST_COUNT_WITHIN(
      "5", "seconds", "The count after a step test begins so soon.", Source.MCARDLE),
  MILE_ERROR("5", "ml·kg⁻¹·min⁻¹", "The standard error of the mile’s VO₂max.", Source.KLINE),
  MILE_YOUNGEST("30", "years", "The mile’s line was made from this age on.", Source.KLINE),
  MILE_OLDEST("69", "years", "And up to this one.", Source.KLINE),
  TALK_STEP_MINUTES("2", "minutes", "A step of a talk-step test lasts so long.", Source.TALK),
  TALK_STEP_PASSAGE("90", "seconds", "From then on the passage is read in a step.", Source.TALK),
  TALK_STEP_SAMPLES(
      "15", "samples", "A step’s rate takes so many, of the half minute before.", Source.KORVEL),
  TALK_STEP_RISE(
      "3", "bpm", "A step that rises by less is a departure from the test.", Source.KORVEL),
  TALK_STEP_HIGHEST(
      "60",
      "% of reserve",
      "Where only the lower rate is looked for, it ends there.",
      Source.PRACTICE),
  TWO_MINUTE_LENGTH("2", "minutes", "The two-minute test lasts so long.", Source.PRACTICE),
  TWO_MINUTE_RPE("13", "RPE", "It stays at it or under.", Source.PRACTICE),
  TWO_MINUTE_REPETITIONS("5", "%", "Repetitions further apart are not compared.", Source.KORVEL),
  TWO_MINUTE_CHANGED_STRAP(
      "9", "bpm", "A rise or fall that differs by less is within chance.", Source.KORVEL),
  TWO_MINUTE_CHANGED_COUNT("11", "bpm", "The same where it was counted by hand.", Source.KORVEL),
  STAGE_CHANGED_STRAP(
      "9", "bpm", "The rate at the same stage within it is the same.", Source.KORVEL),
  STAGE_CHANGED_COUNT("10", "bpm", "The same where it was counted by hand.", Source.KORVEL),
  GRADED_AT_TARGET(
      "10", "seconds", "So long at or over the target ends a graded test.", Source.PRACTICE),
  GRADED_SYSTOLIC_FALL(
      "10",
      "mmHg",
      "A systolic this far under the last stage’s is measured again.",
      Source.PRACTICE),
  GRADED_AGAIN_WITHIN(
      "60", "seconds", "Not measured again so soon, the test ends.", Source.PRACTICE),
  GRADED_SYSTOLIC("250", "mmHg", "A systolic over it ends a test.", Source.PRACTICE),
  GRADED_DIASTOLIC("115", "mmHg", "A diastolic over it ends a test.", Source.PRACTICE),
  GRADED_RPE("18", "RPE", "It ends a test that is not one to exhaustion.", Source.PRACTICE),
  GRADED_RPE_BY_EFFORT("15", "RPE", "It ends a test where the rate tells little.", Source.PRACTICE),
  GRADED_NO_RATE("60", "seconds", "So long without a rate ends a test.", Source.PRACTICE),
  GRADED_NO_PRESSURE("2", "stages", "So many without a pressure end a test.", Source.PRACTICE),
  GRADED_FLAT_UNDER(
      "85", "% of reserve", "A rate that does not rise is looked into under it.", Source.PRACTICE),
  GRADED_STANDING_FALL(
      "20",
      "mmHg",
      "A systolic that falls so far on standing: the test is not started.",
      Source.PRACTICE),
  GRADED_PRESSURE_DUE(
      "60", "seconds", "So long before the end of a stage its pressure is due.", Source.BRUCE),
  GRADED_RATE_DUE("10", "seconds", "So long before it, its rate and RPE.", Source.BRUCE),
  RECOVERED_RATE("20", "bpm", "Recovered: so far over the baseline, at most.", Source.PRACTICE),
  RECOVERED_FLOOR(
      "99", "bpm", "And no higher than this, or than so far over the baseline.", Source.PRACTICE),
  RECOVERED_NEAR("10", "bpm", "So far over the baseline, where that is more.", Source.PRACTICE),
  RECOVERED_SYSTOLIC_UNDER(
      "20", "mmHg", "Recovered: the systolic so far under the baseline, at most.", Source.PRACTICE),
  RECOVERED_SYSTOLIC_OVER("10", "mmHg", "Or so far over it.", Source.PRACTICE),
  RECOVERED_FROM("6", "minutes", "Not said to be recovered before.", Source.PRACTICE),
  NOT_RECOVERED("15", "minutes", "Not recovered by then: a clinician is told.", Source.PRACTICE),

  FORECAST_UP_TRAINED(
      "35", "seconds", "The time constant upward of one regularly active.", Source.KORVEL),
  FORECAST_DOWN_TRAINED(
      "55", "seconds", "The time constant downward of one regularly active.", Source.KORVEL),
  FORECAST_UP("50", "seconds", "The time constant upward of anybody else.", Source.KORVEL),
  FORECAST_DOWN("75", "seconds", "The time constant downward of anybody else.", Source.KORVEL),
  FORECAST_TIME_ERROR("30", "%", "How far a time constant may be off.", Source.KORVEL),
  FORECAST_DRIFT_FROM("60", "% of reserve", "Harder work drifts up.", Source.KORVEL),
  FORECAST_DRIFT_AFTER(
      "10", "minutes", "After so long of such work without a break.", Source.KORVEL),
  FORECAST_DRIFT_A_MINUTE("0.25", "% of reserve", "It drifts by so much a minute.", Source.KORVEL),
  FORECAST_DRIFT_MOST("5", "% of reserve", "And no more in all.", Source.KORVEL),
  FORECAST_STANDING(
      "12", "% of reserve", "Standing: in a pause, at mobility, at stretching.", Source.KORVEL),
  FORECAST_COOLED("40", "% of reserve", "A cool-down ends below it.", Source.KORVEL),
  FORECAST_SAID_LAG("30", "seconds", "RPE and voice follow the rate so late.", Source.KORVEL),
  PRACTICE_MEDICINE(
      "30", "bpm", "A made-up client’s maximum is so much lower on medication.", Source.PRACTICE),
  PRACTICE_SAID("180", "seconds", "A made-up client is asked for RPE and voice.", Source.KORVEL),
  FORECAST_RISE_WITHIN("180", "seconds", "A rise is followed so long.", Source.KORVEL),
  FORECAST_FIT_RISE("15", "bpm", "A smaller rise or fall has no time constant.", Source.KORVEL),
  FORECAST_FITS("3", "fits", "A client’s own time constant takes so many.", Source.KORVEL),
  FORECAST_SESSIONS(
      "10", "sessions", "Own time constants and errors are those of so many.", Source.KORVEL),
  FORECAST_TIME_SHORTEST("15", "seconds", "No time constant is taken as shorter.", Source.KORVEL),
  FORECAST_TIME_LONGEST("150", "seconds", "And none as longer.", Source.KORVEL),
  FORECAST_SETTLED("180", "seconds", "From then on a step has settled.", Source.KORVEL),
  FORECAST_AS_FORESEEN("3", "bpm", "Work that settles so near was foreseen.", Source.KORVEL),
  FORECAST_HARDER_BY(
      "10", "bpm", "A session that settles more over its forecast was harder.", Source.KORVEL),
  FORECAST_HARDER_SESSIONS("3", "sessions", "So many are pointed out.", Source.KORVEL),
  FORECAST_HARDER_WITHIN("28", "days", "Those of so many days count.", Source.KORVEL),

  UNDER_18("18", "years", "Below it a guardian agrees, and no maximum is tested.", Source.PRACTICE),
  OVER_65(
      "65",
      "years",
      "From here on a longer warm-up, RPE alongside every number, balance work.",
      Source.PRACTICE);

  private final BigDecimal value;
  private final String unit;
  private final String meaning;
  private final Source source;

  Threshold(String value, String unit, String meaning, Source source) {
    this.value = new BigDecimal(value);
    this.unit = unit;
    this.meaning = meaning;
    this.source = source;
  }

  /** The stable id: lower case, words joined by hyphens. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The figure, in {@link #unit()}. */
  public BigDecimal value() {
    return value;
  }

  /**
   * The figure as a whole number.
   *
   * @throws ArithmeticException when it is none
   */
  public int whole() {
    return value.intValueExact();
  }

  /** The unit as a person reads it. */
  public String unit() {
    return unit;
  }

  /** What changes there. */
  public String meaning() {
    return meaning;
  }

  /** Where it comes from. */
  public Source source() {
    return source;
  }
}
