package app.korvel.sensor;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.zone.Reserve;
import app.korvel.sensor.SimulatedStrap.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SimulatedBodyTest {
  private static final Reserve SPAN = Reserve.of(64, 176);

  private static SimulatedBody after(int seconds, double share, boolean trained) {
    SimulatedBody body = new SimulatedBody(SPAN, trained);
    for (int second = 0; second < seconds; second++) {
      body.work(share);
    }
    return body;
  }

  @Test
  void twoMinutesAtHalfOfReserve() {
    assertThat(Math.round(after(120, 0.5, true).bpm())).isEqualTo(118);
    // (1 − e^(−120/50)) × 56 over 64 = 114.9
    assertThat(Math.round(after(120, 0.5, false).bpm())).isEqualTo(115);
  }

  @Test
  void longHardWorkDriftsUp() {
    assertThat(after(600, 0.7, true).bpm()).isLessThan(142.5);
    // 20 minutes over ten: 0.25 % of reserve each, 5.6 bpm; never over 5 %.
    assertThat(after(1800, 0.7, true).bpm()).isBetween(147.5, 148.1);
    assertThat(after(7200, 0.7, true).bpm()).isBetween(147.9, 148.1);
  }

  @Test
  void whatIsSaidFollowsTheRateHalfAMinuteLater() {
    // 120 − 56 · e^(−t/35): 40 % of reserve, 108.8 bpm, after 56.3 s.
    assertThat(after(57, 0.5, true).voice()).isEqualTo(1);
    assertThat(after(86, 0.5, true).voice()).isEqualTo(1);
    assertThat(after(87, 0.5, true).voice()).isEqualTo(2);
    assertThat(after(600, 0.5, true).rpe20()).isEqualTo(12);
    assertThat(after(600, 0.57, true).rpe20()).isEqualTo(13);
    assertThat(after(600, 1, true).rpe20()).isEqualTo(20);
    assertThat(new SimulatedBody(SPAN, true).rpe20()).isEqualTo(6);
  }

  private static List<Optional<HeartRatePacket>> packets(long seed, Fault fault) {
    SimulatedBody body = new SimulatedBody(SPAN, true);
    SimulatedStrap strap = new SimulatedStrap(seed, fault);
    List<Optional<HeartRatePacket>> packets = new ArrayList<>();
    for (int second = 0; second < 600; second++) {
      body.work(0.6);
      packets.add(strap.next(body));
    }
    return packets;
  }

  @Test
  void theSameSeedMakesTheSamePackets() {
    assertThat(packets(5, Fault.NONE)).isEqualTo(packets(5, Fault.NONE));
    assertThat(packets(5, Fault.NONE)).isNotEqualTo(packets(6, Fault.NONE));
  }

  @Test
  void itsBeatsAddUpToItsRate() {
    int ticks =
        packets(5, Fault.NONE).subList(300, 600).stream()
            .flatMap(packet -> packet.orElseThrow().beatIntervals().stream())
            .mapToInt(Integer::intValue)
            .sum();
    assertThat(ticks / 1024.0).isBetween(296.0, 304.0);
  }

  @Test
  void aFaultShows() {
    assertThat(packets(5, Fault.DROP_OUTS)).contains(Optional.empty());
    assertThat(packets(5, Fault.NONE)).doesNotContain(Optional.empty());
    int[] slipping = rates(Fault.SLIPPING);
    assertThat(slipping[340]).isLessThan(110);
    assertThat(slipping[300]).isGreaterThan(120);
    int[] spikes = rates(Fault.SPIKES);
    assertThat(spikes[449] - spikes[448]).isGreaterThan(30);
  }

  private static int[] rates(Fault fault) {
    return packets(5, fault).stream().mapToInt(packet -> packet.orElseThrow().bpm()).toArray();
  }
}
