package app.korvel.exchange.archive;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.exchange.CsvFault;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Reads an archive as it streams in; what swells far beyond its size is refused. */
public final class ArchiveReader {
  static final String ACCEPTED = "an archive that Korvel wrote, of a client or of a studio";
  static final String TABLES = "tables/";

  private static final int MOST_FILES = 100_000;
  private static final int LONGEST_MANIFEST = 1 << 16;

  /** A cell holds a recording of twelve hours at most, in Base64. */
  private static final int LONGEST_ROW = 1 << 22;

  /** From here on what is unpacked is compared with what was packed. */
  private static final long SMALL = 32L << 20;

  private static final int MOST_SWELLING = 100;

  private ArchiveReader() {}

  /** Takes what an archive holds. */
  public interface Sink {
    /** What it is, before anything else. */
    void begin(Manifest manifest);

    /** A row of a table; null for what is not there. */
    void row(String table, List<String> columns, List<String> values);
  }

  /**
   * Reads it.
   *
   * @throws InvalidValueException where it is none, was cut off, or swells too far
   * @throws IOException where it cannot be got at
   */
  public static void read(InputStream in, Sink sink) throws IOException {
    Counted packed = new Counted(in);
    Map<String, Long> rows = new HashMap<>();
    Manifest manifest = null;
    try (ZipInputStream zip = new ZipInputStream(packed, StandardCharsets.UTF_8)) {
      Counted unpacked = new Counted(zip);
      unpacked.against = packed;
      int files = 0;
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (++files > MOST_FILES) {
          throw off("holds over " + MOST_FILES + " files");
        }
        String name = entry.getName();
        if (manifest == null) {
          if (!name.equals(Manifest.NAME)) {
            throw off("does not begin with " + Manifest.NAME);
          }
          byte[] written = unpacked.readNBytes(LONGEST_MANIFEST);
          manifest = Manifest.read(new String(written, StandardCharsets.UTF_8));
          sink.begin(manifest);
        } else if (name.startsWith(TABLES) && name.endsWith(".csv")) {
          String table = name.substring(TABLES.length(), name.length() - ".csv".length());
          rows.put(table, table(unpacked, table, sink));
        } else {
          unpacked.skipAll();
        }
      }
    } catch (ZipException | java.io.EOFException broken) {
      throw off("is no whole ZIP file; it may have been cut off");
    } catch (IllegalArgumentException broken) {
      if (broken instanceof InvalidValueException) {
        throw broken;
      }
      throw off("holds a file whose name cannot be read");
    }
    if (manifest == null) {
      throw off("is no ZIP file");
    }
    for (Map.Entry<String, Long> told : manifest.rows().entrySet()) {
      long found = rows.getOrDefault(told.getKey(), 0L);
      if (found != told.getValue()) {
        throw off(
            TABLES
                + told.getKey()
                + ".csv has "
                + found
                + " rows, not "
                + told.getValue()
                + "; it may have been cut off");
      }
    }
  }

  private static long table(InputStream in, String table, Sink sink) throws IOException {
    long count = 0;
    List<String> columns = List.of();
    try {
      CSVParser csv =
          CSVParser.parse(
              new InputStreamReader(new ShortRows(in), StandardCharsets.UTF_8), ArchiveWriter.CSV);
      for (CSVRecord row : csv) {
        List<String> values = Arrays.asList(row.values());
        if (columns.isEmpty()) {
          columns = List.copyOf(values);
        } else if (values.size() != columns.size()) {
          throw off(
              TABLES
                  + table
                  + ".csv, row "
                  + count
                  + ": has "
                  + values.size()
                  + " cells, not "
                  + columns.size());
        } else {
          sink.row(table, columns, values);
          count++;
        }
      }
    } catch (NullPointerException empty) {
      throw off(TABLES + table + ".csv has a column without a name");
    } catch (UncheckedIOException | IllegalStateException broken) {
      if (broken.getCause() instanceof InvalidValueException swelling) {
        throw swelling;
      }
      Optional<IOException> unread = CsvFault.ofStream(broken);
      if (unread.isPresent()) {
        throw unread.get();
      }
      throw off(TABLES + table + ".csv, row " + count + ": is no CSV");
    }
    return count;
  }

  private static InvalidValueException off(String what) {
    return InvalidValueException.of("file", what, ACCEPTED);
  }

  /** A stream that knows how much came out of it, and how much may for what went in. */
  private static final class Counted extends FilterInputStream {
    private long count;
    private Counted against;

    Counted(InputStream in) {
      super(in);
    }

    @Override
    public int read() throws IOException {
      int read = in.read();
      add(read < 0 ? 0 : 1);
      return read;
    }

    @Override
    public int read(byte[] into, int offset, int length) throws IOException {
      int read = in.read(into, offset, length);
      add(Math.max(0, read));
      return read;
    }

    void skipAll() throws IOException {
      byte[] buffer = new byte[1 << 14];
      int read = 0;
      while (read >= 0) {
        read = read(buffer, 0, buffer.length);
      }
    }

    private void add(int read) {
      count += read;
      if (against != null && count > SMALL && count / MOST_SWELLING > against.count) {
        throw off("swells to over " + MOST_SWELLING + " times its size");
      }
    }

    @Override
    public void close() {
      // The ZIP goes on after one of its files.
    }
  }

  /** Rows that end: a quote that is never closed would be read whole. */
  private static final class ShortRows extends FilterInputStream {
    private int length;
    private boolean quoted;

    ShortRows(InputStream in) {
      super(in);
    }

    @Override
    public int read(byte[] into, int offset, int wanted) throws IOException {
      int read = in.read(into, offset, wanted);
      for (int n = offset; n < offset + read; n++) {
        quoted ^= into[n] == '"';
        length = into[n] == '\n' && !quoted ? 0 : length + 1;
        if (length > LONGEST_ROW) {
          throw off("has an overlong row");
        }
      }
      return read;
    }
  }
}
