package app.korvel.bench;

import java.util.List;
import java.util.Map;
import org.openqa.selenium.chrome.ChromeDriver;

/** How much script a page has run, as the browser counts it. */
final class PageScript {
  private PageScript() {}

  /** All of it so far, in seconds; {@code Performance.enable} has been sent before. */
  static double seconds(ChromeDriver driver) {
    List<?> metrics =
        (List<?>) driver.executeCdpCommand("Performance.getMetrics", Map.of()).get("metrics");
    return metrics.stream()
        .map(each -> (Map<?, ?>) each)
        .filter(each -> "ScriptDuration".equals(each.get("name")))
        .mapToDouble(each -> ((Number) each.get("value")).doubleValue())
        .findFirst()
        .orElseThrow();
  }
}
