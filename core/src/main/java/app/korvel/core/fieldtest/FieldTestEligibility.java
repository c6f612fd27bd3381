package app.korvel.core.fieldtest;

import app.korvel.core.checkin.Outcome;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Severity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Screening;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Whether someone may do a field test today, and why.
 *
 * @param protocol which test
 * @param findings why not, the weightiest first; or why they may
 */
public record FieldTestEligibility(FieldTestProtocol protocol, List<Finding> findings) {

  public FieldTestEligibility {
    findings = List.copyOf(findings);
  }

  /**
   * Holds the rules against someone.
   *
   * @param today what today's check-in came to by the rules, if there was one; no override
   */
  public static FieldTestEligibility of(
      FieldTestProtocol protocol, Screening screening, Optional<Outcome> today) {
    List<Finding> findings = new ArrayList<>(forGood(protocol, screening));
    if (findings.isEmpty()) {
      today(today).ifPresent(findings::add);
    }
    if (findings.isEmpty()) {
      findings.add(FieldTestFinding.FIELD_TEST_OPEN.of());
    }
    if (screening.person().has(Condition.JOINTS) || screening.person().has(Condition.FALLS)) {
      findings.add(FieldTestFinding.FIELD_TEST_JOINTS.of());
    }
    return new FieldTestEligibility(protocol, findings);
  }

  /** What stands against it on any day. */
  private static List<Finding> forGood(FieldTestProtocol protocol, Screening screening) {
    List<Finding> findings = new ArrayList<>();
    if (screening.person().health().heartDisease()) {
      findings.add(FieldTestFinding.FIELD_TEST_HEART.of());
    }
    if (screening.person().under18()) {
      findings.add(FieldTestFinding.FIELD_TEST_ADULTS.of(screening.person().age()));
    }
    if (screening.person().has(Condition.PREGNANCY)) {
      findings.add(FieldTestFinding.FIELD_TEST_PREGNANT.of());
    }
    if (!screening.permission().vigorous()) {
      findings.add(
          FieldTestFinding.FIELD_TEST_NOT_VIGOROUS.of(
              screening.stops().isEmpty()
                  ? screening.permission().notVigorousBecause()
                  : screening.stops().get(0).message()));
    }
    screening.cap().ifPresent(cap -> findings.add(FieldTestFinding.FIELD_TEST_CAP.of(cap.bpm())));
    int highest = screening.effects().highestEffort();
    if (highest < Effects.TOP_EFFORT) {
      findings.add(FieldTestFinding.FIELD_TEST_EFFORT.of(highest));
    }
    if (screening.supervised() && !screening.person().health().heartDisease()) {
      findings.add(FieldTestFinding.FIELD_TEST_SUPERVISED.of());
    }
    screening
        .noRateBecause()
        .filter(why -> !screening.person().health().heartDisease())
        .ifPresent(why -> findings.add(FieldTestFinding.FIELD_TEST_NO_RATE.of(why)));
    if (protocol.onFeet() && screening.person().has(Condition.FALLS)) {
      findings.add(
          FieldTestFinding.FIELD_TEST_FALLS.of(protocol.displayName().toLowerCase(Locale.ROOT)));
    }
    return findings;
  }

  private static Optional<Finding> today(Optional<Outcome> today) {
    if (today.isEmpty()) {
      return Optional.of(FieldTestFinding.FIELD_TEST_CHECK_IN.of());
    }
    return today.get() == Outcome.GO
        ? Optional.empty()
        : Optional.of(
            FieldTestFinding.FIELD_TEST_NOT_TODAY.of(
                today.get() == Outcome.LIGHT_ONLY ? "light only" : "not today"));
  }

  /** Whether it may begin. */
  public boolean open() {
    return findings.stream().noneMatch(finding -> finding.severity() == Severity.BLOCK);
  }

  /** Whether nothing but today's check-in stands in the way. */
  public boolean onlyToday() {
    return findings.stream()
        .filter(finding -> finding.severity() == Severity.BLOCK)
        .allMatch(
            finding ->
                finding.code().equals(FieldTestFinding.FIELD_TEST_CHECK_IN.code())
                    || finding.code().equals(FieldTestFinding.FIELD_TEST_NOT_TODAY.code()));
  }
}
