package app.korvel.core.measure;

import app.korvel.core.measure.InvalidValueException.Fault;
import java.math.BigDecimal;
import java.util.List;

/** What the product accepts for a number, in one table: both ends are accepted. */
public enum Limit {
  /** Age in whole years. */
  AGE(6, 110, "years"),
  /** Heart rate at rest. */
  RESTING(25, 150, "bpm"),
  /** Maximum heart rate, measured or estimated. */
  MAXIMUM(80, 230, "bpm"),
  /** A rate that comes out of a pulse count. */
  PULSE(20, 240, "bpm"),
  /** A rate read off in a hard bout of a test. */
  TEST_READING(60, 230, "bpm"),
  /** Minutes of warm-up before the clock of a test is started. */
  WARMED_UP(0, 60, "minutes"),
  /** How long an effort lasted. */
  EFFORT_MINUTES(1, 1440, "minutes"),
  /** A clinician's cap. */
  CAP(40, 230, "bpm"),
  /** Perceived exertion on the scale of 6 to 20. */
  EFFORT(6, 20, "RPE"),
  /** What the voice can do, from singing to silent. */
  VOICE(1, 5, "levels of voice"),
  /** Height. */
  HEIGHT(80, 240, "cm"),
  /** Weight; decimals are accepted. */
  WEIGHT(15, 350, "kg"),
  /** The upper blood pressure. */
  SYSTOLIC(60, 300, "mmHg"),
  /** The lower blood pressure. */
  DIASTOLIC(30, 200, "mmHg"),
  /** Blood glucose; decimals are accepted. */
  GLUCOSE_MMOL(1, 35, "mmol/L"),
  /** Blood glucose in the other unit; decimals are accepted. */
  GLUCOSE_MG(18, 630, "mg/dL"),
  /** A percent of reserve or of maximum; decimals are accepted. */
  PERCENT(0, 110, "%"),
  /** A rate given as beats per minute above rest. */
  ABOVE_RESTING(0, 150, "bpm above rest"),
  /** A measured rate by its number: 0 rest, 1 and 2 the thresholds, 3 the maximum. */
  MEASURED_RATE(0, 3, "measured rate"),
  /** Bands of a studio's own scheme. */
  SCHEME_BANDS(2, 13, "zones"),
  /** Ranges of a class chart. */
  CHART_RANGES(1, 6, "ranges"),
  /** How many years lie between two rows of a class chart. */
  CHART_STEP(1, 10, "years"),
  /** The standard error of a maximum or of a resting value; decimals are accepted. */
  STANDARD_ERROR(0, 40, "bpm"),
  /** Minutes at rest before a resting count. */
  MINUTES_RESTED(0, 60, "minutes"),
  /** How long a pulse was tapped along. */
  TAPPED(0, 5000, "seconds"),
  /** Minutes since a session ended. */
  MINUTES_AFTER(0, 60, "minutes"),
  /** Intensity of the work of a prescription, as percent of reserve; 90 and over is for testing. */
  INTENSITY(20, 90, "% of reserve"),
  /** Minutes of work in one session, without warm-up and cool-down. */
  SESSION_MINUTES(5, 180, "minutes"),
  /** Sessions in a week. */
  DAYS_A_WEEK(1, 7, "days a week"),
  /** Blocks of a session, warm-up and stretching among them. */
  OUTLINE_BLOCKS(1, 24, "blocks"),
  /** How often a block is done. */
  BLOCK_TIMES(1, 60, "times"),
  /** How long one step of a session lasts. */
  STEP_SECONDS(5, 10_800, "seconds"),
  /** Steps of a session that is foreseen without an outline. */
  FORECAST_STEPS(1, 200, "steps"),
  /** How hard such a step is; decimals are accepted. */
  FORECAST_PERCENT(1, 100, "% of reserve"),
  /** Minutes of work in a session that was done. */
  LOGGED_MINUTES(1, 600, "minutes"),
  /** A rate of a session that was done: its average, or one that was counted. */
  SESSION_RATE(30, 240, "bpm"),
  /** Events of a calendar that is read, each time of a repeating one counted. */
  CALENDAR_EVENTS(0, 5_000, "events"),
  /** How long a mile takes, walked. */
  MILE_SECONDS(480, 2400, "seconds"),
  /** How long the work of a test took. */
  TEST_SECONDS(1, 7200, "seconds"),
  /** Repetitions in two minutes. */
  REPETITIONS(1, 300, "repetitions"),
  /** Steps a minute of a metronome. */
  METRONOME(30, 200, "beats a minute"),
  /** Speed of a treadmill; decimals are accepted. */
  TREADMILL_SPEED(1, 25, "km/h"),
  /** Rise of a treadmill; decimals are accepted. */
  TREADMILL_GRADE(0, 30, "%"),
  /** Work on a cycle. */
  WATTS(5, 600, "W"),
  /** Up, up, down, down, so often a minute. */
  STEP_CYCLES(5, 60, "times a minute"),
  /** Height of a step. */
  STEP_HEIGHT(5, 60, "cm"),
  /** Stages of a studio's own protocol. */
  PROTOCOL_STAGES(2, 20, "stages"),
  /** How long one of its stages lasts. */
  STAGE_SECONDS(60, 600, "seconds"),
  /** A pressure is taken in every stage, every second or every third. */
  PRESSURE_EVERY(1, 3, "stages"),
  /** A VO₂max of a laboratory; decimals are accepted. */
  UPTAKE(5, 100, "ml·kg⁻¹·min⁻¹"),
  /** Weeks of a programme. */
  PROGRAMME_WEEKS(4, 26, "weeks"),
  /** Weeks for which a cautious start stays light. */
  LIGHT_WEEKS(0, 12, "weeks"),
  /** Weeks trained before a programme begins. */
  WEEKS_BEFORE(0, 5_200, "weeks");

