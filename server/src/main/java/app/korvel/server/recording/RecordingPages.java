package app.korvel.server.recording;

import app.korvel.core.live.LiveSummary;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.exchange.recording.RecordingFile.Format;
import app.korvel.server.live.LivePages;
import app.korvel.server.live.LiveSummaryViews;
import app.korvel.server.live.SampleViews.TraceView;
import app.korvel.server.recording.RecordingViews.GapView;
import app.korvel.server.recording.RecordingViews.PeakSaid;
import app.korvel.server.recording.RecordingViews.PlannedOption;
import app.korvel.server.recording.RecordingViews.RecordingPreview;
import app.korvel.server.recording.RecordingViews.RecordingRow;
import app.korvel.server.recording.RecordingViews.SameSession;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.Studio;
import app.korvel.studio.recording.LookedAt;
import app.korvel.studio.recording.LookedAt.Chosen;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Brings together what the pages of recordings show. */
record RecordingPages(Studio studio) {

  RecordingPreview preview(Brought brought, Chosen chosen) {
    return studio.read(() -> view(LookedAt.of(studio, brought, chosen), chosen));
  }

  private RecordingPreview view(LookedAt looked, Chosen chosen) {
    Brought brought = looked.brought();
    LiveSummary summary = LiveSummary.of(looked.session());
    Scheme scheme = new LivePages(studio).scheme(brought.clientId());
    Optional<Reserve> span = looked.session().plan().mover().reserve();
    return new RecordingPreview(
        brought.id(),
        brought.fileName(),
        Format.valueOf(brought.format()).displayName(),
        brought.recording().startedAt(),
        brought.recording().length(),
        brought.recording().points(),
        looked.mode(),
        looked.source(),
        chosen.source().or(brought::source).isPresent(),
        brought.recording().steps().length > 0,
        brought.recording().gaps().stream()
            .map(gap -> new GapView(gap.fromSecond(), gap.toSecond()))
            .toList(),
        TraceView.of(looked.session().trace(), 1),
        looked.planned().stream().map(PlannedOption::of).toList(),
        looked.joins().map(each -> each.number()).orElse(null),
        looked.alongside().stream()
            .map(each -> new SameSession(each.session(), each.startedAt(), each.seconds()))
            .toList(),
        scheme.id(),
        LiveSummaryViews.zoneSeconds(
            LivePages.zones(looked.session().plan(), scheme), summary.histogram()),
        span.map(Reserve::restingBpm).orElse(null),
        span.map(Reserve::maximumBpm).orElse(null),
        summary.workMinutes(),
        number(summary.averageBpm()),
        looked.peak().map(peak -> number(peak.bpm())).orElse(null),
        RecordingViews.setAside(looked.peak()),
        looked
            .proposal()
            .map(each -> new PeakSaid(each.bpm(), each.offered(), each.finding(), null))
            .orElse(null),
        looked.findings());
  }

  private static @Nullable Integer number(OptionalInt value) {
    return value.isPresent() ? value.getAsInt() : null;
  }

  List<RecordingRow> kept(UUID client) {
    studio.client(client);
    return studio.read(
        () -> {
          Map<UUID, Optional<Opened>> sessions = new HashMap<>();
          List<Brought> all = studio.store().recordings().of(client);
          return all.stream()
              .map(
                  each -> {
                    Optional<Opened> session =
                        sessions.computeIfAbsent(
                            each.session().orElseThrow(), studio.store().live()::get);
                    boolean used =
                        session.flatMap(Opened::device).filter(each.id()::equals).isPresent();
                    boolean compared =
                        !used && each.withdrawnAt().isEmpty()
                            || all.stream()
                                .anyMatch(
                                    other ->
                                        other != each
                                            && other.withdrawnAt().isEmpty()
                                            && other.session().equals(each.session()));
                    return RecordingRow.of(each, day(each), used, compared);
                  })
              .toList();
        });
  }

  RecordingRow row(Brought brought) {
    return kept(brought.clientId()).stream()
        .filter(each -> each.id().equals(brought.id()))
        .findFirst()
        .orElseThrow();
  }

  private LocalDate day(Brought brought) {
    return LocalDate.ofInstant(brought.recording().startedAt(), studio.zone());
  }
}
