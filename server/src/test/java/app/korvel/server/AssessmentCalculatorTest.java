package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The calculators of the tests. */
class AssessmentCalculatorTest {
  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static final String MILE =
      "{\"age\":45,\"sex\":\"male\",\"weightKg\":80,\"seconds\":870,\"bpm\":135,"
          + "\"source\":\"strap\",\"contexts\":[]}";

  private static final String BENCH =
      "{\"bench\":\"high\",\"pace\":24,\"beats\":37,\"windowSeconds\":15,\"seconds\":180,"
          + "\"age\":30,\"source\":\"count\",\"contexts\":[]}";

  private static final String GRADED =
      """
      {"age":45,"sex":"male","weightKg":75,"restingBpm":64,"maximumBpm":176,"maximumErrorBpm":10,
       "protocol":"bruce-gentle","target":{"kind":"reserve","value":85},
       "baseline":{"lying":{"bpm":66,"systolic":122,"diastolic":80,"rpe20":6},"standing":null},
       "stages":[{"bpm":98,"systolic":130,"diastolic":80,"rpe20":7,"walked":null,"steady":true},
         {"bpm":111,"systolic":140,"diastolic":80,"rpe20":8,"walked":null,"steady":true},
         {"bpm":120,"systolic":152,"diastolic":82,"rpe20":10,"walked":null,"steady":true},
         {"bpm":139,"systolic":166,"diastolic":82,"rpe20":12,"walked":null,"steady":true},
         {"bpm":158,"systolic":184,"diastolic":84,"rpe20":14,"walked":true,"steady":true},
         {"bpm":160,"systolic":184,"diastolic":84,"rpe20":15,"walked":null,"steady":false}],
       "seconds":930,"endReason":"target","holdingRail":false,
       "recovery":[{"atSeconds":60,"bpm":130,"systolic":186,"diastolic":84,"rpe20":9,"symptoms":false},
         {"atSeconds":360,"bpm":84,"systolic":124,"diastolic":80,"rpe20":6,"symptoms":false},
         {"atSeconds":480,"bpm":82,"systolic":122,"diastolic":80,"rpe20":6,"symptoms":false}],
       "recoveryPosture":"lying","contexts":[]}
      """;

  private static Answer graded(String... changes) {
    String request = GRADED;
    for (int n = 0; n < changes.length; n += 2) {
      assertThat(request).contains(changes[n]);
      request = request.replace(changes[n], changes[n + 1]);
    }
    return server.post("/api/calculator/graded-test", request);
  }

