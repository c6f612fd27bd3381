package app.korvel.core.programme;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Threshold;

/**
 * A time without a session: under two weeks, on from the last week done; two to four weeks, at 70 %
 * of its minutes; longer, a new start by present activity.
 *
 * @param days from the last session done to the first day of the week that is laid out
 * @param before what the last week with a session asked for
 */
public record LayOff(int days, Dose before) {

  /** How long it was, by what follows. */
  public enum Length {
    SHORT,
    CUT,
    NEW_START
  }

  /** How long it was. */
  public Length length() {
    if (days < Threshold.LAY_OFF_CUTS.whole()) {
      return Length.SHORT;
    }
    return days <= Threshold.LAY_OFF_STARTS_ANEW.whole() ? Length.CUT : Length.NEW_START;
  }

  /** What follows, with what the week is to be. */
  Finding finding(Dose dose) {
    FindingKind kind =
        switch (length()) {
          case SHORT -> ProgrammeFinding.LAY_OFF_ON;
          case CUT -> ProgrammeFinding.LAY_OFF_CUT;
          case NEW_START -> ProgrammeFinding.LAY_OFF_NEW_START;
        };
    return kind.of(
        days, dose.range().low() + "–" + dose.range().high(), dose.minutes(), dose.days());
  }
}
