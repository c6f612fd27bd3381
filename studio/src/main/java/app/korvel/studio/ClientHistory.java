package app.korvel.studio;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Clearance;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Consent;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.OnRecord;
import app.korvel.core.screening.Reported;
import app.korvel.core.screening.Screening;
import app.korvel.core.talk.LearnedThresholds;
import app.korvel.core.talk.TalkAct;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.MeasuredThresholds;
import app.korvel.core.zone.ThresholdRates;
import app.korvel.core.zone.WorkingThresholds;
import app.korvel.store.MaximumChoiceRepository.Kept;
import app.korvel.store.Store;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * What a client's records came to on days that are past: with what was measured up to that day, as
 * it is on record now, and with the answers that held then.
 */
public final class ClientHistory {
  private final Client client;
  private final ZoneId zone;
  private final List<Intake> intakes;
  private final List<Clearance> clearances;
  private final List<Consent> consents;
  private final List<RestingReading> readings;
  private final List<Kept> choices;
  private final List<MeasuredMaximum> maxima;
  private final List<MeasuredThresholds> thresholds;
  private final List<TalkCheck> checks;
  private final List<TalkAct> acts;
  private final Optional<LocalDate> firstIssued;
  private final boolean learns;

  private ClientHistory(Studio studio, Client client) {
    Store store = studio.store();
    UUID id = client.id();
    this.client = client;
    this.zone = studio.zone();
    this.intakes =
        store.intakes().of(id).stream().sorted(Comparator.comparing(Intake::version)).toList();
    this.clearances = of(store.clearances().of(List.of(id)), id);
    this.consents = of(store.consents().of(List.of(id)), id);
    this.readings = store.readings().of(id);
    this.choices = store.maximumChoices().of(id);
    this.maxima = store.maxima().of(id);
    this.thresholds = store.thresholds().of(id);
    this.checks = store.talk().checks(id, Instant.EPOCH);
    this.acts = of(store.talk().acts(List.of(id)), id);
    this.firstIssued = Optional.ofNullable(store.prescriptions().firstIssued(List.of(id)).get(id));
    this.learns = store.studio().settings().learnsFromTalk();
  }

  /**
   * What there is of a client.
   *
   * @throws NotFoundException when there is none of that id
   */
  public static ClientHistory of(Studio studio, UUID client) {
    return studio.read(() -> new ClientHistory(studio, studio.client(client)));
  }

  private static <T> List<T> of(Map<UUID, List<T>> all, UUID id) {
    return all.getOrDefault(id, List.of());
  }

  /** Everything a prescription would have stood on at the end of a day, in that mode. */
  public ClientBaseline at(LocalDate day, Mode mode) {
    ClientBaseline ground = ground(day, mode);
    return ground.with(
        talk(day)
            .filter(TalkRecords::accepted)
            .flatMap(records -> records.learned(ground))
            .map(LearnedThresholds::rates)
            .orElse(ground.learned()));
  }

  private ClientBaseline ground(LocalDate day, Mode mode) {
    Screening screening =
        Screening.of(
            client, intake(day), new OnRecord(clearances, consents, Reported.NOTHING), day, zone);
    return ClientBaseline.of(
        screening,
        WorkingResting.of(
            readings.stream().filter(each -> upTo(each.takenAt(), day)).toList(),
            screening.medicinesChangedAt(),
            day,
            zone),
        mode,
        choice(day),
        maxima.stream().filter(each -> !each.measuredOn().isAfter(day)).toList());
  }

  /** The answers that held; before the first, those. */
  private Optional<Intake> intake(LocalDate day) {
    return intakes.stream()
        .filter(each -> upTo(each.recordedAt(), day))
        .reduce((before, after) -> after)
        .or(() -> intakes.stream().findFirst());
  }

  private Optional<Choice> choice(LocalDate day) {
    return choices.stream()
        .filter(each -> !each.on().isAfter(day))
        .max(Comparator.comparing(Kept::on))
        .flatMap(Kept::choice);
  }

  private Optional<TalkRecords> talk(LocalDate day) {
    return acts.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new TalkRecords(
                checks.stream().filter(each -> upTo(each.at(), day)).toList(),
                acts.stream().filter(each -> upTo(each.at(), day)).toList(),
                measured(day),
                firstIssued,
                learns));
  }

  private List<MeasuredThresholds> measured(LocalDate day) {
    return thresholds.stream().filter(each -> !each.measuredOn().isAfter(day)).toList();
  }

  private boolean upTo(Instant moment, LocalDate day) {
    return !LocalDate.ofInstant(moment, zone).isAfter(day);
  }

  /** The thresholds by a test that held on a day, in the mode of that groundwork. */
  public Optional<ThresholdRates> thresholds(ClientBaseline then) {
    return then.reserve()
        .flatMap(
            span ->
                WorkingThresholds.of(
                        measured(then.date()),
                        then.maximumRecord().estimates().mode(),
                        then.screening().medicinesChangedAt(),
                        Ladder.of(span, then.learned()),
                        then.date())
                    .rates());
  }

  /** Whether they were regularly active by the answers that held on a day. */
  public boolean regularlyActive(LocalDate day) {
    return intake(day).filter(each -> each.answers().activity().regularlyActive()).isPresent();
  }

  /** In the first weeks of someone who began at no or little activity. */
  public boolean newToExercise(ClientBaseline then) {
    return then.person().activity().ordinal() <= Activity.LITTLE.ordinal()
        && new TalkRecords(List.of(), List.of(), List.of(), firstIssued, learns)
            .firstWeeks(then.date());
  }
}
