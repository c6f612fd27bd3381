package app.korvel.core.maximum;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Person;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ChoiceTest {
  private static final Person ADULT = adult(45, Activity.SOME);

  private static MaximumEstimates estimates(Person person, Mode mode, Choice choice) {
    return MaximumEstimates.of(person, OptionalInt.of(64), mode, Optional.ofNullable(choice));
  }

  private static Choice nes() {
    return Choice.of("nes-211", "rowed at 178 last week", TODAY);
  }

  @Test
  void theChoiceIsInUseAndSaysSoWithItsReason() {
    MaximumEstimates chosen = estimates(ADULT, Mode.RUN, nes());
    assertThat(chosen.inUse().orElseThrow().bpm()).hasValue(182);
    assertThat(chosen.recommended().orElseThrow().bpm()).hasValue(177);
    assertThat(chosen.chosen()).isTrue();
    assertThat(chosen.findings().get(0).message())
        .isEqualTo("211 − 0.64 × age is in use, your choice of 20 May 2026.");
    assertThat(chosen.findings().get(0).because())
        .isEqualTo("Your reason: “rowed at 178 last week”. By rule it would be 208 − 0.7 × age.");
  }

  @Test
  void theChoiceHoldsInEveryModeLessWhatTheModeTakesOff() {
    assertThat(estimates(ADULT, Mode.CYCLE, nes()).inUse().orElseThrow().bpm()).hasValue(172);
  }

  @Test
  void withoutAChoiceTheDefaultIsInUse() {
    MaximumEstimates plain = estimates(ADULT, Mode.RUN, null);
    assertThat(plain.inUse()).isEqualTo(plain.recommended());
    assertThat(plain.chosen()).isFalse();
    assertThat(plain.choiceFinding()).isEmpty();
  }

  @Test
  void aChoiceThatNoLongerAppliesIsSetAsideAndSaysWhy() {
    MaximumEstimates later =
        estimates(with(45, Activity.SOME, false, false, true), Mode.RUN, nes());
    assertThat(later.inUse().orElseThrow().bpm()).hasValue(147);
    assertThat(later.chosen()).isFalse();
    assertThat(later.choiceFinding().orElseThrow().because())
        .startsWith("Not on a beta-blocker")
        .endsWith("What is used instead: 208 − 0.7 × age − 30.");
    MaximumEstimates failure =
        estimates(with(45, Activity.SOME, false, true, false), Mode.RUN, nes());
    assertThat(failure.inUse()).isEmpty();
    assertThat(failure.choiceFinding().orElseThrow().because()).endsWith("no equation.");
  }

  @ParameterizedTest
  @CsvSource({
    "gulati-206, Derived from women.",
    "brawner-164, Only for people with coronary disease.",
    "beta-minus-30, Only for people who take a beta-blocker.",
    "made-up, no equation has this id",
  })
  void whatDoesNotApplyCannotBeChosenAndSaysWhy(String method, String why) {
    assertThatThrownBy(
            () -> estimates(ADULT, Mode.RUN, null).choose(method, "a good reason", TODAY))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused -> {
              assertThat(refused.faults().get(0).message()).contains(why);
              assertThat(refused.faults().get(0).accepted()).contains("nes-211");
            });
  }

  @Test
  void withHeartFailureNothingCanBeChosen() {
    Person failure = with(66, Activity.SOME, false, true, true);
    assertThatThrownBy(
            () -> estimates(failure, Mode.RUN, null).choose("keteyian-hf", "they asked", TODAY))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused ->
                assertThat(refused.faults().get(0).accepted()).isEqualTo("none for this client"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "  ", "ab", "two\nlines"})
  void aReasonSaysSomething(String reason) {
    assertThatThrownBy(() -> Choice.of("nes-211", reason, TODAY))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("reason");
  }

  @Test
  void aReasonMayBeTwoHundredCharactersAndIsTrimmed() {
    assertThat(Choice.of("nes-211", " " + "x".repeat(200) + " ", TODAY).reason()).hasSize(200);
    assertThatThrownBy(() -> Choice.of("nes-211", "x".repeat(201), TODAY))
        .isInstanceOf(InvalidValueException.class);
  }
}
