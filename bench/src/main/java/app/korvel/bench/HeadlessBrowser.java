package app.korvel.bench;

import java.io.File;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;

/** Debian's Chromium without a monitor and without a network, at the reference size. */
public final class HeadlessBrowser {
  private HeadlessBrowser() {}

  /** Starts one. */
  public static ChromeDriver start() {
    ChromeDriverService service =
        new ChromeDriverService.Builder()
            .usingDriverExecutable(new File("/usr/bin/chromedriver"))
            .usingAnyFreePort()
            .build();
    ChromeOptions options = new ChromeOptions();
    options.setBinary(browser());
    options.addArguments(
        "--headless",
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--disable-dev-shm-usage",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        "--hide-scrollbars",
        "--window-size=1280,800");
    return new ChromeDriver(service, options);
  }

  /** The one that is asked for; else the small one, which starts four times as fast. */
  private static File browser() {
    File small = new File("/usr/bin/chromium-headless-shell");
    String whole = "/usr/bin/chromium";
    return new File(
        System.getProperty("korvel.browser", small.canExecute() ? small.getPath() : whole));
  }
}
