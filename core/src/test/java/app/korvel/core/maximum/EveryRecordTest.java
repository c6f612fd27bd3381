package app.korvel.core.maximum;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.daysAgo;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.JudgedMaximum.State;
import app.korvel.core.maximum.WorkingMaximum.Origin;
import app.korvel.core.pulse.Grade;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Person.Health;
import app.korvel.core.screening.Sex;
import app.korvel.core.support.Maxima;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;

/** What holds of every record of maxima there could be: a thousand of them, made from a seed. */
class EveryRecordTest {
  private static final int EACH = 100;

  /** Someone with some measured values, and perhaps a change of medicine among them. */
  private record Case(Person person, List<MeasuredMaximum> all, Optional<Instant> changedAt) {
    MaximumRecord in(Mode mode, LocalDate date) {
      return in(mode, date, all);
    }

    MaximumRecord in(Mode mode, LocalDate date, List<MeasuredMaximum> known) {
      return MaximumRecord.of(
          person, OptionalInt.of(62), mode, Optional.empty(), known, changedAt, date, ZONE);
    }
  }

  private static <T> T any(Random random, T[] values) {
    return values[random.nextInt(values.length)];
  }

  private static Case made(Random random) {
    Person person =
        Person.of(
            18 + random.nextInt(70),
            any(random, Sex.values()),
            any(random, Activity.values()),
            Health.of(random.nextInt(5) == 0, random.nextInt(9) == 0, random.nextInt(4) == 0));
    List<MeasuredMaximum> all = new ArrayList<>();
    int howMany = random.nextInt(7);
    for (int i = 0; i < howMany; i++) {
      Mode mode = random.nextBoolean() ? Mode.RUN : any(random, Mode.values());
      int bpm = 150 + random.nextInt(50);
      // A day each, so that no two values are one and the same.
      LocalDate on = TODAY.minusDays(random.nextInt(120) * 7L + i);
      MaximumKind kind = MaximumKind.ENTERED.get(random.nextInt(MaximumKind.ENTERED.size()));
      all.add(
          kind == MaximumKind.PEAK
              ? Maxima.peak(mode, bpm, on)
              : Maxima.test(mode, kind, any(random, Grade.values()), bpm, on));
    }
    Optional<Instant> changedAt =
        random.nextInt(3) == 0 ? Optional.of(daysAgo(random.nextInt(800))) : Optional.empty();
    return new Case(person, all, changedAt);
  }

  @RepeatedTest(10)
  void theWorkingOneIsTheHighestThatQualifiesAndNothingElse(RepetitionInfo repetition) {
    Random random = new Random(repetition.getCurrentRepetition());
    for (int i = 0; i < EACH; i++) {
      Case each = made(random);
      for (Mode mode : Mode.values()) {
        check(each, each.in(mode, TODAY), mode);
      }
    }
  }

  private static void check(Case of, MaximumRecord record, Mode mode) {
    List<JudgedMaximum> used =
        record.measured().stream().filter(value -> value.state() == State.WORKING).toList();
    Optional<WorkingMaximum> working = record.working();
    boolean measured = working.filter(value -> value.origin() == Origin.MEASURED).isPresent();
    assertThat(used).as("%s", of).hasSize(measured ? 1 : 0);
    for (JudgedMaximum value : record.measured()) {
      int bpm = value.value().bpm();
      assertThat(value.reason()).isNotBlank();
      switch (value.state()) {
        case WORKING -> {
          assertThat(working.get().bpm()).isEqualTo(bpm);
          assertThat(
                  value.value().grade() == Grade.POOR || value.value().kind() == MaximumKind.PEAK)
              .isEqualTo(value.standsAs() == MaximumKind.CONFIRMED_PEAK);
          assertThat(of.person.health().heartDisease() && !value.value().kind().clinical())
              .isFalse();
        }
        case QUALIFIES, NOT_REACHED -> assertThat(bpm).isLessThanOrEqualTo(working.get().bpm());
        case PROPOSAL ->
            // One that is over the working value, or of someone whom only a clinic may test.
            assertThat(of.person.health().heartDisease() || bpm > working.get().bpm()).isTrue();
        case STALE -> assertThat(of.changedAt).isPresent();
      }
      // The error is that of the day, and never less.
      assertThat(value.standardErrorBpm().intValue())
          .isGreaterThanOrEqualTo(value.standsAs().standardErrorBpm(value.value().grade()));
    }
    if (working.isEmpty()) {
      assertThat(of.person.health().heartFailure()).isTrue();
      return;
    }
    if (working.get().origin() == Origin.BORROWED) {
      WorkingMaximum running = of.in(Mode.RUN, TODAY).working().orElseThrow();
      assertThat(mode).isNotEqualTo(Mode.RUN);
      assertThat(running.origin()).isEqualTo(Origin.MEASURED);
      assertThat(working.get().bpm()).isEqualTo(running.bpm() - mode.lessBpm());
      assertThat(working.get().standardErrorBpm()).isGreaterThan(running.standardErrorBpm());
    }
    // Worked out step by step it is the same figure.
    assertThat(record.longHand().orElseThrow().lines())
        .anySatisfy(
            line -> assertThat(line.answer()).isEqualByComparingTo("" + working.get().bpm()));
  }

  @RepeatedTest(10)
  void neitherTheOrderNorWhatIsStaleChangesIt(RepetitionInfo repetition) {
    Random random = new Random(1000 + repetition.getCurrentRepetition());
    for (int i = 0; i < EACH; i++) {
      Case each = made(random);
      List<MeasuredMaximum> shuffled = new ArrayList<>(each.all);
      Collections.shuffle(shuffled, random);
      for (Mode mode : new Mode[] {Mode.RUN, Mode.CYCLE}) {
        MaximumRecord record = each.in(mode, TODAY);
        assertThat(each.in(mode, TODAY, shuffled)).isEqualTo(record);
        List<MeasuredMaximum> fresh = new ArrayList<>(each.all);
        for (Mode of : Mode.values()) {
          each.in(of, TODAY).measured().stream()
              .filter(value -> value.state() == State.STALE)
              .forEach(value -> fresh.remove(value.value()));
        }
        assertThat(each.in(mode, TODAY, fresh).working()).isEqualTo(record.working());
      }
    }
  }

  @RepeatedTest(10)
  void aYearLaterAMeasuredOneKeepsItsValueAndIsOneLessSure(RepetitionInfo repetition) {
    Random random = new Random(2000 + repetition.getCurrentRepetition());
    for (int i = 0; i < EACH; i++) {
      Case each = made(random);
      MaximumRecord now = each.in(Mode.RUN, TODAY);
      MaximumRecord later = each.in(Mode.RUN, TODAY.plusYears(1));
      now.working()
          .filter(value -> value.origin() == Origin.MEASURED)
          .ifPresent(
              value -> {
                assertThat(later.working().orElseThrow().bpm()).isEqualTo(value.bpm());
                assertThat(later.working().orElseThrow().standardErrorBpm())
                    .isEqualByComparingTo(value.standardErrorBpm().add(BigDecimal.ONE));
              });
    }
  }
}
