package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Adds clients over HTTP, screened in one go. */
final class TestClients {
  static final String COUNT =
      "{\"source\":\"count\",\"beats\":%d,\"windowSeconds\":%d,\"posture\":\"seated\","
          + "\"minutesRested\":5,\"disturbances\":[]}";

  static final String PARTS =
      "{\"goal\":\"general-fitness\",\"approach\":\"guideline\",\"lowPercent\":%d,"
          + "\"highPercent\":%d,\"minutes\":30,\"days\":3,\"type\":\"steady\",\"mode\":\"run\"}";

  private TestClients() {}

  static String details(String name, int age) {
    return "{\"name\":\"%s\",\"note\":\"\",\"birthDate\":\"%s\",\"sex\":\"not-given\"}"
        .formatted(name, LocalDate.now().minusYears(age).minusDays(30));
  }

  /** An intake with everything asked; {@code more} is further fields, each after a comma. */
  static String intake(int version, String activity, String more) {
    return "{\"version\":%d,\"answers\":{\"activity\":\"%s\"%s}}"
        .formatted(version, activity, more);
  }

  static String conditions(String... conditions) {
    return ",\"conditions\":["
        + List.of(conditions).stream()
            .map(condition -> "\"" + condition + "\"")
            .collect(Collectors.joining(","))
        + "]";
  }

  static String medicine(String medicineClass, String name, String dose) {
    return ",\"medicines\":[{\"medicineClass\":\"%s\",\"name\":\"%s\",\"dose\":\"%s\"}]"
        .formatted(medicineClass, name, dose);
  }

  /** Adds someone; {@code ticks} may name heart, failure, beta and consent. */
  static String added(TestServer server, String name, int age, String activity, String ticks) {
    List<String> conditions = new ArrayList<>();
    if (ticks.contains("heart")) {
      conditions.add("heart-condition");
    }
    if (ticks.contains("failure")) {
      conditions.add("heart-failure");
    }
    String more =
        conditions(conditions.toArray(String[]::new))
            + (ticks.contains("beta") ? medicine("beta-blocker", "", "") : "");
    String client = screened(server, name, age, activity, more);
    if (ticks.contains("consent")) {
      consented(server, client);
    }
    return client;
  }

  /** Adds someone with those answers. */
  static String screened(TestServer server, String name, int age, String activity, String more) {
    Answer answer = server.post("/api/clients", details(name, age));
    assertThat(answer.status()).isEqualTo(201);
    String client = "/api/clients/" + answer.at("/id");
    Answer kept = server.put(client + "/screening", intake(0, activity, more));
    assertThat(kept.status()).as(kept.json().toString()).isEqualTo(200);
    return client;
  }

  /** Puts a parent's consent on record. */
  static Answer consented(TestServer server, String client) {
    return server.post(
        client + "/consents",
        "{\"givenBy\":\"Runa, mother\",\"givenOn\":\"%s\",\"note\":\"on paper\"}"
            .formatted(LocalDate.now()));
  }

  /** Counts a resting pulse of that many in 60 s. */
  static void counted(TestServer server, String client, int bpm) {
    assertThat(server.post(client + "/readings", COUNT.formatted(bpm, 60)).status()).isEqualTo(201);
  }
}
