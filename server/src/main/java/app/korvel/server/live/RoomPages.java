package app.korvel.server.live;

import app.korvel.core.live.Attention;
import app.korvel.core.live.LivePlan;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.StopSigns;
import app.korvel.core.zone.Reserve;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.server.live.LiveViews.FaultOption;
import app.korvel.server.live.LiveViews.LiveStep;
import app.korvel.server.live.RoomViews.Lane;
import app.korvel.server.live.RoomViews.LevelFrom;
import app.korvel.server.live.RoomViews.OutlineChoice;
import app.korvel.server.live.RoomViews.RoomCandidate;
import app.korvel.server.live.RoomViews.RoomPerson;
import app.korvel.server.live.RoomViews.RoomRow;
import app.korvel.server.live.RoomViews.RoomSheet;
import app.korvel.server.live.RoomViews.RoomStart;
import app.korvel.server.live.RoomViews.RoomState;
import app.korvel.server.live.RoomViews.RoomView;
import app.korvel.server.live.RoomViews.StrapView;
import app.korvel.server.live.RoomViews.SwapView;
import app.korvel.server.live.SampleViews.StopSignOption;
import app.korvel.store.LiveRepository.KnownStrap;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.RoomRepository.Member;
import app.korvel.store.RoomRepository.Room;
import app.korvel.store.SavedClassCount;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.live.HandOutStraps;
import app.korvel.studio.live.OpenLiveSession;
import app.korvel.studio.live.OpenRoom;
import app.korvel.studio.live.Rooms;
import app.korvel.studio.live.Rooms.Present;
import app.korvel.studio.live.Rooms.RoomNow;
import app.korvel.studio.outline.OutlineCatalog;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Brings together what the pages of a room show. */
record RoomPages(Studio studio) {
  private static final int MINUTE = 60;

  RoomView view(UUID id) {
    RoomNow room = new Rooms(studio).get(id);
    return new RoomView(sheet(room), state(room, Optional.empty()));
  }

  /**
   * A room as it stands.
   *
   * @param only whose lanes are told; empty for all
   */
  RoomState state(RoomNow room, Optional<Set<UUID>> only) {
    Map<UUID, Attention> attention =
        room.queue().stream()
            .collect(Collectors.toMap(Attention.Queued::session, Attention.Queued::attention));
    HandOutStraps straps = new HandOutStraps(studio);
    List<Lane> lanes =
        room.people().stream()
            .filter(each -> only.isEmpty() || only.get().contains(each.member().session()))
            .map(
                each ->
                    Lane.of(
                        each,
                        Optional.ofNullable(attention.get(each.member().session())),
                        straps.wornIn(each.stands())))
            .toList();
    Map<UUID, Opened> opened =
        room.people().stream()
            .map(each -> each.stands().opened())
            .collect(Collectors.toMap(Opened::id, Function.identity()));
    List<SwapView> questions =
        room.questions().stream()
            .map(
                each ->
                    SwapView.of(each, name(opened.get(each.one())), name(opened.get(each.other()))))
            .toList();
    return RoomState.of(room, lanes, questions);
  }

  private String name(Opened opened) {
    return studio.client(opened.clientId()).details().name();
  }

  private RoomSheet sheet(RoomNow room) {
    return new RoomSheet(
        room.room().id(),
        room.room().openedAt(),
        room.room().speed(),
        room.room().steps().stream().map(LiveStep::of).toList(),
        room.people().stream().map(this::person).toList(),
        StopSignOption.ALL,
        StopSigns.ACTION,
        LevelFrom.ALL,
        Threshold.SOUNDS_APART.whole());
  }

