package app.korvel.core.screening;

/** How hard someone may work, from nothing to everything. */
public enum Allows {
  NOTHING("no exercise yet"),
  LIGHT_TO_MODERATE("light to moderate work"),
  MODERATE("moderate work"),
  VIGOROUS("moderate and vigorous work");

  private final String displayName;

  Allows(String displayName) {
    this.displayName = displayName;
  }

  /** As it stands in a sentence. */
  public String displayName() {
    return displayName;
  }

  /** The lesser of two. */
  Allows atMost(Allows other) {
    return compareTo(other) <= 0 ? this : other;
  }
}
