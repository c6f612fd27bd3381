package app.korvel.server.methods;

import app.korvel.core.fieldtest.FieldTestProtocol;
import app.korvel.core.maximum.Equation;
import app.korvel.core.maximum.Equations;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Formula;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Principle;
import app.korvel.core.outline.WorkType;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Context;
import app.korvel.core.screening.Decision;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Symptom;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Scheme;
import app.korvel.server.outline.OutlineViews.ExerciseRow;
import app.korvel.server.web.Words;
import app.korvel.server.zone.ZoneViews;
import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is computed and judged, as it is sent. */
final class MethodsViews {
  private MethodsViews() {}

  record MethodsView(
      List<EquationRow> equations,
      List<FormulaRow> formulas,
      List<SchemeRow> schemes,
      List<ScaleRow> scales,
      List<WindowRow> protocols,
      List<ActivityRow> activities,
      List<DecisionRow> decisions,
      List<ConditionRow> conditions,
      List<SymptomRow> symptoms,
      List<MedicineRow> medicines,
      List<ContextRow> contexts,
      List<GoalRow> goals,
      List<WorkTypeRow> workTypes,
      List<ExerciseRow> exercises,
      List<PrincipleRow> principles,
      List<UsualRow> usualResting,
      List<GradeRow> grades,
      List<PracticeRow> practiceLevels,
      List<KindRow> maximumKinds,
      List<FieldTestMethod> fieldTests,
      List<ThresholdRow> thresholds,
      List<LimitRow> limits,
      List<FindingRow> findings) {}

  record FormulaRow(
      String id, String name, String formula, String error, String serves, String source) {
    static FormulaRow of(Formula formula) {
      return new FormulaRow(
          formula.id(),
          formula.displayName(),
          formula.formula(),
          formula.error(),
          formula.serves(),
          formula.source().citation());
    }
  }

  record DecisionRow(
      String id,
      String who,
      String decision,
      Allows allows,
      Decision.ClearanceNeeded clearanceNeeded,
      String source) {
    static DecisionRow of(Decision decision) {
      return new DecisionRow(
          "decision-" + Words.of(decision),
          decision.who(),
          decision.sentence(),
          decision.allows(),
          decision.clearanceNeeded(),
          Source.ACSM_SCREENING.citation());
    }
  }

  record ConditionRow(String id, String name, boolean knownDisease, String source) {
    static ConditionRow of(Condition condition) {
      return new ConditionRow(
          "condition-" + Words.of(condition),
          condition.displayName(),
          condition.knownDisease(),
          Source.ACSM_SCREENING.citation());
    }
  }

  record SymptomRow(String id, String name, String source) {
    static SymptomRow of(Symptom symptom) {
      return new SymptomRow(
          "symptom-" + Words.of(symptom), symptom.displayName(), Source.ACSM_SCREENING.citation());
    }
  }

  /**
   * A class of medicines.
   *
   * @param tells the disease that counts as known where one is taken; empty where none does
   */
  record MedicineRow(
      String id,
      String name,
      String meaning,
      String tells,
      List<String> genericNames,
      String source) {
    static MedicineRow of(MedicineClass medicine) {
      return new MedicineRow(
          "medicine-" + Words.of(medicine),
          medicine.displayName(),
          medicine.meaning(),
          medicine.tells().map(Condition::displayName).orElse(""),
          medicine.genericNames(),
          Source.PRACTICE.citation());
    }
  }

  record ContextRow(
      String id,
      String name,
      String because,
      String steering,
      int highestEffort,
      int warmUpMinutes,
      String source) {
    static ContextRow of(Context context) {
      return new ContextRow(
          "context-" + Words.of(context),
          context.words(),
          context.because(),
          context.effects().steering().displayName(),
          context.effects().highestEffort(),
          context.effects().warmUpMinutes(),
          Source.PRACTICE.citation());
    }
  }

  record GoalRow(
      String id, String name, int lowPercent, int highPercent, String meaning, String source) {
    static GoalRow of(Goal goal) {
      return new GoalRow(
          Words.of(goal),
          goal.displayName(),
          goal.lowPercent(),
          goal.highPercent(),
          goal.meaning(),
          Source.PRACTICE.citation());
    }
  }

  record WorkTypeRow(
      String id, String name, String how, int fewestMinutes, int highestPercent, String source) {
    static WorkTypeRow of(WorkType type) {
      return new WorkTypeRow(
          Words.of(type),
          type.displayName(),
          type.how(),
          type.fewestMinutes(),
          type.highestPercent(),
          Source.PRACTICE.citation());
    }
  }

  record PrincipleRow(String id, String name, String says, String source) {
    static PrincipleRow of(Principle principle) {
      return new PrincipleRow(
          principle.id(), principle.displayName(), principle.says(), principle.source().citation());
    }
  }

  record UsualRow(int fromAge, int lowBpm, int highBpm, String source) {
    static UsualRow of(UsualResting usual) {
      return new UsualRow(
          usual.fromAge(), usual.lowest(), usual.highest(), Source.PRACTICE.citation());
    }
  }

