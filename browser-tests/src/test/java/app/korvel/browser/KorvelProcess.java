package app.korvel.browser;

import java.io.BufferedReader;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** Korvel started by its launcher in a process of its own. */
final class KorvelProcess implements AutoCloseable {
  private static final Path LAUNCHER = Path.of("..", "korvel").toAbsolutePath().normalize();

  private final Process process;
  private final int port;
  private final String readyLine;

  private KorvelProcess(Process process, int port) throws IOException {
    this.process = process;
    this.port = port;
    this.readyLine = untilReady(process);
  }

  /** The launcher with these words, its error lines among the others. */
  static ProcessBuilder launcher(String... words) {
    List<String> command = new ArrayList<>(List.of("/bin/sh", LAUNCHER.toString()));
    command.addAll(List.of(words));
    return new ProcessBuilder(command).redirectErrorStream(true);
  }

  /** Starts with lasting data in that folder, and waits until it is ready. */
  static KorvelProcess start(Path data) throws IOException {
    int port = freePort();
    return ready(launcher("start", "--port", "" + port, "--data", data.toString()), port);
  }

  /** Starts what is asked for on that port, and waits until it is ready. */
  static KorvelProcess ready(ProcessBuilder builder, int port) throws IOException {
    return new KorvelProcess(builder.start(), port);
  }

  static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return socket.getLocalPort();
    }
  }

  private static String untilReady(Process process) throws IOException {
    BufferedReader lines = process.inputReader();
    StringBuilder all = new StringBuilder();
    for (String line = lines.readLine(); line != null; line = lines.readLine()) {
      all.append(line).append('\n');
      if (line.contains("ready")) {
        return line;
      }
    }
    throw new AssertionError("never ready:\n" + all);
  }

  int port() {
    return port;
  }

  String readyLine() {
    return readyLine;
  }

  /** As {@code kill -9} does: no goodbye. */
  void kill() throws InterruptedException {
    process.destroyForcibly().waitFor();
  }

  @Override
  public void close() {
    process.destroy();
    try {
      if (!process.waitFor(60, TimeUnit.SECONDS)) {
        throw new AssertionError("does not stop");
      }
    } catch (InterruptedException stopped) {
      process.destroyForcibly();
      Thread.currentThread().interrupt();
    }
  }
}
