package app.korvel.core.screening;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.answers;
import static app.korvel.core.support.People.clearance;
import static app.korvel.core.support.People.client;
import static app.korvel.core.support.People.daysAgo;
import static app.korvel.core.support.People.having;
import static app.korvel.core.support.People.screening;
import static app.korvel.core.support.People.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the table, clearances, consent, symptoms and dates come to together. */
class ScreeningTest {
  private static final Person DISEASE = having(50, Activity.SOME, Condition.HEART_CONDITION);
  private static final Person ACTIVE = having(50, Activity.REGULAR, Condition.DIABETES);

  private static List<String> codes(Screening screening) {
    return screening.permission().findings().stream().map(Finding::code).toList();
  }

  private static Screening cleared(Person person, Clearance... clearances) {
    return screening(person, answers(person), clearances);
  }

  @ParameterizedTest
  @CsvSource({
    // age, activity, heart, failure, consent -> may issue, vigorous
    "45, NONE,    false, false, false, true,  false",
    "45, SOME,    false, false, false, true,  false",
    "45, REGULAR, false, false, false, true,  true",
    "45, HIGH,    true,  false, false, true,  false",
    "45, SOME,    true,  false, false, false, false",
    "45, NONE,    false, true,  false, false, false",
    "17, REGULAR, false, false, false, false, true",
    "17, REGULAR, false, false, true,  true,  true",
    "18, REGULAR, false, false, false, true,  true",
  })
  void withoutClearancesPermissionFollowsTheTable(
      int age,
      Activity activity,
      boolean heart,
      boolean failure,
      boolean consent,
      boolean mayIssue,
      boolean vigorous) {
    Screening screening = screening(with(age, activity, heart, failure, false), consent);
    assertThat(screening.permission().mayIssue()).isEqualTo(mayIssue);
    assertThat(screening.permission().vigorous()).isEqualTo(vigorous);
    assertThat(codes(screening))
        .filteredOn((failure ? "light-by-effort" : "light-to-moderate")::equals)
        .hasSize(vigorous ? 0 : 1);
  }

  @Test
  void aClearanceOpensLightToModerateAndNoMoreWhileNotActive() {
    Screening cleared = cleared(DISEASE, clearance(30, Allows.VIGOROUS, 200));
    assertThat(cleared.permission().mayIssue()).isTrue();
    assertThat(cleared.permission().allows()).isEqualTo(Allows.LIGHT_TO_MODERATE);
    assertThat(codes(cleared)).containsExactly("clearance-in-force", "light-to-moderate");
  }

  @ParameterizedTest
  @CsvSource({
    // issued so many days ago, allows, holds so many more days -> what is allowed
    "30,  VIGOROUS,          200, VIGOROUS",
    "364, VIGOROUS,          1,   VIGOROUS",
    "365, VIGOROUS,          400, MODERATE",
    "30,  MODERATE,          200, MODERATE",
    "30,  LIGHT_TO_MODERATE, 200, LIGHT_TO_MODERATE",
    "30,  VIGOROUS,          -1,  MODERATE",
  })
  void theActiveWithDiseaseNeedAFreshClearanceForVigorousWork(
      int daysAgo, Allows given, int untilInDays, Allows expected) {
    assertThat(cleared(ACTIVE, clearance(daysAgo, given, untilInDays)).permission().allows())
        .isEqualTo(expected);
  }

  @Test
  void aClearanceHoldsOnItsLastDayAndNotOnTheNext() {
    assertThat(cleared(DISEASE, clearance(300, Allows.VIGOROUS, 0)).permission().mayIssue())
        .isTrue();
    Screening lapsed = cleared(DISEASE, clearance(300, Allows.VIGOROUS, -1));
    assertThat(lapsed.permission().mayIssue()).isFalse();
    assertThat(lapsed.permission().allows()).isEqualTo(Allows.NOTHING);
    assertThat(lapsed.permission().findings().get(0).message())
        .isEqualTo(
            "The clearance ended on 19 May 2026. Nothing can be issued until it is renewed.");
  }

