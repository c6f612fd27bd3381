package app.korvel.core.measure;

import java.util.List;

/** A judgement the rules refuse to make, with the findings that say why and what to do instead. */
public final class RefusedException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient List<Finding> findings;
  private final List<InvalidValueException.Fault> faults;

  private RefusedException(List<Finding> findings, List<InvalidValueException.Fault> faults) {
    super(findings.get(0).message());
    this.findings = List.copyOf(findings);
    this.faults = List.copyOf(faults);
  }

  /** Refused because of {@code findings}, at least one; the first is the message. */
  public static RefusedException because(List<Finding> findings) {
    return new RefusedException(findings, List.of());
  }

  /** Refused because of one finding. */
  public static RefusedException because(Finding finding) {
    return new RefusedException(List.of(finding), List.of());
  }

  /** Refused because of one finding, which comes from what stands in one field. */
  public static RefusedException because(Finding finding, InvalidValueException.Fault fault) {
    return new RefusedException(List.of(finding), List.of(fault));
  }

  /** The fields the refusal comes from; often none. */
  public List<InvalidValueException.Fault> faults() {
    return faults;
  }

  /** Why, at least one. */
  public List<Finding> findings() {
    return findings;
  }
}
