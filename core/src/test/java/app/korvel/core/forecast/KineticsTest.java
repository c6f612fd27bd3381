package app.korvel.core.forecast;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.forecast.ForecastRecord.Foreseen;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Time constants and errors of somebody's last sessions. */
class KineticsTest {
  private static final LocalDate TODAY = LocalDate.of(2030, 6, 18);

  private static ForeseenSession told(List<Integer> rises, List<Integer> falls) {
    return new ForeseenSession(rises, falls, 50, 75, OptionalInt.of(4), OptionalInt.of(2), 80);
  }

  private static Foreseen settled(int daysAgo, int bpm) {
    return new Foreseen(
        new UUID(0, daysAgo),
        TODAY.minusDays(daysAgo),
        new ForeseenSession(
            List.of(), List.of(), 50, 75, OptionalInt.of(9), OptionalInt.of(bpm), 40));
  }

  @Test
  void theUsualOnesGoByRegularActivity() {
    assertThat(Kinetics.usual(true).up().seconds()).isEqualTo(35);
    assertThat(Kinetics.usual(true).down().seconds()).isEqualTo(55);
    assertThat(Kinetics.usual(false).up().seconds()).isEqualTo(50);
    assertThat(Kinetics.usual(false).down().seconds()).isEqualTo(75);
    assertThat(Kinetics.usual(false).up().own()).isFalse();
  }

  @Test
  void fromThreeFitsOnEachIsTheClientsOwn() {
    Kinetics two =
        Kinetics.of(
            false, List.of(told(List.of(40), List.of(90)), told(List.of(44), List.of(96, 70))));
    assertThat(two.up()).isEqualTo(Kinetics.usual(false).up());
    assertThat(two.down()).isEqualTo(new Kinetics.TimeConstant(90, 3));
    Kinetics four =
        Kinetics.of(
            true, List.of(told(List.of(60, 40), List.of()), told(List.of(44, 48), List.of())));
    assertThat(four.up()).as("the lower of two").isEqualTo(new Kinetics.TimeConstant(44, 4));
  }

  @Test
  void theyAreHeldWithinWhatAHeartCanDo() {
    Kinetics held = Kinetics.of(false, List.of(told(List.of(11, 12, 13), List.of(190, 210, 240))));
    assertThat(held.up().seconds()).isEqualTo(15);
    assertThat(held.down().seconds()).isEqualTo(150);
  }

  @Test
  void theLatestTenSessionsCount() {
    List<Foreseen> many = new ArrayList<>();
    for (int n = 0; n < 12; n++) {
      many.add(
          new Foreseen(
              new UUID(0, n),
              TODAY.minusDays(40 - n),
              told(List.of(n < 2 ? 140 : 30 + n), List.of())));
    }
    ForecastRecord record = ForecastRecord.of(false, many, TODAY);
    assertThat(record.sessions()).hasSize(10);
    assertThat(record.kinetics().up()).isEqualTo(new Kinetics.TimeConstant(36, 10));
  }

  @Test
  void threeInFourWeeksThatSettledFarOverWereHarder() {
    assertThat(
            ForecastRecord.of(
                    false, List.of(settled(20, 11), settled(9, 14), settled(2, 12)), TODAY)
                .finding())
        .hasValueSatisfying(
            finding ->
                assertThat(finding.message())
                    .isEqualTo(
                        "Harder than forecast: 3 of the sessions since 22 May settled over 10 bpm"
                            + " above their forecast."));
  }

  @Test
  void tenBpmOverOrOnceLongerAgoIsNotYet() {
    assertThat(
            ForecastRecord.of(
                    false, List.of(settled(20, 11), settled(9, 10), settled(2, 12)), TODAY)
                .finding())
        .isEmpty();
    assertThat(
            ForecastRecord.of(
                    false, List.of(settled(28, 11), settled(9, 14), settled(2, 12)), TODAY)
                .finding())
        .isEmpty();
    assertThat(
            ForecastRecord.of(
                    false, List.of(settled(27, 11), settled(9, 14), settled(2, 12)), TODAY)
                .finding())
        .isPresent();
  }
}
