package app.korvel.core.maximum;

import static app.korvel.core.support.Maxima.peak;
import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.daysAgo;
import static app.korvel.core.support.People.with;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.JudgedMaximum.State;
import app.korvel.core.maximum.WorkingMaximum.Origin;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Working;
import app.korvel.core.pulse.Grade;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Person;
import app.korvel.core.support.Maxima;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Age 45 on the default equation: 177 running, 167 on a cycle. */
class MaximumRecordTest {
  private static final Person ADULT = adult(45, Activity.REGULAR);
  private static final LocalDate MONTH_AGO = TODAY.minusMonths(1);
  private static final LocalDate YEAR_AGO = TODAY.minusYears(1);

  private static MaximumRecord of(Mode mode, MeasuredMaximum... all) {
    return of(ADULT, mode, Optional.empty(), all);
  }

  private static MaximumRecord of(
      Person person, Mode mode, Optional<Instant> changedAt, MeasuredMaximum... all) {
    return MaximumRecord.of(
        person, OptionalInt.of(64), mode, Optional.empty(), List.of(all), changedAt, TODAY, ZONE);
  }

  private static MeasuredMaximum field(Mode mode, Grade grade, int bpm, LocalDate on) {
    return Maxima.test(mode, MaximumKind.FIELD_TEST, grade, bpm, on);
  }

  private static List<String> codes(MaximumRecord record) {
    return record.findings().stream().map(Finding::code).toList();
  }

  private static State state(MaximumRecord record, int bpm) {
    return record.measured().stream()
        .filter(value -> value.value().bpm() == bpm)
        .findFirst()
        .orElseThrow()
        .state();
  }

  private static void working(MaximumRecord record, int bpm, String error, Origin origin) {
    WorkingMaximum working = record.working().orElseThrow();
    assertThat(working.bpm()).isEqualTo(bpm);
    assertThat(working.standardErrorBpm()).isEqualByComparingTo(error);
    assertThat(working.origin()).isEqualTo(origin);
  }

  @Test
  void withNothingMeasuredTheEquationStands() {
    MaximumRecord record = of(Mode.RUN);
    working(record, 177, "10", Origin.ESTIMATED);
    assertThat(record.working().orElseThrow().method()).isEqualTo("tanaka-208");
    assertThat(codes(record)).contains("default-healthy", "fox-low-from-40", "maximum-not-fitness");
    assertThat(record.due()).isFalse();
    assertThat(record.longHand().orElseThrow().lines())
        .extracting(Working.Line::sum)
        .containsExactly("0.7 × 45", "208 − 31.5");
  }

  @Test
  void measuredBeatsEstimatedEvenWhereItIsLower() {
    MaximumRecord record = of(Mode.RUN, field(Mode.RUN, Grade.GOOD, 168, MONTH_AGO));
    working(record, 168, "5.1", Origin.MEASURED); // 5 + 1 ÷ 12 = 5.08
    assertThat(record.working().orElseThrow().method()).isEqualTo("field-test");
    assertThat(record.findings().get(0).message())
        .isEqualTo("168 is measured: the highest that qualifies.");
    assertThat(record.findings().get(0).because())
        .startsWith("Field test, graded good, on 20 Apr 2026. ± 5 on the day")
        .contains("± 5.1 today");
  }

  @Test
  void theHighestThatQualifiesStandsAndOthersSayWhyNot() {
    MaximumRecord record =
        of(
            Mode.RUN,
            field(Mode.RUN, Grade.FAIR, 186, YEAR_AGO),
            field(Mode.RUN, Grade.GOOD, 183, MONTH_AGO),
            field(Mode.RUN, Grade.POOR, 192, MONTH_AGO),
            field(Mode.CYCLE, Grade.GOOD, 199, MONTH_AGO));
    working(record, 186, "8", Origin.MEASURED); // 7 + 1
    assertThat(record.measured()).hasSize(3);
    assertThat(state(record, 186)).isEqualTo(State.WORKING);
    assertThat(state(record, 183)).isEqualTo(State.QUALIFIES);
    assertThat(state(record, 192)).isEqualTo(State.PROPOSAL);
    assertThat(codes(record)).contains("maximum-proposed", "maximum-higher-elsewhere");
    assertThat(record.longHand().orElseThrow().lines())
        .extracting(Working.Line::sum)
        .containsExactly("183, 186", "7 + 12 ÷ 12");
  }

