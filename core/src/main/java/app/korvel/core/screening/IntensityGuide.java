package app.korvel.core.screening;

/** What the client steers by, first things first. */
public enum IntensityGuide {
  /** The rate first, checked by RPE and talk. */
  RATE("Rate first, checked by RPE and talk"),
  /** Talk first: new to exercise. */
  TALK("Talk first, then the rate"),
  /** RPE and talk first: the rate is held down by medicine. */
  EFFORT_AND_TALK("RPE and talk first, then the rate"),
  /** RPE and talk only: no rate may be used. */
  EFFORT_AND_TALK_ONLY("RPE and talk only");

  private final String displayName;

  IntensityGuide(String displayName) {
    this.displayName = displayName;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }
}
