package app.korvel.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.screening.Sex;
import app.korvel.exchange.PeopleList.DateOrder;
import app.korvel.exchange.PeopleList.Row;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PeopleListTest {
  private static PeopleList read(String text) {
    return PeopleList.read(text, Optional.empty());
  }

  private static Row one(String text) {
    return read(text).rows().get(0);
  }

  @Test
  void aListFromASpreadsheetIsReadByItsHeadings() {
    List<Row> rows =
        read("""
            Surname\tFirst name\tBorn\tGender\tNotes
            Tamm\tEelis\t1990-03-05\tm\tdeckhand, "night boat"
            Adeyemi\tWren\t12 March 1961\tF\t
            """)
            .rows();
    assertThat(rows)
        .containsExactly(
            new Row(
                2,
                "Eelis Tamm",
                Optional.of(LocalDate.of(1990, 3, 5)),
                "1990-03-05",
                Sex.MALE,
                "deckhand, \"night boat\""),
            new Row(
                3,
                "Wren Adeyemi",
                Optional.of(LocalDate.of(1961, 3, 12)),
                "12 March 1961",
                Sex.FEMALE,
                ""));
  }

  @Test
  void withoutHeadingsEachColumnIsKnownByWhatIsInIt() {
    assertThat(one("Eelis Tamm; 5.3.1990; m; deckhand"))
        .isEqualTo(
            new Row(
                1,
                "Eelis Tamm",
                Optional.of(LocalDate.of(1990, 3, 5)),
                "5.3.1990",
                Sex.MALE,
                "deckhand"));
    assertThat(one("1990-03-05,Eelis Tamm").name()).isEqualTo("Eelis Tamm");
    assertThat(one("Eelis Tamm").birthDate()).isEmpty();
    assertThat(one("\"Tamm, Eelis\",1990-03-05").name()).isEqualTo("Tamm, Eelis");
    assertThat(one("\uFEFFname,born\nEelis Tamm,1990-03-05").name()).isEqualTo("Eelis Tamm");
  }

  @ParameterizedTest
  @CsvSource({
    "25/4/1980, 3/4/1981, 1981-04-03",
    "4/25/1980, 3/4/1981, 1981-03-04",
  })
  void oneDateTellsHowTheOthersAreWritten(String first, String second, LocalDate read) {
    PeopleList list = read("A One," + first + "\nB Two," + second);
    assertThat(list.datesUnclear()).isFalse();
    assertThat(list.rows().get(1).birthDate()).contains(read);
  }

  @Test
  void whereNoneTellsItIsAsked() {
    String text = "A One,3/4/1981";
    assertThat(read(text).datesUnclear()).isTrue();
    PeopleList told = PeopleList.read(text, Optional.of(DateOrder.MONTH_FIRST));
    assertThat(told.datesUnclear()).isFalse();
    assertThat(told.rows().get(0).birthDate()).contains(LocalDate.of(1981, 3, 4));
    assertThat(read("A One,4/4/1981").datesUnclear()).isFalse();
  }

  @ParameterizedTest
  @CsvSource({"31.2.1980", "1980", "5.3.80", "tomorrow", "13/13/1980"})
  void aDateThatIsNoneStaysAsItIsWritten(String written) {
    Row row = one("name,born\nEelis Tamm," + written);
    assertThat(row.birthDate()).isEmpty();
    assertThat(row.birthDateWritten()).isEqualTo(written);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"'' | holds nobody", "' ' | holds nobody", "'\"Tamm' | quotation mark"})
  void whatIsNoListIsRefused(String text, String why) {
    assertThatThrownBy(() -> read(text))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining(why);
  }

  @Test
  void tooMuchIsRefused() {
    assertThatThrownBy(() -> read("x".repeat(PeopleList.MOST_CHARACTERS + 1)))
        .hasMessageContaining("too long");
    assertThatThrownBy(() -> read("A One\n".repeat(PeopleList.MOST_ROWS + 2)))
        .hasMessageContaining("502 lines");
    assertThat(read("name\n" + "A One\n".repeat(PeopleList.MOST_ROWS)).rows())
        .hasSize(PeopleList.MOST_ROWS);
  }

  /** Whatever is pasted is read or refused, and nothing else happens. */
  @Test
  void nothingThatIsPastedBreaksIt() {
    Random random = new Random(22);
    String written = "name;born\n\"A; One\"\t3/4/1981,f\r\n'ü\u0000\uFEFF";
    for (int n = 0; n < 5_000; n++) {
      StringBuilder text = new StringBuilder();
      for (int length = random.nextInt(40); length > 0; length--) {
        text.append(written.charAt(random.nextInt(written.length())));
      }
      try {
        assertThat(read(text.toString()).rows()).isNotNull();
      } catch (InvalidValueException refused) {
        assertThat(refused).hasMessageContaining("text");
      }
    }
  }
}
