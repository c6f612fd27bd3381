package app.korvel.server.assessment;

import static app.korvel.server.assessment.AssessmentCalculatorViews.number;
import static app.korvel.server.assessment.AssessmentCalculatorViews.optional;

import app.korvel.core.assessment.Baseline;
import app.korvel.core.assessment.GradedRecovery;
import app.korvel.core.assessment.GradedSheet;
import app.korvel.core.assessment.GradedSheet.RecoveryRow;
import app.korvel.core.assessment.GradedSheet.StageRow;
import app.korvel.core.assessment.LaboratoryUptake;
import app.korvel.core.assessment.OxygenCost;
import app.korvel.core.assessment.PracticeReview;
import app.korvel.core.assessment.PracticeSubject;
import app.korvel.core.assessment.ProposedMaximum;
import app.korvel.core.assessment.Retest;
import app.korvel.core.assessment.TestEligibility;
import app.korvel.core.assessment.TestEvent;
import app.korvel.core.assessment.TestEvents;
import app.korvel.core.assessment.TestKind;
import app.korvel.core.assessment.TestOutcome;
import app.korvel.core.assessment.TestPlan;
import app.korvel.core.assessment.TestPosture;
import app.korvel.core.assessment.TestPrompt;
import app.korvel.core.assessment.TestTarget;
import app.korvel.core.assessment.TimedTest;
import app.korvel.core.assessment.Vitals;
import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.screening.StopSign;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.server.assessment.ProtocolViews.ProtocolView;
import app.korvel.server.live.SampleViews.StopSignOption;
import app.korvel.server.live.SampleViews.TraceView;
import app.korvel.server.web.Within;
import app.korvel.studio.Stamp;
import app.korvel.studio.assessment.Assessments.TestNow;
import app.korvel.studio.assessment.OpenTest;
import app.korvel.studio.assessment.PractiseTest;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Tests as they are received and sent. */
final class TestViews {
  private TestViews() {}

  // Before one is opened.

  /** One of a few words to choose from. */
  record Option(String id, String name) {
    static <E extends Enum<E>> Option of(E value, String name) {
      return new Option(value.name().toLowerCase(Locale.ROOT).replace('_', '-'), name);
    }
  }

  /**
   * A test that could be done.
   *
   * @param hard whether they may go as hard as it asks
   * @param needsOrder whether a graded test needs a written order
   * @param paces cycles a minute, of a bench
   */
  record TestOption(
      TestKind kind,
      String name,
      String summary,
      List<String> steps,
      boolean open,
      boolean onlyToday,
      boolean hard,
      boolean needsOrder,
      List<Integer> paces,
      List<Finding> findings) {
    static TestOption of(TestEligibility eligibility) {
      TestKind kind = eligibility.kind();
      return new TestOption(
          kind,
          kind.displayName(),
          kind.summary(),
          kind.steps(),
          eligibility.open(),
          eligibility.onlyToday(),
          eligibility.hard(),
          eligibility.needsOrder(),
          kind.bench().map(bench -> bench.paces()).orElse(List.of()),
          eligibility.findings());
    }
  }

  /**
   * A target that is offered.
   *
   * @param bpm what it comes to, never over the cap
   */
  record TargetOption(TestTarget.Kind kind, int value, int bpm, String words) {}

  /** A test in a list. */
  record TestRow(
      UUID id,
      @Nullable UUID clientId,
      String clientName,
      TestKind kind,
      String name,
      String setup,
      Instant openedAt,
      boolean open,
      List<String> figures) {}

  /** A VO₂max of a laboratory. */
  record LaboratoryView(
      UUID id, Mode mode, BigDecimal vo2max, LocalDate measuredOn, String laboratory, String note) {
    static LaboratoryView of(LaboratoryUptake result) {
      return new LaboratoryView(
          result.id(),
          result.mode(),
          result.vo2max(),
          result.measuredOn(),
          result.laboratory(),
          result.note());
    }
  }

