package app.korvel.exchange.recording;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.trace.DeviceRecording;
import app.korvel.exchange.CsvFault;
import app.korvel.exchange.recording.CsvColumns.DateOrder;
import app.korvel.exchange.recording.RecordingFile.Format;
import app.korvel.exchange.recording.RecordingFile.Question;
import app.korvel.exchange.recording.RecordingFile.Said;
import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * CSV of any device: cells between commas, semicolons or tabs, with lines before the headings, or
 * without headings at all.
 */
final class CsvRecording {
  /** So much of the beginning is looked at to guess how it is read. */
  private static final int HEAD = 1 << 16;

  private static final int HEAD_LINES = 40;
  private static final char[] DELIMITERS = {',', ';', '\t'};
  private static final char BYTE_ORDER_MARK = 0xFEFF;

  /** From here on a number is a moment in seconds, or in milliseconds, since 1970. */
  private static final long EPOCH_SECONDS = 1_000_000_000L;

  private static final long EPOCH_MILLIS = 100 * EPOCH_SECONDS;
  private static final int MILLIS = 1000;
  private static final long HALF_A_DAY = 12 * 3600;
  private static final long DAY = 24 * 3600;

  private CsvRecording() {}

  /**
   * How a file begins.
   *
   * @param skipped lines before the first row
   */
  private record Head(char delimiter, int skipped, CsvColumns columns) {}

  static RecordingFile read(BufferedInputStream in, Said said) throws IOException {
    in.mark(2);
    Charset charset = RecordingFile.charset(in.readNBytes(2));
    in.reset();
    Reader decoded =
        new InputStreamReader(
            in,
            charset
                .newDecoder()
                .onMalformedInput(CodingErrorAction.REPORT)
                .onUnmappableCharacter(CodingErrorAction.REPORT));
    BufferedReader text = new BufferedReader(new ShortLines(decoded), HEAD);
    try {
      text.mark(HEAD);
      Head head = head(text);
      text.reset();
      for (int line = 0; line < head.skipped; line++) {
        text.readLine();
      }
      CsvColumns columns =
          said.columns()
              .or(() -> said.remembered().apply(head.columns.signature()))
              .map(head.columns::readAs)
              .orElse(head.columns);
      return new Rows(text, head, columns, said).read();
    } catch (CharacterCodingException other) {
      throw RecordingFile.off("is not in UTF-8; save it in that encoding");
    }
  }

  private static Head head(BufferedReader text) throws IOException {
    List<String> lines = new ArrayList<>();
    char[] beginning = new char[HEAD / 2];
    int length = 0;
    for (int read = 0; read >= 0 && length < beginning.length; length += Math.max(0, read)) {
      read = text.read(beginning, length, beginning.length - length);
    }
    String written = new String(beginning, 0, length);
    written.lines().limit(HEAD_LINES).forEach(lines::add);
    if (!lines.isEmpty() && !lines.get(0).isEmpty() && lines.get(0).charAt(0) == BYTE_ORDER_MARK) {
      lines.set(0, lines.get(0).substring(1));
    }
    char delimiter = delimiter(lines);
    List<List<String>> rows = lines.stream().map(line -> cells(line, delimiter)).toList();
    for (int line = 0; line < rows.size(); line++) {
      if (CsvColumns.headings(rows.get(line))) {
        return new Head(
            delimiter, line + 1, CsvColumns.guess(rows.get(line), next(rows, line + 1)));
      }
    }
    int first =
        IntStream.range(0, rows.size())
            .filter(line -> rows.get(line).size() > 1)
            .findFirst()
            .orElseThrow(() -> RecordingFile.off("is no table: no line has two cells"));
    if (rows.get(first).size() > CsvColumns.MOST) {
      throw RecordingFile.off(
          "line " + (first + 1) + " has " + rows.get(first).size() + " columns");
    }
    boolean numbers =
        rows.get(first).stream()
            .anyMatch(
                cell ->
                    Numbers.decimal(cell.strip()).isPresent() || Moments.clock(cell).isPresent());
    if (numbers) {
      List<String> names =
          IntStream.rangeClosed(1, rows.get(first).size()).mapToObj(n -> "Column " + n).toList();
      return new Head(delimiter, first, CsvColumns.guess(names, rows.get(first)));
    }
    return new Head(delimiter, first + 1, CsvColumns.guess(rows.get(first), next(rows, first + 1)));
  }

  private static List<String> next(List<List<String>> rows, int from) {
    return rows.stream().skip(from).filter(row -> row.size() > 1).findFirst().orElse(List.of());
  }

