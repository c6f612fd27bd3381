package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A room of people who are not there, on the demo itself: its time goes ten times as fast. */
class RoomTest {
  private final Desk desk = Desk.get();

  private void simulated(int people, String... troubles) {
    desk.open("/floor");
    desk.sees("Open a room");
    desk.press("Open a room");
    desk.sees("A simulated room");
    desk.answered();
    desk.type("people", "" + people);
    desk.press("10×");
    for (String trouble : troubles) {
      desk.click("input[name=" + trouble + "]");
    }
    desk.press("Simulate a room");
    desk.await(() -> desk.all(".lane").size() == people);
    desk.await(() -> rates() == people);
  }

  /** How many lanes show a rate. */
  private long rates() {
    return desk.texts(".lane .rate").stream().filter(text -> text.matches("\\d+")).count();
  }

  private String lane(int n) {
    return desk.all(".lane").get(n).getDomAttribute("aria-label");
  }

  private String nameOf(int n) {
    return desk.texts(".lane .name").get(n);
  }

  @Test
  void aRoomOfTwelveIsRatedStoppedEndedAndLogged() {
    simulated(12);

    // One touch, or one letter, opens a person over the board.
    String first = nameOf(0);
    desk.keys("a");
    desk.sees("Back to the board");
    desk.keys("1", "3");
    desk.sees("Undo: RPE 13");
    assertThat(desk.one(".person h2").getText()).isEqualTo(first);
    desk.keys(Keys.ESCAPE);
    desk.await(() -> desk.all(".person").isEmpty());

    // A talk check of the whole room: a letter and a number for each who calls out.
    desk.keys("1");
    desk.sees("Talk check");
    desk.keys("b", "2", "c", "3");
    desk.sees("2 of 12 answered");
    assertThat(desk.texts(".ask li.done .name")).containsExactly(names(1), names(2));
    desk.keys(Keys.ESCAPE);
    desk.await(() -> !desk.all(".lane").isEmpty());
    EveryPageTest.sound(desk, "board");
    desk.size(1280, 800);

    // The wall shows who, and nothing about their health.
    String stopped = nameOf(3);
    String room = desk.driver().getCurrentUrl().replaceAll(".*(/floor/.*)", "$1");
    String board = desk.openBeside(room + "/wall");
    desk.await(() -> desk.all(".lane").size() == 12);
    desk.sees(stopped.split(" ")[0]);
    assertThat(desk.all(".lane button, .queue")).isEmpty();
    EveryPageTest.sound(desk, "wall");
    String wall = desk.driver().getWindowHandle();
    desk.driver().switchTo().window(board);

    desk.keys("d");
    desk.sees("Back to the board");
    desk.click(".person .stop-now");
    desk.sees("Stopped. What is it?");
    desk.press("dizzy, confused or close to fainting");
    desk.sees("Stopped: dizzy");
    desk.keys(Keys.ESCAPE);
    desk.await(() -> desk.texts(".queue li").stream().anyMatch(row -> row.contains(stopped)));
    desk.driver().switchTo().window(wall);
    desk.await(() -> lane(3).endsWith("Resting"));
    assertThat(desk.one("main").getText()).doesNotContainIgnoringCase("dizzy");
    desk.driver().close();
    desk.driver().switchTo().window(board);

    desk.press("End room");
    desk.sees("The room is over");
    desk.press("Log all 11");
    desk.sees("12 logged.");
    desk.press("To the log");
    desk.sees(first);
    desk.sees(stopped);
  }

  private String names(int n) {
    return desk.texts(".ask li .name").get(n);
  }

  @Test
  void twoBrowsersLookAtOneRoom() {
    simulated(3);
    String room = desk.driver().getCurrentUrl().replaceAll(".*(/floor/.*)", "$1");
    String first = desk.driver().getWindowHandle();
    desk.openBeside(room);
    desk.await(() -> rates() == 3);
    desk.keys(" ");
    desk.await(() -> lane(0).contains("Paused"));
    String second = desk.driver().getWindowHandle();
    desk.driver().switchTo().window(first);
    desk.await(() -> lane(0).contains("Paused"));
    desk.sees("Go on");
    desk.press("Undo: Paused");
    desk.await(() -> !lane(0).contains("Paused"));
    desk.driver().switchTo().window(second);
    desk.await(() -> !lane(0).contains("Paused"));
    // A reload stands where it stood.
    desk.driver().navigate().refresh();
    desk.await(() -> rates() == 3);
    desk.press("End room");
    desk.sees("The room is over");
    desk.driver().close();
    desk.driver().switchTo().window(first);
    desk.sees("The room is over");
  }

  @Test
  void effortsEndAndRecoveriesFallSideBySide() {
    simulated(2);
    desk.press("Recovery");
    desk.sees("No recovery yet.");
    EveryPageTest.sound(desk, "recovery, empty");
    desk.size(1280, 800);
    desk.answered();
    desk.press("Lying at once");
    desk.press("Effort ends now");
    desk.await(
        () -> {
          desk.letPass(Duration.ofSeconds(2));
          return desk.texts("tbody td:nth-child(5)").stream().allMatch(this::isNumber)
              && desk.all("tbody tr").size() == 2;
        });
    assertThat(desk.texts("tbody td:nth-child(3)")).containsOnly("Lying at once");
    assertThat(desk.all(".fall path.line")).hasSize(2);
    EveryPageTest.sound(desk, "recovery");
    desk.size(1280, 800);
    desk.answered();
    desk.press("Next set");
    desk.sees("Effort ends now");
    desk.sees("Nobody has done both yet");
    desk.press("To the board");
    desk.await(() -> desk.all(".lane").size() == 2);
    desk.press("End room");
    desk.sees("The room is over");
  }

  private boolean isNumber(String text) {
    return text.matches("-?\\d+");
  }

  /** Pressed once, however often the board is drawn anew meanwhile. */
  static void nextStep(Desk desk) {
    desk.driver()
        .executeScript(
            "[...document.querySelectorAll('button')]"
                + ".find((each) => each.textContent.trim() === 'Next step').click()");
  }

  @Test
  void whatNeedsSomebodyIsAtTheTopWithOneOutlineForAll() {
    desk.open("/floor/rooms/new");
    desk.sees("A simulated room");
    desk.answered();
    desk.choose("They do", "Steady at Talk, 47 min");
    desk.type("people", "4");
    desk.press("10×");
    desk.click("input[name=too-hard]");
    desk.press("Simulate a room");
    desk.sees("then mobility");
    nextStep(desk);
    desk.sees("then work");
    nextStep(desk);
    desk.sees("then cool-down");
    // The first of them works far too hard.
    desk.await(() -> desk.texts(".queue li b").stream().findFirst().equals(Optional.of(nameOf(0))));
    desk.keys(".");
    desk.sees("seen");
    desk.keys(Keys.ENTER);
    desk.await(() -> !desk.all(".person").isEmpty());
    desk.keys(Keys.ESCAPE);
    desk.press("End room");
    desk.sees("The room is over");
  }
}
