package app.korvel.core.checkin;

import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import java.util.Optional;
import java.util.Set;

/**
 * One person's count in a class before a session: their pulse held against what is usual for them,
 * and nothing else of the check-in.
 *
 * @param count what was counted
 * @param verdict what pulse and screening come to
 * @param call whom to talk to
 */
public record ClassCheck(PulseCount count, Verdict verdict, Call call) {

  /** What the instructor does with one person of the class, the ones to talk to first. */
  public enum Call {
    NOT_TODAY("Not today"),
    /** A first odd value. */
    COUNT_AGAIN("Count again for 60 s"),
    LIGHT_ONLY("Light only"),
    AS_USUAL("As usual"),
    /** There was nothing to hold it against. */
    IN_RANGE("In the usual range");

    private final String displayName;

    Call(String displayName) {
      this.displayName = displayName;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }

    /** Whether to talk to them before they start. */
    public boolean talk() {
      return this != AS_USUAL && this != IN_RANGE;
    }
  }

  /**
   * Judges a count.
   *
   * @param posture how the class was placed
   * @param settled whether it had been still for 5 minutes
   * @param recounted whether this is the second count, of 60 s
   * @param known what it is held against; what their context asks and has them carry is left to the
   *     check-in
   */
  public static ClassCheck of(
      PulseCount count, Posture posture, boolean settled, boolean recounted, Known known) {
    CheckIn pulse =
        new CheckIn(
            count.bpm(),
            posture,
            PulseSource.COUNT,
            settled,
            recounted,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Set.of(),
            Set.of());
    Verdict verdict = Verdict.of(pulse, known.pulseAlone());
    return new ClassCheck(count, verdict, call(verdict, known));
  }

  private static Call call(Verdict verdict, Known known) {
    if (known.screeningStops().isPresent()) {
      return Call.NOT_TODAY;
    }
    if (verdict.recount()) {
      return Call.COUNT_AGAIN;
    }
    return switch (verdict.outcome()) {
      case NOT_TODAY -> Call.NOT_TODAY;
      case LIGHT_ONLY -> Call.LIGHT_ONLY;
      case GO -> known.usualBpm().isPresent() ? Call.AS_USUAL : Call.IN_RANGE;
    };
  }
}
