package app.korvel.core.assessment;

import app.korvel.core.checkin.BloodPressure;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What was read in a stage of a graded test.
 *
 * @param bpm the median of its last 10 s, or what was typed or counted
 * @param pressure of the cuff that was started in it, the last one
 * @param rpe20 how hard it felt
 * @param walked whether it was walked; empty where nobody said
 * @param steady whether its last two readings are within 5 bpm
 */
public record StageReading(
    OptionalInt bpm,
    Optional<BloodPressure> pressure,
    OptionalInt rpe20,
    Optional<Boolean> walked,
    boolean steady) {}
