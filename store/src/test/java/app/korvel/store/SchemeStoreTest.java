package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.RegionalSettings;
import app.korvel.core.measure.RegionalSettings.Clock;
import app.korvel.core.measure.RegionalSettings.Distance;
import app.korvel.core.measure.RegionalSettings.Glucose;
import app.korvel.core.measure.RegionalSettings.Height;
import app.korvel.core.measure.RegionalSettings.Paper;
import app.korvel.core.measure.RegionalSettings.Weight;
import app.korvel.core.prescription.Prescription.DisplaySettings;
import app.korvel.core.pulse.Grade;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.MeasuredThresholds;
import app.korvel.core.zone.OwnScheme;
import app.korvel.core.zone.OwnScheme.Row;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.ThresholdRates;
import app.korvel.store.StudioRepository.Settings;
import java.math.BigDecimal;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The studio's own schemes, its choices, and measured thresholds. */
class SchemeStoreTest {
  private static final Instant NOW = Instant.parse("2026-05-20T08:00:00Z");
  private static final LocalDate DAY = LocalDate.of(2026, 5, 20);

  @TempDir Path folder;
  private Database database;
  private SchemeRepository schemes;
  private StudioRepository studio;
  private ThresholdRepository thresholds;
  private UUID client;
  private final Ids ids = Ids.timeOrdered();

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    schemes = new SchemeRepository(database);
    studio = new StudioRepository(database);
    thresholds = new ThresholdRepository(database);
    Client.Details details =
        new Client.Details("Someone", "", LocalDate.of(1980, 2, 29), Sex.NOT_GIVEN);
    client = new ClientRepository(database).add(ids.next(), details, NOW).id();
  }

  @AfterEach
  void close() {
    database.close();
  }

  private static Scheme scheme(String id, String name) {
    return new OwnScheme(
            name,
            Scheme.Kind.LADDER,
            Basis.MAXIMUM,
            "",
            List.of(
                new Row("Low", BigDecimal.ZERO, new BigDecimal("62.5")),
                new Row("High", new BigDecimal("62.5"), BigDecimal.valueOf(100))))
        .checked(id);
  }

  @Test
  void aSchemeComesBackAsItWasKept() {
    Scheme mine = scheme(ids.next().toString(), "Sea wall");
    assertThat(schemes.add(mine, NOW)).isEqualTo(new SavedScheme(1, mine, false));
    assertThat(schemes.all()).containsExactly(new SavedScheme(1, mine, false));
    assertThat(schemes.get("nothing")).isEmpty();
  }

  @Test
  void twoWhoChangeOneAreTold() {
    String id = ids.next().toString();
    schemes.add(scheme(id, "Sea wall"), NOW);
    SavedScheme second = schemes.change(1, scheme(id, "Pier"), NOW).orElseThrow();
    assertThat(second.version()).isEqualTo(2);
    assertThatThrownBy(() -> schemes.change(1, scheme(id, "Mole"), NOW))
        .isInstanceOfSatisfying(
            StaleVersionException.class,
            stale -> assertThat(stale.current(SavedScheme.class)).isEqualTo(second));
    assertThat(schemes.change(1, scheme("none", "Mole"), NOW)).isEmpty();
  }

  @Test
  void putAwayItIsKeptAndComesBack() {
    String id = ids.next().toString();
    schemes.add(scheme(id, "Sea wall"), NOW);
    assertThat(schemes.archive(id, 1, true, NOW))
        .get()
        .extracting(SavedScheme::archived)
        .isEqualTo(true);
    assertThat(schemes.all()).isEmpty();
    assertThat(schemes.get(id)).isPresent();
    schemes.archive(id, 2, false, NOW);
    assertThat(schemes.all()).extracting(SavedScheme::version).containsExactly(3);
  }

  @Test
  void theLatestChoiceHoldsUntilItGoesBackToTheStudios() {
    assertThat(schemes.chosen(client)).isEmpty();
    schemes.choose(ids.next(), client, Optional.of("max-fifths"), DAY, NOW);
    schemes.choose(ids.next(), client, Optional.of("rest-plus"), DAY, NOW);
    assertThat(schemes.chosen(client)).contains("rest-plus");
    assertThat(schemes.chosenFor("rest-plus")).containsExactly("Someone");
    assertThat(schemes.chosenFor("max-fifths")).isEmpty();
    schemes.choose(ids.next(), client, Optional.empty(), DAY, NOW);
    assertThat(schemes.chosen(client)).isEmpty();
    assertThat(schemes.chosenFor("rest-plus")).isEmpty();
  }

  /** The id of a choice follows the clock that made it; which one was made last does not. */
  @Test
  void aChoiceMadeByAClockThatWentBackHoldsAllTheSame() {
    UUID early = ids.next();
    UUID late = ids.next();
    schemes.choose(late, client, Optional.of("max-fifths"), DAY, NOW);
    schemes.choose(early, client, Optional.of("rest-plus"), DAY, NOW);
    assertThat(schemes.chosen(client)).contains("rest-plus");
    schemes.choose(ids.next(), client, Optional.of("sixths"), DAY, NOW.minus(Duration.ofDays(40)));
    assertThat(schemes.chosen(client)).contains("sixths");
  }

  @Test
  void aChoiceIsUndoneToTheOneBefore() {
    UUID first = ids.next();
    UUID second = ids.next();
    schemes.choose(first, client, Optional.of("max-fifths"), DAY, NOW);
    schemes.choose(second, client, Optional.of("rest-plus"), DAY, NOW);
    assertThatThrownBy(() -> ledger(RecordKind.SCHEME_CHOICES).undo(client, first, ids.next(), NOW))
        .isInstanceOf(SupersededException.class);
    assertThat(ledger(RecordKind.SCHEME_CHOICES).undo(client, second, ids.next(), NOW)).isTrue();
    assertThat(schemes.chosen(client)).contains("max-fifths");
    assertThat(ledger(RecordKind.SCHEME_CHOICES).undo(client, ids.next(), ids.next(), NOW))
        .isFalse();
  }

  @Test
  void theFirstChoiceIsUndoneToTheStudios() {
    UUID only = ids.next();
    schemes.choose(only, client, Optional.of("max-fifths"), DAY, NOW);
    assertThat(ledger(RecordKind.SCHEME_CHOICES).undo(client, only, ids.next(), NOW)).isTrue();
    assertThat(schemes.chosen(client)).isEmpty();
  }

  @Test
  void whatIsSaidAfterTheClockWentBackIsStillTheLatest() {
    thresholds.add(client, thresholds(110, NOW));
    thresholds.add(client, thresholds(118, NOW.minus(Duration.ofDays(40))));
    assertThat(thresholds.of(client))
        .extracting(each -> each.rates().lowerBpm())
        .containsExactly(118, 110);
  }

  /** Written as short as it may be, a whole second would sort after its own fractions. */
  @Test
  void momentsSortWhateverFractionOfASecondTheyHave() {
    thresholds.add(client, thresholds(110, NOW));
    thresholds.add(client, thresholds(118, NOW.plusMillis(500)));
    thresholds.add(client, thresholds(121, NOW.plusNanos(500_000_001)));
    assertThat(thresholds.of(client))
        .extracting(each -> each.rates().lowerBpm())
        .containsExactly(121, 118, 110);
  }

  private MeasuredThresholds thresholds(int lower, Instant recordedAt) {
    return new MeasuredThresholds(
        ids.next(),
        Mode.ROW,
        MeasuredThresholds.Kind.TALK_STEPS,
        ThresholdRates.of(lower, 149),
        DAY,
        Grade.FAIR,
        "",
        Optional.empty(),
        recordedAt);
  }

  /** Two of one day: the one said last leads, also after the other was withdrawn and undone. */
  @Test
  void undoingDoesNotMakeAnOlderRecordTheLatest() {
    MeasuredThresholds first = thresholds(110, NOW);
    MeasuredThresholds second = thresholds(118, NOW.plusSeconds(60));
    thresholds.add(client, first);
    thresholds.add(client, second);
    assertThat(thresholds.of(client)).containsExactly(second, first);
    UUID by = ids.next();
    ledger(RecordKind.THRESHOLDS).withdraw(client, first.id(), by, NOW.plusSeconds(120));
    ledger(RecordKind.THRESHOLDS).undo(client, by, ids.next(), NOW);
    assertThat(thresholds.of(client))
        .extracting(each -> each.rates().lowerBpm())
        .containsExactly(118, 110);
  }

  @Test
  void theStudioBeginsInTheUsualWaysAndChangesThem() {
    studio.ensure("Studio", ZoneOffset.UTC, NOW);
    Settings usual = new Settings(1, DisplaySettings.USUAL, RegionalSettings.METRIC, true);
    assertThat(studio.settings()).isEqualTo(usual);
    DisplaySettings other = new DisplaySettings(RpeFamily.LINEAR, "max-fifths");
    assertThat(studio.change(1, now -> now.with(other)))
        .isEqualTo(new Settings(2, other, RegionalSettings.METRIC, true));
    RegionalSettings elsewhere =
        new RegionalSettings(
            Weight.LB,
            Height.FT_IN,
            Glucose.MG_DL,
            Distance.MILES,
            Clock.H12,
            DayOfWeek.SUNDAY,
            Paper.LETTER);
    studio.change(2, now -> now.with(elsewhere));
    assertThat(studio.settings()).isEqualTo(new Settings(3, other, elsewhere, true));
    assertThatThrownBy(() -> studio.change(1, now -> usual))
        .isInstanceOf(StaleVersionException.class);
    assertThat(studio.settings().version()).isEqualTo(3);
  }

  @Test
  void thresholdsAreTakenBackAndStandAgain() {
    MeasuredThresholds measured =
        new MeasuredThresholds(
            ids.next(),
            Mode.ROW,
            MeasuredThresholds.Kind.TALK_STEPS,
            ThresholdRates.of(118, 149),
            DAY,
            Grade.GOOD,
            "by the sea wall",
            Optional.empty(),
            NOW);
    thresholds.add(client, measured);
    assertThat(thresholds.of(client)).containsExactly(measured);
    UUID by = ids.next();
    assertThat(ledger(RecordKind.THRESHOLDS).withdraw(client, measured.id(), by, NOW)).isTrue();
    assertThat(thresholds.of(client)).isEmpty();
    assertThat(ledger(RecordKind.THRESHOLDS).undo(client, by, ids.next(), NOW)).isTrue();
    assertThat(thresholds.of(client))
        .extracting(MeasuredThresholds::rates)
        .containsExactly(ThresholdRates.of(118, 149));
    assertThat(ledger(RecordKind.THRESHOLDS).withdraw(client, ids.next(), ids.next(), NOW))
        .isFalse();
  }

  private Ledger ledger(RecordKind kind) {
    return new Ledger(database, kind);
  }
}
