package app.korvel.server.programme;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.prescription.Parts;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Prescription.RateBasis;
import app.korvel.core.prescription.Standing;
import app.korvel.core.prescription.Start;
import app.korvel.core.programme.Agenda;
import app.korvel.core.programme.Aims;
import app.korvel.core.programme.Dose;
import app.korvel.core.programme.MinutesDone;
import app.korvel.core.programme.Pace;
import app.korvel.core.programme.Plan;
import app.korvel.core.programme.Programme;
import app.korvel.core.programme.Progression.Proposed;
import app.korvel.core.programme.WeekDecision;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Person.Health;
import app.korvel.core.screening.Scope;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.Steering;
import app.korvel.core.session.SessionLog;
import app.korvel.core.session.WeekReview;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.server.client.ClientHead;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.outline.OutlineViews.Runner;
import app.korvel.server.programme.ProgrammeViews.PlanRequest;
import app.korvel.server.programme.ProgrammeViews.PlanView;
import app.korvel.server.programme.ProgrammeViews.ProgrammeSheet;
import app.korvel.server.programme.ProgrammeViews.ProgrammeTrialRequest;
import app.korvel.server.programme.ProgrammeViews.ProgrammeView;
import app.korvel.server.programme.ProgrammeViews.ReviewView;
import app.korvel.server.programme.ProgrammeViews.WeekDecisionRequest;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.studio.StudioSettings;
import app.korvel.server.web.FindingView;
import app.korvel.store.BusyRepository;
import app.korvel.store.PlannedSessionRepository;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.ProgrammeRepository;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SavedProgramme;
import app.korvel.store.SessionLogRepository;
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
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Brings a client's prescription and the days they have together into a programme. */
@Component
public class ProgrammeDesk {
  private static final int USUAL_WEEKS = 12;

  private final PrescriptionRepository prescriptions;
  private final ProgrammeRepository programmes;
  private final PlannedSessionRepository planned;
  private final SessionLogRepository logs;
  private final BusyRepository busy;
  private final ClientRecords records;
  private final StudioSettings settings;
  private final StudioClock clock;

  ProgrammeDesk(
      PrescriptionRepository prescriptions,
      ProgrammeRepository programmes,
      PlannedSessionRepository planned,
      SessionLogRepository logs,
      BusyRepository busy,
      ClientRecords records,
      StudioSettings settings,
      StudioClock clock) {
    this.prescriptions = prescriptions;
    this.programmes = programmes;
    this.planned = planned;
    this.logs = logs;
    this.busy = busy;
    this.records = records;
    this.settings = settings;
    this.clock = clock;
  }

  /** A client with the prescription that leads, and where it stands. */
  public record Led(ClientHead head) {
    public Client client() {
      return head.client();
    }

    private Screening screening() {
      return head.screening();
    }

    public Optional<SavedPrescription> current() {
      return head.prescription();
    }

    private Standing standing(SavedPrescription saved) {
      return Standing.of(saved.prescription(), saved.recordedAt(), screening());
    }

    /** Why nothing can be laid out; empty where it can. */
    public List<Finding> why() {
      if (current().isEmpty()) {
        return List.of(FindingKind.NO_PROGRAMME_YET.of());
      }
      Standing standing = standing(current().get());
      return switch (standing.state()) {
        case ISSUED, RATE_SUSPENDED -> List.of();
        case DRAFT ->
            Stream.concat(
                    Stream.of(FindingKind.PROGRAMME_NOT_LED.of("a draft")),
                    screening().permission().findings().stream())
                .toList();
        case SUSPENDED ->
            Stream.concat(
                    Stream.of(FindingKind.PROGRAMME_NOT_LED.of("suspended")),
                    standing.findings().stream())
                .toList();
      };
    }

    /** The prescription that leads. */
    public SavedPrescription leading() {
      if (!why().isEmpty()) {
        throw RefusedException.because(why());
      }
      return current().orElseThrow();
    }
  }

  public Led led(Client client) {
    return new Led(records.head(client.id()));
  }

  private Plan plan(
      Led led, LocalDate startsOn, LocalDate endsOn, Set<DayOfWeek> days, int lightWeeks) {
    Parts first = led.leading().prescription().parts();
    Scope scope = led.screening().scope();
    Ceiling ceiling = Ceiling.of(scope.person(), scope.permission());
    return new Plan(
        first,
        Aims.usual(first, scope.person(), ceiling, days.size()),
        Pace.of(scope.person(), first, weeksBefore(led, startsOn), lightWeeks),
        Bounds.of(scope),
        startsOn,
        endsOn,
        days);
  }

