package app.korvel.exchange.sheet;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Limit;
import app.korvel.core.zone.ClassChart;
import app.korvel.core.zone.ClassChart.Cell;
import app.korvel.core.zone.ClassChart.Row;
import app.korvel.core.zone.Scheme.Band;
import app.korvel.exchange.sheet.Paper.Area;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A class chart on paper: its figures as large as its rows and columns allow, upright or lying,
 * whichever makes them larger, on as few pages as can still be read.
 *
 * @param sheet its pages
 * @param pages how many
 * @param figureTenths how high a figure is, in tenths of a millimetre
 */
public record ChartSheet(Sheet sheet, int pages, int figureTenths) {

  /** What a chart tells of each range. */
  public enum Shows {
    BPM_AND_BEATS,
    BPM,
    BEATS
  }

  /** A lower row is not read across a table: then there is another page. */
  private static final int LOWEST_ROW = 58;

  /** A figure is so many hundredths of its type size high, and one character so many wide. */
  private static final int FIGURE_HEIGHT = 67;

  private static final int CHARACTER_WIDTH = 60;

  /** What stays free at both sides of a column, in hundredths of the type size. */
  private static final int COLUMN_GAP = 110;

  /** Type fills so many hundredths of its row. */
  private static final int FILLS = 80;

  /** A row much higher than its figures would only part what belongs together. */
  private static final int HIGHEST_ROW = 200;

  /** The type of the table's head, and its lines, in hundredths of the type of the figures. */
  private static final int HEAD_TYPE = 62;

  private static final int HEAD_LINE = HEAD_TYPE * 112 / 100;
  private static final int HEAD_GAP = 35;

  /**
   * From how far a figure is read with ease: where it fills ten minutes of arc, twice what a normal
   * eye tells apart.
   */
  private static final double TEN_MINUTES = Math.tan(Math.toRadians(10 / 60.0));

  /** From how many whole metres its figures are read with ease. */
  public int readFromMetres() {
    return (int) Math.round(figureTenths / 10_000.0 / TEN_MINUTES);
  }

  /** Lays it out for that paper. */
  public static ChartSheet of(ClassChart chart, Paper paper, Shows shows) {
    Layout layout =
        Stream.of(false, true)
            .map(lying -> Layout.of(chart, paper.area(lying), shows))
            .max(
                Comparator.comparingInt((Layout each) -> -each.pages())
                    .thenComparingInt(Layout::type))
            .orElseThrow();
    return new ChartSheet(layout.sheet(), layout.pages, layout.type * FIGURE_HEIGHT / 100);
  }

  /** A column: how many characters it holds at most. */
  private static List<Integer> columns(ClassChart chart, Shows shows) {
    List<Integer> columns = new ArrayList<>(List.of(3, 3));
    for (int range = 0; range < chart.ranges().size(); range++) {
      if (shows != Shows.BEATS) {
        columns.add(7);
      }
      if (shows != Shows.BPM) {
        columns.add(5);
      }
    }
    return columns;
  }

  /** How wide a column of so many characters is, in hundredths of the type size. */
  private static int column(int characters) {
    return characters * CHARACTER_WIDTH + COLUMN_GAP;
  }

  /** How wide all of them are together. */
  private static int wide(ClassChart chart, Shows shows) {
    return columns(chart, shows).stream().mapToInt(ChartSheet::column).sum();
  }

  /** How many lines the longest name of a range takes over its columns, its percents with it. */
  private static int nameLines(ClassChart chart, Shows shows) {
    List<Integer> columns = columns(chart, shows);
    int over =
        columns.subList(2, columns.size()).stream().mapToInt(ChartSheet::column).sum()
            / chart.ranges().size();
    int characters = Math.max(1, over * 100 / (CHARACTER_WIDTH * HEAD_TYPE) - 1);
    return chart.ranges().stream()
        .mapToInt(band -> lines(chart.nameOf(band), characters) + lines(percents(band), characters))
        .max()
        .orElseThrow();
  }

