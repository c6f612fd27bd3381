package app.korvel.core.talk;

import static app.korvel.core.talk.TalkScene.FIRST;
import static app.korvel.core.talk.TalkScene.LAST;
import static app.korvel.core.talk.TalkScene.SPAN;
import static app.korvel.core.talk.TalkScene.ZONE;
import static app.korvel.core.talk.TalkScene.check;
import static app.korvel.core.talk.TalkScene.nine;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.Grade;
import app.korvel.core.talk.Gate.WhyNot;
import app.korvel.core.talk.LearnedThresholds.About;
import app.korvel.core.talk.Standing.Use;
import app.korvel.core.talk.TalkAct.Frozen;
import app.korvel.core.talk.TalkAct.Kind;
import app.korvel.core.talk.TalkCheck.Said;
import app.korvel.core.talk.TalkSeries.Direction;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.LearnedRates;
import app.korvel.core.zone.LearnedRates.Rate;
import app.korvel.core.zone.MeasuredThresholds;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.ThresholdRates;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Offered, accepted, withdrawn: the worked cases of the design, from 64 to 176. */
class LearnedThresholdsTest {
  private static final About FREE = about(Standing.FREE);

  private final List<TalkAct> acts = new ArrayList<>();

  private static About about(Standing standing) {
    return new About(Mode.RUN, standing, true, Optional.empty(), List.of(), true);
  }

  private static About about(Optional<Instant> medicine, MeasuredThresholds... measured) {
    return new About(Mode.RUN, Standing.FREE, true, medicine, List.of(measured), true);
  }

  private LearnedThresholds learned(List<TalkCheck> checks, About about, LocalDate today) {
    return LearnedThresholds.of(SPAN, checks, acts, about, today, ZONE);
  }

  private static Instant on(LocalDate day) {
    return day.atTime(21, 0).toInstant(ZoneOffset.UTC);
  }

  private TalkAct act(Kind kind, Optional<Frozen> frozen, LocalDate day) {
    TalkAct act =
        new TalkAct(
            new UUID(1, acts.size()),
            Optional.of(Mode.RUN),
            kind,
            frozen,
            Optional.empty(),
            Optional.empty(),
            "because",
            on(day));
    acts.add(act);
    return act;
  }

  private void accept(LearnedThresholds offered, Which which, LocalDate day) {
    act(Kind.ACCEPTED, offered.side(which).offer(), day);
  }

  private void accepted(int bpm, LocalDate day) {
    act(Kind.ACCEPTED, Optional.of(new Frozen(Which.LOWER, bpm, bpm, 3, 9, 5, day)), day);
  }

  private static List<String> codes(LearnedThresholds learned) {
    return learned.findings().stream().map(Finding::code).toList();
  }

  private static List<TalkCheck> shifted(int bpm, LocalDate from) {
    List<TalkCheck> checks = new ArrayList<>();
    int[] days = {0, 0, 3, 3, 7, 10, 10, 14, 14};
    int[][] said = {
      {2, 128}, {3, 140}, {2, 133}, {3, 142}, {2, 136}, {2, 131}, {3, 139}, {3, 136}, {2, 134}
    };
    for (int n = 0; n < said.length; n++) {
      checks.add(check(from.plusDays(days[n]), said[n][0], said[n][1] + bpm));
    }
    return checks;
  }

  @Test
  void theGateOpensWithTheSixthCheckOnTheFourthDay() {
    String[] whyNot = {
      "CHECKS DAYS ONE_SIDED UNSURE OLD",
      "CHECKS DAYS ONE_SIDED UNSURE",
      "CHECKS DAYS ONE_SIDED UNSURE",
      "CHECKS DAYS ONE_SIDED UNSURE",
      "CHECKS DAYS",
      "CHECKS",
      "",
      "",
      "",
      ""
    };
    for (int n = 0; n <= 9; n++) {
      LocalDate day = n == 0 ? FIRST : nine().get(n - 1).day(ZONE);
      Gate gate = learned(nine().subList(0, n), FREE, day).lower().gate();
      assertThat(gate.whyNot().stream().map(Enum::name).collect(Collectors.joining(" ")))
          .as(n + " checks")
          .isEqualTo(whyNot[n]);
    }
    LearnedThresholds learned = learned(nine(), FREE, LAST);
    assertThat(learned.lower().gate().nearChecks()).isEqualTo(9);
    assertThat(learned.lower().gate().nearDays()).isEqualTo(5);
    assertThat(learned.upper().gate().whyNot())
        .containsExactly(WhyNot.CHECKS, WhyNot.DAYS, WhyNot.ONE_SIDED, WhyNot.UNSURE);
    assertThat(learned.upper().gate().nearChecks()).isEqualTo(2);
    assertThat(learned(nine(), FREE, LAST.plusWeeks(12)).lower().gate().whyNot())
        .containsExactly(WhyNot.OLD);
  }

