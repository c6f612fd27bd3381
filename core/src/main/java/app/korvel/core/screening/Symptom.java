package app.korvel.core.screening;

/**
 * Signs or symptoms that send someone to a doctor before any exercise, at rest or with effort
 * (after Riebe et al., Med Sci Sports Exerc 2015).
 */
public enum Symptom {
  CHEST_PAIN("Pain or pressure in chest, neck, jaw or arm"),
  BREATHLESSNESS("Out of breath at rest or with light effort"),
  DIZZINESS("Light-headed or dizzy"),
  FAINTING("Fainted, or came close to it"),
  NIGHT_BREATHLESSNESS("Wakes short of breath, or cannot lie flat"),
  ANKLE_SWELLING("Swollen ankles"),
  PALPITATIONS("Heart racing, pounding or skipping"),
  LEG_PAIN("Calf or leg pain on walking that goes at rest"),
  HEART_MURMUR("A heart murmur that a doctor has heard"),
  FATIGUE("Far more tired by usual tasks than before");

  private final String displayName;

  Symptom(String displayName) {
    this.displayName = displayName;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }
}