  /** How many lines words take, so many characters wide; a longer word is broken. */
  private static int lines(String words, int characters) {
    int lines = 1;
    int at = 0;
    for (String word : words.split(" ")) {
      if (at > 0 && at + 1 + word.length() > characters) {
        lines++;
        at = 0;
      }
      at += (at > 0 ? 1 : 0) + word.length();
      lines += (at - 1) / characters;
      at = (at - 1) % characters + 1;
    }
    return lines;
  }

  private static String percents(Band band) {
    String low = band.low().toPlainString();
    String high = band.high().toPlainString();
    if (band.fromRest()) {
      return "under " + high + " % of max";
    }
    return (low.equals(high) ? low : low + "–" + high) + " % of max";
  }

  /**
   * How a chart lies on a page; lengths in tenths of a millimetre.
   *
   * @param chart what stands on it
   * @param shows what of each range
   * @param page the page
   * @param margin what stays free around
   * @param pages how many
   * @param rows of figures on the fullest page, and the empty one
   * @param type the size of its type
   */
  private record Layout(
      ClassChart chart, Shows shows, Area page, int margin, int pages, int rows, int type) {

    /** How high a row is: where columns keep the figures small, there is room between them. */
    private int row() {
      int room = (tableHeight() - names() - units()) / rows;
      return Math.min(room, type * HIGHEST_ROW / 100);
    }

    /** How high the names of the ranges stand. */
    private int names() {
      return type * (nameLines(chart, shows) * HEAD_LINE + HEAD_GAP) / 100;
    }

    /** How high the line under them is. */
    private int units() {
      return type * (HEAD_LINE + HEAD_GAP) / 100;
    }

    private int head() {
      return Math.max(150, page.height() / 17);
    }

    private int foot() {
      return Math.max(190, page.height() / 18);
    }

    private int tableHeight() {
      return page.height() - 2 * margin - head() - foot();
    }

    private int width() {
      return page.width() - 2 * margin;
    }

    static Layout of(ClassChart chart, Area page, Shows shows) {
      int margin = Math.min(page.width(), page.height()) / 17;
      Layout empty = new Layout(chart, shows, page, margin, 0, 0, 0);
      int room = empty.tableHeight() * 100;
      int all = chart.rows().size();
      int head = (nameLines(chart, shows) + 1) * HEAD_LINE + 2 * HEAD_GAP;
      int most = Math.max(1, (room / LOWEST_ROW * 100 / FILLS - head) * FILLS / 10_000 - 1);
      int pages = (all + most - 1) / most;
      int rows = (all + pages - 1) / pages + 1;
      int type =
          Math.min(room / (head + rows * 10_000 / FILLS), empty.width() * 100 / wide(chart, shows));
      return new Layout(chart, shows, page, margin, pages, rows, type);
    }

    Sheet sheet() {
      List<PageView> views = new ArrayList<>();
      int each = rows - 1;
      for (int i = 0; i < pages; i++) {
        List<Row> part =
            chart.rows().subList(i * each, Math.min((i + 1) * each, chart.rows().size()));
        views.add(view(part, i + 1));
      }
      return new Sheet(
          title(),
          "Estimated maximum heart rate and ranges on it, by age",
          page,
          Templates.CHART.execute(new PagesView(views)));
    }

    private PageView view(List<Row> part, int number) {
      List<String> widths =
          columns(chart, shows).stream()
              .map(c -> Area.mm(width() * column(c) / wide(chart, shows)))
              .toList();
      boolean both = shows == Shows.BPM_AND_BEATS;
      List<HeadView> heads = new ArrayList<>();
      for (int range = 0; range < chart.ranges().size(); range++) {
        if (shows != Shows.BEATS) {
          heads.add(new HeadView("bpm", true));
        }
        if (shows != Shows.BPM) {
          heads.add(new HeadView("in " + chart.window().seconds() + " s", !both));
        }
      }
      return new PageView(
          number == pages,
          Area.mm(margin),
          Area.mm(margin),
          Area.mm(width()),
          Area.mm(margin + head()),
          Area.mm(page.height() - margin - foot() + 25),
          points(head() * 38 / 100),
          points(head() * 24 / 100),
          points(Math.max(26, foot() * 15 / 100)),
          points(type),
          points(type * HEAD_TYPE / 100),
          title() + (pages > 1 ? ", page " + number + " of " + pages : ""),
          chart.mode().displayName() + " · maximum about " + chart.equation().formula() + less(),
          widths,
          chart.ranges().stream()
              .map(band -> new NameView(chart.nameOf(band), percents(band), both ? 2 : 1))
              .toList(),
          heads,
          Area.mm(names()),
          Area.mm(units()),
          Area.mm(row()),
          IntStream.range(0, part.size()).mapToObj(i -> row(part.get(i), i % 2 == 1)).toList(),
          heads.stream().map(HeadView::begins).toList(),
          "Each maximum is an estimate: for about two in three people it is within "
              + chart.equation().standardErrorBpm(chart.mode()).toPlainString()
              + " bpm ("
              + chart.equation().source().citation()
              + "). Anyone who has been measured uses that: the empty row.",
          "Not for anyone with a heart condition, with medication that affects the "
              + "heart rate, or pregnant: they carry their own card. Check by talk and RPE. "
              + "Not medical"
              + " advice. · Korvel");
    }

    private String less() {
      int less =
          chart.equation().bpmByAge(Limit.AGE.lowest(), Mode.RUN)
              - chart.equation().bpmByAge(Limit.AGE.lowest(), chart.mode());
      return less == 0 ? "" : ", less " + less;
    }

    private String title() {
      return "Heart rate by age, "
          + chart.rows().get(0).age()
          + " to "
          + chart.rows().get(chart.rows().size() - 1).age();
    }

    private RowView row(Row row, boolean shade) {
      List<CellView> cells = new ArrayList<>();
      for (Cell cell : row.cells()) {
        if (shows != Shows.BEATS) {
          cells.add(new CellView(bpm(cell), true, false));
        }
        if (shows != Shows.BPM) {
          cells.add(new CellView(beats(cell), shows == Shows.BEATS, true));
        }
      }
      return new RowView(row.age(), row.maximumBpm(), cells, shade);
    }

    private static String bpm(Cell cell) {
      return cell.lowBpm().isEmpty()
          ? "≤ " + cell.highBpm()
          : Figures.span(cell.lowBpm().getAsInt(), cell.highBpm());
    }

    private static String beats(Cell cell) {
      return cell.lowBpm().isEmpty() ? "≤ " + cell.beats().high() : Figures.beats(cell.beats());
    }

    /** A length in tenths of a millimetre as points of type. */
    private static String points(int tenths) {
      return BigDecimal.valueOf(Math.round(tenths * 7200 / 254.0), 2).toPlainString();
    }
  }

  private record PagesView(List<PageView> pages) {}

  private record PageView(
      boolean last,
      String left,
      String top,
      String width,
      String tableTop,
      String footTop,
      String titlePoints,
      String subPoints,
      String footPoints,
      String points,
      String headPoints,
      String title,
      String sub,
      List<String> widths,
      List<NameView> names,
      List<HeadView> heads,
      String namesHeight,
      String headsHeight,
      String rowHeight,
      List<RowView> rows,
      List<Boolean> blanks,
      String sure,
      String caution) {}

  private record NameView(String name, String percents, int span) {}

  private record HeadView(String words, boolean begins) {}

  private record RowView(int age, int maximum, List<CellView> cells, boolean shade) {}

  private record CellView(String figures, boolean begins, boolean beats) {}
}
