package app.korvel.core.prescription;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Outline;
import app.korvel.core.screening.Person;
import app.korvel.core.zone.GuidelineClass;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.OptionalInt;

/**
 * A week's minutes against the guideline (WHO 2020).
 *
 * <p>Minutes are shared by how much of their range lies in each class: of 30 min at 50–70 %, 15 are
 * moderate and 15 vigorous.
 *
 * @param guidelineClass what the target asks for, by the middle of its range
 * @param lightMinutes counted and shown, worth 0
 * @param moderateMinutes worth themselves
 * @param vigorousMinutes worth two each
 * @param moderateEquivalentMinutes moderate + 2 × vigorous
 * @param markMinutes where the guideline begins: 150, or 420 under 18
 * @param upperMinutes where it ends: 300; none under 18
 * @param finding how the week stands to it
 */
public record Week(
    GuidelineClass guidelineClass,
    int lightMinutes,
    int moderateMinutes,
    int vigorousMinutes,
    int moderateEquivalentMinutes,
    int markMinutes,
    OptionalInt upperMinutes,
    Finding finding) {

  private static final int ADULT_MARK = Threshold.WEEK_MARK.whole();
  private static final int ADULT_UPPER = Threshold.WEEK_UPPER.whole();
  private static final int UNDER_18_MARK = Threshold.WEEK_UNDER_18.whole();
  private static final int VIGOROUS_WORTH = Threshold.VIGOROUS_WORTH.whole();

  /** A week of the usual session of those parts, its other days easier where they have to be. */
  static Week of(Fitt parts, Bounds bounds, Person person) {
    return of(
        OtherDays.week(
            Outline.of(parts.type(), parts.range(), parts.minutes(), bounds),
            OtherDays.outline(parts.minutes(), bounds),
            parts.range(),
            parts.days()),
        parts.range().asks(),
        person);
  }

  /**
   * A week of those sessions.
   *
   * @param guidelineClass of the minutes at the target
   */
  public static Week of(List<Outline> sessions, GuidelineClass guidelineClass, Person person) {
    int all = sessions.stream().mapToInt(Outline::workSeconds).sum() / 60;
    // What is shown adds up: each class ends at the whole minute nearest to where it does.
    BigDecimal lightSeconds = seconds(sessions, GuidelineClass.LIGHT);
    int light = minutes(lightSeconds);
    int moderate = minutes(lightSeconds.add(seconds(sessions, GuidelineClass.MODERATE))) - light;
    int vigorous = all - light - moderate;
    int equivalent = moderate + VIGOROUS_WORTH * vigorous;
    return new Week(
        guidelineClass,
        light,
        moderate,
        vigorous,
        equivalent,
        person.under18() ? UNDER_18_MARK : ADULT_MARK,
        person.under18() ? OptionalInt.empty() : OptionalInt.of(ADULT_UPPER),
        finding(person, light, equivalent));
  }

  /** Where the guideline begins, in vigorous minutes. */
  public int vigorousMarkMinutes() {
    return markMinutes / VIGOROUS_WORTH;
  }

  /** Where it ends, in vigorous minutes; none under 18. */
  public OptionalInt vigorousUpperMinutes() {
    return upperMinutes.isPresent()
        ? OptionalInt.of(upperMinutes.getAsInt() / VIGOROUS_WORTH)
        : OptionalInt.empty();
  }

  private static BigDecimal seconds(List<Outline> sessions, GuidelineClass of) {
    return sessions.stream()
        .map(session -> session.workSeconds(of))
        .reduce(BigDecimal.ZERO, BigDecimal::add);
  }

  private static int minutes(BigDecimal seconds) {
    return Rounding.halfUp(seconds.divide(BigDecimal.valueOf(60), MathContext.DECIMAL64));
  }

  private static Finding finding(Person person, int light, int equivalent) {
    if (person.under18()) {
      return PrescriptionFinding.UNDER_18_WEEK.of(equivalent);
    }
    if (equivalent == 0) {
      return PrescriptionFinding.WEEK_LIGHT.of(light);
    }
    if (equivalent < ADULT_MARK) {
      return PrescriptionFinding.WEEK_UNDER.of(equivalent);
    }
    return (equivalent <= ADULT_UPPER
            ? PrescriptionFinding.WEEK_WITHIN
            : PrescriptionFinding.WEEK_OVER)
        .of(equivalent);
  }
}
