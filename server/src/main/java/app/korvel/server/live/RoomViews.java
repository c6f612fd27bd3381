package app.korvel.server.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.Attention;
import app.korvel.core.live.Cues;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LiveFinding;
import app.korvel.core.live.LivePrompt;
import app.korvel.core.live.LiveSession;
import app.korvel.core.live.RoomClock;
import app.korvel.core.live.SwapQuestion;
import app.korvel.core.measure.Finding;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Run;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.server.live.LiveViews.FaultOption;
import app.korvel.server.live.LiveViews.LegView;
import app.korvel.server.live.LiveViews.LiveStep;
import app.korvel.server.live.LiveViews.LoggedAs;
import app.korvel.server.live.LiveViews.UndoView;
import app.korvel.server.live.SampleViews.StopSignOption;
import app.korvel.studio.live.LiveSessions.LiveNow;
import app.korvel.studio.live.OpenRoom;
import app.korvel.studio.live.Rooms.Present;
import app.korvel.studio.live.Rooms.RoomNow;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Rooms, as they are received and sent. */
final class RoomViews {
  private RoomViews() {}

  /** So many seconds of the rate are drawn behind the pointer. */
  private static final int TAIL_SECONDS = 30;

  /**
   * Somebody who is here.
   *
   * @param strap what their strap is known by; null where they are given none yet
   * @param source null for a strap
   * @param simulated the fault of a simulated strap; null where a person wears one
   */
  record RoomPersonRequest(
      UUID clientId,
      @Nullable String strap,
      @Nullable RateSource source,
      SimulatedStrap.@Nullable Fault simulated) {
    OpenRoom.Person person() {
      return new OpenRoom.Person(
          clientId,
          Optional.ofNullable(strap).filter(given -> !given.isBlank()),
          source == null ? RateSource.STRAP : source,
          Optional.ofNullable(simulated));
    }
  }

  /**
   * A room that is to be opened.
   *
   * @param outline id of an outline that all do; null where each does their own session
   * @param speed null for the clock's own
   */
  record RoomRequest(
      List<RoomPersonRequest> people, @Nullable String outline, @Nullable Integer speed) {}

  /** A simulated room that is to be seen at work; the first of them have the troubles. */
  record SimulatedRoomRequest(
      int people,
      @Nullable List<SimulatedStrap.Fault> troubles,
      @Nullable String outline,
      @Nullable Integer speed) {}

  /** How somebody is shown on the wall; a null nickname shows the name. */
  record OnWallRequest(@Nullable String nickname, boolean rate) {}

  /** A room in a list. */
  record RoomRow(UUID id, Instant openedAt, boolean open, int people) {}

  /** Somebody who could be in a room: ready, or why not. */
  record RoomCandidate(
      UUID clientId,
      String name,
      boolean ready,
      boolean before,
      @Nullable Finding whyNot,
      @Nullable String lastStrap) {}

  /** A strap that is known, whose it was last, and who wears it now. */
  record StrapView(
      String strap, UUID lastClientId, String lastName, Instant lastAt, @Nullable String wornBy) {}

  /** An outline that all could do. */
  record OutlineChoice(String id, String name, int minutes) {}

  /** A trouble that somebody simulated can have. */
  record RoomStart(
      List<RoomCandidate> people,
      List<StrapView> straps,
      List<OutlineChoice> outlines,
      List<RoomRow> open,
      List<FaultOption> troubles,
      int most) {}

  /**
   * What somebody in a room does, which does not change while it runs.
   *
   * @param restingBpm null where no rate leads, and {@code maximumBpm} likewise
   */
  record RoomPerson(
      UUID session,
      UUID clientId,
      String name,
      int place,
      @Nullable String nickname,
      boolean wallRate,
      List<LiveStep> steps,
      @Nullable Integer restingBpm,
      @Nullable Integer maximumBpm,
      @Nullable Integer capPercent,
      boolean simulated,
      List<String> stopAlso) {}

  /** Where a level of effort begins, in percent of reserve. */
  record LevelFrom(int level, int percent) {
    static final List<LevelFrom> ALL =
        Arrays.stream(Level.values())
            .map(each -> new LevelFrom(each.number(), each.fromPercent()))
            .toList();
  }

  /**
   * What a room is.
   *
   * @param soundsApartSeconds between two sounds, at least
   */
  record RoomSheet(
      UUID id,
      Instant openedAt,
      int speed,
      List<LiveStep> steps,
      List<RoomPerson> people,
      List<StopSignOption> stopSigns,
      String stopAction,
      List<LevelFrom> levels,
      int soundsApartSeconds) {}

  /** A way to recover. */
  record PostureOption(RecoveryPosture posture, String name) {
    static final List<PostureOption> ALL =
        Arrays.stream(RecoveryPosture.values())
            .map(each -> new PostureOption(each, each.displayName()))
            .toList();
  }

  /** What somebody needs. */
  record Needs(
      Attention.What what, String words, int sinceSecond, boolean seen, boolean canBeSeen) {
    static Needs of(Attention attention) {
      return new Needs(
          attention.what(),
          attention.what().words(),
          attention.sinceSecond(),
          attention.seen(),
          attention.what().canBeSeen());
    }
  }

  /** A cue with its reason. */
  record LaneCue(Cues.Kind kind, boolean overCap, String because) {}

  /** An effort that has ended, and the set is not on again. */
  record Resting(RecoveryPosture posture, Instant since) {}

