package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.nio.file.Path;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** Tests on the floor, on a server of its own whose clock is set. */
class AssessmentTest {
  @TempDir static Path folder;
  private static ClockedDemo demo;

  private final Desk desk = Desk.get();

  @BeforeAll
  static void start() throws Exception {
    demo = new ClockedDemo(folder);
  }

  @AfterAll
  static void stop() {
    demo.close();
  }

  /** The kind of test is a button with its summary: found by its name. */
  private void pick(String test) {
    demo.openClient("Hyun-woo", "tests");
    desk.await(
        () ->
            desk.all(".kinds > li > button").stream()
                .filter(each -> each.getText().startsWith(test))
                .peek(each -> each.click())
                .findFirst()
                .isPresent());
  }

  /** A rate, a pressure and an RPE, each with the Enter key. */
  private void row(int bpm, String pressure, int rpe) {
    desk.keys("r");
    desk.await(() -> "bpm".equals(desk.inFocus().getDomProperty("name")));
    desk.keys("" + bpm, Keys.ENTER);
    desk.keys(pressure, Keys.ENTER);
    desk.keys("" + rpe, Keys.ENTER);
    desk.sees("RPE " + rpe);
    desk.answered();
  }

  /** Goes on with the Tab key until that box is reached, and ticks it. */
  private void tick(String name) {
    for (int n = 0; n < 40 && !name.equals(desk.inFocus().getDomProperty("name")); n++) {
      desk.keys(Keys.TAB);
    }
    assertThat(desk.inFocus().getDomProperty("name")).isEqualTo(name);
    desk.keys(Keys.SPACE);
    assertThat(desk.inFocus().isSelected()).isTrue();
  }

  /** Two at one sheet: what one enters, the other sees, and may take back. */
  private void anotherDeviceTakesARate() {
    String sheet = desk.driver().getCurrentUrl();
    String first = desk.beside();
    desk.driver().get(sheet);
    desk.sees("Begin stage 1");
    desk.keys("r");
    desk.await(() -> "bpm".equals(desk.inFocus().getDomProperty("name")));
    desk.keys("67", Keys.ENTER);
    desk.sees("67 bpm read off");
    desk.answered();
    desk.driver().close();
    desk.driver().switchTo().window(first);
    desk.sees("67 bpm read off");
    desk.keys("u");
    desk.await(() -> !desk.reads("67 bpm read off"));
  }

  @Test
  void aWholeGradedTestByKeyboard() throws IOException {
    pick("Graded exercise test");
    desk.type("supervisor", "Ilse Marrowby");
    tick("noneOfThese");
    tick("present");
    desk.keys(Keys.ENTER);
    desk.sees("Lie down for 3 to 5 min");

    desk.keys("l");
    desk.sees("Rate, lying");
    demo.pass(3, 0);
    row(58, "122/80", 6);
    desk.sees("Stand up for 1 min");
    desk.keys("s");
    desk.sees("Pressure, standing");
    demo.pass(1, 0);
    row(64, "124/82", 6);
    desk.sees("Begin stage 1");
    anotherDeviceTakesARate();
    desk.keys("b");
    desk.sees("2.7 km/h at 10 %");

    demo.pass(2, 10);
    desk.sees("Pressure, stage 1");
    desk.keys("k");
    desk.sees("Cuff running");
    desk.keys("138/80", Keys.ENTER);
    desk.keys("9", Keys.ENTER);
    desk.keys("r");
    desk.keys("104", Keys.ENTER);
    desk.keys(Keys.ENTER);
    desk.keys(Keys.ENTER);
    desk.sees("138/80");
    demo.pass(1, 0);
    desk.sees("4 km/h at 12 %");

    // A pressure that falls is measured again before anything else.
    demo.pass(2, 20);
    row(131, "124/82", 12);
    desk.sees("Measure the pressure again now; the next stage waits.");
    desk.keys("p");
    desk.keys("150/82", Keys.ENTER);
    desk.keys(Keys.ENTER);
    desk.await(() -> !desk.reads("the next stage waits"));

    demo.pass(0, 40);
    desk.sees("5.5 km/h at 14 %");
    desk.keys("r");
    desk.keys("174", Keys.ENTER);
    desk.keys(Keys.ENTER);
    desk.keys(Keys.ENTER);
    desk.sees("End: the target of");
    desk.keys("d");
    desk.sees("Why does the work end?");
    desk.keys(Keys.ENTER);
    desk.sees("Recovery");

    // What was entered is still there after the page was closed.
    desk.driver().navigate().refresh();
    desk.sees("Ended: target reached");
    desk.keys("l");
    demo.pass(6, 0);
    row(76, "126/80", 7);
    desk.keys("n");
    desk.sees("No symptoms");
    demo.pass(2, 0);
    row(74, "124/80", 6);
    desk.await(() -> desk.pressable("Close the sheet").isEnabled());
    desk.press("Close the sheet");
    desk.sees("Recovered: two readings in a row near the baseline.");
    assertThat(desk.texts("tbody th")).contains("Lying", "Standing", "1", "2");

    String url = desk.driver().getCurrentUrl();
    String text = pdf(url.replace("/floor/tests/", "/api/tests/") + "/sheet.pdf");
    assertThat(text)
        .contains(
            "Graded exercise test of Hyun-woo Castell", "Ilse Marrowby", "138/80", "Recovered");

    desk.press("Undo: open it again");
    desk.await(() -> desk.pressable("Close the sheet").isEnabled());
    desk.press("Close the sheet");
    desk.sees("Print (PDF)");
  }