  /** The one that stands most often in a line. */
  private static char delimiter(List<String> lines) {
    char best = DELIMITERS[0];
    long most = 0;
    for (char each : DELIMITERS) {
      long count =
          lines.stream()
              .mapToLong(line -> line.chars().filter(at -> at == each).count())
              .filter(inLine -> inLine > 0)
              .count();
      // Decimal commas stand in every line of a table between semicolons.
      boolean ahead = count > most || count == most && count > 0 && each == ';';
      if (ahead) {
        best = each;
        most = count;
      }
    }
    return best;
  }

  private static CSVFormat format(char delimiter) {
    return CSVFormat.DEFAULT.builder().setDelimiter(delimiter).setTrim(true).get();
  }

  private static List<String> cells(String line, char delimiter) {
    try (CSVParser parser = CSVParser.parse(new StringReader(line), format(delimiter))) {
      Iterator<CSVRecord> records = parser.iterator();
      return records.hasNext() ? records.next().toList() : List.of();
    } catch (IOException | UncheckedIOException open) {
      return List.of();
    }
  }

  /** The rows, one after the other. */
  private static final class Rows {
    private final Reader text;
    private final Head head;
    private final CsvColumns table;
    private final CsvColumns.Choice columns;
    private final Said said;
    private final DeviceRecording.Builder recording = new DeviceRecording.Builder();
    private Optional<DateOrder> order;
    private long firstClock = -1;
    private long lastClock;

    Rows(Reader text, Head head, CsvColumns columns, Said said) {
      this.text = text;
      this.head = head;
      this.table = columns;
      this.columns = columns.choice();
      this.said = said;
      this.order = columns.choice().order();
    }

    RecordingFile read() throws IOException {
      List<Question> asked = asked();
      if (!asked.isEmpty()) {
        return new RecordingFile(
            Format.CSV,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.of(table),
            asked);
      }
      try (CSVParser parser = CSVParser.parse(text, format(head.delimiter))) {
        for (CSVRecord row : parser) {
          add(row, head.skipped + parser.getCurrentLineNumber());
        }
      } catch (UncheckedIOException | IllegalStateException broken) {
        Optional<IOException> unread = CsvFault.ofStream(broken);
        if (unread.isPresent()) {
          throw unread.get();
        }
        throw RecordingFile.off("a cell begins with a quote that is never closed, or is overlong");
      }
      return new RecordingFile(
          Format.CSV,
          Optional.of(recording.build()),
          Optional.empty(),
          Optional.empty(),
          Optional.of(table),
          List.of());
    }

    /** What has to be said before a row can be read. */
    private List<Question> asked() {
      List<Question> asked = new ArrayList<>();
      if (columns.rate() == CsvColumns.NONE) {
        asked.add(Question.RATE_COLUMN);
      }
      if (columns.time() == CsvColumns.NONE) {
        asked.add(Question.TIME_COLUMN);
        return asked;
      }
      String time = cell(table.firstRow(), columns.time());
      String date =
          columns.date() == CsvColumns.NONE
              ? dayPart(time)
              : dayPart(cell(table.firstRow(), columns.date()));
      boolean fromItsBeginning = date.isEmpty() && !moment(time);
      if (fromItsBeginning && said.startedAt().isEmpty()) {
        asked.add(Question.STARTED_AT);
      }
      if (order.isEmpty() && Moments.day(date).filter(day -> day.order().isEmpty()).isPresent()) {
        asked.add(Question.DATE_ORDER);
      }
      return asked;
    }

    private static String cell(List<String> row, int column) {
      return column < row.size() ? row.get(column) : "";
    }

    /** The part of a cell that is a day; empty without one. */
    private static String dayPart(String cell) {
      String first = cell.strip().split("[ T,]", 2)[0];
      return Moments.day(first).isPresent() ? first : "";
    }

    /** Whether it says by itself when it was. */
    private boolean moment(String cell) {
      return Moments.iso(cell, said.zone()).isPresent()
          || Numbers.decimal(cell).filter(n -> n.longValue() >= EPOCH_SECONDS).isPresent()
          || epochMillis(cell).isPresent();
    }

    private void add(CSVRecord row, long line) {
      boolean blank = row.size() == 1 && row.get(0).isBlank();
      if (blank) {
        return;
      }
      Supplier<String> place = () -> "line " + line;
      if (row.size() <= columns.last()) {
        throw RecordingFile.off(
            place.get()
                + ": has "
                + row.size()
                + " cells, and "
                + (columns.last() + 1)
                + " are needed");
      }
      int bpm = number(row.get(columns.rate()), "heart rate", place);
      int steps =
          columns.steps() == CsvColumns.NONE
              ? -1
              : number(row.get(columns.steps()), "step rate", place);
      recording.add(at(row, place), bpm, steps, place);
    }

