package app.korvel.exchange.sheet;

import app.korvel.core.measure.Days;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Texts;
import app.korvel.core.prescription.Card;
import app.korvel.core.prescription.Card.Leads;
import app.korvel.core.prescription.OtherDays;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Prescription.EasyPhase;
import app.korvel.core.prescription.Prescription.EffortDescription;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.screening.StopSigns;
import app.korvel.core.zone.CountCard;
import app.korvel.exchange.sheet.CardSize.Grid;
import app.korvel.exchange.sheet.Paper.Area;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Cards on sheets, edge to edge, with marks to cut and fold along. */
public final class CardSheet {
  private CardSheet() {}

  /** The most cards of one sheet. */
  public static final int MOST_CARDS = 60;

  /** The text of a face is as large as its room allows, between these, in percent of usual. */
  private static final int LARGEST = 115;

  private static final int SMALLEST = 60;
  private static final int STEP = 5;

  /**
   * How the cards are to look.
   *
   * @param size how large each is
   * @param paper what they are printed on; empty for a page of the card's own size
   * @param windows the counting windows on them, at least one of {@link CountCard#WINDOWS}
   */
  public record Look(CardSize size, Optional<Paper> paper, List<CountWindow> windows) {

    /**
     * Checked.
     *
     * @throws InvalidValueException when a window or the paper is none for a card
     */
    public Look {
      windows = CountCard.WINDOWS.stream().filter(windows::contains).toList();
      if (windows.isEmpty()) {
        throw InvalidValueException.of("windows", "none is named", "6, 10, 15 or 30 seconds");
      }
      if (paper.filter(each -> !Paper.FOR_CARDS.contains(each)).isPresent()) {
        throw InvalidValueException.of("paper", "is none for cards", "a4 or letter");
      }
    }
  }

  /**
   * The sheet.
   *
   * @param cards 1 to {@value #MOST_CARDS}
   * @param today on which a renewal may have come due
   * @throws InvalidValueException when there are none or too many, or one has more to say than a
   *     card of that size can hold
   */
  public static Sheet of(List<Card> cards, Look look, LocalDate today) {
    if (cards.isEmpty() || cards.size() > MOST_CARDS) {
      throw InvalidValueException.of(
          "clients", "makes " + cards.size() + " cards", "1 to " + MOST_CARDS + " cards");
    }
    int faces = look.size == CardSize.WALLET ? 2 : 1;
    List<String> ids = IntStream.range(0, cards.size() * faces).mapToObj(CardSheet::id).toList();
    int room = room(look).height();
    int[] percents = new int[ids.size()];
    Arrays.fill(percents, 100);
    List<Integer> heights = SheetPdf.heights(sheet(cards, percents, look, today), ids);
    for (int face = 0; face < percents.length; face++) {
      // Smaller text makes shorter lines as well as lower ones.
      int fits = (int) (100 * Math.sqrt((double) room / heights.get(face))) / STEP * STEP;
      percents[face] = Math.max(SMALLEST, Math.min(LARGEST, fits));
    }
    while (true) {
      Sheet sheet = sheet(cards, percents, look, today);
      heights = SheetPdf.heights(sheet, ids);
      boolean allFit = true;
      for (int face = 0; face < percents.length; face++) {
        if (heights.get(face) > room) {
          allFit = false;
          percents[face] -= STEP;
          if (percents[face] < SMALLEST) {
            throw InvalidValueException.of(
                "size",
                "is too small for all that stands on the card of " + cards.get(face / faces).name(),
                "a larger card");
          }
        }
      }
      if (allFit) {
        return sheet;
      }
    }
  }

  private static String id(int face) {
    return "face-" + face;
  }

  /** What a face holds, within its padding. */
  private static Area room(Look look) {
    Area card = look.size.on(look.paper).card();
    int padding = look.size.padding() * 2;
    int width = look.size == CardSize.WALLET ? card.width() / 2 : card.width();
    return new Area(width - padding, card.height() - padding);
  }

  private static Sheet sheet(List<Card> cards, int[] percents, Look look, LocalDate today) {
    Grid grid = look.size.on(look.paper);
    Area page = look.paper.map(paper -> paper.area(grid.lying())).orElse(grid.card());
    Placing placing = new Placing(grid, page);
    List<PageView> pages = new ArrayList<>();
    for (int from = 0; from < cards.size(); from += grid.places()) {
      int to = Math.min(from + grid.places(), cards.size());
      List<CardView> placed = new ArrayList<>();
      for (int i = from; i < to; i++) {
        placed.add(
            view(
                cards.get(i),
                i,
                percents,
                placing.left(i - from),
                placing.top(i - from),
                look,
                today));
      }
      pages.add(new PageView(placing.marks(look.size), placed, to == cards.size()));
    }
    boolean one = cards.size() == 1;
    return new Sheet(
        one ? "Card of " + cards.get(0).name() : cards.size() + " cards",
        one
            ? "What " + cards.get(0).name() + " aims at, how it feels, and when to stop"
            : "What each of " + cards.size() + " clients aims at, how it feels, and when to stop",
        page,
        Templates.CARDS.execute(new PagesView(pages)));
  }

