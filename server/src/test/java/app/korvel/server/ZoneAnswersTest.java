package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Answers that are kept are the answers: each request has its own, whatever was asked before. */
class ZoneAnswersTest {
  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static String asked(String figures) {
    return "{\"restingBpm\":64,\"maximumBpm\":176,\"scheme\":\"voice-ladder\"" + figures + "}";
  }

  private static JsonNode zones(String figures) {
    Answer answer = server.post("/api/calculator/zones", asked(figures));
    assertThat(answer.status()).isEqualTo(200);
    return answer.json();
  }

  @Test
  void theSecondAnswerIsTheFirstOne() {
    assertThat(zones("")).isEqualTo(zones(""));
    assertThat(zones("").at("/bands/1/lowBpm").asInt()).isEqualTo(109);
    assertThat(zones("").at("/marks/2").toString()).isEqualTo("{\"percent\":40,\"bpm\":109}");
  }

  @Test
  void everyPartOfTheRequestCounts() {
    List<String> different =
        List.of(
            "",
            ",\"capBpm\":142",
            ",\"capBpm\":143",
            ",\"maximumStandardErrorBpm\":3",
            ",\"restingStandardErrorBpm\":1.7",
            ",\"rpeFamily\":\"linear\"");
    List<JsonNode> answers = new ArrayList<>();
    for (int round = 0; round < 2; round++) {
      for (int i = 0; i < different.size(); i++) {
        JsonNode answer = zones(different.get(i));
        if (round == 0) {
          assertThat(answers).doesNotContain(answer);
          answers.add(answer);
        } else {
          assertThat(answer).isEqualTo(answers.get(i));
        }
      }
    }
    assertThat(answers.get(1).at("/bands/2/counts/15").toString()).isEqualTo("[33,35]");
    assertThat(answers.get(5).at("/bands/1/rpe10").toString()).isEqualTo("[5,6]");
  }

  @Test
  void whatIsRefusedIsRefusedAgain() {
    for (int i = 0; i < 2; i++) {
      Answer tooSmall =
          server.post(
              "/api/calculator/zones",
              "{\"restingBpm\":100,\"maximumBpm\":130,\"scheme\":\"voice-ladder\"}");
      assertThat(tooSmall.status()).isEqualTo(422);
      Answer capUnderRest = server.post("/api/calculator/zones", asked(",\"capBpm\":50"));
      assertThat(capUnderRest.status()).isEqualTo(400);
      assertThat(capUnderRest.at("/errors/0/field")).isEqualTo("capBpm");
    }
  }

  /** More spans than are kept, from several askers at once: each gets its own. */
  @Test
  void manyAskersEachGetTheirOwn() throws Exception {
    ExecutorService askers = Executors.newFixedThreadPool(4);
    try {
      List<Callable<Void>> work = new ArrayList<>();
      for (int i = 0; i < 600; i++) {
        int resting = 40 + i % 60;
        int maximum = 150 + i / 20;
        work.add(
            () -> {
              JsonNode zones =
                  server
                      .post(
                          "/api/calculator/zones",
                          "{\"restingBpm\":%d,\"maximumBpm\":%d,\"scheme\":\"voice-ladder\"}"
                              .formatted(resting, maximum))
                      .json();
              assertThat(zones.get("restingBpm").asInt()).isEqualTo(resting);
              assertThat(zones.get("maximumBpm").asInt()).isEqualTo(maximum);
              assertThat(zones.get("readings").size()).isEqualTo(maximum - resting + 1);
              return null;
            });
      }
      for (var done : askers.invokeAll(work)) {
        done.get();
      }
    } finally {
      askers.shutdown();
    }
  }

  @Test
  void itIsSentInOnePieceAsJson() {
    HttpResponse<String> raw =
        server.raw(
            server.request("/api/calculator/zones").POST(BodyPublishers.ofString(asked(""))));
    assertThat(raw.headers().firstValue("Content-Type")).contains("application/json");
    assertThat(raw.headers().firstValue("Content-Length"))
        .contains("" + raw.body().getBytes(StandardCharsets.UTF_8).length);
  }
}
