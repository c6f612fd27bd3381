package app.korvel.core.talk;

import static app.korvel.core.talk.TalkScene.FIRST;
import static app.korvel.core.talk.TalkScene.LAST;
import static app.korvel.core.talk.TalkScene.SPAN;
import static app.korvel.core.talk.TalkScene.check;
import static app.korvel.core.talk.TalkScene.nine;
import static app.korvel.core.talk.TalkScene.series;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.korvel.core.talk.TalkCheck.Said;
import app.korvel.core.talk.TalkSeries.Day;
import app.korvel.core.talk.TalkSeries.Direction;
import app.korvel.core.talk.TalkSeries.Used;
import app.korvel.core.zone.Reserve;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The worked values of the design: means and errors within 0.01, chances within 0.001. */
class TalkBeliefTest {
  private static void like(Spread spread, double mean, double error) {
    assertThat(spread.meanBpm()).isCloseTo(mean, within(0.01));
    assertThat(spread.errorBpm()).isCloseTo(error, within(0.01));
  }

  @ParameterizedTest
  @CsvSource({
    "64, 176, 10, 0, 176.0, 9.996, 131.156, 9.852, 148.139, 12.046",
    "64, 176, 3, 0, 176.0, 2.999, 131.156, 7.996, 148.136, 9.674",
    "52, 188, 3, 0, 188.0, 2.999, 133.548, 9.631, 154.1, 11.684",
    "64, 176, 10, 181, 180.611, 10.008, 133.921, 10.112, 151.588, 12.363",
    "64, 176, 10, 170, 176.0, 9.996, 131.156, 9.852, 148.139, 12.046",
  })
  void beforeAnyCheck(
      int resting,
      int maximum,
      double error,
      int peak,
      double maximumMean,
      double maximumError,
      double lower,
      double lowerError,
      double upper,
      double upperError) {
    TalkSpan span = TalkSpan.of(Reserve.of(resting, maximum), error).withPeak(peak, true);
    like(span.maximumSpread(), maximumMean, maximumError);
    TalkBelief belief = TalkBelief.before(span);
    like(belief.lower(), lower, lowerError);
    like(belief.upper(), upper, upperError);
  }

  @ParameterizedTest
  @CsvSource({
    "140, 2, 140, 157, STRAP, HEARD, 0.49",
    "140, 2, 145, 162, STRAP, HEARD, 0.84675",
    "140, 2, 135, 152, STRAP, HEARD, 0.13325",
    "140, 3, 135, 152, STRAP, HEARD, 0.83886",
    "140, 4, 120, 135, STRAP, TOLD, 0.81398",
    "140, 3, 131, 148, COUNT15, TOLD, 0.84381",
    "140, 2, 131, 148, WRIST, HEARD, 0.09687",
  })
  void oneCheckSaysSoMuch(
      int bpm, int voice, double lower, double upper, RateBy by, Hearing hearing, double chance) {
    assertThat(SPAN.weighed(new Said(bpm, by, voice, hearing)).chance(lower, upper))
        .isCloseTo(chance, within(0.00001));
  }

  @ParameterizedTest
  @CsvSource({
    "2, STRAP, HEARD, false, 142.196, 7.896, 160.13, 10.3, 0.2205",
    "2, STRAP, HEARD, true, 140.819, 8.275, 158.637, 10.629, 0.2416",
    "2, COUNT15, TOLD, false, 140.99, 8.742, 158.82, 11.066, 0.2304",
    "3, STRAP, HEARD, false, 131.196, 6.347, 149.563, 7.791, 0.5013",
  })
  void oneCheckAt140(
      int voice,
      RateBy by,
      Hearing hearing,
      boolean odd,
      double lower,
      double lowerError,
      double upper,
      double upperError,
      double chance) {
    Set<OddDay> why = odd ? Set.of(OddDay.HEAT) : Set.of();
    TalkSeries series =
        series(List.of(check(FIRST, new Said(140, by, voice, hearing), why)), FIRST);
    like(series.belief().lower(), lower, lowerError);
    like(series.belief().upper(), upper, upperError);
    assertThat(series.used().get(0).chanceBefore()).isCloseTo(chance, within(0.0006));
  }

  @Test
  void nineOnFiveDaysDayByDay() {
    TalkSeries series = series(nine(), LAST);
    double[][] after = {
      {133.651, 5.36, 151.631, 7.489},
      {135.436, 3.984, 153.803, 6.449},
      {137.436, 3.604, 155.701, 6.429},
      {136.791, 3.032, 155.208, 6.001},
      {136.353, 2.694, 154.842, 5.787}
    };
    double[][] chances = {
      {0.5867, 0.5013}, {0.5196, 0.696}, {0.4578}, {0.8117, 0.5632}, {0.4351, 0.6552}
    };
    assertThat(series.days()).hasSize(after.length);
    for (int n = 0; n < after.length; n++) {
      Day day = series.days().get(n);
      like(day.lower(), after[n][0], after[n][1]);
      like(day.upper(), after[n][2], after[n][3]);
      assertThat(day.checks()).extracting(Used::surprise).allMatch(java.util.Optional::isEmpty);
      for (int c = 0; c < chances[n].length; c++) {
        assertThat(day.checks().get(c).chanceBefore()).isCloseTo(chances[n][c], within(0.001));
      }
    }
    assertThat(series.belief().lower().shownBpm()).isEqualTo(136);
    assertThat(series.belief().lower().shownPlusMinus()).isEqualTo(3);
    assertThat(series.belief().upper().shownBpm()).isEqualTo(155);
    assertThat(series.belief().upper().shownPlusMinus()).isEqualTo(6);
  }

