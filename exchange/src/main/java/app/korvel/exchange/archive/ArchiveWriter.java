package app.korvel.exchange.archive;

import java.io.BufferedWriter;
import java.io.Closeable;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.QuoteMode;

/** Writes an archive as it streams out. The same records at the same moment are the same bytes. */
public final class ArchiveWriter implements Closeable {
  /** What is not there is an empty cell; a text that is empty stands between quotes. */
  static final CSVFormat CSV =
      CSVFormat.RFC4180.builder().setQuoteMode(QuoteMode.ALL_NON_NULL).setNullString("").get();

  private final ZipOutputStream zip;
  private final LocalDateTime at;

  /**
   * @param at the time of its files
   */
  public ArchiveWriter(OutputStream out, Instant at) {
    this.zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
    this.at = LocalDateTime.ofInstant(at, ZoneOffset.UTC);
  }

  /** Takes rows. */
  public interface Rows {
    /** A row; null for what is not there. */
    void add(List<String> values) throws IOException;
  }

  /** Writes something to a stream. */
  public interface Content {
    /** Writes it. */
    void to(OutputStream out) throws IOException;
  }

  /** Fills a table. */
  public interface Filling {
    /** Adds its rows. */
    void to(Rows rows) throws IOException;
  }

  /** What it holds; first of all. */
  public void manifest(Manifest manifest) throws IOException {
    file(Manifest.NAME, out -> out.write(manifest.written().getBytes(StandardCharsets.UTF_8)));
  }

  /** A table, with its columns in the first line. */
  public void table(String name, List<String> columns, Filling filling) throws IOException {
    file(
        ArchiveReader.TABLES + name + ".csv",
        out -> {
          Writer text = new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8));
          Rows rows = values -> text.write(CSV.format(values.toArray()) + CSV.getRecordSeparator());
          rows.add(columns);
          filling.to(rows);
          text.flush();
        });
  }

  /** Any other file. */
  public void file(String path, Content content) throws IOException {
    ZipEntry entry = new ZipEntry(path);
    entry.setTimeLocal(at);
    zip.putNextEntry(entry);
    content.to(
        new FilterOutputStream(zip) {
          @Override
          public void write(byte[] bytes, int offset, int length) throws IOException {
            out.write(bytes, offset, length);
          }

          @Override
          public void close() throws IOException {
            flush();
          }
        });
    zip.closeEntry();
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }
}
