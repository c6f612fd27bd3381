package app.korvel.studio.programme;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.outline.Outline;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Prescription.RateBasis;
import app.korvel.core.prescription.PrescriptionValidity;
import app.korvel.core.programme.Availability;
import app.korvel.core.programme.MinutesDone;
import app.korvel.core.programme.Pace;
import app.korvel.core.programme.Plan;
import app.korvel.core.programme.PlannedSession;
import app.korvel.core.programme.Programme;
import app.korvel.core.programme.ProgrammeGoal;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Scope;
import app.korvel.core.session.WeekReview;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SavedProgramme;
import app.korvel.store.SavedSession;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Brings a client's prescription and the days they have together into a programme. */
public record Programmes(Studio studio) {
  private static final int USUAL_WEEKS = 12;

  /**
   * What a programme is to be.
   *
   * @param lightWeeks how long a cautious start stays light; empty for as long as is usual
   */
  public record Wanted(
      LocalDate startsOn,
      LocalDate endsOn,
      Set<DayOfWeek> weekdays,
      int goalMinutes,
      int goalDays,
      Optional<Integer> lightWeeks,
      Optional<LocalTime> time) {}

  private static Plan plan(
      ClientHead head,
      LocalDate startsOn,
      LocalDate endsOn,
      Set<DayOfWeek> days,
      int weeksBefore,
      int lightWeeks) {
    Fitt first = head.leading().prescription().parts();
    Scope scope = head.screening().scope();
    Ceiling ceiling = Ceiling.of(scope.person(), scope.permission());
    return new Plan(
        first,
        ProgrammeGoal.usual(first, scope.person(), ceiling, days.size()),
        Pace.of(scope.person(), first, weeksBefore, lightWeeks),
        Bounds.of(scope),
        startsOn,
        endsOn,
        days);
  }

  /** Whole weeks since the first prescription was issued. */
  private int weeksBefore(ClientHead head, LocalDate startsOn) {
    return head.talk()
        .firstIssued()
        .map(date -> (int) Math.max(0, ChronoUnit.WEEKS.between(date, startsOn)))
        .orElse(0);
  }

  /**
   * Twelve weeks from the next first day of the studio's week on, on the days they named, on any
   * where they named none; without those that calendars have busy for the most part, as long as
   * enough are left.
   *
   * @throws RefusedException when no programme follows from the prescription
   */
  public Plan proposal(ClientHead head) {
    LocalDate first =
        studio.today().with(TemporalAdjusters.nextOrSame(studio.settings().regional().weekStart()));
    LocalDate last = first.plusWeeks(USUAL_WEEKS).minusDays(1);
    int before = weeksBefore(head, first);
    int lightWeeks = Threshold.CAUTIOUS_WEEKS.whole();
    Plan wanted = plan(head, first, last, daysOf(head), before, lightWeeks);
    Set<DayOfWeek> free =
        agenda(head)
            .mostlyFree(
                wanted.weekdays(),
                wanted.startsOn(),
                USUAL_WEEKS,
                wanted.time(),
                head.leading().prescription().outline().seconds() / 60);
    return free.size() < wanted.first().days()
        ? wanted
        : plan(head, first, last, free, before, lightWeeks);
  }

  /**
   * A session that was laid out for a client.
   *
   * @param field in which it was named
   * @throws InvalidValueException when there is none of that number
   */
  public SavedSession planned(String field, UUID client, int number) {
    return studio
        .store()
        .planned()
        .get(client, number)
        .orElseThrow(
            () ->
                InvalidValueException.of(
                    field,
                    number + " is no session of this client",
                    "a session that was laid out, or none"));
  }

