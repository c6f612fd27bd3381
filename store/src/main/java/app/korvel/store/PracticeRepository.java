package app.korvel.store;

import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.PracticeTry;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.Rhythm;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Practice counts: appended. */
public final class PracticeRepository {

  /**
   * A try as it was kept.
   *
   * @param seed the pulse is made anew from it
   */
  public record SavedTry(UUID id, Instant at, PracticeLevel level, long seed, PracticeTry tried) {}

  private final Database database;

  public PracticeRepository(Database database) {
    this.database = database;
  }

  /** Keeps a try. */
  public void add(SavedTry saved) {
    PracticeTry tried = saved.tried();
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", saved.id().toString());
    row.put("level", saved.level());
    row.put("seed", saved.seed());
    row.put("window_seconds", tried.count().window().seconds());
    row.put("beats", tried.count().beats());
    row.put("beats_played", tried.beatsPlayed());
    row.put("pulse_bpm", tried.pulseBpm());
    row.put("played", tried.played());
    row.put("said", tried.said().map(Enum::name));
    row.put("recorded_at", saved.at());
    database.insert("practice_try", row);
  }

  /** Every try, in the order in which they were made. */
  public List<SavedTry> all() {
    return database.list(
        row ->
            new SavedTry(
                UUID.fromString(row.getString("id")),
                Instant.parse(row.getString("recorded_at")),
                PracticeLevel.valueOf(row.getString("level")),
                row.getLong("seed"),
                new PracticeTry(
                    PulseCount.of(
                        row.getInt("beats"), CountWindow.of(row.getInt("window_seconds"))),
                    row.getInt("beats_played"),
                    row.getInt("pulse_bpm"),
                    Rhythm.valueOf(row.getString("played")),
                    Database.word(row, "said", Rhythm.class))),
        "select * from practice_try order by recorded_at, id");
  }
}
