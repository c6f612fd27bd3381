package app.korvel.core.prescription;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.outline.WorkType;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Permission;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Scope;
import app.korvel.core.screening.Screening;
import app.korvel.core.zone.Reserve.Percents;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Where to start, by present activity, and why there.
 *
 * @param parts the proposal
 * @param findings why
 */
public record Start(Fitt parts, List<Finding> findings) {

  /** A row of the table: intensity in percent of reserve, minutes, days a week. */
  private record Row(int low, int high, int minutes, int days) {}

  private static final Map<Activity, Row> BY_ACTIVITY =
      Map.of(
          Activity.NONE, new Row(30, 40, 15, 3),
          Activity.LITTLE, new Row(40, 50, 20, 3),
          Activity.SOME, new Row(45, 60, 30, 3),
          Activity.REGULAR, new Row(60, 75, 30, 4),
          Activity.HIGH, new Row(65, 80, 40, 4));

  private static final Map<Approach, int[]> FOR_THE_NEW =
      Map.of(Approach.CAUTIOUS, new int[] {30, 40}, Approach.GUIDELINE, new int[] {40, 50});

  public Start {
    findings = List.copyOf(findings);
  }

  /** Whether the two approaches to starting differ for that activity. */
  public static boolean offersApproach(Activity activity) {
    return activity == Activity.NONE || activity == Activity.LITTLE;
  }

  /**
   * One of the two approaches to starting.
   *
   * @param range percent of reserve
   * @param finding what it does, and why
   */
  public record Recommended(Approach approach, Percents range, Finding finding) {
    /** Both, the cautious one first. */
    public static final List<Recommended> BOTH =
        List.of(
            recommended(Approach.CAUTIOUS, PrescriptionFinding.START_CAUTIOUS),
            recommended(Approach.GUIDELINE, PrescriptionFinding.START_GUIDELINE));

    private static Recommended recommended(Approach approach, FindingKind kind) {
      return new Recommended(approach, Start.range(approach), kind.of());
    }
  }

  /** The intensity of that approach, percent of reserve. */
  public static Percents range(Approach approach) {
    int[] edges = FOR_THE_NEW.get(approach);
    return new Percents(edges[0], edges[1]);
  }

  /** The approach taken where the instructor does not choose: cautious for none, else guideline. */
  public static Approach defaultApproach(Activity activity) {
    return activity.sedentary() ? Approach.CAUTIOUS : Approach.GUIDELINE;
  }

  /**
   * The first proposal: the row of the present activity, held by the goal and by what is allowed.
   *
   * @param approach the approach the instructor chose, if any
   */
  public static Start of(Screening screening, Goal goal, Optional<Approach> approach, Mode mode) {
    return of(screening.scope(), screening.answers().days().size(), goal, approach, mode);
  }

  /**
   * The same for someone whose screening is not at hand.
   *
   * @param available how many days they have; 0 where they named none
   */
  public static Start of(
      Scope scope, int available, Goal goal, Optional<Approach> approach, Mode mode) {
    Person person = scope.person();
    Row row = BY_ACTIVITY.get(person.activity());
    Approach school = approach.orElse(defaultApproach(person.activity()));
    List<Finding> findings = new ArrayList<>();
    int low = row.low;
    int high = row.high;
    if (offersApproach(person.activity())) {
      low = range(school).low();
      high = range(school).high();
    }
    if (high > goal.highPercent()) {
      low = goal.lowPercent();
      high = goal.highPercent();
      findings.add(PrescriptionFinding.START_HELD_BY_GOAL.of(low + "–" + high));
    }
    boolean held = !scope.permission().vigorous() || person.health().heartDisease();
    if (held && high > Permission.CEILING_PERCENT) {
      // With a heart condition work spans 40 to 70 once cleared, and 60 at the start.
      low = 40;
      high = Permission.CEILING_PERCENT;
    }
    int days = available == 0 ? row.days : Math.min(row.days, available);
    if (days < row.days) {
      findings.add(PrescriptionFinding.DAYS_AVAILABLE.of(days));
    }
    findings.add(
        0,
        PrescriptionFinding.START_BY_ACTIVITY.of(
            low + "–" + high,
            row.minutes,
            days,
            person.activity().name().toLowerCase(Locale.ROOT)));
    if (offersApproach(person.activity())) {
      findings.add(
          (school == Approach.CAUTIOUS
                  ? PrescriptionFinding.START_CAUTIOUS
                  : PrescriptionFinding.START_GUIDELINE)
              .of());
    }
    return new Start(
        new Fitt(goal, school, low, high, row.minutes, days, WorkType.STEADY, mode), findings);
  }
}
