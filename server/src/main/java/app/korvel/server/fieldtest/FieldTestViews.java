package app.korvel.server.fieldtest;

import app.korvel.core.fieldtest.Assurance;
import app.korvel.core.fieldtest.FieldTest;
import app.korvel.core.fieldtest.FieldTestEligibility;
import app.korvel.core.fieldtest.FieldTestEvent;
import app.korvel.core.fieldtest.FieldTestProtocol;
import app.korvel.core.fieldtest.FieldTestResult;
import app.korvel.core.fieldtest.FieldTestRun;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.server.web.FindingView;
import app.korvel.server.web.Within;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
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
      List<FindingView> findings) {

    static FieldTestOption of(FieldTestEligibility eligibility) {
      FieldTestProtocol protocol = eligibility.protocol();
      return new FieldTestOption(
          protocol,
          protocol.displayName(),
          protocol.summary(),
          protocol.modes(),
          eligibility.open(),
          eligibility.onlyToday(),
          FindingView.of(eligibility.findings()));
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
      String words) {}

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

    FieldTest test(UUID id, Instant now) {
      return FieldTest.begin(id, protocol, mode, warmedUpMinutes, Set.copyOf(assured), now);
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

  record StandView(
      FieldTestRun.Phase phase,
      int bout,
      Instant since,
      @Nullable Instant until,
      @Nullable Instant latest,
      boolean mayStart,
      boolean mayFinish,
      boolean plateau) {

    static StandView of(FieldTestRun.Stand stand) {
      return new StandView(
          stand.phase(),
          stand.bout(),
          stand.since(),
          stand.until().orElse(null),
          stand.latest().orElse(null),
          stand.mayStart(),
          stand.mayFinish(),
          stand.plateau());
    }
  }

  /** What a test was worth, as far as it has come. */
  record ResultView(
      @Nullable Integer peakBpm, Grade grade, List<String> departures, FindingView finding) {
    static ResultView of(FieldTestResult result) {
      return new ResultView(
          result.peak().map(FieldTestRun.Reading::bpm).orElse(null),
          result.grade(),
          result.departures(),
          FindingView.of(result.finding()));
    }
  }

  /**
   * A test as it stands.
   *
   * @param day the studio's day on which it was begun
   * @param now what time it is here: the page's clock goes by it
   * @param overBy the event that ended it, which can be taken back; null while it goes on
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
      StandView stand,
      List<BoutView> bouts,
      ResultView result,
      @Nullable UUID overBy,
      @Nullable UUID keptAs,
      List<String> stopSigns,
      String stopAction) {}
}
