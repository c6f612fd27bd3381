package app.korvel.exchange.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.programme.Busy;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.Temporal;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is written is read back by another library; what others write is read here. */
class CalendarFileTest {
  private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
  private static final Instant CHANGED = Instant.parse("2026-10-01T08:00:00Z");
  private static final LocalDate FROM = LocalDate.of(2026, 10, 1);
  private static final LocalDate TO = LocalDate.of(2026, 11, 30);

  private static CalendarEvent event(String uid, LocalDate on, String at, boolean cancelled) {
    return new CalendarEvent(
        uid,
        4,
        CHANGED,
        on,
        Optional.ofNullable(at).map(LocalTime::parse),
        52,
        "Row, 40 min · Zoë; a, b\\c",
        "Target 120–142.\nThen rest.",
        cancelled);
  }

  private static List<VEvent> readByAnother(String text) throws IOException, ParserException {
    Calendar calendar = new CalendarBuilder().build(new StringReader(text));
    calendar.validate(true);
    return calendar.getComponents("VEVENT");
  }

  private static String of(VEvent event, String property) {
    return event.getProperty(property).map(Property.class::cast).orElseThrow().getValue();
  }

  @Test
  void anotherLibraryReadsEveryFactOfASession() throws Exception {
    String text =
        CalendarFile.write(
            "Korvel, Zoë", List.of(event("7-1@korvel", FROM, "18:30", false)), BERLIN);

    assertThat(text.lines()).allMatch(line -> line.getBytes(StandardCharsets.UTF_8).length <= 75);
    assertThat(text).contains("\r\nX-WR-CALNAME:Korvel\\, Zoë\r\n").contains("METHOD:PUBLISH");
    VEvent read = readByAnother(text).get(0);
    assertThat(of(read, "UID")).isEqualTo("7-1@korvel");
    assertThat(of(read, "SEQUENCE")).isEqualTo("4");
    assertThat(of(read, "SUMMARY")).isEqualTo("Row, 40 min · Zoë; a, b\\c");
    assertThat(of(read, "DESCRIPTION")).isEqualTo("Target 120–142.\nThen rest.");
    assertThat(of(read, "STATUS")).isEqualTo("CONFIRMED");
    assertThat(of(read, "DTSTAMP")).isEqualTo("20261001T080000Z");
    assertThat(instant(read.getDateTimeStart().getDate())).isEqualTo("2026-10-01T16:30:00Z");
    assertThat(instant(read.getDateTimeEnd().getDate())).isEqualTo("2026-10-01T17:22:00Z");
  }

  private static String instant(Temporal moment) {
    return Instant.from(moment).toString();
  }

  /** The clocks go back on 25 October 2026: half past six stays half past six. */
  @Test
  void aSessionKeepsItsHourOverAChangeOfTheClocks() throws Exception {
    List<VEvent> read =
        readByAnother(
            CalendarFile.write(
                "C",
                List.of(
                    event("a", LocalDate.of(2026, 10, 24), "18:30", false),
                    event("b", LocalDate.of(2026, 10, 26), "18:30", false),
                    event("c", LocalDate.of(2027, 3, 27), "18:30", false),
                    event("d", LocalDate.of(2027, 3, 29), "18:30", false)),
                BERLIN));
    assertThat(read)
        .extracting(event -> instant(event.getDateTimeStart().getDate()))
        .containsExactly(
            "2026-10-24T16:30:00Z",
            "2026-10-26T17:30:00Z",
            "2027-03-27T17:30:00Z",
            "2027-03-29T16:30:00Z");
    assertThat(read)
        .extracting(
            event ->
                LocalDateTime.ofInstant(Instant.from(event.getDateTimeStart().getDate()), BERLIN)
                    .toLocalTime())
        .containsOnly(LocalTime.of(18, 30));
  }

  @Test
  void withoutATimeItIsAWholeDayAndOneThatIsOffSaysSo() throws Exception {
    List<VEvent> read =
        readByAnother(CalendarFile.write("C", List.of(event("a", FROM, null, true)), BERLIN));
    assertThat(of(read.get(0), "DTSTART")).isEqualTo("20261001");
    assertThat(of(read.get(0), "DTEND")).isEqualTo("20261002");
    assertThat(of(read.get(0), "STATUS")).isEqualTo("CANCELLED");
    assertThat(
            readByAnother(
                CalendarFile.write("Empty", List.of(event("a", FROM, null, false)), BERLIN)))
        .hasSize(1);
  }

