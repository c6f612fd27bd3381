package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

class RegionalSettingsApiTest {
  private static final String WANTED =
      """
      {"version": %d, "regional": {"weight": "lb", "height": "ft-in", "glucose": "mg-dl",
       "distance": "miles", "clock": "h12", "weekStart": "%s", "paper": "letter"}}
      """;

  @TempDir Path folder;
  private TestServer server;

  @BeforeEach
  void start() {
    server = new TestServer(folder);
  }

  @AfterEach
  void stop() {
    server.close();
  }

  private JsonNode studio() {
    return server.get("/api/studio").json();
  }

  @Test
  void unitsAndCustomsAreChosenOnce() {
    assertThat(studio().get("regional").get("weight").asString()).isEqualTo("kg");
    int version = studio().get("version").asInt();
    assertThat(server.put("/api/studio/regional", WANTED.formatted(version, "sunday")).status())
        .isEqualTo(200);
    JsonNode chosen = studio().get("regional");
    assertThat(chosen.get("weight").asString()).isEqualTo("lb");
    assertThat(chosen.get("weekStart").asString()).isEqualTo("sunday");
    assertThat(chosen.get("paper").asString()).isEqualTo("letter");
    // The zone system and the scale of the studio are left as they are.
    assertThat(studio().get("scheme").asString()).isEqualTo("voice-ladder");
  }

  @Test
  void whoeverChoosesOnOldSettingsIsToldThePresentOnes() {
    int version = studio().get("version").asInt();
    server.put("/api/studio/regional", WANTED.formatted(version, "sunday"));
    var answer = server.put("/api/studio/regional", WANTED.formatted(version, "monday"));
    assertThat(answer.status()).isEqualTo(409);
    assertThat(answer.json().get("current").get("regional").get("weekStart").asString())
        .isEqualTo("sunday");
    assertThat(studio().get("regional").get("weekStart").asString()).isEqualTo("sunday");
  }

  @Test
  void noWeekBeginsInItsMiddle() {
    var answer = server.put("/api/studio/regional", WANTED.formatted(1, "wednesday"));
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.json().toString()).contains("Monday, Saturday or Sunday");
    assertThat(studio().get("regional").get("weekStart").asString()).isEqualTo("monday");
  }
}
