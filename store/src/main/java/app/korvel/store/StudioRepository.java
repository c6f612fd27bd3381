package app.korvel.store;

import app.korvel.core.measure.RegionalSettings;
import app.korvel.core.measure.RegionalSettings.Clock;
import app.korvel.core.measure.RegionalSettings.Distance;
import app.korvel.core.measure.RegionalSettings.Glucose;
import app.korvel.core.measure.RegionalSettings.Height;
import app.korvel.core.measure.RegionalSettings.Paper;
import app.korvel.core.measure.RegionalSettings.Weight;
import app.korvel.core.prescription.Prescription.DisplaySettings;
import app.korvel.core.zone.RpeFamily;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** The one row about the studio itself. */
public final class StudioRepository {
  private final Database database;

  public StudioRepository(Database database) {
    this.database = database;
  }

  /** Writes the row if there is none yet; leaves an existing one alone. */
  public void ensure(String name, ZoneId timeZone, Instant now) {
    database.write(
        connection ->
            Database.change(
                connection,
                """
                insert into studio (id, name, time_zone, created_at) values (1, ?, ?, ?)
                on conflict (id) do nothing
                """,
                name,
                timeZone.getId(),
                now));
  }

  /** The tables whose records are compared with each other by when they were said. */
  private static final List<String> SAID =
      List.of("intake", "clearance", "check_in", "session_log", "resting_reading", "prescription");

  /** When the newest of all records was made, by its id; empty where there is none. */
  public Optional<Instant> newestRecord() {
    String newest =
        SAID.stream()
            .map(table -> "select max(id) as id from " + table)
            .collect(Collectors.joining(" union all "));
    return database.first(
        row ->
            Instant.ofEpochMilli(
                UUID.fromString(row.getString("id")).getMostSignificantBits() >>> 16),
        "select id from (" + newest + ") where id is not null order by id desc limit 1");
  }

  /**
   * What the studio has chosen for everyone.
   *
   * @param version goes up with every change
   * @param ways its zone system and its 0–10 scale of effort
   * @param regional its units and customs
   * @param learnsFromTalk whether talk rates are learned
   */
  public record Settings(
      int version, DisplaySettings ways, RegionalSettings regional, boolean learnsFromTalk) {
    /** The same with another zone system or scale. */
    public Settings with(DisplaySettings others) {
      return new Settings(version, others, regional, learnsFromTalk);
    }

    /** The same with other units or customs. */
    public Settings with(RegionalSettings others) {
      return new Settings(version, ways, others, learnsFromTalk);
    }

    /** The same with learning on or off. */
    public Settings learning(boolean on) {
      return new Settings(version, ways, regional, on);
    }
  }

  /** What the studio has chosen. */
  public Settings settings() {
    return database.read(StudioRepository::settings);
  }

  /**
   * Changes what the studio has chosen.
   *
   * @param version the version that was read
   * @param change what becomes of the settings as they are
   * @throws StaleVersionException when they have been changed since
   */
  public Settings change(int version, UnaryOperator<Settings> change) {
    return database.write(
        connection -> {
          Settings now = settings(connection);
          if (now.version() != version) {
            throw new StaleVersionException(now.version(), now);
          }
          Settings chosen = change.apply(now);
          RegionalSettings regional = chosen.regional;
          Database.change(
              connection,
              """
              update studio set version = ?, scheme = ?, rpe_family = ?, weight_unit = ?,
                height_unit = ?, glucose_unit = ?, distance_unit = ?, clock = ?, week_start = ?,
                paper = ?, learns_from_talk = ?
              """,
              version + 1,
              chosen.ways.scheme(),
              chosen.ways.family(),
              regional.weight(),
              regional.height(),
              regional.glucose(),
              regional.distance(),
              regional.clock(),
              regional.weekStart(),
              regional.paper(),
              chosen.learnsFromTalk);
          return new Settings(version + 1, chosen.ways, regional, chosen.learnsFromTalk);
        });
  }

  private static Settings settings(Connection connection) throws SQLException {
    return Database.first(
            connection,
            row ->
                new Settings(
                    row.getInt("version"),
                    new DisplaySettings(
                        RpeFamily.valueOf(row.getString("rpe_family")), row.getString("scheme")),
                    new RegionalSettings(
                        Weight.valueOf(row.getString("weight_unit")),
                        Height.valueOf(row.getString("height_unit")),
                        Glucose.valueOf(row.getString("glucose_unit")),
                        Distance.valueOf(row.getString("distance_unit")),
                        Clock.valueOf(row.getString("clock")),
                        DayOfWeek.valueOf(row.getString("week_start")),
                        Paper.valueOf(row.getString("paper"))),
                    row.getBoolean("learns_from_talk")),
            "select * from studio")
        .orElseThrow();
  }

  /** The time zone in which the studio's days are counted. */
  public ZoneId timeZone() {
    return database.read(
        connection ->
            Database.first(
                    connection,
                    row -> ZoneId.of(row.getString("time_zone")),
                    "select time_zone from studio")
                .orElseThrow());
  }
}
