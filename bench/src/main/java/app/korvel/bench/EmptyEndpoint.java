package app.korvel.bench;

import app.korvel.server.KorvelServer;
import app.korvel.server.web.WrittenJson;
import java.nio.charset.StandardCharsets;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/**
 * Korvel's own server with one endpoint more, which takes a body and answers with nothing in it.
 */
@Configuration(proxyBeanMethods = false)
class EmptyEndpoint {
  static final String PATH = "/api/bench/empty";

  /** The same, but for an answer as long as that of the zones calculator. */
  static final String LONG_PATH = "/api/bench/long";

  private static final int LONG_BYTES = 19_364;

  public static void main(String[] args) {
    new SpringApplicationBuilder(KorvelServer.class)
        .sources(EmptyEndpoint.class, Empty.class)
        .run(args);
  }

  record Nothing() {}

  private static final WrittenJson LONG =
      new WrittenJson(('"' + "0".repeat(LONG_BYTES - 2) + '"').getBytes(StandardCharsets.US_ASCII));

  @RestController
  static class Empty {
    @PostMapping(PATH)
    Nothing nothing(@RequestBody Nothing request) {
      return request;
    }

    @PostMapping(LONG_PATH)
    WrittenJson asLong(@RequestBody Nothing request) {
      return LONG;
    }
  }
}
