package app.korvel.core.assessment;

import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.having;
import static app.korvel.core.support.People.screening;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.checkin.Outcome;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Person;
import app.korvel.core.support.People;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Who may do which test, and why not. */
class TestEligibilityTest {
  private static final TestPlan.Order ORDER =
      new TestPlan.Order("Dr Vey", People.TODAY, OptionalInt.empty());

  private static TestEligibility of(TestKind kind, Person person) {
    return TestEligibility.of(
        kind, screening(person, true), Optional.of(Outcome.GO), Optional.empty());
  }

  private static TestEligibility ordered(Person person) {
    return TestEligibility.of(
        TestKind.GRADED, screening(person, true), Optional.of(Outcome.GO), Optional.of(ORDER));
  }

  @ParameterizedTest
  @EnumSource(TestKind.class)
  void aWellAndActiveAdultMayDoAllAfterAGo(TestKind kind) {
    Person person = adult(40, Activity.REGULAR);
    assertThat(of(kind, person).open()).isTrue();
    assertThat(of(kind, person).hard()).isTrue();
    TestEligibility early =
        TestEligibility.of(kind, screening(person, true), Optional.empty(), Optional.empty());
    assertThat(early.open()).isFalse();
    assertThat(early.onlyToday()).isTrue();
    TestEligibility light =
        TestEligibility.of(
            kind, screening(person, true), Optional.of(Outcome.LIGHT_ONLY), Optional.empty());
    assertThat(light.open()).isFalse();
  }

  @ParameterizedTest
  @CsvSource({"HIGH_BENCH", "LOW_BENCH"})
  void theBenchesAreForAdultsClearedForVigorousWork(TestKind bench) {
    assertThat(of(bench, adult(17, Activity.HIGH)).open()).isFalse();
    assertThat(of(bench, adult(18, Activity.HIGH)).open()).isTrue();
    assertThat(of(bench, adult(40, Activity.SOME)).open()).isFalse();
    for (Condition condition :
        new Condition[] {
          Condition.HEART_CONDITION, Condition.PREGNANCY, Condition.FALLS, Condition.JOINTS
        }) {
      assertThat(of(bench, having(40, Activity.REGULAR, condition)).open())
          .as(condition.name())
          .isFalse();
    }
  }

  @Test
  void theMileAndTheStepsOfTalkAreDoneLighterWhereHardIsNotAllowed() {
    Person some = adult(40, Activity.SOME);
    assertThat(of(TestKind.MILE, some).open()).isTrue();
    assertThat(of(TestKind.MILE, some).hard()).isFalse();
    assertThat(WorkedFiguresTest.codes(of(TestKind.MILE, some).findings()))
        .contains("mile-inside-target");
    assertThat(WorkedFiguresTest.codes(of(TestKind.TALK_STEPS, some).findings()))
        .contains("test-lower-only");
    assertThat(of(TestKind.TALK_STEPS, adult(17, Activity.HIGH)).hard()).isFalse();
  }

  @Test
  void whereNoRateIsUsedTheTwoMinuteTestIsLeft() {
    Person irregular = having(40, Activity.REGULAR, Condition.IRREGULAR_RHYTHM);
    assertThat(WorkedFiguresTest.codes(of(TestKind.TALK_STEPS, irregular).findings()))
        .contains("test-no-rate");
    assertThat(WorkedFiguresTest.codes(of(TestKind.TWO_MINUTE, irregular).findings()))
        .contains("test-rate-unsure");
  }

  @ParameterizedTest
  @CsvSource({"HEART_CONDITION", "DEFIBRILLATOR", "PREGNANCY"})
  void aGradedTestIsForThemOnlyAsOrdered(Condition condition) {
    Person person = having(40, Activity.REGULAR, condition);
    assertThat(of(TestKind.GRADED, person).open()).isFalse();
    assertThat(of(TestKind.GRADED, person).needsOrder()).isTrue();
    assertThat(WorkedFiguresTest.codes(of(TestKind.GRADED, person).findings()))
        .contains("graded-order");
    assertThat(ordered(person).open()).isTrue();
    assertThat(ordered(person).findings())
        .anyMatch(finding -> finding.message().contains("Dr Vey on 20 May 2026"));
  }

  @Test
  void withoutVigorousWorkAnOrderThatNamesItOpensIt() {
    assertThat(of(TestKind.GRADED, adult(40, Activity.SOME)).open()).isFalse();
    assertThat(ordered(adult(40, Activity.SOME)).open()).isTrue();
    assertThat(of(TestKind.GRADED, adult(17, Activity.HIGH)).needsOrder()).isTrue();
  }
}
