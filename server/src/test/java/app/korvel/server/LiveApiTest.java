package app.korvel.server;

import static app.korvel.server.TestClients.PARTS;
import static app.korvel.server.TestClients.added;
import static app.korvel.server.TestClients.counted;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.korvel.server.TestServer.Answer;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.live.RecordLiveEvent;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Sessions on the clock over HTTP, by a clock that is set. */
class LiveApiTest {
  private static TestServer server;
  private static LiveScene scene;
  private static Path folder;

  @BeforeAll
  static void start(@TempDir Path temp) {
    folder = temp;
    server = new TestServer(folder, SetClock.class);
    scene = new LiveScene(server);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static List<String> codes(Answer answer) {
    return StreamSupport.stream(answer.json().get("findings").spliterator(), false)
        .map(each -> each.get("code").asString())
        .toList();
  }

  @Test
  void nothingRunsWithoutTodaysCheckIn() {
    String client = scene.client("Not Checked In");
    Answer refused = scene.opened(client);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(codes(refused)).containsExactly("not-checked-in");
    Answer start = server.get(client + "/live");
    assertThat(start.json().get("allowed").asBoolean()).isFalse();
    assertThat(codes(start)).containsExactly("not-checked-in");

    scene.checkedIn(client, 75);
    assertThat(codes(scene.opened(client))).containsExactly("not-today");
  }

  @Test
  void lightOnlyEndsEveryTargetAtFortyPercent() {
    String client = scene.client("Light Only");
    scene.checkedIn(client, 70);
    Answer opened = scene.opened(client);
    assertThat(codes(server.get(client + "/live"))).contains("light-only");
    JsonNode steps = opened.json().at("/sheet/steps");
    for (JsonNode step : steps) {
      if (step.get("highPercent").isNumber()) {
        assertThat(step.get("highPercent").asInt()).isLessThanOrEqualTo(40);
        // 40 % of 112 over 64.
        assertThat(step.get("highBpm").asInt()).isLessThanOrEqualTo(109);
      }
    }
  }

  @Test
  void aClientWithoutAPrescriptionOrASpanIsRefused() {
    String bare = added(server, "No Prescription", 46, "some", "");
    counted(server, bare, 64);
    scene.checkedIn(bare, 64);
    assertThat(scene.opened(bare).status()).isEqualTo(422);
    assertThat(codes(scene.opened(bare))).contains("no-programme-yet");
  }

  @Test
  void oneSessionAtATime() {
    String client = scene.ready("One At A Time");
    String session = scene.session(client);
    Answer second = scene.opened(client);
    assertThat(second.status()).isEqualTo(422);
    assertThat(codes(second)).containsExactly("session-on");
    Instant at = SetClock.now();
    assertThat(scene.happens(session, at, "ended", ",\"reason\":\"other\"").status())
        .isEqualTo(200);
    assertThat(scene.opened(client).status()).isEqualTo(201);
  }

  @Test
  void aWholeSessionIsRunEndedAndLogged() {
    String client = scene.ready("Whole Session");
    String session = scene.session(client);
    Instant begun = scene.begun(session);
    int at = 0;
    long sequence = 1;
    JsonNode steps = server.get(session).json().at("/sheet/steps");
    for (JsonNode step : steps) {
      int seconds = step.get("seconds").asInt();
      for (int part = 0; part < seconds; part += 60) {
        boolean lasts = step.get("kind").asString().equals("cool-down") && part == 0;
        int bpm = step.get("work").asBoolean() || lasts ? 115 : 95;
        SetClock.letPass(Duration.ofSeconds(60));
        Answer taken =
            scene.send(session, sequence++, scene.samples(begun.plusSeconds(at + part), 60, bpm));
        assertThat(taken.status()).as(taken.json().toString()).isEqualTo(200);
      }
      at += seconds;
    }
    // The work waited eleven seconds for its target, and ends as much later.
    SetClock.letPass(Duration.ofSeconds(11));
    Answer state = server.get(session);
    assertThat(state.at("/state/phase")).isEqualTo("complete");
    assertThat(state.json().at("/trace/bpm").size()).isGreaterThanOrEqualTo(at);
    scene.happens(session, SetClock.now(), "rated", ",\"rpe20\":13");
    assertThat(scene.happens(session, SetClock.now(), "ended", "").at("/phase")).isEqualTo("ended");

    JsonNode summary = server.get(session + "/summary").json();
    assertThat(summary.get("workSeconds").asInt()).isEqualTo(1800);
    assertThat(summary.get("inSeconds").asInt()).isGreaterThan(1790);
    assertThat(summary.get("done").asBoolean()).isTrue();
    assertThat(summary.get("averageBpm").asInt()).isEqualTo(115);
    // 115 for a minute more, then 95: the work ended eleven seconds into that minute.
    assertThat(summary.at("/drop/bpm").asInt()).isEqualTo(20);
    // The half hour, and the minute after it at the same rate.
    assertThat(summary.get("moderateEquivalentMinutes").asInt()).isEqualTo(31);
    assertThat(summary.get("loadByRating").isNull()).isTrue();
    JsonNode other = server.get(session + "/summary?scheme=max-fifths").json();
    assertThat(other.get("zones").size()).isEqualTo(5);

    Answer logged = server.post(session + "/log", "{\"rpe\":13}");
    assertThat(logged.status()).as(logged.json().toString()).isEqualTo(200);
    assertThat(logged.at("/state/log/words")).isEqualTo("30 min, 115 average, RPE 13");
    // RPE 13 is 4 of 10, times 47 minutes from warm-up to stretching.
    assertThat(server.get(session + "/summary").json().get("loadByRating").asInt())
        .isEqualTo(4 * server.get(session + "/summary").json().get("minutes").asInt());
    assertThat(server.post(session + "/log", "{}").status()).isEqualTo(400);
  }

  @Test
  void whatIsSentTwiceIsEnteredOnce() {
    String session = scene.session(scene.ready("Sent Twice"));
    Instant begun = scene.begun(session);
    SetClock.letPass(Duration.ofSeconds(30));
    String body = scene.samples(begun.plusSeconds(1), 20, 100);
    assertThat(scene.send(session, 7, body).json().get("isNew").asBoolean()).isTrue();
    assertThat(scene.send(session, 7, body).json().get("isNew").asBoolean()).isFalse();
    UUID rated = UUID.randomUUID();
    Instant at = SetClock.now();
    scene.event(session, rated, at, "rated", ",\"rpe20\":12");
    Answer again = scene.event(session, rated, at, "rated", ",\"rpe20\":12");
    assertThat(again.status()).isEqualTo(200);
    assertThat(again.json().get("rpe20").asInt()).isEqualTo(12);
    String other = scene.session(scene.ready("Other Session"));
    assertThat(scene.event(other, rated, SetClock.now(), "begun", "").status()).isEqualTo(400);
  }

  @Test
  void badSamplesAreRefusedAndTheSessionGoesOn() {
    String session = scene.session(scene.ready("Bad Samples"));
    Instant begun = scene.begun(session);
    SetClock.letPass(Duration.ofSeconds(300));
    assertThat(
            scene
                .send(session, 1, scene.samples(begun.plusSeconds(1), 121, 100))
                .at("/errors/0/field"))
        .isEqualTo("at");
    assertThat(
            scene.send(session, 1, scene.samples(SetClock.now().plusSeconds(60), 2, 100)).status())
        .isEqualTo(400);
    assertThat(scene.send(session, 1, scene.samples(begun.minusSeconds(600), 2, 100)).status())
        .isEqualTo(400);
    long later = begun.plusSeconds(9).toEpochMilli();
    long earlier = begun.plusSeconds(3).toEpochMilli();
    assertThat(
            scene
                .send(session, 1, "{\"at\":[%d,%d],\"bpm\":[90,91]}".formatted(later, earlier))
                .at("/errors/0/field"))
        .isEqualTo("at[1]");
    assertThat(scene.send(session, 1, "{\"at\":[%d],\"bpm\":[90,91]}".formatted(later)).status())
        .isEqualTo(400);
    assertThat(scene.send(session, 1, "{\"at\":[%d]}".formatted(later)).status()).isEqualTo(400);
    assertThat(scene.send(session, -1, scene.samples(begun.plusSeconds(1), 1, 90)).status())
        .isEqualTo(400);
    assertThat(
            scene.send("/api/live/" + UUID.randomUUID(), 1, scene.samples(begun, 1, 90)).status())
        .isEqualTo(404);

    Answer dropped =
        scene.send(session, 2, "{\"at\":[%d,%d],\"bpm\":[0,255]}".formatted(earlier, later));
    assertThat(dropped.json().get("withoutRate").asInt()).isEqualTo(2);
    String hex = "0064";
    Answer packets =
        scene.send(
            session,
            3,
            "{\"at\":[%1$d,%1$d,%1$d,%1$d],\"packets\":[\"\",\"%2$s\",\"%3$s\",\"0664\"]}"
                .formatted(later, "00".repeat(600), hex));
    assertThat(packets.status()).isEqualTo(200);
    assertThat(packets.json().get("broken").size()).isEqualTo(2);
    assertThat(packets.at("/broken/1/field")).isEqualTo("packets[1]");

    assertThat(scene.happens(session, SetClock.now(), "paused", "").status()).isEqualTo(200);
    scene.happens(session, SetClock.now(), "ended", "");
    Instant end = SetClock.now();
    SetClock.letPass(Duration.ofSeconds(60));
    assertThat(scene.send(session, 9, scene.samples(end.plusSeconds(5), 2, 90)).status())
        .isEqualTo(400);
    // What was taken before the end is still handed in after it.
    assertThat(scene.send(session, 10, scene.samples(end.minusSeconds(20), 2, 90)).status())
        .isEqualTo(200);
  }

  @Test
  void aStopSignSuspendsAtOnceAndUndoneDoesNot() {
    String client = scene.ready("Stop Sign");
    String session = scene.session(client);
    Instant begun = scene.begun(session);
    SetClock.letPass(Duration.ofSeconds(700));
    scene.send(session, 1, scene.samples(begun.plusSeconds(1), 100, 100));
    UUID stop = UUID.randomUUID();
    Answer stopped = scene.event(session, stop, SetClock.now(), "stopped", ",\"sign\":\"dizzy\"");
    assertThat(stopped.at("/phase")).isEqualTo("ended");
    assertThat(stopped.at("/log/words")).contains("dizzy");
    assertThat(server.get(client).at("/prescription/standing/state")).isEqualTo("suspended");
    Answer refused = scene.opened(client);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().toString()).contains("suspended");
    Answer undone = scene.happens(session, SetClock.now(), "withdrawn", ",\"of\":\"" + stop + "\"");
    assertThat(undone.at("/phase")).isEqualTo("running");
    assertThat(undone.json().get("log").isNull()).isTrue();
    assertThat(server.get(client).at("/prescription/standing/state")).isEqualTo("issued");
  }

