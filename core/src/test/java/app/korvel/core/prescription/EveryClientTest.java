package app.korvel.core.prescription;

import static app.korvel.core.support.People.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.MaximumEstimates;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Severity;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Permission;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Person.Health;
import app.korvel.core.screening.Sex;
import app.korvel.core.support.People;
import app.korvel.core.zone.CountCard.Beats;
import app.korvel.core.zone.Target;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;

/** What holds for every client there could be: a thousand of them, made from a seed. */
class EveryClientTest {
  private static final int CLIENTS = 100;

  private static <T> T any(Random random, T[] values) {
    return values[random.nextInt(values.length)];
  }

  /** Each of them in one case of eight. */
  private static <T> Set<T> some(Random random, T[] values) {
    return Arrays.stream(values)
        .filter(value -> random.nextInt(8) == 0)
        .collect(Collectors.toSet());
  }

  private static Person person(Random random) {
    return Person.of(
        Limit.AGE.lowest() + random.nextInt(Limit.AGE.highest() - Limit.AGE.lowest() + 1),
        any(random, Sex.values()),
        any(random, Activity.values()),
        new Health(some(random, Condition.values()), some(random, MedicineClass.values())));
  }

  private static ClientBaseline baseline(Random random, Person person, Mode mode) {
    int beats = 25 + random.nextInt(126);
    RestingReading reading =
        RestingReading.counted(
            new UUID(0, 1),
            TODAY.minusDays(random.nextInt(90)).atTime(7, 0).toInstant(ZoneOffset.UTC),
            PulseCount.of(beats, CountWindow.S60),
            any(random, Posture.values()),
            random.nextInt(10),
            Set.of());
    return ClientBaseline.of(
        People.screening(person, random.nextBoolean()),
        WorkingResting.of(List.of(reading), TODAY, ZoneOffset.UTC),
        mode,
        Optional.empty());
  }

  @RepeatedTest(10)
  void whereToStartIsAlwaysWithinTheRulesAndExplained(RepetitionInfo repetition) {
    Random random = new Random(repetition.getCurrentRepetition());
    for (int i = 0; i < CLIENTS; i++) {
      Person person = person(random);
      Mode drawn = any(random, Mode.values());
      Mode mode = person.has(Condition.FALLS) && drawn == Mode.STAIRS ? Mode.CYCLE : drawn;
      ClientBaseline baseline = baseline(random, person, mode);
      Goal goal = any(random, Goal.openTo(baseline.person()).toArray(Goal[]::new));
      Fitt parts =
          Start.of(baseline.screening(), goal, Optional.of(any(random, Approach.values())), mode)
              .parts();

      Prescription made = Prescription.of(baseline, parts);

      if (!baseline.permission().vigorous()) {
        assertThat(parts.highPercent()).isLessThanOrEqualTo(Permission.CEILING_PERCENT);
      }
      if (baseline.person().health().heartDisease()) {
        assertThat(made.warmUp().minutes()).isEqualTo(15);
        assertThat(made.rpe20().high()).isLessThanOrEqualTo(14);
      }
      if (noRate(baseline.person())) {
        assertThat(made.target()).isEmpty();
        assertThat(made.basis()).isEmpty();
        assertThat(made.warmUp().highBpm()).isEmpty();
      }
      assertThat(made.rpe20().high())
          .isLessThanOrEqualTo(baseline.screening().effects().highestEffort());
      assertThat(made.status() == Prescription.Status.DRAFT)
          .isEqualTo(made.findings().stream().anyMatch(each -> each.severity() == Severity.BLOCK));
      assertThat(made.coolDown().minutes()).isGreaterThanOrEqualTo(5);
      assertThat(made.feel()).isNotEmpty();
      assertThat(made.findings())
          .extracting(Finding::code)
          .doesNotHaveDuplicates()
          .contains(made.week().finding().code());
      made.target().ifPresent(target -> withinTheSpan(target, made));
    }
  }

  private static boolean noRate(Person person) {
    return Set.of(
            Condition.HEART_FAILURE,
            Condition.IRREGULAR_RHYTHM,
            Condition.PACEMAKER,
            Condition.DEFIBRILLATOR,
            Condition.AUTONOMIC_NEUROPATHY)
        .stream()
        .anyMatch(person::has);
  }

  private static void withinTheSpan(Target target, Prescription made) {
    Prescription.RateBasis basis = made.basis().orElseThrow();
    assertThat(target.lowBpm()).isGreaterThan(basis.restingBpm());
    assertThat(target.highBpm()).isBetween(target.lowBpm(), basis.maximumBpm());
    assertThat(made.warmUp().highBpm().orElseThrow()).isLessThan(basis.maximumBpm());
    for (CountWindow window : target.counts().beats().keySet()) {
      Beats beats = target.counts().beats().get(window);
      assertThat(beats.low()).isLessThanOrEqualTo(beats.high());
      // A count times its multiplier is never further off than half a beat.
      assertThat(Math.abs(beats.high() * window.multiplier() - target.highBpm()) * 2)
          .isLessThanOrEqualTo(window.multiplier());
    }
  }

  @RepeatedTest(10)
  void theRecommendedMaximumAlwaysAppliesAndEveryRowSaysWhy(RepetitionInfo repetition) {
    Random random = new Random(1_000 + repetition.getCurrentRepetition());
    for (int i = 0; i < CLIENTS; i++) {
      Person person = person(random);
      MaximumEstimates estimates =
          MaximumEstimates.of(
              person,
              random.nextBoolean() ? OptionalInt.of(25 + random.nextInt(126)) : OptionalInt.empty(),
              any(random, Mode.values()));
      assertThat(estimates.estimates()).hasSize(9).allMatch(each -> !each.reason().isBlank());
      boolean outside =
          estimates.estimates().stream().anyMatch(each -> each.reason().startsWith("Outside"));
      assertThat(estimates.recommended().isEmpty() && !person.health().heartFailure() && !outside)
          .isFalse();
      estimates
          .recommended()
          .ifPresent(
              each -> {
                assertThat(each.applies()).isTrue();
                assertThat(each.bpm().getAsInt())
                    .isBetween(Limit.MAXIMUM.lowest(), Limit.MAXIMUM.highest());
                assertThat(estimates.spread().orElseThrow().lowestBpm())
                    .isLessThanOrEqualTo(each.bpm().getAsInt());
              });
      if (person.health().heartFailure()) {
        assertThat(estimates.recommended()).isEmpty();
      }
    }
  }
}
