package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The calculators as they are described, and every kind of bad input. */
class CalculatorTest {
  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  @Test
  void tapsMakeARateAndAFirstWordOnTheRhythm() {
    Answer steady =
        server.post(
            "/api/calculator/taps",
            "{\"tapMillis\":[0,882.4,1764,2646,3528,4410,5292,6174,6300,7056]}");
    assertThat(steady.status()).isEqualTo(200);
    assertThat(steady.json().get("bpm").asInt()).isEqualTo(68);
    assertThat(steady.json().get("kept").asInt()).isEqualTo(8);
    assertThat(steady.at("/rhythm")).isEqualTo("steady");
    assertThat(steady.at("/setAside/0/kind")).isEqualTo("bounce");
    assertThat(steady.json().at("/setAside/0/tap").asInt()).isEqualTo(9);
    for (String[] bad :
        new String[][] {
          {"[0,800,1600]", "tapMillis"},
          {"[0,800,1600,2400,3200,4000,4800,\"x\"]", "tapMillis[7]"},
          {"[0,800,1600,2400,3200,4000,4800,null]", "tapMillis[7]"},
          {"[0,800,1600,2400,3200,4000,4800,100]", "tapMillis[7]"},
          {"null", "tapMillis"},
          {"[" + "0,".repeat(2_000) + "0]", "tapMillis"},
        }) {
      Answer refused = server.post("/api/calculator/taps", "{\"tapMillis\":" + bad[0] + "}");
      assertThat(refused.status()).isEqualTo(400);
      assertThat(refused.at("/errors/0/field")).isEqualTo(bad[1]);
      assertThat(refused.at("/errors/0/accepted")).isNotBlank();
    }
  }

  /** A racing pulse is never a go, whatever else is left out. */
  @ParameterizedTest
  @CsvSource({
    "45, 180, false, false, count-again",
    "45, 180, true, false, not-today",
    "45, 180, false, true, count-again",
    "45, 180, true, true, not-today",
    "45, 101, true, true, not-today",
    "45, 101, false, false, count-again",
    "45, 100, true, true, go",
    "10, 49, true, true, not-today",
    "10, 50, true, true, go",
  })
  void aPulseOverTheLineIsNoGo(
      int age, int bpm, boolean recounted, boolean settled, String outcome) {
    assertThat(
            server
                .post(
                    "/api/calculator/checkin",
                    "{\"age\":%d,\"pulseBpm\":%d,\"recounted\":%s,\"settled\":%s}"
                        .formatted(age, bpm, recounted, settled))
                .at("/outcome"))
        .isEqualTo(outcome);
  }

  @ParameterizedTest
  @CsvSource({
    "13.9, none, false, go",
    "14, none, false, go",
    "14.1, , false, not-today",
    "14.1, present, false, not-today",
    "14.1, not-measured, false, not-today",
    "14.1, none, true, not-today",
  })
  void ketonesDecideWhereGlucoseIsHigh(
      String glucose, String ketones, boolean unwell, String outcome) {
    Answer answer =
        server.post(
            "/api/calculator/checkin",
            "{\"age\":45,\"pulseBpm\":64,\"usualBpm\":64,\"glucose\":%s,\"glucoseUnit\":\"mmol-l\",\"ketones\":%s,\"unwell\":%s}"
                .formatted(glucose, ketones == null ? "null" : "\"" + ketones + "\"", unwell));
    assertThat(answer.at("/outcome")).as(answer.json().toString()).isEqualTo(outcome);
  }

