package app.korvel.core.maximum;

import static app.korvel.core.maximum.Applicability.Requirement.ACTIVE;
import static app.korvel.core.maximum.Applicability.Requirement.ADULT;
import static app.korvel.core.maximum.Applicability.Requirement.FEMALE;
import static app.korvel.core.maximum.Applicability.Requirement.HEART_CONDITION;
import static app.korvel.core.maximum.Applicability.Requirement.HEART_FAILURE;
import static app.korvel.core.maximum.Applicability.Requirement.NO_BETA_BLOCKER;
import static app.korvel.core.maximum.Applicability.Requirement.NO_HEART_CONDITION;
import static app.korvel.core.maximum.Applicability.Requirement.NO_HEART_FAILURE;
import static app.korvel.core.maximum.Applicability.Requirement.ON_BETA_BLOCKER;

import app.korvel.core.maximum.Applicability.Requirement;
import app.korvel.core.measure.Source;
import java.math.BigDecimal;
import java.util.List;

/** The table of equations, in the order in which they are shown. */
public final class Equations {
  private Equations() {}

  static final String FOX = "fox-220";
  static final String TANAKA = "tanaka-208";
  static final String BRAWNER = "brawner-164";
  static final String KETEYIAN = "keteyian-hf";
  static final String MINUS_30 = "beta-minus-30";

  /** Every equation. */
  public static final List<Equation> ALL =
      List.of(
          byAge(
              TANAKA,
              "208 − 0.7 × age",
              "208",
              "0.7",
              "Healthy adults of both sexes; many studies taken together",
              10,
              "",
              "The default for adults, and for want of a better one under 18.",
              List.of(NO_HEART_FAILURE, NO_BETA_BLOCKER),
              Source.TANAKA),
          byAge(
              FOX,
              "220 − age",
              "220",
              "1",
              "The classroom rule; runs high under about 40 and low over it",
              12,
              "",
              "To read older records and devices by. The cautious one only above age 40.",
              List.of(NO_HEART_FAILURE, NO_BETA_BLOCKER),
              Source.FOX),
          byAge(
              "gellish-207",
              "207 − 0.7 × age",
              "207",
              "0.7",
              "Adults followed over years; also published as 206.9 − 0.67 × age",
              10,
              "",
              "Healthy adults; beside the default.",
              List.of(NO_HEART_FAILURE, NO_BETA_BLOCKER, NO_HEART_CONDITION, ADULT),
              Source.GELLISH),
          byAge(
              "nes-211",
              "211 − 0.64 × age",
              "211",
              "0.64",
              "Healthy adults of very different fitness",
              11,
              "",
              "Healthy adults, beside the default; falls more slowly with age.",
              List.of(NO_HEART_FAILURE, NO_BETA_BLOCKER, NO_HEART_CONDITION, ADULT),
              Source.NES),
          byAge(
              "lach-202",
              "202.5 − 0.53 × age",
              "202.5",
              "0.53",
              "Active people over a wide span of ages, no heart condition",
              10,
              "The error was not published as such; 10 is typical.",
              "Active people of any age; falls slowest with age.",
              List.of(NO_HEART_FAILURE, NO_BETA_BLOCKER, NO_HEART_CONDITION, ACTIVE),
              Source.LACH),
          byAge(
              "gulati-206",
              "206 − 0.88 × age",
              "206",
              "0.88",
              "Women without symptoms",
              12,
              "",
              "Women without a heart condition; beside the default.",
              List.of(NO_HEART_FAILURE, NO_BETA_BLOCKER, NO_HEART_CONDITION, ADULT, FEMALE),
              Source.GULATI),
          byAge(
              BRAWNER,
              "164 − 0.7 × age",
              "164",
              "0.7",
              "Coronary disease, on beta-blockers",
              18,
              "",
              "The default with a heart condition on beta-blockers.",
              List.of(NO_HEART_FAILURE, HEART_CONDITION, ON_BETA_BLOCKER),
              Source.BRAWNER),
          new Equation(
              KETEYIAN,
              "119 + 0.5 × resting − 0.5 × age",
              "119 + 0.5 × resting − 0.5 × age, less 5 on a cycle",
              new BigDecimal("119"),
              new BigDecimal("0.5"),
              new BigDecimal("0.5"),
              0,
              5,
              "Heart failure, on beta-blockers; for information only",
              18,
              "For information only; never used to prescribe.",
              "To be read beside what the cardiac team says; never used to prescribe.",
              List.of(HEART_FAILURE, ON_BETA_BLOCKER),
              Source.KETEYIAN),
          new Equation(
              MINUS_30,
              "208 − 0.7 × age − 30",
              "208 − 0.7 × age − 30",
              new BigDecimal("208"),
              new BigDecimal("0.7"),
              BigDecimal.ZERO,
              30,
              0,
              "Rule of thumb on beta-blockers: an age equation less 30",
              20,
              "Rough.",
              "The default on beta-blockers without a heart condition, for want of a measured one.",
              List.of(NO_HEART_FAILURE, ON_BETA_BLOCKER),
              Source.PRACTICE));

  /** Those that ask for the age alone and are made for people without a condition. */
  public static final List<Equation> FOR_A_CLASS =
      ALL.stream().filter(equation -> equation.requirements().contains(NO_BETA_BLOCKER)).toList();

  private static Equation byAge(
      String id,
      String formula,
      String constant,
      String perYear,
      String population,
      int standardErrorBpm,
      String errorNote,
      String serves,
      List<Requirement> requirements,
      Source source) {
    return new Equation(
        id,
        formula,
        formula,
        new BigDecimal(constant),
        new BigDecimal(perYear),
        BigDecimal.ZERO,
        0,
        0,
        population,
        standardErrorBpm,
        errorNote,
        serves,
        requirements,
        source);
  }
}
