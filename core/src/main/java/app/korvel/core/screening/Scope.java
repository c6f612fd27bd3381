package app.korvel.core.screening;

import app.korvel.core.measure.Finding;
import java.util.ArrayList;
import java.util.List;

/**
 * What may be asked of someone, on one day.
 *
 * @param person as the rules see them
 * @param permission how hard they may work
 * @param effects what their contexts change
 */
public record Scope(Person person, Permission permission, Effects effects) {

  /**
   * What may be asked of someone of whom no screening is on record: what needs no clearance, or
   * light to moderate work once it is given. For the calculators.
   */
  public static Scope unscreened(Person person) {
    boolean known = person.health().conditions().stream().anyMatch(Condition::knownDisease);
    Decision decision = Decision.of(person.activity(), known, false);
    boolean first = decision.allows() == Allows.NOTHING;
    List<Finding> findings = new ArrayList<>(decision.findings());
    if (first) {
      findings.add(ScreeningFinding.LIGHT_TO_MODERATE.of(decision.sentence()));
    }
    return new Scope(
        person,
        new Permission(!first, first ? Allows.LIGHT_TO_MODERATE : decision.allows(), findings),
        Context.effects(Context.of(person)));
  }
}
