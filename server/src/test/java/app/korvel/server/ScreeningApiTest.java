package app.korvel.server;

import static app.korvel.server.TestClients.PARTS;
import static app.korvel.server.TestClients.conditions;
import static app.korvel.server.TestClients.counted;
import static app.korvel.server.TestClients.details;
import static app.korvel.server.TestClients.intake;
import static app.korvel.server.TestClients.medicine;
import static app.korvel.server.TestClients.screened;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Screening and check-in over HTTP: intake, decision, clearances, what follows from them. */
class ScreeningApiTest {
  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static List<String> codes(JsonNode findings) {
    List<String> codes = new ArrayList<>();
    findings.forEach(finding -> codes.add(finding.get("code").asString()));
    return codes;
  }

  private static String clearance(String allows, int issuedDaysAgo, int untilInDays) {
    LocalDate today = LocalDate.now();
    return "{\"issuer\":\"Dr Test\",\"issuedOn\":\"%s\",\"allows\":\"%s\",\"until\":\"%s\"}"
        .formatted(today.minusDays(issuedDaysAgo), allows, today.plusDays(untilInDays));
  }

  @ParameterizedTest
  @CsvSource({
    "none, false, false, light-to-moderate, none",
    "regular, false, false, vigorous, none",
    "some, true, false, nothing, before-start",
    "high, true, false, moderate, before-vigorous",
    "little, false, true, nothing, before-start",
    "regular, true, true, nothing, before-start",
  })
  void theCalculatorDecidesByTheTable(
      String activity, boolean disease, boolean symptoms, String allows, String clearance) {
    Answer answer =
        server.post(
            "/api/calculator/screening",
            "{\"activity\":\"%s\",\"knownDisease\":%b,\"symptoms\":%b}"
                .formatted(activity, disease, symptoms));
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.at("/decision")).endsWith(".");
    assertThat(answer.at("/allows")).isEqualTo(allows);
    assertThat(answer.at("/clearanceNeeded")).isEqualTo(clearance);
    assertThat(answer.json().get("findings")).isNotEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{}",
        "{\"activity\":\"lots\",\"knownDisease\":false,\"symptoms\":false}",
        "{\"activity\":\"none\",\"knownDisease\":null,\"symptoms\":false}",
        "{\"activity\":\"none\",\"knownDisease\":\"no\",\"symptoms\":false}",
        "{\"activity\":\"none\",\"knownDisease\":false}",
      })
  void theCalculatorRefusesWhatItDoesNotKnow(String body) {
    Answer refused = server.post("/api/calculator/screening", body);
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/accepted")).isNotBlank();
  }

  @Test
  void theCheckInOfTheIssueIsNotTodayAndMayBeOverridden() {
    Answer answer =
        server.post(
            "/api/calculator/checkin",
            """
            {"age":45,"usualBpm":64,"pulseBpm":75,"recounted":true,"systolic":120,"diastolic":80,
             "symptoms":[],"fever":false,"rhythm":"steady"}
            """);
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.at("/outcome")).isEqualTo("not-today");
    assertThat(answer.json().get("mayOverride").asBoolean()).isTrue();
    assertThat(answer.at("/findings/0/message"))
        .isEqualTo("Not today: 75 is 11 bpm over the usual 64.");
  }

  @ParameterizedTest
  @CsvSource({
    "68, go, false",
    "69, light-only, true",
    "73, light-only, true",
    "74, not-today, true",
    "101, not-today, false",
    "39, not-today, false",
  })
  void ageAndPulseAreEnough(int bpm, String outcome, boolean mayOverride) {
    Answer answer =
        server.post(
            "/api/calculator/checkin",
            "{\"age\":45,\"usualBpm\":64,\"recounted\":true,\"pulseBpm\":%d}".formatted(bpm));
    assertThat(answer.at("/outcome")).isEqualTo(outcome);
    assertThat(answer.json().get("mayOverride").asBoolean()).isEqualTo(mayOverride);
    assertThat(
            server.post("/api/calculator/checkin", "{\"age\":45,\"pulseBpm\":70}").at("/outcome"))
        .isEqualTo("go");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"pulseBpm\":19 | pulseBpm",
        "\"pulseBpm\":64,\"systolic\":80,\"diastolic\":80 | systolic",
        "\"pulseBpm\":64,\"systolic\":120 | diastolic",
        "\"pulseBpm\":64,\"systolic\":301,\"diastolic\":80 | systolic",
        "\"pulseBpm\":64,\"systolic\":120,\"diastolic\":29 | diastolic",
        "\"pulseBpm\":64,\"glucose\":0.9,\"glucoseUnit\":\"mmol-l\" | glucose",
        "\"pulseBpm\":64,\"glucose\":631,\"glucoseUnit\":\"mg-dl\" | glucose",
        "\"pulseBpm\":64,\"glucose\":6 | glucoseUnit",
        "\"pulseBpm\":64,\"symptoms\":[\"moon\"] | symptoms[0]",
        "\"pulseBpm\":64,\"symptoms\":[null] | symptoms[0]",
        "\"pulseBpm\":64,\"rhythm\":\"jazz\" | rhythm",
        "\"usualBpm\":64 | pulseBpm",
      })
  void impossibleFindingsAreRefusedAtTheirField(String fields, String field) {
    Answer refused = server.post("/api/calculator/checkin", "{\"age\":45," + fields + "}");
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo(field);
    assertThat(refused.at("/errors/0/accepted")).isNotBlank();
  }

  @Test
  void anIntakeIsSavedAsItGoesAndEveryVersionIsKept() {
    String client =
        "/api/clients/" + server.post("/api/clients", details("As It Goes", 50)).at("/id");
    Answer none = server.get(client + "/screening");
    assertThat(none.json().get("version").asInt()).isZero();
    assertThat(codes(none.json().at("/decision/findings"))).contains("screening-unfinished");

    Answer first =
        server.put(client + "/screening", intake(0, "some", ",\"asked\":[\"activity\"]"));
    assertThat(first.json().get("version").asInt()).isEqualTo(1);
    assertThat(first.json().at("/decision/mayIssue").asBoolean()).isFalse();
    // The same again is no new version.
    assertThat(
            server
                .put(client + "/screening", intake(1, "some", ",\"asked\":[\"activity\"]"))
                .json()
                .get("version")
                .asInt())
        .isEqualTo(1);
    Answer whole = server.put(client + "/screening", intake(1, "regular", ""));
    assertThat(whole.json().at("/decision/mayIssue").asBoolean()).isTrue();
    assertThat(whole.at("/decision/allows")).isEqualTo("vigorous");
    assertThat(whole.json().get("versions").size()).isEqualTo(2);

    Answer stale = server.put(client + "/screening", intake(1, "none", ""));
    assertThat(stale.status()).isEqualTo(409);
    assertThat(stale.at("/type")).isEqualTo("urn:korvel:problem:stale");
    assertThat(server.get(client + "/screening").at("/answers/activity")).isEqualTo("regular");
  }

  @Test
  void aLapsedClearanceSuspendsWhatWasIssuedAndARenewedOneLifts() {
    String client = screened(server, "Lapsed", 57, "little", conditions("heart-condition"));
    counted(server, client, 64);
    Answer given = server.post(client + "/clearances", clearance("light-to-moderate", 300, 10));
    assertThat(given.status()).isEqualTo(201);
    assertThat(server.get(client + "/screening/decision").at("/findings/1/code"))
        .isEqualTo("clearance-lapsing");
    assertThat(
            server.post(client + "/prescriptions", PARTS.formatted(40, 50)).at("/standing/state"))
        .isEqualTo("issued");
    // What was recorded by mistake is withdrawn; another one has lapsed already.
    String id = given.at("/id");
    Answer takenBack = server.delete(client + "/clearances/" + id);
    assertThat(takenBack.status()).isEqualTo(200);
    assertThat(server.delete(client + "/clearances/" + id).status()).isEqualTo(409);
    // Undone, it stands as it was; withdrawn for good, it is gone.
    String undone =
        server.post(client + "/clearances/" + takenBack.at("/id") + "/undo", "").at("/id");
    assertThat(server.get(client + "/screening").json().get("clearances")).hasSize(1);
    assertThat(server.get(client).at("/prescription/standing/state")).isEqualTo("issued");
    server.delete(client + "/clearances/" + undone);
    server.post(client + "/clearances", clearance("light-to-moderate", 300, -1));

    Answer decision = server.get(client + "/screening/decision");
    assertThat(decision.at("/findings/0/code")).isEqualTo("clearance-lapsed");
    assertThat(decision.at("/allows")).isEqualTo("nothing");
    Answer list = server.get(client + "/prescriptions");
    assertThat(list.at("/versions/0/standing/state")).isEqualTo("suspended");
    Answer card = server.get(client + "/prescriptions/1/card");
    assertThat(card.status()).isEqualTo(422);
    assertThat(card.at("/findings/0/code")).isEqualTo("clearance-lapsed");
    // Measuring and computing go on.
    counted(server, client, 66);
    assertThat(server.get(client + "/bands").json().get("zones").isNull()).isFalse();
    assertThat(
            server
                .post(client + "/prescriptions/preview", PARTS.formatted(40, 50))
                .at("/prescription/status"))
        .isEqualTo("draft");

    server.post(client + "/clearances", clearance("light-to-moderate", 0, 365));
    assertThat(server.get(client + "/prescriptions/1/card").status()).isEqualTo(200);
    assertThat(server.get(client).at("/steps/4/detail")).isEqualTo("version 1");
  }

  @Test
  void aChangeOfMedicineSuspendsRatesEverywhereUntilCountedAgain() {
    String client =
        screened(server, "New Dose", 46, "some", medicine("beta-blocker", "bisoprolol", "2.5 mg"));
    counted(server, client, 60);
    server.post(client + "/prescriptions", PARTS.formatted(40, 60));
    assertThat(server.get(client + "/prescriptions/1/card").json().at("/prescription/target"))
        .isNotEmpty();

    // Another dose said on the same day would put the first right; with a day it is a change.
    server.put(
        client + "/screening",
        intake(
            1,
            "some",
            medicine("beta-blocker", "bisoprolol", "5 mg")
                .replace("}]", ",\"since\":\"" + LocalDate.now() + "\"}]")));

    assertThat(server.get(client + "/readings").json().at("/working/stale").asBoolean()).isTrue();
    assertThat(server.get(client + "/bands").at("/findings/0/code")).isEqualTo("rate-not-used");
    Answer card = server.get(client + "/prescriptions/1/card");
    assertThat(card.status()).isEqualTo(200);
    assertThat(card.json().at("/prescription/target").isNull()).isTrue();
    assertThat(card.json().at("/prescription/rpe20").toString()).isEqualTo("[12,13]");
    assertThat(card.at("/ratesSuspended/0/code")).isEqualTo("rate-suspended-medicine");
    Answer overview = server.get(client);
    assertThat(overview.at("/steps/1/detail")).isEqualTo("out of date: medication changed");
    assertThat(overview.at("/steps/2/detail")).isEqualTo("out of date: medication changed");
    assertThat(overview.at("/steps/4/detail")).isEqualTo("rates suspended, v1");
    JsonNode due = server.get("/api/today").json().get("due");
    assertThat(due.toString()).contains("New Dose");

    counted(server, client, 56);
    assertThat(server.get(client + "/bands").json().get("zones").isNull()).isFalse();
    server.post(client + "/prescriptions", PARTS.formatted(40, 60));
    assertThat(
            server.get(client + "/prescriptions/2/card").json().at("/prescription/target").isNull())
        .isFalse();
  }

  @Test
  void aCapReachesBandsPrescriptionAndCardWithItsCountsRoundedDown() {
    String limits =
        ",\"limits\":[{\"kind\":\"cap\",\"value\":118,\"issuer\":\"Dr Test\",\"issuedOn\":\"%s\"}]"
            .formatted(LocalDate.now());
    String client = screened(server, "Capped", 46, "some", limits);
    counted(server, client, 64);
    assertThat(server.get(client + "/bands").json().at("/zones/capBpm").asInt()).isEqualTo(118);
    server.post(client + "/prescriptions", PARTS.formatted(40, 60));
    Answer card = server.get(client + "/prescriptions/1/card");
    assertThat(card.json().at("/prescription/target/highBpm").asInt()).isEqualTo(118);
    assertThat(card.json().at("/prescription/target/capped").asBoolean()).isTrue();
    assertThat(card.json().at("/prescription/target/counts/15").toString()).isEqualTo("[27,29]");
    assertThat(card.at("/prescription/cap/because")).startsWith("Highest rate 118, Dr Test");

    // A cap under the resting rate is refused at its field, and nothing is lost.
    Answer refused =
        server.put(client + "/screening", intake(1, "some", limits.replace("118", "63")));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo("limits[0].value");
    assertThat(refused.at("/errors/0/accepted")).isEqualTo("65 to 230 bpm");
    assertThat(server.get(client + "/screening").json().get("version").asInt()).isEqualTo(1);
  }

  @Test
  void badIntakesAndClearancesAreRefusedAtTheirFields() {
    String client = screened(server, "Refused", 46, "some", "");
    String tomorrow = LocalDate.now().plusDays(2).toString();
    for (String[] bad :
        new String[][] {
          {",\"medicines\":[{\"name\":\"x\"}]", "medicines[0].medicineClass"},
          {",\"medicines\":[null]", "medicines[0]"},
          {",\"conditions\":[\"moon\"]", "conditions[0]"},
          {",\"medicines\":[{\"medicineClass\":\"moon\"}]", "medicines[0].medicineClass"},
          {",\"weightKg\":14", "weightKg"},
          {",\"heightCm\":300", "heightCm"},
          {",\"usualRestingBpm\":24", "usualRestingBpm"},
          {
            ",\"medicines\":[{\"medicineClass\":\"other\",\"since\":\"" + tomorrow + "\"}]",
            "medicines[0].since"
          },
        }) {
      Answer refused = server.put(client + "/screening", intake(1, "some", bad[0]));
      assertThat(refused.status()).as(bad[0]).isEqualTo(400);
      assertThat(refused.at("/errors/0/field")).isEqualTo(bad[1]);
    }
    Answer future = server.post(client + "/clearances", clearance("moderate", -3, 100));
    assertThat(future.status()).isEqualTo(400);
    assertThat(future.at("/errors/0/field")).isEqualTo("issuedOn");
    assertThat(server.get(client + "/screening").json().get("clearances")).isEmpty();
  }

  @Test
  void consentIsARecordOfItsOwn() {
    String client = screened(server, "Minor", 16, "regular", "");
    counted(server, client, 64);
    Answer without = server.get(client + "/screening");
    assertThat(without.json().get("consentAsked").asBoolean()).isTrue();
    assertThat(without.json().at("/decision/findings").toString()).contains("consent-first");
    assertThat(server.get(client).json().get("mayIssue").asBoolean()).isFalse();

    Answer given = TestClients.consented(server, client);
    assertThat(given.status()).isEqualTo(201);
    assertThat(server.get(client + "/screening").at("/consents/0/givenBy"))
        .isEqualTo("Runa, mother");
    assertThat(server.get(client).json().get("mayIssue").asBoolean()).isTrue();
    Answer taken = server.delete(client + "/consents/" + given.at("/id"));
    assertThat(server.get(client).json().get("mayIssue").asBoolean()).isFalse();
    assertThat(server.post(client + "/consents/" + taken.at("/id") + "/undo", "").status())
        .isEqualTo(200);
    assertThat(server.get(client).json().get("mayIssue").asBoolean()).isTrue();

    Answer future =
        server.post(
            client + "/consents",
            "{\"givenBy\":\"\",\"givenOn\":\"%s\"}".formatted(LocalDate.now().plusDays(1)));
    assertThat(future.status()).isEqualTo(400);
    assertThat(future.json().get("errors")).hasSize(2);
    assertThat(server.delete(client + "/consents/" + client.substring(13)).status()).isEqualTo(404);
  }

  @Test
  void somebodyForWhomNothingWasAskedIsNotDecided() {
    for (int age : new int[] {16, 40}) {
      Answer added = server.post("/api/clients", TestClients.details("Nothing Asked", age));
      String client = "/api/clients/" + added.at("/id");
      Answer decision = server.get(client + "/screening/decision");
      assertThat(decision.json().get("decided").asBoolean()).isFalse();
      assertThat(decision.at("/decision")).contains("Nothing has been asked yet");
      Answer verdict = server.post(client + "/checkins/preview", PULSE.formatted(64, ""));
      assertThat(verdict.at("/outcomeWords")).isEqualTo("Not yet");
      assertThat(verdict.at("/findings/0/code")).isEqualTo("screening-open");
    }
  }

  @Test
  void aMedicineTellsADiseaseAndAKnownNameHasItsClass() {
    String client =
        screened(server, "Told", 46, "regular", medicine("insulin", "insulin glargine", ""));
    Answer decision = server.get(client + "/screening/decision");
    assertThat(decision.json().toString()).contains("disease-told-otherwise");
    assertThat(decision.at("/clearanceNeeded")).isNotEqualTo("none");
    Answer refused =
        server.put(
            client + "/screening", intake(1, "regular", medicine("other", "bisoprolol", "5 mg")));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo("medicines[0].medicineClass");
    assertThat(refused.at("/errors/0/accepted")).isEqualTo("Beta-blocker");
    JsonNode classes = server.get("/api/screening/questions").json().get("medicines");
    assertThat(classes.toString()).contains("\"tells\":\"diabetes\"");
  }

  @Test
  void aWrittenLimitPastItsDateGoesOnCutting() {
    String client =
        screened(
            server,
            "Lapsed Limit",
            46,
            "some",
            ",\"limits\":[{\"kind\":\"cap\",\"value\":120,\"issuer\":\"Dr Ferreira\","
                + "\"issuedOn\":\"%s\",\"until\":\"%s\"}]"
                    .formatted(LocalDate.now().minusDays(90), LocalDate.now().minusDays(1)));
    counted(server, client, 64);
    Answer decision = server.get(client + "/screening/decision");
    assertThat(decision.json().at("/cap/bpm").asInt()).isEqualTo(120);
    assertThat(decision.at("/cap/because")).contains("ended on", "still applies");
    assertThat(decision.json().toString()).contains("limit-lapsed");
    assertThat(server.get("/api/today").json().get("due").toString()).contains("Lapsed Limit");
  }

  private static final String PULSE =
      "{\"pulseBpm\":%d,\"recounted\":true,\"rhythm\":\"steady\"%s}";

  @Test
  void aCheckInIsJudgedKeptAndTakenBack() {
    String client = screened(server, "Checked In", 45, "some", "");
    counted(server, client, 64);
    Answer sheet = server.get(client + "/checkins");
    assertThat(sheet.json().get("usualBpm").asInt()).isEqualTo(64);
    assertThat(sheet.json().get("today").isNull()).isTrue();

    Answer preview = server.post(client + "/checkins/preview", PULSE.formatted(70, ""));
    assertThat(preview.at("/outcome")).isEqualTo("light-only");
    assertThat(preview.json().get("lightBelowBpm").asInt()).isEqualTo(109);
    assertThat(server.get(client + "/checkins").json().get("recent")).isEmpty();

    Answer kept = server.post(client + "/checkins", PULSE.formatted(70, ""));
    assertThat(kept.status()).isEqualTo(201);
    assertThat(server.get(client + "/checkins").at("/today/outcome")).isEqualTo("light-only");
    assertThat(server.delete(client + "/checkins/" + kept.at("/id")).status()).isEqualTo(200);
    assertThat(server.get(client + "/checkins").json().get("today").isNull()).isTrue();
  }

  @Test
  void anOverrideNeedsAReasonAndIsOpenOnlyForTheDifference() {
    String client = screened(server, "Overridden", 45, "some", "");
    counted(server, client, 64);
    String decided = ",\"decided\":{\"outcome\":\"light-only\",\"reason\":\"%s\"}%s";
    Answer kept =
        server.post(
            client + "/checkins", PULSE.formatted(75, decided.formatted("ran for the boat", "")));
    assertThat(kept.at("/outcome")).isEqualTo("light-only");
    assertThat(kept.at("/byRule")).isEqualTo("not-today");
    assertThat(kept.at("/reason")).isEqualTo("ran for the boat");
    assertThat(
            server
                .post(client + "/checkins", PULSE.formatted(75, decided.formatted("", "")))
                .at("/errors/0/field"))
        .isEqualTo("reason");
    Answer fever =
        server.post(
            client + "/checkins",
            PULSE.formatted(75, decided.formatted("feels fine", ",\"told\":[\"fever\"]")));
    assertThat(fever.status()).isEqualTo(400);
    assertThat(fever.at("/errors/0/field")).isEqualTo("override");
  }

  @Test
  void aSymptomToldAtACheckInSuspendsAndIsOnTodaysList() {
    String client = screened(server, "Told A Symptom", 45, "some", "");
    counted(server, client, 64);
    server.post(client + "/prescriptions", PARTS.formatted(40, 60));
    Answer kept =
        server.post(client + "/checkins", PULSE.formatted(64, ",\"symptoms\":[\"chest-pain\"]"));
    assertThat(kept.at("/outcome")).isEqualTo("not-today");
    assertThat(server.get(client + "/prescriptions/1/card").status()).isEqualTo(422);
    assertThat(server.get("/api/today").json().get("mustNot").toString())
        .contains("Told A Symptom");
    // Taken back, it holds again.
    server.delete(client + "/checkins/" + kept.at("/id"));
    assertThat(server.get(client + "/prescriptions/1/card").status()).isEqualTo(200);
  }

  @Test
  void somethingChangedMakesTheScreeningDue() {
    String client = screened(server, "Changed", 45, "some", "");
    server.post(client + "/checkins", PULSE.formatted(64, ",\"told\":[\"changed\"]"));
    assertThat(server.get(client + "/screening/decision").json().get("due").asBoolean()).isTrue();
    assertThat(server.get("/api/today").json().get("due").toString()).contains("Changed");
    // The same answers given again confirm.
    server.put(client + "/screening", intake(1, "some", ""));
    assertThat(server.get(client + "/screening/decision").json().get("due").asBoolean()).isFalse();
    assertThat(server.get(client + "/screening").json().get("version").asInt()).isEqualTo(2);
  }

  @Test
  void everyQuestionHasItsChoices() {
    JsonNode questions = server.get("/api/screening/questions").json();
    assertThat(questions.get("topics").size()).isEqualTo(7);
    for (String list :
        new String[] {"activities", "symptoms", "conditions", "medicines", "limits", "equipment"}) {
      assertThat(questions.get(list).size()).as(list).isGreaterThan(4);
    }
    assertThat(questions.get("medicines").toString()).contains("bisoprolol", "salbutamol");
  }
}
