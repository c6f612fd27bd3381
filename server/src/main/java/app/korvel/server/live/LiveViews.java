package app.korvel.server.live;

import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.effort.Witnesses.Rates;
import app.korvel.core.live.Cues;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.live.LivePrompt;
import app.korvel.core.live.LiveSession;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.outline.Outline.BandGoal;
import app.korvel.core.outline.StepKind;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Run;
import app.korvel.core.screening.StopSign;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.server.live.SampleViews.StopSignOption;
import app.korvel.server.live.SampleViews.TraceView;
import app.korvel.server.zone.ZoneViews.ZonesView;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions.LiveNow;
import app.korvel.studio.live.OpenLiveSession;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Sessions on the clock, as they are received and sent. */
final class LiveViews {
  private LiveViews() {}

  static @Nullable Integer number(OptionalInt value) {
    return value.isPresent() ? value.getAsInt() : null;
  }

  private static OptionalInt optional(@Nullable Integer value) {
    return value == null ? OptionalInt.empty() : OptionalInt.of(value);
  }

  /**
   * A session that is to be opened.
   *
   * @param planned number of the planned session; null for one that was not planned
   * @param outline id of the library; null for the one that is planned or prescribed
   * @param simulated the fault of a simulated strap; null where a person wears one
   * @param speed null for the clock's own
   */
  record LiveRequest(
      UUID clientId,
      @Nullable Integer planned,
      @Nullable String outline,
      @Nullable Mode mode,
      RateSource source,
      SimulatedStrap.@Nullable Fault simulated,
      @Nullable Integer speed) {
    OpenLiveSession.Wanted wanted() {
      return new OpenLiveSession.Wanted(
          Optional.ofNullable(planned),
          Optional.ofNullable(outline),
          Optional.ofNullable(mode),
          source,
          Optional.ofNullable(simulated),
          speed == null ? 1 : speed);
    }
  }

  /**
   * Something that happened; what does not belong to its kind is left out.
   *
   * @param leg which step as it came, from 1; null for the one that is on
   * @param with the other session of two whose straps were swapped
   * @param from since when they were, null for now; of a voice, when the passage was begun
   */
  record LiveEventRequest(
      Instant at,
      LiveEvent.Kind kind,
      @Nullable Integer leg,
      @Nullable Integer seconds,
      @Nullable Integer rpe20,
      @Nullable Integer voice,
      @Nullable Integer beats,
      @Nullable Integer windowSeconds,
      @Nullable Integer bpm,
      @Nullable RateSource source,
      @Nullable StopSign sign,
      LiveEvent.@Nullable Reason reason,
      @Nullable UUID of,
      @Nullable String strap,
      @Nullable UUID with,
      @Nullable Instant from,
      @Nullable RecoveryPosture posture) {

    /**
     * @param on the leg that is on
     */
    LiveEvent event(UUID id, Supplier<Integer> on) {
      return switch (kind) {
        case BEGUN -> new LiveEvent.Begun(id, at);
        case STEP_STARTED -> new LiveEvent.StepStarted(id, at);
        case STEP_ENDED -> new LiveEvent.StepEnded(id, at, leg(on));
        case STEP_BACK -> new LiveEvent.StepBack(id, at, leg(on));
        case LENGTHENED -> new LiveEvent.Lengthened(id, at, leg(on), need("seconds", seconds));
        case PAUSED -> new LiveEvent.Paused(id, at);
        case RESUMED -> new LiveEvent.Resumed(id, at);
        case RATED ->
            new LiveEvent.Rated(
                id, at, optional(rpe20), optional(voice), Optional.ofNullable(from));
        case COUNTED ->
            new LiveEvent.Counted(
                id, at, need("beats", beats), CountWindow.of(need("windowSeconds", windowSeconds)));
        case READ_OFF -> new LiveEvent.ReadOff(id, at, need("bpm", bpm));
        case SOURCE_CHANGED -> new LiveEvent.SourceChanged(id, at, need("source", source));
        case WORK_RESUMED -> new LiveEvent.WorkResumed(id, at);
        case SEEN -> new LiveEvent.Seen(id, at);
        case STRAP_GIVEN -> new LiveEvent.StrapGiven(id, at, need("strap", strap), false);
        case STRAP_DOUBTED -> new LiveEvent.StrapDoubted(id, at);
        case STRAPS_SWAPPED ->
            new LiveEvent.StrapsSwapped(id, at, need("with", with), from == null ? at : from);
        case EFFORT_ENDED -> new LiveEvent.EffortEnded(id, at, need("posture", posture));
        case EFFORT_RESUMED -> new LiveEvent.EffortResumed(id, at);
        case STOPPED -> new LiveEvent.Stopped(id, at, need("sign", sign));
        case ENDED ->
            new LiveEvent.Ended(id, at, reason == null ? LiveEvent.Reason.PLANNED : reason);
        case WITHDRAWN -> new LiveEvent.Withdrawn(id, at, need("of", of));
      };
    }

    private int leg(Supplier<Integer> on) {
      return leg == null ? on.get() : leg;
    }

    private static <T> T need(String field, @Nullable T value) {
      if (value == null) {
        throw InvalidValueException.of(field, "is missing", "a value for this kind of event");
      }
      return value;
    }
  }

