package app.korvel.browser;

import app.korvel.bench.KorvelProcess;
import app.korvel.server.KorvelServer;
import app.korvel.store.Database;
import app.korvel.store.Store;
import app.korvel.studio.demo.DemoData;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import org.openqa.selenium.Keys;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;

/**
 * A server with demo data in a folder of its own, whose clock is set together with the page's, and
 * which can be stopped and started again at the same address.
 */
final class ClockedDemo implements AutoCloseable {
  private final Desk desk = Desk.asLeft();
  private final Path folder;
  private final int port;
  private Duration passed = Duration.ZERO;

  /** It begins in the morning, whenever it is run: no day ends in the middle of a test. */
  private final Instant morning =
      LocalDate.now().atTime(LocalTime.of(9, 0)).atZone(ZoneId.systemDefault()).toInstant();

  private final Duration toMorning = Duration.between(Instant.now(), morning);
  private ConfigurableApplicationContext server;

  private final Clock clock =
      new Clock() {
        @Override
        public ZoneId getZone() {
          return ZoneId.systemDefault();
        }

        @Override
        public Clock withZone(ZoneId zone) {
          throw new UnsupportedOperationException();
        }

        @Override
        public Instant instant() {
          return Instant.now().plus(toMorning).plus(passed);
        }
      };

  ClockedDemo(Path folder) throws IOException {
    this.folder = folder;
    port = KorvelProcess.freePort();
    try (Database database = Database.open(folder.resolve("korvel.db"))) {
      Store store = Store.of(database);
      store.studio().ensure("Crew", clock.getZone(), clock.instant());
      new DemoData(store, clock.instant()).write();
    }
    serve();
  }

  /** Starts it, at first or again. */
  void serve() {
    server =
        new SpringApplicationBuilder(KorvelServer.class)
            .initializers(
                context ->
                    ((GenericApplicationContext) context)
                        .registerBean(
                            "clockThatIsSet",
                            Clock.class,
                            () -> clock,
                            bean -> bean.setPrimary(true)))
            .run("--server.port=" + port, "--korvel.data=" + folder, "--korvel.demo=false");
  }

  /** Stops it; the data stay. */
  @Override
  public void close() {
    server.close();
  }

  /**
   * Time goes on for the server and for the page, once no answer is on its way: one that tells of
   * the time before would set the page's clock wrong.
   */
  void pass(int minutes, int seconds) {
    desk.answered();
    Duration time = Duration.ofMinutes(minutes).plusSeconds(seconds);
    passed = passed.plus(time);
    desk.letPass(time);
  }

  /** Opens a page. */
  void open(String path) {
    desk.driver().get("http://127.0.0.1:" + port + path);
  }

  /** Opens a page of a client. */
  void openClient(String name, String page) {
    desk.driver().get("http://127.0.0.1:" + port + "/clients?q=" + name);
    desk.driver().executeScript("localStorage.began ??= arguments[0]", "" + morning.toEpochMilli());
    desk.await(() -> desk.all("a.name").size() == 1);
    String href = desk.one("a.name").getDomProperty("href");
    desk.driver().get(href.replaceAll("(/clients/[^/]+).*", "$1/" + page));
  }

  /** Picks a field test, makes sure of everything, and begins it. */
  void begin(String test, int warmedUpMinutes) {
    desk.click("button[aria-label='Pick " + test + "']");
    desk.type("warmedUp", "" + warmedUpMinutes);
    for (String sure : new String[] {"not-alone", "falls-and-joints", "help-at-hand"}) {
      desk.click("input[name=" + sure + "]");
    }
    desk.press("Start the warm-up");
    desk.one("[aria-label='Stop signs']");
  }

  /** Waits until the run is in that phase. */
  void title(String text) {
    desk.await(() -> desk.texts(".do h2").contains(text));
  }

  /** Notes a reading by keyboard. */
  void read(int bpm) {
    desk.click("h1");
    desk.keys("r");
    desk.await(() -> desk.focused().equals("Rate"));
    desk.keys("" + bpm, Keys.ENTER);
  }
}