  /** The sessions of a day that a client is still to do: laid out, and not logged. */
  public List<SavedSession> stillToDo(UUID client, LocalDate day) {
    Set<Integer> logged =
        studio.store().logs().since(List.of(client), day).values().stream()
            .flatMap(List::stream)
            .flatMap(log -> log.number().stream())
            .collect(Collectors.toSet());
    return studio.store().planned().between(day, day).stream()
        .filter(each -> each.clientId().equals(client))
        .filter(each -> each.state() == SavedSession.State.PLANNED)
        .filter(each -> !logged.contains(each.number()))
        .sorted(Comparator.comparingInt(SavedSession::number))
        .toList();
  }

  /** What a session that was laid out consists of, where its programme is the present one. */
  public Optional<Outline> outline(ClientHead head, SavedSession planned) {
    return studio
        .store()
        .programmes()
        .current(head.client().id())
        .map(SavedProgramme::programme)
        .flatMap(
            programme ->
                programme.sessions().stream()
                    .filter(each -> each.number() == planned.number())
                    .findFirst()
                    .map((PlannedSession each) -> programme.outline(each)));
  }

  /** The days they named; any where they named none. */
  public Set<DayOfWeek> daysOf(ClientHead head) {
    Set<DayOfWeek> named = head.screening().answers().days();
    return named.isEmpty() ? EnumSet.allOf(DayOfWeek.class) : named;
  }

  /** When they are busy. */
  public Availability agenda(ClientHead head) {
    return new Availability(studio.store().busy().of(head.client().id()));
  }

  /**
   * Lays out what is wanted; nothing is kept.
   *
   * @throws app.korvel.core.measure.InvalidValueException when it cannot be laid out
   * @throws RefusedException when nothing can be, as things stand
   */
  public Programme laidOut(ClientHead head, Wanted wanted) {
    UUID client = head.client().id();
    Plan usual =
        plan(
            head,
            wanted.startsOn,
            wanted.endsOn,
            wanted.weekdays,
            weeksBefore(head, wanted.startsOn),
            wanted.lightWeeks.orElseGet(Threshold.CAUTIOUS_WEEKS::whole));
    Plan plan =
        new Plan(
                usual.first(),
                new ProgrammeGoal(usual.aims().highPercent(), wanted.goalMinutes, wanted.goalDays),
                usual.pace(),
                usual.bounds(),
                usual.startsOn(),
                usual.endsOn(),
                usual.weekdays(),
                wanted.time)
            .checked();
    return Programme.of(
        plan,
        agenda(head),
        studio.store().planned().nextNumber(client),
        new MinutesDone(
            WeekReview.minutesBefore(plan, studio.store().logs().of(client)), List.of()));
  }

  /**
   * Whoever does a session in that mode: by the numbers of the prescription's day in its own, by
   * today's in any other; where none leads, by RPE and talk.
   */
  public ExertionLimits runner(ClientHead head, Mode mode) {
    return head.notLeading().isEmpty()
        ? runner(head, head.leading(), mode)
        : today(head, mode).withoutRates();
  }

  /** The same of a programme that follows from that version. */
  public ExertionLimits runner(ClientHead head, SavedPrescription from, Mode mode) {
    Prescription made = from.prescription();
    ExertionLimits today = today(head, mode);
    if (!standing(head, from).ratesHold()) {
      return new ExertionLimits(
          Optional.empty(),
          Optional.empty(),
          today.highestEffort(),
          today.family(),
          today.bounds());
    }
    return mode != made.parts().mode()
        ? today
        : new ExertionLimits(
            made.basis().map(RateBasis::reserve),
            Stream.concat(made.cap().stream(), today.cap().stream())
                .min(Comparator.comparingInt(Cap::bpm)),
            today.highestEffort(),
            today.family(),
            today.bounds());
  }

  private ExertionLimits today(ClientHead head, Mode mode) {
    return ExertionLimits.of(head.baseline(mode), studio.settings().ways().family());
  }

  /** Where that version of the prescription stands. */
  public static PrescriptionValidity standing(ClientHead head, SavedPrescription saved) {
    return PrescriptionValidity.of(saved.prescription(), saved.recordedAt(), head.screening());
  }
}
