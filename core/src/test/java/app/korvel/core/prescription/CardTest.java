package app.korvel.core.prescription;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.answers;
import static app.korvel.core.support.People.clearance;
import static app.korvel.core.support.People.daysAgo;
import static app.korvel.core.support.People.having;
import static app.korvel.core.support.People.screening;
import static app.korvel.core.support.People.taking;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Card.Leads;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.WrittenLimit;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What a client carries, what leads on it, and until when. */
class CardTest {
  private static final LocalDate FAR_BIRTHDAY = TODAY.plusDays(300);

  private static ClientBaseline baseline(Screening screening, int countedDaysAgo) {
    RestingReading reading =
        RestingReading.counted(
            new UUID(0, 64),
            daysAgo(countedDaysAgo),
            PulseCount.of(64, CountWindow.S60),
            Posture.SEATED,
            5,
            Set.of());
    return ClientBaseline.of(
        screening,
        WorkingResting.of(List.of(reading), screening.medicinesChangedAt(), TODAY, ZONE),
        Mode.RUN,
        Optional.empty());
  }

  private static Prescription prescribed(ClientBaseline baseline) {
    return Prescription.of(
        baseline,
        new Fitt(
            Goal.GENERAL_FITNESS, Approach.GUIDELINE, 40, 50, 30, 3, WorkType.STEADY, Mode.RUN));
  }

  private static Card card(Screening screening, int countedDaysAgo, LocalDate birthday) {
    ClientBaseline baseline = baseline(screening, countedDaysAgo);
    return Card.of("Test Person", 2, prescribed(baseline), daysAgo(0), baseline, birthday);
  }

  @Test
  void aRateLeadsForWhoIsSteeredByIt() {
    Card card = card(screening(adult(46, Activity.SOME), false), 9, FAR_BIRTHDAY);
    assertThat(card.leads()).isEqualTo(Leads.RATE);
    assertThat(card.prescription().target()).isPresent();
    // Looked at again after four weeks, before the pulse is older than 56 days.
    assertThat(card.renewal()).isEqualTo(new Renewal(TODAY.plusDays(28), "reviewed every 4 weeks"));
    assertThat(card.renewal().due(TODAY.plusDays(27))).isFalse();
    assertThat(card.renewal().due(TODAY.plusDays(28))).isTrue();
  }

  @Test
  void feelingLeadsForANewcomerAndOnABetaBlocker() {
    assertThat(card(screening(adult(46, Activity.NONE), false), 9, FAR_BIRTHDAY).leads())
        .isEqualTo(Leads.FEEL);
    Person person = taking(46, Activity.SOME, MedicineClass.BETA_BLOCKER);
    assertThat(card(screening(person, false), 9, FAR_BIRTHDAY).leads()).isEqualTo(Leads.FEEL);
  }

  @Test
  void noRateStandsOnItWhereNoneMayBeUsedAndNothingMeasuredIsWaitedFor() {
    Person person = having(46, Activity.SOME, Condition.IRREGULAR_RHYTHM);
    Card card =
        card(
            screening(person, answers(person), clearance(10, Allows.MODERATE, 200)),
            55,
            TODAY.plusDays(1));
    assertThat(card.leads()).isEqualTo(Leads.FEEL_ONLY);
    assertThat(card.prescription().target()).isEmpty();
    assertThat(card.prescription().warmUp().highBpm()).isEmpty();
    assertThat(card.renewal().on()).isEqualTo(TODAY.plusDays(28));
  }

  @Test
  void theEarliestOfWhatItStandsOnRenewsIt() {
    Screening well = screening(adult(46, Activity.SOME), false);
    assertThat(card(well, 50, FAR_BIRTHDAY).renewal())
        .isEqualTo(new Renewal(TODAY.plusDays(7), "the resting pulse is due again"));
    assertThat(card(well, 9, TODAY.plusDays(3)).renewal())
        .isEqualTo(new Renewal(TODAY.plusDays(3), "a birthday moves the estimated maximum"));
    Person heart = having(57, Activity.LITTLE, Condition.HEART_CONDITION);
    assertThat(
            card(
                    screening(heart, answers(heart), clearance(30, Allows.MODERATE, 12)),
                    9,
                    FAR_BIRTHDAY)
                .renewal())
        .isEqualTo(new Renewal(TODAY.plusDays(12), "the clearance ends"));
    WrittenLimit cap =
        new WrittenLimit(
            WrittenLimit.Kind.CAP,
            OptionalInt.of(150),
            "Dr Test",
            TODAY.minusDays(5),
            Optional.of(TODAY.plusDays(9)));
    Person person = adult(46, Activity.SOME);
    assertThat(
            card(
                    screening(person, answers(person, List.of(), List.of(cap), Set.of())),
                    9,
                    FAR_BIRTHDAY)
                .renewal())
        .isEqualTo(new Renewal(TODAY.plusDays(9), "a written limit ends"));
  }

  @Test
  void aDraftHasNone() {
    Screening unscreened = screening(having(57, Activity.LITTLE, Condition.HEART_CONDITION), false);
    assertThatThrownBy(() -> card(unscreened, 9, FAR_BIRTHDAY))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void whatIsLearntLaterTakesTheRatesOffOrTheWholeCard() {
    Prescription made = prescribed(baseline(screening(adult(46, Activity.SOME), false), 9));
    Person uneven = having(46, Activity.SOME, Condition.IRREGULAR_RHYTHM);
    Screening cleared = screening(uneven, answers(uneven), clearance(10, Allows.MODERATE, 200));
    Card card = Card.of("Test Person", 2, made, daysAgo(0), baseline(cleared, 9), FAR_BIRTHDAY);
    assertThat(card.prescription().target()).isEmpty();
    assertThat(card.ratesSuspended()).isNotEmpty();
    assertThat(card.leads()).isEqualTo(Leads.FEEL_ONLY);
    ClientBaseline uncleared = baseline(screening(uneven, false), 9);
    assertThatThrownBy(() -> Card.of("Test Person", 2, made, daysAgo(0), uncleared, FAR_BIRTHDAY))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("clearance");
  }

  @Test
  void noCoolDownEndsAtARateAboveTheCap() {
    Person person = adult(46, Activity.SOME);
    WrittenLimit low =
        new WrittenLimit(
            WrittenLimit.Kind.CAP, OptionalInt.of(92), "Dr Test", TODAY, Optional.empty());
    Prescription made =
        card(screening(person, answers(person, List.of(), List.of(low), Set.of())), 9, FAR_BIRTHDAY)
            .prescription();
    // 40 % of reserve is 109: above the cap of 92.
    assertThat(made.coolDown().highBpm()).isEmpty();
    assertThat(made.coolDown().how()).contains("until your breath is quiet");
    assertThat(made.target()).isEmpty();
  }
}
