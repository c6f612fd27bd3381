package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.bench.Tapping;
import java.time.Duration;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/** A resting pulse counted, tapped and rested for; what is kept is withdrawn again. */
class PulseBenchTest {
  private static final int TAPS = 30;

  /** How long a key takes on the machine, whatever moment the page is told. */
  private static final Duration BRIEF = Duration.ofMillis(50);

  /**
   * A metronome: each press of space is told to have come so long after the last one, however long
   * the machine took over it. How exact a real hand is heard is for the benchmark.
   */
  private static final String METRONOME =
      """
      window.addEventListener('keydown', (event) => {
        if (event.key !== ' ' || !window.apart) return
        window.heard = (window.heard ?? event.timeStamp) + window.apart
        Object.defineProperty(event, 'timeStamp', { value: window.heard })
      }, true)
      """;

  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  @AfterEach
  void leave() {
    desk.driver().executeScript("sessionStorage.clear()");
  }

  private void tap(int times, double apart) {
    desk.driver().executeScript("window.apart = arguments[0]", apart);
    Tapping.space(desk.driver(), times, BRIEF);
  }

  private String pad() {
    return desk.one(".pad").getText();
  }

  @ParameterizedTest
  @ValueSource(ints = {72, 120, 190})
  void aPulseTappedOnSpaceIsRight(int bpm) {
    desk.open("/calculators/pulse?by=tap");
    desk.sees("Tap once a beat");
    desk.driver().executeScript(METRONOME);
    tap(TAPS, 60_000.0 / bpm);
    desk.await(() -> pad().contains(TAPS + " taps") ? true : null);
    desk.soon(() -> assertThat(pad().split("\n")[0]).isEqualTo(String.valueOf(bpm)));
    assertThat(desk.reads("Uneven")).isFalse();
    // The strip follows the answer of the server, which may be on its way.
    desk.await(() -> desk.all(".kept rect").size() == 28);
  }

  @Test
  void tappedByClickKeptAndTakenBack() {
    desk.openClient("Yara", "pulse");
    desk.press("Tapped");
    desk.sees("Tap once a beat");
    Actions clicks = new Actions(desk.driver());
    for (int i = 0; i < 10; i++) {
      clicks.click(desk.one(".pad")).pause(Duration.ofMillis(720));
    }
    clicks.perform();
    desk.await(() -> pad().contains("10 taps") ? true : null);
    desk.sees("Graded poor: tapped for");
    int bpm = Integer.parseInt(desk.one(".bpm b").getText());
    assertThat(bpm).isBetween(60, 84);
    desk.one(".pad").sendKeys(Keys.ENTER);
    desk.sees(bpm + " bpm is saved.");
    desk.await(() -> desk.texts(".kinds").toString().contains("Seated, tapped · 1"));
    desk.click("h1");
    desk.keys("u");
    desk.await(() -> desk.texts(".kinds").toString().contains("tapped") ? null : true);
  }

  @Test
  void bouncesAndPausesAreShownAndAnUnevenPulseAsksForAFullMinute() {
    desk.openClient("Yara", "pulse");
    desk.press("Tapped");
    desk.sees("Tap once a beat");
    desk.driver().executeScript(METRONOME);
    tap(4, 400);
    tap(2, 120);
    tap(3, 800);
    tap(3, 400);
    tap(3, 800);
    desk.sees("Uneven: count a full minute.");
    desk.sees("under 200 ms: a bounce of the key, and dropped.");
    desk.soon(() -> assertThat(desk.all(".uneven rect").size()).isGreaterThanOrEqualTo(3));
    desk.soon(() -> assertThat(desk.all(".bounce rect")).isNotEmpty());
    desk.press("Count a full minute");
    desk.letCount(60);
    desk.await(() -> desk.focused().equals("Beats in 60 s"));
    desk.keys("66");
    desk.sees("66 is usual for rest.");
    // What the taps suggested is noted only when the instructor felt it too.
    assertThat(desk.reads("Irregular. If that is new")).isFalse();
    desk.press("Uneven");
    desk.sees("Irregular. If that is new for this client, no session, and a medical review.");
    desk.sees("Graded good: standard protocol.");
  }

