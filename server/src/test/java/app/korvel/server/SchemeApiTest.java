package app.korvel.server;

import static app.korvel.server.TestClients.added;
import static app.korvel.server.TestClients.counted;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.net.http.HttpRequest.BodyPublishers;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/**
 * Schemes over HTTP: the studio's own, files, choices, thresholds, and every zone system at once.
 */
class SchemeApiTest {
  private static final String SPAN = "\"restingBpm\":64,\"maximumBpm\":176";

  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static String scheme(String name, String basis, int split) {
    return "{\"name\":\"%s\",\"kind\":\"ladder\",\"basis\":\"%s\",\"bands\":["
            .formatted(name, basis)
        + "{\"name\":\"Low\",\"low\":0,\"high\":%d},{\"name\":\"High\",\"low\":%d,\"high\":100}]}"
            .formatted(split, split);
  }

  private static Answer made(String name) {
    Answer answer = server.post("/api/schemes", scheme(name, "reserve", 55));
    assertThat(answer.status()).as(answer.json().toString()).isEqualTo(201);
    return answer;
  }

  /** 46 years, 64 at rest: 176 by the default equation. */
  private static String client(String activity) {
    String client = added(server, "Scheme Tester", 46, activity, "");
    counted(server, client, 64);
    return client;
  }

  private static Answer zones(String more) {
    return server.post("/api/calculator/zones", "{" + SPAN + more + "}");
  }

  private static List<String> texts(JsonNode list, String field) {
    return StreamSupport.stream(list.spliterator(), false)
        .map(each -> each.get(field).asString())
        .toList();
  }