  @ParameterizedTest
  @CsvSource({"31, false", "30, true", "0, true"})
  void aClearanceIsDueThirtyDaysBeforeItLapses(int untilInDays, boolean due) {
    Screening screening = cleared(DISEASE, clearance(10, Allows.VIGOROUS, untilInDays));
    assertThat(screening.clearanceLapsing()).isEqualTo(due);
  }

  @Test
  void theLatestClearanceGovernsAndRestrictsWhoeverNeedsNone() {
    Screening screening =
        cleared(
            adult(40, Activity.HIGH),
            clearance(100, Allows.VIGOROUS, 200),
            clearance(10, Allows.LIGHT_TO_MODERATE, 200));
    assertThat(screening.permission().allows()).isEqualTo(Allows.LIGHT_TO_MODERATE);
  }

  @Test
  void symptomsStayOpenUntilAClearanceGivenAfterThemAnswers() {
    Person person = adult(40, Activity.REGULAR);
    Answers told = answers(person, List.of(), List.of(), Set.of(Symptom.CHEST_PAIN));
    Screening open = screening(person, told, clearance(40, Allows.VIGOROUS, 200));
    assertThat(open.permission().allows()).isEqualTo(Allows.NOTHING);
    assertThat(codes(open)).contains("symptoms-stop");
    assertThat(open.permission().findings().get(0).because())
        .startsWith("Reported: pain or pressure in chest");
    // Reported 30 days ago; a clearance of 20 days ago answers it.
    Screening answered = screening(person, told, clearance(20, Allows.MODERATE, 200));
    assertThat(answered.permission().allows()).isEqualTo(Allows.MODERATE);
    assertThat(answered.permission().mayIssue()).isTrue();
  }

  @Test
  void symptomsThatWentAwayOpenNothingByThemselves() {
    Person person = adult(40, Activity.SOME);
    Intake told =
        Intake.following(
            List.of(),
            answers(person, List.of(), List.of(), Set.of(Symptom.DIZZINESS)),
            daysAgo(40),
            ZONE);
    Intake gone = Intake.following(List.of(told), answers(person), daysAgo(20), ZONE);
    assertThat(of(person, gone, Reported.NOTHING).permission().allows()).isEqualTo(Allows.NOTHING);
    // A clearance that answered it closes the matter, even once it has lapsed.
    assertThat(
            of(person, gone, Reported.NOTHING, clearance(30, Allows.VIGOROUS, -1))
                .permission()
                .allows())
        .isEqualTo(Allows.LIGHT_TO_MODERATE);
  }

  private static Screening of(
      Person person, Intake intake, Reported reported, Clearance... clearances) {
    return Screening.of(
        client(person),
        Optional.of(intake),
        new OnRecord(List.of(clearances), List.of(), reported),
        TODAY,
        ZONE);
  }

  private static Intake taken(Person person, int daysAgo) {
    return Intake.following(List.of(), answers(person), daysAgo(daysAgo), ZONE);
  }

  @Test
  void symptomsToldAtACheckInCountAtOnce() {
    Person person = adult(40, Activity.REGULAR);
    Reported reported = new Reported(Optional.of(daysAgo(0)), Optional.empty());
    Screening screening = of(person, taken(person, 30), reported);
    assertThat(screening.permission().allows()).isEqualTo(Allows.NOTHING);
    assertThat(screening.permission().findings().get(0).because())
        .startsWith("Signs or symptoms were reported");
  }

  @Test
  void screeningIsDueAfterTwelveMonthsOrAtOnceWhenSomethingChanged() {
    Person person = adult(40, Activity.SOME);
    assertThat(of(person, taken(person, 364), Reported.NOTHING).due()).isFalse();
    assertThat(of(person, taken(person, 365), Reported.NOTHING).due()).isTrue();
    Reported changed = new Reported(Optional.empty(), Optional.of(daysAgo(2)));
    assertThat(of(person, taken(person, 3), changed).due()).isTrue();
    assertThat(of(person, taken(person, 1), changed).due()).isFalse();
    assertThat(of(person, taken(person, 365), Reported.NOTHING).permission().mayIssue()).isTrue();
  }

