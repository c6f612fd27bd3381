package app.korvel.server;

import static app.korvel.server.TestClients.PARTS;
import static app.korvel.server.TestClients.added;
import static app.korvel.server.TestClients.counted;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Sessions logged, weeks decided, and what comes of it, over HTTP. */
class SessionApiTest {
  private static TestServer server;
  private static LocalDate today;

  /** The Monday of two weeks ago. */
  private static LocalDate start;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
    today = LocalDate.parse(server.get("/api/studio").at("/today"));
    start = today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)).minusWeeks(2);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  /** Eight weeks of 3 × 30 min at 40 to 50 % since two weeks ago: effort 12 to 13. */
  private static String planned() {
    String client = added(server, "Session Tester", 46, "some", "");
    counted(server, client, 64);
    server.post(client + "/prescriptions", PARTS.formatted(40, 50));
    Answer laid =
        server.put(
            client + "/programme",
            """
            {"version":0,"plan":{"startsOn":"%s","endsOn":"%s",
              "weekdays":["monday","wednesday","friday","sunday"],"goalMinutes":40,"goalDays":4}}
            """
                .formatted(start, start.plusWeeks(8).minusDays(1)));
    assertThat(laid.status()).as(laid.json().toString()).isEqualTo(200);
    return client;
  }

  private static String log(String client, Object number, LocalDate on, String more) {
    return "{\"clientId\":\"%s\",\"number\":%s,\"on\":\"%s\"%s}"
        .formatted(client.substring(client.lastIndexOf('/') + 1), number, on, more);
  }

  private static Answer keep(String... logs) {
    return server.post("/api/session-logs", "{\"logs\":[" + String.join(",", logs) + "]}");
  }

  private static JsonNode session(String client, int number) {
    JsonNode all = server.get(client + "/programme").json().at("/programme/sessions");
    return StreamSupport.stream(all.spliterator(), false)
        .filter(each -> each.get("number").asInt() == number)
        .findFirst()
        .orElseThrow();
  }

  private static LocalDate dateOf(String client, int number) {
    return LocalDate.parse(session(client, number).get("date").asString());
  }

  private static List<String> codes(JsonNode findings) {
    return StreamSupport.stream(findings.spliterator(), false)
        .map(each -> each.get("code").asString())
        .toList();
  }

  /** Both weeks as planned, at that effort: three sessions each. */
  private static void logFortnight(String client, int rpe) {
    List<String> logs = new ArrayList<>();
    for (int number = 1; number <= 6; number++) {
      logs.add(log(client, number, dateOf(client, number), ",\"done\":true,\"rpe\":" + rpe));
    }
    Answer kept = keep(logs.toArray(String[]::new));
    assertThat(kept.status()).as(kept.json().toString()).isEqualTo(201);
  }

  private static List<JsonNode> open(String client, int number) {
    return StreamSupport.stream(
            server.get("/api/session-logs/open").json().get("sessions").spliterator(), false)
        .filter(each -> client.endsWith(each.get("clientId").asString()))
        .filter(each -> each.get("number").asInt() == number)
        .toList();
  }

  @Test
  void whatWasAskedForIsWhatIsProposedAndTheListEmpties() {
    String client = planned();
    // The first session of the week before this one.
    JsonNode mine = open(client, 4).get(0);
    // 40 to 50 % of 112 over 64.
    assertThat(mine.at("/aim/lowBpm").asInt() + "–" + mine.at("/aim/highBpm").asInt())
        .isEqualTo("109–120");
    assertThat(mine.get("minutes").asInt()).isEqualTo(33);
    Answer kept =
        keep(
            log(
                client,
                4,
                dateOf(client, 4),
                ",\"done\":true,\"bpm\":118,\"rpe\":12,\"voice\":\"talk\",\"note\":\"wind\""));
    assertThat(kept.status()).isEqualTo(201);
    assertThat(kept.at("/logs/0/minutes")).isEqualTo("33");
    assertThat(kept.at("/logs/0/words")).isEqualTo("33 min, 118 counted, RPE 12, Talk");
    assertThat(open(client, 4)).isEmpty();
    assertThat(server.get(client + "/session-logs").at("/logs/0/note")).isEqualTo("wind");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1  | ,\"done\":true,\"minutes\":0    | minutes | 1 to 600 minutes",
        "1  | ,\"done\":true,\"minutes\":900  | minutes | 1 to 600 minutes",
        "1  | ,\"done\":true,\"rpe\":5        | rpe     | 6 to 20 RPE",
        "1  | ,\"done\":true,\"rpe\":21       | rpe     | 6 to 20 RPE",
        "1  | ,\"done\":true,\"bpm\":300      | bpm     | 30 to 240 bpm",
        "1  | ,\"done\":false,\"rpe\":12      | rpe     | nothing, or “done”",
        "99 | ,\"done\":true                  | number  | a session that was laid out, or none",
      })
  void badFiguresAreRefusedWithWhatIsAcceptedAndNothingIsKept(
      int number, String more, String field, String accepted) {
    String client = planned();
    Answer answer = keep(log(client, number, start, more));
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.at("/errors/0/field")).isEqualTo(field);
    assertThat(answer.at("/errors/0/accepted")).isEqualTo(accepted);
    assertThat(server.get(client + "/session-logs").json().get("logs")).isEmpty();
  }

  @Test
  void aLogInTheFutureIsRefused() {
    Answer answer = keep(log(planned(), "null", today.plusDays(1), ",\"done\":true"));
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.at("/errors/0/field")).isEqualTo("on");
    assertThat(answer.at("/errors/0/accepted")).isEqualTo("today or a day in the past");
  }

  @Test
  void ofAClassAllIsKeptOrNothing() {
    String one = planned();
    String other = planned();
    Answer faulty =
        keep(
            log(one, 1, start, ",\"done\":true,\"rpe\":12"),
            log(other, 1, start, ",\"done\":true,\"rpe\":33"));
    assertThat(faulty.status()).isEqualTo(400);
    assertThat(faulty.at("/errors/0/field")).isEqualTo("logs[1].rpe");
    assertThat(server.get(one + "/session-logs").json().get("logs")).isEmpty();
    assertThat(
            keep(log(one, 1, start, ",\"done\":true"), log(one, 1, start, ",\"done\":true"))
                .at("/errors/0/message"))
        .isEqualTo("names a session twice");
    assertThat(keep().status()).isEqualTo(400);
    assertThat(
            keep(
                    log(one, 1, start, ",\"done\":true,\"rpe\":12"),
                    log(other, 1, start, ",\"done\":false"))
                .status())
        .isEqualTo(201);
    Answer again =
        keep(log(other, 2, start, ",\"done\":true"), log(one, 1, start, ",\"done\":true"));
    assertThat(again.status()).isEqualTo(422);
    assertThat(again.at("/findings/0/message"))
        .isEqualTo("This session is logged: Session Tester, 30 min, RPE 12.");
    assertThat(server.get(other + "/session-logs").json().get("logs")).hasSize(1);
  }

  @Test
  void aLogIsPutRightTakenBackAndBroughtBack() {
    String client = planned();
    String id = keep(log(client, 1, start, ",\"done\":true,\"rpe\":15")).at("/logs/0/id");
    String path = client + "/session-logs/";
    Answer right = server.put(path + id, log(client, 1, start, ",\"done\":true,\"rpe\":12"));
    assertThat(right.at("/rpe")).isEqualTo("12");
    assertThat(server.put(path + id, log(client, 1, start, ",\"done\":true")).status())
        .isEqualTo(409);
    assertThat(
            server
                .put(path + right.at("/id"), log(client, 2, start, ",\"done\":true"))
                .at("/errors/0/field"))
        .isEqualTo("number");
    assertThat(server.post(path + right.at("/id") + "/undo", "{}").status()).isEqualTo(200);
    Answer before = server.get(client + "/session-logs");
    assertThat(before.at("/logs/0/rpe")).isEqualTo("15");
    String back = server.delete(path + before.at("/logs/0/id")).at("/id");
    assertThat(server.get(client + "/session-logs").json().get("logs")).isEmpty();
    keep(log(client, 1, start, ",\"done\":false"));
    // It has been logged anew since: one session has one log.
    assertThat(server.post(path + back + "/undo", "{}").status()).isEqualTo(409);
    assertThat(server.get(client + "/session-logs").json().get("logs")).hasSize(1);
    assertThat(server.delete(path + new java.util.UUID(0, 1)).status()).isEqualTo(404);
  }

  @Test
  void aStopSignSuspendsWhatWasIssued() {
    String client = planned();
    keep(log(client, 1, start, ",\"done\":true,\"warnings\":[\"wish\"]"));
    assertThat(server.get(client).at("/prescription/standing/state")).isEqualTo("issued");
    Answer log =
        keep(log(client, 2, start, ",\"done\":true,\"minutes\":10,\"warnings\":[\"chest-pain\"]"));
    assertThat(log.at("/logs/0/symptoms")).isEqualTo("true");
    assertThat(server.get(client).at("/prescription/standing/state")).isEqualTo("suspended");
    assertThat(codes(server.get(client + "/programme").json().get("why")))
        .contains("programme-not-led");
    // Taken back, it was never told.
    server.delete(client + "/session-logs/" + log.at("/logs/0/id"));
    assertThat(server.get(client).at("/prescription/standing/state")).isEqualTo("issued");
  }

  @Test
  void aFortnightAsAskedForEarnsAStepAndTheWeeksAheadFollow() {
    String client = planned();
    logFortnight(client, 12);
    Answer sheet = server.get(client + "/programme");
    JsonNode review = sheet.json().get("review");
    assertThat(review.get("week").asInt()).isEqualTo(2);
    assertThat(review.get("earned").asString()).isEqualTo("step");
    assertThat(codes(review.get("because"))).containsExactly("sessions-enough", "effort-as-asked");
    // 90, then 99 of which 99 were done: 108 is 36 a session.
    assertThat(review.at("/before/minutes").asInt()).isEqualTo(33);
    assertThat(review.at("/proposed/minutes").asInt()).isEqualTo(36);
    assertThat(server.get(client).json().toString()).contains("decide week 3");

    Answer decided = decide(client, 3, 1, "\"taken\":\"accepted\"");
    assertThat(decided.status()).as(decided.json().toString()).isEqualTo(200);
    assertThat(decided.at("/version")).isEqualTo("2");
    assertThat(decided.at("/weeks/2/minutesASession")).isEqualTo("36");
    assertThat(decided.at("/decisions/0/taken")).isEqualTo("accepted");
    assertThat(server.get(client + "/programme").json().get("review").isNull()).isTrue();
    // Once, and only the week whose turn it is.
    assertThat(codes(decide(client, 3, 2, "\"taken\":\"accepted\"").json().get("findings")))
        .containsExactly("nothing-to-decide");
    assertThat(decide(client, 5, 2, "\"taken\":\"accepted\"").status()).isEqualTo(422);
    // Taken back, it is to be decided again.
    server.put(client + "/programme/version", "{\"version\":2,\"to\":1}");
    assertThat(server.get(client + "/programme").json().at("/review/week").asInt()).isEqualTo(2);
  }

  /** A decision stands on a log; where that is changed after it, it says so. */
  @Test
  void aDecisionWhoseLogWasChangedSaysSo() {
    String client = planned();
    logFortnight(client, 12);
    Answer decided = decide(client, 3, 1, "\"taken\":\"accepted\"");
    assertThat(decided.json().at("/decisions/0/changed").isNull()).isTrue();
    JsonNode log =
        StreamSupport.stream(
                server.get(client + "/session-logs").json().get("logs").spliterator(), false)
            .filter(each -> each.get("number").asInt() == 5)
            .findFirst()
            .orElseThrow();
    String path = client + "/session-logs/" + log.get("id").asString();
    Answer right = server.put(path, log(client, 5, dateOf(client, 5), ",\"done\":true,\"rpe\":17"));
    Answer sheet = server.get(client + "/programme");
    assertThat(sheet.at("/programme/decisions/0/changed/code")).isEqualTo("decision-log-changed");
    assertThat(sheet.at("/programme/decisions/0/changed/message"))
        .contains("log of week 2", "review week 3");
    server.post(client + "/session-logs/" + right.at("/id") + "/undo", "{}");
    assertThat(
            server.get(client + "/programme").json().at("/programme/decisions/0/changed").isNull())
        .isTrue();
  }

  private static Answer decide(String client, int week, int version, String more) {
    return server.put(
        client + "/programme/weeks/" + week + "/decision",
        "{\"version\":" + version + "," + more + "}");
  }

  @Test
  void tooHardGoesAStepBackAndItCanBeChangedOrRefusedWithAReason() {
    String client = planned();
    logFortnight(client, 16);
    JsonNode review = server.get(client + "/programme").json().get("review");
    assertThat(review.get("earned").asString()).isEqualTo("back");
    assertThat(review.at("/proposed/minutes").asInt()).isEqualTo(30);
    assertThat(codes(review.get("because"))).contains("effort-too-high");

    assertThat(decide(client, 3, 1, "\"taken\":\"refused\"").at("/errors/0/field"))
        .isEqualTo("reason");
    Answer own =
        decide(
            client,
            3,
            1,
            "\"taken\":\"changed\",\"minutes\":20,\"days\":9,\"highPercent\":99,\"reason\":\"knee\"");
    assertThat(own.status()).isEqualTo(400);
    own =
        decide(client, 3, 1, "\"taken\":\"changed\",\"minutes\":20,\"days\":2,\"reason\":\"knee\"");
    assertThat(own.at("/weeks/2/minutesASession") + " × " + own.at("/weeks/2/days"))
        .isEqualTo("20 × 2");
    assertThat(own.at("/decisions/0/reason")).isEqualTo("knee");
    assertThat(own.at("/weeks/2/because/because")).contains("knee");
    server.put(client + "/programme/version", "{\"version\":2,\"to\":1}");
    Answer refused = decide(client, 3, 3, "\"taken\":\"refused\",\"reason\":\"was the heat\"");
    assertThat(refused.at("/weeks/2/minutesASession")).isEqualTo("33");
  }

  @Test
  void aSessionThatIsLoggedIsNotMovedAndTheNextProgrammeHasNumbersOfItsOwn() {
    String client = planned();
    keep(log(client, 1, start, ",\"done\":true"));
    Answer moved =
        server.put(
            client + "/programme/sessions/1/date",
            "{\"version\":1,\"date\":\"" + start.plusDays(1) + "\"}");
    assertThat(codes(moved.json().get("findings"))).containsExactly("session-logged");
    Answer timed =
        server.put(
            client + "/programme/sessions/20/date",
            "{\"version\":1,\"date\":\"%s\",\"time\":\"18:30\"}".formatted(dateOf(client, 20)));
    assertThat(timed.status()).as(timed.json().toString()).isEqualTo(200);
    assertThat(session(client, 20).get("time").asString()).startsWith("18:30");
    server.put(
        client + "/programme/sessions/20/date",
        "{\"version\":2,\"date\":\"%s\",\"untimed\":true}".formatted(dateOf(client, 20)));
    assertThat(session(client, 20).get("time").isNull()).isTrue();
    int last = server.get(client + "/programme").json().at("/programme/sessions").size();
    Answer next =
        server.put(
            client + "/programme",
            """
            {"version":3,"plan":{"startsOn":"%s","endsOn":"%s","time":"07:15",
              "weekdays":["monday","wednesday","friday"],"goalMinutes":40,"goalDays":3}}
            """
                .formatted(start.plusWeeks(3), start.plusWeeks(9).minusDays(1)));
    assertThat(next.status()).as(next.json().toString()).isEqualTo(200);
    assertThat(next.json().at("/sessions/0/number").asInt()).isEqualTo(last + 1);
    assertThat(next.at("/sessions/0/time")).startsWith("07:15");
  }

  @Test
  void progressShowsMinutesAdherenceAndEffort() {
    String client = planned();
    assertThat(server.get(client + "/progress").at("/logs")).isEqualTo("0");
    logFortnight(client, 12);
    keep(log(client, "null", start, ",\"done\":true,\"minutes\":25,\"rpe\":14"));
    Answer progress = server.get(client + "/progress");
    JsonNode week = progress.json().at("/weeks/9");
    assertThat(week.get("startsOn").asString()).isEqualTo(start.toString());
    // Three of 30 min at Talk, and 25 besides at Phrases, worth two each.
    assertThat(week.get("minutes").toString()).isEqualTo("[0,90,25,0,0]");
    assertThat(week.get("moderateEquivalentMinutes").asInt()).isEqualTo(140);
    assertThat(week.get("extra").asInt()).isEqualTo(1);
    assertThat(progress.at("/goalMinutes")).isEqualTo("90");
    assertThat(progress.json().get("adherencePercent").asInt()).isPositive();
    assertThat(progress.json().get("resting").isNull()).isTrue();
    assertThat(progress.json().at("/targets/0/felt")).hasSize(7);
  }

  @Test
  void todaySaysWhatIsToLogAndWhichWeekIsToDecide() {
    String client = planned();
    JsonNode before = server.get("/api/today").json();
    assertThat(before.get("toLog").asInt()).isPositive();
    JsonNode mine =
        StreamSupport.stream(before.get("due").spliterator(), false)
            .filter(row -> client.endsWith(row.get("clientId").asString()))
            .findFirst()
            .orElseThrow();
    assertThat(mine.get("words").asString()).isEqualTo("Week 2 is over: decide the next one.");
    assertThat(mine.get("leads").asString()).isEqualTo("sessions");
  }

  @Test
  void withoutAPrescriptionThereIsNothingToLogAgainst() {
    String client = added(server, "Nobody Yet", 46, "some", "");
    Answer answer = keep(log(client, "null", today, ",\"done\":true"));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(codes(answer.json().get("findings"))).containsExactly("no-prescription");
  }
}
