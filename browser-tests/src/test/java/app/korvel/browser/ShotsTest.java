package app.korvel.browser;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
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
    "intake, Dmitri, screening, Any of these",
    "decision, Ragnar, screening, A clearance is in force",
    "pulse, Ines, pulse, Working resting value",
    "maximum, Hyun-woo, maximum, your choice",
    "desk, -, /desk/target?rest=64&max=176&basis=reserve&low=50&high=70&cap=140, the smaller of",
    "schools, -, /desk/bands?rest=64&max=176&scheme=voice-ladder&compare=max-fifths, Fifths of",
    "wall, -, /desk/bands/wall?rest=64&max=176&scheme=voice-ladder&cap=150, above the cap",
    "methods, -, /methods, Equations for the maximum",
    "bands, Hyun-woo, bands, what each band is",
    "prescription, Ines, prescription, moderate-equivalent min",
    "card, Ines, card/1, Stop at once",
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

  private static void take(Desk desk, String name) throws Exception {
    desk.driver().executeAsyncScript("document.fonts.ready.then(arguments[0])");
    Files.createDirectories(PICTURES);
    Files.write(PICTURES.resolve(name + ".png"), desk.driver().getScreenshotAs(OutputType.BYTES));
  }
}
