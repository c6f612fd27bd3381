package app.korvel.sensor;

import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.PracticeTry;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.Rhythm;
import java.util.Optional;
import java.util.Random;

/**
 * A pulse to practise on: at a hidden rate within its level, steady or uneven where the level may
 * be either. The same for the same level, window and seed.
 *
 * @param pulse the beats
 * @param rhythm what they are
 * @param window how long is counted
 */
public record PracticePulse(SimulatedPulse pulse, Rhythm rhythm, CountWindow window) {

  /** How long a pulse is heard before the counting starts, ms. */
  public static final int LEAD_MILLIS = 4_000;

  private static final int TAIL_MILLIS = 1_500;

  /** The pulse of that seed. */
  public static PracticePulse of(PracticeLevel level, CountWindow window, long seed) {
    Random chance = new Random(seed);
    int bpm = level.lowestBpm() + chance.nextInt(level.highestBpm() - level.lowestBpm() + 1);
    Rhythm rhythm = level.asksRhythm() && chance.nextBoolean() ? Rhythm.UNEVEN : Rhythm.STEADY;
    return new PracticePulse(
        SimulatedPulse.of(
            bpm, rhythm, level.strength(), seed, -LEAD_MILLIS, end(window) + TAIL_MILLIS),
        rhythm,
        window);
  }

  /** What counting so many beats of it comes to. */
  public PracticeTry judge(PulseCount count, Optional<Rhythm> said) {
    return new PracticeTry(
        count, pulse.beatsIn(0, end(window)), pulse.bpmOver(0, end(window)), rhythm, said);
  }

  private static int end(CountWindow window) {
    return window.seconds() * 1_000;
  }
}
