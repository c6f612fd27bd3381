package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.store.ClientRepository;
import app.korvel.store.Database;
import app.korvel.store.ReadingRepository;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The server is killed in the middle of a stream of writes, again and again: whatever it said it
 * had kept is there after the next start.
 */
class DurabilityTest {
  private static final int KILLS = 20;
  private static final int WRITERS = 3;
  private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");

  @TempDir Path data;

  private final HttpClient http = HttpClient.newHttpClient();
  private final Random random = new Random(9);

  private String post(int port, String path, String body) throws IOException, InterruptedException {
    HttpResponse<String> response =
        http.send(
            HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .header("Content-Type", "application/json")
                .POST(BodyPublishers.ofString(body))
                .build(),
            BodyHandlers.ofString());
    Matcher id = ID.matcher(response.body());
    return response.statusCode() == 201 && id.find() ? id.group(1) : null;
  }

  private String addClient(int port) throws Exception {
    return post(
        port,
        "/api/clients",
        """
        {"name":"Kept Through It","birthDate":"1980-01-01","sex":"not-given","activity":"some",
         "heartCondition":false,"heartFailure":false,"betaBlocker":false,"guardianConsent":false}
        """);
  }

  /** Keeps readings until the server is gone; notes each that was acknowledged. */
  private Void writeUntilKilled(
      int port, String client, Queue<String> acknowledged, CountDownLatch enough) {
    String reading =
        "{\"source\":\"count\",\"beats\":32,\"windowSeconds\":30,\"posture\":\"seated\","
            + "\"minutesRested\":5,\"disturbances\":[\"caffeine\",\"heat\"]}";
    while (true) {
      try {
        String id = post(port, "/api/clients/" + client + "/readings", reading);
        if (id == null) {
          return null;
        }
        acknowledged.add(id);
        enough.countDown();
      } catch (IOException killed) {
        return null;
      } catch (InterruptedException stopped) {
        Thread.currentThread().interrupt();
        return null;
      }
    }
  }

  @Test
  void whatWasAcknowledgedSurvivesBeingKilled() throws Exception {
    Queue<String> acknowledged = new ConcurrentLinkedQueue<>();
    String client = null;
    ExecutorService pool = Executors.newFixedThreadPool(WRITERS);
    for (int kill = 0; kill < KILLS; kill++) {
      try (KorvelProcess server = KorvelProcess.start(data)) {
        client = client == null ? addClient(server.port()) : client;
        String writing = client;
        CountDownLatch enough = new CountDownLatch(5 + random.nextInt(60));
        List<Future<Void>> writers = new ArrayList<>();
        for (int writer = 0; writer < WRITERS; writer++) {
          writers.add(
              pool.submit(() -> writeUntilKilled(server.port(), writing, acknowledged, enough)));
        }
        assertThat(enough.await(60, TimeUnit.SECONDS)).isTrue();
        server.kill();
        for (Future<Void> writer : writers) {
          writer.get(60, TimeUnit.SECONDS);
        }
      }
    }
    pool.shutdown();

    try (Database database = Database.open(data.resolve("korvel.db"))) {
      assertThat(new ClientRepository(database).get(UUID.fromString(client))).isPresent();
      Set<String> kept =
          new ReadingRepository(database)
              .of(UUID.fromString(client)).stream()
                  // A reading and its disturbances are written together or not at all.
                  .filter(reading -> reading.disturbances().size() == 2)
                  .map(reading -> reading.id().toString())
                  .collect(Collectors.toSet());
      assertThat(acknowledged).hasSizeGreaterThan(KILLS * 5);
      assertThat(kept).containsAll(acknowledged);
    }
  }
}
