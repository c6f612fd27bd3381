package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/**
 * Field tests as they are run, on a server of their own whose clock is set, and which is stopped
 * and started again in the middle of a bout.
 */
class FieldTestTest {
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

  @BeforeEach
  void openTheTests() {
    demo.openClient("Hyun-woo", "maximum/tests");
    desk.sees("May be done today.");
  }

  private void readAndRest(int bpm) {
    demo.pass(1, 50);
    demo.read(bpm);
    rest(bpm);
  }

  private void rest(int bpm) {
    desk.sees("peak " + bpm);
    demo.pass(0, 20);
    demo.title("Easy");
    leaveTheField();
    desk.keys("y");
    desk.await(() -> !desk.all("[aria-pressed=true]").isEmpty());
  }

  private void leaveTheField() {
    desk.click("h1");
  }

  @Test
  void aRunByKeyboardStandsWhereItStoodAfterAReloadAndARestart() {
    desk.press("Pick");
    desk.press("Start the warm-up");
    desk.sees("Not sure yet: Someone stays within sight and earshot the whole time.");
    demo.begin("Hill repeats", 0);
    demo.title("Warm up");
    desk.sees("pain or pressure in chest, jaw or arm");
    demo.pass(15, 1);
    demo.title("Ready");
    desk.keys("b");
    demo.title("Bout 1 of 3");
    demo.read(250);
    desk.sees("250 is outside the accepted range. Accepted: 60 to 230 bpm.");
    // What was refused stands there selected: the right number takes its place.
    demo.pass(1, 50);
    desk.keys("181", Keys.ENTER);
    rest(181);

    demo.pass(3, 0);
    desk.sees("Start bout 2");
    desk.keys("b");
    demo.title("Bout 2 of 3");
    demo.pass(1, 0);
    desk.driver().navigate().refresh();
    demo.title("Bout 2 of 3");
    desk.sees("peak 181");

    // The server goes away in the middle of the bout; what happens meanwhile waits, and is sent.
    demo.close();
    demo.read(184);
    desk.sees("Korvel does not answer. 1 entry waits here with the right time");
    demo.serve();
    demo.pass(0, 3);
    desk.sees("peak 184");
    demo.title("Bout 2 of 3");
    desk.await(() -> !desk.reads("entry waits"));
    demo.pass(0, 50);
    demo.read(186);
    desk.sees("peak 186");
    demo.pass(0, 20);
    demo.title("Easy");
    leaveTheField();
    desk.keys("y");
    demo.pass(3, 0);
    desk.sees("Start bout 3");
    desk.keys("b");
    demo.title("Bout 3 of 3");
    readAndRest(198);
    desk.keys("f");
    desk.sees("Peak 198, graded good");
    desk.sees("A maximum of 198 is proposed.");
    desk.sees("The prescription does not change.");
    desk.await(() -> desk.all("[aria-label='What changes'] li").size() == 6);
    desk.press("Save 198 as the maximum");
    desk.sees("On record.");
    desk.press("To the maximum");
    desk.sees("198 is measured: the highest that qualifies.");
    desk.soon(() -> assertThat(desk.one(".big b").getText()).isEqualTo("198"));
    desk.click(".path a[href$='/prescription']");
    desk.sees("Values have changed since version 1");
  }

  /** On a phone the stop signs stay in view, wherever the page is scrolled to. */
  @Test
  void onAPhoneEveryStopSignStaysInView() {
    desk.size(390, 844);
    demo.begin("Hard half hour", 15);
    demo.title("Ready");
    desk.press("Start the half hour");
    demo.title("Go");
    desk.sees("Readings count from 20:00 on.");
    for (String to : new String[] {"0", "document.body.scrollHeight"}) {
      desk.driver().executeScript("window.scrollTo(0, " + to + ")");
      desk.await(
          () ->
              (Boolean)
                  desk.driver()
                      .executeScript(
                          """
                          const signs = document.querySelectorAll('[aria-label="Stop signs"] button')
                          const bar = document.querySelector('.rail').getBoundingClientRect()
                          return signs.length > 8 && [...signs].every((sign) => {
                            const { top, bottom } = sign.getBoundingClientRect()
                            return top >= 0 && bottom <= bar.top
                          })
                          """));
    }
    desk.press("Finish");
    desk.sees("No reading counts, so nothing is proposed.");
  }

  @Test
  void aStopEndsItAtOnceAndCanBeTakenBack() {
    demo.begin("Rope or step ramp", 15);
    demo.title("Ready");
    desk.keys("b");
    demo.title("Bout 1");
    desk.press("dizzy, confused or close to fainting");
    desk.sees("Stopped: dizzy, confused or close to fainting. Nothing is proposed.");
    desk.sees("Record the symptom in the screening");
    desk.press("Undo");
    demo.title("Bout 1");
    desk.keys("s");
    desk.sees("Stopped: a stop sign. Nothing is proposed.");
  }
}
