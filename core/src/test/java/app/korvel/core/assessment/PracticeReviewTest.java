package app.korvel.core.assessment;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.assessment.PracticeReview.Item;
import app.korvel.core.assessment.PracticeSubject.Level;
import app.korvel.core.assessment.PracticeSubject.Trouble;
import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.trace.Trace;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Who is practised on, and what a learner is told at the end. */
class PracticeReviewTest {
  private static final Instant OPENED = Instant.parse("2030-03-04T09:00:00Z");
  private static final BloodPressure TRUE = new BloodPressure(140, 80);

  private static PracticeSubject subject(Trouble trouble) {
    return new PracticeSubject(Level.TROUBLE, trouble, 7);
  }

  @Test
  void theSameSeedIsTheSamePersonAndNothingComesAtTheFirstLevels() {
    assertThat(PracticeSubject.of(Level.ALL, 12)).isEqualTo(PracticeSubject.of(Level.ALL, 12));
    Set<Trouble> seen = EnumSet.noneOf(Trouble.class);
    for (int seed = 0; seed < 60; seed++) {
      assertThat(PracticeSubject.of(Level.SHOWN, seed).trouble()).isEqualTo(Trouble.NONE);
      seen.add(PracticeSubject.of(Level.ALL, seed).trouble());
    }
    assertThat(seen).containsExactlyInAnyOrder(Trouble.values());
  }

  @ParameterizedTest
  @EnumSource(Trouble.class)
  void whoTheyAreIsKeptAsWords(Trouble trouble) {
    assertThat(PracticeSubject.parse(subject(trouble).written())).contains(subject(trouble));
    assertThat(PracticeSubject.parse("NONE")).isEmpty();
  }

  @Test
  void theirPressureRisesUnlessItIsTheTrouble() {
    PracticeSubject usual = subject(Trouble.NONE);
    assertThat(usual.pressure(0.6, 3).systolic()).isGreaterThan(usual.pressure(0.4, 2).systolic());
    PracticeSubject falls = subject(Trouble.FALLING_PRESSURE);
    int second = falls.pressure(0.52, 2).systolic();
    assertThat(second - falls.pressure(0.8, 3).systolic()).isGreaterThanOrEqualTo(10);
  }

  @Test
  void aTightChestIsToldWhenAskedFromTheSecondStageOn() {
    assertThat(subject(Trouble.CHEST_TIGHTNESS).symptoms(1)).isEmpty();
    assertThat(subject(Trouble.CHEST_TIGHTNESS).symptoms(2)).isPresent();
    assertThat(subject(Trouble.NONE).symptoms(4)).isEmpty();
  }

  @Test
  void aTargetThatIsNeverReachedIsOverTheirOwnMaximum() {
    PracticeSubject never = subject(Trouble.NEVER_REACHED);
    int target = ((TestPlan.Graded) never.plan().setup()).target().orElseThrow().bpm();
    assertThat(never.reserve().maximumBpm()).isLessThan(target);
    assertThat(never.rpe20(0.78)).isGreaterThanOrEqualTo(18);
  }

  /** A test of 250 s of work that reaches the target at second 200, as entered by a learner. */
  private static List<Item> items(Trouble trouble, boolean well, int endedAt) {
    PracticeSubject subject = subject(trouble);
    List<TestEvent> events = new ArrayList<>();
    if (well) {
      add(events, 0, (id, at) -> new TestEvent.Posture(id, at, TestPosture.LYING));
      add(events, 180, (id, at) -> new TestEvent.ReadOff(id, at, 60));
      pressure(events, 185);
    }
    add(events, 200, (id, at) -> new TestEvent.Posture(id, at, TestPosture.STANDING));
    add(events, 270, (id, at) -> new TestEvent.ReadOff(id, at, 66));
    pressure(events, 275);
    add(events, 300, TestEvent.Begun::new);
    if (well) {
      pressure(events, 440);
      add(events, 470, (id, at) -> new TestEvent.Rated(id, at, 9));
      add(events, 471, (id, at) -> new TestEvent.Symptoms(id, at, false, ""));
    }
    add(events, 500, (id, at) -> new TestEvent.ReadOff(id, at, 200));
    add(
        events,
        300 + endedAt,
        (id, at) -> new TestEvent.Ended(id, at, TestEvent.Reason.TARGET, Optional.empty(), ""));
    Instant now = OPENED.plusSeconds(300L + endedAt + 60);
    GradedSheet sheet =
        GradedSheet.of(
            subject.plan(),
            OPENED,
            events,
            Trace.of(
                IntStream.rangeClosed(1, 700).toArray(),
                IntStream.rangeClosed(1, 700).map(second -> 100).toArray()),
            now);
    return PracticeReview.of(subject, sheet, events, moment -> TRUE).items();
  }

  private static void add(
      List<TestEvent> events, int second, BiFunction<UUID, Instant, TestEvent> event) {
    events.add(event.apply(new UUID(1, events.size()), OPENED.plusSeconds(second)));
  }

  private static void pressure(List<TestEvent> events, int second) {
    add(events, second, (id, at) -> new TestEvent.Pressure(id, at, new BloodPressure(140, 80), at));
  }

  @Test
  void whatWasDoneWellIsSaid() {
    List<Item> items = items(Trouble.NONE, true, 220);
    assertThat(items)
        .extracting(Item::words)
        .contains(
            "Baseline read lying and standing",
            "Stage 1: pressure and RPE read",
            "The recovery was not watched to its end")
        .anyMatch(words -> words.startsWith("Ended 20 s after the sheet said so: End: the target"));
    assertThat(items).filteredOn(item -> !item.done()).hasSize(1);
  }

  @Test
  void whatWasMissedIsSaidWithItsRule() {
    List<Item> items = items(Trouble.CHEST_TIGHTNESS, false, 240);
    assertThat(items)
        .filteredOn(item -> !item.done())
        .extracting(Item::words)
        .contains(
            "The baseline was not read in both postures",
            "Stage 1: no pressure, no RPE",
            "Stage 1: nobody asked how they were")
        .anyMatch(words -> words.startsWith("Ended 40 s after the sheet said so"));
    assertThat(items).allMatch(item -> !item.rule().isEmpty());
  }
}
