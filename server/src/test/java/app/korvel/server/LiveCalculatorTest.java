package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The calculators of a live session, on 64 to 176. */
class LiveCalculatorTest {
  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static Answer witnesses(String more) {
    return server.post(
        "/api/calculator/witnesses",
        "{\"restingBpm\":64,\"maximumBpm\":176,\"maximumEstimated\":false,"
            + "\"target\":{\"lowBpm\":109,\"highBpm\":131},\"source\":\"strap\","
            + more
            + "}");
  }

  private static String samples(int from, int to, String bpm) {
    return IntStream.rangeClosed(from, to)
        .mapToObj(second -> "[" + second + "," + bpm + "]")
        .collect(Collectors.joining(","));
  }

  private static Answer trace(String samples, String steps) {
    return server.post(
        "/api/calculator/trace",
        "{\"samples\":["
            + samples
            + "],\"restingBpm\":64,\"maximumBpm\":176,\"scheme\":\"voice-ladder\","
            + "\"source\":\"strap\",\"capBpm\":150,\"steps\":["
            + steps
            + "]}");
  }

  @Test
  void theWitnessesOfAMomentAreWeighed() {
    Answer said = witnesses("\"rateBpm\":135,\"rpe20\":13,\"voice\":2,\"contexts\":[]");
    assertThat(said.status()).isEqualTo(200);
    assertThat(said.at("/cue")).isEqualTo("hold");
    assertThat(said.json().get("level").asInt()).isEqualTo(2);
    assertThat(said.json().get("targetLevels").toString()).isEqualTo("[2,2]");
    assertThat(said.json().at("/votes/rate/level").asInt()).isEqualTo(3);
    assertThat(said.json().at("/votes/rate/weight").asInt()).isEqualTo(1000);
    assertThat(said.at("/findings/0/code")).isEqualTo("cue-voted");
    assertThat(
            witnesses("\"rateBpm\":100,\"contexts\":[\"under-18\"],\"steeredBy\":\"rate\"")
                .at("/cue"))
        .isEqualTo("ask");
    assertThat(witnesses("\"rateBpm\":120,\"stopSign\":true").at("/cue")).isEqualTo("stop");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"rpe20\":5 | rpe20",
        "\"voice\":6 | voice",
        "\"rateBpm\":300 | rateBpm",
        "\"contexts\":[\"tall\"] | contexts[0]",
        "\"capBpm\":20 | capBpm",
      })
  void whatIsNoWitnessIsRefusedAtItsField(String more, String field) {
    Answer refused = witnesses(more);
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo(field);
  }

  @Test
  void aRecordingIsCuedAndAddedUp() {
    Answer answer =
        trace(
            samples(1, 130, "112")
                + ","
                + samples(131, 200, "125")
                + ","
                + samples(201, 210, "null"),
            "{\"fromSecond\":1,\"lowBpm\":120,\"highBpm\":142,\"kind\":\"work\"}");
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.json().get("cues").toString())
        .contains("{\"second\":91,\"cue\":\"pick-up\",\"overCap\":false}")
        .contains("\"cue\":\"hold\"")
        .contains("{\"second\":206,\"cue\":\"no-signal\",\"overCap\":false}");
    int counted =
        IntStream.of(
                answer.json().get("belowSeconds").asInt(),
                answer.json().get("inSeconds").asInt(),
                answer.json().get("aboveSeconds").asInt(),
                answer.json().get("noDataSeconds").asInt())
            .sum();
    assertThat(counted).isEqualTo(210);
    assertThat(answer.json().at("/histogram/112").asInt()).isEqualTo(130);
    assertThat(answer.json().at("/peak/bpm").asInt()).isEqualTo(125);
    assertThat(answer.json().get("bands").toString()).contains("\"id\":\"talk\"");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "[1] | {\"fromSecond\":1,\"lowBpm\":120,\"highBpm\":142,\"kind\":\"work\"} | samples[0]",
        "[2,100],[1,100] | {\"fromSecond\":1,\"lowBpm\":120,\"highBpm\":142,\"kind\":\"work\"} | samples",
        "[1,100] | {\"fromSecond\":5,\"lowBpm\":120,\"highBpm\":142,\"kind\":\"work\"} | steps[0].fromSecond",
        "[1,100] | {\"fromSecond\":1,\"lowBpm\":142,\"highBpm\":120,\"kind\":\"work\"} | steps[0].lowBpm",
        "[1,100] | '' | steps",
      })
  void whatIsNoRecordingIsRefusedAtItsField(String samples, String steps, String field) {
    Answer refused = trace(samples, steps);
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo(field);
  }
}
