package app.korvel.core.zone;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Source;
import app.korvel.core.zone.Level.RpeSpan;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * One zone system's way of cutting the span into zones.
 *
 * @param id stable id
 * @param name as it is shown
 * @param kind how its bands relate
 * @param basis what its figures are counted in
 * @param bands low to high in a ladder
 * @param serves when it serves
 * @param source where it comes from
 */
public record Scheme(
    String id,
    String name,
    Kind kind,
    Basis basis,
    List<Band> bands,
    String serves,
    Source source) {

  /** The scheme taken where nothing is said. */
  public static final String DEFAULT_ID = "voice-ladder";

  /** How the bands of a scheme relate. */
  public enum Kind {
    /** Steps without gaps: a band ends one below where the next begins. */
    LADDER,
    /** Ranges for a purpose, each with both its edges; they may overlap or leave gaps. */
    GOALS,
    /** Single rates. */
    POINTS
  }

  /**
   * One band.
   *
   * @param id stable within the scheme
   * @param name as it is shown
   * @param low lower edge on the scheme's basis
   * @param high upper edge on the scheme's basis; equal to {@code low} for a single rate
   * @param fromRest whether it begins at the resting rate whatever {@code low} says
   * @param rpe20 the effort on 6–20 that the zone system itself ties to it; most tie none
   */
  public record Band(
      String id,
      String name,
      BigDecimal low,
      BigDecimal high,
      boolean fromRest,
      Optional<RpeSpan> rpe20) {

    static Band of(String id, String name, BigDecimal low, BigDecimal high) {
      return new Band(id, name, low, high, false, Optional.empty());
    }

    /** The same, beginning at the resting rate. */
    Band beginningAtRest() {
      return new Band(id, name, low, high, true, rpe20);
    }

    /** The same, tied to that effort on 6–20. */
    Band tiedTo(int lowRpe, int highRpe) {
      return new Band(id, name, low, high, fromRest, Optional.of(new RpeSpan(lowRpe, highRpe)));
    }
  }

  public Scheme {
    bands = List.copyOf(bands);
  }

  /** Whether the studio made it itself. */
  public boolean own() {
    return source.equals(Source.STUDIO);
  }

  /** The band above the one at {@code index} in a ladder; none in its top band or elsewhere. */
  Optional<Band> next(int index) {
    return kind == Kind.LADDER && index + 1 < bands.size()
        ? Optional.of(bands.get(index + 1))
        : Optional.empty();
  }

  /**
   * Where the band of that id stands.
   *
   * @throws InvalidValueException when there is none
   */
  int indexOf(String bandId) {
    for (int i = 0; i < bands.size(); i++) {
      if (bands.get(i).id().equals(bandId)) {
        return i;
      }
    }
    throw InvalidValueException.of(
        "band",
        "this zone system has no such zone",
        bands.stream().map(Band::id).collect(Collectors.joining(", ")));
  }

  /**
   * The scheme of that id among those that ship.
   *
   * @throws InvalidValueException when there is none
   */
  public static Scheme of(String id) {
    return of(id, Schemes.ALL);
  }

  /**
   * The scheme of that id among those.
   *
   * @throws InvalidValueException when there is none
   */
  public static Scheme of(String id, List<Scheme> among) {
    return among.stream()
        .filter(scheme -> scheme.id.equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                InvalidValueException.of(
                    "scheme",
                    "no zone system has this id",
                    among.stream().map(Scheme::id).collect(Collectors.joining(", "))));
  }
}
