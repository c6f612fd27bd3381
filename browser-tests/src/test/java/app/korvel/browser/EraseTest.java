package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Erasing a client for good, after a written confirmation. */
class EraseTest {
  @Test
  void onlyWhoIsNamedIsErased() {
    Desk desk = Desk.get();
    desk.openClient("Jonas", "details");
    desk.sees("Erase for good");
    desk.type("erase", "Jonas");
    desk.press("Erase this client");
    desk.sees("Is not this client's name. Accepted: Jonas Pellworth.");
    desk.one("[name=erase]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "Jonas Pellworth");
    desk.press("Erase this client");
    desk.sees("Jonas Pellworth and everything recorded of them is erased.");
    desk.sees("Agnethe Moravik");
    assertThat(desk.texts("a.name")).isNotEmpty().doesNotContain("Jonas Pellworth");
    desk.open("/log");
    desk.sees("Logged lately");
    assertThat(desk.reads("Jonas")).isFalse();
  }
}
