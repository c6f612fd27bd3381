package app.korvel.core.talk;

import static app.korvel.core.support.People.having;
import static app.korvel.core.support.People.screening;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Person;
import app.korvel.core.support.People;
import app.korvel.core.talk.Standing.Use;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class StandingTest {
  private static Standing of(Person person) {
    return Standing.of(screening(person, true), false);
  }

  @ParameterizedTest
  @CsvSource({
    "HEART_FAILURE, NOT_COMPUTED",
    "IRREGULAR_RHYTHM, NOT_COMPUTED",
    "PACEMAKER, NOT_COMPUTED",
    "AUTONOMIC_NEUROPATHY, NOT_COMPUTED",
    "PREGNANCY, NOT_OFFERED",
    "HEART_CONDITION, ONLY_LOWERS",
    "DEFIBRILLATOR, ONLY_LOWERS",
    "RESPIRATORY, ONLY_LOWERS",
    "FALLS, MAY_RISE",
  })
  void aConditionDecides(Condition condition, Use use) {
    assertThat(of(having(46, Activity.REGULAR, condition)).use()).isEqualTo(use);
  }

  @Test
  void theWeightiestDecides() {
    assertThat(of(having(16, Activity.REGULAR, Condition.PACEMAKER)).use())
        .isEqualTo(Use.NOT_COMPUTED);
    assertThat(of(having(16, Activity.REGULAR)).use()).isEqualTo(Use.SHOWN_ONLY);
    assertThat(of(People.with(46, Activity.REGULAR, false, false, true)).because())
        .isEqualTo("someone on rate-lowering medication");
  }

  @ParameterizedTest
  @EnumSource(Activity.class)
  void onlyWhoIsRegularlyActiveRises(Activity activity) {
    Set<Activity> regular = Set.of(Activity.REGULAR, Activity.HIGH);
    assertThat(of(People.adult(46, activity)).use())
        .isEqualTo(regular.contains(activity) ? Use.MAY_RISE : Use.ONLY_LOWERS);
  }

  @Test
  void notInTheFirstWeeksAndAt70AsEveryone() {
    Standing first = Standing.of(screening(People.adult(46, Activity.REGULAR), true), true);
    assertThat(first.use()).isEqualTo(Use.ONLY_LOWERS);
    assertThat(first.because()).isEqualTo("someone in the first 12 weeks");
    assertThat(Standing.of(screening(People.adult(46, Activity.NONE), true), true).because())
        .isEqualTo("someone new to exercise");
    assertThat(of(People.adult(70, Activity.REGULAR)).use()).isEqualTo(Use.MAY_RISE);
  }
}
