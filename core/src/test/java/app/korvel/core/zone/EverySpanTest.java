package app.korvel.core.zone;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.measure.LongHand;
import app.korvel.core.support.Spans;
import java.math.BigDecimal;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;

/** What holds for every scheme and every span that can be steered by. */
class EverySpanTest {
  static final List<Scheme> EVERY_SCHEME = Schemes.ALL;

  private static Reserve anySpan(Random random) {
    int rest = 30 + random.nextInt(90);
    return Reserve.of(rest, Math.max(80, Math.min(230, rest + 40 + random.nextInt(120))));
  }

  @ParameterizedTest
  @FieldSource("EVERY_SCHEME")
  void bandsAreInOrderAndReadingsAgreeWithThem(Scheme scheme) {
    Random random = new Random(41);
    for (int i = 0; i < 120; i++) {
      Reserve reserve = anySpan(random);
      Zones zones =
          Zones.of(scheme, Spans.measured(reserve), Uncertainty.USUAL, OptionalInt.empty());
      for (Zones.BandRates band : zones.bands()) {
        assertThat(band.lowBpm()).isLessThanOrEqualTo(band.highBpm());
        assertThat(band.belowResting()).isEqualTo(band.highBpm() < reserve.restingBpm());
      }
      assertThat(zones.readings()).hasSize(reserve.bpm() + 1);
      for (Zones.Reading reading : zones.readings()) {
        for (Zones.BandRates band : zones.bands()) {
          assertThat(reading.bands().contains(band.band().id()))
              .isEqualTo(band.lowBpm() <= reading.bpm() && reading.bpm() <= band.highBpm());
        }
        assertThat(reading.level()).isEqualTo(Level.atRate(reading.bpm(), reserve));
      }
    }
  }

  @ParameterizedTest
  @FieldSource("EVERY_SCHEME")
  void aCapIsNeverPassed(Scheme scheme) {
    Random random = new Random(42);
    for (int i = 0; i < 80; i++) {
      Reserve reserve = anySpan(random);
      int cap = Math.max(40, reserve.restingBpm() + random.nextInt(reserve.bpm()));
      Zones zones =
          Zones.of(scheme, Spans.measured(reserve), Uncertainty.USUAL, OptionalInt.of(cap));
      for (Zones.BandRates band : zones.bands()) {
        assertThat(band.allowedHighBpm().isEmpty()).isEqualTo(band.lowBpm() > cap);
        band.allowedHighBpm().ifPresent(high -> assertThat(high).isLessThanOrEqualTo(cap));
      }
      assertThat(zones.readings())
          .allSatisfy(reading -> assertThat(reading.overCap()).isEqualTo(reading.bpm() > cap));
    }
  }

  @Test
  void theMarksOfTheScaleAreTheRatesAtThosePercents() {
    Zones zones = Zones.of(Scheme.of("voice-ladder"), Reserve.of(64, 176), Uncertainty.USUAL);
    assertThat(zones.marks())
        .extracting(mark -> mark.percent() + " % " + mark.bpm())
        .containsExactly(
            "0 % 64", "20 % 86", "40 % 109", "60 % 131", "75 % 148", "90 % 165", "100 % 176");
  }

  /** The target long hand comes to the target, on every basis, with and without a cap. */
  @Test
  void everyTargetLongHandComesToItsEdges() {
    Random random = new Random(43);
    for (int i = 0; i < 400; i++) {
      Reserve reserve = anySpan(random);
      Basis basis = Basis.values()[random.nextInt(Basis.values().length)];
      BigDecimal low = BigDecimal.valueOf(random.nextInt(60));
      BigDecimal high = low.add(BigDecimal.valueOf(random.nextInt(300), 1));
      int capBpm = 40 + random.nextInt(190);
      OptionalInt cap = random.nextBoolean() ? OptionalInt.of(capBpm) : OptionalInt.empty();
      Target.UnderCap result = underCap(reserve, basis, low, high, cap);
      if (result == null || result.target().isEmpty()) {
        continue;
      }
      Target target = result.target().get();
      List<LongHand.Line> lines =
          Target.longHand(Anchors.of(reserve), basis, low, high, cap).lines();
      assertThat(lines)
          .extracting(LongHand.Line::answer)
          .usingElementComparator(BigDecimal::compareTo)
          .contains(BigDecimal.valueOf(target.lowBpm()), BigDecimal.valueOf(target.highBpm()));
      assertThat(lines).allSatisfy(line -> assertThat(line.sum()).isNotBlank().doesNotContain("E"));
    }
  }

  /** Nothing for figures that make no pulse. */
  private static Target.UnderCap underCap(
      Reserve reserve, Basis basis, BigDecimal low, BigDecimal high, OptionalInt cap) {
    try {
      return Target.of(Anchors.of(reserve), basis, low, high, cap);
    } catch (app.korvel.core.measure.InvalidValueException noPulse) {
      return null;
    }
  }
}