  @Test
  void theGradedTest() {
    Answer answer = graded();
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.json().get("targetBpm").asInt()).isEqualTo(159);
    assertThat(answer.json().at("/stages/2/vo2").asDouble()).isEqualTo(16.1);
    assertThat(answer.json().at("/stages/2/met").asDouble()).isEqualTo(4.6);
    assertThat(answer.json().get("wholeStages").asInt()).isEqualTo(5);
    assertThat(answer.json().get("ratePressureProduct").asInt()).isEqualTo(158 * 184);
    assertThat(answer.json().get("met").asDouble()).isEqualTo(10.2);
    assertThat(answer.json().get("vo2max").isNull()).isTrue();
    assertThat(answer.json().at("/extrapolation/vo2max").asDouble()).isEqualTo(44.3);
    assertThat(answer.json().at("/extrapolation/low").asDouble()).isEqualTo(33.1);
    assertThat(answer.json().at("/extrapolation/high").asDouble()).isEqualTo(55.5);
    assertThat(answer.json().get("recovered").asBoolean()).isTrue();
    assertThat(answer.json().get("findings").toString())
        .contains("target-chosen", "recovery-systolic-high", "recovery-done");
  }

  @Test
  void toExhaustionTheTimeCountsFromTheStandardStart() {
    Answer answer =
        graded("\"endReason\":\"target\"", "\"endReason\":\"exhaustion\"", "930", "930");
    // 930 s less the six minutes of the gentle start are 9.5 min.
    assertThat(answer.json().at("/vo2max/men").asDouble()).isEqualTo(32.1);
    assertThat(answer.json().at("/vo2max/women").isNull()).isTrue();
    Answer held =
        graded(
            "\"endReason\":\"target\"",
            "\"endReason\":\"exhaustion\"",
            "\"holdingRail\":false",
            "\"holdingRail\":true");
    assertThat(held.json().get("vo2max").isNull()).isTrue();
    assertThat(held.json().get("extrapolation").isNull()).isTrue();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"protocol\":\"bruce-gentle\" | \"protocol\":\"up\" | protocol",
        "\"value\":85 | \"value\":120 | target.value",
        "\"maximumBpm\":176 | \"maximumBpm\":100 | maximumBpm",
        "\"kind\":\"reserve\",\"value\":85 | \"kind\":\"rate\",\"value\":190 | target.value",
        "\"bpm\":98,\"systolic\":130 | \"bpm\":98,\"systolic\":70 | stages[0].systolic",
        "\"rpe20\":7 | \"rpe20\":5 | stages[0].rpe20",
        "\"rpe20\":7 | \"rpe20\":21 | stages[0].rpe20",
        "\"seconds\":930 | \"seconds\":700 | stages[4]",
        "\"atSeconds\":60 | \"atSeconds\":-5 | recovery[0].atSeconds",
        "\"atSeconds\":480 | \"atSeconds\":300 | recovery[2].atSeconds",
        "\"systolic\":122,\"diastolic\":80,\"rpe20\":6},\"standing\" |"
            + " \"systolic\":122,\"diastolic\":180,\"rpe20\":6},\"standing\" |"
            + " baseline.lying.systolic",
      })
  void whatCannotBeIsRefusedAtItsField(String from, String to, String field) {
    Answer refused = graded(from, to);
    assertThat(refused.status()).isEqualTo(field.equals("maximumBpm") ? 422 : 400);
    assertThat(refused.at("/errors/0/field")).isEqualTo(field);
  }

  @Test
  void theMile() {
    Answer man = server.post("/api/calculator/mile-walk", MILE);
    assertThat(man.json().get("vo2max").asDouble()).isEqualTo(39.7);
    Answer both =
        server.post("/api/calculator/mile-walk", MILE.replace("\"male\"", "\"not-given\""));
    assertThat(both.json().at("/vo2max/men").asDouble()).isEqualTo(39.7);
    assertThat(both.json().at("/vo2max/women").asDouble()).isEqualTo(33.4);
    Answer forbidden =
        server.post(
            "/api/calculator/mile-walk",
            MILE.replace("\"contexts\":[]", "\"contexts\":[\"pregnancy\"]"));
    assertThat(forbidden.json().get("vo2max").isNull()).isTrue();
    Answer short4 = server.post("/api/calculator/mile-walk", MILE.replace("870", "240"));
    assertThat(short4.status()).isEqualTo(400);
    assertThat(short4.at("/errors/0/field")).isEqualTo("seconds");
  }

  @Test
  void theBenches() {
    Answer high = server.post("/api/calculator/step-test", BENCH);
    assertThat(high.json().get("bpm").asInt()).isEqualTo(148);
    assertThat(high.json().get("vo2max").asDouble()).isEqualTo(49.2);
    Answer pace = server.post("/api/calculator/step-test", BENCH.replace("24", "23"));
    assertThat(pace.status()).isEqualTo(400);
    assertThat(pace.at("/errors/0/field")).isEqualTo("pace");
    Answer early = server.post("/api/calculator/step-test", BENCH.replace("180", "170"));
    assertThat(early.json().get("vo2max").isNull()).isTrue();
    Answer wrist =
        server.post("/api/calculator/step-test", BENCH.replace("\"count\"", "\"wrist\""));
    assertThat(wrist.json().get("vo2max").isNull()).isTrue();
  }

  @Test
  void theStepsOfTalk() {
    Answer answer =
        server.post(
            "/api/calculator/talk-steps",
            "{\"steps\":[{\"bpm\":98,\"voice\":1},{\"bpm\":113,\"voice\":2},"
                + "{\"bpm\":127,\"voice\":2},{\"bpm\":141,\"voice\":3},{\"bpm\":155,\"voice\":4}],"
                + "\"source\":\"strap\",\"contexts\":[]}");
    assertThat(answer.json().get("lowerBpm").asInt()).isEqualTo(127);
    assertThat(answer.json().get("upperBpm").asInt()).isEqualTo(155);
    assertThat(answer.at("/grade")).isEqualTo("good");
    assertThat(answer.json().get("departures")).isEmpty();
  }
}
