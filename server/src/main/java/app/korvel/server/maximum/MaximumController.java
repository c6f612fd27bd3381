package app.korvel.server.maximum;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.MaximumEstimates;
import app.korvel.core.maximum.Mode;
import app.korvel.core.maximum.RecordedPeak;
import app.korvel.core.measure.Limit;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Sex;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.maximum.MaximumViews.MaximumSheet;
import app.korvel.server.maximum.MaximumViews.MaximumView;
import app.korvel.server.measure.WorkingViews.WorkingView;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.FindingView;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.server.web.Within;
import app.korvel.store.Ids;
import app.korvel.store.MaximumChoiceRepository;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The maximum by every equation, for a client or for figures given. */
@RestController
class MaximumController {
  private final ClientRecords records;
  private final MaximumSheets sheets;
  private final MaximumChoiceRepository choices;
  private final StudioClock clock;
  private final Ids ids;

  MaximumController(
      ClientRecords records,
      MaximumSheets sheets,
      MaximumChoiceRepository choices,
      StudioClock clock,
      Ids ids) {
    this.records = records;
    this.sheets = sheets;
    this.choices = choices;
    this.clock = clock;
    this.ids = ids;
  }

  @PostMapping("/api/calculator/maximum")
  MaximumView maximum(@RequestBody MaximumRequest request) {
    return MaximumView.of(
        MaximumEstimates.of(request.person(), request.resting(), request.modeOrRun()));
  }

  /** The peak of a recording; nothing is kept. */
  @PostMapping("/api/calculator/peak")
  PeakView peak(@RequestBody PeakRequest request) {
    return PeakView.of(RecordedPeak.of(request.csv));
  }

  /** One equation long hand. */
  @PostMapping("/api/calculator/maximum/working")
  WorkingView working(@RequestBody MaximumWorkingRequest request) {
    MaximumRequest of = request.of;
    return WorkingView.of(
        MaximumEstimates.longHand(request.method, of.person(), of.resting(), of.modeOrRun()),
        request.figures);
  }

  @GetMapping("/api/clients/{id}/maximum")
  MaximumSheet maximum(@PathVariable UUID id, @RequestParam(defaultValue = "run") Mode mode) {
    return sheets.of(records.client(id), mode);
  }

  /** Every choice ever made for a client, latest first. */
  @GetMapping("/api/clients/{id}/maximum/choices")
  ChoiceList choices(@PathVariable UUID id) {
    records.client(id);
    return new ChoiceList(
        choices.of(id).stream()
            .map(
                kept ->
                    new ChoiceView(
                        kept.id(),
                        kept.choice().map(Choice::method).orElse(null),
                        kept.choice().map(Choice::reason).orElse(null),
                        kept.on()))
            .toList());
  }

  /** Another equation than the default is used from now on, in every mode. */
  @OneWrite
  @PutMapping("/api/clients/{id}/maximum/choice")
  MaximumSheet choose(@PathVariable UUID id, @RequestBody ChoiceRequest request) {
    Client client = records.open(id);
    Choice choice =
        records
            .groundwork(client, Mode.RUN)
            .maximumRecord()
            .estimates()
            .choose(request.method, request.reason, clock.today());
    choices.add(ids.next(), id, Optional.of(choice), clock.today(), clock.now());
    return maximum(id, Mode.RUN);
  }

  /** Back to the default; nothing is kept where it is in use already. */
  @OneWrite
  @DeleteMapping("/api/clients/{id}/maximum/choice")
  MaximumSheet backToDefault(@PathVariable UUID id) {
    records.open(id);
    if (choices.current(id).isPresent()) {
      choices.add(ids.next(), id, Optional.empty(), clock.today(), clock.now());
    }
    return maximum(id, Mode.RUN);
  }

  /** Undoes the latest choice: what was chosen before it stands again, as of when it was chosen. */
  @OneWrite
  @PostMapping("/api/clients/{id}/maximum/choices/{choice}/undo")
  MaximumSheet undo(@PathVariable UUID id, @PathVariable UUID choice) {
    records.open(id);
    if (!choices.undo(id, choice, ids.next(), clock.now())) {
      throw new NotFoundException("This client has no choice " + choice + ".");
    }
    return maximum(id, Mode.RUN);
  }

  /**
   * A recording as CSV: {@code seconds,bpm} or {@code seconds,bpm,steps}, named in the first line.
   */
  record PeakRequest(String csv) {}

  record AsideView(int fromSecond, int toSecond, String why) {}

  /**
   * The peak of a recording.
   *
   * @param bpm null where nothing holds long enough
   */
  record PeakView(
      @Nullable Integer bpm, int atSecond, List<AsideView> setAside, List<FindingView> findings) {
    static PeakView of(RecordedPeak peak) {
      return new PeakView(
          peak.bpm().isPresent() ? peak.bpm().getAsInt() : null,
          peak.atSecond(),
          peak.setAside().stream()
              .map(
                  each ->
                      new AsideView(each.fromSecond(), each.toSecond(), each.why().displayName()))
              .toList(),
          FindingView.of(peak.findings()));
    }
  }

  record ChoiceRequest(String method, String reason) {}

  /**
   * A choice as it was kept.
   *
   * @param method the equation's id; null where it went back to the default
   */
  record ChoiceView(UUID id, @Nullable String method, @Nullable String reason, LocalDate on) {}

  record ChoiceList(List<ChoiceView> choices) {}

  record MaximumWorkingRequest(
      MaximumRequest of, String method, @Nullable List<@Nullable BigDecimal> figures) {}

  /** Whom to work the equations out for; what is left out is not known or does not hold. */
  record MaximumRequest(
      @Within(Limit.AGE) Integer age,
      @Nullable Sex sex,
      @Nullable @Within(Limit.RESTING) Integer restingBpm,
      @Nullable Activity activity,
      @Nullable Boolean betaBlocker,
      @Nullable Boolean heartCondition,
      @Nullable Boolean heartFailure,
      @Nullable Mode mode) {

    OptionalInt resting() {
      return restingBpm == null ? OptionalInt.empty() : OptionalInt.of(restingBpm);
    }

    Mode modeOrRun() {
      return mode == null ? Mode.RUN : mode;
    }

    Person person() {
      return Person.of(
          age,
          sex == null ? Sex.NOT_GIVEN : sex,
          activity == null ? Activity.SOME : activity,
          Person.Health.of(
              Boolean.TRUE.equals(heartCondition),
              Boolean.TRUE.equals(heartFailure),
              Boolean.TRUE.equals(betaBlocker)));
    }
  }
}
