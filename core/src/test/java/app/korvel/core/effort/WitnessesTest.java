package app.korvel.core.effort;

import static app.korvel.core.effort.EffortContext.HEART_CONDITION;
import static app.korvel.core.effort.EffortContext.IRREGULAR_RHYTHM;
import static app.korvel.core.effort.EffortContext.NEW_TO_EXERCISE;
import static app.korvel.core.effort.EffortContext.RATE_LOWERING_MEDICINE;
import static app.korvel.core.effort.EffortContext.RESPIRATORY;
import static app.korvel.core.effort.EffortContext.UNDER_18;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Cue;
import app.korvel.core.effort.Witnesses.Moment;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.effort.Witnesses.Said;
import app.korvel.core.measure.Finding;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** On 64 to 176: Talk begins at 109, Phrases at 131, Words at 148, Silent at 165. */
class WitnessesTest {
  private static final Reserve SPAN = new Reserve(64, 176);
  private static final Aim TALK = Aim.byRate(109, 131, Optional.empty(), Ladder.of(SPAN));

  /** What is given of somebody at a moment; nothing unless it is said. */
  private record Case(
      Aim aim,
      RateSource source,
      boolean estimated,
      Set<EffortContext> contexts,
      IntensityGuide guide,
      int cap,
      int limit) {
    static final Case OF =
        new Case(TALK, RateSource.STRAP, false, Set.of(), IntensityGuide.RATE, 0, 0);

    Case at(int low, int high) {
      return new Case(
          Aim.byRate(low, high, Optional.empty(), Ladder.of(SPAN)),
          source,
          estimated,
          contexts,
          guide,
          cap,
          limit);
    }

    Case by(RateSource other) {
      return new Case(aim, other, estimated, contexts, guide, cap, limit);
    }

    Case estimating() {
      return new Case(aim, source, true, contexts, guide, cap, limit);
    }

    Case with(EffortContext... some) {
      return new Case(
          aim, source, estimated, EnumSet.copyOf(Arrays.asList(some)), guide, cap, limit);
    }

    Case led(IntensityGuide by) {
      return new Case(aim, source, estimated, contexts, by, cap, limit);
    }

    Case capped(int bpm) {
      return new Case(aim, source, estimated, contexts, guide, bpm, limit);
    }

    Case upTo(int rpe) {
      return new Case(aim, source, estimated, contexts, guide, cap, rpe);
    }

    /** 0 where it is not known. */
    Witnesses say(int bpm, int rpe, int voice) {
      return Witnesses.of(
          new Moment(known(bpm), source, false, known(rpe), known(voice), false),
          aim,
          new Mover(
              Optional.of(Ladder.of(SPAN)), estimated, contexts, guide, known(cap), known(limit)));
    }

    private static OptionalInt known(int value) {
      return value == 0 ? OptionalInt.empty() : OptionalInt.of(value);
    }
  }

  private static void is(Witnesses said, int level, Cue cue) {
    assertThat(said.cue()).isEqualTo(cue);
    assertThat(said.level()).hasValue(level);
  }

  @ParameterizedTest
  @CsvSource({
    "98, 109, 1",
    "109, 131, 2",
    "120, 142, 23",
    "131, 148, 3",
    "137, 155, 34",
    "148, 148, 4",
  })
  void aTargetHasTheLevelsThatShareTwoRatesWithIt(int low, int high, String levels) {
    assertThat(Aim.byRate(low, high, Optional.empty(), Ladder.of(SPAN)).levels())
        .extracting(Level::number)
        .extracting(String::valueOf)
        .containsExactly(levels.split(""));
  }

