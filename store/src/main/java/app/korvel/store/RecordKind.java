package app.korvel.store;

import java.util.Optional;

/** The kinds of records that a {@link Ledger} keeps, each in its table. */
public enum RecordKind {
  CLEARANCES("clearance", "clearance"),
  CONSENTS("guardian_consent", "consent"),
  CHECKINS("check_in", "check-in"),
  READINGS("resting_reading", "reading"),
  MAXIMA("measured_maximum", "measured maximum"),
  MAXIMUM_CHOICES("maximum_choice", "choice"),
  EFFORTS("effort", "effort"),
  SCHEME_CHOICES("scheme_choice", "choice of a scheme"),
  THRESHOLDS("measured_threshold", "thresholds"),
  TALK_CHECKS("talk_check", "talk check"),
  TALK_DECISIONS("talk_act", "decision about talk"),
  LABORATORY_UPTAKES("laboratory_uptake", "laboratory result"),
  SESSION_LOGS("session_log", "session log", "number");

  private final String table;
  private final String noun;
  private final Optional<String> once;

  RecordKind(String table, String noun) {
    this(table, noun, Optional.empty());
  }

  RecordKind(String table, String noun, String once) {
    this(table, noun, Optional.of(once));
  }

  RecordKind(String table, String noun, Optional<String> once) {
    this.table = table;
    this.noun = noun;
    this.once = once;
  }

  String table() {
    return table;
  }

  /** What one is called in a sentence. */
  public String noun() {
    return noun;
  }

  /** The column of which no two records of a client that hold have the same value. */
  Optional<String> once() {
    return once;
  }
}