  @Test
  void nothingIsIssuedBeforeEveryDecidingQuestionWasAsked() {
    Person person = adult(40, Activity.SOME);
    Screening nothing =
        Screening.of(client(person), Optional.empty(), OnRecord.NOTHING, TODAY, ZONE);
    assertThat(nothing.permission().mayIssue()).isFalse();
    assertThat(nothing.person().activity()).isEqualTo(Activity.NONE);
    assertThat(nothing.permission().findings())
        .extracting(Finding::message)
        .contains(
            "Finish the screening first. Not asked yet: activity level; signs or symptoms; known"
                + " conditions; medications; pregnancy, falls and joints; written limits.");
    assertThat(nothing.decided()).isFalse();
    assertThat(nothing.sentence()).startsWith("Nothing has been asked yet");
    assertThat(codes(nothing)).doesNotContain("clearance-not-needed");
    // A question still open suspends nothing that was issued before.
    assertThat(nothing.permission().allows()).isEqualTo(Allows.LIGHT_TO_MODERATE);
  }

  @Test
  void vigorousWorkIsNotAllowedBeforeAllHasBeenAsked() {
    Person person = adult(40, Activity.HIGH);
    Answers whole = answers(person);
    Answers begun = Answers.begun(Activity.HIGH);
    assertThat(screening(person, begun).permission().vigorous()).isFalse();
    assertThat(screening(person, whole).permission().vigorous()).isTrue();
    assertThat(screening(person, whole).decided()).isTrue();
  }

  @Test
  void whoCannotCoverAMileInTwelveMinutesIsOneClassLower() {
    Person person = adult(40, Activity.REGULAR);
    Answers slow =
        new Answers(
            Set.of(Topic.values()),
            Activity.REGULAR,
            true,
            Set.of(),
            Set.of(),
            List.of(),
            List.of(),
            Optional.empty(),
            Set.of(),
            Set.of(),
            OptionalInt.empty(),
            Optional.empty(),
            OptionalInt.empty());
    Screening screening = screening(person, slow);
    assertThat(screening.person().activity()).isEqualTo(Activity.SOME);
    assertThat(screening.decision()).isEqualTo(Decision.WELL);
    assertThat(Activity.NONE.oneLower()).isEqualTo(Activity.NONE);
  }

  private static WrittenLimit limit(WrittenLimit.Kind kind, int value, Integer untilInDays) {
    return new WrittenLimit(
        kind,
        OptionalInt.of(value),
        "Dr Test",
        TODAY.minusDays(10),
        Optional.ofNullable(untilInDays).map(TODAY::plusDays));
  }

  private static Screening limited(Person person, WrittenLimit... limits) {
    return screening(person, answers(person, List.of(), List.of(limits), Set.of()));
  }

  @Test
  void ofSeveralCapsTheLowestGoverns() {
    Person person = having(50, Activity.SOME, Condition.DEFIBRILLATOR);
    Screening screening =
        limited(
            person,
            limit(WrittenLimit.Kind.CAP, 130, null),
            limit(WrittenLimit.Kind.DETECTION_RATE, 150, null),
            limit(WrittenLimit.Kind.SYMPTOM_RATE, 135, null));
    assertThat(screening.cap().orElseThrow().bpm()).isEqualTo(125);
    assertThat(screening.cap().orElseThrow().because())
        .isEqualTo("Rate at which symptoms came 135, less 10, Dr Test, 10 May 2026");
    assertThat(screening.noRateBecause()).isEmpty();
  }

