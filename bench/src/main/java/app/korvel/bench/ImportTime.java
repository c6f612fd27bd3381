package app.korvel.bench;

import app.korvel.exchange.recording.RecordingFile;
import app.korvel.exchange.recording.RecordingFile.Said;
import app.korvel.server.KorvelServer;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamReader;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.codehaus.stax2.XMLInputFactory2;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.core.JsonParser;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;

/**
 * Recordings in: ten hours against a bare pass of the same parser with the same settings, and the
 * memory that 200 MB take; a client out; and the months of somebody with five years behind them.
 */
final class ImportTime {
  private static final int SECONDS = 36_000;
  private static final int WARM_UP = 6;
  private static final int ROUNDS = 15;
  private static final int PAGES = 60;
  private static final long LARGE = 200L << 20;
  private static final long EVERY = 20L << 20;
  private static final Instant START = Instant.parse("2026-03-01T06:00:00Z");
  private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");

  private final HttpClient http = HttpClient.newHttpClient();

  void run() throws Exception {
    byte[] gpx = gpx();
    byte[] csv = csv();
    byte[] fhir = fhir();
    System.out.printf("Ten hours at 1 Hz, median of %d, against a bare pass:%n", ROUNDS);
    compare("GPX", gpx, () -> bareXml(gpx));
    compare("CSV", csv, () -> bareCsv(csv));
    compare("FHIR", fhir, () -> bareJson(fhir));
    memory();
    server(csv);
  }

  private static byte[] gpx() {
    Random random = new Random(1);
    StringBuilder text = new StringBuilder("<gpx version=\"1.1\"><trk><trkseg>\n");
    for (int n = 0; n < SECONDS; n++) {
      text.append(point(n, 110 + random.nextInt(40), ""));
    }
    return text.append("</trkseg></trk></gpx>").toString().getBytes(StandardCharsets.UTF_8);
  }

  private static String point(int second, int bpm, String more) {
    return "<trkpt lat=\"37.4\" lon=\"25.3\"><ele>3.2</ele><time>"
        + START.plusSeconds(second)
        + "</time><extensions><hr>"
        + bpm
        + "</hr><cad>84</cad>"
        + more
        + "</extensions></trkpt>\n";
  }

