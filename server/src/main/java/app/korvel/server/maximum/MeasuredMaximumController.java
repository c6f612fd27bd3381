package app.korvel.server.maximum;

import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.server.maximum.MaximumViews.KeptMaximum;
import app.korvel.server.maximum.MaximumViews.MeasuredPreview;
import app.korvel.server.maximum.MaximumViews.MeasuredRequest;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.maximum.CorrectMaximum;
import app.korvel.studio.maximum.RecordMaximum;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Measured maxima: what one would change, keeping it, correcting it. */
@RestController
@RequestMapping("/api/clients/{id}/maxima")
class MeasuredMaximumController {
  private final Studio studio;

  MeasuredMaximumController(Studio studio) {
    this.studio = studio;
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
    ClientHead head = studio.head(id);
    MeasuredMaximum value = new RecordMaximum(studio).made(head, request::value);
    List<MeasuredMaximum> then = new ArrayList<>(head.maxima());
    then.removeIf(each -> each.id().equals(instead));
    then.add(value);
    return MeasuredPreview.of(
        value, head.baseline(value.mode()), head.baseline(value.mode(), then), head);
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  KeptMaximum add(Actor who, @PathVariable UUID id, @RequestBody MeasuredRequest request) {
    return new KeptMaximum(new RecordMaximum(studio).by(who, id, request::value).id());
  }

  @PutMapping("/{maximum}")
  KeptMaximum correct(
      Actor who,
      @PathVariable UUID id,
      @PathVariable UUID maximum,
      @RequestBody MeasuredRequest request) {
    return new KeptMaximum(new CorrectMaximum(studio).by(who, id, maximum, request::value).id());
  }
}
