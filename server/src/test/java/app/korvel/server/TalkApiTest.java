package app.korvel.server;

import static app.korvel.server.TestClients.PARTS;
import static app.korvel.server.TestClients.added;
import static app.korvel.server.TestClients.counted;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Talk checks and learned talk rates over HTTP, by a clock that is set. */
class TalkApiTest {
  /** Of the nine worked checks: the day, voice and rate. */
  private static final int[][] NINE = {
    {0, 2, 128},
    {0, 3, 140},
    {3, 2, 133},
    {3, 3, 142},
    {7, 2, 136},
    {10, 2, 131},
    {10, 3, 139},
    {14, 3, 136},
    {14, 2, 134}
  };

  private static TestServer server;
  private static LiveScene scene;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder, SetClock.class);
    scene = new LiveScene(server);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static String check(int voice, int bpm, String more) {
    return "{\"id\":\"%s\",\"mode\":\"run\",\"bpm\":%d,\"source\":\"strap\",\"voice\":%d,\"how\":\"heard\",\"steady\":true%s}"
        .formatted(UUID.randomUUID(), bpm, voice, more);
  }

  private static Answer said(String client, int voice, int bpm) {
    SetClock.letPass(Duration.ofMinutes(10));
    Answer answer =
        server.post(client + "/talk/checks", check(voice, bpm, ",\"rpe20\":" + (8 + 2 * voice)));
    assertThat(answer.status()).as(answer.json().toString()).isEqualTo(200);
    return answer;
  }

  /** 46 years, 64 at rest, a maximum of 176: regularly active, and past the first weeks. */
  private static String trained(String name) {
    String client = added(server, name, 46, "regular", "");
    counted(server, client, 64);
    assertThat(server.post(client + "/prescriptions", PARTS.formatted(50, 60)).status())
        .isEqualTo(201);
    return client;
  }

  /** Says the nine on five days, a shift lower or higher. */
  private static Answer nine(String client, int shift) {
    int day = 0;
    Answer last = null;
    for (int[] each : NINE) {
      SetClock.letPass(Duration.ofDays(each[0] - day));
      day = each[0];
      last = said(client, each[1], each[2] + shift);
    }
    return last;
  }

  private static List<Integer> edges(JsonNode page) {
    List<Integer> edges = new ArrayList<>();
    page.at("/learned/edges").forEach(each -> edges.add(each.asInt()));
    return edges;
  }

  private static List<String> codes(JsonNode page) {
    List<String> codes = new ArrayList<>();
    page.at("/learned/findings").forEach(each -> codes.add(each.get("code").asString()));
    return codes;
  }

  private static Answer decide(String client, String which, int bpm, boolean accept) {
    return server.post(
        client + "/talk/offer",
        "{\"mode\":\"run\",\"which\":\"%s\",\"bpm\":%d,\"accept\":%s,\"reason\":\"too windy\"}"
            .formatted(which, bpm, accept));
  }

  @Test
  void offeredAcceptedContradictedSettled() {
    String client = trained("Aurelio Test");
    SetClock.letPass(Duration.ofDays(90));
    counted(server, client, 64);
    JsonNode offered = nine(client, 0).json();
    int equation = offered.at("/learned/lower/equationBpm").asInt();
    int shown = offered.at("/learned/lower/shownBpm").asInt();
    assertThat(shown).isBetween(134, 138);
    int bpm = offered.at("/learned/lower/offer/bpm").asInt();
    assertThat(bpm).isEqualTo(Math.min(shown, equation + 5));
    assertThat(edges(offered).get(1)).isEqualTo(equation);
    assertThat(server.get(client + "/bands?mode=run&scheme=voice-ladder").at("/talk/lowBpm"))
        .isEqualTo(String.valueOf(shown - 3));
    assertThat(server.get("/api/today").json().toString()).contains("accept it, or refuse it");

    assertThat(decide(client, "lower", bpm + 1, true).status()).isEqualTo(400);
    JsonNode accepted = decide(client, "lower", bpm, true).json();
    assertThat(edges(accepted).get(1)).isEqualTo(bpm);
    JsonNode bands = server.get(client + "/bands?mode=run&scheme=voice-ladder").json();
    assertThat(bands.at("/zones/bands/2/lowBpm").asInt()).isEqualTo(bpm);
    assertThat(bands.at("/zones/bands/2/lowSigmaBpm").asInt()).isEqualTo(3);
    assertThat(bands.at("/zones/learned/lower/bpm").asInt()).isEqualTo(bpm);
    assertThat(bands.at("/talk").isNull()).isTrue();

    SetClock.letPass(Duration.ofDays(2));
    said(client, 4, 124);
    SetClock.letPass(Duration.ofDays(2));
    JsonNode harder = said(client, 4, 123).json();
    assertThat(harder.at("/learned/contradicted").asString()).isEqualTo("harder");
    assertThat(edges(harder).get(1)).isEqualTo(equation);

    String wrong = harder.at("/learned/days/6/checks/0/check/id").asString();
    JsonNode settled =
        server
            .post(
                client + "/talk/checks/" + wrong + "/use?mode=run",
                "{\"out\":true,\"reason\":\"a cold coming\"}")
            .json();
    assertThat(edges(settled).get(1)).isEqualTo(bpm);
    assertThat(settled.at("/learned/leftOut/0/why").asString()).isEqualTo("taken out by hand");
    assertThat(settled.at("/decisions/0/reason").asString()).isEqualTo("a cold coming");

    String act = settled.at("/decisions/0/id").asString();
    assertThat(server.delete(client + "/talk-decisions/" + act).status()).isEqualTo(200);
    assertThat(edges(server.get(client + "/talk?mode=run").json()).get(1)).isEqualTo(equation);
  }

  @Test
  void whoIsNewIsOnlyEverEasedAndTheirNextTargetEndsThere() {
    String client = scene.client("Blanka Test");
    counted(server, client, 64);
    assertThat(server.post(client + "/prescriptions", PARTS.formatted(40, 60)).status())
        .isEqualTo(201);
    JsonNode page = nine(client, -13).json();
    int bpm = page.at("/learned/lower/offer/bpm").asInt();
    int equation = page.at("/learned/lower/equationBpm").asInt();
    assertThat(bpm).isLessThan(equation);
    String issued = server.get(client + "/prescriptions").json().findValue("target").toString();
    decide(client, "lower", bpm, true);
    counted(server, client, 64);
    // What was issued stays as it is; a new version is proposed.
    assertThat(server.get(client + "/prescriptions").json().findValue("target").toString())
        .isEqualTo(issued);
    assertThat(server.get("/api/today").json().toString())
        .contains("Whole sentences end at " + bpm);
    Answer next = server.post(client + "/prescriptions", PARTS.formatted(40, 60));
    assertThat(next.json().toString()).contains("The target ends at " + bpm);
  }

  @Test
  void aRefusalNeedsItsReasonAndHolds() {
    String client = trained("Casimir Test");
    SetClock.letPass(Duration.ofDays(90));
    counted(server, client, 64);
    int bpm = nine(client, 0).json().at("/learned/lower/offer/bpm").asInt();
    assertThat(
            server
                .post(
                    client + "/talk/offer",
                    "{\"mode\":\"run\",\"which\":\"lower\",\"bpm\":%d,\"accept\":false}"
                        .formatted(bpm))
                .status())
        .isEqualTo(400);
    JsonNode refused = decide(client, "lower", bpm, false).json();
    assertThat(refused.at("/learned/lower/offer").isNull()).isTrue();
    String act = refused.at("/decisions/0/id").asString();
    server.delete(client + "/talk-decisions/" + act);
    assertThat(server.get(client + "/talk?mode=run").json().at("/learned/lower/offer/bpm").asInt())
        .isEqualTo(bpm);
  }

  @ParameterizedTest
  @CsvSource({
    "0, 130, '', voice",
    "6, 130, '', voice",
    "2, 20, '', bpm",
    "2, 130, ',\"rpe20\":5', rpe20",
  })
  void whatCannotBeIsRefusedAtItsField(int voice, int bpm, String more, String field) {
    String client = scene.client("Dorte Test");
    Answer refused = server.post(client + "/talk/checks", check(voice, bpm, more));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.json().toString()).contains("\"" + field + "\"");
  }

  @Test
  void inTheFutureOrTwiceOrNotSteady() {
    String client = scene.client("Eskil Test");
    String now = check(2, 130, "");
    assertThat(
            server
                .post(
                    client + "/talk/checks",
                    check(2, 130, ",\"on\":\"" + SetClock.today().plusDays(1) + "\""))
                .status())
        .isEqualTo(400);
    server.post(client + "/talk/checks", now);
    Answer again = server.post(client + "/talk/checks", now);
    assertThat(again.json().at("/learned/days/0/checks").size()).isEqualTo(1);
    JsonNode kept =
        server.post(client + "/talk/checks", check(3, 145, "").replace("true", "false")).json();
    assertThat(kept.at("/learned/days/0/checks").size()).isEqualTo(1);
    assertThat(kept.at("/learned/leftOut/0/why").asString()).startsWith("the rate was not steady");
  }

  @Test
  void aCountIsGivenInBeatsAndCorrectedWhereItIsWrong() {
    String client = scene.client("Halvard Test");
    String counted =
        check(2, 0, ",\"beats\":31,\"on\":\"%s\",\"time\":\"17:20\"")
            .replace("\"bpm\":0", "\"bpm\":null")
            .replace("strap", "count15")
            .formatted(SetClock.today().minusDays(1));
    JsonNode kept =
        server.post(client + "/talk/checks", counted).json().at("/learned/days/0/checks/0/check");
    assertThat(kept.get("bpm").asInt()).isEqualTo(124);
    assertThat(kept.get("time").asString()).startsWith("17:20");
    JsonNode corrected =
        server.put(client + "/talk/checks", counted.replace("\"beats\":31", "\"beats\":33")).json();
    assertThat(corrected.at("/learned/days/0/checks/0/check/bpm").asInt()).isEqualTo(132);
    assertThat(corrected.at("/learned/days/0/checks").size()).isEqualTo(1);
    for (String wrong : List.of("strap", "tap")) {
      assertThat(
              server
                  .post(client + "/talk/checks", counted.replace("count15", wrong))
                  .json()
                  .toString())
          .contains("are no rate here");
    }
    assertThat(
            server
                .post(client + "/talk/checks", check(2, 0, "").replace("\"bpm\":0", "\"bpm\":null"))
                .json()
                .toString())
        .contains("a rate, or of a count the beats");
  }

  @Test
  void aSessionsVoicesAreItsTalkChecks() {
    String client = scene.ready("Fenja Test");
    String session = scene.session(client);
    Instant begun = scene.begun(session);
    SetClock.letPass(Duration.ofMinutes(12));
    for (int part = 0; part < 6; part++) {
      Instant from = begun.plusSeconds(1 + 100 * part);
      assertThat(scene.send(session, part, scene.samples(from, 100, 118)).status()).isEqualTo(200);
    }
    scene.happens(session, begun.plusSeconds(200), "rated", ",\"voice\":2");
    scene.happens(
        session,
        begun.plusSeconds(560),
        "rated",
        ",\"voice\":2,\"rpe20\":12,\"from\":\"" + begun.plusSeconds(540) + "\"");
    assertThat(server.get(client + "/talk?mode=run").json().at("/learned/days").size()).isZero();
    scene.happens(session, begun.plusSeconds(620), "ended", ",\"reason\":\"planned\"");
    JsonNode page = server.get(client + "/talk?mode=run").json();
    assertThat(page.at("/learned/days/0/checks/0/check/bpm").asInt()).isEqualTo(118);
    assertThat(page.at("/learned/days/0/checks/0/check/rpe20").asInt()).isEqualTo(12);
    assertThat(page.at("/learned/leftOut/0/why").asString()).contains("first 5 minutes");
  }

  @Test
  void switchedOffNothingIsLearnedAndAllIsKept() {
    String client = scene.client("Gisela Test");
    said(client, 2, 120);
    JsonNode off = server.post(client + "/talk/learning?mode=run", "{\"on\":false}").json();
    assertThat(off.at("/switchedOff").asBoolean()).isTrue();
    assertThat(codes(off)).contains("learned-switched-off");
    server.post(client + "/talk/learning?mode=run", "{\"on\":true}");

    int version = server.get("/api/studio/learning").json().at("/version").asInt();
    server.put("/api/studio/learning", "{\"version\":%d,\"on\":false}".formatted(version));
    assertThat(codes(server.get(client + "/talk?mode=run").json()))
        .contains("learned-switched-off");
    assertThat(
            server
                .put("/api/studio/learning", "{\"version\":%d,\"on\":true}".formatted(version))
                .status())
        .isEqualTo(409);
    server.put("/api/studio/learning", "{\"version\":%d,\"on\":true}".formatted(version + 1));
    assertThat(codes(server.get(client + "/talk?mode=run").json()))
        .doesNotContain("learned-switched-off");
  }

  @Test
  void theCalculatorSaysWhatTheDesignSays() {
    StringBuilder checks = new StringBuilder();
    for (int[] each : NINE) {
      checks
          .append(checks.isEmpty() ? "" : ",")
          .append(
              "{\"on\":\"2030-03-%02d\",\"bpm\":%d,\"voice\":%d,\"source\":\"strap\",\"how\":\"heard\",\"odd\":false}"
                  .formatted(4 + each[0], each[2], each[1]));
    }
    JsonNode answer =
        server
            .post(
                "/api/calculator/learned",
                "{\"restingBpm\":64,\"maximumBpm\":176,\"maximumErrorBpm\":10,\"peak\":null,\"today\":\"2030-03-18\",\"checks\":[%s]}"
                    .formatted(checks))
            .json();
    assertThat(answer.at("/lower/meanBpm").asString()).isEqualTo("136.353");
    assertThat(answer.at("/lower/errorBpm").asString()).isEqualTo("2.694");
    assertThat(answer.at("/lower/offered").asBoolean()).isTrue();
    assertThat(answer.at("/upper/whyNot").toString())
        .isEqualTo("[\"checks\",\"days\",\"one-sided\",\"unsure\"]");
    assertThat(answer.at("/byDay").size()).isEqualTo(5);
    assertThat(
            server
                .post(
                    "/api/calculator/learned",
                    "{\"restingBpm\":64,\"maximumBpm\":176,\"maximumErrorBpm\":0,\"peak\":null,\"today\":\"2030-03-18\",\"checks\":[]}")
                .status())
        .isEqualTo(400);
  }
}