  @Test
  void whatIsMissingIsSaid() {
    assertThat(learned(nine().subList(0, 4), FREE, FIRST.plusDays(3)).findings())
        .extracting(Finding::message)
        .containsExactly(
            "Not yet: 4 checks on 2 days; 2 more are needed near 135, on another day.");
  }

  @Test
  void beforeAnyCheckItSaysWhatIsTakenForGranted() {
    LearnedThresholds none = learned(List.of(), FREE, LAST);
    assertThat(none.sentence())
        .isEqualTo("No talk checks yet: whole sentences are taken to end at 131, ± 10.");
    assertThat(none.findings()).isEmpty();
  }

  @Test
  void offeredItChangesNothingUntilItIsAccepted() {
    LearnedThresholds offered = learned(nine(), FREE, LAST);
    assertThat(offered.lower().offer()).map(Frozen::bpm).contains(136);
    assertThat(codes(offered)).containsExactly("learned-offered");
    assertThat(offered.rates().none()).isTrue();
    assertThat(offered.ladder().edges()).containsExactly(109, 131, 148, 165);

    accept(offered, Which.LOWER, LAST);
    LearnedThresholds inUse = learned(nine(), FREE, LAST);
    assertThat(inUse.ladder().edges()).containsExactly(109, 136, 148, 165);
    assertThat(inUse.lower().offer()).isEmpty();
    assertThat(inUse.sentence())
        .isEqualTo(
            "Whole sentences up to 136, ± 3. Learned from 9 talk checks on 5 days, the last on "
                + "18 Mar 2030. The equation says 131.");
  }

  @ParameterizedTest
  @CsvSource(
      value = {
        "0, 0, 109 131 148 165",
        "136, 0, 109 136 148 165",
        "124, 0, 109 124 148 165",
        "145, 0, 109 145 150 165",
        "136, 154, 109 136 154 165",
        "112, 0, 107 112 148 165",
        "168, 0, 109 131 148 165",
        "150, 152, 109 150 155 165",
      })
  void edgesKeepTheirDistance(int lower, int upper, String edges) {
    LearnedRates rates =
        new LearnedRates(
            Optional.of(new Rate(lower, 3)).filter(rate -> lower > 0),
            Optional.of(new Rate(upper, 3)).filter(rate -> upper > 0));
    assertThat(Ladder.of(SPAN.reserve(), rates).edges())
        .containsExactlyElementsOf(Arrays.stream(edges.split(" ")).map(Integer::valueOf).toList());
  }

  @ParameterizedTest
  @CsvSource({"131, 136, 136", "131, 145, 136", "136, 145, 141", "141, 145, 145", "136, 124, 124"})
  void downAtOnceAndUpSlowly(int inUse, int learned, int offered) {
    List<TalkCheck> checks = shifted(learned - 136, FIRST);
    if (inUse != 131) {
      accepted(inUse, LAST.minusDays(20));
    }
    assertThat(learned(checks, FREE, LAST).lower().spread().shownBpm())
        .isBetween(learned - 1, learned + 2);
    int shown = learned(checks, FREE, LAST).lower().spread().shownBpm();
    assertThat(learned(checks, FREE, LAST).lower().offer())
        .map(Frozen::bpm)
        .contains(offered == learned ? shown : offered);
  }

  @Test
  void itRisesAgainAfterAFortnight() {
    List<TalkCheck> checks = shifted(9, FIRST);
    accepted(136, LAST.minusDays(13));
    LearnedThresholds early = learned(checks, FREE, LAST);
    assertThat(early.lower().offer()).isEmpty();
    assertThat(codes(early)).contains("learned-rises-slowly");
    assertThat(learned(checks, FREE, LAST.plusDays(1)).lower().offer())
        .map(Frozen::bpm)
        .contains(141);
  }

  @Test
  void aSmallMoveIsNotOfferedAnew() {
    accepted(135, LAST);
    assertThat(learned(nine(), FREE, LAST).lower().offer()).isEmpty();
    accepted(133, LAST);
    assertThat(learned(nine(), FREE, LAST.plusDays(14)).lower().offer()).isPresent();
  }