  @Test
  void whatIsHandedInLateIsJudgedAsTheSessionStoodThen() {
    String client = scene.ready("Handed In Late");
    String session = scene.session(client);
    Instant begun = scene.begun(session);
    SetClock.letPass(Duration.ofSeconds(900));
    scene.send(session, 1, scene.samples(begun.plusSeconds(500), 100, 115));
    scene.happens(session, SetClock.now(), "ended", "");
    assertThat(server.post(session + "/log", "{\"rpe\":12,\"note\":\"windy\"}").status())
        .isEqualTo(200);
    assertThat(scene.happens(session, begun.plusSeconds(600), "rated", ",\"rpe20\":13").status())
        .isEqualTo(200);
    assertThat(scene.happens(session, SetClock.now(), "rated", ",\"rpe20\":13").status())
        .isEqualTo(400);
    // A stop sign that another device kept for a while suspends all the same; nothing is lost of
    // the log.
    Answer stopped =
        scene.happens(session, begun.plusSeconds(700), "stopped", ",\"sign\":\"chest-pain\"");
    assertThat(stopped.status()).as(stopped.json().toString()).isEqualTo(200);
    assertThat(stopped.at("/log/words")).contains("RPE 12").contains("chest");
    assertThat(server.get(client).at("/prescription/standing/state")).isEqualTo("suspended");
  }

