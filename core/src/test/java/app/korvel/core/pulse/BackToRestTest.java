package app.korvel.core.pulse;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.BackToRest.State;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BackToRestTest {

  @ParameterizedTest
  @CsvSource({
    // 10 bpm is the larger up to 100 at rest, 10 % above it
    "74, 64, 2, BACK",
    "75, 64, 2, AGAIN",
    "75, 64, 9, AGAIN",
    "75, 64, 10, EASE_NEXT",
    "74, 64, 25, BACK",
    "110, 100, 0, BACK",
    "111, 100, 0, AGAIN",
    // 10 % of 109 is 10.9: 119 is within it, 120 is not
    "119, 109, 3, BACK",
    "120, 109, 3, AGAIN",
    "132, 120, 3, BACK",
    "133, 120, 12, EASE_NEXT",
  })
  void backIsWithinTenBpmOrTenPercentTheLarger(int bpm, int resting, long minutes, State state) {
    assertThat(BackToRest.of(bpm, OptionalInt.of(resting), minutes).state()).isEqualTo(state);
  }

  /** Every resting value that is accepted, every rate around its edge: by exact tenths. */
  @Test
  void theEdgeIsExactForEveryRestingValue() {
    for (int resting = 25; resting <= 150; resting++) {
      for (int bpm = resting; bpm <= resting + 20; bpm++) {
        int over = bpm - resting;
        boolean back = over <= 10 || 10 * over <= resting;
        assertThat(BackToRest.of(bpm, OptionalInt.of(resting), 3).state())
            .as(bpm + " for " + resting)
            .isEqualTo(back ? State.BACK : State.AGAIN);
        assertThat(BackToRest.of(bpm, OptionalInt.of(resting), 10).state())
            .isEqualTo(back ? State.BACK : State.EASE_NEXT);
      }
      // Below rest is back as well.
      assertThat(BackToRest.of(resting - 4, OptionalInt.of(resting), 30).state())
          .isEqualTo(State.BACK);
    }
  }

  @Test
  void thoseNotBackAreLookedAtBeforeTheyGo() {
    assertThat(List.of(State.values()).stream().filter(State::talk))
        .containsExactly(State.EASE_NEXT, State.AGAIN, State.UNKNOWN);
  }

  @Test
  void itSaysHowFarBackIs() {
    BackToRest judged = BackToRest.of(92, OptionalInt.of(64), 4);
    assertThat(judged.finding().message())
        .isEqualTo("92 is not back to rest. Let them sit quietly and count again in 5 min.");
    assertThat(judged.finding().because())
        .isEqualTo("Back is up to 74: within 10 bpm or 10 %, the larger, of 64 at rest.");
  }

  @Test
  void withoutARestingValueThereIsNothingToComeBackTo() {
    assertThat(BackToRest.of(92, OptionalInt.empty(), 20).state()).isEqualTo(State.UNKNOWN);
  }

  @Test
  void whatIsNoPulseIsRefused() {
    assertThatThrownBy(() -> BackToRest.of(241, OptionalInt.of(64), 1))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> BackToRest.of(80, OptionalInt.of(64), -1))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
