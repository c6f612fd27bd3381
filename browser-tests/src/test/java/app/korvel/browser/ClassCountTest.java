package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A class counted together, by keyboard. */
class ClassCountTest {
  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  @AfterEach
  void leave() {
    desk.driver()
        .executeScript("document.querySelectorAll('.bar .close').forEach((each) => each.click())");
  }

  /** Asks the server, as the page would. */
  private Object ask(String script) {
    return desk.driver()
        .executeAsyncScript(
            """
            const done = arguments[arguments.length - 1]
            const send = (method, path, body) =>
              fetch('/api' + path, {
                method,
                headers: { 'Content-Type': 'application/json' },
                body: body === undefined ? undefined : JSON.stringify(body),
              }).then((answer) => (answer.status === 204 ? null : answer.json()))
            ;(async () => { %s })().then(done, (fault) => done(String(fault)))
            """
                .formatted(script));
  }

  private static final List<String> CLASS =
      List.of(
          "Agnethe Moravik",
          "Ines Okafor-Lund",
          "Hyun-woo Castell",
          "Keola Brandt-Mori",
          "Yara Fonotele",
          "Tindra Vossberg",
          "Amaru Sjodal",
          "Sefa Brandvik");

  /** Puts the class together; {@code more} is further fields, each after a comma. */
  private String together(String more) {
    return ask("""
            const wanted = %s
            const people = (await send('GET', '/class-counts/start')).people
            const ids = wanted.map((name) => people.find((each) => each.name === name).id)
            return (await send('POST', '/class-counts',
              { moment: 'before', windowSeconds: 15, people: ids%s })).id
            """
            .formatted(CLASS.stream().map(each -> "'" + each + "'").toList().toString(), more))
        .toString();
  }

  private void begin(String more) {
    desk.open("/floor");
    desk.sees("Who is here");
    String id = together(more);
    desk.open("/floor/classes/" + id);
    desk.await(() -> names().equals(CLASS));
  }

  private List<String> names() {
    return desk.texts("ol.people label").stream()
        .map(text -> text.replaceAll(" (usual|at rest|no usual|Accepted).*", ""))
        .toList();
  }

  /** What each is held against, 64 where there is nothing. */
  private List<Integer> usual() {
    return desk.texts("ol.people label").stream()
        .map(text -> text.contains("no usual") ? "64" : text.replaceAll(".* (\\d+)$", "$1"))
        .map(Integer::valueOf)
        .toList();
  }

  @Test
  void whoIsPresentIsRememberedAndFoundByTyping() {
    begin("");
    desk.open("/floor");
    desk.sees("Ticked: the class of");
    desk.sees("Begin with 8 people");
    desk.type("search", "lupe");
    desk.await(() -> desk.all(".picker li button").size() == 1);
    desk.keys(Keys.ENTER);
    desk.sees("Begin with 9 people");
    desk.soon(() -> assertThat(desk.focused()).isEqualTo("Find by name"));
    desk.keys("lupe", Keys.ENTER);
    desk.sees("Begin with 8 people");
    desk.press("Untick all");
    desk.sees("Nobody is ticked");
  }

  @Test
  void aClassIsCountedMendedAndCheckedInByKeyboard() {
    begin("");
    List<String> names = names();
    assertThat(names).isEqualTo(CLASS);
    List<Integer> usual = usual();
    desk.tabTo("Start");
    desk.keys(Keys.ENTER);
    desk.letCount(15);
    desk.await(() -> desk.focused().startsWith(names.get(0)));

    // Mistyped, mended with the arrow; refused, mended in its place.
    desk.keys("99", Keys.ENTER, "44", Keys.ENTER);
    desk.sees("Accepted: 5 to 60 whole beats in 15 s");
    desk.keys(Keys.ARROW_UP, "" + (usual.get(1) + 2) / 4, Keys.ENTER);
    for (int i = 2; i < CLASS.size(); i++) {
      desk.await(() -> desk.focused().isBlank() ? null : true);
      // Keola comes ten beats too high.
      int beats = (usual.get(i) + 2) / 4 + (names.get(i).startsWith("Keola") ? 10 : 0);
      desk.keys("" + beats, Keys.ENTER);
    }
    // The one refused is what is left.
    desk.await(() -> desk.focused().startsWith(names.get(0)));
    desk.keys("" + (usual.get(0) + 2) / 4, Keys.ENTER);

    desk.sees("first");
    desk.await(() -> desk.texts(".talk .who a").contains("Keola Brandt-Mori"));
    assertThat(desk.texts(".talk .who a")).doesNotContain("Ines Okafor-Lund");
    desk.sees("Recount for 60 s before deciding.");

    // A reload loses nothing.
    desk.driver().navigate().refresh();
    desk.await(() -> desk.texts(".talk .who a").contains("Keola Brandt-Mori"));
    String room = desk.driver().getCurrentUrl();
    desk.one(".talk .count-again input").sendKeys("96", Keys.ENTER);
    desk.sees("Not today: 96 is");

    // Back to the numbers and to the list again by key.
    desk.click("h1");
    desk.keys(Keys.ESCAPE);
    desk.sees("Beats in 15 s");
    desk.press("To the list");

    // Check the well in, and take it back.
    String button =
        desk.texts("button").stream().filter(text -> text.startsWith("All well")).findFirst().get();
    int many = Integer.parseInt(button.replaceAll("\\D", ""));
    assertThat(many).isBetween(2, 8);
    desk.press(button);
    desk.sees(many + " checked in.");
    desk.keys("u");
    desk.sees(button);
    desk.soon(() -> assertThat(desk.driver().getCurrentUrl()).isEqualTo(room));
  }

