package app.korvel.core.assessment;

import java.time.Instant;

/**
 * What is to be done next in a test.
 *
 * @param what it is
 * @param at from when on it is due
 * @param words as it is read, for example {@code Pressure, stage 2}
 */
public record TestPrompt(What what, Instant at, String words) {
  /** What can be asked for. */
  public enum What {
    RATE,
    COUNT,
    PRESSURE,
    RPE,
    HOW,
    PASSAGE,
    REPETITIONS,
    PACE,
    SYMPTOMS,
    POSTURE,
    BEGIN,
    END,
    CLOSE
  }
}
