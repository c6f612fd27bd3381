package app.korvel.server;

import static app.korvel.server.TestClients.COUNT;
import static app.korvel.server.TestClients.PARTS;
import static app.korvel.server.TestClients.conditions;
import static app.korvel.server.TestClients.details;
import static app.korvel.server.TestClients.intake;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** From adding a client to the card, over HTTP. */
class ClientApiTest {
  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static String added(String name, int age, String activity, String ticks) {
    return TestClients.added(server, name, age, activity, ticks);
  }

  /** What was made for another birth date says so, on the card as well. */
  @Test
  void aCorrectedBirthDateIsSaidOfWhatWasMadeBefore() {
    String client = added("Born Otherwise", 46, "some", "");
    server.post(client + "/readings", COUNT.formatted(32, 30));
    server.post(client + "/prescriptions", PARTS.formatted(40, 60));
    assertThat(server.get(client + "/prescriptions/1/card").json().get("review").isNull()).isTrue();
    server.put(client, "{\"version\":1,\"details\":%s}".formatted(details("Born Otherwise", 46)));
    assertThat(server.get(client + "/prescriptions").json().get("review").isNull()).isTrue();
    server.put(client, "{\"version\":2,\"details\":%s}".formatted(details("Born Otherwise", 45)));
    assertThat(server.get(client + "/prescriptions/1/card").at("/review/code"))
        .isEqualTo("birth-date-corrected");
    assertThat(server.get(client + "/prescriptions").at("/review/code"))
        .isEqualTo("birth-date-corrected");
    assertThat(server.get("/api/today").json().get("due").toString())
        .contains("The birth date was corrected");
    server.post(client + "/prescriptions", PARTS.formatted(40, 60));
    assertThat(server.get(client + "/prescriptions/2/card").json().get("review").isNull()).isTrue();
  }

  @Test
  void whoIsErasedIsGoneAndNobodyElseIs() {
    String client = added("Gone Tomorrow", 46, "some", "");
    String other = added("Here Still", 46, "some", "");
    server.post(client + "/readings", COUNT.formatted(32, 30));
    String asked = "{\"version\":%d,\"name\":\"%s\"}";
    Answer refused = server.post(client + "/erasure", asked.formatted(1, "Gone"));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/accepted")).isEqualTo("Gone Tomorrow");
    assertThat(server.post(client + "/erasure", asked.formatted(9, "Gone Tomorrow")).status())
        .isEqualTo(409);
    assertThat(server.get(client).status()).isEqualTo(200);
    Answer erased = server.post(client + "/erasure", asked.formatted(1, " gone tomorrow"));
    assertThat(erased.status()).isEqualTo(204);
    assertThat(server.get(client).status()).isEqualTo(404);
    assertThat(server.get(client + "/readings").status()).isEqualTo(404);
    assertThat(server.get("/api/clients").json().toString())
        .contains("Here Still")
        .doesNotContain("Gone Tomorrow");
    assertThat(server.get(other).status()).isEqualTo(200);
  }

  @Test
  void aListIsReadShownAndAddedWhole() {
    String text =
        "name;born;sex\\nEelis Tamm;5.3.1990;m\\nWren Adeyemi;5.3.90;f\\n;5.3.1990;\\n"
            + "Eelis Tamm;1990-03-05;m";
    Answer read = server.post("/api/clients/list/read", "{\"text\":\"" + text + "\"}");
    assertThat(read.status()).isEqualTo(200);
    assertThat(read.at("/people/0/birthDate")).isEqualTo("1990-03-05");
    assertThat(read.json().at("/people/0/faults")).isEmpty();
    assertThat(read.at("/people/1/faults/0/message")).isEqualTo("“5.3.90” is no date");
    assertThat(read.at("/people/2/faults/0/field")).isEqualTo("name");
    assertThat(read.json().at("/people/3/already").asBoolean()).isTrue();
    assertThat(server.get("/api/clients?q=Eelis").json().get("clients")).isEmpty();

    String list = "{\"clients\":[%s,%s]}";
    Answer faulty =
        server.post(
            "/api/clients/list", list.formatted(details("Eelis Tamm", 36), details("", 36)));
    assertThat(faulty.status()).isEqualTo(400);
    assertThat(faulty.at("/errors/0/field")).isEqualTo("clients[1].name");
    assertThat(server.get("/api/clients?q=Eelis").json().get("clients")).isEmpty();
    Answer added =
        server.post(
            "/api/clients/list",
            list.formatted(details("Eelis Tamm", 36), details("Wren Adeyemi", 36)));
    assertThat(added.status()).isEqualTo(201);
    assertThat(added.json().get("clients")).hasSize(2);
    assertThat(server.post("/api/clients/list", "{\"clients\":[]}").status()).isEqualTo(400);
  }

