package app.korvel.exchange.archive;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.screening.Sex;
import app.korvel.core.trace.DeviceRecording;
import app.korvel.exchange.recording.RecordingFile;
import app.korvel.exchange.recording.RecordingFile.Said;
import ca.uhn.fhir.context.FhirContext;
import ca.uhn.fhir.context.support.DefaultProfileValidationSupport;
import ca.uhn.fhir.validation.FhirValidator;
import ca.uhn.fhir.validation.ResultSeverityEnum;
import ca.uhn.fhir.validation.ValidationResult;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.UUID;
import java.util.stream.IntStream;
import org.hl7.fhir.common.hapi.validation.support.CommonCodeSystemsTerminologyService;
import org.hl7.fhir.common.hapi.validation.support.InMemoryTerminologyServerValidationSupport;
import org.hl7.fhir.common.hapi.validation.support.ValidationSupportChain;
import org.hl7.fhir.common.hapi.validation.validator.FhirInstanceValidator;
import org.hl7.fhir.r4.model.Bundle;
import org.junit.jupiter.api.Test;

/** What is written as FHIR R4, by the reference validator and by what reads it here. */
class FhirBundleTest {
  private static final Instant AT = Instant.parse("2030-03-18T17:00:00Z");
  private static final int[] BPM =
      IntStream.range(0, 120).map(n -> n == 30 ? 0 : 100 + n % 40).toArray();

  private static String bundle() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    FhirBundle.write(
        out,
        id(1),
        "Wren “Quill” Adeyemi",
        Sex.NOT_GIVEN,
        LocalDate.of(1984, 2, 29),
        bundle -> {
          bundle.resting(id(2), AT, 61);
          bundle.maximum(id(3), LocalDate.of(2030, 1, 4), 188, "Supervised graded test");
          bundle.pressure(id(4), AT, 128, 82);
          bundle.weight(id(5), AT, new BigDecimal("71.4"));
          bundle.session(id(6), AT, BPM);
        });
    return out.toString(StandardCharsets.UTF_8);
  }

  private static UUID id(int n) {
    return UUID.nameUUIDFromBytes(new byte[] {(byte) n});
  }

  @Test
  void theReferenceValidatorFindsNoFault() throws IOException {
    FhirContext context = FhirContext.forR4();
    FhirInstanceValidator rules =
        new FhirInstanceValidator(
            new ValidationSupportChain(
                new DefaultProfileValidationSupport(context),
                new CommonCodeSystemsTerminologyService(context),
                new InMemoryTerminologyServerValidationSupport(context)));
    FhirValidator validator = context.newValidator().registerValidatorModule(rules);
    ValidationResult whole = validator.validateWithResult(bundle());
    assertThat(whole.getMessages())
        .filteredOn(each -> each.getSeverity().ordinal() >= ResultSeverityEnum.ERROR.ordinal())
        .extracting(each -> each.getLocationString() + ": " + each.getMessage())
        .isEmpty();
    assertThat(context.newJsonParser().parseResource(Bundle.class, bundle()).getEntry()).hasSize(6);
    // It can find one: another unit is no unit of a heart rate.
    assertThat(validator.validateWithResult(bundle().replace("\"/min\"", "\"bpm\"")).isSuccessful())
        .isFalse();
  }

  @Test
  void aSessionIsReadAgainAsItWas() throws IOException {
    RecordingFile file =
        RecordingFile.of(
            new ByteArrayInputStream(bundle().getBytes(StandardCharsets.UTF_8)),
            Said.nothing(ZoneOffset.UTC));
    DeviceRecording read = file.recording().orElseThrow();
    assertThat(read.startedAt()).isEqualTo(AT);
    // The resting rate of the same second is in the bundle too: of one second the last counts.
    assertThat(read.points()).isEqualTo(BPM.length);
    assertThat(read.bpm()[1]).isEqualTo(BPM[1]);
    assertThat(read.bpm()[30]).isZero();
  }
}
