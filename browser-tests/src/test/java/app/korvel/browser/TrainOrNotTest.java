package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** May this person exercise, and may they today: as an instructor asks, reads and decides it. */
class TrainOrNotTest {
  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  private void question(String asked) {
    desk.await(() -> desk.texts(".open h2").contains(asked));
  }

  @Test
  void theIntakeByKeyboard() {
    desk.open("/clients/new");
    desk.sees("New client");
    desk.click("h1");
    desk.tabTo("Name");
    desk.keys("Keya Board", Keys.TAB);
    desk.keys(
        LocalDate.now()
            .minusYears(50)
            .minusDays(9)
            .format(DateTimeFormatter.ofPattern("MMddyyyy")));
    desk.keys(Keys.ENTER);

    question("How active are they now?");
    desk.await(() -> desk.focused().equals("None"));
    desk.keys(Keys.ARROW_DOWN);
    desk.sees("30 to 89 min a week of something brisk");
    desk.tabTo("Save and next");
    desk.keys(Keys.ENTER);

    question("Any of these, at rest or with effort?");
    desk.await(() -> desk.focused().contains("Pain or pressure"));
    desk.keys(Keys.ENTER);

    question("Are any of these known?");
    desk.await(() -> desk.focused().contains("Heart condition"));
    desk.keys(Keys.SPACE, Keys.ENTER);

    // A generic name finds its class.
    question("Which medications do they take?");
    desk.await(() -> desk.focused().equals("None: next"));
    desk.held(Keys.SHIFT, Keys.TAB);
    desk.await(() -> desk.focused().equals("Add a medication"));
    desk.keys(Keys.ENTER);
    desk.await(() -> desk.focused().equals("Generic name"));
    desk.keys("Bisoprolol");
    desk.sees("Holds resting and maximum rate down.");
    desk.keys(Keys.ENTER);

    question("Pregnancy, falls, joints");
    desk.await(() -> desk.focused().contains("Pregnant"));
    desk.keys(Keys.ENTER);

    // A cap that cannot be is refused at its field, and nothing is lost.
    question("Has a clinician written a limit?");
    desk.await(() -> desk.focused().equals("None: next"));
    desk.held(Keys.SHIFT, Keys.TAB);
    desk.await(() -> desk.focused().equals("Add a written limit"));
    desk.keys(Keys.ENTER);
    desk.tabTo("At");
    desk.keys("300", Keys.TAB, "Dr Test", Keys.ENTER);
    desk.sees("300 is outside the accepted range. Accepted: 40 to 230 bpm.");
    desk.await(() -> desk.focused().equals("At"));
    desk.keys(Keys.BACK_SPACE, Keys.BACK_SPACE, Keys.BACK_SPACE, "120", Keys.ENTER);

    question("Goal, days and equipment");
    desk.sees("Medical clearance first; then light to moderate.");
    desk.soon(() -> assertThat(desk.texts("#decision-title")).containsExactly("No exercise yet"));
    desk.soon(
        () ->
            assertThat(desk.one("[aria-labelledby=decision-title] dl").getText())
                .contains("120 bpm", "up to 14 (6–20)", "15 min, 10 min"));
    desk.soon(
        () ->
            assertThat(desk.texts(".watch li"))
                .contains(
                    "Heart condition: RPE 14 at most, supervised",
                    "Rate-lowering medication: RPE and talk first"));
    desk.soon(() -> assertThat(desk.texts(".versions summary")).hasSize(1));
  }

