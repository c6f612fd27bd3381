package app.korvel.core.zone;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.measure.Working;
import app.korvel.core.support.Spans;
import java.math.BigDecimal;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
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

  /** Counted in percent, a band is of one level and one class, whoever it is for. */
  @ParameterizedTest
  @FieldSource("EVERY_SCHEME")
  void aBandHasOneLevelForEverybody(Scheme scheme) {
    if (scheme.basis() != Basis.RESERVE && scheme.basis() != Basis.MAXIMUM) {
      return;
    }
    Random random = new Random(43);
    Set<List<String>> found = new HashSet<>();
    for (int i = 0; i < 300; i++) {
      found.add(
          Zones.of(scheme, anySpan(random), Uncertainty.USUAL).bands().stream()
              .map(band -> band.level() + " " + band.guidelineClass())
              .toList());
    }
    assertThat(found).hasSize(1);
  }

  @ParameterizedTest
  @CsvSource({
    // the exact middle decides, a tie goes to the upper one
    "goal-ranges, 50–70 is 60, 2, PHRASES",
    "goal-ranges, 70–80 is 75, 3, WORDS",
    "goal-ranges, 80–90 is 85, 4, WORDS",
    "fitness-ladder, 40–55 is 47.5, 1, TALK",
    "max-fifths, 50–60 of maximum is 55, 0, SING",
    "max-fifths, 60–70 of maximum is 65, 1, TALK",
    "max-fifths, 70–80 of maximum is 75, 2, TALK",
    "max-fifths, 80–90 of maximum is 85, 3, PHRASES",
    "max-fifths, 90–100 of maximum is 95, 4, WORDS",
    "school-range, 70–85 of maximum is 77.5, 0, PHRASES",
  })
  void theMiddleOfTheExactPercentsIsTheLevel(String scheme, String middle, int band, Level level) {
    assertThat(
            Zones.of(Scheme.of(scheme), Reserve.of(64, 176), Uncertainty.USUAL)
                .bands()
                .get(band)
                .level())
        .as(middle)
        .isEqualTo(level);
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

  /** The target step by step comes to the target, on every basis, with and without a cap. */
  @Test
  void theWorkingOfEveryTargetComesToItsEdges() {
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
      List<Working.Line> lines =
          Target.longHand(Anchors.of(reserve), basis, low, high, cap).lines();
      assertThat(lines)
          .extracting(Working.Line::answer)
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
