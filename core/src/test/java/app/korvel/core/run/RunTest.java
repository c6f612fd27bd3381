package app.korvel.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class RunTest {
  private static final Instant START = Instant.parse("2026-05-20T09:00:00Z");
  private static final Row WARM_UP = Row.of(Duration.ofMinutes(5), false);
  private static final Row WORK = Row.of(Duration.ofMinutes(10), true);
  private static final Row COOL_DOWN = Row.of(Duration.ofMinutes(5), false);
  private static final Protocol PLAIN =
      new Protocol(List.of(WARM_UP, WORK, COOL_DOWN), 1, Duration.ofMinutes(10));

  private static Instant at(int minutes, int seconds) {
    return START.plusSeconds(60L * minutes + seconds);
  }

  private static UUID id() {
    return new UUID(7, 7);
  }

  private static RunEvent paused(int minutes) {
    return new RunEvent.Paused(id(), at(minutes, 0));
  }

  private static RunEvent resumed(int minutes) {
    return new RunEvent.Resumed(id(), at(minutes, 0));
  }

  private static RunEvent ended(int minutes, int leg) {
    return new RunEvent.Ended(id(), at(minutes, 0), leg);
  }

  private static Run run(Protocol protocol, Instant now, RunEvent... events) {
    return Run.of(protocol, START, List.of(events), Reaching.NEVER, now);
  }

  /** Each leg as row, begin and end in seconds. */
  private static List<String> legs(Run run) {
    List<String> legs = new ArrayList<>();
    for (Leg leg : run.legs()) {
      String from = leg.row() + " " + Duration.between(START, leg.from()).toSeconds();
      legs.add(
          from
              + leg.endedAt()
                  .map(end -> "-" + Duration.between(START, end).toSeconds())
                  .orElse("-"));
    }
    return legs;
  }

  @Test
  void rowsFollowEachOtherByTheClock() {
    assertThat(legs(run(PLAIN, at(4, 59)))).containsExactly("0 0-");
    assertThat(legs(run(PLAIN, at(5, 0)))).containsExactly("0 0-300", "1 300-");
    Run run = run(PLAIN, at(20, 0));
    assertThat(legs(run)).containsExactly("0 0-300", "1 300-900", "2 900-1200");
    assertThat(run.complete()).isTrue();
  }

  @Test
  void aStepCanBeLeftAndDoneAgain() {
    assertThat(legs(run(PLAIN, at(3, 0), ended(2, 1)))).containsExactly("0 0-120", "1 120-");
    // Said of a leg that is over: whoever pressed late, or on a second device, moves nothing.
    assertThat(legs(run(PLAIN, at(3, 0), ended(2, 1), ended(3, 1))))
        .containsExactly("0 0-120", "1 120-");
    Run back = run(PLAIN, at(8, 0), new RunEvent.Back(id(), at(7, 0), 2));
    assertThat(legs(back)).containsExactly("0 0-300", "1 300-420", "0 420-");
    assertThat(legs(run(PLAIN, at(1, 0), new RunEvent.Back(id(), at(1, 0), 1))))
        .containsExactly("0 0-60", "0 60-");
  }

  @Test
  void aPauseStopsTheClockOfTheStep() {
    Run run = run(PLAIN, at(11, 0), paused(6), resumed(8));
    assertThat(run.current().orElseThrow().until()).contains(at(17, 0));
    assertThat(run.current().orElseThrow().ran(at(11, 0))).hasMinutes(4);
    Run standing = run(PLAIN, at(50, 0), paused(6));
    assertThat(standing.paused()).contains(at(6, 0));
    assertThat(standing.current().orElseThrow().until()).isEmpty();
    assertThat(standing.current().orElseThrow().ran(at(50, 0))).hasMinutes(1);
  }

  @Test
  void afterALongPauseTheWarmUpComesFirst() {
    Run run = run(PLAIN, at(30, 0), paused(6), resumed(16));
    assertThat(legs(run))
        .containsExactly("0 0-300", "1 300-960", "0 960-1260", "1 1260-1800", "2 1800-");
    assertThat(run.legs().get(3).length()).hasMinutes(9);
    assertThat(legs(run(PLAIN, at(16, 0), paused(6), new RunEvent.Resumed(id(), at(15, 59)))))
        .hasSize(2);
    // Nobody warms up again for a cool-down.
    assertThat(legs(run(PLAIN, at(40, 0), paused(16), resumed(36)))).hasSize(3);
  }

  @Test
  void aStepBecomesLongerOrShorterButNeverThanItHasRun() {
    RunEvent more = new RunEvent.Lengthened(id(), at(6, 0), 2, Duration.ofMinutes(3));
    RunEvent less = new RunEvent.Lengthened(id(), at(7, 0), 2, Duration.ofMinutes(-20));
    assertThat(run(PLAIN, at(7, 0), more).current().orElseThrow().until()).contains(at(18, 0));
    assertThat(legs(run(PLAIN, at(7, 0), less))).containsExactly("0 0-300", "1 300-420", "2 420-");
  }

  @Test
  void aRowThatWaitsBeginsWhenItsTargetIsReachedOrByItself() {
    Protocol waits =
        Protocol.of(List.of(WARM_UP, Row.waiting(Duration.ofMinutes(10), Duration.ofMinutes(4))));
    Reaching reaching =
        (row, from, to) -> Optional.of(at(6, 30)).filter(there -> !there.isAfter(to));
    Run reached = Run.of(waits, START, List.of(), reaching, at(8, 0));
    assertThat(reached.current().orElseThrow().clockFrom()).contains(at(6, 30));
    assertThat(reached.current().orElseThrow().byItself()).isFalse();
    assertThat(reached.current().orElseThrow().until()).contains(at(16, 30));

    assertThat(run(waits, at(8, 59)).current().orElseThrow().clockFrom()).isEmpty();
    Leg itself = run(waits, at(9, 0)).current().orElseThrow();
    assertThat(itself.clockFrom()).contains(at(9, 0));
    assertThat(itself.byItself()).isTrue();
    Leg onWord = run(waits, at(9, 0), new RunEvent.Started(id(), at(6, 0))).current().orElseThrow();
    assertThat(onWord.clockFrom()).contains(at(6, 0));
    // A pause is no waiting.
    assertThat(run(waits, at(10, 0), paused(6), resumed(8)).current().orElseThrow().clockFrom())
        .isEmpty();
  }

  @Test
  void whatIsOverStaysOver() {
    Run run = run(PLAIN, at(30, 0), new RunEvent.Over(id(), at(7, 0)), ended(8, 2));
    assertThat(legs(run)).containsExactly("0 0-300", "1 300-420");
    assertThat(run.over()).contains(at(7, 0));
    assertThat(run.legs().get(1).whole()).isFalse();
  }

  @Test
  void whatIsAskedForFallsDueByTheClockOfTheStep() {
    Prompt prompt = new Prompt(Duration.ofMinutes(3), Duration.ofMinutes(5), Duration.ofMinutes(1));
    Run run = run(PLAIN, at(5, 0));
    Leg work = run.current().orElseThrow();
    assertThat(prompt.due(work, List.of(), at(7, 59))).isEmpty();
    assertThat(prompt.due(work, List.of(), at(8, 0))).contains(Duration.ofMinutes(3));
    assertThat(prompt.due(work, List.of(at(8, 20)), at(12, 59))).isEmpty();
    assertThat(prompt.due(work, List.of(at(8, 20)), at(13, 0))).contains(Duration.ofMinutes(8));
    assertThat(prompt.due(work, List.of(at(13, 10)), at(14, 0))).contains(Duration.ofMinutes(9));
    // One that was given before the step answers nothing.
    assertThat(prompt.due(work, List.of(at(4, 0)), at(8, 0))).isPresent();
  }
}