  @Test
  void equalRatesStandAsTheLatest() {
    MaximumRecord record =
        of(
            Mode.RUN,
            field(Mode.RUN, Grade.GOOD, 184, MONTH_AGO),
            field(Mode.RUN, Grade.GOOD, 184, YEAR_AGO));
    working(record, 184, "5.1", Origin.MEASURED);
  }

  @Test
  void aPeakSeenOnceIsAProposalUntilAnotherDayComesWithinThree() {
    MaximumRecord once = of(Mode.RUN, peak(Mode.RUN, 191, MONTH_AGO));
    working(once, 177, "10", Origin.ESTIMATED);
    assertThat(state(once, 191)).isEqualTo(State.PROPOSAL);
    assertThat(once.findings().get(0).message())
        .isEqualTo("A peak of 191 was seen, 14 over the working maximum.");

    MeasuredMaximum first = peak(Mode.RUN, 191, MONTH_AGO);
    MaximumRecord apart = of(Mode.RUN, first, peak(Mode.RUN, 187, YEAR_AGO));
    assertThat(apart.working().orElseThrow().bpm())
        .as("the lower of two days is sure: it was reached on both")
        .isEqualTo(187);
    assertThat(state(apart, 191))
        .as("and the higher one stays seen once")
        .isEqualTo(State.PROPOSAL);
    assertThat(of(Mode.RUN, first, peak(Mode.RUN, 189, MONTH_AGO)).working().orElseThrow().bpm())
        .as("the same day is no other session")
        .isEqualTo(177);
    assertThat(of(Mode.RUN, first, peak(Mode.CYCLE, 190, YEAR_AGO)).working().orElseThrow().bpm())
        .as("nor is another mode")
        .isEqualTo(177);

    MaximumRecord twice = of(Mode.RUN, first, peak(Mode.RUN, 188, YEAR_AGO));
    working(twice, 191, "5.1", Origin.MEASURED);
    assertThat(twice.working().orElseThrow().method()).isEqualTo("confirmed-peak");
    assertThat(state(twice, 188)).isEqualTo(State.QUALIFIES);
    assertThat(codes(twice)).contains("maximum-measured").doesNotContain("maximum-proposed");
  }

  @Test
  void aPeakThatDoesNotReachTheWorkingValueSaysNothing() {
    MaximumRecord record =
        of(Mode.RUN, peak(Mode.RUN, 170, MONTH_AGO), peak(Mode.RUN, 171, YEAR_AGO));
    working(record, 177, "10", Origin.ESTIMATED);
    assertThat(state(record, 170)).isEqualTo(State.NOT_REACHED);
    assertThat(codes(record)).doesNotContain("maximum-proposed");
  }

  @Test
  void aPoorTestIsConfirmedLikeAPeak() {
    MaximumRecord record =
        of(Mode.RUN, field(Mode.RUN, Grade.POOR, 190, MONTH_AGO), peak(Mode.RUN, 188, YEAR_AGO));
    working(record, 190, "5.1", Origin.MEASURED);
  }

  @Test
  void otherModesBorrowTheMeasuredRunningValueWithALargerError() {
    MeasuredMaximum run = field(Mode.RUN, Grade.GOOD, 190, TODAY);
    // √(5² + 8²) = 9.43
    working(of(Mode.CYCLE, run), 180, "9.4", Origin.BORROWED);
    working(of(Mode.SWIM, run), 180, "9.4", Origin.BORROWED);
    working(of(Mode.ROW, run), 190, "9.4", Origin.BORROWED);
    MaximumRecord cycle = of(Mode.CYCLE, run);
    assertThat(cycle.findings().get(0).message())
        .isEqualTo("None measured for this mode: the running value of 190 less 10.");
    assertThat(cycle.longHand().orElseThrow().lines())
        .extracting(Working.Line::sum)
        .containsExactly("190", "5 + 0 ÷ 12", "190 − 10", "√(5² + 8²)");
    working(of(Mode.CYCLE), 167, "12.8", Origin.ESTIMATED);
    working(
        of(Mode.CYCLE, run, field(Mode.CYCLE, Grade.FAIR, 176, TODAY)), 176, "7", Origin.MEASURED);
  }

  @Test
  void aCyclePeakOverTheBorrowedValueIsProposed() {
    MaximumRecord record =
        of(Mode.CYCLE, field(Mode.RUN, Grade.GOOD, 190, TODAY), peak(Mode.CYCLE, 185, MONTH_AGO));
    working(record, 180, "9.4", Origin.BORROWED);
    assertThat(record.findings()).extracting(Finding::code).contains("maximum-proposed");
  }

