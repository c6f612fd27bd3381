package app.korvel.exchange.sheet;

import app.korvel.core.assessment.GradedSheet;
import app.korvel.core.assessment.GradedSheet.RecoveryRow;
import app.korvel.core.assessment.GradedSheet.StageRow;
import app.korvel.core.assessment.OxygenCost;
import app.korvel.core.assessment.TestOutcome;
import app.korvel.core.assessment.TestPerson;
import app.korvel.core.assessment.TestPlan;
import app.korvel.core.assessment.TestPosture;
import app.korvel.core.assessment.TimedTest;
import app.korvel.core.assessment.Vitals;
import app.korvel.core.measure.Days;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Reserve;
import app.korvel.exchange.sheet.Paper.Area;
import app.korvel.exchange.sheet.ReportPage.Content;
import app.korvel.exchange.sheet.ReportPage.Dot;
import app.korvel.exchange.sheet.ReportPage.Fact;
import app.korvel.exchange.sheet.ReportPage.Mark;
import app.korvel.exchange.sheet.ReportPage.Row;
import app.korvel.exchange.sheet.ReportPage.TableView;
import app.korvel.exchange.sheet.ReportPage.TraceView;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import org.apache.commons.csv.CSVFormat;

/** A test on one page, in a form that a clinician can read; and its figures as CSV. */
public final class TestReport {
  private TestReport() {}

  private static final int TRACE_HEIGHT = 340;
  private static final int TRACE_LEFT = 80;
  private static final int DOTS = 240;
  private static final int STEP = 20;
  private static final String NONE = "–";

  /**
   * What it is of.
   *
   * @param name of the client
   * @param on the day
   * @param graded the sheet of a graded test
   * @param timed how any other stands
   */
  public record Of(
      String name,
      LocalDate on,
      TestPlan plan,
      Optional<GradedSheet> graded,
      Optional<TimedTest> timed,
      TestOutcome outcome,
      Trace trace) {}

  /** The page. */
  public static Sheet of(Of of, Paper paper) {
    String title = of.plan.kind().displayName() + " of " + of.name;
    return ReportPage.of(
        new Content(
            title,
            Days.of(of.on) + ", " + of.plan.setup().words(),
            title + " on " + Days.of(of.on) + ": what was done, read and found",
            facts(of),
            trace(of, ReportPage.width(paper)).stream().toList(),
            tables(of),
            of.outcome.findings()),
        paper);
  }

  private static List<Fact> facts(Of of) {
    TestPerson person = of.plan.person();
    List<Fact> facts = new ArrayList<>();
    facts.add(
        new Fact(
            "Client",
            of.name
                + ", "
                + person.age()
                + person.weightKg().map(kg -> ", " + kg.toPlainString() + " kg").orElse("")));
    person
        .reserve()
        .map(TestReport::span)
        .ifPresent(span -> facts.add(new Fact("Heart rate", span)));
    person.capBpm().stream().forEach(cap -> facts.add(new Fact("Written cap", cap + " bpm")));
    of.graded.ifPresent(
        sheet -> {
          TestPlan.Graded setup = sheet.setup();
          facts.add(new Fact("Supervised by", setup.supervisor()));
          setup
              .order()
              .ifPresent(
                  order ->
                      facts.add(
                          new Fact(
                              "Ordered by", order.issuer() + ", " + Days.of(order.issuedOn()))));
          facts.add(
              new Fact(
                  "Ended",
                  time(sheet.work())
                      + sheet.end().map(end -> ", " + end.words().replace("Ended: ", "")).orElse("")
                      + sheet
                          .end()
                          .filter(end -> !end.because().isEmpty())
                          .map(end -> ": " + end.because())
                          .orElse("")));
          sheet
              .result()
              .map(result -> result.ratePressureProduct())
              .filter(OptionalInt::isPresent)
              .ifPresent(
                  product ->
                      facts.add(
                          new Fact(
                              "Rate × systolic",
                              String.format(Locale.ENGLISH, "%,d", product.getAsInt()))));
        });
    of.timed.ifPresent(test -> facts.add(new Fact("Lasted", time(test.work()))));
    of.outcome
        .figures()
        .forEach(
            figure ->
                facts.add(
                    new Fact(figure.name(), figure.value().toPlainString() + " " + figure.unit())));
    return of.graded.isPresent()
        ? facts.stream().filter(fact -> !fact.name().startsWith("Stage ")).toList()
        : facts;
  }

  private static String span(Reserve reserve) {
    return "rest " + reserve.restingBpm() + ", maximum " + reserve.maximumBpm() + " bpm";
  }

  private static String time(Duration time) {
    return time.toMinutes() + " min " + time.toSecondsPart() + " s";
  }

  private static List<TableView> tables(Of of) {
    return of.graded
        .map(sheet -> gradedTables(sheet, of.plan.person()))
        .orElseGet(() -> of.timed.map(TestReport::timedTables).orElse(List.of()));
  }

  private static final List<String> VITALS = List.of("bpm", "mmHg", "RPE 6–20");

  private static List<TableView> gradedTables(GradedSheet sheet, TestPerson person) {
    List<TableView> tables = new ArrayList<>();
    List<Row> before =
        Arrays.stream(TestPosture.values())
            .filter(sheet.baseline().readings()::containsKey)
            .map(
                posture ->
                    row(List.of(posture.displayName()), sheet.baseline().readings().get(posture)))
            .toList();
    tables.add(new TableView("Before the work", head("posture"), before));
    tables.add(
        new TableView(
            "Stages",
            head("stage", "work", "MET"),
            sheet.stages().stream().map(stage -> row(stage, person.weightKg())).toList()));
    tables.add(
        new TableView(
            "Recovery",
            head("after the end", "symptoms"),
            sheet.recovery().stream()
                .filter(row -> !row.vitals().equals(Vitals.NONE))
                .map(TestReport::row)
                .toList()));
    return tables;
  }

