package app.korvel.exchange.sheet;

import app.korvel.core.measure.Days;
import app.korvel.core.prescription.Card;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.screening.StopSigns;
import app.korvel.core.talk.Passage;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.RpeFamily;
import app.korvel.exchange.sheet.CardSheet.Content;
import app.korvel.exchange.sheet.Paper.Area;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What a client takes home for the next weeks: what to aim at and how to check it, when to stop,
 * what to carry, and a log to fill in by hand.
 */
public final class HandOutSheet {
  private HandOutSheet() {}

  /** How many weeks it holds. */
  public static final int WEEKS = 4;

  private static final int MARGIN = 140;
  private static final int WEEK_HEAD = 235;
  private static final int ROW = 92;
  private static final int LOG_HEAD = 190;
  private static final int LARGEST = 125;
  private static final int SMALLEST = 60;
  private static final int STEP = 5;

  /**
   * A week of it.
   *
   * @param number in the programme, from 1
   * @param startsOn its first day
   * @param words what it asks for, in a sentence
   * @param sessions in order; may be none
   */
  public record HandOutWeek(
      int number, LocalDate startsOn, String words, List<HandOutSession> sessions) {}

  /**
   * A session of it.
   *
   * @param what in a few words, for example {@code Walk or run, 25 min}
   * @param aim by rate and count, or how it is to feel
   */
  public record HandOutSession(LocalDate on, Optional<String> at, String what, String aim) {}

  /**
   * The sheet.
   *
   * @param card what holds for all of it
   * @param weeks up to {@value #WEEKS}
   * @param family of the 0–10 scale
   */
  public static Sheet of(
      Card card, List<HandOutWeek> weeks, RpeFamily family, Paper paper, LocalDate today) {
    Area page = paper.area(false);
    int room = page.height() - 2 * MARGIN;
    int percent = LARGEST;
    while (true) {
      Sheet sheet = sheet(card, weeks, family, page, percent, today);
      int high = SheetPdf.heights(sheet, List.of("hand-out-front")).get(0);
      if (high <= room || percent == SMALLEST) {
        return sheet;
      }
      percent -= STEP;
    }
  }

  private static Sheet sheet(
      Card card,
      List<HandOutWeek> weeks,
      RpeFamily family,
      Area page,
      int percent,
      LocalDate today) {
    String name = card.name();
    View view =
        new View(
            Area.mm(MARGIN),
            Area.mm(MARGIN),
            Area.mm(page.width() - 2 * MARGIN),
            Area.mm(page.height() - 2 * MARGIN),
            BigDecimal.valueOf(11L * percent, 2).toPlainString(),
            CardSheet.content(card, List.of(CountWindow.S10, CountWindow.S15), today),
            Arrays.stream(Level.values()).map(level -> LevelView.of(level, family)).toList(),
            Passage.HOW,
            Passage.USUAL.text(),
            Area.mm(ROW),
            logPages(weeks, page),
            name,
            StopSigns.NOTICE);
    return new Sheet(
        "Next weeks of " + name,
        "What "
            + name
            + " does in the next weeks, how to check it, when to stop, and a log to fill in",
        page,
        Templates.HAND_OUT.execute(view));
  }

  /** Weeks as they fit on pages; none is torn. */
  private static List<LogPage> logPages(List<HandOutWeek> weeks, Area page) {
    List<LogPage> pages = new ArrayList<>();
    List<WeekView> here = new ArrayList<>();
    int room = page.height() - 2 * MARGIN - LOG_HEAD;
    int used = 0;
    for (HandOutWeek week : weeks) {
      // One row more, for what is done besides.
      int high = WEEK_HEAD + ROW * (week.sessions.size() + 1);
      if (used + high > room && !here.isEmpty()) {
        pages.add(new LogPage(List.copyOf(here), false));
        here.clear();
        used = 0;
      }
      here.add(WeekView.of(week));
      used += high;
    }
    pages.add(new LogPage(List.copyOf(here), true));
    return pages;
  }

  private record View(
      String left,
      String top,
      String width,
      String height,
      String points,
      Content of,
      List<LevelView> levels,
      String how,
      String passage,
      String row,
      List<LogPage> pages,
      String name,
      String notice) {}

  private record LevelView(
      int number, String name, String voice, String effort20, String effort10) {
    static LevelView of(Level level, RpeFamily family) {
      boolean upTo = Figures.upTo(level.rpe20());
      String before = upTo ? "up to " : "";
      return new LevelView(
          level.number(),
          level.displayName(),
          level.voice(),
          before + Figures.effort(level.rpe20(), upTo),
          before + Figures.effort(level.rpe10(family), upTo));
    }
  }

  private record LogPage(List<WeekView> weeks, boolean last) {}

  private record WeekView(String title, String words, List<RowView> rows) {
    static WeekView of(HandOutWeek week) {
      return new WeekView(
          "Week " + week.number + ", from " + Days.of(week.startsOn),
          week.words,
          week.sessions.stream().map(RowView::of).toList());
    }
  }

  private record RowView(String day, String what, String aim) {
    static RowView of(HandOutSession session) {
      return new RowView(
          session.on.getDayOfWeek().getDisplayName(TextStyle.SHORT, Locale.ENGLISH)
              + " "
              + Days.ofTheYear(session.on)
              + session.at.map(time -> ", " + time).orElse(""),
          session.what,
          session.aim);
    }
  }
}
