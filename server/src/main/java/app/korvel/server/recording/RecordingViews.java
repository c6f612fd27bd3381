package app.korvel.server.recording;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.maximum.Mode;
import app.korvel.core.maximum.RecordedPeak;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.trace.Agreement;
import app.korvel.exchange.recording.CsvColumns;
import app.korvel.exchange.recording.RecordingFile;
import app.korvel.exchange.recording.RecordingFile.Format;
import app.korvel.exchange.recording.RecordingFile.Question;
import app.korvel.server.live.LiveSummaryViews.ZoneSeconds;
import app.korvel.server.live.SampleViews.TraceView;
import app.korvel.server.web.Within;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.store.SavedSession;
import app.korvel.studio.recording.CompareRecordings.Compared;
import app.korvel.studio.recording.CompareRecordings.Side;
import app.korvel.studio.recording.KeepRecording.Kept;
import app.korvel.studio.recording.LookedAt.Chosen;
import app.korvel.studio.recording.ProposePeak.Proposed;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Recordings of clients' own devices, as they are asked for and sent. */
final class RecordingViews {
  private RecordingViews() {}

  /**
   * How the columns of a CSV are read, counted from 0; −1 is none.
   *
   * @param order of day and month; null where it is not known, or does not matter
   */
  record CsvView(
      List<String> names,
      List<String> firstRow,
      int rate,
      int time,
      int date,
      int steps,
      CsvColumns.@Nullable DateOrder order) {
    static CsvView of(CsvColumns columns) {
      CsvColumns.Choice choice = columns.choice();
      return new CsvView(
          columns.names(),
          columns.firstRow(),
          choice.rate(),
          choice.time(),
          choice.date(),
          choice.steps(),
          choice.order().orElse(null));
    }
  }

  /**
   * What came of a file.
   *
   * @param asked what is to be said before it can be read; empty where it was read
   * @param csv how its columns are read; null for other formats
   * @param preview null while something is asked
   */
  record RecordingRead(
      Format format,
      String formatName,
      List<Question> asked,
      @Nullable CsvView csv,
      @Nullable RecordingPreview preview) {
    static RecordingRead of(RecordingFile file, Optional<RecordingPreview> preview) {
      return new RecordingRead(
          file.format(),
          file.format().displayName(),
          file.asked(),
          file.csv().map(CsvView::of).orElse(null),
          preview.orElse(null));
    }
  }

  record GapView(int fromSecond, int toSecond) {}

  /** A planned session that it may be of. */
  record PlannedOption(int number, String words) {
    static PlannedOption of(SavedSession session) {
      return new PlannedOption(
          session.number(),
          session.mode().displayName()
              + ", "
              + session.minutes()
              + " min"
              + session.at().map(at -> ", " + at).orElse(""));
    }
  }

  /** A session on record that looks the same. */
  record SameSession(UUID session, Instant startedAt, int seconds) {}

  /** A stretch that was set aside for the peak. */
  record AsideStretch(int fromSecond, int toSecond, String why) {}

  /**
   * What its peak says.
   *
   * @param offered whether it may be saved as seen once
   * @param savedAs the measured maximum that it was saved as; null while it was not
   */
  record PeakSaid(int bpm, boolean offered, Finding finding, @Nullable UUID savedAs) {
    static PeakSaid of(Proposed proposed) {
      return new PeakSaid(
          proposed.proposal().bpm(),
          proposed.proposal().offered(),
          proposed.proposal().finding(),
          proposed.savedAs().orElse(null));
    }
  }

  /**
   * A recording as it would be kept.
   *
   * @param sourceKnown whether file or person said what read it
   * @param planned sessions of its day, in that activity, that are not logged
   * @param joins number of the one that it is taken to be of; null for none
   * @param same sessions on record that look the same: it can only be kept as a second recording
   * @param zones seconds by zone, with the span of its day; empty where no rate led
   * @param peakBpm null where no rate held
   * @param peak what it says about the maximum; null where it does not go past it
   */
  record RecordingPreview(
      UUID id,
      String fileName,
      String formatName,
      Instant startedAt,
      int seconds,
      int points,
      Mode mode,
      RateSource source,
      boolean sourceKnown,
      boolean withSteps,
      List<GapView> gaps,
      TraceView trace,
      List<PlannedOption> planned,
      @Nullable Integer joins,
      List<SameSession> same,
      String scheme,
      List<ZoneSeconds> zones,
      @Nullable Integer spanRestingBpm,
      @Nullable Integer spanMaximumBpm,
      int workMinutes,
      @Nullable Integer averageBpm,
      @Nullable Integer peakBpm,
      List<AsideStretch> setAside,
      @Nullable PeakSaid peak,
      List<Finding> findings) {}

  static List<AsideStretch> setAside(Optional<RecordedPeak> peak) {
    return peak.map(RecordedPeak::setAside).orElse(List.of()).stream()
        .map(each -> new AsideStretch(each.fromSecond(), each.toSecond(), each.why().displayName()))
        .toList();
  }

