package app.korvel.core.screening;

/** Kinds of work that a context forbids. */
public enum Contraindication {
  MAXIMUM_TEST("maximum tests"),
  BREATH_HOLDING("holding the breath, straining"),
  LONG_HOLDS("long isometric holds"),
  HEAT("training in heat"),
  LYING_FLAT("lying flat on the back, later on"),
  STEPS("steps and stairs");

  private final String displayName;

  Contraindication(String displayName) {
    this.displayName = displayName;
  }

  /** As it stands in a list. */
  public String displayName() {
    return displayName;
  }
}
