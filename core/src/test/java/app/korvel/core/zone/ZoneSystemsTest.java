package app.korvel.core.zone;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.support.Spans;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.ZoneSystems.Stretch;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the zone systems call the same rates, and how far a target moves with the maximum. */
class ZoneSystemsTest {
  private static final Reserve WORKED = Reserve.of(64, 176);
  private static final ZoneSystems SCHOOLS = schools(Anchors.of(WORKED));

  private static ZoneSystems schools(Anchors anchors) {
    return ZoneSystems.of(Schemes.ALL, anchors, Uncertainty.USUAL, OptionalInt.empty());
  }

  private static Stretch at(int bpm) {
    return SCHOOLS.stretches().stream()
        .filter(stretch -> stretch.lowBpm() <= bpm && bpm <= stretch.highBpm())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void oneRateWorkedByHand() {
    // 125 bpm is 54.5 % of reserve and 71.0 % of maximum.
    assertThat(at(125).saying().words())
        .isEqualTo(
            "8 of 10 zone systems call it moderate. Moderate or vigorous: Ranges by goal. Vigorous:"
                + " Classroom range. No zone here: Three rates; One rate by fitness; Above rest.");
    assertThat(at(125).saying().calls().get(0).bands())
        .extracting(band -> band.band().name())
        .containsExactly("Talk");
  }

  @Test
  void aGoalIsHeldAgainstTheBandsItLiesIn() {
    // Weight and general fitness, 50–70 %: 120–142 bpm. Endurance begins at 142: touched only.
    ZoneSystems.Saying goal = SCHOOLS.over(120, 142);
    assertThat(goal.calls())
        .filteredOn(call -> call.scheme().id().equals("goal-ranges"))
        .flatExtracting(ZoneSystems.Call::bands)
        .extracting(band -> band.band().name())
        .containsExactly("Cleared heart condition", "Weight and general fitness");
    assertThat(goal.calls())
        .filteredOn(call -> call.scheme().id().equals("three-points"))
        .flatExtracting(ZoneSystems.Call::bands)
        .extracting(band -> band.band().name())
        .containsExactly("Warm-up");
    assertThat(goal.calls().get(0).classes())
        .containsExactly(GuidelineClass.MODERATE, GuidelineClass.VIGOROUS);
  }

  @Test
  void withoutThresholdsTheirSchoolIsNamedAsMissing() {
    assertThat(SCHOOLS.without()).extracting(Scheme::id).containsExactly("threshold-three");
    assertThat(schools(Spans.measured(WORKED)).without()).isEmpty();
    assertThat(schools(Spans.measured(WORKED)).schools()).hasSize(Schemes.ALL.size());
  }

  /** One that says light and one that says light or near maximal do not say the same. */
  @Test
  void whoeverSaysSomethingElseIsNamedApart() {
    Scheme plain = own("Plain", row("Easy", 20, 30), row("Hard", 90, 100));
    Scheme wide = own("Wide", row("Anything", 10, 100), row("Easy", 20, 30), row("Top", 95, 100));
    ZoneSystems two =
        ZoneSystems.of(
            List.of(plain, wide), Anchors.of(WORKED), Uncertainty.USUAL, OptionalInt.empty());
    assertThat(two.over(87, 97).words())
        .isEqualTo("1 of 2 zone systems call it light. Light or moderate: Wide.");
    assertThat(two.over(87, 176).words())
        .isEqualTo(
            "1 of 2 zone systems call it light or near maximal. Light or moderate or near maximal: Wide.");
  }

  private static Scheme own(String name, OwnScheme.Row... rows) {
    return new OwnScheme(name, Scheme.Kind.GOALS, Basis.RESERVE, "", List.of(rows)).checked(name);
  }

  private static OwnScheme.Row row(String name, int low, int high) {
    return new OwnScheme.Row(name, BigDecimal.valueOf(low), BigDecimal.valueOf(high));
  }

  @Test
  void oneSchoolAloneAgreesWithNobody() {
    ZoneSystems one =
        ZoneSystems.of(
            List.of(Scheme.of("voice-ladder")),
            Anchors.of(WORKED),
            Uncertainty.USUAL,
            OptionalInt.empty());
    assertThat(one.agreements()).isEmpty();
    assertThat(one.summary()).isEqualTo("They agree nowhere.");
    assertThat(one.stretches().get(0).saying().words())
        .isEqualTo("The one zone system with a zone here calls it light.");
    assertThat(one.stretches()).hasSize(5);
  }

  @Test
  void whatTheyAgreeOnIsOneClassForAllThatHaveABand() {
    assertThat(SCHOOLS.agreements()).isNotEmpty();
    for (ZoneSystems.Agreement each : SCHOOLS.agreements()) {
      for (int bpm = each.lowBpm(); bpm <= each.highBpm(); bpm++) {
        assertThat(at(bpm).saying().calls())
            .allSatisfy(
                call -> {
                  if (!call.bands().isEmpty()) {
                    assertThat(call.classes()).containsExactly(each.guidelineClass());
                  }
                });
        assertThat(at(bpm).saying().words()).startsWith("All ");
      }
    }
    assertThat(SCHOOLS.summary())
        .startsWith("They agree on light from 64 to ")
        .endsWith("; elsewhere they differ.");
  }

  /** For any span: the stretches cover it without gaps, and say what the bands hold. */
  @Test
  void stretchesCoverEverySpan() {
    Random random = new Random(77);
    for (int i = 0; i < 60; i++) {
      int rest = 30 + random.nextInt(90);
      Reserve reserve =
          Reserve.of(rest, Math.max(80, Math.min(230, rest + 40 + random.nextInt(120))));
      ZoneSystems any = schools(Spans.measured(reserve));
      int next = reserve.restingBpm();
      for (Stretch stretch : any.stretches()) {
        assertThat(stretch.lowBpm()).isEqualTo(next);
        next = stretch.highBpm() + 1;
        for (int s = 0; s < any.schools().size(); s++) {
          for (int bpm : new int[] {stretch.lowBpm(), stretch.highBpm()}) {
            assertThat(stretch.saying().calls().get(s).bands())
                .isEqualTo(
                    any.schools().get(s).bands().stream().filter(band -> band.holds(bpm)).toList());
          }
        }
      }
      assertThat(next).isEqualTo(reserve.maximumBpm() + 1);
    }
  }

  @ParameterizedTest
  @CsvSource({
    // 50–70 % of 64..176 is 120–142; of 64..166 it is 115–135, of 64..186 it is 125–149.
    "166,115,135,-5,-7",
    "186,125,149,5,7",
    "176,120,142,0,0",
  })
  void theTargetMovesByItsShareOfTheError(
      int maximum, int low, int high, int lowMoves, int highMoves) {
    TargetSensitivity off =
        TargetSensitivity.of(WORKED, maximum, new Percents(50, 70), OptionalInt.empty());
    assertThat(off.target())
        .hasValueSatisfying(
            target ->
                assertThat(List.of(target.lowBpm(), target.highBpm())).containsExactly(low, high));
    assertThat(List.of(off.lowMoves(), off.highMoves())).containsExactly(lowMoves, highMoves);
  }

  @Test
  void byItsErrorIsOneLowerAndOneHigher() {
    assertThat(
            TargetSensitivity.byItsError(
                WORKED, Uncertainty.USUAL, new Percents(50, 70), OptionalInt.of(142)))
        .extracting(
            TargetSensitivity::maximumBpm,
            TargetSensitivity::lowMoves,
            TargetSensitivity::highMoves)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(166, -5, -7),
            org.assertj.core.groups.Tuple.tuple(186, 5, 0));
    TargetSensitivity small =
        TargetSensitivity.of(Reserve.of(64, 106), 96, new Percents(40, 60), OptionalInt.empty());
    assertThat(small.target()).isEmpty();
  }

  /** Solved in whole numbers, and the same as trying every percent. */
  @Test
  void percentsWithinARangeOfRates() {
    Random random = new Random(5);
    for (int i = 0; i < 2000; i++) {
      int rest = 30 + random.nextInt(90);
      Reserve reserve =
          Reserve.of(rest, Math.max(80, Math.min(230, rest + 40 + random.nextInt(120))));
      int low = rest - 20 + random.nextInt(reserve.bpm() + 20);
      int high = low + random.nextInt(30);
      Optional<Percents> tried = Optional.empty();
      for (int percent = 0; percent <= 100; percent++) {
        int bpm = reserve.rateAt(percent);
        if (low <= bpm && bpm <= high) {
          tried = Optional.of(new Percents(tried.map(Percents::low).orElse(percent), percent));
        }
      }
      assertThat(reserve.percentsWithin(low, high)).isEqualTo(tried);
    }
  }
}
