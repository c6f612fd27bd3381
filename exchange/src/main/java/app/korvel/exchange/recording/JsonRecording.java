package app.korvel.exchange.recording;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.trace.DeviceRecording;
import app.korvel.core.trace.Trace;
import app.korvel.exchange.recording.RecordingFile.Format;
import java.io.CharConversionException;
import java.io.IOException;
import java.io.InputStream;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;

/**
 * FHIR R4: a Bundle of Observations, or one Observation, with LOINC 8867-4 as a quantity or as
 * sampled data, of its own or of a component; and Korvel's own JSON. Both are read token by token.
 * The entries of a Bundle have no order: they are put in that of their times.
 */
final class JsonRecording {
  /** Heart rate, LOINC. */
  static final String HEART_RATE = "8867-4";

  static final String LOINC = "http://loinc.org";

  private static final int DEEPEST = 40;

  /** Twelve hours of sampled data, with room. */
  private static final int LONGEST_TEXT = 1 << 19;

  private static final int LONGEST_NAME = 256;

  /** More are no session. */
  private static final int MOST_POINTS = 4 * Trace.MOST_SECONDS;

  private static final JsonFactory FACTORY =
      JsonFactory.builder()
          .streamReadConstraints(
              StreamReadConstraints.builder()
                  .maxNestingDepth(DEEPEST)
                  .maxStringLength(LONGEST_TEXT)
                  .maxNameLength(LONGEST_NAME)
                  .maxNumberLength(40)
                  .build())
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .build();

  private final JsonParser json;
  private final ZoneId zone;
  private final Points points = new Points();
  private final Own own = new Own();
  private int observations;

  private JsonRecording(JsonParser json, ZoneId zone) {
    this.json = json;
    this.zone = zone;
  }

  static RecordingFile read(InputStream in, ZoneId zone) throws IOException {
    try (JsonParser json = FACTORY.createParser(ObjectReadContext.empty(), in)) {
      return new JsonRecording(json, zone).read();
    } catch (JacksonException broken) {
      if (broken.getCause() instanceof IOException unread
          && !(unread instanceof CharConversionException)) {
        throw unread;
      }
      String place =
          broken.getLocation() == null ? "" : "line " + broken.getLocation().getLineNr() + ": ";
      throw RecordingFile.off(place + "is no whole JSON of a recording; it may have been cut off");
    }
  }

  private RecordingFile read() {
    if (json.nextToken() != JsonToken.START_OBJECT) {
      throw RecordingFile.off("is JSON, but no FHIR resource and no recording");
    }
    Resource root = new Resource();
    while (json.nextToken() != JsonToken.END_OBJECT) {
      String name = json.currentName();
      JsonToken value = json.nextToken();
      if (name.equals("entry") && value == JsonToken.START_ARRAY) {
        entries();
      } else if (!own.take(name) && !root.take(name)) {
        json.skipChildren();
      }
    }
    if (json.nextToken() != null) {
      throw RecordingFile.off("goes on after its end");
    }
    root.keep();
    if (own.format.isPresent()) {
      return own.read();
    }
    if (observations == 0) {
      throw RecordingFile.off(
          root.type.isEmpty()
              ? "is JSON, but no FHIR resource and no recording of Korvel"
              : "is FHIR, and has no Observation with LOINC " + HEART_RATE);
    }
    return RecordingFile.read(Format.FHIR, points.recording(), Optional.empty(), Optional.empty());
  }

  private void entries() {
    while (json.nextToken() != JsonToken.END_ARRAY) {
      if (json.currentToken() != JsonToken.START_OBJECT) {
        throw off("an entry is no object");
      }
      while (json.nextToken() != JsonToken.END_OBJECT) {
        String name = json.currentName();
        JsonToken value = json.nextToken();
        if (name.equals("resource") && value == JsonToken.START_OBJECT) {
          Resource resource = new Resource();
          while (json.nextToken() != JsonToken.END_OBJECT) {
            String field = json.currentName();
            json.nextToken();
            if (!resource.take(field)) {
              json.skipChildren();
            }
          }
          resource.keep();
        } else {
          json.skipChildren();
        }
      }
    }
  }

  private InvalidValueException off(String what) {
    return RecordingFile.off("line " + json.currentLocation().getLineNr() + ": " + what);
  }

  private String text() {
    if (json.currentToken() != JsonToken.VALUE_STRING) {
      throw off("a text is wanted");
    }
    return json.getString();
  }

  private double number() {
    if (json.currentToken() == null || !json.currentToken().isNumeric()) {
      throw off("a number is wanted");
    }
    return json.getDoubleValue();
  }

