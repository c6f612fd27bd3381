package app.korvel.core.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.korvel.core.assessment.GradedSheet.Phase;
import app.korvel.core.assessment.TestPrompt.What;
import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.pulse.Grade;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The sheet of a graded test: baseline, stages, every way in which it ends, and recovery. */
class GradedSheetTest {
  private static SheetScene typed() {
    return SheetScene.of(TestPeople.anybody(), RateSource.COUNT).begun();
  }

  private static SheetScene strap() {
    return SheetScene.of(TestPeople.anybody(), RateSource.STRAP).begun();
  }

  private static List<What> asked(GradedSheet sheet) {
    return sheet.prompts().stream().map(TestPrompt::what).toList();
  }

  // Before the work.

  @Test
  void withoutARateAndAPressureItDoesNotStart() {
    SheetScene scene = SheetScene.of(TestPeople.anybody(), RateSource.COUNT);
    assertThat(asked(scene.now(-290))).containsExactly(What.POSTURE);
    scene.posture(-290, TestPosture.LYING).rate(-110, 70);
    assertThat(asked(scene.now(-100))).containsExactly(What.PRESSURE, What.RPE);
    assertThat(codes(scene.now(-100).baseline().inTheWay())).containsExactly("baseline-missing");
    scene.pressure(-100, 120, 80).rpe(-100, 6);
    assertThat(asked(scene.now(-90))).containsExactly(What.POSTURE);
    scene.posture(-60, TestPosture.STANDING).rate(-10, 76).pressure(-5, 124, 82).rpe(-5, 6);
    assertThat(asked(scene.now(0))).containsExactly(What.BEGIN);
    assertThat(scene.now(0).baseline().inTheWay()).isEmpty();
  }

  @Test
  void standingThatCannotBeTakenIsMarked() {
    SheetScene scene =
        SheetScene.of(TestPeople.anybody(), RateSource.COUNT)
            .posture(-290, TestPosture.SEATED)
            .rate(-110, 70)
            .pressure(-110, 120, 80)
            .add(-100, id -> new TestEvent.LeftOut(id, SheetScene.at(-100), "prosthesis"));
    assertThat(scene.now(0).baseline().inTheWay()).isEmpty();
    assertThat(scene.now(0).baseline().standing().orElseThrow().bpm()).hasValue(70);
  }

  @ParameterizedTest
  @CsvSource({"101, false", "100, true"})
  void aSystolicThatFallsByTwentyOnStanding(int standing, boolean blocked) {
    SheetScene scene =
        SheetScene.of(TestPeople.anybody(), RateSource.COUNT)
            .posture(-290, TestPosture.LYING)
            .rate(-110, 70)
            .pressure(-110, 120, 80)
            .posture(-60, TestPosture.STANDING)
            .rate(-10, 76)
            .pressure(-10, standing, 60);
    assertThat(codes(scene.now(0).baseline().inTheWay()).contains("standing-fall"))
        .isEqualTo(blocked);
    scene.symptoms(-5, true);
    assertThat(codes(scene.now(0).baseline().inTheWay())).contains("standing-dizzy");
  }

  // The stages.

  @Test
  void promptsInTime() {
    SheetScene scene = typed();
    GradedSheet sheet = scene.now(30);
    assertThat(sheet.phase()).isEqualTo(Phase.WORK);
    assertThat(sheet.prompts())
        .extracting(TestPrompt::what, TestPrompt::at)
        .containsExactly(
            tuple(What.PRESSURE, SheetScene.at(120)),
            tuple(What.RATE, SheetScene.at(170)),
            tuple(What.RPE, SheetScene.at(170)));
    scene.pressure(150, 140, 80).rate(175, 110).rpe(176, 9);
    assertThat(scene.now(178).prompts()).isEmpty();
    assertThat(scene.now(181).stages()).hasSize(2);
    assertThat(scene.now(181).stages().get(0).whole()).isTrue();
    assertThat(scene.now(181).stages().get(0).reading().bpm()).hasValue(110);
  }