  /** What is written is read here again too. */
  @Test
  void sessionsComeBackAsBusyTimes() {
    String text =
        CalendarFile.write(
            "C",
            List.of(
                event("a", LocalDate.of(2026, 10, 24), "18:30", false),
                event("b", LocalDate.of(2026, 10, 26), "18:30", false),
                event("c", LocalDate.of(2026, 10, 27), "18:30", true)),
            BERLIN);
    assertThat(CalendarFile.read(text, BERLIN, FROM, TO))
        .containsExactly(
            busy("2026-10-24T18:30", "2026-10-24T19:22"),
            busy("2026-10-26T18:30", "2026-10-26T19:22"));
  }

  private static Busy busy(String from, String to) {
    return new Busy(LocalDateTime.parse(from), LocalDateTime.parse(to));
  }

  private static String calendar(String... lines) {
    return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y//EN\r\n"
        + String.join("\r\n", lines)
        + "\r\nEND:VCALENDAR\r\n";
  }

  private static String event(String... lines) {
    return "BEGIN:VEVENT\r\nDTSTAMP:20260901T000000Z\r\n"
        + String.join("\r\n", lines)
        + "\r\nEND:VEVENT";
  }

  private static List<Busy> read(String... events) {
    return CalendarFile.read(calendar(events), BERLIN, FROM, TO);
  }

  @Test
  void aWeeklyShiftIsReadWithItsExceptionsOnTheStudiosClock() {
    assertThat(
            read(
                event(
                    "UID:s",
                    "DTSTART;TZID=Europe/London:20261013T090000",
                    "DTEND;TZID=Europe/London:20261013T170000",
                    "RRULE:FREQ=WEEKLY;COUNT=5",
                    "EXDATE;TZID=Europe/London:20261020T090000"),
                event(
                    "UID:s",
                    "RECURRENCE-ID;TZID=Europe/London:20261027T090000",
                    "DTSTART;TZID=Europe/London:20261028T100000",
                    "DTEND;TZID=Europe/London:20261028T120000")))
        .containsExactlyInAnyOrder(
            busy("2026-10-13T10:00", "2026-10-13T18:00"),
            busy("2026-10-28T11:00", "2026-10-28T13:00"),
            busy("2026-11-03T10:00", "2026-11-03T18:00"),
            busy("2026-11-10T10:00", "2026-11-10T18:00"));
  }

  @Test
  void daysAndTimesWithoutAZoneAreThoseOfTheStudio() {
    assertThat(
            read(
                event("UID:1", "DTSTART;VALUE=DATE:20261024", "DTEND;VALUE=DATE:20261026"),
                event("UID:2", "DTSTART;VALUE=DATE:20261101"),
                event("UID:3", "DTSTART:20261102T080000", "DURATION:PT90M"),
                event("UID:4", "DTSTART:20261103T080000Z", "DURATION:PT1H")))
        .containsExactly(
            busy("2026-10-24T00:00", "2026-10-26T00:00"),
            busy("2026-11-01T00:00", "2026-11-02T00:00"),
            busy("2026-11-02T08:00", "2026-11-02T09:30"),
            busy("2026-11-03T09:00", "2026-11-03T10:00"));
  }

  @Test
  void whatLeavesTheTimeFreeIsNotBusy() {
    assertThat(
            read(
                event("UID:1", "DTSTART:20261024T080000Z", "DURATION:PT1H", "TRANSP:TRANSPARENT"),
                event("UID:2", "DTSTART:20261024T080000Z", "DURATION:PT1H", "STATUS:CANCELLED"),
                event("UID:3", "DTSTART:20261024T080000Z"),
                event("UID:4", "SUMMARY:no beginning"),
                event("UID:5", "DTSTART:20260924T080000Z", "DURATION:PT1H"),
                event("UID:6", "DTSTART:20261224T080000Z", "DURATION:PT1H"),
                event("UID:7", "DTSTART:20261024T090000Z", "DTEND:20261024T080000Z")))
        .isEmpty();
  }

