package app.korvel.core.run;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;

/** Something that moves the clock of a run; legs are counted from 1. */
public sealed interface RunEvent {
  /** Given by whoever saw it happen, so that sending it twice enters it once. */
  UUID id();

  /** When it happened. */
  Instant at();

  /** The next row, or the one that waits, begins on a word. */
  record Started(UUID id, Instant at) implements RunEvent {}

  /** A leg ends before its time; the next row follows. */
  record Ended(UUID id, Instant at, int leg) implements RunEvent {}

  /** A leg is left, and the row before it is done again. */
  record Back(UUID id, Instant at, int leg) implements RunEvent {}

  /** The clock stands. */
  record Paused(UUID id, Instant at) implements RunEvent {}

  /** The clock goes on. */
  record Resumed(UUID id, Instant at) implements RunEvent {}

  /** A leg becomes longer, or with a negative time shorter. */
  record Lengthened(UUID id, Instant at, int leg, Duration by) implements RunEvent {}

  /** All of it is over: finished or stopped. */
  record Over(UUID id, Instant at) implements RunEvent {}
}
