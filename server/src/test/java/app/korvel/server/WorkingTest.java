package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The sums behind the calculators, checks of somebody's figures, and what the methods list. */
class WorkingTest {
  private static final String TARGET =
      "{\"restingBpm\":64,\"maximumBpm\":176,\"basis\":\"reserve\",\"low\":50,\"high\":70}";

  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static Answer working(String calculator, String body) {
    return server.post("/api/calculator/" + calculator + "/working", body);
  }

  private static String sums(Answer answer) {
    StringBuilder sums = new StringBuilder();
    for (JsonNode line : answer.json().get("lines")) {
      sums.append(line.get("sum").asString()).append(" = ").append(line.get("answer")).append("; ");
    }
    return sums.toString();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "pulse   | {'of':{'beats':17,'windowSeconds':15}}" + " | 60 ÷ 15 = 4; 17 × 4 = 68; ",
        "maximum | {'of':{'age':45},'method':'tanaka-208'}"
            + " | 0.7 × 45 = 31.5; 208 − 31.5 = 177; ",
        "counts  | {'of':{'lowBpm':109,'highBpm':142,'capped':true}}"
            + " | 109 × 6 ÷ 60 = 11; 142 × 6 ÷ 60 = 14; 109 × 10 ÷ 60 = 18; 142 × 10 ÷ 60 = 23;"
            + " 109 × 15 ÷ 60 = 27; 142 × 15 ÷ 60 = 35; 109 × 30 ÷ 60 = 55; 142 × 30 ÷ 60 = 71; ",
        "zones   | {'of':{'restingBpm':64,'maximumBpm':176,'scheme':'school-range'},'band':'target'}"
            + " | 0.7 × 176 = 123; 0.85 × 176 = 150; 0.7 × 10 = 7; ",
      })
  void everyCalculatorShowsItsSum(String calculator, String body, String sums) {
    Answer answer = working(calculator.strip(), body.replace('\'', '"'));
    assertThat(answer.status()).as(answer.json().toString()).isEqualTo(200);
    assertThat(sums(answer)).isEqualTo(sums.stripLeading() + (sums.endsWith(" ") ? "" : " "));
    assertThat(answer.json().get("check").isNull()).isTrue();
  }

  @Test
  void theFirstFigureThatIsOffIsNamed() {
    Answer answer =
        working("target", "{\"of\":" + TARGET + ",\"figures\":[112,56,null,78,1,1,1,1,1]}");
    assertThat(answer.json().at("/check/right").toString()).isEqualTo("[0,1]");
    assertThat(answer.json().at("/check/firstOff/line").asInt()).isEqualTo(3);
    assertThat(answer.at("/check/firstOff/hint")).startsWith("Keep every decimal here: 78.4.");
    assertThat(answer.json().at("/check/complete").asBoolean()).isFalse();
    Answer right =
        working("target", "{\"of\":" + TARGET + ",\"figures\":[112,56,120,78.4,142,20,24,30,36]}");
    assertThat(right.json().at("/check/complete").asBoolean()).isTrue();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "target  | {'of':{'restingBpm':64},'figures':null}          | maximumBpm",
        "target  | {'of':{'restingBpm':64,'maximumBpm':176,'basis':'reserve','low':50,'high':70},"
            + "'figures':[1]} | figures",
        "pulse   | {'of':{'beats':17,'windowSeconds':15},'figures':['4',68]} | figures",
        "pulse   | {'of':{'beats':17,'windowSeconds':14}}            | windowSeconds",
        "pulse   | {'figures':[]}                                    | of",
        "maximum | {'of':{'age':45},'method':'none-such'}            | method",
        "maximum | {'of':{'age':45},'method':'keteyian-hf'}          | restingBpm",
        "zones   | {'of':{'restingBpm':64,'maximumBpm':176,'scheme':'max-fifths'},'band':'x'} | band",
        "counts  | {'of':{'lowBpm':142,'highBpm':109,'capped':false}} | highBpm",
        "counts  | {'of':{'lowBpm':19,'highBpm':109,'capped':false}}  | lowBpm",
      })
  void badInputNamesItsField(String calculator, String body, String field) {
    Answer answer = working(calculator.strip(), body.strip().replace('\'', '"'));
    assertThat(answer.status()).as(answer.json().toString()).isEqualTo(400);
    assertThat(answer.at("/errors/0/field")).startsWith(field);
    assertThat(answer.at("/errors/0/accepted")).isNotBlank();
  }

  @Test
  void countsWithoutAClient() {
    Answer answer =
        server.post("/api/calculator/counts", "{\"lowBpm\":109,\"highBpm\":131,\"capped\":false}");
    assertThat(answer.json().get("counts").toString())
        .isEqualTo("{\"6\":[11,13],\"10\":[18,22],\"15\":[27,33],\"30\":[55,66]}");
  }

  /** What a step, a finding or a page links to stands in the list, once. */
  @Test
  void theMethodsHoldEveryLinkOnceAndEveryRowHasASource() {
    JsonNode methods = server.get("/api/methods").json();
    Set<String> ids = new HashSet<>();
    for (String group : methods.propertyNames()) {
      for (JsonNode row : methods.get(group)) {
        assertThat(row.get("source").asString()).as(group + " " + row).isNotBlank();
        for (String key : new String[] {"id", "code"}) {
          if (row.has(key)) {
            assertThat(ids.add(anchor(group, row.get(key).asString()))).as(row.toString()).isTrue();
          }
        }
      }
    }
    assertThat(methods.propertyNames()).hasSize(23);
    assertThat(ids)
        .contains(
            "reserve",
            "count-card",
            "thresholds smallest-reserve",
            "tanaka-208",
            "cap-cuts",
            "voice-ladder");
  }

  /** What a link names stands once in all of these groups; the ids of the others are their own. */
  private static String anchor(String group, String id) {
    return Set.of("equations", "formulas", "schemes", "findings").contains(group)
        ? id
        : group + " " + id;
  }
}
