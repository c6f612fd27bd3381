package app.korvel.exchange.sheet;

import static app.korvel.exchange.sheet.Cards.TODAY;
import static app.korvel.exchange.sheet.Cards.someone;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.prescription.Card;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Condition;
import app.korvel.core.zone.CountCard;
import app.korvel.exchange.sheet.CardSheet.Look;
import app.korvel.exchange.sheet.PdfText.Glyph;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Cards read back out of their PDF. */
class CardSheetTest {
  private static final List<CountWindow> EVERYDAY = List.of(CountWindow.S10, CountWindow.S15);

  private static Look own(CardSize size) {
    return new Look(size, Optional.empty(), EVERYDAY);
  }

  private static PdfText read(Card card, Look look) {
    return PdfText.of(CardSheet.of(List.of(card), look, TODAY));
  }

  @ParameterizedTest
  @EnumSource
  void aCardHoldsWhatItsClientNeeds(CardSize size) {
    PdfText card = read(someone().named("Åsa Prow"), own(size));
    // Resting 64, maximum 177: 40 and 50 % of 113 are 45.2 and 56.5.
    assertThat(card.text())
        .contains("Åsa Prow")
        .contains("3 days a week · 30 min · walk or run")
        .contains("109–121 beats a minute")
        .contains("in 10 s 18–20")
        .contains("in 15 s 27–30")
        .contains("Talk: whole sentences, no singing")
        .contains("RPE 12–13 (6–20), or 3–4 (0–10)")
        .contains("0–10 on the ratio scale")
        .contains("Rate first, checked by RPE and talk")
        .contains("Stop at once")
        .contains("a wish to stop")
        .contains("Review by 17 Jun 2026: reviewed every 4 weeks.")
        .contains("made 20 May 2026")
        .contains("Not medical advice")
        .doesNotContain("never above");
    assertThat(card.pages()).hasSize(1);
    assertThat(card.title()).isEqualTo("Card of Åsa Prow");
    assertThat(card.language()).isEqualTo("en");
    assertThat(card.tagged()).isTrue();
    assertThat(card.loose()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"WALLET, 171 × 54", "A6, 105 × 148", "A5, 148 × 210"})
  void withoutPaperThePageIsTheCard(CardSize size, String millimetres) {
    assertThat(read(someone().named("Åsa Prow"), own(size)).millimetres()).isEqualTo(millimetres);
  }

  @Test
  void theCountsAreThoseThatWereAskedFor() {
    Look look = new Look(CardSize.A6, Optional.empty(), List.of(CountWindow.S30, CountWindow.S6));
    assertThat(read(someone().named("Åsa Prow"), look).text())
        .contains("in 6 s 11–12 in 30 s 55–61")
        .doesNotContain("in 10 s")
        .doesNotContain("in 15 s");
  }

  @Test
  void aCapIsNamedBesideTheRateAndItsCountsAreRoundedDown() {
    assertThat(read(someone().cappedAt(118).named("Åsa Prow"), own(CardSize.A6)).text())
        .contains("109–118 beats a minute, never above 118 (a written limit)")
        // 118 × 15 ÷ 60 = 29.5
        .contains("in 15 s 27–29");
  }

  /** 45 years, 64 at rest, 177 at most: 40 to 60 % of 113 are 109 to 132. */
  @ParameterizedTest
  @EnumSource(CardSize.class)
  void theEasierDaysOfAVigorousWeekAreOnIt(CardSize size) {
    Cards rower = someone().active(Activity.HIGH).clearedFor(Allows.VIGOROUS);
    assertThat(read(rower.named("Åsa Prow", 65, 80, 5), own(size)).text())
        .contains("Easier days")
        .contains("2 of them, 109–132 bpm, RPE 12–13 (6–20)");
    assertThat(read(rower.named("Åsa Prow", 65, 80, 3), own(size)).text())
        .doesNotContain("Easier days");
  }

  @Test
  void effortFromTheBottomOfItsScaleIsUpTo() {
    assertThat(
            PdfText.of(
                    CardSheet.of(List.of(someone().named("Åsa", 30, 40)), own(CardSize.A6), TODAY))
                .text())
        .contains("Sing: could sing a verse")
        .contains("RPE up to 11 (6–20), or up to 2 (0–10)");
  }

  @Test
  void aCapUnderTheTargetLeavesEffortAndTalkAndIsNamed() {
    // 40 % is 109: a cap of 92 lies under all of it.
    assertThat(read(someone().cappedAt(92).named("Åsa Prow"), own(CardSize.A6)).text())
        .contains("RPE and talk only, never above 92 (a written limit).")
        .contains("until your breath is quiet")
        .doesNotContain("beats a minute")
        .doesNotContain("no heart rate")
        .doesNotContain("109");
  }

  @Test
  void forANewcomerFeelingLeadsAndTheRateFollows() {
    String text = read(someone().active(Activity.NONE).named("Åsa Prow"), own(CardSize.A6)).text();
    assertThat(text).contains("Talk first, then the rate");
    assertThat(text.indexOf("whole sentences, no singing"))
        .isPositive()
        .isLessThan(text.indexOf("RPE 12–13"));
    assertThat(text.indexOf("RPE 12–13"))
        .isLessThan(text.indexOf("Then the rate: 108–120 beats a minute"));
  }

  @ParameterizedTest
  @EnumSource
  void whereNoRateMayBeUsedNoneStandsOnIt(CardSize size) {
    PdfText card = read(someone().with(Condition.IRREGULAR_RHYTHM).named("Åsa Prow"), own(size));
    assertThat(card.text())
        .contains("whole sentences, no singing")
        .contains("RPE and talk only: no heart rate.")
        .doesNotContain("beats a minute")
        .doesNotContain("in 10 s")
        .doesNotContainPattern("\\b1[0-9][0-9]–")
        .doesNotContain("maximum about");
  }

