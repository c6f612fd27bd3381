package app.korvel.server;

import static app.korvel.server.TestClients.counted;
import static app.korvel.server.TestClients.medicine;
import static app.korvel.server.TestClients.screened;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Measured maxima and what follows from them, over HTTP. */
class MaximumApiTest {
  private static final LocalDate TODAY = LocalDate.now();

  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  /** 46 years, regularly active, 64 at rest: 176 by the default equation. */
  private static String added() {
    String client = screened(server, "Mast Tester", 46, "regular", "");
    counted(server, client, 64);
    return client;
  }

  private static String measured(String kind, String grade, String mode, int bpm, LocalDate on) {
    return "{\"mode\":\"%s\",\"kind\":\"%s\",\"grade\":%s,\"bpm\":%d,\"measuredOn\":\"%s\"}"
        .formatted(mode, kind, grade.isEmpty() ? "null" : "\"" + grade + "\"", bpm, on);
  }

  private static String peak(int bpm, int daysAgo) {
    return measured("peak", "", "run", bpm, TODAY.minusDays(daysAgo));
  }

  private static int working(String client, String mode) {
    return server.get(client + "/maximum?mode=" + mode).json().at("/working/bpm").asInt();
  }

  @Test
  void aTypedPeakIsAProposalUntilASecondDayConfirmsIt() {
    String client = added();
    Answer preview = server.post(client + "/maxima/preview", peak(191, 20));
    assertThat(preview.at("/judged/state")).isEqualTo("proposal");
    assertThat(preview.at("/workingAfter/bpm")).isEqualTo("176");
    assertThat(server.get(client + "/maximum").json().get("measured").size()).isZero();

    assertThat(server.post(client + "/maxima", peak(191, 20)).status()).isEqualTo(201);
    assertThat(working(client, "run")).isEqualTo(176);
    assertThat(server.get(client + "/maximum").at("/findings/0/code"))
        .isEqualTo("maximum-proposed");

    Answer second = server.post(client + "/maxima", peak(189, 3));
    Answer sheet = server.get(client + "/maximum");
    assertThat(sheet.at("/working/bpm")).isEqualTo("191");
    assertThat(sheet.at("/working/method")).isEqualTo("confirmed-peak");
    assertThat(sheet.at("/working/origin")).isEqualTo("measured");
    assertThat(sheet.at("/longHand/0/sum")).isEqualTo("189, 191");
    assertThat(server.get(client + "/bands").at("/zones/maximumBpm")).isEqualTo("191");

    Answer back = server.delete(client + "/maxima/" + second.at("/id"));
    assertThat(working(client, "run")).isEqualTo(176);
    assertThat(server.post(client + "/maxima/" + back.at("/id") + "/undo", "{}").status())
        .isEqualTo(200);
    assertThat(working(client, "run")).isEqualTo(191);
    assertThat(server.delete(client + "/maxima/" + second.at("/id")).status()).isEqualTo(409);
  }

  @Test
  void oneIsPutRightAndTheRightOneCounts() {
    String client = added();
    String test = measured("field-test", "good", "run", 118, TODAY);
    Answer kept = server.post(client + "/maxima", test);
    assertThat(working(client, "run")).isEqualTo(118);
    String right = measured("field-test", "good", "run", 181, TODAY);
    Answer preview = server.post(client + "/maxima/preview?instead=" + kept.at("/id"), right);
    assertThat(preview.at("/judged/state")).isEqualTo("working");
    assertThat(preview.at("/before/maximumBpm")).isEqualTo("118");
    assertThat(preview.at("/after/maximumBpm")).isEqualTo("181");
    assertThat(server.put(client + "/maxima/" + kept.at("/id"), right).status()).isEqualTo(200);
    assertThat(working(client, "run")).isEqualTo(181);
  }

