package app.korvel.exchange;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.screening.Sex;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A list of people as it is pasted from a spreadsheet or read from a CSV file: one person a line,
 * cells between tabs, semicolons or commas, with a line of headings or without.
 *
 * @param rows the people, in their order
 * @param datesUnclear whether the dates can be read day first or month first, and nothing in the
 *     list tells which
 */
public record PeopleList(List<Row> rows, boolean datesUnclear) {
  /** The longest text that is read, in characters. */
  public static final int MOST_CHARACTERS = 200_000;

  /** How many lines are read at most. */
  public static final int MOST_ROWS = 500;

  public PeopleList {
    rows = List.copyOf(rows);
  }

  /**
   * One person as written.
   *
   * @param line its number in the text, from 1
   * @param name as written, first name first
   * @param birthDate empty where none is written that can be read
   * @param birthDateWritten as written; empty where nothing is
   * @param sex {@link Sex#NOT_GIVEN} where it is not told
   * @param note as written
   */
  public record Row(
      int line,
      String name,
      Optional<LocalDate> birthDate,
      String birthDateWritten,
      Sex sex,
      String note) {}

  /** Which comes first in a date like 3/4/1980. */
  public enum DateOrder {
    DAY_FIRST,
    MONTH_FIRST
  }

  private enum Column {
    NAME("name", "full name", "client", "pupil", "participant"),
    FIRST_NAME("first name", "firstname", "given name", "forename"),
    LAST_NAME("last name", "lastname", "surname", "family name"),
    BIRTH_DATE("birth date", "birthdate", "date of birth", "dob", "born", "birthday"),
    SEX("sex", "gender"),
    NOTE("note", "notes", "remark", "remarks", "comment", "comments");

    private final Set<String> headings;

    Column(String... headings) {
      this.headings = Set.of(headings);
    }

    static Optional<Column> of(String heading) {
      String plain = heading.strip().toLowerCase(Locale.ROOT).replaceAll("[\\s_-]+", " ");
      for (Column column : values()) {
        if (column.headings.contains(plain)) {
          return Optional.of(column);
        }
      }
      return Optional.empty();
    }
  }

  private static final Map<String, Sex> SEXES =
      Map.of(
          "f",
          Sex.FEMALE,
          "female",
          Sex.FEMALE,
          "w",
          Sex.FEMALE,
          "woman",
          Sex.FEMALE,
          "m",
          Sex.MALE,
          "male",
          Sex.MALE,
          "man",
          Sex.MALE);

