package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** Recordings brought in, looked at, kept, compared and removed; months; everything in and out. */
class RecordingTest {
  @TempDir Path folder;
  private final Desk desk = Desk.get();

  private Path file(String name, String head, int lines, IntFunction<String> line)
      throws IOException {
    String text = IntStream.range(0, lines).mapToObj(line).collect(Collectors.joining("\n"));
    return Files.writeString(folder.resolve(name), head + "\n" + text + "\n");
  }

  private static String at(int daysAgo, int second) {
    return LocalDate.now()
        .minusDays(daysAgo)
        .atTime(7, 0)
        .plusSeconds(second)
        .atZone(ZoneId.systemDefault())
        .toInstant()
        .toString();
  }

  private void bring(Path... files) {
    desk.one("input[type=file]")
        .sendKeys(Arrays.stream(files).map(Path::toString).collect(Collectors.joining("\n")));
  }

  @Test
  void severalFilesAreShownKeptAndRemovedByKeys() throws IOException {
    desk.openClient("Hyun-woo", "recordings");
    desk.sees("None yet. A recording that is kept becomes a session");
    bring(
        file("morning.csv", "time,hr", 1500, n -> at(9, n) + "," + (n < 300 ? 95 : 124)),
        file("broken.gpx", "<gpx><trk><trkseg>", 1, n -> "<trkpt"));
    desk.sees("2 of 2 read");
    desk.sees("broken.gpx was not read");
    desk.sees("is no whole XML; it may have been cut off");
    desk.sees("25:00 long");
    desk.sees("Heart rate from “hr”, time from “time”.");
    desk.sees("Nobody said what read the heart: it is taken as a wrist sensor.");
    assertThat(desk.all(".zones li")).hasSize(5);
    desk.press("Chest strap");
    desk.await(() -> !desk.reads("Nobody said what read the heart"));
    desk.press("13");
    // By the keyboard: k keeps the first, u takes it back.
    desk.keys("k");
    desk.sees("is kept and logged.");
    desk.await(() -> desk.texts("tbody tr").size() == 1);
    assertThat(desk.texts("tbody tr").get(0)).contains("25:00", "strap", "morning.csv");
    desk.press("Skip it");
    desk.keys("u");
    desk.sees("Undone:");
    desk.sees("removed");
    desk.press("Restore");
    desk.await(() -> !desk.texts("tbody tr").get(0).contains("removed"));
    bring(file("again.csv", "time,hr", 1500, n -> at(9, n) + "," + (n < 300 ? 95 : 124)));
    desk.sees("This file is on record already");
  }

  @Test
  void whatAFileDoesNotSayIsAskedAndRemembered() throws IOException {
    desk.openClient("Ragnar", "recordings");
    IntFunction<String> line = n -> "%02d:%02d;%d".formatted(n / 60, n % 60, 90 + n % 7);
    bring(file("first.csv", "lap;pulse rate", 120, line));
    desk.sees("first.csv: how is it to be read?");
    desk.choose("Heart rate is in", "pulse rate: 90");
    desk.choose("Time is in", "lap: 00:00");
    desk.press("Read it so");
    desk.sees("It began on");
    desk.press("Read it so");
    desk.sees("2:00 long");
    desk.press("Keep and log it");
    desk.sees("is kept");
    bring(file("second.csv", "lap;pulse rate", 150, line));
    desk.sees("It began on");
    assertThat(
            desk.one(".p-select[aria-label='Heart rate is in'], [aria-label='Heart rate is in']"))
        .as("the columns are remembered; when it began is asked again")
        .isNotNull();
    assertThat(String.join(" ", desk.texts("form"))).contains("pulse rate: 90");
  }

  @Test
  void aSecondRecordingIsLaidOverTheFirst() {
    desk.openClient("Tomasz", "recordings");
    desk.press("Compare");
    desk.sees("Good up to Talk");
    desk.sees("The second one followed the steps, not the heart");
    desk.sees("strap.csv, strap: used for this session");
    assertThat(desk.all("circle").size()).isGreaterThan(50);
  }

  @Test
  void monthsTellChangesAndEverySessionInAnyZoneSystem() {
    desk.openClient("Tomasz", "months");
    desk.sees("Resting lower by 5 bpm: from 50 to 45.");
    desk.await(() -> desk.texts(".scrolled tbody tr").size() == 12);
    desk.press("2 years");
    desk.await(() -> desk.texts(".scrolled tbody tr").size() == 24);
    desk.sees("Each session is read with the resting and maximum heart rate of its own day.");
    desk.press("Today’s span");
    desk.sees("Every session is read with today's resting and maximum heart rate.");
    desk.await(() -> desk.all(".ruler, [role=slider]").size() > 0);
    desk.size(390, 844);
    desk.openClient("Tomasz", "months");
    desk.sees("Two dates side by side");
    Long wide = (Long) desk.driver().executeScript("return document.documentElement.scrollWidth");
    assertThat(wide).isLessThanOrEqualTo(390);
    desk.size(1280, 800);
  }

  @Test
  void onAFirstDayNothingIsThereAndAnArchiveComesIn() throws Exception {
    desk.openClient("Ines", "details");
    String archive = desk.pressable("Download everything of this client").getDomProperty("href");
    Path zip = folder.resolve("ines.zip");
    try (var in = URI.create(archive).toURL().openStream()) {
      Files.copy(in, zip);
    }
    desk.openEmpty("/studio");
    desk.sees("Everything, out and in");
    desk.one("input[aria-label=Archive]").sendKeys(zip.toString());
    desk.sees("ines.zip is in, whole");
    desk.soon(() -> assertThat(desk.one("h1").getText()).isEqualTo("Ines Okafor-Lund"));
    desk.driver()
        .get(desk.driver().getCurrentUrl().replaceAll("/(bands|screening).*", "/recordings"));
    desk.sees("None yet. A recording that is kept becomes a session");
    desk.keys(Keys.ESCAPE);
  }
}
