package app.korvel.server.fieldtest;

import app.korvel.core.fieldtest.Assurance;
import app.korvel.core.fieldtest.FieldTest;
import app.korvel.core.fieldtest.FieldTestEligibility;
import app.korvel.core.fieldtest.FieldTestEvent;
import app.korvel.core.fieldtest.FieldTestProtocol;
import app.korvel.core.fieldtest.FieldTestResult;
import app.korvel.core.fieldtest.FieldTestRun;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.screening.StopSigns;
import app.korvel.server.web.Within;
import app.korvel.store.FieldTestRepository.SavedFieldTest;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Stamp;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Field tests as they are received and sent. */
final class FieldTestViews {
  private FieldTestViews() {}

  record FieldTestOption(
      FieldTestProtocol protocol,
      String name,
      String summary,
      List<Mode> modes,
      boolean open,
      boolean onlyToday,
      List<Finding> findings) {

    static FieldTestOption of(FieldTestEligibility eligibility) {
      FieldTestProtocol protocol = eligibility.protocol();
      return new FieldTestOption(
          protocol,
          protocol.displayName(),
          protocol.summary(),
          protocol.modes(),
          eligibility.open(),
          eligibility.onlyToday(),
          eligibility.findings());
    }
  }

  record AssuranceOption(Assurance assurance, String name) {
    static final List<AssuranceOption> ALL =
        Arrays.stream(Assurance.values())
            .map(each -> new AssuranceOption(each, each.displayName()))
            .toList();
  }

  /** A test in a list. */
  record FieldTestRow(
      UUID id,
      String name,
      Mode mode,
      Instant startedAt,
      boolean running,
      @Nullable Integer peakBpm,
      @Nullable Grade grade,
      String words) {
    static FieldTestRow of(SavedFieldTest saved) {
      FieldTest test = saved.run().test();
      FieldTestResult result = FieldTestResult.of(saved.run());
      Optional<FieldTestRun.Reading> peak = result.peak().filter(found -> !saved.running());
      return new FieldTestRow(
          test.id(),
          test.protocol().displayName(),
          test.mode(),
          test.startedAt(),
          saved.running(),
          peak.map(FieldTestRun.Reading::bpm).orElse(null),
          peak.isPresent() ? result.grade() : null,
          saved.running() ? "Going on" : result.finding().message());
    }
  }

  /**
   * What may be done with a client, and what was.
   *
   * @param tests those begun before, latest first
   */
  record FieldTestSheet(
      List<FieldTestOption> protocols,
      List<AssuranceOption> assurances,
      int warmUpMinutes,
      List<FieldTestRow> tests) {}

  /** A test that is to begin. */
  record FieldTestRequest(
      FieldTestProtocol protocol,
      Mode mode,
      @Within(Limit.WARMED_UP) Integer warmedUpMinutes,
      List<Assurance> assured) {

    FieldTest test(Stamp stamp) {
      return FieldTest.begin(
          stamp.id(), protocol, mode, warmedUpMinutes, Set.copyOf(assured), stamp.at());
    }
  }

  /** Something that happened; what does not belong to its kind is left out. */
  record EventRequest(
      Instant at,
      FieldTestEvent.Kind kind,
      @Nullable Integer bout,
      @Nullable Integer bpm,
      @Nullable Integer beats,
      @Nullable Integer windowSeconds,
      @Nullable PulseSource source,
      @Nullable Boolean yes,
      @Nullable UUID of,
      @Nullable String words) {

    FieldTestEvent event(UUID id) {
      return new FieldTestEvent(
          id,
          at,
          kind,
          Optional.ofNullable(bout),
          rate(),
          Optional.ofNullable(source),
          Optional.ofNullable(yes),
          Optional.ofNullable(of),
          words == null ? "" : words.strip());
    }

    private Optional<Integer> rate() {
      if (source != PulseSource.COUNT) {
        return Optional.ofNullable(bpm);
      }
      if (beats == null || windowSeconds == null) {
        throw InvalidValueException.of(
            beats == null ? "beats" : "windowSeconds", "is missing", "beats and their window");
      }
      return Optional.of(PulseCount.of(beats, CountWindow.of(windowSeconds)).bpm());
    }
  }

  record TestReading(UUID id, Instant at, int bpm, PulseSource source, boolean counts) {
    static TestReading of(FieldTestRun.Reading reading) {
      return new TestReading(
          reading.id(), reading.at(), reading.bpm(), reading.source(), reading.counts());
    }
  }

  record BoutView(
      int number,
      Instant startedAt,
      Instant endsAt,
      boolean whole,
      List<TestReading> readings,
      @Nullable Integer peakBpm,
      boolean asked,
      @Nullable Boolean answer) {

    static BoutView of(FieldTestRun.Bout bout, FieldTestProtocol protocol) {
      return new BoutView(
          bout.number(),
          bout.startedAt(),
          bout.endsAt(),
          bout.whole(),
          bout.readings().stream().map(TestReading::of).toList(),
          bout.peak().map(FieldTestRun.Reading::bpm).orElse(null),
          protocol.asks(bout.number()),
          bout.answer().orElse(null));
    }
  }

  /** What a test was worth, as far as it has come. */
  record ResultView(
      @Nullable Integer peakBpm, Grade grade, List<String> departures, Finding finding) {
    static ResultView of(FieldTestResult result) {
      return new ResultView(
          result.peak().map(FieldTestRun.Reading::bpm).orElse(null),
          result.grade(),
          result.departures(),
          result.finding());
    }
  }

  /**
   * A test as it stands.
   *
   * @param day the studio's day on which it was begun
   * @param now what time it is here: the page's clock goes by it
   * @param overBy the event that ended it, which can be withdrawn; null while it goes on
   * @param keptAs the measured maximum it was kept as; null where it was not
   * @param stopSigns signs to stop at, this client's own first
   */
  record FieldTestView(
      UUID id,
      UUID clientId,
      String clientName,
      FieldTestProtocol protocol,
      String name,
      String summary,
      String question,
      String work,
      String rest,
      int fewestBouts,
      int mostBouts,
      int boutSeconds,
      int countsFromSeconds,
      Mode mode,
      LocalDate day,
      Instant startedAt,
      Instant now,
      FieldTestRun.RunStatus stand,
      List<BoutView> bouts,
      ResultView result,
      @Nullable UUID overBy,
      @Nullable UUID keptAs,
      List<String> stopSigns,
      String stopAction) {

    static FieldTestView of(
        SavedFieldTest saved, ClientHead head, Optional<UUID> keptAs, Instant now) {
      FieldTestRun run = saved.run();
      FieldTest test = run.test();
      FieldTestProtocol protocol = test.protocol();
      return new FieldTestView(
          test.id(),
          saved.clientId(),
          head.client().details().name(),
          protocol,
          protocol.displayName(),
          protocol.summary(),
          protocol.question(),
          protocol.work(),
          protocol.rest(),
          protocol.fewestBouts(),
          protocol.mostBouts(),
          (int) protocol.bout().toSeconds(),
          (int) protocol.countsFrom().toSeconds(),
          test.mode(),
          LocalDate.ofInstant(test.startedAt(), head.screening().zone()),
          test.startedAt(),
          now,
          run.at(now),
          run.bouts().stream().map(bout -> BoutView.of(bout, protocol)).toList(),
          ResultView.of(FieldTestResult.of(run)),
          run.overBy().orElse(null),
          keptAs.orElse(null),
          Stream.concat(head.screening().effects().stopAlso().stream(), StopSigns.SIGNS.stream())
              .toList(),
          StopSigns.ACTION);
    }
  }
}
