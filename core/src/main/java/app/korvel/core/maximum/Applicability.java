package app.korvel.core.maximum;

import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Sex;
import java.util.List;
import java.util.function.Predicate;

/**
 * Whether an equation may be used for someone, and why.
 *
 * @param applies whether it may be prescribed from
 * @param reason why, or why not
 */
record Applicability(boolean applies, String reason) {

  /** What an equation can require, and what is said when it is not so. */
  enum Requirement {
    NO_HEART_FAILURE(
        person -> !person.health().heartFailure(),
        "Not with heart failure: the numbers come from the cardiac team."),
    NO_BETA_BLOCKER(
        person -> !person.health().betaBlocker(),
        "Not on a beta-blocker: it holds the maximum below what age explains."),
    NO_HEART_CONDITION(
        person -> !person.health().heartCondition(),
        "Derived from people without a heart condition."),
    ADULT(person -> !person.under18(), "Derived from adults."),
    ACTIVE(
        person -> person.activity().compareTo(Activity.SOME) >= 0,
        "Derived from active people; this client is not."),
    FEMALE(person -> person.sex() == Sex.FEMALE, "Derived from women."),
    ON_BETA_BLOCKER(
        person -> person.health().betaBlocker(), "Only for people who take a beta-blocker."),
    HEART_CONDITION(
        person -> person.health().heartCondition(), "Only for people with coronary disease."),
    HEART_FAILURE(person -> person.health().heartFailure(), "Only for people with heart failure.");

    private final Predicate<Person> holds;
    private final String otherwise;

    Requirement(Predicate<Person> holds, String otherwise) {
      this.holds = holds;
      this.otherwise = otherwise;
    }
  }

  static Applicability of(List<Requirement> requirements, Person person, String whenItDoes) {
    return requirements.stream()
        .filter(requirement -> !requirement.holds.test(person))
        .findFirst()
        .map(requirement -> new Applicability(false, requirement.otherwise))
        .orElse(new Applicability(true, whenItDoes));
  }
}
