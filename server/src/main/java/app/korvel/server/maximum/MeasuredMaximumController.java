package app.korvel.server.maximum;

import app.korvel.core.maximum.JudgedMaximum;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.screening.Client;
import app.korvel.server.client.ChangeViews.SpanView;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.client.ClientViews.MaximumInUse;
import app.korvel.server.client.TargetInQuestion;
import app.korvel.server.maximum.MaximumViews.KeptMaximum;
import app.korvel.server.maximum.MaximumViews.MeasuredPreview;
import app.korvel.server.maximum.MaximumViews.MeasuredRequest;
import app.korvel.server.maximum.MaximumViews.MeasuredView;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.store.Ids;
import app.korvel.store.MeasuredMaximumRepository;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Measured maxima: what one would change, keeping it, putting it right, taking it back. */
@RestController
@RequestMapping("/api/clients/{id}/maxima")
class MeasuredMaximumController {
  private final MeasuredMaximumRepository maxima;
  private final ClientRecords records;
  private final TargetInQuestion target;
  private final StudioClock clock;
  private final Ids ids;

  MeasuredMaximumController(
      MeasuredMaximumRepository maxima,
      ClientRecords records,
      TargetInQuestion target,
      StudioClock clock,
      Ids ids) {
    this.maxima = maxima;
    this.records = records;
    this.target = target;
    this.clock = clock;
    this.ids = ids;
  }

  /**
   * What it would change; nothing is kept.
   *
   * @param instead the one it would stand in the place of
   */
  @PostMapping("/preview")
  MeasuredPreview preview(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable UUID instead,
      @RequestBody MeasuredRequest request) {
    Client client = records.client(id);
    MeasuredMaximum value = value(client, request);
    List<MeasuredMaximum> now = maxima.of(id);
    List<MeasuredMaximum> then = new ArrayList<>(now);
    then.removeIf(each -> each.id().equals(instead));
    then.add(value);
    Groundwork before = records.groundwork(client, value.mode(), now);
    Groundwork after = records.groundwork(client, value.mode(), then);
    JudgedMaximum judged =
        after.maximumRecord().measured().stream()
            .filter(each -> each.value().equals(value))
            .findFirst()
            .orElseThrow();
    return new MeasuredPreview(
        MeasuredView.of(judged),
        before.maximum().map(MaximumInUse::of).orElse(null),
        after.maximum().map(MaximumInUse::of).orElse(null),
        SpanView.of(before),
        SpanView.of(after),
        target.of(client, value.mode()));
  }

  @OneWrite
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  KeptMaximum add(@PathVariable UUID id, @RequestBody MeasuredRequest request) {
    MeasuredMaximum value = value(records.open(id), request);
    maxima.add(id, value);
    return new KeptMaximum(value.id());
  }

  /** Another value stands in the place of this one. */
  @OneWrite
  @PutMapping("/{maximum}")
  KeptMaximum correct(
      @PathVariable UUID id, @PathVariable UUID maximum, @RequestBody MeasuredRequest request) {
    MeasuredMaximum value = value(records.open(id), request);
    if (!maxima.correct(id, maximum, value)) {
      throw unknown(maximum);
    }
    return new KeptMaximum(value.id());
  }

  /** Takes one back; what is answered can be undone. */
  @OneWrite
  @DeleteMapping("/{maximum}")
  KeptMaximum takeBack(@PathVariable UUID id, @PathVariable UUID maximum) {
    records.open(id);
    UUID withdrawal = ids.next();
    if (!maxima.withdraw(id, maximum, withdrawal, clock.now())) {
      throw unknown(maximum);
    }
    return new KeptMaximum(withdrawal);
  }

  /** Undoes a correction or a taking back. */
  @OneWrite
  @PostMapping("/{maximum}/undo")
  KeptMaximum undo(@PathVariable UUID id, @PathVariable UUID maximum) {
    records.open(id);
    UUID restored = ids.next();
    if (!maxima.undo(id, maximum, restored)) {
      throw unknown(maximum);
    }
    return new KeptMaximum(restored);
  }

  private MeasuredMaximum value(Client client, MeasuredRequest request) {
    return request.value(ids.next(), resting(client), clock.now(), clock.zone());
  }

  private OptionalInt resting(Client client) {
    return records.groundwork(client, Mode.RUN).maximumRecord().restingBpm();
  }

  private static NotFoundException unknown(UUID maximum) {
    return new NotFoundException("This client has no measured maximum " + maximum + ".");
  }
}
