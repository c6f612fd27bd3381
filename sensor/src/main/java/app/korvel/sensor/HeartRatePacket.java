package app.korvel.sensor;

import app.korvel.core.measure.InvalidValueException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;

/**
 * A packet of the open Bluetooth heart rate service (characteristic 0x2A37, little-endian): flags,
 * a rate of one or two bytes, perhaps the energy spent, which is passed over, and the intervals
 * between beats.
 *
 * @param bpm the rate as the sensor tells it, 0 to 65,535
 * @param contact whether there is skin contact; empty where the sensor does not tell
 * @param beatIntervals between beats, in 1/1024 s, the oldest first
 */
public record HeartRatePacket(int bpm, Optional<Boolean> contact, List<Integer> beatIntervals) {
  /** The longest value that the protocol carries, in bytes. */
  public static final int LONGEST = 512;

  private static final int WIDE_RATE = 1;
  private static final int IN_CONTACT = 1 << 1;
  private static final int TELLS_CONTACT = 1 << 2;
  private static final int ENERGY = 1 << 3;
  private static final int INTERVALS = 1 << 4;

  public HeartRatePacket {
    beatIntervals = List.copyOf(beatIntervals);
  }

  /**
   * Reads a packet.
   *
   * @throws InvalidValueException when it is empty, cut off, or longer than {@value #LONGEST} bytes
   */
  public static HeartRatePacket of(byte[] bytes) {
    if (bytes.length == 0 || bytes.length > LONGEST) {
      throw broken("has " + bytes.length + " bytes");
    }
    ByteBuffer packet = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    int flags = packet.get();
    int bpm = is(flags, WIDE_RATE) ? wide(packet) : narrow(packet);
    if (is(flags, ENERGY)) {
      wide(packet);
    }
    List<Integer> intervals = new ArrayList<>();
    while (is(flags, INTERVALS) && packet.hasRemaining()) {
      intervals.add(wide(packet));
    }
    return new HeartRatePacket(
        bpm,
        is(flags, TELLS_CONTACT) ? Optional.of(is(flags, IN_CONTACT)) : Optional.empty(),
        intervals);
  }

  /**
   * Reads a packet that is written as hexadecimal figures.
   *
   * @throws InvalidValueException when it is not, or is broken
   */
  public static HeartRatePacket parse(String hex) {
    try {
      return of(HexFormat.of().parseHex(hex));
    } catch (IllegalArgumentException noHex) {
      throw broken("is not written in hexadecimal figures");
    }
  }

  private static boolean is(int flags, int bit) {
    return (flags & bit) != 0;
  }

  private static int narrow(ByteBuffer packet) {
    need(packet, Byte.BYTES);
    return packet.get() & 0xff;
  }

  private static int wide(ByteBuffer packet) {
    need(packet, Short.BYTES);
    return packet.getShort() & 0xffff;
  }

  private static void need(ByteBuffer packet, int bytes) {
    if (packet.remaining() < bytes) {
      throw broken("is cut off");
    }
  }

  private static InvalidValueException broken(String how) {
    return InvalidValueException.of(
        "packet",
        how,
        "a heart rate measurement of the Bluetooth service, up to " + LONGEST + " bytes");
  }

  /** The rate, or 0 where there is no skin contact. */
  public int bpmInContact() {
    return contact.orElse(true) ? bpm : 0;
  }

  /** As it is sent: the rate in one byte, contact told, and the intervals. */
  public byte[] toBytes() {
    ByteBuffer packet =
        ByteBuffer.allocate(2 + Short.BYTES * beatIntervals.size()).order(ByteOrder.LITTLE_ENDIAN);
    int touching = contact.map(there -> TELLS_CONTACT | (there ? IN_CONTACT : 0)).orElse(0);
    packet.put((byte) (touching | (beatIntervals.isEmpty() ? 0 : INTERVALS)));
    packet.put((byte) Math.min(255, bpm));
    beatIntervals.forEach(interval -> packet.putShort(interval.shortValue()));
    return packet.array();
  }
}
