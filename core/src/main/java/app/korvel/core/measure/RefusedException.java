package app.korvel.core.measure;

import java.util.List;

/** A judgement the rules refuse to make, with the findings that say why and what to do instead. */
public final class RefusedException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient List<Finding> findings;

  private RefusedException(List<Finding> findings) {
    super(findings.get(0).message());
    this.findings = List.copyOf(findings);
  }

  /** Refused because of {@code findings}, at least one; the first is the message. */
  public static RefusedException because(List<Finding> findings) {
    return new RefusedException(findings);
  }

  /** Refused because of one finding. */
  public static RefusedException because(Finding finding) {
    return new RefusedException(List.of(finding));
  }

  /** Why, at least one. */
  public List<Finding> findings() {
    return findings;
  }
}
