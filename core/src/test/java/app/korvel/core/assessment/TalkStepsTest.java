package app.korvel.core.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.assessment.TalkSteps.Step;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.Grade;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What the steps of talk come to. */
class TalkStepsTest {
  /** Pairs of rate and voice. */
  private static List<Step> steps(int... pairs) {
    List<Step> steps = new ArrayList<>();
    for (int n = 0; n < pairs.length; n += 2) {
      steps.add(Step.of(pairs[n], pairs[n + 1]));
    }
    return steps;
  }

  private static TalkSteps strap(int... pairs) {
    return TalkSteps.of(steps(pairs), RateSource.STRAP, false);
  }

  @Test
  void theLastWithSentencesAndTheFirstWithWords() {
    TalkSteps talk = strap(98, 1, 113, 2, 127, 2, 141, 3, 155, 4);
    assertThat(talk.lowerBpm()).hasValue(127);
    assertThat(talk.upperBpm()).hasValue(155);
    assertThat(talk.widthBpm()).hasValue(14);
    assertThat(talk.departures()).isEmpty();
    assertThat(talk.grade()).isEqualTo(Grade.GOOD);
    assertThat(talk.serves()).isTrue();
  }

  @Test
  void withoutTheOneOrTheOther() {
    TalkSteps tooHard = strap(130, 3, 145, 4);
    assertThat(tooHard.lowerBpm()).isEmpty();
    assertThat(tooHard.upperBpm()).hasValue(145);
    assertThat(tooHard.serves()).isFalse();
    TalkSteps sooner = strap(98, 1, 113, 2, 127, 3);
    assertThat(sooner.lowerBpm()).hasValue(113);
    assertThat(sooner.upperBpm()).isEmpty();
    assertThat(strap(98, 1, 113, 2).lowerBpm()).isEmpty();
  }

  @Test
  void eachDepartureTakesAGrade() {
    assertThat(strap(98, 2, 113, 3, 127, 2, 141, 4).departures())
        .containsExactly("whole sentences came back at a harder step");
    assertThat(strap(98, 2, 100, 2, 127, 3, 141, 4).departures())
        .containsExactly("step 2 rose by under 3 bpm");
    assertThat(strap(98, 2, 101, 2, 127, 3, 141, 4).grade()).isEqualTo(Grade.GOOD);
    assertThat(TalkSteps.of(steps(98, 2, 113, 3, 127, 4), RateSource.COUNT, false).grade())
        .isEqualTo(Grade.FAIR);
    assertThat(TalkSteps.of(steps(98, 2, 99, 3, 127, 4), RateSource.WRIST, false).grade())
        .isEqualTo(Grade.POOR);
    TalkSteps lost =
        TalkSteps.of(
            List.of(Step.of(98, 2), new Step(113, 3, true), Step.of(127, 4)),
            RateSource.STRAP,
            false);
    assertThat(lost.grade()).isEqualTo(Grade.FAIR);
  }

  @Test
  void whereOnlySentencesAreLookedFor() {
    TalkSteps talk = TalkSteps.of(steps(98, 1, 113, 2, 125, 3), RateSource.STRAP, true);
    assertThat(talk.lowerBpm()).hasValue(113);
    assertThat(talk.upperBpm()).isEmpty();
    assertThatThrownBy(() -> TalkSteps.of(steps(98, 1, 113, 3, 125, 3), RateSource.STRAP, true))
        .hasMessageContaining("comes after the step that ends the test");
  }

  @Test
  void badSteps() {
    assertThatThrownBy(() -> strap()).isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> strap(98, 6)).hasMessageContaining("outside the accepted range");
    assertThatThrownBy(() -> strap(98, 0)).hasMessageContaining("outside the accepted range");
    assertThatThrownBy(() -> strap(10, 2)).hasMessageContaining("outside the accepted range");
    assertThatThrownBy(() -> strap(98, 2, 120, 4, 130, 4)).hasMessageContaining("steps[2]");
  }
}
