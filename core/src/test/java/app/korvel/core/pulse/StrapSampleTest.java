package app.korvel.core.pulse;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class StrapSampleTest {
  @Test
  void theMeanOfTheBeatsOfAMinute() {
    // 64 beats of 960/1024 s are a minute: 64 bpm.
    assertThat(StrapSample.of(60, Collections.nCopies(64, 960), List.of()))
        .isEqualTo(new StrapSample(64, 64, 0, Rhythm.STEADY));
    // 61,440 ÷ 949 = 64.74, half up 65.
    assertThat(StrapSample.of(60, Collections.nCopies(64, 949), List.of()).bpm()).isEqualTo(65);
  }

  @Test
  void beatsFarOffAreSetAsideAndCountedAsUneven() {
    List<Integer> beats = new ArrayList<>(Collections.nCopies(60, 960));
    beats.add(480);
    beats.add(1440);
    assertThat(StrapSample.of(60, beats, List.of()))
        .isEqualTo(new StrapSample(64, 60, 3, Rhythm.STEADY));
    beats.addAll(Collections.nCopies(13, 600));
    // 15 of 75 are one in five.
    assertThat(StrapSample.of(60, beats, List.of()).rhythm()).isEqualTo(Rhythm.UNEVEN);
    // What is no beat at all is set aside, and not uneven.
    beats.subList(60, beats.size()).clear();
    beats.addAll(List.of(0, 65_535));
    assertThat(StrapSample.of(60, beats, List.of()))
        .isEqualTo(new StrapSample(64, 60, 3, Rhythm.STEADY));
  }

  @Test
  void withoutIntervalsTheMeanOfTheRates() {
    List<Integer> rates = new ArrayList<>(Collections.nCopies(30, 60));
    rates.addAll(Collections.nCopies(30, 61));
    assertThat(StrapSample.of(59, List.of(), rates))
        .isEqualTo(new StrapSample(61, 60, 0, Rhythm.TOO_SHORT));
  }

  @Test
  void tooLittleIsRefused() {
    assertThatThrownBy(() -> StrapSample.of(54, Collections.nCopies(64, 960), List.of()))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> StrapSample.of(60, List.of(), Collections.nCopies(29, 60)))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> StrapSample.of(60, Collections.nCopies(7, 960), List.of()))
        .isInstanceOf(InvalidValueException.class);
  }
}
