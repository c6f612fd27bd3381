package app.korvel.server.maximum;

import app.korvel.core.maximum.MaximumRecord;
import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Client;
import app.korvel.server.client.ChangeViews.SpanView;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.client.ClientViews.MaximumInUse;
import app.korvel.server.client.TargetInQuestion;
import app.korvel.server.maximum.MaximumViews.BirthdayView;
import app.korvel.server.maximum.MaximumViews.KindOption;
import app.korvel.server.maximum.MaximumViews.MaximumSheet;
import app.korvel.server.maximum.MaximumViews.MaximumView;
import app.korvel.server.maximum.MaximumViews.MeasuredView;
import app.korvel.server.maximum.MaximumViews.ModeRow;
import app.korvel.server.measure.WorkingViews.LineView;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.FindingView;
import app.korvel.store.FieldTestRepository;
import app.korvel.store.FieldTestRepository.SavedFieldTest;
import app.korvel.store.MaximumChoiceRepository;
import app.korvel.store.MaximumChoiceRepository.Kept;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Brings together all there is about someone's maximum. */
@Component
class MaximumSheets {
  private final ClientRecords records;
  private final TargetInQuestion target;
  private final FieldTestRepository fieldTests;
  private final MaximumChoiceRepository choices;
  private final StudioClock clock;

  MaximumSheets(
      ClientRecords records,
      TargetInQuestion target,
      FieldTestRepository fieldTests,
      MaximumChoiceRepository choices,
      StudioClock clock) {
    this.records = records;
    this.target = target;
    this.fieldTests = fieldTests;
    this.choices = choices;
    this.clock = clock;
  }

  MaximumSheet of(Client client, Mode mode) {
    Groundwork ground = records.groundwork(client, mode);
    MaximumRecord record = ground.maximumRecord();
    MaximumView equations = MaximumView.of(record.estimates());
    return new MaximumSheet(
        mode,
        equations.recommended(),
        equations.inUse(),
        equations.chosen(),
        choices.of(client.id()).stream().map(Kept::id).findFirst().orElse(null),
        equations.estimates(),
        equations.spread(),
        record.working().map(MaximumInUse::of).orElse(null),
        record.longHand().map(LineView::of).orElse(List.of()),
        record.measured().stream().map(MeasuredView::of).toList(),
        birthday(client, record).orElse(null),
        record.due(),
        SpanView.of(ground),
        target.of(client, mode),
        ground.screening().cap().map(Cap::bpm).orElse(null),
        Arrays.stream(Mode.values()).map(each -> row(client, each)).toList(),
        KindOption.ALL,
        fieldTests.of(client.id()).stream()
            .filter(SavedFieldTest::running)
            .map(saved -> saved.run().test().id())
            .findFirst()
            .orElse(null),
        FindingView.of(record.findings()));
  }

  private ModeRow row(Client client, Mode mode) {
    Groundwork ground = records.groundwork(client, mode);
    return new ModeRow(
        mode, ground.maximum().map(MaximumInUse::of).orElse(null), SpanView.of(ground));
  }

  /** An estimate is worked out anew at every birthday; a measured value keeps what it is. */
  private Optional<BirthdayView> birthday(Client client, MaximumRecord record) {
    LocalDate on = client.nextBirthday(clock.today());
    return record
        .working()
        .filter(working -> working.estimate().isPresent())
        .map(working -> new BirthdayView(on, record.estimateAtAge(client.ageOn(on)).orElseThrow()));
  }
}
