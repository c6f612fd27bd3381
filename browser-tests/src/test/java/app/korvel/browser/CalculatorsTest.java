package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/**
 * The calculators without a client, their sums step by step, and a check of somebody's own figures.
 */
class CalculatorsTest {
  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  private List<String> sums() {
    return desk.texts(".long .sum");
  }

  private void write(int step, String figure) {
    desk.type("figure-" + step, figure);
  }

  @Test
  void theAddressHoldsWhatIsEntered() {
    desk.open("/desk");
    desk.press("Target");
    desk.sees("120–142");
    desk.type("high", "75");
    desk.await(() -> desk.one(".big").getText().contains("120–148"));
    desk.await(() -> desk.driver().getCurrentUrl().contains("high=75"));
    String address = desk.driver().getCurrentUrl();

    desk.open("/clients");
    desk.sees("Agnethe Moravik");
    desk.driver().get(address);
    desk.sees("120–148");
    desk.soon(
        () -> assertThat(desk.one("input[name=high]").getDomProperty("value")).isEqualTo("75"));
    desk.driver().navigate().refresh();
    desk.sees("target 120–148");

    // A setting that an address leaves out is the usual one; a figure is left to be entered.
    desk.open("/calculators/bands?rest=60&scheme=max-fifths");
    desk.sees("Is missing. Accepted: a whole number from 80 to 230 bpm.");
    assertThat(desk.one("input[name=max]").getDomProperty("value")).isEmpty();
    desk.soon(
        () ->
            assertThat(desk.one(".form button[aria-checked=true]").getText()).startsWith("Ratio"));
  }

  @Test
  void aTargetLongHandAsAPersonWouldWriteIt() {
    desk.open("/calculators/target?rest=64&max=176&basis=reserve&low=50&high=70&cap=");
    desk.sees("The target: the working");
    assertThat(sums())
        .contains(
            "176 − 64 = 112 bpm",
            "0.7 × 112 = 78.4 bpm",
            "64 + 78.4 = 142.4 → 142 bpm",
            "142 × 15 ÷ 60 = 35.5 → 36 beats");
    desk.type("low", "70");
    desk.sees("target exactly 142");
    desk.type("low", "50");
    desk.type("cap", "140");
    desk.sees("the smaller of 142 and 140 = 140");
    desk.sees("capped at 140");
    desk.await(() -> sums().contains("140 × 10 ÷ 60 = 23.33 → 23 beats"));
  }

  @Test
  void theFirstFigureThatIsOffIsShown() {
    desk.open("/calculators/target?rest=64&max=176&basis=reserve&low=50&high=70&cap=");
    desk.press("Check my sum");
    desk.await(() -> desk.focused().equals("Reserve"));
    assertThat(desk.reads("0.7 × 112")).isFalse();
    desk.keys("112", Keys.TAB, "56", Keys.TAB, "120", Keys.TAB, "78", Keys.TAB, "142", Keys.ENTER);
    desk.sees("The first wrong figure. Keep every decimal here: 78.4.");
    desk.soon(() -> assertThat(desk.all(".long li.right")).hasSize(3));
    desk.soon(() -> assertThat(desk.all(".long li.off")).hasSize(1));
    assertThat(desk.driver().switchTo().activeElement().getDomAttribute("name"))
        .isEqualTo("figure-3");

    write(3, "78.4");
    desk.keys(Keys.ENTER);
    desk.sees("Correct so far; empty steps were skipped.");
    write(5, "20");
    write(6, "24");
    write(7, "30");
    write(8, "36");
    desk.press("Check");
    desk.sees("Every figure is correct.");

    write(8, "a lot");
    desk.press("Check");
    desk.sees("Enter plain numbers");
    desk.press("Show the sums");
    desk.sees("0.7 × 112 = 78.4");
  }

  @Test
  void whatIsWrongIsSaidAtItsFieldAndNothingTypedIsLost() {
    desk.open("/calculators/target");
    desk.sees("120–142");
    desk.type("rest", "12");
    desk.sees("12 is outside the accepted range. Accepted: a whole number from 25 to 150 bpm.");
    desk.soon(() -> assertThat(desk.one(".figures").getDomAttribute("class")).contains("behind"));
    desk.type("rest", "150");
    desk.sees("A reserve of 26 bpm is too small to prescribe from.");
    desk.type("rest", "64");
    desk.type("low", "80");
    desk.sees("70 is under low (80).");
    desk.soon(
        () -> assertThat(desk.one("input[name=low]").getDomProperty("value")).isEqualTo("80"));
    desk.type("low", "50");
    desk.await(() -> desk.one(".big").getText().contains("120–142"));
    desk.open("/calculators/target?rest=sixty&max=176&basis=reserve&low=50&high=70");
    desk.sees("Is not the kind of value accepted. Accepted: a whole number from 25 to 150 bpm.");
    desk.open("/calculators/target?rest=64&max=176&basis=nonsense&low=50&high=70");
    desk.sees("“nonsense” is not accepted");
  }

