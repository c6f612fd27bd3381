package app.korvel.server.programme;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.Parts;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Prescription.RateBasis;
import app.korvel.core.prescription.Standing;
import app.korvel.core.prescription.Start;
import app.korvel.core.programme.Aims;
import app.korvel.core.programme.Pace;
import app.korvel.core.programme.Plan;
import app.korvel.core.programme.Programme;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Person.Health;
import app.korvel.core.screening.Scope;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.Steering;
import app.korvel.core.zone.Reserve;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.outline.OutlineViews.Runner;
import app.korvel.server.programme.ProgrammeViews.PlanRequest;
import app.korvel.server.programme.ProgrammeViews.PlanView;
import app.korvel.server.programme.ProgrammeViews.ProgrammeSheet;
import app.korvel.server.programme.ProgrammeViews.ProgrammeTrialRequest;
import app.korvel.server.programme.ProgrammeViews.ProgrammeView;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.studio.StudioSettings;
import app.korvel.server.web.FindingView;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.ProgrammeRepository;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SavedProgramme;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Brings a client's prescription and the days they have together into a programme. */
@Component
class ProgrammeDesk {
  private static final int USUAL_WEEKS = 12;

  private final PrescriptionRepository prescriptions;
  private final ProgrammeRepository programmes;
  private final ClientRecords records;
  private final StudioSettings settings;
  private final StudioClock clock;

  ProgrammeDesk(
      PrescriptionRepository prescriptions,
      ProgrammeRepository programmes,
      ClientRecords records,
      StudioSettings settings,
      StudioClock clock) {
    this.prescriptions = prescriptions;
    this.programmes = programmes;
    this.records = records;
    this.settings = settings;
    this.clock = clock;
  }

  /** A client with the prescription that leads, and where it stands. */
  record Led(Client client, Screening screening, List<SavedPrescription> versions) {
    Optional<SavedPrescription> current() {
      return versions.stream().findFirst();
    }

    private Standing standing(SavedPrescription saved) {
      return Standing.of(saved.prescription(), saved.recordedAt(), screening);
    }

    /** Why nothing can be laid out; empty where it can. */
    List<Finding> why() {
      if (current().isEmpty()) {
        return List.of(FindingKind.NO_PROGRAMME_YET.of());
      }
      Standing standing = standing(current().get());
      return switch (standing.state()) {
        case ISSUED, RATE_SUSPENDED -> List.of();
        case DRAFT ->
            Stream.concat(
                    Stream.of(FindingKind.PROGRAMME_NOT_LED.of("a draft")),
                    screening.permission().findings().stream())
                .toList();
        case SUSPENDED ->
            Stream.concat(
                    Stream.of(FindingKind.PROGRAMME_NOT_LED.of("suspended")),
                    standing.findings().stream())
                .toList();
      };
    }

    /** The prescription that leads. */
    SavedPrescription leading() {
      if (!why().isEmpty()) {
        throw RefusedException.because(why());
      }
      return current().orElseThrow();
    }
  }

  Led led(Client client) {
    return new Led(client, records.screening(client), prescriptions.of(client.id()));
  }

  private Plan plan(Led led, LocalDate startsOn, LocalDate endsOn, Set<DayOfWeek> days) {
    Parts first = led.leading().prescription().parts();
    Scope scope = led.screening().scope();
    Ceiling ceiling = Ceiling.of(scope.person(), scope.permission());
    return new Plan(
        first,
        Aims.usual(first, scope.person(), ceiling, days.size()),
        Pace.of(
            scope.person(), first, weeksBefore(led, startsOn), Threshold.CAUTIOUS_WEEKS.whole()),
        Bounds.of(scope),
        startsOn,
        endsOn,
        days);
  }

  /** Whole weeks since the first prescription was issued. */
  private static int weeksBefore(Led led, LocalDate startsOn) {
    return led.versions().stream()
        .map(SavedPrescription::prescription)
        .filter(made -> made.status() == Prescription.Status.ISSUED)
        .map(Prescription::date)
        .min(Comparator.naturalOrder())
        .map(date -> (int) Math.max(0, ChronoUnit.WEEKS.between(date, startsOn)))
        .orElse(0);
  }

  /** Twelve weeks from Monday on, on the days they named; on any where they named none. */
  private Plan proposal(Led led) {
    LocalDate monday = clock.today().with(TemporalAdjusters.nextOrSame(DayOfWeek.MONDAY));
    Set<DayOfWeek> named = led.screening().answers().days();
    return plan(
        led,
        monday,
        monday.plusWeeks(USUAL_WEEKS).minusDays(1),
        named.isEmpty() ? EnumSet.allOf(DayOfWeek.class) : named);
  }