  @Test
  void aRefusalHoldsUntilThereIsSomethingNew() {
    act(Kind.REFUSED, learned(nine(), FREE, LAST).lower().offer(), LAST);
    assertThat(learned(nine(), FREE, LAST).lower().offer()).isEmpty();
    List<TalkCheck> more = nine();
    for (int n = 1; n <= 4; n++) {
      more.add(check(LAST.plusDays(n), 2, 146));
      more.add(check(LAST.plusDays(n), 2, 140));
    }
    assertThat(learned(more, FREE, LAST.plusDays(4)).lower().spread().shownBpm())
        .isGreaterThanOrEqualTo(139);
    assertThat(learned(more, FREE, LAST.plusDays(4)).lower().offer()).isPresent();
  }

  @Test
  void itLapsesTwelveWeeksAfterTheNewestCheckNearIt() {
    accept(learned(nine(), FREE, LAST), Which.LOWER, LAST);
    assertThat(codes(learned(nine(), FREE, LAST.plusDays(55)))).doesNotContain("learned-old");
    assertThat(codes(learned(nine(), FREE, LAST.plusDays(56)))).contains("learned-old");
    assertThat(learned(nine(), FREE, LAST.plusDays(83)).rates().lower()).isPresent();
    LearnedThresholds lapsed = learned(nine(), FREE, LAST.plusDays(84));
    assertThat(lapsed.rates().none()).isTrue();
    assertThat(codes(lapsed)).contains("learned-lapsed");

    List<TalkCheck> renewed = nine();
    renewed.add(check(LAST.plusDays(60), 2, 131));
    assertThat(learned(renewed, FREE, LAST.plusDays(84)).rates().lower()).isPresent();
  }

  @Test
  void aChangeOfMedicineBeginsANewSeries() {
    accept(learned(nine(), FREE, LAST), Which.LOWER, LAST);
    LearnedThresholds after =
        learned(nine(), about(Optional.of(on(LAST.plusDays(1)))), LAST.plusDays(2));
    assertThat(after.rates().none()).isTrue();
    assertThat(after.series().used()).isEmpty();
    assertThat(after.series().notUsed())
        .extracting(TalkSeries.LeftOut::why)
        .containsOnly(NotUsed.BEFORE_MEDICINE);
  }

  @Test
  void aResetLeavesEarlierChecksUnusedAndCanBeUndone() {
    accept(learned(nine(), FREE, LAST), Which.LOWER, LAST);
    acts.add(
        new TalkAct(
            new UUID(2, 1),
            Optional.of(Mode.RUN),
            Kind.RESET,
            Optional.empty(),
            Optional.empty(),
            Optional.of(FIRST.plusDays(10)),
            "trained since",
            on(LAST.plusDays(1))));
    LearnedThresholds after = learned(nine(), FREE, LAST.plusDays(1));
    assertThat(after.series().used()).hasSize(4);
    assertThat(after.rates().none()).isTrue();
    acts.remove(acts.size() - 1);
    assertThat(learned(nine(), FREE, LAST.plusDays(1)).rates().lower()).isPresent();
  }

  @Test
  void aCheckTakenOutIsNotUsedUntilItIsPutBack() {
    List<TalkCheck> checks = nine();
    UUID odd = checks.get(4).id();
    acts.add(about(Kind.TAKEN_OUT, odd, 0));
    assertThat(learned(checks, FREE, LAST).series().used()).hasSize(8);
    acts.add(about(Kind.PUT_BACK, odd, 60));
    assertThat(learned(checks, FREE, LAST).series().used()).hasSize(9);
  }

  private static TalkAct about(Kind kind, UUID check, int second) {
    return new TalkAct(
        new UUID(3, second),
        Optional.of(Mode.RUN),
        kind,
        Optional.empty(),
        Optional.of(check),
        Optional.empty(),
        "it was windy",
        on(LAST).plusSeconds(second));
  }

  @Test
  void whatIsDecidedNeedsItsReason() {
    TalkAct without =
        new TalkAct(
            new UUID(4, 0),
            Optional.empty(),
            Kind.RESET,
            Optional.empty(),
            Optional.empty(),
            Optional.of(FIRST),
            "  ",
            on(LAST));
    assertThatThrownBy(without::checked).isInstanceOf(InvalidValueException.class);
  }