  @Test
  void aPulseIsCountedWithTheClock() {
    desk.open("/calculators/pulse");
    desk.sees("68");
    desk.press("10 s");
    desk.press("Start");
    desk.letCount(10);
    desk.await(() -> desk.focused().equals("Beats"));
    desk.keys("12");
    desk.await(() -> desk.one(".big").getText().replace('\n', ' ').contains("72 bpm ± 6"));
    desk.await(() -> sums().contains("12 × 6 = 72 bpm"));
    desk.soon(() -> assertThat(desk.one("tr.at").getText()).contains("10 s", "× 6"));
  }

  @Test
  void everyEquationHasItsSum() {
    desk.open("/calculators/maximum?age=45&rest=64&activity=some&mode=cycle");
    desk.sees("208 − 0.7 × age: the working");
    desk.await(() -> sums().contains("√(10² + 8²) = 12.8 bpm"));
    desk.press("211 − 0.64 × age");
    desk.sees("211 − 0.64 × age: the working");
    desk.await(() -> sums().contains("211 − 28.8 = 182.2 → 182 bpm"));
    desk.soon(() -> assertThat(desk.driver().getCurrentUrl()).contains("method=nes-211"));
    desk.press("On a beta-blocker");
    desk.sees("208 − 0.7 × age − 30 is the default, and a rough one.");
  }

  @Test
  void twoSchoolsOnOneAxisAndOnTheWall() {
    desk.open("/calculators/bands?rest=64&max=176&scheme=voice-ladder&compare=max-fifths&cap=150");
    WebElement rulers = desk.one("[role=slider]");
    desk.await(() -> rulers.getAccessibleName().startsWith("Rulers on one axis"));
    rulers.sendKeys(Keys.HOME);
    rulers.sendKeys(Keys.chord(Keys.SHIFT, Keys.ARROW_RIGHT));
    // The lowest edge above rest is that of the fifths: half of 176.
    desk.await(() -> rulers.getDomAttribute("aria-valuenow").equals("88"));
    assertThat(rulers.getDomAttribute("aria-valuetext"))
        .isEqualTo(
            "88 beats per minute: Voice ladder, Sing, 21.4 percent of reserve;"
                + " Fifths of maximum, First fifth, 21.4 percent of reserve");
    desk.soon(() -> assertThat(desk.one(".together").getText()).contains("First fifth", "Sing"));

    desk.press("Silent");
    desk.sees("Silent: the working");
    desk.press("Wall screen");
    desk.sees("64 at rest, maximum 176");
    desk.sees("above the cap");
    assertThat(desk.all("nav")).isEmpty();
    desk.keys(Keys.ESCAPE);
    desk.await(() -> desk.driver().getCurrentUrl().contains("/calculators/bands?rest=64"));
  }

  @Test
  void underACapNoCountAllowsMore() {
    desk.open("/calculators/counts?low=109&high=142");
    desk.await(() -> desk.one("tbody").getText().contains("27–36"));
    desk.press("The upper end is a clinician's cap");
    desk.await(() -> desk.one("tbody").getText().contains("27–35"));
    desk.sees("142 × 15 ÷ 60 = 35.5 → 35");
  }

  @Test
  void aClientsNumbersOpenOnTheDesk() {
    desk.openClient("Yara", "bands");
    desk.sees("what each zone is");
    String phrases =
        desk.texts("tbody tr").stream()
            .filter(row -> row.contains("Phrases"))
            .findFirst()
            .orElseThrow();
    desk.press("Phrases");
    desk.sees("Phrases: the working");
    String low = phrases.replaceAll("(?s).*?(\\d{2,3})–\\d+.*", "$1");
    assertThat(sums()).anyMatch(sum -> sum.contains(low + " bpm"));
    assertThat(desk.driver().getCurrentUrl()).doesNotContain("Yara");
  }

  @Test
  void aCalculatorThatDoesNotExistSaysSo() {
    desk.open("/calculators/nothing");
    desk.sees("There is no calculator of that name.");
    desk.press("Start with the pulse");
    desk.sees("The count: the working");
  }
}
