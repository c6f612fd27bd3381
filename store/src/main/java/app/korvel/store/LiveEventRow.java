package app.korvel.store;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LiveEvent.Kind;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.screening.StopSign;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/** What happened on the clock as a row: of a session, or of a room. */
final class LiveEventRow {
  private LiveEventRow() {}

  /** Its columns, besides those that say where it belongs. */
  static Map<String, Object> of(LiveEvent event) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", event.id().toString());
    row.put("at", event.at());
    Kind kind = event.kind();
    row.put("kind", kind);
    switch (kind) {
      case STEP_ENDED -> row.put("leg", ((LiveEvent.StepEnded) event).leg());
      case STEP_BACK -> row.put("leg", ((LiveEvent.StepBack) event).leg());
      case LENGTHENED -> {
        row.put("leg", ((LiveEvent.Lengthened) event).leg());
        row.put("seconds", ((LiveEvent.Lengthened) event).seconds());
      }
      case RATED -> {
        row.put("rpe", boxed(((LiveEvent.Rated) event).rpe20()));
        row.put("voice", boxed(((LiveEvent.Rated) event).voice()));
        row.put("from_at", ((LiveEvent.Rated) event).passageAt());
      }
      case COUNTED -> {
        row.put("beats", ((LiveEvent.Counted) event).beats());
        row.put("window_seconds", ((LiveEvent.Counted) event).window().seconds());
      }
      case READ_OFF -> row.put("bpm", ((LiveEvent.ReadOff) event).bpm());
      case SOURCE_CHANGED -> row.put("word", ((LiveEvent.SourceChanged) event).source());
      case STOPPED -> row.put("word", ((LiveEvent.Stopped) event).sign());
      case ENDED -> row.put("word", ((LiveEvent.Ended) event).reason());
      case WITHDRAWN -> row.put("of_event_id", ((LiveEvent.Withdrawn) event).of().toString());
      case STRAP_GIVEN -> {
        row.put("word", ((LiveEvent.StrapGiven) event).strap());
        row.put("unsure", ((LiveEvent.StrapGiven) event).unsure());
      }
      case STRAPS_SWAPPED -> {
        row.put("other_session_id", ((LiveEvent.StrapsSwapped) event).with().toString());
        row.put("from_at", ((LiveEvent.StrapsSwapped) event).from());
      }
      case EFFORT_ENDED -> row.put("word", ((LiveEvent.EffortEnded) event).posture());
      case BEGUN,
          STEP_STARTED,
          PAUSED,
          RESUMED,
          WORK_RESUMED,
          SEEN,
          STRAP_DOUBTED,
          EFFORT_RESUMED -> {}
    }
    return row;
  }

  private static Optional<Integer> boxed(OptionalInt value) {
    return value.isPresent() ? Optional.of(value.getAsInt()) : Optional.empty();
  }

  /** The event of a row. */
  static LiveEvent read(ResultSet row) throws SQLException {
    UUID id = UUID.fromString(row.getString("id"));
    Instant at = Instant.parse(row.getString("at"));
    String word = row.getString("word");
    int leg = row.getInt("leg");
    return switch (Kind.valueOf(row.getString("kind"))) {
      case BEGUN -> new LiveEvent.Begun(id, at);
      case STEP_STARTED -> new LiveEvent.StepStarted(id, at);
      case STEP_ENDED -> new LiveEvent.StepEnded(id, at, leg);
      case STEP_BACK -> new LiveEvent.StepBack(id, at, leg);
      case LENGTHENED -> new LiveEvent.Lengthened(id, at, leg, row.getInt("seconds"));
      case PAUSED -> new LiveEvent.Paused(id, at);
      case RESUMED -> new LiveEvent.Resumed(id, at);
      case RATED ->
          new LiveEvent.Rated(
              id,
              at,
              number(row, "rpe"),
              number(row, "voice"),
              Optional.ofNullable(row.getString("from_at")).map(Instant::parse));
      case COUNTED ->
          new LiveEvent.Counted(
              id, at, row.getInt("beats"), CountWindow.of(row.getInt("window_seconds")));
      case READ_OFF -> new LiveEvent.ReadOff(id, at, row.getInt("bpm"));
      case SOURCE_CHANGED -> new LiveEvent.SourceChanged(id, at, RateSource.valueOf(word));
      case WORK_RESUMED -> new LiveEvent.WorkResumed(id, at);
      case SEEN -> new LiveEvent.Seen(id, at);
      case STRAP_GIVEN -> new LiveEvent.StrapGiven(id, at, word, row.getBoolean("unsure"));
      case STRAP_DOUBTED -> new LiveEvent.StrapDoubted(id, at);
      case STRAPS_SWAPPED ->
          new LiveEvent.StrapsSwapped(
              id,
              at,
              UUID.fromString(row.getString("other_session_id")),
              Instant.parse(row.getString("from_at")));
      case EFFORT_ENDED -> new LiveEvent.EffortEnded(id, at, RecoveryPosture.valueOf(word));
      case EFFORT_RESUMED -> new LiveEvent.EffortResumed(id, at);
      case STOPPED -> new LiveEvent.Stopped(id, at, StopSign.valueOf(word));
      case ENDED -> new LiveEvent.Ended(id, at, LiveEvent.Reason.valueOf(word));
      case WITHDRAWN ->
          new LiveEvent.Withdrawn(id, at, UUID.fromString(row.getString("of_event_id")));
    };
  }

  private static OptionalInt number(ResultSet row, String column) throws SQLException {
    return Database.wholeNumber(row, column).map(OptionalInt::of).orElse(OptionalInt.empty());
  }
}
