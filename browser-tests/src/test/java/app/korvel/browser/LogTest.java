package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** Sessions logged, a week decided, and the calendar, as a person meets them. */
class LogTest {
  private static final LocalDate MONDAY =
      LocalDate.now().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
  private static final LocalDate START = MONDAY.minusWeeks(2);

  private static ClockedDemo demo;
  private Desk desk;

  @BeforeAll
  static void begin(@TempDir Path folder) throws Exception {
    demo = new ClockedDemo(folder);
  }

  @AfterAll
  static void end() {
    demo.close();
  }

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  private void date(String name, LocalDate to) {
    desk.driver()
        .executeScript(
            """
            arguments[0].value = arguments[1]
            arguments[0].dispatchEvent(new Event('input', { bubbles: true }))
            """,
            desk.one("input[name=" + name + "]"),
            to.toString());
  }

  /** Eight weeks for someone of the crew, since two weeks ago. */
  private void layOut(String name) {
    demo.openClient(name, "sessions");
    desk.sees("Save the programme");
    date("startsOn", START);
    desk.type("weeks", "8");
    desk.await(
        () -> desk.texts("#weeks-title").stream().anyMatch(text -> text.contains("8 weeks")));
    desk.press("Save the programme");
    desk.sees("Rebuild");
  }

  private String line() {
    return (String)
        desk.driver()
            .executeScript(
                "return document.activeElement.closest('.line')?.getAttribute('aria-label') ?? ''");
  }

  private long lines(String name) {
    return desk.all(".line[data-line][aria-label^='" + name + "']").size();
  }

  /** With nothing but keys: to the line, the effort, Enter. */
  private void logAll(String name, String effort) {
    desk.keys("l");
    desk.await(() -> !line().isEmpty());
    assertThat(lines(name)).isPositive();
    while (lines(name) > 0) {
      String at = line();
      if (at.startsWith(name)) {
        long before = lines(name);
        desk.keys(effort, Keys.ENTER);
        desk.await(() -> lines(name) == before - 1);
        if (lines(name) > 0) {
          desk.await(() -> !line().isEmpty());
        }
      } else {
        desk.keys(Keys.ARROW_DOWN);
        if (line().equals(at)) {
          // The last line: the rest lies above.
          while (!line().startsWith(name)) {
            desk.keys(Keys.ARROW_UP);
          }
        }
      }
    }
  }

  @Test
  void aFortnightIsLoggedByKeysAStepAcceptedAndTheCalendarChanged() {
    String name = "Yara Fonotele";
    layOut("Yara");
    logAll(name, "13");
    desk.soon(
        () ->
            assertThat(desk.texts(".latest li"))
                .anyMatch(row -> row.matches(".*" + name + " \\d+ min, RPE 13.*")));
    demo.openClient("Yara", "sessions");
    desk.sees(" is over");
    String title = desk.one("#step-title").getText().replaceAll("\\s+", " ");
    // The second week; near the end of a week the third is logged whole already.
    assertThat(title).matches("Week [23] is over: .* a step");
    int next = 1 + Integer.parseInt(title.replaceAll("Week (\\d).*", "$1"));
    desk.soon(
        () ->
            assertThat(desk.texts(".step .said")).anyMatch(said -> said.contains("sessions done")));
    String proposed = desk.texts(".doses b").get(1);
    desk.tabTo("Accept for week " + next);
    desk.keys(Keys.ENTER);
    desk.sees("Week " + next + " is as proposed; later weeks are rebuilt.");
    desk.soon(() -> assertThat(desk.texts(".decision summary").get(0)).startsWith("Accepted on"));
    desk.soon(
        () ->
            assertThat(desk.one("#week-title").getText().replaceAll("\\s+", " "))
                .contains(proposed.replaceAll(".*%, (\\d+ min).*", "$1")));

    desk.click("h1");
    desk.keys("3");
    desk.await(() -> !desk.all(".grid li").isEmpty());
    desk.keys("w");
    desk.await(() -> desk.driver().getCurrentUrl().contains("view=week"));
    desk.keys(Keys.PAGE_DOWN);
    String monday = day(MONDAY.plusWeeks(1));
    desk.await(() -> desk.texts("header h2").stream().anyMatch(text -> text.contains(monday)));
    WebElement first =
        desk.await(
            () ->
                desk.all("button.session").stream()
                    .filter(each -> each.getAccessibleName().startsWith(name))
                    .findFirst()
                    .orElse(null));
    String from = first.findElement(By.xpath("ancestor::li")).getDomAttribute("data-date");
    first.sendKeys(Keys.ENTER);
    desk.sees(name + ", ");
    LocalDate to = LocalDate.parse(from).plusDays(1);
    date("date", to);
    desk.one("input[name=time]").sendKeys("0630PM");
    desk.tabTo("Move");
    desk.keys(Keys.ENTER);
    desk.sees(" is moved to ");
    desk.await(
        () ->
            desk.texts("li[data-date='" + to + "'] button.session").stream()
                .anyMatch(text -> text.contains("18:30") && text.contains(name)));
    desk.click("h1");
    desk.keys("u");
    desk.await(
        () ->
            desk.texts("li[data-date='" + from + "'] button.session").stream()
                .anyMatch(text -> text.contains(name)));
  }

