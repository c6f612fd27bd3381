package app.korvel.exchange.recording;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.exchange.recording.CsvColumns.Choice;
import app.korvel.exchange.recording.CsvColumns.DateOrder;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CsvColumnsTest {
  private static Choice guess(String... headings) {
    return CsvColumns.guess(List.of(headings), List.of()).choice();
  }

  private static Choice read(int rate, int time, int date, int steps) {
    return new Choice(rate, time, date, steps, Optional.empty());
  }

  @Test
  void columnsAreGuessedFromTheirHeadings() {
    assertThat(guess("Time", "Heart Rate", "Cadence")).isEqualTo(read(1, 0, -1, 2));
    assertThat(guess("date", "time", "HR (bpm)")).isEqualTo(read(2, 1, 0, -1));
    assertThat(guess("elapsed_seconds", "pulse", "steps/min")).isEqualTo(read(1, 0, -1, 2));
    assertThat(guess("a", "b", "c")).isEqualTo(read(-1, -1, -1, -1));
  }

  @Test
  void whereTwoCouldBeTheRateNoneIsTaken() {
    assertThat(guess("time", "heart rate", "hr").rate()).isEqualTo(CsvColumns.NONE);
  }

  @Test
  void whereTwoCouldBeTheTimeThePlainerOneIs() {
    assertThat(guess("duration", "timestamp", "hr").time()).isEqualTo(1);
    assertThat(guess("timestamp", "time", "hr").time()).isEqualTo(1);
  }

  @ParameterizedTest
  @CsvSource({
    "'time,hr', true",
    "'hr', false",
    "'Device,ZX-4', false",
    "'12,130', false",
    "'Heart-Rate (bpm),x', true"
  })
  void aLineLooksLikeHeadingsWhereOneIsARate(String line, boolean headings) {
    assertThat(CsvColumns.headings(List.of(line.split(",")))).isEqualTo(headings);
  }

  @Test
  void whatWasChosenComesBackFromItsDocument() {
    Choice choice = new Choice(2, 1, 0, -1, Optional.of(DateOrder.MONTH_FIRST));
    assertThat(Choice.of(choice.document())).isEqualTo(choice);
    assertThat(Choice.of(read(1, 0, -1, -1).document())).isEqualTo(read(1, 0, -1, -1));
    assertThat(choice.last()).isEqualTo(2);
  }

  @Test
  void aColumnThatTheFileDoesNotHaveIsNone() {
    CsvColumns columns = CsvColumns.guess(List.of("time", "hr"), List.of("0", "120"));
    assertThat(columns.readAs(read(7, 0, -5, 2)).choice()).isEqualTo(read(-1, 0, -1, -1));
  }

  @Test
  void aFileIsKnownAgainByItsHeadingsWhateverTheirCase() {
    CsvColumns one = CsvColumns.guess(List.of("Time", "HR"), List.of());
    CsvColumns other = CsvColumns.guess(List.of("time", "hr"), List.of("0", "120"));
    assertThat(one.signature()).isEqualTo(other.signature());
    assertThat(one.signature())
        .isNotEqualTo(CsvColumns.guess(List.of("hr", "time"), List.of()).signature());
  }
}
