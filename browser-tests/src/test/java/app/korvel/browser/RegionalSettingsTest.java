package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** The units and customs of a studio: chosen once, read and entered everywhere. */
class RegionalSettingsTest {
  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  private void pick(String group, String option) {
    WebElement button =
        desk.await(
            () ->
                desk.all("[role=radiogroup][aria-label='" + group + "'] button").stream()
                    .filter(each -> each.getText().equals(option))
                    .findFirst()
                    .orElse(null));
    button.click();
    desk.await(() -> "true".equals(button.getDomAttribute("aria-checked")));
    desk.answered();
  }

  @Test
  void whatIsChosenIsReadAndEnteredEverywhere() {
    desk.open("/studio");
    desk.sees("Units and customs");
    pick("Weight", "lb");
    pick("Height", "ft and in");
    pick("Time of day", "6:30 pm");
    pick("First day of the week", "Sunday");
    pick("Paper", "Letter");

    // Heights and weights are entered in feet, inches and pounds, and come back so.
    desk.openClient("Ines", "screening");
    desk.click("[aria-label='Change: Goal, days and equipment']");
    desk.one("[name=heightCm]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "5");
    desk.one("[name=inches]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "10");
    desk.one("[name=weightKg]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "1800");
    desk.press("Save and finish");
    desk.sees("This is outside the accepted range. Accepted: a number from 34 to 771 lb.");
    desk.one("[name=weightKg]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "180");
    desk.press("Save and finish");
    desk.await(() -> desk.all("[name=weightKg]").isEmpty());
    desk.click("[aria-label='Change: Goal, days and equipment']");
    desk.soon(
        () -> {
          assertThat(desk.one("[name=weightKg]").getDomProperty("value")).isEqualTo("180");
          assertThat(desk.one("[name=heightCm]").getDomProperty("value")).isEqualTo("5");
          assertThat(desk.one("[name=inches]").getDomProperty("value")).isEqualTo("10");
        });
    // The days begin with Sunday, here and in the calendar.
    assertThat(desk.texts("[aria-label='Days they can train'] button")).startsWith("Sun", "Mon");
    desk.open("/calendar");
    desk.await(() -> !desk.all(".grid .weekday").isEmpty());
    assertThat(desk.texts(".grid .weekday").get(0)).isEqualTo("Sun");
    desk.open("/cards");
    desk.await(
        () ->
            desk.all("[aria-label='Paper'] [aria-checked=true]").stream()
                .anyMatch(each -> each.getText().equals("Letter")));

    // One key takes the last choice back.
    desk.open("/studio");
    pick("Weight", "kg");
    desk.keys("u");
    desk.sees("Undone: Units and customs are changed.");
    desk.await(
        () ->
            desk.all("[aria-label='Weight'] [aria-checked=true]").stream()
                .anyMatch(each -> each.getText().equals("lb")));
  }
}
