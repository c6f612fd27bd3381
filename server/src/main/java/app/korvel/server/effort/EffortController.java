package app.korvel.server.effort;

import app.korvel.core.effort.Effort;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Limit;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.screening.Client;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.FindingView;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.server.web.Within;
import app.korvel.store.EffortRepository;
import app.korvel.store.Ids;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Races and other efforts by their average rate, made comparable as a share of reserve. */
@RestController
@RequestMapping("/api/clients/{id}/efforts")
class EffortController {
  private final EffortRepository efforts;
  private final ClientRecords records;
  private final StudioClock clock;
  private final Ids ids;

  EffortController(EffortRepository efforts, ClientRecords records, StudioClock clock, Ids ids) {
    this.efforts = efforts;
    this.records = records;
    this.clock = clock;
    this.ids = ids;
  }

  /** An effort by its average rate. */
  record EffortRequest(
      String name,
      Mode mode,
      Integer averageBpm,
      @Nullable @Within(Limit.EFFORT_MINUTES) Integer minutes,
      LocalDate doneOn) {}

  /**
   * An effort, and what share of the span it took.
   *
   * @param level the level of effort, 1 to 5
   * @param finding what is to be said of it; null for a plain one
   */
  record EffortView(
      UUID id,
      String name,
      Mode mode,
      int averageBpm,
      @Nullable Integer minutes,
      LocalDate doneOn,
      int restingBpm,
      int maximumBpm,
      String maximumMethod,
      BigDecimal reservePercent,
      BigDecimal maximumPercent,
      int level,
      String levelName,
      @Nullable FindingView finding) {

    static EffortView of(Effort effort) {
      return new EffortView(
          effort.id(),
          effort.name(),
          effort.mode(),
          effort.averageBpm(),
          effort.minutes().orElse(null),
          effort.doneOn(),
          effort.reserve().restingBpm(),
          effort.reserve().maximumBpm(),
          effort.maximumMethod(),
          effort.percentOfReserve(),
          effort.percentOfMaximum(),
          effort.level().number(),
          effort.level().displayName(),
          effort.finding().map(FindingView::of).orElse(null));
    }
  }

  record EffortList(List<EffortView> efforts) {}

  record KeptEffort(UUID id) {}

  /** A client's efforts, latest first. */
  @GetMapping
  EffortList list(@PathVariable UUID id) {
    records.client(id);
    return new EffortList(efforts.of(id).stream().map(EffortView::of).toList());
  }

  /** What share of the span it takes; nothing is kept. */
  @PostMapping("/preview")
  EffortView preview(@PathVariable UUID id, @RequestBody EffortRequest request) {
    return EffortView.of(effort(records.client(id), request));
  }

  @OneWrite
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  EffortView add(@PathVariable UUID id, @RequestBody EffortRequest request) {
    Effort effort = effort(records.open(id), request);
    efforts.add(id, effort);
    return EffortView.of(effort);
  }

  /** Takes one back; what is answered can be undone. */
  @OneWrite
  @DeleteMapping("/{effort}")
  KeptEffort takeBack(@PathVariable UUID id, @PathVariable UUID effort) {
    records.open(id);
    UUID withdrawal = ids.next();
    if (!efforts.withdraw(id, effort, withdrawal, clock.now())) {
      throw unknown(effort);
    }
    return new KeptEffort(withdrawal);
  }

  /** Undoes a taking back. */
  @OneWrite
  @PostMapping("/{effort}/undo")
  KeptEffort undo(@PathVariable UUID id, @PathVariable UUID effort) {
    records.open(id);
    UUID restored = ids.next();
    if (!efforts.undo(id, effort, restored)) {
      throw unknown(effort);
    }
    return new KeptEffort(restored);
  }

  private Effort effort(Client client, EffortRequest request) {
    Groundwork ground = records.groundwork(client, request.mode);
    return Effort.of(
        ids.next(),
        request.name,
        request.mode,
        request.averageBpm,
        Optional.ofNullable(request.minutes),
        request.doneOn,
        ground.reserveOrRefuse(),
        ground.maximum().orElseThrow().method(),
        clock.now(),
        clock.zone());
  }

  private static NotFoundException unknown(UUID effort) {
    return new NotFoundException("This client has no effort " + effort + ".");
  }
}