  @Test
  void twelveWeeksLaterNobodyIsSoSure() {
    TalkSeries series = series(nine(), LAST.plusWeeks(12));
    like(series.belief().lower(), 136.353, 3.641);
    like(series.belief().upper(), 154.842, 6.284);
  }

  @ParameterizedTest
  @CsvSource({
    "110, 0.9352, 0.0438, 0.0209",
    "131, 0.487, 0.4045, 0.1085",
    "160, 0.0267, 0.1861, 0.7872",
  })
  void chancesBeforeAnyCheckAddUp(int bpm, double sentences, double phrases, double words) {
    TalkSeries series = series(List.of(), FIRST);
    double[] chances = {sentences, phrases, words};
    double sum = 0;
    for (int voice = 2; voice <= 4; voice++) {
      double chance = series.chance(new Said(bpm, RateBy.STRAP, voice, Hearing.HEARD));
      assertThat(chance).isCloseTo(chances[voice - 2], within(0.001));
      sum += chance;
    }
    assertThat(sum).isCloseTo(1, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({
    "120, 0.9553, 0.0247, 0.0200",
    "136, 0.5122, 0.4611, 0.0268",
    "150, 0.0332, 0.6890, 0.2778"
  })
  void chancesAfterNine(int bpm, double sentences, double phrases, double words) {
    TalkSeries series = series(nine(), LAST);
    double[] chances = {sentences, phrases, words};
    for (int voice = 2; voice <= 4; voice++) {
      assertThat(series.chance(new Said(bpm, RateBy.STRAP, voice, Hearing.HEARD)))
          .isCloseTo(chances[voice - 2], within(0.001));
    }
  }

  @Test
  void noOrderWithinADayMatters() {
    List<TalkCheck> there =
        List.of(check(FIRST, 2, 128), check(FIRST, 3, 140), check(FIRST, 5, 158));
    List<TalkCheck> back = new ArrayList<>();
    int[][] said = {{5, 158}, {3, 140}, {2, 128}};
    for (int[] each : said) {
      back.add(check(FIRST, each[0], each[1]));
    }
    assertThat(series(there, FIRST).belief().lower().meanBpm())
        .isCloseTo(series(back, FIRST).belief().lower().meanBpm(), within(1e-9));
    List<TalkCheck> shuffled = new ArrayList<>(nine());
    Collections.reverse(shuffled);
    like(series(shuffled, LAST).belief().lower(), 136.353, 2.694);
  }

  @Test
  void ofOneDayTheyAreWorthLess() {
    int[][] said = {{2, 133}, {3, 142}, {2, 128}, {3, 139}};
    List<TalkCheck> one = new ArrayList<>();
    List<TalkCheck> four = new ArrayList<>();
    for (int n = 0; n < said.length; n++) {
      one.add(check(FIRST, said[n][0], said[n][1]));
      four.add(check(FIRST.plusDays(n), said[n][0], said[n][1]));
    }
    assertThat(series(one, FIRST.plusDays(3)).belief().lower().errorBpm())
        .isGreaterThan(series(four, FIRST.plusDays(3)).belief().lower().errorBpm());
  }

  @Test
  void aLongHandShowsWhatACheckMade() {
    TalkCheck check = check(FIRST, 2, 140);
    TalkSeries.LongHand hand = series(List.of(check), FIRST).longHand(check.id()).orElseThrow();
    assertThat(hand.chances())
        .extracting(each -> each.lowerBpm() + " " + Math.round(100 * each.chance()))
        .containsExactly("135 13", "140 49", "145 85");
    assertThat(Math.round(100 * hand.underBefore())).isEqualTo(64);
    assertThat(Math.round(100 * hand.underAfter())).isEqualTo(13);
    assertThat(series(List.of(check), FIRST).longHand(new java.util.UUID(9, 9))).isEmpty();
  }

  @Test
  void twoSurprisesOfOneWayContradict() {
    List<TalkCheck> checks = nine();
    checks.add(check(LAST.plusDays(3), 4, 126));
    TalkSeries once = series(checks, LAST.plusDays(3));
    assertThat(once.days().get(5).checks().get(0).surprise()).contains(Direction.HARDER);
    assertThat(once.contradiction(java.util.Optional.empty())).isEmpty();
    // The belief itself hardly moves: a mistake explains it.
    assertThat(once.belief().lower().meanBpm()).isCloseTo(136, within(2.0));

    checks.add(check(LAST.plusDays(31), 4, 124));
    assertThat(series(checks, LAST.plusDays(31)).contradiction(java.util.Optional.empty()))
        .hasValueSatisfying(
            found -> {
              assertThat(found.way()).isEqualTo(Direction.HARDER);
              assertThat(found.first()).isEqualTo(LAST.plusDays(3));
            });

    checks.remove(checks.size() - 1);
    checks.add(check(LAST.plusDays(32), 4, 124));
    assertThat(series(checks, LAST.plusDays(32)).contradiction(java.util.Optional.empty()))
        .as("29 days apart")
        .isEmpty();
  }
}
