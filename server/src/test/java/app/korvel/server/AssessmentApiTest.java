package app.korvel.server;

import static app.korvel.server.TestClients.counted;
import static app.korvel.server.TestClients.screened;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.time.Duration;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tests over HTTP, with a clock that is set; the server is stopped in the middle of one. */
class AssessmentApiTest {
  private static final String TWO_MINUTES =
      "{\"kind\":\"two-minute\",\"source\":\"count\",\"activity\":\"sit-to-stand\",\"present\":true}";

  private static final String GRADED =
      "{\"kind\":\"graded\",\"source\":\"count\",\"protocol\":\"bruce\","
          + "\"target\":{\"kind\":\"reserve\",\"value\":85},\"supervisor\":\"Ilse Marrowby\","
          + "\"posture\":\"lying\",\"noneOfThese\":true,\"present\":true}";

  @TempDir Path folder;
  private TestServer server;
  private String client;

  @BeforeEach
  void start() {
    server = new TestServer(folder, SetClock.class);
    client = screened(server, "Stair Climber", 46, "regular", ",\"weightKg\":75");
    counted(server, client, 64);
  }

  @AfterEach
  void stop() {
    server.close();
  }

  private void checkIn() {
    String go =
        "{\"pulseBpm\":64,\"posture\":\"seated\",\"source\":\"count\",\"settled\":true,"
            + "\"rhythm\":\"steady\"}";
    assertThat(server.post(client + "/checkins", go).at("/outcome")).isEqualTo("go");
  }

  private String opened(String request) {
    Answer answer = server.post(client + "/tests", request);
    assertThat(answer.status()).as(answer.json().toString()).isEqualTo(201);
    return "/api/tests/" + answer.at("/sheet/id");
  }

  private Answer event(String test, UUID id, String more) {
    return server.put(test + "/events/" + id, "{\"at\":\"%s\",%s}".formatted(SetClock.now(), more));
  }

  private Answer event(String test, String more) {
    return event(test, UUID.randomUUID(), more);
  }

  private Answer happened(String test, String more) {
    Answer answer = event(test, more);
    assertThat(answer.status()).as(answer.json().toString()).isEqualTo(200);
    return answer;
  }

  private static void pass(int seconds) {
    SetClock.letPass(Duration.ofSeconds(seconds));
  }

  private Answer pressure(String test, int systolic, int diastolic) {
    return happened(
        test,
        "\"kind\":\"pressure\",\"systolic\":%d,\"diastolic\":%d".formatted(systolic, diastolic));
  }

  private Answer rate(String test, int bpm) {
    return happened(test, "\"kind\":\"read-off\",\"bpm\":" + bpm);
  }

  private Answer twoMinutes(int resting, int first, int later, int last, int repetitions) {
    String test = opened(TWO_MINUTES);
    happened(test, "\"kind\":\"counted\",\"windowSeconds\":15,\"beats\":" + resting);
    happened(test, "\"kind\":\"begun\"");
    pass(136);
    happened(test, "\"kind\":\"counted\",\"windowSeconds\":15,\"beats\":" + first);
    pass(60);
    happened(test, "\"kind\":\"counted\",\"windowSeconds\":15,\"beats\":" + later);
    pass(60);
    happened(test, "\"kind\":\"counted\",\"windowSeconds\":15,\"beats\":" + last);
    happened(test, "\"kind\":\"repeated\",\"repetitions\":" + repetitions);
    happened(test, "\"kind\":\"rated\",\"rpe20\":12");
    Answer closed = happened(test, "\"kind\":\"closed\"");
    assertThat(closed.json().get("open").asBoolean()).isFalse();
    return server.get(test);
  }

  @Test
  void itBeginsOnlyWhereTheRulesAllowIt() {
    Answer start = server.get(client + "/tests");
    assertThat(start.at("/options/0/findings/0/code")).isEqualTo("test-check-in");
    assertThat(start.json().at("/options/0/onlyToday").asBoolean()).isTrue();
    assertThat(server.post(client + "/tests", TWO_MINUTES).status()).isEqualTo(422);
    checkIn();
    assertThat(server.get(client + "/tests").json().at("/options/0/open").asBoolean()).isTrue();
    Answer alone = server.post(client + "/tests", TWO_MINUTES.replace("true", "false"));
    assertThat(alone.at("/errors/0/field")).isEqualTo("present");
    opened(TWO_MINUTES);
    assertThat(server.post(client + "/tests", GRADED).at("/findings/0/code")).isEqualTo("test-on");
    assertThat(server.get("/api/tests").json()).hasSize(1);
  }

