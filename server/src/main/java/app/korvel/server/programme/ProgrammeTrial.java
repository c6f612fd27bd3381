package app.korvel.server.programme;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.Start;
import app.korvel.core.programme.Availability;
import app.korvel.core.programme.MinutesDone;
import app.korvel.core.programme.Pace;
import app.korvel.core.programme.Plan;
import app.korvel.core.programme.Programme;
import app.korvel.core.programme.ProgrammeGoal;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Person.Health;
import app.korvel.core.screening.Scope;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.RpeFamily;
import app.korvel.server.programme.ProgrammeViews.ProgrammeTrialRequest;
import app.korvel.server.programme.ProgrammeViews.ProgrammeView;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A programme for nobody in particular, laid out from what is told. */
final class ProgrammeTrial {
  private ProgrammeTrial() {}

  /** The programme with no client. */
  static ProgrammeView layOut(ProgrammeTrialRequest request, RpeFamily family) {
    Person person =
        Person.of(
            request.age(),
            Sex.NOT_GIVEN,
            request.activity(),
            Health.of(
                Boolean.TRUE.equals(request.heartCondition()),
                Boolean.TRUE.equals(request.heartFailure()),
                Boolean.TRUE.equals(request.betaBlocker())));
    Scope scope = Scope.unscreened(person);
    Set<DayOfWeek> days = Set.copyOf(request.weekdays());
    Mode mode = request.mode() == null ? Mode.RUN : request.mode();
    Start start =
        Start.of(scope, days.size(), request.goal(), Optional.ofNullable(request.approach()), mode);
    Fitt usual = start.parts();
    Fitt first =
        new Fitt(
            usual.goal(),
            usual.approach(),
            or(request.lowPercent(), usual.lowPercent()),
            or(request.highPercent(), usual.highPercent()),
            or(request.minutes(), usual.minutes()),
            or(request.daysAWeek(), usual.days()),
            request.type() == null ? usual.type() : request.type(),
            mode);
    first.check(scope);
    ProgrammeGoal aims =
        ProgrammeGoal.usual(first, person, Ceiling.of(person, scope.permission()), days.size());
    Programme programme =
        Programme.of(
            new Plan(
                first,
                new ProgrammeGoal(
                    aims.highPercent(),
                    or(request.goalMinutes(), aims.minutes()),
                    or(request.goalDays(), aims.days())),
                Pace.of(
                    person,
                    first,
                    or(request.weeksBefore(), 0),
                    or(request.lightWeeks(), Threshold.CAUTIOUS_WEEKS.whole())),
                Bounds.of(scope),
                request.startsOn(),
                request.endsOn(),
                days));
    List<Finding> findings = new ArrayList<>(scope.permission().findings());
    findings.addAll(start.findings());
    scope.effects().kinds().forEach(kind -> findings.add(kind.of()));
    boolean rates =
        request.restingBpm() != null
            && request.maximumBpm() != null
            && scope.effects().steering() != IntensityGuide.EFFORT_AND_TALK_ONLY;
    ExertionLimits runner =
        new ExertionLimits(
            rates
                ? Optional.of(Reserve.of(request.restingBpm(), request.maximumBpm()))
                : Optional.empty(),
            Optional.ofNullable(request.capBpm()).map(bpm -> new Cap(bpm, "the cap given")),
            scope.effects().highestEffort(),
            family,
            Bounds.of(scope));
    return ProgrammeView.of(
        programme,
        null,
        null,
        person,
        any -> runner,
        any -> Optional.empty(),
        MinutesDone.NONE,
        Availability.FREE,
        findings);
  }

  private static int or(@Nullable Integer given, int usual) {
    return given == null ? usual : given;
  }
}
