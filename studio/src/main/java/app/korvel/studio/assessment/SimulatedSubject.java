package app.korvel.studio.assessment;

import app.korvel.core.assessment.GradedProtocol;
import app.korvel.core.assessment.GradedSheet;
import app.korvel.core.assessment.GradedSheet.StageRow;
import app.korvel.core.assessment.OxygenCost;
import app.korvel.core.assessment.TestPerson;
import app.korvel.core.assessment.TestPosture;
import app.korvel.core.assessment.TimedTest;
import app.korvel.core.effort.EffortContext;
import app.korvel.core.forecast.Kinetics;
import app.korvel.core.zone.Reserve;
import app.korvel.sensor.HeartRatePacket;
import app.korvel.sensor.SimulatedBody;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.store.AssessmentRepository.OpenedTest;
import app.korvel.studio.assessment.Assessments.TestNow;
import app.korvel.studio.live.TakeSamples.Handed;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Somebody who is not there and does what a test asks for; their strap sends what a strap sends.
 */
public final class SimulatedSubject {
  /** Where nobody's reserve is known, one that could be anybody's. */
  private static final Reserve ANYBODY = Reserve.of(64, 176);

  /** What they could take up at most, ml·kg⁻¹·min⁻¹. */
  private static final double UPTAKE = 44;

  private static final double AT_REST = 3.5;
  private static final double STANDING = 0.06;
  private static final double AFTERWARDS = 0.02;
  private static final double TWO_MINUTES = 0.38;
  private static final double BENCH = 0.68;
  private static final double WALK = 0.55;
  private static final double FIRST_STEP = 0.38;
  private static final double EACH_STEP = 0.11;

  /** So many samples are handed in at once, at most. */
  private static final int MOST_SECONDS = 110;

  private final OpenedTest opened;
  private final SimulatedBody body;
  private final SimulatedStrap strap;
  private Instant sent;
  private long sequence;

  /**
   * Begins, or goes on where the recording of a test stands.
   *
   * @param own what they really have between rest and maximum; empty for what is reckoned with
   * @param recordedUntil when its last sample was taken; when it was opened, before the first
   */
  public SimulatedSubject(
      OpenedTest opened,
      Optional<Reserve> own,
      SimulatedStrap.Fault fault,
      long seed,
      Instant recordedUntil,
      int bpm) {
    TestPerson person = opened.plan().person();
    Reserve reserve = own.or(person::reserve).orElse(ANYBODY);
    this.opened = opened;
    this.body =
        new SimulatedBody(
            reserve,
            Kinetics.usual(!person.has(EffortContext.NEW_TO_EXERCISE)),
            bpm > 0 ? bpm : reserve.restingBpm() + 3);
    this.strap = new SimulatedStrap(seed, fault);
    this.sent = recordedUntil;
    this.sequence = Duration.between(opened.openedAt(), sent).toSeconds();
  }

  /** When the last sample was taken; when the test was opened, before the first. */
  Instant recordedUntil() {
    return sent;
  }

  /** Samples with their number. */
  public record Sent(long sequence, Handed handed) {}

  /** What the strap has sent by now, since it was asked last; empty where nothing has come. */
  public Optional<Sent> until(TestNow stands) {
    List<Instant> at = new ArrayList<>();
    List<Integer> bpm = new ArrayList<>();
    long number = sequence;
    Instant until = sent.plusSeconds(MOST_SECONDS);
    while (sent.isBefore(until) && !sent.plusSeconds(1).isAfter(stands.now())) {
      sent = sent.plusSeconds(1);
      sequence++;
      body.work(share(stands, sent));
      strap
          .next(body)
          .map(HeartRatePacket::bpmInContact)
          .ifPresent(
              rate -> {
                at.add(sent);
                bpm.add(rate);
              });
    }
    return at.isEmpty() ? Optional.empty() : Optional.of(new Sent(number, new Handed(at, bpm)));
  }

  /** How hard they work at a moment, as a share of reserve. */
  double share(TestNow stands, Instant moment) {
    return stands
        .graded()
        .map(sheet -> share(sheet, moment))
        .orElseGet(() -> share(stands.timed().orElseThrow(), moment));
  }

  private double share(GradedSheet sheet, Instant moment) {
    if (sheet.end().filter(end -> !moment.isBefore(end.at())).isPresent()) {
      return AFTERWARDS;
    }
    Optional<StageRow> stage =
        sheet.stages().stream()
            .filter(row -> !row.from().isAfter(moment))
            .reduce((before, after) -> after);
    if (stage.isEmpty()) {
      return sheet.posture().filter(TestPosture.STANDING::equals).isPresent() ? STANDING : 0;
    }
    return share(sheet.setup().protocol(), stage.get());
  }

  private double share(GradedProtocol protocol, StageRow stage) {
    BigDecimal kilograms = opened.plan().person().weightKg().orElse(BigDecimal.valueOf(75));
    double cost =
        protocol
            .stages()
            .get(stage.number() - 1)
            .work()
            .cost(Optional.of(kilograms), stage.reading().walked())
            .map(OxygenCost::vo2)
            .map(BigDecimal::doubleValue)
            .orElse(UPTAKE / 2);
    return Math.min(1, (cost - AT_REST) / (UPTAKE - AT_REST));
  }

  private double share(TimedTest test, Instant moment) {
    boolean working =
        test.begunAt().filter(from -> !from.isAfter(moment)).isPresent()
            && test.workEndedAt().filter(end -> !moment.isBefore(end)).isEmpty();
    if (!working) {
      return AFTERWARDS;
    }
    return switch (opened.plan().kind()) {
      case TWO_MINUTE -> TWO_MINUTES;
      case LOW_BENCH, HIGH_BENCH -> BENCH;
      case MILE -> WALK;
      case TALK_STEPS -> {
        long step = test.steps().stream().filter(row -> !row.from().isAfter(moment)).count();
        yield Math.min(1, FIRST_STEP + EACH_STEP * Math.max(0, step - 1));
      }
      case GRADED -> 0;
    };
  }
}
