package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.outline.Outline.BandGoal;
import app.korvel.core.outline.StepKind;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.StopSign;
import app.korvel.core.trace.Samples;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.Uncertainty;
import app.korvel.store.LiveRepository.Opened;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LiveStoreTest {
  private static final Instant NOW = Instant.parse("2026-05-20T09:00:00Z");
  private static final Reserve SPAN = Reserve.of(64, 176);

  @TempDir private Path folder;
  private Database database;
  private LiveRepository live;
  private Client client;
  private Opened session;

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    live = new LiveRepository(database);
    client =
        new ClientRepository(database)
            .add(
                new UUID(1, 1),
                new Client.Details("Ada Nilsen", "", LocalDate.parse("1990-02-03"), Sex.FEMALE),
                NOW);
    session = opened(new UUID(2, 1));
    live.open(session);
  }

  @AfterEach
  void close() {
    database.close();
  }

  static LivePlan plan() {
    return new LivePlan(
        Mode.ROW,
        List.of(
            new PlanStep(
                StepKind.WORK,
                600,
                Optional.of(new Percents(50, 70)),
                Optional.of(
                    Aim.byRate(120, 142, Optional.of(new RpeSpan(12, 15)), Ladder.of(SPAN))),
                true),
            new PlanStep(StepKind.STRETCH, 300, Optional.empty(), Optional.empty(), false)),
        new Mover(
            Optional.of(Ladder.of(SPAN)),
            true,
            Set.of(EffortContext.NEW_TO_EXERCISE),
            IntensityGuide.TALK,
            OptionalInt.of(150),
            OptionalInt.of(14)),
        false,
        Optional.of(new BandGoal(Level.PHRASES, 5)),
        Optional.of(new LivePlan.Basis(Uncertainty.USUAL, "tanaka-208")));
  }

  private Opened opened(UUID id) {
    return new Opened(
        id,
        client.id(),
        Optional.of(12),
        RateSource.STRAP,
        10,
        Optional.of("SPIKES"),
        NOW,
        plan(),
        true);
  }

  private static UUID id(int n) {
    return new UUID(3, n);
  }

  @Test
  void aSessionIsReadAsItWasOpened() {
    assertThat(live.get(session.id())).contains(session);
    assertThat(live.openNow()).containsExactly(session);
    live.setOpen(session.id(), false);
    assertThat(live.openNow()).isEmpty();
    assertThat(live.of(client.id(), 5)).hasSize(1);
  }

  @Test
  void everyKindOfEventIsReadAsItHappenedAndOnce() {
    List<LiveEvent> events =
        List.of(
            new LiveEvent.Begun(id(1), NOW),
            new LiveEvent.StepStarted(id(2), NOW),
            new LiveEvent.StepEnded(id(3), NOW, 2),
            new LiveEvent.StepBack(id(4), NOW, 3),
            new LiveEvent.Lengthened(id(5), NOW, 2, -60),
            new LiveEvent.Paused(id(6), NOW),
            new LiveEvent.Resumed(id(7), NOW),
            new LiveEvent.Rated(id(8), NOW, OptionalInt.of(13), OptionalInt.empty()),
            new LiveEvent.Counted(id(9), NOW, 33, CountWindow.S15),
            new LiveEvent.ReadOff(id(10), NOW, 131),
            new LiveEvent.SourceChanged(id(11), NOW, RateSource.COUNT),
            new LiveEvent.WorkResumed(id(12), NOW),
            new LiveEvent.Stopped(id(13), NOW, StopSign.DIZZY),
            new LiveEvent.Ended(id(14), NOW, LiveEvent.Reason.TIRED),
            new LiveEvent.Withdrawn(id(15), NOW, id(14)),
            new LiveEvent.Seen(id(16), NOW),
            new LiveEvent.StrapGiven(id(17), NOW, "Strap 4", true),
            new LiveEvent.StrapDoubted(id(18), NOW),
            new LiveEvent.StrapsSwapped(id(19), NOW, id(90), NOW.minusSeconds(40)),
            new LiveEvent.EffortEnded(id(20), NOW, RecoveryPosture.ARMS_UP),
            new LiveEvent.EffortResumed(id(21), NOW));
    assertThat(events).extracting(LiveEvent::kind).containsAll(List.of(LiveEvent.Kind.values()));
    for (LiveEvent event : events) {
      assertThat(live.add(session.id(), event, NOW)).isTrue();
      assertThat(live.add(session.id(), event, NOW)).isFalse();
    }
    assertThat(live.events(session.id())).isEqualTo(events);
    assertThat(events).hasSize(LiveEvent.Kind.values().length);
    live.open(opened(new UUID(2, 2)));
    assertThatThrownBy(() -> live.add(new UUID(2, 2), events.get(0), NOW))
        .isInstanceOf(InvalidValueException.class);
  }

  /** A strap that is a few hundredths late or early, as straps are. */
  private static Samples stretch(Random random, int from, int seconds) {
    int[] at = new int[seconds];
    int[] bpm = new int[seconds];
    for (int n = 0; n < seconds; n++) {
      at[n] = 1000 * (from + n) + 10 * random.nextInt(5);
      bpm[n] = 130 + random.nextInt(3);
    }
    return new Samples(NOW, at, bpm);
  }

  @Test
  void samplesAreTakenOnceAndReadInTheOrderOfTheirTimes() {
    Random random = new Random(7);
    Samples first = stretch(random, 0, 10);
    Samples second = stretch(random, 10, 10);
    assertThat(live.add(session.id(), 9, second)).isTrue();
    assertThat(live.add(session.id(), 4, first)).isTrue();
    assertThat(live.add(session.id(), 9, second)).isFalse();
    Samples all = first.with(second.at(), second.bpm());
    assertThat(live.samples(session.id(), NOW)).isEqualTo(all);
    live.putTogether(session.id());
    assertThat(live.samples(session.id(), NOW)).isEqualTo(all);
    assertThat(live.add(session.id(), 4, first)).isFalse();
    assertThat(live.samples(session.id(), NOW)).isEqualTo(all);
  }

  @Test
  void aLongRecordingTakesHardlyMoreThanAByteASample() {
    Random random = new Random(7);
    Samples all = Samples.none(NOW);
    for (int n = 0; n < 3600; n++) {
      Samples next = stretch(random, n, 1);
      live.add(session.id(), 1_000_000L + n, next);
      all = all.with(next.at(), next.bpm());
    }
    assertThat(live.samples(session.id(), NOW)).isEqualTo(all);
    int bytes = SampleCodec.encode(all.at(), all.bpm()).length;
    assertThat(bytes).isLessThan(3600 * 3 / 2);
  }

  @Test
  void anythingThatIsWrittenIsReadAgain() {
    Random random = new Random(3);
    for (int round = 0; round < 200; round++) {
      int[] at = new int[random.nextInt(40)];
      int[] bpm = new int[at.length];
      int now = 0;
      for (int n = 0; n < at.length; n++) {
        now += 10 * random.nextInt(random.nextBoolean() ? 300 : 300_000);
        at[n] = now;
        bpm[n] = random.nextInt(241);
      }
      Samples samples = new Samples(NOW, at, bpm);
      assertThat(SampleCodec.decode(SampleCodec.encode(at, bpm), NOW)).isEqualTo(samples);
    }
    List<Long> numbers = List.of(0L, 1L, 2L, 7L, 9_007_199_254_740_990L, 9_007_199_254_740_991L);
    assertThat(SampleCodec.decodeRuns(SampleCodec.encodeRuns(numbers))).isEqualTo(numbers);
  }

  @Test
  void whoIsErasedTakesTheirSessionsAlong() {
    live.add(session.id(), new LiveEvent.Begun(id(1), NOW), NOW);
    live.add(session.id(), 1, stretch(new Random(1), 0, 5));
    new ClientRepository(database).erase(client.id(), client.version());
    for (String table : List.of("live_session", "live_event", "live_chunk", "live_recording")) {
      assertThat(database.list(row -> row.getInt(1), "select count(*) from " + table))
          .containsExactly(0);
    }
  }
}