  @Test
  void modesStandSideBySide() {
    String client = added();
    server.post(client + "/maxima", measured("laboratory", "good", "run", 188, TODAY));
    server.post(client + "/maxima", measured("graded-test", "good", "cycle", 174, TODAY));
    Answer sheet = server.get(client + "/maximum");
    List<String> rows = new ArrayList<>();
    sheet
        .json()
        .get("modes")
        .forEach(
            row ->
                rows.add(
                    row.at("/mode").asString()
                        + " "
                        + row.at("/maximum/bpm").asInt()
                        + " ± "
                        + row.at("/maximum/standardErrorBpm").asString()
                        + " "
                        + row.at("/maximum/origin").asString()));
    // √(3² + 8²) = 8.54
    assertThat(rows)
        .containsExactly(
            "run 188 ± 3.0 measured",
            "cycle 174 ± 3.0 measured",
            "row 188 ± 8.5 borrowed",
            "swim 178 ± 8.5 borrowed",
            "stairs 188 ± 8.5 borrowed",
            "other 188 ± 8.5 borrowed");
  }

  @Test
  void anEstimateIsWorkedOutAnewAtTheNextBirthday() {
    String client = added();
    Answer sheet = server.get(client + "/maximum");
    // Born 46 years and 30 days ago: 47 next, 208 − 32.9 = 175.1
    assertThat(sheet.at("/birthday/on")).isEqualTo(TODAY.minusDays(30).plusYears(1).toString());
    assertThat(sheet.at("/birthday/bpm")).isEqualTo("175");
    server.post(client + "/maxima", measured("laboratory", "good", "run", 188, TODAY));
    assertThat(server.get(client + "/maximum").json().get("birthday").isNull()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    "run, peak, '', 103, 0, bpm, 104 to 230 bpm",
    "run, peak, '', 231, 0, bpm, 80 to 230 bpm",
    "run, peak, '', 180, -1, measuredOn, today or a day in the past",
    "run, field-test, '', 180, 0, grade, 'good, fair or poor'",
    "run, confirmed-peak, '', 180, 0, kind, 'laboratory, graded-test, field-test, peak'",
    "fly, peak, '', 180, 0, mode, 'one of: run, cycle, row, swim, stairs, other'",
  })
  void whatIsNotAcceptedIsSaid(
      String mode, String kind, String grade, int bpm, int daysAgo, String field, String accepted) {
    String client = added();
    Answer refused =
        server.post(client + "/maxima", measured(kind, grade, mode, bpm, TODAY.minusDays(daysAgo)));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo(field);
    assertThat(refused.at("/errors/0/accepted")).contains(accepted);
    assertThat(server.get(client + "/maximum").json().get("measured").size()).isZero();
  }

  @Test
  void nobodyElsesIsChangedAndAnArchivedClientTakesNothing() {
    String client = added();
    String other = added();
    Answer kept = server.post(client + "/maxima", peak(180, 1));
    assertThat(server.delete(other + "/maxima/" + kept.at("/id")).status()).isEqualTo(404);
    assertThat(server.put(other + "/maxima/" + kept.at("/id"), peak(181, 1)).status())
        .isEqualTo(404);
    server.put(client + "/archived", "{\"version\":1,\"archived\":true}");
    assertThat(server.post(client + "/maxima", peak(181, 1)).status()).isEqualTo(422);
    assertThat(server.get(client + "/maximum").status()).isEqualTo(200);
  }

  @Test
  void aNewMaximumProposesALookAtThePrescriptionAndMovesNothing() {
    String client = added();
    Answer made = server.post(client + "/prescriptions", TestClients.PARTS.formatted(50, 70));
    assertThat(made.at("/prescription/target/highBpm")).isEqualTo("142");
    assertThat(server.get(client + "/prescriptions").json().get("change").isNull()).isTrue();

    server.post(client + "/maxima", measured("laboratory", "good", "run", 190, TODAY));
    Answer list = server.get(client + "/prescriptions");
    assertThat(list.at("/versions/0/prescription/target/highBpm")).isEqualTo("142");
    // 64 to 190, 126: 50 % 127, 70 % 152.2
    assertThat(list.at("/change/review/message"))
        .startsWith("New values would move the target from 120–142 to 127–152.");
    assertThat(server.get(client).at("/steps/4/detail")).isEqualTo("new values, v1");
    assertThat(server.get("/api/today").json().get("due").toString())
        .contains("New values would move the target from 120–142 to 127–152.");

    server.post(client + "/prescriptions", TestClients.PARTS.formatted(50, 70));
    assertThat(server.get(client + "/prescriptions").json().get("change").isNull()).isTrue();
    assertThat(server.get(client).at("/steps/4/detail")).isEqualTo("version 2");
  }

