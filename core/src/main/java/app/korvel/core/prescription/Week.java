package app.korvel.core.prescription;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Outline;
import app.korvel.core.screening.Person;
import app.korvel.core.zone.GuidelineClass;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Collections;
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

  static Week of(Outline session, Parts parts, Person person) {
    GuidelineClass middle =
        GuidelineClass.ofReserve(
            BigDecimal.valueOf(parts.lowPercent() + parts.highPercent())
                .divide(BigDecimal.valueOf(2)));
    return of(Collections.nCopies(parts.days(), session), middle, person);
  }

  /**
   * A week of those sessions.
   *
   * @param guidelineClass of the minutes at the target
   */
  public static Week of(List<Outline> sessions, GuidelineClass guidelineClass, Person person) {
    int all = sessions.stream().mapToInt(Outline::workSeconds).sum() / 60;
    int moderate = minutes(sessions, GuidelineClass.MODERATE);
    int vigorous = minutes(sessions, GuidelineClass.VIGOROUS, GuidelineClass.NEAR_MAXIMAL);
    int light = all - moderate - vigorous;
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

  /** Whole minutes, down: not more than they are. */
  private static int minutes(List<Outline> sessions, GuidelineClass... classes) {
    return Arrays.stream(classes)
            .mapToInt(
                each -> sessions.stream().mapToInt(session -> session.workSeconds(each)).sum())
            .sum()
        / 60;
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
