package app.korvel.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Path;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The whole server on a free port, and a client to talk to it. */
final class TestServer implements AutoCloseable {
  static final JsonMapper JSON = JsonMapper.builder().build();

  private final ConfigurableApplicationContext context;
  private final HttpClient http = HttpClient.newHttpClient();
  private final String base;

  TestServer(Path data, Class<?>... more) {
    this("--korvel.data=" + data, more);
  }

  /** A server with the demo's data. */
  static TestServer demo() {
    return new TestServer("--korvel.demo=true");
  }

  private TestServer(String option, Class<?>... more) {
    context =
        new SpringApplicationBuilder(KorvelServer.class)
            .sources(more)
            .run("--server.port=0", option);
    base = "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
  }

  /** An answer: its status and its JSON. */
  record Answer(int status, JsonNode json) {
    /** The text at that path, for example {@code /errors/0/field}. */
    String at(String path) {
      return json.at(path).asString();
    }
  }

  String address() {
    return base;
  }

  Answer get(String path) {
    return send(HttpRequest.newBuilder(URI.create(base + path)));
  }

  Answer post(String path, String json) {
    return send(request(path).POST(BodyPublishers.ofString(json)));
  }

  Answer put(String path, String json) {
    return send(request(path).PUT(BodyPublishers.ofString(json)));
  }

  Answer delete(String path) {
    return send(request(path).DELETE());
  }

  HttpRequest.Builder request(String path) {
    return HttpRequest.newBuilder(URI.create(base + path))
        .header("Content-Type", "application/json");
  }

  /** A file that comes as an answer. */
  HttpResponse<byte[]> file(String path, String json) {
    try {
      return http.send(
          request(path).POST(BodyPublishers.ofString(json)).build(), BodyHandlers.ofByteArray());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  Answer send(HttpRequest.Builder request) {
    HttpResponse<String> response = raw(request);
    String body = response.body();
    return new Answer(response.statusCode(), JSON.readTree(body.isEmpty() ? "{}" : body));
  }

  HttpResponse<String> raw(HttpRequest.Builder request) {
    try {
      return http.send(request.build(), BodyHandlers.ofString());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  @Override
  public void close() {
    context.close();
  }
}