  @Test
  void aLapsedClearanceSuspendsAndARenewedOneLifts() {
    desk.openClient("Osei", "prescription");
    desk.sees("The clearance ended on");
    desk.sees("It cannot be issued yet.");
    desk.soon(() -> assertThat(desk.texts(".versions li").get(0)).contains("suspended"));
    assertThat(desk.texts(".versions a")).isEmpty();
    desk.soon(
        () ->
            assertThat(desk.one(".path a[href$='/prescription']").getText()).contains("suspended"));

    desk.click(".path a[href$='/screening']");
    desk.press("Add a clearance");
    desk.type("issuer", "");
    desk.press("Save");
    desk.sees("Is empty. Accepted: 1 to 80 characters.");
    desk.type("issuer", "Dr Renewed");
    desk.press("Save");
    desk.sees("The clearance by Dr Renewed is saved.");
    desk.sees("A clearance is in force until");
    desk.click(".path a[href$='/prescription']");
    desk.await(() -> desk.texts(".versions a").contains("Card"));
    desk.soon(
        () ->
            assertThat(desk.one(".path a[href$='/prescription']").getText()).contains("version 1"));

    // Taken back, it is suspended again.
    desk.click("h1");
    desk.keys("u");
    desk.await(
        () -> desk.one(".path a[href$='/screening']").getText().contains("clearance lapsed"));
  }

  @Test
  void aFirstOddValueIsCountedAgainAndThenItIsNotToday() {
    desk.openClient("Ines", "check-in");
    desk.await(() -> desk.focused().equals("Pulse now"));
    String usual = desk.one("text.usual").getText();
    int odd = Integer.parseInt(usual) + 11;
    desk.keys(String.valueOf(odd));
    desk.sees("Recount for 60 s before deciding.");
    desk.keys(Keys.ENTER);
    desk.await(() -> desk.focused().equals("Counted again, for 60 s"));
    desk.keys(String.valueOf(odd + 1));
    desk.sees("Not today: " + (odd + 1) + " is 12 bpm over the usual " + usual + ".");

    // The instructor may decide otherwise, with a reason; a fever closes that.
    desk.press("Override");
    desk.sees("Saved with the check-in");
    desk.press("Fever or illness");
    desk.sees("Not today: fever or illness.");
    assertThat(desk.reads("Override")).isFalse();
    desk.press("Save");
    desk.sees("Checked in today");
    desk.soon(() -> assertThat(desk.texts("#kept-title")).containsExactly("■ Not today"));
    desk.soon(() -> assertThat(desk.one(".check-in").getText()).contains("Today: not today"));

    desk.press("Back to today");
    desk.sees("Must not train");
    desk.soon(
        () ->
            assertThat(desk.texts(".must-not li"))
                .anyMatch(row -> row.contains("Ines Okafor-Lund")));
    desk.click("h1");
    desk.keys("u");
    // Undone where it was done.
    desk.sees("Undone: Checked in: not today.");
    desk.soon(() -> assertThat(desk.driver().getCurrentUrl()).endsWith("/check-in"));
    desk.open("/today");
    desk.await(() -> desk.texts(".pending li").stream().anyMatch(row -> row.contains("Ines")));
  }

  @Test
  void aGoInAFewKeysFromToday() {
    desk.open("/today");
    desk.sees("To check in");
    String row =
        desk.texts(".pending li").stream()
            .filter(each -> each.contains("Tomasz"))
            .findFirst()
            .orElseThrow();
    desk.keys(row.substring(0, 1));
    desk.await(() -> desk.focused().equals("Pulse now"));
    desk.soon(() -> assertThat(desk.one("h1").getText()).isEqualTo("Tomasz Wielgor"));
    desk.sees("Lying, settled, strap: as the usual value was taken.");
    desk.keys("46");
    desk.sees("46 is as usual.");
    desk.keys(Keys.ENTER);
    desk.sees("Checked in today");
    desk.soon(() -> assertThat(desk.texts("#kept-title")).containsExactly("● Go"));
  }

