package app.korvel.core.measure;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How a finding is worded.
 *
 * <p>Message and reason are {@link String#format} templates that take the same figures, so a reason
 * may name {@code %2$s} where the message uses {@code %1$s}. The figure of a {@link Threshold} is
 * named instead of written: {@code {CEILING}} is its value.
 */
public final class Wording {
  private static final Pattern THRESHOLD = Pattern.compile("\\{(\\w+)\\}");
  private static final Pattern FIGURE = Pattern.compile("%(?:(\\d)\\$)?s");

  private final Severity severity;
  private final String written;
  private final String message;
  private final String because;
  private final Source source;

  /**
   * A wording.
   *
   * @param severity how much it weighs
   * @param message the number or the verdict, then what to do
   * @param because why
   * @param source where the rule comes from
   * @throws IllegalArgumentException when it names a threshold that there is not
   */
  public Wording(Severity severity, String message, String because, Source source) {
    this.severity = severity;
    this.written = message + " " + because;
    this.message = withThresholds(message);
    this.because = withThresholds(because);
    this.source = source;
  }

  /** How much it weighs. */
  public Severity severity() {
    return severity;
  }

  /** Where the rule comes from. */
  public Source source() {
    return source;
  }

  /** Message and reason as they are written down, with thresholds by their names. */
  public String written() {
    return written;
  }

  String message() {
    return message;
  }

  String because() {
    return because;
  }

  private static String withThresholds(String template) {
    return THRESHOLD
        .matcher(template)
        .replaceAll(named -> Threshold.valueOf(named.group(1)).value().toPlainString());
  }

  /** How many figures it takes. */
  int figures() {
    return Math.max(figures(message), figures(because));
  }

  private static int figures(String template) {
    int most = 0;
    int next = 0;
    Matcher figure = FIGURE.matcher(template);
    while (figure.find()) {
      most = Math.max(most, figure.group(1) == null ? ++next : Integer.parseInt(figure.group(1)));
    }
    return most;
  }

  /** A template with its open places shown as {@code …}, for the list of methods. */
  static String outline(String template) {
    return FIGURE.matcher(template).replaceAll("…").replace("%%", "%");
  }

  /** A template with the figures of one case. */
  static String filled(String template, Object... figures) {
    return String.format(Locale.ROOT, template, figures);
  }
}
