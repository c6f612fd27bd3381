package app.korvel.core.checkin;

import app.korvel.core.measure.Finding;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.screening.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One person's count in a class before a session: their pulse compared with what is usual for them,
 * and nothing else of the check-in.
 *
 * @param count what was counted
 * @param call whom to talk to
 * @param alsoAsked what else their context asks for before they start
 * @param findings the reasons, the weightiest first
 */
public record ClassCheck(
    PulseCount count, Call call, List<String> alsoAsked, List<Finding> findings) {

  public ClassCheck {
    alsoAsked = List.copyOf(alsoAsked);
    findings = List.copyOf(findings);
  }

  /** Whether the pulse speaks against nothing and nothing more is asked of them. */
  public boolean nothingAgainst() {
    return !call.talk() && alsoAsked.isEmpty();
  }

  /** What the instructor does with one person of the class, the ones to talk to first. */
  public enum Call {
    NOT_TODAY("Not today"),
    /** Whether they may exercise at all has not been decided. */
    SCREEN_FIRST("Screening first"),
    /** A first odd value, or one in another posture than the usual one. */
    COUNT_AGAIN("Count again"),
    LIGHT_ONLY("Light only"),
    AS_USUAL("As usual"),
    /** There was nothing to compare it with but the lines. */
    NO_USUAL_VALUE("No usual value yet; below the limit");

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
      return this != AS_USUAL && this != NO_USUAL_VALUE;
    }
  }

  /**
   * Judges a count.
   *
   * @param posture how the class was placed
   * @param settled whether it had been still for 5 minutes
   * @param recounted whether this is the second count, of 60 s
   * @param known what it is compared with; what their context asks for and has them carry is named,
   *     and left to the check-in
   * @param checkedIn what today's check-in came to, if there was one: a stricter word stands
   */
  public static ClassCheck of(
      PulseCount count,
      Posture posture,
      boolean settled,
      boolean recounted,
      CheckInContext known,
      Optional<Outcome> checkedIn) {
    CheckIn pulse = CheckIn.pulse(count.bpm(), posture, PulseSource.COUNT, settled, recounted);
    Verdict verdict = Verdict.of(pulse, known.pulseAlone());
    Call call = call(verdict, known);
    Optional<Call> before = checkedIn.flatMap(ClassCheck::stricter);
    if (before.filter(stricter -> stricter.compareTo(call) < 0).isEmpty()) {
      return new ClassCheck(count, call, alsoAsked(known), verdict.findings());
    }
    List<Finding> findings = new ArrayList<>();
    findings.add(
        CheckInFinding.CHECKED_IN_STRICTER.of(
            checkedIn.get().displayName().toLowerCase(Locale.ROOT)));
    verdict.findings().stream()
        .filter(said -> !said.code().equals(CheckInFinding.NOTHING_AGAINST.code()))
        .forEach(findings::add);
    return new ClassCheck(count, before.get(), alsoAsked(known), findings);
  }

  private static List<String> alsoAsked(CheckInContext known) {
    return Stream.concat(
            known.effects().ask().stream().map(Measure::displayName),
            known.effects().carry().stream().map(thing -> "has " + thing))
        .toList();
  }

  private static Optional<Call> stricter(Outcome outcome) {
    return switch (outcome) {
      case NOT_TODAY -> Optional.of(Call.NOT_TODAY);
      case LIGHT_ONLY -> Optional.of(Call.LIGHT_ONLY);
      case GO, COUNT_AGAIN -> Optional.empty();
    };
  }

  private static Call call(Verdict verdict, CheckInContext known) {
    if (!known.decided()) {
      return Call.SCREEN_FIRST;
    }
    return switch (verdict.outcome()) {
      case NOT_TODAY -> Call.NOT_TODAY;
      case COUNT_AGAIN -> Call.COUNT_AGAIN;
      case LIGHT_ONLY -> Call.LIGHT_ONLY;
      case GO -> known.usual().isPresent() ? Call.AS_USUAL : Call.NO_USUAL_VALUE;
    };
  }
}
