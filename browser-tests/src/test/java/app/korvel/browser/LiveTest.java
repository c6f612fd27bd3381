package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/**
 * A session on the clock, for one, on a server of its own whose clock is set: with a strap that is
 * handed to the page in place of Bluetooth, with counts, and with a simulated client.
 */
class LiveTest {
  /** A strap: it shows itself where somebody pressed, and sends what it is told to. */
  private static final String STRAP =
      """
      class Measured extends EventTarget {
        startNotifications() { return Promise.resolve(this) }
      }
      const measured = new Measured()
      const battery = { readValue: async () => new DataView(new Uint8Array([83]).buffer) }
      const server = {
        getPrimaryService: async (name) => {
          if (name === strap.without) throw new DOMException('no such service', 'NotFoundError')
          return { getCharacteristic: async () => (name === 'heart_rate' ? measured : battery) }
        },
      }
      class Device extends EventTarget {
        name = 'Strap 7'
        gatt = {
          connect: async () => {
            if (strap.away) throw new DOMException('out of reach', 'NetworkError')
            return server
          },
          disconnect() {},
        }
      }
      const device = new Device()
      globalThis.strap = {
        refuses: null,
        without: null,
        away: false,
        send(...bytes) {
          measured.value = new DataView(new Uint8Array(bytes).buffer)
          measured.dispatchEvent(new Event('characteristicvaluechanged'))
        },
        lose() { device.dispatchEvent(new Event('gattserverdisconnected')) },
      }
      Object.defineProperty(navigator, 'bluetooth', {
        configurable: true,
        value: {
          async requestDevice() {
            if (!navigator.userActivation.isActive) throw new DOMException('', 'SecurityError')
            if (strap.refuses) throw new DOMException('', strap.refuses)
            return device
          },
        },
      })
      """;

  @TempDir static Path folder;
  private static ClockedDemo demo;

  private final Desk desk = Desk.get();
  private String script;

  @BeforeAll
  static void start() throws Exception {
    demo = new ClockedDemo(folder);
  }

  @AfterAll
  static void stop() {
    demo.close();
  }

  @AfterEach
  void takeTheStrapAway() {
    if (script != null) {
      desk.driver()
          .executeCdpCommand(
              "Page.removeScriptToEvaluateOnNewDocument", Map.of("identifier", script));
    }
  }

  private void withAStrap() {
    script =
        (String)
            desk.driver()
                .executeCdpCommand("Page.addScriptToEvaluateOnNewDocument", Map.of("source", STRAP))
                .get("identifier");
  }

  private void strap(String does) {
    desk.driver().executeScript("strap." + does);
  }

  /** The strap sends a rate each second, for so long. */
  private void beats(int seconds, int bpm) {
    for (int second = 0; second < seconds; second++) {
      strap("send(6, " + bpm + ")");
      demo.pass(0, 1);
    }
  }

  private String big() {
    return desk.one(".rate b").getText();
  }

  private long recorded() {
    return (Long)
        desk.driver()
            .executeAsyncScript(
                """
                const done = arguments[arguments.length - 1]
                const id = location.pathname.split('/').at(-1)
                fetch('/api/live/' + id).then((answer) => answer.json())
                  .then((view) => done(view.trace.bpm.filter((bpm) => bpm > 0).length))
                """);
  }

  @Test
  void aSessionByAStrapSurvivesAReloadAndAServerThatIsAway() {
    withAStrap();
    demo.openClient("Hyun-woo", "session");
    desk.sees("What is done");
    desk.answered();
    desk.press("Open the session");
    desk.sees("Connect a strap");

    strap("refuses = 'NotAllowedError'");
    desk.press("Connect a strap");
    desk.sees("The browser was not allowed to use Bluetooth.");
    strap("refuses = 'NotFoundError'");
    desk.press("Connect a strap");
    desk.sees("No strap was chosen.");
    strap("refuses = null");
    strap("without = 'heart_rate'");
    desk.press("Connect a strap");
    desk.sees("This device does not offer a heart rate.");
    strap("without = null");
    desk.press("Connect a strap");
    desk.sees("Strap 7, battery 83 %");

    desk.click("#content");
    desk.keys(" ");
    desk.sees("left: warm-up");
    beats(12, 96);
    desk.await(() -> big().equals("96"));

    // Two figures are a rating; a letter is the voice.
    desk.keys("1", "1");
    desk.await(() -> pressed("RPE (6–20)").equals("11"));
    desk.keys("s");
    desk.await(() -> pressed("Voice").equals("Talk"));
    desk.keys("u");
    desk.await(() -> pressed("Voice").isEmpty());

    // With the passage: it is begun, said aloud, and answered by a figure.
    desk.keys("t");
    desk.sees("Talk check, Hyun-woo Castell");
    desk.sees("The morning boat leaves at seven");
    desk.keys("3");
    desk.await(() -> pressed("Voice").equals("Phrases"));

    desk.driver().navigate().refresh();
    desk.sees("left: warm-up");
    desk.await(() -> pressed("RPE (6–20)").equals("11"));
    desk.press("Connect a strap");
    desk.sees("Strap 7, battery 83 %");
    long before = recorded();
    assertThat(before).isBetween(8L, 16L);

    // The strap is lost, and comes back by itself.
    strap("lose()");
    desk.sees("Strap lost: connecting again…");
    demo.pass(0, 2);
    desk.sees("Strap 7, battery 83 %");

    // The server goes away; what is measured meanwhile waits, and is handed in.
    demo.close();
    beats(40, 101);
    desk.sees("Korvel does not answer. The clock goes on;");
    desk.await(() -> big().equals("101"));
    desk.sees("as the strap says it");
    demo.serve();
    beats(5, 101);
    desk.await(() -> !desk.reads("Korvel does not answer"));
    desk.soon(() -> assertThat(recorded()).isGreaterThanOrEqualTo(before + 40));

    desk.click("#content");
    desk.keys("n");
    desk.sees("left: mobility");
    desk.keys(" ");
    desk.sees("Paused");
    desk.keys(" ");
    desk.sees("left: mobility");
    desk.keys("e");
    desk.sees("End before the last step?");
    desk.press("Tired");
    desk.sees("Ended early: tired");
    desk.sees("cut short");
    desk.keys("u");
    desk.sees("left: mobility");
  }

