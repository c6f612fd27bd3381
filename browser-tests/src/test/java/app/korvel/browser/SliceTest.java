package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** What an instructor does, from finding a client to the card in the client's hand. */
class SliceTest {
  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  private void birthDate(int age) {
    WebElement field = desk.one("input[name=birthDate]");
    field.sendKeys(
        LocalDate.now()
            .minusYears(age)
            .minusDays(9)
            .format(DateTimeFormatter.ofPattern("MMddyyyy")));
  }

  @Test
  void aClientIsFoundByTyping() {
    desk.open("/methods");
    desk.sees("Everything Korvel calculates");
    desk.one("h1");
    desk.keys("/");
    desk.sees("Agnethe Moravik");
    desk.keys("OKAFOR");
    desk.await(() -> desk.all("a.name").size() == 1);
    desk.soon(() -> assertThat(desk.one("a.name").getText()).isEqualTo("Ines Okafor-Lund"));
    desk.keys(Keys.ENTER);
    desk.sees("what each zone is");
    desk.soon(() -> assertThat(desk.one("h1").getText()).isEqualTo("Ines Okafor-Lund"));
  }

  @Test
  void nobodyFoundIsSaidWithAWayBack() {
    desk.open("/clients");
    desk.sees("Agnethe Moravik");
    desk.one("[data-find]").sendKeys("zzz");
    desk.sees("No name contains “zzz”");
    desk.click("p[role=status] button");
    desk.sees("Agnethe Moravik");
  }

