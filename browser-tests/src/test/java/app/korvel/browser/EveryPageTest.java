package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every page: readable for everyone, and whole at every width. */
class EveryPageTest {

  private static Desk opened(String client, String page, String text) {
    Desk desk = Desk.get();
    if (client.equals("-")) {
      desk.open(page);
    } else {
      desk.openClient(client, page);
    }
    desk.sees(text);
    return desk;
  }

  @ParameterizedTest
  @CsvSource({
    "-, /clients, Agnethe Moravik",
    "-, /clients/new, Present activity",
    "-, /methods, Equations for the maximum",
    "-, /nowhere, nothing at this address",
    "Ines, screening, May be prescribed for",
    "Ines, pulse, Working resting value",
    "Ines, maximum, is the default",
    "Ines, bands, what each band is",
    "Ines, prescription, moderate-equivalent min",
    "Ragnar, prescription, Draft only",
    "Pilar, bands, No bands by rate",
  })
  void noSeriousFindingAndNoSidewaysScrolling(String client, String page, String text) {
    Desk desk = opened(client, page, text);
    List<Rule> serious =
        new AxeBuilder()
            .analyze(desk.driver()).getViolations().stream()
                .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                .toList();
    assertThat(serious)
        .as(
            serious.stream()
                .map(rule -> rule.getId() + " " + rule.getNodes().get(0).getHtml())
                .toList()
                .toString())
        .isEmpty();
    for (int width : new int[] {390, 768, 1280, 1920}) {
      desk.size(width, 844);
      desk.await(
          () ->
              (Boolean)
                  desk.driver()
                      .executeScript(
                          "return document.documentElement.scrollWidth <= window.innerWidth"));
    }
  }
}