  /** Calls for every field of the object at hand. */
  private void fields(java.util.function.Consumer<String> each) {
    if (json.currentToken() != JsonToken.START_OBJECT) {
      throw off("an object is wanted");
    }
    while (json.nextToken() != JsonToken.END_OBJECT) {
      String name = json.currentName();
      json.nextToken();
      each.accept(name);
    }
  }

  /** Calls for every element of the array at hand. */
  private void elements(Runnable each) {
    if (json.currentToken() != JsonToken.START_ARRAY) {
      throw off("a list is wanted");
    }
    while (json.nextToken() != JsonToken.END_ARRAY) {
      each.run();
    }
  }

  /** What is said by an Observation or one of its components. */
  private class Said {
    private boolean heartRate;
    private Optional<Double> quantity = Optional.empty();
    private Optional<Sampled> sampled = Optional.empty();

    boolean take(String name) {
      switch (name) {
        case "code" ->
            fields(
                part -> {
                  if (part.equals("coding")) {
                    elements(this::coding);
                  } else {
                    json.skipChildren();
                  }
                });
        case "valueQuantity" ->
            fields(
                part -> {
                  if (part.equals("value")) {
                    quantity = Optional.of(number());
                  } else {
                    json.skipChildren();
                  }
                });
        case "valueSampledData" -> {
          Sampled data = new Sampled();
          fields(data::take);
          sampled = Optional.of(data);
        }
        default -> {
          return false;
        }
      }
      return true;
    }

    private void coding() {
      String[] coding = {"", ""};
      fields(
          part -> {
            switch (part) {
              case "system" -> coding[0] = text();
              case "code" -> coding[1] = text();
              default -> json.skipChildren();
            }
          });
      heartRate |= coding[0].equals(LOINC) && coding[1].equals(HEART_RATE);
    }
  }

  /** A resource of FHIR, as far as it is an Observation of the heart rate. */
  private final class Resource extends Said {
    private String type = "";
    private Optional<String> at = Optional.empty();
    private final java.util.List<Said> components = new java.util.ArrayList<>();

    @Override
    boolean take(String name) {
      switch (name) {
        case "resourceType" -> type = text();
        case "effectiveDateTime", "effectiveInstant" -> at = Optional.of(text());
        case "effectivePeriod" ->
            fields(
                part -> {
                  if (part.equals("start")) {
                    at = Optional.of(text());
                  } else {
                    json.skipChildren();
                  }
                });
        case "component" ->
            elements(
                () -> {
                  Said component = new Said();
                  fields(
                      part -> {
                        if (!component.take(part)) {
                          json.skipChildren();
                        }
                      });
                  components.add(component);
                });
        default -> {
          return super.take(name);
        }
      }
      return true;
    }

    void keep() {
      if (!type.equals("Observation")) {
        return;
      }
      keep(this);
      components.forEach(this::keep);
    }

    private void keep(Said said) {
      if (!said.heartRate || said.quantity.isEmpty() && said.sampled.isEmpty()) {
        return;
      }
      observations++;
      Supplier<String> place = () -> "observation " + observations + " of the heart rate";
      Instant start =
          Moments.of(
              at.orElseThrow(() -> RecordingFile.off(place.get() + " has no time")), zone, place);
      said.quantity.ifPresent(value -> points.add(start, value));
      said.sampled.ifPresent(data -> data.keep(start));
    }
  }

  /** Values at one distance from each other, as text. */
  private final class Sampled {
    private double origin;
    private double factor = 1;
    private double periodMs;
    private double dimensions = 1;
    private String data = "";

    void take(String name) {
      switch (name) {
        case "origin" ->
            fields(
                part -> {
                  if (part.equals("value")) {
                    origin = number();
                  } else {
                    json.skipChildren();
                  }
                });
        case "factor" -> factor = number();
        case "period" -> periodMs = number();
        case "dimensions" -> dimensions = number();
        case "data" -> data = text();
        default -> json.skipChildren();
      }
    }

    void keep(Instant start) {
      if (periodMs < 1 || dimensions != 1) {
        throw RecordingFile.off(
            "observation " + observations + ": sampled data needs a period and one dimension");
      }
      int index = 0;
      for (String each : data.strip().split("\\s+")) {
        Optional<Double> value =
            switch (each) {
              case "E", "U", "L", "" -> Optional.of(0.0);
              default ->
                  Numbers.decimal(each).map(number -> origin + factor * number.doubleValue());
            };
        if (value.isEmpty()) {
          throw RecordingFile.off(
              "observation " + observations + ": “" + Moments.shortened(each) + "” is no value");
        }
        points.add(start.plusMillis((long) (index++ * periodMs)), value.get());
      }
    }
  }

