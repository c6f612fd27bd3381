package app.korvel.core.screening;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Threshold;
import java.util.ArrayList;
import java.util.List;

/**
 * What the screening so far allows.
 *
 * @param mayIssue whether a prescription may be issued; if not it can be kept as a draft
 * @param vigorous whether work above 60 % of reserve is allowed
 * @param findings why
 */
public record Permission(boolean mayIssue, boolean vigorous, List<Finding> findings) {

  /** The ceiling of every target, in percent of reserve, where vigorous work is not allowed. */
  public static final int CEILING_PERCENT = Threshold.CEILING.whole();

  public Permission {
    findings = List.copyOf(findings);
  }

  /**
   * The rows of the pre-participation table that the tick boxes can decide (Riebe et al., Med Sci
   * Sports Exerc 2015): known heart disease needs clearance first, and only the regularly active
   * without it may work vigorously.
   *
   * @param guardianConsent whether a parent or guardian has agreed; counts only under 18
   */
  public static Permission of(Person person, boolean guardianConsent) {
    List<Finding> findings = new ArrayList<>();
    boolean disease = person.health().heartDisease();
    if (disease) {
      findings.add(
          FindingKind.SCREENING_FIRST.of(
              person.health().heartFailure() ? "Heart failure" : "A heart condition"));
    }
    boolean consentMissing = person.under18() && !guardianConsent;
    if (consentMissing) {
      findings.add(FindingKind.CONSENT_FIRST.of(person.age()));
    }
    boolean active = person.activity().regularlyActive();
    boolean vigorous = active && !disease;
    if (!vigorous) {
      findings.add(
          ceilingKind(person)
              .of(
                  disease
                      ? "Known heart disease, not cleared for vigorous work."
                      : "Not regularly active yet: start light to moderate and progress gradually."));
    }
    return new Permission(!disease && !consentMissing, vigorous, findings);
  }

  /** With heart failure no rate is used, so none is named. */
  private static FindingKind ceilingKind(Person person) {
    return person.health().heartFailure()
        ? FindingKind.LIGHT_BY_EFFORT
        : FindingKind.LIGHT_TO_MODERATE;
  }

  /** Why vigorous work is not allowed; empty where it is. */
  public String notVigorousBecause() {
    return findings.stream()
        .filter(
            finding ->
                finding.code().equals(FindingKind.LIGHT_TO_MODERATE.code())
                    || finding.code().equals(FindingKind.LIGHT_BY_EFFORT.code()))
        .map(Finding::because)
        .findFirst()
        .orElse("");
  }
}
