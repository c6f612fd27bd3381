package app.korvel.core.checkin;

/** What today's check-in comes to. */
public enum Outcome {
  GO("Go"),
  LIGHT_ONLY("Light only"),
  NOT_TODAY("Not today");

  private final String displayName;

  Outcome(String displayName) {
    this.displayName = displayName;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }
}
