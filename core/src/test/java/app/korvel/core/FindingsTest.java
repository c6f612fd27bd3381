package app.korvel.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.PulseFinding;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;

class FindingsTest {
  static final List<FindingKind> ALL = Findings.ALL;

  @ParameterizedTest
  @FieldSource("ALL")
  void everyFindingReadsAsASentenceWithItsFiguresInPlace(FindingKind kind) {
    Finding finding = made(kind);
    assertThat(finding.message()).isNotBlank().doesNotContain("%s", "%1", "%%", "{");
    assertThat(finding.because()).isNotBlank().doesNotContain("%s", "%1", "%%", "{");
    assertThat(kind.messageOutline()).doesNotContain("%s", "%%");
    assertThat(finding.source().citation()).isNotBlank();
    assertThat(finding.code()).matches("[a-z0-9]+(-[a-z0-9]+)*");
  }

  /** With as many figures as it has places. */
  private static Finding made(FindingKind kind) {
    for (int figures = 0; ; figures++) {
      try {
        return kind.of(IntStream.range(0, figures).mapToObj(i -> "ABCDEFGH".charAt(i)).toArray());
      } catch (IllegalArgumentException more) {
        assertThat(figures).as(kind.name()).isLessThan(8);
      }
    }
  }

  @Test
  void everyCodeIsTheCodeOfOne() {
    Set<String> codes = new HashSet<>();
    assertThat(Findings.ALL).allMatch(kind -> codes.add(kind.code()));
  }

  @Test
  void aSentenceNeitherLacksAFigureNorHasOneTooMany() {
    assertThatThrownBy(() -> PulseFinding.RESTING_DUE.of())
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessage("RESTING_DUE takes 1 figures, not 0");
    assertThatThrownBy(() -> PulseFinding.RESTING_DUE.of(60, 61))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(PulseFinding.RESTING_DUE.of(60).because())
        .isEqualTo(
            "The reading it is based on is 60 days old; after "
                + Threshold.RESTING_DUE.whole()
                + " days it is measured again.");
  }

  /** What may be written as a figure: ends of scales, equations, guidelines, spans of a count. */
  private static final Pattern WRITTEN =
      Pattern.compile(
          "of 10|RPE 20|12 to|11 to|3 to 4|40 to|75 to 150|208 − 0\\.7|220 −|164 − 0\\.7|"
              + "− 30|; 30 is|for 60 s|, 60 s|last 24 hours|goes to 20|5 to 15 bpm|60 minutes a day|"
              + "30–40|40–50|worth 0|1 to 2 min|; 3 at least|2\\.5 s|200 ms|within 3 bpm|"
              + "5 min after the first dose|train 5 or more");

  /** A figure of a threshold is taken from it: whoever changes one changes what is said of it. */
  @ParameterizedTest
  @FieldSource("ALL")
  void noFigureOfAThresholdIsWrittenOut(FindingKind kind) {
    String said = kind.wording().written();
    assertThat(WRITTEN.matcher(said).replaceAll("").replaceAll("\\{\\w+}|%\\d\\$s", ""))
        .doesNotContainPattern("\\d");
  }
}
