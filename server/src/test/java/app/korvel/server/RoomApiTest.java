package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Rooms over HTTP, by a clock that is set. */
class RoomApiTest {
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

  private static String idOf(String client) {
    return client.substring(client.lastIndexOf('/') + 1);
  }

  private static String person(String client, String more) {
    return "{\"clientId\":\"%s\"%s}".formatted(idOf(client), more);
  }

  private static Answer open(String outline, String... people) {
    return server.post(
        "/api/rooms",
        "{\"people\":[%s],\"outline\":%s}"
            .formatted(String.join(",", people), outline == null ? "null" : "\"" + outline + "\""));
  }

  /** A room of so many who are ready, begun. */
  private static Room room(String outline, String... names) {
    Answer opened =
        open(
            outline,
            Stream.of(names).map(name -> person(scene.ready(name), "")).toArray(String[]::new));
    assertThat(opened.status()).as(opened.json().toString()).isEqualTo(201);
    Room room = new Room("/api/rooms/" + opened.at("/sheet/id"), opened.json().at("/sheet/people"));
    assertThat(room.happens("begun", "").status()).isEqualTo(200);
    return room;
  }

  private record Room(String path, JsonNode people) {
    String session(int n) {
      return "/api/live/" + people.at("/" + n + "/session").asString();
    }

    String sessionId(int n) {
      return people.at("/" + n + "/session").asString();
    }

    Answer happens(String kind, String more) {
      return server.put(
          path + "/events/" + UUID.randomUUID(),
          "{\"at\":\"%s\",\"kind\":\"%s\"%s}".formatted(SetClock.now(), kind, more));
    }

    Answer now() {
      return server.get(path);
    }

    JsonNode lane(int n) {
      for (JsonNode lane : now().json().at("/state/lanes")) {
        if (lane.get("session").asString().equals(sessionId(n))) {
          return lane;
        }
      }
      throw new AssertionError("no lane " + n);
    }

    String phase(int n) {
      return lane(n).get("phase").asString();
    }
  }

  private static void pass(int seconds) {
    SetClock.letPass(Duration.ofSeconds(seconds));
  }

  private static Answer happens(String session, String kind, String more) {
    return scene.happens(session, SetClock.now(), kind, more);
  }

  @Test
  void eachHasTheirOwnSessionAndTheRoomOneClock() {
    Room room = room(null, "Own One", "Own Two");
    pass(30);
    Answer now = room.now();
    assertThat(now.json().at("/state/time/second").asInt()).isBetween(29, 32);
    assertThat(now.json().at("/state/time/leg").isNull()).isTrue();
    assertThat(room.phase(0)).isEqualTo("running");
    assertThat(room.happens("paused", "").status()).isEqualTo(200);
    assertThat(room.phase(1)).isEqualTo("paused");
    assertThat(room.happens("resumed", "").status()).isEqualTo(200);
    assertThat(room.phase(1)).isEqualTo("running");
    // There is no step that all do.
    assertThat(room.happens("step-ended", "").status()).isEqualTo(400);
  }

  @Test
  void whoWasPausedBeforeTheRoomStaysPausedAfterIt() {
    Room room = room(null, "Paused First", "Goes On");
    pass(10);
    happens(room.session(0), "paused", "");
    pass(10);
    room.happens("paused", "");
    pass(10);
    room.happens("resumed", "");
    assertThat(room.phase(0)).isEqualTo("paused");
    assertThat(room.phase(1)).isEqualTo("running");
  }

