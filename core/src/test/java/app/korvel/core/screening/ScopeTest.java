package app.korvel.core.screening;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.measure.Finding;
import app.korvel.core.support.People;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What may be asked of someone of whom only a few facts are given. */
class ScopeTest {

  @ParameterizedTest
  @CsvSource({
    // activity, known disease, may be issued, allows, what is found
    "SOME, false, true, LIGHT_TO_MODERATE, clearance-not-needed",
    "REGULAR, false, true, VIGOROUS, clearance-not-needed-active",
    "SOME, true, false, LIGHT_TO_MODERATE, clearance-first",
    "HIGH, true, true, MODERATE, moderate-continues",
  })
  void withoutAScreeningItIsWhatNeedsNoClearance(
      Activity activity, boolean disease, boolean mayIssue, Allows allows, String found) {
    Person person =
        disease ? People.having(40, activity, Condition.DIABETES) : People.adult(40, activity);
    Permission permission = Scope.unscreened(person).permission();
    assertThat(permission.mayIssue()).isEqualTo(mayIssue);
    assertThat(permission.allows()).isEqualTo(allows);
    assertThat(permission.findings()).extracting(Finding::code).contains(found);
    assertThat(permission.notVigorousBecause().isEmpty()).isEqualTo(allows == Allows.VIGOROUS);
  }

  @Test
  void itsContextsAreThoseOfThePerson() {
    Scope scope = Scope.unscreened(People.having(70, Activity.SOME, Condition.HEART_CONDITION));
    assertThat(scope.effects().warmUpMinutes()).isEqualTo(15);
    assertThat(scope.effects().highestEffort()).isEqualTo(14);
    assertThat(scope.effects().leaveOut()).contains(Contraindication.LONG_HOLDS);
  }

  @Test
  void aScreeningHasTheSameScope() {
    Screening screening = People.screening(People.adult(40, Activity.REGULAR), false);
    assertThat(screening.scope().person()).isEqualTo(screening.person());
    assertThat(screening.scope().permission()).isEqualTo(screening.permission());
    assertThat(screening.scope().effects()).isEqualTo(screening.effects());
  }
}
