package app.korvel.core.assessment;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * What happened in a test and was not withdrawn, in the order in which it happened.
 *
 * @param all up to a moment
 */
public record TestEvents(List<TestEvent> all) {
  public TestEvents {
    all = List.copyOf(all);
  }

  /**
   * Those that count.
   *
   * @param entered in the order in which they were handed in
   * @param now what happened after it is left out
   */
  public static TestEvents standing(List<TestEvent> entered, Instant now) {
    Set<UUID> withdrawn = new HashSet<>();
    for (TestEvent event : entered) {
      if (event instanceof TestEvent.Withdrawn undone && !event.at().isAfter(now)) {
        withdrawn.add(undone.of());
      }
    }
    return new TestEvents(
        entered.stream()
            .filter(event -> !(event instanceof TestEvent.Withdrawn))
            .filter(event -> !withdrawn.contains(event.id()) && !event.at().isAfter(now))
            .sorted(Comparator.comparing(TestEvent::at))
            .toList());
  }

  /** All of one kind. */
  public <E extends TestEvent> Stream<E> of(Class<E> kind) {
    return all.stream().filter(kind::isInstance).map(kind::cast);
  }

  /** The first of one kind. */
  public <E extends TestEvent> Optional<E> first(Class<E> kind) {
    return of(kind).findFirst();
  }

  /** The last of one kind. */
  public <E extends TestEvent> Optional<E> last(Class<E> kind) {
    return of(kind).reduce((before, after) -> after);
  }

  /** Those from a moment on and before another. */
  public TestEvents between(Instant from, Instant to) {
    return new TestEvents(
        all.stream()
            .filter(event -> !event.at().isBefore(from) && event.at().isBefore(to))
            .toList());
  }

  /** The rate that somebody read off or counted last. */
  public Optional<Rate> lastRate() {
    return rates().reduce((before, after) -> after);
  }

  /** Every rate that somebody read off or counted. */
  public Stream<Rate> rates() {
    return all.stream()
        .flatMap(
            event ->
                event instanceof TestEvent.ReadOff read
                    ? Stream.of(new Rate(read.at(), read.bpm(), false))
                    : event instanceof TestEvent.Counted count
                        ? Stream.of(new Rate(count.at(), count.bpm(), true))
                        : Stream.empty());
  }

  /**
   * A rate that a person entered.
   *
   * @param counted by hand, or read off a display
   */
  public record Rate(Instant at, int bpm, boolean counted) {}
}
