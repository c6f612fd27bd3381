package app.korvel.server.assessment;

import app.korvel.core.assessment.AssessmentFinding;
import app.korvel.core.assessment.GradedExclusions;
import app.korvel.core.assessment.GradedProtocols;
import app.korvel.core.assessment.GradedSheet;
import app.korvel.core.assessment.Retest;
import app.korvel.core.assessment.TestKind;
import app.korvel.core.assessment.TestOutcome;
import app.korvel.core.assessment.TestPlan;
import app.korvel.core.assessment.TestTarget;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.screening.StopSigns;
import app.korvel.core.zone.Reserve;
import app.korvel.exchange.sheet.TestReport;
import app.korvel.server.assessment.ProtocolViews.ProtocolView;
import app.korvel.server.assessment.TestViews.FigureView;
import app.korvel.server.assessment.TestViews.LaboratoryView;
import app.korvel.server.assessment.TestViews.ModeTargets;
import app.korvel.server.assessment.TestViews.PairView;
import app.korvel.server.assessment.TestViews.PracticeLevelOption;
import app.korvel.server.assessment.TestViews.PracticeTests;
import app.korvel.server.assessment.TestViews.RetestView;
import app.korvel.server.assessment.TestViews.TargetOption;
import app.korvel.server.assessment.TestViews.TestOption;
import app.korvel.server.assessment.TestViews.TestPush;
import app.korvel.server.assessment.TestViews.TestRow;
import app.korvel.server.assessment.TestViews.TestSheet;
import app.korvel.server.assessment.TestViews.TestStart;
import app.korvel.server.assessment.TestViews.TestState;
import app.korvel.server.assessment.TestViews.TestView;
import app.korvel.server.live.LiveHub.TestsAsTheyStand;
import app.korvel.server.live.SampleViews.StopSignOption;
import app.korvel.server.live.SampleViews.TraceView;
import app.korvel.store.AssessmentRepository.OpenedTest;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.assessment.Assessments;
import app.korvel.studio.assessment.Assessments.TestNow;
import app.korvel.studio.assessment.KeepTestResult;
import app.korvel.studio.assessment.OpenTest;
import app.korvel.studio.assessment.PractiseTest;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Brings together what the pages of tests show. */
@Component
class TestPages implements TestsAsTheyStand {
  /** So many are listed. */
  private static final int LATEST = 24;

  /** So many earlier ones are set beside a test. */
  private static final int RETESTS = 3;

  /** So many practised ones are listed, and so fast they go at most: hands have to follow. */
  private static final int PRACTISED = 6;

  private static final int PRACTICE_SPEED = 10;

  /** Who is not there. */
  private static final String NOBODY = "Practice";

  private final Studio studio;

  TestPages(Studio studio) {
    this.studio = studio;
  }

  TestStart start(UUID client) {
    ClientHead head = studio.head(client);
    OpenTest open = new OpenTest(studio);
    List<OpenedTest> before = studio.store().assessments().of(client, LATEST);
    return new TestStart(
        head.client().details().name(),
        Arrays.stream(TestKind.values())
            .map(kind -> TestOption.of(open.eligibility(head, kind, Optional.empty())))
            .toList(),
        TestStart.ACTIVITIES,
        protocols().stream().filter(protocol -> !protocol.archived()).toList(),
        Stream.of(Mode.values())
            .map(
                mode ->
                    new ModeTargets(
                        mode,
                        head.baseline(mode).noRateBecause().isPresent()
                            ? List.of()
                            : head.baseline(mode)
                                .reserve()
                                .map(span -> targets(span, head.baseline(mode).capBpm()))
                                .orElse(List.of())))
            .toList(),
        boxed(head.baseline().capBpm()),
        GradedExclusions.ALL,
        TestStart.FAULTS,
        OpenTest.SPEEDS,
        before.stream().filter(OpenedTest::open).map(OpenedTest::id).findFirst().orElse(null),
        before.stream().map(this::row).toList(),
        studio.store().laboratory().of(client).stream().map(LaboratoryView::of).toList());
  }

  private static Integer boxed(OptionalInt value) {
    return value.isPresent() ? value.getAsInt() : null;
  }

  private static List<TargetOption> targets(Reserve span, OptionalInt cap) {
    return Arrays.stream(TestTarget.Usual.values())
        .map(
            usual -> {
              TestTarget target = TestTarget.of(usual.kind(), usual.value(), span, cap);
              return new TargetOption(
                  usual.kind(), usual.value(), target.bpm(), target.finding().message());
            })
        .toList();
  }

  List<ProtocolView> protocols() {
    return Stream.concat(
            GradedProtocols.ALL.stream().map(ProtocolView::of),
            studio.store().protocols().all().stream().map(ProtocolView::of))
        .toList();
  }

  /** Those that are on, the first opened first; practice is nobody's business. */
  List<TestRow> openNow() {
    return studio.store().assessments().openNow().stream()
        .filter(opened -> opened.clientId().isPresent())
        .map(this::row)
        .toList();
  }