  @Test
  void fromANewClientToTheCard() {
    // Errors stand at the field, and what was typed is saved.
    desk.open("/clients/new");
    desk.type("note", "pier crew");
    desk.press("Add and start the screening");
    desk.sees("Is missing");
    birthDate(3);
    desk.type("name", "Maren Test");
    desk.press("Add and start the screening");
    desk.sees("Makes an age of 3. Accepted: an age of 6 to 110 years.");
    desk.soon(
        () ->
            assertThat(desk.one("input[name=note]").getDomProperty("value"))
                .isEqualTo("pier crew"));
    birthDate(46);
    desk.press("Add and start the screening");

    // The screening, question by question.
    desk.sees("How active are they now?");
    desk.sees("Finish the screening first. Not asked yet: activity level;");
    desk.press("Some");
    desk.sees("90 min a week or more, but not regular");
    desk.press("Save and next");
    for (String question :
        new String[] {
          "Any of these, at rest or with effort?",
          "Are any of these known?",
          "Which medications do they take?",
          "Pregnancy, falls, joints",
          "Has a clinician written a limit?",
        }) {
      desk.await(() -> desk.texts(".open h2").contains(question));
      desk.press("None: next");
    }
    desk.await(() -> desk.texts(".open h2").contains("Goal, days and equipment"));
    desk.sees("No clearance needed: start light to moderate and progress gradually.");
    desk.click(".path a[href$='/pulse']");

    // Count with the clock on screen.
    desk.sees("Take a resting pulse");
    desk.sees("None yet.");
    desk.press("15 s");
    desk.press("Start");
    desk.sees("get ready");
    desk.letPass(Duration.ofSeconds(3));
    desk.sees("count the beats");
    desk.letPass(Duration.ofMillis(14_900));
    desk.soon(() -> assertThat(desk.one(".face").getText()).startsWith("1\n"));
    desk.letPass(Duration.ofMillis(100));
    desk.sees("time: enter the beats");
    desk.await(() -> desk.focused().equals("Beats in 15 s"));
    desk.keys("0");
    desk.sees("0 beats in 15 s are no pulse. Accepted: 5 to 60 whole beats in 15 s");
    desk.keys(Keys.BACK_SPACE, "x");
    desk.sees("Accepted: a whole number");
    desk.soon(
        () -> assertThat(desk.one("input[name=beats]").getDomProperty("value")).isEqualTo("x"));
    desk.keys(Keys.BACK_SPACE, "16");
    desk.sees("64 is usual for rest.");
    desk.soon(
        () ->
            assertThat(desk.one(".result .bpm").getText().replace('\n', ' '))
                .isEqualTo("64 bpm ± 4"));
    desk.sees("Graded fair: counted for 15 s, under 30.");
    desk.keys(Keys.ENTER);
    desk.sees("64 bpm is saved.");
    desk.sees("64 bpm, the latest reading; no good one is available.");

    // The maximum by every equation.
    desk.click(".path a[href$='/maximum']");
    desk.sees("208 − 0.7 × age is the default.");
    desk.soon(
        () ->
            assertThat(desk.one("li.chosen").getText()).contains("208 − 0.7 × age", "176", "± 10"));
    desk.soon(() -> assertThat(desk.all("section[aria-label='Every equation'] li")).hasSize(9));
    desk.sees("Tanaka, Monahan & Seals, J Am Coll Cardiol 2001");
    desk.sees("Only for people who take a beta-blocker.");

    // The ruler, read by arrow keys.
    desk.click(".path a[href$='/bands']");
    desk.sees("From 64 at rest to about 176");
    WebElement ruler = desk.one("[role=slider]");
    ruler.sendKeys(Keys.HOME);
    desk.await(() -> ruler.getDomAttribute("aria-valuenow").equals("64"));
    ruler.sendKeys(Keys.PAGE_UP, Keys.PAGE_UP, Keys.PAGE_UP, Keys.PAGE_UP, Keys.ARROW_RIGHT);
    ruler.sendKeys(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
    desk.await(() -> ruler.getDomAttribute("aria-valuenow").equals("109"));
    desk.soon(
        () ->
            assertThat(desk.one(".reading").getText().replace('\n', ' '))
                .contains("109", "40.2 %", "61.9 %", "18 · 27", "12–13 · 3–4", "whole sentences"));
    desk.soon(
        () ->
            assertThat(ruler.getDomAttribute("aria-valuetext"))
                .startsWith("109 beats per minute, 40.2 percent of reserve"));
    desk.soon(
        () ->
            assertThat(desk.one("tr.at").getText()).contains("Talk", "109–130", "18–22", "27–33"));

    // The prescription: a goal, a change that breaks a rule, mended, saved.
    desk.press("Prescribe");
    desk.sees("target 114–131");
    desk.type("lowPercent", "40");
    desk.sees("target 109–131");
    desk.type("highPercent", "75");
    desk.sees("Vigorous work is not allowed for this client.");
    desk.sees("Correct the highlighted field first.");
    desk.soon(
        () ->
            assertThat(desk.one("input[name=highPercent]").getDomProperty("value"))
                .isEqualTo("75"));
    desk.type("highPercent", "60");
    desk.await(() -> desk.reads("Correct the highlighted field first.") ? null : true);
    desk.soon(
        () -> assertThat(desk.one(".figures").getText()).contains("90 moderate-equivalent min"));
    desk.press("5");
    desk.await(
        () -> desk.one(".figures").getText().contains("150 moderate-equivalent") ? true : null);
    desk.sees("150 moderate-equivalent minutes a week: within the guideline.");
    desk.press("Save as version 1");
    desk.sees("Version 1 is saved.");

    // The card.
    desk.press("Open the card");
    assertThat(desk.sheetSays("Stop at once"))
        .contains("Maren Test", "109–131", "18–22", "27–33", "5 days a week", "30 min")
        .contains("Talk: whole sentences, no singing")
        .contains("pain or pressure in chest, jaw or arm")
        .contains("Not medical advice");
  }

  @Test
  void withoutAClearanceItStaysADraftAndSaysWhy() {
    desk.openClient("Pilar", "prescription");
    desk.sees("A doctor's clearance comes first; then light to moderate.");
    desk.press("Save as a draft");
    desk.sees("is saved as a draft.");
    assertThat(desk.all("a[href*='/card/']")).isEmpty();
    String id = desk.driver().getCurrentUrl().replaceAll(".*/clients/([^/]+)/.*", "$1");
    desk.open("/clients/" + id + "/card/1");
    desk.sees("No card today");
    desk.sees("A doctor's clearance comes first; then light to moderate.");
    assertThat(desk.all("iframe")).isEmpty();
  }

  @Test
  void withHeartFailureNoRateIsShown() {
    desk.openClient("Pilar", "bands");
    desk.sees("The numbers come from the cardiac team.");
    desk.press("Prescribe by RPE and talk");
    desk.sees("by RPE and talk");
    assertThat(desk.all("[role=slider]")).isEmpty();
    assertThat(desk.reads("beats in 10")).isFalse();
  }

  @Test
  void everyJudgementSaysWhyWithItsSource() {
    desk.openClient("Ines", "maximum");
    desk.sees("208 − 0.7 × age is the default.");
    desk.click(".findings summary");
    desk.sees("Derived from many studies of healthy adults");
    desk.click(".findings details[open] a");
    desk.await(() -> desk.driver().getCurrentUrl().endsWith("/methods#default-healthy"));
    desk.await(() -> desk.one("li.here").isDisplayed());
  }

  @Test
  void theFirstDayHasANextStep() {
    desk.openEmpty("/");
    desk.sees("No clients yet.");
    desk.press("Add the first client");
    desk.sees("New client");
  }

  @Test
  void addressesThatLeadNowhereSaySo() {
    desk.open("/nowhere");
    desk.sees("There is nothing at this address");
    desk.open("/clients/00000000-0000-7000-8000-000000000000/bands");
    desk.sees("No client has the id");
    desk.press("All clients");
    desk.sees("Agnethe Moravik");
  }
}
