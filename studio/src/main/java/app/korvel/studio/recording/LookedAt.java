package app.korvel.studio.recording;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.BroughtIn;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan;
import app.korvel.core.live.LiveSession;
import app.korvel.core.live.LiveSummary;
import app.korvel.core.maximum.MaximumRecord;
import app.korvel.core.maximum.Mode;
import app.korvel.core.maximum.PeakProposal;
import app.korvel.core.maximum.RecordedPeak;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Outline;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.session.SessionLog;
import app.korvel.core.trace.DeviceRecording;
import app.korvel.core.trace.TraceFinding;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.SavedSession;
import app.korvel.store.SessionLogRepository.Logged;
import app.korvel.studio.ClientHead;
import app.korvel.studio.ClientHistory;
import app.korvel.studio.Studio;
import app.korvel.studio.programme.Programmes;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;

/**
 * A recording that was brought in, as it would be kept.
 *
 * @param brought as it was read
 * @param mode what the body did, as far as it is known
 * @param source what reads it, as far as it is known
 * @param planned sessions of its day, in that mode, that are not logged
 * @param joins the one of them that it is taken to be of
 * @param alongside sessions on record that look the same
 * @param session what it comes to
 * @param peak the highest rate that held, with what was set aside; empty where it has too few
 *     points
 * @param proposal what its peak says about the maximum
 * @param findings what is to be known before it is kept
 */
