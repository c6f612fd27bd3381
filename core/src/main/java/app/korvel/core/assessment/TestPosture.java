package app.korvel.core.assessment;

import app.korvel.core.recovery.RecoveryPosture;
import java.util.Optional;

/** How somebody is held before and after a test. */
public enum TestPosture {
  LYING("Lying", RecoveryPosture.LYING),
  SEATED("Seated", RecoveryPosture.SEATED),
  STANDING("Standing", RecoveryPosture.STANDING),
  MOVING("Moving", RecoveryPosture.MOVING);

  private final String displayName;
  private final RecoveryPosture recovery;

  TestPosture(String displayName, RecoveryPosture recovery) {
    this.displayName = displayName;
    this.recovery = recovery;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** The same as a posture to recover in. */
  public RecoveryPosture recovery() {
    return recovery;
  }

  /** The posture of a recovery; empty for one that no test is ended in. */
  public static Optional<TestPosture> of(RecoveryPosture posture) {
    for (TestPosture each : values()) {
      if (each.recovery == posture) {
        return Optional.of(each);
      }
    }
    return Optional.empty();
  }
}
