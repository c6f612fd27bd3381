package app.korvel.store;

import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Equipment;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.Medicine;
import app.korvel.core.screening.Symptom;
import app.korvel.core.screening.Topic;
import app.korvel.store.StoredForms.Limits;
import app.korvel.store.StoredForms.Medicines;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DayOfWeek;
import java.time.Instant;
import java.util.Collection;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import tools.jackson.databind.json.JsonMapper;

/** Intakes: every version is kept, the latest one holds. */
public final class IntakeRepository {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final Database database;
  private final Versions<Intake> versions;

  public IntakeRepository(Database database) {
    this.database = database;
    versions = new Versions<>(database, "intake", IntakeRepository::intake, Intake::version);
  }

  /**
   * Keeps the next version.
   *
   * @param version the version that was read; 0 where there was none
   * @param next makes the next version out of all that went before, latest first; empty to keep
   *     what is there
   * @return the version that holds now
   * @throws StaleVersionException when another version has been kept since
   */
  public Optional<Intake> add(
      UUID id, UUID clientId, int version, Function<List<Intake>, Optional<Intake>> next) {
    return database.write(
        connection -> {
          List<Intake> before = versions.of(clientId);
          int number = versions.next(clientId, OptionalInt.of(version));
          Optional<Intake> made = next.apply(before);
          made.ifPresent(intake -> versions.add(id, clientId, number, columns(intake)));
          return made.or(() -> before.stream().findFirst());
        });
  }

  /** A client's versions, latest first. */
  public List<Intake> of(UUID clientId) {
    return versions.of(clientId);
  }

  /** The version that holds for a client, if any was taken. */
  public Optional<Intake> current(UUID clientId) {
    return versions.current(clientId);
  }

  /** The version that holds, by client. */
  public Map<UUID, Intake> current(Collection<UUID> clients) {
    return versions.current(clients);
  }

  private static Map<String, Object> columns(Intake intake) {
    Answers answers = intake.answers();
    Map<String, Object> columns = new LinkedHashMap<>();
    columns.put("asked", JSON.writeValueAsString(answers.asked()));
    columns.put("activity", answers.activity());
    columns.put("slow_mile", answers.slowMile());
    columns.put("symptoms", JSON.writeValueAsString(answers.symptoms()));
    columns.put("conditions", JSON.writeValueAsString(answers.conditions()));
    columns.put("medicines", StoredForms.MEDICINES.write(new Medicines(answers.medicines())));
    columns.put("limits", StoredForms.LIMITS.write(new Limits(answers.limits())));
    columns.put("goal", answers.goal());
    columns.put("days", JSON.writeValueAsString(answers.days()));
    columns.put("equipment", JSON.writeValueAsString(answers.equipment()));
    columns.put("height_cm", whole(answers.heightCm()));
    columns.put("weight_kg", answers.weightKg().map(BigDecimal::toPlainString));
    columns.put("usual_resting_bpm", whole(answers.usualRestingBpm()));
    columns.put("medicines_changed_at", intake.medicinesChangedAt());
    columns.put("symptoms_reported_at", intake.symptomsReportedAt());
    columns.put("recorded_at", intake.recordedAt());
    return columns;
  }

  private static Optional<Integer> whole(OptionalInt value) {
    return value.isPresent() ? Optional.of(value.getAsInt()) : Optional.empty();
  }

  private static Intake intake(ResultSet row) throws SQLException {
    return new Intake(
        row.getInt("version"),
        Instant.parse(row.getString("recorded_at")),
        new Answers(
            words(row, "asked", Topic.class),
            Activity.valueOf(row.getString("activity")),
            row.getBoolean("slow_mile"),
            words(row, "symptoms", Symptom.class),
            words(row, "conditions", Condition.class),
            // A name that is known has one class, whatever was chosen when that was not checked.
            StoredForms.MEDICINES.read(row.getString("medicines")).medicines().stream()
                .map(Medicine::inClassOfName)
                .toList(),
            StoredForms.LIMITS.read(row.getString("limits")).limits(),
            Optional.ofNullable(row.getString("goal")).map(Goal::valueOf),
            words(row, "days", DayOfWeek.class),
            words(row, "equipment", Equipment.class),
            optional(row, "height_cm"),
            Optional.ofNullable(row.getString("weight_kg")).map(BigDecimal::new),
            optional(row, "usual_resting_bpm")),
        instant(row, "medicines_changed_at"),
        instant(row, "symptoms_reported_at"));
  }

  private static <E extends Enum<E>> Set<E> words(ResultSet row, String column, Class<E> type)
      throws SQLException {
    Set<E> words = EnumSet.noneOf(type);
    for (String word : JSON.readValue(row.getString(column), String[].class)) {
      words.add(Enum.valueOf(type, word));
    }
    return words;
  }

  private static OptionalInt optional(ResultSet row, String column) throws SQLException {
    return Database.wholeNumber(row, column).map(OptionalInt::of).orElse(OptionalInt.empty());
  }

  private static Optional<Instant> instant(ResultSet row, String column) throws SQLException {
    return Optional.ofNullable(row.getString(column)).map(Instant::parse);
  }
}
