package app.korvel.core.outline;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.measure.Finding;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Effects;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Target;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A range of reserve in every language, against the worked span of 64 to 176. */
class AimTest {
  private static final Reserve SPAN = Reserve.of(64, 176);

  private static Aim aim(int low, int high, Optional<Cap> cap, int highestEffort) {
    return Aim.of(new Percents(low, high), Optional.of(SPAN), cap, highestEffort, RpeFamily.RATIO);
  }

  private static Aim aim(int low, int high) {
    return aim(low, high, Optional.empty(), Effects.TOP_EFFORT);
  }

  private static Optional<Cap> cap(int bpm) {
    return Optional.of(new Cap(bpm, "written"));
  }

  @ParameterizedTest
  @CsvSource({
    // low, high %, low, high bpm, levels from, to, effort from, to
    "40, 60, 109, 131, TALK, TALK, 12, 13",
    "50, 70, 120, 142, TALK, PHRASES, 12, 15",
    "20, 40, 86, 109, SING, SING, 6, 11",
    "60, 75, 131, 148, PHRASES, PHRASES, 14, 15",
    "75, 90, 148, 165, WORDS, WORDS, 16, 17",
    "40, 40, 109, 109, TALK, TALK, 12, 13",
    "39, 41, 108, 110, SING, TALK, 6, 13",
    "90, 90, 165, 165, SILENT, SILENT, 18, 20",
  })
  void aRangeIsToldAsRateLevelAndEffort(
      int low, int high, int lowBpm, int highBpm, Level from, Level to, int effortLow, int effort) {
    Aim aim = aim(low, high);
    Target target = aim.target().orElseThrow();
    assertThat(target.lowBpm()).isEqualTo(lowBpm);
    assertThat(target.highBpm()).isEqualTo(highBpm);
    assertThat(aim.levels().get(0)).isEqualTo(from);
    assertThat(aim.levels().get(aim.levels().size() - 1)).isEqualTo(to);
    assertThat(aim.rpe20()).isEqualTo(new RpeSpan(effortLow, effort));
    assertThat(aim.effortHeld()).isFalse();
    assertThat(aim.findings()).isEmpty();
  }

  @Test
  void withoutASpanThereIsNoRateAndTheRestStays() {
    Aim aim =
        Aim.of(
            new Percents(40, 60), Optional.empty(), cap(100), Effects.TOP_EFFORT, RpeFamily.LINEAR);
    assertThat(aim.target()).isEmpty();
    assertThat(aim.findings()).isEmpty();
    assertThat(aim.rpe10()).isEqualTo(new RpeSpan(5, 6));
  }

  @Test
  void aCapCutsTheTopAndBelowTheRangeThereIsNone() {
    Aim cut = aim(50, 70, cap(130), Effects.TOP_EFFORT);
    assertThat(cut.target().orElseThrow().highBpm()).isEqualTo(130);
    assertThat(cut.target().orElseThrow().capped()).isTrue();
    assertThat(cut.findings()).extracting(Finding::code).containsExactly("cap-cuts");
    Aim below = aim(50, 70, cap(119), Effects.TOP_EFFORT);
    assertThat(below.target()).isEmpty();
    assertThat(below.findings()).extracting(Finding::code).containsExactly("cap-below-target");
  }

  @Test
  void anEffortThatMayNotBeGivenHoldsTheLevelsAndTheScale() {
    Aim held = aim(50, 75, Optional.empty(), 13);
    assertThat(held.effortHeld()).isTrue();
    assertThat(held.levels()).containsExactly(Level.TALK);
    assertThat(held.rpe20()).isEqualTo(new RpeSpan(12, 13));
    // Wholly above what may be given: the level it is held at.
    Aim above = aim(75, 85, Optional.empty(), 13);
    assertThat(above.levels()).containsExactly(Level.TALK);
    assertThat(above.rpe20().high()).isEqualTo(13);
    // A lighter range is never pushed up.
    Aim light = aim(30, 40, Optional.empty(), 14);
    assertThat(light.rpe20()).isEqualTo(new RpeSpan(6, 11));
    assertThat(light.effortHeld()).isFalse();
  }
}