  record LaboratoryRequest(
      Mode mode,
      BigDecimal vo2max,
      LocalDate measuredOn,
      String laboratory,
      @Nullable String note) {
    LaboratoryUptake result(Stamp stamp) {
      return new LaboratoryUptake(
          stamp.id(), mode, vo2max, measuredOn, laboratory, note == null ? "" : note, stamp.at());
    }
  }

  /**
   * What may be done with a client, and what was.
   *
   * @param targets by mode, for a graded test
   * @param capBpm null where there is none
   * @param exclusions of a graded test: any of them forbids it
   * @param faults a simulated strap can have
   * @param running the test that is on; null where none is
   * @param tests those before, latest first
   */
  record TestStart(
      String clientName,
      List<TestOption> options,
      List<Option> activities,
      List<ProtocolView> protocols,
      List<ModeTargets> targets,
      @Nullable Integer capBpm,
      List<String> exclusions,
      List<Option> faults,
      List<Integer> speeds,
      @Nullable UUID running,
      List<TestRow> tests,
      List<LaboratoryView> laboratory) {
    static final List<Option> ACTIVITIES =
        Arrays.stream(TestPlan.Activity.values())
            .map(each -> Option.of(each, each.displayName()))
            .toList();

    static final List<Option> FAULTS =
        Arrays.stream(SimulatedStrap.Fault.values())
            .filter(SimulatedStrap.Fault::ofStrap)
            .map(each -> Option.of(each, each.displayName()))
            .toList();
  }

  /** The targets in a mode; none where no rate is used there. */
  record ModeTargets(Mode mode, List<TargetOption> targets) {}

  record TestTargetChoice(TestTarget.Kind kind, Integer value) {}

  record OrderRequest(
      String issuer, LocalDate issuedOn, @Nullable @Within(Limit.EFFORT) Integer rpeEnds) {}

  /**
   * A test that is to be opened; what does not belong to its kind is left out.
   *
   * @param present whether somebody stays present the whole time
   * @param noneOfThese of a graded test: the one question, answered
   */
  record TestRequest(
      TestKind kind,
      RateSource source,
      TestPlan.@Nullable Activity activity,
      @Nullable Integer metronome,
      @Nullable TestPosture posture,
      @Nullable Integer pace,
      @Nullable Mode mode,
      @Nullable String ladder,
      @Nullable String protocol,
      @Nullable TestTargetChoice target,
      @Nullable Boolean exhaustion,
      @Nullable String supervisor,
      @Nullable OrderRequest order,
      @Nullable Boolean noneOfThese,
      SimulatedStrap.@Nullable Fault simulated,
      @Nullable Integer speed,
      @Nullable Boolean present) {

    OpenTest.Wanted wanted() {
      return new OpenTest.Wanted(
          kind,
          source,
          new OpenTest.Timed(
              Optional.ofNullable(activity),
              optional(metronome),
              Optional.ofNullable(posture),
              optional(pace),
              Optional.ofNullable(mode),
              ladder == null ? "" : ladder),
          kind == TestKind.GRADED ? Optional.of(graded()) : Optional.empty(),
          Optional.ofNullable(simulated),
          speed == null ? 1 : speed,
          Boolean.TRUE.equals(present));
    }

    private OpenTest.Graded graded() {
      return new OpenTest.Graded(
          need("protocol", protocol),
          Optional.ofNullable(target).map(aim -> new OpenTest.Target(aim.kind, aim.value)),
          Boolean.TRUE.equals(exhaustion),
          supervisor == null ? "" : supervisor,
          posture == null ? TestPosture.LYING : posture,
          Optional.ofNullable(order)
              .map(each -> new TestPlan.Order(each.issuer, each.issuedOn, optional(each.rpeEnds))),
          Boolean.TRUE.equals(noneOfThese));
    }
  }

  private static <T> T need(String field, @Nullable T value) {
    if (value == null) {
      throw InvalidValueException.of(field, "is missing", "a value for this kind of event");
    }
    return value;
  }

  // While it is on.