  private static WrittenLimit capBy(String issuer, int bpm, int daysAgo, Integer untilInDays) {
    return new WrittenLimit(
        WrittenLimit.Kind.CAP,
        OptionalInt.of(bpm),
        issuer,
        TODAY.minusDays(daysAgo),
        Optional.ofNullable(untilInDays).map(TODAY::plusDays));
  }

  @Test
  void aLimitPastItsDayGoesOnCuttingAndIsShownAsLapsed() {
    Person person = adult(50, Activity.SOME);
    assertThat(limited(person, capBy("Dr Test", 130, 100, 0)).limitLapsed()).isFalse();
    Screening lapsed = limited(person, capBy("Dr Test", 130, 100, -1));
    assertThat(lapsed.cap().orElseThrow().bpm()).isEqualTo(130);
    assertThat(lapsed.cap().orElseThrow().because())
        .endsWith("; ended on 19 May 2026 and still applies");
    assertThat(lapsed.limitLapsed()).isTrue();
    assertThat(codes(lapsed)).contains("limit-lapsed");
    // Renewed by the same issuer, only the new one holds, though it allows more.
    Screening renewed =
        limited(person, capBy("Dr Test", 130, 100, -1), capBy(" dr test ", 140, 5, 300));
    assertThat(renewed.cap().orElseThrow().bpm()).isEqualTo(140);
    assertThat(codes(renewed)).doesNotContain("limit-lapsed");
    // Somebody else's word does not lift it.
    Screening other =
        limited(person, capBy("Dr Test", 130, 100, -1), capBy("Dr Other", 140, 5, 300));
    assertThat(other.cap().orElseThrow().bpm()).isEqualTo(130);
    // Two that hold both do, whoever gave the later one.
    assertThat(
            limited(person, capBy("Dr Test", 130, 100, 10), capBy("Dr Test", 140, 5, 300))
                .cap()
                .orElseThrow()
                .bpm())
        .isEqualTo(130);
    // One of tomorrow holds nothing yet.
    assertThat(limited(person, capBy("Dr Test", 130, -1, null)).cap()).isEmpty();
  }

  @Test
  void aLapsedEffortAndSupervisionHoldOnToo() {
    Person person = adult(50, Activity.REGULAR);
    Screening screening =
        limited(
            person,
            limit(WrittenLimit.Kind.EFFORT_CAP, 12, -1),
            new WrittenLimit(
                WrittenLimit.Kind.SUPERVISED_ONLY,
                OptionalInt.empty(),
                "Dr Test",
                TODAY.minusDays(10),
                Optional.of(TODAY.minusDays(1))));
    assertThat(screening.effects().highestEffort()).isEqualTo(12);
    assertThat(screening.supervised()).isTrue();
  }

  private static Screening taking(Set<Condition> told, Medicine... medicines) {
    Person person = having(50, Activity.REGULAR, told.toArray(Condition[]::new));
    return screening(person, answers(person, List.of(medicines), List.of(), Set.of()));
  }

  @ParameterizedTest
  @CsvSource({
    // medicine -> the condition that counts as known
    "NITRATE, HEART_CONDITION",
    "HEART_FAILURE_OR_RHYTHM, HEART_CONDITION",
    "INSULIN, DIABETES",
    "SECRETAGOGUE, DIABETES",
    "BETA_BLOCKER, ",
    "RATE_LOWERING, ",
    "RATE_RAISING, ",
    "OTHER, ",
  })
  void whatAMedicineTellsCountsAsKnown(MedicineClass medicine, Condition known) {
    Screening screening = taking(Set.of(), Medicine.unnamed(medicine));
    assertThat(screening.person().health().conditions())
        .isEqualTo(known == null ? Set.of() : Set.of(known));
    assertThat(screening.decision())
        .isEqualTo(known == null ? Decision.WELL_ACTIVE : Decision.DISEASE_ACTIVE);
    assertThat(codes(screening).contains("disease-told-otherwise")).isEqualTo(known != null);
    if (known != null) {
      // Once it is named, nothing more is asked.
      assertThat(codes(taking(Set.of(known), Medicine.unnamed(medicine))))
          .doesNotContain("disease-told-otherwise");
    }
  }

