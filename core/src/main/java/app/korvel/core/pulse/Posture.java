package app.korvel.core.pulse;

/** How the client was placed while the pulse was taken. */
public enum Posture {
  LYING(true),
  SEATED(true),
  STANDING(false);

  private final boolean standard;

  Posture(boolean standard) {
    this.standard = standard;
  }

  /**
   * Whether a resting reading taken so departs from no protocol: seated is the standard, lying on
   * waking the best.
   */
  public boolean standard() {
    return standard;
  }
}