  @Test
  void aChangeOfMedicineMakesEarlierOnesStaleAtOnce() {
    Person beta = with(45, Activity.REGULAR, false, false, true);
    MeasuredMaximum before = field(Mode.RUN, Grade.GOOD, 184, MONTH_AGO);
    MaximumRecord record = of(beta, Mode.RUN, Optional.of(daysAgo(3)), before);
    working(record, 147, "20", Origin.ESTIMATED);
    assertThat(state(record, 184)).isEqualTo(State.STALE);
    assertThat(codes(record)).contains("maximum-stale");
    MaximumRecord since =
        of(
            beta,
            Mode.RUN,
            Optional.of(daysAgo(3)),
            before,
            field(Mode.RUN, Grade.GOOD, 151, TODAY));
    working(since, 151, "5", Origin.MEASURED);
    assertThat(codes(since))
        .contains("maximum-on-present-dose", "beta-blocker-steering")
        .doesNotContain("maximum-stale");
  }

  @Test
  void whatWasOnRecordBeforeTheChangeOfTheSameDayIsStaleToo() {
    MeasuredMaximum noon = field(Mode.RUN, Grade.GOOD, 184, TODAY);
    Instant evening = noon.recordedAt().plusSeconds(3600);
    assertThat(state(of(ADULT, Mode.RUN, Optional.of(evening), noon), 184)).isEqualTo(State.STALE);
    Instant morning = noon.recordedAt().minusSeconds(3600);
    assertThat(state(of(ADULT, Mode.RUN, Optional.of(morning), noon), 184))
        .isEqualTo(State.WORKING);
  }

  @Test
  void withAHeartConditionOnlyASupervisedTestCounts() {
    Person heart = with(45, Activity.REGULAR, true, false, true);
    MaximumRecord record =
        of(
            heart,
            Mode.RUN,
            Optional.empty(),
            field(Mode.RUN, Grade.GOOD, 160, MONTH_AGO),
            peak(Mode.RUN, 161, YEAR_AGO));
    working(record, 133, "18", Origin.ESTIMATED);
    MaximumRecord tested =
        of(
            heart,
            Mode.RUN,
            Optional.empty(),
            Maxima.test(Mode.RUN, MaximumKind.GRADED_TEST, Grade.GOOD, 142, MONTH_AGO));
    working(tested, 142, "3.1", Origin.MEASURED);
  }

  @Test
  void withHeartFailureThereIsNoneUntilALaboratoryHasMeasuredOne() {
    Person failure = with(66, Activity.NONE, false, true, true);
    assertThat(of(failure, Mode.RUN, Optional.empty()).working()).isEmpty();
    assertThat(of(failure, Mode.RUN, Optional.empty()).longHand()).isEmpty();
    MaximumRecord measured =
        of(
            failure,
            Mode.RUN,
            Optional.empty(),
            Maxima.test(Mode.RUN, MaximumKind.LABORATORY, Grade.GOOD, 118, TODAY));
    working(measured, 118, "3", Origin.MEASURED);
    assertThat(codes(measured)).doesNotContain("no-default-heart-failure");
  }

  @Test
  void itIsDueAgainAfterTwoYearsAndKeepsItsValue() {
    LocalDate longAgo = TODAY.minusMonths(24);
    MaximumRecord record = of(Mode.RUN, field(Mode.RUN, Grade.GOOD, 184, longAgo));
    working(record, 184, "7", Origin.MEASURED);
    assertThat(record.due()).isTrue();
    assertThat(codes(record)).contains("maximum-due");
    assertThat(of(Mode.RUN, field(Mode.RUN, Grade.GOOD, 184, longAgo.plusDays(1))).due()).isFalse();
  }

  @Test
  void aChosenEquationWaitsWhileAMeasuredValueStands() {
    Choice nes = Choice.of("nes-211", "as her club does", TODAY);
    MaximumRecord record =
        MaximumRecord.of(
            ADULT,
            OptionalInt.of(64),
            Mode.RUN,
            Optional.of(nes),
            List.of(field(Mode.RUN, Grade.GOOD, 184, TODAY)),
            Optional.empty(),
            TODAY,
            ZONE);
    working(record, 184, "5", Origin.MEASURED);
    assertThat(codes(record)).contains("maximum-choice-waits").doesNotContain("maximum-chosen");
    assertThat(record.aboutChoice()).isEmpty();
  }
}
