package app.korvel.server.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LivePlan;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.screening.StopSigns;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.server.live.LiveSummaryViews.LiveSummaryView;
import app.korvel.server.live.LiveViews.FaultOption;
import app.korvel.server.live.LiveViews.LiveRow;
import app.korvel.server.live.LiveViews.LiveSheet;
import app.korvel.server.live.LiveViews.LiveStart;
import app.korvel.server.live.LiveViews.LiveState;
import app.korvel.server.live.LiveViews.LiveStep;
import app.korvel.server.live.LiveViews.LiveView;
import app.korvel.server.live.LiveViews.ZoneGoal;
import app.korvel.server.live.SampleViews.StopSignOption;
import app.korvel.server.live.SampleViews.TraceView;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.SavedSession;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.live.LiveSessions.LiveNow;
import app.korvel.studio.live.OpenLiveSession;
import app.korvel.studio.live.OpenLiveSession.Proposal;
import app.korvel.studio.live.OpenLiveSession.Wanted;
import app.korvel.studio.recording.CompareRecordings;
import app.korvel.studio.zone.SchemeCatalog;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Brings together what the pages of a session on the clock show. */
public record LivePages(Studio studio) {
  private static final int MINUTE = 60;

  /** So many recordings are listed. */
  private static final int LATEST = 12;

  LiveView view(UUID id) {
    LiveNow stands = new LiveSessions(studio).get(id);
    return new LiveView(
        sheet(stands.opened()), LiveState.of(stands), TraceView.of(stands.session().trace(), 1));
  }

  private LiveSheet sheet(Opened opened) {
    LivePlan plan = opened.plan();
    ClientHead head = studio.head(opened.clientId());
    return new LiveSheet(
        opened.id(),
        opened.clientId(),
        head.client().details().name(),
        opened.number().orElse(null),
        plan.mode(),
        opened.speed(),
        opened.simulated().map(SimulatedStrap.Fault::valueOf).orElse(null),
        opened.openedAt(),
        plan.steps().stream().map(LiveStep::of).toList(),
        LiveViews.zones(studio, plan, scheme(opened.clientId())),
        plan.mover().capBpm().isPresent() ? plan.mover().capBpm().getAsInt() : null,
        plan.mover().highestRpe().isPresent() ? plan.mover().highestRpe().getAsInt() : null,
        plan.mover().guide().displayName(),
        plan.goal().map(ZoneGoal::of).orElse(null),
        plan.findings(),
        StopSignOption.ALL,
        head.screening().effects().stopAlso(),
        StopSigns.ACTION,
        opened.broughtIn() ? device(opened).map(Brought::fileName).orElse("") : null,
        !opened.open() && new CompareRecordings(studio).several(opened));
  }

  private Optional<Brought> device(Opened opened) {
    return opened.device().flatMap(studio.store().recordings()::get);
  }

  /**
   * The zone system shown to that client; one that counts from thresholds needs more than a span.
   */
  public Scheme scheme(UUID client) {
    SchemeCatalog schemes = new SchemeCatalog(studio);
    Scheme shown = schemes.of(schemes.inUse(client));
    return shown.basis() == Basis.THRESHOLD ? SchemeCatalog.usual() : shown;
  }

  LiveSummaryView summary(UUID id, Optional<String> scheme) {
    LiveNow stands = new LiveSessions(studio).get(id);
    Scheme shown =
        scheme
            .map(each -> new SchemeCatalog(studio).of(each))
            .orElseGet(() -> scheme(stands.opened().clientId()));
    return LiveSummaryView.of(
        stands,
        studio.head(stands.opened().clientId()).screening().person().sex(),
        zones(stands.opened().plan(), shown));
  }

  /** A zone system on the span of a plan's day; none where no rate led. */
  public static Optional<Zones> zones(LivePlan plan, Scheme scheme) {
    return plan.mover()
        .reserve()
        .map(
            reserve ->
                Zones.of(
                    scheme,
                    reserve,
                    plan.basis().map(LivePlan.Basis::uncertainty).orElse(Uncertainty.USUAL)));
  }

  LiveStart start(UUID client) {
    ClientHead head = studio.head(client);
    OpenLiveSession open = new OpenLiveSession(studio);
    List<Opened> before = studio.store().live().of(client, LATEST);
    Optional<SavedSession> planned = open.plannedToday(head);
    List<Finding> findings = new ArrayList<>();
    Optional<Proposal> proposal = Optional.empty();
    try {
      proposal =
          Optional.of(
              open.proposal(
                  head,
                  new Wanted(
                      planned.map(SavedSession::number),
                      Optional.empty(),
                      Optional.empty(),
                      RateSource.STRAP,
                      Optional.empty(),
                      1)));
      findings.addAll(proposal.get().plan().findings());
    } catch (RefusedException refused) {
      findings.addAll(refused.findings());
    }
    Optional<LivePlan> plan = proposal.map(Proposal::plan);
    List<LiveStep> steps =
        plan.map(LivePlan::steps).orElse(List.of()).stream().map(LiveStep::of).toList();
    return new LiveStart(
        head.client().details().name(),
        plan.isPresent(),
        findings,
        planned.map(SavedSession::number).orElse(null),
        plan.map(LivePlan::mode).orElse(null),
        steps,
        steps.stream().mapToInt(LiveStep::seconds).sum() / MINUTE,
        plan.filter(each -> each.mover().reserve().isPresent()).isPresent(),
        FaultOption.ALL,
        OpenLiveSession.SPEEDS.stream().sorted().toList(),
        before.stream().filter(Opened::open).map(Opened::id).findFirst().orElse(null),
        before.stream().filter(each -> !each.open()).map(this::row).toList());
  }

  /** Those that are on, the first opened first. */
  List<LiveRow> openNow() {
    return studio.store().live().openNow().stream().map(this::row).toList();
  }

  private LiveRow row(Opened opened) {
    return LiveViews.row(
        opened,
        studio.client(opened.clientId()).details().name(),
        studio.store().logs().ofLive(opened.id()));
  }
}
