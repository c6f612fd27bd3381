package app.korvel.exchange.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.trace.DeviceRecording;
import app.korvel.exchange.recording.CsvColumns.DateOrder;
import app.korvel.exchange.recording.RecordingFile.Format;
import app.korvel.exchange.recording.RecordingFile.Question;
import app.korvel.exchange.recording.RecordingFile.Said;
import io.jenetics.jpx.GPX;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Enumeration;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class RecordingFileTest {
  private static final ZoneId ZONE = ZoneId.of("Europe/Athens");
  private static final Instant START = Instant.parse("2030-03-18T15:00:00Z");

  private static RecordingFile read(String text) {
    return read(text.getBytes(StandardCharsets.UTF_8), Said.nothing(ZONE));
  }

  private static RecordingFile read(byte[] bytes, Said said) {
    try {
      return RecordingFile.of(new ByteArrayInputStream(bytes), said);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  private static String lines(int points, IntFunction<String> line) {
    return IntStream.range(0, points).mapToObj(line).collect(Collectors.joining("\n", "", "\n"));
  }

  private static String gpx(String points) {
    return "<?xml version=\"1.0\"?><gpx version=\"1.1\" xmlns=\"http://www.topografix.com/GPX/1/1\""
        + " xmlns:a=\"http://a.example/x\"><trk><name>Evening</name><type>cycling</type><trkseg>"
        + points
        + "</trkseg></trk></gpx>";
  }

  private static String point(int second, String inside) {
    return "<trkpt lat=\"37.1\" lon=\"25.2\"><ele>3</ele><time>"
        + START.plusSeconds(second)
        + "</time>"
        + inside
        + "</trkpt>\n";
  }

  private static String rate(int bpm) {
    return "<extensions><a:Track><a:hr>" + bpm + "</a:hr><a:cad>82</a:cad></a:Track></extensions>";
  }

  private static DeviceRecording recorded(RecordingFile file) {
    assertThat(file.asked()).isEmpty();
    return file.recording().orElseThrow();
  }

  @Test
  void gpxWithTheRateInAnyExtension() {
    RecordingFile file = read(gpx(lines(90, n -> point(n, rate(100 + n)))));
    assertThat(file.format()).isEqualTo(Format.GPX);
    assertThat(file.mode()).contains(Mode.CYCLE);
    DeviceRecording recording = recorded(file);
    assertThat(recording.startedAt()).isEqualTo(START);
    assertThat(recording.bpm()).hasSize(90).startsWith(100, 101).endsWith(189);
    assertThat(recording.stepsDoubled()).isTrue();
    assertThat(recording.stepsBySecond()[40]).isEqualTo(164);
    String bare = rate(120).replace("a:Track>", "k>").replace("a:hr", "hr").replace("a:cad", "cad");
    assertThat(recorded(read(gpx(lines(90, n -> point(n, bare))))).bpm()).startsWith(120);
  }

  @Test
  void gpxWithoutARateSaysHowManyPointsItHas() {
    assertThatThrownBy(() -> read(gpx(lines(90, n -> point(n, "")))))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("holds no heart rate in 90 points");
  }

  @Test
  void gpxWhoseTimesGoBackNamesThePoint() {
    String back = lines(90, n -> point(n == 40 ? 10 : n, rate(120)));
    assertThatThrownBy(() -> read(gpx(back))).hasMessageContaining("point 41 (line 81): its time");
  }

  @Test
  void aFileThatWasCutOffNamesTheLine() {
    String whole = gpx(lines(90, n -> point(n, rate(120))));
    assertThatThrownBy(() -> read(whole.substring(0, whole.length() - 900)))
        .hasMessageContaining("is no whole XML; it may have been cut off");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<?xml version=\"1.0\"?><!DOCTYPE gpx [<!ENTITY a \"aaaa\"><!ENTITY b \"&a;&a;&a;\">]>"
            + "<gpx><trk><name>&b;</name></trk></gpx>",
        "<?xml version=\"1.0\"?><!DOCTYPE gpx SYSTEM \"http://elsewhere.example/x.dtd\"><gpx/>",
        "<?xml version=\"1.0\"?><!DOCTYPE gpx [<!ENTITY f SYSTEM \"file:///etc/passwd\">]>"
            + "<gpx><trk><name>&f;</name></trk></gpx>"
      })
  void aDocumentTypeIsRefused(String text) {
    assertThatThrownBy(() -> read(text))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("document type");
  }

  @Test
  void depthAndAttributesAreBounded() {
    assertThatThrownBy(() -> read("<gpx>" + "<a>".repeat(100_000)))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> read("<gpx a=\"" + "x".repeat(2_000_000) + "\"/>"))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> read("<kml><Document/></kml>"))
        .hasMessageContaining("its root is “kml”");
  }

  @Test
  void aGpxOfTwoHundredMegabytesIsReadAsItStreams() throws IOException {
    byte[] head = gpx("").split("</trkseg>")[0].getBytes(StandardCharsets.UTF_8);
    String fat =
        rate(120).replace("</extensions>", "<a:x>" + "y".repeat(5000) + "</a:x></extensions>");
    int points = 40_000;
    Enumeration<InputStream> parts =
        new Enumeration<>() {
          private int next = -1;

          @Override
          public boolean hasMoreElements() {
            return next <= points;
          }

          @Override
          public InputStream nextElement() {
            int n = next++;
            return new ByteArrayInputStream(
                n < 0
                    ? head
                    : n == points
                        ? "</trkseg></trk></gpx>".getBytes(StandardCharsets.UTF_8)
                        : point(n, fat).getBytes(StandardCharsets.UTF_8));
          }
        };
    RecordingFile file = RecordingFile.of(new SequenceInputStream(parts), Said.nothing(ZONE));
    assertThat(recorded(file).points()).isEqualTo(points);
  }

  @Test
  void csvWithHeadingsIsGuessed() {
    String text =
        "Timestamp;Heart Rate [bpm];Cadence\n"
            + lines(90, n -> START.plusSeconds(n) + ";" + (100 + n) + ";85");
    RecordingFile file = read(text);
    assertThat(file.csv().orElseThrow().choice().rate()).isEqualTo(1);
    assertThat(recorded(file).bpm()).startsWith(100, 101);
    assertThat(recorded(file).stepsDoubled()).isTrue();
  }

  @Test
  void csvInTheStudiosZoneWithLinesBeforeTheHeadingsAndDecimalCommas() {
    String text =
        "Device;X\nOwner;somebody\n\ndate;time;hr\n"
            + lines(90, n -> "18.03.2030;17:%02d:%02d;%d,4".formatted(n / 60, n % 60, 110 + n % 5));
    DeviceRecording recording = recorded(read(text));
    assertThat(recording.startedAt()).isEqualTo(START);
    assertThat(recording.bpm()).startsWith(110, 111, 112);
  }

  @Test
  void aDateOfTwoOrdersIsAskedAboutAndRememberedAsSaid() {
    String text =
        "time,hr\n" + lines(90, n -> "03/04/2030 17:%02d:%02d,120".formatted(n / 60, n % 60));
    RecordingFile asked = read(text);
    assertThat(asked.asked()).containsExactly(Question.DATE_ORDER);
    assertThat(asked.recording()).isEmpty();
    assertThat(asked.csv().orElseThrow().signature()).isEqualTo("time\nhr");
    for (DateOrder order : DateOrder.values()) {
      CsvColumns.Choice said = new CsvColumns.Choice(1, 0, -1, -1, Optional.of(order));
      assertThat(CsvColumns.Choice.of(said.document())).isEqualTo(said);
      RecordingFile file =
          read(
              text.getBytes(StandardCharsets.UTF_8),
              new Said(ZONE, Optional.empty(), signature -> Optional.of(said), Optional.empty()));
      assertThat(recorded(file).startedAt().atZone(ZONE).getMonthValue())
          .isEqualTo(order == DateOrder.DAY_FIRST ? 4 : 3);
    }
    assertThat(read(text.replace("03/04", "18/03")).asked()).isEmpty();
    assertThat(read(text.replace("03/04", "03/18")).recording().orElseThrow().startedAt())
        .isEqualTo(START);
  }

  @Test
  void aFileThatCountsFromItsBeginningAsksWhenThatWas() {
    String text = "seconds,bpm\n" + lines(90, n -> n + ",120");
    assertThat(read(text).asked()).containsExactly(Question.STARTED_AT);
    Said said = new Said(ZONE, Optional.empty(), signature -> Optional.empty(), Optional.of(START));
    assertThat(recorded(read(text.getBytes(StandardCharsets.UTF_8), said)).startedAt())
        .isEqualTo(START);
    String past =
        "clock,hr\n"
            + lines(90, n -> (n < 60 ? "23:59:%02d,120" : "00:00:%02d,120").formatted(n % 60));
    RecordingFile column = read(past);
    assertThat(column.asked()).containsExactly(Question.TIME_COLUMN);
    CsvColumns.Choice named = new CsvColumns.Choice(1, 0, -1, -1, Optional.empty());
    DeviceRecording overnight =
        recorded(
            read(
                past.getBytes(StandardCharsets.UTF_8),
                new Said(
                    ZONE, Optional.of(named), signature -> Optional.empty(), Optional.of(START))));
    assertThat(overnight.length()).isEqualTo(90);
    String minutes = "elapsed,hr\n" + lines(90, n -> "%d:%02d,120".formatted(60 + n / 60, n % 60));
    DeviceRecording counted =
        recorded(
            read(
                minutes.getBytes(StandardCharsets.UTF_8),
                new Said(
                    ZONE, Optional.empty(), signature -> Optional.empty(), Optional.of(START))));
    assertThat(counted.length()).as("minutes and seconds").isEqualTo(90);
  }

  @Test
  void fortyColumnsAreLookedThrough() {
    String heads = IntStream.range(0, 38).mapToObj(n -> "c" + n).collect(Collectors.joining(","));
    String cells = IntStream.range(0, 38).mapToObj(n -> "7").collect(Collectors.joining(","));
    String text = heads + ",hr,time\n" + lines(90, n -> cells + ",120," + START.plusSeconds(n));
    RecordingFile file = read(text);
    assertThat(file.csv().orElseThrow().names()).hasSize(40);
    assertThat(recorded(file).bpm()).startsWith(120);
    String two = text.replace("c0,", "heart rate,");
    assertThat(read(two).asked()).as("two could be it").containsExactly(Question.RATE_COLUMN);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "abc | line 32: “abc” is no heart rate",
        "'\"abc' | a quote that is never closed",
      })
  void whatIsNoRateIsNamedWithItsLine(String cell, String said) {
    String text = "seconds,bpm\n" + lines(90, n -> n + "," + (n == 30 ? cell : "120"));
    Said start =
        new Said(ZONE, Optional.empty(), signature -> Optional.empty(), Optional.of(START));
    assertThatThrownBy(() -> read(text.getBytes(StandardCharsets.UTF_8), start))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining(said);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "-", "NaN", "null", "0", "255"})
  void aCellWithoutARateIsNoContact(String cell) {
    String text =
        "time,bpm\n" + lines(90, n -> START.plusSeconds(n) + "," + (n == 30 ? cell : "120"));
    assertThat(recorded(read(text)).bpm()[30]).isZero();
  }

  @Test
  void encodingsAreToldByTheirMarkAndOthersRefused() {
    String text = "time,bpm,où\n" + lines(90, n -> START.plusSeconds(n) + ",120,é");
    Said said = Said.nothing(ZONE);
    assertThat(recorded(read(("\uFEFF" + text).getBytes(StandardCharsets.UTF_8), said)).points())
        .isEqualTo(90);
    assertThat(recorded(read(text.getBytes(StandardCharsets.UTF_16), said)).points()).isEqualTo(90);
    assertThatThrownBy(() -> read(text.getBytes(StandardCharsets.ISO_8859_1), said))
        .hasMessageContaining("is not in UTF-8");
  }

  private static String observation(int second, String value) {
    return """
        {"fullUrl":"urn:uuid:1","resource":{"resourceType":"Observation","status":"final",
        "code":{"coding":[{"system":"http://loinc.org","code":"8867-4"}]},
        "subject":{"display":"somebody"},"effectiveDateTime":"%s",%s}}"""
        .formatted(START.plusSeconds(second), value);
  }

  @Test
  void fhirObservationsArePutInTheOrderOfTheirTimes() {
    String entries =
        IntStream.range(0, 90)
            .map(n -> 89 - n)
            .mapToObj(
                n ->
                    observation(
                        n, "\"valueQuantity\":{\"value\":" + (100 + n) + ".0,\"code\":\"/min\"}"))
            .collect(Collectors.joining(","));
    RecordingFile file = read("{\"entry\":[" + entries + "],\"resourceType\":\"Bundle\"}");
    assertThat(file.format()).isEqualTo(Format.FHIR);
    assertThat(recorded(file).bpm()).hasSize(90).startsWith(100, 101).endsWith(189);
  }

  @Test
  void fhirSampledDataOfItsOwnAndOfAComponent() {
    String data =
        IntStream.range(0, 90)
            .mapToObj(n -> n == 5 ? "E" : "1" + n % 10 + "0")
            .collect(Collectors.joining(" "));
    String sampled =
        "\"valueSampledData\":{\"origin\":{\"value\":0},\"period\":1000,\"dimensions\":1,"
            + "\"data\":\""
            + data
            + "\"}";
    DeviceRecording own =
        recorded(read("{\"resourceType\":\"Bundle\",\"entry\":[" + observation(0, sampled) + "]}"));
    assertThat(own.bpm()).startsWith(100, 110, 120, 130, 140, 0, 160);
    String component =
        "\"component\":[{\"code\":{\"coding\":[{\"system\":\"http://loinc.org\","
            + "\"code\":\"8867-4\"}]},"
            + sampled
            + "}]";
    assertThat(
            recorded(
                    read(
                        "{\"resourceType\":\"Bundle\",\"entry\":["
                            + observation(0, component)
                            + "]}"))
                .bpm())
        .isEqualTo(own.bpm());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"resourceType\":\"Patient\"} | is FHIR, and has no Observation",
        "{\"a\":1} | is JSON, but no FHIR resource",
        "[1,2] | is JSON, but no FHIR resource",
        "{\"resourceType\":\"Bundle\",\"entry\":[ | it may have been cut off",
        "{\"format\":\"other\",\"version\":1,\"startedAt\":\"2030-01-01T00:00:00Z\"} | is “other”",
        "{\"seconds\":[1,2],\"seconds\":[1]} | line 1",
      })
  void otherJsonIsRefused(String text, String said) {
    assertThatThrownBy(() -> read(text))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining(said);
  }

  @Test
  void jsonOfGreatDepthOrLengthIsRefused() {
    assertThatThrownBy(() -> read("{\"a\":".repeat(10_000)))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> read("{\"resourceType\":\"" + "x".repeat(2_000_000) + "\"}"))
        .isInstanceOf(InvalidValueException.class);
  }

  @ParameterizedTest
  @CsvSource({"'', is empty", "'   \n ', is empty", "PK\u0003\u0004xyz, is a ZIP file"})
  void whatIsNoTextIsRefused(String text, String said) {
    assertThatThrownBy(() -> read(text)).hasMessageContaining(said);
  }

  private static DeviceRecording sample() {
    DeviceRecording.Builder builder = new DeviceRecording.Builder();
    for (int n = 0; n < 120; n++) {
      if (n != 77) {
        builder.add(START.plusSeconds(n), n == 60 ? 0 : 100 + n % 40, 160 + n % 3, () -> "point");
      }
    }
    return builder.build();
  }

  @Test
  void whatIsWrittenIsReadAgainAsItWas() throws IOException {
    StringWriter gpx = new StringWriter();
    StringWriter csv = new StringWriter();
    StringWriter json = new StringWriter();
    RecordingText.gpx(sample(), Mode.ROW, gpx);
    RecordingText.csv(sample(), csv);
    RecordingText.json(sample(), Mode.SWIM, true, json);
    for (StringWriter each : List.of(gpx, csv, json)) {
      assertThat(recorded(read(each.toString()))).isEqualTo(sample());
    }
    assertThat(read(json.toString()).mode()).contains(Mode.SWIM);
    assertThat(read(json.toString()).strap()).contains(true);
  }

  @Test
  void otherLibrariesReadGpxAndCsvToo() throws IOException {
    StringWriter gpx = new StringWriter();
    RecordingText.gpx(sample(), Mode.RUN, gpx);
    GPX read =
        GPX.Reader.DEFAULT.read(
            new ByteArrayInputStream(gpx.toString().getBytes(StandardCharsets.UTF_8)));
    assertThat(read.getVersion()).isEqualTo("1.1");
    assertThat(read.tracks().flatMap(track -> track.segments()).flatMap(s -> s.points()).count())
        .isEqualTo(119);
    assertThat(
            read.tracks()
                .flatMap(t -> t.segments())
                .flatMap(s -> s.points())
                .findFirst()
                .orElseThrow()
                .getTime())
        .contains(START);
    StringWriter csv = new StringWriter();
    RecordingText.csv(sample(), csv);
    try (CSVParser parser =
        CSVParser.parse(
            new StringReader(csv.toString()),
            CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get())) {
      assertThat(parser.getRecords()).hasSize(119).allMatch(row -> row.isConsistent());
    }
  }

  private enum Base {
    GPX,
    CSV,
    FHIR,
    KORVEL;

    String text() throws IOException {
      StringWriter out = new StringWriter();
      switch (this) {
        case GPX -> out.write(gpx(lines(35, n -> point(2 * n, rate(120)))));
        case CSV ->
            out.write("time,hr,steps\n" + lines(35, n -> START.plusSeconds(2L * n) + ",120,160"));
        case FHIR ->
            out.write(
                "{\"resourceType\":\"Bundle\",\"entry\":["
                    + observation(
                        0,
                        "\"valueSampledData\":{\"origin\":{\"value\":0},\"period\":1000,"
                            + "\"dimensions\":1,\"data\":\""
                            + "120 ".repeat(70)
                            + "\"}")
                    + ","
                    + observation(90, "\"valueQuantity\":{\"value\":121}")
                    + "]}");
        case KORVEL -> RecordingText.json(sample(), Mode.RUN, true, out);
      }
      return out.toString();
    }
  }

  /** Ten thousand damaged files of each format: each is read, asked about, or refused in words. */
  @ParameterizedTest
  @EnumSource(Base.class)
  void aDamagedFileIsReadOrRefusedAndNothingElse(Base base) throws IOException {
    byte[] whole = base.text().getBytes(StandardCharsets.UTF_8);
    Random random = new Random(27);
    int read = 0;
    for (int n = 0; n < 10_000; n++) {
      byte[] damaged = damaged(whole, random);
      try {
        RecordingFile file =
            RecordingFile.of(new ByteArrayInputStream(damaged), Said.nothing(ZONE));
        assertThat(file.recording().isPresent()).isEqualTo(file.asked().isEmpty());
        read++;
      } catch (InvalidValueException refused) {
        assertThat(refused.faults()).allMatch(fault -> !fault.accepted().isEmpty());
      } catch (RuntimeException broken) {
        throw new AssertionError(
            "mutation " + n + ":\n" + new String(damaged, StandardCharsets.UTF_8), broken);
      }
    }
    assertThat(read).isBetween(1, 9_999);
  }

  private static byte[] damaged(byte[] whole, Random random) {
    byte[] bytes = whole.clone();
    for (int times = random.nextInt(4); times >= 0 && bytes.length > 1; times--) {
      int at = random.nextInt(bytes.length);
      switch (random.nextInt(4)) {
        case 0 -> bytes[at] = (byte) random.nextInt(256);
        case 1 -> bytes[at] ^= (byte) (1 << random.nextInt(8));
        case 2 -> {
          int length = Math.min(random.nextInt(40), bytes.length - at - 1);
          System.arraycopy(bytes, random.nextInt(bytes.length - length), bytes, at, length);
        }
        default -> bytes = Arrays.copyOf(bytes, Math.max(1, at));
      }
    }
    return bytes;
  }

  @Test
  void nothingOfThePersonIsRead() {
    RecordingFile file = read(gpx(lines(90, n -> point(n, rate(120)))));
    assertThat(file.toString()).doesNotContain("Evening").doesNotContain("37.1");
  }
}