  /** Whole weeks since the first prescription was issued. */
  private int weeksBefore(Led led, LocalDate startsOn) {
    return prescriptions
        .firstIssued(led.client().id())
        .map(date -> (int) Math.max(0, ChronoUnit.WEEKS.between(date, startsOn)))
        .orElse(0);
  }

  /**
   * Twelve weeks from Monday on, on the days they named, on any where they named none; without
   * those that calendars have busy for the most part, as long as enough are left.
   */
  private Plan proposal(Led led) {
    LocalDate monday = clock.today().with(TemporalAdjusters.nextOrSame(DayOfWeek.MONDAY));
    LocalDate last = monday.plusWeeks(USUAL_WEEKS).minusDays(1);
    Set<DayOfWeek> days = daysOf(led);
    int lightWeeks = Threshold.CAUTIOUS_WEEKS.whole();
    Plan wanted = plan(led, monday, last, days, lightWeeks);
    Set<DayOfWeek> free = mostlyFree(led, wanted);
    return free.size() < wanted.first().days() ? wanted : plan(led, monday, last, free, lightWeeks);
  }

  private Set<DayOfWeek> daysOf(Led led) {
    Set<DayOfWeek> named = led.screening().answers().days();
    return named.isEmpty() ? EnumSet.allOf(DayOfWeek.class) : named;
  }

  private Set<DayOfWeek> mostlyFree(Led led, Plan plan) {
    return agenda(led.client())
        .mostlyFree(
            plan.weekdays(),
            plan.startsOn(),
            USUAL_WEEKS,
            plan.time(),
            led.leading().prescription().outline().seconds() / 60);
  }

  private Agenda agenda(Client client) {
    return new Agenda(busy.of(client.id()));
  }

  /**
   * Lays out what was asked for.
   *
   * @throws InvalidValueException when it cannot be laid out
   * @throws RefusedException when nothing can be, as things stand
   */
  Programme layOut(Led led, PlanRequest request) {
    Plan usual =
        plan(
            led,
            request.startsOn(),
            request.endsOn(),
            Set.copyOf(request.weekdays()),
            or(request.lightWeeks(), Threshold.CAUTIOUS_WEEKS.whole()));
    Plan plan =
        new Plan(
                usual.first(),
                new Aims(usual.aims().highPercent(), request.goalMinutes(), request.goalDays()),
                usual.pace(),
                usual.bounds(),
                usual.startsOn(),
                usual.endsOn(),
                usual.weekdays(),
                Optional.ofNullable(request.time()))
            .checked();
    return Programme.of(
        plan,
        agenda(led.client()),
        planned.nextNumber(led.client().id()),
        new MinutesDone(WeekReview.minutesBefore(plan, logs.of(led.client().id())), List.of()));
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
    return ProgrammeView.of(
        programme,
        null,
        null,
        person,
        any -> runner,
        any -> Optional.empty(),
        MinutesDone.NONE,
        Agenda.FREE,
        findings);
  }

  private static int or(@Nullable Integer given, int usual) {
    return given == null ? usual : given;
  }

  /** Everything a page of a client's programme shows. */
  ProgrammeSheet sheet(Client client) {
    Led led = led(client);
    List<Finding> why = led.why();
    Optional<SavedProgramme> saved = programmes.current(client.id());
    List<SessionLog> logged = logs.of(client.id());
    Optional<Plan> proposal = why.isEmpty() ? Optional.of(proposal(led)) : Optional.empty();
    return new ProgrammeSheet(
        FindingView.of(why),
        proposal.map(plan -> PlanView.of(plan, led.screening().person())).orElse(null),
        proposal
            .map(plan -> daysOf(led).stream().filter(day -> !plan.weekdays().contains(day)))
            .orElse(Stream.empty())
            .sorted()
            .toList(),
        saved.map(each -> view(led, each, logged)).orElse(null),
        saved
            .filter(each -> why.isEmpty())
            .map(SavedProgramme::programme)
            .flatMap(
                programme ->
                    WeekReview.due(programme, logged, clock.today())
                        .map(
                            week -> WeekReview.of(programme, week, logged, led.screening().scope()))
                        .map(review -> ReviewView.of(review, programme)))
            .orElse(null));
  }

