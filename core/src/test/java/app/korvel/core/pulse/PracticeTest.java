package app.korvel.core.pulse;

import static app.korvel.core.pulse.PracticeLevel.ANY_AT_REST;
import static app.korvel.core.pulse.PracticeLevel.FAST_AND_FAINT;
import static app.korvel.core.pulse.PracticeLevel.SLOW_AND_STRONG;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.measure.Finding;
import app.korvel.core.pulse.PracticeProgress.Tried;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class PracticeTest {

  private static PracticeTry counted(int beats, int seconds, int played, int bpm) {
    return new PracticeTry(
        PulseCount.of(beats, CountWindow.of(seconds)),
        played,
        bpm,
        Rhythm.STEADY,
        Optional.empty());
  }

  private static PracticeTry heard(Rhythm said, Rhythm played) {
    return new PracticeTry(PulseCount.of(70, CountWindow.S60), 70, 70, played, Optional.of(said));
  }

  @Test
  void theErrorIsTheWindowsAndTheLearners() {
    // 71 bpm for 15 s: 17.75 beats, 18 of which fell in. Counted 16: 64 bpm, 7 too low;
    // a faultless 18 would have made 72, 1 too high; two beats are the learner's.
    PracticeTry tried = counted(16, 15, 18, 71);
    assertThat(tried.errorBpm()).isEqualTo(-7);
    assertThat(tried.windowErrorBpm()).isEqualTo(1);
    assertThat(tried.ownBeats()).isEqualTo(-2);
    assertThat(tried.right()).isFalse();
    assertThat(tried.findings())
        .extracting(Finding::message)
        .containsExactly("2 beats too few.", "The window alone explains +1 bpm.");
    assertThat(tried.findings().get(1).because())
        .startsWith("A faultless count of 18 in 15 s makes 72 bpm, and the pulse went at 71.");
  }

  @Test
  void withinABeatIsRight() {
    assertThat(counted(18, 15, 18, 71).right()).isTrue();
    assertThat(counted(18, 15, 18, 71).findings().get(0).message())
        .isEqualTo("Every beat counted: 18 in 15 s.");
    assertThat(counted(17, 15, 18, 71).right()).isTrue();
    assertThat(counted(17, 15, 18, 71).findings().get(0).message())
        .isEqualTo("One beat too few: as accurate as manual counting gets.");
    assertThat(counted(19, 15, 18, 71).findings().get(0).message())
        .isEqualTo("One beat too many: as accurate as manual counting gets.");
    assertThat(counted(20, 15, 18, 71).right()).isFalse();
  }

  @Test
  void whereTheRhythmIsAskedItHasToBeRightAsWell() {
    assertThat(heard(Rhythm.UNEVEN, Rhythm.UNEVEN).right()).isTrue();
    assertThat(heard(Rhythm.STEADY, Rhythm.UNEVEN).right()).isFalse();
    assertThat(heard(Rhythm.STEADY, Rhythm.UNEVEN).findings().get(2).message())
        .isEqualTo("The rhythm was uneven.");
  }

  private static List<Tried> tries(PracticeLevel level, Integer... ownBeats) {
    return Arrays.stream(ownBeats)
        .map(
            off -> {
              int seconds = level.window().seconds();
              return new Tried(level, counted(35 + off, seconds, 35, 35 * 60 / seconds));
            })
        .toList();
  }

  private static PracticeProgress after(List<Tried> tries) {
    return PracticeProgress.of(tries);
  }

  private static PracticeProgress after(List<Tried> one, List<Tried> two, List<Tried> three) {
    return after(Stream.of(one, two, three).flatMap(List::stream).toList());
  }

  @Test
  void threeRightInARowPassALevelForGood() {
    assertThat(after(tries(SLOW_AND_STRONG, 0, 1)).passed()).isEmpty();
    assertThat(after(tries(SLOW_AND_STRONG, 0, 1, 2, 0, -1)).passed()).isEmpty();
    PracticeProgress passed = after(tries(SLOW_AND_STRONG, 3, 0, 1, -1, 5));
    assertThat(passed.passed()).containsExactly(SLOW_AND_STRONG);
    assertThat(passed.next()).contains(ANY_AT_REST);
    // A try at another level between does not break the row.
    assertThat(
            after(tries(SLOW_AND_STRONG, 0, 0), tries(ANY_AT_REST, 4), tries(SLOW_AND_STRONG, 0))
                .passed())
        .containsExactly(SLOW_AND_STRONG);
  }

  @Test
  void aShorterWindowPassesNothingAndBreaksNothing() {
    Tried right = new Tried(SLOW_AND_STRONG, counted(35, 30, 35, 70));
    Tried shorter = new Tried(SLOW_AND_STRONG, counted(18, 15, 18, 70));
    Tried shorterOff = new Tried(SLOW_AND_STRONG, counted(28, 15, 18, 70));
    Tried longer = new Tried(SLOW_AND_STRONG, counted(70, 60, 70, 70));
    assertThat(after(List.of(shorter, shorter, shorter)).passed()).isEmpty();
    assertThat(after(List.of(right, shorter, right)).passed()).isEmpty();
    assertThat(after(List.of(right, shorterOff, right, longer)).passed())
        .containsExactly(SLOW_AND_STRONG);
  }

  @Test
  void theFirstLevelNotPassedComesNextUntilThereIsNone() {
    assertThat(PracticeProgress.of(List.of()).next()).contains(SLOW_AND_STRONG);
    assertThat(after(tries(ANY_AT_REST, 0, 0, 0)).next()).contains(SLOW_AND_STRONG);
    List<Tried> all = new ArrayList<>();
    for (PracticeLevel level : PracticeLevel.values()) {
      all.addAll(tries(level, 0, 0, 0));
    }
    assertThat(PracticeProgress.of(all).next()).isEmpty();
    assertThat(FAST_AND_FAINT.next()).isEmpty();
  }

  @Test
  void theTrendComparesFiveTriesWithTheFiveBefore() {
    // Off by 2 bpm a beat in 30 s.
    PracticeProgress ten = after(tries(SLOW_AND_STRONG, 3, 3, 2, 2, 2, 1, 0, 1, 0, -1));
    assertThat(ten.before()).contains(new BigDecimal("4.8"));
    assertThat(ten.lately()).contains(new BigDecimal("1.2"));
    PracticeProgress six = after(tries(SLOW_AND_STRONG, 9, 1, 0, 1, 0, -1));
    assertThat(six.lately()).contains(new BigDecimal("1.2"));
    assertThat(six.before()).isEmpty();
    assertThat(after(tries(SLOW_AND_STRONG, 1, 1, 1, 1)).lately()).isEmpty();
  }

  @Test
  void levelsGoFromSlowAndStrongToFastAndFaint() {
    for (PracticeLevel level : PracticeLevel.values()) {
      assertThat(level.lowestBpm()).isLessThan(level.highestBpm());
      assertThat(level.window().fewestBeats() * level.window().multiplier())
          .isLessThanOrEqualTo(level.lowestBpm());
    }
    assertThat(SLOW_AND_STRONG.strength()).isEqualTo(Strength.STRONG);
    assertThat(FAST_AND_FAINT.strength()).isEqualTo(Strength.WEAK);
    assertThat(FAST_AND_FAINT.number()).isEqualTo(7);
  }
}
