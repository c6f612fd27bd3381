package app.korvel.core.assessment;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What was read before a graded test, by posture.
 *
 * @param readings lying, seated or standing
 * @param leftOut why standing could not be taken; empty where it was, or is still to come
 * @param dizzy whether they were light-headed on standing
 */
public record Baseline(Map<TestPosture, Vitals> readings, Optional<String> leftOut, boolean dizzy) {
  public Baseline {
    readings = readings.isEmpty() ? Map.of() : Map.copyOf(new EnumMap<>(readings));
  }

  /** That of a posture, where it is complete. */
  public Optional<Vitals> at(TestPosture posture) {
    return Optional.ofNullable(readings.get(posture)).filter(Vitals::complete);
  }

  /** What stands for standing: that, else lying or seated. */
  public Optional<Vitals> standing() {
    return first(TestPosture.STANDING, TestPosture.LYING, TestPosture.SEATED);
  }

  /** What a recovery in a posture is held against: the same, else standing, else what there is. */
  public Optional<Vitals> of(TestPosture recovery) {
    return first(recovery, TestPosture.STANDING, TestPosture.LYING, TestPosture.SEATED);
  }

  private Optional<Vitals> first(TestPosture... postures) {
    return Stream.of(postures).flatMap(posture -> at(posture).stream()).findFirst();
  }

  /** Why the work may not begin yet, or not at all; nothing where it may. */
  public List<Finding> inTheWay() {
    List<Finding> findings = new ArrayList<>();
    if (dizzy) {
      findings.add(AssessmentFinding.STANDING_DIZZY.of());
    }
    Optional<Vitals> down = first(TestPosture.LYING, TestPosture.SEATED);
    Optional<Vitals> up = at(TestPosture.STANDING);
    if (down.isPresent() && up.isPresent()) {
      int fall = systolic(down.get()) - systolic(up.get());
      if (fall >= Threshold.GRADED_STANDING_FALL.whole()) {
        findings.add(AssessmentFinding.STANDING_FALL.of(fall));
      }
    }
    if (down.isEmpty() && up.isEmpty()) {
      findings.add(
          AssessmentFinding.BASELINE_MISSING.of("rate and pressure, lying first, then standing"));
    } else if (up.isEmpty() && leftOut.isEmpty()) {
      findings.add(
          AssessmentFinding.BASELINE_MISSING.of(
              "rate and pressure standing, or why it cannot be taken"));
    }
    return findings;
  }

  private static int systolic(Vitals vitals) {
    return vitals.pressure().orElseThrow().systolic();
  }
}