  /** Rates and their times, before they are in order. */
  private static final class Points {
    private long[] at = new long[1024];
    private int[] bpm = new int[1024];
    private int size;

    void add(Instant moment, double value) {
      if (size == MOST_POINTS) {
        throw RecordingFile.off("has over " + MOST_POINTS + " heart rates");
      }
      if (size == at.length) {
        at = Arrays.copyOf(at, 2 * size);
        bpm = Arrays.copyOf(bpm, 2 * size);
      }
      at[size] = moment.toEpochMilli();
      bpm[size++] = Numbers.whole(value).orElse(0);
    }

    DeviceRecording recording() {
      DeviceRecording.Builder recording = new DeviceRecording.Builder();
      int[] place = {0};
      Supplier<String> told = () -> "heart rate " + place[0];
      IntStream inOrder = IntStream.range(0, size);
      if (!rising()) {
        inOrder = inOrder.boxed().sorted(Comparator.comparingLong(n -> at[n])).mapToInt(n -> n);
      }
      inOrder.forEach(
          n -> {
            place[0]++;
            recording.add(Instant.ofEpochMilli(at[n]), bpm[n], -1, told);
          });
      return recording.build();
    }

    private boolean rising() {
      return IntStream.range(1, size).allMatch(n -> at[n - 1] <= at[n]);
    }
  }

  /** Korvel's own. */
  private final class Own {
    private Optional<String> format = Optional.empty();
    private int version;
    private Optional<Instant> startedAt = Optional.empty();
    private Optional<Mode> mode = Optional.empty();
    private Optional<Boolean> strap = Optional.empty();
    private int[] seconds = {};
    private int[] bpm = {};
    private int[] steps = {};

    boolean take(String name) {
      switch (name) {
        case "format" -> format = Optional.of(text());
        case "version" -> version = (int) number();
        case "startedAt" ->
            startedAt =
                Optional.of(
                    Moments.of(text(), zone, () -> "line " + json.currentLocation().getLineNr()));
        case "mode" -> mode = Optional.of(word(Mode.values(), text()));
        case "source" -> strap = Optional.of(text().equals("strap"));
        case "seconds" -> seconds = numbers();
        case "bpm" -> bpm = numbers();
        case "steps" -> steps = numbers();
        default -> {
          return false;
        }
      }
      return true;
    }

    private Mode word(Mode[] words, String said) {
      return Arrays.stream(words)
          .filter(each -> each.name().equalsIgnoreCase(said))
          .findFirst()
          .orElseThrow(() -> off("“" + Moments.shortened(said) + "” is no activity"));
    }

    private int[] numbers() {
      int[][] all = {new int[1024]};
      int[] size = {0};
      elements(
          () -> {
            if (size[0] == MOST_POINTS) {
              throw off("has over " + MOST_POINTS + " points");
            }
            if (size[0] == all[0].length) {
              all[0] = Arrays.copyOf(all[0], 2 * size[0]);
            }
            all[0][size[0]++] =
                json.currentToken() == JsonToken.VALUE_NULL
                    ? 0
                    : Numbers.whole(number()).orElseThrow(() -> off("a number is too large"));
          });
      return Arrays.copyOf(all[0], size[0]);
    }

    RecordingFile read() {
      if (!format.get().equals(RecordingText.FORMAT) || version != RecordingText.VERSION) {
        throw RecordingFile.off(
            "is “"
                + Moments.shortened(format.get())
                + "” version "
                + version
                + ", not "
                + RecordingText.FORMAT
                + " version "
                + RecordingText.VERSION);
      }
      Instant start = startedAt.orElseThrow(() -> RecordingFile.off("has no startedAt"));
      if (seconds.length != bpm.length || steps.length > 0 && steps.length != bpm.length) {
        throw RecordingFile.off("has seconds, bpm and steps of different lengths");
      }
      DeviceRecording.Builder recording = new DeviceRecording.Builder();
      for (int n = 0; n < seconds.length; n++) {
        int number = n + 1;
        Supplier<String> place = () -> "point " + number;
        if (seconds[n] < 1) {
          throw RecordingFile.off(place.get() + ": seconds count from 1");
        }
        recording.add(
            start.plusSeconds(seconds[n] - 1L), bpm[n], steps.length == 0 ? -1 : steps[n], place);
      }
      return RecordingFile.read(Format.KORVEL, recording.build(), mode, strap);
    }
  }
}
