package app.korvel.exchange;

import java.io.IOException;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;

/** Tells a table that is at fault from a stream that could not be read. */
public final class CsvFault {
  private CsvFault() {}

  /** Why the stream could not be read; empty where the table itself is at fault. */
  public static Optional<IOException> ofStream(RuntimeException broken) {
    return broken.getCause() instanceof IOException unread
            && unread.getClass().getPackage() != CSVFormat.class.getPackage()
        ? Optional.of(unread)
        : Optional.empty();
  }
}