  private static String day(LocalDate date) {
    return date.getDayOfMonth() + " ";
  }

  /** One outcome for all who were there, and an exception; a wrong figure loses nothing. */
  @Test
  void aClassIsLoggedAtOnceWithItsExceptions() {
    layOut("Agnethe");
    desk.click("h1");
    desk.keys("l");
    desk.await(() -> desk.all(".line").size() > 3);
    List<String> rest = desk.texts(".day h2");
    WebElement tick =
        desk.await(
            () ->
                desk.all(".day h2 button").stream()
                    .filter(each -> each.getText().startsWith("Tick all"))
                    .findFirst()
                    .orElse(null));
    int count = Integer.parseInt(tick.getText().replaceAll("\\D", ""));
    tick.click();
    desk.sees(count + " ticked");
    desk.type("all-rpe", "12");
    desk.press("Apply to selected");
    List<WebElement> ticked =
        desk.all(".line").stream()
            .filter(each -> each.findElement(By.cssSelector("[type=checkbox]")).isSelected())
            .toList();
    assertThat(ticked).hasSize(count);
    ticked.get(0).findElement(By.cssSelector(".outcome-of")).click();
    WebElement wrong = ticked.get(1).findElement(By.name("rpe"));
    wrong.sendKeys(Keys.chord(Keys.CONTROL, "a"), "21");
    desk.press("Save the " + count);
    desk.sees("Accepted: 6 to 20 RPE.");
    // Nothing was kept and nothing is lost.
    desk.soon(() -> assertThat(desk.texts(".day h2")).hasSameSizeAs(rest));
    desk.soon(
        () ->
            assertThat(
                    desk.one(".line [aria-invalid=true], .line .p-invalid").getDomProperty("value"))
                .isEqualTo("21"));
    // The wrong figure is marked and in hand.
    desk.keys("13");
    int lines = desk.all(".line").size();
    desk.press("Save the " + count);
    desk.sees(count + " sessions are logged.");
    desk.await(() -> desk.all(".line").size() == lines - count);
    desk.soon(() -> assertThat(desk.texts(".latest li")).anyMatch(row -> row.contains("not done")));
    desk.press("Undo");
    desk.await(() -> desk.all(".line").size() == lines);
  }

