package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;

/** What a session would do to a heart: in the editor, on the clock, against its record, to try. */
class SessionAheadTest {
  private final Desk desk = Desk.get();

  private String reading() {
    return desk.one(".reading").getText();
  }

  private void openBursts() {
    desk.open("/studio/outlines/new?from=three-rungs-bursts");
    desk.sees("Heart rate forecast");
    desk.sees("Highest");
  }

  @Test
  void whatTheForecastSuggestsIsOneKeyAway() {
    openBursts();
    desk.sees("The 20 s bursts will not reach 75 % of reserve, Words: 35 s, as work, would.");
    desk.press("Regularly active");
    desk.sees("The 20 s bursts will not reach 75 % of reserve, Words: 25 s would.");
    desk.sees("35 s up, 55 s down");
    desk.click("h1");
    desk.keys("a");
    desk.await(() -> !desk.reads("will not reach"));
    assertThat(desk.texts(".strip .step b")).contains("0:25");
    // It is taken back as any change is.
    desk.held(Keys.CONTROL, "z");
    desk.sees("25 s would.");
    assertThat(desk.texts(".strip .step b")).contains("0:20");
  }

  @Test
  void whileABlockIsDraggedThePictureFollows() {
    openBursts();
    String before = desk.one(".forecast .line").getDomAttribute("d");
    String read = reading();
    WebElement edge = desk.all(".strip .edge.along").get(2);
    new Actions(desk.driver()).clickAndHold(edge).moveByOffset(60, 0).perform();
    desk.await(() -> !before.equals(desk.one(".forecast .line").getDomAttribute("d")));
    new Actions(desk.driver()).release().perform();
    desk.await(() -> !reading().equals(read));
  }

  @Test
  void aMomentIsReadByTheKeys() {
    openBursts();
    desk.one(".forecast [role=slider]").sendKeys(Keys.PAGE_UP, Keys.ARROW_RIGHT);
    desk.await(() -> reading().startsWith("1:15: "));
    assertThat(reading()).matches("1:15: \\d+ % of reserve \\(\\d+ to \\d+\\)");
    assertThat(desk.one(".forecast [role=slider]").getDomAttribute("aria-valuetext"))
        .isEqualTo(reading());
  }

  @Test
  void forAClientItIsInBpmAndWhereNoRateLeadsItSaysWhy() {
    openBursts();
    desk.choose("Worked out for", "Hyun-woo Castell");
    desk.await(() -> reading().contains("bpm"));
    desk.choose("Worked out for", "Jonas Pellworth");
    desk.sees("No forecast for Jonas Pellworth:");
    assertThat(desk.all(".forecast")).isEmpty();
  }

  @Test
  void aPrescribedSessionIsForeseenAndMendedAsAnOutline() {
    desk.openClient("Ines", "prescription");
    desk.sees("Heart rate forecast");
    desk.sees("Timer of the work starts after");
    desk.choose("Type", "Intervals");
    desk.sees("60 s of work");
    desk.sees("will not reach");
    desk.one(".advice button").click();
    // The type was changed and not saved: that is asked first, as on every way out.
    desk.driver().switchTo().alert().accept();
    desk.sees("session outlines");
    desk.sees("Heart rate forecast");
    desk.await(() -> desk.texts(".strip .times").contains("10 ×"));
    assertThat(desk.texts(".strip .step b")).doesNotContain("1");
  }

  @Test
  void aRecordedSessionLiesOverItsForecast() {
    desk.openClient("Jonas", "progress");
    desk.sees("Forecast and actual, the last sessions");
    desk.sees("bpm apart on average");
    desk.sees("Heart rate response:");
    desk.one("[aria-labelledby=record-title] .list a").click();
    desk.sees("Forecast and actual");
    desk.sees("on average rate and forecast were");
    desk.await(() -> !desk.all(".forecast .record").isEmpty());
    assertThat(desk.texts("[aria-labelledby=foreseen-title] tbody th"))
        .startsWith("Warm-up", "Mobility", "Work");
  }

  @Test
  void someoneWithoutARecordingIsToldWhatWillBeHere() {
    desk.openClient("Ines", "progress");
    desk.sees("No session with a strap is recorded yet.");
  }

  @Test
  void twoSessionsStandSideBySide() {
    desk.open("/calculators/forecast");
    desk.sees("cool-down below 40 % after");
    desk.click("input[name=compare]");
    desk.sees("beside it");
    desk.choose("Outline, Beside it", "The long way round");
    desk.await(() -> desk.texts(".key li").get(1).contains("The long way round"));
    assertThat(desk.all(".forecast .line")).hasSize(2);
    desk.choose("For, Beside it", "Hyun-woo Castell");
    desk.await(() -> desk.texts(".key li").get(1).contains("Hyun-woo Castell"));
    desk.sees("As of");
    // Another day: as it was before anything was known of them.
    WebElement on = desk.one("input[type=date]");
    desk.driver()
        .executeScript(
            "arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event('input'))",
            on,
            LocalDate.now().plusDays(3).toString());
    desk.sees("Lies in the future.");
  }

  @Test
  void whatCannotBeForeseenIsRefusedAndNothingIsLost() {
    desk.open("/calculators/forecast?rest=100&max=130&outline=two-and-two");
    desk.sees("reserve");
    desk.await(() -> desk.all(".forecast").isEmpty());
    assertThat(desk.one("input[name=rest]").getDomProperty("value")).isEqualTo("100");
    desk.type("max", "176");
    desk.await(() -> !desk.all(".forecast").isEmpty());
    desk.type("rest", "12");
    desk.sees("25 to 150 bpm");
  }

  @Test
  void aMadeUpClientDoesAnOutlineAtSixtyTimes() {
    desk.open("/practice");
    desk.press("Try an outline on somebody");
    desk.sees("Play at 60×");
    desk.sees("Ready");
    desk.click("h1");
    desk.keys(" ");
    desk.letPass(Duration.ofSeconds(9));
    desk.await(() -> desk.reads("They say RPE"));
    assertThat(desk.one(".rate b").getText()).isNotEqualTo("–");
    desk.keys(" ");
    desk.press("Go on");
    desk.letPass(Duration.ofSeconds(40));
    desk.sees("Play again");
    desk.sees("Forecast and actual");
    assertThat(desk.texts("[aria-labelledby=foreseen-title] tbody tr")).hasSizeGreaterThan(5);
  }

  @Test
  void onMedicationTheRateStaysUnderAndTheVoiceTells() {
    desk.open("/practice/session");
    desk.sees("Play at 60×");
    desk.choose("Outline", "Steady at Talk");
    desk.click("input[name=medicine]");
    desk.sees("Ready");
    desk.press("Play at 60×");
    desk.letPass(Duration.ofSeconds(60));
    desk.sees("below its forecast");
    desk.type("max", "120");
    desk.sees("Nothing to play");
  }

  @Test
  void onAPhoneNothingRunsOver() {
    desk.size(390, 844);
    try {
      for (String page :
          new String[] {
            "/studio/outlines/new?from=three-rungs-bursts",
            "/calculators/forecast?compare=yes&outline=two-and-two&outline2=long-way&rest=64&max=176&rest2=60&max2=180",
            "/practice/session"
          }) {
        desk.open(page);
        desk.await(() -> !desk.driver().findElements(By.cssSelector(".forecast svg")).isEmpty());
        assertThat(desk.driver().executeScript("return document.documentElement.scrollWidth"))
            .as(page)
            .isEqualTo(390L);
      }
    } finally {
      desk.size(1280, 800);
    }
  }
}
