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
            "/maximum/choices",
            "/field-tests",
            "/efforts",
            "/bands",
            "/bands?mode=row",
            "/thresholds",
            "/screening",
            "/screening/decision",
            "/checkins",
            "/prescriptions",
            "/programme",
            "/session-logs",
            "/progress",
            "/prescriptions/start?goal=daily-activity"
          }) {
        assertThat(server.get(client + step).status()).as(client + step).isEqualTo(200);
      }
    }
  }

  /** A device gets values where a rate may be used, and otherwise a reason. */
  @Test
  void aDeviceIsNeverToldMoreThanTheBandsSay() {
    int given = 0;
    for (JsonNode row : server.get("/api/clients").json().get("clients")) {
      String client = "/api/clients/" + row.get("id").asString();
      JsonNode zones = server.get(client + "/bands").json().get("zones");
      Answer sheet = server.get(client + "/device-sheet");
      if (sheet.status() == 422) {
        assertThat(sheet.json().get("findings").size()).as(client).isPositive();
        continue;
      }
      given++;
      assertThat(sheet.at("/maximum/bpm")).isEqualTo(zones.get("maximumBpm").asString());
      JsonNode cap = sheet.json().get("capBpm");
      for (JsonNode band : sheet.json().get("bands")) {
        if (!cap.isNull() && !band.get("highBpm").isNull()) {
          assertThat(band.get("highBpm").asInt()).isLessThanOrEqualTo(cap.asInt());
        }
      }
      JsonNode alarm = sheet.json().get("alarm");
      if (!cap.isNull() && !alarm.isNull()) {
        assertThat(alarm.get(1).asInt()).isLessThanOrEqualTo(cap.asInt());
      }
    }
    assertThat(given).isGreaterThan(8);
  }

  @Test
  void theCrewShowsEveryKindOfMaximum() {
    Set<String> states = new HashSet<>();
    Set<String> origins = new HashSet<>();
    Set<String> said = new HashSet<>();
    for (JsonNode row : server.get("/api/clients").json().get("clients")) {
      for (String mode : new String[] {"run", "cycle", "row", "stairs"}) {
        JsonNode sheet =
            server.get("/api/clients/" + row.get("id").asString() + "/maximum?mode=" + mode).json();
        sheet.get("measured").forEach(value -> states.add(value.get("state").asString()));
        origins.add(sheet.at("/working/origin").asString());
        sheet.get("findings").forEach(finding -> said.add(finding.get("code").asString()));
      }
    }
    assertThat(states).contains("working", "proposal", "not-reached", "stale");
    assertThat(origins).contains("measured", "borrowed", "estimated", "chosen");
    assertThat(said)
        .contains(
            "maximum-measured",
            "maximum-due",
            "maximum-proposed",
            "maximum-stale",
            "fox-high-under-40",
            "fox-low-from-40",
            "no-default-heart-failure");
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
            "Heart condition: RPE 14 at most, supervised",
            "Rate-lowering medication: RPE and talk first",
            "Rate-raising medication: resting reads high",
            "Nitrate: carried, and known how to use",
            "Insulin or secretagogue: glucose first",
            "Irregular rhythm or pacemaker: no rate",
            "Lungs: breath before the rate",
            "High blood pressure: no straining",
            "Pregnant: talk and RPE first",
            "Falls: no steps or stairs",
            "Under 18: no maximum test",
            "65 and over: longer warm-up",
            "New to exercise: talk first",
            "screening blocked clearance first",
            "screening blocked clearance lapsed",
            "screening blocked consent missing",
            "screening due not asked yet",
            "screening due due again",
            "screening due clearance lapsing",
            "screening done vigorous too",
            "screening done light to moderate",
            "pulse due out of date: medication changed",
            "prescription blocked suspended, vn",
            "prescription due rates suspended, vn",
            "pulse due none counted yet",
            "pulse due due again",
            "pulse due n, ask a doctor",
            "maximum blocked cardiac team",
            "bands blocked RPE and talk",
            "maximum done n, measured",
            "maximum done about n, your choice",
            "prescription due new values, vn",
            "prescription done version n",
            "sessions later prescription first",
            "sessions due no programme");
    assertThat(cases).anyMatch(each -> each.startsWith("sessions done until"));
  }

  /** Whoever may be planned for can be, as proposed, and nothing of it breaks a rule. */
  @Test
  void aProgrammeCanBeLaidOutForEveryoneWhoHasAPrescriptionThatHolds() {
    int laidOut = 0;
    int rest = 0;
    for (JsonNode row : server.get("/api/clients").json().get("clients")) {
      String path = "/api/clients/" + row.get("id").asString() + "/programme";
      JsonNode sheet = server.get(path).json();
      JsonNode plan = sheet.get("proposal");
      if (plan.isNull()) {
        assertThat(sheet.get("why").size()).as(path).isPositive();
        rest++;
        continue;
      }
      Answer answer =
          server.post(
              path + "/preview",
              "{\"startsOn\":%s,\"endsOn\":%s,\"weekdays\":%s,\"goalMinutes\":%s,\"goalDays\":%s}"
                  .formatted(
                      plan.get("startsOn"),
                      plan.get("endsOn"),
                      plan.get("weekdays"),
                      plan.get("goalMinutes"),
                      plan.get("goalDays")));
      assertThat(answer.status()).as(path + " " + answer.json()).isEqualTo(200);
      JsonNode made = answer.json();
      for (JsonNode week : made.get("weeks")) {
        assertThat(week.get("findings")).as(path).isEmpty();
        if (!week.get("limitMinutes").isNull()) {
          assertThat(week.get("minutes").asInt())
              .isLessThanOrEqualTo(week.get("limitMinutes").asInt());
        }
      }
      JsonNode cap = server.get("/api/clients/" + row.get("id").asString()).json().get("capBpm");
      for (JsonNode outline : made.get("outlines")) {
        assertThat(outline.get("broken")).as(path).isEmpty();
        for (JsonNode block : outline.get("blocks")) {
          for (JsonNode step : block.get("steps")) {
            JsonNode high = step.at("/aim/highBpm");
            if (!cap.isNull() && high.isNumber()) {
              assertThat(high.asInt()).isLessThanOrEqualTo(cap.asInt());
            }
          }
        }
      }
      laidOut++;
    }
    assertThat(laidOut).isGreaterThan(6);
    assertThat(rest).isGreaterThan(3);
  }

  @Test
  void issuedOnesHaveACardAndSuspendedOnesNone() {
    int cards = 0;
    int suspended = 0;
    for (JsonNode row : server.get("/api/clients").json().get("clients")) {
      String prescriptions = "/api/clients/" + row.get("id").asString() + "/prescriptions";
      for (JsonNode saved : server.get(prescriptions).json().get("versions")) {
        Answer card = server.get(prescriptions + "/" + saved.get("version").asInt() + "/card");
        String state = saved.at("/standing/state").asString();
        boolean holds = state.equals("issued") || state.equals("rate-suspended");
        assertThat(card.status()).isEqualTo(holds ? 200 : 422);
        if (state.equals("rate-suspended")) {
          assertThat(card.json().at("/prescription/target").isNull()).isTrue();
        }
        cards += holds ? 1 : 0;
        suspended += holds ? 0 : 1;
      }
    }
    assertThat(cards).isGreaterThan(4);
    assertThat(suspended).isPositive();
  }
}
