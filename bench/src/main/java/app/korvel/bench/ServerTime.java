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
  private static final int WARM_UP = 20_000;
  private static final int BATCH = 500;
  private static final int ROUNDS = 40;

  void run() throws IOException, InterruptedException {
    int port = KorvelProcess.freePort();
    ProcessBuilder command =
        new ProcessBuilder(
            System.getProperty("java.home") + File.separator + "bin" + File.separator + "java",
            "-cp",
            System.getProperty("java.class.path"),
            EmptyEndpoint.class.getName(),
            "--server.port=" + port,
            "--korvel.demo=true");
    try (KorvelProcess server = KorvelProcess.answering(command, port);
        Connection connection = new Connection(server.port())) {
      byte[] empty = Connection.post(port, EmptyEndpoint.PATH, "{}");
      // A span of its own for each request: nothing can be remembered from the one before.
      byte[][] spans = new byte[46 * 61][];
      for (int i = 0; i < spans.length; i++) {
        spans[i] = zones(port, 45 + i % 46, 150 + i / 46);
      }
      IntFunction<byte[]> zones = i -> spans[(i * 37) % spans.length];
      time(connection, i -> empty, WARM_UP);
      time(connection, zones, WARM_UP);

      List<double[]> emptyTimes = new ArrayList<>();
      List<double[]> zonesTimes = new ArrayList<>();
      for (int round = 0; round < ROUNDS; round++) {
        int from = round * BATCH;
        emptyTimes.add(time(connection, i -> empty, BATCH));
        zonesTimes.add(time(connection, i -> zones.apply(from + i), BATCH));
      }
      Sample emptySample = sample("empty endpoint", emptyTimes);
      Sample zonesSample = sample("POST /api/calculator/zones", zonesTimes);
      System.out.println(emptySample.line());
      System.out.println(zonesSample.line());
      System.out.printf(
          Locale.ROOT,
          "throughput: empty %.0f a second, zones %.0f a second, ratio %.2f; an answer of %d bytes%n",
          perSecond(emptySample),
          perSecond(zonesSample),
          perSecond(zonesSample) / perSecond(emptySample),
          connection.exchange(spans[0]));
    }
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
