package app.korvel.studio;

/**
 * Who acts.
 *
 * @param name as it stands on every record that they write
 */
public record Actor(String name) {
  /** The one person there is where nobody signs in. */
  public static final Actor INSTRUCTOR = new Actor("the instructor");
}
