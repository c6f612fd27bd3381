package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** Zone systems side by side, the studio's own schemes, and which zone system is shown to whom. */
class SchemeTest {
  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  private String said(String which) {
    return desk.texts("[data-said=" + which + "]").get(0);
  }

  private void seesSaid(String which, String text) {
    desk.await(() -> said(which).contains(text));
  }

  @Test
  void everySchoolSaysWhatItCallsTheRateAndTheGoal() {
    desk.openClient("Ines", "bands");
    desk.press("All zone systems side by side");
    desk.sees("Measured thresholds is left out");
    desk.soon(
        () ->
            assertThat(desk.texts(".ruler .name"))
                .startsWith("Voice ladder")
                .contains("Maximum, tied to effort", "Three rates", "Above rest", "Sea wall"));
    desk.press("Endurance");
    // 70–80 % of 63 to 176 is 142–153.
    seesSaid("asked", "Endurance, 70–80 % of reserve: 142–153.");
    seesSaid("asked", "Up to 60 %: vigorous work is not allowed for this client.");
    seesSaid("cursor", "At 148.");
    desk.soon(() -> assertThat(desk.texts(".ruler .call").get(0)).isEqualTo("Words"));
    desk.one(".ruler svg").sendKeys(Keys.HOME);
    seesSaid("cursor", "At 63. All ");
    desk.soon(() -> assertThat(said("cursor")).contains("call it light."));
    desk.soon(() -> assertThat(desk.texts(".ruler .call").get(0)).isEqualTo("Sing"));
    seesSaid("crosswalk", "on 0–10, up to 2 on a ratio scale and up to 4 on a linear one");
    // A 65 % “warm-up” is that zone system's, and not prescribed to someone held under 60.
    desk.press("Weight and general fitness");
    desk.await(
        () -> desk.texts("tbody tr").toString().contains("Warm-up 136 vigorous not allowed"));
    desk.soon(
        () ->
            assertThat(desk.texts("[aria-labelledby=shifted-title] tbody tr").toString())
                .contains("Off by its error, lower 166 115–135 −5, −7"));
    desk.click("a[aria-label='Prescribe Weight and general fitness of Ranges by goal']");
    desk.await(() -> desk.all("input[name=highPercent]").size() == 1);
    desk.await(() -> "60".equals(desk.one("input[name=highPercent]").getDomProperty("value")));
    desk.soon(
        () ->
            assertThat(desk.one("input[name=lowPercent]").getDomProperty("value")).isEqualTo("50"));
  }

  @Test
  void aSchoolIsChosenForAClientAndTakenBack() {
    desk.openClient("Ines", "bands");
    desk.sees("could sing a verse");
    desk.choose("Zone system", "Fifths of maximum");
    desk.await(() -> desk.texts("tbody").toString().contains("Third fifth 123–140"));
    desk.press("Use it for Ines");
    desk.sees("Back to the studio's, Voice ladder");
    desk.driver().navigate().refresh();
    desk.await(() -> desk.texts("tbody").toString().contains("Third fifth"));
    desk.press("Back to the studio's, Voice ladder");
    desk.await(() -> desk.texts("tbody").toString().contains("could sing a verse"));
    desk.click("h1");
    desk.keys("u");
    desk.await(() -> desk.texts("tbody").toString().contains("Third fifth"));
    desk.press("Back to the studio's, Voice ladder");
    desk.await(() -> desk.texts("tbody").toString().contains("could sing a verse"));
  }

  @Test
  void aSchemeIsMadeByKeyboardAndWhatIsWrongIsSaidInItsPlace() {
    desk.open("/studio");
    desk.sees("Sea wall");
    desk.tabTo("New zone system");
    desk.keys(Keys.ENTER);
    desk.await(() -> desk.focused().equals("Name"));
    desk.keys("Ship's stairs");
    desk.type("band-0-name", "Flat");
    desk.type("band-0-high", "120");
    desk.sees("120 is outside the accepted range. Accepted: 0 to 110 %.");
    desk.type("band-0-high", "45");
    desk.type("band-1-name", "Steep");
    // 60 at rest, 180 at most: 45 % is 114.
    desk.await(() -> desk.texts(".ruler .word").toString().contains("Steep"));
    desk.one(".ruler svg").sendKeys(Keys.chord(Keys.SHIFT, Keys.ARROW_LEFT));
    desk.await(() -> desk.texts(".reading .bpm").get(0).contains("114"));
    desk.type("band-1-name", "Flat");
    desk.sees("Stands twice.");
    desk.type("band-1-name", "");
    desk.one("input[name=band-1-name]").sendKeys(Keys.ENTER);
    desk.sees("Is empty. Accepted: 1 to 40 characters.");
    desk.soon(
        () ->
            assertThat(desk.one("input[name=name]").getDomProperty("value"))
                .isEqualTo("Ship's stairs"));
    desk.type("band-1-name", "Steep");
    desk.keys(Keys.ENTER);
    desk.sees("Ladder, % of reserve: Flat 0–45, Steep 45–100");
    desk.click("button[aria-label=\"Archive Ship's stairs\"]");
    desk.sees("Ship's stairs is archived.");
    desk.await(() -> !desk.texts(".schemes").toString().contains("Steep"));
  }

