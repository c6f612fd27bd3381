package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Records that change their mind: readings corrected, equations picked, clients archived. */
class RecordsTest {
  private static final String COUNT =
      "{\"source\":\"count\",\"beats\":%d,\"windowSeconds\":60,\"posture\":\"seated\","
          + "\"minutesRested\":5,\"disturbances\":[]}";
  private static final String PARTS =
      "{\"goal\":\"general-fitness\",\"approach\":\"guideline\",\"lowPercent\":40,"
          + "\"highPercent\":60,\"minutes\":30,\"days\":3,\"type\":\"steady\",\"mode\":\"run\"}";

  private static TestServer server;

  private String client;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  @BeforeEach
  void addAClient() {
    client = TestClients.added(server, "Åsa Prow", 45, "some", "");
  }

  private String kept(int beats) {
    return client
        + "/readings/"
        + server.post(client + "/readings", COUNT.formatted(beats)).at("/id");
  }

  private int working() {
    return server.get(client + "/readings").json().at("/working/bpm").asInt();
  }

  @Test
  void aReadingIsPutRightAndTheTrailIsKept() {
    String wrong = kept(94);
    String takenAt = server.get(client + "/readings").at("/readings/0/takenAt");
    Answer right = server.put(wrong, COUNT.formatted(64));
    assertThat(right.status()).isEqualTo(200);
    Answer record = server.get(client + "/readings");
    assertThat(record.json().get("readings").size()).isEqualTo(1);
    assertThat(record.at("/readings/0/takenAt")).isEqualTo(takenAt);
    assertThat(record.json().at("/readings/0/ratesBefore").toString()).isEqualTo("[94]");
    assertThat(record.json().at("/working/bpm").asInt()).isEqualTo(64);
    assertThat(record.at("/working/longHand/1/sum")).isEqualTo("√(3² + 0.5²)");

    // The second to mend it is told; nothing is written.
    Answer second = server.put(wrong, COUNT.formatted(70));
    assertThat(second.status()).isEqualTo(409);
    assertThat(second.at("/detail")).contains("Nothing was written");
    assertThat(working()).isEqualTo(64);

    // Undone, it says again what it said.
    assertThat(server.post(client + "/readings/" + right.at("/id") + "/undo", "{}").status())
        .isEqualTo(200);
    assertThat(working()).isEqualTo(94);
  }

  @Test
  void aReadingIsTakenBackAndStandsAgain() {
    String reading = kept(64);
    Answer back = server.delete(reading);
    assertThat(back.status()).isEqualTo(200);
    assertThat(server.get(client + "/readings").json().get("readings")).isEmpty();
    assertThat(server.delete(reading).status()).isEqualTo(409);
    server.post(client + "/readings/" + back.at("/id") + "/undo", "{}");
    assertThat(working()).isEqualTo(64);
  }

  @Test
  void badCorrectionsLoseNothing() {
    String reading = kept(64);
    assertThat(server.put(reading, COUNT.formatted(300)).at("/errors/0/field")).isEqualTo("beats");
    String unknown = client + "/readings/00000000-0000-7000-8000-000000000000";
    assertThat(server.put(unknown, COUNT.formatted(64)).status()).isEqualTo(404);
    assertThat(server.delete(unknown).status()).isEqualTo(404);
    assertThat(server.post(unknown + "/undo", "{}").status()).isEqualTo(404);
    assertThat(server.delete(reading.replace("/readings/", "/nothing/")).status()).isEqualTo(404);
    assertThat(working()).isEqualTo(64);
  }

  /** Undone, what was just kept is withdrawn; undone again, it stands as it was. */
  @Test
  void whatWasKeptIsUndoneAndThatToo() {
    Answer undone = server.post(kept(64) + "/undo", "{}");
    assertThat(undone.status()).isEqualTo(200);
    assertThat(server.get(client + "/readings").json().get("readings")).isEmpty();
    server.post(client + "/readings/" + undone.at("/id") + "/undo", "{}");
    assertThat(working()).isEqualTo(64);
  }

