package app.korvel.core.zone;

import app.korvel.core.measure.Source;
import app.korvel.core.zone.Scheme.Band;
import app.korvel.core.zone.Scheme.Kind;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/** The table of the schemes that ship, the default first. */
public final class Schemes {
  private Schemes() {}

  /** Every scheme. */
  public static final List<Scheme> ALL =
      List.of(
          new Scheme(
              Scheme.DEFAULT_ID,
              "Voice ladder",
              Kind.LADDER,
              Basis.RESERVE,
              voiceBands(),
              "The default: what the voice can do needs no scale to be learned.",
              Source.TALK),
          new Scheme(
              "guideline-classes",
              "Guideline classes, of reserve",
              Kind.LADDER,
              Basis.RESERVE,
              ladder(
                  100,
                  from(0, "Very light"),
                  from(30, "Light"),
                  from(40, "Moderate"),
                  from(60, "Vigorous"),
                  from(90, "Near maximal")),
              "The classes in which weekly minutes are counted.",
              Source.GARBER),
          new Scheme(
              "guideline-classes-max",
              "Guideline classes, of maximum",
              Kind.LADDER,
              Basis.MAXIMUM,
              fromRest(
                  ladder(
                      100,
                      from(0, "Very light"),
                      from(57, "Light"),
                      from(64, "Moderate"),
                      from(77, "Vigorous"),
                      from(96, "Near maximal"))),
              "The same classes where no resting pulse is at hand.",
              Source.GARBER),
          new Scheme(
              "max-fifths",
              "Fifths of maximum",
              Kind.LADDER,
              Basis.MAXIMUM,
              ladder(
                  100,
                  from(50, "First fifth"),
                  from(60, "Second fifth"),
                  from(70, "Third fifth"),
                  from(80, "Fourth fifth"),
                  from(90, "Top fifth")),
              "Common in devices and classes: ten percent of maximum to a step.",
              Source.PRACTICE),
          new Scheme(
              "max-effort",
              "Maximum, tied to effort",
              Kind.LADDER,
              Basis.MAXIMUM,
              tied(
                  ladder(
                      100,
                      from(50, "Barely work"),
                      from(60, "Light work"),
                      from(70, "Solid work"),
                      from(80, "Hard work"),
                      from(95, "Everything")),
                  new int[][] {{6, 8}, {9, 12}, {13, 15}, {16, 18}, {19, 20}}),
              "Where rate and effort are written side by side: each step has its own effort.",
              Source.PRACTICE),
          new Scheme(
              "low-moderate-vigorous",
              "Low, moderate, vigorous",
              Kind.LADDER,
              Basis.RESERVE,
              ladder(80, from(30, "Low"), from(40, "Moderate"), from(60, "Vigorous")),
              "Three steps for general programmes.",
              Source.PRACTICE),
          new Scheme(
              "goal-ranges",
              "Ranges by goal",
              Kind.GOALS,
              Basis.RESERVE,
              List.of(
                  range("daily-activity", "Daily activity", 30, 40),
                  range("heart-cleared", "Cleared heart condition", 40, 70),
                  range("weight-fitness", "Weight and general fitness", 50, 70),
                  range("endurance", "Endurance", 70, 80),
                  range("intervals", "Competition intervals", 80, 90),
                  range("testing", "Testing only", 90, 100)),
              "Goals, not steps: they overlap. Intervals are held 1 to 2 min at a time.",
              Source.PRACTICE),
          new Scheme(
              "three-points",
              "Three rates",
              Kind.POINTS,
              Basis.RESERVE,
              List.of(
                  range("warm-up", "Warm-up", 65, 65),
                  range("steady", "Steady", 75, 75),
                  range("fitness", "Fitness", 85, 85)),
              "One rate to aim at for each part of a session.",
              Source.PRACTICE),
          new Scheme(
              "fitness-ladder",
              "By present fitness",
              Kind.GOALS,
              Basis.RESERVE,
              List.of(
                  range("none", "No activity yet", 30, 45),
                  range("little", "A little", 40, 55),
                  range("some", "Some", 55, 70),
                  range("regular", "Regular", 65, 80),
                  range("high", "High", 70, 85)),
              "One range for each present activity.",
              Source.PRACTICE),
          new Scheme(
              "single-point",
              "One rate by fitness",
              Kind.POINTS,
              Basis.RESERVE,
              List.of(
                  range("low", "Low", 60, 60),
                  range("fair", "Fair", 70, 70),
                  range("good", "Good", 80, 80),
                  range("elite", "Elite", 90, 90)),
              "One rate to aim at, by fitness.",
              Source.PRACTICE),
          new Scheme(
              "school-range",
              "Classroom range",
              Kind.GOALS,
              Basis.MAXIMUM,
              List.of(range("target", "Target", 70, 85)),
              "One range for lessons with children and teenagers.",
              Source.PRACTICE),
          new Scheme(
              "broad-range",
              "Broad range",
              Kind.GOALS,
              Basis.MAXIMUM,
              List.of(range("broad", "Broad", 60, 85), range("narrow", "Narrower", 65, 80)),
              "One wide range for mixed groups; a narrower one is also in use.",
              Source.PRACTICE),
          new Scheme(
              "rest-plus",
              "Above rest",
              Kind.GOALS,
              Basis.RESTING,
              List.of(range("early", "Early", 20, 30), range("later", "Later", 20, 40)),
              "Early, deconditioned or home programmes: beats above rest, no maximum needed.",
              Source.PRACTICE),
          new Scheme(
              "threshold-three",
              "Measured thresholds",
              Kind.LADDER,
              Basis.MEASURED,
              fromRest(
                  ladder(
                      3,
                      from(0, "Easy to talk"),
                      from(1, "Talk in pieces"),
                      from(2, "No talk left"))),
              "The client's own thresholds, from a talk-step test or a laboratory: no equation.",
              Source.TALK));

  private record From(int figure, String name) {}

  private static From from(int figure, String name) {
    return new From(figure, name);
  }

  /** Steps without gaps, from each edge to the next and the last one to {@code top}. */
  private static List<Band> ladder(int top, From... steps) {
    List<Band> bands = new ArrayList<>();
    for (int i = 0; i < steps.length; i++) {
      int high = i + 1 < steps.length ? steps[i + 1].figure : top;
      bands.add(range(idOf(steps[i].name), steps[i].name, steps[i].figure, high));
    }
    return bands;
  }

  private static List<Band> voiceBands() {
    return ladder(
        100,
        Arrays.stream(Level.values())
            .map(level -> from(level.fromPercent(), level.displayName()))
            .toArray(From[]::new));
  }

  /** The same bands, the first beginning at the resting rate. */
  private static List<Band> fromRest(List<Band> bands) {
    List<Band> result = new ArrayList<>(bands);
    result.set(0, bands.get(0).beginningAtRest());
    return result;
  }

  /** The same bands, each tied to an effort on 6–20. */
  private static List<Band> tied(List<Band> bands, int[][] efforts) {
    return IntStream.range(0, bands.size())
        .mapToObj(i -> bands.get(i).tiedTo(efforts[i][0], efforts[i][1]))
        .toList();
  }

  private static Band range(String id, String name, int low, int high) {
    return Band.of(id, name, BigDecimal.valueOf(low), BigDecimal.valueOf(high));
  }

  private static String idOf(String name) {
    return name.toLowerCase(Locale.ROOT).replace(' ', '-');
  }
}