  @Test
  void aRenewalThatHasComeDueSaysSo() {
    Sheet late =
        CardSheet.of(List.of(someone().named("Åsa")), own(CardSize.A6), TODAY.plusDays(28));
    assertThat(PdfText.of(late).text()).contains("Was due for review by 17 Jun 2026");
  }

  static Stream<Look> everyLook() {
    return Stream.of(CardSize.values())
        .flatMap(
            size ->
                Stream.of(Optional.<Paper>empty(), Optional.of(Paper.A4), Optional.of(Paper.LETTER))
                    .map(paper -> new Look(size, paper, CountCard.WINDOWS)));
  }

  @ParameterizedTest
  @MethodSource("everyLook")
  void whoHasTheMostToReadHasItAllWithinTheirCard(Look look) {
    Card fullest = Cards.fullest();
    int places = look.size().places(look.paper());
    Sheet sheet = CardSheet.of(Collections.nCopies(places, someone().named("Åsa")), look, TODAY);
    PdfText card = read(fullest, look);
    assertThat(card.pages()).hasSize(1);
    assertThat(card.text())
        .contains("Smith")
        .contains("Always carry: the nitrate, as prescribed; sugar; the reliever.")
        .contains("bleeding, fluid loss or contractions; calf pain or swelling; pain or pressure")
        .contains("Korvel");
    for (PdfText each : List.of(card, PdfText.of(sheet))) {
      assertThat(each.glyphs()).filteredOn(glyph -> !inACard(glyph, look)).isEmpty();
    }
  }

  /** Whether it keeps clear of every edge that is cut, and of the fold. */
  private static boolean inACard(Glyph glyph, Look look) {
    if (look.size() == CardSize.WALLET && "foldher".contains(glyph.text()) && glyph.top() < 300) {
      return true;
    }
    CardSize.Grid grid = look.size().on(look.paper());
    Paper.Area page = look.paper().map(paper -> paper.area(grid.lying())).orElse(grid.card());
    double width = grid.card().width() / (look.size() == CardSize.WALLET ? 2.0 : 1);
    double left = (page.width() - grid.columns() * grid.card().width()) / 2.0;
    double top = (page.height() - grid.rows() * grid.card().height()) / 2.0;
    return clear(glyph.left() - left, glyph.right() - left, width)
        && clear(glyph.top() - top, glyph.bottom() - top, grid.card().height());
  }

  private static boolean clear(double from, double to, double step) {
    double edge = 20;
    return Math.floor(from / step) == Math.floor(to / step)
        && from % step >= edge
        && step - to % step >= edge;
  }

  @ParameterizedTest
  @CsvSource({
    "WALLET, LETTER, 15, 216 × 279",
    "A6, A4, 15, 210 × 297",
    "A5, LETTER, 30, 279 × 216"
  })
  void aClassOfSixtyStandsOnSheetsEachNameOnce(
      CardSize size, Paper paper, int pages, String millimetres) {
    List<Card> sixty =
        IntStream.rangeClosed(1, 60)
            .mapToObj(number -> someone().named("Client no. " + number + "."))
            .toList();
    PdfText sheet =
        PdfText.of(CardSheet.of(sixty, new Look(size, Optional.of(paper), EVERYDAY), TODAY));
    assertThat(sheet.pages()).hasSize(pages);
    assertThat(sheet.millimetres()).isEqualTo(millimetres);
    assertThat(sheet.title()).isEqualTo("60 cards");
    String text = sheet.text();
    IntStream.rangeClosed(1, 60)
        .forEach(number -> assertThat(text).containsOnlyOnce("Client no. " + number + "."));
  }

  @Test
  void aNameFromAnywhereIsDrawnAndNoneIsTakenForMarkup() {
    for (String name :
        List.of("Łucja Ťažká", "Нина Ветер", "Ελένη", "Nguyễn Vân", "<b>O'Neil & \"Sons\"</b>")) {
      PdfText card = read(someone().named(name), own(CardSize.A6));
      assertThat(card.text()).contains(name);
      assertThat(card.title()).isEqualTo("Card of " + name);
      assertThat(card.loose()).isEmpty();
    }
    assertThat(read(someone().named("Half \uD83D gone"), own(CardSize.A6)).text())
        .contains("Half")
        .contains("gone");
  }

  @Test
  void thePageIsWrittenOnceForScreenAndPaper() {
    Sheet sheet = CardSheet.of(List.of(someone().named("Åsa <Prow>")), own(CardSize.A6), TODAY);
    assertThat(sheet.html("/somewhere"))
        .contains("url(\"/somewhere/next-latin-400.ttf\")")
        .contains("@page { size: 105mm 148mm; margin: 0; }")
        .contains("<title>Card of Åsa &lt;Prow&gt;</title>")
        .contains("109–121")
        .doesNotContain("<Prow>");
  }

  @Test
  void whatIsNoSheetOfCardsIsRefused() {
    Card card = someone().named("Åsa");
    assertThatThrownBy(() -> CardSheet.of(List.of(), own(CardSize.A6), TODAY))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("0 cards");
    assertThatThrownBy(() -> CardSheet.of(Collections.nCopies(61, card), own(CardSize.A6), TODAY))
        .hasMessageContaining("61 cards");
    assertThatThrownBy(() -> new Look(CardSize.A6, Optional.empty(), List.of(CountWindow.S60)))
        .hasMessageContaining("window");
    assertThatThrownBy(() -> new Look(CardSize.A6, Optional.of(Paper.A3), EVERYDAY))
        .hasMessageContaining("paper");
  }
}
