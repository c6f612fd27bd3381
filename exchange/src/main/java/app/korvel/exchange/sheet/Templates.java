package app.korvel.exchange.sheet;

import com.samskivert.mustache.Escapers;
import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;

/** The templates of the sheets: logic-free, and every text in them escaped. */
final class Templates {
  private Templates() {}

  /** The rules of style of every document. */
  static final String STYLES = styles();

  /** The document around the pages of any sheet. */
  static final Template FRAME = of("frame");

  /** Pages of cards. */
  static final Template CARDS = of("cards");

  /** Pages of a class chart. */
  static final Template CHART = of("chart");

  /** The page of the voice poster. */
  static final Template POSTER = of("poster");

  /** Pages to take home, with a log to fill in. */
  static final Template HAND_OUT = of("hand-out");

  /** The page of a test. */
  static final Template REPORT = of("report");

  private static Template of(String name) {
    try (Reader text = open(name)) {
      return Mustache.compiler()
          .withEscaper(raw -> Escapers.HTML.escape(printable(raw)))
          .withLoader(Templates::open)
          .compile(text);
    } catch (IOException broken) {
      throw new UncheckedIOException("A template that ships with it cannot be read", broken);
    }
  }

  private static Reader open(String name) {
    return new InputStreamReader(file(name + ".mustache"), StandardCharsets.UTF_8);
  }

  private static InputStream file(String name) {
    return Objects.requireNonNull(Templates.class.getResourceAsStream(name), name);
  }

  private static String styles() {
    try (InputStream file = file("sheet.css")) {
      return new String(file.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException broken) {
      throw new UncheckedIOException("The styles that ship with it cannot be read", broken);
    }
  }

  /** What XML cannot hold is replaced: half a character, or one that only steers a printer. */
  private static String printable(String text) {
    return text.codePoints()
        .map(
            character ->
                Character.isISOControl(character)
                        || Character.getType(character) == Character.SURROGATE
                        || (character & 0xFFFE) == 0xFFFE
                    ? 0xFFFD
                    : character)
        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
        .toString();
  }
}