  @Test
  void withOneOutlineTheStepsAreTheRoomsAndNobodyWaits() {
    Room room = room("steady-talk", "Same One", "Same Two");
    JsonNode steps = room.now().json().at("/sheet/steps");
    assertThat(steps.size()).isGreaterThan(2);
    for (JsonNode step : room.now().json().at("/sheet/people/0/steps")) {
      assertThat(step.get("waits").asBoolean()).isFalse();
    }
    assertThat(room.now().json().at("/state/time/leg/row").asInt()).isZero();
    Answer next = room.happens("step-ended", "");
    assertThat(next.json().at("/state/time/leg/row").asInt()).isEqualTo(1);
    assertThat(room.lane(1).at("/leg/row").asInt()).isEqualTo(1);
    // Undone for the room, it is undone for each.
    Answer undone = room.happens("withdrawn", ",\"of\":\"" + next.at("/state/time/undo/of") + "\"");
    assertThat(undone.json().at("/state/time/leg/row").asInt()).isZero();
    assertThat(room.lane(0).at("/leg/row").asInt()).isZero();
  }

  @Test
  void whoJoinsLateHasTheirOwnWarmUpInFull() {
    Room room = room("steady-talk", "Early Bird");
    pass(900);
    Answer joined = server.post(room.path() + "/people", person(scene.ready("Late Riser"), ""));
    assertThat(joined.status()).isEqualTo(201);
    JsonNode early = joined.json().at("/sheet/people/0/steps");
    JsonNode late = joined.json().at("/sheet/people/1/steps");
    assertThat(late.at("/0/seconds").asInt()).isEqualTo(early.at("/0/seconds").asInt());
    int left =
        StreamSupport.stream(late.spliterator(), false)
            .mapToInt(step -> step.get("seconds").asInt())
            .sum();
    int whole =
        StreamSupport.stream(early.spliterator(), false)
            .mapToInt(step -> step.get("seconds").asInt())
            .sum();
    assertThat(left).isBetween(whole - 910, whole - 890);
    assertThat(joined.json().at("/state/lanes/1/phase").asString()).isEqualTo("running");
    // Twice is refused: they are in a session.
    assertThat(
            server
                .post(
                    room.path() + "/people",
                    "{\"clientId\":\"" + joined.at("/sheet/people/1/clientId") + "\"}")
                .status())
        .isEqualTo(422);
  }

  @Test
  void nobodyIsTwiceInARoomNorInTwo() {
    String client = scene.ready("Only Once");
    Answer twice = open(null, person(client, ""), person(client, ""));
    assertThat(twice.status()).isEqualTo(400);
    assertThat(twice.at("/errors/0/field")).isEqualTo("people[1]");
    assertThat(open(null, person(client, "")).status()).isEqualTo(201);
    Answer second = open(null, person(client, ""), person(scene.ready("Not Alone"), ""));
    assertThat(second.status()).isEqualTo(422);
    assertThat(second.at("/findings/0/message")).startsWith("Only Once: ");
    // Nothing of the second room was kept.
    assertThat(scene.opened(scene.ready("Not Alone Again")).status()).isEqualTo(201);
  }

