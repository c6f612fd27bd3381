package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** What daily tasks take, in keys and in clicks, as the page itself counts them. */
class TasksTest {
  private static final List<String> YES_OR_NO =
      List.of(
          "Any of these, at rest or with effort?",
          "Are any of these known?",
          "Which medications do they take?",
          "Pregnancy, falls, joints",
          "Has a clinician written a limit?");

  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  private void count() {
    desk.driver()
        .executeScript(
            """
            window.counted = { keydown: 0, click: 0 }
            for (const kind of Object.keys(counted))
              document.addEventListener(kind, (event) => {
                const held = ['Control', 'Shift', 'Alt', 'Meta'].includes(event.key)
                // Enter on a button is one key, and no click of the mouse.
                if (event.isTrusted && !held && (kind !== 'click' || event.detail > 0))
                  counted[kind]++
              }, true)
            """);
  }

  private int counted(String kind) {
    return ((Number) desk.driver().executeScript("return counted[arguments[0]]", kind)).intValue();
  }

  private static String born() {
    return LocalDate.now()
        .minusYears(46)
        .minusDays(9)
        .format(DateTimeFormatter.ofPattern("MMddyyyy"));
  }

  @Test
  void aFirstClientFromAddingToTheCardByKeyboard() {
    desk.openEmpty("/today");
    desk.one("h1");
    count();
    desk.keys("2");
    desk.sees("Add client");
    desk.keys("n");
    desk.sees("Used only where an equation needs it.");
    desk.keys("Eelis Tamm", Keys.TAB, born(), Keys.ENTER);
    desk.sees("How active are they now?");
    desk.await(() -> !desk.focused().isEmpty());
    desk.keys(Keys.ARROW_DOWN, Keys.ARROW_DOWN, Keys.ENTER);
    for (String question : YES_OR_NO) {
      desk.await(question, () -> desk.texts(".open h2").contains(question));
      desk.answered();
      desk.keys(Keys.ENTER);
    }
    desk.await("the plan", () -> desk.texts(".open h2").contains("Goal, days and equipment"));
    desk.answered();
    desk.keys(Keys.ARROW_DOWN, Keys.TAB);
    // Monday, Wednesday, Friday.
    desk.keys(" ", Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, " ");
    desk.keys(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, " ", Keys.ENTER);
    desk.await("the next step", () -> desk.focused().contains("Pulse: none counted yet"));
    desk.keys(Keys.ENTER);
    desk.sees("Take a resting pulse");
    desk.answered();
    desk.keys("32");
    desk.sees("64");
    desk.answered();
    desk.keys(Keys.ENTER);
    desk.sees("64 bpm is saved.");
    desk.sees("Next: Prescription: none yet");
    desk.keys(Keys.ESCAPE, "n");
    desk.sees("moderate-equivalent min");
    desk.answered();
    desk.held(Keys.CONTROL, Keys.ENTER);
    desk.await("the card", () -> desk.focused().contains("Open the card"));
    desk.keys(Keys.ENTER);
    desk.sees("Card of Eelis Tamm");
    assertThat(counted("keydown")).isLessThanOrEqualTo(120);
    assertThat(counted("click")).isZero();
  }

  @Test
  void aFirstClientFromAddingToTheCardByClicks() {
    desk.openEmpty("/clients");
    desk.sees("Add client");
    count();
    desk.press("Add client");
    desk.sees("Used only where an equation needs it.");
    desk.type("name", "Wren Adeyemi");
    desk.click("input[name=birthDate]");
    desk.keys(Keys.HOME, born());
    desk.press("Add and start the screening");
    desk.sees("How active are they now?");
    desk.press("Some");
    desk.press("Save and next");
    for (String question : YES_OR_NO) {
      desk.await(question, () -> desk.texts(".open h2").contains(question));
      desk.answered();
      desk.press("None: next");
    }
    desk.await("the plan", () -> desk.texts(".open h2").contains("Goal, days and equipment"));
    desk.answered();
    desk.press("Endurance");
    for (String day : List.of("Mon", "Wed", "Fri")) {
      desk.press(day);
    }
    desk.press("Save and finish");
    // The path names the pulse before the answers are saved; leaving then would be warned of.
    desk.await("the next step", () -> desk.focused().contains("Pulse: none counted yet"));
    desk.press("Pulse: none counted yet");
    desk.sees("Take a resting pulse");
    desk.answered();
    desk.keys("32");
    desk.answered();
    desk.press("Save");
    desk.sees("64 bpm is saved.");
    desk.press("Next: Prescription: none yet");
    desk.sees("moderate-equivalent min");
    desk.answered();
    desk.press("Save as version 1");
    desk.press("Open the card");
    desk.sees("Card of Wren Adeyemi");
    assertThat(counted("click")).isLessThanOrEqualTo(25);
  }

  @Test
  void tenPupilsFromAList() {
    desk.openEmpty("/clients");
    desk.sees("Add client");
    count();
    desk.press("Add several");
    String list =
        IntStream.rangeClosed(1, 10)
            .mapToObj(n -> "Pupil " + Character.toString('A' + n) + ", " + n + ".3.2012, f")
            .collect(Collectors.joining("\n"));
    desk.await("the list", () -> desk.all("textarea").size() == 1);
    desk.driver()
        .executeScript(
            """
            const field = document.querySelector('textarea')
            field.value = arguments[0]
            field.dispatchEvent(new Event('input'))
            """,
            list);
    desk.sees("10 people");
    desk.press("Add 10 clients");
    desk.sees("10 clients added.");
    desk.sees("Pupil K");
    assertThat(counted("click")).isLessThanOrEqualTo(10);
    // All of them go away again with one key, and nobody else.
    desk.keys("u");
    desk.sees("Undone: 10 clients added.");
    desk.await(() -> !desk.reads("Pupil K"));
  }
}
