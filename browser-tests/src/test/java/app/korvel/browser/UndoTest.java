package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Records that change their mind: nothing is lost, and what was done can be undone. */
class UndoTest {
  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  private void undo() {
    desk.click("h1");
    desk.keys("u");
  }

  @Test
  void anotherEquationIsPickedWithAReasonAndUndone() {
    desk.openClient("Sefa", "maximum");
    desk.sees("is used: there is no better one");
    String byRule = desk.one(".big b").getText();
    desk.click("button[aria-label='Use 220 − age']");
    desk.sees("Use 220 − age (");
    desk.sees("In use now");
    desk.await(() -> desk.all("[aria-label='What changes'] li").size() == 6);
    desk.await(() -> desk.focused().equals("Your reason"));
    desk.keys(Keys.ENTER);
    desk.sees("Is empty. Accepted: 3 to 200 characters.");
    desk.keys("the coach asks for it", Keys.ENTER);
    desk.sees("220 − age is in use.");
    desk.await(() -> desk.one("li.chosen").getText().contains("your choice"));
    assertThat(desk.one(".big b").getText()).isNotEqualTo(byRule);
    desk.click(".findings summary");
    desk.sees("Your reason: “the coach asks for it”.");
    desk.soon(
        () -> assertThat(desk.one(".path a[href$='/maximum']").getText()).contains("your choice"));

    undo();
    desk.await(() -> desk.one(".big b").getText().equals(byRule));
    desk.await(() -> desk.one("li.chosen").getText().contains("in use"));
    desk.press("Previous choices");
    desk.sees("back to the default");
    // Equations that do not apply say why, and cannot be picked.
    desk.sees("Derived from adults.");
    assertThat(desk.all("button[aria-label='Use 206 − 0.88 × age']")).isEmpty();
  }

  @Test
  void aReadingIsPutRightAndTheOldOneStaysOnRecord() {
    desk.openClient("Lupe", "pulse");
    desk.sees("Working resting value");
    String first = desk.one("tbody .rate span").getText().replaceAll("\\D", "");
    desk.click("button[aria-label^='Edit the " + first + "']");
    desk.sees("Edit the reading of");
    desk.type("beats", "0");
    desk.sees("Accepted:");
    desk.press("60 s");
    desk.type("beats", "77");
    desk.sees("77 is usual for rest.");
    desk.keys(Keys.ENTER);
    desk.await(() -> desk.one("tbody tr s").getText().equals(first));
    desk.soon(() -> assertThat(desk.one("tbody .rate").getText()).startsWith("77"));
    desk.sees("The reading of " + first + " is corrected.");

    undo();
    desk.await(() -> desk.one("tbody .rate").getText().startsWith(first));
  }

  /** The source and the circumstances of the bench. */
  private List<String> pressed() {
    return desk.texts(
        ".source button[aria-checked=true], .circumstances button[aria-checked=true]");
  }

  /** An old reading's circumstances are its own: the next count starts from those of the bench. */
  @Test
  void whatAnOldReadingSaidIsNotTakenForTheNextCount() {
    desk.openClient("Tomasz", "pulse");
    desk.sees("Working resting value");
    List<String> before = pressed();
    assertThat(before).containsExactly("Counted", "Seated", "Wrist");
    for (String way : new String[] {"Cancel", "Save changes"}) {
      desk.click("button[aria-label^='Edit the']");
      desk.await(() -> pressed().equals(List.of("Strap", "Lying")));
      desk.press(way);
      desk.await(() -> pressed().equals(before));
      desk.soon(
          () ->
              assertThat(desk.one("input[name=minutesRested]").getDomProperty("value"))
                  .isEqualTo("5"));
      assertThat(desk.one("input[name=beats]").getDomProperty("value")).isEmpty();
    }
  }

  @Test
  void aReadingIsTakenBackAndComesBack() {
    desk.openClient("Noor", "pulse");
    desk.sees("Working resting value");
    int before = desk.all("figure [role=img] path").size();
    desk.click("button[aria-label^='Edit the']");
    desk.press("Delete");
    desk.sees("is deleted.");
    desk.await(() -> desk.all("figure [role=img] path").size() < before);
    desk.press("Undo");
    desk.await(() -> desk.all("figure [role=img] path").size() == before);
  }

  @Test
  void aClientIsArchivedBroughtBackAndNothingIsAddedMeanwhile() {
    desk.openClient("Dmitri", "details");
    desk.press("Archive this client");
    desk.sees("Dmitri Halvor-Cho is archived.");
    desk.sees("Archived: 2");
    assertThat(desk.texts("a.name")).doesNotContain("Dmitri Halvor-Cho");
    desk.press("Archived: 2");
    desk.sees("Archived clients");
    desk.press("Dmitri Halvor-Cho");
    desk.sees("The records are kept and can be read; nothing is added to them.");
    desk.click(".path a[href$='/pulse']");
    desk.soon(() -> assertThat(desk.one("button[type=submit]").isEnabled()).isFalse());
    desk.press("Restore");
    desk.await(() -> desk.all(".archived").isEmpty());
    desk.soon(() -> assertThat(desk.one("button[type=submit]").isEnabled()).isTrue());

    desk.openClient("Dmitri", "details");
    desk.press("Archive this client");
    desk.sees("Dmitri Halvor-Cho is archived.");
    undo();
    desk.await(() -> desk.driver().getCurrentUrl().endsWith("/details"));
    desk.sees("Archive this client");
  }