  private static CardView view(
      Card card, int index, int[] percents, int left, int top, Look look, LocalDate today) {
    boolean wallet = look.size == CardSize.WALLET;
    Area room = room(look);
    int padding = look.size.padding();
    Content content = content(card, look, today);
    List<FaceView> faces = new ArrayList<>();
    // An open wallet card: its back lies to the left, so that it reads on when it is folded.
    int[] lefts = wallet ? new int[] {left + room.width() + 2 * padding, left} : new int[] {left};
    for (int i = 0; i < lefts.length; i++) {
      int face = index * lefts.length + i;
      faces.add(
          new FaceView(
              id(face),
              Area.mm(lefts[i] + padding),
              Area.mm(top + padding),
              room.cssWidth(),
              room.cssHeight(),
              BigDecimal.valueOf((long) look.size.tenthsOfPoint() * percents[face], 3)
                  .toPlainString(),
              content));
    }
    return new CardView(
        look.size.name().toLowerCase(Locale.ROOT),
        wallet ? List.of() : List.of(faces.get(0)),
        wallet ? List.of(faces.get(0)) : List.of(),
        wallet ? List.of(faces.get(1)) : List.of());
  }

  private static Content content(Card card, Look look, LocalDate today) {
    return content(card, look.windows, today);
  }

  /** What stands on a card, for other sheets too. */
  static Content content(Card card, List<CountWindow> windows, LocalDate today) {
    Prescription made = card.prescription();
    List<CountView> counts =
        made.target().stream()
            .flatMap(
                target ->
                    windows.stream()
                        .map(
                            window ->
                                new CountView(
                                    window.seconds(), beats(target.counts().beats().get(window)))))
            .toList();
    boolean upTo = Figures.upTo(made.rpe20());
    return new Content(
        card.name(),
        plan(made),
        made.target().map(target -> Figures.span(target.lowBpm(), target.highBpm())).orElse(""),
        counts,
        card.leads() == Leads.RATE,
        card.leads() != Leads.RATE,
        card.leads() == Leads.FEEL,
        card.leads() == Leads.FEEL_ONLY,
        made.feel().stream().map(CardSheet::feel).toList(),
        upTo,
        Figures.effort(made.rpe20(), upTo),
        Figures.effort(made.rpe10(), upTo),
        made.rpeFamily().displayName(),
        made.steering().displayName() + (made.basis().isEmpty() ? ": no heart rate" : ""),
        made.cap()
            .map(cap -> "never above " + cap.bpm() + " (a written limit)")
            .map(List::of)
            .orElse(List.of()),
        parts(made),
        keep(made),
        String.join(
            "; ", Stream.of(made.stopAlso(), StopSigns.SIGNS).flatMap(List::stream).toList()),
        StopSigns.ACTION,
        card.renewal().due(today)
            ? "Was due for review by " + Days.of(card.renewal().on()) + ":"
            : "Review by " + Days.of(card.renewal().on()) + ":",
        Texts.sentence(card.renewal().because()),
        made(card),
        StopSigns.NOTICE + " · Korvel");
  }

  private static String plan(Prescription made) {
    int days = made.parts().days();
    return days
        + (days == 1 ? " day a week · " : " days a week · ")
        + made.parts().minutes()
        + " min · "
        + made.parts().whatIsDone().toLowerCase(Locale.ROOT);
  }

  private static String made(Card card) {
    return "Version "
        + card.version()
        + ", made "
        + Days.of(card.prescription().date())
        + card.prescription()
            .basis()
            .map(
                basis ->
                    " · resting "
                        + basis.restingBpm()
                        + ", maximum about "
                        + basis.maximumBpm()
                        + " (± "
                        + basis.maximumStandardErrorBpm().toPlainString()
                        + ")")
            .orElse("");
  }

  private static List<PartView> parts(Prescription made) {
    return List.of(
        part(made.warmUp(), "warm-up"),
        new PartView(
            made.parts().minutes()
                + " min of work: "
                + made.parts().type().displayName().toLowerCase(Locale.ROOT)
                + ".",
            made.parts().type().how()),
        part(made.coolDown(), "cool-down"));
  }

  private static PartView part(EasyPhase margin, String what) {
    return new PartView(margin.minutes() + " min " + what + ".", margin.how());
  }

  private static List<PartView> keep(Prescription made) {
    return Stream.of(
            new PartView("Easier days", made.otherDays().map(CardSheet::easier).orElse("")),
            new PartView(
                "Not alone", made.supervised() ? "someone is there, at the start at least" : ""),
            new PartView("Always carry", String.join("; ", made.carry())),
            new PartView("Leave out", String.join("; ", made.leaveOut())))
        .filter(part -> !part.how.isEmpty())
        .toList();
  }

