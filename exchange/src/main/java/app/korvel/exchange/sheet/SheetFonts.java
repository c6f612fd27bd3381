package app.korvel.exchange.sheet;

import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/**
 * The fonts of every sheet, shipped with it. Names come from many places: what the first family
 * does not draw, the next one does.
 */
public final class SheetFonts {
  private SheetFonts() {}

  /**
   * A font file.
   *
   * @param family its name in the stylesheet
   * @param weight 400 or 700
   * @param file its name
   */
  public record Face(String family, int weight, String file) {
    /** The file's content. */
    public InputStream open() {
      return SheetFonts.class.getResourceAsStream("fonts/" + file);
    }
  }

  /** Every font. */
  public static final List<Face> ALL =
      List.of(
          new Face("Sheet", 400, "next-latin-400.ttf"),
          new Face("Sheet", 700, "next-latin-700.ttf"),
          new Face("Sheet More", 400, "next-latin-ext-400.ttf"),
          new Face("Sheet More", 700, "next-latin-ext-700.ttf"),
          new Face("Figures", 400, "mono-latin-400.ttf"),
          new Face("Figures", 700, "mono-latin-700.ttf"),
          new Face("Any Script", 400, "dejavu-400.ttf"),
          new Face("Any Script", 700, "dejavu-700.ttf"));

  /** The font of that file, if there is one. */
  public static Optional<Face> of(String file) {
    return ALL.stream().filter(face -> face.file.equals(file)).findFirst();
  }

  /**
   * The families that fill in for one another, and what the first of each draws: a text that the
   * first family draws needs none of the others.
   */
  private static final List<String> FILL_IN = List.of("Sheet", "Sheet More", "Any Script");

  private static final Map<String, List<CmapLookup>> DRAWN =
      ALL.stream()
          .filter(face -> FILL_IN.subList(0, 2).contains(face.family))
          .collect(Collectors.groupingBy(Face::family, mapping(SheetFonts::characters, toList())));

  /** Those that a text needs: a family that fills in only where those before it are not enough. */
  static List<Face> forText(String text) {
    Set<String> spared = new HashSet<>();
    for (int last = FILL_IN.size() - 1; last > 0; last--) {
      if (!draw(FILL_IN.subList(0, last), text)) {
        break;
      }
      spared.add(FILL_IN.get(last));
    }
    return ALL.stream().filter(face -> !spared.contains(face.family)).toList();
  }

  private static boolean draw(List<String> families, String text) {
    return text.codePoints()
        .filter(character -> character > ' ')
        .allMatch(
            character ->
                families.stream()
                    .flatMap(family -> DRAWN.get(family).stream())
                    .anyMatch(font -> font.getGlyphId(character) != 0));
  }

  /** As rules of a stylesheet. */
  static String faces(String address) {
    List<String> rules = new ArrayList<>();
    for (Face face : ALL) {
      rules.add(
          "@font-face{font-family:\"%s\";font-weight:%d;src:url(\"%s/%s\") format(\"truetype\")}"
              .formatted(face.family, face.weight, address, face.file));
    }
    return rules.stream().collect(Collectors.joining("\n"));
  }

  private static CmapLookup characters(Face face) {
    try (InputStream file = face.open()) {
      return new TTFParser()
          .parse(new RandomAccessReadBuffer(file.readAllBytes()))
          .getUnicodeCmapLookup();
    } catch (IOException broken) {
      throw new UncheckedIOException("A font that ships with it cannot be read", broken);
    }
  }
}
