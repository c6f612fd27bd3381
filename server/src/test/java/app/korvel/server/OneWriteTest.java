package app.korvel.server;

import static app.korvel.server.TestClients.counted;
import static app.korvel.server.TestClients.screened;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntFunction;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is checked is checked in the write: many at once, and it happens once or not at all. */
class OneWriteTest {
  private static final int AT_ONCE = 8;
  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static String id(String client) {
    return client.substring(client.lastIndexOf('/') + 1);
  }

  /** As many answers as are asked for at the same moment. */
  private static List<Answer> atOnce(IntFunction<Answer> ask) throws Exception {
    ExecutorService pool = Executors.newFixedThreadPool(AT_ONCE);
    CountDownLatch go = new CountDownLatch(1);
    try {
      List<Future<Answer>> asked = new ArrayList<>();
      for (int i = 0; i < AT_ONCE; i++) {
        int which = i;
        asked.add(
            pool.submit(
                () -> {
                  go.await();
                  return ask.apply(which);
                }));
      }
      go.countDown();
      List<Answer> answers = new ArrayList<>();
      for (Future<Answer> each : asked) {
        answers.add(each.get());
      }
      return answers;
    } finally {
      pool.shutdownNow();
    }
  }

  private static long of(List<Answer> answers, int status) {
    return answers.stream().filter(answer -> answer.status() == status).count();
  }

  private static final String TEST =
      "{\"protocol\":\"%s\",\"mode\":\"run\",\"warmedUpMinutes\":0,\"assured\":%s}";

  /** The first protocol, with all that has to be made sure of. */
  private static String testOf(String client) {
    server.post(client + "/checkins", "{\"pulseBpm\":60,\"recounted\":true,\"rhythm\":\"steady\"}");
    Answer sheet = server.get(client + "/field-tests");
    List<String> assured = new ArrayList<>();
    sheet
        .json()
        .get("assurances")
        .forEach(each -> assured.add("\"" + each.get("assurance").asString() + "\""));
    return TEST.formatted(sheet.at("/protocols/0/protocol"), assured);
  }

  @Test
  void aFieldTestIsBegunOnceAndKeptOnce() throws Exception {
    String client = screened(server, "Tested Once", 30, "regular", "");
    counted(server, client, 60);
    String body = testOf(client);
    List<Answer> begun = atOnce(i -> server.post(client + "/field-tests", body));
    assertThat(of(begun, 201)).as(begun.get(0).json().toString()).isEqualTo(1);
    assertThat(of(begun, 422)).isEqualTo(AT_ONCE - 1);
  }

  @Test
  void aClassIsCheckedInOnce() throws Exception {
    String client = screened(server, "In Once", 40, "some", "");
    counted(server, client, 64);
    Answer room =
        server.post(
            "/api/class-counts",
            "{\"moment\":\"before\",\"windowSeconds\":15,\"people\":[\"%s\"]}"
                .formatted(id(client)));
    String path = "/api/class-counts/" + room.at("/id");
    server.put(path + "/people/" + id(client) + "/count", "{\"beats\":16}");
    List<Answer> made = atOnce(i -> server.post(path + "/checkins", ""));
    assertThat(made.stream().mapToInt(each -> each.json().get("made").size()).sum()).isEqualTo(1);
    assertThat(server.get(client + "/checkins").json().get("recent")).hasSize(1);
  }

  private static final String SCHEME =
      """
      {"name":"%s","kind":"ladder","basis":"reserve","serves":"",
      "bands":[{"name":"Easy","low":0,"high":50},{"name":"Hard","low":50,"high":100}]}
      """;

  private static final String OUTLINE =
      """
      {"name":"%s","note":"","outline":{"blocks":[
      {"times":1,"apart":false,"steps":[
        {"kind":"warm-up","seconds":600,"lowPercent":20,"highPercent":40,"waits":false}]},
      {"times":1,"apart":false,"steps":[
        {"kind":"work","seconds":1200,"lowPercent":40,"highPercent":55,"waits":false}]},
      {"times":1,"apart":false,"steps":[
        {"kind":"cool-down","seconds":600,"lowPercent":20,"highPercent":40,"waits":false}]}]}}
      """;