  /** Worked values of the design, one by one. */
  @Test
  void theWorkedCasesComeOut() {
    Witnesses strap = Case.OF.say(135, 13, 2);
    assertThat(strap.rate()).contains(new Said(1, 3, 1000));
    assertThat(strap.targetLevels()).containsExactly(Level.TALK);
    is(strap, 2, Cue.HOLD);

    Witnesses wrist =
        Case.OF.by(RateSource.WRIST).estimating().with(NEW_TO_EXERCISE).say(135, 14, 2);
    assertThat(wrist.rate()).contains(new Said(1, 3, 400));
    assertThat(wrist.rpe()).contains(new Said(1, 3, 500));
    is(wrist, 2, Cue.HOLD);

    Witnesses held = Case.OF.estimating().with(RATE_LOWERING_MEDICINE).say(100, 0, 0);
    assertThat(held.rate()).contains(new Said(-1, 1, 200));
    is(held, 1, Cue.ASK);

    is(Case.OF.say(120, 0, 3), 3, Cue.EASE_OFF);
    is(
        Case.OF.at(131, 148).by(RateSource.WRIST).with(NEW_TO_EXERCISE).say(140, 13, 4),
        4,
        Cue.EASE_OFF);

    Witnesses counted =
        Case.OF.by(RateSource.COUNT).estimating().with(NEW_TO_EXERCISE).say(100, 14, 2);
    assertThat(counted.rate()).contains(new Said(-1, 1, 560));
    is(counted, 2, Cue.HOLD);

    Witnesses body = Case.OF.say(100, 13, 4);
    is(body, 2, Cue.EASE_OFF);
    assertThat(body.findings().get(0).code()).isEqualTo("cue-body-over");
    Witnesses heart = Case.OF.estimating().with(HEART_CONDITION).say(120, 13, 3);
    assertThat(heart.rate()).contains(new Said(0, 2, 800));
    is(heart, 2, Cue.EASE_OFF);
    assertThat(heart.findings().get(0).code()).isEqualTo("cue-body-over");
  }

  @Test
  void aStopSignComesFirstThenTheCapThenALimitOfRpe() {
    Witnesses stop =
        Witnesses.of(
            new Moment(
                OptionalInt.of(170),
                RateSource.STRAP,
                false,
                OptionalInt.of(18),
                OptionalInt.empty(),
                true),
            TALK,
            new Mover(
                Optional.of(Ladder.of(SPAN)),
                false,
                Set.of(),
                IntensityGuide.RATE,
                OptionalInt.of(150),
                OptionalInt.empty()));
    assertThat(stop.cue()).isEqualTo(Cue.STOP);
    assertThat(Case.OF.capped(150).say(150, 13, 2).cue()).isEqualTo(Cue.HOLD);
    assertThat(Case.OF.capped(150).say(151, 13, 2).findings().get(0).code())
        .isEqualTo("cue-over-cap");
    assertThat(Case.OF.upTo(13).say(120, 14, 2).findings().get(0).code())
        .isEqualTo("cue-over-rpe-limit");
    assertThat(Case.OF.with(RESPIRATORY).say(120, 14, 2).cue()).isEqualTo(Cue.EASE_OFF);
    assertThat(Case.OF.with(HEART_CONDITION).at(120, 142).say(130, 14, 2).cue())
        .isEqualTo(Cue.HOLD);
  }

  @Test
  void moreIsAskedForOnlyWhereNothingSpeaksAgainstIt() {
    assertThat(Case.OF.say(100, 0, 0).cue()).isEqualTo(Cue.PICK_UP);
    assertThat(Case.OF.led(IntensityGuide.TALK).say(100, 0, 0).cue()).isEqualTo(Cue.ASK);
    assertThat(Case.OF.with(UNDER_18).say(100, 0, 0).cue()).isEqualTo(Cue.ASK);
    assertThat(Case.OF.led(IntensityGuide.TALK).say(100, 11, 0).cue()).isEqualTo(Cue.PICK_UP);
    // Two say below and one is over: nobody is pushed past it.
    assertThat(Case.OF.say(100, 11, 3).cue()).isEqualTo(Cue.HOLD);
    assertThat(Case.OF.say(0, 0, 0).cue()).isEqualTo(Cue.ASK);
    assertThat(Case.OF.with(IRREGULAR_RHYTHM).say(100, 0, 0).cue()).isEqualTo(Cue.ASK);
    assertThat(Case.OF.with(IRREGULAR_RHYTHM).say(100, 0, 0).level()).isEmpty();
  }

  @Test
  void aRateThatStandsAloneAgainstTheBodyIsQuestioned() {
    List<Finding> findings = Case.OF.say(150, 12, 2).findings();
    assertThat(findings).extracting(Finding::code).containsExactly("cue-voted", "rate-disagrees");
    assertThat(Case.OF.say(140, 12, 2).findings()).hasSize(1);
    assertThat(Case.OF.at(109, 170).say(150, 12, 4).findings()).hasSize(1);
  }
}
