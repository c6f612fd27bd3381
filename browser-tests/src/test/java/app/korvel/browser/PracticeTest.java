package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Counting learnt: a pulse is played, counted, and told. */
class PracticeTest {
  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
    desk.open("/practice");
    desk.sees("Your tries");
  }

  /** Plays a pulse to its end, a frame at a time, and returns how often it throbbed. */
  private int played(int seconds) {
    desk.sees("get ready");
    desk.driver()
        .executeScript(
            "for (let i = 0; i < arguments[0]; i++) window.korvelClock.advance(20)",
            (3 + seconds) * 50);
    desk.sees("Tell me");
    return Integer.parseInt(desk.one(".artery").getDomAttribute("data-throbs"));
  }

  @Test
  void aFaultlessCountIsToldToBeOneAndTheWindowsShareIsNamed() {
    desk.press("30 s");
    int before = desk.all("figure circle").size();
    desk.press("Play a pulse");
    int beats = played(30);
    assertThat(beats).isBetween(44, 68);
    desk.await(() -> desk.focused().equals("Beats in 30 s"));
    desk.keys("" + beats, Keys.ENTER);
    desk.sees("Every beat counted: " + beats + " in 30 s.");
    desk.sees("The window alone explains");
    desk.soon(
        () ->
            assertThat(desk.one(".told").getText()).contains("You\n" + beats * 2, "You, alone\n0"));
    desk.await(() -> desk.all("figure circle").size() == before + 1);
    // Enter goes on to the next pulse.
    desk.await(() -> desk.focused().equals("Next pulse"));
    desk.keys(Keys.ENTER);
    desk.sees("get ready");
    desk.press("Stop");
    desk.sees("Play a pulse");
  }

  @Test
  void aMiscountIsToldAndALevelAsksForTheRhythm() {
    desk.click(".levels li:nth-child(5) button");
    desk.sees("5 Even or uneven?");
    desk.press("10 s");
    desk.press("Play a pulse");
    int beats = played(10);
    desk.keys("x", Keys.ENTER);
    desk.sees("Accepted: a whole number");
    desk.keys(Keys.BACK_SPACE, "" + (beats - 3), Keys.ENTER);
    desk.sees("Is asked at this level. Accepted: steady or uneven.");
    desk.press("Uneven");
    desk.press("Tell me");
    desk.sees("3 beats too few.");
    assertThat(
            desk.reads("You identified the rhythm correctly: uneven.")
                || desk.reads("The rhythm was steady."))
        .isTrue();
    desk.soon(() -> assertThat(desk.one(".told").getText()).contains("You, alone\n−18"));
  }

  @Test
  void eitherSoundOrThrobMayBeOffButNotBoth() {
    desk.press("Throb on");
    desk.sees("by ear alone");
    desk.press("Sound on");
    desk.sees("Sound and throb are both off: turn one on.");
    assertThat(desk.pressable("Play a pulse").isEnabled()).isFalse();
    desk.press("Throb off");
    desk.press("Sound off");
    desk.press("6 s");
    desk.press("Play a pulse");
    desk.sees("get ready");
    desk.letPass(Duration.ofSeconds(1));
    desk.press("Stop");
    desk.sees("Play a pulse");
  }
}
