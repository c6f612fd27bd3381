package app.korvel.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.MaximumFinding;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.PrescriptionFinding;
import app.korvel.core.progress.DueList.Due;
import app.korvel.core.progress.DueList.Facts;
import app.korvel.core.progress.DueList.Held;
import app.korvel.core.progress.DueList.Kind;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Person;
import app.korvel.core.support.People;
import app.korvel.core.talk.LearnedFinding;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The whole list, each at the day on which it comes due. */
class DueListTest {
  private static final LocalDate TODAY = People.TODAY;
  private static final Person WELL = People.adult(40, Activity.SOME);

  private static ClientBaseline baseline(Person person, int restingDaysAgo) {
    return ClientBaseline.of(
        People.screening(person, true),
        WorkingResting.of(
            List.of(
                RestingReading.counted(
                    new UUID(0, 1),
                    People.daysAgo(restingDaysAgo),
                    PulseCount.of(64, CountWindow.S60),
                    Posture.SEATED,
                    5,
                    Set.of())),
            TODAY,
            ZoneOffset.UTC),
        Mode.RUN,
        Optional.empty());
  }

  private static Facts facts(
      ClientBaseline baseline, int testDaysAgo, int issuedDaysAgo, int logDaysAgo) {
    return new Facts(
        baseline,
        Optional.empty(),
        Map.of("Hill repeats", TODAY.minusDays(testDaysAgo)),
        Optional.of(new Held(2, TODAY.minusDays(issuedDaysAgo), Optional.empty())),
        Optional.empty(),
        Optional.empty(),
        Optional.of(TODAY.minusDays(logDaysAgo)));
  }

  private static List<String> codes(Facts facts) {
    return DueList.of(facts).stream().map(Due::finding).map(Finding::code).toList();
  }

  @ParameterizedTest
  @CsvSource({
    "56, 83, 27, 9, ''",
    "57, 83, 27, 9, resting-due",
    "56, 84, 27, 9, test-due",
    "56, 83, 28, 9, review-due",
    "56, 83, 27, 10, gone-quiet",
    "57, 84, 28, 10, 'resting-due,review-due,test-due,gone-quiet'",
  })
  void eachComesDueOnItsDay(int resting, int test, int issued, int logged, String due) {
    assertThat(String.join(",", codes(facts(baseline(WELL, resting), test, issued, logged))))
        .isEqualTo(due);
  }

  @Test
  void itSaysSinceWhen() {
    List<Due> due = DueList.of(facts(baseline(WELL, 1), 90, 30, 12));
    assertThat(due)
        .extracting(each -> each.finding().message())
        .containsExactly(
            "Review the prescription: version 2 dates from 20 Apr 2026.",
            "Test due again: the last one, Hill repeats, was on 19 Feb 2026.",
            "Nothing logged for 12 days.");
    assertThat(due).extracting(Due::kind).containsExactly(Kind.PRESCRIPTION, Kind.TEST, Kind.LOG);
  }

  @Test
  void newValuesComeInThePlaceOfTheUsualReviewAndAMaximumAndAWeekStandBeside() {
    Facts facts =
        new Facts(
            baseline(WELL, 1),
            Optional.of(MaximumFinding.MAXIMUM_DUE.of("20 May 2024", "2")),
            Map.of(),
            Optional.of(
                new Held(
                    2,
                    TODAY.minusDays(40),
                    Optional.of(PrescriptionFinding.PRESCRIPTION_REVIEW.of(1, 2, 3, 4, 5, 6)))),
            Optional.of(LearnedFinding.LEARNED_SHOWN_ONLY.of("A")),
            Optional.of(3),
            Optional.of(TODAY));
    assertThat(codes(facts))
        .containsExactly("maximum-due", "prescription-review", "learned-shown-only", "step-due");
    assertThat(DueList.of(facts).get(3).finding().message())
        .isEqualTo("Week 3 is over: decide the next one.");
  }

  @Test
  void whoHasNothingPrescribedIsNotAskedForLogs() {
    Facts facts =
        new Facts(
            baseline(WELL, 1),
            Optional.empty(),
            Map.of(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.of(TODAY.minusDays(90)));
    assertThat(codes(facts)).isEmpty();
  }

  /** A known disease without a clearance: first that, and what is measured. */
  @Test
  void whoMustNotTrainIsDueForNothingThatWaits() {
    Person ill = People.having(40, Activity.SOME, Condition.HEART_CONDITION);
    assertThat(codes(facts(baseline(ill, 57), 90, 30, 12))).containsExactly("resting-due");
  }
}