  /** Something that happened; what does not belong to its kind is left out. */
  record TestEventRequest(
      Instant at,
      TestEvent.Kind kind,
      @Nullable Integer bpm,
      @Nullable Integer beats,
      @Nullable Integer windowSeconds,
      @Nullable Integer systolic,
      @Nullable Integer diastolic,
      @Nullable Instant cuffAt,
      @Nullable Integer rpe20,
      @Nullable Integer voice,
      @Nullable Integer repetitions,
      @Nullable Integer stage,
      @Nullable Boolean yes,
      @Nullable TestPosture posture,
      TestEvent.@Nullable Reason reason,
      @Nullable StopSign sign,
      @Nullable String words,
      @Nullable UUID of) {

    TestEvent event(UUID id) {
      String said = words == null ? "" : words;
      return switch (kind) {
        case BEGUN -> new TestEvent.Begun(id, at);
        case ENDED ->
            new TestEvent.Ended(id, at, need("reason", reason), Optional.ofNullable(sign), said);
        case POSTURE -> new TestEvent.Posture(id, at, need("posture", posture));
        case READ_OFF -> new TestEvent.ReadOff(id, at, need("bpm", bpm));
        case COUNTED ->
            new TestEvent.Counted(
                id, at, need("beats", beats), CountWindow.of(need("windowSeconds", windowSeconds)));
        case CUFF_STARTED -> new TestEvent.CuffStarted(id, at);
        case PRESSURE ->
            new TestEvent.Pressure(
                id,
                at,
                new BloodPressure(need("systolic", systolic), need("diastolic", diastolic)),
                cuffAt == null ? at : cuffAt);
        case RATED -> new TestEvent.Rated(id, at, need("rpe20", rpe20));
        case SPOKEN -> new TestEvent.Spoken(id, at, need("voice", voice));
        case REPEATED -> new TestEvent.Repeated(id, at, need("repetitions", repetitions));
        case SYMPTOMS -> new TestEvent.Symptoms(id, at, need("yes", yes), said);
        case WALKED -> new TestEvent.Walked(id, at, need("stage", stage), need("yes", yes));
        case RAIL_HELD -> new TestEvent.RailHeld(id, at, need("yes", yes));
        case LEFT_OUT -> new TestEvent.LeftOut(id, at, said);
        case PACE_KEPT -> new TestEvent.PaceKept(id, at, need("yes", yes));
        case CLOSED -> new TestEvent.Closed(id, at, Boolean.TRUE.equals(yes));
        case WITHDRAWN -> new TestEvent.Withdrawn(id, at, need("of", of));
      };
    }
  }

  /**
   * What a test is, which does not change while it runs.
   *
   * @param clientId null for practice on somebody who is not there
   * @param heard for practice: whether pressures are judged by their sounds; null for a client
   * @param metronome beats a minute; null where none runs
   * @param workSeconds null where that depends
   * @param targetBpm null without one
   * @param aim the target, or the lack of one, in words
   */
  record TestSheet(
      UUID id,
      @Nullable UUID clientId,
      String clientName,
      TestKind kind,
      String name,
      String setup,
      List<String> steps,
      Mode mode,
      RateSource source,
      int speed,
      boolean simulated,
      @Nullable Boolean heard,
      Instant openedAt,
      @Nullable Integer metronome,
      @Nullable Integer workSeconds,
      @Nullable Integer capBpm,
      @Nullable Integer restingBpm,
      @Nullable Integer maximumBpm,
      @Nullable Integer targetBpm,
      boolean exhaustion,
      @Nullable String supervisor,
      @Nullable TestPosture recoveryPosture,
      @Nullable ProtocolView protocol,
      List<Finding> aim,
      List<StopSignOption> stopSigns,
      String stopAction) {}

  /** Rate, pressure and RPE, as far as they are there. */
  record VitalsView(
      @Nullable Integer bpm,
      @Nullable Integer systolic,
      @Nullable Integer diastolic,
      @Nullable Integer rpe20) {
    static VitalsView of(Vitals vitals) {
      return new VitalsView(
          number(vitals.bpm()),
          vitals.pressure().map(BloodPressure::systolic).orElse(null),
          vitals.pressure().map(BloodPressure::diastolic).orElse(null),
          number(vitals.rpe20()));
    }
  }

