package app.korvel.core.prescription;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Formula;
import app.korvel.core.measure.LongHand;
import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.Person;
import app.korvel.core.zone.GuidelineClass;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/**
 * A week's minutes against the guideline (WHO 2020).
 *
 * @param guidelineClass of the minutes at the target, by the middle of their range
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

  static Week of(Parts parts, Person person) {
    GuidelineClass middle =
        GuidelineClass.ofReserve(
            BigDecimal.valueOf(parts.lowPercent() + parts.highPercent())
                .divide(BigDecimal.valueOf(2)));
    int all = parts.minutes() * parts.days();
    int atTarget = parts.type().minutesAtTarget(all);
    int light = middle == GuidelineClass.LIGHT ? all : all - atTarget;
    int moderate = middle == GuidelineClass.MODERATE ? atTarget : 0;
    int vigorous = all - light - moderate;
    int equivalent = moderate + VIGOROUS_WORTH * vigorous;
    return new Week(
        middle,
        light,
        moderate,
        vigorous,
        equivalent,
        person.under18() ? UNDER_18_MARK : ADULT_MARK,
        person.under18() ? OptionalInt.empty() : OptionalInt.of(ADULT_UPPER),
        finding(person, light, equivalent));
  }

  /** The week worked out long hand. */
  public LongHand longHand(Parts parts) {
    int all = parts.minutes() * parts.days();
    List<LongHand.Line> lines = new ArrayList<>();
    lines.add(minutes("Minutes of work in the week", parts.minutes() + " × " + parts.days(), all));
    if (parts.type().partsForOneAtTarget() > 1) {
      lines.add(
          LongHand.Line.of(
              Formula.MODERATE_EQUIVALENT,
              "At the target; the rest is easy",
              all + " ÷ " + parts.type().partsForOneAtTarget(),
              BigDecimal.valueOf(all)
                  .divide(
                      BigDecimal.valueOf(parts.type().partsForOneAtTarget()),
                      MathContext.DECIMAL64),
              "min",
              LongHand.Finish.DOWN));
    }
    lines.add(
        minutes(
            "Moderate-equivalent",
            moderateMinutes + " + " + VIGOROUS_WORTH + " × " + vigorousMinutes,
            moderateEquivalentMinutes));
    return LongHand.of(lines);
  }

  private static LongHand.Line minutes(String label, String sum, int minutes) {
    return LongHand.Line.of(
        Formula.MODERATE_EQUIVALENT,
        label,
        sum,
        BigDecimal.valueOf(minutes),
        "min",
        LongHand.Finish.EXACT);
  }

  private static Finding finding(Person person, int light, int equivalent) {
    if (person.under18()) {
      return FindingKind.UNDER_18_WEEK.of(equivalent);
    }
    if (equivalent == 0) {
      return FindingKind.WEEK_LIGHT.of(light);
    }
    if (equivalent < ADULT_MARK) {
      return FindingKind.WEEK_UNDER.of(equivalent);
    }
    return (equivalent <= ADULT_UPPER ? FindingKind.WEEK_WITHIN : FindingKind.WEEK_OVER)
        .of(equivalent);
  }
}
