package app.korvel.core.live;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.StepKind;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.StopSign;
import app.korvel.core.support.Recorded;
import app.korvel.core.talk.NotUsed;
import app.korvel.core.talk.OddDay;
import app.korvel.core.talk.RateBy;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Twenty minutes at work, from 64 to 176: 80 % of reserve are 154. */
class TalkTakenTest {
  private static final Instant START = Instant.parse("2026-05-20T10:00:00Z");
  private static final Reserve SPAN = Reserve.of(64, 176);
  private static final OptionalInt NONE = OptionalInt.empty();
  private static final UUID SESSION = new UUID(9, 9);

  private static LivePlan plan() {
    return new LivePlan(
        Mode.ROW,
        List.of(
            new PlanStep(
                StepKind.WORK,
                1200,
                Optional.of(new Percents(50, 70)),
                Optional.of(Aim.byRate(120, 142, Optional.empty(), Ladder.of(SPAN))),
                false)),
        new Mover(Optional.of(Ladder.of(SPAN)), false, Set.of(), IntensityGuide.RATE, NONE, NONE),
        false,
        Optional.empty(),
        Optional.empty());
  }

  private static List<TalkCheck> taken(
      RateSource source, IntUnaryOperator bpm, LiveEvent... events) {
    List<LiveEvent> all = new ArrayList<>(List.of(events));
    all.add(new LiveEvent.Begun(new UUID(1, 1), START));
    LiveSession session =
        LiveSession.of(
            plan(), source, all, Recorded.samples(START, 900, bpm), START.plusSeconds(900));
    return TalkTaken.of(session, SESSION, Set.of(OddDay.HEAT), START.plusSeconds(900));
  }

  private static LiveEvent voice(int second, int voice) {
    return new LiveEvent.Rated(
        new UUID(2, second),
        START.plusSeconds(second),
        NONE,
        OptionalInt.of(voice),
        Optional.of(START.plusSeconds(second - 12)));
  }

  @Test
  void theRateIsThatBeforeThePassage() {
    TalkCheck check =
        taken(RateSource.STRAP, second -> second <= 588 ? 130 : 136, voice(600, 3)).get(0);
    assertThat(check.said().bpm()).isEqualTo(130);
    assertThat(check.said().by()).isEqualTo(RateBy.STRAP);
    assertThat(check.mode()).isEqualTo(Mode.ROW);
    assertThat(check.at()).isEqualTo(START.plusSeconds(588));
    assertThat(check.odd()).containsExactly(OddDay.HEAT);
    assertThat(check.doubts()).isEmpty();
    assertThat(check.in()).contains(new TalkCheck.TakenIn(SESSION, false));
  }

  @Test
  void whereNobodyNotedItThePassageBeganFifteenSecondsBefore() {
    LiveEvent plain =
        new LiveEvent.Rated(
            new UUID(2, 2), START.plusSeconds(600), OptionalInt.of(13), OptionalInt.of(2));
    TalkCheck check = taken(RateSource.STRAP, second -> 130, plain).get(0);
    assertThat(check.at()).isEqualTo(START.plusSeconds(585));
    assertThat(check.rpe20()).contains(13);
  }

  @Test
  void anRpeWithinAMinuteBelongsToIt() {
    LiveEvent near =
        new LiveEvent.Rated(new UUID(3, 1), START.plusSeconds(650), OptionalInt.of(14), NONE);
    assertThat(taken(RateSource.STRAP, second -> 130, voice(600, 3), near).get(0).rpe20())
        .contains(14);
    LiveEvent far =
        new LiveEvent.Rated(new UUID(3, 1), START.plusSeconds(670), OptionalInt.of(14), NONE);
    assertThat(taken(RateSource.STRAP, second -> 130, voice(600, 3), far).get(0).rpe20()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "600, 0, ",
    "310, 0, TOO_EARLY",
    "600, 9, NOT_STEADY",
    "600, 8, ",
  })
  void earlyOrNotSteadyItIsKeptAndNotUsed(int second, int rise, NotUsed why) {
    TalkCheck check =
        taken(RateSource.STRAP, at -> at < second - 60 ? 130 : 130 + rise, voice(second, 2)).get(0);
    if (why == null) {
      assertThat(check.doubts()).isEmpty();
    } else {
      assertThat(check.doubts()).containsExactly(why);
    }
  }

  @Test
  void soonAfterHardWorkItIsNotUsedWhileItIsHardItIs() {
    assertThat(taken(RateSource.STRAP, at -> at < 400 ? 160 : 130, voice(640, 2)).get(0).doubts())
        .containsExactly(NotUsed.AFTER_HARD_WORK);
    assertThat(taken(RateSource.STRAP, at -> at < 300 ? 160 : 130, voice(640, 2)).get(0).doubts())
        .isEmpty();
    assertThat(taken(RateSource.STRAP, at -> 160, voice(640, 4)).get(0).doubts()).isEmpty();
  }

  @Test
  void withoutARateOrSoonAfterTheSignalWasLost() {
    assertThat(taken(RateSource.STRAP, at -> at > 555 ? 0 : 130, voice(600, 2)).get(0).doubts())
        .contains(NotUsed.NO_RATE);
    assertThat(
            taken(RateSource.STRAP, at -> at > 562 && at < 571 ? 0 : 130, voice(600, 2))
                .get(0)
                .doubts())
        .containsExactly(NotUsed.SOURCE_IN_DOUBT);
  }

  @Test
  void withAStrapInDoubtOrAStopSign() {
    LiveEvent doubted = new LiveEvent.StrapDoubted(new UUID(4, 1), START.plusSeconds(100));
    assertThat(taken(RateSource.STRAP, at -> 130, voice(600, 2), doubted).get(0).doubts())
        .containsExactly(NotUsed.SOURCE_IN_DOUBT);
    LiveEvent stopped =
        new LiveEvent.Stopped(new UUID(4, 2), START.plusSeconds(800), StopSign.DIZZY);
    assertThat(taken(RateSource.STRAP, at -> 130, voice(600, 2), stopped).get(0).doubts())
        .containsExactly(NotUsed.STOP_SIGN);
  }

  @Test
  void byHandTheCountAfterThePassageIsTaken() {
    LiveEvent counted =
        new LiveEvent.Counted(new UUID(5, 1), START.plusSeconds(620), 32, CountWindow.S15);
    TalkCheck check = taken(RateSource.COUNT, at -> 0, voice(600, 2), counted).get(0);
    assertThat(check.said().bpm()).isEqualTo(128);
    assertThat(check.said().by()).isEqualTo(RateBy.COUNT15);
    assertThat(check.doubts()).isEmpty();
    assertThat(taken(RateSource.COUNT, at -> 0, voice(600, 2)).get(0).doubts())
        .contains(NotUsed.NO_RATE);
  }

  @Test
  void aWristIsAWrist() {
    assertThat(taken(RateSource.WRIST, at -> 130, voice(600, 2)).get(0).said().by())
        .isEqualTo(RateBy.WRIST);
  }
}
