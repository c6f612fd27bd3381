package app.korvel.browser;

import app.korvel.bench.HeadlessBrowser;
import app.korvel.server.KorvelServer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import org.openqa.selenium.By;
import org.openqa.selenium.JavascriptException;
import org.openqa.selenium.Keys;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * One browser for all tests of a process and, for each class of them, a server with demo data and
 * one with none, so that no class meets what another has left; what a person does and sees with
 * them. Waiting is always for a condition.
 */
final class Desk {
  private static final Duration PATIENCE = Duration.ofSeconds(20);

  /** A long page is looked through for a while, on a busy machine for longer. */
  private static final Duration LONGEST_SCRIPT = Duration.ofSeconds(90);

  /** How often in a row the same is read of what is settled. */
  private static final int SETTLED = 12;

  private static final String CLOCK =
      """
      window.korvelClock = (() => {
        let now = 0
        const timers = new Set()
        return {
          now: () => now,
          wall() {
            localStorage.began ??= Date.now()
            return Number(localStorage.began) + Number(sessionStorage.passed ?? 0)
          },
          every(milliseconds, callback) {
            timers.add(callback)
            return () => timers.delete(callback)
          },
          advance(milliseconds) {
            now += milliseconds
            sessionStorage.passed = Number(sessionStorage.passed ?? 0) + milliseconds
            ;[...timers].forEach((callback) => callback())
          },
        }
      })()
      // How many questions to the server have no answer yet, or one that is not taken in.
      window.korvelAsking = 0
      const ask = window.fetch
      window.fetch = (...question) => {
        window.korvelAsking++
        const answer = ask(...question)
        answer
          .then((whole) => whole.clone().text())
          .catch(() => {})
          .finally(() => setTimeout(() => window.korvelAsking--))
        return answer
      }
      """;

  /** Whether a person can read a text; what stands beside each other in a table reads as a line. */
  private static final String READS =
      """
      const reads = (text) =>
        document.body.innerText.replace(/[\\t\\u00a0 ]+/g, ' ').includes(text)
      """;

  private static Desk desk;

  private Class<?> user;
  private ConfigurableApplicationContext demo;
  private ConfigurableApplicationContext empty;

  /** Where the clients of the demo are, by the name they were found by. */
  private final Map<String, String> found = new HashMap<>();

  private final ChromeDriver driver;

  private Desk() {
    driver = HeadlessBrowser.start();
    driver.manage().timeouts().scriptTimeout(LONGEST_SCRIPT);
    replaceClock();
    Runtime.getRuntime().addShutdownHook(new Thread(this::close));
  }

  /** The same as it was left, for what brings its own server. */
  static synchronized Desk asLeft() {
    if (desk == null) {
      desk = new Desk();
    }
    return desk;
  }

  /** The desk, set to the reference size; cleared when another class sits down at it. */
  static synchronized Desk get() {
    asLeft()
        .clearFor(
            StackWalker.getInstance(StackWalker.Option.RETAIN_CLASS_REFERENCE).getCallerClass());
    desk.size(1280, 800);
    return desk;
  }

  private void clearFor(Class<?> next) {
    if (next == user) {
      return;
    }
    user = next;
    found.clear();
    closeServers();
  }

  private ConfigurableApplicationContext demo() {
    if (demo == null) {
      demo = KorvelServer.start("--server.port=0", "--korvel.demo=true");
    }
    return demo;
  }

  private void closeServers() {
    for (ConfigurableApplicationContext server :
        new ConfigurableApplicationContext[] {demo, empty}) {
      if (server != null) {
        server.close();
      }
    }
    demo = null;
    empty = null;
  }

  private void replaceClock() {
    driver.executeCdpCommand("Page.addScriptToEvaluateOnNewDocument", Map.of("source", CLOCK));
  }

  /** Opens a page of the demo in a tab of its own, and goes there; returns the tab left behind. */
  String openBeside(String path) {
    String here = beside();
    open(path);
    return here;
  }

  /** Another window, with nothing in it yet; the one before it is what comes back. */
  String beside() {
    String here = driver.getWindowHandle();
    driver.switchTo().newWindow(WindowType.TAB);
    replaceClock();
    size(1280, 800);
    return here;
  }

  private void close() {
    driver.quit();
    closeServers();
  }

  ChromeDriver driver() {
    return driver;
  }

