package app.korvel.exchange.sheet;

import app.korvel.core.measure.Finding;
import app.korvel.core.screening.StopSigns;
import app.korvel.exchange.sheet.Paper.Area;
import java.math.BigDecimal;
import java.util.List;

/** A report on one page: facts, a picture, tables, and what they say; as large as it fits. */
final class ReportPage {
  private static final int MARGIN = 150;

  /** Sizes of its text in tenths of a point: as large as one page holds. */
  private static final int LARGEST = 90;

  private static final int SMALLEST = 55;
  private static final int STEP_DOWN = 5;

  private ReportPage() {}

  /** How wide the text is, in tenths of a millimetre. */
  static int width(Paper paper) {
    return paper.area(false).width() - 2 * MARGIN;
  }

  /**
   * What is in it.
   *
   * @param traces one picture or none
   */
  record Content(
      String title,
      String subtitle,
      String description,
      List<Fact> facts,
      List<TraceView> traces,
      List<TableView> tables,
      List<Finding> findings) {}

  record Fact(String name, String value) {}

  record TableView(String title, List<String> head, List<Row> rows) {}

  record Row(List<String> cells) {}

  record Mark(String top, String text, int bpm) {}

  record Dot(String left, String top) {}

  record TraceView(
      String width,
      String height,
      List<Mark> lines,
      List<Dot> dots,
      List<Mark> aim,
      String caption) {}

  private record View(
      String left,
      String top,
      String width,
      String points,
      String title,
      String subtitle,
      List<Fact> facts,
      List<TraceView> trace,
      List<TableView> tables,
      List<Finding> findings,
      String notice) {}

  /** The page. */
  static Sheet of(Content content, Paper paper) {
    Area page = paper.area(false);
    int room = page.height() - 2 * MARGIN;
    int tenths = LARGEST;
    while (true) {
      Sheet sheet = sheet(content, page, tenths);
      if (tenths == SMALLEST || SheetPdf.heights(sheet, List.of("report")).get(0) <= room) {
        return sheet;
      }
      tenths -= STEP_DOWN;
    }
  }

  private static Sheet sheet(Content content, Area page, int tenths) {
    View view =
        new View(
            Area.mm(MARGIN),
            Area.mm(MARGIN),
            Area.mm(page.width() - 2 * MARGIN),
            BigDecimal.valueOf(tenths, 1).toPlainString(),
            content.title,
            content.subtitle,
            content.facts,
            content.traces,
            content.tables,
            content.findings,
            StopSigns.NOTICE);
    return new Sheet(content.title, content.description, page, Templates.REPORT.execute(view));
  }
}
