package app.korvel.core.screening;

/** What is measured before a session, besides the pulse, where a context asks for it. */
public enum Measure {
  BLOOD_PRESSURE("blood pressure"),
  GLUCOSE("glucose"),
  WEIGHT("weight");

  private final String displayName;

  Measure(String displayName) {
    this.displayName = displayName;
  }

  /** As it is shown within a sentence. */
  public String displayName() {
    return displayName;
  }
}