  @ParameterizedTest
  @EnumSource(
      value = Use.class,
      names = {"ONLY_LOWERS", "SHOWN_ONLY", "NOT_OFFERED", "NOT_COMPUTED"})
  void forWhoIsToBeCarefulItOnlyEverLowers(Use use) {
    About careful = about(new Standing(use, "someone new to exercise"));
    accepted(136, LAST);
    LearnedThresholds high = learned(nine(), careful, LAST);
    assertThat(high.ladder().edges()).containsExactly(109, 131, 148, 165);
    acts.clear();
    accepted(124, LAST);
    LearnedThresholds low = learned(shifted(-12, FIRST), careful, LAST);
    assertThat(low.ladder().edges().get(1)).isEqualTo(use == Use.ONLY_LOWERS ? 124 : 131);
  }

  @Test
  void heldItSaysAtWhat() {
    About careful = about(new Standing(Use.ONLY_LOWERS, "someone new to exercise"));
    accepted(136, LAST);
    assertThat(learned(nine(), careful, LAST).findings())
        .extracting(Finding::message)
        .contains("Held at 131: learned 136, and for someone new to exercise it only ever lowers.");
  }

  @Test
  void anEdgeRisesOnlyWhereSentencesAboveItWereHeard() {
    List<TalkCheck> told =
        nine().stream()
            .map(
                each ->
                    check(
                        each.day(ZONE),
                        new Said(
                            each.said().bpm(), RateBy.STRAP, each.said().voice(), Hearing.TOLD),
                        Set.of()))
            .toList();
    accepted(136, LAST);
    LearnedThresholds learned = learned(told, FREE, LAST);
    assertThat(learned.ladder().edges()).containsExactly(109, 131, 148, 165);
    assertThat(codes(learned)).contains("learned-needs-heard");
  }

  @Test
  void harderThanLearnedUsesTheLowerOfTwoUntilItIsSettled() {
    accept(learned(nine(), FREE, LAST), Which.LOWER, LAST);
    List<TalkCheck> checks = nine();
    checks.add(check(LAST.plusDays(2), 4, 126));
    checks.add(check(LAST.plusDays(5), 4, 125));
    LearnedThresholds harder = learned(checks, FREE, LAST.plusDays(5));
    assertThat(harder.contradiction()).contains(Direction.HARDER);
    assertThat(codes(harder)).contains("learned-contradicted-harder");
    assertThat(harder.ladder().edges()).containsExactly(109, 131, 148, 165);
    assertThat(harder.lower().gate().whyNot()).contains(WhyNot.CONTRADICTED);

    acts.add(about(Kind.TAKEN_OUT, checks.get(10).id(), 5));
    assertThat(learned(checks, FREE, LAST.plusDays(5)).ladder().edges()).contains(136);
  }

  @Test
  void whatIsEasierLaterDoesNotOutweighWhatWasHarder() {
    accept(learned(nine(), FREE, LAST), Which.LOWER, LAST);
    List<TalkCheck> checks = nine();
    checks.add(check(LAST.plusDays(2), 4, 126));
    checks.add(check(LAST.plusDays(5), 4, 125));
    checks.add(check(LAST.plusDays(8), 2, 154));
    checks.add(check(LAST.plusDays(9), 2, 155));
    LearnedThresholds both = learned(checks, FREE, LAST.plusDays(9));
    assertThat(both.series().days().get(7).checks().get(0).surprise()).contains(Direction.EASIER);
    assertThat(both.contradiction()).contains(Direction.HARDER);
    assertThat(both.ladder().edges()).containsExactly(109, 131, 148, 165);
  }

  @Test
  void easierChangesNothingOnTheFloor() {
    accept(learned(nine(), FREE, LAST), Which.LOWER, LAST);
    List<TalkCheck> checks = nine();
    checks.add(check(LAST.plusDays(2), 2, 152));
    checks.add(check(LAST.plusDays(5), 2, 153));
    LearnedThresholds easier = learned(checks, FREE, LAST.plusDays(5));
    assertThat(easier.contradiction()).contains(Direction.EASIER);
    assertThat(easier.ladder().edges()).containsExactly(109, 136, 148, 165);
  }

  @Test
  void whoSaysSentencesAndFeelsPhrasesIsDoubted() {
    List<TalkCheck> checks = nine();
    accepted(136, LAST);
    for (int n = 1; n <= 5; n++) {
      checks.add(felt(check(LAST.plusDays(n), 2, 133), 14));
    }
    LearnedThresholds doubted = learned(checks, FREE, LAST.plusDays(5));
    assertThat(codes(doubted)).contains("learned-flatters");
    assertThat(doubted.ladder().edges()).containsExactly(109, 131, 148, 165);
    checks.subList(checks.size() - 3, checks.size()).clear();
    assertThat(codes(learned(checks, FREE, LAST.plusDays(5)))).doesNotContain("learned-flatters");
  }