  record BaselineRow(TestPosture posture, String name, VitalsView vitals) {
    static List<BaselineRow> all(Baseline baseline) {
      return Arrays.stream(TestPosture.values())
          .filter(baseline.readings()::containsKey)
          .map(
              posture ->
                  new BaselineRow(
                      posture,
                      posture.displayName(),
                      VitalsView.of(baseline.readings().get(posture))))
          .toList();
    }
  }

  /**
   * A stage that was begun.
   *
   * @param walked null where nobody said
   * @param met null where it cannot be told
   */
  record StageState(
      int number,
      String words,
      Instant from,
      @Nullable Instant until,
      boolean ended,
      boolean whole,
      VitalsView vitals,
      boolean asksHow,
      @Nullable Boolean walked,
      boolean steady,
      @Nullable BigDecimal vo2,
      @Nullable BigDecimal met) {
    static StageState of(StageRow row, Optional<BigDecimal> weightKg) {
      Optional<OxygenCost> cost = row.work().cost(weightKg, row.reading().walked());
      return new StageState(
          row.number(),
          row.work().words(),
          row.from(),
          row.until().orElse(null),
          row.endedAt().isPresent(),
          row.whole(),
          VitalsView.of(
              new Vitals(row.reading().bpm(), row.reading().pressure(), row.reading().rpe20())),
          row.work().asksHow(),
          row.reading().walked().orElse(null),
          row.reading().steady(),
          cost.map(OxygenCost::vo2).orElse(null),
          cost.map(OxygenCost::met).orElse(null));
    }
  }

  /** A reading of the recovery, so many seconds after the end. */
  record RecoveryState(int seconds, VitalsView vitals, @Nullable Boolean symptoms) {
    static RecoveryState of(RecoveryRow row) {
      return new RecoveryState(
          Math.toIntExact(row.due().toSeconds()),
          VitalsView.of(row.vitals()),
          row.symptoms().orElse(null));
    }
  }

  /** A graded test as it stands. */
  record GradedState(
      GradedSheet.Phase phase,
      @Nullable TestPosture posture,
      @Nullable Instant postureAt,
      List<BaselineRow> baseline,
      List<Finding> notBegunBecause,
      List<StageState> stages,
      List<RecoveryState> recovery,
      GradedRecovery.@Nullable State recovered,
      @Nullable String notClosedBecause,
      boolean clinicianFirst,
      boolean railHeld,
      boolean mayPropose) {
    static GradedState of(GradedSheet sheet) {
      Optional<BigDecimal> weight = sheet.plan().person().weightKg();
      Optional<String> told = sheet.notClosedBecause(true);
      Optional<GradedRecovery.State> state = sheet.recovered().map(GradedRecovery::state);
      return new GradedState(
          sheet.phase(),
          sheet.posture().orElse(null),
          sheet.postureAt().orElse(null),
          BaselineRow.all(sheet.baseline()),
          sheet.baseline().inTheWay(),
          sheet.stages().stream().map(stage -> StageState.of(stage, weight)).toList(),
          sheet.recovery().stream().map(RecoveryState::of).toList(),
          state.orElse(null),
          told.orElse(null),
          state.filter(GradedRecovery.State.NOT_RECOVERED::equals).isPresent(),
          sheet.railHeld(),
          sheet.end().filter(end -> end.reason() == TestEvent.Reason.EXHAUSTION).isPresent());
    }
  }

  /** A rate that is read at its moment; null until it is there. */
  record ReadingState(String name, @Nullable Instant due, @Nullable Integer bpm) {}

  /** A step of a talk-step test. */
  record TalkStepState(
      int number,
      Instant from,
      Instant until,
      Instant passageAt,
      @Nullable Integer bpm,
      @Nullable Integer voice) {}

