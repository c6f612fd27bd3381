package app.korvel.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.measure.InvalidValueException.Fault;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TextsTest {
  private static List<Fault> faults(String text, int least) {
    List<Fault> faults = new ArrayList<>();
    Texts.check(faults, "name", text, least, 80);
    return faults;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Ngọc Ánh",
        "محمد",
        "李小龍",
        "Zoë O'Neill-Čapek",
        "👩‍🚀 Ada",
        "שרה\u200f",
        "ا\u200cب"
      })
  void namesOfManyPlacesAreAccepted(String name) {
    assertThat(faults(name, 1)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "D800, half a character (U+D800)",
    "DFFF, half a character (U+DFFF)",
    "202E, a direction override (U+202E)",
    "202A, a direction override (U+202A)",
    "2066, a direction override (U+2066)",
    "0007, a control character (U+0007)",
    "2028, a line break (U+2028)",
    "0085, a control character (U+0085)",
  })
  void whatIsNoPlainTextIsRefusedByItsName(String point, String named) {
    String text = "An" + (char) Integer.parseInt(point, 16) + "na";
    assertThat(faults(text, 1)).extracting(Fault::message).containsExactly("holds " + named);
  }

  @ParameterizedTest
  @ValueSource(strings = {"\u200b", "\u200b\u200d\ufeff", "\u00a0\u2003", "\u3164", "\u2800\u200e"})
  void aNameThatNobodyCanSeeIsRefused(String name) {
    assertThat(faults(name, 1))
        .extracting(Fault::message)
        .containsExactly("holds nothing that can be seen");
  }

  @Test
  void lengthsAreCountedInCharacters() {
    assertThat(faults("😀".repeat(80), 1)).isEmpty();
    assertThat(faults("😀".repeat(81), 1))
        .extracting(Fault::message)
        .containsExactly("has 81 characters");
    assertThat(faults("", 0)).isEmpty();
    assertThat(faults("", 1)).extracting(Fault::message).containsExactly("is empty");
  }
}