  @Test
  void anyDiseaseOfTheHeartAnswersForWhatANitrateTells() {
    Screening screening =
        taking(Set.of(Condition.VESSEL_DISEASE), Medicine.unnamed(MedicineClass.NITRATE));
    assertThat(codes(screening)).doesNotContain("disease-told-otherwise");
    assertThat(screening.person().health().conditions()).containsExactly(Condition.VESSEL_DISEASE);
  }

  @Test
  void aDetectionRateInWritingTellsOfADefibrillator() {
    Person person = adult(50, Activity.NONE);
    Screening screening = limited(person, limit(WrittenLimit.Kind.DETECTION_RATE, 150, null));
    assertThat(screening.decision()).isEqualTo(Decision.DISEASE);
    assertThat(screening.person().has(Condition.DEFIBRILLATOR)).isTrue();
    assertThat(screening.permission().findings())
        .extracting(Finding::message)
        .contains(
            "Counts as known: Implanted defibrillator. Ask which condition it is and select it.");
  }

  @ParameterizedTest
  @EnumSource(
      value = Condition.class,
      names = {"VESSEL_DISEASE", "CAROTID_DISEASE"})
  void strokeAndNarrowedVesselsAreHeartConditions(Condition condition) {
    Screening screening = cleared(having(50, Activity.SOME, condition));
    assertThat(screening.decision()).isEqualTo(Decision.DISEASE);
    assertThat(screening.supervised()).isTrue();
    assertThat(screening.effects().highestEffort()).isEqualTo(14);
  }

  /** A minor of whom nothing has been asked is no more decided than anybody else. */
  @ParameterizedTest
  @ValueSource(ints = {16, 40})
  void whoHasNotBeenAskedAnythingIsNotDecidedYet(int age) {
    Person person = adult(age, Activity.SOME);
    for (Optional<Intake> intake :
        List.of(
            Optional.<Intake>empty(),
            Optional.of(
                Intake.following(List.of(), Answers.begun(Activity.SOME), daysAgo(1), ZONE)))) {
      Screening screening = Screening.of(client(person), intake, OnRecord.NOTHING, TODAY, ZONE);
      assertThat(screening.decided()).isFalse();
      assertThat(screening.stops()).isEmpty();
      assertThat(screening.sentence()).startsWith("Nothing has been asked yet");
      assertThat(screening.permission().mayIssue()).isFalse();
      assertThat(screening.next()).isEqualTo("Ask the questions that are still open.");
    }
  }

  @Test
  void aMinorWithoutConsentIsStoppedOnceAllHasBeenAsked() {
    Person minor = adult(16, Activity.SOME);
    Screening missing = screening(minor, false);
    assertThat(missing.stops()).extracting(Finding::code).containsExactly("consent-first");
    assertThat(missing.permission().mayIssue()).isFalse();
    assertThat(screening(minor, true).permission().mayIssue()).isTrue();
    assertThat(screening(adult(18, Activity.SOME), false).permission().mayIssue()).isTrue();
  }

