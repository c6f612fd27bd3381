package app.korvel.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RoundingTest {

  @ParameterizedTest
  @CsvSource({"176.5,177", "176.49,176", "0.5,1", "108.8,109", "131,131"})
  void halvesGoUp(BigDecimal exact, int whole) {
    assertThat(Rounding.halfUp(exact)).isEqualTo(whole);
  }

  @ParameterizedTest
  @CsvSource({"1635,60,27", "1950,60,33", "3270,60,55", "5,2,3", "0,60,0"})
  void quotientsGoUpAtTheHalf(long numerator, long denominator, int whole) {
    assertThat(Rounding.quotient(numerator, denominator)).isEqualTo(whole);
  }

  @Test
  void percentsCarryOneDecimal() {
    assertThat(Rounding.percent(45, 112)).isEqualByComparingTo("40.2");
    assertThat(Rounding.percent(109, 176)).isEqualByComparingTo("61.9");
  }

  @Test
  void limitsIncludeBothEndsAndSayWhatTheyAccept() {
    assertThat(Limit.RESTING.check("restingBpm", 25)).isEqualTo(25);
    assertThat(Limit.RESTING.check("restingBpm", 150)).isEqualTo(150);
    assertThatThrownBy(() -> Limit.RESTING.check("restingBpm", 151))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            invalid ->
                assertThat(invalid.faults())
                    .containsExactly(
                        new InvalidValueException.Fault(
                            "restingBpm", "151 is outside the accepted range", "25 to 150 bpm")));
    assertThatThrownBy(() -> Limit.RESTING.check("restingBpm", 24))
        .isInstanceOf(InvalidValueException.class);
  }
}