  private String pressed(String group) {
    return (String)
        desk.driver()
            .executeScript(
                "return document.querySelector(`[aria-label='"
                    + group
                    + "'] [aria-pressed=true]`)"
                    + "?.textContent.trim() ?? ''");
  }

  @Test
  void aRestingMinuteByStrapBecomesAReading() {
    withAStrap();
    demo.openClient("Ines", "pulse");
    desk.sees("Take a resting pulse");
    desk.press("Strap");
    desk.press("Connect a strap");
    desk.sees("Strap 7, battery 83 %");
    desk.press("Take a minute");
    for (int second = 0; second < 62; second++) {
      // 960/1024 s from beat to beat: 64 a minute; one in the middle comes far too soon.
      strap("send(0x16, 64, " + (second == 30 ? "0xe0, 0x01" : "0xc0, 0x03") + ")");
      demo.pass(0, 1);
    }
    desk.sees("Mean of 60 beats; 2 % set aside.");
    desk.await(() -> desk.one("input[name=beats]").getDomProperty("value").equals("64"));
    desk.press("Save");
    desk.sees("64 bpm is saved.");
  }

  @Test
  void withoutAStrapItIsCountedAndLightOnlyStaysLight() {
    demo.openClient("Agnethe", "check-in");
    desk.sees("Checked in today");
    // From Today by one key.
    demo.open("/today");
    desk.sees("Agnethe Moravik");
    desk.keys(
        (String)
            desk.driver()
                .executeScript(
                    "return [...document.querySelectorAll('.checked li')]"
                        + ".find((row) => row.textContent.includes('Agnethe'))"
                        + ".querySelector('kbd').textContent"));
    desk.sees("Light only: every target ends at 40 % of reserve.");
    desk.sees("This browser cannot reach straps");
    desk.answered();
    desk.press("By hand");
    desk.press("Open the session");
    desk.sees("Counted by hand");
    desk.click("#content");
    desk.keys(" ");
    desk.sees("left: warm-up");
    desk.keys("c");
    desk.await(() -> desk.focused().contains("Beats"));
    desk.keys("3", Keys.ENTER);
    desk.sees("Accepted: 5 to 60");
    desk.keys("22", Keys.ENTER);
    desk.sees("counted 88");
    EveryPageTest.sound(desk, "live");
    desk.click("header .plain");
    EveryPageTest.sound(desk, "live, dark");
    desk.size(1280, 800);
    desk.click("header .plain");

    // One touch stops; the sign is asked afterwards, and suspends.
    desk.click(".stop-now");
    desk.sees("Stopped. What is it?");
    desk.press("dizzy, confused or close to fainting");
    desk.sees("Stopped: dizzy, confused or close to fainting");
    desk.sees("Logged:");
    desk.press("Undo");
    desk.sees("left: warm-up");
  }

  @Test
  void aSimulatedClientIsSeenLiveAndLoggedByOneKey() {
    demo.openClient("Hyun-woo", "session");
    desk.await(() -> desk.reads("What is done") || desk.reads("A session is on."));
    if (desk.reads("A session is on.")) {
      desk.press("Open it");
      desk.sees("Hyun-woo Castell");
      desk.await(() -> !desk.all(".controls .end").isEmpty());
      desk.keys("e");
      desk.press("Another reason");
      desk.sees("Ended early");
      demo.openClient("Hyun-woo", "session");
      desk.sees("What is done");
    }
    desk.answered();
    desk.press("Simulated");
    desk.sees("a simulated body does what the session asks for");
    desk.press("60×");
    desk.press("Open the session");
    desk.sees("Simulated strap, 60× speed");
    desk.click("#content");
    desk.keys(" ");
    desk.sees("left: warm-up");
    demo.pass(0, 10);
    desk.await(() -> Integer.parseInt(big().replace("–", "0")) > 90);
    demo.pass(0, 50);
    desk.sees("All steps are done");
    desk.keys("e");
    desk.sees("of 30:00 work · done");
    desk.click("[aria-label='What it came to'] .rpe button:nth-child(8)");
    desk.click("h1");
    desk.keys(Keys.ENTER);
    desk.sees("Logged: 30 min,");
    desk.sees("Next week stays as planned until its step is decided.");
    desk.choose("Zone system", "Fifths of maximum");
    desk.soon(() -> assertThat(desk.all(".zones li")).hasSize(5));
  }

  /** On the demo itself, whose clock nobody sets. */
  @Test
  void inTheDemoOnePressShowsASessionAtWork() {
    desk.open("/floor");
    desk.sees("A session for one");
    desk.click("[aria-label='Simulate a session of Agnethe Moravik']");
    desk.sees("Simulated strap, 10× speed");
    desk.sees("left: warm-up");
    desk.letPass(Duration.ofSeconds(2));
    desk.await(() -> !big().equals("–"));
  }
}
