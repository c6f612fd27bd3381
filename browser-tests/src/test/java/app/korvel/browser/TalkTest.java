package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Zones that become a client's own by their talk, over weeks of a clock that is set. */
class TalkTest {
  private static final int DAY = 24 * 60;

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

  /** A check by a counted pulse. */
  private void say(int voice, int beats) {
    demo.pass(10, 0);
    desk.answered();
    desk.await(
        () -> {
          boolean open =
              desk.all("input[name=reading]").stream().anyMatch(field -> field.isDisplayed());
          if (!open) {
            desk.click("#talk-check summary");
          }
          return open;
        });
    desk.click(
        "#talk-check [aria-label='What could the voice do?'] [data-at='" + (voice - 1) + "']");
    desk.type("reading", "" + beats);
    desk.type("rpe20", "" + (8 + 2 * voice));
    desk.press("Save the check");
    desk.await(() -> "".equals(desk.one("input[name=reading]").getDomProperty("value")));
  }

  private void daysLater(int days) {
    demo.pass(days * DAY, 0);
    demo.openClient("Yara", "bands/talk");
    desk.sees("Add a talk check");
  }

  private boolean onTheRuler(String text) {
    return desk.texts(".ruler text").contains(text);
  }

  @Test
  void nineChecksOnFiveDaysBecomeTheEdgeUntilTheyAreContradicted() {
    demo.openClient("Yara", "bands/talk");
    desk.sees(
        "Held at 148: learned 153, and for someone in the first 12 weeks it only ever lowers.");
    desk.await(() -> onTheRuler("talk ends 152–158 so far"));

    // Past the first weeks; what was said then is old by now.
    daysLater(85);
    say(2, 37);
    say(3, 40);
    desk.sees("sentences at 148, phrases at 160, heard, 15 s count");
    daysLater(3);
    say(2, 38);
    say(3, 40);
    daysLater(4);
    say(2, 38);
    daysLater(3);
    say(2, 37);
    say(3, 39);
    daysLater(4);
    say(3, 40);
    say(2, 38);
    demo.open("/today");
    desk.sees("Whole sentences up to 154, ± 3: accept it, or refuse it with a reason.");

    demo.openClient("Yara", "bands/talk");
    desk.press("Refuse");
    desk.press("Refuse it");
    desk.await(() -> !desk.all("[role=alert]").isEmpty());
    desk.press("Cancel");
    desk.press("Accept 154");
    desk.sees("Whole sentences up to 154, ± 3.");
    desk.await(() -> onTheRuler("talk, 154 ± 3"));
    demo.openClient("Yara", "bands");
    desk.await(() -> desk.texts("td").contains("154–170"));

    daysLater(2);
    say(4, 35);
    daysLater(2);
    say(4, 35);
    desk.sees("contradict it: the same rate was harder. Ask how they feel first.");
    desk.await(() -> !onTheRuler("talk, 154 ± 3"));

    desk.driver()
        .executeScript(
            "const all = document.querySelectorAll('.checks button'); all[all.length - 1].click()");
    desk.sees("How likely words at 140 is, if sentences end at");
    desk.type("reason", "a cold coming");
    desk.press("Take out");
    desk.await(() -> onTheRuler("talk, 154 ± 3"));

    desk.click("details:has(#decisions) summary");
    desk.click("button[aria-label^='Undo: Accepted']");
    desk.await(() -> !onTheRuler("talk, 154 ± 3"));
    assertThat(desk.reads("Accept 154")).isTrue();
  }

  @Test
  void whatWasLoggedIsToldAndConfirmed() {
    demo.openClient("Keola", "bands/talk?voice=2&bpm=124&rpe=12");
    desk.sees("Not yet: 3 checks on 2 days");
    desk.await(() -> desk.one("input[name=reading]").isDisplayed());
    desk.press("Save the check");
    desk.sees("sentences at 124, told, 15 s count");

    // Mistyped: it is edited where it is weighed.
    desk.driver()
        .executeScript(
            "const all = document.querySelectorAll('.checks button'); all[all.length - 1].click()");
    desk.press("Edit the check");
    desk.sees("Edit the check of");
    desk.type("reading", "128");
    desk.press("Save changes");
    desk.sees("sentences at 128, told, 15 s count");
  }
}