  private static final Pattern ISO = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})");
  private static final Pattern DOTTED =
      Pattern.compile("(\\d{1,2})\\.\\s?(\\d{1,2})\\.\\s?(\\d{4})");
  private static final Pattern SLASHED = Pattern.compile("(\\d{1,2})[/-](\\d{1,2})[/-](\\d{4})");
  private static final DateTimeFormatter IN_WORDS =
      new DateTimeFormatterBuilder()
          .parseCaseInsensitive()
          .appendPattern("d MMM uuuu")
          .toFormatter(Locale.ENGLISH);

  /**
   * Reads a list.
   *
   * @param order how dates like 3/4/1980 are written; empty where it is to be seen from the list
   * @throws InvalidValueException when the text is too long, holds nobody, or a quotation mark in
   *     it is not closed
   */
  public static PeopleList read(String text, Optional<DateOrder> order) {
    if (text.length() > MOST_CHARACTERS) {
      throw InvalidValueException.of(
          "text", "is too long", "up to " + MOST_CHARACTERS + " characters");
    }
    List<CSVRecord> records = records(text);
    if (records.isEmpty()) {
      throw InvalidValueException.of("text", "holds nobody", "one person a line");
    }
    if (records.size() > MOST_ROWS + 1) {
      throw InvalidValueException.of(
          "text", "has " + records.size() + " lines", "up to " + MOST_ROWS + " people");
    }
    Map<Column, Integer> columns = headings(records.get(0));
    boolean headed = !columns.isEmpty();
    List<CSVRecord> people = headed ? records.subList(1, records.size()) : records;
    if (!headed) {
      columns = guessed(people);
    }
    Map<Column, Integer> where = columns;
    List<String> dates = people.stream().map(each -> cell(each, where, Column.BIRTH_DATE)).toList();
    Optional<DateOrder> seen = order.or(() -> orderOf(dates));
    return new PeopleList(
        people.stream().map(each -> row(each, where, seen.orElse(DateOrder.DAY_FIRST))).toList(),
        seen.isEmpty() && dates.stream().anyMatch(PeopleList::ambiguous));
  }

  private static List<CSVRecord> records(String text) {
    CSVFormat format =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(delimiter(text))
            .setIgnoreSurroundingSpaces(true)
            .setIgnoreEmptyLines(true)
            .get();
    String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
    try (CSVParser parser =
        CSVParser.builder().setReader(new StringReader(plain)).setFormat(format).get()) {
      return parser.stream()
          .filter(each -> each.stream().anyMatch(cell -> !cell.isBlank()))
          .toList();
    } catch (IOException | UncheckedIOException e) {
      throw InvalidValueException.of(
          "text", "has a quotation mark that is not closed", "cells as a spreadsheet writes them");
    }
  }

  /** What stands between the cells: the first of tab, semicolon and comma that is there. */
  private static char delimiter(String text) {
    return text.indexOf('\t') >= 0 ? '\t' : text.indexOf(';') >= 0 ? ';' : ',';
  }

  private static Map<Column, Integer> headings(CSVRecord first) {
    Map<Column, Integer> columns = new EnumMap<>(Column.class);
    for (int at = 0; at < first.size(); at++) {
      int here = at;
      Column.of(first.get(at)).ifPresent(column -> columns.putIfAbsent(column, here));
    }
    return columns;
  }

  /** Without headings: what looks like a date, like a sex; of the others, name and note. */
  private static Map<Column, Integer> guessed(List<CSVRecord> people) {
    Map<Column, Integer> columns = new EnumMap<>(Column.class);
    int width = people.stream().mapToInt(CSVRecord::size).max().orElse(0);
    List<Integer> others = new ArrayList<>();
    for (int at = 0; at < width; at++) {
      int here = at;
      List<String> cells =
          people.stream()
              .filter(each -> each.size() > here)
              .map(each -> each.get(here).strip())
              .filter(cell -> !cell.isEmpty())
              .toList();
      if (cells.isEmpty()) {
        continue;
      }
      if (cells.stream().anyMatch(PeopleList::looksLikeDate)) {
        columns.putIfAbsent(Column.BIRTH_DATE, at);
      } else if (cells.stream().allMatch(cell -> SEXES.containsKey(lower(cell)))) {
        columns.putIfAbsent(Column.SEX, at);
      } else {
        others.add(at);
      }
    }
    if (!others.isEmpty()) {
      columns.put(Column.NAME, others.get(0));
    }
    if (others.size() > 1) {
      columns.put(Column.NOTE, others.get(1));
    }
    return columns;
  }

  private static boolean looksLikeDate(String cell) {
    return ISO.matcher(cell).matches()
        || DOTTED.matcher(cell).matches()
        || SLASHED.matcher(cell).matches()
        || inWords(cell).isPresent();
  }

  private static Row row(CSVRecord record, Map<Column, Integer> columns, DateOrder order) {
    String name =
        columns.containsKey(Column.NAME)
            ? cell(record, columns, Column.NAME)
            : (cell(record, columns, Column.FIRST_NAME)
                    + " "
                    + cell(record, columns, Column.LAST_NAME))
                .strip();
    String written = cell(record, columns, Column.BIRTH_DATE);
    return new Row(
        Math.toIntExact(record.getRecordNumber()),
        name,
        date(written, order),
        written,
        SEXES.getOrDefault(lower(cell(record, columns, Column.SEX)), Sex.NOT_GIVEN),
        cell(record, columns, Column.NOTE));
  }

  private static String cell(CSVRecord record, Map<Column, Integer> columns, Column column) {
    Integer at = columns.get(column);
    return at == null || at >= record.size() ? "" : record.get(at).strip();
  }

  private static String lower(String cell) {
    return cell.toLowerCase(Locale.ROOT);
  }

  /** Where a first number over 12 stands, days come first; a second one, months. */
  private static Optional<DateOrder> orderOf(List<String> dates) {
    for (String date : dates) {
      Matcher slashed = SLASHED.matcher(date);
      if (slashed.matches()) {
        if (Integer.parseInt(slashed.group(1)) > 12) {
          return Optional.of(DateOrder.DAY_FIRST);
        }
        if (Integer.parseInt(slashed.group(2)) > 12) {
          return Optional.of(DateOrder.MONTH_FIRST);
        }
      }
    }
    return Optional.empty();
  }

  private static boolean ambiguous(String date) {
    Matcher slashed = SLASHED.matcher(date);
    return slashed.matches() && !slashed.group(1).equals(slashed.group(2));
  }

  private static Optional<LocalDate> date(String written, DateOrder order) {
    Matcher iso = ISO.matcher(written);
    if (iso.matches()) {
      return date(iso.group(1), iso.group(2), iso.group(3));
    }
    Matcher dotted = DOTTED.matcher(written);
    if (dotted.matches()) {
      return date(dotted.group(3), dotted.group(2), dotted.group(1));
    }
    Matcher slashed = SLASHED.matcher(written);
    if (slashed.matches()) {
      return order == DateOrder.DAY_FIRST
          ? date(slashed.group(3), slashed.group(2), slashed.group(1))
          : date(slashed.group(3), slashed.group(1), slashed.group(2));
    }
    return inWords(written);
  }

  private static Optional<LocalDate> date(String year, String month, String day) {
    try {
      return Optional.of(
          LocalDate.of(Integer.parseInt(year), Integer.parseInt(month), Integer.parseInt(day)));
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }

  /** For example {@code 5 Mar 1980} or {@code 5 March 1980}. */
  private static Optional<LocalDate> inWords(String written) {
    Matcher words = Pattern.compile("(\\d{1,2})\\.? (\\p{L}{3})\\p{L}* (\\d{4})").matcher(written);
    if (!words.matches()) {
      return Optional.empty();
    }
    try {
      return Optional.of(
          LocalDate.parse(words.group(1) + " " + words.group(2) + " " + words.group(3), IN_WORDS));
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }
}
