package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What the screens decide for different people, as an instructor reads it. */
class JudgementTest {
  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  @Test
  void aReadingOffADeviceIsJudgedToo() {
    desk.openClient("Hyun-woo", "pulse");
    desk.press("Strap");
    desk.sees("Or read the rate off a device");
    desk.sees("Beats per minute");
    desk.type("beats", "52");
    desk.sees("52 is low, and common in someone who trains.");
    desk.sees("Graded good: standard protocol.");
    desk.type("minutesRested", "2");
    desk.sees("Graded fair: rested 2 min, not the 5 it takes to settle.");
    desk.press("Caffeine");
    desk.sees("Graded poor");
    desk.type("beats", "20");
    desk.sees("20 is outside the accepted range. Accepted: a whole number from 25 to 150 bpm.");
    desk.type("minutesRested", "x");
    desk.sees("Accepted: a whole number from 0 to 60 minutes.");
    desk.openClient("Hyun-woo", "pulse");
    desk.soon(() -> assertThat(desk.one(".working").getText()).startsWith("56"));
  }

  @Test
  void aHighRestingPulseIsSaidOnThePathAndWhereItIsPrescribed() {
    desk.openClient("Ewan", "prescription");
    desk.sees("104 is over the usual range. Settled and seated, ask a doctor before training.");
    desk.soon(
        () ->
            assertThat(desk.one(".path a[href$='/pulse']").getText())
                .contains("104, ask a doctor"));
  }

  @Test
  void bothSchoolsOfStartingAreOfferedToTheNew() {
    desk.openClient("Bram", "prescription");
    desk.sees("Everyday activity · 30–40 %");
    desk.click("input[value=general-fitness]");
    desk.sees("The cautious start: 30–40 % for up to 12 weeks, then moderate.");
    desk.soon(
        () ->
            assertThat(desk.one("input[name=highPercent]").getDomProperty("value"))
                .isEqualTo("40"));
    desk.click("input[value=guideline]");
    desk.sees("The guideline start: 40–50 % at once.");
    desk.soon(
        () ->
            assertThat(desk.one("input[name=highPercent]").getDomProperty("value"))
                .isEqualTo("50"));
    desk.sees("Use the talk test first: new to exercise.");
    desk.sees("The resting pulse is due again.");
  }

  @Test
  void theTrainedAreNotHeldUnderSixtyAndIntervalsHaveTheirOwnRules() {
    desk.openClient("Tomasz", "prescription");
    desk.sees("Start at 65–80 % of reserve, 40 min, 4 days a week.");
    desk.click("input[value=general-fitness]");
    desk.sees("Limited to the goal's own 50–70 %.");
    desk.click("input[value=competition]");
    desk.sees("Start at 65–80 % of reserve, 40 min, 4 days a week.");
    assertThat(desk.reads("not allowed yet")).isFalse();
    desk.type("highPercent", "85");
    desk.sees("Too hard for “Steady”. Accepted: up to 80 % of reserve, or another type.");
    desk.click("[aria-label=Type]");
    desk.press("Intervals");
    desk.sees("Above 80 %: 1 to 2 minutes at a time, with easy time between.");
    desk.sees("1 min at the target, 2 min easy, again and again.");
    desk.type("highPercent", "95");
    desk.sees("95 is outside the accepted range. Accepted: 20 to 90 % of reserve.");
  }

  @Test
  void anotherModeHasAMaximumOfItsOwn() {
    desk.openClient("Ines", "prescription");
    desk.sees("maximum about 176");
    desk.click("[aria-label='Activity']");
    desk.press("Cycle");
    desk.sees("maximum about 166");
    desk.openClient("Ines", "maximum");
    desk.click("[aria-label=Mode]");
    desk.press("Cycle");
    desk.sees("Estimates for this mode come from running less 10, and are less sure.");
    desk.soon(() -> assertThat(desk.one("li.chosen").getText()).contains("166", "± 12.8"));
  }

  @Test
  void goalsAreThoseThatAreOpenToTheClient() {
    desk.openClient("Lupe", "prescription");
    desk.sees("Everyday activity");
    desk.soon(
        () ->
            assertThat(desk.texts(".goals b"))
                .containsExactly("Everyday activity", "Weight and general fitness"));
    desk.openClient("Yara", "prescription");
    desk.sees("Everyday activity");
    desk.soon(() -> assertThat(desk.texts(".goals b")).hasSize(4));
  }

  @Test
  void onABetaBlockerOnlyItsOwnEquationsApply() {
    desk.openClient("Marguerite", "maximum");
    desk.sees("208 − 0.7 × age − 30 is the default, and a rough one.");
    desk.soon(
        () ->
            assertThat(desk.texts("section[aria-label='Every equation'] li:not(.off)")).hasSize(1));
    desk.sees("Not on a beta-blocker: it holds the maximum below what age explains.");
    desk.openClient("Marguerite", "prescription");
    desk.sees("Use RPE and talk first; the rate comes second.");
    desk.sees("Warm up 10 min, cool down 10 min.");
  }

  @Test
  void theSeventyFourYearOldIsAskedAboutFallsAndBalance() {
    desk.openClient("Agnethe", "prescription");
    desk.sees("65 and over: RPE alongside every number, and balance work every week.");
  }

  @Test
  void tickingAHeartConditionSuspendsWhatWasIssued() {
    desk.openClient("Sefa", "prescription");
    desk.sees("Saved versions");
    desk.await(() -> desk.texts(".versions a").contains("Card"));
    conditionOfSefa();
    desk.sees("Moderate work may continue; vigorous needs clearance within the last 12 months.");
    desk.click(".path a[href$='/prescription']");
    desk.sees("Suspended: it goes up to 75 % of reserve, and vigorous work is not allowed now.");
    assertThat(desk.texts(".versions a")).isEmpty();
    conditionOfSefa();
    desk.sees("No clearance needed: moderate or vigorous work may continue.");
  }

  private void conditionOfSefa() {
    desk.openClient("Sefa", "screening");
    desk.click("[aria-label='Change: Known conditions']");
    desk.click("input[name=heart-condition]");
    desk.click(".open button[type=submit]");
    desk.await(() -> desk.all(".intake .open").isEmpty());
  }

  @Test
  void methodsAreFoundByTyping() {
    desk.open("/methods");
    desk.sees("Equations for the maximum");
    desk.one("input[type=search]").sendKeys("gulati women");
    desk.await(() -> desk.all("section li").size() == 1);
    desk.soon(
        () ->
            assertThat(desk.one("section li").getText())
                .contains("206 − 0.88 × age", "Circulation 2010"));
    desk.one("input[type=search]").sendKeys("zzz");
    desk.sees("Nothing contains");
  }
}