  /**
   * A step of a session.
   *
   * @param lowBpm null where it has no target by rate, and highBpm likewise
   * @param lowLevel null where it asks for nothing, and highLevel likewise
   */
  record LiveStep(
      StepKind kind,
      String name,
      int seconds,
      @Nullable Integer lowPercent,
      @Nullable Integer highPercent,
      @Nullable Integer lowBpm,
      @Nullable Integer highBpm,
      @Nullable Integer lowRpe20,
      @Nullable Integer highRpe20,
      @Nullable Integer lowLevel,
      @Nullable Integer highLevel,
      boolean waits,
      boolean work) {
    static LiveStep of(PlanStep step) {
      Optional<Rates> rates = step.aim().flatMap(Aim::rates);
      Optional<RpeSpan> rpe = step.aim().flatMap(Aim::rpe20);
      List<Level> levels = step.aim().map(Aim::levels).orElse(List.of());
      return new LiveStep(
          step.kind(),
          step.kind().displayName(),
          step.seconds(),
          step.range().map(Percents::low).orElse(null),
          step.range().map(Percents::high).orElse(null),
          rates.map(Rates::lowBpm).orElse(null),
          rates.map(Rates::highBpm).orElse(null),
          rpe.map(RpeSpan::low).orElse(null),
          rpe.map(RpeSpan::high).orElse(null),
          levels.isEmpty() ? null : levels.get(0).number(),
          levels.isEmpty() ? null : levels.get(levels.size() - 1).number(),
          step.waits(),
          step.kind().exercise());
    }
  }

  /** A fault that a simulated strap can have. */
  record FaultOption(SimulatedStrap.Fault fault, String name) {
    static final List<FaultOption> ALL =
        Arrays.stream(SimulatedStrap.Fault.values())
            .filter(SimulatedStrap.Fault::forOne)
            .map(each -> new FaultOption(each, each.displayName()))
            .toList();
  }

  /** A goal of time in a zone. */
  record ZoneGoal(String name, int minutes) {
    static ZoneGoal of(BandGoal goal) {
      return new ZoneGoal(goal.level().displayName(), goal.minutes());
    }
  }

  /**
   * What a session is, which does not change while it runs.
   *
   * @param zones in the client's zone system, with the numbers of its day; null where no rate leads
   * @param findings what is to be known before it begins
   * @param broughtIn the file that it was brought in from; null for one that is recorded here
   * @param compared whether two recordings of it can be laid over each other
   */
  record LiveSheet(
      UUID id,
      UUID clientId,
      String clientName,
      @Nullable Integer planned,
      Mode mode,
      int speed,
      SimulatedStrap.@Nullable Fault simulated,
      Instant openedAt,
      List<LiveStep> steps,
      @Nullable ZonesView zones,
      @Nullable Integer capBpm,
      @Nullable Integer highestRpe20,
      String guide,
      @Nullable ZoneGoal goal,
      List<Finding> findings,
      List<StopSignOption> stopSigns,
      List<String> stopAlso,
      String stopAction,
      @Nullable String broughtIn,
      boolean compared) {}

  /** The zones of a plan, in a zone system. */
  static @Nullable ZonesView zones(Studio studio, LivePlan plan, Scheme scheme) {
    Ladder ladder = plan.mover().ladder().orElse(null);
    if (ladder == null) {
      return null;
    }
    Uncertainty uncertainty =
        plan.basis().map(LivePlan.Basis::uncertainty).orElse(Uncertainty.USUAL);
    return ZonesView.of(
        Zones.of(scheme, Anchors.of(ladder, Optional.empty()), uncertainty, plan.mover().capBpm()),
        uncertainty,
        studio.settings().ways().family());
  }

  /** A step as it came. */
  record LegView(
      int row,
      Instant from,
      @Nullable Instant clockFrom,
      @Nullable Instant until,
      int seconds,
      boolean ended,
      boolean byItself) {
    static LegView of(Leg leg) {
      return new LegView(
          leg.row(),
          leg.from(),
          leg.clockFrom().orElse(null),
          leg.until().orElse(null),
          (int) leg.length().toSeconds(),
          leg.endedAt().isPresent(),
          leg.byItself());
    }
  }

  /** What is shown as the cue. */
  record CueNow(Cues.Kind kind, int second, boolean overCap, Finding because) {
    static CueNow of(Cues.Given given) {
      return new CueNow(given.kind(), given.second(), given.overCap(), given.because());
    }
  }