  @Test
  void lightOnlyIsDecidedOtherwiseWithAReasonThatIsKept() {
    desk.openClient("Marguerite", "check-in");
    desk.await(() -> desk.focused().equals("Pulse now"));
    int usual = Integer.parseInt(desk.one("text.usual").getText());
    desk.keys(String.valueOf(usual + 6), Keys.ENTER);
    desk.await(() -> desk.focused().equals("Counted again, for 60 s"));
    desk.keys(String.valueOf(usual + 6));
    desk.sees("Light only: " + (usual + 6) + " is 6 bpm over the usual " + usual + ".");
    desk.press("Override");
    desk.press("Save");
    desk.sees("Is empty. Accepted: 3 to 200 characters.");
    desk.type("reason", "ran for the boat just now");
    desk.press("Save");
    desk.sees("Your decision: “ran for the boat just now”. By rule: light only.");
    desk.soon(() -> assertThat(desk.texts("#kept-title")).containsExactly("● Go"));

    // Checked in again, the later one holds.
    desk.press("Check in again");
    desk.await(() -> desk.focused().equals("Pulse now"));
    desk.keys(String.valueOf(usual + 1));
    desk.sees((usual + 1) + " is as usual.");
    desk.keys(Keys.ENTER);
    desk.await(() -> desk.texts(".answer p").contains(usual + 1 + " bpm, usual " + usual));
    desk.soon(() -> assertThat(desk.all(".recent li")).hasSize(2));
  }

  @Test
  void withInsulinGlucoseComesFirstAndSugarIsCarried() {
    desk.openClient("Tindra", "check-in");
    desk.await(() -> desk.focused().equals("Pulse now"));
    desk.keys(desk.one("text.usual").getText());
    desk.sees("Not yet: measure glucose first.");
    desk.sees("Not yet: the client must carry sugar.");
    desk.type("glucose", "36");
    desk.sees("36 is outside the accepted range. Accepted: 1 to 35 mmol/L.");
    desk.soon(
        () -> assertThat(desk.one("input[name=glucose]").getDomProperty("value")).isEqualTo("36"));
    desk.type("glucose", "5.5");
    desk.sees("glucose 5.5 mmol/L is under 5.6 mmol/L");
    desk.press("mg/dL");
    desk.sees("5.5 is outside the accepted range. Accepted: 18 to 630 mg/dL.");
    desk.type("glucose", "118");
    desk.press("Carrying: sugar");
    desk.await(() -> desk.texts("#verdict-title").equals(List.of("● Go")));
  }

  @Test
  void aPulseTakenOtherwiseIsComparedWithACautionAndInAnotherPostureNotAtAll() {
    desk.openClient("Hyun-woo", "check-in");
    desk.press("Check in again");
    desk.await(() -> desk.focused().equals("Pulse now"));
    desk.keys("57");
    desk.await(() -> desk.texts("#verdict-title").equals(List.of("● Go")));
    desk.press("Measured differently?");
    desk.press("Wrist");
    desk.sees("The usual 56 is by count, this one by wrist.");
    desk.soon(() -> assertThat(desk.texts("#verdict-title")).containsExactly("● Go"));
    desk.press("Lying");
    desk.await(() -> desk.texts("#verdict-title").equals(List.of("↻ Count again")));
    desk.press("Count it seated");
    desk.await(() -> desk.focused().equals("Pulse now"));
    assertThat(desk.one("input[name=pulse]").getDomProperty("value")).isEmpty();
    desk.press("Keep the earlier check-in");
    desk.sees("Checked in today");
  }

  @Test
  void impossiblePressuresAreRefusedAtTheField() {
    desk.openClient("Jonas", "check-in");
    desk.type("pulse", "64");
    desk.sees("No blood pressure was measured today.");
    desk.type("systolic", "80");
    desk.sees("Is missing beside the other pressure.");
    desk.type("diastolic", "85");
    desk.sees("80 is not above the diastolic pressure, 85.");
    desk.type("systolic", "185");
    desk.sees("Not today: 185 over 85 is over 180 systolic or 110 diastolic at rest.");
  }