  private static String pdf(String url) throws IOException {
    try (InputStream answer = URI.create(url).toURL().openStream();
        PDDocument document = Loader.loadPDF(answer.readAllBytes())) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      return new PDFTextStripper().getText(document);
    }
  }

  private void count(int beats) {
    desk.type("beats", "" + beats);
    desk.keys(Keys.ENTER);
    desk.await(() -> "".equals(desk.one("input[name=beats]").getDomProperty("value")));
    desk.answered();
  }

  @Test
  void twoMinutesWithCounts() {
    pick("Two-minute test");
    desk.click("input[name=present]");
    desk.press("Open the test");
    desk.sees("Resting count");
    count(15);
    desk.press("Start");
    desk.sees("left");
    demo.pass(2, 16);
    desk.sees("Count at once");
    count(25);
    demo.pass(1, 0);
    count(20);
    demo.pass(1, 0);
    count(17);
    desk.type("repetitions", "34");
    desk.keys(Keys.ENTER);
    desk.sees("34 repetitions");
    desk.press("12");
    desk.await(() -> desk.pressable("Save the result").isEnabled());
    desk.press("Save the result");
    desk.sees("Up 40, then down 20 in one minute and 32 in two.");
  }

  @Test
  void theSameTestAfterThreeMonths() {
    demo.openClient("Agnethe", "tests");
    desk.sees("Rise 20 bpm");
    desk.click(".before li a");
    desk.sees("Beside the same test before");
    desk.sees("within chance (under 11 bpm)");
  }

  @Test
  void whatIsNotAllowedSaysWhy() {
    demo.openClient("Ragnar", "tests");
    desk.sees("not allowed");
    desk.click(".kinds li:nth-child(3) > button");
    desk.sees("Not with known heart disease.");
    assertThat(desk.all("form[aria-label='High bench']")).isEmpty();
  }

  @Test
  void aProtocolOfTheirOwn() {
    demo.open("/studio/protocols/new");
    desk.type("name", "Sea wall walk");
    desk.type("kmh1", "2");
    desk.press("Save");
    desk.sees("is easier than the stage before it");
    desk.type("kmh1", "4");
    desk.press("Save");
    desk.sees("Sea wall walk");
    demo.openClient("Hyun-woo", "tests");
    desk.sees("Graded exercise test");
  }

  @Test
  void somebodyWhoIsNotThereAnswersWhenAsked() {
    demo.open("/practice");
    desk.press("Begin the test");
    desk.sees("Lie down for 3 to 5 min");
    desk.press("Lying");
    desk.sees("Rate, lying");
    desk.press("Start cuff");
    desk.sees("The cuff shows");
    desk.press("“How are you?”");
    desk.sees("“I am fine.”");
    desk.sees("No symptoms");
    desk.press("Cancel the test");
    desk.sees("It was cancelled before the work began.");
    desk.sees("Missed: The work was not done");
  }
}