  /**
   * How a recording is kept.
   *
   * @param planned number of the planned session, 0 for none; null for the one that fits
   * @param secondOf the session whose second recording it is; null for one of its own
   */
  record KeepRequest(
      @Nullable Mode mode,
      @Nullable RateSource source,
      @Nullable Integer planned,
      @Nullable UUID secondOf,
      @Nullable @Within(Limit.EFFORT) Integer rpe20) {
    Kept kept() {
      return new Kept(
          chosen(mode, source, planned),
          Optional.ofNullable(secondOf),
          rpe20 == null ? OptionalInt.empty() : OptionalInt.of(rpe20));
    }
  }

  static Chosen chosen(
      @Nullable Mode mode, @Nullable RateSource source, @Nullable Integer planned) {
    return new Chosen(
        Optional.ofNullable(mode), Optional.ofNullable(source), Optional.ofNullable(planned));
  }

  /** The session that a recording is of. */
  record KeptRecording(UUID recording, UUID session) {}

  /**
   * A recording that was kept.
   *
   * @param second whether it is the second recording of its session
   * @param used whether its session is judged by it
   * @param withdrawn whether it was withdrawn
   */
  record RecordingRow(
      UUID id,
      UUID session,
      String fileName,
      Instant startedAt,
      LocalDate on,
      int seconds,
      Mode mode,
      RateSource source,
      boolean sourceKnown,
      boolean second,
      boolean used,
      boolean compared,
      boolean withdrawn) {
    static RecordingRow of(Brought brought, LocalDate on, boolean used, boolean compared) {
      return new RecordingRow(
          brought.id(),
          brought.session().orElseThrow(),
          brought.fileName(),
          brought.recording().startedAt(),
          on,
          brought.recording().length(),
          brought.mode().orElse(Mode.OTHER),
          brought.readBy(),
          brought.source().isPresent(),
          brought.second(),
          used,
          compared,
          brought.withdrawnAt().isPresent());
    }
  }

  /** One of two recordings of a session. */
  record RecordedSide(String name, RateSource source, TraceView trace) {
    static RecordedSide of(Side side) {
      return new RecordedSide(
          side.name().isEmpty() ? "Recorded here" : side.name(),
          side.source(),
          TraceView.of(side.trace(), 1));
    }
  }

  /** How two recordings differ. */
  record RecordingAgreement(
      int lagSeconds,
      int commonSeconds,
      BigDecimal meanBpm,
      BigDecimal sdBpm,
      BigDecimal lowBpm,
      BigDecimal highBpm,
      BigDecimal within5Percent,
      int onlyReferenceSeconds,
      int onlySecondSeconds,
      int stepLockedSeconds,
      String verdict,
      String sentence,
      List<Finding> findings) {
    static RecordingAgreement of(Agreement agreement) {
      return new RecordingAgreement(
          agreement.lagSeconds(),
          agreement.commonSeconds(),
          agreement.meanBpm(),
          agreement.sdBpm(),
          agreement.lowBpm(),
          agreement.highBpm(),
          agreement.within5Percent(),
          agreement.onlyReference(),
          agreement.onlySecond(),
          agreement.stepLockedSeconds(),
          agreement.verdict().id(),
          agreement.verdict().sentence(),
          agreement.findings());
    }
  }

  /**
   * Two recordings of one session.
   *
   * @param points common seconds, so many at most: mean of both, the second one less the reference
   * @param agreement null where one of them has too few points to be compared
   */
  record ComparedView(
      UUID session,
      UUID clientId,
      String clientName,
      LocalDate on,
      RecordedSide reference,
      RecordedSide second,
      List<List<Integer>> points,
      @Nullable RecordingAgreement agreement) {
    static ComparedView of(Compared compared, String name, LocalDate on) {
      return new ComparedView(
          compared.session(),
          compared.client(),
          name,
          on,
          RecordedSide.of(compared.reference()),
          RecordedSide.of(compared.second()),
          compared.agreement().map(each -> points(compared, each)).orElse(List.of()),
          compared.agreement().map(RecordingAgreement::of).orElse(null));
    }

    private static final int MOST_POINTS = 900;

    private static List<List<Integer>> points(Compared compared, Agreement agreement) {
      int seconds = compared.reference().trace().seconds();
      int every = Math.max(1, (seconds + MOST_POINTS - 1) / MOST_POINTS);
      List<List<Integer>> points = new ArrayList<>();
      for (int second = 1; second <= seconds; second += every) {
        OptionalInt one = compared.reference().trace().value(second);
        OptionalInt other = agreement.beside(compared.second().trace(), second);
        if (one.isPresent() && other.isPresent()) {
          points.add(
              List.of((one.getAsInt() + other.getAsInt()) / 2, other.getAsInt() - one.getAsInt()));
        }
      }
      return points;
    }
  }

  /** Whether the sensor was asked about, and sat as it should. */
  record SensorRequest(Boolean sensorSat) {}

  record SavedPeak(UUID id) {}
}
