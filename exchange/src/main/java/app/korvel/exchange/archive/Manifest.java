package app.korvel.exchange.archive;

import app.korvel.core.measure.InvalidValueException;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What an archive holds.
 *
 * @param format always {@value #FORMAT}
 * @param version of the archive, {@value #VERSION}
 * @param schema the version of the tables
 * @param scope what it is of
 * @param client whose it is, for one of a client
 * @param writtenAt when it was written
 * @param rows how many rows each table has
 */
public record Manifest(
    String format,
    int version,
    int schema,
    Scope scope,
    Optional<String> client,
    Instant writtenAt,
    Map<String, Long> rows) {

  /** What an archive is of. */
  public enum Scope {
    CLIENT,
    STUDIO
  }

  static final String NAME = "korvel.json";
  static final String FORMAT = "korvel-archive";
  static final int VERSION = 1;
  private static final JsonMapper JSON = JsonMapper.builder().build();

  public Manifest {
    rows = new TreeMap<>(rows);
  }

  /** What is written now. */
  public static Manifest of(
      int schema, Scope scope, Optional<String> client, Instant at, Map<String, Long> rows) {
    return new Manifest(FORMAT, VERSION, schema, scope, client, at, rows);
  }

  String written() {
    return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(this);
  }

  static Manifest read(String json) {
    try {
      Manifest read = JSON.readValue(json, Manifest.class);
      if (FORMAT.equals(read.format) && read.version == VERSION && read.scope != null) {
        return read;
      }
    } catch (JacksonException | NullPointerException other) {
      // Refused below.
    }
    throw InvalidValueException.of(
        "file", NAME + " is not that of an archive of Korvel", ArchiveReader.ACCEPTED);
  }
}
