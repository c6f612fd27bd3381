package app.korvel.server;

import app.korvel.store.Database;
import app.korvel.store.StoreException;
import app.korvel.store.UnusableFileException;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Optional;

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

  /** What to say of a start that has failed, in one line; empty where there is no such line. */
  static String line(Throwable failure) {
    for (Throwable each = failure; each != null; each = each.getCause()) {
      if (each instanceof RefusedStart) {
        return each.getMessage();
      }
      if (each instanceof UnusableFileException) {
        return "Korvel: " + each.getMessage();
      }
      if (each instanceof StoreException store
          && store.reason() == StoreException.Reason.DISK_FULL) {
        return "Korvel: the disk is full. Free some of it, then start again.";
      }
    }
    return "";
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

  /**
   * Refuses a data folder that cannot be written, that another server has, or whose data file
   * cannot be used.
   *
   * @return the lock of the folder; nothing where no folder is given
   */
  static Optional<FolderLock> dataFolder(String option) {
    if (option == null) {
      return Optional.empty();
    }
    if (option.isBlank()) {
      throw new RefusedStart("Korvel: --data wants a folder. Give one: --data DIR.");
    }
    Path folder = folder(option);
    Optional<FolderLock> lock = Optional.empty();
    try {
      Files.createDirectories(folder);
      Files.delete(Files.createTempFile(folder, "write", ".check"));
      lock = FolderLock.take(folder);
    } catch (IOException | SecurityException notWritable) {
      throw new RefusedStart(
          "Korvel: the data folder "
              + folder
              + " cannot be written. Give another one: --data DIR.");
    }
    if (lock.isEmpty()) {
      throw new RefusedStart(
          "Korvel: the data folder "
              + folder
              + " is in use by "
              + FolderLock.holder(folder)
              + ". Use that server, stop it, or give another folder: --data DIR.");
    }
    try {
      Database.check(new DataFolder(folder, false).database());
    } catch (UnusableFileException unusable) {
      throw new RefusedStart("Korvel: " + unusable.getMessage());
    }
    return lock;
  }

  /** What to say while the records of an earlier version are brought up to date. */
  static Optional<String> upgrade(String option) {
    return Optional.ofNullable(option)
        .map(StartChecks::folder)
        .filter(folder -> Database.isOlder(new DataFolder(folder, false).database()))
        .map(
            folder ->
                "Korvel: the records are of an earlier version and are brought up to "
                    + "date. With years"
                    + " of them that takes some minutes; do not stop it.");
  }

  private static Path folder(String option) {
    try {
      return Path.of(option).toAbsolutePath();
    } catch (InvalidPathException noPath) {
      throw new RefusedStart("Korvel: “" + option + "” is not a folder. Give one: --data DIR.");
    }
  }
}
