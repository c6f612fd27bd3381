package app.korvel.core.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.screening.StopSign;
import app.korvel.core.support.Logs;
import app.korvel.core.zone.Level;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SessionLogTest {
  private static final LocalDate TODAY = Logs.TODAY;

  private static List<Fault> faults(SessionLog log) {
    try {
      log.checked(ZoneOffset.UTC);
      return List.of();
    } catch (InvalidValueException faulty) {
      return faulty.faults();
    }
  }

  @ParameterizedTest
  @CsvSource({
    "1, 6, 30, ''",
    "600, 20, 240, ''",
    "0, 12, 120, minutes",
    "900, 12, 120, minutes",
    "-5, 12, 120, minutes",
    "30, 5, 120, rpe",
    "30, 21, 120, rpe",
    "30, 12, 29, bpm",
    "30, 12, 241, bpm",
  })
  void figuresKeepTheirRange(int minutes, int rpe, int bpm, String field) {
    SessionLog log = Logs.done(TODAY, minutes, rpe, bpm);
    assertThat(faults(log))
        .extracting(Fault::field)
        .isEqualTo(field.isEmpty() ? List.of() : List.of(field));
    faults(log).forEach(fault -> assertThat(fault.accepted()).matches(".*\\d+ to \\d+ .*"));
  }

  @Test
  void whatIsWrongIsSaidAllAtOnce() {
    SessionLog log = Logs.done(TODAY.plusDays(1), 0, 21, 300);
    assertThat(faults(log)).extracting(Fault::field).containsExactly("on", "minutes", "bpm", "rpe");
    assertThat(faults(log).get(0).message()).isEqualTo("lies in the future");
  }

  @Test
  void todayAndTwoYearsBackAreLogged() {
    assertThat(faults(Logs.done(TODAY, 20, 12, 120))).isEmpty();
    assertThat(faults(Logs.done(TODAY.minusYears(2), 20, 12, 120))).isEmpty();
    assertThat(faults(Logs.done(TODAY.minusYears(2).minusDays(1), 20, 12, 120)))
        .extracting(Fault::field)
        .containsExactly("on");
  }

  @Test
  void aSessionThatWasNotDoneHasNoFigures() {
    assertThat(faults(Logs.missed(TODAY))).isEmpty();
    SessionLog odd = Logs.done(TODAY, 20, 12, 120);
    SessionLog log =
        new SessionLog(
            odd.id(),
            odd.number(),
            odd.on(),
            odd.mode(),
            false,
            0,
            odd.rate(),
            odd.rpe20(),
            Optional.of(Level.TALK),
            Set.of(),
            "",
            odd.asked(),
            odd.recordedAt());
    assertThat(faults(log)).extracting(Fault::field).containsExactly("bpm", "rpe", "voice");
  }

  @Test
  void oneThatWasCutShortKeepsItsMinutesAndWasNotDone() {
    SessionLog done = Logs.done(TODAY, 14, 12, 120);
    SessionLog log =
        new SessionLog(
            done.id(),
            done.number(),
            done.on(),
            done.mode(),
            false,
            14,
            done.rate(),
            done.rpe20(),
            Optional.empty(),
            Set.of(),
            "",
            done.asked(),
            done.recordedAt());
    assertThat(faults(log)).isEmpty();
    assertThat(log.trained()).isTrue();
    assertThat(log.words()).startsWith("cut short, 14 min, ");
  }

  @Test
  void aNoteHasItsLength() {
    assertThat(faults(Logs.noted("x".repeat(280)))).isEmpty();
    assertThat(faults(Logs.noted("x".repeat(281))))
        .extracting(Fault::field)
        .containsExactly("note");
    assertThatThrownBy(() -> Logs.noted("two\nlines").checked(ZoneOffset.UTC))
        .isInstanceOf(InvalidValueException.class);
  }

  /** Rest 64, maximum 176: 40 % is 109, 60 % 131, 75 % 148, 90 % 165. */
  @ParameterizedTest
  @CsvSource({
    "120, 12, TALK, TALK",
    "135, 12, TALK, TALK",
    "135, 14, TALK, PHRASES",
    "100, 14, WORDS, PHRASES",
    // Of two the higher.
    "120, 14, , PHRASES",
    "150, , TALK, WORDS",
    ", 12, , TALK",
    ", , SILENT, SILENT",
    "108, , , SING",
    "109, , , TALK",
    // Nothing noted: the middle of 40 to 50.
    ", , , TALK",
  })
  void itsMinutesCountAtTheMiddleOfWhatIsSaid(Integer bpm, Integer rpe, Level voice, Level level) {
    assertThat(Logs.felt(bpm, rpe, voice).level()).isEqualTo(level);
  }

  @Test
  void aRateIsNotReadWhereNoneMayBeUsed() {
    assertThat(Logs.withoutReserve(170, 12).level()).isEqualTo(Level.TALK);
    assertThat(Logs.withoutReserve(170, null).level()).isEqualTo(Level.TALK);
  }

  @Test
  void everyStopSignButAWishIsASymptom() {
    for (StopSign sign : StopSign.values()) {
      assertThat(Logs.warned(TODAY, sign).symptoms()).isEqualTo(sign != StopSign.WISH);
    }
    assertThat(Logs.done(TODAY, 20, 12, 120).symptoms()).isFalse();
    assertThat(Logs.warned(TODAY, StopSign.PALE).words())
        .isEqualTo("20 min, RPE 12, pale, blue lips or a cold sweat");
  }
}
