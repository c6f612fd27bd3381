package app.korvel.core.talk;

import static app.korvel.core.talk.TalkScene.FIRST;
import static app.korvel.core.talk.TalkScene.SPAN;
import static app.korvel.core.talk.TalkScene.ZONE;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.measure.Finding;
import app.korvel.core.zone.Ladder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** From 64 to 176 Talk begins at 109, Phrases at 131, Words at 148. */
class WitnessReviewTest {
  private static TalkCheck check(int day, int bpm, int rpe20, int voice) {
    return TalkScene.felt(TalkScene.check(FIRST.plusDays(day), voice, bpm), Optional.of(rpe20));
  }

  private static WitnessReview review(int times, int bpm, int rpe20, int voice, int fitting) {
    List<TalkCheck> checks = new ArrayList<>();
    for (int n = 0; n < times; n++) {
      checks.add(check(n, bpm, rpe20, voice));
    }
    for (int n = 0; n < fitting; n++) {
      checks.add(check(times + n, 120, 12, 2));
    }
    return WitnessReview.of(checks, Ladder.of(SPAN.reserve()), ZONE);
  }

  @ParameterizedTest
  @CsvSource({
    "140, 12, 2, witness-rate-high",
    "120, 14, 3, witness-rate-low",
    "120, 14, 2, witness-rpe-high",
    "140, 12, 3, witness-rpe-low",
    "120, 12, 3, witness-voice-high",
    "140, 14, 2, witness-voice-low",
    "120, 12, 2, witnesses-agree",
    "155, 14, 2, witnesses-agree",
  })
  void theOneThatDiffersIsNamed(int bpm, int rpe20, int voice, String code) {
    assertThat(review(5, bpm, rpe20, voice, 0).findings())
        .extracting(Finding::code)
        .containsExactly(code);
  }

  @Test
  void onlyMostOfTheTime() {
    assertThat(review(3, 140, 12, 2, 2).findings())
        .extracting(Finding::message)
        .containsExactly("The rate is off: it reads harder than RPE and voice at 3 of 5 checks.");
    assertThat(review(3, 140, 12, 2, 3).findings())
        .extracting(Finding::code)
        .containsExactly("witnesses-agree");
  }

  @Test
  void threeAreTooFewAndTwelveAreEnough() {
    assertThat(review(3, 140, 12, 2, 0).findings())
        .extracting(Finding::code)
        .containsExactly("witnesses-too-few");
    assertThat(review(20, 120, 12, 2, 0).rows()).hasSize(12);
  }
}
