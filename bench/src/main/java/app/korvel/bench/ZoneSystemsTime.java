package app.korvel.bench;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import org.openqa.selenium.By;
import org.openqa.selenium.chrome.ChromeDriver;

/**
 * Every zone system for one client: what the server takes, and what the cursor costs on the page.
 */
final class ZoneSystemsTime {
  private static final int WARM_UP = 3_000;
  private static final int EXCHANGES = 3_000;
  private static final int FRAMES = 300;

  /**
   * Moves the cursor once a frame, to and fro; a message to oneself is heard once the handlers of a
   * move and all that they changed in the document are done.
   */
  private static final String MOVE =
      """
      const done = arguments[1]
      const svg = document.querySelector('.ruler svg')
      const box = svg.getBoundingClientRect()
      const costs = []
      function frame(n) {
        if (n === arguments_[0]) return done(costs)
        const x = box.left + box.width * (0.3 + 0.4 * Math.abs(((n * 7) % 200) / 100 - 1))
        const from = performance.now()
        svg.dispatchEvent(new PointerEvent('pointermove',
          { clientX: x, clientY: box.top + 20, buttons: 1, bubbles: true }))
        const line = new MessageChannel()
        line.port1.onmessage = () => {
          costs.push(performance.now() - from)
          requestAnimationFrame(() => frame(n + 1))
        }
        line.port2.postMessage(0)
      }
      const arguments_ = arguments
      requestAnimationFrame(() => frame(0))
      """;

  void run() throws IOException {
    int port = KorvelProcess.freePort();
    try (KorvelProcess server =
        KorvelProcess.ready(KorvelProcess.launcher("demo", "--port", "" + port), port)) {
      ChromeDriver driver = HeadlessBrowser.start();
      try {
        driver.manage().timeouts().scriptTimeout(Duration.ofSeconds(60));
        driver.get(server.address() + "/clients");
        String client =
            driver
                .executeAsyncScript(
                    """
                    const done = arguments[0]
                    fetch('/api/clients?q=ines').then((r) => r.json()).then((found) =>
                      done('/clients/' + found.clients[0].id))
                    """)
                .toString();
        exchange(port, "/api" + client + "/schools");
        page(driver, server.address() + client + "/bands/schools");
      } finally {
        driver.quit();
      }
    }
  }

  /**
   * The whole exchange over one connection: records read, every zone system worked out, written.
   */
  private static void exchange(int port, String path) throws IOException {
    byte[] request = Connection.get(port, path);
    double[] times = new double[EXCHANGES];
    int bytes = 0;
    for (int i = -WARM_UP; i < EXCHANGES; i++) {
      // The server closes a connection after a hundred requests.
      if ((i + WARM_UP) % 100 == 0) {
        bytes = measure(port, request, times, i);
      }
    }
    System.out.println(new Sample("every school of a client, whole exchange", "ms", times).line());
    System.out.println("  an answer has " + bytes + " bytes");
  }

  private static int measure(int port, byte[] request, double[] times, int from)
      throws IOException {
    int bytes = 0;
    try (Connection connection = new Connection(port)) {
      for (int i = from; i < from + 100; i++) {
        long started = System.nanoTime();
        bytes = connection.exchange(request);
        if (i >= 0) {
          times[i] = (System.nanoTime() - started) / 1e6;
        }
      }
    }
    return bytes;
  }

  private static void page(ChromeDriver driver, String address) {
    driver.get(address);
    driver.manage().timeouts().implicitlyWait(Duration.ofSeconds(20));
    driver.findElement(By.cssSelector(".ruler .calls"));
    driver.executeAsyncScript(MOVE, FRAMES);
    @SuppressWarnings("unchecked")
    List<Number> costs = (List<Number>) driver.executeAsyncScript(MOVE, FRAMES);
    System.out.println(
        new Sample(
                "script of a frame while the cursor moves",
                "ms",
                costs.stream().mapToDouble(Number::doubleValue).toArray())
            .line());
  }
}
