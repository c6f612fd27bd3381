package app.korvel.core.programme;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What a programme says, each finding in this one place. */
public enum ProgrammeFinding implements FindingKind {
  WEEK_STARTS(
      INFO,
      "Start: %s %% of reserve, %s min on %s days.",
      "What is prescribed. Minutes grow first, then days, then intensity; one of them a week.",
      Source.PRACTICE),
  START_EASED(
      INFO,
      "The start: %s min on %s days, less than is prescribed.",
      "The best of the four weeks before has %3$s min: the first may hold %4$s, and "
          + "it grows from there.",
      Source.PRACTICE),
  STEP_MINUTES(
      INFO,
      "%s min a session.",
      "Minutes first, up to {STEP_UP_MINUTES} more a session, towards %2$s. The week "
          + "may hold %3$s min.",
      Source.PRACTICE),
  STEP_DAY(
      INFO,
      "One more day: %s days of %s min.",
      "%4$s The week's minutes are shared out anew, so that it stays within %3$s min.",
      Source.PRACTICE),
  STEP_INTENSITY(
      INFO,
      "%s %% of reserve.",
      "%2$s So {STEP_UP_INTENSITY} %% more on both edges, minutes held.",
      Source.PRACTICE),
  STEP_PAST_MODERATE(
      INFO,
      "%s %% of reserve, and %s min a session.",
      "The step with which the middle of the range reaches {CEILING} %% takes a third "
          + "off the minutes that"
          + " week; they grow back.",
      Source.PRACTICE),
  WEEK_LIGHTER(
      INFO,
      "A lighter week: %s min on %s days, %s %% of the usual minutes.",
      "Every fourth week has {LIGHTER_FROM} to {LIGHTER_TO} %% of the minutes, for "
          + "those who train regularly.",
      Source.PRACTICE),
  WEEK_LIGHTER_AS_FAR(
      INFO,
      "A lighter week: %s min on %s days, %s %% of the usual minutes.",
      "Every fourth week has {LIGHTER_FROM} to {LIGHTER_TO} %% of the minutes, for "
          + "those who train regularly. “%4$s” takes"
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
      "A cautious start stays light for %2$s weeks at most, whatever minutes and days "
          + "have come to by"
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
      "%s days without a session. After two to four weeks, {LAY_OFF_SHARE} %% of the "
          + "minutes of the last week done.",
      Source.PRACTICE),
  LAY_OFF_NEW_START(
      CAUTION,
      "A new start: %2$s %% of reserve, %3$s min on %4$s days.",
      "%s days without a session. After more than four weeks it starts again: ask"
          + " how active they are now.",
      Source.PRACTICE),
  VIGOROUS_DAYS_MANY(
      CAUTION,
      "Week %s has %s vigorous days; at most {VIGOROUS_DAYS}.",
      "Of four days a week or more at most three are vigorous; the others lie at "
          + "{OTHER_DAYS_FROM} to {OTHER_DAYS_TO} %% of"
          + " reserve.",
      Source.PRACTICE),
  VIGOROUS_IN_A_ROW(
      CAUTION,
      "%s is the second vigorous day in a row.",
      "At {OVER_65} and over, with a heart condition, or in the first {FIRST_WEEKS} "
          + "weeks, an easier day lies between two"
          + " vigorous ones.",
      Source.PRACTICE),
  WEEK_EASED(
      INFO,
      "Back to %s min on %s days.",
      "Less was done than planned; maximum this week %3$s min.",
      Source.PRACTICE),
  WEEK_HELD(INFO, "Same as last week.", "%s", Source.PRACTICE),
  WEEK_BACK(
      INFO,
      "A step down: %s %% of reserve, %s min on %s days.",
      "One step down undoes the last one up, or takes {STEP_UP_MINUTES} min off each session.",
      Source.PRACTICE),
  WEEK_OWN(
      INFO,
      "Your override: %s %% of reserve, %s min on %s days.",
      "Decided by the instructor: %4$s",
      Source.STUDIO),
  WEEK_REFUSED(INFO, "As planned.", "The proposed step was refused: %s", Source.STUDIO),
  NO_PROGRAMME_LAID_OUT(
      BLOCK,
      "No upcoming programme. Plan one first.",
      "The hand-out shows the next four weeks of it.",
      Source.KORVEL),
  SESSION_BUSY(
      CAUTION,
      "%s: calendar conflict, %s.",
      "An imported calendar has it busy; another day may be free.",
      Source.KORVEL),
  WEEK_GROWS_TOO_FAST(
      CAUTION,
      "Week %s has %s min; at most %s.",
      "The best of the four weeks before it has %4$s min. A week exceeds that by %5$s %% at most,"
          + " though {WEEK_GROWTH_ALWAYS} min may always be added.",
      Source.PRACTICE),
  LIGHTER_WEEK_FULL(
      CAUTION,
      "Week %s is a lighter one, and has %s of the usual %s min.",
      "{LIGHTER_FROM} to {LIGHTER_TO} %% of the minutes let the rest be used.",
      Source.PRACTICE),
  STEP_NOT_EARNED(
      CAUTION,
      "Week %s steps up, after a week with %s of %s sessions.",
      "Four sessions of five earn a step; with fewer the week is held, under half it steps down.",
      Source.PRACTICE),
  NOT_THEIR_DAY(CAUTION, "%s is not an available day.", "Their days: %2$s.", Source.KORVEL),
  TWO_IN_A_DAY(
      CAUTION, "Two sessions on %s.", "Each is prescribed for a day of its own.", Source.KORVEL),
  WEEK_EMPTY(
      CAUTION,
      "Nothing is left of week %s.",
      "A week without a session earns no step; the next one is held or goes back.",
      Source.PRACTICE),
  FEW_EASY_MINUTES(
      CAUTION,
      "%s %% of week %s is easy; aim for {EASY_MARK} %%.",
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
      "A programme is planned from an issued prescription.",
      Source.KORVEL),
  PROGRAMME_NOT_LED(
      BLOCK,
      "Nothing can be planned while the prescription is %s.",
      "A programme is valid only while its prescription is.",
      Source.KORVEL),
  PROGRAMME_OUT_OF_BOUNDS(
      BLOCK,
      "From %s the programme exceeds current limits; rebuild it.",
      "%2$s Its rates are not shown from there on.",
      Source.KORVEL),
  PROGRAMME_OF_OLDER(
      CAUTION,
      "Planned from version %s; version %s is in force.",
      "A programme keeps the version it was planned from. Rebuild it to use the new one.",
      Source.KORVEL);

  private final Wording wording;

  ProgrammeFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
