package app.korvel.core.outline;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Source;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Contraindication;
import app.korvel.core.screening.Permission;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Scope;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What can be done in a session: a row each. Usual energy costs are those of Ainsworth et al., Med
 * Sci Sports Exerc 2011, rounded as there; where that table has no row, none is given.
 */
public enum Exercise {
  WALK("Walking on the level", Mode.RUN, ExerciseType.AEROBIC, met("2.8", "5.0")),
  HILL_WALK(
      "Walking uphill",
      Mode.RUN,
      ExerciseType.AEROBIC,
      met("5.3", "8.0"),
      minding(Condition.JOINTS)),
  RUN(
      "Running",
      Mode.RUN,
      ExerciseType.AEROBIC,
      met("7.0", "11.0"),
      minding(Condition.JOINTS, Condition.FALLS)),
  RUN_SPRINTS(
      "Short sprints",
      Mode.RUN,
      ExerciseType.ANAEROBIC,
      met("14.5", "19.0"),
      minding(Condition.JOINTS, Condition.FALLS)),
  EASY_CYCLE("Cycling, light load", Mode.CYCLE, ExerciseType.AEROBIC, met("3.5", "4.8")),
  CYCLE("Cycling", Mode.CYCLE, ExerciseType.AEROBIC, met("6.8", "8.8")),
  CYCLE_SPRINTS("Cycle sprints", Mode.CYCLE, ExerciseType.ANAEROBIC, met("11.0", "14.0")),
  ROW("Rowing", Mode.ROW, ExerciseType.AEROBIC, met("4.8", "8.5")),
  SWIM("Swimming lengths", Mode.SWIM, ExerciseType.AEROBIC, met("5.8", "9.8")),
  WATER("Exercise in water", Mode.OTHER, ExerciseType.AEROBIC, met("5.3", "5.3")),
  STAIRS(
      "Climbing stairs",
      Mode.STAIRS,
      ExerciseType.AEROBIC,
      met("4.0", "8.8"),
      minding(Condition.JOINTS),
      Contraindication.STEPS),
  BENCH(
      "Stepping on a bench",
      Mode.STAIRS,
      ExerciseType.AEROBIC,
      met("5.5", "9.5"),
      minding(Condition.JOINTS),
      Contraindication.STEPS),
  ROPE(
      "Skipping rope",
      Mode.OTHER,
      ExerciseType.AEROBIC,
      met("8.8", "12.3"),
      minding(Condition.JOINTS, Condition.FALLS, Condition.PREGNANCY)),
  DANCE(
      "Dance to music",
      Mode.OTHER,
      ExerciseType.AEROBIC,
      met("5.0", "7.3"),
      minding(Condition.JOINTS)),
  CIRCUIT(
      "Body-weight circuit",
      Mode.OTHER,
      ExerciseType.ISOTONIC,
      met("3.8", "8.0"),
      minding(Condition.HIGH_BLOOD_PRESSURE)),
  WEIGHTS(
      "Lifting weights",
      Mode.OTHER,
      ExerciseType.ISOTONIC,
      met("3.5", "6.0"),
      minding(Condition.HIGH_BLOOD_PRESSURE)),
  SET_SPEED(
      "Machine at a set speed",
      Mode.OTHER,
      ExerciseType.ISOKINETIC,
      Optional.empty(),
      minding(Condition.JOINTS)),
  HOLDS(
      "Holds against a wall or floor",
      Mode.OTHER,
      ExerciseType.ISOMETRIC,
      Optional.empty(),
      minding(),
      Contraindication.LONG_HOLDS);

  /**
   * What it usually costs.
   *
   * @param low MET
   * @param high MET
   */
  public record Cost(BigDecimal low, BigDecimal high) {
    /** Where it comes from. */
    public static final Source SOURCE = Source.AINSWORTH;
  }

  private final String displayName;
  private final Mode mode;
  private final ExerciseType type;
  private final Optional<Cost> cost;
  private final Set<Condition> mind;
  private final Set<Contraindication> is;

  Exercise(String displayName, Mode mode, ExerciseType type, Optional<Cost> cost) {
    this(displayName, mode, type, cost, minding());
  }

  Exercise(
      String displayName,
      Mode mode,
      ExerciseType type,
      Optional<Cost> cost,
      Set<Condition> mind,
      Contraindication... is) {
    this.displayName = displayName;
    this.mode = mode;
    this.type = type;
    this.cost = cost;
    this.mind = mind;
    this.is = Set.of(is);
  }

  private static Optional<Cost> met(String low, String high) {
    return Optional.of(new Cost(new BigDecimal(low), new BigDecimal(high)));
  }

  private static Set<Condition> minding(Condition... conditions) {
    return Set.of(conditions);
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** What the body does: its maximum is that of this mode. */
  public Mode mode() {
    return mode;
  }

  /** What kind of work it is. */
  public ExerciseType type() {
    return type;
  }

  /** What it usually costs; empty where no table says. */
  public Optional<Cost> cost() {
    return cost;
  }

  /** With which conditions it is done with care. */
  public List<Condition> mind() {
    return mind.stream().sorted().toList();
  }

  /** Which kinds of work that a context forbids it is. */
  public List<Contraindication> is() {
    return is.stream().sorted().toList();
  }

  /** Why it is not for someone, as a clause; empty where it is. */
  public Optional<String> notFor(Scope scope) {
    Permission permission = scope.permission();
    if (type == ExerciseType.ANAEROBIC && !permission.vigorous()) {
      return Optional.of(
          "is vigorous, and that is not allowed for this client. "
              + permission.notVigorousBecause());
    }
    return is().stream()
        .filter(scope.effects().leaveOut()::contains)
        .findFirst()
        .map(what -> "is left out for this client: " + what.displayName());
  }

  /** What of someone's health is to be minded with it; empty where nothing is. */
  public Optional<String> mindFor(Person person) {
    String words =
        mind().stream()
            .filter(person::has)
            .map(condition -> condition.displayName().toLowerCase(Locale.ROOT))
            .collect(Collectors.joining("; "));
    return words.isEmpty() ? Optional.empty() : Optional.of(words);
  }
}