  /** How many days of the week are easier, and what they ask for. */
  private static String easier(OtherDays others) {
    boolean upTo = Figures.upTo(others.rpe20());
    return (others.days() == 1 ? "one of them" : others.days() + " of them")
        + ", "
        + others
            .target()
            .map(target -> Figures.span(target.lowBpm(), target.highBpm()) + " bpm, ")
            .orElse("")
        + "RPE "
        + (upTo ? "up to " : "")
        + Figures.effort(others.rpe20(), upTo)
        + " (6–20)";
  }

  private static EffortDescriptionView feel(EffortDescription feel) {
    return new EffortDescriptionView(
        feel.name(),
        feel.voice(),
        feel.breathing(),
        IntStream.rangeClosed(1, feel.level()).boxed().toList());
  }

  private static String beats(CountCard.Beats beats) {
    return (beats.low() == beats.high() ? "exactly " : "") + Figures.beats(beats);
  }

  /** Where each card lies on a page, and the marks around it. */
  private record Placing(Grid grid, Area page) {
    /** A mark this long is seen, and still printed by a printer that leaves an edge. */
    private static final int MARK = 60;

    private static final int HAIR = 2;
    private static final int APART = 15;

    private int marginLeft() {
      return (page.width() - grid.columns() * grid.card().width()) / 2;
    }

    private int marginTop() {
      return (page.height() - grid.rows() * grid.card().height()) / 2;
    }

    int left(int place) {
      return marginLeft() + place % grid.columns() * grid.card().width();
    }

    int top(int place) {
      return marginTop() + place / grid.columns() * grid.card().height();
    }

    List<MarkView> marks(CardSize size) {
      List<MarkView> marks = new ArrayList<>();
      for (int x : cuts(marginLeft(), grid.columns(), grid.card().width(), page.width())) {
        for (int y : ends(marginTop(), page.height())) {
          marks.add(MarkView.cut(x, y, HAIR, MARK));
        }
      }
      for (int y : cuts(marginTop(), grid.rows(), grid.card().height(), page.height())) {
        for (int x : ends(marginLeft(), page.width())) {
          marks.add(MarkView.cut(x, y, MARK, HAIR));
        }
      }
      if (grid.columns() > 1 && grid.rows() > 1) {
        int x = left(1);
        int y = top(grid.columns());
        marks.add(MarkView.cut(x, y - MARK / 2, HAIR, MARK));
        marks.add(MarkView.cut(x - MARK / 2, y, MARK, HAIR));
      }
      if (size == CardSize.WALLET) {
        int x = marginLeft() + grid.card().width() / 2;
        int bottom = marginTop() + grid.rows() * grid.card().height();
        marks.add(MarkView.fold(x, marginTop(), bottom - marginTop()));
        if (marginTop() > MARK) {
          marks.add(MarkView.word(x + APART, marginTop() - MARK + APART / 2, "fold here"));
        }
      }
      return marks;
    }

    /** Where it is cut; the edge of the paper is none. */
    private static List<Integer> cuts(int margin, int count, int step, int whole) {
      return IntStream.rangeClosed(0, count)
          .map(i -> margin + i * step)
          .filter(at -> at > APART && at < whole - APART)
          .boxed()
          .toList();
    }

    /** Where marks begin: outside the cards where there is room, else at the paper's edge. */
    private static List<Integer> ends(int margin, int whole) {
      int first = margin > MARK + APART ? margin - MARK - APART : 0;
      return List.of(first, whole - first - MARK);
    }
  }

  private record PagesView(List<PageView> pages) {}

  private record PageView(List<MarkView> marks, List<CardView> cards, boolean last) {}

  private record MarkView(
      String kind, String left, String top, String width, String height, String word) {
    static MarkView cut(int left, int top, int width, int height) {
      return new MarkView("cut", Area.mm(left), Area.mm(top), Area.mm(width), Area.mm(height), "");
    }

    static MarkView fold(int left, int top, int height) {
      return new MarkView("fold", Area.mm(left), Area.mm(top), "0", Area.mm(height), "");
    }

    static MarkView word(int left, int top, String word) {
      return new MarkView("fold-word", Area.mm(left), Area.mm(top), "20mm", "4mm", word);
    }
  }

  /** A card: one face with everything, or a front and a back. */
  private record CardView(
      String sizeClass, List<FaceView> whole, List<FaceView> front, List<FaceView> back) {}

  private record FaceView(
      String id, String left, String top, String width, String height, String points, Content of) {}

  record Content(
      String name,
      String plan,
      String bpm,
      List<CountView> counts,
      boolean rateFirst,
      boolean feelFirst,
      boolean rateLater,
      boolean noTarget,
      List<EffortDescriptionView> feel,
      boolean upTo,
      String effort20,
      String effort10,
      String scale,
      String steering,
      List<String> limit,
      List<PartView> parts,
      List<PartView> keep,
      String stopSigns,
      String stopAction,
      String renew,
      String renewBecause,
      String made,
      String notice) {
    boolean hasKeep() {
      return !keep.isEmpty();
    }
  }

  record CountView(int seconds, String beats) {}

  record EffortDescriptionView(
      String name, String voice, String breathing, List<Integer> strokes) {}

  record PartView(String what, String how) {}
}