  /** On a phone, with a thumb's reach of keys: a reason is written, refused, mended and kept. */
  @Test
  void anEquationIsPickedOnAPhone() {
    desk.size(390, 844);
    desk.openClient("Keola", "maximum");
    desk.sees("208 − 0.7 × age is the default.");
    desk.click("button[aria-label='Use 202.5 − 0.53 × age']");
    desk.sees("In use now");
    desk.await(() -> desk.focused().equals("Your reason"));
    desk.keys("ab", Keys.ENTER);
    desk.sees("Is too short. Accepted: 3 to 200 characters.");
    desk.keys(" peak of 187 in the autumn run", Keys.ENTER);
    desk.sees("202.5 − 0.53 × age is in use.");
    desk.press("Back to the default");
    desk.sees("The default is in use again.");
    desk.press("Undo");
    desk.await(() -> desk.one("li.chosen").getText().contains("your choice"));
    desk.press("Back to the default");
    desk.await(() -> desk.one("li.chosen").getText().contains("in use"));
  }

  /** What somebody else has corrected meanwhile is not corrected a second time. */
  @Test
  void theSecondToPutAReadingRightIsTold() {
    desk.openClient("Agnethe", "pulse");
    desk.sees("Working resting value");
    desk.click("button[aria-label^='Edit the']");
    desk.sees("Edit the reading of");
    desk.driver()
        .executeAsyncScript(
            """
            const [path, done] = arguments
            const readings = '/api' + path + '/readings'
            fetch(readings).then((r) => r.json()).then(({ readings: [{ id }] }) =>
              fetch(readings + '/' + id, { method: 'DELETE' })).then(done)
            """,
            desk.driver().getCurrentUrl().replaceAll(".*(/clients/[^/]+)/.*", "$1"));
    desk.type("beats", "71");
    desk.press("Save changes");
    desk.sees("This record has been corrected or taken back since. Nothing was written");
    desk.soon(
        () -> assertThat(desk.one("input[name=beats]").getDomProperty("value")).isEqualTo("71"));
    desk.press("Cancel");
    desk.sees("Take a resting pulse");
  }

  /** Somebody else saves the same client in between. */
  private void savedElsewhere(String change) {
    String client = desk.driver().getCurrentUrl().replaceAll(".*(/clients/[^/]+)/.*", "$1");
    desk.driver()
        .executeAsyncScript(
            """
            const [path, change, done] = arguments
            fetch('/api' + path).then((r) => r.json()).then(({ client }) => {
              const { id, version, age, archived, ...details } = client
              return fetch('/api' + path, {
                method: 'PUT',
                headers: { 'Content-Type': 'application/json' },
                body: JSON.stringify({ version, details: { ...details, ...JSON.parse(change) } }),
              })
            }).then(done)
            """,
            client,
            change);
  }

  @Test
  void theSecondEditorSeesBothAndPicksPartByPart() {
    desk.openClient("Ewan", "details");
    desk.sees("Archive");
    savedElsewhere("{\"note\":\"changed elsewhere\",\"sex\":\"not-given\"}");
    desk.type("note", "mine");
    desk.press("Save details");
    desk.sees("Somebody else changed this meanwhile");
    desk.soon(
        () ->
            assertThat(desk.texts(".conflict tbody tr"))
                .containsExactly("Note mine changed elsewhere", "Sex Male Not given"));
    // What the second one did not touch is theirs, unless it is picked.
    desk.soon(
        () -> assertThat(desk.one("input[name=pick-note][value=mine]").isSelected()).isTrue());
    desk.soon(
        () -> assertThat(desk.one("input[name=pick-sex][value=theirs]").isSelected()).isTrue());
    desk.soon(
        () -> assertThat(desk.one("input[name=note]").getDomProperty("value")).isEqualTo("mine"));

    // A third save comes in between: told again, with what stands now.
    savedElsewhere("{\"note\":\"changed twice\",\"sex\":\"not-given\"}");
    desk.press("Save these choices");
    desk.sees("changed twice");
    desk.soon(
        () ->
            assertThat(desk.texts(".conflict tbody tr"))
                .containsExactly("Note mine changed twice"));
    desk.press("Save these choices");
    desk.await(() -> desk.all(".conflict").isEmpty());
    desk.sees("49 · mine");

    savedElsewhere("{\"note\":\"winch house\",\"sex\":\"male\"}");
    desk.type("note", "mine again");
    desk.press("Save details");
    desk.press("Keep theirs");
    desk.sees("49 · winch house");
    desk.soon(
        () ->
            assertThat(desk.one("input[name=note]").getDomProperty("value"))
                .isEqualTo("winch house"));
  }
}
