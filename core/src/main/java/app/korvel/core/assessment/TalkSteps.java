package app.korvel.core.assessment;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.Grade;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * What a talk-step test found: steps that rise evenly, the passage read in each.
 *
 * @param lowerBpm the rate of the last step before the first one not spoken in whole sentences;
 *     empty where that was the first
 * @param upperBpm that of the first step with no more than a word or two; empty where it ended
 *     sooner
 * @param widthBpm how far the steps were apart, which is as fine as it tells; empty for one step
 * @param departures each way in which it departs from its protocol, in words
 * @param grade good with no departure, fair with one, poor with more
 */
public record TalkSteps(
    OptionalInt lowerBpm,
    OptionalInt upperBpm,
    OptionalInt widthBpm,
    List<String> departures,
    Grade grade) {

  /** The level of voice from which on it is not whole sentences. */
  private static final int NOT_SENTENCES = 3;

  /** The level from which on it is a word or two at most: the test ends. */
  private static final int WORDS = 4;

  /** So many steps at most. */
  public static final int MOST = 20;

  /**
   * A step.
   *
   * @param bpm its rate, {@link Limit#SESSION_RATE}
   * @param voice what the voice could do, {@link Limit#VOICE}
   * @param signalLost whether the rate was missing in the half minute it is taken from
   */
  public record Step(int bpm, int voice, boolean signalLost) {
    public static Step of(int bpm, int voice) {
      return new Step(bpm, voice, false);
    }
  }

  public TalkSteps {
    departures = List.copyOf(departures);
  }

  /**
   * Reads the steps.
   *
   * @param lowerOnly where only sentences are looked for: held under 60 %, in pregnancy, under 18
   * @throws InvalidValueException when there are none or too many, a figure is out of range, or a
   *     step comes after the test had ended
   */
  public static TalkSteps of(List<Step> steps, RateSource source, boolean lowerOnly) {
    check(steps, lowerOnly);
    OptionalInt first = first(steps, NOT_SENTENCES);
    OptionalInt lower =
        first.isPresent() && first.getAsInt() > 0
            ? OptionalInt.of(steps.get(first.getAsInt() - 1).bpm)
            : OptionalInt.empty();
    OptionalInt words = lowerOnly ? OptionalInt.empty() : first(steps, WORDS);
    OptionalInt upper = words.isPresent() ? OptionalInt.of(steps.get(words.getAsInt()).bpm) : words;
    List<String> departures = departures(steps, source, first);
    return new TalkSteps(
        lower,
        upper,
        width(steps),
        departures,
        departures.isEmpty() ? Grade.GOOD : departures.size() == 1 ? Grade.FAIR : Grade.POOR);
  }

  private static void check(List<Step> steps, boolean lowerOnly) {
    if (steps.isEmpty() || steps.size() > MOST) {
      throw InvalidValueException.of(
          "steps", "are " + steps.size() + " in number", "1 to " + MOST + " steps");
    }
    for (int n = 0; n < steps.size(); n++) {
      Limit.SESSION_RATE.check("steps[" + n + "].bpm", steps.get(n).bpm);
      Limit.VOICE.check("steps[" + n + "].voice", steps.get(n).voice);
    }
    OptionalInt end =
        IntStream.range(0, steps.size())
            .filter(n -> ends(steps.get(n).voice, lowerOnly))
            .findFirst();
    if (end.isPresent() && end.getAsInt() < steps.size() - 1) {
      throw InvalidValueException.of(
          "steps[" + (end.getAsInt() + 1) + "]",
          "comes after the step that ends the test",
          lowerOnly
              ? "no step after the first not spoken in whole sentences"
              : "no step after the first with no more than a word or two");
    }
  }

  private static OptionalInt first(List<Step> steps, int voice) {
    return IntStream.range(0, steps.size()).filter(n -> steps.get(n).voice >= voice).findFirst();
  }

  private static List<String> departures(
      List<Step> steps, RateSource source, OptionalInt firstWithout) {
    List<String> departures = new ArrayList<>();
    if (firstWithout.isPresent()
        && steps.stream()
            .skip(firstWithout.getAsInt())
            .anyMatch(step -> step.voice < NOT_SENTENCES)) {
      departures.add("whole sentences came back at a harder step");
    }
    int least = Threshold.TALK_STEP_RISE.whole();
    List<String> flat =
        IntStream.range(1, steps.size())
            .filter(n -> steps.get(n).bpm - steps.get(n - 1).bpm < least)
            .mapToObj(n -> String.valueOf(n + 1))
            .toList();
    if (!flat.isEmpty()) {
      departures.add("step " + String.join(", ", flat) + " rose by under " + least + " bpm");
    }
    if (source != RateSource.STRAP) {
      departures.add(
          source == RateSource.COUNT ? "the rates were counted" : "the rates are a wrist’s");
    }
    if (steps.stream().anyMatch(Step::signalLost)) {
      departures.add("the signal was lost in a step’s half minute");
    }
    return departures;
  }

  private static OptionalInt width(List<Step> steps) {
    return steps.size() < 2
        ? OptionalInt.empty()
        : OptionalInt.of(
            Math.max(
                0,
                (steps.get(steps.size() - 1).bpm - steps.get(0).bpm + (steps.size() - 1) / 2)
                    / (steps.size() - 1)));
  }

  /** Whether a test ends with such a voice. */
  static boolean ends(int voice, boolean lowerOnly) {
    return voice >= (lowerOnly ? NOT_SENTENCES : WORDS);
  }

  /** What is to be known of it. */
  public List<Finding> findings(boolean lowerOnly) {
    List<Finding> findings = new ArrayList<>();
    if (lowerBpm.isEmpty()) {
      findings.add(AssessmentFinding.TALK_STEPS_NO_LOWER.of());
    }
    if (upperBpm.isEmpty() && !lowerOnly) {
      findings.add(AssessmentFinding.TALK_STEPS_NO_UPPER.of());
    }
    widthBpm.stream().mapToObj(AssessmentFinding.TALK_STEPS_WIDTH::of).forEach(findings::add);
    findings.add(
        AssessmentFinding.TALK_STEPS_GRADE.of(
            grade.name().toLowerCase(Locale.ROOT),
            departures.isEmpty() ? "as it should be" : String.join("; ", departures)));
    return findings;
  }

  /** Whether it may be used: poor is shown and feeds nothing. */
  public boolean serves() {
    return grade != Grade.POOR && lowerBpm.isPresent();
  }
}