  @Test
  void norWithoutHavingAskedHowItFelt() {
    List<TalkCheck> notAsked =
        nine().stream().map(each -> TalkScene.felt(each, Optional.empty())).toList();
    assertThat(codes(learned(notAsked, FREE, LAST)))
        .containsExactly("learned-offered", "learned-needs-heard");
  }

  private static MeasuredThresholds test(int lower, int upper, LocalDate day) {
    return new MeasuredThresholds(
        new UUID(5, lower),
        Mode.RUN,
        MeasuredThresholds.Kind.TALK_STEPS,
        ThresholdRates.of(lower, upper),
        day,
        Grade.GOOD,
        "",
        Optional.empty(),
        on(day));
  }

  @Test
  void aTestComesFirstForTwelveWeeksAndMayDisagree() {
    accept(learned(nine(), FREE, LAST), Which.LOWER, LAST);
    About tested = about(Optional.empty(), test(132, 150, LAST));
    assertThat(learned(nine(), tested, LAST).rates().none()).isTrue();
    assertThat(codes(learned(nine(), tested, LAST))).contains("learned-test-first");
    About off = about(Optional.empty(), test(126, 150, LAST));
    assertThat(codes(learned(nine(), off, LAST))).contains("learned-disagrees");
    About near = about(Optional.empty(), test(127, 150, LAST));
    assertThat(codes(learned(nine(), near, LAST))).doesNotContain("learned-disagrees");
    About old = about(Optional.empty(), test(126, 150, LAST.minusWeeks(12)));
    assertThat(learned(nine(), old, LAST).rates().lower()).isPresent();
  }

  @Test
  void whatIsSaidOverTheEquationsEdgeHasToFeelLikeIt() {
    List<TalkCheck> felt = new ArrayList<>();
    for (TalkCheck each : nine()) {
      felt.add(each.said().bpm() > 131 && each.said().voice() == 2 ? felt(each, 14) : each);
    }
    LearnedThresholds doubted = learned(felt, FREE, LAST);
    assertThat(doubted.lower().gate().whyNot()).containsExactly(WhyNot.FELT_HARDER);
    assertThat(doubted.lower().offer()).isEmpty();
    assertThat(doubted.findings())
        .extracting(Finding::message)
        .containsExactly(
            "Not yet: 9 checks on 5 days; sentences there feel like phrases: listen yourself.");
    felt.replaceAll(each -> each.said().voice() == 2 ? felt(each, 13) : each);
    assertThat(learned(felt, FREE, LAST).lower().offer()).isPresent();
  }

  @Test
  void nothingIsEverSurerThanThree() {
    List<TalkCheck> many = new ArrayList<>();
    for (int n = 0; n < 60; n++) {
      many.add(check(FIRST.plusDays(n / 2), n % 2 == 0 ? 2 : 3, n % 2 == 0 ? 132 : 140));
    }
    LearnedThresholds learned = learned(many, FREE, FIRST.plusDays(30));
    assertThat(learned.lower().spread().errorBpm()).isLessThan(2);
    assertThat(learned.lower().spread().shownPlusMinus()).isEqualTo(3);
  }

  @Test
  void nobodyIsAskedToWorkHarderSoThatItMayLearn() {
    LearnedThresholds learned = learned(nine(), FREE, LAST);
    assertThat(learned.nextUsefulBpm(109, 131)).isEqualTo(131);
    assertThat(learned.nextUsefulBpm(120, 142)).isEqualTo(136);
    assertThat(learned.nextUsefulBpm(140, 150)).isEqualTo(140);
  }

  @Test
  void aTalkTargetIsOnlyEverEased() {
    accepted(124, LAST);
    LearnedThresholds low = learned(shifted(-12, FIRST), FREE, LAST);
    assertThat(low.rates().easing(109, 131)).map(Rate::bpm).contains(124);
    assertThat(low.rates().easing(109, 120)).isEmpty();
    acts.clear();
    accepted(136, LAST);
    assertThat(learned(nine(), FREE, LAST).rates().easing(109, 131)).isEmpty();
  }

  @Test
  void restAndMaximumNeverMove() {
    accepted(136, LAST);
    LearnedThresholds learned = learned(nine(), FREE, LAST);
    assertThat(learned.ladder().reserve()).isEqualTo(Reserve.of(64, 176));
    assertThat(learned.series().span().maximumSpread().meanBpm()).isBetween(175.9, 176.1);
  }

