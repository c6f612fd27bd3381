package app.korvel.core.maximum;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What a maximum heart rate says, each finding in this one place. */
public enum MaximumFinding implements FindingKind {
  DEFAULT_HEALTHY(
      INFO,
      "208 − 0.7 × age is the default.",
      "Derived from many studies of healthy adults of both sexes; it errs less with age than 220 −"
          + " age.",
      Source.TANAKA),
  DEFAULT_UNDER_18(
      INFO,
      "208 − 0.7 × age is used: there is no better one.",
      "The equations were derived from adults. Under {UNDER_18} it is a rough guide, "
          + "and no maximum is tested.",
      Source.TANAKA),
  DEFAULT_LOWER_OF_TWO(
      INFO,
      "%s is the default: the lower of 220 − age and 208 − 0.7 × age.",
      "%2$s, so the lower of the two is taken (equal: 208 − 0.7 × age).",
      Source.PRACTICE),
  DEFAULT_BETA_BLOCKER_HEART(
      INFO,
      "164 − 0.7 × age is the default.",
      "It was derived from people with coronary disease who take beta-blockers.",
      Source.BRAWNER),
  DEFAULT_MINUS_30(
      INFO,
      "208 − 0.7 × age − 30 is the default, and a rough one.",
      "A beta-blocker lowers the maximum by an amount no equation predicts; 30 is a rule of thumb.",
      Source.PRACTICE),
  NO_DEFAULT_HEART_FAILURE(
      BLOCK,
      "No maximum is proposed with heart failure.",
      "The numbers come from the cardiac team. Until then use RPE and talk.",
      Source.KETEYIAN),
  FOX_HIGH_UNDER_40(
      INFO,
      "220 − age is the higher rule here, not the cautious one.",
      "It is often called cautious. It is only so above age {FOX_HIGHER_UNDER}: "
          + "below, it gives more than 208 − 0.7"
          + " × age, and this client is %s.",
      Source.FOX),
  MAXIMUM_CHOSEN(
      INFO,
      "%s is in use, your choice of %s.",
      "Your reason: “%3$s”. By rule it would be %4$s.",
      Source.PRACTICE),
  MAXIMUM_CHOICE_SET_ASIDE(
      CAUTION,
      "Your choice of %s is not used.",
      "%2$s What is used instead: %3$s.",
      Source.PRACTICE),
  MAXIMUM_STALE(
      CAUTION,
      "Earlier maxima are out of date: medication changed on %s.",
      "The value here is estimated again for the current medication. A maximum "
          + "measured on the present"
          + " dose is best.",
      Source.PRACTICE),
  FOX_LOW_FROM_40(
      INFO,
      "220 − age is the cautious rule here; it would not be below {FOX_HIGHER_UNDER}.",
      "It is often called cautious. From {FOX_HIGHER_UNDER} on it gives no more than "
          + "208 − 0.7 × age; below {FOX_HIGHER_UNDER} it is"
          + " the higher of the two. This client is %s.",
      Source.FOX),
  MAXIMUM_MEASURED(
      INFO,
      "%s is measured: the highest that qualifies.",
      "%2$s, on %3$s. ± %4$s on the day, and {MAXIMUM_ERROR_GROWS} bpm more for every "
          + "year since: ± %5$s today. Measured"
          + " beats estimated, and a heart that has reached a rate can reach it.",
      Source.KORVEL),
  MAXIMUM_BORROWED(
      INFO,
      "None measured for this mode: the running value of %s%s.",
      "Measured running on %3$s. A borrowed value is less certain: ± %4$s.",
      Source.PRACTICE),
  MAXIMUM_ON_PRESENT_DOSE(
      INFO,
      "Measured on the current dose: the best there is.",
      "Medication changed on %s, and this was measured since. After the next change "
          + "it is out of date.",
      Source.PRACTICE),
  MAXIMUM_DUE(
      CAUTION,
      "Measured on %s: due again.",
      "After {MAXIMUM_DUE} months a maximum is measured again. It keeps its value, "
          + "but is now accurate only to ± %2$s.",
      Source.KORVEL),
  MAXIMUM_CHOICE_WAITS(
      INFO,
      "Your choice of %s is on hold.",
      "Measured beats estimated: while a measured maximum is in use, no equation is.",
      Source.PRACTICE),
  MAXIMUM_PROPOSED(
      CAUTION,
      "A peak of %s was seen, %s over the working maximum.",
      "On %3$s. %4$s",
      Source.KORVEL),
  PEAK_SEEN(
      CAUTION,
      "A peak of %s, %s over the working maximum: question the sensor first, then save it as seen"
          + " once.",
      "A loose strap, a wrist that counts steps or a spike looks the same. Another day within"
          + " {PEAK_CONFIRMED} bpm confirms it.",
      Source.KORVEL),
  PEAK_NOT_TAKEN(
      INFO,
      "A peak of %s was seen. It is kept, and not proposed as a maximum.",
      "Of a minor, in pregnancy, with a heart condition or an irregular rhythm only a supervised test"
          + " says what the maximum is.",
      Source.KORVEL),
  PEAK_SUDDEN_RISE(
      CAUTION,
      "The rate rose by over {PEAK_RISE} bpm in {PEAK_RISE_WITHIN} s: ask how they felt.",
      "It may be the sensor, or the heart. What follows such a rise is set aside until the rate is"
          + " back; racing, pounding or faintness with it: medical review before the next session.",
      Source.KORVEL),
  PEAK_NONE(
      CAUTION,
      "No peak in this recording.",
      "Without spikes, the rate nowhere holds within 3 bpm for {PEAK_WINDOW} seconds.",
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
      "The equations were derived on a treadmill. Other activities peak lower, "
          + "commonly by 5 to 15 bpm on a cycle; the error grows to match.",
      Source.PRACTICE);

  private final Wording wording;

  MaximumFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