  /** Any other test as it stands. */
  record TimedState(
      TimedTest.Phase phase,
      List<ReadingState> readings,
      List<TalkStepState> steps,
      @Nullable Integer repetitions,
      @Nullable Integer rpe20,
      @Nullable Boolean paceKept,
      boolean complete,
      boolean whole) {
    static TimedState of(TimedTest test) {
      return new TimedState(
          test.phase(),
          test.readings().stream()
              .map(
                  each ->
                      new ReadingState(each.name(), each.due().orElse(null), number(each.bpm())))
              .toList(),
          test.steps().stream()
              .map(
                  each ->
                      new TalkStepState(
                          each.number(),
                          each.from(),
                          each.until(),
                          each.passageAt(),
                          number(each.bpm()),
                          number(each.voice())))
              .toList(),
          number(test.repetitions()),
          number(test.rpe20()),
          test.paceKept().orElse(null),
          test.complete(),
          test.whole());
    }
  }

  /** What is to be done next. */
  record PromptRow(TestPrompt.What what, Instant at, String words) {
    static PromptRow of(TestPrompt prompt) {
      return new PromptRow(prompt.what(), prompt.at(), prompt.words());
    }
  }

  /** An entry that stands, and can be undone. */
  record EntryRow(UUID id, Instant at, TestEvent.Kind kind, String words) {
    static EntryRow of(TestEvent event) {
      return new EntryRow(event.id(), event.at(), event.kind(), event.words());
    }
  }

  /** A figure that was found. */
  record FigureView(String name, BigDecimal value, String unit) {
    static FigureView of(TestOutcome.Figure figure) {
      return new FigureView(figure.name(), figure.value(), figure.unit());
    }

    static String words(TestOutcome.Figure figure) {
      return figure.name() + " " + figure.value().toPlainString() + " " + figure.unit();
    }
  }

  /** What a test came to. */
  record OutcomeView(
      List<FigureView> figures,
      @Nullable Integer ratePressureProduct,
      @Nullable Grade grade,
      List<Finding> findings) {
    static OutcomeView of(TestNow stands, TestOutcome outcome) {
      return new OutcomeView(
          outcome.figures().stream().map(FigureView::of).toList(),
          stands
              .graded()
              .flatMap(GradedSheet::result)
              .map(result -> number(result.ratePressureProduct()))
              .orElse(null),
          stands
              .timed()
              .flatMap(TimedTest::result)
              .flatMap(TimedTest.TimedResult::grade)
              .orElse(null),
          outcome.findings());
    }
  }

  /** The rate a graded test proposes as a maximum. */
  record ProposalView(int bpm, Grade grade, @Nullable UUID kept) {}

  /** What was missed in practice, and by which rule. */
  record PracticeReviewView(String trouble, List<PracticeReview.Item> items) {
    static PracticeReviewView of(PracticeReview review) {
      return new PracticeReviewView(review.trouble().displayName(), review.items());
    }
  }

  /** A level of practice. */
  record PracticeLevelOption(PracticeSubject.Level level, String name) {
    static final List<PracticeLevelOption> ALL =
        Arrays.stream(PracticeSubject.Level.values())
            .map(each -> new PracticeLevelOption(each, each.displayName()))
            .toList();
  }

  /** What can be practised, and what was, latest first. */
  record PracticeTests(
      List<PracticeLevelOption> levels, List<Integer> speeds, List<TestRow> tests) {}

  record PracticeTestRequest(PracticeSubject.Level level, @Nullable Integer speed) {}

  /** What somebody who is not there answers; symptoms is null where nothing is wrong. */
  record PracticeAnswers(
      int systolic, int diastolic, int rpe20, int beats, @Nullable String symptoms) {
    static PracticeAnswers of(PractiseTest.Answers answers) {
      return new PracticeAnswers(
          answers.pressure().systolic(),
          answers.pressure().diastolic(),
          answers.rpe20(),
          answers.beats(),
          answers.symptoms().orElse(null));
    }
  }