  @Test
  void aLogThatWasMadeByHandIsNotUndoneWithTheStop() {
    String session = scene.session(scene.ready("Logged By Hand"));
    Instant begun = scene.begun(session);
    SetClock.letPass(Duration.ofSeconds(900));
    scene.send(session, 1, scene.samples(begun.plusSeconds(500), 100, 115));
    UUID stop = UUID.randomUUID();
    scene.event(session, stop, SetClock.now(), "stopped", ",\"sign\":\"wish\"");
    server.post(session + "/log", "{}");
    Answer refused =
        scene.happens(session, SetClock.now(), "withdrawn", ",\"of\":\"" + stop + "\"");
    assertThat(refused.at("/errors/0/field")).isEqualTo("of");
  }

  @Test
  void anotherModeNeedsAReserveOfItsOwn() {
    // 144 by the equation at 92, on foot 44 over 100; on the cycle ten less.
    String client = added(server, "Ninety Two", 92, "some", "");
    counted(server, client, 100);
    Answer prescribed = server.post(client + "/prescriptions", PARTS.formatted(40, 50));
    assertThat(prescribed.status()).as(prescribed.json().toString()).isEqualTo(201);
    scene.checkedIn(client, 100);
    Answer refused =
        server.post(
            "/api/live",
            "{\"clientId\":\"%s\",\"source\":\"strap\",\"mode\":\"cycle\"}"
                .formatted(client.substring(client.lastIndexOf('/') + 1)));
    assertThat(refused.status()).as(refused.json().toString()).isEqualTo(422);
    assertThat(codes(refused)).containsExactly("no-span");
    assertThat(scene.opened(client).status()).isEqualTo(201);
  }

