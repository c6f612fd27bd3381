package app.korvel.core.pulse;

import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What a pulse says, each finding in this one place. */
public enum PulseFinding implements FindingKind {
  CAME_BACK_TO_REST(
      INFO,
      "%s is back to rest.",
      "Within {BACK_TO_REST_BPM} bpm or {BACK_TO_REST_PERCENT} %%, the larger, of "
          + "%2$s at rest: up to %3$s.",
      Source.PRACTICE),
  NOT_BACK_YET(
      CAUTION,
      "%s is not back to rest. Let them sit quietly and count again in {BACK_TO_REST_AGAIN} min.",
      "Back is up to %3$s: within {BACK_TO_REST_BPM} bpm or {BACK_TO_REST_PERCENT} "
          + "%%, the larger, of %2$s at rest.",
      Source.PRACTICE),
  NOT_BACK_IN_TEN(
      CAUTION,
      "%s is not back to rest after {BACK_TO_REST_WITHIN} minutes: ease the next session.",
      "Back is up to %3$s: within {BACK_TO_REST_BPM} bpm or {BACK_TO_REST_PERCENT} "
          + "%%, the larger, of %2$s at rest. Slow recovery may mean the work was too hard, "
          + "heat, or oncoming illness; see a doctor if it lasts.",
      Source.PRACTICE),
  NO_REST_TO_COME_BACK_TO(
      CAUTION,
      "No resting value to compare %s with.",
      "Count a resting pulse before one of the next sessions.",
      Source.PRACTICE),
  READING_UNEVEN(
      CAUTION,
      "Irregular. If that is new for this client, no session, and a medical review.",
      "Count a full minute and write down how it felt. A hand cannot tell what makes "
          + "a pulse uneven.",
      Source.PRACTICE),
  COUNTED_RIGHT(
      INFO,
      "Every beat counted: %s in %s s.",
      "So many fell between the start and the end.",
      Source.ARITHMETIC),
  COUNTED_ONE_OFF(
      INFO,
      "One beat %s: as accurate as manual counting gets.",
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
      "A faultless count of %2$s in %3$s s makes %4$s bpm, and the pulse went at "
          + "%5$s. A longer window is more accurate.",
      Source.ARITHMETIC),
  RHYTHM_HEARD(
      INFO,
      "You identified the rhythm correctly: %s.",
      "Told apart by feel alone.",
      Source.PRACTICE),
  RHYTHM_MISSED(
      CAUTION,
      "The rhythm was %s.",
      "Even beats may still swing a little with the breath; uneven ones come as if by "
          + "chance. If a client's pulse is irregular: count a full minute, and medical "
          + "review if it is new.",
      Source.PRACTICE),
  TAPS_UNEVEN(
      CAUTION,
      "Uneven: count a full minute. If that is new for this client, no session, and a "
          + "medical review.",
      "At least {TAPS_UNEVEN_COUNT} intervals, and a fifth of them, are over "
          + "{TAPS_UNEVEN_BY} %% off the median. Taps carry human"
          + " jitter: this asks for a count and decides nothing.",
      Source.PRACTICE),
  TAPS_TOO_SHORT(
      INFO,
      "Too few beats to tell the rhythm. Tap on, or count a full minute.",
      "Under {TAPS_FEWEST} intervals are left.",
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
      "Medications that slow the heart lower the resting rate; compare only on the same dose.",
      Source.PRACTICE),
  RESTING_LOW_ASK(
      CAUTION,
      "%s is lower than usual. Ask whether it has always been so.",
      "At %2$s, %3$s to %4$s bpm is usual at rest. Lower is common in the well trained and with"
          + " rate-lowering medication, and neither is recorded here.",
      Source.PRACTICE),
  RESTING_UNDER_40(
      CAUTION,
      "%s is under %5$s. Unless it is known to be usual for this client: no training "
          + "before a medical review.",
      "At %2$s, under %5$s bpm at rest is rare even in the well trained.",
      Source.PRACTICE),
  RESTING_HIGH(
      CAUTION,
      "%s is over the usual range. Settled and seated, ask a doctor before training.",
      "At %2$s, %3$s to %4$s bpm is usual at rest.",
      Source.PRACTICE),
  READING_DEPARTS(
      CAUTION,
      "%s is %s bpm off the %s taken earlier today: not taken as usual.",
      "Two readings of one day that differ so far are a miscount, or somebody who has not settled."
          + " Count again; take it as usual only if you are sure of it.",
      Source.KORVEL),
  RESTING_HIGH_RECOUNT(
      CAUTION,
      "%s is over the usual range. Sit quietly for {RESTING_QUIET} minutes and count "
          + "again for 60 s.",
      "At %2$s, %3$s to %4$s bpm is usual at rest, and this reading was not taken settled.",
      Source.PRACTICE),
  WORKING_MEDIAN(
      INFO,
      "%s bpm, the median of the latest three.",
      "The latest three readings graded fair or better within {RESTING_DUE} days, all %2$s.",
      Source.KORVEL),
  WORKING_LATEST_GOOD(
      INFO,
      "%s bpm, the latest good reading.",
      "Fewer than three comparable readings graded fair or better within "
          + "{RESTING_DUE} days; the latest good"
          + " one stands (%2$s).",
      Source.KORVEL),
  WORKING_LATEST(
      CAUTION,
      "%s bpm, the latest reading; no good one is available.",
      "No good reading is on record. Count again: seated, quiet for {RESTING_QUIET} "
          + "minutes, 60 s (%2$s).",
      Source.KORVEL),
  RESTING_DUE(
      CAUTION,
      "The resting pulse is due again.",
      "The reading it is based on is %s days old; after {RESTING_DUE} days it is measured again.",
      Source.KORVEL),
  RESTING_STALE(
      CAUTION,
      "The resting pulse is out of date: medication changed on %s. Count it again.",
      "Medications that affect the heart rate change what is usual at rest; an "
          + "earlier count says nothing about the current dose.",
      Source.PRACTICE);

  private final Wording wording;

  PulseFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