  @Test
  void whoMayNotTrainIsNamedAndNobodyIsOpened() {
    String ready = scene.ready("May Train");
    Answer refused = open(null, person(ready, ""), person(scene.client("Not Checked"), ""));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.at("/findings/0/message")).startsWith("Not Checked: ");
    assertThat(scene.opened(ready).status()).isEqualTo(201);
  }

  @Test
  void aRoomHasOneToSixtyPeople() {
    assertThat(server.post("/api/rooms", "{\"people\":[]}").status()).isEqualTo(400);
    String one = person(scene.ready("Sixty One"), "");
    String many = Stream.generate(() -> one).limit(61).collect(Collectors.joining(","));
    assertThat(server.post("/api/rooms", "{\"people\":[" + many + "]}").at("/errors/0/accepted"))
        .isEqualTo("1 to 60 people");
    assertThat(server.get("/api/rooms/" + UUID.randomUUID()).status()).isEqualTo(404);
    assertThat(server.post("/api/rooms/simulated", "{\"people\":3}").at("/errors/0/accepted"))
        .startsWith("the demo");
  }

  @Test
  void aStrapServesOnePersonAtATime() {
    String first = scene.ready("Strap First");
    String second = scene.ready("Strap Second");
    assertThat(
            open(null, person(first, ",\"strap\":\"A1\""), person(second, ",\"strap\":\"A1\""))
                .at("/errors/0/field"))
        .isEqualTo("people[1].strap");
    Answer opened = open(null, person(first, ",\"strap\":\"A1\""), person(second, ""));
    assertThat(opened.status()).isEqualTo(201);
    Room room = new Room("/api/rooms/" + opened.at("/sheet/id"), opened.json().at("/sheet/people"));
    room.happens("begun", "");
    assertThat(room.lane(0).get("strap").asString()).isEqualTo("A1");
    Answer worn = happens(room.session(1), "strap-given", ",\"strap\":\"A1\"");
    assertThat(worn.status()).isEqualTo(422);
    assertThat(worn.at("/findings/0/message")).contains("Strap First");
    assertThat(happens(room.session(1), "strap-given", ",\"strap\":\"\"").status()).isEqualTo(400);
  }

  @Test
  void aStrapThatAnotherWoreLastOrTwoAtOnceAreUnconfirmedUntilCounted() {
    Room room = room(null, "Doubt One", "Doubt Two");
    happens(room.session(0), "strap-given", ",\"strap\":\"B1\"");
    assertThat(room.lane(0).get("inDoubt").asBoolean()).isFalse();
    pass(60);
    happens(room.session(1), "strap-given", ",\"strap\":\"B2\"");
    // Within two minutes of each other: both.
    assertThat(room.lane(0).get("inDoubt").asBoolean()).isTrue();
    assertThat(room.lane(1).get("inDoubt").asBoolean()).isTrue();
    Instant from = SetClock.now().minusSeconds(19);
    for (int n = 0; n < 2; n++) {
      scene.send(room.session(n), 1, scene.samples(from, 20, 100));
    }
    pass(1);
    // 26 in 15 s are 104: within six.
    happens(room.session(0), "counted", ",\"beats\":26,\"windowSeconds\":15");
    assertThat(room.lane(0).get("inDoubt").asBoolean()).isFalse();
    assertThat(room.lane(1).at("/needs/what").asString()).isEqualTo("in-doubt");
    happens(room.session(0), "ended", "");
    happens(room.session(1), "ended", "");
    pass(300);
    Room next = room(null, "Doubt Three");
    happens(next.session(0), "strap-given", ",\"strap\":\"B1\"");
    assertThat(next.lane(0).get("inDoubt").asBoolean()).isTrue();
    JsonNode known = server.get("/api/rooms/start").json().get("straps");
    assertThat(known.at("/0/strap").asString()).isEqualTo("B1");
    assertThat(known.at("/0/wornBy").asString()).isEqualTo("Doubt Three");
  }

  @Test
  void swappedStrapsAreAskedAboutAndWorkedOutAnewFromTheirMoment() {
    Room room = room(null, "Swap One", "Swap Two");
    Instant begun = SetClock.now();
    pass(120);
    for (int n = 0; n < 2; n++) {
      scene.send(room.session(n), 1, scene.samples(begun.plusSeconds(1), 60, n == 0 ? 100 : 130));
      scene.send(room.session(n), 2, scene.samples(begun.plusSeconds(61), 59, n == 0 ? 130 : 100));
    }
    Answer asked = room.now();
    assertThat(asked.json().at("/state/questions").size()).isEqualTo(1);
    assertThat(asked.at("/state/questions/0/finding/message"))
        .contains("Swap One")
        .contains("Swap Two");
    assertThat(room.lane(0).get("bpm").asInt()).isEqualTo(130);
    String from = asked.at("/state/questions/0/from");
    Answer swapped =
        happens(
            room.session(0),
            "straps-swapped",
            ",\"with\":\"%s\",\"from\":\"%s\"".formatted(room.sessionId(1), from));
    assertThat(swapped.status()).as(swapped.json().toString()).isEqualTo(200);
    assertThat(room.lane(0).get("bpm").asInt()).isEqualTo(100);
    assertThat(room.lane(1).get("bpm").asInt()).isEqualTo(130);
    assertThat(room.now().json().at("/state/questions").size()).isZero();
    // What comes now comes to the one who wears it.
    scene.send(room.session(0), 3, scene.samples(SetClock.now(), 1, 140));
    pass(1);
    assertThat(server.get(room.session(1) + "/summary").json().get("peak").isNull()).isTrue();
    // Undone in one, it is undone in both.
    Answer undone =
        happens(
            room.session(1),
            "withdrawn",
            ",\"of\":\"" + room.lane(1).at("/undo/of").asString() + "\"");
    assertThat(undone.status()).as(undone.json().toString()).isEqualTo(200);
    assertThat(room.lane(0).get("bpm").asInt()).isEqualTo(130);
    assertThat(room.lane(1).get("bpm").asInt()).isEqualTo(100);
    Answer alone =
        happens(room.session(0), "straps-swapped", ",\"with\":\"" + room.sessionId(0) + "\"");
    assertThat(alone.status()).isEqualTo(400);
  }

  @Test
  void whoLeavesEarlyIsDoneAndEndingTheRoomEndsAndLogsTheRest() {
    Room room = room(null, "Leaves Early", "Stays On", "Stops Dizzy");
    pass(700);
    for (int n = 0; n < 3; n++) {
      scene.send(room.session(n), 1, scene.samples(SetClock.now().minusSeconds(100), 100, 112));
    }
    assertThat(happens(room.session(0), "ended", ",\"reason\":\"tired\"").status()).isEqualTo(200);
    assertThat(happens(room.session(2), "stopped", ",\"sign\":\"dizzy\"").status()).isEqualTo(200);
    assertThat(room.lane(2).at("/needs/what").asString()).isEqualTo("stop");
    assertThat(room.lane(2).get("log").isNull()).isFalse();
    UUID end = UUID.randomUUID();
    String ended = "{\"at\":\"%s\",\"kind\":\"ended\"}".formatted(SetClock.now());
    assertThat(server.put(room.path() + "/events/" + end, ended).status()).isEqualTo(200);
    // Sent again, it is entered once.
    assertThat(server.put(room.path() + "/events/" + end, ended).status()).isEqualTo(200);
    assertThat(room.phase(1)).isEqualTo("ended");
    assertThat(room.lane(0).get("endedBecause").asString()).contains("tired");
    assertThat(server.post(room.path() + "/logs", "{}").json().get("logged").asInt()).isEqualTo(2);
    assertThat(server.post(room.path() + "/logs", "{}").json().get("logged").asInt()).isZero();
    for (int n = 0; n < 3; n++) {
      assertThat(room.lane(n).get("log").isNull()).isFalse();
    }
    assertThat(room.happens("paused", "").status()).isEqualTo(400);
  }

  @Test
  void theWallShowsANicknameWithoutARateAndRemembersIt() {
    String client = scene.ready("Wall Flower");
    Answer opened = open(null, person(client, ""));
    String path = "/api/rooms/" + opened.at("/sheet/id");
    String session = opened.at("/sheet/people/0/session");
    Answer shown =
        server.put(
            path + "/people/" + session + "/wall", "{\"nickname\":\" Heron \",\"rate\":false}");
    assertThat(shown.at("/sheet/people/0/nickname")).isEqualTo("Heron");
    assertThat(shown.json().at("/sheet/people/0/wallRate").asBoolean()).isFalse();
    assertThat(
            server
                .put(
                    path + "/people/" + session + "/wall",
                    "{\"nickname\":\"%s\",\"rate\":true}".formatted("x".repeat(25)))
                .status())
        .isEqualTo(400);
    happens("/api/live/" + session, "ended", "");
    Answer next = open(null, person(client, ""));
    assertThat(next.at("/sheet/people/0/nickname")).isEqualTo("Heron");
  }

  @Test
  void recoveriesLieSideBySideAndAreKeptWithTheClient() {
    Room room = room(null, "Falls Fast", "Falls Slow");
    Instant begun = SetClock.now();
    for (int set = 0; set < 4; set++) {
      Instant from = begun.plusSeconds(200L * set);
      pass(60);
      for (int n = 0; n < 2; n++) {
        scene.send(room.session(n), 10L * set, scene.samples(from.plusSeconds(1), 60, 140));
        happens(
            room.session(n),
            "effort-ended",
            ",\"posture\":\"" + (set % 2 == 0 ? "moving" : "lying") + "\"");
      }
      pass(130);
      for (int n = 0; n < 2; n++) {
        int down = (n == 0 ? 30 : 20) + (set % 2 == 0 ? 0 : 10);
        scene.send(
            room.session(n), 10L * set + 1, scene.samples(from.plusSeconds(61), 119, 140 - down));
        happens(room.session(n), "effort-resumed", "");
      }
      pass(10);
    }
    Answer all = server.get(room.path() + "/recovery?first=moving&second=lying");
    assertThat(all.status()).isEqualTo(200);
    assertThat(all.json().get("sets").size()).isEqualTo(8);
    assertThat(all.json().at("/ways/more60").asInt()).isEqualTo(10);
    assertThat(all.json().at("/ways/findings").size()).isZero();
    assertThat(server.get(room.path() + "/recovery?first=moving&second=moving").status())
        .isEqualTo(400);
    Answer one = server.get(room.session(0) + "/recovery");
    assertThat(one.json().get("sets").size()).isEqualTo(4);
    assertThat(one.json().get("ways").isNull()).isTrue();
    String client = "/api/clients/" + room.people().at("/0/clientId").asString();
    Answer kept = server.get(client + "/recoveries");
    assertThat(kept.json().get("trends").size()).isEqualTo(2);
    assertThat(kept.json().at("/trends/0/points").size()).isEqualTo(2);
  }

  @Test
  void whoeverLooksAtTheBoardIsToldOfSamplesAndOfWhoJoins() throws Exception {
    Room room = room(null, "Watched One");
    BlockingQueue<String> heard = scene.looking("room:" + room.path().substring(11));
    assertThat(heard.poll(10, TimeUnit.SECONDS)).contains(room.sessionId(0));
    pass(8);
    scene.send(room.session(0), 1, scene.samples(SetClock.now().minusSeconds(7), 7, 111));
    String told = heard.poll(10, TimeUnit.SECONDS);
    while (told != null && !told.contains("\"bpm\":111")) {
      told = heard.poll(10, TimeUnit.SECONDS);
    }
    assertThat(told).isNotNull().contains("\"queue\"");
  }

  @Test
  void aRestartInTheMiddleLosesNothing() {
    Room room = room(null, "Restarted One", "Restarted Two");
    pass(20);
    scene.send(room.session(0), 1, scene.samples(SetClock.now().minusSeconds(15), 15, 118));
    happens(room.session(1), "rated", ",\"rpe20\":12");
    room.happens("paused", "");
    server.close();
    server = new TestServer(folder, SetClock.class);
    scene = new LiveScene(server);
    assertThat(room.phase(0)).isEqualTo("paused");
    assertThat(room.lane(1).get("rpe20").asInt()).isEqualTo(12);
    assertThat(room.now().json().at("/state/time/paused").asBoolean()).isTrue();
    assertThat(StreamSupport.stream(server.get("/api/rooms").json().spliterator(), false))
        .anyMatch(row -> room.path().endsWith(row.get("id").asString()));
    List<JsonNode> lanes =
        StreamSupport.stream(room.now().json().at("/state/lanes").spliterator(), false).toList();
    assertThat(lanes).hasSize(2);
  }
}
