package app.korvel.exchange.archive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.exchange.archive.Manifest.Scope;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ArchiveTest {
  private static final Instant AT = Instant.parse("2030-03-18T17:00:02Z");
  private static final List<String> COLUMNS = List.of("id", "note", "samples");
  private static final List<List<String>> ROWS =
      List.of(
          Arrays.asList("1", "", null),
          Arrays.asList("2", null, "AAEC"),
          Arrays.asList("3", "She said “well”,\nthen \"no\"; = 1 + 1", ""));

  /** What was read, in its order. */
  private static final class Read implements ArchiveReader.Sink {
    private final List<Manifest> manifests = new ArrayList<>();
    private final List<List<String>> rows = new ArrayList<>();

    @Override
    public void begin(Manifest manifest) {
      assertThat(rows).isEmpty();
      manifests.add(manifest);
    }

    @Override
    public void row(String table, List<String> columns, List<String> values) {
      assertThat(table).isEqualTo("note");
      assertThat(columns).isEqualTo(COLUMNS);
      rows.add(new ArrayList<>(values));
    }
  }

  /** Fills an archive. */
  private interface Filling {
    void to(ArchiveWriter archive) throws IOException;
  }

  private static byte[] written(Filling filling) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ArchiveWriter archive = new ArchiveWriter(out, AT)) {
      filling.to(archive);
    }
    return out.toByteArray();
  }

  private static Manifest manifest(long rows) {
    return Manifest.of(17, Scope.CLIENT, Optional.of("someone"), AT, Map.of("note", rows));
  }

  private static byte[] usual() throws IOException {
    return written(
        archive -> {
          archive.manifest(manifest(ROWS.size()));
          archive.table(
              "note",
              COLUMNS,
              rows -> {
                for (List<String> row : ROWS) {
                  rows.add(row);
                }
              });
          archive.file("pages/of someone.txt", out -> out.write(new byte[70_000]));
        });
  }

  /** A ZIP with files as they are given, name and content in turn. */
  private static byte[] zip(String... files) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
      for (int n = 0; n < files.length; n += 2) {
        zip.putNextEntry(new ZipEntry(files[n]));
        zip.write(files[n + 1].getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
      }
    }
    return out.toByteArray();
  }

  private static Read read(byte[] bytes) throws IOException {
    Read read = new Read();
    ArchiveReader.read(new ByteArrayInputStream(bytes), read);
    return read;
  }

  private static void refused(byte[] bytes, String because) {
    assertThatThrownBy(() -> read(bytes))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining(because);
  }

  @Test
  void whatIsNotThereAndWhatIsEmptyComeBackAsTheyWere() throws IOException {
    Read read = read(usual());
    assertThat(read.rows).isEqualTo(ROWS);
    assertThat(read.manifests).containsExactly(manifest(ROWS.size()));
  }

  @Test
  void theSameRecordsAtTheSameMomentAreTheSameBytes() throws IOException {
    assertThat(usual()).isEqualTo(usual());
  }

  @Test
  void itIsAZipWithTablesThatAnyProgramOpens() throws IOException {
    List<String> names = new ArrayList<>();
    String table = "";
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(usual()))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        names.add(entry.getName());
        if (entry.getName().startsWith("tables/")) {
          table = new String(zip.readAllBytes(), StandardCharsets.UTF_8);
        }
      }
    }
    assertThat(names).containsExactly("korvel.json", "tables/note.csv", "pages/of someone.txt");
    assertThat(table)
        .startsWith("\"id\",\"note\",\"samples\"\r\n\"1\",\"\",\r\n\"2\",,\"AAEC\"\r\n")
        .contains("then \"\"no\"\"");
  }

  @Test
  void aTableWithoutRowsIsNoFault() throws IOException {
    byte[] empty =
        written(
            archive -> {
              archive.manifest(manifest(0));
              archive.table("note", COLUMNS, rows -> {});
            });
    assertThat(read(empty).rows).isEmpty();
  }

  @Test
  void whatIsNoArchiveIsRefused() throws IOException {
    refused(new byte[0], "is no ZIP file");
    refused("name,bpm\r\nWren,61\r\n".getBytes(StandardCharsets.UTF_8), "is no ZIP file");
    refused(zip("notes.txt", "nothing"), "does not begin with korvel.json");
    refused(zip("tables/note.csv", "id\r\n", "korvel.json", "{}"), "does not begin with");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "[]",
        "{}",
        "{\"format\":\"korvel-archive\"}",
        "{\"format\":\"korvel-archive\",\"version\":2,\"schema\":17,\"scope\":\"CLIENT\","
            + "\"client\":null,\"writtenAt\":\"2030-03-18T17:00:00Z\",\"rows\":{}}",
        "{\"format\":\"other\",\"version\":1,\"schema\":17,\"scope\":\"CLIENT\","
            + "\"client\":null,\"writtenAt\":\"2030-03-18T17:00:00Z\",\"rows\":{}}",
        "{\"format\":\"korvel-archive\",\"version\":1,\"schema\":17,\"scope\":\"TOWN\","
            + "\"client\":null,\"writtenAt\":\"2030-03-18T17:00:00Z\",\"rows\":{}}"
      })
  void aManifestOfSomethingElseIsRefused(String manifest) throws IOException {
    refused(zip("korvel.json", manifest), "korvel.json is not that of an archive of Korvel");
  }

  @Test
  void oneThatWasCutOffIsRefusedWhereverThatWas() throws IOException {
    byte[] whole = usual();
    for (int length = 1; length < whole.length - 600; length += 7) {
      byte[] cut = Arrays.copyOf(whole, length);
      assertThatThrownBy(() -> read(cut)).isInstanceOf(InvalidValueException.class);
    }
  }

  @Test
  void rowsThatAreMissingAreCounted() throws IOException {
    String head = "\"id\",\"note\",\"samples\"\r\n";
    refused(
        zip("korvel.json", manifest(2).written(), "tables/note.csv", head + "\"1\",,\r\n"),
        "tables/note.csv has 1 rows, not 2");
    refused(zip("korvel.json", manifest(2).written()), "tables/note.csv has 0 rows, not 2");
  }

  @Test
  void aRowThatIsTooShortOrNoCsvIsRefusedWithItsPlace() throws IOException {
    String head = "\"id\",\"note\",\"samples\"\r\n";
    refused(
        zip("korvel.json", manifest(2).written(), "tables/note.csv", head + "\"1\",,\r\n\"2\"\r\n"),
        "tables/note.csv, row 1: has 1 cells, not 3");
    refused(
        zip("korvel.json", manifest(1).written(), "tables/note.csv", head + "\"1,,\r\n"),
        "tables/note.csv, row 0: is no CSV");
  }

  @Test
  void aRowThatNeverEndsIsNotReadWhole() throws IOException {
    Random random = new Random(1);
    StringBuilder endless = new StringBuilder("\"id\",\"note\",\"samples\"\r\n\"");
    for (int n = 0; n < 5_000_000; n++) {
      endless.append((char) ('a' + random.nextInt(26)));
    }
    refused(
        zip("korvel.json", manifest(1).written(), "tables/note.csv", endless.toString()),
        "has an overlong row");
  }

  @Test
  void whatSwellsFarBeyondItsSizeIsRefused() throws IOException {
    byte[] bomb =
        written(
            archive -> {
              archive.manifest(manifest(0));
              archive.file(
                  "zeros",
                  out -> {
                    for (int n = 0; n < 64; n++) {
                      out.write(new byte[1 << 20]);
                    }
                  });
            });
    assertThat(bomb).hasSizeLessThan(1 << 20);
    refused(bomb, "swells to over 100 times its size");
  }

  @Test
  void aStreamThatBreaksIsNoFaultOfTheFile() throws IOException {
    byte[] whole = usual();
    InputStream breaks =
        new InputStream() {
          private int read;

          @Override
          public int read() throws IOException {
            if (read == 120) {
              throw new IOException("the line is cut");
            }
            return whole[read++] & 0xFF;
          }
        };
    assertThatThrownBy(() -> ArchiveReader.read(breaks, new Read()))
        .isInstanceOf(IOException.class)
        .hasMessage("the line is cut");
  }
}