  @Test
  void aConsentSaysWhoAndWhen() {
    assertThatThrownBy(
            () ->
                Consent.of(
                    new UUID(1, 1), " ", TODAY.plusDays(1), "x".repeat(201), daysAgo(0), ZONE))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused ->
                assertThat(refused.faults())
                    .extracting(Fault::field)
                    .containsExactly("givenBy", "note", "givenOn"));
  }

  @Test
  void aDefibrillatorWithoutItsRateInWritingHasNoRateWork() {
    Person person = having(50, Activity.SOME, Condition.DEFIBRILLATOR);
    Screening screening = limited(person, limit(WrittenLimit.Kind.CAP, 130, null));
    assertThat(screening.noRateBecause().orElseThrow()).contains("detection rate is not on record");
    assertThat(screening.effects().steering()).isEqualTo(IntensityGuide.EFFORT_AND_TALK_ONLY);
  }

  @Test
  void aWrittenEffortIsHeldBelowWhatTheContextHolds() {
    Person heart = having(50, Activity.SOME, Condition.HEART_CONDITION);
    assertThat(
            limited(heart, limit(WrittenLimit.Kind.EFFORT_CAP, 12, null)).effects().highestEffort())
        .isEqualTo(12);
    assertThat(
            limited(heart, limit(WrittenLimit.Kind.EFFORT_CAP, 16, null)).effects().highestEffort())
        .isEqualTo(14);
  }

  @Test
  void inPregnancyTheMidwifesWordIsAskedForUntilItIsOnRecord() {
    Person person = having(33, Activity.SOME, Condition.PREGNANCY);
    assertThat(codes(cleared(person))).contains("pregnancy-word");
    assertThat(codes(cleared(person, clearance(3, Allows.LIGHT_TO_MODERATE, 90))))
        .doesNotContain("pregnancy-word");
  }

  private static List<String> faults(Answers answers, OptionalInt restingBpm) {
    try {
      answers.check(restingBpm, TODAY);
      return List.of();
    } catch (InvalidValueException invalid) {
      return invalid.faults().stream().map(Fault::field).toList();
    }
  }

  @Test
  void badAnswersAreRefusedEachAtItsField() {
    Person person = adult(40, Activity.SOME);
    Answers bad =
        new Answers(
            Set.of(Topic.values()),
            Activity.SOME,
            false,
            Set.of(),
            Set.of(),
            List.of(
                new Medicine(
                    MedicineClass.OTHER,
                    "x".repeat(61),
                    "y".repeat(41),
                    Optional.of(TODAY.plusDays(1)))),
            List.of(
                limit(WrittenLimit.Kind.CAP, 300, -20),
                new WrittenLimit(
                    WrittenLimit.Kind.EFFORT_CAP,
                    OptionalInt.empty(),
                    "",
                    TODAY.plusDays(1),
                    Optional.empty())),
            Optional.empty(),
            Set.of(),
            Set.of(),
            OptionalInt.of(79),
            Optional.of(new BigDecimal("350.5")),
            OptionalInt.of(24));
    assertThat(faults(bad, OptionalInt.empty()))
        .containsExactly(
            "medicines[0].name",
            "medicines[0].dose",
            "medicines[0].since",
            "limits[0].until",
            "limits[0].value",
            "limits[1].issuer",
            "limits[1].issuedOn",
            "limits[1].value",
            "heightCm",
            "weightKg",
            "usualRestingBpm");
    assertThat(faults(answers(person), OptionalInt.empty())).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    // kind, value, resting -> refused
    "CAP,            64, true",
    "CAP,            65, false",
    "DETECTION_RATE, 74, true",
    "DETECTION_RATE, 75, false",
    "EFFORT_CAP,     13, false",
  })
  void aCapUnderTheRestingRateIsRefused(WrittenLimit.Kind kind, int value, boolean refused) {
    Person person = adult(40, Activity.SOME);
    Answers answers = answers(person, List.of(), List.of(limit(kind, value, null)), Set.of());
    assertThat(faults(answers, OptionalInt.of(64)))
        .isEqualTo(refused ? List.of("limits[0].value") : List.of());
    assertThat(faults(answers, OptionalInt.empty())).isEmpty();
  }

  @Test
  void aClearanceThatCannotBeIsRefused() {
    LocalDate tomorrow = TODAY.plusDays(1);
    Instant now = daysAgo(0);
    assertThatThrownBy(
            () ->
                Clearance.of(
                    new java.util.UUID(0, 1),
                    " ",
                    tomorrow,
                    Allows.NOTHING,
                    TODAY,
                    "x".repeat(201),
                    now,
                    ZONE))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            invalid ->
                assertThat(invalid.faults())
                    .extracting(Fault::field)
                    .containsExactly("issuer", "note", "issuedOn", "until", "allows"));
  }
}
