package app.korvel.core.screening;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Severity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The pre-participation table, row by row and for every activity. */
class DecisionTest {

  @ParameterizedTest
  @CsvSource({
    // activity, disease, symptoms -> row, allows, clearance
    "NONE,    false, false, WELL,            LIGHT_TO_MODERATE, NONE",
    "LITTLE,  false, false, WELL,            LIGHT_TO_MODERATE, NONE",
    "SOME,    false, false, WELL,            LIGHT_TO_MODERATE, NONE",
    "REGULAR, false, false, WELL_ACTIVE,     VIGOROUS,          NONE",
    "HIGH,    false, false, WELL_ACTIVE,     VIGOROUS,          NONE",
    "NONE,    true,  false, DISEASE,         NOTHING,           BEFORE_START",
    "SOME,    true,  false, DISEASE,         NOTHING,           BEFORE_START",
    "REGULAR, true,  false, DISEASE_ACTIVE,  MODERATE,          BEFORE_VIGOROUS",
    "HIGH,    true,  false, DISEASE_ACTIVE,  MODERATE,          BEFORE_VIGOROUS",
    "NONE,    false, true,  SYMPTOMS,        NOTHING,           BEFORE_START",
    "SOME,    true,  true,  SYMPTOMS,        NOTHING,           BEFORE_START",
    "REGULAR, false, true,  SYMPTOMS_ACTIVE, NOTHING,           BEFORE_START",
    "HIGH,    true,  true,  SYMPTOMS_ACTIVE, NOTHING,           BEFORE_START",
  })
  void everyRow(
      Activity activity,
      boolean disease,
      boolean symptoms,
      Decision expected,
      Allows allows,
      Decision.ClearanceNeeded clearance) {
    Decision decision = Decision.of(activity, disease, symptoms);
    assertThat(decision).isEqualTo(expected);
    assertThat(decision.allows()).isEqualTo(allows);
    assertThat(decision.clearanceNeeded()).isEqualTo(clearance);
  }

  @Test
  void everyRowExplainsItselfAndOnlyWhatForbidsBlocks() {
    for (Decision decision : Decision.values()) {
      assertThat(decision.sentence()).endsWith(".");
      assertThat(decision.next()).endsWith(".");
      assertThat(decision.findings()).isNotEmpty().allMatch(each -> !each.because().isBlank());
      assertThat(decision.findings().stream().anyMatch(each -> each.severity() == Severity.BLOCK))
          .isEqualTo(decision.allows() == Allows.NOTHING);
      assertThat(decision.findings())
          .extracting(Finding::code)
          .filteredOn("light-to-moderate"::equals)
          .hasSize(
              decision.allows() == Allows.VIGOROUS || decision.allows() == Allows.NOTHING ? 0 : 1);
    }
  }

  @Test
  void theRegularlyActiveWithSymptomsStopAndAreReferred() {
    assertThat(Decision.SYMPTOMS_ACTIVE.sentence()).startsWith("Stop training");
    assertThat(Decision.SYMPTOMS_ACTIVE.next()).startsWith("Refer");
  }

  @Test
  void eachRowSaysWhomItIsFor() {
    assertThat(Decision.DISEASE_ACTIVE.who())
        .isEqualTo(
            "regularly active, known cardiovascular, metabolic or renal disease, no signs or"
                + " symptoms");
    assertThat(Decision.SYMPTOMS.who())
        .isEqualTo("any activity, any disease or none, signs or symptoms");
  }
}
