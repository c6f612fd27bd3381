package app.korvel.browser;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;

/** Writes the pictures of docs/screenshots from the demo data; run by {@code ./korvel shots}. */
@Tag("shots")
class ShotsTest {
  private static final Path PICTURES = Path.of("..", "docs", "screenshots");

  @ParameterizedTest
  @CsvSource({
    "today, -, /today, Must not train",
    "clients, -, /clients, Agnethe Moravik",
    "pulse, Ines, pulse, Working resting value",
    "methods, -, /methods, Equations for the maximum",
    "zones, Hyun-woo, bands, could sing a verse",
    "prescription, Ines, prescription, moderate-equivalent min",
    "sessions, Keola, sessions, Every week meets the guidelines.",
    "log, -, /log, Logged lately",
    "calendar, -, /calendar, Calendars out and in",
    "progress, Tindra, progress, Minutes by level",
  })
  void picture(String name, String client, String page, String text) throws Exception {
    Desk desk = Desk.get();
    if (client.equals("-")) {
      desk.open(page);
    } else {
      desk.openClient(client, page);
    }
    desk.sees(text);
    take(desk, name);
  }

  /** A check-in that is not a go yet. */
  @Test
  void checkIn() throws Exception {
    Desk desk = Desk.get();
    desk.openClient("Tindra", "check-in");
    desk.type("pulse", "66");
    desk.type("glucose", "5.1");
    desk.sees("Not yet: glucose 5.1 mmol/L is under 5.6 mmol/L.");
    take(desk, "check-in");
  }

  /** Hill repeats, the second bout under way. */
  @Test
  void fieldTest(@TempDir Path folder) throws Exception {
    Desk desk = Desk.get();
    try (ClockedDemo demo = new ClockedDemo(folder)) {
      demo.openClient("Hyun-woo", "maximum/tests");
      demo.begin("Hill repeats", 15);
      demo.title("Ready");
      desk.keys("b");
      demo.title("Bout 1 of 3");
      demo.pass(1, 52);
      demo.read(189);
      desk.sees("peak 189");
      demo.pass(0, 20);
      desk.click("h1");
      desk.keys("y");
      demo.pass(3, 0);
      desk.sees("Start bout 2");
      desk.keys("b");
      demo.title("Bout 2 of 3");
      demo.pass(0, 48);
      demo.read(186);
      desk.sees("peak 186");
      take(desk, "field-test");
    }
  }

  /** A quarter of an hour of a simulated client, and what the whole came to. */
  @Test
  void session(@TempDir Path folder) throws Exception {
    Desk desk = Desk.get();
    try (ClockedDemo demo = new ClockedDemo(folder)) {
      demo.openClient("Hyun-woo", "session");
      desk.sees("What is done");
      desk.answered();
      desk.press("Simulated");
      desk.press("60×");
      desk.press("Open the session");
      desk.sees("Simulated strap, 60× speed");
      desk.click("#content");
      desk.keys(" ");
      desk.sees("left: warm-up");
      demo.pass(0, 17);
      desk.sees("left: work");
      desk.await(() -> !desk.one(".rate b").getText().equals("–"));
      desk.keys("1", "4", "d");
      desk.await(() -> desk.all("[aria-label=Voice] [aria-pressed=true]").size() == 1);
      desk.await(() -> desk.texts(".cue b").contains("Hold"));
      take(desk, "session");
      demo.pass(0, 40);
      desk.sees("All steps are done");
      desk.await(() -> !desk.one(".rate b").getText().equals("–"));
      desk.keys("e");
      desk.sees("of 30:00 work · done");
      desk.await(() -> !desk.all(".zones li").isEmpty());
      take(desk, "summary");
    }
  }

  /** Twelve at work, what their wall shows, and two ways in which four of them recover. */
  @Test
  void room() throws Exception {
    Desk desk = Desk.get();
    desk.open("/floor/rooms/new");
    desk.sees("A simulated room");
    desk.answered();
    desk.choose("They do", "Steady at Talk, 47 min");
    desk.press("10×");
    desk.click("input[name=too-hard]");
    desk.click("input[name=drop-outs]");
    desk.press("Simulate a room");
    desk.sees("then mobility");
    RoomTest.nextStep(desk);
    desk.sees("then work");
    RoomTest.nextStep(desk);
    desk.sees("then cool-down");
    atWork(desk);
    take(desk, "room");
    String board = desk.driver().getCurrentUrl();
    desk.driver().get(board + "/wall");
    desk.await(() -> desk.all(".lane").size() == 12);
    desk.await(
        () -> desk.texts(".lane .rate").stream().filter(each -> !each.isBlank()).count() > 9);
    take(desk, "wall");
    for (String way : new String[] {"Moving on easily", "Seated"}) {
      desk.driver().get(board);
      atWork(desk);
      desk.driver().get(board + "/recovery");
      desk.sees("Effort ends now");
      desk.answered();
      for (int n : new int[] {0, 1, 2, 3, 8, 9, 10, 11}) {
        desk.click(".who button:nth-child(" + (n + 1) + ")");
      }
      desk.press(way);
      desk.press("Effort ends now");
      desk.sees("Next set");
      desk.await(
          () -> {
            desk.letPass(Duration.ofSeconds(1));
            return desk.texts("tbody td:nth-child(6)").stream().noneMatch("…"::equals);
          });
      desk.press("Next set");
      desk.sees("Effort ends now");
    }
    desk.choose("The other", "Seated");
    desk.sees("in 60 s");
    desk.answered();
    desk.driver().executeScript("scrollTo(0, 0)");
    take(desk, "recovery");
  }

  /** Most of a room have come to Talk. */
  private static void atWork(Desk desk) {
    desk.await(
        () -> {
          desk.letPass(Duration.ofMillis(200));
          return desk.texts(".lane .word").stream().filter("Talk"::equals).count() > 8;
        });
  }

  /** The class of yesterday, counted anew: one to talk to, the rest as usual. */
  @Test
  void classCount() throws Exception {
    Desk desk = Desk.get();
    desk.open("/floor");
    desk.press("Begin with 10 people");
    desk.sees("Beats in 15 s");
    desk.click("ol.people input");
    for (String label : desk.texts("ol.people label")) {
      int usual = label.contains("no usual") ? 64 : Integer.parseInt(label.replaceAll(".* ", ""));
      int beats = (usual + 2) / 4 + (label.startsWith("Keola") ? 4 : 0);
      desk.keys("" + beats, Keys.ENTER);
    }
    desk.sees("Recount for 60 s before deciding.");
    take(desk, "class-count");
  }

  /** Zones that have become a client's own, with the reasons. */
  @Test
  void talk() throws Exception {
    Desk desk = Desk.get();
    desk.size(1280, 800);
    desk.openClient("Hyun-woo", "bands/talk");
    desk.sees("Whole sentences up to");
    desk.driver().executeScript("document.querySelectorAll('.checks button')[3].click()");
    desk.sees("How likely phrases");
    desk.driver()
        .executeScript("document.querySelector('.ruler').scrollIntoView({ block: 'start' })");
    take(desk, "talk");
  }

  private static void take(Desk desk, String name) throws Exception {
    desk.driver()
        .executeAsyncScript(
            """
            const sheets = [...document.querySelectorAll('iframe')].map((each) => each.contentDocument)
            Promise.all([document, ...sheets].map((each) => each.fonts.ready)).then(arguments[0])
            """);
    Files.createDirectories(PICTURES);
    Files.write(PICTURES.resolve(name + ".png"), desk.driver().getScreenshotAs(OutputType.BYTES));
  }
}
