package app.korvel.exchange.recording;

import app.korvel.core.maximum.Mode;
import app.korvel.core.trace.DeviceRecording;
import java.io.IOException;
import java.io.Writer;
import java.time.Instant;
import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;

/** A recording as text, in the formats that are read too. */
public final class RecordingText {
  static final String FORMAT = "korvel-recording";
  static final int VERSION = 1;

  private RecordingText() {}

  /** Korvel's own JSON: everything that was recorded. */
  public static void json(DeviceRecording recording, Mode mode, boolean strap, Writer out)
      throws IOException {
    out.write(
        "{\"format\":\""
            + FORMAT
            + "\",\"version\":"
            + VERSION
            + ",\"startedAt\":\""
            + recording.startedAt()
            + "\",\"mode\":\""
            + mode.name().toLowerCase(Locale.ROOT)
            + "\",\"source\":\""
            + (strap ? "strap" : "wrist")
            + "\",\n\"seconds\":"
            + list(recording.seconds())
            + ",\n\"bpm\":"
            + list(recording.bpm())
            + (recording.steps().length == 0 ? "" : ",\n\"steps\":" + list(recording.steps()))
            + "}\n");
  }

  private static String list(int[] numbers) {
    return Arrays.stream(numbers)
        .mapToObj(Integer::toString)
        .collect(Collectors.joining(",", "[", "]"));
  }

  /** CSV with a line a second: time, second, bpm, and steps where they are known. */
  public static void csv(DeviceRecording recording, Writer out) throws IOException {
    boolean steps = recording.steps().length > 0;
    out.write("time,seconds,bpm" + (steps ? ",steps" : "") + "\r\n");
    for (int n = 0; n < recording.points(); n++) {
      out.write(
          at(recording, n)
              + ","
              + recording.seconds()[n]
              + ","
              + (recording.bpm()[n] == 0 ? "" : recording.bpm()[n])
              + (steps ? "," + recording.steps()[n] : "")
              + "\r\n");
    }
  }

  /**
   * GPX 1.1 with the heart rate in an extension. No place was recorded, and a track point has to
   * have one: all of them say 0, 0.
   */
  public static void gpx(DeviceRecording recording, Mode mode, Writer out) throws IOException {
    out.write(
        """
        <?xml version="1.0" encoding="UTF-8"?>
        <gpx version="1.1" creator="Korvel" xmlns="http://www.topografix.com/GPX/1/1"\
         xmlns:k="urn:korvel:recording:1">
        <trk><desc>Heart rate only: no place was recorded.</desc><type>%s</type><trkseg>
        """
            .formatted(mode.name().toLowerCase(Locale.ROOT)));
    for (int n = 0; n < recording.points(); n++) {
      out.write("<trkpt lat=\"0\" lon=\"0\"><time>" + at(recording, n) + "</time><extensions>");
      if (recording.bpm()[n] > 0) {
        out.write("<k:hr>" + recording.bpm()[n] + "</k:hr>");
      }
      if (recording.steps().length > 0) {
        out.write("<k:cad>" + recording.steps()[n] + "</k:cad>");
      }
      out.write("</extensions></trkpt>\n");
    }
    out.write("</trkseg></trk></gpx>\n");
  }

  private static Instant at(DeviceRecording recording, int n) {
    return recording.startedAt().plusSeconds(recording.seconds()[n] - 1L);
  }
}
