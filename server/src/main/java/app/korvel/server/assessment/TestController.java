package app.korvel.server.assessment;

import app.korvel.core.assessment.PracticeSubject;
import app.korvel.core.assessment.TestEvent;
import app.korvel.exchange.sheet.Paper;
import app.korvel.exchange.sheet.TestReport;
import app.korvel.server.assessment.ProtocolViews.ProtocolArchiveRequest;
import app.korvel.server.assessment.ProtocolViews.ProtocolChangeRequest;
import app.korvel.server.assessment.ProtocolViews.ProtocolRequest;
import app.korvel.server.assessment.ProtocolViews.ProtocolView;
import app.korvel.server.assessment.TestViews.LaboratoryRequest;
import app.korvel.server.assessment.TestViews.PracticeAnswers;
import app.korvel.server.assessment.TestViews.PracticeTestRequest;
import app.korvel.server.assessment.TestViews.PracticeTests;
import app.korvel.server.assessment.TestViews.RetestView;
import app.korvel.server.assessment.TestViews.TestEventRequest;
import app.korvel.server.assessment.TestViews.TestRequest;
import app.korvel.server.assessment.TestViews.TestRow;
import app.korvel.server.assessment.TestViews.TestStart;
import app.korvel.server.assessment.TestViews.TestState;
import app.korvel.server.assessment.TestViews.TestView;
import app.korvel.server.live.LiveHub;
import app.korvel.server.live.SampleViews.SamplesRequest;
import app.korvel.server.live.SampleViews.SamplesTaken;
import app.korvel.server.practice.Seeds;
import app.korvel.server.sheet.SheetAnswer;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.assessment.KeepTestResult;
import app.korvel.studio.assessment.OpenTest;
import app.korvel.studio.assessment.OwnProtocols;
import app.korvel.studio.assessment.PractiseTest;
import app.korvel.studio.assessment.RecordLaboratory;
import app.korvel.studio.assessment.RecordTestEvent;
import app.korvel.studio.assessment.TakeTestSamples;
import app.korvel.studio.live.TakeSamples.Decoded;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Tests: opened, run event by event and sample by sample, and what came of them. */
@RestController
class TestController {
  private final Studio studio;
  private final TestPages pages;
  private final LiveHub hub;
  private final Seeds seeds;

  TestController(Studio studio, TestPages pages, LiveHub hub, Seeds seeds) {
    this.studio = studio;
    this.pages = pages;
    this.hub = hub;
    this.seeds = seeds;
  }

  @GetMapping("/api/clients/{id}/tests")
  TestStart start(@PathVariable UUID id) {
    return pages.start(id);
  }

  @PostMapping("/api/clients/{id}/tests")
  @ResponseStatus(HttpStatus.CREATED)
  TestView open(Actor who, @PathVariable UUID id, @RequestBody TestRequest request) {
    return pages.view(new OpenTest(studio).by(who, id, request.wanted()).id());
  }

  /** Those that are on, the first opened first. */
  @GetMapping("/api/tests")
  List<TestRow> openNow() {
    return pages.openNow();
  }

  @GetMapping("/api/tests/{test}")
  TestView get(@PathVariable UUID test) {
    return pages.view(test);
  }

  /** Adds what happened; sent twice, it is entered once. */
  @PutMapping("/api/tests/{test}/events/{event}")
  TestState add(
      Actor who,
      @PathVariable UUID test,
      @PathVariable UUID event,
      @RequestBody TestEventRequest request) {
    TestEvent happened = request.event(event);
    TestState state = pages.state(new RecordTestEvent(studio).by(who, test, happened));
    hub.testChanged(test);
    return state;
  }

  /** Takes samples; answered when they are on disk. */
  @PutMapping("/api/tests/{test}/samples/{sequence}")
  SamplesTaken take(
      Actor who,
      @PathVariable UUID test,
      @PathVariable long sequence,
      @RequestBody SamplesRequest request) {
    Decoded decoded = request.decoded();
    SamplesTaken taken =
        SamplesTaken.of(
            sequence,
            new TakeTestSamples(studio).by(who, test, sequence, decoded.handed()),
            decoded);
    hub.testChanged(test);
    return taken;
  }

  /** Keeps the maximum that a graded test to exhaustion proposes. */
  @PostMapping("/api/tests/{test}/maximum")
  TestView maximum(Actor who, @PathVariable UUID test) {
    new KeepTestResult(studio).maximum(who, test);
    return pages.view(test);
  }

  /** The same test before, beside it. */
  @GetMapping("/api/tests/{test}/retest")
  List<RetestView> retest(@PathVariable UUID test) {
    return pages.retests(test);
  }

  /** The test on one page. */
  @GetMapping(value = "/api/tests/{test}/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> pdf(
      @PathVariable UUID test, @RequestParam(required = false) @Nullable Paper paper) {
    return SheetAnswer.pdf(TestReport.of(pages.report(test), paper == null ? Paper.A4 : paper));
  }

  /** Its figures, and its heart rate by the second. */
  @GetMapping(value = "/api/tests/{test}/sheet.csv", produces = "text/csv")
  ResponseEntity<String> csv(@PathVariable UUID test) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"test.csv\"")
        .body(TestReport.csv(pages.report(test)));
  }

  @PostMapping("/api/clients/{id}/laboratory")
  TestStart laboratory(Actor who, @PathVariable UUID id, @RequestBody LaboratoryRequest request) {
    new RecordLaboratory(studio).by(who, id, request::result);
    return pages.start(id);
  }

  @GetMapping("/api/practice/tests")
  PracticeTests practice() {
    return pages.practice();
  }

  /** A graded test on somebody who is not there. */
  @PostMapping("/api/practice/tests")
  @ResponseStatus(HttpStatus.CREATED)
  TestView practise(Actor who, @RequestBody PracticeTestRequest request) {
    PracticeSubject subject = PracticeSubject.of(request.level(), seeds.next());
    int speed = request.speed() == null ? 1 : request.speed();
    return pages.view(new PractiseTest(studio).by(who, subject, speed).id());
  }

  /** What they answer now: pressure, RPE, beats of a count, and how they are. */
  @GetMapping("/api/tests/{test}/answers")
  PracticeAnswers answers(@PathVariable UUID test) {
    return PracticeAnswers.of(new PractiseTest(studio).ask(test));
  }

  @GetMapping("/api/protocols")
  List<ProtocolView> protocols() {
    return pages.protocols();
  }

  @PostMapping("/api/protocols")
  @ResponseStatus(HttpStatus.CREATED)
  ProtocolView addProtocol(Actor who, @RequestBody ProtocolRequest request) {
    return ProtocolView.of(new OwnProtocols(studio).add(who, request::protocol));
  }

  @PutMapping("/api/protocols/{id}")
  ProtocolView changeProtocol(
      Actor who, @PathVariable String id, @RequestBody ProtocolChangeRequest request) {
    return ProtocolView.of(
        new OwnProtocols(studio).change(who, id, request.version(), request.protocol()::protocol));
  }

  @PutMapping("/api/protocols/{id}/archived")
  ProtocolView archiveProtocol(
      Actor who, @PathVariable String id, @RequestBody ProtocolArchiveRequest request) {
    return ProtocolView.of(
        new OwnProtocols(studio).archive(who, id, request.version(), request.archived()));
  }
}