  private static List<String> head(String... first) {
    List<String> head = new ArrayList<>(List.of(first));
    head.addAll(VITALS);
    return head;
  }

  private static Row row(List<String> first, Vitals vitals) {
    List<String> cells = new ArrayList<>(first);
    cells.add(number(vitals.bpm()));
    cells.add(
        vitals
            .pressure()
            .map(pressure -> pressure.systolic() + "/" + pressure.diastolic())
            .orElse(NONE));
    cells.add(number(vitals.rpe20()));
    return new Row(cells);
  }

  private static Row row(StageRow stage, Optional<BigDecimal> weightKg) {
    String met =
        stage.whole()
            ? stage
                .work()
                .cost(weightKg, stage.reading().walked())
                .map(OxygenCost::met)
                .map(BigDecimal::toPlainString)
                .orElse(NONE)
            : "not whole";
    String how = stage.reading().walked().map(walked -> walked ? ", walked" : ", run").orElse("");
    return row(
        List.of(String.valueOf(stage.number()), stage.work().words() + how, met),
        new Vitals(stage.reading().bpm(), stage.reading().pressure(), stage.reading().rpe20()));
  }

  private static Row row(RecoveryRow reading) {
    String after =
        reading.due().toMinutes() == 0
            ? reading.due().toSeconds() + " s"
            : reading.due().toMinutes() + " min";
    return row(
        List.of(after, reading.symptoms().map(any -> any ? "yes" : "none").orElse(NONE)),
        reading.vitals());
  }

  private static String number(OptionalInt value) {
    return value.isPresent() ? String.valueOf(value.getAsInt()) : NONE;
  }

  private static List<TableView> timedTables(TimedTest test) {
    if (!test.steps().isEmpty()) {
      return List.of(
          new TableView(
              "Steps",
              List.of("step", "bpm", "voice"),
              test.steps().stream()
                  .map(
                      step ->
                          new Row(
                              List.of(
                                  String.valueOf(step.number()),
                                  number(step.bpm()),
                                  number(step.voice()))))
                  .toList()));
    }
    return List.of(
        new TableView(
            "Readings",
            List.of("when", "bpm"),
            test.readings().stream()
                .map(reading -> new Row(List.of(reading.name(), number(reading.bpm()))))
                .toList()));
  }

  private static Optional<TraceView> trace(Of of, int width) {
    Trace trace = of.trace;
    int low = 300;
    int high = 0;
    for (int second = 1; second <= trace.seconds(); second++) {
      int bpm = trace.smoothed(second).orElse(0);
      low = bpm > 0 ? Math.min(low, bpm) : low;
      high = Math.max(high, bpm);
    }
    if (high == 0) {
      return Optional.empty();
    }
    int from = low / STEP * STEP;
    int to = (high / STEP + 1) * STEP;
    List<Mark> lines = new ArrayList<>();
    for (int bpm = from; bpm <= to; bpm += STEP) {
      lines.add(mark(bpm, from, to));
    }
    List<Dot> dots = new ArrayList<>();
    int every = Math.max(1, trace.seconds() / DOTS);
    for (int second = every; second <= trace.seconds(); second += every) {
      int at = second;
      trace
          .smoothed(second)
          .ifPresent(
              bpm ->
                  dots.add(
                      new Dot(
                          Area.mm(
                              TRACE_LEFT
                                  + (int) ((long) (width - TRACE_LEFT) * at / trace.seconds())),
                          Area.mm(top(bpm, from, to)))));
    }
    List<Mark> aim =
        of.graded.flatMap(sheet -> sheet.setup().target()).stream()
            .map(target -> mark(target.bpm(), from, to))
            .toList();
    return Optional.of(
        new TraceView(
            Area.mm(width),
            Area.mm(TRACE_HEIGHT),
            lines,
            dots,
            aim,
            "Smoothed, over "
                + time(Duration.ofSeconds(trace.seconds()))
                + (aim.isEmpty() ? "" : "; dashed: the target")));
  }

  private static Mark mark(int bpm, int from, int to) {
    int top = top(bpm, from, to);
    return new Mark(Area.mm(top), Area.mm(top - 15), bpm);
  }

  private static int top(int bpm, int from, int to) {
    return TRACE_HEIGHT - TRACE_HEIGHT * (bpm - from) / (to - from);
  }

  /** The figures as CSV: one line for each reading. */
  public static String csv(Of of) {
    List<String> lines = new ArrayList<>();
    for (TableView table : tables(of)) {
      lines.add(line(List.of(table.title().toLowerCase(Locale.ENGLISH))));
      lines.add(line(table.head()));
      for (Row row : table.rows()) {
        lines.add(line(row.cells().stream().map(cell -> cell.equals(NONE) ? "" : cell).toList()));
      }
    }
    lines.add(line(List.of("second", "bpm")));
    for (int second = 1; second <= of.trace.seconds(); second++) {
      OptionalInt bpm = of.trace.smoothed(second);
      if (bpm.isPresent()) {
        lines.add(line(List.of(String.valueOf(second), String.valueOf(bpm.getAsInt()))));
      }
    }
    return String.join("\r\n", lines) + "\r\n";
  }

  private static String line(List<String> cells) {
    return CSVFormat.RFC4180.format(cells.toArray());
  }
}
