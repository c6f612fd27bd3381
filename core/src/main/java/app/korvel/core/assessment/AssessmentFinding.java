package app.korvel.core.assessment;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What tests say: who may, when they end, and what came of them. */
public enum AssessmentFinding implements FindingKind {
  TEST_OPEN(
      INFO,
      "May be done today.",
      "%s Somebody stays present, and it ends at any stop sign, at the cap, or when the client"
          + " says so.",
      Source.PRACTICE),
  TEST_CHECK_IN(
      BLOCK,
      "Check in first: a test needs a “go” of today.",
      "A test is done only on a day on which nothing is in the way.",
      Source.PRACTICE),
  TEST_NOT_TODAY(
      BLOCK, "Not on a day that says “%s”.", "A test needs a “go” of today.", Source.PRACTICE),
  TEST_NOT_CLEARED(BLOCK, "Not while training is not cleared.", "%s", Source.ACSM_SCREENING),
  TEST_NEEDS_VIGOROUS(
      BLOCK,
      "Not before vigorous work is cleared.",
      "This test is hard work. %s",
      Source.ACSM_SCREENING),
  TEST_ADULTS(
      BLOCK,
      "Adults only.",
      "Under {UNDER_18} it is not done; this client is %s.",
      Source.PRACTICE),
  TEST_HEART(
      BLOCK,
      "Not with known heart disease.",
      "A graded test, ordered in writing and supervised, is the one for them.",
      Source.PRACTICE),
  TEST_PREGNANT(BLOCK, "Not in pregnancy.", "Talk and RPE come first.", Source.PRACTICE),
  TEST_STEADY_FEET(
      BLOCK,
      "No bench: falls or joint trouble are on record.",
      "The mile, walked, or the two-minute test on a chair asks less of the feet.",
      Source.PRACTICE),
  TEST_NO_RATE(BLOCK, "Not where the rate tells nothing.", "%s", Source.PRACTICE),
  TEST_RATE_UNSURE(
      CAUTION, "The rate tells little here: repetitions and RPE lead.", "%s", Source.PRACTICE),
  TEST_LOWER_ONLY(
      INFO,
      "Ends at the first step not spoken in whole sentences, or at {TALK_STEP_HIGHEST} %% of"
          + " reserve.",
      "%s It finds the lower talk rate only.",
      Source.PRACTICE),
  MILE_INSIDE_TARGET(
      INFO,
      "Walked inside the target: time and rate, no VO₂max.",
      "As fast as one can is vigorous work.",
      Source.PRACTICE),
  GRADED_ORDER(
      BLOCK,
      "Only as ordered in writing: %s.",
      "A clinician’s order that names this test, with issuer and date, opens it.",
      Source.PRACTICE),
  GRADED_ORDERED(
      INFO, "Ordered in writing by %s on %s.", "The order stays on the sheet.", Source.PRACTICE),
  GRADED_SUPERVISION(
      CAUTION,
      "A qualified person supervises, and is named on the sheet.",
      "Local rules on staffing, ECG and emergency equipment apply. Korvel keeps the sheet and the"
          + " clock; it is no monitor.",
      Source.PRACTICE),
  TEST_ON(
      BLOCK,
      "A test of %s is on.",
      "Finish or cancel it first; nobody does two at once.",
      Source.KORVEL),
  TEST_FINISHED(BLOCK, "The test is over.", "Nothing more is added to it.", Source.KORVEL),
  TEST_GOES_ON(
      BLOCK, "The work has not ended.", "The page is made of what it came to.", Source.KORVEL),
  TEST_NOTHING_TO_KEEP(
      BLOCK,
      "It gives no maximum.",
      "Only a graded test to exhaustion does, by the highest rate that was held.",
      Source.PRACTICE),
  TARGET_CHOSEN(
      INFO,
      "Target %s bpm: %s.",
      "At it for {GRADED_AT_TARGET} seconds the test ends.",
      Source.PRACTICE),
  TARGET_CAPPED(
      CAUTION,
      "Target %s bpm: the written cap.",
      "%2$s would be %3$s bpm; of several the lowest governs.",
      Source.PRACTICE),
  TARGET_NONE(
      CAUTION, "No target by rate: RPE {GRADED_RPE_BY_EFFORT} ends it.", "%s", Source.PRACTICE),
  EFFORT_ENDS(
      CAUTION,
      "RPE {GRADED_RPE_BY_EFFORT} ends it, unless a clinician wrote otherwise.",
      "On rate-lowering medication, with an irregular rhythm or a pacemaker the rate tells little.",
      Source.PRACTICE),
  STANDING_FALL(
      BLOCK,
      "Sit; do not start: systolic fell by %s on standing.",
      "{GRADED_STANDING_FALL} or more, or light-headed on standing: a clinician looks first.",
      Source.PRACTICE),
  STANDING_DIZZY(
      BLOCK,
      "Sit; do not start: light-headed on standing.",
      "A clinician looks first.",
      Source.PRACTICE),
  BASELINE_MISSING(
      BLOCK,
      "No baseline yet: %s.",
      "Without a rate and a pressure at rest the test is not started.",
      Source.PRACTICE),
  END_TARGET(BLOCK, "End: the target of %s is reached.", "%2$s", Source.PRACTICE),
  END_CAP(BLOCK, "End: over the cap of %s.", "The cap always wins.", Source.PRACTICE),
  END_TALK_STEPS(
      BLOCK,
      "End: at %s, {TALK_STEP_HIGHEST} %% of reserve.",
      "Only the lower talk rate is looked for here.",
      Source.PRACTICE),
  END_RPE(BLOCK, "End: RPE %s.", "%2$s", Source.PRACTICE),
  SYSTOLIC_AGAIN(
      CAUTION,
      "Measure the pressure again now; the next stage waits.",
      "Systolic %s with rising work, after %s. Not obtained within {GRADED_AGAIN_WITHIN} s, or with"
          + " any symptom: end.",
      Source.PRACTICE),
  END_SYSTOLIC(
      BLOCK,
      "End: systolic %s, %s.",
      "A pressure that falls with rising work, measured twice, ends a test.",
      Source.PRACTICE),
  END_SYSTOLIC_UNCONFIRMED(
      BLOCK,
      "End: the pressure was not obtained again within {GRADED_AGAIN_WITHIN} s.",
      "Systolic %s with rising work, after %s, stays unexplained.",
      Source.PRACTICE),
  SYSTOLIC_FELL(
      CAUTION,
      "Stage %s: systolic %s with rising work, after %s.",
      "Measured again at once; confirmed, it ends the test.",
      Source.PRACTICE),
  END_PRESSURE_HIGH(
      BLOCK,
      "End: pressure %s.",
      "Over {GRADED_SYSTOLIC} systolic or {GRADED_DIASTOLIC} diastolic ends a test.",
      Source.PRACTICE),
  RATE_AGAIN(
      CAUTION,
      "Count the pulse now: the rate did not rise, %s after %s.",
      "With rising work, under {GRADED_FLAT_UNDER} %% of reserve, it should. Confirmed by a count:"
          + " end.",
      Source.PRACTICE),
  END_RATE_FLAT(
      BLOCK,
      "End: the rate does not rise, %s after %s.",
      "With rising work, under {GRADED_FLAT_UNDER} %% of reserve, confirmed by a count.",
      Source.PRACTICE),
  RATE_FLAT(
      CAUTION,
      "Stage %s: the rate did not rise, %s after %s.",
      "With rising work, under {GRADED_FLAT_UNDER} %% of reserve, it should; a count confirms it.",
      Source.PRACTICE),
  END_NO_RATE(
      BLOCK,
      "End: no rate for {GRADED_NO_RATE} s.",
      "Without a rate nobody knows how hard it is.",
      Source.PRACTICE),
  END_NO_PRESSURE(
      BLOCK,
      "End: no pressure in {GRADED_NO_PRESSURE} stages in which it was due.",
      "Without a pressure a fall would not be seen.",
      Source.PRACTICE),
  END_PROTOCOL(
      CAUTION, "The last stage is over: end the work.", "The protocol has no more.", Source.KORVEL),
  RECOVERY_DONE(
      INFO,
      "Recovered: two readings in a row near the baseline.",
      "At {RECOVERED_FROM} min or later: no more than {RECOVERED_RATE} bpm over it, systolic within"
          + " {RECOVERED_SYSTOLIC_UNDER} under and {RECOVERED_SYSTOLIC_OVER} over, no symptoms.",
      Source.PRACTICE),
  RECOVERY_GOES_ON(
      INFO,
      "Not recovered yet: %s.",
      "Two readings in a row at {RECOVERED_FROM} min or later decide.",
      Source.PRACTICE),
  RECOVERY_NOT_DONE(
      CAUTION,
      "Not recovered after {NOT_RECOVERED} min: a clinician is told before the client leaves.",
      "%s",
      Source.PRACTICE),
  RECOVERY_SYSTOLIC_HIGH(
      CAUTION,
      "Systolic %s at %s min of recovery, over the %s at the end.",
      "It should fall; noted for whoever reads the sheet.",
      Source.PRACTICE),
  RECOVERY_WATCHED(
      CAUTION,
      "Stay with them for {NOT_RECOVERED} min.",
      "With a heart condition a client stays watched after a graded test.",
      Source.PRACTICE),
  NOT_ONE_STAGE(
      INFO,
      "Ended in the first stage: no MET, no VO₂max.",
      "A stage counts when it is whole.",
      Source.BRUCE),
  MET_AT_MOST(
      CAUTION,
      "The rail was held: MET is “at most”, and no VO₂max is shown.",
      "Who holds on does less work than the treadmill shows.",
      Source.GLASS),
  EXHAUSTION_UPTAKE(
      INFO,
      "VO₂max %s from %s to exhaustion.",
      "The lines for men and for women come from two samples, and are not compared.",
      Source.EXHAUSTION),
  EXTRAPOLATED(
      INFO,
      "VO₂max about %s, %s to %s: the line through %s stages at maximum %s.",
      "The interval is that of the line and the maximum; the error of the equations comes on top.",
      Source.GLASS),
  NOT_EXTRAPOLATED(
      INFO,
      "No line to the maximum: %s.",
      "At least three whole, steady stages from the higher of {EXTRAPOLATE_FROM_BPM} bpm and"
          + " {EXTRAPOLATE_FROM_PERCENT} %% to {EXTRAPOLATE_TO_PERCENT} %% of reserve, that fit.",
      Source.KORVEL),
  NO_UPTAKE_FROM_RATE(
      INFO,
      "No VO₂max from a rate with %s.",
      "The rate is kept, and compared with the client’s own at the same dose.",
      Source.PRACTICE),
  BENCH_UPTAKE(
      INFO,
      "By the line for %s cycles a minute.",
      "Made from students; adults only. The pace decides the equation.",
      Source.MCARDLE),
  STEP_TEST_SHORT(
      INFO,
      "Stopped after %s s: no result.",
      "The count after it means something only after {STEP_TEST_MINUTES} minutes.",
      Source.MCARDLE),
  STEP_TEST_OFF_PACE(
      INFO,
      "The pace was not kept: no result.",
      "The count after it means something only at the pace of the test.",
      Source.MCARDLE),
  OWN_COMPARISON(
      INFO,
      "Compared with their own before, and with nobody else’s.",
      "The same bench, pace and source.",
      Source.PRACTICE),
  MILE_UPTAKE(
      INFO,
      "Standard error %s ml·kg⁻¹·min⁻¹.",
      "By age, weight, time and the rate of the last minute.",
      Source.KLINE),
  MILE_AGE(
      CAUTION,
      "Age %s is outside of those it was made from.",
      "The line was made from adults of {MILE_YOUNGEST} to {MILE_OLDEST}.",
      Source.KLINE),
  MILE_NO_RESULT(INFO, "No VO₂max: %s.", "Time and rate are kept.", Source.KLINE),
  TALK_STEPS_WIDTH(
      INFO,
      "Steps %s bpm apart: as fine as it tells.",
      "A talk rate lies somewhere between two steps.",
      Source.TALK),
  TALK_STEPS_NO_LOWER(
      INFO,
      "No lower talk rate: the first step was not spoken in whole sentences.",
      "Begin easier, another day.",
      Source.TALK),
  TALK_STEPS_NO_UPPER(
      INFO,
      "No upper talk rate: it ended sooner.",
      "The lower one stands alone; both are needed for zones by thresholds.",
      Source.TALK),
  TALK_STEPS_GRADE(
      INFO,
      "Graded %s: %s.",
      "One departure makes it fair, more make it poor; poor feeds nothing.",
      Source.KORVEL),
  TWO_MINUTE_RESULT(
      INFO,
      "Up %s, then down %s in one minute and %s in two.",
      "A smaller rise and a faster fall at the same work is progress.",
      Source.PRACTICE),
  TWO_MINUTE_SHORT(INFO, "Stopped after %s s: no result.", "The time is kept.", Source.PRACTICE),
  TWO_MINUTE_HARD(
      CAUTION,
      "RPE %s: over the {TWO_MINUTE_RPE} this test stays under.",
      "Slower next time.",
      Source.PRACTICE),
  RETEST_UNLIKE(
      CAUTION, "Not compared with %s: %s.", "Only what was done alike is compared.", Source.KORVEL);

  private final Wording wording;

  AssessmentFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