  @Test
  void switchedOffNothingIsUsedAndEverythingIsKept() {
    accepted(136, LAST);
    act(Kind.SWITCHED_OFF, Optional.empty(), LAST.plusDays(1));
    LearnedThresholds off = learned(nine(), FREE, LAST.plusDays(1));
    assertThat(off.rates().none()).isTrue();
    assertThat(off.on()).isFalse();
    assertThat(off.series().used()).hasSize(9);
    act(Kind.SWITCHED_ON, Optional.empty(), LAST.plusDays(2));
    assertThat(learned(nine(), FREE, LAST.plusDays(2)).rates().lower()).isPresent();
  }

  @Test
  void whatAnotherModeLearnedSaysNothing() {
    acts.add(
        new TalkAct(
            new UUID(6, 1),
            Optional.of(Mode.CYCLE),
            Kind.ACCEPTED,
            Optional.of(new Frozen(Which.LOWER, 120, 120, 3, 9, 5, LAST)),
            Optional.empty(),
            Optional.empty(),
            "",
            on(LAST)));
    assertThat(learned(nine(), FREE, LAST).rates().none()).isTrue();
  }

  @Test
  void keptAndNotUsedWithTheReason() {
    LocalDate day = FIRST;
    List<TalkCheck> checks = new ArrayList<>();
    checks.add(check(day.minusDays(182), 2, 130));
    checks.add(TalkScene.doubted(check(day, 2, 120), NotUsed.NOT_STEADY));
    checks.add(felt(check(day, 2, 121), 16));
    checks.add(felt(check(day, 2, 122), 14));
    assertThat(TalkScene.series(checks, day).notUsed())
        .extracting(TalkSeries.LeftOut::why)
        .containsExactlyInAnyOrder(NotUsed.OLD, NotUsed.NOT_STEADY, NotUsed.RPE_APART);
    assertThat(TalkScene.series(checks, day).used()).hasSize(1);
  }

  @Test
  void fourOfADayAndNotTheSameTwice() {
    List<TalkCheck> checks = new ArrayList<>();
    for (int n = 0; n < 6; n++) {
      checks.add(at(check(FIRST, 2, 120 + 8 * n), 60 * 10 * n));
    }
    checks.add(at(check(FIRST, 2, 122), 60));
    assertThat(TalkScene.series(checks, FIRST).notUsed())
        .extracting(TalkSeries.LeftOut::why)
        .containsExactlyInAnyOrder(
            NotUsed.SAME_AGAIN, NotUsed.MORE_THAN_A_DAY, NotUsed.MORE_THAN_A_DAY);
  }

  @Test
  void onlyTheNewestSixty() {
    List<TalkCheck> checks = new ArrayList<>();
    for (int n = 0; n < 63; n++) {
      checks.add(check(FIRST.plusDays(n), 2, 130));
    }
    TalkSeries series = TalkScene.series(checks, FIRST.plusDays(63));
    assertThat(series.used()).hasSize(60);
    assertThat(series.notUsed())
        .extracting(TalkSeries.LeftOut::why)
        .containsOnly(NotUsed.BEYOND_NEWEST);
  }

  private static TalkCheck felt(TalkCheck of, int rpe20) {
    return TalkScene.felt(of, Optional.of(rpe20));
  }

  private static TalkCheck at(TalkCheck of, int second) {
    return TalkScene.at(of, FIRST.atTime(9, 0).toInstant(ZoneOffset.UTC).plusSeconds(second));
  }

  @ParameterizedTest
  @CsvSource({"0", "6", "-1"})
  void aVoiceIsOneToFive(int voice) {
    TalkCheck wrong = check(FIRST, new Said(130, RateBy.STRAP, voice, Hearing.HEARD), Set.of());
    assertThatThrownBy(() -> wrong.checked(ZONE)).isInstanceOf(InvalidValueException.class);
  }

  @Test
  void aCheckIsNotOfTomorrowNorOfLastYear() {
    TalkCheck later = at(check(FIRST, 2, 130), 60 * 60 * 24);
    assertThatThrownBy(() -> later.checked(ZONE))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("at");
    TalkCheck longAgo = TalkScene.at(later, later.recordedAt().minusSeconds(86_400L * 15));
    assertThatThrownBy(() -> longAgo.checked(ZONE)).isInstanceOf(InvalidValueException.class);
  }
}
