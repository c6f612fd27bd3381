package app.korvel.store;

import app.korvel.core.trace.Samples;
import java.io.ByteArrayOutputStream;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.zip.DataFormatException;
import java.util.zip.Deflater;
import java.util.zip.Inflater;

/**
 * Samples as bytes: how far each time and rate is from what the one before leads to expect, a
 * second later and the same rate, in hundredths of a second and bpm. A regular strap takes hardly
 * more than a byte a sample.
 */
final class SampleCodec {
  /** Times are kept to the hundredth of a second: no strap's are surer. */
  private static final int MS = 10;

  private static final int EXPECTED = 1000 / MS;
  private static final int SEVEN_BITS = 0x7f;
  private static final int MORE = 0x80;

  private SampleCodec() {}

  /** The bytes of samples; the times are kept to the hundredth of a second. */
  static byte[] encode(int[] at, int[] bpm) {
    Writer out = new Writer();
    out.write(at.length);
    int time = 0;
    for (int each : at) {
      int now = each / MS;
      out.writeSigned((long) now - time - EXPECTED);
      time = now;
    }
    int rate = 0;
    for (int each : bpm) {
      out.writeSigned((long) each - rate);
      rate = each;
    }
    return deflated(out.bytes.toByteArray());
  }

  static Samples decode(byte[] bytes, Instant since) {
    Reader in = new Reader(inflated(bytes));
    int[] at = new int[(int) in.read()];
    int[] bpm = new int[at.length];
    int time = 0;
    for (int n = 0; n < at.length; n++) {
      time += (int) in.readSigned() + EXPECTED;
      at[n] = time * MS;
    }
    int rate = 0;
    for (int n = 0; n < bpm.length; n++) {
      rate += (int) in.readSigned();
      bpm[n] = rate;
    }
    return new Samples(since, at, bpm);
  }

  /** Numbers that rise, as runs of those that follow each other. */
  static byte[] encodeRuns(Collection<Long> rising) {
    Writer out = new Writer();
    List<long[]> runs = new ArrayList<>();
    for (long each : rising) {
      long[] last = runs.isEmpty() ? null : runs.get(runs.size() - 1);
      if (last != null && last[0] + last[1] == each) {
        last[1]++;
      } else {
        runs.add(new long[] {each, 1});
      }
    }
    out.write(runs.size());
    long before = 0;
    for (long[] run : runs) {
      out.write(run[0] - before);
      out.write(run[1]);
      before = run[0];
    }
    return out.bytes.toByteArray();
  }

  static List<Long> decodeRuns(byte[] bytes) {
    Reader in = new Reader(bytes);
    List<Long> all = new ArrayList<>();
    long start = 0;
    for (long runs = in.read(); runs > 0; runs--) {
      start += in.read();
      long length = in.read();
      for (long n = 0; n < length; n++) {
        all.add(start + n);
      }
    }
    return all;
  }

  private static byte[] deflated(byte[] plain) {
    Deflater deflater = new Deflater(Deflater.BEST_COMPRESSION, true);
    deflater.setInput(plain);
    deflater.finish();
    ByteArrayOutputStream out = new ByteArrayOutputStream(plain.length);
    byte[] buffer = new byte[4096];
    while (!deflater.finished()) {
      out.write(buffer, 0, deflater.deflate(buffer));
    }
    deflater.end();
    return out.toByteArray();
  }

  private static byte[] inflated(byte[] packed) {
    Inflater inflater = new Inflater(true);
    inflater.setInput(packed);
    ByteArrayOutputStream out = new ByteArrayOutputStream(packed.length * 4);
    byte[] buffer = new byte[4096];
    try {
      while (!inflater.finished()) {
        int read = inflater.inflate(buffer);
        if (read == 0 && inflater.needsInput()) {
          throw new DataFormatException("cut off");
        }
        out.write(buffer, 0, read);
      }
    } catch (DataFormatException damaged) {
      throw new IllegalStateException("A recording is damaged", damaged);
    } finally {
      inflater.end();
    }
    return out.toByteArray();
  }

  private static final class Writer {
    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();

    void write(long value) {
      long left = value;
      while ((left & ~SEVEN_BITS) != 0) {
        bytes.write((int) (left & SEVEN_BITS | MORE));
        left >>>= 7;
      }
      bytes.write((int) left);
    }

    void writeSigned(long value) {
      write(value << 1 ^ value >> 63);
    }
  }

  private static final class Reader {
    private final byte[] bytes;
    private int place;

    Reader(byte[] bytes) {
      this.bytes = bytes;
    }

    long read() {
      long value = 0;
      for (int shift = 0; ; shift += 7) {
        byte next = bytes[place++];
        value |= (long) (next & SEVEN_BITS) << shift;
        if (next >= 0) {
          return value;
        }
      }
    }

    long readSigned() {
      long value = read();
      return value >>> 1 ^ -(value & 1);
    }
  }
}
