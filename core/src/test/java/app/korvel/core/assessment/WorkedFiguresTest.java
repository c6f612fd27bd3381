package app.korvel.core.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Reserve;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The worked figures of the design, and cases worked out by hand. */
class WorkedFiguresTest {
  private static final Set<EffortContext> NOTHING = Set.of();
  private static final Duration THREE = Duration.ofMinutes(3);

  private static BigDecimal of(String figure) {
    return new BigDecimal(figure);
  }

  @ParameterizedTest
  @CsvSource({
    "2.7, 0, 8.0, 2.3, 12.5, 3.6",
    "2.7, 5, 12.1, 3.5, 14.5, 4.1",
    "2.7, 10, 16.1, 4.6, 16.6, 4.7",
    "4.0, 12, 24.6, 7.0, 24.0, 6.9",
    "5.5, 14, 35.8, 10.2, 33.4, 9.5",
    "6.8, 16, 47.5, 13.6, 42.5, 12.1",
    "8.0, 18, 60.0, 17.1, 51.8, 14.8",
    "8.9, 20, 71.7, 20.5, 59.9, 17.1",
    "9.7, 22, 83.7, 23.9, 67.8, 19.4"
  })
  void theTreadmill(
      String kmh, String grade, String walk, String walkMet, String run, String runMet) {
    OxygenCost walking = OxygenCost.walking(of(kmh), of(grade));
    OxygenCost running = OxygenCost.running(of(kmh), of(grade));

    assertThat(walking.vo2()).isEqualByComparingTo(walk);
    assertThat(walking.met()).isEqualByComparingTo(walkMet);
    assertThat(running.vo2()).isEqualByComparingTo(run);
    assertThat(running.met()).isEqualByComparingTo(runMet);
  }

  @ParameterizedTest
  @CsvSource({
    "25, 75, 10.6, 3.0",
    "50, 75, 14.2, 4.1",
    "100, 75, 21.4, 6.1",
    "150, 75, 28.6, 8.2",
    "100, 60, 25.0, 7.1"
  })
  void theCycle(String watts, String kg, String vo2, String met) {
    assertThat(OxygenCost.cycling(of(watts), of(kg)).vo2()).isEqualByComparingTo(vo2);
    assertThat(OxygenCost.cycling(of(watts), of(kg)).met()).isEqualByComparingTo(met);
  }

  @ParameterizedTest
  @CsvSource({"24, 0.305, 25.8, 7.4", "24, 0.413, 32.0, 9.1", "22, 0.413, 29.7, 8.5"})
  void theStep(String cycles, String metres, String vo2, String met) {
    assertThat(OxygenCost.stepping(of(cycles), of(metres)).vo2()).isEqualByComparingTo(vo2);
    assertThat(OxygenCost.stepping(of(cycles), of(metres)).met()).isEqualByComparingTo(met);
  }