  /** 36 in 15 s would be 144: over the cap, though that does not cut the range. */
  @Test
  void noCountAllowsARateOverTheCap() {
    Answer target =
        server.post(
            "/api/calculator/target",
            "{\"restingBpm\":64,\"maximumBpm\":176,\"basis\":\"reserve\",\"low\":50,\"high\":70,\"capBpm\":142}");
    assertThat(target.json().get("highBpm").asInt()).isEqualTo(142);
    assertThat(target.json().get("capped").asBoolean()).isFalse();
    assertThat(target.json().at("/counts/15/1").asInt()).isEqualTo(35);
    Answer counts =
        server.post("/api/calculator/counts", "{\"lowBpm\":120,\"highBpm\":142,\"capBpm\":142}");
    assertThat(counts.json().at("/counts/15/1").asInt()).isEqualTo(35);
    assertThat(
            server
                .post("/api/calculator/counts", "{\"lowBpm\":120,\"highBpm\":142}")
                .json()
                .at("/counts/15/1")
                .asInt())
        .isEqualTo(36);
    Answer under =
        server.post("/api/calculator/counts", "{\"lowBpm\":120,\"highBpm\":142,\"capBpm\":110}");
    assertThat(under.status()).isEqualTo(400);
    assertThat(under.at("/errors/0/field")).isEqualTo("capBpm");
  }

