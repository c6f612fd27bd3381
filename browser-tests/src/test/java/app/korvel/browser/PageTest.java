package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/** What every page does: days, undo, focus, titles, what was typed, and the system's colours. */
class PageTest {
  private Desk desk;

  @BeforeEach
  void start() {
    desk = Desk.get();
  }

  @AfterEach
  void asUsual() {
    desk.driver().executeCdpCommand("Emulation.setTimezoneOverride", Map.of("timezoneId", ""));
    media("none");
  }

  private void zone(String id) {
    desk.driver().executeCdpCommand("Emulation.setTimezoneOverride", Map.of("timezoneId", id));
  }

  private void media(String forcedColors) {
    desk.driver()
        .executeCdpCommand(
            "Emulation.setEmulatedMedia",
            Map.of("features", List.of(Map.of("name", "forced-colors", "value", forcedColors))));
  }

  /** The days on a page are the studio's, wherever the browser believes it is. */
  @Test
  void daysAreTheSameInEveryZone() {
    for (String page : new String[] {"screening", "prescription", "pulse"}) {
      zone("UTC");
      desk.openClient("Tindra", page);
      desk.await(() -> desk.texts("main").get(0).matches("(?s).*\\d{1,2} [A-Z][a-z]{2}.*"));
      desk.await(() -> desk.all("[role=status].quiet").isEmpty());
      String here = desk.settled("main");
      for (String other : new String[] {"America/New_York", "Pacific/Kiritimati"}) {
        zone(other);
        desk.openClient("Tindra", page);
        desk.await(() -> desk.texts("main").get(0).equals(here));
      }
    }
  }

