package app.korvel.bench;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.openqa.selenium.By;
import org.openqa.selenium.chrome.ChromeDriver;

/** What a tap on the pulse bench costs on screen: from the key to the end of its script. */
final class TapTime {
  private static final int TAPS = 240;
  private static final Duration APART = Duration.ofMillis(250);

  /** A message to oneself is heard once the tap's handlers and what they drew are done. */
  private static final String WATCH =
      """
      window.tapCosts = []
      window.addEventListener('keydown', () => {
        const from = performance.now()
        const line = new MessageChannel()
        line.port1.onmessage = () => window.tapCosts.push(performance.now() - from)
        line.port2.postMessage(0)
      }, true)
      """;

  void run() throws IOException {
    int port = KorvelProcess.freePort();
    try (KorvelProcess server =
        KorvelProcess.ready(KorvelProcess.launcher("demo", "--port", "" + port), port)) {
      ChromeDriver driver = HeadlessBrowser.start();
      try {
        driver.get(server.address() + "/calculators/pulse?by=tap");
        driver.manage().timeouts().implicitlyWait(Duration.ofSeconds(20));
        driver.findElement(By.cssSelector(".pad"));
        driver.executeScript(WATCH);
        driver.executeCdpCommand("Performance.enable", Map.of());
        double before = PageScript.seconds(driver);
        Tapping.space(driver, TAPS, APART);
        double script = PageScript.seconds(driver) - before;
        System.out.printf(
            Locale.ROOT,
            "%-44s %9.3f ms a tap (n = %d)%n",
            "script of a tap and its answer, in all",
            script * 1_000 / TAPS,
            TAPS);
        @SuppressWarnings("unchecked")
        List<Number> costs = (List<Number>) driver.executeScript("return window.tapCosts");
        System.out.println(
            new Sample(
                    "a tap until the page is free again",
                    "ms",
                    costs.stream().mapToDouble(Number::doubleValue).toArray())
                .line());
      } finally {
        driver.quit();
      }
    }
  }
}
