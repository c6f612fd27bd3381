package app.korvel.studio.assessment;

import app.korvel.core.assessment.AssessmentFinding;
import app.korvel.core.assessment.ProposedMaximum;
import app.korvel.core.assessment.TalkSteps;
import app.korvel.core.assessment.TestKind;
import app.korvel.core.assessment.TimedTest;
import app.korvel.core.assessment.TimedTest.StepRow;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.talk.Hearing;
import app.korvel.core.talk.RateBy;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.zone.MeasuredThresholds;
import app.korvel.core.zone.ThresholdRates;
import app.korvel.store.AssessmentRepository.OpenedTest;
import app.korvel.store.RecordKind;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import app.korvel.studio.assessment.Assessments.TestNow;
import app.korvel.studio.talk.Circumstances;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;

/**
 * What came of a test where it is kept with others: talk thresholds and talk checks by themselves,
 * a maximum when somebody says so.
 */
public record KeepTestResult(Studio studio) {
  /** So many steps of a talk-step test are learned from. */
  private static final int STEPS = 10;

  private static final int PASSAGE_BACK = 1;

  /** Keeps what follows of a test that was closed, within the unit of work of a task. */
  void of(OpenedTest opened) {
    if (opened.clientId().isEmpty() || opened.plan().kind() != TestKind.TALK_STEPS) {
      return;
    }
    TimedTest test = new Assessments(studio).at(opened, studio.now()).timed().orElseThrow();
    Optional<TalkSteps> talk =
        test.result().flatMap(TimedTest.TimedResult::talk).filter(TalkSteps::serves);
    talk.ifPresent(
        steps -> {
          thresholds(opened, steps);
          checks(opened, test);
        });
  }

  private void thresholds(OpenedTest opened, TalkSteps steps) {
    if (steps.upperBpm().isEmpty()) {
      return;
    }
    Stamp stamp = studio.stamp();
    studio
        .store()
        .thresholds()
        .add(
            opened.clientId().orElseThrow(),
            new MeasuredThresholds(
                stamp.id(),
                opened.plan().mode(),
                MeasuredThresholds.Kind.TALK_STEPS,
                ThresholdRates.of(steps.lowerBpm().getAsInt(), steps.upperBpm().getAsInt()),
                LocalDate.ofInstant(opened.openedAt(), stamp.zone()),
                steps.grade(),
                String.join("; ", steps.departures()),
                Optional.of(opened.id()),
                stamp.at()));
  }

  private void checks(OpenedTest opened, TimedTest test) {
    UUID client = opened.clientId().orElseThrow();
    ClientHead head = studio.head(client);
    Circumstances day =
        Circumstances.of(
            studio,
            client,
            head.screening().person(),
            LocalDate.ofInstant(opened.openedAt(), studio.zone()));
    RateBy by =
        switch (opened.plan().source()) {
          case STRAP -> RateBy.STRAP;
          case WRIST -> RateBy.WRIST;
          case COUNT -> RateBy.count(CountWindow.S15);
        };
    List<StepRow> steps = test.steps();
    IntStream.range(0, Math.min(STEPS, steps.size()))
        .mapToObj(steps::get)
        .filter(step -> step.bpm().isPresent() && step.voice().isPresent())
        .forEach(
            step ->
                studio
                    .store()
                    .talk()
                    .add(
                        client,
                        new TalkCheck(
                            studio.nextId(),
                            opened.plan().mode(),
                            step.passageAt(),
                            new TalkCheck.Said(
                                step.bpm().getAsInt(), by, step.voice().getAsInt(), Hearing.HEARD),
                            Optional.empty(),
                            day.odd(),
                            day.doubts(),
                            Optional.of(new TalkCheck.TakenIn(opened.id(), true)),
                            "",
                            studio.now())));
  }

  /** Takes it back, where a closed test is opened again. */
  void withdraw(OpenedTest opened) {
    if (opened.clientId().isEmpty()) {
      return;
    }
    UUID client = opened.clientId().get();
    studio.store().thresholds().of(client).stream()
        .filter(each -> each.test().filter(opened.id()::equals).isPresent())
        .forEach(each -> withdraw(RecordKind.THRESHOLDS, client, each.id()));
    Instant since = opened.openedAt().minusSeconds(PASSAGE_BACK);
    studio.store().talk().checks(client, since).stream()
        .filter(check -> check.in().filter(in -> in.id().equals(opened.id())).isPresent())
        .forEach(
            check ->
                studio.store().talk().withdraw(client, check.id(), studio.nextId(), studio.now()));
    keptMaximum(opened).ifPresent(id -> withdraw(RecordKind.MAXIMA, client, id));
  }

  private void withdraw(RecordKind kind, UUID client, UUID record) {
    studio.store().ledger(kind).withdraw(client, record, studio.nextId(), studio.now());
  }

  /** The maximum on record that came of a test, if one did. */
  public Optional<UUID> keptMaximum(OpenedTest opened) {
    return opened
        .clientId()
        .flatMap(
            client ->
                studio.store().maxima().of(client).stream()
                    .filter(value -> value.test().filter(opened.id()::equals).isPresent())
                    .map(MeasuredMaximum::id)
                    .findFirst());
  }

  /**
   * Keeps the maximum that a graded test to exhaustion proposes; asked twice, it is kept once.
   *
   * @throws NotFoundException when there is no such test
   * @throws RefusedException when it gives none
   */
  public TestNow maximum(Actor who, UUID test) {
    return studio.write(
        who,
        () -> {
          TestNow stands = new Assessments(studio).get(test);
          OpenedTest opened = stands.opened();
          Optional<ProposedMaximum> proposal =
              stands
                  .graded()
                  .flatMap(ProposedMaximum::of)
                  .filter(each -> opened.clientId().isPresent());
          if (proposal.isEmpty()) {
            throw RefusedException.because(AssessmentFinding.TEST_NOTHING_TO_KEEP.of());
          }
          if (keptMaximum(opened).isEmpty()) {
            UUID client = opened.clientId().orElseThrow();
            ClientHead head = studio.openHead(client);
            Stamp stamp = studio.stamp();
            studio
                .store()
                .maxima()
                .add(
                    client,
                    MeasuredMaximum.of(
                        stamp.id(),
                        opened.plan().mode(),
                        MaximumKind.GRADED_TEST,
                        opened.plan().setup().words(),
                        Optional.of(proposal.get().grade()),
                        proposal.get().bpm(),
                        LocalDate.ofInstant(opened.openedAt(), stamp.zone()),
                        "",
                        Optional.of(opened.id()),
                        head.baseline().maximumRecord().restingBpm(),
                        stamp.at(),
                        stamp.zone()));
          }
          return stands;
        });
  }
}
