package app.korvel.server;

import static app.korvel.server.TestClients.conditions;
import static app.korvel.server.TestClients.counted;
import static app.korvel.server.TestClients.screened;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.PulseCount;
import app.korvel.sensor.PracticePulse;
import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The bench, a class counted together, and practice, over HTTP. */
class PulseBenchApiTest {
  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static String added(String name) {
    return screened(server, name, 46, "some", "");
  }

  private static String id(String client) {
    return client.substring(client.lastIndexOf('/') + 1);
  }

  private static String reading(String more) {
    return "{\"posture\":\"seated\",\"minutesRested\":5,\"disturbances\":[],%s}".formatted(more);
  }

  private static String taps(int howMany, int apart) {
    return "\"tapMillis\":["
        + IntStream.range(0, howMany)
            .mapToObj(i -> String.valueOf(i * apart))
            .collect(Collectors.joining(","))
        + "]";
  }

  @Test
  void aPulseTappedAlongIsKeptWithItsLengthAndWhatTheHandNoticed() {
    String client = added("Tapped Along");
    Answer kept =
        server.post(
            client + "/readings",
            reading(
                "\"source\":\"tap\","
                    + taps(41, 900)
                    + ",\"site\":\"carotid\",\"rhythm\":\"steady\",\"strength\":\"weak\""));
    assertThat(kept.status()).isEqualTo(201);
    // 60,000 / 900 = 66.7; 40 intervals last 36 s.
    Answer record = server.get(client + "/readings");
    assertThat(record.json().at("/readings/0/bpm").asInt()).isEqualTo(67);
    assertThat(record.json().at("/readings/0/tappedSeconds").asInt()).isEqualTo(36);
    assertThat(record.at("/readings/0/grade")).isEqualTo("good");
    assertThat(record.at("/readings/0/site")).isEqualTo("carotid");
    assertThat(record.at("/readings/0/strength")).isEqualTo("weak");
    assertThat(record.at("/working/dueOn")).isNotBlank();
    assertThat(record.json().at("/spans")).hasSize(4);
    assertThat(record.json().at("/sites")).hasSize(3);

    // Put right without tapping again: the length stays.
    Answer right =
        server.put(
            client + "/readings/" + record.at("/readings/0/id"),
            reading("\"source\":\"tap\",\"bpm\":66,\"tappedSeconds\":36"));
    assertThat(right.status()).isEqualTo(200);
    assertThat(right.json().get("bpm").asInt()).isEqualTo(66);
  }

  @Test
  void fewTapsAreKeptAsAPoorReading() {
    Answer judged =
        server.post(
            added("Eight Taps") + "/readings/judge", reading("\"source\":\"tap\"," + taps(8, 800)));
    assertThat(judged.at("/grade")).isEqualTo("poor");
    assertThat(judged.at("/departures/0")).isEqualTo("tapped for 5 s, under 30");
  }

  @Test
  void whatDoesNotBelongToTheSourceIsRefusedAtItsField() {
    String client = added("Mixed Up");
    String[][] refused = {
      {"\"source\":\"tap\"", "bpm"},
      {"\"source\":\"tap\",\"bpm\":64", "tappedSeconds"},
      {"\"source\":\"tap\",\"bpm\":64,\"tappedSeconds\":5001", "tappedSeconds"},
      {"\"source\":\"tap\",\"bpm\":64," + taps(9, 800), "bpm"},
      {"\"source\":\"tap\"," + taps(7, 800), "tapMillis"},
      {"\"source\":\"tap\"," + taps(9, 300), "bpm"},
      {"\"source\":\"count\",\"beats\":32,\"windowSeconds\":30," + taps(9, 800), "tapMillis"},
      {"\"source\":\"strap\",\"bpm\":64,\"site\":\"radial\"", "site"},
      {"\"source\":\"strap\",\"beats\":64,\"windowSeconds\":60,\"bpm\":64", "beats"},
      {"\"source\":\"count\",\"beats\":32,\"windowSeconds\":30,\"site\":\"knee\"", "site"},
      {"\"source\":\"count\",\"beats\":32,\"windowSeconds\":20", "windowSeconds"},
    };
    for (String[] each : refused) {
      Answer answer = server.post(client + "/readings", reading(each[0]));
      assertThat(answer.status()).as(each[0]).isEqualTo(400);
      assertThat(answer.at("/errors/0/field")).as(each[0]).isEqualTo(each[1]);
      assertThat(answer.at("/errors/0/accepted")).isNotBlank();
    }
    assertThat(server.get(client + "/readings").json().get("readings")).isEmpty();
  }

