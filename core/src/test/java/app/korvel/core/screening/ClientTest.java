package app.korvel.core.screening;

import static app.korvel.core.support.People.TODAY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.support.People;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClientTest {

  private static Client.Details details(String name, String note, LocalDate birthDate) {
    return Client.Details.of(
        name,
        note,
        birthDate,
        Sex.NOT_GIVEN,
        Activity.SOME,
        Person.Health.NOTHING_KNOWN,
        false,
        TODAY);
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
    Client client = People.client(People.adult(45, Activity.SOME), false);
    assertThat(client.on(TODAY).age()).isEqualTo(45);
    assertThat(client.on(TODAY.minusDays(1)).age()).isEqualTo(44);
    assertThat(client.on(TODAY.plusYears(90)).age()).isEqualTo(110);
  }

  @ParameterizedTest
  @CsvSource({
    // age, activity, heart condition, heart failure, consent -> may issue, vigorous
    "45, NONE,    false, false, false, true,  false",
    "45, SOME,    false, false, false, true,  false",
    "45, REGULAR, false, false, false, true,  true",
    "45, HIGH,    true,  false, false, false, false",
    "45, NONE,    false, true,  false, false, false",
    "17, REGULAR, false, false, false, false, true",
    "17, REGULAR, false, false, true,  true,  true",
    "18, REGULAR, false, false, false, true,  true",
  })
  void permissionFollowsTheTable(
      int age,
      Activity activity,
      boolean heart,
      boolean failure,
      boolean consent,
      boolean mayIssue,
      boolean vigorous) {
    Permission permission =
        Permission.of(People.with(age, activity, heart, failure, false), consent);
    assertThat(permission.mayIssue()).isEqualTo(mayIssue);
    assertThat(permission.vigorous()).isEqualTo(vigorous);
    assertThat(permission.findings().stream().anyMatch(f -> f.code().endsWith("-first")))
        .isEqualTo(!mayIssue);
    assertThat(permission.findings())
        .extracting(Finding::code)
        .filteredOn((failure ? "light-by-effort" : "light-to-moderate")::equals)
        .hasSize(vigorous ? 0 : 1);
  }
}
