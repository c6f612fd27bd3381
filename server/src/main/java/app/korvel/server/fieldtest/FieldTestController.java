package app.korvel.server.fieldtest;

import app.korvel.core.fieldtest.FieldTestProtocol;
import app.korvel.core.measure.Threshold;
import app.korvel.server.fieldtest.FieldTestViews.AssuranceOption;
import app.korvel.server.fieldtest.FieldTestViews.EventRequest;
import app.korvel.server.fieldtest.FieldTestViews.FieldTestOption;
import app.korvel.server.fieldtest.FieldTestViews.FieldTestRequest;
import app.korvel.server.fieldtest.FieldTestViews.FieldTestRow;
import app.korvel.server.fieldtest.FieldTestViews.FieldTestSheet;
import app.korvel.server.fieldtest.FieldTestViews.FieldTestView;
import app.korvel.store.FieldTestRepository.SavedFieldTest;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.fieldtest.BeginFieldTest;
import app.korvel.studio.fieldtest.KeepTestMaximum;
import app.korvel.studio.fieldtest.RecordTestEvent;
import java.util.Arrays;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Field tests: who may, the run event by event, and the maximum it proposes. */
@RestController
class FieldTestController {
  private final Studio studio;

  FieldTestController(Studio studio) {
    this.studio = studio;
  }

  @GetMapping("/api/clients/{id}/field-tests")
  FieldTestSheet sheet(@PathVariable UUID id) {
    ClientHead head = studio.head(id);
    return new FieldTestSheet(
        Arrays.stream(FieldTestProtocol.values())
            .map(protocol -> new BeginFieldTest(studio).eligibility(head, protocol))
            .map(FieldTestOption::of)
            .toList(),
        AssuranceOption.ALL,
        Threshold.FIELD_TEST_WARM_UP.whole(),
        studio.store().fieldTests().of(id).stream().map(FieldTestRow::of).toList());
  }

  @PostMapping("/api/clients/{id}/field-tests")
  @ResponseStatus(HttpStatus.CREATED)
  FieldTestView begin(Actor who, @PathVariable UUID id, @RequestBody FieldTestRequest request) {
    return view(new BeginFieldTest(studio).by(who, id, request.protocol(), request::test));
  }

  @GetMapping("/api/field-tests/{test}")
  FieldTestView get(@PathVariable UUID test) {
    return view(new KeepTestMaximum(studio).test(test));
  }

  @PutMapping("/api/field-tests/{test}/events/{event}")
  FieldTestView add(
      Actor who,
      @PathVariable UUID test,
      @PathVariable UUID event,
      @RequestBody EventRequest request) {
    return view(new RecordTestEvent(studio).by(who, test, request.event(event)));
  }

  @PostMapping("/api/field-tests/{test}/maximum")
  FieldTestView keep(Actor who, @PathVariable UUID test) {
    return view(new KeepTestMaximum(studio).by(who, test));
  }

  private FieldTestView view(SavedFieldTest saved) {
    return FieldTestView.of(
        saved,
        studio.head(saved.clientId()),
        new KeepTestMaximum(studio).keptAs(saved),
        studio.now());
  }
}
