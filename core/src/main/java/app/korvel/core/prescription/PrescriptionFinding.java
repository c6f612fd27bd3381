package app.korvel.core.prescription;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What a prescription says, each finding in this one place. */
public enum PrescriptionFinding implements FindingKind {
  NO_PRESCRIPTION(
      BLOCK,
      "Nothing is prescribed yet.",
      "A card says what was prescribed; make the prescription first.",
      Source.KORVEL),
  SUPERVISED_ONLY(
      CAUTION,
      "Supervised only.",
      "A clinician's written limit, or the start with a heart condition: someone must be present.",
      Source.PRACTICE),
  TALK_ENDS_TARGET(
      INFO,
      "The target ends at %s: whole sentences end there, ± %s.",
      "Learned from this client’s talk checks, and accepted. A target at Talk level ends where"
          + " talk does, where that is sooner.",
      Source.KORVEL),
  EFFORT_HELD(
      CAUTION,
      "RPE limited to %s: where the rate asks for more, RPE leads.",
      "A written limit or a condition sets it.",
      Source.PRACTICE),
  RESTING_OVER_STOPS(
      BLOCK,
      "Nothing is issued: %s at rest is over %s.",
      "Above the range for this age, medical review comes first; record the answer as "
          + "a clearance. Measuring may continue.",
      Source.PRACTICE),
  RESTING_MISSING(
      BLOCK,
      "Count a resting pulse first.",
      "Every rate starts from the resting pulse, and none is on record.",
      Source.KARVONEN),
  CAP_IN_FORCE(
      CAUTION,
      "Nothing above %s bpm.",
      "%2$s. Of several caps the lowest governs.",
      Source.PRACTICE),
  SUSPENDED_INTENSITY(
      BLOCK,
      "Suspended: it goes up to %s %% of reserve, and vigorous work is not allowed now.",
      "%2$s Save a new version within {CEILING} %%.",
      Source.ACSM_SCREENING),
  SUSPENDED_EFFORT(
      BLOCK,
      "Suspended: its RPE goes up to %s, and %s is the most now.",
      "A condition or a written limit came after it. Save a new version.",
      Source.PRACTICE),
  RATE_SUSPENDED_MEDICINE(
      BLOCK,
      "Its rate targets are suspended: medication changed on %s. RPE and talk remain.",
      "Resting and maximum rate change with the medication. Measure again, then save "
          + "a new version.",
      Source.PRACTICE),
  RATE_SUSPENDED_CAP(
      BLOCK,
      "Its rate targets are suspended: they go up to %s, over the cap of %s. RPE and talk remain.",
      "%3$s Save a new version under the cap.",
      Source.PRACTICE),
  RATE_SUSPENDED_CONTEXT(
      BLOCK, "Its rate targets are suspended. RPE and talk remain.", "%s", Source.PRACTICE),
  DAYS_AVAILABLE(
      INFO,
      "Limited to the %s available days.",
      "At intake they named the days on which they can train; the start would have used more.",
      Source.KORVEL),
  START_BY_ACTIVITY(
      INFO,
      "Start at %s %% of reserve, %s min, %s days a week.",
      "The starting point for someone whose activity level is “%4$s”.",
      Source.GARBER),
  START_CAUTIOUS(
      INFO,
      "The cautious start: 30–40 %% for up to {CAUTIOUS_WEEKS} weeks, then moderate.",
      "Light work still trains a newcomer, and fewer give up. The other approach starts at 40–50 %%"
          + " at once; the choice is yours.",
      Source.GARBER),
  START_GUIDELINE(
      INFO,
      "The guideline start: 40–50 %% at once.",
      "Moderate work from the first week. The cautious approach stays at 30–40 %% for "
          + "up to {CAUTIOUS_WEEKS} weeks;"
          + " the choice is yours.",
      Source.GARBER),
  START_HELD_BY_GOAL(
      INFO,
      "Limited to the goal's own %s %%.",
      "The usual start for this client would be harder than the goal asks.",
      Source.KORVEL),
  RATE_NOT_USED(CAUTION, "No target by rate: RPE and talk only.", "%s", Source.KORVEL),
  LONGER_WARM_UP(
      INFO, "Warm up %s min, cool down %s min.", "Longer for this client: %3$s.", Source.PRACTICE),
  OTHER_DAYS(
      INFO,
      "%s of the %s days as prescribed, the others at %s %% of reserve.",
      "Of four days a week or more at most three are vigorous: the body gains while "
          + "it recovers. At {OVER_65}"
          + " and over, with a heart condition, or in the first {FIRST_WEEKS} weeks, "
          + "never two in a row.",
      Source.PRACTICE),
  UNDER_18_WEEK(
      INFO,
      "%s of {WEEK_UNDER_18} min a week: under {UNDER_18} the mark is 60 minutes a "
          + "day of mixed activity.",
      "School and play count too; these sessions are a part of it.",
      Source.WHO),
  WEEK_UNDER(
      INFO,
      "%s of {WEEK_MARK} moderate-equivalent minutes a week. A start, to grow from.",
      "Adults: {WEEK_MARK} to {WEEK_UPPER} min moderate a week, or 75 to 150 "
          + "vigorous; one vigorous minute counts as"
          + " two.",
      Source.WHO),
  WEEK_WITHIN(
      INFO,
      "%s moderate-equivalent minutes a week: within the guideline.",
      "Adults: {WEEK_MARK} to {WEEK_UPPER} min moderate a week, or 75 to 150 "
          + "vigorous; one vigorous minute counts as"
          + " two.",
      Source.WHO),
  WEEK_OVER(
      CAUTION,
      "%s moderate-equivalent minutes a week: over the guideline's {WEEK_UPPER}.",
      "More is possible for those used to it; watch rest, sleep and the resting pulse.",
      Source.WHO),
  WEEK_LIGHT(
      INFO,
      "%s light minutes a week: they are the goal of the first phase.",
      "Light minutes are counted and shown, but do not count towards the guideline of "
          + "{WEEK_MARK} to {WEEK_UPPER}"
          + " moderate ones.",
      Source.WHO),
  ONCE_A_WEEK(
      CAUTION,
      "Once a week is not enough.",
      "Three days a week build a newcomer and keep a trained client where they are; five improve.",
      Source.PRACTICE),
  TWICE_A_WEEK(
      INFO,
      "Three days a week build better than two.",
      "Three days a week build a newcomer and keep a trained client where they are; five improve.",
      Source.PRACTICE),
  HARD_MINUTES(
      CAUTION,
      "Above {HARD_WORK} %%: 1 to 2 minutes at a time, with easy time between.",
      "Work this hard is not held longer; rest until talk comes back.",
      Source.PRACTICE),
  EXERCISE_TYPE(
      INFO, "%s: %s.", "The mode and type that are trained are what improves.", Source.PRACTICE),
  EXERCISE_MIND(
      CAUTION, "%s: caution with %s.", "Choose another, or an easier form of it.", Source.PRACTICE),
  BIRTH_DATE_CORRECTED(
      CAUTION,
      "The birth date was corrected on %s, after this was made. Make a new version.",
      "The maximum, the zones and what to watch depend on age; these were calculated "
          + "for another age.",
      Source.KORVEL),
  PRESCRIPTION_REVIEW(
      CAUTION,
      "New values would move the target from %s to %s. Review the prescription.",
      "Made with %3$s at rest and a maximum of %4$s; now %5$s and %6$s. Nothing "
          + "changes until a new version is saved.",
      Source.KORVEL),
  SOFT_TARGET(
      INFO,
      "Zone limits are accurate to about ± %s bpm.",
      "They are based on a maximum of %2$s (± %3$s) and a resting value of %4$s (± %5$s).",
      Source.KORVEL);

  private final Wording wording;

  PrescriptionFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
