package app.korvel.server;

import static app.korvel.server.TestClients.counted;
import static app.korvel.server.TestClients.screened;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A field test over HTTP, with a clock that is set; the server is stopped in the middle of it. */
class FieldTestApiTest {
  private static final String BEGIN =
      "{\"protocol\":\"%s\",\"mode\":\"%s\",\"warmedUpMinutes\":0,"
          + "\"assured\":[\"not-alone\",\"falls-and-joints\",\"help-at-hand\"]}";

  @TempDir Path folder;
  private TestServer server;
  private String client;

  @BeforeEach
  void start() {
    server = new TestServer(folder, SetClock.class);
    client = screened(server, "Hill Runner", 46, "regular", "");
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

  private Answer begin(String protocol, String mode) {
    return server.post(client + "/field-tests", BEGIN.formatted(protocol, mode));
  }

  private Answer event(String test, UUID id, String more) {
    return server.put(test + "/events/" + id, "{\"at\":\"%s\",%s}".formatted(SetClock.now(), more));
  }

  private Answer event(String test, String more) {
    return event(test, UUID.randomUUID(), more);
  }

  private static void pass(int minutes, int seconds) {
    SetClock.letPass(Duration.ofMinutes(minutes).plusSeconds(seconds));
  }

  private Answer bout(String test, int peak) {
    assertThat(event(test, "\"kind\":\"bout-started\"").at("/stand/phase")).isEqualTo("bout");
    pass(1, 55);
    Answer read =
        event(test, "\"kind\":\"reading\",\"bpm\":%d,\"source\":\"strap\"".formatted(peak));
    assertThat(read.status()).as(read.json().toString()).isEqualTo(200);
    pass(0, 10);
    return read;
  }

  @Test
  void itBeginsOnlyWhereTheRulesAllowIt() {
    Answer sheet = server.get(client + "/field-tests");
    assertThat(sheet.at("/protocols/0/findings/0/code")).isEqualTo("field-test-check-in");
    assertThat(sheet.json().at("/protocols/0/onlyToday").asBoolean()).isTrue();
    Answer refused = begin("hill-repeats", "run");
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.at("/findings/0/code")).isEqualTo("field-test-check-in");

    checkIn();
    assertThat(server.get(client + "/field-tests").json().at("/protocols/0/open").asBoolean())
        .isTrue();
    Answer unsure =
        server.post(
            client + "/field-tests", BEGIN.formatted("ramp", "swim").replace("\"not-alone\",", ""));
    assertThat(unsure.status()).isEqualTo(400);
    assertThat(unsure.at("/errors/0/field")).isEqualTo("mode");
    assertThat(unsure.at("/errors/1/message")).contains("within sight");

    assertThat(begin("ramp", "stairs").status()).isEqualTo(201);
    assertThat(begin("hill-repeats", "run").at("/findings/0/code")).isEqualTo("field-test-running");
    assertThat(server.get("/api/today").json().get("due").toString())
        .contains("A field test is in progress.");
  }

  @Test
  void whoIsLetTrainAgainstALightOnlyIsNotTested() {
    String light =
        "{\"pulseBpm\":70,\"posture\":\"seated\",\"source\":\"count\",\"settled\":true,"
            + "\"recounted\":true,\"rhythm\":\"steady\","
            + "\"decided\":{\"outcome\":\"go\",\"reason\":\"climbed the stairs just now\"}}";
    assertThat(server.post(client + "/checkins", light).status()).isEqualTo(201);
    assertThat(server.get(client).at("/checkedToday/outcome")).isEqualTo("go");
    assertThat(begin("hill-repeats", "run").at("/findings/0/code"))
        .isEqualTo("field-test-not-today");
  }

  @Test
  void aRunSurvivesTheServerAndProposesAMaximum() {
    checkIn();
    String test = "/api/field-tests/" + begin("hill-repeats", "run").at("/id");
    assertThat(server.get(test).at("/stand/phase")).isEqualTo("warm-up");
    assertThat(event(test, "\"kind\":\"bout-started\"").at("/errors/0/message"))
        .isEqualTo("the warm-up is not over");
    pass(15, 0);
    assertThat(server.get(test).at("/stand/phase")).isEqualTo("ready");
    bout(test, 181);
    event(test, "\"kind\":\"answered\",\"bout\":1,\"yes\":true");
    pass(3, 0);
    event(test, "\"kind\":\"bout-started\"");
    pass(1, 0);
    Answer before = server.get(test);
    assertThat(before.at("/stand/phase")).isEqualTo("bout");

    server.close();
    server = new TestServer(folder, SetClock.class);
    Answer after = server.get(test);
    assertThat(after.json().get("stand")).isEqualTo(before.json().get("stand"));
    assertThat(after.json().get("bouts")).isEqualTo(before.json().get("bouts"));

    pass(0, 50);
    event(test, "\"kind\":\"reading\",\"bpm\":186,\"source\":\"strap\"");
    pass(0, 20);
    event(test, "\"kind\":\"answered\",\"bout\":2,\"yes\":true");
    pass(3, 0);
    bout(test, 188);
    event(test, "\"kind\":\"answered\",\"bout\":3,\"yes\":true");
    assertThat(server.post(test + "/maximum", "{}").at("/findings/0/code"))
        .isEqualTo("field-test-running");
    Answer done = event(test, "\"kind\":\"finished\"");
    assertThat(done.at("/result/grade")).isEqualTo("good");
    assertThat(done.at("/result/peakBpm")).isEqualTo("188");
    assertThat(server.get(client + "/maximum").at("/working/bpm")).isEqualTo("176");

    Answer kept = server.post(test + "/maximum", "{}");
    assertThat(server.post(test + "/maximum", "{}").at("/keptAs")).isEqualTo(kept.at("/keptAs"));
    Answer sheet = server.get(client + "/maximum");
    assertThat(sheet.at("/working/bpm")).isEqualTo("188");
    assertThat(sheet.at("/working/words")).isEqualTo("Hill repeats, graded good");
    assertThat(sheet.json().get("measured").size()).isEqualTo(1);
    assertThat(
            event(test, "\"kind\":\"answered\",\"bout\":3,\"yes\":false").at("/errors/0/message"))
        .isEqualTo("its maximum is on record");
  }

