package app.korvel.studio.assessment;

import app.korvel.core.assessment.GradedProtocol;
import app.korvel.store.ProtocolRepository.SavedProtocol;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import java.util.function.Function;

/** The studio's own protocols of a graded test: added, changed, archived. */
public record OwnProtocols(Studio studio) {
  /**
   * Adds a protocol.
   *
   * @param entered given its id
   */
  public SavedProtocol add(Actor who, Function<String, GradedProtocol> entered) {
    return studio.write(
        who,
        () ->
            studio
                .store()
                .protocols()
                .add(entered.apply(studio.nextId().toString()), studio.now()));
  }

  /**
   * Changes a protocol; tests that were done by it keep what they had.
   *
   * @param version the version that was read
   * @throws NotFoundException when there is none of that id
   */
  public SavedProtocol change(
      Actor who, String id, int version, Function<String, GradedProtocol> entered) {
    return studio.write(
        who,
        () ->
            studio
                .store()
                .protocols()
                .change(version, entered.apply(id), studio.now())
                .orElseThrow(() -> unknown(id)));
  }

  /**
   * Archives a protocol, or brings one back.
   *
   * @param version the version that was read
   * @throws NotFoundException when there is none of that id
   */
  public SavedProtocol archive(Actor who, String id, int version, boolean archived) {
    return studio.write(
        who,
        () ->
            studio
                .store()
                .protocols()
                .archive(id, version, archived, studio.now())
                .orElseThrow(() -> unknown(id)));
  }

  private static NotFoundException unknown(String id) {
    return NotFoundException.of("There is no protocol %s.", id);
  }
}
