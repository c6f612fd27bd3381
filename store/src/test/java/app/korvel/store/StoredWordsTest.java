package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.assessment.StepBench;
import app.korvel.core.assessment.TestEvent;
import app.korvel.core.assessment.TestKind;
import app.korvel.core.assessment.TestPlan;
import app.korvel.core.assessment.TestPosture;
import app.korvel.core.assessment.TestTarget;
import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.Glucose;
import app.korvel.core.checkin.Ketones;
import app.korvel.core.checkin.Outcome;
import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.fieldtest.FieldTestEvent;
import app.korvel.core.fieldtest.FieldTestProtocol;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Severity;
import app.korvel.core.outline.StepKind;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.programme.Progression;
import app.korvel.core.programme.WeekDecision;
import app.korvel.core.pulse.Confounder;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.PulseSite;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.Strength;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Equipment;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.StopSign;
import app.korvel.core.screening.Symptom;
import app.korvel.core.screening.Topic;
import app.korvel.core.screening.WrittenLimit;
import app.korvel.core.session.LoggedRate;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.RpeFamily;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * The words of the core that stand in columns and documents. One that is renamed or taken away
 * could not be read any more: it needs a migration, and a new one is added to the list.
 */
class StoredWordsTest {
  private static final List<Class<? extends Enum<?>>> STORED =
      List.of(
          Activity.class,
          Allows.class,
          Approach.class,
          CheckIn.SelfReport.class,
          Condition.class,
          CountWindow.class,
          DayOfWeek.class,
          Confounder.class,
          Equipment.class,
          FieldTestEvent.Kind.class,
          FieldTestProtocol.class,
          Severity.class,
          Glucose.Unit.class,
          EffortContext.class,
          Goal.class,
          Grade.class,
          Ketones.class,
          Level.class,
          LiveEvent.Reason.class,
          LiveEvent.Kind.class,
          LoggedRate.Kind.class,
          MaximumKind.class,
          MedicineClass.class,
          Mode.class,
          Outcome.class,
          Posture.class,
          PracticeLevel.class,
          Prescription.Status.class,
          Progression.Kind.class,
          PulseSite.class,
          PulseSource.class,
          RateSource.class,
          RecoveryPosture.class,
          Rhythm.class,
          RpeFamily.class,
          Sex.class,
          IntensityGuide.class,
          StepKind.class,
          Strength.class,
          StopSign.class,
          Symptom.class,
          Topic.class,
          WeekDecision.Taken.class,
          WorkType.class,
          WrittenLimit.Kind.class,
          StepBench.class,
          TestEvent.Kind.class,
          TestEvent.Reason.class,
          TestKind.class,
          TestPlan.Activity.class,
          TestPosture.class,
          TestTarget.Kind.class);

  private static String words() {
    return STORED.stream()
        .map(
            type ->
                type.getName().replaceAll(".*\\.", "").replace('$', '.')
                    + ": "
                    + Arrays.stream(type.getEnumConstants())
                        .map(Enum::name)
                        .collect(Collectors.joining(" ")))
        .collect(Collectors.joining("\n", "", "\n"));
  }

  @Test
  void everyWordThatIsStoredIsThere() throws IOException {
    try (InputStream list = StoredWordsTest.class.getResourceAsStream("stored-words.txt")) {
      String expected = new String(list.readAllBytes(), StandardCharsets.UTF_8);
      assertThat(words()).isEqualTo(expected);
    }
  }
}
