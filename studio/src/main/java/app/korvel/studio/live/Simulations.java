package app.korvel.studio.live;

import app.korvel.sensor.SimulatedStrap;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions.LiveNow;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;

/** Everybody who is simulated in a session that is on, and what their straps send. */
public final class Simulations {
  private static final String SWAPPED = SimulatedStrap.Fault.SWAPPED.name();

  private final Studio studio;
  private final Map<UUID, SimulatedClient> clients = new HashMap<>();
  private List<Opened> on = List.of();

  /** Who wears whose strap, of those that are simulated as swapped. */
  private Map<UUID, UUID> swapped = Map.of();

  public Simulations(Studio studio) {
    this.studio = studio;
  }

  /** Those that are on, as they were looked for last. */
  public List<Opened> on() {
    return on;
  }

  /** Looks who is simulated now. */
  public void look() {
    on =
        studio.store().live().openNow().stream()
            .filter(opened -> opened.simulated().isPresent())
            .toList();
    clients.keySet().retainAll(on.stream().map(Opened::id).collect(Collectors.toSet()));
    Map<UUID, UUID> pairs = new HashMap<>();
    Map<UUID, UUID> alone = new HashMap<>();
    for (Opened opened : on) {
      if (opened.simulated().filter(SWAPPED::equals).isPresent()) {
        studio
            .store()
            .rooms()
            .ofSession(opened.id())
            .ifPresent(member -> pair(pairs, alone, member.room(), opened.id()));
      }
    }
    swapped = pairs;
  }

  private static void pair(Map<UUID, UUID> pairs, Map<UUID, UUID> alone, UUID room, UUID session) {
    UUID other = alone.remove(room);
    if (other == null) {
      alone.put(room, session);
    } else {
      pairs.put(session, other);
      pairs.put(other, session);
    }
  }

  /** Lets the straps of some sessions send what has come since, in one commit. */
  public void send(Actor who, List<Opened> sessions) {
    studio.write(
        who,
        () -> {
          sessions.forEach(opened -> send(who, opened));
          return sessions.size();
        });
  }

  private void send(Actor who, Opened opened) {
    LiveNow stands = new LiveSessions(studio).again(opened);
    SimulatedClient client =
        clients.computeIfAbsent(opened.id(), id -> new SimulatedClient(stands));
    SimulatedClient worn = clients.getOrDefault(swapped.get(opened.id()), client);
    Optional<SimulatedClient.Sent> sent = client.until(stands.session(), worn);
    while (sent.isPresent()) {
      new TakeSamples(studio).by(who, opened.id(), sent.get().sequence(), sent.get().handed());
      sent = client.until(stands.session(), worn);
    }
    client
        .does(stands.session(), studio.nextId())
        .ifPresent(event -> new RecordLiveEvent(studio).by(who, opened.id(), event));
  }
}