  @Test
  void aWrongLogIsCorrectedWhereItIsSeen() {
    desk.open("/log");
    desk.sees("Logged lately");
    List<String> before = desk.texts(".latest li");
    int rated =
        IntStream.range(0, before.size())
            .filter(at -> before.get(at).contains("RPE"))
            .findFirst()
            .orElseThrow();
    String line = ".latest li:nth-child(" + (rated + 1) + ")";
    desk.click(line + " button[aria-label^='Edit the log of']");
    desk.one(".latest [name=rpe]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "19");
    desk.press("Save changes");
    desk.await(() -> desk.texts(".latest li").toString().contains("RPE 19"));
    desk.keys(Keys.ESCAPE, "u");
    // Put on record anew, so it may stand in another place of its day.
    desk.soon(
        () -> assertThat(desk.texts(".latest li")).containsExactlyInAnyOrderElementsOf(before));

    // The same in the calendar, from the day it was done.
    desk.open("/calendar?view=week");
    desk.click(".session.done");
    desk.click("button[aria-label^='Delete the log of']");
    desk.sees("is deleted.");
    desk.keys("u");
    desk.sees("Undone:");
  }

  @Test
  void aStopSignSaysWhatFollows() {
    layOut("Marguerite");
    demo.openClient("Marguerite", "sessions");
    desk.await(() -> desk.all(".weeks li button").size() == 8);
    desk.click(".weeks li:nth-child(1) button");
    desk.press("Log this session");
    desk.type("rpe", "15");
    desk.press("Any warning?");
    desk.press("pain or pressure in chest, jaw or arm");
    desk.sees("what was issued is suspended until a doctor has cleared it");
    desk.press("Save the log");
    desk.sees("The programme is paused");
    desk.press("Undo");
    desk.await(() -> !desk.reads("The programme is paused"));
  }

  /** A log is corrected where it stands, and withdrawn; either can be undone. */
  @Test
  void aLogIsPutRightAndTakenBack() {
    demo.openClient("Tindra", "sessions");
    desk.await(() -> desk.all(".weeks li button").size() == 12);
    desk.click(".weeks li:nth-child(2) button");
    desk.await(() -> desk.texts(".logged p").stream().anyMatch(text -> text.contains("one")));
    String before = desk.texts(".logged p").get(0);
    desk.press("Edit");
    desk.type("note", "by the other watch");
    desk.press("Save changes");
    desk.await(
        () ->
            desk.texts(".logged p").stream().anyMatch(text -> text.contains("by the other watch")));
    desk.press("Undo");
    desk.await(() -> desk.texts(".logged p").stream().anyMatch(before::equals));
    desk.press("Delete");
    desk.sees("Log this session");
    desk.press("Undo");
    desk.await(() -> desk.texts(".logged p").stream().anyMatch(before::equals));

    desk.press("Log one that was not planned");
    choose("Activity", "Swim");
    desk.type("rpe", "12");
    desk.press("Save the log");
    desk.sees("Swim, 30 min, RPE 12");
  }

  private void choose(String label, String option) {
    List<WebElement> all = desk.all("form.log [aria-label='" + label + "']");
    all.get(all.size() - 1).click();
    desk.press(option);
  }

  /** Out as an address that is shown once, in as a file; what is no calendar says so. */
  @Test
  void calendarsGoOutAndComeIn(@TempDir Path files) throws Exception {
    demo.openClient("Ines", "sessions");
    desk.press("Calendar");
    desk.sees("Calendars out and in: Ines Okafor-Lund");
    desk.type("subscription", "phone of Ines");
    desk.press("Create the address");
    desk.sees("Shown only once");
    String address = desk.one("code").getText();
    assertThat(address).matches("http://127.0.0.1:\\d+/api/calendar/feeds/[\\w-]{43}\\.ics");
    assertThat(fetched(address)).isEqualTo(200L);
    desk.driver().navigate().refresh();
    desk.sees("phone of Ines");
    assertThat(desk.all("code")).isEmpty();
    desk.press("Revoke");
    desk.sees("The address for phone of Ines is revoked.");
    assertThat(fetched(address)).isEqualTo(404L);

    demo.openClient("Ines", "sessions");
    desk.click("h1");
    desk.keys("3");
    desk.press("A file for a class");
    desk.press("Ines Okafor-Lund");
    desk.press("Tomasz Wielgor");
    desk.sees("Calendar file of 2");
    assertThat(fetched(desk.pressable("Calendar file of 2").getDomProperty("href")))
        .isEqualTo(200L);

    demo.openClient("Ines", "sessions");
    desk.press("Calendar");
    desk.sees("Calendars out and in: Ines Okafor-Lund");
    Path no = Files.writeString(files.resolve("notes.txt"), "not a calendar");
    desk.one("input[name=busy]").sendKeys(no.toString());
    desk.sees("notes.txt is not a calendar. Accepted: an iCalendar file");
    Path roster =
        Files.writeString(
            files.resolve("roster.ics"),
            """
            BEGIN:VCALENDAR
            VERSION:2.0
            BEGIN:VEVENT
            UID:1
            DTSTART;VALUE=DATE:%s
            RRULE:FREQ=DAILY;COUNT=3
            END:VEVENT
            END:VCALENDAR
            """
                .formatted(LocalDate.now().toString().replace("-", "")));
    desk.one("input[name=busy]").sendKeys(roster.toString());
    desk.sees("roster.ics, Ines Okafor-Lund: 3 busy times");
    desk.await(() -> !desk.all("li[data-date='" + LocalDate.now() + "'] .busy").isEmpty());
    desk.click("h1");
    desk.keys("d");
    desk.sees("Busy all day, Ines Okafor-Lund");
  }

  private Object fetched(String address) {
    return desk.driver()
        .executeAsyncScript(
            "fetch(arguments[0]).then((answer) => arguments[1](answer.status))", address);
  }

  @Test
  void progressSaysWhatIsAChangeAndWhatIsNot() {
    demo.openClient("Tindra", "progress");
    desk.sees("Minutes by level, week by week");
    desk.soon(() -> assertThat(desk.texts(".figures dd").get(0)).matches("\\d+ of \\d+, \\d+ %"));
    desk.sees("Resting not changed");
    desk.sees("RPE at the same target");
    desk.catchFiles();
    desk.press("CSV");
    assertThat(desk.caught("minutes by level.csv"))
        .contains("week from,Sing,Talk,Phrases,Words,Silent,moderate-equivalent,planned,done");
    demo.openClient("Ines", "progress");
    desk.sees("Nothing logged yet");
    desk.sees("Resting lower by");
  }

  @Test
  void theHandOutIsAPageAndAFile() {
    demo.openClient("Ragnar", "hand-out");
    String said = desk.sheetSays("Log of Ragnar Holtvik");
    assertThat(said)
        .contains("Stop at once")
        .contains("Always carry")
        .contains("The morning boat leaves at seven")
        .contains("Week 1, from");
    demo.openClient("Osei", "hand-out");
    desk.sees("No hand-out today");
  }
}
