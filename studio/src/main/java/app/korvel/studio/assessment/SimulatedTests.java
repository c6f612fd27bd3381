package app.korvel.studio.assessment;

import app.korvel.core.assessment.PracticeSubject;
import app.korvel.core.trace.Trace;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.store.AssessmentRepository.OpenedTest;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.assessment.Assessments.TestNow;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;

/** Everybody who is simulated in a test that is on, and what their straps send. */
public final class SimulatedTests {
  private final Studio studio;
  private final Map<UUID, SimulatedSubject> subjects = new HashMap<>();
  private List<OpenedTest> on = List.of();

  public SimulatedTests(Studio studio) {
    this.studio = studio;
  }

  /** Those that are on, as they were looked for last. */
  public List<OpenedTest> on() {
    return on;
  }

  /** Looks who is simulated now. */
  public void look() {
    on =
        studio.store().assessments().openNow().stream()
            .filter(opened -> opened.simulated().isPresent())
            .toList();
    subjects.keySet().retainAll(on.stream().map(OpenedTest::id).collect(Collectors.toSet()));
  }

  /** Lets the straps of some tests send what has come since, in one commit. */
  public void send(Actor who, List<OpenedTest> tests) {
    studio.write(
        who,
        () -> {
          tests.forEach(opened -> send(who, opened));
          return tests.size();
        });
  }

  private void send(Actor who, OpenedTest opened) {
    TestNow stands = new Assessments(studio).get(opened.id());
    if (!stands.opened().open()) {
      return;
    }
    SimulatedSubject subject = subjects.computeIfAbsent(opened.id(), id -> subject(opened, stands));
    subject
        .until(stands)
        .ifPresent(
            sent ->
                new TakeTestSamples(studio).by(who, opened.id(), sent.sequence(), sent.handed()));
  }

  static SimulatedSubject subject(OpenedTest opened, TestNow stands) {
    Trace trace = stands.trace();
    int last = trace.seconds();
    while (last > 0 && !trace.sampledAt(last)) {
      last--;
    }
    Instant recordedUntil = opened.openedAt().plusSeconds(last);
    String simulated = opened.simulated().orElseThrow();
    Optional<PracticeSubject> practised = PracticeSubject.parse(simulated);
    SimulatedStrap.Fault fault =
        practised
            .map(
                subject ->
                    subject.trouble() == PracticeSubject.Trouble.SLIPPING_STRAP
                        ? SimulatedStrap.Fault.SLIPPING
                        : SimulatedStrap.Fault.NONE)
            .orElseGet(() -> SimulatedStrap.Fault.valueOf(simulated));
    return new SimulatedSubject(
        opened,
        practised.map(PracticeSubject::reserve),
        fault,
        opened.id().getLeastSignificantBits(),
        recordedUntil,
        last > 0 ? trace.value(last).orElse(0) : 0);
  }
}
