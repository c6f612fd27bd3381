package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.trace.DeviceRecording;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;

/** A recording that was made elsewhere, as a session on the clock. */
public final class BroughtIn {
  /** The most that one event makes a step longer or shorter, in seconds. */
  private static final int MOST_CHANGE = 3600;

  private BroughtIn() {}

  /** What it comes to, laid on its plan ({@link LivePlan#elsewhere}). */
  public static LiveSession session(
      DeviceRecording recording, LivePlan plan, RateSource source, Function<String, UUID> ids) {
    return LiveSession.of(
        plan,
        source,
        events(recording, plan, ids),
        Recording.of(
            recording.samples(),
            new Recording.Device(recording.sparse(), recording.stepsBySecond(), true)),
        recording.endedAt());
  }

  /**
   * What happened, as far as it is known: it began, its work was as long as what lies between
   * warm-up and cool-down, and it ended.
   *
   * @param ids the id of an event, by what it is called among those of the recording
   */
  public static List<LiveEvent> events(
      DeviceRecording recording, LivePlan plan, Function<String, UUID> ids) {
    List<PlanStep> steps = plan.steps();
    int work = 0;
    while (!steps.get(work).kind().exercise()) {
      work++;
    }
    int before = seconds(steps.subList(0, work));
    int asked = before + steps.get(work).seconds() + seconds(steps.subList(work + 1, steps.size()));
    Instant begun = recording.startedAt();
    List<LiveEvent> events = new ArrayList<>();
    events.add(new LiveEvent.Begun(ids.apply("begun"), begun));
    int longer = recording.length() - asked;
    for (int n = 0; longer != 0; n++) {
      int part = Math.max(-MOST_CHANGE, Math.min(MOST_CHANGE, longer));
      events.add(
          new LiveEvent.Lengthened(
              ids.apply("work" + n), begun.plusSeconds(before + 1L), work + 1, part));
      longer -= part;
    }
    events.add(
        new LiveEvent.Ended(ids.apply("ended"), recording.endedAt(), LiveEvent.Reason.PLANNED));
    return events;
  }

  private static int seconds(List<PlanStep> steps) {
    return steps.stream().mapToInt(PlanStep::seconds).sum();
  }
}