  /**
   * Lays out what was asked for.
   *
   * @throws InvalidValueException when it cannot be laid out
   * @throws RefusedException when nothing can be, as things stand
   */
  Programme layOut(Led led, PlanRequest request) {
    Plan usual = plan(led, request.startsOn(), request.endsOn(), Set.copyOf(request.weekdays()));
    Pace pace = usual.pace();
    return Programme.of(
        new Plan(
            usual.first(),
            new Aims(usual.aims().highPercent(), request.goalMinutes(), request.goalDays()),
            request.lightWeeks() == null || pace.lightWeeks() == 0
                ? pace
                : new Pace(
                    pace.careful(), pace.weeksBefore(), pace.lighterWeeks(), request.lightWeeks()),
            usual.bounds(),
            usual.startsOn(),
            usual.endsOn(),
            usual.weekdays()));
  }

  /** The programme with no client. */
  ProgrammeView layOut(ProgrammeTrialRequest request) {
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
    Parts usual = start.parts();
    Parts first =
        new Parts(
            usual.goal(),
            usual.approach(),
            or(request.lowPercent(), usual.lowPercent()),
            or(request.highPercent(), usual.highPercent()),
            or(request.minutes(), usual.minutes()),
            or(request.daysAWeek(), usual.days()),
            request.type() == null ? usual.type() : request.type(),
            mode);
    first.check(scope);
    Aims aims = Aims.usual(first, person, Ceiling.of(person, scope.permission()), days.size());
    Programme programme =
        Programme.of(
            new Plan(
                first,
                new Aims(
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
            && scope.effects().steering() != Steering.EFFORT_AND_TALK_ONLY;
    Runner runner =
        new Runner(
            rates
                ? Optional.of(Reserve.of(request.restingBpm(), request.maximumBpm()))
                : Optional.empty(),
            Optional.ofNullable(request.capBpm()).map(bpm -> new Cap(bpm, "the cap given")),
            scope.effects().highestEffort(),
            settings.ways().family(),
            Bounds.of(scope));
    return ProgrammeView.of(programme, null, null, person, any -> runner, findings);
  }

  private static int or(@Nullable Integer given, int usual) {
    return given == null ? usual : given;
  }

  /** Everything a page of a client's programme shows. */
  ProgrammeSheet sheet(Client client) {
    Led led = led(client);
    List<Finding> why = led.why();
    return new ProgrammeSheet(
        FindingView.of(why),
        why.isEmpty() ? PlanView.of(proposal(led), led.screening().person()) : null,
        programmes.current(client.id()).map(saved -> view(led, saved)).orElse(null));
  }

  ProgrammeView view(Led led, SavedProgramme saved) {
    SavedPrescription from =
        led.versions().stream()
            .filter(each -> each.id().equals(saved.prescriptionId()))
            .findFirst()
            .orElseThrow();
    List<Finding> findings = new ArrayList<>(led.why());
    SavedPrescription current = led.current().orElseThrow();
    if (findings.isEmpty() && current.version() != from.version()) {
      findings.add(FindingKind.PROGRAMME_OF_OLDER.of(from.version(), current.version()));
    }
    saved
        .programme()
        .outOfBounds(Bounds.of(led.screening().scope()), clock.today())
        .ifPresent(findings::add);
    Standing standing = led.standing(from);
    findings.addAll(standing.findings().stream().filter(each -> !findings.contains(each)).toList());
    return view(led, saved.programme(), saved.version(), from, findings);
  }

  /** What was laid out and is not saved. */
  ProgrammeView view(Led led, Programme programme) {
    return view(led, programme, null, led.leading(), List.of());
  }

  private ProgrammeView view(
      Led led,
      Programme programme,
      @Nullable Integer version,
      SavedPrescription from,
      List<Finding> findings) {
    return ProgrammeView.of(
        programme,
        version,
        from.version(),
        led.screening().person(),
        mode -> runner(led, from, mode),
        findings);
  }

  /** In its own mode by the numbers of its day; in any other by today's. */
  private Runner runner(Led led, SavedPrescription from, Mode mode) {
    Prescription made = from.prescription();
    Groundwork ground = records.groundwork(led.client(), mode);
    Runner today = Runner.of(ground, settings.ways().family());
    if (!led.standing(from).ratesHold()) {
      return new Runner(
          Optional.empty(),
          Optional.empty(),
          today.highestEffort(),
          today.family(),
          today.bounds());
    }
    return mode != made.parts().mode()
        ? today
        : new Runner(
            made.basis().map(RateBasis::reserve),
            Stream.concat(made.cap().stream(), today.cap().stream())
                .min(Comparator.comparingInt(Cap::bpm)),
            today.highestEffort(),
            today.family(),
            today.bounds());
  }
}
