package app.korvel.store;

import app.korvel.core.assessment.TestEvent;
import app.korvel.core.assessment.TestEvent.Kind;
import app.korvel.core.assessment.TestPosture;
import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.screening.StopSign;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;

/** What happened in a test as a row. */
final class TestEventRow {
  private TestEventRow() {}

  /** Its columns, besides those that say where it belongs. */
  static Map<String, Object> of(TestEvent event) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", event.id().toString());
    row.put("at", event.at());
    row.put("kind", event.kind());
    if (event instanceof TestEvent.Ended ended) {
      row.put("word", ended.reason());
      row.put("sign", ended.sign());
      row.put("words", ended.because());
    } else if (event instanceof TestEvent.Posture said) {
      row.put("word", said.posture());
    } else if (event instanceof TestEvent.ReadOff read) {
      row.put("bpm", read.bpm());
    } else if (event instanceof TestEvent.Counted count) {
      row.put("beats", count.beats());
      row.put("window_seconds", count.window().seconds());
    } else if (event instanceof TestEvent.Pressure taken) {
      row.put("systolic", taken.pressure().systolic());
      row.put("diastolic", taken.pressure().diastolic());
      row.put("from_at", taken.cuffAt());
    } else if (event instanceof TestEvent.Rated rated) {
      row.put("number", rated.rpe20());
    } else if (event instanceof TestEvent.Spoken spoken) {
      row.put("number", spoken.voice());
    } else if (event instanceof TestEvent.Repeated repeated) {
      row.put("number", repeated.repetitions());
    } else if (event instanceof TestEvent.Symptoms asked) {
      row.put("yes", asked.any());
      row.put("words", asked.what());
    } else if (event instanceof TestEvent.Walked walked) {
      row.put("number", walked.stage());
      row.put("yes", walked.walked());
    } else if (event instanceof TestEvent.RailHeld rail) {
      row.put("yes", rail.held());
    } else if (event instanceof TestEvent.LeftOut leftOut) {
      row.put("words", leftOut.because());
    } else if (event instanceof TestEvent.PaceKept pace) {
      row.put("yes", pace.kept());
    } else if (event instanceof TestEvent.Closed closed) {
      row.put("yes", closed.clinicianTold());
    } else if (event instanceof TestEvent.Withdrawn undone) {
      row.put("of_event_id", undone.of().toString());
    }
    return row;
  }

  /** The event of a row. */
  static TestEvent read(ResultSet row) throws SQLException {
    UUID id = UUID.fromString(row.getString("id"));
    Instant at = Instant.parse(row.getString("at"));
    int number = row.getInt("number");
    boolean yes = row.getBoolean("yes");
    String words = row.getString("words");
    String word = row.getString("word");
    return switch (Kind.valueOf(row.getString("kind"))) {
      case BEGUN -> new TestEvent.Begun(id, at);
      case ENDED ->
          new TestEvent.Ended(
              id,
              at,
              TestEvent.Reason.valueOf(word),
              Database.word(row, "sign", StopSign.class),
              words);
      case POSTURE -> new TestEvent.Posture(id, at, TestPosture.valueOf(word));
      case READ_OFF -> new TestEvent.ReadOff(id, at, row.getInt("bpm"));
      case COUNTED ->
          new TestEvent.Counted(
              id, at, row.getInt("beats"), CountWindow.of(row.getInt("window_seconds")));
      case CUFF_STARTED -> new TestEvent.CuffStarted(id, at);
      case PRESSURE ->
          new TestEvent.Pressure(
              id,
              at,
              new BloodPressure(row.getInt("systolic"), row.getInt("diastolic")),
              Instant.parse(row.getString("from_at")));
      case RATED -> new TestEvent.Rated(id, at, number);
      case SPOKEN -> new TestEvent.Spoken(id, at, number);
      case REPEATED -> new TestEvent.Repeated(id, at, number);
      case SYMPTOMS -> new TestEvent.Symptoms(id, at, yes, words);
      case WALKED -> new TestEvent.Walked(id, at, number, yes);
      case RAIL_HELD -> new TestEvent.RailHeld(id, at, yes);
      case LEFT_OUT -> new TestEvent.LeftOut(id, at, words);
      case PACE_KEPT -> new TestEvent.PaceKept(id, at, yes);
      case CLOSED -> new TestEvent.Closed(id, at, yes);
      case WITHDRAWN ->
          new TestEvent.Withdrawn(id, at, UUID.fromString(row.getString("of_event_id")));
    };
  }
}
