package app.korvel.core.prescription;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.outline.Exercise;
import app.korvel.core.outline.WorkType;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Scope;
import app.korvel.core.zone.Reserve.Percents;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The parts of a prescription that the instructor decides.
 *
 * @param goal what for
 * @param approach which approach to starting, for the new
 * @param lowPercent intensity, lower edge, percent of reserve, {@link Limit#INTENSITY}
 * @param highPercent intensity, upper edge, percent of reserve, {@link Limit#INTENSITY}
 * @param minutes minutes of work in a session, {@link Limit#SESSION_MINUTES}
 * @param days sessions in a week, {@link Limit#DAYS_A_WEEK}
 * @param type how the minutes are laid out
 * @param mode what the body does
 * @param exercise what is done, if it was named; one of that mode
 */
public record Fitt(
    Goal goal,
    Approach approach,
    int lowPercent,
    int highPercent,
    int minutes,
    int days,
    WorkType type,
    Mode mode,
    Optional<Exercise> exercise) {

  /** Without an exercise of its own: whatever the mode offers. */
  public Fitt(
      Goal goal,
      Approach approach,
      int lowPercent,
      int highPercent,
      int minutes,
      int days,
      WorkType type,
      Mode mode) {
    this(goal, approach, lowPercent, highPercent, minutes, days, type, mode, Optional.empty());
  }

  /** What is done, as it is shown: the exercise that was named, else the mode. */
  public String whatIsDone() {
    return exercise.map(Exercise::displayName).orElse(mode.displayName());
  }

  /** The intensity, percent of reserve. */
  public Percents range() {
    return new Percents(lowPercent, highPercent);
  }

  /**
   * Checks the parts against the rules.
   *
   * @throws InvalidValueException with every fault at once, each saying what is accepted
   */
  public void check(Scope scope) {
    Person person = scope.person();
    List<Fault> faults = new ArrayList<>();
    if (!Goal.openTo(person).contains(goal)) {
      faults.add(
          new Fault(
              "goal",
              "is reached above what cleared heart work allows",
              Goal.openTo(person).stream()
                  .map(Goal::displayName)
                  .collect(Collectors.joining(", "))));
    }
    Limit.INTENSITY.check(faults, "lowPercent", lowPercent);
    Limit.INTENSITY.check(faults, "highPercent", highPercent);
    Limit.SESSION_MINUTES.check(faults, "minutes", minutes);
    Limit.DAYS_A_WEEK.check(faults, "days", days);
    modeFault(mode, person).ifPresent(faults::add);
    exercise.ifPresent(each -> checkExercise(faults, each, scope));
    if (faults.isEmpty()) {
      checkTogether(faults, range(), minutes, type, Ceiling.of(person, scope.permission()));
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
  }

  /**
   * Checks that a mode is one for someone.
   *
   * @throws InvalidValueException when it is left out for them
   */
  public static void checkMode(Mode mode, Person person) {
    modeFault(mode, person)
        .ifPresent(
            fault -> {
              throw InvalidValueException.of(List.of(fault));
            });
  }

  private static Optional<Fault> modeFault(Mode mode, Person person) {
    return mode == Mode.STAIRS && person.has(Condition.FALLS)
        ? Optional.of(
            new Fault("mode", "is left out for this client: falls are on record", "any other mode"))
        : Optional.empty();
  }

  private void checkExercise(List<Fault> faults, Exercise named, Scope scope) {
    if (named.mode() != mode) {
      faults.add(
          new Fault(
              "exercise",
              "“" + named.displayName() + "” is of another mode",
              "an exercise of “" + mode.displayName() + "”"));
    }
    named
        .notFor(scope)
        .ifPresent(
            why ->
                faults.add(
                    new Fault(
                        "exercise",
                        "“" + named.displayName() + "” " + why,
                        Arrays.stream(Exercise.values())
                            .filter(other -> other.mode() == mode)
                            .filter(other -> other.notFor(scope).isEmpty())
                            .map(Exercise::displayName)
                            .collect(Collectors.joining(", ", "any, ", "")))));
  }

  /** Adds a fault where an intensity or minutes are none for that type of work, or that ceiling. */
  public static void checkTogether(
      List<Fault> faults, Percents range, int minutes, WorkType type, Ceiling ceiling) {
    int lowPercent = range.low();
    int highPercent = range.high();
    if (lowPercent > highPercent) {
      faults.add(
          new Fault(
              "highPercent",
              highPercent + " % is under the lower edge",
              lowPercent + " to " + Limit.INTENSITY.highest() + " % of reserve"));
    } else if (highPercent > ceiling.percent()) {
      faults.add(
          new Fault(
              "highPercent", ceiling.because(), "up to " + ceiling.percent() + " % of reserve"));
    } else if (highPercent > type.highestPercent()) {
      faults.add(
          new Fault(
              "highPercent",
              "too hard for “" + type.displayName() + "”",
              "up to " + type.highestPercent() + " % of reserve, or another type"));
    }
    if (minutes < type.fewestMinutes()) {
      faults.add(
          new Fault(
              "minutes",
              "too short for “" + type.displayName() + "”",
              "at least " + type.fewestMinutes() + " minutes, or another type"));
    }
  }
}
