package app.korvel.core.zone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Working;
import app.korvel.core.pulse.CountWindow;
import java.math.BigDecimal;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A range as beats to count. */
class CountCardTest {

  private static String counts(CountCard card, CountWindow window) {
    CountCard.Beats beats = card.beats().get(window);
    return beats.low() + "-" + beats.high();
  }

  @ParameterizedTest
  @CsvSource({
    "109, 131, 11-13, 18-22, 27-33, 55-66",
    "120, 142, 12-14, 20-24, 30-36, 60-71",
    "64,  108, 6-11,  11-18, 16-27, 32-54",
    "165, 176, 17-18, 28-29, 41-44, 83-88",
    "150, 150, 15-15, 25-25, 38-38, 75-75",
  })
  void workedByHand(int low, int high, String six, String ten, String fifteen, String thirty) {
    CountCard card = CountCard.of(low, high);
    assertThat(counts(card, CountWindow.S6)).isEqualTo(six);
    assertThat(counts(card, CountWindow.S10)).isEqualTo(ten);
    assertThat(counts(card, CountWindow.S15)).isEqualTo(fifteen);
    assertThat(counts(card, CountWindow.S30)).isEqualTo(thirty);
  }

  private static OptionalInt cap(int bpm) {
    return OptionalInt.of(bpm);
  }

  /** 64 to 176, 50–70 %, under a cap of 142 that does not cut it: 36 in 15 s would be 144. */
  @Test
  void aCapThatDoesNotCutTheRangeHoldsItsCountsAllTheSame() {
    Target target =
        Target.of(
                Anchors.of(Reserve.of(64, 176)),
                Basis.RESERVE,
                BigDecimal.valueOf(50),
                BigDecimal.valueOf(70),
                cap(142))
            .target()
            .orElseThrow();
    assertThat(target.highBpm()).isEqualTo(142);
    assertThat(target.capped()).isFalse();
    assertThat(counts(target.counts(), CountWindow.S15)).isEqualTo("30-35");
    // With room above it the count is rounded as ever: 36 in 15 s are 144.
    assertThat(counts(CountCard.of(120, 142, cap(144)), CountWindow.S15)).isEqualTo("30-36");
    assertThat(counts(CountCard.of(120, 142, cap(143)), CountWindow.S15)).isEqualTo("30-35");
    // A range over the cap is counted up to it.
    assertThat(counts(CountCard.of(120, 150, cap(142)), CountWindow.S15)).isEqualTo("30-35");
  }

  @Test
  void bandsAndTheRateAtTheCursorKeepTheCapToo() {
    Zones zones =
        Zones.of(
            Scheme.of("voice-ladder"),
            Anchors.of(Reserve.of(64, 176)),
            Uncertainty.USUAL,
            cap(130));
    // Talk is 109–130: 33 in 15 s would be 132.
    assertThat(counts(zones.bands().get(1).counts(), CountWindow.S15)).isEqualTo("27-32");
    assertThat(zones.readings())
        .filteredOn(reading -> !reading.overCap())
        .allSatisfy(
            reading ->
                CountCard.WINDOWS.forEach(
                    window ->
                        assertThat(reading.counts().beats().get(window).high() * 60)
                            .isLessThanOrEqualTo(130 * window.seconds())));
  }

  /** Whatever the cap: the highest count in any window never makes more than the cap. */
  @Test
  void underACapNoCountAllowsMore() {
    for (int cap = Limit.CAP.lowest(); cap <= Limit.CAP.highest(); cap++) {
      for (int high = Limit.PULSE.lowest(); high <= cap; high++) {
        CountCard card = CountCard.of(Math.max(Limit.PULSE.lowest(), high - 22), high, cap(cap));
        for (CountWindow window : CountCard.WINDOWS) {
          CountCard.Beats beats = card.beats().get(window);
          assertThat(beats.high() * 60)
              .as(high + " under " + cap + " in " + window)
              .isLessThanOrEqualTo(cap * window.seconds());
          assertThat(beats.low()).isLessThanOrEqualTo(beats.high());
        }
      }
    }
  }

  @Test
  void aSingleRateIsWorkedOutOnceAndTheSame() {
    for (int bpm = 0; bpm <= Limit.PULSE.highest(); bpm++) {
      assertThat(CountCard.of(bpm)).isEqualTo(CountCard.of(bpm, bpm)).isSameAs(CountCard.of(bpm));
    }
  }

  @Test
  void anUpperEdgeUnderTheLowerOneIsRefused() {
    assertThatThrownBy(() -> CountCard.of(131, 109))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused -> {
              assertThat(refused.faults().get(0).field()).isEqualTo("highBpm");
              assertThat(refused.faults().get(0).accepted()).isEqualTo("131 to 240 bpm");
            });
    assertThatThrownBy(() -> CountCard.longHand(131, 109, OptionalInt.empty()))
        .isInstanceOf(InvalidValueException.class);
  }

  @Test
  void theWorkingComesToTheCard() {
    for (OptionalInt cap : List.of(OptionalInt.empty(), cap(95), cap(130), cap(142))) {
      for (int low = 60; low < 180; low += 11) {
        int high = low + 23;
        CountCard card = CountCard.of(low, high, cap);
        List<Working.Line> lines = CountCard.longHand(low, high, cap).lines();
        assertThat(lines).hasSize(2 * CountCard.WINDOWS.size());
        for (int i = 0; i < CountCard.WINDOWS.size(); i++) {
          CountCard.Beats beats = card.beats().get(CountCard.WINDOWS.get(i));
          assertThat(lines.get(2 * i).answer()).isEqualByComparingTo("" + beats.low());
          assertThat(lines.get(2 * i + 1).answer()).isEqualByComparingTo("" + beats.high());
        }
      }
    }
    assertThat(CountCard.longHand(150, 150, OptionalInt.empty()).lines())
        .hasSize(CountCard.WINDOWS.size());
  }
}
