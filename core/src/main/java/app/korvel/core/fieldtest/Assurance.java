package app.korvel.core.fieldtest;

/** What is made sure of before a field test begins; all of it. */
public enum Assurance {
  NOT_ALONE("Someone stays within sight and earshot the whole time"),
  FALLS_AND_JOINTS("Asked about falls, ankles, knees, hips and back: no reason not to"),
  HELP_AT_HAND("A phone and the local emergency plan are at hand");

  private final String displayName;

  Assurance(String displayName) {
    this.displayName = displayName;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }
}
