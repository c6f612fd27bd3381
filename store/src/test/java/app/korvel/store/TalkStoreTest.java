package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.Mode;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import app.korvel.core.talk.Hearing;
import app.korvel.core.talk.NotUsed;
import app.korvel.core.talk.OddDay;
import app.korvel.core.talk.RateBy;
import app.korvel.core.talk.TalkAct;
import app.korvel.core.talk.TalkAct.Frozen;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.talk.TalkCheck.Said;
import app.korvel.core.talk.Which;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TalkStoreTest {
  private static final Instant NOW = Instant.parse("2026-05-20T09:00:00Z");
  private static final UUID CLIENT = new UUID(1, 1);

  @TempDir private Path folder;
  private Database database;
  private TalkRepository talk;

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    talk = new TalkRepository(database);
    new ClientRepository(database)
        .add(
            CLIENT,
            new Client.Details("Test Person", "", LocalDate.of(1980, 1, 1), Sex.FEMALE),
            NOW);
  }

  @AfterEach
  void close() {
    database.close();
  }

  private static TalkCheck check(int n, int voice) {
    return new TalkCheck(
        new UUID(2, n),
        Mode.ROW,
        NOW.minusSeconds(600L * n),
        new Said(134, RateBy.COUNT15, voice, Hearing.TOLD),
        Optional.of(13),
        Set.of(OddDay.HEAT, OddDay.CAFFEINE),
        Set.of(NotUsed.NOT_STEADY),
        Optional.empty(),
        "windy",
        NOW);
  }

  @Test
  void aCheckComesBackWholeAndTheLatestFirst() {
    talk.add(CLIENT, check(2, 2));
    talk.add(CLIENT, check(1, 3));
    assertThat(talk.checks(CLIENT, Instant.EPOCH)).containsExactly(check(1, 3), check(2, 2));
    assertThat(talk.checks(CLIENT, NOW.minusSeconds(900))).hasSize(1);
    assertThat(talk.checks(List.of(new UUID(9, 9)), Instant.EPOCH)).isEmpty();
  }

  @Test
  void correctedItKeepsItsIdAndWithdrawnItIsGone() {
    talk.add(CLIENT, check(1, 2));
    assertThat(talk.correct(CLIENT, new UUID(3, 1), check(1, 4))).isTrue();
    assertThat(talk.correct(CLIENT, new UUID(3, 2), check(1, 5))).isTrue();
    assertThat(talk.correct(CLIENT, new UUID(3, 3), check(7, 5))).isFalse();
    assertThat(talk.checks(CLIENT, Instant.EPOCH))
        .extracting(each -> each.id() + " " + each.said().voice())
        .containsExactly(new UUID(2, 1) + " 5");
    talk.withdraw(CLIENT, new UUID(2, 1), new UUID(3, 4), NOW);
    assertThat(talk.checks(CLIENT, Instant.EPOCH)).isEmpty();
  }

  @Test
  void decisionsComeBackWholeAndUndoneTheyAreGone() {
    TalkAct accepted =
        new TalkAct(
            new UUID(4, 1),
            Optional.of(Mode.ROW),
            TalkAct.Kind.ACCEPTED,
            Optional.of(new Frozen(Which.LOWER, 136, 138, 3, 9, 5, LocalDate.of(2026, 5, 18))),
            Optional.empty(),
            Optional.empty(),
            "",
            NOW);
    TalkAct off =
        new TalkAct(
            new UUID(4, 2),
            Optional.empty(),
            TalkAct.Kind.SWITCHED_OFF,
            Optional.empty(),
            Optional.of(new UUID(2, 1)),
            Optional.of(LocalDate.of(2026, 5, 1)),
            "asked to",
            NOW.plusSeconds(1));
    talk.add(CLIENT, accepted);
    talk.add(CLIENT, off);
    assertThat(talk.acts(List.of(CLIENT)).get(CLIENT)).containsExactly(accepted, off);
    assertThat(talk.acts(CLIENT)).extracting(each -> each.act().id()).startsWith(off.id());
    new Ledger(database, RecordKind.TALK_DECISIONS)
        .withdraw(CLIENT, accepted.id(), new UUID(4, 3), NOW);
    assertThat(talk.acts(List.of(CLIENT)).get(CLIENT)).containsExactly(off);
  }
}