  @Test
  void fromACountToTheCard() {
    String client = added("Åsa Prow", 46, "some", "");
    Answer judged = server.post(client + "/readings/judge", COUNT.formatted(32, 30));
    assertThat(judged.json().get("bpm").asInt()).isEqualTo(64);
    assertThat(judged.at("/findings/0/code")).isEqualTo("resting-usual");
    assertThat(server.get(client + "/readings").json().get("readings")).isEmpty();

    assertThat(server.post(client + "/readings", COUNT.formatted(32, 30)).status()).isEqualTo(201);
    Answer record = server.get(client + "/readings");
    assertThat(record.json().at("/working/bpm").asInt()).isEqualTo(64);
    assertThat(record.at("/working/basis/0")).isEqualTo(record.at("/readings/0/id"));
    assertThat(record.at("/working/findings/0/code")).isEqualTo("working-latest-good");

    assertThat(server.get(client + "/maximum").at("/recommended")).isEqualTo("tanaka-208");
    Answer bands = server.get(client + "/bands");
    assertThat(bands.json().at("/zones/maximumBpm").asInt()).isEqualTo(176);
    assertThat(bands.json().at("/ceilingBpm").asInt()).isEqualTo(131);

    Answer start = server.get(client + "/prescriptions/start?goal=endurance");
    assertThat(start.json().at("/parts/lowPercent").asInt()).isEqualTo(45);
    Answer preview = server.post(client + "/prescriptions/preview", PARTS.formatted(40, 60));
    assertThat(preview.json().at("/prescription/target/lowBpm").asInt()).isEqualTo(109);
    assertThat(preview.json().at("/prescription/target/highBpm").asInt()).isEqualTo(131);
    assertThat(server.get(client + "/prescriptions").json().get("versions")).isEmpty();

    Answer saved = server.post(client + "/prescriptions", PARTS.formatted(40, 60));
    assertThat(saved.status()).isEqualTo(201);
    assertThat(saved.json().get("version").asInt()).isEqualTo(1);
    assertThat(saved.at("/prescription/status")).isEqualTo("issued");

    Answer card = server.get(client + "/prescriptions/1/card");
    assertThat(card.at("/clientName")).isEqualTo("Åsa Prow");
    assertThat(card.json().at("/prescription/target/counts/10").toString()).isEqualTo("[18,22]");
    assertThat(card.json().get("stopSigns").size()).isGreaterThan(5);
    assertThat(card.at("/notice")).contains("Not medical advice");

    // A new measurement changes what would be prescribed, never what was.
    server.post(client + "/readings", COUNT.formatted(40, 30));
    assertThat(
            server
                .get(client + "/prescriptions/1/card")
                .json()
                .at("/prescription/target/lowBpm")
                .asInt())
        .isEqualTo(109);
    assertThat(server.get(client + "/prescriptions/9/card").status()).isEqualTo(404);
  }

  @ParameterizedTest
  @CsvSource({
    "heart, 50, clearance-first",
    "failure beta, 66, clearance-first",
    "heart beta, 50, clearance-first",
    "none, 17, consent-first",
  })
  void whatIsNotClearedStaysADraftAndHasNoCard(String ticks, int age, String code) {
    String client = added("Draft " + ticks, age, "some", ticks);
    server.post(client + "/readings", COUNT.formatted(32, 30));
    Answer saved = server.post(client + "/prescriptions", PARTS.formatted(40, 50));
    assertThat(saved.at("/prescription/status")).isEqualTo("draft");
    Answer card = server.get(client + "/prescriptions/1/card");
    assertThat(card.status()).isEqualTo(422);
    assertThat(card.at("/findings/0/code")).isEqualTo(code);
  }

  @Test
  void aHeartConditionToldLaterSuspendsTheCard() {
    String client = added("Later Tick", 46, "some", "");
    server.post(client + "/readings", COUNT.formatted(32, 30));
    server.post(client + "/prescriptions", PARTS.formatted(40, 60));
    assertThat(server.get(client + "/prescriptions/1/card").status()).isEqualTo(200);
    Answer changed =
        server.put(client + "/screening", intake(1, "some", conditions("heart-condition")));
    assertThat(changed.json().get("version").asInt()).isEqualTo(2);
    assertThat(server.get(client + "/prescriptions/1/card").status()).isEqualTo(422);
  }

  @Test
  void withHeartFailureThereIsNoRate() {
    String client = added("No Rate", 61, "none", "failure beta");
    server.post(client + "/readings", COUNT.formatted(36, 30));
    Answer bands = server.get(client + "/bands");
    assertThat(bands.json().get("zones").isNull()).isTrue();
    assertThat(bands.at("/findings/0/code")).isEqualTo("rate-not-used");
    Answer preview = server.post(client + "/prescriptions/preview", PARTS.formatted(30, 40));
    assertThat(preview.json().at("/prescription/target").isNull()).isTrue();
    assertThat(preview.at("/prescription/steering")).isEqualTo("effort-and-talk-only");
  }

