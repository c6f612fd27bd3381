package app.korvel.bench;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/**
 * From the start of the process to its first answer, beside an empty application; they take turns.
 */
final class StartTime {
  private static final int ROUNDS = 11;

  void run() throws IOException {
    String java =
        System.getProperty("java.home") + File.separator + "bin" + File.separator + "java";
    Path empty;
    try (var jars = Files.list(KorvelProcess.home().resolve("bench-empty/target"))) {
      empty = jars.filter(jar -> jar.toString().endsWith("-exec.jar")).findFirst().orElseThrow();
    }
    Path data = Files.createTempDirectory("korvel-bench-");
    double[] korvelTimes = new double[ROUNDS];
    double[] emptyTimes = new double[ROUNDS];
    // One round more than is counted: the first brings the files into memory and makes the data.
    for (int round = -1; round < ROUNDS; round++) {
      int port = KorvelProcess.freePort();
      try (KorvelProcess server =
          KorvelProcess.answering(
              new ProcessBuilder(java, "-jar", empty.toString(), "--server.port=" + port), port)) {
        keep(emptyTimes, round, server);
      }
      int other = KorvelProcess.freePort();
      try (KorvelProcess server =
          KorvelProcess.answering(
              KorvelProcess.launcher("start", "--port", "" + other, "--data", data.toString()),
              other)) {
        keep(korvelTimes, round, server);
      }
    }
    Sample emptySample = new Sample("empty Spring Boot application, start", "ms", emptyTimes);
    Sample korvelSample = new Sample("./korvel start, start to first answer", "ms", korvelTimes);
    System.out.println(emptySample.line());
    System.out.println(korvelSample.line());
    System.out.printf(
        Locale.ROOT, "ratio of the medians %.2f%n", korvelSample.median() / emptySample.median());
  }

  private static void keep(double[] times, int round, KorvelProcess server) {
    if (round >= 0) {
      times[round] = server.millisToReady();
    }
  }
}
