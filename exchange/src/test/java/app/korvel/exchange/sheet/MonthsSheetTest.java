package app.korvel.exchange.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.progress.Months;
import app.korvel.core.progress.Months.Month;
import app.korvel.core.progress.Months.Span;
import app.korvel.core.progress.Trend;
import app.korvel.core.progress.Trend.Kind;
import app.korvel.core.progress.Trend.Value;
import java.io.IOException;
import java.io.StringReader;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;

/** Months up to June 2030; in the first nothing was known. */
class MonthsSheetTest {
  private static final LocalDate TODAY = LocalDate.of(2030, 6, 18);
  private static final LocalDate CHANGED = LocalDate.of(2030, 5, 3);
  private static final OptionalInt NONE = OptionalInt.empty();

  private static final Span UNKNOWN = new Span(NONE, NONE, "", true, NONE, NONE);
  private static final Span MEASURED =
      new Span(
          OptionalInt.of(61),
          OptionalInt.of(183),
          "field-test",
          false,
          OptionalInt.of(128),
          OptionalInt.of(156));

  private static Month month(int back, int most) {
    YearMonth of = YearMonth.from(TODAY).minusMonths(back);
    if (back == most - 1) {
      return new Month(of, 0, 0, 0, List.of(0, 0, 0, 0, 0), NONE, Optional.empty(), UNKNOWN);
    }
    return new Month(
        of,
        8,
        7,
        1,
        List.of(630, 5400, 1770, 0, 0),
        OptionalInt.of(60 + back),
        Optional.of(new BigDecimal("12.5")),
        MEASURED);
  }

  private static Months months(int most) {
    List<Month> months = new ArrayList<>();
    for (int back = most - 1; back >= 0; back--) {
      months.add(month(back, most));
    }
    Trend trend =
        Trend.of(
            Kind.RESTING,
            "seated, by count",
            List.of(new Value(LocalDate.of(2030, 4, 2), 68), new Value(CHANGED.plusDays(4), 61)),
            5,
            List.of(CHANGED));
    return new Months(months, List.of(trend), Optional.empty(), List.of(CHANGED));
  }

  private static String page(int most, Paper paper) {
    PdfText pdf = PdfText.of(MonthsSheet.of("Wren “Quill” Adeyemi", months(most), TODAY, paper));
    assertThat(pdf.pages()).as("one page").hasSize(1);
    assertThat(pdf.loose()).as("its fonts are in it").isEmpty();
    assertThat(pdf.tagged()).isTrue();
    return pdf.text();
  }

  @Test
  void aYearIsOnePageMonthByMonth() {
    for (Paper paper : List.of(Paper.A4, Paper.LETTER)) {
      String page = page(12, paper);
      assertThat(page)
          .contains("Months of Wren “Quill” Adeyemi")
          .contains("Jul 2029 to Jun 2030")
          .contains("61 to 183 bpm (measured)")
          .contains("Sessions done 77 of 88 planned");
      for (Month month : months(12).months()) {
        assertThat(page).contains(named(month.month()));
      }
    }
  }

  /** As the page names it: “Jul 2029”. */
  private static String named(YearMonth month) {
    return month.format(DateTimeFormatter.ofPattern("MMM uuuu", Locale.ENGLISH));
  }

  @Test
  void fiveYearsAreOnePageTooTheLastYearInFull() {
    String page = page(60, Paper.A4);
    assertThat(page).contains("Jul 2025 to Jun 2030");
    // Of years before every third month: 16 and the last twelve.
    int rows = 0;
    for (Month month : months(60).months()) {
      rows += page.contains(named(month.month()) + " ") ? 1 : 0;
    }
    assertThat(rows).isEqualTo(28);
  }

  @Test
  void minutesAreRoundedMonthByMonthAndTheShareIsOfSeconds() {
    String page = page(12, Paper.A4);
    // 630 s are 10.5 min, half up; 6030 of 7800 s lie below the level of phrases.
    assertThat(page).contains("11 · 90 · 30 · 0 · 0").contains("77 %").contains("12.5");
    assertThat(page).contains("128 / 156").contains("7 of 8");
  }

  @Test
  void aMonthOfWhichNothingIsKnownHasDashesAndNoZeroThatCouldBeARate() {
    String page = page(12, Paper.A4);
    assertThat(page).contains("– to – bpm");
    int row = page.indexOf("Jul 2029 –");
    assertThat(row).isPositive();
    assertThat(page.substring(row, page.indexOf("Aug 2029", row))).doesNotContain("0 %");
  }

  @Test
  void aChangeOfMedicationIsSaid() {
    assertThat(page(12, Paper.A4))
        .contains("Medication changed")
        .contains("what lies before is not compared with what came after");
  }

  private static List<CSVRecord> csv(Months months) {
    try (CSVParser parser =
        CSVParser.parse(new StringReader(MonthsSheet.csv(months)), CSVFormat.RFC4180)) {
      return parser.getRecords();
    } catch (IOException broken) {
      throw new AssertionError(broken);
    }
  }

  @Test
  void theCsvHasALineAMonthWithEmptyCellsForWhatIsNotKnown() {
    List<CSVRecord> lines = csv(months(12));
    assertThat(lines.get(0).toList())
        .startsWith("month", "planned", "done", "extra", "resting_bpm", "maximum_bpm")
        .endsWith(
            "sing_minutes", "talk_minutes", "phrases_minutes", "words_minutes", "silent_minutes");
    assertThat(lines.get(1).toList())
        .startsWith("2029-07", "0", "0", "0", "", "", "", "", "", "", "");
    assertThat(lines.get(12).toList())
        .containsExactly(
            "2030-06",
            "8",
            "7",
            "1",
            "60",
            "183",
            "field-test",
            "128",
            "156",
            "77",
            "12.5",
            "11",
            "90",
            "30",
            "0",
            "0");
    assertThat(lines.subList(0, 13)).allMatch(line -> line.size() == lines.get(0).size());
  }

  @Test
  void belowStandTheTrendsWithTheirSeries() {
    List<CSVRecord> lines = csv(months(12));
    List<CSVRecord> trends = lines.subList(lines.size() - 3, lines.size());
    assertThat(trends.get(0).toList()).containsExactly("trend", "taken", "on", "bpm", "series");
    assertThat(trends.get(1).toList())
        .containsExactly("Resting heart rate", "seated, by count", "2030-04-02", "68", "1");
    assertThat(trends.get(2).toList())
        .containsExactly("Resting heart rate", "seated, by count", "2030-05-07", "61", "2");
  }
}
