package app.korvel.core.outline;

/** What kind of work an exercise is. */
public enum ExerciseType {
  AEROBIC("Aerobic", "continuous work of large muscles; what a target in bpm is made for"),
  ANAEROBIC("Anaerobic", "short and hard; the rate lags behind, RPE leads"),
  ISOTONIC("Isotonic", "moving against a load that stays the same"),
  ISOKINETIC("Isokinetic", "moving at a set speed, against whatever is given"),
  ISOMETRIC("Isometric", "held without moving; drives the pressure up");

  private final String displayName;
  private final String meaning;

  ExerciseType(String displayName, String meaning) {
    this.displayName = displayName;
    this.meaning = meaning;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** What is meant by it. */
  public String meaning() {
    return meaning;
  }
}
