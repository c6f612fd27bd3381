package app.korvel.core.screening;

/** Activity level, by its definition. */
public enum Activity {
  NONE("under 30 min a week of anything brisk"),
  LITTLE("30 to 89 min a week of something brisk"),
  SOME("90 min a week or more, but not regular"),
  REGULAR("at least 30 min moderate on 3 or more days a week, for 3 months"),
  HIGH("regular and 300 min a week, or vigorous on 3 or more days");

  private final String definition;

  Activity(String definition) {
    this.definition = definition;
  }

  /** What the word means, so that two instructors pick the same one. */
  public String definition() {
    return definition;
  }

  /** One class lower; {@link #NONE} stays. */
  public Activity oneLower() {
    return values()[Math.max(0, ordinal() - 1)];
  }

  /** Sedentary in the sense of the screening table: {@link #NONE}. */
  public boolean sedentary() {
    return this == NONE;
  }

  /** Regularly active in the sense of the screening table: {@link #REGULAR} or {@link #HIGH}. */
  public boolean regularlyActive() {
    return this == REGULAR || this == HIGH;
  }
}
