package app.korvel.server.methods;

import app.korvel.core.Findings;
import app.korvel.core.fieldtest.FieldTestProtocol;
import app.korvel.core.maximum.Equations;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.measure.Formula;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Principle;
import app.korvel.core.outline.WorkType;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Context;
import app.korvel.core.screening.Decision;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Symptom;
import app.korvel.core.zone.Level;
import app.korvel.server.methods.MethodsViews.ActivityRow;
import app.korvel.server.methods.MethodsViews.ConditionRow;
import app.korvel.server.methods.MethodsViews.ContextRow;
import app.korvel.server.methods.MethodsViews.DecisionRow;
import app.korvel.server.methods.MethodsViews.EquationRow;
import app.korvel.server.methods.MethodsViews.FieldTestMethod;
import app.korvel.server.methods.MethodsViews.FindingRow;
import app.korvel.server.methods.MethodsViews.FormulaRow;
import app.korvel.server.methods.MethodsViews.GoalRow;
import app.korvel.server.methods.MethodsViews.GradeRow;
import app.korvel.server.methods.MethodsViews.KindRow;
import app.korvel.server.methods.MethodsViews.LimitRow;
import app.korvel.server.methods.MethodsViews.MedicineRow;
import app.korvel.server.methods.MethodsViews.MethodsView;
import app.korvel.server.methods.MethodsViews.PracticeRow;
import app.korvel.server.methods.MethodsViews.PrincipleRow;
import app.korvel.server.methods.MethodsViews.ScaleRow;
import app.korvel.server.methods.MethodsViews.SchemeRow;
import app.korvel.server.methods.MethodsViews.SymptomRow;
import app.korvel.server.methods.MethodsViews.ThresholdRow;
import app.korvel.server.methods.MethodsViews.UsualRow;
import app.korvel.server.methods.MethodsViews.WindowRow;
import app.korvel.server.methods.MethodsViews.WorkTypeRow;
import app.korvel.server.outline.OutlineViews.ExerciseRow;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.SchemeCatalog;
import java.util.Arrays;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Everything that is computed and judged, with its source: read straight off the core's tables. */
@RestController
class MethodsController {
  private final Studio studio;

  MethodsController(Studio studio) {
    this.studio = studio;
  }

  @GetMapping("/api/methods")
  MethodsView methods() {
    return new MethodsView(
        Equations.ALL.stream().map(EquationRow::of).toList(),
        Arrays.stream(Formula.values()).map(FormulaRow::of).toList(),
        new SchemeCatalog(studio).all().stream().map(SchemeRow::of).toList(),
        Arrays.stream(Level.values()).map(ScaleRow::of).toList(),
        Arrays.stream(CountWindow.values()).map(WindowRow::of).toList(),
        Arrays.stream(Activity.values()).map(ActivityRow::of).toList(),
        Arrays.stream(Decision.values()).map(DecisionRow::of).toList(),
        Arrays.stream(Condition.values()).map(ConditionRow::of).toList(),
        Arrays.stream(Symptom.values()).map(SymptomRow::of).toList(),
        Arrays.stream(MedicineClass.values()).map(MedicineRow::of).toList(),
        Arrays.stream(Context.values()).map(ContextRow::of).toList(),
        Arrays.stream(Goal.values()).map(GoalRow::of).toList(),
        Arrays.stream(WorkType.values()).map(WorkTypeRow::of).toList(),
        ExerciseRow.all(),
        Arrays.stream(Principle.values()).map(PrincipleRow::of).toList(),
        UsualResting.ALL.stream().map(UsualRow::of).toList(),
        Arrays.stream(Grade.values()).map(GradeRow::of).toList(),
        Arrays.stream(PracticeLevel.values()).map(PracticeRow::of).toList(),
        Arrays.stream(MaximumKind.values()).map(KindRow::of).toList(),
        Arrays.stream(FieldTestProtocol.values()).map(FieldTestMethod::of).toList(),
        Arrays.stream(Threshold.values()).map(ThresholdRow::of).toList(),
        Arrays.stream(Limit.values()).map(LimitRow::of).toList(),
        Findings.ALL.stream().map(FindingRow::of).toList());
  }
}
