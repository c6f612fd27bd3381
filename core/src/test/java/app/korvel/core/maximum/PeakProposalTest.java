package app.korvel.core.maximum;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.having;
import static app.korvel.core.support.People.with;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.pulse.Grade;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Person;
import app.korvel.core.support.Maxima;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Age 45 on the default equation: 177 running. */
class PeakProposalTest {
  private static Optional<PeakProposal> proposed(
      int bpm, Person person, MeasuredMaximum... measured) {
    return PeakProposal.of(
        bpm,
        MaximumRecord.of(
            person,
            OptionalInt.of(64),
            Mode.RUN,
            Optional.empty(),
            List.of(measured),
            Optional.empty(),
            TODAY,
            ZONE));
  }

  private static Optional<PeakProposal> proposed(int bpm, MeasuredMaximum... measured) {
    return proposed(bpm, adult(45, Activity.REGULAR), measured);
  }

  @ParameterizedTest
  @CsvSource({"120", "176", "177"})
  void aPeakThatDoesNotGoPastTheWorkingMaximumSaysNothing(int bpm) {
    assertThat(proposed(bpm)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"178, 1", "188, 11", "205, 28"})
  void oneThatGoesPastItIsOffered(int bpm, int over) {
    PeakProposal proposal = proposed(bpm).orElseThrow();
    assertThat(proposal.offered()).isTrue();
    assertThat(proposal.bpm()).isEqualTo(bpm);
    assertThat(proposal.finding().code()).isEqualTo("peak-seen");
    assertThat(proposal.finding().message())
        .startsWith("A peak of %d, %d over".formatted(bpm, over));
  }

  @Test
  void itIsHeldAgainstAMeasuredMaximumWhereThereIsOne() {
    MeasuredMaximum test =
        Maxima.test(Mode.RUN, MaximumKind.FIELD_TEST, Grade.GOOD, 190, TODAY.minusMonths(1));
    assertThat(proposed(188, test)).isEmpty();
    assertThat(proposed(192, test).orElseThrow().finding().message())
        .startsWith("A peak of 192, 2 over");
  }

  @ParameterizedTest
  @EnumSource(
      value = Condition.class,
      names = {"PREGNANCY", "IRREGULAR_RHYTHM"})
  void ofSomeItIsKeptAndNeverTakenForAMaximum(Condition condition) {
    PeakProposal proposal = proposed(200, having(45, Activity.REGULAR, condition)).orElseThrow();
    assertThat(proposal.offered()).isFalse();
    assertThat(proposal.finding().code()).isEqualTo("peak-not-taken");
  }

  @Test
  void underEighteenItIsNotTaken() {
    assertThat(proposed(210, adult(17, Activity.REGULAR)).orElseThrow().offered()).isFalse();
    assertThat(proposed(210, adult(18, Activity.REGULAR)).orElseThrow().offered()).isTrue();
  }

  @Test
  void withHeartDiseaseItIsNotOffered() {
    Person person = with(45, Activity.REGULAR, true, false, false);
    assertThat(proposed(200, person).orElseThrow().offered()).isFalse();
  }
}
