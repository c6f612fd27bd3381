package app.korvel.core.checkin;

/** What is known of ketones, asked for when glucose is high. */
public enum Ketones {
  NONE("None"),
  PRESENT("Present"),
  NOT_MEASURED("Not measured");

  private final String displayName;

  Ketones(String displayName) {
    this.displayName = displayName;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }
}