  record GradeRow(String id, String name, String meaning, String source) {
    static GradeRow of(Grade grade) {
      return new GradeRow(
          "grade-" + Words.of(grade), Words.of(grade), grade.meaning(), Source.PRACTICE.citation());
    }
  }

  record PracticeRow(
      String id,
      String name,
      int lowestBpm,
      int highestBpm,
      boolean asksRhythm,
      int windowSeconds,
      String source) {
    static PracticeRow of(PracticeLevel level) {
      return new PracticeRow(
          "practice-" + Words.of(level),
          level.number() + " " + level.displayName(),
          level.lowestBpm(),
          level.highestBpm(),
          level.asksRhythm(),
          level.window().seconds(),
          Source.KORVEL.citation());
    }
  }

  record KindRow(
      String id,
      String name,
      String meaning,
      int goodBpm,
      int fairBpm,
      int poorBpm,
      String source) {
    static KindRow of(MaximumKind kind) {
      return new KindRow(
          kind.id(),
          kind.displayName(),
          kind.meaning(),
          kind.standardErrorBpm(Grade.GOOD),
          kind.standardErrorBpm(Grade.FAIR),
          kind.standardErrorBpm(Grade.POOR),
          Source.KORVEL.citation());
    }
  }

  record FieldTestMethod(
      String id, String name, String summary, String work, String question, String source) {
    static FieldTestMethod of(FieldTestProtocol protocol) {
      return new FieldTestMethod(
          protocol.id(),
          protocol.displayName(),
          protocol.summary(),
          protocol.work(),
          protocol.question(),
          Source.PRACTICE.citation());
    }
  }

  record ThresholdRow(
      String id, String name, BigDecimal value, String unit, String meaning, String source) {
    static ThresholdRow of(Threshold threshold) {
      return new ThresholdRow(
          threshold.id(),
          threshold.id().replace('-', ' '),
          threshold.value(),
          threshold.unit(),
          threshold.meaning(),
          threshold.source().citation());
    }
  }

  /** An equation; {@code forAClass} where the age alone is enough and no condition is asked for. */
  record EquationRow(
      String id,
      String name,
      String formula,
      String population,
      int error,
      String errorNote,
      String serves,
      boolean forAClass,
      String source) {
    static EquationRow of(Equation equation) {
      return new EquationRow(
          equation.id(),
          equation.name(),
          equation.formula(),
          equation.population(),
          equation.standardErrorBpm(),
          equation.errorNote(),
          equation.serves(),
          Equations.FOR_A_CLASS.contains(equation),
          equation.source().citation());
    }
  }

  /** A band; {@code rpe20} where its zone system ties an effort to it. */
  record SchemeBand(
      String id, String name, BigDecimal low, BigDecimal high, @Nullable List<Integer> rpe20) {}

  record SchemeRow(
      String id,
      String name,
      Scheme.Kind kind,
      Basis basis,
      List<SchemeBand> bands,
      String serves,
      String source) {
    static SchemeRow of(Scheme scheme) {
      return new SchemeRow(
          scheme.id(),
          scheme.name(),
          scheme.kind(),
          scheme.basis(),
          scheme.bands().stream()
              .map(
                  band ->
                      new SchemeBand(
                          band.id(),
                          band.name(),
                          band.low(),
                          band.high(),
                          band.rpe20().map(ZoneViews::span).orElse(null)))
              .toList(),
          scheme.serves(),
          scheme.source().citation());
    }
  }

  record ScaleRow(
      int level,
      String name,
      String voice,
      String breathing,
      String like,
      List<Integer> rpe20,
      List<Integer> rpe10Ratio,
      List<Integer> rpe10Linear,
      String source) {
    static ScaleRow of(Level level) {
      return new ScaleRow(
          level.number(),
          level.displayName(),
          level.voice(),
          level.breathing(),
          level.like(),
          ZoneViews.span(level.rpe20()),
          ZoneViews.span(level.rpe10(RpeFamily.RATIO)),
          ZoneViews.span(level.rpe10(RpeFamily.LINEAR)),
          Source.BORG.citation() + "; " + Source.TALK.citation());
    }
  }

  record WindowRow(int seconds, int multiplyBy, int uncertaintyBpm, String use, String source) {
    static WindowRow of(CountWindow window) {
      return new WindowRow(
          window.seconds(),
          window.multiplier(),
          window.multiplier(),
          window.use(),
          Source.ARITHMETIC.citation());
    }
  }

  record ActivityRow(Activity activity, String definition, String source) {
    static ActivityRow of(Activity activity) {
      return new ActivityRow(activity, activity.definition(), Source.ACSM_SCREENING.citation());
    }
  }

  record LimitRow(String id, int lowest, int highest, String unit, String source) {
    static LimitRow of(Limit limit) {
      return new LimitRow(
          Words.of(limit), limit.lowest(), limit.highest(), limit.unit(), Source.KORVEL.citation());
    }
  }

  record FindingRow(
      String room, String code, Severity severity, String message, String because, String source) {
    static FindingRow of(FindingKind kind) {
      return new FindingRow(
          kind.room(),
          kind.code(),
          kind.wording().severity(),
          kind.messageOutline(),
          kind.becauseOutline(),
          kind.wording().source().citation());
    }
  }
}
