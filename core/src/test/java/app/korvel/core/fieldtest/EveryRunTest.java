package app.korvel.core.fieldtest;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.fieldtest.FieldTestEvent.Kind;
import app.korvel.core.fieldtest.FieldTestRun.Bout;
import app.korvel.core.fieldtest.FieldTestRun.Phase;
import app.korvel.core.fieldtest.FieldTestRun.Reading;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.PulseSource;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Whatever is entered, at whatever moment: what is accepted makes a run that could have been. */
class EveryRunTest {
  private static final Instant START = Instant.parse("2026-05-20T09:00:00Z");
  private static final int RUNS = 150;
  private static final int ENTRIES = 60;

  private static FieldTestEvent anything(Random random, Instant at, FieldTestRun run, UUID id) {
    Kind kind = Kind.values()[random.nextInt(Kind.values().length)];
    // Ends are rare, or no run would come far.
    boolean ends = kind == Kind.FINISHED || kind == Kind.STOPPED || kind == Kind.BOUT_ENDED;
    if (ends && random.nextInt(12) > 0) {
      kind = Kind.READING;
    }
    return switch (kind) {
      case READING ->
          FieldTestEvent.reading(
              id,
              at,
              50 + random.nextInt(190),
              PulseSource.values()[random.nextInt(PulseSource.values().length)]);
      case ANSWERED -> FieldTestEvent.answered(id, at, random.nextInt(5), random.nextBoolean());
      case TAKEN_BACK -> FieldTestEvent.takenBack(id, at, taken(random, run, id));
      case STOPPED -> FieldTestEvent.stopped(id, at, random.nextBoolean() ? "dizzy" : " ");
      default -> FieldTestEvent.of(id, at, kind);
    };
  }

  private static UUID taken(Random random, FieldTestRun run, UUID otherwise) {
    List<UUID> known = new ArrayList<>(run.overBy().stream().toList());
    run.bouts().forEach(bout -> bout.readings().forEach(reading -> known.add(reading.id())));
    return known.isEmpty() ? otherwise : known.get(random.nextInt(known.size()));
  }

  @ParameterizedTest
  @EnumSource(FieldTestProtocol.class)
  void whatIsAcceptedCouldHaveBeen(FieldTestProtocol protocol) {
    Random random = new Random(protocol.ordinal());
    int accepted = 0;
    int graded = 0;
    for (int n = 0; n < RUNS; n++) {
      FieldTest test =
          FieldTest.begin(
              new UUID(1, n),
              protocol,
              protocol.modes().get(0),
              random.nextInt(20),
              EnumSet.allOf(Assurance.class),
              START);
      List<FieldTestEvent> events = new ArrayList<>();
      Instant at = START;
      for (int i = 0; i < ENTRIES; i++) {
        at = at.plusSeconds(random.nextInt(100));
        FieldTestRun run = FieldTestRun.of(test, events);
        FieldTestEvent event = anything(random, at, run, new UUID(n + 2L, i));
        try {
          run.check(event, at);
          events.add(event);
          accepted++;
        } catch (InvalidValueException refused) {
          assertThat(refused.faults())
              .allSatisfy(fault -> assertThat(fault.accepted()).isNotBlank());
        }
        couldHaveBeen(FieldTestRun.of(test, events), at);
      }
      graded += FieldTestResult.of(FieldTestRun.of(test, events)).peak().isPresent() ? 1 : 0;
    }
    assertThat(accepted).isGreaterThan(RUNS);
    assertThat(graded).isPositive();
  }

  private static void couldHaveBeen(FieldTestRun run, Instant now) {
    FieldTestProtocol protocol = run.test().protocol();
    List<Bout> bouts = run.bouts();
    assertThat(bouts.size()).isLessThanOrEqualTo(protocol.mostBouts());
    Instant free = run.test().warmedUpAt();
    for (Bout bout : bouts) {
      assertThat(bout.startedAt()).isAfterOrEqualTo(free);
      assertThat(Duration.between(bout.startedAt(), bout.endsAt()))
          .isLessThanOrEqualTo(protocol.bout());
      for (Reading reading : bout.readings()) {
        assertThat(reading.at())
            .isBetween(bout.startedAt(), bout.startedAt().plus(protocol.bout()).plusSeconds(45));
        assertThat(reading.bpm()).isBetween(60, 230);
        assertThat(FieldTestRun.SOURCES).contains(reading.source());
      }
      free = bout.endsAt().plus(protocol.restAtLeast());
    }
    FieldTestRun.RunStatus stand = run.at(now);
    assertThat(stand.bout()).isEqualTo(bouts.size());
    assertThat(stand.since()).isBeforeOrEqualTo(now);
    assertThat(stand.mayStart())
        .isEqualTo(
            (stand.phase() == Phase.READY
                    || stand.phase() == Phase.REST && bouts.size() < protocol.mostBouts())
                && !now.isBefore(free));
    FieldTestResult result = FieldTestResult.of(run);
    result
        .peak()
        .ifPresent(
            peak -> {
              assertThat(run.stoppedAt()).isEmpty();
              assertThat(peak.counts()).isTrue();
              assertThat(bouts)
                  .allSatisfy(
                      bout ->
                          assertThat(bout.peak().map(Reading::bpm).orElse(0))
                              .isLessThanOrEqualTo(peak.bpm()));
            });
    if (result.grade() == Grade.GOOD) {
      assertThat(result.departures()).isEmpty();
      assertThat(bouts.size()).isGreaterThanOrEqualTo(protocol.fewestBouts());
    }
  }
}