  /** Undone, the choice before holds as of the day on which it was made. */
  @Test
  void aChoiceOfAnEquationIsUndoneOnceAndOnlyTheLatest() {
    String client = added();
    String chosen = "{\"method\":\"%s\",\"reason\":\"rowed at 178 twice\"}";
    Answer first = server.put(client + "/maximum/choice", chosen.formatted("nes-211"));
    Answer back = server.delete(client + "/maximum/choice");
    assertThat(back.json().get("chosen").asBoolean()).isFalse();
    String undo = client + "/maximum-choices/%s/undo";
    assertThat(server.post(undo.formatted(first.at("/latestChoice")), "").status()).isEqualTo(409);
    assertThat(server.post(undo.formatted(back.at("/latestChoice")), "").status()).isEqualTo(200);
    assertThat(server.get(client + "/maximum").at("/inUse")).isEqualTo("nes-211");
    assertThat(server.get(client + "/maximum/choices").json().get("choices")).hasSize(3);
    assertThat(server.get(client + "/maximum/choices").at("/choices/0/reason"))
        .isEqualTo("rowed at 178 twice");
    assertThat(server.post(undo.formatted(client.substring(13)), "").status()).isEqualTo(404);
  }

  @Test
  void aChangeOfMedicineMakesAMeasuredOneStaleAtOnce() {
    String client = added();
    server.post(client + "/maxima", measured("laboratory", "good", "run", 190, TODAY));
    server.put(
        client + "/screening",
        TestClients.intake(1, "regular", medicine("beta-blocker", "bisoprolol", "5 mg")));
    Answer sheet = server.get(client + "/maximum");
    assertThat(sheet.at("/measured/0/state")).isEqualTo("stale");
    assertThat(sheet.at("/working/method")).isEqualTo("beta-minus-30");
  }