  @Test
  void aTouchyNeckIsNotFelt() {
    String client = screened(server, "Touchy Neck", 60, "some", conditions("neck-fainting"));
    assertThat(server.get(client + "/readings").json().at("/sites")).hasSize(2);
    Answer refused =
        server.post(
            client + "/readings",
            reading("\"source\":\"count\",\"beats\":32,\"windowSeconds\":30,\"site\":\"carotid\""));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo("site");
    assertThat(refused.at("/errors/0/accepted")).contains("Wrist");
  }

  @Test
  void anUnevenPulseSaysSoBesideTheRate() {
    Answer judged =
        server.post(
            added("Uneven Beat") + "/readings/judge",
            reading(
                "\"source\":\"count\",\"beats\":32,\"windowSeconds\":30,\"rhythm\":\"uneven\""));
    assertThat(judged.at("/findings/0/code")).isEqualTo("reading-uneven");
    assertThat(judged.at("/departures/0")).contains("full minute");
    Answer known =
        server.post(
            screened(server, "Known Uneven", 60, "some", conditions("irregular-rhythm"))
                + "/readings/judge",
            reading(
                "\"source\":\"count\",\"beats\":64,\"windowSeconds\":60,\"rhythm\":\"uneven\""));
    assertThat(known.json().get("findings")).hasSize(1);
  }

  private static String people(String... clients) {
    return Stream.of(clients)
        .map(client -> "\"" + id(client) + "\"")
        .collect(Collectors.joining(",", "\"people\":[", "]"));
  }

  private static Answer enter(String room, String client, String which, int beats) {
    return server.put(
        room + "/people/" + id(client) + "/" + which, "{\"beats\":%d}".formatted(beats));
  }

