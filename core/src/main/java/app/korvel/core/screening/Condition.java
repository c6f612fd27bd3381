package app.korvel.core.screening;

/**
 * What can be known of someone's health: a row each.
 *
 * <p>Whether a condition counts as known cardiovascular, metabolic or renal disease follows the
 * 2015 consensus (Riebe et al., Med Sci Sports Exerc 2015): lung disease and high blood pressure
 * alone do not, and bring their own rules with {@link Context}.
 */
public enum Condition {
  HEART_CONDITION(Group.HEART, true, true, "Heart condition, or a cardiac event in the past"),
  HEART_FAILURE(Group.HEART, true, true, "Heart failure"),
  DEFIBRILLATOR(Group.HEART, true, true, "Implanted defibrillator"),
  PACEMAKER(Group.HEART, true, true, "Pacemaker"),
  IRREGULAR_RHYTHM(Group.HEART, true, true, "Irregular rhythm, such as atrial fibrillation"),
  VESSEL_DISEASE(Group.HEART, true, true, "Stroke, or narrowed vessels in brain, neck or legs"),
  CAROTID_DISEASE(Group.HEART, true, true, "Carotid disease"),
  NECK_FAINTING(Group.HEART, false, false, "Has fainted when the neck was touched"),
  HIGH_BLOOD_PRESSURE(Group.HEART, false, false, "High blood pressure"),
  DIABETES(Group.METABOLISM, true, false, "Diabetes"),
  AUTONOMIC_NEUROPATHY(Group.METABOLISM, false, false, "Autonomic neuropathy"),
  KIDNEY_DISEASE(Group.METABOLISM, true, false, "Kidney disease"),
  RESPIRATORY(Group.BREATHING, false, false, "Asthma or another lung disease"),
  PREGNANCY(Group.BODY, false, false, "Pregnant"),
  FALLS(Group.BODY, false, false, "Has fallen in the last year, or is unsteady"),
  JOINTS(Group.BODY, false, false, "Joints that hurt or give way");

  /** How the intake groups them. */
  public enum Group {
    HEART("Heart and vessels"),
    METABOLISM("Metabolism and kidneys"),
    BREATHING("Breathing"),
    /** Asked for in a question of its own. */
    BODY("Body");

    private final String displayName;

    Group(String displayName) {
      this.displayName = displayName;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }
  }

  private final Group group;
  private final boolean knownDisease;
  private final boolean heart;
  private final String displayName;

  Condition(Group group, boolean knownDisease, boolean heart, String displayName) {
    this.group = group;
    this.knownDisease = knownDisease;
    this.heart = heart;
    this.displayName = displayName;
  }

  /** Where the intake asks for it. */
  public Group group() {
    return group;
  }

  /** Known cardiovascular, metabolic or renal disease in the sense of the screening table. */
  public boolean knownDisease() {
    return knownDisease;
  }

  /** A disease of heart or vessels: the rules for a heart condition hold. */
  public boolean heart() {
    return heart;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }
}
