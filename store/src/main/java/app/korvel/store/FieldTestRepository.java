package app.korvel.store;

import app.korvel.core.fieldtest.Assurance;
import app.korvel.core.fieldtest.FieldTest;
import app.korvel.core.fieldtest.FieldTestEvent;
import app.korvel.core.fieldtest.FieldTestProtocol;
import app.korvel.core.fieldtest.FieldTestRun;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.PulseSource;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** Field tests and what happened in them: events are appended as they happen, and never changed. */
public final class FieldTestRepository {
  private final Database database;

  public FieldTestRepository(Database database) {
    this.database = database;
  }

  /**
   * A test, whose it is, and how far it has come.
   *
   * @param clientId whose
   * @param run what has happened
   */
  public record SavedFieldTest(UUID clientId, FieldTestRun run) {
    /** Whether it is neither finished nor stopped. */
    public boolean running() {
      return run.finishedAt().isEmpty() && run.stoppedAt().isEmpty();
    }
  }

  /** Keeps a test that begins; all that is to be made sure of was. */
  public void begin(UUID clientId, FieldTest test) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", test.id().toString());
    row.put("client_id", clientId.toString());
    row.put("protocol", test.protocol());
    row.put("mode", test.mode());
    row.put("warmed_up_minutes", test.warmedUpMinutes());
    row.put(
        "assured",
        Arrays.stream(Assurance.values()).map(Enum::name).collect(Collectors.joining(",")));
    row.put("started_at", test.startedAt());
    database.insert("field_test", row);
  }

  /**
   * Adds an event; one that is there already is not added again.
   *
   * @param check throws where the event cannot have happened as the test stands
   * @return the run with it; nothing when there is no such test
   */
  public Optional<SavedFieldTest> append(
      UUID testId, FieldTestEvent event, Consumer<FieldTestRun> check, Instant now) {
    return database.write(
        connection -> {
          Optional<SavedFieldTest> saved = get(connection, testId);
          if (saved.isEmpty()) {
            return Optional.empty();
          }
          List<FieldTestEvent> events = events(connection, testId);
          if (events.stream().anyMatch(each -> each.id().equals(event.id()))) {
            return saved;
          }
          if (known(connection, event.id())) {
            throw InvalidValueException.of(
                "id", "is that of an event in another test", "an id of its own for each event");
          }
          check.accept(saved.get().run());
          Map<String, Object> row = new LinkedHashMap<>();
          row.put("id", event.id().toString());
          row.put("field_test_id", testId.toString());
          row.put("place", events.size() + 1);
          row.put("at", event.at());
          row.put("kind", event.kind());
          row.put("bout", event.bout());
          row.put("bpm", event.bpm());
          row.put("source", event.source().map(Enum::name));
          row.put("yes", event.yes());
          row.put("of_event_id", event.of().map(UUID::toString));
          row.put("words", event.words());
          row.put("recorded_at", now);
          database.insert("field_test_event", row);
          return get(connection, testId);
        });
  }

  private static boolean known(Connection connection, UUID eventId) throws SQLException {
    return Database.first(
            connection,
            row -> row.getString("id"),
            "select id from field_test_event where id = ?",
            eventId.toString())
        .isPresent();
  }

  /** The test of that id, with all that has happened in it. */
  public Optional<SavedFieldTest> get(UUID testId) {
    return database.read(connection -> get(connection, testId));
  }

  /** A client's tests, latest first. */
  public List<SavedFieldTest> of(UUID clientId) {
    return database.read(
        connection ->
            list(
                connection,
                "select * from field_test where client_id = ? order by started_at desc, id desc",
                clientId.toString()));
  }

  /** Those of several clients who have a test that is neither finished nor stopped. */
  public Set<UUID> running(Collection<UUID> clients) {
    return database
        .byClient(
            row -> true,
            "select t.client_id"
                + Database.WANTED
                + """
                join field_test t on t.client_id = wanted.client
                where not exists (select 1 from field_test_event e
                  where e.field_test_id = t.id and e.kind in ('FINISHED', 'STOPPED')
                    and not exists (select 1 from field_test_event b where b.of_event_id = e.id))
                """,
            clients)
        .keySet();
  }

  /**
   * A test that was finished.
   *
   * @param protocol which
   * @param startedAt when it began, the last time
   */
  public record LastTest(FieldTestProtocol protocol, Instant startedAt) {}

  /** The last finished test of each protocol, by client. */
  public Map<UUID, List<LastTest>> lastFinished(Collection<UUID> clients) {
    return database.listsByClient(
        row ->
            new LastTest(
                FieldTestProtocol.valueOf(row.getString("protocol")),
                Instant.parse(row.getString("last"))),
        "select t.client_id, protocol, max(started_at) as last"
            + Database.WANTED
            + """
            join field_test t on t.client_id = wanted.client
            where exists (select 1 from field_test_event e
              where e.field_test_id = t.id and e.kind = 'FINISHED'
                and not exists (select 1 from field_test_event b where b.of_event_id = e.id))
            group by t.client_id, protocol
            """,
        clients);
  }

  private static Optional<SavedFieldTest> get(Connection connection, UUID testId)
      throws SQLException {
    return list(connection, "select * from field_test where id = ?", testId.toString()).stream()
        .findFirst();
  }

  private static List<SavedFieldTest> list(Connection connection, String sql, Object... values)
      throws SQLException {
    return Database.list(
        connection,
        row -> {
          FieldTest test =
              new FieldTest(
                  UUID.fromString(row.getString("id")),
                  FieldTestProtocol.valueOf(row.getString("protocol")),
                  Mode.valueOf(row.getString("mode")),
                  row.getInt("warmed_up_minutes"),
                  Instant.parse(row.getString("started_at")));
          return new SavedFieldTest(
              UUID.fromString(row.getString("client_id")),
              FieldTestRun.of(test, events(connection, test.id())));
        },
        sql,
        values);
  }

  private static List<FieldTestEvent> events(Connection connection, UUID testId)
      throws SQLException {
    return Database.list(
        connection,
        FieldTestRepository::event,
        "select * from field_test_event where field_test_id = ? order by place",
        testId.toString());
  }

  private static FieldTestEvent event(ResultSet row) throws SQLException {
    return new FieldTestEvent(
        UUID.fromString(row.getString("id")),
        Instant.parse(row.getString("at")),
        FieldTestEvent.Kind.valueOf(row.getString("kind")),
        Database.wholeNumber(row, "bout"),
        Database.wholeNumber(row, "bpm"),
        Database.word(row, "source", PulseSource.class),
        Database.wholeNumber(row, "yes").map(yes -> yes == 1),
        Optional.ofNullable(row.getString("of_event_id")).map(UUID::fromString),
        row.getString("words"));
  }
}