  @Test
  void aClassIsCountedMendedAndCheckedIn() {
    String usual = added("Class Usual");
    String odd = added("Class Odd");
    String asked =
        screened(
            server,
            "Class Asked",
            46,
            "some",
            TestClients.medicine("insulin", "insulin glargine", "20 units"));
    String unknown = added("Class Unknown");
    for (String each : new String[] {usual, odd, asked}) {
      counted(server, each, 64);
    }
    Answer begun =
        server.post(
            "/api/class-counts",
            "{\"moment\":\"before\",\"windowSeconds\":15,%s}"
                .formatted(people(usual, odd, asked, unknown)));
    assertThat(begun.status()).as(begun.json().toString()).isEqualTo(201);
    String room = "/api/class-counts/" + begun.at("/id");
    assertThat(begun.at("/people/1/name")).isEqualTo("Class Odd");
    assertThat(begun.json().at("/people/0/usualBpm").asInt()).isEqualTo(64);
    assertThat(begun.json().at("/people/3/usualBpm").isNull()).isTrue();
    assertThat(begun.json().at("/people/0/call").isNull()).isTrue();

    assertThat(enter(room, usual, "count", 16).at("/call/id")).isEqualTo("as-usual");
    assertThat(enter(room, asked, "count", 16).at("/alsoAsked/0")).isEqualTo("glucose");
    assertThat(enter(room, unknown, "count", 17).at("/call/id")).isEqualTo("no-usual-value");
    // Mistyped, mended, and an odd first value that a minute decides.
    assertThat(enter(room, odd, "count", 31).json().at("/first/bpm").asInt()).isEqualTo(124);
    assertThat(enter(room, odd, "count", 19).at("/call/id")).isEqualTo("count-again");
    Answer decided = enter(room, odd, "recount", 71);
    assertThat(decided.at("/call/id")).isEqualTo("light-only");
    assertThat(decided.json().at("/first/beats").asInt()).isEqualTo(19);
    assertThat(decided.json().at("/again/windowSeconds").asInt()).isEqualTo(60);

    Answer again = server.get(room);
    assertThat(again.json().at("/people/1/call/talk").asBoolean()).isTrue();
    assertThat(server.get("/api/class-counts/start").at("/last/id")).isEqualTo(begun.at("/id"));

    // Only those with nothing against them and nothing more to ask are checked in, once.
    Answer made = server.post(room + "/checkins", "");
    assertThat(made.status()).isEqualTo(201);
    assertThat(made.json().get("made")).hasSize(2);
    assertThat(made.at("/made/0/clientId")).isEqualTo(id(usual));
    assertThat(server.get(usual + "/checkins").at("/today/outcome")).isEqualTo("go");
    assertThat(server.get(room).json().at("/people/0/checkedIn").asBoolean()).isTrue();
    assertThat(server.get(room).json().at("/people/0/readyToCheckIn").asBoolean()).isFalse();
    assertThat(server.get(room).json().at("/people/2/checkedIn").asBoolean()).isFalse();
    assertThat(server.get(asked + "/checkins").json().get("today").isNull()).isTrue();
    assertThat(server.post(room + "/checkins", "").json().get("made")).isEmpty();

    assertThat(server.delete(room + "/people/" + id(odd) + "/recount").at("/call/id"))
        .isEqualTo("count-again");
    assertThat(server.delete(room + "/people/" + id(odd) + "/count").json().get("call").isNull())
        .isTrue();
  }

  @Test
  void afterASessionItSaysWhoIsBackAndGoesRoundAgain() {
    String back = added("Back To Rest");
    String not = added("Not Back");
    counted(server, back, 64);
    counted(server, not, 64);
    Answer begun =
        server.post(
            "/api/class-counts",
            "{\"moment\":\"after\",\"windowSeconds\":15,\"minutesAfter\":6,%s}"
                .formatted(people(back, not)));
    String room = "/api/class-counts/" + begun.at("/id");
    // 64 at rest: back is up to 74. 18 in 15 s make 72, 19 make 76.
    assertThat(enter(room, back, "count", 18).at("/call/id")).isEqualTo("back");
    assertThat(enter(room, not, "count", 19).at("/call/id")).isEqualTo("again");
    assertThat(server.post(room + "/checkins", "").status()).isEqualTo(400);

    Answer round =
        server.post(
            "/api/class-counts",
            "{\"moment\":\"after\",\"windowSeconds\":15,\"follows\":\"%s\",%s}"
                .formatted(begun.at("/id"), people(not)));
    assertThat(round.at("/stoppedAt")).isEqualTo(begun.at("/stoppedAt"));

    Answer late =
        server.post(
            "/api/class-counts",
            "{\"moment\":\"after\",\"windowSeconds\":15,\"minutesAfter\":10,%s}"
                .formatted(people(not)));
    assertThat(enter("/api/class-counts/" + late.at("/id"), not, "count", 19).at("/call/id"))
        .isEqualTo("ease-next");
  }

