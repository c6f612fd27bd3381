package app.korvel.core.screening;

/** Sex, used only where an equation needs it. */
public enum Sex {
  FEMALE,
  MALE,
  NOT_GIVEN
}
