package app.korvel.server;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;

/**
 * One server a data folder: whoever holds its lock has it, until that process ends, however it
 * ends.
 */
final class FolderLock implements AutoCloseable {
  private static final String NAME = "korvel.lock";

  /** The lock lies on a byte of its own, so that the others can be read: they name the process. */
  private static final long LOCKED_BYTE = 1L << 40;

  private static final int LONGEST = 40;

  private final FileChannel channel;

  private FolderLock(FileChannel channel) {
    this.channel = channel;
  }

  /**
   * Takes the lock of a folder.
   *
   * @return nothing where another process has it
   * @throws IOException when the folder cannot be written
   */
  static Optional<FolderLock> take(Path folder) throws IOException {
    FileChannel channel =
        FileChannel.open(
            folder.resolve(NAME),
            StandardOpenOption.CREATE,
            StandardOpenOption.READ,
            StandardOpenOption.WRITE);
    FileLock lock = null;
    try {
      lock = channel.tryLock(LOCKED_BYTE, 1, false);
    } catch (OverlappingFileLockException here) {
      // This process has it.
    }
    if (lock == null) {
      channel.close();
      return Optional.empty();
    }
    channel.truncate(0);
    channel.write(
        ByteBuffer.wrap(
            String.valueOf(ProcessHandle.current().pid()).getBytes(StandardCharsets.US_ASCII)));
    return Optional.of(new FolderLock(channel));
  }

  /** The process that has the folder, as it says itself. */
  static String holder(Path folder) {
    try (FileChannel channel = FileChannel.open(folder.resolve(NAME), StandardOpenOption.READ)) {
      ByteBuffer found = ByteBuffer.allocate(LONGEST);
      channel.read(found);
      String text = new String(found.array(), 0, found.position(), StandardCharsets.US_ASCII);
      return text.isBlank() ? "another process" : "process " + text.strip();
    } catch (IOException unreadable) {
      return "another process";
    }
  }

  @Override
  public void close() throws IOException {
    channel.close();
  }
}