  @Test
  void aDeviceGetsBeatsAMinuteAndNeverMoreThanIsAllowed() {
    String client = added();
    Answer sheet = server.get(client + "/device-sheet");
    assertThat(sheet.at("/restingBpm")).isEqualTo("64");
    assertThat(sheet.at("/maximum/bpm")).isEqualTo("176");
    assertThat(sheet.at("/bands/1/lowBpm") + "–" + sheet.at("/bands/1/highBpm"))
        .isEqualTo("109–130");
    assertThat(sheet.json().get("alarm").isNull()).isTrue();
    server.post(client + "/prescriptions", TestClients.PARTS.formatted(50, 70));
    Answer alarmed = server.get(client + "/device-sheet");
    assertThat(alarmed.json().get("alarm").toString()).isEqualTo("[120,142]");
    assertThat(server.get(client + "/device-sheet?mode=cycle").json().get("alarm").isNull())
        .isTrue();
    assertThat(server.get(client + "/device-sheet?scheme=made-up").status()).isEqualTo(400);

    String easy = screened(server, "Easy Starter", 46, "some", "");
    counted(server, easy, 64);
    Answer held = server.get(easy + "/device-sheet");
    assertThat(held.json().at("/bands/1/allowed").asBoolean()).isTrue();
    assertThat(held.json().at("/bands/2/allowed").asBoolean()).isFalse();

    String failure =
        screened(server, "By Effort", 61, "none", TestClients.conditions("heart-failure"));
    counted(server, failure, 72);
    Answer refused = server.get(failure + "/device-sheet");
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().get("findings").size()).isPositive();
  }

  @Test
  void theRateAtEveryPercentOfReserve() {
    Answer rates = server.post("/api/calculator/rates", "{\"restingBpm\":64,\"maximumBpm\":176}");
    assertThat(rates.json().get("rates").size()).isEqualTo(101);
    assertThat(rates.at("/rates/0")).isEqualTo("64");
    assertThat(rates.at("/rates/40")).isEqualTo("109");
    assertThat(rates.at("/rates/60")).isEqualTo("131");
    assertThat(rates.at("/rates/100")).isEqualTo("176");
    assertThat(
            server.post("/api/calculator/rates", "{\"restingBpm\":64,\"maximumBpm\":100}").status())
        .isEqualTo(422);
  }

  @Test
  void thePeakOfARecordingIsNoSpike() {
    String csv = "seconds,bpm\\n0,180\\n1,181\\n2,182\\n3,182\\n4,181\\n5,215\\n6,182\\n";
    Answer peak = server.post("/api/calculator/peak", "{\"csv\":\"" + csv + "\"}");
    assertThat(peak.at("/bpm")).isEqualTo("181");
    assertThat(peak.at("/setAside/0/why")).isEqualTo("risen too fast");
    assertThat(peak.at("/findings/0/code")).isEqualTo("peak-sudden-rise");
    Answer off = server.post("/api/calculator/peak", "{\"csv\":\"<trk>\"}");
    assertThat(off.status()).isEqualTo(400);
    assertThat(off.at("/errors/0/message")).isEqualTo("line 1 does not name the columns");
  }

  private static String effort(String name, String bpm, LocalDate on) {
    return "{\"name\":\"%s\",\"mode\":\"run\",\"averageBpm\":%s,\"minutes\":31,\"doneOn\":\"%s\"}"
        .formatted(name, bpm, on);
  }

  @Test
  void anEffortIsHeldAgainstTheSpanOfTheDayItWasEntered() {
    String client = added();
    Answer preview = server.post(client + "/efforts/preview", effort("Sea wall", "142", TODAY));
    // (142 − 64) ÷ 112 = 69.6 %, 142 ÷ 176 = 80.7 %
    assertThat(preview.at("/reservePercent")).isEqualTo("69.6");
    assertThat(preview.at("/maximumPercent")).isEqualTo("80.7");
    assertThat(preview.at("/levelName")).isEqualTo("Phrases");
    Answer kept = server.post(client + "/efforts", effort("Sea wall", "142", TODAY));
    assertThat(kept.status()).isEqualTo(201);
    server.post(client + "/maxima", measured("laboratory", "good", "run", 190, TODAY));
    Answer list = server.get(client + "/efforts");
    assertThat(list.at("/efforts/0/reservePercent")).isEqualTo("69.6");
    Answer back = server.delete(client + "/efforts/" + kept.at("/id"));
    assertThat(server.get(client + "/efforts").json().get("efforts").size()).isZero();
    server.post(client + "/efforts/" + back.at("/id") + "/undo", "{}");
    assertThat(server.get(client + "/efforts").json().get("efforts").size()).isEqualTo(1);
  }

  @ParameterizedTest
  @CsvSource({
    "'', 142, name",
    "Sea wall, 63, averageBpm",
    "Sea wall, 231, averageBpm",
    "Sea wall, 142.5, averageBpm",
  })
  void anEffortThatCannotBeIsRefused(String name, String bpm, String field) {
    Answer refused = server.post(added() + "/efforts", effort(name, bpm, TODAY));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo(field);
  }

  @Test
  void withoutASpanThereIsNoShareOfIt() {
    String uncounted = screened(server, "Not Counted", 40, "some", "");
    Answer refused = server.post(uncounted + "/efforts", effort("Sea wall", "142", TODAY));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.at("/findings/0/code")).isEqualTo("resting-missing");
    assertThat(server.delete(uncounted + "/efforts/00000000-0000-7000-8000-000000000000").status())
        .isEqualTo(404);
  }
}