  @Test
  void anotherEquationIsPickedWithItsReasonAndEverythingStartsFromIt() {
    kept(64);
    Answer picked =
        server.put(
            client + "/maximum/choice", "{\"method\":\"nes-211\",\"reason\":\"reached 180\"}");
    assertThat(picked.at("/inUse")).isEqualTo("nes-211");
    assertThat(picked.at("/recommended")).isEqualTo("tanaka-208");
    assertThat(picked.at("/findings/0/because")).contains("reached 180");
    assertThat(server.get(client + "/bands").json().at("/zones/maximumBpm").asInt()).isEqualTo(182);
    assertThat(server.get(client).at("/maximum/method")).isEqualTo("nes-211");
    Answer made = server.post(client + "/prescriptions", PARTS);
    assertThat(made.at("/prescription/basis/maximumMethod")).isEqualTo("nes-211");

    // A medicine sets the choice aside, and says so; stopping it brings the choice back.
    server.put(
        client + "/screening",
        TestClients.intake(1, "some", TestClients.medicine("beta-blocker", "", "")));
    Answer aside = server.get(client + "/maximum");
    assertThat(aside.at("/inUse")).isEqualTo("beta-minus-30");
    assertThat(aside.at("/findings/0/code")).isEqualTo("maximum-choice-set-aside");
    server.put(client + "/screening", TestClients.intake(2, "some", ""));
    assertThat(server.get(client + "/maximum").at("/inUse")).isEqualTo("nes-211");

    Answer back = server.delete(client + "/maximum/choice");
    assertThat(back.at("/inUse")).isEqualTo("tanaka-208");
    server.delete(client + "/maximum/choice");
    Answer history = server.get(client + "/maximum/choices");
    assertThat(history.json().get("choices").size()).isEqualTo(2);
    assertThat(history.json().at("/choices/0/method").isNull()).isTrue();
    assertThat(history.at("/choices/1/reason")).isEqualTo("reached 180");
  }

  @ParameterizedTest
  @CsvSource({
    "gulati-206, because, method",
    "no-such, because, method",
    "nes-211, '', reason",
    "nes-211, ab, reason",
  })
  void whatCannotBePickedSaysWhy(String method, String reason, String field) {
    Answer refused =
        server.put(
            client + "/maximum/choice",
            "{\"method\":\"" + method + "\",\"reason\":\"" + reason + "\"}");
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo(field);
    assertThat(server.get(client + "/maximum").json().get("chosen").asBoolean()).isFalse();
  }

  @Test
  void anArchivedClientIsReadAndNothingIsAdded() {
    String reading = kept(64);
    Answer away = server.put(client + "/archived", "{\"version\":1,\"archived\":true}");
    assertThat(away.json().get("archived").asBoolean()).isTrue();
    String id = away.at("/id");
    assertThat(server.get("/api/clients").json().get("clients").toString()).doesNotContain(id);
    Answer put = server.get("/api/clients?archived=true");
    assertThat(put.json().get("clients").toString()).contains(id);
    assertThat(put.json().get("archivedTotal").asInt()).isPositive();
    assertThat(server.get(client + "/bands").status()).isEqualTo(200);

    for (Answer refused :
        new Answer[] {
          server.post(client + "/readings", COUNT.formatted(64)),
          server.put(reading, COUNT.formatted(64)),
          server.delete(reading),
          server.post(client + "/prescriptions", PARTS),
          server.put(client + "/maximum/choice", "{\"method\":\"nes-211\",\"reason\":\"why not\"}"),
          server.delete(client + "/maximum/choice"),
          server.put(
              client, "{\"version\":2,\"details\":" + TestClients.details("Åsa Prow", 45) + "}"),
        }) {
      assertThat(refused.status()).isEqualTo(422);
      assertThat(refused.at("/findings/0/code")).isEqualTo("client-archived");
    }

    // Somebody who still sees the old version is told.
    Answer stale = server.put(client + "/archived", "{\"version\":1,\"archived\":false}");
    assertThat(stale.status()).isEqualTo(409);
    assertThat(stale.json().at("/current/archived").asBoolean()).isTrue();
    assertThat(server.put(client + "/archived", "{\"version\":2,\"archived\":false}").status())
        .isEqualTo(200);
    assertThat(server.post(client + "/readings", COUNT.formatted(64)).status()).isEqualTo(201);
  }
}
