package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/** What people carry and hang up: looked at as it is printed, printed, and kept as a file. */
class SheetTest {
  private Desk desk;

  @BeforeEach
  void open() {
    desk = Desk.get();
  }

  /** Instead of the printer. */
  private void countPrints() {
    desk.driver()
        .executeScript(
            """
            window.printed = 0
            document.querySelector('iframe').contentWindow.print = () => window.printed++
            """);
  }

  /** The lines of a table that the page handed out, without the mark that it is UTF-8. */
  private List<String> lines(String name) {
    return desk.caught(name).replace("\uFEFF", "").lines().toList();
  }

  private void printed(long times) {
    desk.await(() -> desk.driver().executeScript("return window.printed").equals(times));
  }

  @Test
  void aCardInItsSizeWithItsCountsIsPrintedAndKept() {
    desk.openClient("Ines", "card/1");
    // 63 at rest, 176 at most: 45 and 60 % of 113.
    assertThat(desk.sheetSays("114–131"))
        .contains("beats a minute", "in 10 s 19–22", "in 15 s 29–33", "Review by")
        .doesNotContain("in 30 s");
    countPrints();
    desk.press("Print");
    printed(1);
    new Actions(desk.driver()).keyDown(Keys.CONTROL).sendKeys("p").keyUp(Keys.CONTROL).perform();
    printed(2);
    desk.catchFiles();
    desk.press("PDF");
    assertThat(desk.caught("Card-of-Ines-Okafor-Lund.pdf")).startsWith("%PDF-1.");

    desk.press("30 s");
    // 114 and 131 × 30 ÷ 60
    desk.sheetSays("in 30 s 57–66");
    desk.press("Wallet");
    desk.press("A4");
    desk.sheetSays("fold here");
    // The address holds how it looks.
    desk.driver().navigate().refresh();
    assertThat(desk.sheetSays("fold here")).contains("in 30 s 57–66");
  }

  @Test
  void withoutARateNoneIsOnItAndTheCountsAreNotAskedFor() {
    desk.openClient("Beatriz", "card/1");
    assertThat(desk.sheetSays("RPE and talk only: no heart rate."))
        .doesNotContain("beats a minute");
    desk.sees("RPE and talk only");
    assertThat(desk.reads("Counts for")).isFalse();
  }

  @Test
  void aClassIsTickedByKeyboardAndWhoHasNoCardIsNamedWithTheReason() {
    desk.open("/cards");
    desk.sees("Tick who is coming and their cards appear here.");
    desk.type("search", "ines");
    desk.keys(Keys.ENTER);
    desk.keys("osei", Keys.ENTER);
    desk.keys("tindra", Keys.ENTER);
    desk.sees("2 cards on 1 sheet.");
    desk.sees("No card today: 1");
    desk.sees("The clearance ended on");
    desk.sees("was due for review by");
    assertThat(desk.sheetSays("Tindra Vossberg"))
        .contains("Ines Okafor-Lund", "114–131")
        .doesNotContain("Osei");
    desk.catchFiles();
    desk.press("PDF");
    assertThat(desk.caught("2-cards.pdf")).startsWith("%PDF-1.");
    desk.press("Untick all");
    desk.sees("Tick who is coming and their cards appear here.");
  }

  @Test
  void aClassChartIsReadCheckedAndKeptAsATable() {
    desk.open("/calculators/chart?from=44&to=46&every=1");
    desk.sees("Figures");
    // 208 − 31.5 = 176.5: 177; 70 and 85 %: 123.9 and 150.45; × 10 ÷ 60.
    assertThat(desk.sheetSays("45 177 124–150 21–25")).contains("yours", "Not for anyone with");
    desk.catchFiles();
    desk.click("[aria-label='CSV of class chart']");
    assertThat(lines("class chart.csv"))
        .containsExactly(
            "Age,\"Maximum, bpm\",\"Classroom range, bpm, from\",\"Classroom range, bpm, to\","
                + "\"Classroom range, beats in 10 s, from\",\"Classroom range, beats in 10 s, to\"",
            "44,177,124,150,21,25",
            "45,177,124,150,21,25",
            "46,176,123,150,21,25");
    desk.press("15 s");
    // 123.9 and 150.45, ÷ 4
    desk.sheetSays("45 177 124–150 31–38");
    desk.type("to", "5");
    desk.sees("Accepted: a whole number from 6 to 110 years.");
    desk.sheetSays("45 177 124–150 31–38");
  }

  @Test
  void rangesOfOnesOwnStandOnTheChartAndSayWhatIsWrong() {
    desk.open("/calculators/chart?from=40&to=60&every=10&scheme=own-ranges&own=Warm%0955%0965");
    // 55 and 65 % of 180.
    desk.sheetSays("Warm 55–65 % of max");
    desk.sheetSays("40 180 99–117");
    desk.press("Add a range");
    desk.sees("Is missing. Accepted: a number from 0 to 110 %.");
    desk.type("range-1-name", "Brisk [2|3]");
    desk.type("range-1-low", "75");
    desk.type("range-1-high", "65");
    desk.sees("Is under its lower edge of 75.");
    desk.type("range-1-high", "80");
    desk.sheetSays("Brisk [2|3] 75–80 % of max");
    // An address that holds brackets and bars opens again.
    desk.driver().navigate().refresh();
    desk.sheetSays("Brisk [2|3] 75–80 % of max");
  }

  @Test
  void thePosterIsInTheScaleThatIsChosen() {
    desk.open("/calculators/poster");
    assertThat(desk.sheetSays("Could sing a verse")).contains("moderate is 3–4");
    desk.press("Linear: moderate is 5–6");
    assertThat(desk.sheetSays("moderate is 5–6")).contains("No talking at all");
  }

  @Test
  void anyTableIsKeptForASpreadsheet() {
    desk.openClient("Ines", "bands");
    desk.sees("could sing a verse");
    desk.catchFiles();
    desk.click("[aria-label='CSV of bands']");
    List<String> lines = lines("bands.csv");
    assertThat(lines.get(0))
        .isEqualTo(
            "zone,\"bpm, from\",\"bpm, to\",edge ±,\"in 10 s, from\",\"in 10 s, to\","
                + "\"in 15 s, from\",\"in 15 s, to\",\"RPE 6–20, from\",\"RPE 6–20, to\","
                + "\"RPE 0–10, from\",\"RPE 0–10, to\",how it sounds");
    // 40 and 60 % of 113 over 63: 108.2 and 130.8.
    assertThat(lines.get(2))
        .startsWith("Talk,108,130,")
        .endsWith(",\"whole sentences, no singing\"");
    desk.open("/clients?q=ines");
    desk.sees("Ines Okafor-Lund");
    desk.catchFiles();
    desk.click("[aria-label='CSV of clients']");
    assertThat(lines("clients.csv").get(1)).startsWith("Ines Okafor-Lund,").contains(",63,176,");
  }
}
