package app.korvel.exchange.recording;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.trace.DeviceRecording;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * What a file of a device holds.
 *
 * @param format which it is
 * @param recording what was recorded; empty while something has to be asked first
 * @param mode what the body did, where the file says so
 * @param strap whether a strap read it, where the file says so
 * @param csv how its columns are read; empty for other formats
 * @param asked what is to be said before it can be read; empty where it was read
 */
public record RecordingFile(
    Format format,
    Optional<DeviceRecording> recording,
    Optional<Mode> mode,
    Optional<Boolean> strap,
    Optional<CsvColumns> csv,
    List<Question> asked) {

  /** What is accepted, for whoever brought something else. */
  public static final String ACCEPTED =
      "GPX 1.1 with a heart rate in its extensions, CSV, FHIR R4 JSON, or Korvel's own JSON";

  /** An open format of recordings. */
  public enum Format {
    GPX("GPX"),
    CSV("CSV"),
    FHIR("FHIR R4"),
    KORVEL("Korvel JSON");

    private final String displayName;

    Format(String displayName) {
      this.displayName = displayName;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }
  }

  /** What only a person can say. */
  public enum Question {
    /** Which column holds the heart rate. */
    RATE_COLUMN,
    /** Which column holds the time. */
    TIME_COLUMN,
    /** Whether the day or the month comes first. */
    DATE_ORDER,
    /** When it began: the file counts from its beginning only. */
    STARTED_AT
  }

  /**
   * What was said about a file.
   *
   * @param zone of times that name none
   * @param columns how a CSV is read; empty to guess
   * @param remembered how a CSV with the same headings was read last, by its signature
   * @param startedAt when it began, where the file does not say
   */
  public record Said(
      ZoneId zone,
      Optional<CsvColumns.Choice> columns,
      Function<String, Optional<CsvColumns.Choice>> remembered,
      Optional<Instant> startedAt) {
    /** Nothing but the zone. */
    public static Said nothing(ZoneId zone) {
      return new Said(zone, Optional.empty(), signature -> Optional.empty(), Optional.empty());
    }
  }

  public RecordingFile {
    asked = List.copyOf(asked);
  }

  static RecordingFile read(
      Format format, DeviceRecording recording, Optional<Mode> mode, Optional<Boolean> strap) {
    return new RecordingFile(
        format, Optional.of(recording), mode, strap, Optional.empty(), List.of());
  }

  private static final int LOOKED_AT = 512;
  private static final int BYTE_ORDER_MARK = 0xFEFF;

  /**
   * Reads a file as it streams in; which format it is is seen from how it begins.
   *
   * @throws InvalidValueException where it is not one, or cannot be: with the place of the fault
   * @throws IOException where it cannot be got at
   */
  public static RecordingFile of(InputStream file, Said said) throws IOException {
    BufferedInputStream in = new BufferedInputStream(file, 1 << 16);
    in.mark(LOOKED_AT);
    byte[] head = in.readNBytes(LOOKED_AT);
    in.reset();
    return switch (first(head)) {
      case '<' -> GpxRecording.read(in, said.zone);
      case '{', '[' -> JsonRecording.read(in, said.zone);
      case 0 -> throw InvalidValueException.of("file", "is empty", ACCEPTED);
      default -> {
        if (binary(head)) {
          throw InvalidValueException.of(
              "file",
              head[0] == 'P' && head[1] == 'K'
                  ? "is a ZIP file: unpack it, and bring in what is in it"
                  : "is no text",
              ACCEPTED);
        }
        yield CsvRecording.read(in, said);
      }
    };
  }

  /** The first character that is no space; 0 where there is none. */
  private static char first(byte[] head) {
    String text = new String(head, charset(head));
    for (char each : text.toCharArray()) {
      if (!Character.isWhitespace(each) && each != BYTE_ORDER_MARK) {
        return each;
      }
    }
    return 0;
  }

  /** The encoding that a byte-order mark tells; UTF-8 without one. */
  static java.nio.charset.Charset charset(byte[] head) {
    boolean marked = head.length > 1 && (head[0] & head[1] & 0xFE) == 0xFE && head[0] != head[1];
    return marked ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8;
  }

  private static boolean binary(byte[] head) {
    if (charset(head) == StandardCharsets.UTF_16) {
      return false;
    }
    for (byte each : head) {
      if (each >= 0 && each < ' ' && each != '\t' && each != '\r' && each != '\n') {
        return true;
      }
    }
    return false;
  }

  static InvalidValueException off(String what) {
    return InvalidValueException.of("file", what, ACCEPTED);
  }
}