  @Test
  void aPressureBelongsToTheStageInWhichTheCuffWasStarted() {
    SheetScene scene = typed().pressure(195, 140, 80, 175);
    assertThat(scene.now(200).stages().get(0).reading().pressure()).isPresent();
    assertThat(scene.now(200).stages().get(1).reading().pressure()).isEmpty();
    SheetScene next = typed().pressure(215, 140, 80, 181);
    assertThat(next.now(220).stages().get(0).reading().pressure()).isEmpty();
    assertThat(next.now(220).stages().get(1).reading().pressure()).isPresent();
  }

  @Test
  void theRateOfAStageIsTheMedianOfItsLastTenSeconds() {
    SheetScene scene = strap().strap(second -> second <= 170 ? 100 : second <= 180 ? 112 : 130);
    assertThat(scene.now(200).stages().get(0).reading().bpm()).hasValue(112);
    // What somebody entered counts more than a strap.
    assertThat(scene.rate(178, 109).now(200).stages().get(0).reading().bpm()).hasValue(109);
  }

  @Test
  void steadyByTheReadingOfAMinuteEarlier() {
    assertThat(
            strap().strap(second -> second <= 150 ? 107 : 112).now(190).stages().get(0).reading())
        .extracting(StageReading::steady)
        .isEqualTo(true);
    assertThat(
            strap().strap(second -> second <= 150 ? 106 : 112).now(190).stages().get(0).reading())
        .extracting(StageReading::steady)
        .isEqualTo(false);
  }

  @Test
  void undoneIsAsIfItHadNeverBeen() {
    SheetScene scene = typed().pressure(150, 140, 80).rpe(170, 18).undone();
    assertThat(scene.ends(175)).isEmpty();
    assertThat(scene.now(175).stages().get(0).reading().rpe20()).isEmpty();
  }

  // Every end: reached, and missed by one.

  @ParameterizedTest
  @CsvSource({"159, 10, true", "159, 9, false", "158, 60, false"})
  void theTarget(int bpm, int seconds, boolean ends) {
    // The smoothed rate is there with the third second of five.
    SheetScene scene = strap().strap(second -> second > 102 && second <= 102 + seconds ? bpm : 120);
    assertThat(scene.ends(200).contains("end-target")).isEqualTo(ends);
  }

  @ParameterizedTest
  @CsvSource({"40, true", "39, false"})
  void aCountSaysSoToo(int beats, boolean ends) {
    assertThat(typed().count15(100, beats).ends(101).contains("end-target")).isEqualTo(ends);
  }

  @ParameterizedTest
  @CsvSource({"151, 5, true", "151, 4, false", "150, 20, false"})
  void theCap(int bpm, int seconds, boolean ends) {
    SheetScene scene =
        SheetScene.of(TestPeople.capped(150), RateSource.STRAP)
            .begun()
            .strap(second -> second > 100 && second <= 100 + seconds ? bpm : 120);
    assertThat(scene.ends(130).contains("end-cap")).isEqualTo(ends);
  }

