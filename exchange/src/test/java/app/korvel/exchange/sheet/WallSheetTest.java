package app.korvel.exchange.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.Mode;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.zone.ClassChart;
import app.korvel.core.zone.ClassChart.Ages;
import app.korvel.core.zone.OwnScheme;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Scheme;
import app.korvel.exchange.sheet.ChartSheet.Shows;
import java.math.BigDecimal;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What depends on a wall, read back out of its PDF. */
class WallSheetTest {
  private static ClassChart chart(Ages ages, Scheme scheme) {
    return ClassChart.of(ages, "tanaka-208", Mode.RUN, scheme, List.of(), CountWindow.S10);
  }

  private static final ClassChart SCHOOL = chart(new Ages(20, 70, 5), Scheme.of("school-range"));

  private static void keepsItsMargins(PdfText sheet) {
    double width = sheet.page().getWidth() * 254 / 72;
    double height = sheet.page().getHeight() * 254 / 72;
    assertThat(sheet.glyphs())
        .filteredOn(
            glyph ->
                glyph.left() < 80
                    || glyph.top() < 80
                    || glyph.right() > width - 80
                    || glyph.bottom() > height - 80)
        .isEmpty();
  }

  @ParameterizedTest
  @EnumSource
  void aChartHoldsEveryAgeAndAnEmptyRow(Paper paper) {
    PdfText sheet = PdfText.of(ChartSheet.of(SCHOOL, paper, Shows.BPM_AND_BEATS).sheet());
    assertThat(sheet.pages()).hasSize(1);
    assertThat(sheet.text())
        .contains("Heart rate by age, 20 to 70")
        .contains("Walk or run · maximum about 208 − 0.7 × age")
        .contains("Classroom range 70–85 % of max")
        .contains("bpm in 10 s 20 194 136–165 23–28")
        .contains("45 177 124–150 21–25")
        .contains("70 159 111–135 19–23 yours")
        .contains("within 10 bpm (Tanaka, Monahan & Seals, J Am Coll Cardiol 2001)")
        .contains("Not for anyone with a heart condition");
    assertThat(sheet.title()).isEqualTo("Heart rate by age, 20 to 70");
    assertThat(sheet.language()).isEqualTo("en");
    assertThat(sheet.tagged()).isTrue();
    assertThat(sheet.loose()).isEmpty();
    keepsItsMargins(sheet);
  }

  @Test
  void onlyWhatIsAskedForIsShownAndThenItIsLarger() {
    ClassChart tens = chart(new Ages(20, 70, 10), Scheme.of("school-range"));
    ChartSheet beats = ChartSheet.of(tens, Paper.A3, Shows.BEATS);
    assertThat(PdfText.of(beats.sheet()).text()).contains("20 194 23–28").doesNotContain("136–165");
    assertThat(PdfText.of(ChartSheet.of(tens, Paper.A3, Shows.BPM).sheet()).text())
        .contains("20 194 136–165 30")
        .doesNotContain("23–28");
    ChartSheet both = ChartSheet.of(tens, Paper.A3, Shows.BPM_AND_BEATS);
    assertThat(beats.figureTenths()).isGreaterThan(both.figureTenths());
    // 18 mm over the tangent of ten minutes of arc, 0.00291: some 6 m.
    assertThat(beats.figureTenths()).isBetween(165, 195);
    assertThat(beats.readFromMetres()).isEqualTo(6);
    assertThat(ChartSheet.of(tens, Paper.A4, Shows.BEATS).figureTenths())
        .isLessThan(beats.figureTenths());
  }

  @ParameterizedTest
  @CsvSource({"A4", "LETTER", "A3"})
  void everyAgeInEverySixRangesTakesMorePagesAndLosesNone(Paper paper) {
    Scheme six =
        ClassChart.ranges(
            IntStream.range(0, 6)
                .mapToObj(
                    i ->
                        new OwnScheme.Row(
                            "A name of forty characters, rangenumbe" + "abcdef".charAt(i),
                            BigDecimal.valueOf(40 + i * 10L),
                            BigDecimal.valueOf(50 + i * 10L)))
                .toList());
    ChartSheet chart = ChartSheet.of(chart(new Ages(6, 110, 1), six), paper, Shows.BPM_AND_BEATS);
    PdfText sheet = PdfText.of(chart.sheet());
    assertThat(sheet.pages().size()).isBetween(2, 6);
    keepsItsMargins(sheet);
    for (int i = 0; i < sheet.pages().size(); i++) {
      assertThat(sheet.pages().get(i))
          .contains("page " + (i + 1) + " of " + sheet.pages().size())
          .contains("yours");
    }
    for (int age = 6; age <= 110; age++) {
      // 208 − 0.7 × age once more, in whole tenths.
      assertThat(sheet.text()).contains(age + " " + (2080 - 7 * age + 5) / 10 + " ");
    }
  }

