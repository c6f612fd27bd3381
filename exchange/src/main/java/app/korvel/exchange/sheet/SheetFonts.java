package app.korvel.exchange.sheet;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
   * @param latin whether it draws nothing but what Latin letters are written with
   */
  public record Face(String family, int weight, String file, boolean latin) {
    /** The file's content. */
    public InputStream open() {
      return SheetFonts.class.getResourceAsStream("fonts/" + file);
    }
  }

  /** Every font. */
  public static final List<Face> ALL =
      List.of(
          new Face("Sheet", 400, "next-latin-400.ttf", true),
          new Face("Sheet", 700, "next-latin-700.ttf", true),
          new Face("Sheet More", 400, "next-latin-ext-400.ttf", true),
          new Face("Sheet More", 700, "next-latin-ext-700.ttf", true),
          new Face("Figures", 400, "mono-latin-400.ttf", true),
          new Face("Figures", 700, "mono-latin-700.ttf", true),
          new Face("Any Script", 400, "dejavu-400.ttf", false),
          new Face("Any Script", 700, "dejavu-700.ttf", false));

  private static final List<CmapLookup> LATIN =
      ALL.stream().filter(Face::latin).map(SheetFonts::characters).toList();

  /** The font of that file, if there is one. */
  public static Optional<Face> of(String file) {
    return ALL.stream().filter(face -> face.file.equals(file)).findFirst();
  }

  /** Those that a text needs: the large ones only where the others do not draw all of it. */
  static List<Face> forText(String text) {
    boolean latin =
        text.codePoints()
            .filter(character -> character > ' ')
            .allMatch(
                character -> LATIN.stream().anyMatch(font -> font.getGlyphId(character) != 0));
    return latin ? ALL.stream().filter(Face::latin).toList() : ALL;
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
