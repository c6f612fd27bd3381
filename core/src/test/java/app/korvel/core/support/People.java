package app.korvel.core.support;

import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Person.Health;
import app.korvel.core.screening.Sex;
import java.time.LocalDate;
import java.util.UUID;

/** Made-up people for the tests. */
public final class People {
  private People() {}

  public static final LocalDate TODAY = LocalDate.of(2026, 5, 20);

  public static Person adult(int age, Activity activity) {
    return Person.of(age, Sex.NOT_GIVEN, activity, Health.NOTHING_KNOWN);
  }

  public static Person with(
      int age, Activity activity, boolean heartCondition, boolean heartFailure, boolean beta) {
    return Person.of(age, Sex.NOT_GIVEN, activity, new Health(heartCondition, heartFailure, beta));
  }

  public static Client client(Person person, boolean consent) {
    return new Client(
        new UUID(7, 7),
        1,
        new Client.Details(
            "Test Person",
            "",
            TODAY.minusYears(person.age()),
            person.sex(),
            person.activity(),
            person.health(),
            consent),
        false);
  }
}