  void size(int width, int height) {
    Map<String, Object> metrics = new HashMap<>();
    metrics.put("width", width);
    metrics.put("height", height);
    metrics.put("deviceScaleFactor", 1);
    metrics.put("mobile", width < 600);
    driver.executeCdpCommand("Emulation.setDeviceMetricsOverride", metrics);
  }

  /** Opens a page of the demo. */
  void open(String path) {
    driver.get(address(demo()) + path);
  }

  /** Opens a page of a studio's first day. */
  void openEmpty(String path) {
    if (empty == null) {
      try {
        Path folder = Files.createTempDirectory("korvel-empty-");
        empty = KorvelServer.start("--server.port=0", "--korvel.data=" + folder);
      } catch (java.io.IOException e) {
        throw new java.io.UncheckedIOException(e);
      }
    }
    driver.get(address(empty) + path);
  }

  private static String address(ConfigurableApplicationContext server) {
    return "http://127.0.0.1:" + server.getEnvironment().getProperty("local.server.port");
  }

  /** Opens a demo client, found the first time the way a person finds them; waits for the step. */
  void openClient(String name, String step) {
    driver.get(found.computeIfAbsent(name, this::find) + step);
    await(() -> all(".path, article, .refused, .printable, .session-start").size() == 1);
  }

  private String find(String name) {
    open("/clients?q=" + name.replace(" ", "%20"));
    await(() -> all("a.name").size() == 1);
    return one("a.name").getDomProperty("href").replaceAll("(/clients/[^/]+).*", "$1/");
  }

  <T> T await(Supplier<T> condition) {
    return await("what is waited for", condition);
  }

  <T> T await(String what, Supplier<T> condition) {
    return new WebDriverWait(driver, PATIENCE, Duration.ofMillis(40))
        .ignoring(StaleElementReferenceException.class)
        .withMessage(() -> what + ", on a page that reads:\n" + texts("main, .wall-page"))
        .until(ignored -> condition.get());
  }

  /** Checks again until it holds: what a page shows may still be on its way. */
  void soon(Runnable check) {
    Instant end = Instant.now().plus(PATIENCE);
    for (; ; ) {
      try {
        check.run();
        return;
      } catch (AssertionError | StaleElementReferenceException notYet) {
        if (Instant.now().isAfter(end)) {
          throw notYet;
        }
      }
    }
  }

  WebElement one(String css) {
    return await(() -> all(css).stream().findFirst().orElse(null));
  }

  List<WebElement> all(String css) {
    return driver.findElements(By.cssSelector(css));
  }

  /** Waits until the page has taken in every answer of the server it waits for. */
  void answered() {
    await(() -> (Boolean) driver.executeScript("return window.korvelAsking === 0"));
  }

  /** What an element says once it has said the same for a while: more may be on its way. */
  String settled(String css) {
    List<String> said = new ArrayList<>();
    await(
        () -> {
          said.add(texts(css).get(0));
          int same = Math.min(said.size(), SETTLED);
          return same == SETTLED
              && said.subList(said.size() - same, said.size()).stream().distinct().count() == 1;
        });
    return said.get(said.size() - 1);
  }

  /** Goes on by Tab until the focus is on something of that name. */
  void tabTo(String name) {
    for (int i = 0; i < 80; i++) {
      keys(Keys.TAB);
      if (focused().contains(name)) {
        return;
      }
    }
    throw new AssertionError("no way by Tab to “" + name + "”");
  }

  /** The button or link a person reads that text on. */
  WebElement pressable(String text) {
    return await(
        "“" + text + "” to press",
        () ->
            (WebElement)
                driver.executeScript(
                    """
                    const all = document.querySelectorAll(
                      'button, a, label, summary, [role=option]')
                    return [...all].find(
                      (each) => each.checkVisibility() && each.innerText.trim() === arguments[0])
                    """,
                    text));
  }

  /** What the elements say, in one question to the browser. */
  @SuppressWarnings("unchecked")
  List<String> texts(String css) {
    return (List<String>)
        driver.executeScript(
            """
            return [...document.querySelectorAll(arguments[0])].map(
              (each) => (each.innerText ?? each.textContent).replace(/\\s+/g, ' ').trim())
            """,
            css);
  }

  void press(String text) {
    clicked("“" + text + "” to press", () -> pressable(text));
  }

  void click(String css) {
    clicked(css + " to click", () -> one(css));
  }