  @Test
  void aNameIsGivenOnce() throws Exception {
    List<Answer> schemes = atOnce(i -> server.post("/api/schemes", SCHEME.formatted("Pier")));
    assertThat(of(schemes, 201)).as(schemes.get(0).json().toString()).isEqualTo(1);
    assertThat(of(schemes, 400)).isEqualTo(AT_ONCE - 1);
    List<Answer> outlines = atOnce(i -> server.post("/api/outlines", OUTLINE.formatted("Pier")));
    assertThat(of(outlines, 201)).as(outlines.get(0).json().toString()).isEqualTo(1);
    assertThat(of(outlines, 400)).isEqualTo(AT_ONCE - 1);
  }

  /** Nor is a name taken twice by bringing one back that was archived. */
  @Test
  void aNameThatWasTakenMeanwhileKeepsAnOldOneAway() {
    Answer first = server.post("/api/schemes", SCHEME.formatted("Quay"));
    String path = "/api/schemes/" + first.at("/id") + "/archived";
    Answer away = server.put(path, "{\"version\":1,\"archived\":true}");
    server.post("/api/schemes", SCHEME.formatted("quay"));
    Answer back =
        server.put(
            path,
            "{\"version\":%d,\"archived\":false}".formatted(away.json().get("version").asInt()));
    assertThat(back.status()).isEqualTo(400);
    assertThat(back.at("/errors/0/field")).isEqualTo("name");
  }

  /** Whatever the order in which they come: nothing is added once the client is archived. */
  @Test
  void nothingIsAddedToAnArchivedClientThatRacesTheArchiving() throws Exception {
    String client = screened(server, "Put Away", 40, "some", "");
    counted(server, client, 64);
    Answer room =
        server.post(
            "/api/class-counts",
            "{\"moment\":\"before\",\"windowSeconds\":15,\"people\":[\"%s\"]}"
                .formatted(id(client)));
    String count = "/api/class-counts/" + room.at("/id") + "/people/" + id(client) + "/count";
    List<Answer> answers =
        atOnce(
            i ->
                i == 3
                    ? server.put(client + "/archived", "{\"version\":1,\"archived\":true}")
                    : i % 2 == 0
                        ? server.put(count, "{\"beats\":16}")
                        : server.post(client + "/readings", TestClients.COUNT.formatted(66, 60)));
    assertThat(answers.get(3).status()).isEqualTo(200);
    assertThat(answers).allMatch(each -> each.status() < 300 || each.status() == 422);
    int before = server.get(client + "/readings").json().get("readings").size();
    assertThat(server.post(client + "/readings", TestClients.COUNT.formatted(66, 60)).status())
        .isEqualTo(422);
    assertThat(server.put(count, "{\"beats\":17}").status()).isEqualTo(422);
    assertThat(server.delete(count).status()).isEqualTo(422);
    assertThat(server.get(client + "/readings").json().get("readings")).hasSize(before);
  }

  @Test
  void aTestOfAnArchivedClientTakesNoMoreEventsAndNoEventOfAnotherTest() {
    String one = begun("Event One");
    String other = begun("Event Other");
    UUID event = UUID.fromString("01a21ec4-0000-7000-8000-000000000001");
    String stopped =
        "{\"kind\":\"stopped\",\"at\":\"%s\",\"words\":\"tired\"}".formatted(Instant.now());
    assertThat(server.put(test(one) + "/events/" + event, stopped).status()).isEqualTo(200);
    Answer again = server.put(test(other) + "/events/" + event, stopped);
    assertThat(again.status()).isEqualTo(400);
    assertThat(again.at("/errors/0/field")).isEqualTo("id");
    server.put(other + "/archived", "{\"version\":1,\"archived\":true}");
    assertThat(
            server
                .put(test(other) + "/events/01a21ec4-0000-7000-8000-000000000002", stopped)
                .status())
        .isEqualTo(422);
  }

  private static String test(String client) {
    return "/api/field-tests/" + server.get(client + "/field-tests").at("/tests/0/id");
  }

  private static String begun(String name) {
    String client = screened(server, name, 30, "regular", "");
    counted(server, client, 60);
    Answer begun = server.post(client + "/field-tests", testOf(client));
    assertThat(begun.status()).as(begun.json().toString()).isEqualTo(201);
    return client;
  }
}
