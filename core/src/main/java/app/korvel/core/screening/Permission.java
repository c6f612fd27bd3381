package app.korvel.core.screening;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import java.util.List;

/**
 * What the screening allows, on one day.
 *
 * @param mayIssue whether a prescription may be issued; if not it can be kept as a draft
 * @param allows how hard they may work; {@link Allows#NOTHING} suspends what was issued
 * @param findings why
 */
public record Permission(boolean mayIssue, Allows allows, List<Finding> findings) {

  /** The ceiling of every target, in percent of reserve, where vigorous work is not allowed. */
  public static final int CEILING_PERCENT = Threshold.CEILING.whole();

  public Permission {
    findings = List.copyOf(findings);
  }

  /** Whether work above 60 % of reserve is allowed. */
  public boolean vigorous() {
    return allows == Allows.VIGOROUS;
  }

  /** Why vigorous work is not allowed; empty where it is. */
  public String notVigorousBecause() {
    return findings.stream()
        .filter(
            finding ->
                finding.code().equals(ScreeningFinding.LIGHT_TO_MODERATE.code())
                    || finding.code().equals(ScreeningFinding.LIGHT_BY_EFFORT.code()))
        .map(Finding::because)
        .findFirst()
        .orElse("");
  }
}
