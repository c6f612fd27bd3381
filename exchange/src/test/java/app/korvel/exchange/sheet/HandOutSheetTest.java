package app.korvel.exchange.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.screening.StopSigns;
import app.korvel.core.talk.Passage;
import app.korvel.core.zone.RpeFamily;
import app.korvel.exchange.sheet.HandOutSheet.HandOutSession;
import app.korvel.exchange.sheet.HandOutSheet.HandOutWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a client takes home. */
class HandOutSheetTest {
  private static final LocalDate MONDAY = LocalDate.of(2026, 6, 1);

  private static HandOutWeek week(int number, int sessions) {
    LocalDate from = MONDAY.plusWeeks(number - 1L);
    return new HandOutWeek(
        number,
        from,
        "40–50 % of reserve, 25 min of work.",
        IntStream.range(0, sessions)
            .mapToObj(
                day ->
                    new HandOutSession(
                        from.plusDays(day),
                        day == 0 ? Optional.of("18:30") : Optional.empty(),
                        "Walk or run, 25 min",
                        "109–120 bpm, RPE 12–13"))
            .toList());
  }

  private static PdfText pdf(int sessions, Paper paper) {
    return PdfText.of(
        HandOutSheet.of(
            Cards.someone().named("Test Person"),
            IntStream.rangeClosed(3, 6).mapToObj(week -> week(week, sessions)).toList(),
            RpeFamily.RATIO,
            paper,
            MONDAY));
  }

  @Test
  void targetsChecksStopSignsAndALogAreOnIt() {
    PdfText pdf = pdf(3, Paper.A4);
    String front = pdf.pages().get(0);
    assertThat(front)
        .contains(Passage.USUAL.text())
        .contains(StopSigns.SIGNS.get(0))
        .contains(StopSigns.ACTION)
        .contains("in 10 s", "in 15 s")
        .contains("whole sentences")
        .contains("12–13");
    String log = pdf.pages().get(1);
    assertThat(log)
        .contains("Week 3, from 15 Jun 2026")
        .contains("Mon 15 Jun, 18:30 Walk or run, 25 min 109–120 bpm, RPE 12–13")
        .contains("Week 6")
        .contains("besides")
        .contains(StopSigns.NOTICE);
  }

  /** Whoever has most to be told: it still fits on the first page. */
  @Test
  void theFullestCardFitsOnOnePage() {
    PdfText pdf =
        PdfText.of(
            HandOutSheet.of(
                Cards.fullest(), List.of(week(1, 3)), RpeFamily.LINEAR, Paper.A4, MONDAY));
    assertThat(pdf.pages()).hasSize(2);
    assertThat(pdf.pages().get(0)).contains("Always carry").contains(StopSigns.ACTION);
    assertThat(pdf.glyphs()).allMatch(glyph -> glyph.bottom() < Paper.A4.area(false).height());
    assertThat(pdf.loose()).isEmpty();
    assertThat(pdf.tagged()).isTrue();
  }

  /** However many sessions a week has, no page is overfull and no week is torn. */
  @ParameterizedTest
  @CsvSource({"0, 2, 2", "3, 2, 3", "5, 3, 3", "7, 3, 3"})
  void everyWeekStandsWholeOnAPage(int sessions, int onA4, int onLetter) {
    for (Paper paper : Paper.FOR_CARDS) {
      PdfText pdf = pdf(sessions, paper);
      assertThat(pdf.pages()).hasSize(paper == Paper.A4 ? onA4 : onLetter);
      String all = String.join(" ", pdf.pages());
      assertThat(pdf.glyphs()).allMatch(glyph -> glyph.bottom() < paper.area(false).height() - 60);
      for (int week = 3; week <= 6; week++) {
        assertThat(all).containsOnlyOnce("Week " + week);
      }
    }
  }
}