public record LookedAt(
    Brought brought,
    Mode mode,
    RateSource source,
    List<SavedSession> planned,
    Optional<SavedSession> joins,
    List<Alongside> alongside,
    LiveSession session,
    Optional<RecordedPeak> peak,
    Optional<PeakProposal> proposal,
    List<Finding> findings) {

  /** A session on record that looks the same. */
  public record Alongside(UUID session, Instant startedAt, int seconds) {}

  /**
   * What was chosen for it.
   *
   * @param mode empty for the one in the file, or the one that is planned
   * @param source empty for the one in the file
   * @param planned the number of the planned session; 0 for none; empty for the one that fits
   */
  public record Chosen(
      Optional<Mode> mode, Optional<RateSource> source, Optional<Integer> planned) {
    /** Nothing yet. */
    public static final Chosen NOTHING =
        new Chosen(Optional.empty(), Optional.empty(), Optional.empty());
  }

  /** A session may be opened long before it begins. */
  private static final int OPENED_BEFORE = 12 * 3600;

  /** As it would be kept with what was chosen; nothing is kept. */
  public static LookedAt of(Studio studio, Brought brought, Chosen chosen) {
    ClientHead head = studio.head(brought.clientId());
    LocalDate day = LocalDate.ofInstant(brought.recording().startedAt(), studio.zone());
    List<SavedSession> open = new Programmes(studio).stillToDo(brought.clientId(), day);
    Optional<Mode> known = chosen.mode.or(brought::mode);
    Mode mode =
        known
            .or(() -> open.size() == 1 ? Optional.of(open.get(0).mode()) : Optional.empty())
            .orElseGet(() -> head.aimed().mode());
    Optional<RateSource> said = chosen.source.or(brought::source);
    List<SavedSession> fits = open.stream().filter(each -> each.mode() == mode).toList();
    Optional<SavedSession> joins =
        chosen.planned.isPresent()
            ? fits.stream().filter(each -> each.number() == chosen.planned.get()).findFirst()
            : fits.size() == 1 ? Optional.of(fits.get(0)) : Optional.empty();
    RateSource source = said.orElse(RateSource.WRIST);
    ClientHistory history = ClientHistory.of(studio, brought.clientId());
    ClientBaseline today = head.baseline(mode);
    ClientBaseline onDay = day.equals(studio.today()) ? today : history.at(day, mode);
    boolean notKnownThen = onDay.reserve().isEmpty() && today.reserve().isPresent();
    ClientBaseline then = notKnownThen ? today : onDay;
    Optional<Outline> outline = joins.flatMap(each -> new Programmes(studio).outline(head, each));
    LivePlan plan =
        LivePlan.elsewhere(
            mode,
            brought.recording().length(),
            outline,
            ExertionLimits.of(then, studio.settings().ways().family()),
            then,
            history.newToExercise(then));
    DeviceRecording recording = brought.recording();
    LiveSession session = BroughtIn.session(recording, plan, source, ids(brought));
    Optional<RecordedPeak> peak = LiveSummary.recordedPeak(session);
    MaximumRecord maximum = head.baseline(mode).maximumRecord();
    List<Alongside> alongside = alongside(studio, brought);
    List<Finding> findings = new ArrayList<>();
    alongside.stream()
        .findFirst()
        .ifPresent(
            same ->
                findings.add(
                    TraceFinding.RECORDING_SAME.of(
                        Days.of(LocalDate.ofInstant(same.startedAt, studio.zone())))));
    logged(studio, brought.clientId(), day, mode)
        .ifPresent(log -> findings.add(TraceFinding.RECORDING_LOGGED.of(log.words())));
    findings.addAll(recording.findings());
    if (said.isEmpty()) {
      findings.add(TraceFinding.RECORDING_UNKNOWN_SOURCE.of());
    }
    if (notKnownThen) {
      findings.add(TraceFinding.RECORDING_SPAN_OF_TODAY.of());
    }
    if (plan.steps().size() > 1) {
      findings.add(
          TraceFinding.RECORDING_STEPS_ASSUMED.of(
              minutes(plan, 0), minutes(plan, plan.steps().size() - 1)));
    }
    peak.ifPresent(each -> findings.addAll(each.findings()));
    return new LookedAt(
        brought,
        mode,
        source,
        fits,
        joins,
        alongside,
        session,
        peak,
        peak.filter(each -> each.bpm().isPresent())
            .flatMap(each -> PeakProposal.of(each.bpm().getAsInt(), maximum)),
        findings);
  }

  private static int minutes(LivePlan plan, int step) {
    boolean work = plan.steps().get(step).kind().exercise();
    return work ? 0 : plan.steps().get(step).seconds() / 60;
  }

  /** What was logged by hand of a session of that day in that activity. */
  private static Optional<SessionLog> logged(Studio studio, UUID client, LocalDate day, Mode mode) {
    return studio.store().logs().between(day, day).stream()
        .filter(each -> each.clientId().equals(client) && each.live().isEmpty())
        .map(Logged::log)
        .filter(log -> log.mode() == mode && log.trained())
        .findFirst();
  }

  private static List<Alongside> alongside(Studio studio, Brought brought) {
    DeviceRecording recording = brought.recording();
    List<Alongside> all = new ArrayList<>();
    int apart = Threshold.RECORDING_SAME_START.whole();
    Instant from = recording.startedAt().minusSeconds(OPENED_BEFORE);
    Instant to = recording.startedAt().plusSeconds(apart);
    for (Opened opened : studio.store().live().about(brought.clientId(), from, to)) {
      span(studio, opened)
          .filter(each -> recording.alongside(each.startedAt, each.seconds))
          .ifPresent(all::add);
    }
    return all;
  }

  /** From when to when a session was recorded; empty for one that never began or is still on. */
  private static Optional<Alongside> span(Studio studio, Opened opened) {
    List<LiveEvent> events =
        LiveSession.standing(studio.store().live().events(opened.id()), Instant.MAX);
    Optional<Instant> begun =
        events.stream().filter(LiveEvent.Begun.class::isInstance).map(LiveEvent::at).findFirst();
    Optional<Instant> ended =
        events.stream().filter(LiveEvent::ends).map(LiveEvent::at).findFirst();
    return begun.isEmpty() || ended.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Alongside(
                opened.id(),
                begun.get(),
                (int) Duration.between(begun.get(), ended.get()).toSeconds()));
  }

  /** The id of an event of a recording: it follows from both. */
  static Function<String, UUID> ids(Brought brought) {
    return what ->
        UUID.nameUUIDFromBytes((brought.id() + "/" + what).getBytes(StandardCharsets.UTF_8));
  }
}
