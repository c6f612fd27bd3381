package app.korvel.bench;

import java.io.File;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.IntFunction;

/**
 * The zones calculator beside an empty endpoint of the same server in the same run, over one
 * kept-alive connection: batches of the two take turns, so that both meet the same machine.
 */
final class ServerTime {
  private static final int WARM_UP = 10_000;
  private static final int CLIENTS = 60;
  private static final int BATCH = 500;
  private static final int ROUNDS = 20;

  void run() throws IOException, InterruptedException {
    int port = KorvelProcess.freePort();
    ProcessBuilder command =
        new ProcessBuilder(
            System.getProperty("java.home") + File.separator + "bin" + File.separator + "java",
            "-cp",
            System.getProperty("java.class.path"),
            EmptyEndpoint.class.getName(),
            "--server.port=" + port,
            "--server.tomcat.max-keep-alive-requests=-1",
            "--korvel.demo=true");
    try (KorvelProcess server = KorvelProcess.answering(command, port);
        Connection connection = new Connection(server.port())) {
      byte[] empty = Connection.post(port, EmptyEndpoint.PATH, "{}");
      // Spans that come back, as the clients of a studio do; and one that is new each time.
      byte[][] clients = new byte[CLIENTS][];
      for (int i = 0; i < CLIENTS; i++) {
        clients[i] = zones(port, 48 + i % 40, 158 + i);
      }
      IntFunction<byte[]> again = i -> clients[i % CLIENTS];
      byte[][] spans = new byte[46 * 61][];
      for (int i = 0; i < spans.length; i++) {
        spans[i] = zones(port, 45 + i % 46, 150 + i / 46);
      }
      IntFunction<byte[]> zones = i -> spans[(i * 37) % spans.length];
      time(connection, i -> empty, WARM_UP);
      byte[] asLong = Connection.post(port, EmptyEndpoint.LONG_PATH, "{}");
      compare(connection, empty, "empty, but as long as an answer of zones", i -> asLong);
      compare(connection, empty, "zones, the spans of " + CLIENTS + " clients", again);
      compare(connection, empty, "zones, a new span each time", zones);
      System.out.println("  an answer has " + connection.exchange(spans[0]) + " bytes");
    }
  }

  private static void compare(
      Connection connection, byte[] empty, String name, IntFunction<byte[]> request)
      throws IOException {
    time(connection, request, WARM_UP);
    List<double[]> emptyTimes = new ArrayList<>();
    List<double[]> times = new ArrayList<>();
    for (int round = 0; round < ROUNDS; round++) {
      int from = round * BATCH;
      emptyTimes.add(time(connection, i -> empty, BATCH));
      times.add(time(connection, i -> request.apply(from + i), BATCH));
    }
    Sample emptySample = sample("empty endpoint", emptyTimes);
    Sample sample = sample(name, times);
    System.out.println(emptySample.line());
    System.out.println(sample.line());
    System.out.printf(
        Locale.ROOT,
        "  throughput: empty %.0f a second, this %.0f a second, ratio %.2f%n",
        perSecond(emptySample),
        perSecond(sample),
        perSecond(sample) / perSecond(emptySample));
  }

  private static byte[] zones(int port, int restingBpm, int maximumBpm) {
    return Connection.post(
        port,
        "/api/calculator/zones",
        "{\"restingBpm\":"
            + restingBpm
            + ",\"maximumBpm\":"
            + maximumBpm
            + ",\"scheme\":\"voice-ladder\"}");
  }

  /** Milliseconds of each exchange. */
  private static double[] time(Connection connection, IntFunction<byte[]> request, int count)
      throws IOException {
    double[] times = new double[count];
    for (int i = 0; i < count; i++) {
      byte[] bytes = request.apply(i);
      long from = System.nanoTime();
      connection.exchange(bytes);
      times[i] = (System.nanoTime() - from) / 1e6;
    }
    return times;
  }

  private static Sample sample(String name, List<double[]> batches) {
    return new Sample(name, "ms", batches.stream().flatMapToDouble(Arrays::stream).toArray());
  }

  private static double perSecond(Sample sample) {
    return 1000 * sample.values().length / Arrays.stream(sample.values()).sum();
  }
}
