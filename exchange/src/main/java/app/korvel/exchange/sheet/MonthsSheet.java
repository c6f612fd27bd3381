package app.korvel.exchange.sheet;

import app.korvel.core.measure.Days;
import app.korvel.core.progress.Months;
import app.korvel.core.progress.Months.Month;
import app.korvel.core.progress.Months.Span;
import app.korvel.core.progress.Trend;
import app.korvel.core.zone.Level;
import app.korvel.exchange.sheet.ReportPage.Content;
import app.korvel.exchange.sheet.ReportPage.Fact;
import app.korvel.exchange.sheet.ReportPage.Row;
import app.korvel.exchange.sheet.ReportPage.TableView;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;

/** The months of a client on one page, to hand them; and as CSV, a line a month. */
public final class MonthsSheet {
  private static final DateTimeFormatter MONTH =
      DateTimeFormatter.ofPattern("MMM uuuu", Locale.ENGLISH);
  private static final String NONE = "–";
  private static final int MONTHS_A_YEAR = 12;

  private MonthsSheet() {}

  /** The page. */
  public static Sheet of(String name, Months months, LocalDate today, Paper paper) {
    List<Month> all = months.months();
    String from = all.get(0).month().format(MONTH);
    String to = all.get(all.size() - 1).month().format(MONTH);
    return ReportPage.of(
        new Content(
            "Months of " + name,
            from + " to " + to + ", printed on " + Days.of(today),
            "Months of " + name + ": what has come of the training",
            facts(months),
            List.of(),
            List.of(table(shown(all))),
            months.findings()),
        paper);
  }

  /** Those of the last year one by one; of years before, every third. */
  private static List<Month> shown(List<Month> all) {
    List<Month> shown = new ArrayList<>();
    for (int n = 0; n < all.size(); n++) {
      int back = all.size() - 1 - n;
      if (back < MONTHS_A_YEAR || back % 3 == 2) {
        shown.add(all.get(n));
      }
    }
    return shown;
  }

  private static List<Fact> facts(Months months) {
    List<Fact> facts = new ArrayList<>();
    Month last = months.months().get(months.months().size() - 1);
    facts.add(new Fact("Resting to maximum now", span(last.span())));
    Span first = months.months().get(0).span();
    facts.add(new Fact("At the beginning", span(first)));
    int planned = months.months().stream().mapToInt(Month::planned).sum();
    int done = months.months().stream().mapToInt(Month::done).sum();
    facts.add(new Fact("Sessions done", done + " of " + planned + " planned"));
    months
        .target()
        .ifPresent(
            target ->
                facts.add(
                    new Fact(
                        "The same target",
                        target.range().low()
                            + "–"
                            + target.range().high()
                            + " % of reserve, "
                            + target.mode().displayName().toLowerCase(Locale.ROOT)
                            + ", RPE in the table")));
    if (!months.medicineChanges().isEmpty()) {
      facts.add(
          new Fact(
              "Medication changed",
              months.medicineChanges().stream().map(Days::of).collect(Collectors.joining("; "))
                  + ": what lies before is not compared with what came after"));
    }
    return facts;
  }

  private static String span(Span span) {
    return number(span.restingBpm())
        + " to "
        + number(span.maximumBpm())
        + " bpm"
        + (span.maximumBpm().isEmpty() ? "" : span.estimated() ? " (estimated)" : " (measured)");
  }

  private static final List<String> HEAD =
      List.of(
          "month",
          "resting",
          "maximum",
          "talk ends",
          "done",
          "minutes",
          "of them Sing · Talk · Phrases · Words · Silent",
          "easy",
          "RPE at target");

  private static TableView table(List<Month> months) {
    return new TableView(
        "Month by month", HEAD, months.stream().map(month -> new Row(cells(month))).toList());
  }

  private static List<String> cells(Month month) {
    return List.of(
        month.month().format(MONTH),
        number(month.restingBpm()),
        number(month.span().maximumBpm()) + (month.span().estimated() ? " est." : ""),
        month.span().lowerBpm().isEmpty() && month.span().upperBpm().isEmpty()
            ? NONE
            : number(month.span().lowerBpm()) + " / " + number(month.span().upperBpm()),
        month.planned() == 0 ? NONE : month.done() + " of " + month.planned(),
        String.valueOf(month.minutes().stream().mapToInt(Integer::intValue).sum()),
        month.minutes().stream().map(String::valueOf).collect(Collectors.joining(" · ")),
        month.easyPercent().isEmpty() ? NONE : month.easyPercent().getAsInt() + " %",
        month.meanRpe().map(String::valueOf).orElse(NONE));
  }

  private static String number(OptionalInt value) {
    return value.isPresent() ? String.valueOf(value.getAsInt()) : NONE;
  }

  /** A line a month, and below a line a value of each trend. */
  public static String csv(Months months) {
    List<String> lines = new ArrayList<>();
    List<Object> head =
        new ArrayList<>(
            List.of(
                "month",
                "planned",
                "done",
                "extra",
                "resting_bpm",
                "maximum_bpm",
                "maximum_by",
                "talk_lower_bpm",
                "talk_upper_bpm",
                "easy_percent",
                "rpe_at_target"));
    Arrays.stream(Level.values())
        .forEach(level -> head.add(level.displayName().toLowerCase(Locale.ROOT) + "_minutes"));
    lines.add(line(head));
    for (Month month : months.months()) {
      List<Object> cells = new ArrayList<>();
      cells.add(YearMonth.from(month.month()));
      cells.add(month.planned());
      cells.add(month.done());
      cells.add(month.extra());
      cells.add(cell(month.restingBpm()));
      cells.add(cell(month.span().maximumBpm()));
      cells.add(month.span().maximumBy());
      cells.add(cell(month.span().lowerBpm()));
      cells.add(cell(month.span().upperBpm()));
      cells.add(cell(month.easyPercent()));
      cells.add(month.meanRpe().map(Object::toString).orElse(""));
      cells.addAll(month.minutes());
      lines.add(line(cells));
    }
    lines.add("");
    lines.add(line(List.of("trend", "taken", "on", "bpm", "series")));
    for (Trend trend : months.trends()) {
      trend
          .points()
          .forEach(
              point ->
                  lines.add(
                      line(
                          List.of(
                              trend.kind().displayName(),
                              trend.alike(),
                              point.on(),
                              point.bpm(),
                              point.series() + 1))));
    }
    return String.join("\r\n", lines) + "\r\n";
  }

  private static Object cell(OptionalInt value) {
    return value.isPresent() ? value.getAsInt() : "";
  }

  private static String line(List<?> cells) {
    return CSVFormat.RFC4180.format(cells.toArray());
  }
}