  /** What can be practised, and what was. */
  PracticeTests practice() {
    return new PracticeTests(
        PracticeLevelOption.ALL,
        OpenTest.SPEEDS.stream().filter(speed -> speed <= PRACTICE_SPEED).toList(),
        studio.store().assessments().practised(PRACTISED).stream().map(this::row).toList());
  }

  private TestRow row(OpenedTest opened) {
    TestNow stands = new Assessments(studio).get(opened.id());
    return new TestRow(
        opened.id(),
        opened.clientId().orElse(null),
        name(opened),
        opened.plan().kind(),
        opened.plan().kind().displayName(),
        opened.plan().setup().words(),
        opened.openedAt(),
        opened.open(),
        opened.open()
            ? List.of()
            : stands.outcome().map(TestOutcome::figures).orElse(List.of()).stream()
                .map(FigureView::words)
                .toList());
  }

  private String name(OpenedTest opened) {
    return opened.clientId().map(client -> studio.client(client).details().name()).orElse(NOBODY);
  }

  TestView view(UUID test) {
    TestNow stands = new Assessments(studio).get(test);
    return new TestView(sheet(stands.opened()), state(stands), TraceView.of(stands.trace(), 1));
  }

  TestState state(TestNow stands) {
    return TestState.of(
        stands,
        new KeepTestResult(studio).keptMaximum(stands.opened()),
        new PractiseTest(studio).review(stands));
  }

  @Override
  public Object now(UUID test, int seconds) {
    TestNow stands = new Assessments(studio).get(test);
    int from = Math.max(1, stands.trace().seconds() - seconds);
    return new TestPush(state(stands), TraceView.of(stands.trace(), from));
  }

  private TestSheet sheet(OpenedTest opened) {
    TestPlan plan = opened.plan();
    Optional<TestPlan.Graded> graded =
        plan.setup() instanceof TestPlan.Graded setup ? Optional.of(setup) : Optional.empty();
    return new TestSheet(
        opened.id(),
        opened.clientId().orElse(null),
        name(opened),
        plan.kind(),
        plan.kind().displayName(),
        plan.setup().words(),
        plan.kind().steps(),
        plan.mode(),
        plan.source(),
        opened.speed(),
        opened.simulated().isPresent(),
        PractiseTest.subject(opened).map(subject -> subject.level().heard()).orElse(null),
        opened.openedAt(),
        boxed(plan.setup().metronome()),
        plan.kind().work().map(Duration::toSeconds).map(Math::toIntExact).orElse(null),
        boxed(plan.person().capBpm()),
        plan.person().reserve().map(Reserve::restingBpm).orElse(null),
        plan.person().reserve().map(Reserve::maximumBpm).orElse(null),
        graded.flatMap(TestPlan.Graded::target).map(TestTarget::bpm).orElse(null),
        graded.map(TestPlan.Graded::exhaustion).orElse(false),
        graded.map(TestPlan.Graded::supervisor).orElse(null),
        graded.map(TestPlan.Graded::recovery).orElse(null),
        graded.map(TestPlan.Graded::protocol).map(ProtocolView::of).orElse(null),
        graded.map(setup -> GradedSheet.aim(plan.person(), setup)).orElse(List.of()),
        StopSignOption.ALL,
        StopSigns.ACTION);
  }

  /**
   * What the page of a test shows.
   *
   * @throws RefusedException while it goes on
   */
  TestReport.Of report(UUID test) {
    TestNow stands = new Assessments(studio).get(test);
    return new TestReport.Of(
        name(stands.opened()),
        LocalDate.ofInstant(stands.opened().openedAt(), studio.zone()),
        stands.opened().plan(),
        stands.graded(),
        stands.timed(),
        stands
            .outcome()
            .orElseThrow(() -> RefusedException.because(AssessmentFinding.TEST_GOES_ON.of())),
        stands.trace());
  }

  /** The same test of the client before, each beside this one, the latest first. */
  List<RetestView> retests(UUID test) {
    Assessments tests = new Assessments(studio);
    TestNow stands = tests.get(test);
    Optional<TestOutcome> mine = stands.outcome();
    if (mine.isEmpty() || stands.opened().clientId().isEmpty()) {
      return List.of();
    }
    UUID client = stands.opened().clientId().get();
    return tests.done(client, LATEST).stream()
        .filter(other -> other.opened().plan().kind() == stands.opened().plan().kind())
        .filter(other -> other.opened().openedAt().isBefore(stands.opened().openedAt()))
        .limit(RETESTS)
        .map(other -> retest(client, other, mine.get()))
        .toList();
  }

  private RetestView retest(UUID client, TestNow other, TestOutcome mine) {
    LocalDate on = LocalDate.ofInstant(other.opened().openedAt(), studio.zone());
    Retest retest =
        Retest.of(
            other.outcome().orElseThrow(),
            mine,
            Days.of(on),
            studio.head(client).screening().medicinesChangedAt());
    Finding unlike = retest.unlike().orElse(null);
    return new RetestView(
        other.opened().id(), on, retest.pairs().stream().map(PairView::of).toList(), unlike);
  }
}