  /** What is to be asked or counted now. */
  record PromptView(LivePrompt what, int seconds) {}

  /** What the key for undo would undo. */
  record UndoView(UUID of, String words) {
    static @Nullable UndoView last(List<LiveEvent> events) {
      return events.stream()
          .filter(event -> event.kind() != LiveEvent.Kind.STRAP_DOUBTED)
          .reduce((before, after) -> after)
          .map(event -> new UndoView(event.id(), event.words()))
          .orElse(null);
    }
  }

  /** That it was logged. */
  record LoggedAs(UUID id, String words) {
    static LoggedAs of(SessionLog log) {
      return new LoggedAs(log.id(), log.words());
    }
  }

  /**
   * A session as it stands.
   *
   * @param now what time it is by its clock
   * @param ranMillis how much the clock of the step has run
   * @param bpm the smoothed rate; before it has begun, the last sample
   * @param rpe20 in force, and voice and counted likewise; null where none is
   * @param undo null where nothing can be undone
   */
  record LiveState(
      UUID id,
      Instant now,
      LiveSession.Phase phase,
      @Nullable Instant begunAt,
      @Nullable Instant endedAt,
      @Nullable String endedBecause,
      List<LegView> legs,
      long ranMillis,
      int second,
      @Nullable Integer bpm,
      int secondsWithoutSignal,
      boolean goByHand,
      boolean inDoubt,
      RateSource source,
      @Nullable CueNow cue,
      boolean workStopped,
      @Nullable Integer rpe20,
      @Nullable Integer voice,
      @Nullable Integer counted,
      @Nullable Integer level,
      List<PromptView> prompts,
      List<Finding> findings,
      @Nullable Integer goalSecondsLeft,
      @Nullable UndoView undo,
      @Nullable LoggedAs log) {

    static LiveState of(LiveNow stands) {
      LiveSession session = stands.session();
      Cues.Standing standing = session.cues().standing();
      Optional<Run> run = session.run();
      OptionalInt smoothed = session.trace().smoothed(session.trace().seconds());
      return new LiveState(
          stands.opened().id(),
          stands.now(),
          session.phase(),
          session.begunAt().orElse(null),
          session.over().map(LiveEvent::at).orElse(null),
          session.over().map(LiveEvent::words).orElse(null),
          run.map(Run::legs).orElse(List.of()).stream().map(LegView::of).toList(),
          run.flatMap(Run::current).map(leg -> leg.ran(session.at()).toMillis()).orElse(0L),
          session.trace().seconds(),
          number(run.isPresent() ? smoothed : stands.latestBpm()),
          standing.secondsWithoutSignal(),
          session.goByHand(),
          session.inDoubt(),
          session.source(),
          standing.cue().map(CueNow::of).orElse(null),
          standing.stopped(),
          number(standing.rpe20()),
          number(standing.voice()),
          number(standing.counted()),
          standing.witnesses().map(said -> number(said.level())).orElse(null),
          session.prompts().stream()
              .map(due -> new PromptView(due.what(), (int) due.since().toSeconds()))
              .toList(),
          session.findings(),
          number(session.goalSecondsLeft()),
          UndoView.last(session.events()),
          stands.log().map(LoggedAs::of).orElse(null));
    }
  }

  /** All of a session: what it is, as it stands, and its heart rate. */
  record LiveView(LiveSheet sheet, LiveState state, TraceView trace) {}

  /** A session in a list. */
  record LiveRow(
      UUID id,
      UUID clientId,
      String clientName,
      Mode mode,
      Instant openedAt,
      boolean open,
      @Nullable String words) {}

  /** One that is on, or was. */
  static LiveRow row(Opened opened, String name, Optional<SessionLog> log) {
    return new LiveRow(
        opened.id(),
        opened.clientId(),
        name,
        opened.plan().mode(),
        opened.openedAt(),
        opened.open(),
        log.map(SessionLog::words).orElse(null));
  }

  /**
   * What could begin with a client.
   *
   * @param allowed whether a session may begin now
   * @param findings why not, or what is to be known
   * @param planned number of today's planned session; null where there is none
   * @param openNow the session that is on; null where none is
   * @param sessions those before, latest first
   */
  record LiveStart(
      String clientName,
      boolean allowed,
      List<Finding> findings,
      @Nullable Integer planned,
      @Nullable Mode mode,
      List<LiveStep> steps,
      int minutes,
      boolean byRate,
      List<FaultOption> faults,
      List<Integer> speeds,
      @Nullable UUID openNow,
      List<LiveRow> sessions) {}

  /**
   * A log that is to be kept.
   *
   * @param rpe of the whole session; null where it was not asked
   */
  record LiveLogRequest(
      @Nullable Integer rpe, @Nullable List<StopSign> warnings, @Nullable String note) {}
}