  @Test
  void aClassThatIsNoneIsRefused() {
    String one = added("Only One");
    String archived = added("Gone Away");
    server.put(archived + "/archived", "{\"version\":1,\"archived\":true}");
    String[][] refused = {
      {"\"moment\":\"before\",\"windowSeconds\":15,\"people\":[]", "400", "people"},
      {"\"moment\":\"before\",\"windowSeconds\":15," + people(one, one), "400", "people"},
      {"\"moment\":\"before\",\"windowSeconds\":20," + people(one), "400", "windowSeconds"},
      {"\"moment\":\"during\",\"windowSeconds\":15," + people(one), "400", "moment"},
      {
        "\"moment\":\"before\",\"windowSeconds\":15,\"minutesAfter\":3," + people(one),
        "400",
        "minutesAfter"
      },
      {
        "\"moment\":\"after\",\"windowSeconds\":15,\"minutesAfter\":61," + people(one),
        "400",
        "minutesAfter"
      },
      {
        "\"moment\":\"after\",\"windowSeconds\":15,\"follows\":\"" + id(one) + "\"," + people(one),
        "400",
        "follows"
      },
      {"\"moment\":\"before\",\"windowSeconds\":15,\"people\":[\"x\"]", "400", "people[0]"},
    };
    for (String[] each : refused) {
      Answer answer = server.post("/api/class-counts", "{" + each[0] + "}");
      assertThat(answer.status()).as(each[0] + answer.json()).isEqualTo(400);
      assertThat(answer.at("/errors/0/field")).as(each[0]).isEqualTo(each[2]);
    }
    assertThat(
            server
                .post(
                    "/api/class-counts",
                    "{\"moment\":\"before\",\"windowSeconds\":15,%s}".formatted(people(archived)))
                .status())
        .isEqualTo(422);
    Answer begun =
        server.post(
            "/api/class-counts",
            "{\"moment\":\"before\",\"windowSeconds\":15,%s}".formatted(people(one)));
    String room = "/api/class-counts/" + begun.at("/id");
    assertThat(enter(room, one, "count", 61).at("/errors/0/accepted"))
        .startsWith("5 to 60 whole beats in 15 s");
    assertThat(server.put(room + "/people/" + id(one) + "/count", "{\"beats\":\"x\"}").status())
        .isEqualTo(400);
    assertThat(enter(room, archived, "count", 16).status()).isEqualTo(404);
    assertThat(server.get("/api/class-counts/" + id(one)).status()).isEqualTo(404);
  }

  /** What was counted and tried is there when the server comes back. */
  @Test
  void aClassAndATryOutliveTheServer(@TempDir Path folder) {
    String room;
    String person;
    try (TestServer first = new TestServer(folder)) {
      String client = screened(first, "Still Here", 46, "some", "");
      counted(first, client, 64);
      person = id(client);
      Answer begun =
          first.post(
              "/api/class-counts",
              "{\"moment\":\"before\",\"windowSeconds\":15,%s}".formatted(people(client)));
      room = "/api/class-counts/" + begun.at("/id");
      first.put(room + "/people/" + person + "/count", "{\"beats\":44}");
      first.put(room + "/people/" + person + "/count", "{\"beats\":16}");
      first.post("/api/practice/tries", tried("fast", 5, 15, 38, ""));
    }
    try (TestServer second = new TestServer(folder)) {
      Answer stands = second.get(room);
      assertThat(stands.at("/people/0/id")).isEqualTo(person);
      assertThat(stands.json().at("/people/0/first/bpm").asInt()).isEqualTo(64);
      assertThat(stands.at("/people/0/call/id")).isEqualTo("as-usual");
      assertThat(stands.at("/countedAt")).isNotBlank();
      assertThat(second.get("/api/class-counts/start").at("/last/members/0")).isEqualTo(person);
      assertThat(second.get("/api/practice").json().get("tries")).hasSize(1);
    }
  }

