package app.korvel.core.screening;

import static app.korvel.core.support.People.TODAY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.support.People;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;

class ClientTest {

  private static Client.Details details(String name, String note, LocalDate birthDate) {
    return Client.Details.of(name, note, birthDate, Sex.NOT_GIVEN, TODAY);
  }

  @Test
  void everyFaultIsNamedAtOnce() {
    assertThatThrownBy(() -> details("  ", "x".repeat(121), TODAY.plusDays(1)))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            invalid ->
                assertThat(invalid.faults())
                    .extracting(InvalidValueException.Fault::field)
                    .containsExactly("name", "note", "birthDate"));
  }

  @Test
  void theAgeMustBeSixToOneHundredAndTen() {
    assertThat(details("A", "", TODAY.minusYears(6)).name()).isEqualTo("A");
    assertThat(details("A", "", TODAY.minusYears(111).plusDays(1)).name()).isEqualTo("A");
    assertThatThrownBy(() -> details("A", "", TODAY.minusYears(6).plusDays(1)))
        .hasMessageContaining("makes an age of 5");
    assertThatThrownBy(() -> details("A", "", TODAY.minusYears(111)))
        .hasMessageContaining("makes an age of 111");
  }

  @Test
  void namesLoseTheirMarginsAndKeepEverythingElse() {
    assertThat(details("  Ngọc-Ánh d'Été ", "", TODAY.minusYears(30)).name())
        .isEqualTo("Ngọc-Ánh d'Été");
    assertThatThrownBy(() -> details("A\nB", "", TODAY.minusYears(30)))
        .hasMessageContaining("control character");
  }

  @Test
  void theAgeTurnsOnTheBirthday() {
    Client client = People.client(People.adult(45, Activity.SOME));
    assertThat(client.ageOn(TODAY)).isEqualTo(45);
    assertThat(client.ageOn(TODAY.minusDays(1))).isEqualTo(44);
    assertThat(client.ageOn(TODAY.plusYears(90))).isEqualTo(110);
  }
}
