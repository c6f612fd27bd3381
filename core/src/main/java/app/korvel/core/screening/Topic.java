package app.korvel.core.screening;

/** The questions of the intake, in the order of the conversation. */
public enum Topic {
  ACTIVITY("Activity level", true),
  SYMPTOMS("Signs or symptoms", true),
  CONDITIONS("Known conditions", true),
  MEDICINES("Medications", true),
  BODY("Pregnancy, falls and joints", true),
  LIMITS("Written limits", true),
  PLAN("Goal, days and equipment", false);

  private final String displayName;
  private final boolean decides;

  Topic(String displayName, boolean decides) {
    this.displayName = displayName;
    this.decides = decides;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** Whether nothing can be decided before it has been asked. */
  public boolean decides() {
    return decides;
  }
}
