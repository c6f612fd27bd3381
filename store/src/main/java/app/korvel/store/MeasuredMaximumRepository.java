package app.korvel.store;

import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.pulse.Grade;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Measured maxima: appended; one corrected or withdrawn is superseded. */
public final class MeasuredMaximumRepository {
  private static final String LATEST_FIRST = "measured_on desc, recorded_at desc, id desc";

  /** The column of where a value was measured, by its kind: a field test where none is named. */
  private static final Map<MaximumKind, String> TESTS =
      new EnumMap<>(
          Map.of(
              MaximumKind.FIELD_TEST, "field_test_id",
              MaximumKind.GRADED_TEST, "assessment_id",
              MaximumKind.PEAK, "live_session_id"));

  private final Ledger ledger;

  public MeasuredMaximumRepository(Database database) {
    this.ledger = new Ledger(database, RecordKind.MAXIMA);
  }

  /** Adds one. */
  public void add(UUID clientId, MeasuredMaximum value) {
    ledger.add(value.id(), clientId, row(value), value.recordedAt());
  }

  /**
   * Puts one right: {@code corrected} stands in its place.
   *
   * @return whether this client has it
   * @throws SupersededException when it was corrected or withdrawn since
   */
  public boolean correct(UUID clientId, UUID id, MeasuredMaximum corrected) {
    return ledger.correct(clientId, id, corrected.id(), row(corrected));
  }

  /** A client's, of every mode, latest first. */
  public List<MeasuredMaximum> of(UUID clientId) {
    return ledger.of(clientId, MeasuredMaximumRepository::value, LATEST_FIRST);
  }

  /** Those of several clients, latest first, by client. */
  public Map<UUID, List<MeasuredMaximum>> of(Collection<UUID> clients) {
    return ledger.of(clients, MeasuredMaximumRepository::value, LATEST_FIRST);
  }

  private static Map<String, Object> row(MeasuredMaximum value) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("mode", value.mode());
    row.put("kind", value.kind());
    row.put("protocol", value.protocol());
    row.put("grade", value.grade());
    row.put("bpm", value.bpm());
    row.put("measured_on", value.measuredOn().toString());
    row.put("note", value.note());
    TESTS.values().forEach(column -> row.put(column, Optional.empty()));
    row.put(TESTS.getOrDefault(value.kind(), "field_test_id"), value.test().map(UUID::toString));
    return row;
  }

  private static MeasuredMaximum value(ResultSet row) throws SQLException {
    Optional<String> test = Optional.empty();
    for (String column : TESTS.values()) {
      test = test.isPresent() ? test : Optional.ofNullable(row.getString(column));
    }
    return new MeasuredMaximum(
        UUID.fromString(row.getString("id")),
        Mode.valueOf(row.getString("mode")),
        MaximumKind.valueOf(row.getString("kind")),
        row.getString("protocol"),
        Grade.valueOf(row.getString("grade")),
        row.getInt("bpm"),
        LocalDate.parse(row.getString("measured_on")),
        row.getString("note"),
        test.map(UUID::fromString),
        Instant.parse(row.getString("recorded_at")));
  }
}