    private static int number(String cell, String what, Supplier<String> place) {
      return Numbers.of(cell)
          .orElseThrow(
              () ->
                  RecordingFile.off(
                      place.get() + ": “" + Moments.shortened(cell) + "” is no " + what));
    }

    private Instant at(CSVRecord row, Supplier<String> place) {
      String time = row.get(columns.time()).strip();
      if (columns.date() != CsvColumns.NONE) {
        return day(row.get(columns.date()).strip(), place)
            .atTime(clock(time, place))
            .atZone(said.zone())
            .toInstant();
      }
      Optional<Instant> iso = Moments.iso(time, said.zone());
      if (iso.isPresent()) {
        return iso.get();
      }
      Optional<Long> millis = epochMillis(time);
      if (millis.isPresent()) {
        return Instant.ofEpochMilli(millis.get());
      }
      Optional<BigDecimal> number = Numbers.decimal(time);
      if (number.isPresent()) {
        long ms = number.get().multiply(BigDecimal.valueOf(MILLIS)).longValue();
        return ms >= EPOCH_SECONDS * MILLIS ? Instant.ofEpochMilli(ms) : since(ms, place);
      }
      String day = dayPart(time);
      if (!day.isEmpty()) {
        return day(day, place)
            .atTime(clock(time.substring(day.length()).replaceFirst("^[ T,]+", ""), place))
            .atZone(said.zone())
            .toInstant();
      }
      // Without a day, two figures are minutes and seconds: a clock tells its seconds too.
      Optional<Duration> minutes = Moments.minutes(time);
      return minutes.isPresent()
          ? since(minutes.get().toMillis(), place)
          : sinceClock(clock(time, place), place);
    }

    private static Optional<Long> epochMillis(String cell) {
      return cell.matches("\\d{12,13}")
          ? Optional.of(Long.parseLong(cell)).filter(n -> n >= EPOCH_MILLIS)
          : Optional.empty();
    }

    private Instant since(long ms, Supplier<String> place) {
      if (ms < 0) {
        throw RecordingFile.off(place.get() + ": a time before the beginning");
      }
      return said.startedAt().orElseThrow(() -> unclear(place)).plusMillis(ms);
    }

    private static InvalidValueException unclear(Supplier<String> place) {
      return InvalidValueException.of(
          "file",
          place.get() + ": its time is written otherwise than in the first line",
          "one way");
    }

    /** A clock alone counts from its first time; past midnight it begins anew. */
    private Instant sinceClock(LocalTime clock, Supplier<String> place) {
      long seconds = clock.toSecondOfDay();
      if (firstClock < 0) {
        firstClock = seconds;
      } else {
        while (seconds < lastClock - HALF_A_DAY) {
          seconds += DAY;
        }
      }
      lastClock = seconds;
      return said.startedAt()
          .orElseThrow(() -> unclear(place))
          .plusSeconds(seconds - firstClock)
          .plusNanos(clock.getNano());
    }

    private static LocalTime clock(String cell, Supplier<String> place) {
      return Moments.clock(cell)
          .orElseThrow(
              () ->
                  InvalidValueException.of(
                      "file",
                      place.get() + ": “" + Moments.shortened(cell) + "” is no time",
                      "times such as 17:00:00"));
    }

    private LocalDate day(String cell, Supplier<String> place) {
      Optional<Moments.Day> day = Moments.day(cell);
      order = order.or(() -> day.flatMap(Moments.Day::order));
      return day.flatMap(each -> each.in(order.orElse(DateOrder.DAY_FIRST)))
          .orElseThrow(
              () ->
                  InvalidValueException.of(
                      "file",
                      place.get() + ": “" + Moments.shortened(cell) + "” is no day",
                      "days such as 2030-03-18"));
    }
  }

  /** Text whose records end: an overlong one, or a quote that is never closed, is no recording. */
  private static final class ShortLines extends Reader {
    private static final int LONGEST = 1 << 16;

    private final Reader inner;
    private int length;
    private boolean quoted;

    ShortLines(Reader inner) {
      this.inner = inner;
    }

    @Override
    public int read(char[] into, int offset, int wanted) throws IOException {
      int read = inner.read(into, offset, wanted);
      for (int n = offset; n < offset + read; n++) {
        quoted ^= into[n] == '"';
        length = into[n] == '\n' && !quoted ? 0 : length + 1;
        if (length > LONGEST) {
          throw RecordingFile.off("has a line of over 65,536 characters");
        }
      }
      return read;
    }

    @Override
    public void close() throws IOException {
      inner.close();
    }
  }
}
