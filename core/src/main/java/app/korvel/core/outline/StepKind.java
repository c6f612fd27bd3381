package app.korvel.core.outline;

/** What a step of a session is for: a row each. */
public enum StepKind {
  WARM_UP("Warm-up", true, false),
  MOBILITY("Mobility", false, false),
  WORK("Work", true, true),
  EASY("Easy", true, true),
  BURST("Burst", true, true),
  COOL_DOWN("Cool-down", true, false),
  STRETCH("Stretch", false, false);

  private final String displayName;
  private final boolean ranged;
  private final boolean exercise;

  StepKind(String displayName, boolean ranged, boolean exercise) {
    this.displayName = displayName;
    this.ranged = ranged;
    this.exercise = exercise;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** Whether it has an intensity. */
  public boolean ranged() {
    return ranged;
  }

  /** Whether its minutes are minutes of work. */
  public boolean exercise() {
    return exercise;
  }
}
