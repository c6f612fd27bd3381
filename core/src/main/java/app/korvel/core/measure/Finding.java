package app.korvel.core.measure;

/**
 * One reason behind a judgement, as a person reads it.
 *
 * @param code stable id from {@link FindingKind}
 * @param severity how much it weighs
 * @param message the number or the verdict, then what to do
 * @param because why, with the figures of this case
 * @param source where the rule comes from
 */
public record Finding(
    String code, Severity severity, String message, String because, Source source) {
  /** The same, said of somebody among others. */
  public Finding about(String name) {
    return new Finding(code, severity, name + ": " + message, because, source);
  }
}
