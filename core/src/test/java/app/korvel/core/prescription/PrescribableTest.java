package app.korvel.core.prescription;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.WorkType;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.core.support.People;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Schemes;
import app.korvel.core.zone.Zones;
import app.korvel.core.zone.Zones.BandRates;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A zone system's band is shown as it is, and prescribed as far as the client's context allows. */
class PrescribableTest {
  /** Not cleared for vigorous work. */
  private static final ClientBaseline BEGINNER =
      baseline(People.screening(adult(45, Activity.NONE), true));

  private static final ClientBaseline TRAINED =
      baseline(People.screening(adult(45, Activity.HIGH), true));

  private static ClientBaseline baseline(Screening screening) {
    RestingReading reading =
        RestingReading.counted(
            new UUID(0, 1),
            TODAY.atTime(8, 0).toInstant(ZoneOffset.UTC),
            PulseCount.of(64, CountWindow.S60),
            Posture.SEATED,
            5,
            Set.of());
    return ClientBaseline.of(
        screening,
        WorkingResting.of(List.of(reading), TODAY, ZoneOffset.UTC),
        Mode.RUN,
        Optional.empty());
  }

  private static Prescribable of(
      ClientBaseline baseline, String scheme, int band, OptionalInt cap) {
    Scheme school = Scheme.of(scheme);
    List<BandRates> bands =
        Zones.bands(school, Anchors.of(baseline.reserveOrRefuse()), baseline.uncertainty(), cap);
    return Prescribable.of(
            bands, school.basis(), baseline.reserveOrRefuse(), cap, baseline.ceiling())
        .get(band);
  }

  private static String range(Prescribable found) {
    return found.percents().map(range -> range.low() + "-" + range.high()).orElse("none");
  }

  @ParameterizedTest
  @CsvSource({
    // Held under 60 %: a 65 % “warm-up” is the zone system's and not prescribed.
    "three-points,0,none",
    "single-point,0,60-60",
    "voice-ladder,0,20-40",
    "voice-ladder,1,40-60",
    "voice-ladder,2,none",
    "goal-ranges,2,50-60",
    "goal-ranges,5,none",
  })
  void heldUnderSixty(String scheme, int band, String expected) {
    assertThat(range(of(BEGINNER, scheme, band, OptionalInt.empty()))).isEqualTo(expected);
  }

  @ParameterizedTest
  @CsvSource({
    "voice-ladder,3,75-90",
    "voice-ladder,4,none",
    "goal-ranges,4,80-90",
    "goal-ranges,5,none",
    "single-point,3,90-90",
    // 64 at rest, 177 at most: 70–85 % of maximum is 124–150, 53 % of reserve is 124, 76 % is 150.
    "school-range,0,53-76",
  })
  void ninetyAndOverIsForTesting(String scheme, int band, String expected) {
    assertThat(range(of(TRAINED, scheme, band, OptionalInt.empty()))).isEqualTo(expected);
  }

  /** The bands are shown; nothing of them is offered to somebody who may do nothing. */
  @Test
  void nothingIsOfferedToSomeoneWhoMayNotTrain() {
    Person minor = adult(16, Activity.SOME);
    Person known = People.having(45, Activity.SOME, Condition.DIABETES);
    for (Screening stopped :
        List.of(People.screening(minor, false), People.screening(known, true))) {
      ClientBaseline baseline = baseline(stopped);
      for (Scheme school : Schemes.ALL) {
        if (school.basis().needsThresholds()) {
          continue;
        }
        for (int band = 0; band < school.bands().size(); band++) {
          Prescribable found = of(baseline, school.id(), band, OptionalInt.empty());
          assertThat(found.percents()).isEmpty();
          assertThat(found.because()).startsWith("Nothing is prescribed now: ");
        }
      }
    }
    assertThat(of(baseline(People.screening(known, true)), "voice-ladder", 1, OptionalInt.empty()))
        .extracting(Prescribable::because)
        .isEqualTo(
            "Nothing is prescribed now: A doctor's clearance comes first; then light to moderate.");
  }

  @Test
  void whyNotIsAlwaysSaid() {
    assertThat(of(BEGINNER, "three-points", 0, OptionalInt.empty()).because())
        .startsWith("Up to 60 %: vigorous work is not allowed");
    assertThat(of(TRAINED, "voice-ladder", 4, OptionalInt.empty()).because())
        .isEqualTo("Up to 90 %: higher is for testing only.");
    assertThat(of(TRAINED, "voice-ladder", 1, OptionalInt.empty()).because()).isEmpty();
    Screening heart = People.screening(with(45, Activity.HIGH, true, false, false), true);
    assertThat(of(baseline(heart), "voice-ladder", 4, OptionalInt.empty()).because()).isNotEmpty();
  }

  /** What is offered passes the check of a prescription, for every band of every zone system. */
  @Test
  void whateverIsOfferedCanBePrescribed() {
    for (ClientBaseline baseline : List.of(BEGINNER, TRAINED)) {
      Person person = baseline.person();
      for (Scheme school : Schemes.ALL) {
        if (school.basis().needsThresholds()) {
          continue;
        }
        for (int band = 0; band < school.bands().size(); band++) {
          Prescribable found = of(baseline, school.id(), band, OptionalInt.empty());
          assertThat(found.percents().isPresent() || !found.because().isEmpty()).isTrue();
          found
              .percents()
              .ifPresent(
                  percents ->
                      assertThatCode(() -> parts(percents).check(baseline.screening().scope()))
                          .doesNotThrowAnyException());
        }
      }
    }
  }

  private static Fitt parts(Percents percents) {
    return new Fitt(
        Goal.GENERAL_FITNESS,
        Approach.GUIDELINE,
        percents.low(),
        percents.high(),
        30,
        3,
        percents.high() > 80 ? WorkType.INTERVALS : WorkType.STEADY,
        Mode.RUN);
  }
}
