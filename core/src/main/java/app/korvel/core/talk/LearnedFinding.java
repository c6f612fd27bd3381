package app.korvel.core.talk;

import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What learned talk rates say of themselves. */
public enum LearnedFinding implements FindingKind {
  LEARNED_OFFERED(
      INFO,
      "%s up to %s, ± %s: accept it, or refuse it with a reason.",
      "Learned from %4$s talk checks near it on %5$s days, the last on %6$s. The equation says"
          + " %7$s. Nothing changes until it is accepted.",
      Source.KORVEL),
  LEARNED_NOT_YET(
      INFO,
      "Not yet: %s checks on %s days; %s.",
      "{LEARNED_CHECKS} checks within {LEARNED_NEAR} bpm on {LEARNED_DAYS} days,"
          + " {LEARNED_EACH_SIDE} on each side, the newest at most {LEARNED_FRESH} days old.",
      Source.KORVEL),
  LEARNED_ONLY_LOWERS(
      INFO,
      "Held at %s: learned %s, and for %s it only ever lowers.",
      "It can make work easier; it never takes anybody higher who is to be careful.",
      Source.KORVEL),
  LEARNED_NEEDS_HEARD(
      INFO,
      "Held at %s: learned %s, and talk above %1$s was heard with its RPE only %s times.",
      "An edge rises only where an instructor has heard it {LEARNED_HEARD_ABOVE} times above it and"
          + " asked how it felt: what was told, or not asked, does not count for that.",
      Source.KORVEL),
  LEARNED_RISES_SLOWLY(
      INFO,
      "Learned %s: it rises by {LEARNED_RISE} bpm at a time, to %s from %s on.",
      "Down at once, up slowly: {LEARNED_RISE_DAYS} days between two rises.",
      Source.KORVEL),
  LEARNED_CONTRADICTED_HARDER(
      CAUTION,
      "%s and %s contradict it: the same rate was harder. Ask how they feel first.",
      "Likely causes: oncoming illness, heat, medication, a sensor that is off, poor sleep. Until"
          + " it is settled the lower of learned and equation is used. Take the checks out, restart"
          + " learning from %1$s, or repeat the talk-step test.",
      Source.KORVEL),
  LEARNED_CONTRADICTED_EASIER(
      INFO,
      "%s and %s contradict it: the same rate was easier. A talk-step test would tell.",
      "Nothing changes until then. Or take the checks out, or restart learning from %1$s.",
      Source.KORVEL),
  LEARNED_FLATTERS(
      CAUTION,
      "Says sentences, feels phrases: RPE %s at the median of the last %s near %s.",
      "Listen yourself, or repeat the talk-step test. Until it is settled the lower of learned and"
          + " equation is used.",
      Source.KORVEL),
  LEARNED_OLD(
      INFO,
      "The last check near %s is of %s: one more keeps it, until %s.",
      "Learned rates are due again after {LEARNED_FRESH} days, and lapse after {LEARNED_LAPSES}.",
      Source.KORVEL),
  LEARNED_LAPSED(
      CAUTION,
      "%s is no longer used: %s.",
      "The equation’s edge is used instead, until another is accepted.",
      Source.KORVEL),
  LEARNED_DISAGREES(
      CAUTION,
      "The %s of %s says %s, talk checks %s: they disagree, repeat the test.",
      "Over {LEARNED_DISAGREES} bpm apart is more than both are uncertain by.",
      Source.KORVEL),
  LEARNED_TEST_FIRST(
      INFO,
      "The %s of %s comes first until %s: %s and %s.",
      "A test on one day with rising steps is surer than checks on many.",
      Source.KORVEL),
  LEARNED_NO_ROOM(
      CAUTION,
      "The learned rates leave no room under the maximum of %s: they are not used. Measure the"
          + " maximum.",
      "The highest level would begin within {LEARNED_UNDER_MAXIMUM} bpm of it.",
      Source.KORVEL),
  LEARNED_OFF(
      INFO,
      "Nothing is learned from talk with %s.",
      "There the rate or the voice says too little.",
      Source.KORVEL),
  LEARNED_SWITCHED_OFF(
      INFO,
      "Learning from talk is switched off.",
      "Checks are kept; no rate is learned or used.",
      Source.STUDIO),
  LEARNED_SHOWN_ONLY(
      INFO,
      "Shown to you, never used with %s.",
      "Use RPE and talk, as everywhere with them.",
      Source.KORVEL),
  WITNESSES_AGREE(
      INFO,
      "Rate, RPE and voice were within a level at %s of %s checks; none is off by itself.",
      "One that differs from both others, most of the time and to the same side, would be named.",
      Source.KORVEL),
  WITNESSES_TOO_FEW(
      INFO,
      "%s checks with rate, RPE and voice: too few to say which one is off.",
      "From {WITNESSES_FEWEST} on. Ask RPE with each talk check.",
      Source.KORVEL),
  WITNESS_RATE_HIGH(
      CAUTION,
      "The rate is off: it reads harder than RPE and voice at %s of %s checks.",
      "Check: a maximum that is set too low, heat, caffeine, dehydration, a wrist sensor locked to"
          + " the steps. Count the pulse by hand, then measure the maximum.",
      Source.KORVEL),
  WITNESS_RATE_LOW(
      CAUTION,
      "The rate is off: it reads easier than RPE and voice at %s of %s checks.",
      "Check: medication that lowers the rate, a maximum that is set too high, a slipping strap,"
          + " oncoming illness. Count the pulse by hand. RPE and voice come first.",
      Source.KORVEL),
  WITNESS_RPE_HIGH(
      CAUTION,
      "RPE is off: it is higher than rate and voice say at %s of %s checks.",
      "Check: is the whole body rated, not the sorest part; sleep, stress, work that is new to"
          + " them. Explain the scale again.",
      Source.KORVEL),
  WITNESS_RPE_LOW(
      CAUTION,
      "RPE is off: it is lower than rate and voice say at %s of %s checks.",
      "Check: do they rate it to please. Explain the scale again, and go by the voice.",
      Source.KORVEL),
  WITNESS_VOICE_HIGH(
      CAUTION,
      "The voice is off: talk fails before rate and RPE say so, at %s of %s checks.",
      "Check: breath that is short, a cold, a passage that reads too hard. With shortness of breath"
          + " that is new, stop and ask a doctor.",
      Source.KORVEL),
  WITNESS_VOICE_LOW(
      CAUTION,
      "The voice is off: they talk longer than rate and RPE say, at %s of %s checks.",
      "Check: is the passage said aloud, whole, without slowing down. Listen yourself.",
      Source.KORVEL),
  LEARNED_EASES_TARGET(
      CAUTION,
      "Whole sentences end at %s: a target at Talk level ends there, not at %s. Review it.",
      "A new version takes it over; the one in force does not change by itself.",
      Source.KORVEL);

  /** The codes of those that wait for a decision. */
  public static final Set<String> TO_DECIDE =
      Stream.of(
              LEARNED_OFFERED,
              LEARNED_CONTRADICTED_HARDER,
              LEARNED_CONTRADICTED_EASIER,
              LEARNED_FLATTERS,
              LEARNED_DISAGREES)
          .map(FindingKind::code)
          .collect(Collectors.toUnmodifiableSet());

  private final Wording wording;

  LearnedFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
