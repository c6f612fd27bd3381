package app.korvel.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.OwnScheme;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Schemes;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.FieldSource;

/** A scheme goes out as a file and comes in again; what is no such file is refused at its place. */
class SchemeFileTest {
  private static final String SOUND =
      """
      {
        "format": "korvel-scheme",
        "version": 1,
        "name": "Sea wall",
        "kind": "ladder",
        "basis": "reserve",
        "serves": "Walks on the sea wall.",
        "bands": [
          {"name": "Stroll", "low": 0, "high": 42.5},
          {"name": "March", "low": 42.5, "high": 70}
        ]
      }
      """;

  static final List<Scheme> EVERY_SCHEME =
      Schemes.ALL.stream()
          .filter(scheme -> scheme.basis() != Basis.MEASURED && scheme.bands().size() > 1)
          .toList();

  private static OwnScheme read(String json) {
    return SchemeFile.read(json.getBytes(StandardCharsets.UTF_8));
  }

  private static List<String> faults(byte[] file) {
    InvalidValueException refused =
        catchThrowableOfType(InvalidValueException.class, () -> SchemeFile.read(file));
    assertThat(refused).as("refused").isNotNull();
    return refused.faults().stream().map(fault -> fault.field() + ": " + fault.message()).toList();
  }

  private static List<String> faults(String json) {
    return faults(json.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void aFileIsRead() {
    OwnScheme scheme = read(SOUND);
    assertThat(scheme.name()).isEqualTo("Sea wall");
    assertThat(scheme.bands()).extracting(OwnScheme.Row::name).containsExactly("Stroll", "March");
    assertThat(scheme.bands().get(1).low()).isEqualByComparingTo("42.5");
    assertThat(read(SOUND.replace("\"serves\": \"Walks on the sea wall.\",", "")).serves())
        .isEmpty();
  }

  @ParameterizedTest
  @FieldSource("EVERY_SCHEME")
  void whatGoesOutComesInTheSame(Scheme scheme) {
    Scheme copy = SchemeFile.read(SchemeFile.write(scheme)).checked("copy");
    assertThat(SchemeFile.write(copy)).isEqualTo(SchemeFile.write(scheme));
    assertThat(copy.bands()).hasSameSizeAs(scheme.bands());
    assertThat(copy.bands().get(0).fromRest())
        .isEqualTo(
            scheme.kind() == Scheme.Kind.LADDER && scheme.bands().get(0).low().signum() == 0);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"version\": 1 | \"version\": 2 | version: is not the one this reads",
        "\"version\": 1 | \"version\": \"1\" | version: is not the one this reads",
        "korvel-scheme | other | format: is not the one this reads",
        "\"ladder\" | \"stairs\" | kind: “stairs” is not known",
        "\"reserve\" | \"measured\" | basis: “measured” is not known",
        "\"Sea wall\" | 7 | name: is not text",
        "\"Sea wall\" | \"\" | name: is empty",
        "\"high\": 70 | \"high\": \"70\" | bands[1].high: is not a number",
        "\"high\": 70 | \"high\": 111 | bands[1].high: 111 is outside the accepted range",
        "\"high\": 70 | \"high\": null | bands[1].high: is not a number",
        "\"high\": 70 | \"top\": 70 | bands[1].top: is not a field of a zone system file",
        "\"low\": 42.5, \"high\": 70 | \"low\": 50, \"high\": 70 | bands[1].low: leaves a gap after “Stroll”",
        "\"name\": \"March\" | \"name\": \"Stroll\" | bands[1].name: stands twice",
        "\"high\": 70 | \"high\": 1e999999999 | bands[1].high: it is outside the accepted range",
        "\"high\": 70 | \"high\": NaN | file: line 10, column 47: this is not JSON",
        "\"version\": 1 | \"version\": 1, \"version\": 1 | file: line 3, column 26: a field stands twice",
      })
  void aFaultIsToldWithItsPlace(String what, String instead, String fault) {
    assertThat(SOUND).contains(what);
    assertThat(faults(SOUND.replace(what, instead))).contains(fault);
  }

  @Test
  void whatIsNoObjectAtAllIsRefused() {
    for (String json :
        List.of("", "[]", "7", "null", "\"text\"", SOUND + SOUND, "{", SOUND.replace(":", "="))) {
      assertThat(faults(json)).singleElement().asString().startsWith("file: ");
    }
    assertThat(faults(new byte[] {(byte) 0x89, 'P', 'N', 'G', 0, 1})).hasSize(1);
    assertThat(faults(SOUND.replace("Sea wall", "\u0000").getBytes(StandardCharsets.UTF_8)))
        .hasSize(1);
    assertThat(faults(new byte[] {'{', '"', (byte) 0xc3, (byte) 0x28, '"', ':', '1', '}'}))
        .hasSize(1);
  }

  @Test
  void whatIsTooLongOrTooDeepIsRefused() {
    assertThat(faults(SOUND + " ".repeat(SchemeFile.MOST_BYTES)))
        .singleElement()
        .asString()
        .matches("file: has \\d+ bytes");
    String room = " ".repeat(SchemeFile.MOST_BYTES - SOUND.getBytes(StandardCharsets.UTF_8).length);
    assertThat(read(SOUND + room).name()).isEqualTo("Sea wall");
    assertThat(faults(SOUND.replace("\"Sea wall\"", "[".repeat(3000) + "]".repeat(3000))))
        .singleElement()
        .asString()
        .contains("nested too deep");
    assertThat(faults(SOUND.replace("42.5", "4".repeat(60)))).hasSize(1);
    assertThat(faults(SOUND.replace("Sea wall", "x".repeat(3000)))).hasSize(1);
  }

  @Test
  void manyBandsAreCountedAndNotWorkedThrough() {
    String bands = "{\"name\": \"x\", \"low\": 1, \"high\": 2},".repeat(13);
    assertThat(faults(SOUND.replace("{\"name\": \"Stroll\"", bands + "{\"name\": \"Stroll\"")))
        .contains("bands: has 15 zones");
  }

  /** Whatever is done to a file: it is read, or refused as a value; never anything else. */
  @Test
  void aTornFileIsReadOrRefused() {
    Random random = new Random(12);
    byte[] sound = SOUND.getBytes(StandardCharsets.UTF_8);
    for (int i = 0; i < 3000; i++) {
      byte[] torn = sound.clone();
      for (int n = random.nextInt(4); n >= 0; n--) {
        torn[random.nextInt(torn.length)] = (byte) random.nextInt(256);
      }
      try {
        SchemeFile.read(torn);
      } catch (InvalidValueException refused) {
        assertThat(refused.faults()).isNotEmpty();
      }
    }
  }
}
