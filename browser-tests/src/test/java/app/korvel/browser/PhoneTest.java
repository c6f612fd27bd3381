package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.WebElement;

/** A phone: the places under the thumb, the calendar at today, nothing said of keys. */
class PhoneTest {
  private Desk desk;

  @BeforeEach
  void hold() {
    desk = Desk.get();
    desk.size(390, 844);
  }

  @AfterEach
  void putDown() {
    desk.size(1280, 800);
  }

  private boolean inView(String css) {
    return (Boolean)
        desk.driver()
            .executeScript(
                """
                const box = document.querySelector(arguments[0])?.getBoundingClientRect()
                return !!box && box.top >= 0 && box.bottom <= innerHeight
                """,
                css);
  }

  @Test
  void thePlacesAreUnderTheThumbAndTheOthersUnderMore() {
    desk.open("/today");
    desk.sees("To check in");
    WebElement bar = desk.one("nav[aria-label=Places]");
    assertThat(bar.getRect().getY()).isGreaterThan(750);
    assertThat(desk.reads("Methods")).isFalse();
    assertThat(desk.all("kbd").stream().filter(WebElement::isDisplayed)).isEmpty();
    desk.press("More");
    desk.press("Methods");
    desk.sees("Everything Korvel calculates");
    assertThat(desk.reads("Practice")).isFalse();
    desk.press("Clients");
    desk.sees("Agnethe Moravik");
  }

  @Test
  void theCalendarOpensAtToday() {
    desk.open("/calendar");
    desk.await(() -> !desk.all("li.today").isEmpty());
    desk.await(() -> inView("li.today .date"));
    desk.driver().executeScript("scrollTo(0, 0)");
    desk.click(".turn button[aria-label=Today]");
    desk.await(() -> inView("li.today .date"));
    assertThat(inView(".turn")).isTrue();
  }

  /** What is offered after a change lies over nothing that can be reached. */
  @Test
  void theEndOfAPageCanBeBroughtAboveTheBars() {
    desk.openClient("Ines", "details");
    desk.sees("Erase for good");
    desk.press("Archive this client");
    desk.sees("is archived.");
    desk.keys("u");
    desk.sees("Undone:");
    desk.await(() -> desk.all("[name=erase]").size() == 1);
    desk.driver().executeScript("scrollTo(0, document.body.scrollHeight)");
    desk.await(
        () ->
            (Boolean)
                desk.driver()
                    .executeScript(
                        """
                        const end = document.querySelector('.erase button').getBoundingClientRect()
                        const bars = document.querySelector('.rail').getBoundingClientRect()
                        return end.bottom <= bars.top
                        """));
  }
}