  @ParameterizedTest
  @EnumSource
  void aLongNameMakesTheHeadHigherAndTheTableStillEndsAboveItsFoot(Paper paper) {
    Scheme named =
        ClassChart.ranges(
            List.of(
                new OwnScheme.Row(
                    "Anunbrokennameoffortycharactersandnomore",
                    BigDecimal.valueOf(55),
                    BigDecimal.valueOf(65))));
    PdfText sheet =
        PdfText.of(ChartSheet.of(chart(new Ages(20, 70, 5), named), paper, Shows.BEATS).sheet());
    assertThat(sheet.pages()).hasSize(1);
    assertThat(sheet.find(1, "yours").get(0).bottom())
        .isLessThan(sheet.find(1, "Eachmaximum").get(0).top() - 20);
  }

  @Test
  void aBandFromRestHasOnlyItsTop() {
    ClassChart classes = chart(new Ages(40, 40, 1), Scheme.of("guideline-classes-max"));
    assertThat(PdfText.of(ChartSheet.of(classes, Paper.A4, Shows.BPM_AND_BEATS).sheet()).text())
        .contains("under 57 % of max")
        .contains("40 180 ≤ 102 ≤ 17 103–114");
  }

  @Test
  void theCycleIsSaidToBeLess() {
    ClassChart cycle =
        ClassChart.of(
            new Ages(40, 40, 1),
            "fox-220",
            Mode.CYCLE,
            Scheme.of("school-range"),
            List.of(),
            CountWindow.S15);
    assertThat(PdfText.of(ChartSheet.of(cycle, Paper.A4, Shows.BPM_AND_BEATS).sheet()).text())
        .contains("Cycle · maximum about 220 − age, less 10")
        .contains("in 15 s 40 170 119–145 30–36")
        .contains("within 14.4 bpm");
  }

  @ParameterizedTest
  @EnumSource
  void thePosterHoldsFiveLevelsAndBothScales(Paper paper) {
    PdfText sheet = PdfText.of(PosterSheet.of(RpeFamily.RATIO, paper));
    assertThat(sheet.pages()).hasSize(1);
    assertThat(sheet.text())
        .containsSubsequence(
            "How hard is it?",
            "Sing",
            "Could sing a verse",
            "hardly changed",
            "up to 11",
            "up to 2",
            "Talk",
            "Whole sentences, no singing",
            "12–13",
            "3–4",
            "Phrases",
            "A few words, a breath, a few words",
            "14–15",
            "5–6",
            "Words",
            "A word or two at a time",
            "16–17",
            "7–8",
            "Silent",
            "No talking at all",
            "18–20",
            "9–10",
            "Stop at once",
            "moderate is 3–4");
    assertThat(sheet.loose()).isEmpty();
    assertThat(sheet.tagged()).isTrue();
    keepsItsMargins(sheet);
  }

  @Test
  void thePosterFollowsTheStudiosScale() {
    assertThat(PdfText.of(PosterSheet.of(RpeFamily.LINEAR, Paper.A4)).text())
        .containsSubsequence("up to 11", "up to 4", "12–13", "5–6", "14–15", "7", "16–17", "8")
        .contains("moderate is 5–6");
  }

  @Test
  void papersAreTheirSize() {
    assertThat(PdfText.of(PosterSheet.of(RpeFamily.RATIO, Paper.A3)).millimetres())
        .isEqualTo("297 × 420");
    assertThat(PdfText.of(PosterSheet.of(RpeFamily.RATIO, Paper.LETTER)).millimetres())
        .isEqualTo("216 × 279");
  }
}