  @Test
  void pulse() {
    Answer answer = server.post("/api/calculator/pulse", "{\"beats\":17,\"windowSeconds\":15}");
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.json().toString()).isEqualTo("{\"bpm\":68,\"uncertaintyBpm\":4}");
  }

  @Test
  void maximum() {
    Answer answer =
        server.post(
            "/api/calculator/maximum",
            """
            {"age":45,"sex":"female","restingBpm":64,"activity":"some","betaBlocker":false,
             "heartCondition":false,"heartFailure":false,"mode":"run"}
            """);
    assertThat(answer.at("/recommended")).isEqualTo("tanaka-208");
    assertThat(answer.json().at("/estimates").size()).isEqualTo(9);
    JsonNode first = answer.json().at("/estimates/0");
    assertThat(first.get("method").asString()).isEqualTo("tanaka-208");
    assertThat(first.get("bpm").asInt()).isEqualTo(177);
    assertThat(first.get("standardErrorBpm").asInt()).isEqualTo(10);
    assertThat(first.get("applies").asBoolean()).isTrue();
    assertThat(first.get("reason").asString()).isNotBlank();
    assertThat(answer.at("/findings/0/code")).isEqualTo("default-healthy");
  }

  @Test
  void withHeartFailureNothingIsRecommended() {
    Answer answer =
        server.post(
            "/api/calculator/maximum",
            "{\"age\":66,\"restingBpm\":72,\"betaBlocker\":true,\"heartFailure\":true,\"mode\":\"cycle\"}");
    assertThat(answer.json().get("recommended").isNull()).isTrue();
    assertThat(answer.json().get("estimates").toString())
        .contains("\"method\":\"keteyian-hf\"")
        .contains("\"bpm\":117,\"standardErrorBpm\":18");
  }

  @Test
  void zones() {
    Answer answer =
        server.post(
            "/api/calculator/zones",
            "{\"restingBpm\":64,\"maximumBpm\":176,\"scheme\":\"voice-ladder\"}");
    assertThat(answer.at("/kind")).isEqualTo("ladder");
    assertThat(answer.at("/basis")).isEqualTo("reserve");
    assertThat(answer.json().at("/reserveBpm").asInt()).isEqualTo(112);
    JsonNode talk = answer.json().at("/bands/1");
    assertThat(talk.get("id").asString()).isEqualTo("talk");
    assertThat(talk.get("lowBpm").asInt()).isEqualTo(109);
    assertThat(talk.get("highBpm").asInt()).isEqualTo(130);
    assertThat(talk.get("lowSigmaBpm").decimalValue()).isEqualByComparingTo("4.2");
    assertThat(talk.get("counts").toString())
        .isEqualTo("{\"6\":[11,13],\"10\":[18,22],\"15\":[27,33],\"30\":[55,65]}");
    assertThat(talk.get("class").asString()).isEqualTo("moderate");
    assertThat(talk.get("rpe20").toString()).isEqualTo("[12,13]");
    assertThat(talk.get("rpe10").toString()).isEqualTo("[3,4]");
    JsonNode reading = answer.json().at("/readings/45");
    assertThat(reading.get("bpm").asInt()).isEqualTo(109);
    assertThat(reading.get("reservePercent").decimalValue()).isEqualByComparingTo("40.2");
    assertThat(reading.get("maximumPercent").decimalValue()).isEqualByComparingTo("61.9");
    assertThat(reading.get("band").asString()).isEqualTo("talk");
    assertThat(answer.json().at("/readings").size()).isEqualTo(113);
  }

  @Test
  void zonesOnALinearScaleAndWithMeasuredEnds() {
    Answer answer =
        server.post(
            "/api/calculator/zones",
            """
            {"restingBpm":64,"maximumBpm":176,"scheme":"voice-ladder","rpeFamily":"linear",
             "restingStandardErrorBpm":1.8,"maximumStandardErrorBpm":3}
            """);
    assertThat(answer.json().at("/bands/1/rpe10").toString()).isEqualTo("[5,6]");
    assertThat(answer.json().at("/bands/0/lowSigmaBpm").decimalValue()).isEqualByComparingTo("1.8");
  }

  @Test
  void zonesUnderACap() {
    String request =
        "{\"restingBpm\":64,\"maximumBpm\":176,\"scheme\":\"voice-ladder\",\"capBpm\":%d}";
    Answer answer = server.post("/api/calculator/zones", request.formatted(142));
    assertThat(answer.json().at("/bands/2/allowedHighBpm").asInt()).isEqualTo(142);
    assertThat(answer.json().at("/bands/2/counts/15").toString()).isEqualTo("[33,35]");
    assertThat(answer.json().at("/bands/3/allowedHighBpm").isNull()).isTrue();
    Answer under = server.post("/api/calculator/zones", request.formatted(50));
    assertThat(under.at("/errors/0/field")).isEqualTo("capBpm");
  }

  @Test
  void everySchemeInTheListCanBeAskedFor() {
    for (JsonNode scheme : server.get("/api/methods").json().get("schemes")) {
      Answer answer =
          server.post(
              "/api/calculator/zones",
              "{\"restingBpm\":64,\"maximumBpm\":176,\"lowerThresholdBpm\":118,"
                  + "\"upperThresholdBpm\":149,\"scheme\":"
                  + scheme.get("id")
                  + "}");
      assertThat(answer.status()).isEqualTo(200);
      assertThat(answer.json().get("bands").size()).isEqualTo(scheme.get("bands").size());
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "reserve|50|70|120|142",
        "maximum|70|85|123|150",
        "resting|20|30|84|94",
        "reserve|62.5|62.5|134|134",
      })
  void target(String basis, String low, String high, int lowBpm, int highBpm) {
    Answer answer =
        server.post(
            "/api/calculator/target",
            "{\"restingBpm\":64,\"maximumBpm\":176,\"basis\":\"%s\",\"low\":%s,\"high\":%s}"
                .formatted(basis, low, high));
    assertThat(answer.json().get("lowBpm").asInt()).isEqualTo(lowBpm);
    assertThat(answer.json().get("highBpm").asInt()).isEqualTo(highBpm);
  }

  @Test
  void aCapCutsOrEndsATarget() {
    String request =
        "{\"restingBpm\":64,\"maximumBpm\":176,\"basis\":\"reserve\",\"low\":50,\"high\":80,\"capBpm\":%d}";
    Answer cut = server.post("/api/calculator/target", request.formatted(142));
    assertThat(cut.json().at("/counts/15").toString()).isEqualTo("[30,35]");
    Answer none = server.post("/api/calculator/target", request.formatted(100));
    assertThat(none.status()).isEqualTo(422);
    assertThat(none.at("/findings/0/code")).isEqualTo("cap-below-target");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "maximum|{\"age\":0}|age|6 to 110",
        "maximum|{\"age\":130}|age|6 to 110",
        "maximum|{\"age\":\"text\"}|age|6 to 110",
        "maximum|{\"age\":\"45\"}|age|whole number",
        "maximum|{\"age\":45.5}|age|whole number",
        "maximum|{\"age\":99999999999}|age|6 to 110",
        "maximum|{\"age\":null}|age|6 to 110",
        "maximum|{}|age|6 to 110",
        "maximum|{\"age\":[45]}|age|6 to 110",
        "maximum|{\"age\":45,\"restingBpm\":20}|restingBpm|25 to 150",
        "maximum|{\"age\":45,\"restingBpm\":180}|restingBpm|25 to 150",
        "maximum|{\"age\":45,\"sex\":\"x\"}|sex|female, male, not-given",
        "maximum|{\"age\":45,\"sex\":\"\"}|sex|female, male, not-given",
        "maximum|{\"age\":45,\"sex\":1}|sex|female, male, not-given",
        "maximum|{\"age\":45,\"betaBlocker\":\"true\"}|betaBlocker|true or false",
        "maximum|{\"age\":45,\"betaBlocker\":1}|betaBlocker|true or false",
        "maximum|{\"age\":45,\"cap\":1}|cap|restingBpm",
        "zones|{\"restingBpm\":20,\"maximumBpm\":176,\"scheme\":\"voice-ladder\"}|restingBpm|25 to 150",
        "zones|{\"restingBpm\":180,\"maximumBpm\":176,\"scheme\":\"voice-ladder\"}|restingBpm|25 to 150",
        "zones|{\"restingBpm\":64,\"maximumBpm\":176,\"scheme\":\"nope\"}|scheme|voice-ladder",
        "zones|{\"restingBpm\":64,\"maximumBpm\":60,\"scheme\":\"voice-ladder\"}|maximumBpm|80 to 230",
        "zones|{\"restingBpm\":120,\"maximumBpm\":110,\"scheme\":\"voice-ladder\"}|maximumBpm|above the resting rate",
        "target|{\"restingBpm\":64,\"maximumBpm\":176,\"basis\":\"reserve\",\"low\":70,\"high\":50}|high|at least low",
        "target|{\"restingBpm\":64,\"maximumBpm\":176,\"basis\":\"reserve\",\"low\":-1,\"high\":50}|low|0 to 110",
        "target|{\"restingBpm\":64,\"maximumBpm\":176,\"basis\":\"reserves\",\"low\":1,\"high\":50}|basis|reserve, maximum, resting",
        "pulse|{\"beats\":-1,\"windowSeconds\":15}|beats|5 to 60",
        "pulse|{\"beats\":0,\"windowSeconds\":15}|beats|5 to 60",
        "pulse|{\"beats\":1.5,\"windowSeconds\":15}|beats|whole number",
        "pulse|{\"beats\":17,\"windowSeconds\":14}|windowSeconds|6, 10, 15, 30, 60",
      })
  void badFieldsAreNamedWithWhatIsAccepted(
      String calculator, String body, String field, String accepted) {
    Answer answer = server.post("/api/calculator/" + calculator, body);
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.at("/type")).isEqualTo("urn:korvel:problem:invalid-value");
    assertThat(answer.at("/errors/0/field")).isEqualTo(field);
    assertThat(answer.at("/errors/0/accepted")).contains(accepted);
    assertThat(answer.at("/detail")).startsWith(field + ": ");
  }

  @Test
  void severalBadFieldsAreNamedAtOnce() {
    Answer answer =
        server.post(
            "/api/calculator/zones",
            "{\"restingBpm\":1,\"maximumBpm\":999,\"scheme\":\"voice-ladder\"}");
    assertThat(answer.json().get("errors").size()).isEqualTo(2);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "nope",
        "{",
        "[]",
        "[1]",
        "null",
        "\"x\"",
        "{\"age\":45} x",
        "{\"age\":1,\"age\":2}"
      })
  void bodiesThatAreNotOneJsonObjectAreRefused(String body) {
    Answer answer = server.post("/api/calculator/maximum", body);
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.at("/type")).isEqualTo("urn:korvel:problem:malformed");
    assertThat(answer.at("/detail")).contains("Accepted: one JSON object");
  }

  @Test
  void deepAndLargeBodiesAreRefused() {
    String deep = "[".repeat(50_000) + "]".repeat(50_000);
    for (String body : new String[] {deep, "{\"age\":" + deep + "}", "{\"x\":" + deep + "}"}) {
      assertThat(server.post("/api/calculator/maximum", body).status()).isEqualTo(400);
    }
    String large = "{\"age\":\"" + "x".repeat(1_100_000) + "\"}";
    assertThat(server.post("/api/calculator/maximum", large).status()).isEqualTo(413);
    Answer chunked =
        server.send(
            server
                .request("/api/calculator/maximum")
                .POST(
                    BodyPublishers.ofInputStream(
                        () -> new java.io.ByteArrayInputStream(large.getBytes()))));
    assertThat(chunked.status()).isEqualTo(413);
  }

  @Test
  void aReserveUnderFortyIsRefusedWithItsFinding() {
    Answer answer =
        server.post(
            "/api/calculator/zones",
            "{\"restingBpm\":120,\"maximumBpm\":150,\"scheme\":\"voice-ladder\"}");
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.at("/type")).isEqualTo("urn:korvel:problem:refused");
    assertThat(answer.at("/findings/0/code")).isEqualTo("reserve-too-small");
    assertThat(answer.at("/errors/0/field")).isEqualTo("maximumBpm");
    assertThat(answer.at("/errors/0/accepted")).contains("at least 40 bpm above");
  }

  @ParameterizedTest
  @ValueSource(strings = {"/api/nope", "/nope", "/api", "/api/clients/x/y/z/w"})
  void unknownPathsAreProblems(String path) {
    Answer answer = server.get(path);
    assertThat(answer.status()).isEqualTo(404);
    assertThat(answer.at("/type")).isEqualTo("urn:korvel:problem:not-found");
  }

  @Test
  void otherMethodsAndKindsOfBodyAreProblems() {
    assertThat(server.get("/api/calculator/pulse").status()).isEqualTo(405);
    Answer form =
        server.send(
            server
                .request("/api/calculator/pulse")
                .setHeader("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString("beats=17")));
    assertThat(form.status()).isEqualTo(415);
    assertThat(form.at("/type")).isEqualTo("urn:korvel:problem:not-supported");
  }

  @Test
  void onlyThisPageOnThisMachineMayAsk() {
    for (String origin : new String[] {"http://example.org", "http://localhost:1", "null", "x"}) {
      Answer foreign = server.send(server.request("/api/studio").header("Origin", origin).GET());
      assertThat(foreign.status()).isEqualTo(403);
      assertThat(foreign.at("/type")).isEqualTo("urn:korvel:problem:foreign");
    }
    assertThat(
            server
                .send(server.request("/api/studio").header("Origin", server.address()).GET())
                .status())
        .isEqualTo(200);
  }

  @Test
  void aForeignHostIsRefused() throws Exception {
    URI address = URI.create(server.address());
    try (Socket socket = new Socket(address.getHost(), address.getPort())) {
      socket
          .getOutputStream()
          .write(
              "GET /api/studio HTTP/1.1\r\nHost: rebound.example\r\nConnection: close\r\n\r\n"
                  .getBytes(StandardCharsets.US_ASCII));
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(answer).startsWith("HTTP/1.1 403").contains("urn:korvel:problem:foreign");
    }
  }

  @Test
  void everyMethodCarriesASource() {
    JsonNode methods = server.get("/api/methods").json();
    for (String kind : new String[] {"equations", "schemes", "findings"}) {
      assertThat(methods.get(kind)).isNotEmpty();
      methods.get(kind).forEach(row -> assertThat(row.get("source").asString()).isNotBlank());
    }
  }

  @Test
  void theInterfaceIsServedAndAStaleLinkLandsInIt() {
    for (String path : new String[] {"/", "/clients", "/methods", "/clients/x/bands"}) {
      HttpResponse<String> page = server.raw(server.request(path).header("Accept", "text/html"));
      assertThat(page.statusCode()).isEqualTo(200);
      assertThat(page.body()).contains("<div id=\"app\">");
      assertThat(page.headers().firstValue("Content-Security-Policy")).isPresent();
    }
    HttpResponse<String> missing =
        server.raw(server.request("/nowhere").header("Accept", "text/html"));
    assertThat(missing.statusCode()).isEqualTo(404);
    assertThat(missing.body()).contains("<div id=\"app\">");
    assertThat(server.get("/api/openapi.json").at("/openapi")).startsWith("3.");
  }
}
