package app.korvel.core.measure;

import java.util.List;

/** Input that is not accepted. Names each field, what is wrong with it and what is accepted. */
public final class InvalidValueException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  /**
   * One fault at one field.
   *
   * @param field the name the caller knows the value by
   * @param message what is wrong, as a clause a person can act on
   * @param accepted what is accepted instead
   */
  public record Fault(String field, String message, String accepted)
      implements java.io.Serializable {}

  private final List<Fault> faults;

  private InvalidValueException(List<Fault> faults) {
    super(faults.get(0).field() + ": " + faults.get(0).message());
    this.faults = List.copyOf(faults);
  }

  /** One fault. */
  public static InvalidValueException of(String field, String message, String accepted) {
    return new InvalidValueException(List.of(new Fault(field, message, accepted)));
  }

  /**
   * Several faults at once, so that nobody has to mend a form field by field.
   *
   * @param faults at least one
   */
  public static InvalidValueException of(List<Fault> faults) {
    return new InvalidValueException(faults);
  }

  /** The faults, at least one. */
  public List<Fault> faults() {
    return faults;
  }
}