  private static byte[] csv() {
    Random random = new Random(2);
    StringBuilder text = new StringBuilder("time,heart rate,cadence\n");
    for (int n = 0; n < SECONDS; n++) {
      text.append(START.plusSeconds(n))
          .append(',')
          .append(110 + random.nextInt(40))
          .append(",84\n");
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  private static byte[] fhir() {
    StringBuilder text = new StringBuilder("{\"resourceType\":\"Bundle\",\"entry\":[");
    for (int n = 0; n < SECONDS; n++) {
      text.append(n == 0 ? "" : ",")
          .append(
              "{\"resource\":{\"resourceType\":\"Observation\",\"code\":{\"coding\":[{\"system\":")
          .append("\"http://loinc.org\",\"code\":\"8867-4\"}]},\"effectiveDateTime\":\"")
          .append(START.plusSeconds(n))
          .append("\",\"valueQuantity\":{\"value\":120,\"code\":\"/min\"}}}");
    }
    return text.append("]}").toString().getBytes(StandardCharsets.UTF_8);
  }

  private static int bareXml(byte[] bytes) throws Exception {
    XMLInputFactory factory = XMLInputFactory.newFactory();
    factory.setProperty(XMLInputFactory2.P_LAZY_PARSING, false);
    XMLStreamReader xml = factory.createXMLStreamReader(new ByteArrayInputStream(bytes));
    int events = 0;
    while (xml.hasNext()) {
      xml.next();
      events++;
    }
    return events;
  }

  private static int bareCsv(byte[] bytes) throws Exception {
    int cells = 0;
    try (CSVParser csv =
        CSVParser.parse(
            new InputStreamReader(new ByteArrayInputStream(bytes), StandardCharsets.UTF_8),
            CSVFormat.DEFAULT)) {
      for (CSVRecord row : csv) {
        cells += row.size();
      }
    }
    return cells;
  }

  private static int bareJson(byte[] bytes) {
    int tokens = 0;
    try (JsonParser json =
        JsonFactory.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build()
            .createParser(ObjectReadContext.empty(), new ByteArrayInputStream(bytes))) {
      while (json.nextToken() != null) {
        tokens++;
      }
    }
    return tokens;
  }

  private static void compare(String name, byte[] file, Callable<Integer> bare) throws Exception {
    double[] whole = new double[ROUNDS];
    double[] passed = new double[ROUNDS];
    for (int n = -WARM_UP; n < ROUNDS; n++) {
      double one = time(() -> RecordingFile.of(new ByteArrayInputStream(file), said()));
      double other = time(bare);
      if (n >= 0) {
        whole[n] = one;
        passed[n] = other;
      }
    }
    double read = new Sample(name, "ms", whole).median();
    double pass = new Sample(name, "ms", passed).median();
    System.out.printf(
        Locale.ROOT,
        "  %-5s %6.1f MB: read %7.1f ms, bare pass %7.1f ms, ratio %.2f%n",
        name,
        file.length / 1e6,
        read,
        pass,
        read / pass);
  }

  private static Said said() {
    return Said.nothing(ZoneOffset.UTC);
  }

  private static double time(Callable<?> work) throws Exception {
    long from = System.nanoTime();
    work.call();
    return (System.nanoTime() - from) / 1e6;
  }

  /** What is alive while a file of 200 MB is read, asked each 20 MB, over what was before. */
  private static void memory() throws Exception {
    long before = alive();
    long[] most = {0};
    long from = System.nanoTime();
    RecordingFile.of(new Large(most), said());
    System.out.printf(
        Locale.ROOT,
        "A GPX of %d MB: %.1f MB more in use at the most, %.1f s%n",
        LARGE >> 20,
        (most[0] - before) / 1e6,
        (System.nanoTime() - from) / 1e9);
  }

  private static long alive() {
    System.gc();
    Runtime runtime = Runtime.getRuntime();
    return runtime.totalMemory() - runtime.freeMemory();
  }

  /** Points that each carry kilobytes of something else. */
  private static final class Large extends InputStream {
    private static final String MORE = "<other>" + "x".repeat(5_200) + "</other>";

    private final long[] most;
    private byte[] part = "<gpx version=\"1.1\"><trk><trkseg>".getBytes(StandardCharsets.UTF_8);
    private int place;
    private int second;
    private long sent;
    private long asked;
    private boolean over;

    Large(long[] most) {
      this.most = most;
    }

    @Override
    public int read() {
      byte[] one = new byte[1];
      return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
    }

    @Override
    public int read(byte[] into, int offset, int length) {
      if (place == part.length) {
        if (over) {
          return -1;
        }
        over = sent > LARGE;
        part =
            (over ? "</trkseg></trk></gpx>" : point(second++, 120, MORE))
                .getBytes(StandardCharsets.UTF_8);
        place = 0;
      }
      int count = Math.min(length, part.length - place);
      System.arraycopy(part, place, into, offset, count);
      place += count;
      sent += count;
      if (sent - asked > EVERY) {
        asked = sent;
        most[0] = Math.max(most[0], alive());
      }
      return count;
    }
  }

  private void server(byte[] csv) throws Exception {
    Path folder = YearsFolder.make(4, 5, 19);
    try (ConfigurableApplicationContext server =
        KorvelServer.start("--server.port=0", "--korvel.data=" + folder)) {
      String address =
          "http://127.0.0.1:" + server.getEnvironment().getProperty("local.server.port") + "/api";
      Matcher found = ID.matcher(text(address + "/clients"));
      found.find();
      String client = address + "/clients/" + found.group(1);
      double[] brought = new double[ROUNDS];
      for (int n = -2; n < ROUNDS; n++) {
        double took = time(() -> post(client + "/recordings?name=ten.csv", csv));
        if (n >= 0) {
          brought[n] = took;
        }
      }
      print("Ten hours as CSV, until the preview is answered", brought);
      page("Months, 12 of five years", client + "/months?months=12");
      page("Months, all 60", client + "/months?months=60");
      double[] out = new double[ROUNDS];
      int[] bytes = {0};
      for (int n = -2; n < ROUNDS; n++) {
        double took = time(() -> bytes[0] = file(client + "/archive.zip"));
        if (n >= 0) {
          out[n] = took;
        }
      }
      print("One client whole, five years, " + (bytes[0] >> 10) + " kB", out);
    }
  }

  private void page(String name, String address) throws Exception {
    double[] times = new double[PAGES];
    for (int n = -WARM_UP; n < PAGES; n++) {
      double took = time(() -> text(address));
      if (n >= 0) {
        times[n] = took;
      }
    }
    print(name, times);
  }

  private static void print(String name, double[] times) {
    Sample sample = new Sample(name, "ms", times);
    System.out.printf(
        Locale.ROOT,
        "%s: median %.1f ms, p95 %.1f ms%n",
        name,
        sample.median(),
        sample.quantile(0.95));
  }

  private String text(String address) throws IOException, InterruptedException {
    return http.send(HttpRequest.newBuilder(URI.create(address)).build(), BodyHandlers.ofString())
        .body();
  }

  private int file(String address) throws IOException, InterruptedException {
    return http.send(
            HttpRequest.newBuilder(URI.create(address)).build(), BodyHandlers.ofByteArray())
        .body()
        .length;
  }

  private String post(String address, byte[] body) throws IOException, InterruptedException {
    String answer =
        http.send(
                HttpRequest.newBuilder(URI.create(address))
                    .header("Content-Type", "application/octet-stream")
                    .POST(BodyPublishers.ofByteArray(body))
                    .build(),
                BodyHandlers.ofString())
            .body();
    if (!answer.contains("\"preview\":{")) {
      throw new IllegalStateException(answer.substring(0, Math.min(300, answer.length())));
    }
    return answer;
  }
}
