package app.korvel.server.web;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Severity;
import java.util.List;

/** A {@link Finding} as it is sent. */
public record FindingView(
    String code, Severity severity, String message, String because, String source) {

  public static FindingView of(Finding finding) {
    return new FindingView(
        finding.code(),
        finding.severity(),
        finding.message(),
        finding.because(),
        finding.source().citation());
  }

  public static List<FindingView> of(List<Finding> findings) {
    return findings.stream().map(FindingView::of).toList();
  }
}
