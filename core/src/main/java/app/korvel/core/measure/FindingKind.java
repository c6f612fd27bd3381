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
  SCREENING_FIRST(
      BLOCK,
      "Draft only. Screening and a doctor's clearance come first.",
      "%s is ticked. With known disease, exercise is cleared by a clinician before it is prescribed.",
      Source.ACSM_SCREENING),
  CONSENT_FIRST(
      BLOCK,
      "Draft only. A guardian's consent comes first.",
      "The client is %s. Under 18 a parent or guardian has to agree.",
      Source.PRACTICE),
  LIGHT_TO_MODERATE(
      INFO, "Light to moderate: nothing above 60 %% of reserve.", "%s", Source.ACSM_SCREENING),

  CLIENT_ARCHIVED(
      BLOCK,
      "This client is archived. Bring them back first.",
      "Archived records are kept and can be read; nothing is added to them.",
      Source.KORVEL),

  LIGHT_BY_EFFORT(INFO, "Light to moderate, by effort and talk.", "%s", Source.ACSM_SCREENING),

  // Pulse
  RESTING_USUAL(
      INFO,
      "%s is usual for rest.",
      "At %2$s, %3$s to %4$s bpm is usual at rest.",
      Source.PRACTICE),
  RESTING_LOW_TRAINED(
      INFO,
      "%s is low, and common in someone who trains.",
      "At %2$s, %3$s to %4$s bpm is usual at rest; 40 to 60 is common in the well trained.",
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
      "%s is under 40. Unless it is known to be usual for this client: no training, and a doctor's"
          + " look.",
      "Under 40 bpm at rest is rare even in the well trained.",
      Source.PRACTICE),
  RESTING_HIGH(
      CAUTION,
      "%s is over the usual range. Settled and seated, ask a doctor before training.",
      "At %2$s, %3$s to %4$s bpm is usual at rest.",
      Source.PRACTICE),
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

  // Zones
  RESERVE_TOO_SMALL(
      BLOCK,
      "A reserve of %s bpm is too small to steer by.",
      "Under 40 bpm the bands are narrower than the error of a count. Measure again, or steer by"
          + " effort and talk.",
      Source.KORVEL),
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