  /**
   * Somebody as they stand.
   *
   * @param percent of reserve; null without a rate, or where none leads
   * @param level of the rate, 1 to 5; null likewise
   * @param tail the last half minute of the rate, in percent of reserve; 0 for none
   * @param leg the step that is on; null where none is
   * @param recordedUntil when the last sample was taken; when it was opened, before the first
   */
  record Lane(
      UUID session,
      LiveSession.Phase phase,
      Instant recordedUntil,
      @Nullable Integer bpm,
      @Nullable Integer percent,
      @Nullable Integer level,
      int[] tail,
      @Nullable LaneCue cue,
      @Nullable LegView leg,
      int legs,
      long ranMillis,
      int second,
      int secondsWithoutSignal,
      boolean workStopped,
      boolean inDoubt,
      @Nullable String strap,
      RateSource source,
      @Nullable Integer rpe20,
      @Nullable Integer voice,
      @Nullable Integer counted,
      List<LivePrompt> prompts,
      @Nullable Needs needs,
      @Nullable Resting resting,
      @Nullable String endedBecause,
      @Nullable UndoView undo,
      @Nullable LoggedAs log) {

    static Lane of(Present person, Optional<Attention> attention, Optional<String> strap) {
      LiveNow stands = person.stands();
      LiveSession session = stands.session();
      Cues.Standing standing = session.cues().standing();
      Optional<Reserve> reserve = session.plan().mover().reserve();
      int second = session.trace().seconds();
      Integer bpm =
          LiveViews.number(
              session.run().isPresent() ? session.trace().smoothed(second) : stands.latestBpm());
      int[] tail = new int[Math.min(TAIL_SECONDS, second)];
      for (int n = 0; n < tail.length; n++) {
        int rate = session.trace().smoothed(second - tail.length + 1 + n).orElse(0);
        tail[n] = rate == 0 ? 0 : reserve.map(span -> percent(rate, span)).orElse(0);
      }
      Optional<Leg> leg = session.run().flatMap(Run::current);
      return new Lane(
          person.member().session(),
          session.phase(),
          stands.recordedUntil(),
          bpm,
          bpm == null ? null : reserve.map(span -> percent(bpm, span)).orElse(null),
          bpm == null
              ? null
              : session.plan().mover().ladder().map(each -> each.at(bpm).number()).orElse(null),
          tail,
          standing
              .cue()
              .filter(cue -> session.over().isEmpty())
              .map(cue -> new LaneCue(cue.kind(), cue.overCap(), cue.because().message()))
              .orElse(null),
          leg.map(LegView::of).orElse(null),
          session.run().map(Run::leg).orElse(0),
          leg.map(on -> on.ran(session.at()).toMillis()).orElse(0L),
          second,
          standing.secondsWithoutSignal(),
          standing.stopped(),
          session.inDoubt(),
          strap.orElse(null),
          session.source(),
          LiveViews.number(standing.rpe20()),
          LiveViews.number(standing.voice()),
          LiveViews.number(standing.counted()),
          session.prompts().stream().map(LiveSession.PromptDue::what).toList(),
          attention.map(Needs::of).orElse(null),
          session
              .recoveringSince()
              .filter(ended -> session.over().isEmpty())
              .map(ended -> new Resting(ended.posture(), ended.at()))
              .orElse(null),
          session.over().map(LiveEvent::words).orElse(null),
          UndoView.last(session.events()),
          stands.log().map(LoggedAs::of).orElse(null));
    }

    /** Of reserve; a rate under rest is at 0. */
    private static int percent(int bpm, Reserve reserve) {
      return Math.max(
          1, Math.round(100f * (bpm - reserve.restingBpm()) / Math.max(1, reserve.bpm())));
    }
  }

  /** Two who may wear each other's straps. */
  record SwapView(UUID one, UUID other, Instant from, Finding finding) {
    static SwapView of(SwapQuestion question, String one, String other) {
      return new SwapView(
          question.one(),
          question.other(),
          question.from(),
          LiveFinding.SWAPPED_QUESTION.of(one, other));
    }
  }

  /**
   * The room's own clock.
   *
   * @param second since it was started
   * @param leg the step that all do; null where each does their own
   */
  record RoomTime(
      Instant now,
      @Nullable Instant begunAt,
      boolean paused,
      @Nullable Instant endedAt,
      int second,
      @Nullable LegView leg,
      int legs,
      long ranMillis,
      @Nullable UndoView undo) {
    static RoomTime of(RoomClock clock) {
      Optional<Leg> leg =
          clock.steps().isEmpty() ? Optional.empty() : clock.run().flatMap(Run::current);
      Instant until = clock.over().map(LiveEvent::at).orElse(clock.at());
      return new RoomTime(
          clock.at(),
          clock.begunAt().orElse(null),
          clock.paused().isPresent(),
          clock.over().map(LiveEvent::at).orElse(null),
          clock.begunAt().map(begun -> (int) Duration.between(begun, until).toSeconds()).orElse(0),
          leg.map(LegView::of).orElse(null),
          clock.run().map(Run::leg).orElse(0),
          leg.map(on -> on.ran(clock.at()).toMillis()).orElse(0L),
          UndoView.last(clock.events()));
    }
  }

  /**
   * A room as it stands.
   *
   * @param lanes of those who changed; at first of all
   * @param queue everybody, in the order in which they need somebody
   */
  record RoomState(
      UUID id, RoomTime time, List<Lane> lanes, List<UUID> queue, List<SwapView> questions) {

    static RoomState of(RoomNow room, List<Lane> lanes, List<SwapView> questions) {
      return new RoomState(
          room.room().id(),
          RoomTime.of(room.clock()),
          lanes,
          room.queue().stream().map(Attention.Queued::session).toList(),
          questions);
    }
  }

  /** All of a room. */
  record RoomView(RoomSheet sheet, RoomState state) {}

  /** What is pushed to whoever looks at a room. */
  record RoomPush(RoomState room) {}

  /** How many were logged. */
  record RoomLogged(int logged) {}
}
