package app.korvel.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** A server in a process of its own, on a port of its own. */
public final class KorvelProcess implements AutoCloseable {
  private final Process process;
  private final int port;
  private final String readyLine;
  private final double millisToReady;

  private KorvelProcess(Process process, int port, String readyLine, long startedAtNanos) {
    this.process = process;
    this.port = port;
    this.readyLine = readyLine;
    this.millisToReady = (System.nanoTime() - startedAtNanos) / 1e6;
  }

  /** The launcher with these words, its error lines among the others. */
  public static ProcessBuilder launcher(String... words) {
    List<String> command = new ArrayList<>(List.of("/bin/sh", home().resolve("korvel").toString()));
    command.addAll(List.of(words));
    return new ProcessBuilder(command).redirectErrorStream(true);
  }

  /** The folder of the launcher: this one, or the nearest one above it. */
  public static Path home() {
    Path folder = Path.of("").toAbsolutePath();
    while (!Files.isRegularFile(folder.resolve("korvel"))) {
      folder = folder.getParent();
      if (folder == null) {
        throw new IllegalStateException("no launcher here or above");
      }
    }
    return folder;
  }

  /** Starts with lasting data in that folder, and waits until it says that it is ready. */
  public static KorvelProcess start(Path data) throws IOException {
    int port = freePort();
    return ready(launcher("start", "--port", "" + port, "--data", data.toString()), port);
  }

  /** Starts what is asked for on that port, and waits until it says that it is ready. */
  public static KorvelProcess ready(ProcessBuilder builder, int port) throws IOException {
    long from = System.nanoTime();
    Process process = builder.start();
    BufferedReader lines = process.inputReader();
    StringBuilder all = new StringBuilder();
    for (String line = lines.readLine(); line != null; line = lines.readLine()) {
      all.append(line).append('\n');
      if (line.contains("ready")) {
        return new KorvelProcess(process, port, line, from);
      }
    }
    throw new IOException("never ready:\n" + all);
  }

  /** Starts what is asked for on that port, and waits until it answers there. */
  public static KorvelProcess answering(ProcessBuilder builder, int port) throws IOException {
    long from = System.nanoTime();
    Process process = builder.redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
    while (!answers(port)) {
      if (!process.isAlive()) {
        throw new IOException("ended before it answered: " + builder.command());
      }
    }
    return new KorvelProcess(process, port, "", from);
  }

  private static boolean answers(int port) {
    try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
      socket
          .getOutputStream()
          .write(
              ("GET / HTTP/1.1\r\nHost: 127.0.0.1:" + port + "\r\nConnection: close\r\n\r\n")
                  .getBytes(StandardCharsets.US_ASCII));
      return socket.getInputStream().read() == 'H';
    } catch (IOException notYet) {
      try {
        TimeUnit.MILLISECONDS.sleep(3);
      } catch (InterruptedException stopped) {
        Thread.currentThread().interrupt();
      }
      return false;
    }
  }

  /** A port that is free now. */
  public static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return socket.getLocalPort();
    }
  }

  public int port() {
    return port;
  }

  public String address() {
    return "http://127.0.0.1:" + port;
  }

  /** What it said when it was ready; empty for one that was waited for by asking. */
  public String readyLine() {
    return readyLine;
  }

  /** From the start of the process until it was ready. */
  public double millisToReady() {
    return millisToReady;
  }

  /** The processor time that it has taken, in seconds. */
  public double processorSeconds() {
    return process.info().totalCpuDuration().orElseThrow().toMillis() / 1e3;
  }

  /** The memory that it holds, in MB. */
  public double residentMegabytes() throws IOException {
    return Files.readAllLines(Path.of("/proc/" + process.pid() + "/status")).stream()
        .filter(line -> line.startsWith("VmRSS:"))
        .mapToDouble(line -> Double.parseDouble(line.replaceAll("[^0-9]", "")) / 1024)
        .findFirst()
        .orElseThrow();
  }

  /** As {@code kill -9} does: no goodbye. */
  public void kill() throws InterruptedException {
    process.destroyForcibly().waitFor();
  }

  @Override
  public void close() {
    process.destroy();
    try {
      if (!process.waitFor(60, TimeUnit.SECONDS)) {
        throw new IllegalStateException("does not stop");
      }
    } catch (InterruptedException stopped) {
      process.destroyForcibly();
      Thread.currentThread().interrupt();
    }
  }
}