  /** A page that stays open over midnight is of the new day. */
  @Test
  void todayMovesOnOnAnOpenPage(@TempDir Path folder) throws Exception {
    try (ClockedDemo demo = new ClockedDemo(folder)) {
      demo.open("/today");
      DateTimeFormatter words = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.UK);
      LocalDate today = LocalDate.now();
      desk.sees(today.format(words));
      demo.pass(16 * 60, 0);
      desk.sees(today.plusDays(1).format(words));
    }
  }

  @Test
  void theTitleNamesTheClient() {
    desk.openClient("Ines", "pulse");
    desk.await(() -> desk.driver().getTitle().equals("Pulse · Ines Okafor-Lund · Korvel"));
    desk.click(".path a:nth-child(3)");
    desk.await(() -> desk.driver().getTitle().equals("Maximum · Ines Okafor-Lund · Korvel"));
    desk.open("/today");
    desk.await(() -> desk.driver().getTitle().equals("Today · Korvel"));
    desk.openClient("Ines", "card/1");
    desk.await(() -> desk.driver().getTitle().equals("Card · Ines Okafor-Lund · Korvel"));
  }

  private void key(String key) {
    desk.one("h1, h2");
    desk.driver().executeScript("document.activeElement?.blur()");
    desk.keys(key);
  }

  /** It goes back to the page it belongs to, does it there, and says what it did. */
  @Test
  void undoBelongsToItsPageAndSaysWhatItDid() {
    desk.openClient("Marguerite", "bands");
    desk.sees("what each zone is");
    key("u");
    desk.sees("There is nothing left to undo.");
    desk.click(".school");
    desk.press("Fifths of maximum");
    desk.press("Use it for Marguerite");
    desk.sees("Marguerite's zones are shown as Fifths of maximum.");
    desk.press("Today\n1");
    desk.sees("Count them together");
    key("u");
    desk.await(() -> desk.driver().getCurrentUrl().endsWith("/bands"));
    desk.sees("Undone: Marguerite's zones are shown as Fifths of maximum.");
    desk.sees("could sing a verse");
    key("u");
    desk.sees("There is nothing left to undo.");
  }

  /** What was typed is there again after a reload, and leaving it is asked about. */
  @Test
  void whatWasTypedSurvivesAReloadAndIsWarnedOf() {
    desk.openClient("Amaru", "details");
    desk.type("note", "half a sentence");
    desk.driver().navigate().refresh();
    desk.await(
        () -> desk.one("input[name=note]").getDomProperty("value").equals("half a sentence"));
    desk.click(".path a");
    assertThat(desk.await(() -> desk.driver().switchTo().alert()).getText())
        .contains("not saved yet");
    desk.driver().switchTo().alert().dismiss();
    desk.soon(() -> assertThat(desk.driver().getCurrentUrl()).endsWith("/details"));
    desk.click(".path a");
    desk.await(() -> desk.driver().switchTo().alert()).accept();
    desk.sees("May they exercise");
    desk.openClient("Amaru", "details");
    assertThat(desk.one("input[name=note]").getDomProperty("value")).doesNotContain("sentence");
  }

  /** After a save the focus is where it was; where that is gone, on what it stood in. */
  @Test
  void theFocusStaysOnThePage() {
    desk.openClient("Keola", "prescription");
    desk.sees("moderate-equivalent min");
    desk.one("input[name=minutes]").sendKeys(Keys.ENTER);
    desk.sees("is saved");
    desk.await(() -> !desk.driver().switchTo().activeElement().getTagName().equals("body"));
    long before = scrolled();
    desk.pressable("Open the card");
    assertThat(scrolled()).isEqualTo(before);
    // A row that is taken away leaves the focus in its form.
    desk.openClient("Keola", "screening");
    desk.click("[aria-label='Change: Written limits']");
    desk.press("Add a written limit");
    desk.one("[aria-label='Delete this limit']").sendKeys(Keys.ENTER);
    desk.await(
        () ->
            desk.driver()
                    .switchTo()
                    .activeElement()
                    .findElements(By.xpath("ancestor-or-self::form"))
                    .size()
                == 1);
  }

  private long scrolled() {
    return (long) desk.driver().executeScript("return Math.round(scrollY)");
  }

  /** A double press is one: one reading more. */
  @Test
  void aDoublePressHasOneEffect() {
    desk.openClient("Lupe", "pulse");
    desk.sees("Working resting value");
    int before = readings();
    desk.type("beats", "33");
    desk.sees("Graded");
    new Actions(desk.driver()).doubleClick(desk.pressable("Save")).perform();
    desk.sees("66 bpm is saved.");
    desk.await(() -> readings() == before + 1);
    desk.driver().navigate().refresh();
    desk.sees("Working resting value");
    desk.await(() -> readings() == before + 1);
  }

  private int readings() {
    return ((Number)
            desk.driver()
                .executeAsyncScript(
                    """
                    const done = arguments[0]
                    const id = location.pathname.split('/')[2]
                    fetch(`/api/clients/${id}/readings`).then((answer) => answer.json())
                      .then((record) => done(record.readings.length))
                    """))
        .intValue();
  }

  /** Where the system sets the colours, what is chosen and the strokes of a level stay seen. */
  @Test
  void theSystemsColoursKeepWhatIsChosenAndDrawn() {
    media("active");
    desk.openClient("Ines", "prescription");
    desk.sees("moderate-equivalent min");
    String baseline = colour("body", "backgroundColor");
    assertThat(colour("nav .here", "backgroundColor")).isNotEqualTo(baseline);
    assertThat(colour(".path .here", "backgroundColor")).isNotEqualTo(baseline);
    assertThat(colour(".feel [style*=background]", "backgroundColor")).isNotEqualTo(baseline);
    assertThat(colour(".choice [aria-checked=true]", "backgroundColor")).isNotEqualTo(baseline);
  }

  private String colour(String css, String of) {
    return (String)
        desk.driver()
            .executeScript(
                "return getComputedStyle(document.querySelector(arguments[0]))[arguments[1]]",
                css,
                of);
  }

  /** Ticking all of a list that is searched ticks what is shown. */
  @Test
  void tickAllTicksWhatIsShown() {
    desk.open("/floor");
    desk.sees("Who is here");
    desk.press("Untick all");
    desk.sees("Nobody is ticked");
    desk.type("search", "brand");
    desk.await(() -> desk.all(".picker li").size() == 2);
    desk.press("Tick these 2");
    desk.type("search", "");
    desk.await(() -> desk.all(".picker [aria-checked=true]").size() == 2);
    desk.sees("Begin with 2 people");
  }

  /** A session picked in the calendar is brought into view, and closing it goes back. */
  @Test
  void aSessionOfTheCalendarIsBroughtIntoView() {
    desk.open("/calendar?view=month");
    desk.click("button.session");
    desk.sees("To the sessions");
    assertThat(
            (Boolean)
                desk.driver()
                    .executeScript(
                        """
                        const card = document.activeElement
                        const box = card.getBoundingClientRect()
                        return card.tagName === 'SECTION' && box.top >= 0
                          && box.bottom <= innerHeight + 1
                        """))
        .isTrue();
    desk.press("Close");
    desk.await(
        () ->
            desk.driver().switchTo().activeElement().getDomAttribute("class").contains("session"));
  }

  @Test
  void consentIsPutOnRecordFromWhereItIsMissed() {
    desk.openClient("Noor", "prescription");
    desk.press("Record the consent");
    desk.await(() -> desk.focused().equals("Who agrees"));
    desk.keys("Leyla Dalen-Aziz, mother", Keys.ENTER);
    desk.sees("The consent of Leyla Dalen-Aziz, mother is saved.");
    desk.await(() -> desk.one(".path a").getText().contains("light to moderate"));
    desk.press("Undo");
    desk.sees("Undone: The consent of Leyla");
    desk.await(() -> desk.one(".path a").getText().contains("consent missing"));
    desk.sees("Nobody under 18 starts without it.");
  }

  /** No class is kept from another name, and a name that is not known asks for it. */
  @Test
  void aMedicinesClassFollowsItsName() {
    desk.openClient("Yara", "screening");
    desk.click("[aria-label='Change: Medications']");
    desk.press("Add a medication");
    desk.await(() -> desk.focused().equals("Generic name"));
    desk.keys("bisoprolol");
    desk.sees("Holds resting and maximum rate down.");
    desk.keys("x");
    desk.sees("Name not known: choose the class");
    desk.keys(Keys.ENTER);
    desk.await(
        () ->
            desk.all("[role=alert]").stream()
                .anyMatch(each -> each.getText().equals("Name not known: choose the class.")));
    desk.press("Cancel");
    desk.soon(() -> assertThat(desk.texts("li p")).contains("None"));
    // A row nothing was entered in is none.
    desk.click("[aria-label='Change: Medications']");
    desk.press("Add a medication");
    desk.await(() -> desk.focused().equals("Generic name"));
    desk.keys(Keys.ENTER);
    desk.await(() -> desk.all("form [name=medicine-0]").isEmpty());
    desk.soon(() -> assertThat(desk.texts("li p")).contains("None"));
  }

  /** A racing pulse before they have sat: sit, count again; another posture decides nothing. */
  @Test
  void aRacingPulseIsCountedAgain() {
    desk.openClient("Lupe", "check-in");
    desk.type("pulse", "130");
    desk.press("Measured differently?");
    desk.click("input[name=settled]");
    desk.sees("Count again");
    desk.sees("Sit for 5 min, then count again for 60 s.");
    desk.press("Count again first");
    desk.await(() -> desk.focused().equals("Counted again, for 60 s"));
    desk.keys("130");
    desk.sees("Not today");
    desk.press("Lying");
    desk.sees("Count it seated");
    assertThat(desk.reads("Go\n")).isFalse();
  }
}