  /**
   * A word of today's check-in stands in the class, until the day's later check-in says otherwise.
   */
  @Test
  void whoWasToldNotTodayIsNotWavedThrough() {
    String client = added("Told Today");
    counted(server, client, 64);
    server.post(client + "/checkins", "{\"pulseBpm\":64,\"told\":[\"fever\"]}");
    Answer begun =
        server.post(
            "/api/class-counts",
            "{\"moment\":\"before\",\"windowSeconds\":15,%s}".formatted(people(client)));
    String room = "/api/class-counts/" + begun.at("/id");
    Answer row = enter(room, client, "count", 16);
    assertThat(row.at("/call/id")).isEqualTo("not-today");
    assertThat(row.at("/call/findings/0/message")).isEqualTo("Checked in today: not today.");
    assertThat(server.post(room + "/checkins", "").json().get("made")).isEmpty();
    server.post(client + "/checkins", "{\"pulseBpm\":64,\"told\":[]}");
    assertThat(server.get(room).at("/people/0/call/id")).isEqualTo("as-usual");
  }

  /** 86 after 68 on the same day is a miscount, or somebody who has not settled. */
  @Test
  void aReadingFarOffThatDaysCountsOnlyWhereSomebodySaysSo() {
    String client = added("Departs");
    counted(server, client, 68);
    String count = TestClients.COUNT.formatted(86, 60);
    Answer judged = server.post(client + "/readings/judge", count);
    assertThat(judged.at("/findings/0/code")).isEqualTo("reading-departs");
    Answer kept = server.post(client + "/readings", count);
    assertThat(kept.at("/findings/0/code")).isEqualTo("reading-departs");
    assertThat(server.get(client + "/readings").json().at("/working/bpm").asInt()).isEqualTo(68);
    assertThat(server.get(client + "/checkins").json().get("usualBpm").asInt()).isEqualTo(68);

    Answer usual =
        server.put(
            client + "/readings/" + kept.at("/id"), count.replace("}", ",\"asUsual\":true}"));
    assertThat(usual.json().get("asUsual").asBoolean()).isTrue();
    assertThat(usual.json().toString()).doesNotContain("reading-departs");
    assertThat(server.get(client + "/readings").json().at("/working/bpm").asInt()).isEqualTo(86);
    // Put right once more: it is not judged against itself.
    assertThat(
            server
                .post(
                    client + "/readings/judge?instead=" + usual.at("/id"),
                    TestClients.COUNT.formatted(70, 60))
                .json()
                .toString())
        .doesNotContain("reading-departs");
  }

  @Test
  void whoIsLeftOutIsNotCheckedInWithTheRoom() {
    String one = added("Left Out");
    String other = added("Not Left Out");
    Answer begun =
        server.post(
            "/api/class-counts",
            "{\"moment\":\"before\",\"windowSeconds\":15,%s}".formatted(people(one, other)));
    String room = "/api/class-counts/" + begun.at("/id");
    for (String each : new String[] {one, other}) {
      counted(server, each, 64);
      enter(room, each, "count", 16);
    }
    assertThat(
            server
                .post(room + "/checkins", "{\"leaveOut\":[\"%s\"]}".formatted(id(added("Nobody"))))
                .at("/errors/0/field"))
        .isEqualTo("leaveOut");
    Answer made = server.post(room + "/checkins", "{\"leaveOut\":[\"%s\"]}".formatted(id(one)));
    assertThat(made.json().get("made")).hasSize(1);
    assertThat(made.at("/made/0/clientId")).isEqualTo(id(other));
  }

  /** What is usual is one value: on Today, in a class and at a check-in. */
  @Test
  void theUsualValueIsTheSameEverywhereAndAnotherPostureIsNoGo() {
    String client = added("Lies Down");
    server.post(
        client + "/readings",
        reading("\"source\":\"strap\",\"bpm\":52").replace("seated", "lying"));
    server.post(client + "/prescriptions", TestClients.PARTS.formatted(40, 60));
    assertThat(server.get(client + "/checkins").json().get("usualBpm").asInt()).isEqualTo(52);
    Answer verdict =
        server.post(client + "/checkins/preview", "{\"pulseBpm\":54,\"recounted\":true}");
    assertThat(verdict.at("/outcome")).isEqualTo("count-again");
    assertThat(verdict.at("/findings/0/code")).isEqualTo("usual-posture-first");
    Answer room =
        server.post(
            "/api/class-counts",
            "{\"moment\":\"before\",\"windowSeconds\":15,%s}".formatted(people(client)));
    assertThat(room.json().at("/people/0/usualBpm").asInt()).isEqualTo(52);
  }

