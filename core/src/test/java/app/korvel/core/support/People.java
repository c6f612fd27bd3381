package app.korvel.core.support;

import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Clearance;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Consent;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.Medicine;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.OnRecord;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Person.Health;
import app.korvel.core.screening.Reported;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.Symptom;
import app.korvel.core.screening.Topic;
import app.korvel.core.screening.WrittenLimit;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
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
    return Person.of(age, Sex.NOT_GIVEN, activity, Health.of(heartCondition, heartFailure, beta));
  }

  public static final ZoneId ZONE = ZoneOffset.UTC;

  /** Noon of a day so long ago. */
  public static Instant daysAgo(int days) {
    return TODAY.minusDays(days).atTime(12, 0).toInstant(ZoneOffset.UTC);
  }

  public static Client client(Person person) {
    return new Client(
        new UUID(7, 7),
        1,
        new Client.Details("Test Person", "", TODAY.minusYears(person.age()), person.sex()),
        false);
  }

  /** Everything asked, and answered so that it makes this person. */
  public static Answers answers(Person person) {
    return answers(
        person,
        person.health().medicines().stream().sorted().map(Medicine::unnamed).toList(),
        List.of(),
        Set.of());
  }

  public static Answers answers(
      Person person, List<Medicine> medicines, List<WrittenLimit> limits, Set<Symptom> symptoms) {
    return new Answers(
        Set.of(Topic.values()),
        person.activity(),
        false,
        symptoms,
        person.health().conditions(),
        medicines,
        limits,
        Optional.empty(),
        Set.of(),
        Set.of(),
        OptionalInt.empty(),
        Optional.empty(),
        OptionalInt.empty());
  }

  /** Screened a month ago, with everything asked and no clearance. */
  public static Screening screening(Person person, boolean consent) {
    return screening(person, answers(person), consent);
  }

  /** With a guardian's consent, which counts for those who need one. */
  public static Screening screening(Person person, Answers answers, Clearance... clearances) {
    return screening(person, answers, true, clearances);
  }

  private static Screening screening(
      Person person, Answers answers, boolean consent, Clearance... clearances) {
    Intake intake = Intake.following(List.of(), answers, daysAgo(30), ZONE);
    return Screening.of(
        client(person),
        Optional.of(intake),
        new OnRecord(List.of(clearances), consent ? List.of(CONSENT) : List.of(), Reported.NOTHING),
        TODAY,
        ZONE);
  }

  /** A mother's, of a month ago. */
  public static final Consent CONSENT =
      Consent.of(new UUID(8, 8), "Mother", TODAY.minusDays(30), "", daysAgo(30), ZONE);

  /** A clearance given and recorded so long ago, that holds for so many more days. */
  public static Clearance clearance(int daysAgo, Allows allows, int untilInDays) {
    return Clearance.of(
        new UUID(9, daysAgo),
        "Dr Test",
        TODAY.minusDays(daysAgo),
        allows,
        TODAY.plusDays(untilInDays),
        "",
        daysAgo(daysAgo),
        ZONE);
  }

  /** Someone with that condition. */
  public static Person having(int age, Activity activity, Condition... conditions) {
    return Person.of(age, Sex.NOT_GIVEN, activity, new Health(Set.of(conditions), Set.of()));
  }

  /** Someone taking a medicine of that class. */
  public static Person taking(int age, Activity activity, MedicineClass... medicines) {
    return Person.of(age, Sex.NOT_GIVEN, activity, new Health(Set.of(), Set.of(medicines)));
  }
}
