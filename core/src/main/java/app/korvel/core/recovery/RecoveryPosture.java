package app.korvel.core.recovery;

/** How somebody recovers: posture alone changes the fall greatly, so that only one is compared. */
public enum RecoveryPosture {
  /** Upright, moving on easily. */
  MOVING("Moving on easily"),
  STANDING("Standing still"),
  SEATED("Seated"),
  LYING("Lying at once"),
  ARMS_UP("Standing, arms up");

  private final String displayName;

  RecoveryPosture(String displayName) {
    this.displayName = displayName;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** Whether blood can pool in legs that stand still. */
  public boolean still() {
    return this == STANDING || this == ARMS_UP;
  }
}
