package app.korvel.core.fieldtest;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What a field test says, each finding in this one place. */
public enum FieldTestFinding implements FindingKind {
  FIELD_TEST_OPEN(
      INFO,
      "May be done today.",
      "An adult, cleared for vigorous work, without known heart disease, checked in "
          + "today and fit to"
          + " go. Never alone, and warmed up for {FIELD_TEST_WARM_UP} minutes first.",
      Source.PRACTICE),
  FIELD_TEST_HEART(
      BLOCK,
      "Not with known heart disease.",
      "Only a supervised graded test is suitable, by someone licensed to do one where you work.",
      Source.PRACTICE),
  FIELD_TEST_ADULTS(
      BLOCK,
      "Adults only.",
      "Under {UNDER_18} no maximum is tested; this client is %s.",
      Source.PRACTICE),
  FIELD_TEST_PREGNANT(
      BLOCK,
      "Not in pregnancy.",
      "Talk and RPE come first, and no maximum is tested.",
      Source.PRACTICE),
  FIELD_TEST_NOT_VIGOROUS(
      BLOCK,
      "Not before vigorous work is cleared.",
      "A test goes to exhaustion. %s",
      Source.ACSM_SCREENING),
  FIELD_TEST_CAP(
      BLOCK,
      "Not under a cap: nothing above %s bpm.",
      "A test goes above any cap. Ask the clinician who set it.",
      Source.PRACTICE),
  FIELD_TEST_EFFORT(
      BLOCK,
      "Not while RPE is limited to %s.",
      "A test goes to RPE 20; for this client RPE stays lower.",
      Source.PRACTICE),
  FIELD_TEST_SUPERVISED(
      BLOCK,
      "Not where work is supervised only.",
      "A clinician has written it; use a supervised graded test.",
      Source.PRACTICE),
  FIELD_TEST_NO_RATE(BLOCK, "No rate may be used, so none is tested.", "%s", Source.PRACTICE),
  FIELD_TEST_FALLS(
      BLOCK,
      "Not %s: falls are on record.",
      "A hard half hour on a cycle or a rower is easier on the feet.",
      Source.PRACTICE),
  FIELD_TEST_CHECK_IN(
      BLOCK,
      "Check in first.",
      "The resting pulse and how they feel decide whether to test today.",
      Source.PRACTICE),
  FIELD_TEST_NOT_TODAY(
      BLOCK,
      "Not today: the check-in says %s.",
      "A test is all-out. Test on a day when the check-in says go.",
      Source.PRACTICE),
  FIELD_TEST_RUNNING(
      BLOCK,
      "A field test is in progress.",
      "One at a time: finish it or stop it first.",
      Source.KORVEL),
  FIELD_TEST_JOINTS(
      CAUTION,
      "Falls or joints are on record: ask today, and choose the gentlest on them.",
      "If sore or unsteady, avoid steps, rope and downhill.",
      Source.PRACTICE),
  FIELD_TEST_PROPOSES(
      INFO, "A maximum of %s is proposed.", "%2$s, graded %3$s: %4$s.", Source.PRACTICE),
  FIELD_TEST_POOR(
      CAUTION,
      "A peak of %s, from a test graded %3$s.",
      "%2$s: %4$s. It is saved as a proposal; repeat the test, or let another day confirm it.",
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
      "Get help following the local emergency plan, and write down what happened. "
          + "Record a symptom in the screening: no more exercise until medically reviewed.",
      Source.PRACTICE);

  private final Wording wording;

  FieldTestFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
