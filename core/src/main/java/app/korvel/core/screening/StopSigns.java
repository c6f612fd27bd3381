package app.korvel.core.screening;

import java.util.Arrays;
import java.util.List;

/** When to stop, and what the product is not: short, and the same wherever work is prescribed. */
public final class StopSigns {
  private StopSigns() {}

  /** Signs that end any work or test at once. */
  public static final List<String> SIGNS =
      Arrays.stream(StopSign.values()).map(StopSign::words).toList();

  /** What follows a stop sign. */
  public static final String ACTION =
      "Stop, get help following the local emergency plan, and write down what happened.";

  /** What the product is not. */
  public static final String NOTICE =
      "Not medical advice. A clinician's written limit, local rules and licensed practice come"
          + " first.";
}
