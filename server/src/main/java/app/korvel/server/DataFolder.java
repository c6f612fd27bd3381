package app.korvel.server;

import java.nio.file.Path;

/**
 * Where the records live.
 *
 * @param path a folder that can be written
 * @param demo whether it was made for the demo and goes when the server stops
 */
public record DataFolder(Path path, boolean demo) {
  Path database() {
    return path.resolve("korvel.db");
  }
}