  @Test
  void overSixItIsAskedAndUntilThenTheLowerStands() {
    StageWork slow = new StageWork.Treadmill(of("5.5"), of("14"));
    StageWork fast = new StageWork.Treadmill(of("6.8"), of("16"));

    assertThat(slow.asksHow()).isFalse();
    assertThat(fast.asksHow()).isTrue();
    assertThat(fast.cost(Optional.empty(), Optional.empty()).orElseThrow().vo2())
        .isEqualByComparingTo("42.5");
    assertThat(fast.cost(Optional.empty(), Optional.of(true)).orElseThrow().vo2())
        .isEqualByComparingTo("47.5");
    assertThat(slow.cost(Optional.empty(), Optional.empty()).orElseThrow().vo2())
        .isEqualByComparingTo("35.8");
    assertThat(new StageWork.Cycle(100).cost(Optional.empty(), Optional.empty())).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"132, 55.9, 41.4", "144, 50.9, 39.2", "148, 49.2, 38.5", "160, 44.1, 36.3"})
  void theHighBench(int bpm, String at24, String at22) {
    assertThat(
            StepBench.HIGH.result(24, bpm, THREE, RateSource.COUNT, NOTHING).vo2max().orElseThrow())
        .isEqualByComparingTo(at24);
    assertThat(
            StepBench.HIGH.result(22, bpm, THREE, RateSource.COUNT, NOTHING).vo2max().orElseThrow())
        .isEqualByComparingTo(at22);
  }

  @Test
  void aBenchWithoutAResult() {
    assertThatThrownBy(() -> StepBench.HIGH.checkPace(23))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("not a pace of this test");
    assertThatThrownBy(() -> StepBench.LOW.checkPace(22)).isInstanceOf(InvalidValueException.class);
    StepBench.Result stopped =
        StepBench.HIGH.result(24, 148, THREE.minusSeconds(1), RateSource.COUNT, NOTHING);
    assertThat(stopped.vo2max()).isEmpty();
    assertThat(codes(stopped.findings())).containsExactly("step-test-short");
    assertThat(StepBench.LOW.result(24, 120, THREE, RateSource.COUNT, NOTHING).vo2max()).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(
      value = EffortContext.class,
      names = {
        "RATE_LOWERING_MEDICINE",
        "IRREGULAR_RHYTHM",
        "PACEMAKER",
        "HEART_FAILURE",
        "NEUROPATHY",
        "PREGNANCY",
        "UNDER_18"
      })
  void noUptakeFromARateThere(EffortContext context) {
    Set<EffortContext> one = Set.of(context);
    StepBench.Result bench = StepBench.HIGH.result(24, 148, THREE, RateSource.COUNT, one);
    assertThat(bench.vo2max()).isEmpty();
    assertThat(codes(bench.findings())).containsExactly("no-uptake-from-rate");
    assertThat(mile(45, 135).result(Sex.MALE, RateSource.STRAP, one, true).vo2max().isEmpty())
        .isTrue();
  }

  @Test
  void norFromAWrist() {
    assertThat(StepBench.HIGH.result(24, 148, THREE, RateSource.WRIST, NOTHING).vo2max()).isEmpty();
    // Lungs and a heart condition alone do not forbid it.
    Set<EffortContext> others = Set.of(EffortContext.RESPIRATORY, EffortContext.HEART_CONDITION);
    assertThat(StepBench.HIGH.result(24, 148, THREE, RateSource.STRAP, others).vo2max())
        .isPresent();
  }

  private static MileWalk mile(int age, int bpm) {
    return new MileWalk(age, of("80"), Duration.ofSeconds(870), bpm);
  }

  @Test
  void theMile() {
    UptakeBySex man = mile(45, 135).result(Sex.MALE, RateSource.STRAP, NOTHING, true).vo2max();
    assertThat(man.single().orElseThrow()).isEqualByComparingTo("39.7");
    UptakeBySex both =
        mile(45, 135).result(Sex.NOT_GIVEN, RateSource.STRAP, NOTHING, true).vo2max();
    assertThat(both.words()).isEqualTo("39.7 (men), 33.4 (women)");
    assertThat(codes(mile(45, 135).result(Sex.MALE, RateSource.STRAP, NOTHING, true).findings()))
        .containsExactly("mile-uptake");
    assertThat(codes(mile(29, 135).result(Sex.MALE, RateSource.STRAP, NOTHING, true).findings()))
        .containsExactly("mile-uptake", "mile-age");
    assertThat(codes(mile(69, 135).result(Sex.MALE, RateSource.STRAP, NOTHING, true).findings()))
        .containsExactly("mile-uptake");
    MileWalk.Result inside = mile(45, 135).result(Sex.MALE, RateSource.STRAP, NOTHING, false);
    assertThat(inside.vo2max().isEmpty()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({"240", "479", "2401", "3600"})
  void noMileOfFourOrSixtyMinutes(int seconds) {
    assertThatThrownBy(() -> new MileWalk(45, of("80"), Duration.ofSeconds(seconds), 135))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("outside the accepted range");
  }

  @ParameterizedTest
  @CsvSource({
    "64, 176, RESERVE, 85, 159", "64, 176, RESERVE, 70, 142", "64, 176, MAXIMUM, 85, 150",
    "52, 188, RESERVE, 85, 168", "52, 188, RESERVE, 70, 147", "52, 188, MAXIMUM, 85, 160",
    "72, 166, RESERVE, 85, 152", "72, 166, RESERVE, 70, 138", "72, 166, MAXIMUM, 85, 141",
    "64, 176, RATE, 140, 140"
  })
  void theTarget(int rest, int maximum, TestTarget.Kind kind, int value, int bpm) {
    TestTarget target = TestTarget.of(kind, value, Reserve.of(rest, maximum), OptionalInt.empty());
    assertThat(target.bpm()).isEqualTo(bpm);
    assertThat(target.finding().code()).isEqualTo("target-chosen");
  }

  @Test
  void theCapGoverns() {
    Reserve reserve = Reserve.of(64, 176);
    TestTarget capped = TestTarget.of(TestTarget.Kind.RESERVE, 85, reserve, OptionalInt.of(150));
    assertThat(capped.bpm()).isEqualTo(150);
    assertThat(capped.finding().code()).isEqualTo("target-capped");
    assertThat(TestTarget.of(TestTarget.Kind.RESERVE, 85, reserve, OptionalInt.of(159)).bpm())
        .isEqualTo(159);
    assertThatThrownBy(() -> TestTarget.of(TestTarget.Kind.RATE, 151, reserve, OptionalInt.of(150)))
        .hasMessageContaining("over the cap");
    assertThatThrownBy(() -> TestTarget.of(TestTarget.Kind.RATE, 177, reserve, OptionalInt.empty()))
        .hasMessageContaining("over the maximum");
    assertThatThrownBy(
            () -> TestTarget.of(TestTarget.Kind.RESERVE, 101, reserve, OptionalInt.empty()))
        .hasMessageContaining("outside the accepted range");
  }

  private static Extrapolation.Point point(String vo2, int bpm) {
    return new Extrapolation.Point(of(vo2), bpm);
  }

  @Test
  void theLineToTheMaximum() {
    Extrapolation line =
        Extrapolation.of(
                List.of(
                    point("12.1", 111), point("16.1", 120), point("24.6", 139), point("35.8", 158)),
                176,
                10)
            .orElseThrow();
    assertThat(line.vo2max()).isCloseTo(44.29, within(0.005));
    assertThat(line.half()).isCloseTo(11.19, within(0.005));
    assertThat(line.low()).isCloseTo(33.1, within(0.05));
    assertThat(line.high()).isCloseTo(55.5, within(0.05));
    assertThat(Extrapolation.from(Reserve.of(64, 176))).isEqualTo(110);
    assertThat(Extrapolation.from(Reserve.of(72, 170))).isEqualTo(111);
    assertThat(Extrapolation.to(Reserve.of(64, 176))).isEqualTo(159);
  }

  @Test
  void aLineThatIsNotShown() {
    // Three stages alone are too wide: half of 23.39 is over a third of 44.8.
    assertThat(
            Extrapolation.of(
                List.of(point("16.1", 120), point("24.6", 139), point("35.8", 158)), 176, 10))
        .isEmpty();
    assertThat(Extrapolation.of(List.of(point("16.1", 120), point("24.6", 139)), 176, 3)).isEmpty();
    assertThat(
            Extrapolation.of(
                List.of(point("12.1", 140), point("16.1", 130), point("24.6", 120)), 176, 3))
        .isEmpty();
    assertThat(
            Extrapolation.of(
                List.of(
                    point("12.1", 111), point("16.1", 150), point("24.6", 112), point("35.8", 158)),
                176,
                3))
        .isEmpty();
  }

  @Test
  void theTimeToExhaustion() {
    Duration time = Duration.ofSeconds(570);
    assertThat(ExhaustionTime.MEN.vo2max(time).orElseThrow()).isEqualByComparingTo("32.1");
    assertThat(ExhaustionTime.WOMEN.vo2max(time).orElseThrow()).isEqualByComparingTo("37.7");
    assertThat(ExhaustionTime.MEN.vo2max(Duration.ofSeconds(179))).isEmpty();
    assertThat(ExhaustionTime.MEN.vo2max(Duration.ofSeconds(180))).isPresent();
    assertThat(ExhaustionTime.MEN.vo2max(Duration.ofSeconds(1260))).isPresent();
    assertThat(ExhaustionTime.MEN.vo2max(Duration.ofSeconds(1261))).isEmpty();
    assertThat(ExhaustionTime.of(time, Sex.FEMALE).men()).isEmpty();
    assertThat(ExhaustionTime.of(time, Sex.NOT_GIVEN).words())
        .isEqualTo("32.1 (men), 37.7 (women)");
  }

  static List<String> codes(List<Finding> findings) {
    return findings.stream().map(Finding::code).toList();
  }
}
