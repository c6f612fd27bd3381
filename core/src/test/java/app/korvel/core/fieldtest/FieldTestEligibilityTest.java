package app.korvel.core.fieldtest;

import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.answers;
import static app.korvel.core.support.People.clearance;
import static app.korvel.core.support.People.having;
import static app.korvel.core.support.People.screening;
import static app.korvel.core.support.People.taking;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.checkin.Outcome;
import app.korvel.core.measure.Finding;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FieldTestEligibilityTest {

  private static List<String> codes(
      FieldTestProtocol protocol, Screening screening, Outcome today) {
    return FieldTestEligibility.of(protocol, screening, Optional.ofNullable(today))
        .findings()
        .stream()
        .map(Finding::code)
        .toList();
  }

  private static List<String> hills(Person person) {
    return codes(FieldTestProtocol.HILL_REPEATS, screening(person, true), Outcome.GO);
  }

  @Test
  void aWellAndActiveAdultMayAfterAGo() {
    assertThat(hills(adult(40, Activity.REGULAR))).containsExactly("field-test-open");
  }

  @ParameterizedTest
  @CsvSource({
    "HEART_CONDITION, field-test-heart",
    "IRREGULAR_RHYTHM, field-test-heart",
    "PREGNANCY, field-test-pregnant",
    "RESPIRATORY, field-test-effort",
    "FALLS, field-test-falls",
  })
  void aConditionSpeaksAgainstIt(Condition condition, String code) {
    assertThat(hills(having(40, Activity.REGULAR, condition))).contains(code);
  }

  @Test
  void fallsLeaveTheHalfHourOpenWithACaution() {
    Screening falls = screening(having(40, Activity.REGULAR, Condition.FALLS), true);
    FieldTestEligibility half =
        FieldTestEligibility.of(FieldTestProtocol.HARD_HALF_HOUR, falls, Optional.of(Outcome.GO));
    assertThat(half.open()).isTrue();
    assertThat(half.findings()).extracting(Finding::code).contains("field-test-joints");
    assertThat(
            FieldTestEligibility.of(FieldTestProtocol.RAMP, falls, Optional.of(Outcome.GO)).open())
        .isFalse();
  }

  @Test
  void adultsClearedForVigorousWorkOnly() {
    assertThat(hills(adult(17, Activity.HIGH))).contains("field-test-adults");
    assertThat(hills(adult(18, Activity.HIGH))).containsExactly("field-test-open");
    assertThat(hills(adult(40, Activity.SOME))).containsExactly("field-test-not-vigorous");
    Person diabetes = having(40, Activity.REGULAR, Condition.DIABETES);
    assertThat(hills(diabetes)).contains("field-test-not-vigorous");
    Screening cleared = screening(diabetes, answers(diabetes), clearance(10, Allows.VIGOROUS, 90));
    assertThat(codes(FieldTestProtocol.RAMP, cleared, Outcome.GO))
        .containsExactly("field-test-open");
  }

  @Test
  void onABetaBlockerAMeasuredOneIsBestSoItMay() {
    assertThat(hills(taking(40, Activity.REGULAR, MedicineClass.BETA_BLOCKER)))
        .containsExactly("field-test-open");
  }

  @Test
  void todayDecidesLast() {
    Screening well = screening(adult(40, Activity.REGULAR), true);
    assertThat(codes(FieldTestProtocol.RAMP, well, null)).containsExactly("field-test-check-in");
    assertThat(codes(FieldTestProtocol.RAMP, well, Outcome.LIGHT_ONLY))
        .containsExactly("field-test-not-today");
    assertThat(codes(FieldTestProtocol.RAMP, well, Outcome.NOT_TODAY))
        .containsExactly("field-test-not-today");
    assertThat(FieldTestEligibility.of(FieldTestProtocol.RAMP, well, Optional.empty()).onlyToday())
        .isTrue();
    assertThat(
            FieldTestEligibility.of(
                    FieldTestProtocol.RAMP,
                    screening(adult(17, Activity.HIGH), true),
                    Optional.empty())
                .onlyToday())
        .isFalse();
  }
}
