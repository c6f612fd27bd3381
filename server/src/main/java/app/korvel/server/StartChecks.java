package app.korvel.server;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;

/** What can be wrong before anything starts, each said in one line that tells what to do. */
final class StartChecks {
  private StartChecks() {}

  /** The start is refused; the message is the line to show. */
  static final class RefusedStart extends RuntimeException {
    private static final long serialVersionUID = 1L;

    RefusedStart(String line) {
      super(line);
    }
  }

  /** Refuses a port that is no port or is taken. */
  static void port(String option) {
    int port = 8080;
    if (option != null) {
      port = option.matches("\\d{1,5}") ? Integer.parseInt(option) : -1;
    }
    if (port < 0 || port > 65_535) {
      throw new RefusedStart("Korvel: “" + option + "” is not a port. Give --port 1 to 65535.");
    }
    try (ServerSocket socket = new ServerSocket()) {
      socket.setReuseAddress(true);
      socket.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
    } catch (IOException taken) {
      throw new RefusedStart(
          "Korvel: port " + port + " is in use or not allowed. Give another one: --port N.");
    }
  }

  /** Refuses a data folder that cannot be written. */
  static void dataFolder(String option) {
    if (option == null) {
      return;
    }
    Path folder = Path.of(option).toAbsolutePath();
    try {
      Files.createDirectories(folder);
      Files.delete(Files.createTempFile(folder, "write", ".check"));
    } catch (IOException | SecurityException notWritable) {
      throw new RefusedStart(
          "Korvel: the data folder "
              + folder
              + " cannot be written. Give another one: --data DIR.");
    }
  }
}