  /** A rule that never comes true must end as well. */
  @Test
  void aDayThatNeverComesIsNotWaitedFor() {
    assertThat(
            read(
                event(
                    "UID:1",
                    "DTSTART:20200101T080000Z",
                    "DURATION:PT1H",
                    "RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30")))
        .hasSizeLessThanOrEqualTo(1);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "hello",
        "<html></html>",
        "PK\u0003\u0004",
        "BEGIN:VCARD\r\nEND:VCARD",
        "\u0000\u0001"
      })
  void whatIsNoCalendarIsRefused(String text) {
    assertThatThrownBy(() -> CalendarFile.read(text, BERLIN, FROM, TO))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused -> {
              assertThat(refused.faults().get(0).message()).isEqualTo("is not a calendar");
              assertThat(refused.faults().get(0).accepted()).contains("iCalendar", "5000");
            });
  }

  @Test
  void tooManyEventsAreRefusedWrittenOutOrRepeated() {
    String many =
        String.join(
            "\r\n",
            Collections.nCopies(5001, event("UID:1", "DTSTART:20261024T080000Z", "DURATION:PT1H")));
    assertThatThrownBy(() -> read(many)).hasMessageContaining("5000 events");
    String daily = event("UID:1", "DTSTART:20261001T080000Z", "DURATION:PT1H", "RRULE:FREQ=DAILY");
    assertThat(read(daily)).hasSize(61);
    assertThatThrownBy(() -> read(String.join("\r\n", Collections.nCopies(100, daily))))
        .hasMessageContaining("5000 events");
    for (String often : List.of("SECONDLY", "MINUTELY", "HOURLY")) {
      assertThatThrownBy(
              () ->
                  read(
                      event(
                          "UID:1",
                          "DTSTART:20000101T080000Z",
                          "DURATION:PT1M",
                          "RRULE:FREQ=" + often)))
          .hasMessageContaining("more often than daily");
    }
  }

  /** A million times of one event end at the last day that is asked for. */
  @Test
  void aMillionRepetitionsAreNotCounted() {
    assertThat(
            read(
                event(
                    "UID:1",
                    "DTSTART:19700101T080000Z",
                    "DURATION:PT1H",
                    "RRULE:FREQ=DAILY;COUNT=1000000")))
        .hasSize(61);
  }

  private static String zone(String... lines) {
    return "BEGIN:VTIMEZONE\r\nTZID:Z\r\nBEGIN:STANDARD\r\n"
        + String.join("\r\n", lines)
        + "\r\nTZOFFSETFROM:+0100\r\nTZOFFSETTO:+0200\r\nEND:STANDARD\r\nEND:VTIMEZONE";
  }

  private static String inZone(String zone) {
    return calendar(zone, event("UID:1", "DTSTART;TZID=Z:20261024T080000", "DURATION:PT1H"));
  }

  /** Worked out, each of these would fill the memory or not end. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "DTSTART:19700101T000000|RRULE:FREQ=SECONDLY",
        "DTSTART:19700101T000000|RRULE:FREQ=DAILY",
        "DTSTART:19700101T000000|RRULE:FREQ=YEARLY;BYMONTH=1;BYHOUR=1;BYSECOND=1",
        "DTSTART:19700101T000000|RRULE:FREQ=YEARLY;BYYEARDAY=1",
        "DTSTART:19700101T000000|RRULE:FREQ=YEARLY;BYDAY=MO",
        "DTSTART:19700101T000000|RRULE:FREQ=YEARLY;X=1;\r\n FREQ=SECONDLY",
        "DTSTART:00010101T000000|RRULE:FREQ=YEARLY",
      })
  void aTimeZoneThatChangesMoreThanOnceAYearIsRefused(String lines) {
    assertThatThrownBy(() -> CalendarFile.read(inZone(zone(lines.split("\\|"))), BERLIN, FROM, TO))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("time zone");
  }

  @Test
  void aTimeZoneOfManyChangesIsRefused() {
    String many =
        zone("DTSTART:19700101T000000", "RDATE:19700101T000000" + ",19710101T000000".repeat(500));
    assertThatThrownBy(() -> CalendarFile.read(inZone(many), BERLIN, FROM, TO))
        .hasMessageContaining("more than 400 changes");
  }

  @Test
  void aTimeZoneOfItsOwnIsRead() {
    String own =
        "BEGIN:VTIMEZONE\r\nTZID:Z\r\n"
            + "BEGIN:DAYLIGHT\r\nDTSTART:16010325T020000\r\nRRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU\r\n"
            + "TZOFFSETFROM:+0000\r\nTZOFFSETTO:+0100\r\nEND:DAYLIGHT\r\n"
            + "BEGIN:STANDARD\r\nDTSTART:16011028T030000\r\nRRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU\r\n"
            + "TZOFFSETFROM:+0100\r\nTZOFFSETTO:+0000\r\nEND:STANDARD\r\nEND:VTIMEZONE";
    assertThat(CalendarFile.read(inZone(own), BERLIN, FROM, TO))
        .containsExactly(busy("2026-10-24T09:00", "2026-10-24T10:00"));
  }

  /** A rule of many parts is worked out day by day, and one that is never true ends. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30",
        "FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30;BYDAY=MO,TU,WE,TH,FR",
        "FREQ=YEARLY;BYWEEKNO=53;BYDAY=MO;BYSETPOS=9",
        "FREQ=MONTHLY;INTERVAL=12;BYMONTHDAY=31;BYMONTH=2",
        "FREQ=YEARLY;BYYEARDAY=366;BYMONTH=1",
        "FREQ=DAILY;BYMONTHDAY=-99",
      })
  void aRuleThatIsNeverTrueEnds(String rule) {
    String events =
        String.join(
            "\r\n",
            Collections.nCopies(
                1_000,
                event("UID:1", "DTSTART:19000101T080000Z", "DURATION:PT1H", "RRULE:" + rule)));
    assertThat(read(events)).isEmpty();
  }

  /** What would have to be counted from long ago, again and again, is refused. */
  @Test
  void tooMuchToWorkOutIsRefused() {
    String counted =
        event(
            "UID:1",
            "DTSTART:00010101T080000Z",
            "DURATION:PT1H",
            "RRULE:FREQ=DAILY;COUNT=9999999;BYDAY=MO");
    assertThatThrownBy(() -> read(String.join("\r\n", Collections.nCopies(20, counted))))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("not worked out");
    for (String often : List.of("BYHOUR=1,2,3", "BYMINUTE=0,1", "BYSECOND=1,2")) {
      assertThatThrownBy(
              () ->
                  read(
                      event(
                          "UID:1",
                          "DTSTART:20260101T080000Z",
                          "DURATION:PT1M",
                          "RRULE:FREQ=DAILY;" + often)))
          .hasMessageContaining("more often than daily");
    }
  }

  /** Worked out by hand for October and November 2026; the first is a Thursday. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        // start, rule -> days
        "19000101 | FREQ=WEEKLY;BYDAY=MO;INTERVAL=4 | 1019 1116",
        "20200106 | FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE | 1005 1007 1019 1021 1102 1104 1116 1118 1130",
        "20200131 | FREQ=MONTHLY | 1031",
        "20200101 | FREQ=MONTHLY;BYDAY=-1FR | 1030 1127",
        "20200101 | FREQ=MONTHLY;BYDAY=2TU,4TU | 1013 1027 1110 1124",
        "20200101 | FREQ=MONTHLY;BYMONTHDAY=-1 | 1031 1130",
        "20200101 | FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=1 | 1001 1102",
        "20200101 | FREQ=MONTHLY;BYMONTHDAY=13;BYDAY=FR | 1113",
        "20200101 | FREQ=YEARLY;BYMONTH=10,11;BYMONTHDAY=5 | 1005 1105",
        "20201107 | FREQ=YEARLY | 1107",
        "20200101 | FREQ=YEARLY;BYMONTH=11;BYDAY=1MO | 1102",
        "20200101 | FREQ=YEARLY;BYYEARDAY=280 | 1007",
        "20200101 | FREQ=YEARLY;BYWEEKNO=42;BYDAY=WE | 1014",
        "20200101 | FREQ=YEARLY;BYDAY=45MO | 1109",
        "20261003 | FREQ=DAILY;INTERVAL=10;COUNT=3 | 1003 1013 1023",
        "20260901 | FREQ=DAILY;INTERVAL=10;COUNT=4 | 1001",
        "20261003 | FREQ=DAILY;UNTIL=20261005T080000Z | 1003 1004 1005",
        "19000228 | FREQ=DAILY;INTERVAL=30 | 1025 1124",
      })
  void everyKindOfRuleIsWorkedOut(String start, String rule, String days) {
    assertThat(
            read(
                event(
                    "UID:1",
                    "DTSTART:" + start.strip() + "T080000Z",
                    "DURATION:PT1H",
                    "RRULE:" + rule.strip())))
        .extracting(
            each ->
                String.format("%02d%02d", each.from().getMonthValue(), each.from().getDayOfMonth()))
        .containsExactly(days.strip().split(" "));
  }

  /** As another library has them, for rules drawn from a seed. */
  @Test
  void rulesComeToWhatAnotherLibraryMakesOfThem() throws Exception {
    Random random = new Random(7);
    String[] frequencies = {"DAILY", "WEEKLY", "MONTHLY", "YEARLY"};
    String[] days = {"MO", "TU", "WE", "TH", "FR", "SA", "SU"};
    for (int i = 0; i < 300; i++) {
      String rule = "FREQ=" + frequencies[random.nextInt(4)];
      rule += random.nextBoolean() ? ";INTERVAL=" + (1 + random.nextInt(4)) : "";
      rule += random.nextInt(3) == 0 ? ";BYDAY=" + days[random.nextInt(7)] : "";
      rule += random.nextInt(4) == 0 ? ";BYMONTH=" + (9 + random.nextInt(3)) : "";
      rule +=
          random.nextInt(4) == 0
                  && (rule.contains("BYMONTH") || rule.contains("MONTHLY"))
                  && !rule.contains("WEEKLY")
              ? ";BYMONTHDAY=" + (1 + random.nextInt(28))
              : "";
      rule += ";WKST=MO";
      LocalDate start = LocalDate.of(2026, 9, 1).plusDays(random.nextInt(28));
      List<LocalDate> another =
          new net.fortuna.ical4j.model.Recur<LocalDate>(rule)
              .getDates(start, FROM, TO).stream()
                  .filter(day -> !day.isBefore(start) && !day.isAfter(TO))
                  .toList();
      List<LocalDate> own =
          read(
                  event(
                      "UID:1",
                      "DTSTART;VALUE=DATE:" + start.toString().replace("-", ""),
                      "RRULE:" + rule))
              .stream()
              .map(each -> each.from().toLocalDate())
              .filter(day -> !day.equals(start) || another.contains(start))
              .toList();
      assertThat(own).as(start + " " + rule).isEqualTo(another);
    }
  }

  @Test
  void aByteOrderMarkAndBlankLinesBeforeItAreReadOver() {
    String text = calendar(event("UID:1", "DTSTART:20261024T080000Z", "DURATION:PT1H"));
    for (String before : List.of("\uFEFF", "\r\n\r\n", "\uFEFF\r\n", " \t\n")) {
      assertThat(CalendarFile.read(before + text, BERLIN, FROM, TO)).hasSize(1);
    }
  }

  /** A file that was cut off is no short one. */
  @Test
  void aFileThatWasCutOffIsRefused() {
    String text =
        calendar(
            event("UID:1", "DTSTART:20261024T080000Z", "DURATION:PT1H"),
            event("UID:2", "DTSTART:20261025T080000Z", "DURATION:PT1H"));
    for (int at = text.indexOf("BEGIN:VEVENT"); at < text.length() - 2; at += 11) {
      String cut = text.substring(0, at);
      assertThatThrownBy(() -> CalendarFile.read(cut, BERLIN, FROM, TO))
          .as(cut)
          .isInstanceOf(InvalidValueException.class)
          .hasMessageContaining("cut off");
    }
    assertThatThrownBy(() -> CalendarFile.read(text + "END:VCALENDAR", BERLIN, FROM, TO))
        .hasMessageContaining("does not begin");
  }

  @Test
  void brokenLinesLoseOnlyThemselves() {
    assertThat(
            CalendarFile.read(
                "BEGIN:VCALENDAR\nBEGIN:VEVENT\nDTSTART:nonsense\nEND:VEVENT\nnonsense\n"
                    + "BEGIN:VEVENT\nDTSTART:20261024T080000Z\nDURATION:PT1H\nEND:VEVENT\n"
                    + "END:VCALENDAR\n",
                BERLIN,
                FROM,
                TO))
        .containsExactly(busy("2026-10-24T10:00", "2026-10-24T11:00"));
  }
}