  @Test
  void withoutAPulseNothingIsPrescribed() {
    String client = added("No Pulse", 46, "some", "");
    Answer refused = server.post(client + "/prescriptions", PARTS.formatted(40, 60));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.at("/findings/0/code")).isEqualTo("resting-missing");
    assertThat(server.get(client + "/bands").at("/findings/0/code")).isEqualTo("resting-missing");
  }

  @Test
  void vigorousWorkThatIsNotAllowedIsRefusedAtItsField() {
    String client = added("Too Hard", 46, "some", "");
    server.post(client + "/readings", COUNT.formatted(32, 30));
    Answer refused = server.post(client + "/prescriptions/preview", PARTS.formatted(50, 70));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo("highPercent");
    assertThat(refused.at("/errors/0/accepted")).contains("up to 60");
  }

  @Test
  void twoEditorsTheSecondIsToldAndSeesWhatStands() {
    String client = added("Two Editors", 46, "some", "");
    String change = "{\"version\":1,\"details\":" + details("First Editor", 46) + "}";
    assertThat(server.put(client, change).status()).isEqualTo(200);
    Answer second = server.put(client, change.replace("First Editor", "Second Editor"));
    assertThat(second.status()).isEqualTo(409);
    assertThat(second.at("/type")).isEqualTo("urn:korvel:problem:stale");
    assertThat(second.at("/current/name")).isEqualTo("First Editor");
  }

  @Test
  void nothingBadIsStored() {
    int before = server.get("/api/clients").json().get("total").asInt();
    for (String body :
        new String[] {
          details("", 46),
          details("A", 3),
          details("A", 46).replace("not-given", "lots"),
          details("A", 46).replaceAll("\\d{4}-\\d\\d-\\d\\d", "12 May"),
          details("A", 46).replace("\"note\":\"\"", "\"note\":7"),
          details("A", 46).replace(",\"sex\":\"not-given\"", ""),
          details("A", 46).replace("}", ",\"activity\":\"some\"}"),
        }) {
      Answer refused = server.post("/api/clients", body);
      assertThat(refused.status()).isEqualTo(400);
      assertThat(refused.at("/errors/0/field")).isNotBlank();
      assertThat(refused.at("/errors/0/accepted")).isNotBlank();
    }
    assertThat(server.get("/api/clients").json().get("total").asInt()).isEqualTo(before);

    String client = added("No Readings", 46, "some", "");
    for (String body :
        new String[] {
          COUNT.formatted(0, 30),
          COUNT.formatted(100, 30),
          COUNT.formatted(32, 31),
          COUNT.formatted(32, 30).replace("seated", "upside-down"),
          COUNT.formatted(32, 30).replace("\"minutesRested\":5", "\"minutesRested\":61"),
          COUNT.formatted(32, 30).replace("[]", "[\"moon\"]"),
          COUNT.formatted(32, 30).replace("[]", "null"),
          COUNT.formatted(32, 30).replace("count", "strap"),
          "{\"source\":\"strap\",\"bpm\":24,\"posture\":\"lying\",\"minutesRested\":5,\"disturbances\":[]}",
        }) {
      Answer refused = server.post(client + "/readings", body);
      assertThat(refused.status()).as(body).isEqualTo(400);
      assertThat(refused.at("/errors/0/field")).isNotBlank();
    }
    assertThat(server.get(client + "/readings").json().get("readings")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "/api/clients/abc",
    "/api/clients/00000000-0000-7000-8000-000000000000",
    "/api/clients/00000000-0000-7000-8000-000000000000/readings",
    "/api/clients/00000000-0000-7000-8000-000000000000/screening",
    "/api/clients/00000000-0000-7000-8000-000000000000/screening/decision",
    "/api/clients/00000000-0000-7000-8000-000000000000/checkins",
    "/api/clients/00000000-0000-7000-8000-000000000000/maximum",
    "/api/clients/00000000-0000-7000-8000-000000000000/bands",
    "/api/clients/00000000-0000-7000-8000-000000000000/prescriptions",
    "/api/clients/00000000-0000-7000-8000-000000000000/prescriptions/1/card",
  })
  void unknownClientsAreProblems(String path) {
    Answer answer = server.get(path);
    assertThat(answer.status()).isEqualTo(404);
    assertThat(answer.at("/type")).isEqualTo("urn:korvel:problem:not-found");
  }

  @Test
  void unknownWordsInAnAddressAreNamed() {
    String client = added("Words", 46, "some", "");
    Answer mode = server.get(client + "/maximum?mode=fly");
    assertThat(mode.status()).isEqualTo(400);
    assertThat(mode.at("/errors/0/field")).isEqualTo("mode");
    assertThat(mode.at("/errors/0/accepted")).contains("cycle");
    assertThat(server.get(client + "/bands?scheme=nope").at("/errors/0/field")).isEqualTo("scheme");
  }

  @Test
  void theListIsFoundByTyping() {
    added("Zsófia Karn", 33, "some", "");
    assertThat(server.get("/api/clients?q=zsofia").json().get("clients").size()).isEqualTo(1);
    assertThat(server.get("/api/clients?q=kar%20zs").at("/clients/0/name"))
        .isEqualTo("Zsófia Karn");
    assertThat(server.get("/api/clients?q=nobody").json().get("clients")).isEmpty();
  }
}