  /** A stale resting value is nothing to come back to, nor to be held against. */
  @Test
  void aChangedMedicineLeavesNothingToHoldACountAgainst() {
    String client = added("Dose Changed");
    counted(server, client, 64);
    server.put(
        client + "/screening",
        TestClients.intake(1, "some", TestClients.medicine("beta-blocker", "metoprolol", "50 mg")));
    for (String moment : new String[] {"before", "after"}) {
      Answer begun =
          server.post(
              "/api/class-counts",
              "{\"moment\":\"%s\",\"windowSeconds\":15,%s}".formatted(moment, people(client)));
      assertThat(begun.json().at("/people/0/usualBpm").isNull()).as(moment).isTrue();
    }
  }

  @Test
  void aPulseIsPlayedCountedAndJudgedFromItsSeed() {
    Answer given =
        server.post("/api/practice/pulses", "{\"level\":\"faint\",\"windowSeconds\":15}");
    long seed = given.json().get("seed").asLong();
    PracticePulse pulse = PracticePulse.of(PracticeLevel.FAINT, CountWindow.S15, seed);
    assertThat(given.json().get("beatMillis")).hasSize(pulse.pulse().millis().length);
    assertThat(given.json().get("loudness")).hasSize(pulse.pulse().millis().length);
    int played = pulse.judge(PulseCount.of(15, CountWindow.S15), Optional.empty()).beatsPlayed();

    Answer tried = server.post("/api/practice/tries", tried("faint", seed, 15, played + 2, ""));
    assertThat(tried.status()).isEqualTo(201);
    assertThat(tried.json().get("beatsPlayed").asInt()).isEqualTo(played);
    assertThat(tried.json().get("right").asBoolean()).isFalse();
    assertThat(tried.at("/findings/0/message")).isEqualTo("2 beats too many.");
    Answer practice = server.get("/api/practice");
    assertThat(practice.json().get("levels")).hasSize(7);
    assertThat(practice.at("/next")).isEqualTo("slow-and-strong");
    assertThat(practice.json().get("tries").size()).isPositive();
  }

  private static String tried(String level, long seed, int window, int beats, String more) {
    return "{\"level\":\"%s\",\"seed\":%d,\"windowSeconds\":%d,\"beats\":%d%s}"
        .formatted(level, seed, window, beats, more);
  }

  @Test
  void aTryThatIsNoneIsRefused() {
    String[][] refused = {
      {tried("fast", 1, 15, 61, ""), "beats"},
      {tried("fast", 1, 14, 30, ""), "windowSeconds"},
      {tried("faster", 1, 15, 30, ""), "level"},
      {tried("even-or-uneven", 1, 60, 70, ""), "rhythm"},
      {tried("even-or-uneven", 1, 60, 70, ",\"rhythm\":\"too-short\""), "rhythm"},
      {"{\"level\":\"fast\",\"windowSeconds\":15,\"beats\":30}", "seed"},
    };
    for (String[] each : refused) {
      Answer answer = server.post("/api/practice/tries", each[0]);
      assertThat(answer.status()).as(each[0]).isEqualTo(400);
      assertThat(answer.at("/errors/0/field")).as(each[0]).isEqualTo(each[1]);
    }
    assertThat(
            server
                .post(
                    "/api/practice/tries",
                    tried("even-or-uneven", 1, 60, 70, ",\"rhythm\":\"steady\""))
                .at("/said"))
        .isEqualTo("steady");
  }
}
