package app.korvel.sensor;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.PracticeTry;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.Rhythm;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PracticePulseTest {

  @ParameterizedTest
  @EnumSource(PracticeLevel.class)
  void staysWithinItsLevelAndAFaultlessCountIsRight(PracticeLevel level) {
    int uneven = 0;
    for (long seed = 0; seed < 200; seed++) {
      PracticePulse given = PracticePulse.of(level, level.window(), seed);
      int played = given.pulse().beatsIn(0, level.window().seconds() * 1_000);
      PracticeTry faultless =
          given.judge(PulseCount.of(played, level.window()), Optional.of(given.rhythm()));
      assertThat(faultless.ownBeats()).isZero();
      assertThat(faultless.right()).isTrue();
      assertThat(faultless.errorBpm()).isEqualTo(faultless.windowErrorBpm());
      // By chance an uneven pulse strays from its mean; a steady one hardly.
      int stray = given.rhythm() == Rhythm.UNEVEN ? 20 : 4;
      assertThat(faultless.pulseBpm())
          .isBetween(level.lowestBpm() - stray, level.highestBpm() + stray);
      uneven += given.rhythm() == Rhythm.UNEVEN ? 1 : 0;
    }
    if (level.asksRhythm()) {
      assertThat(uneven).isBetween(60, 140);
    } else {
      assertThat(uneven).isZero();
    }
  }

  @ParameterizedTest
  @EnumSource(CountWindow.class)
  void theWindowExplainsAtMostABeatOfASteadyPulse(CountWindow window) {
    for (long seed = 0; seed < 200; seed++) {
      PracticePulse given = PracticePulse.of(PracticeLevel.ANY_AT_REST, window, seed);
      int played = given.pulse().beatsIn(0, window.seconds() * 1_000);
      PracticeTry faultless = given.judge(PulseCount.of(played, window), Optional.empty());
      assertThat(Math.abs(faultless.windowErrorBpm())).isLessThanOrEqualTo(window.multiplier());
    }
  }
}