  @Test
  void aChangedMedicineIsSeenEverywhere() {
    desk.openClient("Jonas", "pulse");
    desk.sees("The resting pulse is out of date: medication changed on");
    desk.soon(
        () ->
            assertThat(desk.texts(".path .detail"))
                .startsWith(
                    "light to moderate",
                    "out of date: medication changed",
                    "out of date: medication changed",
                    "pulse again first",
                    "rates suspended, v1"));
    desk.openClient("Jonas", "maximum");
    desk.sees("Earlier maxima are out of date: medication changed on");
    desk.openClient("Jonas", "prescription");
    desk.sees("Its rate targets are suspended: medication changed on");
    desk.press("Card");
    desk.sees("Rates are suspended: the card shows RPE and talk");
    assertThat(desk.sheetSays("Stop at once"))
        .contains("RPE and talk only", "12–13 (6–20)", "holding the breath, straining")
        .doesNotContain("beats a minute");
  }

  @Test
  void aWrittenCapIsOnRulerTargetAndCard() {
    desk.openClient("Ragnar", "bands");
    desk.sees("capped at 92");
    desk.sees("Nothing above 92 bpm.");
    desk.openClient("Ragnar", "card/1");
    // 92 × 10 / 60 = 15.3 and 92 × 15 / 60 = 23
    assertThat(desk.sheetSays("never above 92 (a written limit)"))
        .contains("–92", "–15", "–23", "Always carry: the nitrate", "Leave out: long isometric");
  }

  @Test
  void twoPeopleAnswerAtOnceAndTheSecondKeepsBoth() {
    desk.openClient("Bram", "screening");
    desk.sees("Screening is due again.");
    desk.click("[aria-label='Change: Known conditions']");
    question("Are any of these known?");
    desk.click("input[name=diabetes]");
    desk.driver()
        .executeAsyncScript(
            """
            const [path, done] = arguments
            const screening = '/api' + path + '/screening'
            fetch(screening).then((r) => r.json()).then(({ version, answers }) =>
              fetch(screening, {
                method: 'PUT',
                headers: { 'Content-Type': 'application/json' },
                body: JSON.stringify({ version, answers: { ...answers, activity: 'little' } }),
              })).then(done)
            """,
            desk.driver().getCurrentUrl().replaceAll(".*(/clients/[^/]+)/.*", "$1"));
    desk.press("Save and next");
    desk.sees("Someone else saved answers meanwhile.");
    desk.soon(() -> assertThat(desk.one("input[name=diabetes]").isSelected()).isTrue());
    desk.press("Save and next");
    desk.await(() -> desk.all(".intake .open").isEmpty());
    desk.soon(
        () ->
            assertThat(desk.texts(".intake ol > li"))
                .anyMatch(row -> row.contains("Activity level Little"))
                .anyMatch(row -> row.contains("Known conditions Diabetes")));
    // Put back for whoever comes next.
    desk.click("[aria-label='Change: Known conditions']");
    desk.click("input[name=diabetes]");
    desk.click(".open button[type=submit]");
    desk.await(() -> desk.all(".intake .open").isEmpty());
    desk.click("[aria-label='Change: Activity level']");
    desk.press("None");
    desk.press("Save and next");
    desk.await(() -> desk.all(".intake .open").isEmpty());
  }

  @Test
  void thePapersForTheDoctorAreOnePageEach() {
    desk.openClient("Ragnar", "papers/summary");
    desk.sees("Exercise screening");
    desk.sees("metoprolol 50 mg a day");
    desk.sees("may not diagnose, change or stop a medication");
    assertThat(desk.printedPages()).isEqualTo(1);
    desk.openClient("Ragnar", "papers/letter");
    desk.sees("Request for medical clearance to exercise");
    desk.sees("Light to moderate work, 30–60 % of heart rate reserve");
    assertThat(desk.reads("Vigorous work as well,")).isFalse();
    desk.click("input[type=checkbox]");
    desk.sees("Vigorous work as well, 60–90 % of heart rate reserve");
    assertThat(desk.printedPages()).isEqualTo(1);
  }
}
