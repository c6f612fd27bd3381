package app.korvel.store;

import app.korvel.core.trace.Samples;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.UUID;

/**
 * Heart rates as they come, of sessions or of tests: pieces, each taken once however often it is
 * sent, and put together as they grow many.
 */
final class SampleSeries {
  /** So many pieces of a recording are put together into one. */
  private static final int PIECES = 30;

  private final Database database;
  private final String chunks;
  private final String recordings;
  private final String owner;

  /**
   * @param chunks the table of pieces
   * @param recordings that of what was put together
   * @param owner the column of what they belong to, in both
   */
  SampleSeries(Database database, String chunks, String recordings, String owner) {
    this.database = database;
    this.chunks = chunks;
    this.recordings = recordings;
    this.owner = owner;
  }

  /**
   * Adds samples.
   *
   * @param sequence a number that no other samples of the series have; sent twice, they are added
   *     once
   * @param samples in the order of their times
   * @return whether they were new
   */
  boolean add(UUID of, long sequence, Samples samples) {
    return database.write(
        connection -> {
          List<Long> pieces = pieces(connection, of);
          if (pieces.contains(sequence) || taken(connection, of).contains(sequence)) {
            return false;
          }
          Database.change(
              connection,
              "insert into " + chunks + " (" + owner + ", sequence, samples) values (?, ?, ?)",
              of.toString(),
              sequence,
              SampleCodec.encode(samples.at(), samples.bpm()));
          if (pieces.size() + 1 >= PIECES) {
            putTogether(of);
          }
          return true;
        });
  }

  private List<Long> pieces(Connection connection, UUID of) throws SQLException {
    return Database.list(
        connection,
        row -> row.getLong(1),
        "select sequence from " + chunks + " where " + owner + " = ? order by sequence",
        of.toString());
  }

  private List<Long> taken(Connection connection, UUID of) throws SQLException {
    return Database.first(
            connection,
            row -> SampleCodec.decodeRuns(row.getBytes("taken")),
            "select taken from " + recordings + " where " + owner + " = ?",
            of.toString())
        .orElse(List.of());
  }

  /** Puts the pieces of a recording together: what is on disk is small then, and read at once. */
  void putTogether(UUID of) {
    database.write(
        connection -> {
          List<Long> pieces = pieces(connection, of);
          if (pieces.isEmpty()) {
            return 0;
          }
          TreeSet<Long> all = new TreeSet<>(taken(connection, of));
          all.addAll(pieces);
          Samples samples = samples(connection, of, Instant.EPOCH);
          Database.change(
              connection, "delete from " + chunks + " where " + owner + " = ?", of.toString());
          return Database.change(
              connection,
              "insert into "
                  + recordings
                  + " ("
                  + owner
                  + ", taken, samples) values (?, ?, ?) on conflict ("
                  + owner
                  + ") do update set taken = excluded.taken, samples = excluded.samples",
              of.toString(),
              SampleCodec.encodeRuns(all),
              SampleCodec.encode(samples.at(), samples.bpm()));
        });
  }

  /**
   * All samples of a series.
   *
   * @param since from when on their times count
   */
  Samples samples(UUID of, Instant since) {
    return database.read(connection -> samples(connection, of, since));
  }

  private Samples samples(Connection connection, UUID of, Instant since) throws SQLException {
    List<Samples> parts = new ArrayList<>();
    parts.addAll(
        Database.list(
            connection,
            row -> SampleCodec.decode(row.getBytes("samples"), since),
            "select samples from " + recordings + " where " + owner + " = ?",
            of.toString()));
    parts.addAll(
        Database.list(
            connection,
            row -> SampleCodec.decode(row.getBytes("samples"), since),
            "select samples from " + chunks + " where " + owner + " = ? order by sequence",
            of.toString()));
    Samples all = Samples.none(since);
    for (Samples part : parts) {
      all = all.with(part.at(), part.bpm());
    }
    return all;
  }
}
