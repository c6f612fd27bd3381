package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** Everything that is computed and decided, with its source, found by typing and by link. */
class MethodsTest {
  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  @Test
  void anEntryIsFoundByTyping() {
    desk.open("/methods");
    desk.sees("Equations for the maximum");
    WebElement search = desk.one("input[type=search]");
    search.sendKeys("brawner");
    desk.await(() -> desk.all("section").size() == 3);
    desk.sees("Findings: maximum heart rate");
    desk.sees("164 − 0.7 × age");
    desk.sees("± 18 bpm (standard error).");
    desk.sees("Coronary disease, on beta-blockers");
    desk.soon(() -> assertThat(desk.driver().getCurrentUrl()).endsWith("q=brawner"));
    search.sendKeys(Keys.chord(Keys.CONTROL, "a"), "zzz");
    desk.sees("Nothing contains “zzz”.");
    search.sendKeys(Keys.ESCAPE);
    desk.sees("Decision thresholds");
    search.sendKeys("smallest reserve");
    desk.sees("40 bpm");
  }

  @Test
  void whatShipsIsListedWithALicenceThatCanBeRead() {
    desk.open("/studio");
    desk.press("About Korvel: its version, and the licences of what ships");
    desk.sees("Version 0.1.0");
    desk.sees("openhtmltopdf-core");
    desk.click("button[aria-label='MIT, of vue']");
    desk.sees("Permission is hereby granted, free of charge");
    desk.keys(Keys.ESCAPE);
    desk.await(() -> desk.all("[role=dialog]").isEmpty());
    desk.click("button[aria-label^='OFL-1.1, of Atkinson Hyperlegible Next']");
    desk.sees("SIL OPEN FONT LICENSE");
  }

  /** No number leads nowhere: every link to the methods has its entry. */
  @Test
  void everyLinkHasItsEntry() {
    Set<String> links = new LinkedHashSet<>();
    for (String step : List.of("pulse", "maximum", "bands", "prescription")) {
      desk.openClient("Hyun-woo", step);
      links.addAll(linked());
    }
    for (String tool :
        List.of("pulse", "maximum", "target", "bands?rest=64&max=176&scheme=rest-plus", "counts")) {
      desk.open("/desk/" + tool);
      desk.sees("the working");
      links.addAll(linked());
    }
    assertThat(links).hasSizeGreaterThan(25);
    desk.open("/methods");
    desk.sees("Equations for the maximum");
    for (String link : links) {
      desk.soon(() -> assertThat(desk.all("[id='" + link + "']")).as(link).hasSize(1));
    }
  }

  @SuppressWarnings("unchecked")
  private List<String> linked() {
    desk.await(() -> !desk.all("a[href*='/methods#']").isEmpty());
    return (List<String>)
        desk.driver()
            .executeScript(
                "return [...document.querySelectorAll('a[href*=\"/methods#\"]')].map("
                    + "(link) => link.hash.slice(1))");
  }
}
