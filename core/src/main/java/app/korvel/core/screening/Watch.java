package app.korvel.core.screening;

import java.util.List;
import java.util.function.Predicate;

/** What to watch with someone, in a few words: a row each, the weightiest first. */
public enum Watch {
  HEART_FAILURE(
      person -> person.health().heartFailure(),
      "Heart failure: no rate targets",
      "The numbers come from the cardiac team."),
  HEART_CONDITION(
      person -> person.health().heartCondition() && !person.health().heartFailure(),
      "Heart condition: clearance first",
      "Screening and a doctor's clearance come before a prescription."),
  BETA_BLOCKER(
      person -> person.health().betaBlocker(),
      "Beta-blocker: effort and talk first",
      "It holds both the resting and the maximum rate down."),
  UNDER_18(
      Person::under18,
      "Under 18: no maximum test",
      "A guardian has to agree; 60 minutes a day of mixed activity."),
  OVER_65(
      Person::over65,
      "65 and over: longer warm-up",
      "10 min warm-up and cool-down, effort beside every number, balance work."),
  NEW_TO_EXERCISE(
      person -> person.activity().sedentary(),
      "New to exercise: talk first",
      "A beginner cannot yet place a “20 out of 20”.");

  private final Predicate<Person> concerns;
  private final String words;
  private final String because;

  Watch(Predicate<Person> concerns, String words, String because) {
    this.concerns = concerns;
    this.words = words;
    this.because = because;
  }

  /** In a few words. */
  public String words() {
    return words;
  }

  /** Why, in a sentence. */
  public String because() {
    return because;
  }

  /** All that concern this person. */
  public static List<Watch> of(Person person) {
    return List.of(values()).stream().filter(watch -> watch.concerns.test(person)).toList();
  }
}
