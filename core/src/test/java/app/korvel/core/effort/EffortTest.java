package app.korvel.core.effort;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.daysAgo;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class EffortTest {

  private static Effort of(String name, int bpm, Integer minutes, LocalDate on, Reserve reserve) {
    return Effort.of(
        new UUID(1, 1),
        name,
        Mode.RUN,
        bpm,
        Optional.ofNullable(minutes),
        on,
        reserve,
        "tanaka-208",
        daysAgo(0),
        ZONE);
  }

  @Test
  void twoPeopleAtTheSameEffortHaveDifferentRates() {
    // 64 to 176: (142 − 64) ÷ 112 = 69.64 %; 52 to 188: (147 − 52) ÷ 136 = 69.85 %
    Effort one = of("Harbour mile", 142, 9, TODAY, Reserve.of(64, 176));
    Effort other = of("Harbour mile", 147, 7, TODAY, Reserve.of(52, 188));
    assertThat(one.percentOfReserve()).isEqualByComparingTo("69.6");
    assertThat(other.percentOfReserve()).isEqualByComparingTo("69.9");
    // 142 ÷ 176 = 80.68 %, 147 ÷ 188 = 78.19 %
    assertThat(one.percentOfMaximum()).isEqualByComparingTo("80.7");
    assertThat(other.percentOfMaximum()).isEqualByComparingTo("78.2");
    assertThat(one.level()).isEqualTo(Level.PHRASES);
    assertThat(one.finding()).isEmpty();
  }

  @Test
  void anAverageOverTheMaximumIsSaidToBeWrongSomewhere() {
    Effort over = of("Sprint", 180, null, TODAY, Reserve.of(64, 176));
    assertThat(over.percentOfReserve()).isEqualByComparingTo("103.6");
    assertThat(over.finding().orElseThrow().code()).isEqualTo("effort-over-maximum");
  }

  @Test
  void badInputIsNamedAtOnce() {
    assertThatThrownBy(() -> of(" ", 63, 1441, TODAY.plusDays(1), Reserve.of(64, 176)))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused -> {
              assertThat(refused.faults())
                  .extracting(Fault::field)
                  .containsExactly("name", "averageBpm", "minutes", "doneOn");
              assertThat(refused.faults().get(1).accepted()).isEqualTo("64 to 230 bpm");
            });
    assertThatThrownBy(() -> of("x".repeat(61), 231, 0, TODAY, Reserve.of(64, 176)))
        .hasMessageContaining("name");
  }
}
