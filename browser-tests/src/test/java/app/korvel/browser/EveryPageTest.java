package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.WebElement;

/** Every page: readable for everyone, and whole at every width. */
class EveryPageTest {
  private static final String AXE = axe();

  /** The kinds of pages whose colours have been checked: most of the time goes into them. */
  private static final Set<String> CHECKED = new HashSet<>();

  private static String axe() {
    try (InputStream script = EveryPageTest.class.getResourceAsStream("/axe.min.js")) {
      return new String(script.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Desk opened(String client, String page, String text) {
    Desk desk = Desk.get();
    switch (client) {
      case "-" -> desk.open(page);
      case "first day" -> desk.openEmpty(page);
      default -> desk.openClient(client, page);
    }
    desk.sees(text);
    return desk;
  }

  @ParameterizedTest
  @CsvSource({
    "-, /today, Must not train",
    "-, /clients, Agnethe Moravik",
    "-, /clients?archived=yes, Imre Valstad",
    "-, /clients/new, Birth date",
    "-, /calculators/pulse, the working",
    "-, /calculators/maximum, the working",
    "-, /calculators/target?rest=64&max=176&basis=reserve&low=50&high=70&cap=140, the smaller of",
    "-, /calculators/bands?rest=64&max=176&scheme=voice-ladder&compare=goal-ranges, Ranges by goal",
    "-, /calculators/bands/wall?rest=64&max=176&scheme=voice-ladder&cap=150, above the cap",
    "-, /calculators/counts, the working",
    "-, /calculators/forecast, cool-down below 40 % after",
    "-, /practice/session, Play at 60×",
    "-, /methods, Equations for the maximum",
    "-, /nowhere, nothing at this address",
    "Ines, screening, May they exercise",
    "Ragnar, screening, A clearance is in force",
    "Dmitri, screening, Any of these",
    "Ines, details, Archive",
    "Ines, check-in, May they train today?",
    "Tindra, check-in, Glucose",
    "Agnethe, check-in, Checked in today",
    "Ragnar, papers/letter, Request for medical clearance",
    "Ragnar, papers/summary, Exercise screening",
    "Osei, card/1, No card today",
    "Jonas, card/1, Rates are suspended",
    "Jonas, bands, No zones by rate",
    "Ines, pulse, Working resting value",
    "Hyun-woo, pulse, mixed",
    "Osei, pulse, Do not use the neck with this client.",
    "-, /floor, Who is here",
    "-, /floor/clock, seconds",
    "-, /floor/rooms/new, Who is here",
    "Jonas, recoveries, Recoveries",
    "-, /practice, Your tries",
    "-, /practice, A whole graded test",
    "-, /studio/protocols/new, One more stage",
    "-, /calculators/pulse?by=tap, Tap once a beat",
    "first day, /floor, Nobody to count yet",
    "first day, /practice, None yet.",
    "Ines, maximum, is the default",
    "Ines, bands, could sing a verse",
    "Hyun-woo, bands/talk, Whole sentences up to",
    "Keola, bands/talk, Not yet",
    "Dmitri, bands/talk, Add a talk check",
    "Ines, bands/schools, What each zone system calls",
    "-, /calculators/schools, What each zone system calls",
    "-, /studio, Your own zone systems",
    "-, /studio/about, Bills of materials",
    "-, /studio/schemes/new?from=max-fifths, maximum about 180",
    "first day, /studio, None yet.",
    "Ines, prescription, moderate-equivalent min",
    "Ragnar, prescription, capped at 92",
    "Tomasz, sessions, Every week meets the guidelines.",
    "Agnethe, sessions, Preview",
    "-, /studio/outlines/new?from=three-rungs-bursts, Step by step",
    "-, /log, Logged lately",
    "-, /calendar, Calendars out and in",
    "Tindra, progress, Resting not changed",
    "Ines, progress, Nothing logged yet",
    "Ragnar, hand-out, as they are printed",
    "Tomasz, recordings, On record",
    "Ines, recordings, None yet",
    "Tomasz, months, What has changed",
    "Dmitri, months, Nothing on record yet",
    "first day, /log, Nothing to log",
    "first day, /calendar, Nothing in",
    "Pilar, bands, No zones by rate",
    "Hyun-woo, maximum, your choice",
    "Hyun-woo, maximum/tests, May be done today",
    "Hyun-woo, session, What is done",
    "Jonas, session, Recorded before",
    "Hyun-woo, tests, Graded exercise test",
    "Agnethe, tests, Rise 20 bpm",
    "Pilar, maximum/tests, Not with known heart disease",
    "Ragnar, device-sheet, whatever the device says",
    "Pilar, device-sheet, No values for a device",
    "-, /compare, Add two people",
    "Ines, card/1, Review by",
    "-, /cards, Attending",
    "-, /calculators/chart, read with ease",
    "-, /calculators/poster, As it is printed",
    "first day, /cards, Nobody to make a card for yet",
    "Dmitri, pulse, None yet.",
    "Dmitri, prescription, Nothing to start from yet",
    "first day, /today, No clients yet.",
    "first day, /clients, No clients yet.",
    "first day, /calculators/target, the working",
  })
  void noSeriousFindingAndNoSidewaysScrolling(String client, String page, String text) {
    sound(opened(client, page, text), page.replaceAll("\\?.*", ""));
  }

  /** What opens on a page is a page too: the picker, the correction, the check, the keys. */
  @ParameterizedTest
  @CsvSource({
    "Ines, maximum, is the default, button[aria-label^='Use '], Your reason",
    "Ines, maximum, is the default, .ways button, Highest rate",
    "Yara, maximum/tests, Tests before, .past a, On record",
    "Ines, pulse, Working resting value, button[aria-label^='Edit the'], Delete",
    "Ines, pulse, Working resting value, button[aria-label^='Rest 5'], Leave the protocol",
    "-, /floor, Who is here, .how [type=submit], Beats in 15 s",
    "-, /calculators/target, the working, .long button, The first wrong one is shown",
    "-, /clients, Agnethe Moravik, button.keys, Keys on this screen",
    "Jonas, session, Recorded before, .before a, The work against its target",
    "Ragnar, screening, in force, [aria-label='Change: Medications'], Generic name",
    "Ragnar, screening, in force, [aria-label='Change: Written limits'], Written by",
    "Ragnar, screening, in force, [aria-label^='Change: Goal'], Days they can train",
    "Ines, check-in, May they train today?, form summary, Swollen ankles",
    "-, /log, Logged lately, .more, pale",
    "-, /calendar?view=day, Calendars out and in, button.session, To the sessions",
    "Tindra, sessions, is over, .step .ways button:nth-child(2), Use my own",
    "Tindra, sessions, Unplanned sessions, [aria-labelledby=besides-title] button, Save the log",
  })
  void whatOpensIsSoundToo(String client, String page, String text, String opens, String then) {
    Desk desk = opened(client, page, text);
    desk.click(opens);
    desk.sees(then);
    sound(desk, page + opens);
  }

  static void sound(Desk desk, String kind) {
    boolean colours = CHECKED.add(kind);
    List<String> found = new ArrayList<>(seriousFindings(desk, colours));
    for (WebElement sheet : desk.all("iframe")) {
      desk.driver().switchTo().frame(sheet);
      found.addAll(seriousFindings(desk, colours));
      desk.driver().switchTo().defaultContent();
    }
    assertThat(found).isEmpty();
    for (int width : new int[] {390, 640, 768, 1280, 1920}) {
      desk.size(width, 844);
      desk.await(
          () ->
              (Boolean)
                  desk.driver()
                      .executeScript(
                          // Not against innerWidth: on a phone that grows with what overflows.
                          "return document.documentElement.scrollWidth <= arguments[0]", width));
    }
  }

  /** What the checker holds against the page or the sheet the driver is in. */
  @SuppressWarnings("unchecked")
  private static List<String> seriousFindings(Desk desk, boolean colours) {
    desk.driver().executeScript(AXE);
    return (List<String>)
        desk.driver()
            .executeAsyncScript(
                """
                const [colours, done] = arguments
                axe.run(document, {
                  iframes: false,
                  resultTypes: ['violations'],
                  rules: { 'color-contrast': { enabled: colours } },
                }).then(
                  ({ violations }) =>
                    done(
                      violations
                        .filter(({ impact }) => ['serious', 'critical'].includes(impact))
                        .map(({ id, nodes }) => id + ' ' + nodes[0].html),
                    ),
                  (wrong) => done(['not checked: ' + wrong]),
                )
                """,
                colours);
  }
}
