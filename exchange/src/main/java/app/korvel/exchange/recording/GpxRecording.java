package app.korvel.exchange.recording;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.trace.DeviceRecording;
import com.ctc.wstx.api.WstxInputProperties;
import java.io.IOException;
import java.io.InputStream;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.codehaus.stax2.XMLInputFactory2;

/**
 * GPX 1.1: the track points with their times, and the heart rate in an extension of any namespace
 * whose local name is {@code hr}; the step rate where one is named {@code cad}. Where it was is not
 * read.
 */
final class GpxRecording {
  private static final int DEEPEST = 60;
  private static final int LONGEST_ATTRIBUTE = 1 << 16;

  /** A value is short: what goes on is none. */
  private static final int LONGEST_VALUE = 64;

  private static final XMLInputFactory FACTORY = factory();

  private static final Map<String, Mode> MODES =
      Map.ofEntries(
          Map.entry("running", Mode.RUN),
          Map.entry("run", Mode.RUN),
          Map.entry("walking", Mode.RUN),
          Map.entry("walk", Mode.RUN),
          Map.entry("hiking", Mode.RUN),
          Map.entry("cycling", Mode.CYCLE),
          Map.entry("biking", Mode.CYCLE),
          Map.entry("rowing", Mode.ROW),
          Map.entry("swimming", Mode.SWIM));

  private final XMLStreamReader xml;
  private final ZoneId zone;
  private final DeviceRecording.Builder recording = new DeviceRecording.Builder();
  private final Deque<String> open = new ArrayDeque<>();
  private final StringBuilder text = new StringBuilder();
  private Optional<Mode> mode = Optional.empty();
  private Optional<Instant> time = Optional.empty();
  private int bpm;
  private int steps;
  private int points;
  private boolean inPoint;

  private GpxRecording(XMLStreamReader xml, ZoneId zone) {
    this.xml = xml;
    this.zone = zone;
  }

  private static XMLInputFactory factory() {
    // Woodstox, by its service: another would not know the limits below, and fail at once.
    XMLInputFactory factory = XMLInputFactory.newFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
    factory.setProperty(XMLInputFactory.IS_COALESCING, false);
    // Else what is wrong with a text is told when it is asked for, as another kind of exception.
    factory.setProperty(XMLInputFactory2.P_LAZY_PARSING, false);
    factory.setProperty(WstxInputProperties.P_MAX_ELEMENT_DEPTH, DEEPEST);
    factory.setProperty(WstxInputProperties.P_MAX_ATTRIBUTE_SIZE, LONGEST_ATTRIBUTE);
    factory.setXMLResolver(
        (publicId, systemId, base, namespace) -> {
          throw new XMLStreamException("It refers to something outside itself.");
        });
    return factory;
  }

  static RecordingFile read(InputStream in, ZoneId zone) throws IOException {
    try {
      XMLStreamReader xml = FACTORY.createXMLStreamReader(in);
      try {
        return new GpxRecording(xml, zone).read();
      } finally {
        xml.close();
      }
    } catch (XMLStreamException broken) {
      if (broken.getNestedException() instanceof java.io.CharConversionException) {
        throw RecordingFile.off("is not in the encoding that it says");
      }
      if (broken.getNestedException() instanceof IOException unread
          && !(unread instanceof java.io.EOFException)) {
        throw unread;
      }
      int line = broken.getLocation() == null ? 1 : broken.getLocation().getLineNumber();
      throw RecordingFile.off("line " + line + ": is no whole XML; it may have been cut off");
    }
  }

  private RecordingFile read() throws XMLStreamException {
    while (xml.hasNext()) {
      switch (xml.next()) {
        case XMLStreamConstants.START_ELEMENT -> begin(xml.getLocalName());
        case XMLStreamConstants.END_ELEMENT -> end();
        case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> characters();
        case XMLStreamConstants.DTD ->
            throw RecordingFile.off("line " + line() + ": has a document type, which is not read");
        case XMLStreamConstants.ENTITY_REFERENCE ->
            throw RecordingFile.off("line " + line() + ": has an entity, which is not read");
        default -> {
          // Comments and the like say nothing.
        }
      }
    }
    if (points == 0) {
      throw RecordingFile.off("has no track points");
    }
    return RecordingFile.read(RecordingFile.Format.GPX, recording.build(), mode, Optional.empty());
  }

  private int line() {
    return xml.getLocation().getLineNumber();
  }

  private String place() {
    return "point " + points + " (line " + line() + ")";
  }

  private void begin(String name) {
    if (open.isEmpty() && !name.equals("gpx")) {
      throw RecordingFile.off("is XML, but no GPX: its root is “" + shortened(name) + "”");
    }
    open.push(name);
    text.setLength(0);
    if (name.equals("trkpt")) {
      inPoint = true;
      points++;
      time = Optional.empty();
      bpm = 0;
      steps = -1;
    }
  }

  private static String shortened(String name) {
    return name.length() <= 40 ? name : name.substring(0, 40) + "…";
  }

  private void characters() {
    int room = LONGEST_VALUE - text.length();
    if (room > 0) {
      text.append(xml.getTextCharacters(), xml.getTextStart(), Math.min(room, xml.getTextLength()));
    }
  }

  private void end() {
    String name = open.pop();
    String value = text.toString().strip();
    text.setLength(0);
    if (name.equals("time") && "trkpt".equals(open.peek())) {
      time = Optional.of(Moments.of(value, zone, this::place));
    } else if (name.equals("hr") && inPoint) {
      bpm = number(value, "heart rate");
    } else if (name.equals("cad") && inPoint) {
      steps = number(value, "step rate");
    } else if (name.equals("type") && "trk".equals(open.peek())) {
      mode = Optional.ofNullable(MODES.get(value.toLowerCase(Locale.ROOT)));
    } else if (name.equals("trkpt")) {
      Instant at =
          time.orElseThrow(
              () ->
                  InvalidValueException.of(
                      "file", place() + ": has no time", "points with a time each"));
      recording.add(at, bpm, steps, this::place);
      inPoint = false;
    }
  }

  private int number(String value, String what) {
    return Numbers.of(value)
        .orElseThrow(
            () -> RecordingFile.off(place() + ": “" + shortened(value) + "” is no " + what));
  }
}