  @Test
  void thirtyPeopleTakeTheirDigitsAndEnterAndNoMore() {
    desk.open("/floor");
    desk.sees("Who is here");
    @SuppressWarnings("unchecked")
    List<String> made =
        (List<String>)
            ask(
                """
                const ids = (await send('GET', '/class-counts/start')).people.map((each) => each.id)
                const added = []
                for (let i = ids.length; i < 30; i++) {
                  const one = await send('POST', '/clients', {
                    name: 'Guest ' + i, note: '', birthDate: '1980-02-03', sex: 'not-given' })
                  added.push(one.id)
                }
                const room = await send('POST', '/class-counts', {
                  moment: 'before', windowSeconds: 30, people: [...ids, ...added].slice(0, 30) })
                return [room.id, ...added]
                """);
    try {
      desk.open("/floor/classes/" + made.get(0));
      desk.sees("30 here, 0 counted");
      desk.click("ol.people input");
      List<CharSequence> keys = new ArrayList<>();
      for (int i = 0; i < 30; i++) {
        keys.add("3" + i % 10);
        keys.add(Keys.ENTER);
      }
      desk.keys(keys.toArray(CharSequence[]::new));
      desk.sees("30 here, 30 counted");
      desk.sees("Back to the numbers");
      desk.click("h1");
      desk.keys(Keys.ESCAPE);
      desk.await(() -> desk.all("ol.people input").size() == 30);
      List<String> entered =
          desk.all("ol.people input").stream().map(each -> each.getDomProperty("value")).toList();
      assertThat(entered).startsWith("30", "31", "32").endsWith("39");
    } finally {
      for (String guest : made.subList(1, made.size())) {
        ask("await send('PUT', '/clients/" + guest + "/archived', {version: 1, archived: true})");
      }
    }
  }

  @Test
  void whoIsLeftOutIsPassedOverAndANumberThatDoesNotArriveIsKeptInItsField() {
    begin("");
    desk.click("ol.people input");
    desk.keys("16", Keys.ENTER);
    // Nobody answers for a while.
    desk.driver()
        .executeScript("window.sent = window.fetch; window.fetch = () => Promise.reject()");
    desk.keys("15", Keys.ENTER);
    desk.sees("Korvel does not answer. Nothing was lost");
    desk.driver().executeScript("window.fetch = window.sent");
    desk.keys(Keys.ARROW_UP);
    desk.await(() -> desk.focused().startsWith(CLASS.get(1)));
    desk.keys(Keys.ENTER);
    desk.await(() -> desk.texts("ol.people output").get(1).startsWith("60"));
    for (int i = 2; i < CLASS.size(); i++) {
      desk.keys(Keys.ENTER);
    }
    desk.sees("Not counted: Hyun-woo Castell, Keola Brandt-Mori");
  }

  @Test
  void afterTheSessionThoseNotBackAreCountedAgain() {
    begin("");
    desk.open("/floor");
    desk.sees("Begin with 8 people");
    desk.press("After it");
    desk.type("minutesAfter", "61");
    desk.press("Begin with 8 people");
    desk.sees("Accepted: a whole number from 0 to 60 minutes");
    desk.type("minutesAfter", "4");
    desk.press("Begin with 8 people");
    desk.sees("since they stopped");
    desk.await(() -> names().size() == CLASS.size());
    List<String> names = names();
    List<Integer> usual = usual();
    desk.click("ol.people input");
    for (int i = 0; i < CLASS.size(); i++) {
      desk.keys("" + ((usual.get(i) + 2) / 4 + (i == 1 || i == 3 ? 8 : 0)), Keys.ENTER);
    }
    desk.sees("is not back to rest. Let them sit quietly and count again in 5 min.");
    desk.await(() -> desk.texts(".talk .who a").containsAll(List.of(names.get(1), names.get(3))));
    desk.sees("until the next count");
    desk.letPass(Duration.ofMinutes(5));
    desk.await(() -> desk.texts(".running b").contains("now"));
    desk.press("Count these " + desk.all(".talk li.again").size() + " again");
    desk.await(() -> names().size() < CLASS.size() && !names().isEmpty() ? true : null);
    assertThat(names()).contains(names.get(1), names.get(3)).doesNotContain(names.get(2));
    // The class that is remembered is still the whole one.
    desk.open("/floor");
    desk.sees("Begin with 8 people");
  }

  @Test
  void theClockOnTheWallRunsAlongAndByItself() {
    begin("");
    String room = desk.openBeside("/floor/clock");
    desk.sees("seconds");
    String wall = desk.driver().getWindowHandle();
    desk.driver().switchTo().window(room);
    desk.press("Start");
    desk.sees("get ready");
    desk.driver().switchTo().window(wall);
    desk.sees("get ready");
    desk.letPass(Duration.ofSeconds(3));
    desk.sees("count the beats");
    desk.soon(() -> assertThat(desk.one(".face b").getText()).isEqualTo("15"));
    desk.driver().switchTo().window(room);
    desk.press("Stop");
    desk.driver().switchTo().window(wall);
    desk.sees("seconds");
    desk.press("30 s");
    desk.one("body").sendKeys(Keys.SPACE);
    desk.letCount(30);
    desk.sees("stop: remember your number");
    desk.driver().close();
    desk.driver().switchTo().window(room);
  }
}
