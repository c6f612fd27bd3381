package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Without a mouse: from the search to a saved prescription. */
class KeyboardTest {
  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  @Test
  void theWholePathByKeyboard() {
    desk.open("/clients");
    desk.sees("Yara Fonotele");
    desk.keys("/");
    desk.keys("yara");
    desk.await(() -> desk.all("a.name").size() == 1);
    desk.keys(Keys.ARROW_DOWN);
    desk.soon(() -> assertThat(desk.focused()).isEqualTo("Yara Fonotele"));
    desk.keys(Keys.ENTER);
    desk.sees("what each zone is");

    desk.tabTo("Pulse");
    desk.keys(Keys.ENTER);
    desk.sees("Take a resting pulse");
    desk.tabTo("Start");
    desk.keys(Keys.SPACE);
    desk.letCount(30);
    desk.await(() -> desk.focused().equals("Beats in 30 s"));
    desk.keys("31", Keys.ENTER);
    desk.sees("62 bpm is saved.");

    desk.one("h1");
    desk.tabTo("Prescription");
    desk.keys(Keys.ENTER);
    desk.sees("Save as version 2");
    desk.tabTo("Minutes of work");
    // Tabbing into a field selects what is in it.
    desk.keys("35");
    desk.sees("52 min in all");
    desk.tabTo("Save as version 2");
    desk.keys(Keys.ENTER);
    desk.sees("Version 2 is saved.");
  }

  @Test
  void theDeskByKeyboard() {
    desk.open("/clients");
    desk.sees("Yara Fonotele");
    desk.click("h1");
    desk.keys("5");
    desk.sees("The count: the working");
    desk.keys("]");
    desk.sees("208 − 0.7 × age: the working");
    desk.keys("]");
    desk.sees("The target: the working");
    desk.tabTo("Resting");
    desk.keys("60");
    desk.tabTo("Maximum");
    desk.keys("190", Keys.TAB, "150");
    desk.sees("capped at 150");
    desk.tabTo("Ruler from rest to maximum");
    desk.keys(Keys.HOME);
    desk.await(() -> desk.one("[role=slider]").getDomAttribute("aria-valuenow").equals("60"));
    desk.tabTo("Check my sum");
    desk.keys(Keys.ENTER);
    desk.await(() -> desk.focused().equals("Reserve"));
    desk.keys("130", Keys.ENTER);
    desk.sees("Correct so far; empty steps were skipped.");
    desk.keys(Keys.BACK_SPACE, "1", Keys.ENTER);
    desk.sees("The first wrong figure. 190 − 60 comes to 130.");
  }

  @Test
  void theSearchIsReachedFromEverywhere() {
    for (String page : new String[] {"/calculators/counts", "/methods", "/clients/new"}) {
      desk.open(page);
      desk.click("h1");
      desk.keys("/");
      desk.await(() -> desk.focused().equals("Find a client by name"));
      desk.keys("ines", Keys.ENTER);
      desk.await(() -> desk.one("h1").getText().equals("Ines Okafor-Lund"));
    }
  }

  @Test
  void alongTheStepsAndThePlacesByOneKey() {
    desk.openClient("Yara", "pulse");
    desk.sees("Take a resting pulse");
    desk.click("h1");
    desk.keys("]");
    desk.sees("is the default.");
    desk.keys("]");
    desk.sees("what each zone is");
    desk.keys("[");
    desk.sees("is the default.");
    desk.keys("5");
    desk.sees("The count: the working");
    desk.keys("]");
    desk.sees("208 − 0.7 × age: the working");
    desk.keys("7");
    desk.sees("Equations for the maximum");
    // In a field a key is only a letter.
    desk.one("input[type=search]").sendKeys("1?u");
    desk.sees("Nothing contains “1?u”.");
  }

  @Test
  void singleKeysCanBeTurnedOff() {
    desk.open("/methods");
    desk.sees("Equations for the maximum");
    desk.keys("?");
    desk.sees("Keys on this screen");
    desk.click("label[for=single-keys]");
    desk.keys(Keys.ESCAPE);
    desk.await(() -> desk.all("[role=dialog]").isEmpty());
    desk.keys("2", "?");
    desk.sees("Keys on this screen");
    desk.soon(() -> assertThat(desk.driver().getCurrentUrl()).contains("/methods"));
    desk.click("label[for=single-keys]");
    desk.keys(Keys.ESCAPE);
    desk.await(() -> desk.all("[role=dialog]").isEmpty());
    desk.keys("2");
    desk.sees("Agnethe Moravik");
  }

  @Test
  void questionMarkListsTheKeysOfTheScreen() {
    desk.openClient("Ines", "bands");
    desk.sees("what each zone is");
    desk.keys("?");
    desk.sees("Keys on this screen");
    desk.sees("move the cursor by 1 bpm");
    desk.keys(Keys.ESCAPE);
    desk.await(() -> desk.all("[role=dialog]").isEmpty());
  }
}