  @ParameterizedTest
  @CsvSource({"18, true", "17, false"})
  void rpeOfASubmaximalTest(int rpe, boolean ends) {
    assertThat(typed().rpe(100, rpe).ends(101).contains("end-rpe")).isEqualTo(ends);
    assertThat(SheetScene.toExhaustion(TestPeople.anybody()).begun().rpe(100, rpe).ends(101))
        .isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "RATE_LOWERING_MEDICINE, 15, true",
    "RATE_LOWERING_MEDICINE, 14, false",
    "PACEMAKER, 15, true",
    "IRREGULAR_RHYTHM, 15, true",
    "RESPIRATORY, 15, false"
  })
  void rpeWhereTheRateTellsLittle(EffortContext context, int rpe, boolean ends) {
    assertThat(
            SheetScene.of(TestPeople.with(context), RateSource.COUNT)
                .begun()
                .rpe(100, rpe)
                .ends(101)
                .contains("end-rpe"))
        .isEqualTo(ends);
  }

  @ParameterizedTest
  @CsvSource({"140, true", "141, false"})
  void aSystolicTenUnderTheLastStages(int second, boolean falls) {
    SheetScene scene = typed().pressure(150, 150, 80).rate(175, 120).pressure(330, second, 80);
    assertThat(scene.waits(331).contains("systolic-again")).isEqualTo(falls);
    assertThat(scene.ends(331)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"123, true", "124, false"})
  void aSystolicUnderThatOfStanding(int systolic, boolean falls) {
    assertThat(typed().pressure(150, systolic, 80).waits(151).contains("systolic-again"))
        .isEqualTo(falls);
  }

  @Test
  void measuredAgainItEndsOrGoesOn() {
    SheetScene confirmed =
        typed().pressure(150, 150, 80).rate(175, 120).pressure(330, 138, 80).pressure(360, 139, 80);
    assertThat(confirmed.ends(361)).containsExactly("end-systolic");
    SheetScene cleared =
        typed().pressure(150, 150, 80).rate(175, 120).pressure(330, 138, 80).pressure(360, 152, 80);
    assertThat(cleared.ends(361)).isEmpty();
    assertThat(cleared.waits(361)).isEmpty();
    SheetScene late = typed().pressure(150, 150, 80).rate(175, 120).pressure(330, 138, 80);
    assertThat(late.ends(389)).isEmpty();
    assertThat(late.ends(390)).containsExactly("end-systolic-unconfirmed");
    SheetScene ill =
        typed().pressure(150, 150, 80).rate(175, 120).pressure(330, 138, 80).symptoms(335, true);
    assertThat(ill.ends(336)).contains("end-systolic");
  }

  @Test
  void theNextStageWaitsForIt() {
    SheetScene scene = typed().pressure(150, 150, 80).pressure(350, 138, 80);
    assertThat(scene.now(370).stages()).hasSize(2);
    scene.pressure(380, 152, 80);
    assertThat(scene.now(385).stages()).hasSize(3);
    assertThat(scene.now(385).stages().get(2).from()).isEqualTo(SheetScene.at(380));
    assertThat(scene.now(385).stages().get(2).until()).contains(SheetScene.at(560));
  }

  @ParameterizedTest
  @CsvSource({"251, 80, true", "250, 80, false", "200, 116, true", "200, 115, false"})
  void aPressureThatIsTooHigh(int systolic, int diastolic, boolean ends) {
    assertThat(typed().pressure(150, systolic, diastolic).ends(151).contains("end-pressure-high"))
        .isEqualTo(ends);
  }

  @ParameterizedTest
  @CsvSource({"120, true", "121, false"})
  void aRateThatDoesNotRiseIsCounted(int second, boolean flat) {
    SheetScene scene = typed().pressure(150, 150, 80).rate(175, 120).rate(355, second);
    assertThat(scene.waits(362).contains("rate-again")).isEqualTo(flat);
    if (flat) {
      assertThat(scene.count15(375, 30).ends(376)).containsExactly("end-rate-flat");
      assertThat(
              typed()
                  .pressure(150, 150, 80)
                  .rate(175, 120)
                  .rate(355, second)
                  .count15(375, 31)
                  .ends(376))
          .isEmpty();
    }
  }

  @ParameterizedTest
  @CsvSource({"158, true", "159, false"})
  void from85PercentOnItNeedNotRise(int bpm, boolean flat) {
    SheetScene scene =
        SheetScene.toExhaustion(TestPeople.anybody()).begun().rate(175, 165).rate(355, bpm);
    assertThat(scene.waits(362).contains("rate-again")).isEqualTo(flat);
  }

  @ParameterizedTest
  @CsvSource({"60, true", "59, false"})
  void noRate(int seconds, boolean ends) {
    // A value holds for five seconds, and the smoothed one a little less with it.
    SheetScene scene = strap().strap(second -> second <= 100 ? 120 : 0);
    int silentFrom = 107;
    assertThat(scene.now(silentFrom).bpm()).isPresent();
    assertThat(scene.now(silentFrom + 1).bpm()).isEmpty();
    assertThat(scene.ends(silentFrom + seconds).contains("end-no-rate")).isEqualTo(ends);
  }

  @Test
  void noPressureForTwoStages() {
    SheetScene scene = typed().rate(175, 110).rate(355, 125);
    assertThat(scene.ends(359)).doesNotContain("end-no-pressure");
    assertThat(scene.ends(361)).contains("end-no-pressure");
    assertThat(typed().rate(175, 110).rate(355, 125).pressure(340, 150, 80).ends(361)).isEmpty();
  }

  @Test
  void theLastStageGoesOnUntilSomebodyEndsIt() {
    SheetScene scene = strap().strap(second -> 120);
    assertThat(scene.waits(7 * 180 + 1)).contains("end-protocol");
  }

  // After it.

  @Test
  void aTestWorkedOutByHand() {
    SheetScene scene =
        typed()
            .rate(115, 108)
            .pressure(150, 140, 80)
            .rate(175, 111)
            .rpe(176, 9)
            .pressure(330, 152, 82)
            .rate(300, 124)
            .rate(355, 128)
            .rpe(356, 11)
            .pressure(510, 166, 82)
            .rate(480, 139)
            .rate(535, 143)
            .rpe(536, 13)
            .pressure(690, 184, 84)
            .rate(660, 156)
            .rate(715, 159)
            .rpe(716, 15)
            .ended(725, TestEvent.Reason.TARGET);
    GradedResult result = scene.now(730).result().orElseThrow();
    assertThat(result.wholeStages()).isEqualTo(4);
    assertThat(result.ratePressureProduct()).hasValue(159 * 184);
    assertThat(result.met().orElseThrow().met()).isEqualByComparingTo("12.1");
    assertThat(result.vo2max().isEmpty()).isTrue();
    // Stages 16.1, 24.6, 35.8 and 42.5 at 111, 128, 143 and 159.
    assertThat(result.extrapolation()).isPresent();
    assertThat(scene.now(730).phase()).isEqualTo(Phase.RECOVERY);
    assertThat(scene.now(730).work()).isEqualTo(Duration.ofSeconds(725));
  }

  @Test
  void endedInTheFirstStageThereIsNothingToWorkOut() {
    GradedResult result =
        typed().rate(100, 120).ended(179, TestEvent.Reason.SIGN).now(200).result().orElseThrow();
    assertThat(result.wholeStages()).isZero();
    assertThat(result.met()).isEmpty();
    assertThat(codes(result.findings())).containsExactly("not-one-stage");
  }

  @Test
  void toExhaustionItGivesAFigureUnlessTheRailWasHeld() {
    SheetScene scene =
        SheetScene.toExhaustion(TestPeople.anybody())
            .begun()
            .rate(175, 120)
            .rate(355, 150)
            .rate(535, 170)
            .ended(570, TestEvent.Reason.EXHAUSTION);
    assertThat(scene.now(600).result().orElseThrow().vo2max().single().orElseThrow())
        .isEqualByComparingTo("32.1");
    scene.add(200, id -> new TestEvent.RailHeld(id, SheetScene.at(200), true));
    GradedResult held = scene.now(600).result().orElseThrow();
    assertThat(held.vo2max().isEmpty()).isTrue();
    assertThat(codes(held.findings())).contains("met-at-most");
  }

  @Test
  void recoveryIsReadAtItsTimesAndClosedWhenItMayBe() {
    SheetScene scene =
        typed()
            .rate(175, 120)
            .pressure(150, 150, 80)
            .ended(200, TestEvent.Reason.TARGET)
            .posture(205, TestPosture.LYING)
            .rate(230, 140)
            .pressure(235, 160, 80, 231);
    GradedSheet sheet = scene.now(240);
    assertThat(sheet.recovery().get(0).due()).isEqualTo(Duration.ofSeconds(30));
    assertThat(sheet.recovery().get(0).vitals().bpm()).hasValue(140);
    assertThat(sheet.recovery().get(0).vitals().pressure()).isPresent();
    assertThat(sheet.recoveryBaseline().orElseThrow().bpm()).hasValue(70);
    assertThat(sheet.notClosedBecause(true)).isPresent();

    scene.rate(560, 85).pressure(562, 122, 80).rate(680, 84).pressure(682, 120, 80);
    assertThat(scene.now(690).recovered().orElseThrow().state())
        .isEqualTo(GradedRecovery.State.RECOVERED);
    assertThat(scene.now(690).notClosedBecause(false)).isEmpty();
  }

  @Test
  void notRecoveredItIsClosedOnlyWhenAClinicianWasTold() {
    SheetScene scene =
        typed().rate(175, 120).ended(200, TestEvent.Reason.CLIENT).rate(560, 125).rate(680, 120);
    assertThat(scene.now(200 + 899).notClosedBecause(true)).isPresent();
    assertThat(scene.now(200 + 900).notClosedBecause(false)).isPresent();
    assertThat(scene.now(200 + 900).notClosedBecause(true)).isEmpty();
  }

  @Test
  void withAHeartConditionTheyStayWatched() {
    SheetScene scene =
        SheetScene.of(TestPeople.with(EffortContext.HEART_CONDITION), RateSource.COUNT)
            .begun()
            .rate(175, 100)
            .ended(200, TestEvent.Reason.TARGET)
            .posture(205, TestPosture.LYING)
            .rate(560, 80)
            .pressure(562, 120, 80)
            .rate(680, 80)
            .pressure(682, 120, 80);
    assertThat(scene.now(690).notClosedBecause(true)).contains("they stay watched for 15 min");
    assertThat(scene.waits(690)).containsExactly("recovery-watched");
    assertThat(scene.waits(1100)).isEmpty();
    assertThat(scene.now(1100).notClosedBecause(true)).isEmpty();
  }

  @Test
  void whereItEndsIsSaidBefore() {
    TestPerson slowed = TestPeople.with(EffortContext.RATE_LOWERING_MEDICINE);
    assertThat(codes(GradedSheet.aim(slowed, SheetScene.setup(slowed, false))))
        .containsExactly("target-chosen", "effort-ends");
    assertThat(codes(GradedSheet.aim(TestPeople.anybody(), SheetScene.setup(slowed, true))))
        .isEmpty();
  }

  @Test
  void standingStandsForABaselineThatIsMissing() {
    Baseline baseline =
        new Baseline(Map.of(TestPosture.STANDING, vitals(76)), Optional.empty(), false);
    assertThat(baseline.of(TestPosture.LYING).orElseThrow().bpm()).hasValue(76);
  }

  private static Vitals vitals(int bpm) {
    return new Vitals(
        SheetScene.some(bpm), Optional.of(new BloodPressure(120, 80)), SheetScene.some(6));
  }

  private static List<String> codes(List<Finding> findings) {
    return WorkedFiguresTest.codes(findings);
  }

  // What it proposes.

  @Test
  void aMaximumIsProposedFromExhaustionOnly() {
    SheetScene scene =
        SheetScene.toExhaustion(TestPeople.anybody())
            .begun()
            .rate(170, 150)
            .rate(350, 181)
            .rate(530, 179);
    assertThat(ProposedMaximum.of(scene.now(565))).isEmpty();
    assertThat(ProposedMaximum.of(scene.ended(570, TestEvent.Reason.CLIENT).now(575))).isEmpty();
    scene.undone().ended(570, TestEvent.Reason.EXHAUSTION);
    assertThat(ProposedMaximum.of(scene.now(575))).contains(new ProposedMaximum(181, Grade.FAIR));
  }

  @Test
  void aStrapGivesTheHighestRateThatWasHeld() {
    SheetScene scene =
        strap().strap(second -> second < 500 ? 150 : 188).ended(570, TestEvent.Reason.EXHAUSTION);
    assertThat(ProposedMaximum.of(scene.now(575))).contains(new ProposedMaximum(188, Grade.GOOD));
    assertThat(ProposedMaximum.of(typed().ended(570, TestEvent.Reason.EXHAUSTION).now(575)))
        .isEmpty();
  }
}