  @Test
  void everySchoolThatShipsIsListed() {
    List<String> ids = texts(server.get("/api/methods").json().get("schemes"), "id");
    assertThat(ids).hasSizeGreaterThanOrEqualTo(14).contains("max-effort", "threshold-three");
    assertThat(zones(",\"scheme\":\"max-effort\"").json().at("/bands/2/rpe20").toString())
        .isEqualTo("[13,15]");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"scheme\":\"threshold-three\"|lowerThresholdBpm",
        "\"scheme\":\"threshold-three\",\"upperThresholdBpm\":149|lowerThresholdBpm",
        "\"scheme\":\"threshold-three\",\"lowerThresholdBpm\":118|upperThresholdBpm",
        "\"scheme\":\"threshold-three\",\"lowerThresholdBpm\":150,\"upperThresholdBpm\":149|upperThresholdBpm",
        "\"scheme\":\"threshold-three\",\"lowerThresholdBpm\":118,\"upperThresholdBpm\":177|upperThresholdBpm",
        "\"scheme\":\"no-such\"|scheme",
      })
  void whatASchemeCountsFromMustBeThere(String more, String field) {
    Answer answer = zones("," + more);
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.at("/errors/0/field")).isEqualTo(field);
    assertThat(answer.at("/errors/0/accepted")).isNotEmpty();
  }

  @Test
  void aTargetByThresholdNeedsThem() {
    String target = "{" + SPAN + ",\"basis\":\"threshold\",\"low\":80,\"high\":90%s}";
    assertThat(server.post("/api/calculator/target", target.formatted("")).status()).isEqualTo(400);
    Answer found =
        server.post(
            "/api/calculator/target",
            target.formatted(",\"lowerThresholdBpm\":118,\"upperThresholdBpm\":149"));
    assertThat(found.at("/lowBpm") + "–" + found.at("/highBpm")).isEqualTo("119–134");
  }

  /** Twenty bytes that would be a thousand million digits when written out. */
  @ParameterizedTest
  @CsvSource({"1e999999999", "1e-999999999", "-1e999999999", "0.000000000000000000000000000001"})
  void aNumberOfManyPlacesIsRefusedAtOnce(String number) {
    for (String field : List.of("low", "high")) {
      String other = field.equals("low") ? "high" : "low";
      Answer answer =
          server.post(
              "/api/calculator/target",
              "{%s,\"basis\":\"reserve\",\"%s\":%s,\"%s\":50}"
                  .formatted(SPAN, field, number, other));
      assertThat(answer.status()).isEqualTo(400);
      assertThat(answer.at("/errors/0/field")).isEqualTo(field);
      assertThat(answer.json().toString()).hasSizeLessThan(600);
    }
  }

  @Test
  void aSchemeIsMadeChangedPutAwayAndBroughtBack() {
    String id = made("Pier").at("/id");
    assertThat(zones(",\"scheme\":\"" + id + "\"").at("/bands/1/lowBpm")).isEqualTo("126");
    String change = "{\"version\":1,\"scheme\":" + scheme("Pier", "reserve", 50) + "}";
    assertThat(server.put("/api/schemes/" + id, change).at("/version")).isEqualTo("2");
    // The answer that was kept for the old bands is not given for the new ones.
    assertThat(zones(",\"scheme\":\"" + id + "\"").at("/bands/1/lowBpm")).isEqualTo("120");

    Answer stale = server.put("/api/schemes/" + id, change);
    assertThat(stale.status()).isEqualTo(409);
    assertThat(stale.at("/current/version")).isEqualTo("2");

    assertThat(
            server
                .put("/api/schemes/" + id + "/archived", "{\"version\":2,\"archived\":true}")
                .status())
        .isEqualTo(200);
    assertThat(texts(server.get("/api/schemes").json().get("schemes"), "id")).doesNotContain(id);
    assertThat(zones(",\"scheme\":\"" + id + "\"").status()).isEqualTo(400);
    server.put("/api/schemes/" + id + "/archived", "{\"version\":3,\"archived\":false}");
    assertThat(texts(server.get("/api/schemes").json().get("schemes"), "id")).contains(id);
    assertThat(server.put("/api/schemes/nothing", change).status()).isEqualTo(404);
  }

  @Test
  void twoSchemesOfOneNameAreNotToldApart() {
    made("Mole");
    Answer again = server.post("/api/schemes", scheme("mole", "reserve", 60));
    assertThat(again.at("/errors/0/field")).isEqualTo("name");
    assertThat(server.post("/api/schemes", scheme("Voice ladder", "reserve", 60)).status())
        .isEqualTo(400);
  }

  @Test
  void badBandsAreRefusedAtTheirPlace() {
    Answer gap =
        server.post(
            "/api/schemes", scheme("Gap", "reserve", 55).replace("\"low\":55", "\"low\":60"));
    assertThat(gap.status()).isEqualTo(400);
    assertThat(gap.at("/errors/0/field")).isEqualTo("bands[1].low");
    Answer word = server.post("/api/schemes", scheme("Word", "percent", 55));
    assertThat(word.at("/errors/0/accepted")).contains("reserve", "threshold");
    Answer missing =
        server.post("/api/schemes", scheme("Missing", "reserve", 55).replace("\"low\":55,", ""));
    assertThat(missing.at("/errors/0/field")).isEqualTo("bands[1].low");
  }

  @Test
  void aFileGoesOutAndComesIn() {
    Answer out = server.get("/api/schemes/max-fifths/file");
    assertThat(out.at("/format")).isEqualTo("korvel-scheme");
    Answer in = server.post("/api/schemes/read", out.json().toString());
    assertThat(in.status()).isEqualTo(200);
    assertThat(in.at("/name")).isEqualTo("Fifths of maximum");
    assertThat(in.json().get("bands").size()).isEqualTo(5);
    Answer torn = server.post("/api/schemes/read", "{\n  \"format\": \"korvel-scheme\",\n  oops");
    assertThat(torn.status()).isEqualTo(400);
    assertThat(torn.at("/errors/0/message")).startsWith("line 3, column ");
    Answer large = server.post("/api/schemes/read", "{\"a\":\"" + "x".repeat(70_000) + "\"}");
    assertThat(large.status()).isEqualTo(413);
    assertThat(large.at("/detail")).contains("64 KiB");
    assertThat(
            server.send(server.request("/api/schemes/read").POST(BodyPublishers.noBody())).status())
        .isEqualTo(400);
    assertThat(server.get("/api/schemes/nothing/file").status()).isEqualTo(404);
  }

  @Test
  void aSchemeIsTriedOnAnExampleAndOnClients() {
    String client = client("some");
    String id = client.substring(client.lastIndexOf('/') + 1);
    String trial = "{\"scheme\":" + scheme("Trial", "reserve", 55) + ",\"clients\":[%s]}";
    Answer example = server.post("/api/schemes/trial", trial.formatted(""));
    // 60 at rest, 180 at most: 55 % is 126.
    assertThat(example.at("/rows/0/zones/bands/1/lowBpm")).isEqualTo("126");
    Answer tried = server.post("/api/schemes/trial", trial.formatted("\"" + id + "\""));
    assertThat(tried.at("/rows/0/label")).isEqualTo("Scheme Tester");
    assertThat(tried.at("/rows/0/zones/bands/1/lowBpm")).isEqualTo("126");
    Answer without =
        server.post(
            "/api/schemes/trial",
            trial.formatted("\"" + id + "\"").replace("\"reserve\"", "\"threshold\""));
    assertThat(without.at("/rows/0/why")).contains("No thresholds");
  }

  @Test
  void theStudiosChoiceHoldsUntilAClientHasTheirOwn() {
    String client = client("regular");
    int version = server.get("/api/studio").json().at("/version").asInt();
    String ways = "{\"version\":%d,\"scheme\":\"%s\",\"rpeFamily\":\"%s\"}";
    Answer changed =
        server.put("/api/studio/ways", ways.formatted(version, "max-fifths", "linear"));
    assertThat(changed.at("/scheme")).isEqualTo("max-fifths");
    assertThat(
            server.put("/api/studio/ways", ways.formatted(version, "rest-plus", "ratio")).status())
        .isEqualTo(409);
    assertThat(
            server
                .put("/api/studio/ways", ways.formatted(version + 1, "none", "ratio"))
                .at("/errors/0/field"))
        .isEqualTo("scheme");

    assertThat(server.get(client + "/bands").at("/zones/scheme")).isEqualTo("max-fifths");
    server.put(client + "/scheme", "{\"scheme\":\"voice-ladder\"}");
    Answer bands = server.get(client + "/bands");
    assertThat(bands.at("/zones/scheme")).isEqualTo("voice-ladder");
    assertThat(bands.at("/choice/chosen")).isEqualTo("voice-ladder");
    // The other family of 0–10 scales: Talk is 5 to 6.
    assertThat(bands.json().at("/zones/bands/1/rpe10").toString()).isEqualTo("[5,6]");
    assertThat(server.get(client + "/device-sheet").at("/schemeName")).isEqualTo("Voice ladder");
    assertThat(zones(",\"scheme\":\"voice-ladder\"").json().at("/bands/1/rpe10").toString())
        .isEqualTo("[5,6]");
    Answer preview =
        server.post(client + "/prescriptions/preview", TestClients.PARTS.formatted(40, 60));
    assertThat(preview.json().at("/prescription/rpe10").toString()).isEqualTo("[5,6]");
    assertThat(preview.at("/prescription/rpeFamily")).isEqualTo("linear");
    assertThat(preview.at("/prescription/basis/scheme")).isEqualTo("voice-ladder");
    assertThat(server.put(client + "/scheme", "{\"scheme\":null}").at("/studio"))
        .isEqualTo("max-fifths");
    assertThat(server.get(client + "/bands").at("/zones/scheme")).isEqualTo("max-fifths");
    server.put("/api/studio/ways", ways.formatted(version + 1, "voice-ladder", "ratio"));
  }

  @Test
  void aChoiceOfASchemeIsUndoneToTheOneBefore() {
    String client = client("some");
    String choose = client + "/scheme";
    server.put(choose, "{\"scheme\":\"max-fifths\"}");
    Answer second = server.put(choose, "{\"scheme\":\"rest-plus\"}");
    String undo = client + "/scheme-choices/" + second.at("/choiceId") + "/undo";
    assertThat(server.post(undo, "").status()).isEqualTo(200);
    assertThat(server.get(client + "/bands").at("/choice/chosen")).isEqualTo("max-fifths");
    assertThat(server.post(undo, "").status()).isEqualTo(409);
    assertThat(server.get(client + "/bands").at("/zones/scheme")).isEqualTo("max-fifths");
  }

  /** What is prescribed for rowing is not shown as prescribed on foot. */
  @Test
  void whatIsPrescribedIsThatOfTheModePrescribed() {
    String client = client("regular");
    server.post(
        client + "/prescriptions", TestClients.PARTS.formatted(62, 74).replace("run", "row"));
    assertThat(server.get(client + "/schools?mode=row").json().toString())
        .contains("What is prescribed");
    assertThat(server.get(client + "/schools?mode=run").json().toString())
        .doesNotContain("What is prescribed")
        .contains("Where to start");
    assertThat(server.get(client).at("/aim/mode")).isEqualTo("row");
    assertThat(server.get(client + "/maximum?mode=run").json().at("/aim/prescribed").asBoolean())
        .isFalse();
  }

  @Test
  void aSchemeInUseIsNotPutAway() {
    String id = made("Breakwater").at("/id");
    String client = client("some");
    server.put(client + "/scheme", "{\"scheme\":\"" + id + "\"}");
    Answer refused =
        server.put("/api/schemes/" + id + "/archived", "{\"version\":1,\"archived\":true}");
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.at("/findings/0/message")).contains("chosen for Scheme Tester");
  }

  @Test
  void thresholdsOpenTheSchemesThatCountFromThem() {
    String client = client("regular");
    Answer without = server.get(client + "/bands?scheme=threshold-three");
    assertThat(without.status()).isEqualTo(422);
    assertThat(without.at("/findings/0/code")).isEqualTo("thresholds-missing");
    assertThat(texts(server.get(client + "/schools").json().get("without"), "scheme"))
        .containsExactly("threshold-three");

    String measured =
        "{\"mode\":\"run\",\"kind\":\"talk-steps\",\"lowerThresholdBpm\":%d,\"upperThresholdBpm\":%d,"
            + "\"measuredOn\":\"%s\"}";
    Answer outside =
        server.post(client + "/thresholds", measured.formatted(118, 177, LocalDate.now()));
    assertThat(outside.at("/errors/0/field")).isEqualTo("upperThresholdBpm");
    Answer future =
        server.post(
            client + "/thresholds", measured.formatted(118, 149, LocalDate.now().plusDays(2)));
    assertThat(future.at("/errors/0/field")).isEqualTo("measuredOn");
    Answer kept =
        server.post(client + "/thresholds", measured.formatted(118, 149, LocalDate.now()));
    assertThat(kept.status()).isEqualTo(201);
    assertThat(server.get(client + "/bands?scheme=threshold-three").at("/zones/bands/1/lowBpm"))
        .isEqualTo("118");
    assertThat(server.get(client + "/thresholds").at("/inUse")).isEqualTo(kept.at("/id"));
    assertThat(server.get(client + "/bands?scheme=threshold-three&mode=row").status())
        .isEqualTo(422);

    Answer back = server.delete(client + "/thresholds/" + kept.at("/id"));
    assertThat(server.get(client + "/bands?scheme=threshold-three").status()).isEqualTo(422);
    assertThat(server.post(client + "/thresholds/" + back.at("/id") + "/undo", "{}").status())
        .isEqualTo(200);
    assertThat(server.get(client + "/bands?scheme=threshold-three").status()).isEqualTo(200);
  }

  @Test
  void everySchoolOfAClientWithWhatMayBePrescribed() {
    // Not regularly active: vigorous work is not allowed yet.
    Answer schools = server.get(client("none") + "/schools");
    assertThat(schools.at("/asked/0/name")).isEqualTo("Where to start");
    assertThat(schools.at("/asked/3/why")).startsWith("Up to 60 %: vigorous work is not allowed");
    JsonNode points =
        StreamSupport.stream(schools.json().get("schools").spliterator(), false)
            .filter(school -> school.get("scheme").asString().equals("three-points"))
            .findFirst()
            .orElseThrow();
    // A 65 % “warm-up” is shown as that zone system's, and not prescribed.
    int maximum = schools.json().at("/shown/maximumBpm").asInt();
    assertThat(points.at("/bands/0/lowBpm").asInt())
        .isEqualTo(Math.round(64 + 0.65f * (maximum - 64)));
    assertThat(points.at("/prescribable/0/lowPercent").isNull()).isTrue();
    assertThat(points.at("/prescribable/0/because").asString()).startsWith("Up to 60 %");
    assertThat(server.get(added(server, "No Pulse", 40, "some", "") + "/schools").status())
        .isEqualTo(422);
  }

  @Test
  void everySchoolOnASpanThatIsGiven() {
    Answer schools = server.post("/api/calculator/schools", "{" + SPAN + "}");
    assertThat(schools.at("/stretches/0/lowBpm")).isEqualTo("64");
    assertThat(schools.at("/summary")).startsWith("They agree on light from 64 to 105");
    // 50–70 % with the maximum 10 off: 115–135 and 125–149 instead of 120–142.
    JsonNode fitness = schools.json().at("/asked/1");
    assertThat(fitness.at("/lowBpm").asInt()).isEqualTo(120);
    assertThat(fitness.at("/off/0/highMoves").asInt()).isEqualTo(-7);
    assertThat(fitness.at("/off/1/highBpm").asInt()).isEqualTo(149);
    assertThat(server.post("/api/calculator/schools", "{" + SPAN + ",\"capBpm\":60}").status())
        .isEqualTo(400);
    assertThat(
            server
                .post("/api/calculator/schools", "{\"restingBpm\":110,\"maximumBpm\":140}")
                .status())
        .isEqualTo(422);
  }
}
