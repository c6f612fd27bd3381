package app.korvel.studio.live;

import app.korvel.core.checkin.Outcome;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveFinding;
import app.korvel.core.live.LivePlan;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.outline.Outline;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.prescription.Prescription;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.SavedCheckIn;
import app.korvel.store.SavedSession;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import app.korvel.studio.outline.OutlineCatalog;
import app.korvel.studio.programme.Programmes;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;

/** Opens a session on the clock: only where today allows it, and one at a time for each client. */
public record OpenLiveSession(Studio studio) {
  /** How fast the clock of a simulated client may go. */
  public static final Set<Integer> SPEEDS = Set.of(1, 10, 60);

  /**
   * What is to be done.
   *
   * @param number of the planned session; empty for one that was not planned
   * @param outline id of an outline of the library; empty for the one that is planned or prescribed
   * @param mode empty for the one that is planned or prescribed
   * @param simulated the fault of a simulated strap; empty where a person wears one
   * @param speed 1, or with a simulated strap one of {@link #SPEEDS}
   */
  public record Wanted(
      Optional<Integer> number,
      Optional<String> outline,
      Optional<Mode> mode,
      RateSource source,
      Optional<SimulatedStrap.Fault> simulated,
      int speed) {
    /** The one that is prescribed, by somebody who is not there. */
    public static Wanted prescribed() {
      return new Wanted(
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          RateSource.STRAP,
          Optional.of(SimulatedStrap.Fault.NONE),
          1);
    }
  }

  /** What it would be, and what stands against it. */
  public record Proposal(
      LivePlan plan, Optional<SavedSession> planned, Optional<SavedCheckIn> checkIn) {}

  /**
   * Opens a session; its clock starts later.
   *
   * @throws RefusedException without a check-in today that allows it, without a prescription that
   *     holds, without a reserve where rates lead, or while another session is on
   */
  public Opened by(Actor who, UUID client, Wanted wanted) {
    if (wanted.speed != 1 && (wanted.simulated.isEmpty() || !SPEEDS.contains(wanted.speed))) {
      throw InvalidValueException.of(
          "speed", wanted.speed + " is no speed of a session", "1; for a simulated strap 10 or 60");
    }
    return studio.write(who, () -> open(client, wanted, plan -> plan, studio.stamp()));
  }

  /**
   * The same within a unit of work, with a plan that is changed for those it is done with.
   *
   * @param stamp when it is opened
   */
  Opened open(UUID client, Wanted wanted, UnaryOperator<LivePlan> changed, Stamp stamp) {
    ClientHead head = studio.openHead(client);
    Proposal proposal = proposal(head, wanted);
    boolean on =
        studio.store().live().openNow().stream().anyMatch(each -> each.clientId().equals(client));
    if (on) {
      throw RefusedException.because(LiveFinding.SESSION_ON.of(head.client().details().name()));
    }
    Opened opened =
        new Opened(
            stamp.id(),
            client,
            wanted.number,
            wanted.source,
            wanted.speed,
            wanted.simulated.map(Enum::name),
            stamp.at(),
            changed.apply(proposal.plan),
            true);
    studio.store().live().open(opened);
    return opened;
  }

  /**
   * What a session would be; nothing is kept.
   *
   * @throws RefusedException as {@link #by}
   */
  public Proposal proposal(ClientHead head, Wanted wanted) {
    Optional<SavedCheckIn> checkIn = today(head);
    Outcome outcome =
        checkIn
            .map(SavedCheckIn::outcome)
            .orElseThrow(() -> RefusedException.because(LiveFinding.NOT_CHECKED_IN.of()));
    if (outcome != Outcome.GO && outcome != Outcome.LIGHT_ONLY) {
      throw RefusedException.because(
          LiveFinding.NOT_TODAY.of("“" + checkIn.get().words().toLowerCase(Locale.ROOT) + "”"));
    }
    head.leading();
    UUID client = head.client().id();
    Programmes programmes = new Programmes(studio);
    Optional<SavedSession> planned =
        wanted.number.map(number -> programmes.planned("planned", client, number));
    Mode mode =
        wanted
            .mode
            .or(() -> planned.map(SavedSession::mode))
            .orElse(head.leading().prescription().parts().mode());
    ExertionLimits runner = programmes.runner(head, mode);
    ClientBaseline baseline = head.baseline(mode);
    if (runner.reserve().isEmpty() && byRate(head, baseline, mode)) {
      throw RefusedException.because(LiveFinding.NO_SPAN.of());
    }
    LivePlan plan =
        LivePlan.of(
            outline(head, planned, wanted).fitted(runner.bounds()),
            mode,
            runner,
            baseline,
            head.newToExercise(),
            outcome == Outcome.LIGHT_ONLY);
    return new Proposal(plan, planned, checkIn);
  }

  /**
   * Whether rates would lead: by the prescription in its own mode, by today's numbers in another.
   */
  private static boolean byRate(ClientHead head, ClientBaseline baseline, Mode mode) {
    Prescription made = head.leading().prescription();
    return Programmes.standing(head, head.leading()).ratesHold()
        && (mode == made.parts().mode()
            ? made.basis().isPresent()
            : baseline.noRateBecause().isEmpty());
  }

  /** Today's check-in, if there was one. */
  public Optional<SavedCheckIn> today(ClientHead head) {
    LocalDate today = head.screening().date();
    return studio.store().checkIns().of(head.client().id(), 1).stream()
        .filter(checkIn -> checkIn.on().equals(today))
        .findFirst();
  }

  /** The planned session of today that is still to be done, if there is one. */
  public Optional<SavedSession> plannedToday(ClientHead head) {
    return new Programmes(studio)
        .stillToDo(head.client().id(), head.screening().date()).stream().findFirst();
  }

  private Outline outline(ClientHead head, Optional<SavedSession> planned, Wanted wanted) {
    return wanted
        .outline
        .map(id -> new OutlineCatalog(studio).of(id).outline())
        .or(() -> planned.flatMap(each -> new Programmes(studio).outline(head, each)))
        .orElseGet(() -> head.leading().prescription().outline());
  }
}
