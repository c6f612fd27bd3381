package app.korvel.store;

import app.korvel.core.assessment.TestEvent;
import app.korvel.core.assessment.TestKind;
import app.korvel.core.assessment.TestPlan;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.trace.Samples;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Tests: events and samples are appended as they come, each once however often it is sent. */
public final class AssessmentRepository {
  private final Database database;
  private final EventSeries events;
  private final SampleSeries samples;

  public AssessmentRepository(Database database) {
    this.database = database;
    this.events = new EventSeries(database, "assessment_event", "assessment_id", "test");
    this.samples =
        new SampleSeries(database, "assessment_chunk", "assessment_recording", "assessment_id");
  }

  /**
   * A test that was opened.
   *
   * @param clientId empty for practice on somebody who is not there
   * @param speed how much faster its clock goes than the studio's
   * @param simulated who is simulated, and how; empty where a person is tested
   * @param open whether it is still to be closed
   */
  public record OpenedTest(
      UUID id,
      Optional<UUID> clientId,
      int speed,
      Optional<String> simulated,
      Instant openedAt,
      TestPlan plan,
      boolean open) {}

  /** Keeps a test that is opened. */
  public void open(OpenedTest test) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", test.id.toString());
    row.put("client_id", test.clientId.map(UUID::toString));
    row.put("kind", test.plan.kind());
    row.put("mode", test.plan.mode());
    row.put("speed", test.speed);
    row.put("simulated", test.simulated);
    row.put("opened_at", test.openedAt);
    row.put("plan", StoredForms.TEST_PLAN.write(test.plan));
    row.put("is_open", test.open);
    database.insert("assessment", row);
  }

  /** The test of that id. */
  public Optional<OpenedTest> get(UUID id) {
    return database.first(
        AssessmentRepository::opened, "select * from assessment where id = ?", id.toString());
  }

  /** Those that are still to be closed, the first opened first. */
  public List<OpenedTest> openNow() {
    return database.list(
        AssessmentRepository::opened,
        "select * from assessment where is_open = 1 order by opened_at, id");
  }

  /** A client's last ones, so many at most, latest first. */
  public List<OpenedTest> of(UUID clientId, int most) {
    return database.list(
        AssessmentRepository::opened,
        "select * from assessment where client_id = ? order by opened_at desc, id desc limit ?",
        clientId.toString(),
        most);
  }

  /** The last practice tests, so many at most, latest first. */
  public List<OpenedTest> practised(int most) {
    return database.list(
        AssessmentRepository::opened,
        "select * from assessment where client_id is null order by opened_at desc, id desc limit ?",
        most);
  }

  /** Those of several clients who are in a test that is not closed. */
  public Set<UUID> running(Collection<UUID> clients) {
    return database
        .byClient(
            row -> true,
            "select t.client_id"
                + Database.WANTED
                + "join assessment t on t.client_id = wanted.client where t.is_open = 1",
            clients)
        .keySet();
  }

  /**
   * A test that was done.
   *
   * @param kind which
   * @param openedAt the last time
   */
  public record LastTest(TestKind kind, Instant openedAt) {}

  /** The last test of each kind that was begun and closed, by client. */
  public Map<UUID, List<LastTest>> lastDone(Collection<UUID> clients) {
    return database.listsByClient(
        row ->
            new LastTest(
                TestKind.valueOf(row.getString("kind")), Instant.parse(row.getString("last"))),
        "select t.client_id, t.kind, max(t.opened_at) as last"
            + Database.WANTED
            + """
            join assessment t on t.client_id = wanted.client
            where t.is_open = 0 and exists (select 1 from assessment_event e
              where e.assessment_id = t.id and e.kind = 'BEGUN')
            group by t.client_id, t.kind
            """,
        clients);
  }

  private static OpenedTest opened(ResultSet row) throws SQLException {
    return new OpenedTest(
        UUID.fromString(row.getString("id")),
        Optional.ofNullable(row.getString("client_id")).map(UUID::fromString),
        row.getInt("speed"),
        Optional.ofNullable(row.getString("simulated")),
        Instant.parse(row.getString("opened_at")),
        StoredForms.TEST_PLAN.read(row.getString("plan")),
        row.getBoolean("is_open"));
  }

  /** Says whether a test is still to be closed. */
  public void setOpen(UUID id, boolean open) {
    database.write(
        connection ->
            Database.change(
                connection, "update assessment set is_open = ? where id = ?", open, id.toString()));
  }

  /**
   * Adds an event.
   *
   * @return whether it was new; one that is there already is not added again
   * @throws InvalidValueException when another test has an event of that id
   */
  public boolean add(UUID test, TestEvent event, Instant now) {
    return events.add(test, TestEventRow.of(event), now);
  }

  /** Everything that happened in a test, in the order in which it was handed in. */
  public List<TestEvent> events(UUID test) {
    return events.of(test, TestEventRow::read);
  }

  /**
   * Adds samples.
   *
   * @param sequence a number that no other samples of the test have; sent twice, they are added
   *     once
   * @return whether they were new
   */
  public boolean add(UUID test, long sequence, Samples recorded) {
    return samples.add(test, sequence, recorded);
  }

  /** Puts the pieces of a recording together. */
  public void putTogether(UUID test) {
    samples.putTogether(test);
  }

  /**
   * All samples of a test.
   *
   * @param since from when on their times count
   */
  public Samples samples(UUID test, Instant since) {
    return samples.samples(test, since);
  }
}