  @Test
  void aSessionNobodyEndsClosesItselfAtItsLastSample() {
    String session = scene.session(scene.ready("Left Open"));
    Instant begun = scene.begun(session);
    SetClock.letPass(Duration.ofSeconds(300));
    scene.send(session, 1, scene.samples(begun.plusSeconds(1), 100, 100));
    SetClock.letPass(Duration.ofMinutes(31));
    new RecordLiveEvent(server.bean(Studio.class)).closeLeft(Actor.INSTRUCTOR);
    Answer closed = server.get(session);
    assertThat(closed.at("/state/phase")).isEqualTo("ended");
    assertThat(Instant.parse(closed.at("/state/endedAt")))
        .isCloseTo(begun.plusSeconds(100), within(1, ChronoUnit.SECONDS));
    assertThat(server.get("/api/live").json().toString()).doesNotContain(session.substring(10));
  }

  @Test
  void whoeverLooksIsToldAtOnce() throws Exception {
    String session = scene.session(scene.ready("Looked At"));
    BlockingQueue<String> heard = scene.looking(session.substring("/api/live/".length()));
    assertThat(phase(heard)).isEqualTo("ready");
    scene.begun(session);
    String phase = phase(heard);
    while (!phase.equals("running")) {
      phase = phase(heard);
    }
  }

  private static String phase(BlockingQueue<String> heard) throws InterruptedException {
    String message = heard.poll(20, TimeUnit.SECONDS);
    assertThat(message).isNotNull();
    return TestServer.JSON.readTree(message).at("/state/phase").asString();
  }
}
