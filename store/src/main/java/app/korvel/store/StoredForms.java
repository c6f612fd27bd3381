package app.korvel.store;

import app.korvel.core.assessment.GradedProtocol;
import app.korvel.core.assessment.TestPlan;
import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.Verdict;
import app.korvel.core.forecast.ForeseenSession;
import app.korvel.core.live.LivePlan;
import app.korvel.core.live.RecordedSession;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.programme.Programme;
import app.korvel.core.screening.Medicine;
import app.korvel.core.screening.WrittenLimit;
import app.korvel.core.zone.OwnScheme;
import app.korvel.core.zone.RpeFamily;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Everything that is kept as a document, and what its earlier versions looked like. */
final class StoredForms {
  private StoredForms() {}

  /**
   * Version 1 had no cap and nothing to leave out or carry; up to version 2 the 0–10 scale was
   * always the ratio one; up to version 3 no exercise was named; up to version 4 no day was an
   * easier one.
   */
  static final StoredForm<Prescription> PRESCRIPTION =
      new StoredForm<>(
          Prescription.class,
          "prescription",
          List.of(
              tree -> {
                tree.put("supervised", false);
                List.of("leaveOut", "carry", "stopAlso").forEach(tree::putArray);
              },
              tree -> tree.put("rpeFamily", RpeFamily.RATIO.name()),
              tree -> {},
              tree -> {}));

  /**
   * Version 1 had no decisions, and no time of day; up to version 2 no session was an easier one.
   */
  static final StoredForm<Programme> PROGRAMME =
      new StoredForm<>(
          Programme.class,
          "programme",
          List.of(
              tree -> tree.putArray("decisions"),
              tree ->
                  tree.get("sessions")
                      .forEach(session -> ((ObjectNode) session).put("easier", false))));

  /** A check-in with what was judged of it; before ketones were asked for they are not there. */
  record JudgedCheckIn(
      CheckIn checkIn,
      OptionalInt usualBpm,
      Verdict verdict,
      Optional<Verdict.OwnDecision> decided) {}

  static final StoredForm<JudgedCheckIn> CHECK_IN =
      new StoredForm<>(JudgedCheckIn.class, "", List.of());

  static final StoredForm<OwnScheme> SCHEME =
      new StoredForm<>(OwnScheme.class, "scheme", List.of());

  static final StoredForm<Named> OUTLINE = new StoredForm<>(Named.class, "named", List.of());

  /** What a client takes; version 1 was the bare list. */
  record Medicines(List<Medicine> medicines) {}

  static final StoredForm<Medicines> MEDICINES =
      new StoredForm<>(Medicines.class, "", List.of(tree -> named(tree, "medicines")));

  /** What is written of limits; version 1 was the bare list. */
  record Limits(List<WrittenLimit> limits) {}

  static final StoredForm<Limits> LIMITS =
      new StoredForm<>(Limits.class, "", List.of(tree -> named(tree, "limits")));

  /** In version 1 levels of effort always began by percent of reserve. */
  static final StoredForm<LivePlan> LIVE_PLAN =
      new StoredForm<>(
          LivePlan.class,
          "plan",
          List.of(
              tree -> {
                ObjectNode mover = (ObjectNode) tree.get("mover");
                JsonNode reserve = mover.remove("reserve");
                if (reserve.isNull()) {
                  mover.putNull("ladder");
                } else {
                  ObjectNode ladder = mover.putObject("ladder");
                  ladder.set("reserve", reserve);
                  ladder.putObject("learned").putNull("lower").putNull("upper");
                }
              }));

  /** What all in a room do. */
  record RoomPlan(List<LivePlan.PlanStep> steps) {}

  static final StoredForm<RoomPlan> ROOM_PLAN = new StoredForm<>(RoomPlan.class, "", List.of());

  static final StoredForm<RecordedSession> RECORDED_SESSION =
      new StoredForm<>(RecordedSession.class, "", List.of());

  static final StoredForm<ForeseenSession> FORESEEN_SESSION =
      new StoredForm<>(ForeseenSession.class, "", List.of());

  static final StoredForm<TestPlan> TEST_PLAN = new StoredForm<>(TestPlan.class, "plan", List.of());

  static final StoredForm<GradedProtocol> PROTOCOL =
      new StoredForm<>(GradedProtocol.class, "protocol", List.of());

  private static void named(ObjectNode tree, String name) {
    tree.set(name, tree.remove(""));
  }
}
