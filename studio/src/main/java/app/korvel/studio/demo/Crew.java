package app.korvel.studio.demo;

import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Sex;
import app.korvel.studio.demo.Table.Row;
import java.util.List;
import java.util.Optional;

/**
 * One of the crew of a small island ferry line; all of them are invented.
 *
 * @param restingThen resting rate a year ago
 * @param restingNow resting rate today
 * @param lastDaysAgo how long ago the last count was; −1 for someone not counted yet
 * @param goal what they train for; empty where nothing is prescribed yet
 */
record Crew(
    String name,
    String note,
    int age,
    Sex sex,
    Activity activity,
    int restingThen,
    int restingNow,
    int lastDaysAgo,
    Optional<Goal> goal)
    implements Table.Named {

  private static final Table TABLE =
      Table.of(
          """
          Ines Okafor-Lund   | deckhand, night boat · walks and stairs | 46 | FEMALE | SOME | 72 | 64 | 2 | GENERAL_FITNESS
          Tomasz Wielgor     | engine crew · rows skiffs six days a week | 34 | MALE | HIGH | 49 | 45 | 5 | COMPETITION
          Marguerite Adeyo   | ticket office · on a beta-blocker for migraine | 58 | FEMALE | LITTLE | 62 | 58 | 9 | GENERAL_FITNESS
          Ragnar Holtvik     | retired pilot · stent two years ago | 66 | MALE | SOME | 63 | 60 | 6 | GENERAL_FITNESS
          Lupe Tamatoa       | shore staff · valve trouble since childhood | 52 | FEMALE | REGULAR | 70 | 66 | 12 |
          Sefa Brandvik      | apprentice deckhand · swims | 16 | NOT_GIVEN | REGULAR | 68 | 64 | 3 | ENDURANCE
          Noor Dalen-Aziz    | ticket office at weekends · new this month | 17 | FEMALE | LITTLE | 76 | 76 | 8 |
          Hyun-woo Castell   | deckhand · cycles to the pier | 29 | MALE | REGULAR | 60 | 57 | 1 | ENDURANCE
          Agnethe Moravik    | retired pilot · walks the sea wall | 74 | FEMALE | SOME | 73 | 69 | 4 | DAILY_ACTIVITY
          Bram Okonje        | engine crew · gone quiet since spring | 41 | MALE | NONE | 84 | 82 | 96 | DAILY_ACTIVITY
          Pilar Ostergran    | shore staff · heart failure, cardiac team at the county hospital | 61 | FEMALE | NONE | 74 | 72 | 10 |
          Ewan Petrosk       | winch house · back from a long flu | 49 | MALE | LITTLE | 84 | 104 | 2 |
          Yara Fonotele      | ticket office · first sea-wall run done | 27 | FEMALE | REGULAR | 66 | 61 | 7 | GENERAL_FITNESS
          Dmitri Halvor-Cho  | deckhand · started this week | 38 | MALE | NONE | 0 | 0 | -1 |
          Osei Lindqvarn     | engine crew · widened artery three years ago | 57 | MALE | LITTLE | 70 | 67 | 11 | DAILY_ACTIVITY
          Keola Brandt-Mori  | deckhand · asthma, worse in cold spray | 31 | MALE | SOME | 74 | 71 | 5 | GENERAL_FITNESS
          Tindra Vossberg    | shore staff · type 1 diabetes, cycles in the shed | 36 | FEMALE | REGULAR | 66 | 62 | 4 | GENERAL_FITNESS
          Amaru Sjodal       | ticket office · pregnant, due in spring | 33 | FEMALE | SOME | 70 | 76 | 3 | DAILY_ACTIVITY
          Beatriz Holm-Adair | retired pilot · atrial fibrillation | 69 | FEMALE | SOME | 76 | 74 | 6 | DAILY_ACTIVITY
          Jonas Pellworth    | winch house · tablets for high blood pressure | 55 | MALE | SOME | 68 | 64 | 9 | GENERAL_FITNESS
          Imre Valstad       | deckhand · moved to another line in summer | 44 | MALE | SOME | 70 | 68 | 140 | GENERAL_FITNESS
          """);

  /** Everyone, the one who has left last. */
  static final List<Crew> ALL = TABLE.rows().stream().map(Crew::of).toList();

  private static Crew of(Row row) {
    return new Crew(
        row.text(0),
        row.text(1),
        row.number(2),
        row.word(3, Sex.class),
        row.word(4, Activity.class),
        row.number(5),
        row.number(6),
        row.number(7),
        row.wordIfAny(8, Goal.class));
  }

  /** Whether they train all week, and what they have is by the water. */
  boolean rows() {
    return activity == Activity.HIGH;
  }
}