  @Test
  void aRestIsKeptOverAReloadAndGradesTheCount() {
    desk.openClient("Ines", "pulse");
    desk.click("button[aria-label^='Rest 5']");
    desk.sees("Resting protocol");
    desk.letPass(Duration.ofSeconds(130));
    desk.sees("2:50");
    desk.sees("Count now, after 2 min");
    desk.driver().navigate().refresh();
    desk.sees("2:50");
    desk.letPass(Duration.ofSeconds(170));
    desk.sees("rested: find the pulse");
    desk.press("Caffeine");
    desk.press("Start the count");
    desk.letCount(60);
    desk.await(() -> desk.focused().equals("Beats in 60 s"));
    desk.soon(
        () ->
            assertThat(desk.one("input[name=minutesRested]").getDomProperty("value"))
                .isEqualTo("5"));
    desk.keys("65");
    desk.sees("Graded fair: caffeine.");
    desk.press("Caffeine");
    desk.sees("Graded good: standard protocol.");
  }

  @Test
  void cutShortItSaysWhatIsMissing() {
    desk.openClient("Ines", "pulse");
    desk.click("button[aria-label^='Rest 10']");
    desk.sees("10:00");
    desk.letPass(Duration.ofMinutes(3));
    desk.press("Count now, after 3 min");
    desk.letCount(60);
    desk.await(() -> desk.focused().equals("Beats in 60 s"));
    desk.keys("65");
    desk.sees("Graded fair: rested 3 min, not the 5 it takes to settle.");
  }

  @Test
  void eachWayHasItsHelpAndATouchyNeckIsNotOffered() {
    desk.openClient("Osei", "pulse");
    desk.sees("Do not use the neck with this client.");
    desk.sees("Never with your thumb");
    desk.sees("Let the hand hang.");
    desk.soon(
        () -> assertThat(desk.texts(".circumstances button")).contains("Wrist", "Stethoscope"));
    assertThat(desk.texts(".circumstances button")).doesNotContain("Neck");
    desk.press("Strap");
    desk.sees("Wet the two ribbed patches.");
    assertThat(desk.reads("Let the hand hang.")).isFalse();
    desk.openClient("Ines", "pulse");
    desk.press("Neck");
    desk.sees("One side only, and never hard");
  }

  @Test
  void sourcesAreMixedOnlyWhenAsked() {
    desk.openClient("Hyun-woo", "pulse");
    desk.sees("Resting record");
    desk.soon(
        () ->
            assertThat(desk.texts(".kinds button"))
                .contains("Lying, overnight · 13", "All, mixed"));
    assertThat(desk.texts("tbody").toString()).doesNotContain("overnight");
    desk.press("Lying, overnight · 13");
    desk.await(() -> desk.texts("tbody td.rate").get(0).startsWith("5"));
    desk.press("All, mixed");
    desk.sees("Postures and sources differ");
    desk.await(() -> desk.texts("tbody").toString().contains("Lying, overnight"));
    desk.sees("Due again on");
    desk.sees("Common in the well trained");
  }

  @Test
  void whatIsNoRestingPulseIsRefusedAndNothingIsLost() {
    desk.openClient("Ines", "pulse");
    desk.press("Wrist");
    // “Wrist” names a source here, and the field takes a rate.
    desk.type("beats", "160");
    desk.sees("Accepted: a whole number from 25 to 150 bpm.");
    desk.soon(
        () -> assertThat(desk.one("input[name=beats]").getDomProperty("value")).isEqualTo("160"));
    assertThat(desk.driver().findElements(By.cssSelector(".bpm"))).isEmpty();
  }
}