  private RoomPerson person(Present person) {
    Opened opened = person.stands().opened();
    LivePlan plan = opened.plan();
    ClientHead head = studio.head(opened.clientId());
    Optional<Reserve> reserve = plan.mover().reserve();
    return new RoomPerson(
        opened.id(),
        opened.clientId(),
        head.client().details().name(),
        person.member().place(),
        person.member().nickname().orElse(null),
        person.member().wallRate(),
        plan.steps().stream().map(LiveStep::of).toList(),
        reserve.map(Reserve::restingBpm).orElse(null),
        reserve.map(Reserve::maximumBpm).orElse(null),
        plan.mover().capBpm().isEmpty()
            ? null
            : reserve
                .map(span -> span.percentOfReserve(plan.mover().capBpm().getAsInt()))
                .map(BigDecimal::intValue)
                .orElse(null),
        opened.simulated().isPresent(),
        head.screening().effects().stopAlso());
  }

  List<RoomRow> openNow() {
    return studio.store().rooms().openNow().stream().map(this::row).toList();
  }

  private RoomRow row(Room room) {
    return new RoomRow(
        room.id(), room.openedAt(), room.open(), studio.store().rooms().members(room.id()).size());
  }

  /** Who could be in a room: whoever is checked in today, and whoever was in the last class. */
  RoomStart start() {
    Set<UUID> before = before();
    Set<UUID> wanted = new LinkedHashSet<>(studio.store().checkIns().on(studio.today()).keySet());
    wanted.addAll(before);
    List<KnownStrap> known = new HandOutStraps(studio).known();
    Map<UUID, String> lastStrap = new HashMap<>();
    known.forEach(each -> lastStrap.putIfAbsent(each.lastClient(), each.strap()));
    Map<UUID, ClientHead> heads = studio.heads().of(wanted);
    Set<UUID> on =
        studio.store().live().openNow().stream().map(Opened::clientId).collect(Collectors.toSet());
    List<RoomCandidate> people =
        heads.values().stream()
            .filter(head -> !head.client().archived() && !on.contains(head.client().id()))
            .map(head -> candidate(head, before, lastStrap))
            .sorted((one, other) -> one.name().compareToIgnoreCase(other.name()))
            .toList();
    return new RoomStart(
        people,
        known.stream().map(this::strap).toList(),
        new OutlineCatalog(studio).all().stream().map(RoomPages::outline).toList(),
        openNow(),
        Arrays.stream(SimulatedStrap.Fault.values())
            .filter(each -> each != SimulatedStrap.Fault.NONE)
            .map(each -> new FaultOption(each, each.displayName()))
            .toList(),
        OpenRoom.MOST);
  }

  /** Who was in the last room, or counted together last. */
  private Set<UUID> before() {
    return studio.store().rooms().latest(1).stream()
        .findFirst()
        .map(
            room ->
                studio.store().rooms().members(room.id()).stream()
                    .map(Member::session)
                    .flatMap(session -> studio.store().live().get(session).stream())
                    .map(Opened::clientId)
                    .collect(Collectors.toSet()))
        .or(() -> studio.store().classes().latest().map(SavedClassCount::members).map(Set::copyOf))
        .orElse(Set.of());
  }

  private RoomCandidate candidate(ClientHead head, Set<UUID> before, Map<UUID, String> lastStrap) {
    Client client = head.client();
    Optional<Finding> whyNot = Optional.empty();
    try {
      new OpenLiveSession(studio).proposal(head, OpenLiveSession.Wanted.prescribed());
    } catch (RefusedException refused) {
      whyNot = Optional.of(refused.findings().get(0));
    }
    return new RoomCandidate(
        client.id(),
        client.details().name(),
        whyNot.isEmpty(),
        before.contains(client.id()),
        whyNot.orElse(null),
        lastStrap.get(client.id()));
  }

  private StrapView strap(KnownStrap strap) {
    boolean worn =
        studio
            .store()
            .live()
            .get(strap.lastSession())
            .filter(Opened::open)
            .filter(
                opened ->
                    new HandOutStraps(studio)
                        .wornIn(opened.id())
                        .filter(strap.strap()::equals)
                        .isPresent())
            .isPresent();
    String name = studio.client(strap.lastClient()).details().name();
    return new StrapView(
        strap.strap(), strap.lastClient(), name, strap.lastAt(), worn ? name : null);
  }

  private static OutlineChoice outline(Named named) {
    return new OutlineChoice(named.id(), named.name(), named.outline().seconds() / MINUTE);
  }
}
