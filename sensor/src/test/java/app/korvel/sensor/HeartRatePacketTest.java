package app.korvel.sensor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class HeartRatePacketTest {
  @Test
  void aRateOfOneByteOrTwo() {
    assertThat(HeartRatePacket.parse("0048"))
        .isEqualTo(new HeartRatePacket(72, Optional.empty(), List.of()));
    assertThat(HeartRatePacket.parse("012c01").bpm()).isEqualTo(300);
  }

  @Test
  void contactIsToldOrNot() {
    assertThat(HeartRatePacket.parse("0648").contact()).contains(true);
    assertThat(HeartRatePacket.parse("0448").contact()).contains(false);
    assertThat(HeartRatePacket.parse("0448").bpmInContact()).isZero();
    // There is, but the sensor does not tell: the bit means nothing.
    assertThat(HeartRatePacket.parse("0248").contact()).isEmpty();
    assertThat(HeartRatePacket.parse("0248").bpmInContact()).isEqualTo(72);
  }

  @Test
  void beatIntervalsComeAfterTheEnergy() {
    assertThat(HeartRatePacket.parse("1648000457030200").beatIntervals())
        .containsExactly(1024, 855, 2);
    assertThat(HeartRatePacket.parse("1e48ffff0004").beatIntervals()).containsExactly(1024);
    assertThat(HeartRatePacket.parse("1048").beatIntervals()).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "00", "0148", "0848ff", "1048000401", "zz48", "004"})
  void aBrokenPacketIsRefused(String hex) {
    assertThatThrownBy(() -> HeartRatePacket.parse(hex)).isInstanceOf(InvalidValueException.class);
  }

  @Test
  void noPacketIsLongerThanTheProtocolCarries() {
    assertThat(HeartRatePacket.of(new byte[512]).bpm()).isZero();
    assertThatThrownBy(() -> HeartRatePacket.of(new byte[600]))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("600 bytes");
  }

  @Test
  void whatIsSentIsRead() {
    HeartRatePacket packet = new HeartRatePacket(141, Optional.of(true), List.of(430, 441));
    assertThat(HeartRatePacket.of(packet.toBytes())).isEqualTo(packet);
  }
}
