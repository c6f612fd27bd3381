package app.korvel.core.pulse;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * One practice count, compared with the pulse that was played.
 *
 * @param count what the learner counted
 * @param beatsPlayed how many beats fell into the window
 * @param pulseBpm the rate the pulse went at
 * @param played the rhythm it had
 * @param said the rhythm the learner heard, if it was asked
 */
public record PracticeTry(
    PulseCount count, int beatsPlayed, int pulseBpm, Rhythm played, Optional<Rhythm> said) {

  /** How far the counted rate is from the pulse, bpm; negative when it is too low. */
  public int errorBpm() {
    return count.bpm() - pulseBpm;
  }

  /** How far a faultless count would have been from it: what the window alone explains, bpm. */
  public int windowErrorBpm() {
    return beatsPlayed * count.window().multiplier() - pulseBpm;
  }

  /** Beats counted too many; negative for too few. */
  public int ownBeats() {
    return count.beats() - beatsPlayed;
  }

  /** What of the error is the learner's, bpm. */
  public int ownErrorBpm() {
    return ownBeats() * count.window().multiplier();
  }

  /** Whether the count is within a beat, and the rhythm right where it was asked. */
  public boolean right() {
    return Math.abs(ownBeats()) <= Threshold.PRACTICE_BEAT.whole() && rhythmRight();
  }

  private boolean rhythmRight() {
    return said.map(played::equals).orElse(true);
  }

  /** How it went, in words. */
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    int off = Math.abs(ownBeats());
    String way = ownBeats() < 0 ? "few" : "many";
    int seconds = count.window().seconds();
    if (off == 0) {
      findings.add(PulseFinding.COUNTED_RIGHT.of(beatsPlayed, seconds));
    } else if (off <= Threshold.PRACTICE_BEAT.whole()) {
      findings.add(PulseFinding.COUNTED_ONE_OFF.of("too " + way, beatsPlayed));
    } else {
      findings.add(PulseFinding.COUNTED_OFF.of(off, way, beatsPlayed));
    }
    findings.add(
        PulseFinding.WINDOW_EXPLAINS.of(
            signed(windowErrorBpm()),
            beatsPlayed,
            seconds,
            beatsPlayed * count.window().multiplier(),
            pulseBpm));
    said.ifPresent(
        heard ->
            findings.add(
                (rhythmRight() ? PulseFinding.RHYTHM_HEARD : PulseFinding.RHYTHM_MISSED)
                    .of(played.name().toLowerCase(Locale.ROOT))));
    return findings;
  }

  private static String signed(int bpm) {
    return bpm > 0 ? "+" + bpm : bpm < 0 ? "−" + -bpm : "0";
  }
}