  /**
   * A test as it stands.
   *
   * @param now what time it is by its clock
   * @param begunAt when the work began
   * @param until when the work, the step or the stage ends by the clock
   * @param workEndedAt when the work ended
   * @param bpm the rate now, smoothed; null without a signal
   * @param ends what says that the work has to end now
   * @param waits what has to be done before it goes on
   * @param entries that stand, the last one first
   * @param outcome null while it goes on
   * @param proposal null where no maximum is proposed
   */
  record TestState(
      UUID id,
      Instant now,
      boolean open,
      @Nullable Instant begunAt,
      @Nullable Instant until,
      @Nullable Instant workEndedAt,
      @Nullable String endedBecause,
      @Nullable Integer bpm,
      List<PromptRow> prompts,
      List<Finding> ends,
      List<Finding> waits,
      @Nullable GradedState graded,
      @Nullable TimedState timed,
      List<EntryRow> entries,
      @Nullable OutcomeView outcome,
      @Nullable ProposalView proposal,
      @Nullable PracticeReviewView review) {

    static TestState of(
        TestNow stands, Optional<UUID> keptMaximum, Optional<PracticeReview> review) {
      Optional<GradedSheet> graded = stands.graded();
      Optional<TimedTest> timed = stands.timed();
      Optional<TestEvent.Ended> ended =
          graded.flatMap(GradedSheet::end).or(() -> timed.flatMap(TimedTest::ended));
      List<EntryRow> entries =
          new ArrayList<>(
              TestEvents.standing(stands.events(), stands.now()).all().stream()
                  .map(EntryRow::of)
                  .toList());
      Collections.reverse(entries);
      return new TestState(
          stands.opened().id(),
          stands.now(),
          stands.opened().open(),
          graded
              .flatMap(GradedSheet::run)
              .map(run -> run.begunAt())
              .or(() -> timed.flatMap(TimedTest::begunAt))
              .orElse(null),
          graded
              .map(TestState::stageEnds)
              .orElseGet(() -> timed.flatMap(TimedTest::until))
              .orElse(null),
          ended.map(TestEvent::at).or(() -> timed.flatMap(TimedTest::workEndedAt)).orElse(null),
          ended.map(TestEvent::words).orElse(null),
          number(
              graded
                  .map(GradedSheet::bpm)
                  .orElseGet(() -> timed.map(TimedTest::bpmNow).orElseThrow())),
          graded
              .map(GradedSheet::prompts)
              .orElseGet(() -> timed.map(TimedTest::prompts).orElseThrow())
              .stream()
              .map(PromptRow::of)
              .toList(),
          graded.map(GradedSheet::ends).orElseGet(() -> timed.map(TimedTest::ends).orElseThrow()),
          graded.map(GradedSheet::waits).orElse(List.of()),
          graded.map(GradedState::of).orElse(null),
          timed.map(TimedState::of).orElse(null),
          entries,
          stands.outcome().map(outcome -> OutcomeView.of(stands, outcome)).orElse(null),
          graded
              .flatMap(ProposedMaximum::of)
              .map(each -> new ProposalView(each.bpm(), each.grade(), keptMaximum.orElse(null)))
              .orElse(null),
          review.map(PracticeReviewView::of).orElse(null));
    }

    private static Optional<Instant> stageEnds(GradedSheet sheet) {
      return sheet.phase() == GradedSheet.Phase.WORK
          ? sheet.stages().stream()
              .reduce((before, after) -> after)
              .filter(stage -> stage.endedAt().isEmpty())
              .flatMap(StageRow::until)
          : Optional.empty();
    }
  }

  /** All of a test: what it is, as it stands, and its heart rate. */
  record TestView(TestSheet sheet, TestState state, TraceView trace) {}

  /** What is pushed: as it stands, and its rate of late. */
  record TestPush(TestState state, TraceView trace) {}

  // Afterwards.

  /** A figure of two tests; changed is null where no smallest change is known. */
  record PairView(
      String name,
      String unit,
      BigDecimal before,
      BigDecimal now,
      BigDecimal change,
      @Nullable Boolean changed,
      @Nullable Integer noise) {
    static PairView of(Retest.Pair pair) {
      return new PairView(
          pair.now().name(),
          pair.now().unit(),
          pair.before().value(),
          pair.now().value(),
          pair.change(),
          pair.changed().orElse(null),
          pair.now().noise().orElse(null));
    }
  }

  /** The same test before, beside this one; unlike is null where they are compared. */
  record RetestView(UUID before, LocalDate on, List<PairView> pairs, @Nullable Finding unlike) {}
}
