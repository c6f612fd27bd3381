package app.korvel.exchange.sheet;

import app.korvel.core.screening.StopSigns;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.RpeFamily;
import app.korvel.exchange.sheet.Paper.Area;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * The five voice levels on the wall: what the voice can still do, drawn as a line of sounds and
 * breaths, and the same effort on both scales.
 */
public final class PosterSheet {
  private PosterSheet() {}

  /** On an upright A4 its text is so large, in tenths of a point; on other papers in proportion. */
  private static final int TENTHS_OF_POINT = 102;

  private static final int BREATH = 0;

  /**
   * A line of sounds for each level: how long each lasts, in hundredths of the type size; 0 is a
   * breath.
   */
  private static final Map<Level, List<Integer>> SOUNDS =
      Map.of(
          Level.SING, List.of(260, 140, 420, 180, 360, 120, 300, 460, 200),
          Level.TALK, List.of(160, 90, 240, 120, 200, 80, 260, BREATH, 180, 240, 110),
          Level.PHRASES, List.of(150, 90, 190, BREATH, 160, 110, BREATH, 140, 180, 90),
          Level.WORDS, List.of(150, BREATH, 120, BREATH, 160, BREATH, 110, BREATH),
          Level.SILENT, List.of(BREATH, BREATH, BREATH, BREATH, BREATH, BREATH));

  /** How high a sung sound lies over the line, one after the other, in hundredths. */
  private static final List<Integer> MELODY = List.of(0, 35, 60, 35, 75, 95, 60, 20, 0);

  /** The poster. */
  public static Sheet of(RpeFamily family, Paper paper) {
    Area page = paper.area(false);
    int margin = page.width() / 17;
    int scaled = TENTHS_OF_POINT * Math.min(page.width() * 100 / 2100, page.height() * 100 / 2970);
    String points = BigDecimal.valueOf(scaled, 3).toPlainString();
    int head = page.height() * 118 / 1000;
    int foot = page.height() * 92 / 1000;
    int row = (page.height() - 2 * margin - head - foot) / Level.values().length;
    return new Sheet(
        "How hard is it? Listen to your voice",
        "Five levels of effort by what the voice can do, with two scales of effort",
        page,
        Templates.POSTER.execute(
            new View(
                Area.mm(margin),
                Area.mm(margin),
                Area.mm(page.width() - 2 * margin),
                Area.mm(page.height() - 2 * margin),
                points,
                Area.mm(row),
                Arrays.stream(Level.values()).map(level -> level(level, family)).toList(),
                String.join("; ", StopSigns.SIGNS),
                StopSigns.ACTION,
                family.meaning(),
                StopSigns.NOTICE)));
  }

  private static LevelView level(Level level, RpeFamily family) {
    List<Integer> sounds = SOUNDS.get(level);
    boolean upTo = Figures.upTo(level.rpe20());
    return new LevelView(
        level.number(),
        level.displayName(),
        sentence(level.voice()),
        level.breathing(),
        level.like(),
        upTo,
        Figures.effort(level.rpe20(), upTo),
        Figures.effort(level.rpe10(family), upTo),
        IntStream.rangeClosed(1, level.number()).boxed().toList(),
        IntStream.range(0, sounds.size())
            .mapToObj(
                i ->
                    new SoundView(
                        sounds.get(i) == BREATH,
                        Figures.hundredths(sounds.get(i), "em"),
                        Figures.hundredths(level == Level.SING ? MELODY.get(i) : 30, "em")))
            .toList());
  }

  private static String sentence(String clause) {
    return clause.substring(0, 1).toUpperCase(Locale.ROOT) + clause.substring(1);
  }

  private record View(
      String left,
      String top,
      String width,
      String height,
      String points,
      String row,
      List<LevelView> levels,
      String stopSigns,
      String stopAction,
      String scale,
      String notice) {}

  private record LevelView(
      int number,
      String name,
      String voice,
      String breathing,
      String like,
      boolean upTo,
      String effort20,
      String effort10,
      List<Integer> strokes,
      List<SoundView> sounds) {}

  private record SoundView(boolean breath, String length, String high) {}
}
