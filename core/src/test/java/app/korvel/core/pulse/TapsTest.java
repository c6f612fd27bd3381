package app.korvel.core.pulse;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TapsTest {

  /** Taps from the intervals between them. */
  private static List<BigDecimal> after(Integer... intervals) {
    List<BigDecimal> taps = new ArrayList<>(List.of(BigDecimal.ZERO));
    for (int interval : intervals) {
      taps.add(taps.get(taps.size() - 1).add(BigDecimal.valueOf(interval)));
    }
    return taps;
  }

  private static List<BigDecimal> steady(int intervals, int millis) {
    return after(Collections.nCopies(intervals, millis).toArray(Integer[]::new));
  }

  private static List<String> codes(Taps taps) {
    return taps.findings().stream().map(Finding::code).toList();
  }

  @ParameterizedTest
  @CsvSource({
    // ms apart -> bpm: 60,000 / 882 = 68.03, / 833 = 72.03, / 500 = 120, / 316 = 189.87
    "882, 68",
    "833, 72",
    "500, 120",
    "316, 190",
    "2500, 24",
    "250, 240",
  })
  void theRateIsSixtyThousandTimesTheIntervalsOverTheirSum(int millis, int bpm) {
    Taps taps = Taps.of(steady(9, millis));
    assertThat(taps.bpm()).isEqualTo(bpm);
    assertThat(taps.kept()).isEqualTo(9);
    assertThat(taps.rhythm()).isEqualTo(Rhythm.STEADY);
    assertThat(taps.findings()).isEmpty();
  }

  @Test
  void fractionsOfAMillisecondCount() {
    // A full epoch in front, as a browser may give it: 199.999 ms is a bounce, 200 is not.
    BigDecimal epoch = new BigDecimal("1764057600000");
    List<BigDecimal> taps = new ArrayList<>();
    for (BigDecimal each : after(500, 500, 500, 500, 500, 500, 500, 500)) {
      taps.add(epoch.add(each));
    }
    taps.add(epoch.add(new BigDecimal("4199.999")));
    assertThat(Taps.of(taps).setAside())
        .containsExactly(new Taps.SetAside(10, new BigDecimal("199.999"), Taps.Kind.BOUNCE));
    taps.set(9, epoch.add(new BigDecimal("4200")));
    assertThat(Taps.of(taps).setAside()).isEmpty();
    taps.set(9, epoch.add(new BigDecimal("6500.001")));
    assertThat(Taps.of(taps).setAside().get(0).kind()).isEqualTo(Taps.Kind.PAUSE);
  }

  @Test
  void eightTapsAreEnoughAndSevenAreNot() {
    assertThat(Taps.of(steady(7, 800)).rhythm()).isEqualTo(Rhythm.STEADY);
    assertThatThrownBy(() -> Taps.of(steady(6, 800)))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("has 7 taps");
    assertThat(Taps.of(steady(1_999, 800)).kept()).isEqualTo(1_999);
    assertThatThrownBy(() -> Taps.of(steady(2_000, 800))).hasMessageContaining("2001 taps");
  }

  @Test
  void aTapUnderTwoHundredMillisecondsAfterIsABounceAndTheBeatGoesOn() {
    // 500 then a bounce 199 ms on, and the next beat 301 ms later: 500 in all.
    Taps taps = Taps.of(after(500, 500, 199, 301, 500, 500, 500, 500, 500));
    assertThat(taps.bpm()).isEqualTo(120);
    assertThat(taps.kept()).isEqualTo(8);
    assertThat(taps.setAside())
        .containsExactly(new Taps.SetAside(4, BigDecimal.valueOf(199), Taps.Kind.BOUNCE));
    assertThat(codes(taps)).containsExactly("taps-bounced");
    assertThat(Taps.of(after(500, 500, 200, 300, 500, 500, 500, 500, 500)).kept()).isEqualTo(9);
  }

  @Test
  void anIntervalOverTwoAndAHalfSecondsIsSetAsideAndAsksForAFullCount() {
    Taps taps = Taps.of(after(800, 800, 800, 2_501, 800, 800, 800, 800));
    assertThat(taps.bpm()).isEqualTo(75);
    assertThat(taps.kept()).isEqualTo(7);
    assertThat(taps.setAside())
        .containsExactly(new Taps.SetAside(5, BigDecimal.valueOf(2_501), Taps.Kind.PAUSE));
    assertThat(codes(taps)).containsExactly("taps-paused");
    assertThat(Taps.of(after(800, 800, 800, 2_500, 800, 800, 800, 800)).kept()).isEqualTo(8);
  }

  @Test
  void unevenIsAFifthOfThemAndThreeAtLeast() {
    // Median 1,000: over 20 % off is over 200 ms.
    assertThat(rhythm(15, 3, 1_201)).isEqualTo(Rhythm.UNEVEN);
    assertThat(rhythm(16, 3, 1_201)).isEqualTo(Rhythm.STEADY);
    assertThat(rhythm(15, 3, 1_200)).isEqualTo(Rhythm.STEADY);
    assertThat(rhythm(15, 3, 799)).isEqualTo(Rhythm.UNEVEN);
    assertThat(rhythm(10, 2, 1_400)).isEqualTo(Rhythm.STEADY);
    assertThat(rhythm(7, 3, 1_400)).isEqualTo(Rhythm.UNEVEN);
  }

  @Test
  void theUnevenOnesAreNamedByTheTapThatEndsThem() {
    // A bounce between leaves the numbers of the taps as they were made.
    Taps taps = Taps.of(after(1_000, 1_000, 100, 900, 1_300, 1_000, 1_000, 700, 1_000, 1_000));
    assertThat(taps.uneven()).containsExactly(6, 9);
    assertThat(taps.rhythm()).isEqualTo(Rhythm.STEADY);
    assertThat(Taps.of(steady(9, 800)).uneven()).isEmpty();
  }

  @Test
  void howLongWasTappedCountsWhatIsKept() {
    assertThat(Taps.of(steady(30, 1_000)).seconds()).isEqualTo(30);
    assertThat(Taps.of(steady(30, 999)).seconds()).isEqualTo(29);
    assertThat(Taps.of(after(800, 800, 800, 9_000, 800, 800, 800, 800)).seconds()).isEqualTo(5);
  }

  private static Rhythm rhythm(int intervals, int uneven, int millis) {
    List<Integer> all = new ArrayList<>(Collections.nCopies(intervals - uneven, 1_000));
    all.addAll(Collections.nCopies(uneven, millis));
    return Taps.of(after(all.toArray(Integer[]::new))).rhythm();
  }

  @Test
  void tooFewKeptIntervalsTellNoRhythm() {
    Taps taps = Taps.of(after(800, 800, 800, 100, 700, 2_600, 800));
    assertThat(taps.kept()).isEqualTo(5);
    assertThat(taps.rhythm()).isEqualTo(Rhythm.TOO_SHORT);
    assertThat(codes(taps)).containsExactly("taps-too-short", "taps-paused", "taps-bounced");
  }

  /** The same by another route: decimals, sorted lists, and no whole microseconds. */
  private record ByHand(
      int bpm, List<Integer> bounced, List<Integer> paused, List<Integer> uneven) {
    static ByHand of(List<BigDecimal> taps) {
      List<BigDecimal> kept = new ArrayList<>();
      List<Integer> endedBy = new ArrayList<>();
      List<Integer> bounced = new ArrayList<>();
      List<Integer> paused = new ArrayList<>();
      BigDecimal last = taps.get(0);
      for (int i = 1; i < taps.size(); i++) {
        BigDecimal apart = taps.get(i).subtract(last);
        if (apart.compareTo(new BigDecimal("200")) < 0) {
          bounced.add(i + 1);
        } else {
          last = taps.get(i);
          if (apart.compareTo(new BigDecimal("2500")) > 0) {
            paused.add(i + 1);
          } else {
            kept.add(apart);
            endedBy.add(i + 1);
          }
        }
      }
      BigDecimal sum = kept.stream().reduce(BigDecimal.ZERO, BigDecimal::add);
      int bpm =
          new BigDecimal(60_000)
              .multiply(new BigDecimal(kept.size()))
              .divide(sum, 0, RoundingMode.HALF_UP)
              .intValueExact();
      List<BigDecimal> sorted = kept.stream().sorted().toList();
      BigDecimal median =
          sorted
              .get((sorted.size() - 1) / 2)
              .add(sorted.get(sorted.size() / 2))
              .divide(new BigDecimal(2));
      List<Integer> uneven = new ArrayList<>();
      for (int i = 0; i < kept.size(); i++) {
        BigDecimal off = kept.get(i).subtract(median).abs();
        if (off.compareTo(median.multiply(new BigDecimal("0.2"))) > 0) {
          uneven.add(endedBy.get(i));
        }
      }
      return new ByHand(bpm, bounced, paused, uneven);
    }

    Rhythm rhythm(int kept) {
      return kept < 7
          ? Rhythm.TOO_SHORT
          : uneven.size() >= 3 && uneven.size() / (double) kept >= 0.2
              ? Rhythm.UNEVEN
              : Rhythm.STEADY;
    }
  }

  private static List<Integer> aside(Taps taps, Taps.Kind kind) {
    return taps.setAside().stream()
        .filter(each -> each.kind() == kind)
        .map(Taps.SetAside::tap)
        .toList();
  }

  /** Hands of every kind: even, jittery, bouncing, pausing; a thousand of them, seeded. */
  @Test
  void anotherRouteComesToTheSame() {
    Random chance = new Random(11);
    for (int hand = 0; hand < 1_000; hand++) {
      int beat = 270 + chance.nextInt(1_100);
      int jitter = chance.nextInt(beat / 3);
      int slips = chance.nextInt(12);
      List<BigDecimal> taps = new ArrayList<>();
      BigDecimal at = BigDecimal.valueOf(chance.nextInt(1_000_000), 1);
      int howMany = 12 + chance.nextInt(90);
      for (int i = 0; i < howMany; i++) {
        taps.add(at);
        double apart = beat + jitter * (2 * chance.nextDouble() - 1);
        int slip = chance.nextInt(100);
        if (slip < slips) {
          apart = slip % 2 == 0 ? 20 + chance.nextInt(200) : 2_400 + chance.nextInt(300);
        }
        at = at.add(BigDecimal.valueOf(Math.round(apart * 10), 1));
      }
      Taps judged = Taps.of(taps);
      ByHand hands = ByHand.of(taps);
      assertThat(judged.bpm()).as("hand " + hand).isEqualTo(hands.bpm());
      assertThat(aside(judged, Taps.Kind.BOUNCE)).isEqualTo(hands.bounced());
      assertThat(aside(judged, Taps.Kind.PAUSE)).isEqualTo(hands.paused());
      assertThat(judged.uneven()).isEqualTo(hands.uneven());
      assertThat(judged.rhythm()).as("hand " + hand).isEqualTo(hands.rhythm(judged.kept()));
    }
  }

  @Test
  void whatIsNoPulseIsRefused() {
    List<BigDecimal> back = new ArrayList<>(steady(8, 800));
    back.set(5, BigDecimal.valueOf(100));
    assertThatThrownBy(() -> Taps.of(back))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            invalid -> assertThat(invalid.faults().get(0).field()).isEqualTo("tapMillis[5]"));
    assertThatThrownBy(() -> Taps.of(steady(8, 10))).hasMessageContaining("no two taps");
    assertThatThrownBy(() -> Taps.of(steady(8, 2_600))).hasMessageContaining("no two taps");
    assertThatThrownBy(() -> Taps.of(steady(8, 240))).hasMessageContaining("250 bpm");
    for (String beyond : new String[] {"1e15", "1e999999999", "1e-999999999"}) {
      List<BigDecimal> taps = new ArrayList<>(steady(8, 800));
      taps.set(8, new BigDecimal(beyond));
      assertThatThrownBy(() -> Taps.of(taps))
          .isInstanceOfSatisfying(
              InvalidValueException.class,
              invalid -> assertThat(invalid.faults().get(0).field()).isEqualTo("tapMillis[8]"));
    }
  }
}