  /**
   * What is drawn anew between being found and being clicked is looked for again; what lies under
   * the bar of a phone is scrolled above it.
   */
  private void clicked(String what, Supplier<WebElement> element) {
    await(
        what,
        () -> {
          shown(element.get()).click();
          return true;
        });
  }

  private WebElement shown(WebElement element) {
    driver.executeScript("arguments[0].scrollIntoView({ block: 'nearest' })", element);
    return element;
  }

  /** Picks one of the words of a list that is folded away; where the page moves, it folds again. */
  void choose(String label, String option) {
    String list = "[aria-label='" + label + "']";
    await(
        "“" + option + "” in " + label,
        () -> {
          if (one(list).getText().equals(option)) {
            return true;
          }
          if (!"true".equals(one(list).getDomAttribute("aria-expanded"))) {
            one(list).click();
          }
          all("[role=option]").stream()
              .filter(each -> each.getText().trim().equals(option))
              .findFirst()
              .ifPresent(WebElement::click);
          return null;
        });
  }

  /** Types into the field of that name, over what is there. */
  void type(String field, String text) {
    WebElement input = one("input[name=" + field + "]");
    shown(input).click();
    input.sendKeys(Keys.chord(Keys.CONTROL, "a"), Keys.DELETE);
    input.sendKeys(text);
  }

  /** A key while another one is held. */
  void held(Keys modifier, CharSequence key) {
    new Actions(driver).keyDown(modifier).sendKeys(key).keyUp(modifier).perform();
  }

  /** Sends keys to whatever has the focus. */
  void keys(CharSequence... keys) {
    new Actions(driver).sendKeys(keys).perform();
  }

  /** Waits, inside the page, until a person can read that text somewhere on it. */
  void sees(String text) {
    await(
        "“" + text + "”",
        () -> {
          try {
            return (Boolean)
                driver.executeAsyncScript(
                    READS
                        + """
                        const [text, done] = arguments
                        const end = performance.now() + 2000
                        ;(function look() {
                          if (reads(text) || performance.now() > end) done(reads(text))
                          else setTimeout(look, 25)
                        })()
                        """,
                    text);
          } catch (JavascriptException pageLeft) {
            return false;
          }
        });
  }

  boolean reads(String text) {
    return (Boolean) driver.executeScript(READS + "return reads(arguments[0])", text);
  }

  /** Lets the interface's clock go on. */
  void letPass(Duration time) {
    driver.executeScript("window.korvelClock.advance(arguments[0])", time.toMillis());
  }

  /** Lets a count be counted in, and its window pass. */
  void letCount(int seconds) {
    sees("get ready");
    letPass(Duration.ofSeconds(3));
    sees("count the beats");
    letPass(Duration.ofSeconds(seconds));
  }

  /** Waits until the sheet in view, as it is printed, says that; returns all it says. */
  String sheetSays(String text) {
    return await(
        "“" + text + "” on the sheet",
        () -> {
          String said =
              (String)
                  driver.executeScript(
                      """
                      const sheet = document.querySelector('iframe')?.contentDocument
                      return (sheet?.body?.innerText ?? '').replace(/\\s+/g, ' ').trim()
                      """);
          return said.contains(text) ? said : null;
        });
  }

  /** From here on, whatever the page hands out as a file can be looked at. */
  void catchFiles() {
    driver.executeScript(
        """
        window.caught = []
        const make = URL.createObjectURL
        URL.createObjectURL = (file) => {
          file.text().then((text) => window.caught.push({ name: file.name, text }))
          return make(file)
        }
        """);
  }

  /** The file of that name that the page handed out, as text. */
  String caught(String name) {
    return await(
        "a file " + name,
        () ->
            (String)
                driver.executeScript(
                    "return window.caught.find((each) => each.name === arguments[0])?.text", name));
  }

  /** How many sheets of A4 the page makes when it is printed. */
  long printedPages() {
    Object pdf =
        driver
            .executeCdpCommand("Page.printToPDF", Map.of("paperWidth", 8.27, "paperHeight", 11.69))
            .get("data");
    String text =
        new String(Base64.getDecoder().decode(pdf.toString()), StandardCharsets.ISO_8859_1);
    return Pattern.compile("/Type\\s*/Page[^s]").matcher(text).results().count();
  }

  /** What has the focus. */
  WebElement inFocus() {
    return driver.switchTo().activeElement();
  }

  String focused() {
    return inFocus().getAccessibleName();
  }
}