  private final int lowest;
  private final int highest;
  private final String unit;

  Limit(int lowest, int highest, String unit) {
    this.lowest = lowest;
    this.highest = highest;
    this.unit = unit;
  }

  /** The lowest accepted value, in {@link #unit()}. */
  public int lowest() {
    return lowest;
  }

  /** The highest accepted value, in {@link #unit()}. */
  public int highest() {
    return highest;
  }

  /** The unit as a person reads it. */
  public String unit() {
    return unit;
  }

  /** The accepted range in words, for example {@code 25 to 150 bpm}. */
  public String accepted() {
    return lowest + " to " + highest + " " + unit;
  }

  /** Whether {@code value} lies in the range. */
  public boolean accepts(BigDecimal value) {
    return value.compareTo(BigDecimal.valueOf(lowest)) >= 0
        && value.compareTo(BigDecimal.valueOf(highest)) <= 0;
  }

  /** Whether {@code value} lies in the range. */
  public boolean accepts(int value) {
    return value >= lowest && value <= highest;
  }

  /**
   * Returns {@code value} unchanged.
   *
   * @param field the name the caller knows the value by
   * @throws InvalidValueException when it lies outside the range
   */
  public int check(String field, int value) {
    check(field, BigDecimal.valueOf(value));
    return value;
  }

  /**
   * Returns {@code value} unchanged.
   *
   * @param field the name the caller knows the value by
   * @throws InvalidValueException when it lies outside the range
   */
  public BigDecimal check(String field, BigDecimal value) {
    if (!accepts(value)) {
      throw InvalidValueException.of(
          field, value.toPlainString() + " is outside the accepted range", accepted());
    }
    return value;
  }

  /** Adds a fault where {@code value} lies outside the range. */
  public void check(List<Fault> faults, String field, int value) {
    check(faults, field, BigDecimal.valueOf(value));
  }

  /** Adds a fault where {@code value} lies outside the range. */
  public void check(List<Fault> faults, String field, BigDecimal value) {
    if (!accepts(value)) {
      faults.add(
          new Fault(field, value.toPlainString() + " is outside the accepted range", accepted()));
    }
  }
}
