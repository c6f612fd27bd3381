package app.korvel.browser;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
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
    "progress, Tindra, progress, Minutes by level",
    "months, Tomasz, months, What has changed",
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

  /** A session as blocks, and what its forecast suggests. */
  @Test
  void editor() throws Exception {
    Desk desk = Desk.get();
    desk.open("/studio/outlines/new?from=three-rungs-bursts");
    desk.sees("will not reach");
    desk.driver().executeScript("window.scrollTo(0, 200)");
    desk.await(
        () ->
            desk.driver()
                .executeScript(
                    "return document.getAnimations().every((each) => each.playState !== 'running')")
                .equals(true));
    take(desk, "editor");
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

  /** The graded test of the demo, as it was closed. */
  @Test
  void testSheet() throws Exception {
    Desk desk = Desk.get();
    desk.openClient("Tomasz", "tests");
    desk.sees("Graded exercise test");
    desk.click(".before li a");
    desk.sees("Recovered: two readings in a row");
    take(desk, "test-sheet");
  }

  /** A recording as it would be kept: a gap, a spike that is set aside, and what it comes to. */
  @Test
  void recording(@TempDir Path folder) throws Exception {
    Desk desk = Desk.get();
    StringBuilder csv = new StringBuilder("Timestamp;HR;Cadence\n");
    Instant start =
        LocalDate.now().minusDays(3).atTime(18, 0).atZone(ZoneId.systemDefault()).toInstant();
    for (int second = 0; second < 1800; second++) {
      double bpm =
          72
              + Math.min(66, second / 6.0)
              + 6 * Math.sin(second / 60.0)
              - Math.max(0, (second - 1500) / 7.0);
      boolean lost = second > 700 && second < 740;
      csv.append(start.plusSeconds(second))
          .append(';')
          .append(lost ? "" : second > 1000 && second < 1008 ? 205 : Math.round(bpm))
          .append(";79\n");
    }
    Path file = Files.writeString(folder.resolve("evening-run.csv"), csv);
    desk.openClient("Yara", "recordings");
    desk.one("input[type=file]").sendKeys(file.toString());
    desk.sees("30:00 long");
    desk.driver().executeScript("window.scrollTo(0, 250)");
    take(desk, "recording");
  }

  /** A strap and a wrist that counted steps for a while. */
  @Test
  void agreement() throws Exception {
    Desk desk = Desk.get();
    desk.openClient("Tomasz", "recordings");
    desk.press("Compare");
    desk.sees("Good up to Talk");
    take(desk, "agreement");
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
      desk.sees("Forecast and actual");
      desk.driver().executeScript("window.scrollTo(0, 260)");
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
