package app.korvel.core.screening;

/** What someone can train with. */
public enum Equipment {
  PATHS("Paths to walk or run"),
  TREADMILL("Treadmill"),
  CYCLE("Cycle"),
  ROWING("Rowing boat or machine"),
  POOL("Pool or open water"),
  STAIRS("Stairs or a step");

  private final String displayName;

  Equipment(String displayName) {
    this.displayName = displayName;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }
}