  /**
   * The next week as it was decided, and all that come after it laid out anew.
   *
   * @throws RefusedException when nothing is to be decided of that week, or it may not be gone on
   *     with as things stand
   */
  Programme decide(Led led, Programme programme, int week, WeekDecisionRequest request) {
    led.leading();
    List<SessionLog> logged = logs.of(led.client().id());
    if (!WeekReview.due(programme, logged, clock.today()).equals(Optional.of(week - 1))) {
      throw RefusedException.because(FindingKind.NOTHING_TO_DECIDE.of(week));
    }
    Scope scope = led.screening().scope();
    Bounds bounds = Bounds.of(scope);
    programme
        .outOfBounds(bounds, clock.today())
        .ifPresent(
            finding -> {
              throw RefusedException.because(finding);
            });
    WeekReview review = WeekReview.of(programme, week - 1, logged, scope);
    String reason = request.reason() == null ? "" : request.reason();
    WeekDecision decision =
        WeekDecision.of(
            week, request.taken(), review.next().stepped(), review.because(), reason, clock.now());
    Dose usual = review.next().stepped().dose();
    Proposed decided =
        switch (request.taken()) {
          case ACCEPTED -> review.next();
          case REFUSED -> programme.unchanged(week - 1, decision.reason());
          case CHANGED ->
              programme.own(
                  new Dose(
                      new Percents(
                          or(request.lowPercent(), usual.range().low()),
                          or(request.highPercent(), usual.range().high())),
                      or(request.minutes(), usual.minutes()),
                      or(request.days(), usual.days()),
                      usual.type()),
                  bounds.ceiling(),
                  decision.reason());
        };
    Set<Integer> done =
        logged.stream().flatMap(log -> log.number().stream()).collect(Collectors.toSet());
    return programme.ahead(
        decision,
        decided,
        WeekReview.minutesDone(programme, week - 1, logged),
        session -> !session.date().isBefore(clock.today()) && !done.contains(session.number()),
        clock.today(),
        agenda(led.client()),
        planned.nextNumber(led.client().id()));
  }

  /**
   * Refuses to change a session that has been logged.
   *
   * @throws RefusedException when it has
   */
  void checkOpen(UUID clientId, int number) {
    logs.of(clientId).stream()
        .filter(log -> log.number().equals(Optional.of(number)))
        .findFirst()
        .ifPresent(
            log -> {
              throw RefusedException.because(FindingKind.SESSION_LOGGED.of(log.words()));
            });
  }

  /** The weeks of a programme that are over. */
  private int weeksOver(Programme programme) {
    long days = ChronoUnit.DAYS.between(programme.plan().startsOn(), clock.today());
    return (int) Math.max(0, Math.min(days / 7, programme.weeks().size()));
  }

  ProgrammeView view(Led led, SavedProgramme saved) {
    return view(led, saved, logs.of(led.client().id()));
  }

  private ProgrammeView view(Led led, SavedProgramme saved, List<SessionLog> logged) {
    SavedPrescription from =
        led.current()
            .filter(each -> each.id().equals(saved.prescriptionId()))
            .or(() -> prescriptions.get(saved.prescriptionId()))
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
    return view(led, saved.programme(), saved.version(), from, findings, logged);
  }

  /** What was laid out and is not saved. */
  ProgrammeView view(Led led, Programme programme) {
    return view(led, programme, null, led.leading(), List.of(), logs.of(led.client().id()));
  }

  private ProgrammeView view(
      Led led,
      Programme programme,
      @Nullable Integer version,
      SavedPrescription from,
      List<Finding> findings,
      List<SessionLog> logged) {
    return ProgrammeView.of(
        programme,
        version,
        from.version(),
        led.screening().person(),
        mode -> runner(led, from, mode),
        decision -> WeekReview.changedSince(programme, decision, logged, led.screening().scope()),
        WeekReview.minutesDone(programme, weeksOver(programme), logged),
        agenda(led.client()),
        findings);
  }

  /** Where no prescription leads: by effort and talk, as today's records have it. */
  public Runner withoutPrescription(Led led, Mode mode) {
    return Runner.of(led.head().ground(mode), settings.ways().family()).withoutRates();
  }

  /** In its own mode by the numbers of its day; in any other by today's. */
  public Runner runner(Led led, SavedPrescription from, Mode mode) {
    Prescription made = from.prescription();
    Runner today = Runner.of(led.head().ground(mode), settings.ways().family());
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
