package app.korvel.bench;

import app.korvel.store.Database;
import app.korvel.store.ReadingRepository;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
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

/**
 * The server is killed in the middle of a stream of writes, again and again: whatever it said it
 * had kept has to be there after the next start.
 */
public final class Durability {
  private static final int WRITERS = 3;
  private static final int PATIENCE_SECONDS = 60;
  private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");
  private static final String CLIENT =
      """
      {"name":"Kept Through It","birthDate":"1980-01-01","sex":"not-given"}
      """;
  private static final String READING =
      "{\"source\":\"count\",\"beats\":32,\"windowSeconds\":30,\"posture\":\"seated\","
          + "\"minutesRested\":5,\"disturbances\":[\"caffeine\",\"heat\"]}";

  private final HttpClient http = HttpClient.newHttpClient();
  private final Random random;
  private final Path data;
  private final Queue<String> acknowledged = new ConcurrentLinkedQueue<>();

  private Durability(Path data, long seed) {
    this.data = data;
    this.random = new Random(seed);
  }

  /**
   * What was found.
   *
   * @param kills how often the server was killed
   * @param acknowledged records it said it had kept
   * @param missing those of them that were not there, or not whole, at the end
   */
  public record Result(int kills, int acknowledged, Set<String> missing) {}

  /**
   * Kills it so many times.
   *
   * @param data an empty folder
   * @param seed of how long each stream of writes goes on
   */
  public static Result run(Path data, int kills, long seed) throws Exception {
    return new Durability(data, seed).run(kills);
  }

  /** For the command line: the number of kills, 1,000 if none is given. */
  static void main(String[] words) throws Exception {
    int kills = words.length == 0 ? 1000 : Integer.parseInt(words[0]);
    Result result = run(Files.createTempDirectory("korvel-durability-"), kills, 9);
    System.out.printf(
        "durability: %d kills, %d records acknowledged, %d of them missing%n",
        result.kills, result.acknowledged, result.missing.size());
    if (!result.missing.isEmpty()) {
      System.exit(1);
    }
  }

  private Result run(int kills) throws Exception {
    String client = null;
    ExecutorService pool = Executors.newFixedThreadPool(WRITERS);
    try {
      for (int kill = 0; kill < kills; kill++) {
        try (KorvelProcess server = KorvelProcess.start(data)) {
          client = client == null ? post(server, "/api/clients", CLIENT) : client;
          writeUntilKilled(pool, server, "/api/clients/" + client + "/readings");
        }
      }
    } finally {
      pool.shutdownNow();
    }
    return new Result(kills, acknowledged.size(), missing(UUID.fromString(client)));
  }

  private void writeUntilKilled(ExecutorService pool, KorvelProcess server, String path)
      throws Exception {
    CountDownLatch enough = new CountDownLatch(5 + random.nextInt(60));
    List<Future<Void>> writers = new ArrayList<>();
    for (int writer = 0; writer < WRITERS; writer++) {
      writers.add(pool.submit(() -> write(server, path, enough)));
    }
    if (!enough.await(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
      throw new IllegalStateException("the server keeps nothing");
    }
    server.kill();
    for (Future<Void> writer : writers) {
      writer.get(PATIENCE_SECONDS, TimeUnit.SECONDS);
    }
  }

  /** Keeps readings until the server is gone; notes each that was acknowledged. */
  private Void write(KorvelProcess server, String path, CountDownLatch enough)
      throws InterruptedException {
    while (true) {
      try {
        String id = post(server, path, READING);
        if (id == null) {
          return null;
        }
        acknowledged.add(id);
        enough.countDown();
      } catch (IOException killed) {
        return null;
      }
    }
  }

  /** The id of what was made; null where nothing was acknowledged. */
  private String post(KorvelProcess server, String path, String body)
      throws IOException, InterruptedException {
    HttpResponse<String> response =
        http.send(
            HttpRequest.newBuilder(URI.create(server.address() + path))
                .header("Content-Type", "application/json")
                .POST(BodyPublishers.ofString(body))
                .build(),
            BodyHandlers.ofString());
    Matcher id = ID.matcher(response.body());
    return response.statusCode() == 201 && id.find() ? id.group(1) : null;
  }

  private Set<String> missing(UUID client) {
    try (Database database = Database.open(data.resolve("korvel.db"))) {
      Set<String> kept =
          new ReadingRepository(database)
              .of(client).stream()
                  // A reading and its disturbances are written together or not at all.
                  .filter(reading -> reading.disturbances().size() == 2)
                  .map(reading -> reading.id().toString())
                  .collect(Collectors.toSet());
      Set<String> missing = new HashSet<>(acknowledged);
      missing.removeAll(kept);
      return missing;
    }
  }
}
