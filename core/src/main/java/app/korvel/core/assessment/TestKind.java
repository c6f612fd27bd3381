package app.korvel.core.assessment;

import app.korvel.core.measure.Threshold;
import java.time.Duration;
import java.util.List;
import java.util.Optional;

/** The tests: a row each. */
public enum TestKind {
  TWO_MINUTE(
      "Two-minute test",
      "Two minutes of standing up, stepping or marching; how far the pulse rises, and how fast it"
          + " comes down.",
      Optional.of(Duration.ofMinutes(Threshold.TWO_MINUTE_LENGTH.whole())),
      List.of(
          "Five minutes seated and quiet, then the resting count.",
          "Two minutes at their own steady pace, or to the metronome. RPE 13 or under.",
          "Count for 15 s at once, after one minute and after two, in the same posture.")),
  LOW_BENCH(
      "Low bench",
      "Three minutes up and down 30.5 cm, 24 times a minute; one minute is counted after it.",
      Optional.of(StepBench.LENGTH),
      List.of(
          "Bench of 30.5 cm; up, up, down, down to the metronome at 96.",
          "Sit down at once.",
          "Count one minute, beginning within 5 s of the end.")),
  HIGH_BENCH(
      "High bench",
      "Three minutes up and down 41.3 cm; 15 s are counted standing, and give a VO₂max.",
      Optional.of(StepBench.LENGTH),
      List.of(
          "Bench of 41.3 cm; metronome 96 (24 a minute) or 88 (22).",
          "Stay standing.",
          "Count from 5 to 20 s after the end.")),
  MILE(
      "One-mile walk",
      "1,609 m on the level, walked and never run; time and the rate of the last minute.",
      Optional.empty(),
      List.of(
          "A measured mile, level and without stops.",
          "As fast as they can walk; inside the target where that is not allowed.",
          "The rate of the last minute, or a count at once.")),
  TALK_STEPS(
      "Talk-step test",
      "Steps of two minutes, each a little harder, the passage read in each: where talk ends.",
      Optional.empty(),
      List.of(
          "Begin where talk is easy; each step as much harder as the one before.",
          "From 1:30 on the passage is read aloud.",
          "It ends at the first step with no more than a word or two.")),
  GRADED(
      "Graded exercise test",
      "Stage by stage, with pressures, RPE and recovery on one sheet; a qualified person"
          + " supervises.",
      Optional.empty(),
      List.of(
          "Lying 3 to 5 min, then standing 1 min: rate, pressure, RPE.",
          "Each stage: pressure from the last minute on, rate and RPE in its last 10 s.",
          "It ends at the target, by the rules, or when the client says so.",
          "Recovery until two readings in a row are near the baseline."));

  private final String displayName;
  private final String summary;
  private final Optional<Duration> work;
  private final List<String> steps;

  TestKind(String displayName, String summary, Optional<Duration> work, List<String> steps) {
    this.displayName = displayName;
    this.summary = summary;
    this.work = work;
    this.steps = steps;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** What it is, in a sentence. */
  public String summary() {
    return summary;
  }

  /** How long its work lasts; empty where that depends. */
  public Optional<Duration> work() {
    return work;
  }

  /** How it is done. */
  public List<String> steps() {
    return steps;
  }

  /** The bench, for the two that have one. */
  public Optional<StepBench> bench() {
    return switch (this) {
      case LOW_BENCH -> Optional.of(StepBench.LOW);
      case HIGH_BENCH -> Optional.of(StepBench.HIGH);
      case TWO_MINUTE, MILE, TALK_STEPS, GRADED -> Optional.empty();
    };
  }
}
