package app.korvel.core.measure;

/** How much a finding weighs. */
public enum Severity {
  /** Explains; nothing to do. */
  INFO,
  /** Something to watch or to do differently. */
  CAUTION,
  /** The step it belongs to may not be taken. */
  BLOCK
}
