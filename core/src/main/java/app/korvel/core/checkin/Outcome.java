package app.korvel.core.checkin;

/** What today's check-in comes to, the easiest first. */
public enum Outcome {
  GO("Go"),
  LIGHT_ONLY("Light only"),
  /** Not an outcome yet: the pulse is counted again before anything is decided. */
  COUNT_AGAIN("Count again"),
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
