package app.korvel.core.talk;

import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import java.util.List;
import java.util.function.Predicate;

/**
 * What learned talk rates are good for with someone, and why.
 *
 * @param use what they are good for
 * @param because in a few words, after “for”; empty where nothing holds them back
 */
public record Standing(Use use, String because) {

  /** What learned rates may do, the freest first. */
  public enum Use {
    MAY_RISE,
    ONLY_LOWERS,
    /** Shown to the instructor, never in use. */
    SHOWN_ONLY,
    /** Not offered, and those accepted are out of use. */
    NOT_OFFERED,
    /** Nothing is learned. */
    NOT_COMPUTED
  }

  /** An adult whom nothing holds back. */
  public static final Standing FREE = new Standing(Use.MAY_RISE, "");

  private record Rule(Use use, String because, Predicate<Facts> holds) {}

  private record Facts(Screening screening, boolean firstWeeks) {
    boolean has(Condition condition) {
      return person().has(condition);
    }

    Person person() {
      return screening.person();
    }
  }

  /** The first that holds decides. */
  private static final List<Rule> RULES =
      List.of(
          new Rule(
              Use.NOT_COMPUTED, "heart failure", facts -> facts.person().health().heartFailure()),
          new Rule(
              Use.NOT_COMPUTED,
              "an irregular rhythm",
              facts -> facts.has(Condition.IRREGULAR_RHYTHM)),
          new Rule(Use.NOT_COMPUTED, "a pacemaker", facts -> facts.has(Condition.PACEMAKER)),
          new Rule(
              Use.NOT_COMPUTED,
              "neuropathy that touches the heart",
              facts -> facts.has(Condition.AUTONOMIC_NEUROPATHY)),
          new Rule(Use.NOT_OFFERED, "pregnancy", facts -> facts.has(Condition.PREGNANCY)),
          new Rule(
              Use.SHOWN_ONLY,
              "someone under " + Threshold.UNDER_18.whole(),
              facts -> facts.person().under18()),
          new Rule(
              Use.ONLY_LOWERS,
              "someone with a heart condition",
              facts -> facts.person().health().heartCondition()),
          new Rule(
              Use.ONLY_LOWERS,
              "someone with a defibrillator",
              facts -> facts.has(Condition.DEFIBRILLATOR)),
          new Rule(
              Use.ONLY_LOWERS,
              "someone with a respiratory condition",
              facts -> facts.has(Condition.RESPIRATORY)),
          new Rule(
              Use.ONLY_LOWERS,
              "someone on rate-lowering medication",
              facts -> facts.person().health().betaBlocker()),
          new Rule(
              Use.ONLY_LOWERS,
              "someone new to exercise",
              facts ->
                  facts.firstWeeks && facts.person().activity().compareTo(Activity.LITTLE) <= 0),
          new Rule(
              Use.ONLY_LOWERS,
              "someone in the first " + Threshold.FIRST_WEEKS.whole() + " weeks",
              Facts::firstWeeks),
          new Rule(
              Use.ONLY_LOWERS,
              "someone not yet regularly active",
              facts -> facts.person().activity().compareTo(Activity.REGULAR) < 0),
          new Rule(
              Use.ONLY_LOWERS,
              "someone not cleared for vigorous work",
              facts -> !facts.screening.permission().vigorous()),
          new Rule(
              Use.ONLY_LOWERS,
              "someone with a written limit",
              facts ->
                  facts.screening.cap().isPresent()
                      || facts.screening.effects().highestEffort() < Effects.TOP_EFFORT),
          new Rule(
              Use.ONLY_LOWERS,
              "someone with a symptom",
              facts -> !facts.screening.stops().isEmpty()));

  /**
   * What they are good for today.
   *
   * @param firstWeeks whether they are in the first weeks of training
   */
  public static Standing of(Screening screening, boolean firstWeeks) {
    Facts facts = new Facts(screening, firstWeeks);
    return RULES.stream()
        .filter(rule -> rule.holds.test(facts))
        .findFirst()
        .map(rule -> new Standing(rule.use, rule.because))
        .orElse(FREE);
  }

  /** Whether anything is learned of them. */
  public boolean computed() {
    return use != Use.NOT_COMPUTED;
  }

  /** Whether a learned rate may be accepted. */
  public boolean offered() {
    return use == Use.MAY_RISE || use == Use.ONLY_LOWERS;
  }
}
