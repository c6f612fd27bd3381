package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Every page of every demo client has an answer, and the crew shows every case of the slice. */
class EveryDemoClientTest {
  private static TestServer server;

  @BeforeAll
  static void start() {
    server = TestServer.demo();
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  @Test
  void everyStepOfEveryoneAnswers() {
    for (JsonNode row : server.get("/api/clients").json().get("clients")) {
      String client = "/api/clients/" + row.get("id").asString();
      for (String step :
          new String[] {
            "",
            "/readings",
            "/maximum",
            "/maximum?mode=cycle",
            "/bands",
            "/prescriptions",
            "/prescriptions/start?goal=daily-activity"
          }) {
        assertThat(server.get(client + step).status()).as(client + step).isEqualTo(200);
      }
    }
  }

  @Test
  void theCrewShowsEveryCase() {
    Set<String> cases = new HashSet<>();
    for (JsonNode row : server.get("/api/clients").json().get("clients")) {
      row.get("watch").forEach(watch -> cases.add(watch.get("words").asString()));
      row.get("steps")
          .forEach(
              step ->
                  cases.add(
                      step.get("step").asString()
                          + " "
                          + step.get("state").asString()
                          + " "
                          + step.get("detail").asString().replaceAll("\\d+", "n")));
    }
    assertThat(cases)
        .contains(
            "Heart failure: no rate targets",
            "Heart condition: clearance first",
            "Beta-blocker: effort and talk first",
            "Under 18: no maximum test",
            "65 and over: longer warm-up",
            "New to exercise: talk first",
            "screening blocked clearance first",
            "screening blocked consent missing",
            "pulse due none counted yet",
            "pulse due due again",
            "pulse due n, ask a doctor",
            "maximum blocked cardiac team",
            "prescription done version n",
            "prescription due draft n");
  }

  @Test
  void issuedOnesHaveACardAndDraftsHaveNone() {
    int cards = 0;
    int drafts = 0;
    for (JsonNode row : server.get("/api/clients").json().get("clients")) {
      String prescriptions = "/api/clients/" + row.get("id").asString() + "/prescriptions";
      for (JsonNode saved : server.get(prescriptions).json().get("versions")) {
        Answer card = server.get(prescriptions + "/" + saved.get("version").asInt() + "/card");
        boolean issued = saved.at("/prescription/status").asString().equals("issued");
        assertThat(card.status()).isEqualTo(issued ? 200 : 422);
        cards += issued ? 1 : 0;
        drafts += issued ? 0 : 1;
      }
    }
    assertThat(cards).isGreaterThan(4);
    assertThat(drafts).isPositive();
  }
}
