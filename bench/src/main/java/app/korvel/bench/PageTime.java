package app.korvel.bench;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.openqa.selenium.chrome.ChromeDriver;

/**
 * What a person waits for: the script of a first load, and a client's page until it can be used.
 */
final class PageTime {
  private static final int ROUNDS = 20;

  private static final List<String> PLACES =
      List.of(
          "/today",
          "/clients",
          "/calendar",
          "/floor",
          "/calculators/pulse",
          "/calculators/bands",
          "/practice",
          "/methods",
          "/studio");

  /** Answers when nothing has been fetched for half a second. */
  private static final String QUIET =
      """
      const done = arguments[0]
      let last = performance.now()
      new PerformanceObserver(() => (last = performance.now())).observe({ type: 'resource' })
      const look = setInterval(() => {
        if (performance.now() - last < 500) return
        clearInterval(look)
        done()
      }, 50)
      """;

  /** Notes when the ruler is there and the browser has had time to draw it. */
  private static final String WATCH =
      """
      window.usableAt = new Promise((resolve) => {
        const look = () =>
          document.querySelector('[role=slider]')
            ? requestAnimationFrame(() => resolve(performance.now()))
            : requestAnimationFrame(look)
        look()
      })
      """;

  void run() throws IOException {
    int port = KorvelProcess.freePort();
    try (KorvelProcess server =
        KorvelProcess.ready(KorvelProcess.launcher("demo", "--port", "" + port), port)) {
      ChromeDriver driver = HeadlessBrowser.start();
      try {
        driver.manage().timeouts().scriptTimeout(Duration.ofSeconds(20));
        driver.executeCdpCommand("Page.addScriptToEvaluateOnNewDocument", Map.of("source", WATCH));
        driver.executeCdpCommand("Network.enable", Map.of());
        measure(driver, server.address());
      } finally {
        driver.quit();
      }
    }
  }

  private static void measure(ChromeDriver driver, String address) {
    cache(driver, false);
    driver.get(address + "/clients");
    String client =
        driver
            .executeAsyncScript(
                """
                const done = arguments[0]
                fetch('/api/clients?q=ines').then((r) => r.json()).then((found) =>
                  done('/clients/' + found.clients[0].id + '/bands'))
                """)
            .toString();
    for (String place : PLACES) {
      driver.get(address + place);
      // Whatever it shows has been asked for once nothing has come for a while.
      driver.executeAsyncScript(QUIET);
      report(driver, "script of a first load, " + place);
    }
    driver.get(address + client);
    usable(driver);
    report(driver, "script of a first load, a client's bands");

    double[] cold = new double[ROUNDS];
    double[] warm = new double[ROUNDS];
    for (int round = 0; round < ROUNDS; round++) {
      cache(driver, false);
      driver.get(address + client);
      cold[round] = usable(driver);
      cache(driver, true);
      driver.get(address + client);
      driver.get(address + client);
      warm[round] = usable(driver);
    }
    System.out.println(new Sample("a client's bands usable, nothing cached", "ms", cold).line());
    System.out.println(new Sample("a client's bands usable, script cached", "ms", warm).line());
  }

  private static void cache(ChromeDriver driver, boolean use) {
    driver.executeCdpCommand("Network.setCacheDisabled", Map.of("cacheDisabled", !use));
  }

  private static double usable(ChromeDriver driver) {
    return ((Number) driver.executeAsyncScript("window.usableAt.then(arguments[0])")).doubleValue();
  }

  private static void report(ChromeDriver driver, String what) {
    @SuppressWarnings("unchecked")
    List<Number> sizes =
        (List<Number>)
            driver.executeScript(
                """
                const scripts = performance.getEntriesByType('resource')
                  .filter((each) => each.name.endsWith('.js'))
                return [
                  scripts.length,
                  scripts.reduce((sum, each) => sum + each.encodedBodySize, 0),
                  scripts.reduce((sum, each) => sum + each.decodedBodySize, 0),
                ]
                """);
    System.out.printf(
        Locale.ROOT,
        "%-44s %d files, %.1f kB gzipped, %.1f kB as it is%n",
        what,
        sizes.get(0).intValue(),
        sizes.get(1).doubleValue() / 1000,
        sizes.get(2).doubleValue() / 1000);
  }
}
