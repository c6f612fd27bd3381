package app.korvel.exchange.archive;

import app.korvel.core.screening.Sex;
import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A client's measurements as a FHIR R4 Bundle: a Patient and Observations of resting heart rate,
 * blood pressure, weight, maximum heart rate, and the heart rate of each session as sampled data.
 */
public final class FhirBundle {
  private static final String LOINC = "http://loinc.org";
  private static final String UCUM = "http://unitsofmeasure.org";
  private static final String CATEGORIES =
      "http://terminology.hl7.org/CodeSystem/observation-category";
  private static final String PROFILES = "http://hl7.org/fhir/StructureDefinition/";
  private static final String VITAL_SIGNS = "vital-signs";
  private static final String HEART_RATE = "8867-4";
  private static final int A_SECOND = 1000;
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final OutputStream out;
  private final UUID patient;
  private boolean first = true;

  private FhirBundle(OutputStream out, UUID patient) {
    this.out = out;
    this.patient = patient;
  }

  /** Fills a bundle. */
  public interface Filling {
    /** Adds the observations. */
    void to(FhirBundle bundle) throws IOException;
  }

  /**
   * Writes a bundle as it streams out.
   *
   * @param patient the client's id
   */
  public static void write(
      OutputStream out, UUID patient, String name, Sex sex, LocalDate birthDate, Filling filling)
      throws IOException {
    FhirBundle bundle = new FhirBundle(out, patient);
    bundle.text("{\"resourceType\":\"Bundle\",\"type\":\"collection\",\"entry\":[\n");
    ObjectNode resource = JSON.createObjectNode().put("resourceType", "Patient");
    resource.putArray("name").addObject().put("text", name);
    resource.put(
        "gender",
        switch (sex) {
          case FEMALE -> "female";
          case MALE -> "male";
          case NOT_GIVEN -> "unknown";
        });
    resource.put("birthDate", birthDate.toString());
    bundle.entry(patient, resource);
    filling.to(bundle);
    bundle.text("\n]}\n");
  }

  /** A resting heart rate. */
  public void resting(UUID id, Instant at, int bpm) throws IOException {
    ObjectNode seen = observation(VITAL_SIGNS, "heartrate");
    ArrayNode codes = seen.putObject("code").putArray("coding");
    coding(codes, LOINC, HEART_RATE, "Heart rate");
    coding(codes, LOINC, "40443-4", "Heart rate --resting");
    quantity(
        about(seen, at.toString()),
        "valueQuantity",
        BigDecimal.valueOf(bpm),
        "beats/minute",
        "/min");
    entry(id, seen);
  }

  /** A maximum heart rate that was measured. */
  public void maximum(UUID id, LocalDate on, int bpm, String how) throws IOException {
    ObjectNode seen = observation("exam", "");
    seen.putObject("code").put("text", "Maximum heart rate: " + how);
    quantity(
        about(seen, on.toString()),
        "valueQuantity",
        BigDecimal.valueOf(bpm),
        "beats/minute",
        "/min");
    entry(id, seen);
  }

  /** A blood pressure, mmHg. */
  public void pressure(UUID id, Instant at, int systolic, int diastolic) throws IOException {
    ObjectNode seen = observation(VITAL_SIGNS, "bp");
    coding(
        seen.putObject("code").putArray("coding"),
        LOINC,
        "85354-9",
        "Blood pressure panel with all children optional");
    ArrayNode parts = about(seen, at.toString()).putArray("component");
    quantity(
        part(parts, "8480-6", "Systolic blood pressure"),
        "valueQuantity",
        BigDecimal.valueOf(systolic),
        "mmHg",
        "mm[Hg]");
    quantity(
        part(parts, "8462-4", "Diastolic blood pressure"),
        "valueQuantity",
        BigDecimal.valueOf(diastolic),
        "mmHg",
        "mm[Hg]");
    entry(id, seen);
  }

  /** A weight, kg. */
  public void weight(UUID id, Instant at, BigDecimal kg) throws IOException {
    ObjectNode seen = observation(VITAL_SIGNS, "bodyweight");
    coding(seen.putObject("code").putArray("coding"), LOINC, "29463-7", "Body weight");
    quantity(about(seen, at.toString()), "valueQuantity", kg, "kg", "kg");
    entry(id, seen);
  }

  /**
   * The heart rate of a session, a value a second; E stands where there was none. It is a
   * component: an Observation with the code of the heart rate itself may only be one value.
   *
   * @param bpm by the second; 0 for none
   */
  public void session(UUID id, Instant at, int[] bpm) throws IOException {
    StringBuilder data = new StringBuilder(bpm.length * 4);
    for (int each : bpm) {
      data.append(data.isEmpty() ? "" : " ").append(each == 0 ? "E" : String.valueOf(each));
    }
    ObjectNode seen = observation("activity", "");
    seen.putObject("code").put("text", "Heart rate of a training session");
    ArrayNode parts = about(seen, at.toString()).putArray("component");
    ObjectNode sampled = part(parts, HEART_RATE, "Heart rate").putObject("valueSampledData");
    quantity(sampled, "origin", BigDecimal.ZERO, "beats/minute", "/min");
    sampled.put("period", A_SECOND).put("dimensions", 1).put("data", data.toString());
    entry(id, seen);
  }

  private static ObjectNode observation(String category, String profile) {
    ObjectNode seen = JSON.createObjectNode().put("resourceType", "Observation");
    if (!profile.isEmpty()) {
      seen.putObject("meta").putArray("profile").add(PROFILES + profile);
    }
    seen.put("status", "final");
    coding(
        seen.putArray("category").addObject().putArray("coding"),
        CATEGORIES,
        category,
        switch (category) {
          case VITAL_SIGNS -> "Vital Signs";
          case "exam" -> "Exam";
          default -> "Activity";
        });
    return seen;
  }

  private ObjectNode about(ObjectNode seen, String at) {
    seen.putObject("subject").put("reference", "urn:uuid:" + patient);
    return seen.put("effectiveDateTime", at);
  }

  private static ObjectNode part(ArrayNode parts, String code, String name) {
    ObjectNode part = parts.addObject();
    coding(part.putObject("code").putArray("coding"), LOINC, code, name);
    return part;
  }

  private static void coding(ArrayNode codes, String system, String code, String display) {
    codes.addObject().put("system", system).put("code", code).put("display", display);
  }

  private static void quantity(
      ObjectNode of, String field, BigDecimal value, String unit, String code) {
    of.putObject(field).put("value", value).put("unit", unit).put("system", UCUM).put("code", code);
  }

  private void entry(UUID id, ObjectNode resource) throws IOException {
    text(first ? "" : ",\n");
    first = false;
    ObjectNode entry = JSON.createObjectNode().put("fullUrl", "urn:uuid:" + id);
    entry.set("resource", resource);
    text(JSON.writeValueAsString(entry));
  }

  private void text(String text) throws IOException {
    out.write(text.getBytes(StandardCharsets.UTF_8));
  }
}
