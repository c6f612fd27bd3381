package app.korvel.store;

import app.korvel.core.maximum.Mode;
import app.korvel.core.talk.Hearing;
import app.korvel.core.talk.NotUsed;
import app.korvel.core.talk.OddDay;
import app.korvel.core.talk.RateBy;
import app.korvel.core.talk.TalkAct;
import app.korvel.core.talk.TalkAct.Frozen;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.talk.TalkCheck.Said;
import app.korvel.core.talk.TalkCheck.TakenIn;
import app.korvel.core.talk.Which;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** Talk checks, and what was decided about the rates learned from them: appended. */
public final class TalkRepository {
  private final Database database;
  private final Ledger checks;
  private final Ledger acts;

  public TalkRepository(Database database) {
    this.database = database;
    this.checks = new Ledger(database, RecordKind.TALK_CHECKS);
    this.acts = new Ledger(database, RecordKind.TALK_DECISIONS);
  }

  /** A decision with who made it. */
  public record SavedAct(TalkAct act, Optional<String> by) {}

  /** Adds a check. */
  public void add(UUID clientId, TalkCheck check) {
    checks.add(check.id(), clientId, row(check), check.recordedAt());
  }

  /**
   * Corrects a check: another stands in its place, under the same id.
   *
   * @param by id of the record that is right
   * @return whether this client has it
   */
  public boolean correct(UUID clientId, UUID by, TalkCheck check) {
    return head(clientId, check.id())
        .map(head -> checks.correct(clientId, head, by, row(check)))
        .orElse(false);
  }

  /** Withdraws a check: whoever rated it has undone that. */
  public void withdraw(UUID clientId, UUID check, UUID by, Instant now) {
    head(clientId, check).ifPresent(head -> checks.withdraw(clientId, head, by, now));
  }

  /** The row that says last what a check is. */
  private Optional<UUID> head(UUID clientId, UUID check) {
    return database.first(
        row -> UUID.fromString(row.getString("id")),
        "select id from current_talk_check where check_id = ? and client_id = ?",
        check.toString(),
        clientId.toString());
  }

  /** One of a client's checks, if they have it. */
  public Optional<TalkCheck> check(UUID clientId, UUID check) {
    return database.first(
        TalkRepository::check,
        "select * from current_talk_check where check_id = ? and client_id = ?",
        check.toString(),
        clientId.toString());
  }

  /** A client's checks from a moment on, latest first. */
  public List<TalkCheck> checks(UUID clientId, Instant since) {
    return checks(List.of(clientId), since).getOrDefault(clientId, List.of());
  }

  /** Those of several clients, by client. */
  public Map<UUID, List<TalkCheck>> checks(Collection<UUID> clients, Instant since) {
    return database.listsByClient(
        TalkRepository::check,
        "select mine.*"
            + Database.WANTED
            + "join current_talk_check as mine on mine.client_id = wanted.client"
            + " where mine.at >= ? order by mine.at desc, mine.id desc",
        clients,
        since);
  }

  /** Adds a decision. */
  public void add(UUID clientId, TalkAct act) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("mode", act.mode());
    row.put("kind", act.kind());
    row.put("which", act.frozen().map(Frozen::which));
    row.put("bpm", act.frozen().map(Frozen::bpm));
    row.put("learned_bpm", act.frozen().map(Frozen::learnedBpm));
    row.put("plus_minus_bpm", act.frozen().map(Frozen::plusMinusBpm));
    row.put("checks", act.frozen().map(Frozen::checks));
    row.put("days", act.frozen().map(Frozen::days));
    row.put("last_check", act.frozen().map(frozen -> frozen.lastCheck().toString()));
    row.put("check_id", act.check().map(UUID::toString));
    row.put("from_day", act.from().map(LocalDate::toString));
    row.put("reason", act.reason());
    acts.add(act.id(), clientId, row, act.at());
  }

  /** A client's decisions that stand, with who made them, latest first. */
  public List<SavedAct> acts(UUID clientId) {
    return acts.of(
        clientId,
        row -> new SavedAct(act(row), Optional.ofNullable(row.getString("recorded_by"))),
        "recorded_at desc, id desc");
  }

  /** Those of several clients, by client. */
  public Map<UUID, List<TalkAct>> acts(Collection<UUID> clients) {
    return acts.of(clients, TalkRepository::act, "recorded_at, id");
  }

  private static Map<String, Object> row(TalkCheck check) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("check_id", check.id().toString());
    row.put("mode", check.mode());
    row.put("at", check.at());
    row.put("bpm", check.said().bpm());
    row.put("rate_by", check.said().by());
    row.put("voice", check.said().voice());
    row.put("hearing", check.said().hearing());
    row.put("rpe", check.rpe20());
    row.put("odd", words(check.odd()));
    row.put("doubts", words(check.doubts()));
    row.put("live_session_id", check.in().filter(in -> !in.test()).map(in -> in.id().toString()));
    row.put("assessment_id", check.in().filter(TakenIn::test).map(in -> in.id().toString()));
    row.put("note", check.note());
    return row;
  }

  private static String words(Set<? extends Enum<?>> set) {
    return set.stream().map(Enum::name).collect(Collectors.joining(" "));
  }

  private static <E extends Enum<E>> Set<E> set(String words, Class<E> type) {
    return Arrays.stream(words.split(" "))
        .filter(word -> !word.isEmpty())
        .map(word -> Enum.valueOf(type, word))
        .collect(Collectors.toCollection(() -> EnumSet.noneOf(type)));
  }

  private static TalkCheck check(ResultSet row) throws SQLException {
    return new TalkCheck(
        UUID.fromString(row.getString("check_id")),
        Mode.valueOf(row.getString("mode")),
        Instant.parse(row.getString("at")),
        new Said(
            row.getInt("bpm"),
            RateBy.valueOf(row.getString("rate_by")),
            row.getInt("voice"),
            Hearing.valueOf(row.getString("hearing"))),
        Database.wholeNumber(row, "rpe"),
        set(row.getString("odd"), OddDay.class),
        set(row.getString("doubts"), NotUsed.class),
        takenIn(row),
        row.getString("note"),
        Instant.parse(row.getString("recorded_at")));
  }

  private static Optional<TakenIn> takenIn(ResultSet row) throws SQLException {
    String session = row.getString("live_session_id");
    String test = row.getString("assessment_id");
    return session != null
        ? Optional.of(new TakenIn(UUID.fromString(session), false))
        : Optional.ofNullable(test).map(id -> new TakenIn(UUID.fromString(id), true));
  }

  private static TalkAct act(ResultSet row) throws SQLException {
    Optional<Which> which = Database.word(row, "which", Which.class);
    Optional<Frozen> frozen =
        which.isEmpty()
            ? Optional.empty()
            : Optional.of(
                new Frozen(
                    which.get(),
                    row.getInt("bpm"),
                    row.getInt("learned_bpm"),
                    row.getInt("plus_minus_bpm"),
                    row.getInt("checks"),
                    row.getInt("days"),
                    LocalDate.parse(row.getString("last_check"))));
    return new TalkAct(
        UUID.fromString(row.getString("id")),
        Database.word(row, "mode", Mode.class),
        TalkAct.Kind.valueOf(row.getString("kind")),
        frozen,
        Optional.ofNullable(row.getString("check_id")).map(UUID::fromString),
        Optional.ofNullable(row.getString("from_day")).map(LocalDate::parse),
        row.getString("reason"),
        Instant.parse(row.getString("recorded_at")));
  }
}
