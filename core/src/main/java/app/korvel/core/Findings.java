package app.korvel.core;

import app.korvel.core.assessment.AssessmentFinding;
import app.korvel.core.checkin.CheckInFinding;
import app.korvel.core.effort.EffortFinding;
import app.korvel.core.effort.WitnessFinding;
import app.korvel.core.fieldtest.FieldTestFinding;
import app.korvel.core.forecast.ForecastFinding;
import app.korvel.core.live.LiveFinding;
import app.korvel.core.maximum.MaximumFinding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.outline.OutlineFinding;
import app.korvel.core.prescription.PrescriptionFinding;
import app.korvel.core.programme.ProgrammeFinding;
import app.korvel.core.progress.ProgressFinding;
import app.korvel.core.pulse.PulseFinding;
import app.korvel.core.recovery.RecoveryFinding;
import app.korvel.core.screening.ScreeningFinding;
import app.korvel.core.session.SessionFinding;
import app.korvel.core.talk.LearnedFinding;
import app.korvel.core.trace.TraceFinding;
import app.korvel.core.zone.ZoneFinding;
import java.util.List;
import java.util.stream.Stream;

/** Every finding that can be made, in the order of the rooms. */
public final class Findings {
  private Findings() {}

  /** All of them, each with a code of its own. */
  public static final List<FindingKind> ALL =
      Stream.<FindingKind[]>of(
              ScreeningFinding.values(),
              PulseFinding.values(),
              CheckInFinding.values(),
              MaximumFinding.values(),
              TraceFinding.values(),
              FieldTestFinding.values(),
              ZoneFinding.values(),
              EffortFinding.values(),
              WitnessFinding.values(),
              RecoveryFinding.values(),
              LearnedFinding.values(),
              OutlineFinding.values(),
              PrescriptionFinding.values(),
              ProgrammeFinding.values(),
              LiveFinding.values(),
              AssessmentFinding.values(),
              SessionFinding.values(),
              ProgressFinding.values(),
              ForecastFinding.values())
          .flatMap(Stream::of)
          .toList();
}