  @Test
  void twoMinutesAndTheRetest() {
    checkIn();
    Answer first = twoMinutes(17, 26, 22, 20, 30);
    assertThat(first.json().at("/state/outcome/figures/0/value").asInt()).isEqualTo(36);
    pass(86_400 * 90);
    checkIn();
    Answer second = twoMinutes(16, 21, 18, 17, 31);
    String test = "/api/tests/" + second.at("/sheet/id");
    Answer beside = server.get(test + "/retest");
    // Up 36 then, and 20 now: 16 less is more than the 11 of chance.
    assertThat(beside.json().at("/0/pairs/0/change").asInt()).isEqualTo(-16);
    assertThat(beside.json().at("/0/pairs/0/changed").asBoolean()).isTrue();
    assertThat(beside.json().at("/0/pairs/1/changed").asBoolean()).isFalse();

    pass(86_400 * 2);
    checkIn();
    Answer other = twoMinutes(16, 21, 18, 17, 34);
    Answer unlike = server.get("/api/tests/" + other.at("/sheet/id") + "/retest");
    assertThat(unlike.at("/0/unlike/message")).contains("31 repetitions then and 34 now");
    assertThat(unlike.json().at("/0/pairs")).isEmpty();
  }

  @Test
  void aGradedTestWholeWithAServerThatStopsInTheMiddle() {
    checkIn();
    String test = opened(GRADED);
    Answer early = event(test, "\"kind\":\"begun\"");
    assertThat(early.status()).isEqualTo(422);
    assertThat(early.at("/findings/0/code")).isEqualTo("baseline-missing");
    happened(test, "\"kind\":\"posture\",\"posture\":\"lying\"");
    pass(180);
    rate(test, 66);
    pressure(test, 122, 80);
    happened(test, "\"kind\":\"posture\",\"posture\":\"standing\"");
    pass(60);
    rate(test, 72);
    Answer ready = pressure(test, 124, 82);
    assertThat(ready.json().toString()).contains("Begin stage 1");
    happened(test, "\"kind\":\"begun\"");

    pass(150);
    pressure(test, 140, 80);
    pass(25);
    rate(test, 112);
    Answer rated = happened(test, "\"kind\":\"rated\",\"rpe20\":9");
    assertThat(rated.json().at("/graded/stages/0/vitals/systolic").asInt()).isEqualTo(140);

    server.close();
    server = new TestServer(folder, SetClock.class);
    pass(10);
    assertThat(server.get(test).json().at("/state/graded/stages")).hasSize(2);
    assertThat(server.get(test).json().at("/state/graded/stages/0/vitals/bpm").asInt())
        .isEqualTo(112);

    UUID id = UUID.randomUUID();
    assertThat(event(test, id, "\"kind\":\"read-off\",\"bpm\":160").status()).isEqualTo(200);
    Answer again = event(test, id, "\"kind\":\"read-off\",\"bpm\":160");
    assertThat(again.at("/ends/0/code")).isEqualTo("end-target");
    assertThat(again.json().at("/entries/0/kind").asString()).isEqualTo("read-off");
    happened(test, "\"kind\":\"ended\",\"reason\":\"target\"");
    happened(test, "\"kind\":\"posture\",\"posture\":\"lying\"");
    assertThat(event(test, "\"kind\":\"closed\"").status()).isEqualTo(400);
    pass(360);
    rate(test, 80);
    pressure(test, 124, 80);
    pass(120);
    rate(test, 78);
    Answer back = pressure(test, 122, 80);
    assertThat(back.at("/graded/recovered")).isEqualTo("recovered");
    Answer closed = happened(test, "\"kind\":\"closed\"");
    assertThat(closed.json().get("open").asBoolean()).isFalse();
    assertThat(closed.json().at("/outcome/findings").toString()).contains("recovery-done");
    assertThat(event(test, "\"kind\":\"rated\",\"rpe20\":9").status()).isEqualTo(422);

    // Closing is undone like anything else.
    String closing = closed.at("/entries/0/id");
    Answer open = happened(test, "\"kind\":\"withdrawn\",\"of\":\"%s\"".formatted(closing));
    assertThat(open.json().get("open").asBoolean()).isTrue();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"kind\":\"rated\",\"rpe20\":5 | rpe20",
        "\"kind\":\"rated\",\"rpe20\":21 | rpe20",
        "\"kind\":\"rated\" | rpe20",
        "\"kind\":\"pressure\",\"systolic\":80,\"diastolic\":90 | systolic",
        "\"kind\":\"pressure\",\"systolic\":320,\"diastolic\":90 | systolic",
        "\"kind\":\"read-off\",\"bpm\":300 | bpm",
        "\"kind\":\"counted\",\"beats\":2,\"windowSeconds\":15 | beats",
        "\"kind\":\"walked\",\"stage\":3,\"yes\":true | stage",
        "\"kind\":\"ended\",\"reason\":\"target\" | kind",
        "\"kind\":\"ended\",\"reason\":\"sign\" | sign",
        "\"kind\":\"withdrawn\",\"of\":\"00000000-0000-0000-0000-000000000001\" | of",
        "\"kind\":\"left-out\",\"words\":\" \" | because",
      })
  void whatCannotBeIsRefusedAtItsField(String more, String field) {
    checkIn();
    String test = opened(GRADED);
    Answer refused = event(test, more);
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo(field);
    assertThat(server.get(test).json().at("/state/entries")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"noneOfThese\":true | \"noneOfThese\":false | noneOfThese",
        "Ilse Marrowby | | supervisor",
        "\"value\":85 | \"value\":130 | target.value",
        "\"protocol\":\"bruce\" | \"protocol\":\"up\" | protocol",
        "\"kind\":\"reserve\",\"value\":85 | \"kind\":\"rate\",\"value\":200 | target.value",
      })
  void aGradedTestThatCannotBeOpened(String from, String to, String field) {
    checkIn();
    Answer refused = server.post(client + "/tests", GRADED.replace(from, to == null ? "" : to));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo(field);
  }

  @Test
  void talkStepsBecomeThresholdsAndTalkChecks() {
    checkIn();
    String test =
        opened(
            "{\"kind\":\"talk-steps\",\"source\":\"count\",\"mode\":\"run\","
                + "\"ladder\":\"1 km/h more each\",\"present\":true}");
    happened(test, "\"kind\":\"begun\"");
    int[][] steps = {{110, 1}, {124, 2}, {138, 3}, {152, 4}};
    for (int[] step : steps) {
      pass(110);
      rate(test, step[0]);
      happened(test, "\"kind\":\"spoken\",\"voice\":" + step[1]);
      pass(10);
    }
    Answer closed = happened(test, "\"kind\":\"closed\"");
    assertThat(closed.at("/outcome/grade")).isEqualTo("fair");
    Answer thresholds = server.get(client + "/thresholds");
    assertThat(thresholds.json().toString()).contains("124", "152");
    Answer talk = server.get(client + "/talk");
    assertThat(talk.json().toString()).contains("phrases at 138");

    happened(test, "\"kind\":\"withdrawn\",\"of\":\"%s\"".formatted(closed.at("/entries/0/id")));
    assertThat(server.get(client + "/talk").json().toString()).doesNotContain("phrases at 138");
  }

  @Test
  void protocolsOfTheStudioAndResultsOfALaboratory() {
    String own =
        "{\"name\":\"Skiff ladder\",\"mode\":\"cycle\",\"pressureEvery\":2,\"stages\":["
            + "{\"seconds\":120,\"watts\":40},{\"seconds\":120,\"watts\":60}]}";
    Answer added = server.post("/api/protocols", own);
    assertThat(added.status()).isEqualTo(201);
    Answer easier = server.post("/api/protocols", own.replace("60", "30"));
    assertThat(easier.at("/errors/0/field")).isEqualTo("stages[1]");
    Answer changed =
        server.put(
            "/api/protocols/" + added.at("/id"),
            "{\"version\":1,\"protocol\":%s}".formatted(own.replace("60", "70")));
    assertThat(changed.json().get("version").asInt()).isEqualTo(2);
    checkIn();
    opened(GRADED.replace("bruce", added.at("/id")));

    Answer lab =
        server.post(
            client + "/laboratory",
            "{\"mode\":\"run\",\"vo2max\":44.2,\"measuredOn\":\"%s\",\"laboratory\":\"Harbour"
                    .formatted(SetClock.today())
                + " hospital\"}");
    assertThat(lab.json().at("/laboratory/0/vo2max").asDouble()).isEqualTo(44.2);
  }

  @Test
  void samplesOfAStrap() {
    checkIn();
    String test = opened(TWO_MINUTES.replace("\"count\"", "\"strap\""));
    pass(5);
    long now = SetClock.now().toEpochMilli();
    Answer taken =
        server.put(
            test + "/samples/1",
            "{\"at\":[%d,%d,%d],\"bpm\":[70,71,72]}".formatted(now - 3000, now - 2000, now - 1000));
    assertThat(taken.json().get("isNew").asBoolean()).isTrue();
    assertThat(server.get(test).json().at("/state/bpm").asInt()).isEqualTo(71);
  }
}