  @Test
  void aFileIsReadIntoTheEditorOrRefusedAtThePlaceOfItsFault(@TempDir Path folder)
      throws Exception {
    String sound =
        "{\"format\":\"korvel-scheme\",\"version\":1,\"name\":\"From the pier\",\"kind\":\"goals\","
            + "\"basis\":\"reserve\",\"bands\":[{\"name\":\"Row\",\"low\":40,\"high\":60},"
            + "{\"name\":\"Sail\",\"low\":50,\"high\":70}]}";
    Path good = Files.writeString(folder.resolve("good.json"), sound);
    Path bad = Files.writeString(folder.resolve("bad.json"), sound.replace("goals", "ladder"));
    Path hostile = Files.writeString(folder.resolve("hostile.json"), "[".repeat(50_000));
    Path endless = Files.writeString(folder.resolve("long.json"), " ".repeat(3_000_000));
    desk.open("/studio");
    desk.sees("Your own zone systems");
    desk.one("input[type=file]").sendKeys(bad.toString());
    desk.sees("bad.json was not imported; nothing was changed.");
    desk.sees("bands[1].low overlaps “Row”. Accepted: 60, or zones declared as goals.");
    desk.one("input[type=file]").sendKeys(hostile.toString());
    desk.sees("nested too deep, or a value too long");
    desk.one("input[type=file]").sendKeys(endless.toString());
    desk.sees("Accepted: a zone system file of up to 64 KiB.");
    desk.one("input[type=file]").sendKeys(good.toString());
    desk.sees("A new zone system");
    desk.await(() -> "Sail".equals(desk.one("input[name=band-1-name]").getDomProperty("value")));
    desk.await(() -> desk.texts(".ruler .word").toString().contains("Sail"));
  }

  @Test
  void theSecondOfTwoWhoChangeOneSchemeLosesNothing() {
    desk.open("/studio");
    desk.sees("Sea wall");
    desk.press("Sea wall");
    desk.await(() -> desk.all("input[name=band-0-name]").size() == 1);
    String path = desk.driver().getCurrentUrl().replaceAll("^https?://[^/]+", "");
    String first = desk.openBeside(path);
    desk.await(() -> desk.all("input[name=serves]").size() == 1);
    desk.type("serves", "Their words.");
    desk.press("Save");
    desk.sees("Your own zone systems");
    desk.driver().close();
    desk.driver().switchTo().window(first);
    desk.type("serves", "My words.");
    desk.press("Save");
    desk.sees("Somebody else changed this meanwhile");
    desk.soon(
        () ->
            assertThat(desk.one("input[name=serves]").getDomProperty("value"))
                .isEqualTo("My words."));
    desk.press("Overwrite with mine");
    desk.sees("Your own zone systems");
  }

  /** Moderate is 5 to 6 on a linear scale, wherever effort of 10 is said. */
  @Test
  void theStudiosScaleHoldsEverywhere() {
    desk.open("/studio");
    desk.press("Linear: moderate is 5–6");
    desk.sees("The studio setting is changed.");
    desk.openClient("Ines", "bands");
    desk.await(() -> desk.texts("tbody").toString().contains("12–13 5–6"));
    desk.soon(() -> assertThat(desk.texts(".reading").get(0)).contains("12–13 · 5–6"));
    desk.openClient("Ines", "prescription");
    desk.sees("5–6 (0–10)");
    desk.open("/calculators/bands?rest=64&max=176&scheme=voice-ladder&family=ratio");
    desk.await(() -> desk.texts("tbody").toString().contains("12–13 3–4"));
    desk.open("/studio");
    desk.press("Ratio: moderate is 3–4");
    desk.sees("The studio setting is changed.");
    desk.openClient("Ines", "bands");
    desk.await(() -> desk.texts("tbody").toString().contains("12–13 3–4"));
  }

  @Test
  void thresholdsAreEnteredAndTheirSchoolOpens() {
    desk.openClient("Ines", "bands?scheme=threshold-three");
    desk.sees("Measured thresholds needs more information");
    desk.click(".sheet > details > summary");
    desk.type("lower", "118");
    desk.type("upper", "90");
    desk.press("Save for walk or run");
    desk.sees("90 is not above the lower one of 118. Accepted: 119 to 240 bpm.");
    desk.type("upper", "149");
    desk.press("Save for walk or run");
    desk.await(() -> desk.texts("tbody").toString().contains("Talk in pieces 118–148"));
    desk.click("button[aria-label='Delete the thresholds 118 and 149']");
    desk.sees("Measured thresholds needs more information");
  }
}
