package app.korvel.bench;

import app.korvel.server.KorvelServer;
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

  public static void main(String[] args) {
    new SpringApplicationBuilder(KorvelServer.class)
        .sources(EmptyEndpoint.class, Empty.class)
        .run(args);
  }

  record Nothing() {}

  @RestController
  static class Empty {
    @PostMapping(PATH)
    Nothing nothing(@RequestBody Nothing request) {
      return request;
    }
  }
}
