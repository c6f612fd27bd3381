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
    options.setBinary("/usr/bin/chromium");
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
}
