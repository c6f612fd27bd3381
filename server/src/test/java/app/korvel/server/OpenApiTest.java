package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.cfg.JsonNodeFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * The committed description of the interface says what the controllers do. After a change, write it
 * anew: {@code mvn -pl server test -Dtest=OpenApiTest -Dopenapi.write=true}.
 */
class OpenApiTest {
  private static final Path COMMITTED = Path.of("..", "ui", "openapi.json");
  private static final JsonMapper SORTED =
      JsonMapper.builder()
          .enable(SerializationFeature.INDENT_OUTPUT)
          .enable(JsonNodeFeature.WRITE_PROPERTIES_SORTED)
          .build();

  @TempDir Path folder;

  @Test
  void theCommittedDescriptionIsTheOneTheControllersGive() throws Exception {
    try (TestServer server = new TestServer(folder, OpenApiSettings.class)) {
      JsonNode described = server.get("/v3/api-docs").json();
      String text = SORTED.writeValueAsString(described) + "\n";
      if (Boolean.getBoolean("openapi.write")) {
        Files.writeString(COMMITTED, text);
      }
      assertThat(Files.readString(COMMITTED)).isEqualTo(text);
    }
  }
}
