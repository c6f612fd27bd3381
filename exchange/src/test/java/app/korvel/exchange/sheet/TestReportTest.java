package app.korvel.exchange.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.assessment.GradedProtocols;
import app.korvel.core.assessment.GradedSheet;
import app.korvel.core.assessment.StepBench;
import app.korvel.core.assessment.TestEvent;
import app.korvel.core.assessment.TestOutcome;
import app.korvel.core.assessment.TestPerson;
import app.korvel.core.assessment.TestPlan;
import app.korvel.core.assessment.TestPosture;
import app.korvel.core.assessment.TestTarget;
import app.korvel.core.assessment.TimedTest;
import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.screening.Sex;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Reserve;
import java.io.IOException;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** A test on paper, read back. */
class TestReportTest {
  private static final Instant OPENED = Instant.parse("2030-03-04T09:00:00Z");
  private static final LocalDate DAY = LocalDate.of(2030, 3, 4);

  private static TestPerson person() {
    return new TestPerson(
        45,
        Sex.MALE,
        Optional.of(BigDecimal.valueOf(75)),
        Optional.of(Reserve.of(64, 176)),
        BigDecimal.TEN,
        OptionalInt.of(165),
        20,
        Set.of());
  }

  private static Trace trace(int seconds) {
    return Trace.of(
        IntStream.rangeClosed(1, seconds).toArray(),
        IntStream.rangeClosed(1, seconds).map(second -> 66 + second / 20).toArray());
  }

  private static UUID id(List<TestEvent> events) {
    return new UUID(1, events.size());
  }

  /**
   * Every stage of the longest start, and a recovery of half an hour: it still fits on one page.
   */
  private static TestReport.Of graded() {
    TestPlan plan =
        new TestPlan(
            person(),
            RateSource.STRAP,
            new TestPlan.Graded(
                GradedProtocols.of("bruce-gentle").orElseThrow(),
                Optional.of(
                    TestTarget.of(
                        TestTarget.Kind.RESERVE, 85, Reserve.of(64, 176), OptionalInt.of(165))),
                false,
                "Ilse Marrowby",
                TestPosture.LYING,
                Optional.of(
                    new TestPlan.Order("Dr Vey", LocalDate.of(2030, 3, 1), OptionalInt.empty()))));
    List<TestEvent> events = new ArrayList<>();
    events.add(new TestEvent.Posture(id(events), OPENED, TestPosture.LYING));
    pressure(events, 170, 122);
    events.add(new TestEvent.Begun(id(events), OPENED.plusSeconds(240)));
    for (int stage = 1; stage <= 9; stage++) {
      pressure(events, 240 + 180 * stage - 30, 130 + 6 * stage);
      events.add(
          new TestEvent.Rated(id(events), OPENED.plusSeconds(240 + 180L * stage - 5), 6 + stage));
    }
    int end = 240 + 180 * 9 + 10;
    events.add(
        new TestEvent.Ended(
            id(events),
            OPENED.plusSeconds(end),
            TestEvent.Reason.TARGET,
            Optional.empty(),
            "as planned <b>&"));
    for (int minute = 1; minute <= 30; minute++) {
      pressure(events, end + 60 * minute, 150);
    }
    Instant now = OPENED.plusSeconds(end + 1900L);
    Trace trace = trace(end + 1900);
    GradedSheet sheet = GradedSheet.of(plan, OPENED, events, trace, now);
    return new TestReport.Of(
        "Test Person & Co",
        DAY,
        plan,
        Optional.of(sheet),
        Optional.empty(),
        TestOutcome.of(sheet).orElseThrow(),
        trace);
  }

  private static void pressure(List<TestEvent> events, int second, int systolic) {
    Instant at = OPENED.plusSeconds(second);
    events.add(
        new TestEvent.Pressure(
            id(events), at, new BloodPressure(systolic, 80), at.minusSeconds(5)));
  }

  private static String text(byte[] pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      return new PDFTextStripper().getText(document);
    }
  }

  @Test
  void aGradedTestIsOnOnePage() throws IOException {
    for (Paper paper : Paper.FOR_CARDS) {
      String text = text(SheetPdf.of(TestReport.of(graded(), paper)));
      assertThat(text)
          .contains(
              "Graded exercise test of Test Person & Co",
              "Ilse Marrowby",
              "Dr Vey, 1 Mar 2030",
              "target reached: as planned <b>&",
              "9.7 km/h at 22 %",
              "184/80",
              "Written cap",
              "30 min",
              "Not recovered after 15 min",
              "Not medical advice");
    }
  }

  @Test
  void itsFiguresAsCsv() {
    String csv = TestReport.csv(graded());
    assertThat(csv).contains("stage,work,MET,bpm,mmHg,RPE 6–20\r\n", "1,2.7 km/h at 0 %,2.3,");
    assertThat(csv).contains("second,bpm\r\n", "\r\n400,85\r\n");
  }

  @Test
  void anyOtherTestHasItsReadings() throws IOException {
    TestPlan plan =
        new TestPlan(person(), RateSource.COUNT, new TestPlan.Bench(StepBench.HIGH, 24));
    List<TestEvent> events =
        List.of(
            new TestEvent.Begun(new UUID(1, 1), OPENED),
            new TestEvent.Counted(new UUID(1, 2), OPENED.plusSeconds(200), 37, CountWindow.S15),
            new TestEvent.PaceKept(new UUID(1, 3), OPENED.plusSeconds(201), true));
    Trace none = Trace.of(new int[0], new int[0], 0);
    TimedTest test = TimedTest.of(plan, OPENED, events, none, OPENED.plusSeconds(300));
    String text =
        text(
            SheetPdf.of(
                TestReport.of(
                    new TestReport.Of(
                        "Test Person",
                        DAY,
                        plan,
                        Optional.empty(),
                        Optional.of(test),
                        TestOutcome.of(test).orElseThrow(),
                        none),
                    Paper.A4)));
    assertThat(text).contains("High bench of Test Person", "148", "49.2", "24 cycles a minute");
  }
}