  @Test
  void anEventSentTwiceIsEnteredOnceAndAStopEndsItAtOnce() {
    checkIn();
    String test = "/api/field-tests/" + begin("hard-half-hour", "cycle").at("/id");
    pass(15, 0);
    UUID id = UUID.randomUUID();
    String started = "{\"at\":\"%s\",\"kind\":\"bout-started\"}".formatted(SetClock.now());
    server.put(test + "/events/" + id, started);
    Answer again = server.put(test + "/events/" + id, started);
    assertThat(again.status()).isEqualTo(200);
    assertThat(again.json().get("bouts").size()).isEqualTo(1);
    pass(21, 0);
    Answer counted =
        event(test, "\"kind\":\"reading\",\"beats\":30,\"windowSeconds\":10,\"source\":\"count\"");
    assertThat(counted.at("/bouts/0/peakBpm")).isEqualTo("180");
    Answer stopped = event(test, "\"kind\":\"stopped\",\"words\":\"dizzy\"");
    assertThat(stopped.at("/stand/phase")).isEqualTo("stopped");
    assertThat(stopped.json().at("/result/peakBpm").isNull()).isTrue();
    assertThat(server.post(test + "/maximum", "{}").status()).isEqualTo(422);
    Answer mended =
        event(test, "\"kind\":\"taken-back\",\"of\":\"%s\"".formatted(stopped.at("/overBy")));
    assertThat(mended.at("/stand/phase")).isEqualTo("bout");
  }

  /** Two tablets, one start: whoever is second is told, and there is one bout. */
  @Test
  void twoWhoStartTheSameBoutAtOnceStartOne() {
    checkIn();
    String test = "/api/field-tests/" + begin("hill-repeats", "run").at("/id");
    pass(15, 0);
    List<CompletableFuture<Answer>> both =
        Stream.generate(
                () -> CompletableFuture.supplyAsync(() -> event(test, "\"kind\":\"bout-started\"")))
            .limit(2)
            .toList();
    List<Integer> statuses = both.stream().map(each -> each.join().status()).sorted().toList();
    assertThat(statuses).containsExactly(200, 400);
    assertThat(server.get(test).json().get("bouts").size()).isEqualTo(1);
  }

  /** What was done before is listed, and one that is going on is said to be. */
  @Test
  void theListSaysHowEachTestEnded() {
    checkIn();
    String first = "/api/field-tests/" + begin("hill-repeats", "run").at("/id");
    assertThat(server.get(client + "/field-tests").at("/tests/0/words")).isEqualTo("Going on");
    assertThat(server.get(client + "/maximum").at("/running"))
        .isEqualTo(first.substring(first.lastIndexOf('/') + 1));
    event(first, "\"kind\":\"finished\"");
    Answer list = server.get(client + "/field-tests");
    assertThat(list.at("/tests/0/words")).isEqualTo("No reading counts, so nothing is proposed.");
    assertThat(list.json().at("/tests/0/running").asBoolean()).isFalse();
    assertThat(list.json().at("/tests/0/grade").isNull()).isTrue();
    assertThat(server.get(client + "/maximum").json().get("running").isNull()).isTrue();
    assertThat(begin("hard-half-hour", "row").status()).isEqualTo(201);
  }

  @Test
  void whatCannotHaveHappenedIsRefusedWithTheReason() {
    checkIn();
    String test = "/api/field-tests/" + begin("hill-repeats", "run").at("/id");
    pass(15, 0);
    event(test, "\"kind\":\"bout-started\"");
    pass(0, 5);
    assertThat(
            event(test, "\"kind\":\"reading\",\"bpm\":231,\"source\":\"strap\"")
                .at("/errors/0/accepted"))
        .isEqualTo("60 to 230 bpm");
    assertThat(event(test, "\"kind\":\"reading\",\"source\":\"count\"").at("/errors/0/field"))
        .isEqualTo("beats");
    assertThat(event(test, "\"kind\":\"reading\",\"bpm\":\"fast\"").status()).isEqualTo(400);
    assertThat(event(test, "\"kind\":\"jumped\"").at("/errors/0/accepted"))
        .contains("bout-started");
    assertThat(
            server
                .put(
                    test + "/events/" + UUID.randomUUID(),
                    "{\"at\":\"yesterday\",\"kind\":\"finished\"}")
                .status())
        .isEqualTo(400);
    assertThat(
            server
                .put(
                    test + "/events/" + UUID.randomUUID(),
                    "{\"at\":\"%s\",\"kind\":\"finished\"}"
                        .formatted(SetClock.now().plusSeconds(60)))
                .at("/errors/0/message"))
        .isEqualTo("lies in the future");
    assertThat(server.get("/api/field-tests/" + UUID.randomUUID()).status()).isEqualTo(404);
    assertThat(server.get(test).json().at("/bouts/0/readings").size()).isZero();
  }
}
